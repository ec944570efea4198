import type { SurfaceShape } from '@yellow-pane/core/job';
import { type MeasureSlot, typedRange } from '@yellow-pane/core/measure';
import { type LengthUnit, formatLengthWithUnit, parseReading } from '@yellow-pane/core/quantity';
import { surveyWords } from '../../words/survey';
import { unreadableWord } from './survey-words';

export interface ReadMeasure {
  readonly value_nm: number;
  readonly unit: LengthUnit;
}

/** What was typed as a measure, or the sentence that says what is expected there. */
export function readTyped(
  text: string,
  {
    kind,
    shape,
    lies,
    unit,
  }: {
    readonly kind: MeasureSlot['kind'];
    readonly shape: SurfaceShape | undefined;
    readonly lies: MeasureSlot['lies'] | undefined;
    readonly unit: LengthUnit;
  },
): ReadMeasure | { readonly fault: string } {
  const parsed = parseReading(text, unit, typedRange(kind, shape, lies));
  if (parsed.kind === 'unreadable') return { fault: unreadableWord(parsed.reason) };
  if (parsed.kind !== 'out of range') return parsed;
  const got = formatLengthWithUnit(parsed.value_nm, 'metric');
  return {
    fault:
      kind === 'right angle'
        ? surveyWords.trySquareHint
        : surveyWords.outOfRange(rangeWord(parsed.least_mm), rangeWord(parsed.most_mm), got),
  };
}

function rangeWord(value_mm: number): string {
  return Math.abs(value_mm) >= 1000 ? `${value_mm / 1000} m` : `${value_mm} mm`;
}
