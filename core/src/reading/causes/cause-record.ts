import { newSunBook } from '../../choosing';
import { directSun, sunTrack } from '../../climate';
import { caseOfRows } from '../../day';
import type { DiagnosedLook, MarkLook, RowOf } from '../../job';
import { boundsOf, sidesOf, wayToSide } from '../../strokes';
import { isLaidWet } from '../../ways';
import { presentOf } from './cause-present';
import type { JobView } from '../view/job-view';
import { type JudgedMark, type JudgedSurface, laidAt } from '../check/marks';
import { USUAL_AIR } from '../day/readiness';
import { slipBoundsOf } from '../fit/slip';
import { surfaceRowsOf } from '../survey/surface';

/** What the rows of a job know of a mark before anybody is asked. */
interface SeenOnMark {
  readonly look: DiagnosedLook;
  readonly seen: Readonly<Record<string, string>>;
  readonly present: Readonly<Record<string, number>>;
}

/** A surface as it is judged, and when. */
export interface JudgedAt extends JudgedSurface {
  readonly now_ms: number;
}

/** Work that took longer was not done in one go. */
const WORK_MS = 10 * 3_600_000;

type Answers = Readonly<Record<string, string | undefined>>;

/** Nearer to an edge than this a mark is of the edge; our guess. */
const EDGE_MM = 50;
/**
 * Where the band begins in which a pocket is usually gone, as a share of its end: 2.3 either way (model 2.5).
 */
const BAND_FROM = 1 / (2.3 * 2.3);

const LOOKS: Readonly<Partial<Record<MarkLook, DiagnosedLook>>> = {
  'water pocket': 'waterPocket',
  finger: 'finger',
  'edge lifts': 'liftingEdge',
  speck: 'nib',
  line: 'glueLine',
  crease: 'crease',
  gap: 'lightGap',
  scratch: 'scratch',
  'film scratch': 'scratch',
  'glass scratch': 'scratch',
  crack: 'glassCrack',
};

/** Undefined: nobody has said what it is. */
export function seenOnMark(view: JobView, own: JudgedMark, judged: JudgedAt): SeenOnMark | undefined {
  const { mark } = own;
  const film = filmOf(view, mark);
  const isWet = film === undefined || isLaidWet(film.method, view.filmById.get(film.filmId)?.family);
  const isBubble = mark.look === 'bubble' || mark.look === 'air bubble';
  const look = isBubble ? (isWet ? 'waterPocket' : 'dryBubbles') : LOOKS[mark.look];
  if (look === undefined) return undefined;
  const answers: Answers = { ...BY_LOOK[look]?.(view, own, judged) };
  return {
    look,
    seen: Object.fromEntries(
      Object.entries(answers).filter((entry): entry is [string, string] => entry[1] !== undefined),
    ),
    present: presentOf(view, look, film, judged),
  };
}

const filmOf = (view: JobView, mark: RowOf<'mark'>): RowOf<'application'> | undefined => {
  const all = view.applicationsOf(mark.surfaceId);
  return all.find(({ id }) => id === mark.applicationId) ?? all[0];
};

const BY_LOOK: Readonly<
  Partial<Record<DiagnosedLook, (view: JobView, own: JudgedMark, judged: JudgedAt) => Answers>>
> = {
  waterPocket: (view, own, judged) => ({
    ageVsBand: ageOf(view, own, judged),
    press: PRESS[own.mark.tests.press],
    pattern: PATTERN[own.mark.tests.shape],
    size: sizeOf(own.mark),
    inSun: WARM[own.mark.tests.warm],
  }),
  nib: (view, own, judged) => ({
    where: isAtEdge(own, judged)
      ? 'within 50 mm of an edge'
      : own.at === undefined
        ? undefined
        : 'on the face',
    neighbours: neighboursOf(view, own.mark),
  }),
  dryBubbles: (view, { mark }) => ({
    pattern: DRY_PATTERN[mark.tests.shape],
    paintAge: paintOf(view, mark),
    surfaceTemp: groundOf(view, mark),
    postHeatReading: postHeatOf(view, mark),
  }),
  liftingEdge: (view, own, judged) => ({
    mix: mixOf(view, own.mark),
    temp: groundOf(view, own.mark),
    where: isAtCorner(own, judged) ? 'corner or turn' : undefined,
  }),
  finger: (_view, own, judged) => ({ place: sideOf(own, judged) }),
  crease: (view, { mark }) => ({ people: peopleOf(view, mark), sunOrDry: sunOf(view, mark) }),
  scratch: (_view, own) => ({
    side:
      own.mark.look === 'film scratch'
        ? 'in the film'
        : own.mark.look === 'glass scratch'
          ? 'in the glass'
          : undefined,
    survey: own.isBeforeLaying ? 'recorded before work' : 'not recorded',
  }),
};

const PRESS: Readonly<Record<string, string>> = {
  'creeps away': 'water creeps away',
  'springs back': 'springs back',
  'does not move': 'does not move',
};
const PATTERN: Readonly<Record<string, string>> = {
  alone: 'scattered',
  'in a line along strokes': 'line between strokes',
  'joined to an edge': 'band along an edge',
};
const DRY_PATTERN: Readonly<Record<string, string>> = {
  alone: 'scattered',
  'in a line along strokes': 'lines between strokes',
};
const PAINT: Readonly<Record<string, string>> = { 'under 30 days': 'under 30 days', older: 'over 30 days' };
const WARM: Readonly<Record<string, string>> = {
  smaller: 'smaller day by day',
  'the same': 'same',
  larger: 'larger when warm',
};

/** Where the day a pocket is still there lies in the band in which it is usually gone. */
function ageOf(view: JobView, { mark }: JudgedMark, { drying, now_ms }: JudgedAt): string | undefined {
  const film = filmOf(view, mark);
  const laid_ms = film === undefined ? null : laidAt(view, film.id);
  if (drying.until_ms === null || laid_ms === null || drying.until_ms <= laid_ms) return undefined;
  const still_ms = mark.goneAt === null ? now_ms : Date.parse(mark.goneAt);
  const share = (still_ms - laid_ms) / (drying.until_ms - laid_ms);
  if (share > 1) return 'after band';
  return share < BAND_FROM ? 'before band' : 'inside band';
}

function sizeOf({ size_nm }: RowOf<'mark'>): string | undefined {
  if (size_nm === null) return undefined;
  const size_mm = size_nm / 1e6;
  if (size_mm <= 10) return 'up to 10 mm';
  return size_mm <= 25 ? '10 to 25 mm' : 'over 25 mm';
}

function isAtEdge({ at }: JudgedMark, { face }: JudgedAt): boolean {
  return at !== undefined && sidesOf(face).some((side) => wayToSide(at, side) <= EDGE_MM);
}

function isAtCorner({ at }: JudgedMark, { face }: JudgedAt): boolean {
  return at !== undefined && sidesOf(face).filter((side) => wayToSide(at, side) <= EDGE_MM).length > 1;
}

function sideOf(own: JudgedMark, judged: JudgedAt): string | undefined {
  const { at } = own;
  if (at === undefined || !isAtEdge(own, judged)) return undefined;
  if (isAtCorner(own, judged)) return 'corner';
  const { left, right, bottom, top } = boundsOf(judged.face);
  const upright = Math.min(at.y - bottom, top - at.y);
  return upright < Math.min(at.x - left, right - at.x) ? 'top or bottom edge' : 'side';
}

function neighboursOf(view: JobView, mark: RowOf<'mark'>): string {
  const panes = new Set(
    view.rows.mark.filter(({ look }) => look === 'speck').map(({ surfaceId }) => surfaceId),
  );
  panes.delete(mark.surfaceId);
  return panes.size > 0 ? 'several panes' : 'this pane only';
}

/** Of the surface when it was worked on, against what the film's sheet asks for; not read: unknown. */
function groundOf(view: JobView, mark: RowOf<'mark'>): string | undefined {
  const least = view.filmById.get(filmOf(view, mark)?.filmId ?? '')?.workMin_C ?? null;
  const read = view.readingsOf(mark.surfaceId).filter(({ quantity }) => quantity === 'surface temperature');
  const [last] = read.slice(-1);
  if (last === undefined || least === null) return undefined;
  return (last.corrected ?? last.value) < least ? 'below sheet' : 'within sheet';
}

/** Whether film was read to be hot enough after it was stretched. */
function postHeatOf(view: JobView, mark: RowOf<'mark'>): string | undefined {
  const film = filmOf(view, mark);
  const aim = view.filmById.get(film?.filmId ?? '')?.postHeat_C ?? null;
  const read = view
    .readingsOf(mark.surfaceId)
    .filter(
      ({ quantity, step }) => quantity === 'film temperature' && (step?.startsWith('post-heat') ?? false),
    );
  if (read.length === 0 || aim === null) return undefined;
  return read.some(({ corrected, value }) => (corrected ?? value) >= aim) ? 'reached' : 'below';
}

function peopleOf(view: JobView, mark: RowOf<'mark'>): string | undefined {
  const film = filmOf(view, mark);
  const crews = view.workOf(film?.id ?? '').map(({ people }) => people.length);
  const most = Math.max(0, ...crews);
  return most === 0 ? undefined : most > 1 ? 'enough hands' : undefined;
}

function paintOf(view: JobView, { surfaceId }: RowOf<'mark'>): string | undefined {
  const wall = view.wallFactsOf(surfaceId);
  return wall === undefined ? undefined : wall.paint === 'none' ? 'not paint' : PAINT[wall.paintAge];
}

/** Soap in what was sprayed, against what is too rich for laying film. */
function mixOf(view: JobView, mark: RowOf<'mark'>): string | undefined {
  const soaps = view.workOf(filmOf(view, mark)?.id ?? '').flatMap(({ mix }) => {
    const percent = /(\d+(?:\.\d+)?) % soap/.exec(mix)?.[1];
    return percent === undefined ? [] : [Number(percent) / 100];
  });
  if (soaps.length === 0) return undefined;
  return Math.max(...soaps) > slipBoundsOf(view).rich ? 'rich' : 'lean or right';
}

/** Whether the sun could reach the glass while it was worked on, by geometry; without hours it is unknown. */
function sunOf(view: JobView, mark: RowOf<'mark'>): string | undefined {
  const film = filmOf(view, mark);
  const surface = view.surfaceById.get(mark.surfaceId);
  if (film === undefined || surface === undefined) return undefined;
  const times = view
    .workOf(film.id)
    .flatMap(({ startedAt, doneAt }) => [startedAt, doneAt].filter((at) => at !== null))
    .map((at) => Date.parse(at));
  if (times.length < 2) return undefined;
  const [from_ms, to_ms] = [Math.min(...times), Math.max(...times)];
  // Work over several days says nothing of the hour in which the film was laid.
  if (to_ms - from_ms > WORK_MS) return undefined;
  const { own, unknown } = caseOfRows(
    surfaceRowsOf(view, surface),
    film.side,
    undefined,
    USUAL_AIR,
    newSunBook(),
  );
  if (unknown.includes('the bearing of the surface') || unknown.includes('where on earth the place is'))
    return undefined;
  const isSunny =
    own.facing !== null && directSun(sunTrack(own.place, from_ms, to_ms), own.facing, 'seen').length > 0;
  return isSunny ? 'sun or warm glass' : 'wet and shaded';
}
