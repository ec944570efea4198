import type { Instrument, MeasureKind, MeasurePoint, SurfaceKind, SurfaceShape } from '@yellow-pane/core/job';
import type { LengthUnit } from '@yellow-pane/core/quantity';

export interface BroughtMeasure {
  readonly kind: MeasureKind;
  readonly from: MeasurePoint;
  readonly to: MeasurePoint;
  readonly text: string;
  readonly unit: LengthUnit;
  readonly value_nm: number;
  readonly instrument: Instrument;
  readonly sd_nm: number | null;
}

/** A surface as a sheet or drawing gives it, before it is one of ours. */
export interface BroughtSurface {
  readonly tag: string;
  readonly name: string;
  readonly place: string;
  readonly kind: SurfaceKind;
  readonly shape: SurfaceShape;
  readonly corners: number | null;
  readonly seenFrom: 'room' | 'outside' | 'side A' | 'side B';
  readonly remark: string;
  readonly measures: readonly BroughtMeasure[];
}

/** One line of what was brought in: the surface it makes, and what is wrong with it. */
export interface BroughtLine {
  /** Counted from 1, as a person counts. */
  readonly line: number;
  readonly surface: BroughtSurface;
  readonly faults: readonly { readonly column: string; readonly says: string }[];
  /** Of a drawing: the layer it is on. */
  readonly layer?: string;
  /** To be answered before it is taken: left out unless a person says so. */
  readonly question?: string;
}

export interface BroughtIn {
  readonly lines: readonly BroughtLine[];
  /** About the whole of it: nothing can be taken over. */
  readonly refused: string | undefined;
  /** What the file does not say and only the person knows. */
  readonly asks: readonly ('decimal comma' | 'drawing unit' | 'drawn from')[];
  readonly notes: readonly string[];
  /** Of a list: what each column was taken for; a person may say otherwise. */
  readonly columns: readonly BroughtColumn[];
}

/** A column of a list, and what it was taken for: one of `COLUMN_MEANINGS`, a measure, or empty: left out. */
export interface BroughtColumn {
  readonly heading: string;
  readonly example: string;
  readonly means: string;
}

export const NOTHING: BroughtIn = { lines: [], refused: undefined, asks: [], notes: [], columns: [] };
export const LARGEST_TEXT = 5_000_000;

export function refusedWhole(says: string): BroughtIn {
  return { ...NOTHING, refused: says };
}

/** Marks lines whose tag stands twice, or is in the job already. */
export function withTagFaults(
  lines: readonly BroughtLine[],
  taken: ReadonlySet<string>,
): readonly BroughtLine[] {
  const first = new Map<string, number>();
  return lines.map((line) => {
    const { tag } = line.surface;
    const earlier = first.get(tag);
    if (tag !== '' && earlier === undefined) first.set(tag, line.line);
    if (taken.has(tag))
      return { ...line, faults: [...line.faults, { column: 'tag', says: `${tag} is in this job already` }] };
    return earlier === undefined
      ? line
      : {
          ...line,
          faults: [...line.faults, { column: 'tag', says: `${tag} stands in line ${earlier} already` }],
        };
  });
}
