import { MEASURE_KINDS, type MeasureKind, type MeasurePoint, type SurfaceShape } from '../job';

/**
 * Where the field of a measure lies on the drawing: on a dimension line off a side, just outside its own
 * line, inside, or in the list beside.
 */
type SlotPlace = 'top' | 'bottom' | 'left' | 'right' | 'along' | 'inside' | 'beside';

/** One customary measure of a shape, in the order of walking. */
export interface MeasureSlot {
  readonly key: string;
  readonly kind: MeasureKind;
  readonly from: MeasurePoint;
  readonly to: MeasurePoint;
  readonly word: string;
  readonly group: 'width' | 'height' | 'diagonal' | 'side' | 'curve' | 'check' | 'edge';
  readonly lies: SlotPlace;
  /** Along its line, from the first point: so that fields do not cover each other. */
  readonly share?: number;
  /** Not asked for in the order of walking; offered when it helps. */
  readonly isExtra?: true;
  readonly how?: string;
}

const POINT_WORDS: Readonly<Record<string, string>> = {
  tl: 'the upper left corner',
  tr: 'the upper right corner',
  br: 'the lower right corner',
  bl: 'the lower left corner',
  mt: 'the middle of the top',
  mr: 'the middle of the right side',
  mb: 'the middle of the bottom',
  ml: 'the middle of the left side',
  mm: 'the middle',
  ct: 'the crown',
  tp: 'the upper corner',
  floor: 'the floor',
};

/** What a fitter calls a point. */
function pointWord(point: MeasurePoint): string {
  const [, letter = '', number = ''] = /^([a-z]+)(\d+)$/.exec(point) ?? [];
  if (letter === 'p') return `corner ${number}`;
  if (letter === 'c') return `ring ${number}`;
  return POINT_WORDS[point] ?? point;
}

/** What a fitter calls a measure: the slot's own word, or its two points. */
export function measureWord(
  slots: readonly MeasureSlot[],
  { kind, from, to }: Pick<MeasureSlot, 'kind' | 'from' | 'to'>,
): string {
  const slot =
    slots.find((candidate) => candidate.kind === kind && candidate.from === from && candidate.to === to) ??
    slots.find(
      (candidate) =>
        candidate.kind === kind &&
        candidate.from === to &&
        candidate.to === from &&
        kind !== 'quarter sag' &&
        kind !== 'level',
    );
  if (slot !== undefined) return slot.word;
  if (kind === 'distance') return `from ${pointWord(from)} to ${pointWord(to)}`;
  return from === to
    ? `${kind} at ${pointWord(from)}`
    : `${kind} from ${pointWord(from)} to ${pointWord(to)}`;
}

const MIRRORED: Readonly<Record<MeasurePoint, MeasurePoint>> = {
  tl: 'tr',
  tr: 'tl',
  bl: 'br',
  br: 'bl',
  ml: 'mr',
  mr: 'ml',
  q1: 'q2',
  q2: 'q1',
  q3: 'q4',
  q4: 'q3',
};

/** The points of a measure as they are called from the other side. */
export function mirroredMeasure<
  Measure extends { readonly kind: MeasureKind; readonly from: MeasurePoint; readonly to: MeasurePoint },
>(measure: Measure): Measure {
  return { ...measure, from: MIRRORED[measure.from] ?? measure.from, to: MIRRORED[measure.to] ?? measure.to };
}

/**
 * A pane's sides and diagonals are typed within this; beyond it a digit or the unit is wrong.
 * @source our guess
 */
const PANE_MM = { least_mm: 20, most_mm: 20_000 } as const;

/**
 * What may be typed for a measure of such a shape: within a pane's sizes for its own sides, else as its kind.
 */
export function typedRange(
  kind: MeasureKind,
  shape: SurfaceShape | undefined,
  lies: MeasureSlot['lies'] | undefined,
): { readonly least_mm: number; readonly most_mm: number } {
  return kind === 'distance' && shape !== 'wall' && lies !== 'beside' ? PANE_MM : MEASURE_KINDS[kind];
}
