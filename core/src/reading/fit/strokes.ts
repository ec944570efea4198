import { valueAt } from '../../quantity';
import { hashText } from '../../blanks';
import {
  type CutMethod,
  type RowOf,
  type SeenFrom,
  type StrokeChanges,
  STROKES_AS_CALCULATED,
} from '../../job';
import { type Outline, mirrorOf, outlineBounds, viewOutline } from '../../measure';
import type { Reasoned } from '../../quantity';
import { RULES } from '../../rules';
import {
  type Face,
  type LockFigure,
  type Ring,
  type StrokeReason,
  type StrokesAsked,
  LOCK_FIGURES,
  cutOut,
  faceWithin,
  insetFace,
  lineChanceBy,
  reasonsFor,
} from '../../strokes';
import { blankOf } from '../cut/blank';
import type { JobView } from '../view/job-view';
import { type StrokeRow, type StrokeTool, ownStrokesOf, strokeToolOf } from './stroke-tool';
import { checkOf } from '../survey/surface';
import { schoolsOf } from './work';

/** How film of a method is pressed on; a method that is not here has no strokes to plan. */
const PRESSED_BY: Readonly<Partial<Record<CutMethod, 'wet' | 'dry' | 'round a column'>>> = {
  'trim in place': 'wet',
  'dry-fitted': 'wet',
  'pre-squared': 'wet',
  'cut to order': 'wet',
  'cut to outline': 'wet',
  security: 'wet',
  decor: 'dry',
  'wrapped edges': 'dry',
  'textured wall': 'dry',
  column: 'round a column',
};

/** When strokes are asked for: while film is locked, or when it is pressed out. */
export type StrokeMoment = 'lock' | 'press' | 'hard pass';

/** Why there are no strokes to plan. */
export type NoStrokes =
  'not pressed by strokes' | 'not measured' | 'nothing left inside the strip' | 'tapered';

/** What strokes of one film on one surface are made from, as whoever presses it sees it. */
export interface StrokeCase {
  readonly asked: StrokesAsked;
  /** The whole surface, of which `asked.face` is what is pressed now. */
  readonly whole: Face;
  /** A strip along the edges that is left until it is trimmed. */
  readonly inset_mm: number;
  readonly stands: SeenFrom;
  readonly hand: StrokeTool;
  /** Chance of a line at a place of a joint, by the lap that is taken. */
  readonly lineChance: Reasoned<number>;
  /** The school of the squeegee; undefined: the way has none. */
  readonly squeegee: string | undefined;
  readonly reasons: readonly StrokeReason[];
  readonly changes: StrokeChanges;
  readonly row: StrokeRow | undefined;
  readonly faceHash: string;
  /** A person changed the strokes before the surface was measured otherwise. */
  readonly isOfOtherMeasures: boolean;
  /** One sheet of several, counted from 1. */
  readonly sheet: { readonly number: number; readonly of: number };
}

type StrokesToday =
  { readonly kind: 'case'; readonly own: StrokeCase } | { readonly kind: 'none'; readonly reason: NoStrokes };

interface StrokesWanted {
  readonly moment: StrokeMoment;
  readonly personId?: string | undefined;
  /** Of several sheets, counted from 1. */
  readonly sheet?: number | undefined;
  /** What a person tries just now, instead of what is kept. */
  readonly changes?: StrokeChanges | undefined;
}

/** What the strokes of a film are made from, by today's measures and schools; or why there are none. */
export function strokesOf(
  view: JobView,
  application: RowOf<'application'>,
  { moment, personId, sheet = 1, changes: wanted }: StrokesWanted,
): StrokesToday {
  const by = PRESSED_BY[application.method];
  if (by === undefined) return { kind: 'none', reason: 'not pressed by strokes' };
  if (isTapered(view, application)) return { kind: 'none', reason: 'tapered' };
  const sheets = sheetsOf(view, application, sheet);
  if (sheets === undefined) return { kind: 'none', reason: 'not measured' };
  const inset_mm = insetOf(view, application, moment);
  const face = insetFace(sheets.face, inset_mm);
  if (face === undefined) return { kind: 'none', reason: 'nothing left inside the strip' };
  const row = ownStrokesOf(view, application.id);
  const changes = wanted ?? row?.changes ?? STROKES_AS_CALCULATED;
  const hand = strokeToolOf(view, application, personId, changes);
  const film = view.filmById.get(application.filmId);
  const faceHash = hashText(JSON.stringify(sheets.face.rings));
  const overlap_mm =
    moment === 'hard pass' && changes.overlap_nm === null ? hand.tool.blade_mm / 2 : hand.tool.overlap_mm;
  return {
    kind: 'case',
    own: {
      asked: {
        face,
        tool: { ...hand.tool, overlap_mm },
        way: by === 'round a column' ? 'round a column' : 'lanes',
        lock: by === 'wet' ? lockOf(view, application) : 'none',
        first: changes.first,
        isDry: by !== 'wet',
        people: changes.people,
      },
      whole: sheets.face,
      inset_mm,
      stands: application.side,
      hand,
      lineChance: lineChanceBy(overlap_mm, hand.wander_mm),
      squeegee: schoolsOf(view, application).find(({ key }) => key === 'stroke')?.value,
      reasons: reasonsFor({
        isThick: film?.family === 'security',
        isDry: by !== 'wet',
        thickness_um: film?.thickness_um ?? 0,
      }),
      changes,
      row,
      faceHash,
      isOfOtherMeasures: row !== undefined && row.inputsHash !== faceHash,
      sheet: sheets,
    },
  };
}

/**
 * The surface as whoever works on it sees it, flat, upwards from its lower left corner, openings taken away.
 */
export function faceSeen(view: JobView, { surfaceId, side }: RowOf<'application'>): Face | undefined {
  const check = checkOf(view, surfaceId);
  const surface = view.surfaceById.get(surfaceId);
  if (!('figure' in check) || surface === undefined) return undefined;
  const { outline, openings = [] } = check.figure;
  if (outline.length < 3) return undefined;
  const seen = viewOutline(outline, surface.seenFrom, side);
  const mirror = mirrorOf(outline);
  const holes = openings.map(({ x, y, width, height }): Outline => {
    const corners = [
      { x, y },
      { x: x + width, y },
      { x: x + width, y: y + height },
      { x, y: y + height },
    ];
    return surface.seenFrom === side ? corners : corners.map(mirror);
  });
  const { left, top, height } = outlineBounds(seen);
  const upwards = (own: Outline): Ring => own.map(({ x, y }) => ({ x: x - left, y: top + height - y }));
  return cutOut(upwards(seen), holes.map(upwards));
}

/** One of the sheets a surface is laid in; a column as it is unrolled, lap and all. */
function sheetsOf(
  view: JobView,
  application: RowOf<'application'>,
  number: number,
): { readonly face: Face; readonly number: number; readonly of: number } | undefined {
  const face = faceSeen(view, application);
  const today = blankOf(view, application);
  if (face === undefined || today.kind === 'none') return undefined;
  const { whole, seams } = today.blanks;
  if (application.method === 'column') {
    const [wide, high] = [whole.width_mm.value, whole.height_mm.value];
    return { face: cutOut(boxOf(wide, high), []), number: 1, of: 1 };
  }
  if (seams.way !== 'upright') return { face, number: 1, of: 1 };
  const isTurned = view.surfaceById.get(application.surfaceId)?.seenFrom !== application.side;
  const width = whole.width_mm.value - whole.sides.left_mm - whole.sides.right_mm;
  const at = seams.at_mm.map((own) => own - whole.sides.left_mm);
  const seen = [0, ...(isTurned ? at.map((own) => width - own).toReversed() : at), width];
  const of = seen.length - 1;
  const own = Math.min(of, Math.max(1, number));
  return { face: faceWithin(face, valueAt(seen, own - 1), seen[own] ?? width, own > 1), number: own, of };
}

/**
 * Film of a tapered column is a sector: its turns follow the sector's own axis, which these strips do not.
 */
function isTapered(view: JobView, application: RowOf<'application'>): boolean {
  const today = blankOf(view, application);
  return today.kind === 'blanks' && today.blanks.blanks.some(({ sector }) => sector !== undefined);
}

const boxOf = (wide: number, high: number): Ring => [
  { x: 0, y: 0 },
  { x: wide, y: 0 },
  { x: wide, y: high },
  { x: 0, y: high },
];

/** Film that is trimmed on the glass is not pressed to its edges before. */
function insetOf(view: JobView, application: RowOf<'application'>, moment: StrokeMoment): number {
  const schools = new Map<string, string>(schoolsOf(view, application).map(({ key, value }) => [key, value]));
  if (schools.get('edges') === 'worked at once') return 0;
  const before = moment === 'lock' ? IS_TRIMMED_AFTER_LOCK : IS_TRIMMED_AFTER_PRESSING;
  return before(application.method, schools.get('trim')) ? RULES.untrimmedEdge.value : 0;
}

const IS_TRIMMED_AFTER_LOCK = (method: CutMethod): boolean =>
  ['trim in place', 'pre-squared', 'cut to order', 'security'].includes(method);
const IS_TRIMMED_AFTER_PRESSING = (method: CutMethod, trim: string | undefined): boolean =>
  method === 'security' ||
  ((method === 'trim in place' || method === 'pre-squared') && trim === 'after squeezing out');

function lockOf(view: JobView, application: RowOf<'application'>): LockFigure {
  const chosen = schoolsOf(view, application).find(({ key }) => key === 'lock')?.value;
  return LOCK_FIGURES.find((own) => own === chosen) ?? 'T';
}
