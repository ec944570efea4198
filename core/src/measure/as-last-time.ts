import type { ShelfMeasure } from '../job';
import { mmFromNm } from '../quantity';
import { RULES } from '../rules';

/** A length here beside the same of the pane on the shelf. */
interface LengthCompared {
  readonly fromPoint: string;
  readonly toPoint: string;
  readonly here_mm: number;
  readonly shelf_mm: number;
}

/** Whether a pane is the one on the shelf: two lengths that agree prove it, one that is off disproves it. */
export type SameAsLastTime =
  | { readonly case: 'agrees'; readonly compared: readonly LengthCompared[] }
  | {
      readonly case: 'differs';
      readonly compared: readonly LengthCompared[];
      readonly worst: LengthCompared;
    }
  /** Lengths of the shelf to measure here first. */
  | {
      readonly case: 'measure two lengths';
      readonly still: number;
      readonly ask: readonly ShelfMeasure[];
    };

const LENGTHS_NEEDED = 2;
type Between = Pick<ShelfMeasure, 'kind' | 'fromPoint' | 'toPoint'>;

const isSameLength = (one: Between, other: Between): boolean =>
  one.kind === 'distance' &&
  other.kind === 'distance' &&
  ((one.fromPoint === other.fromPoint && one.toPoint === other.toPoint) ||
    (one.fromPoint === other.toPoint && one.toPoint === other.fromPoint));

/** Lengths measured here beside those of a pane on the shelf. Sags prove nothing: they are small. */
export function sameAsLastTime(
  here: readonly ShelfMeasure[],
  shelf: readonly ShelfMeasure[],
): SameAsLastTime {
  const compared = shelf.flatMap((kept): LengthCompared[] => {
    const own = here.find((measure) => isSameLength(measure, kept));
    if (own === undefined) return [];
    const { fromPoint, toPoint } = kept;
    return [{ fromPoint, toPoint, here_mm: mmFromNm(own.value_nm), shelf_mm: mmFromNm(kept.value_nm) }];
  });
  const [worst] = compared.toSorted((a, b) => apart(b) - apart(a));
  if (worst !== undefined && apart(worst) > RULES.shelfAgrees.value)
    return { case: 'differs', compared, worst };
  if (compared.length >= LENGTHS_NEEDED) return { case: 'agrees', compared };
  const ask = shelf.filter(
    (kept) => kept.kind === 'distance' && !here.some((measure) => isSameLength(measure, kept)),
  );
  return { case: 'measure two lengths', still: LENGTHS_NEEDED - compared.length, ask };
}

const apart = ({ here_mm, shelf_mm }: LengthCompared): number => Math.abs(here_mm - shelf_mm);

/** What of the shelf is still wanting here. */
export function wantingHere(
  here: readonly ShelfMeasure[],
  shelf: readonly ShelfMeasure[],
): readonly ShelfMeasure[] {
  return shelf.filter(
    (kept) =>
      !here.some(
        (own) =>
          isSameLength(own, kept) ||
          (own.kind === kept.kind && own.fromPoint === kept.fromPoint && own.toPoint === kept.toPoint),
      ),
  );
}
