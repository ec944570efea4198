import type { ClimateYear } from '@yellow-pane/core/job';
import { MONTHS, refuseClimate } from '@yellow-pane/core/climate';
import { CoreError } from '@yellow-pane/core/quantity';
import { surveyWords } from '../../words/survey';

const PERCENT = 100;

const figuresOf = (text: string): readonly (readonly number[])[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map((line) => line.split(/[\s;]+/).map((figure) => Number(figure.replace(',', '.'))));

/** As typed: air, swing of a day, humidity and sun in percent, a month a line; nothing typed: not known. */
export function climateOfText(text: string): ClimateYear | null {
  const lines = figuresOf(text);
  return lines.length === 0
    ? null
    : lines.map(([air_C = NaN, swing_K = NaN, humidity = NaN, sun = NaN]) => ({
        ...{ air_C, swing_K, humidity: humidity / PERCENT, sun: sun / PERCENT },
      }));
}

export function textOfClimate(climate: ClimateYear | null): string {
  return (climate ?? [])
    .map(({ air_C, swing_K, humidity, sun }) =>
      [air_C, swing_K, Math.round(humidity * PERCENT), Math.round(sun * PERCENT)].join(' '),
    )
    .join('\n');
}

/** What is wrong with it, by the line of the month; undefined: nothing. */
export function climateFault(text: string): string | undefined {
  const lines = figuresOf(text);
  if (lines.length === 0) return undefined;
  if (lines.length !== MONTHS) return surveyWords.climateWantsMonths(lines.length);
  const short = lines.findIndex(
    (figures) => figures.length !== 4 || figures.some((figure) => Number.isNaN(figure)),
  );
  if (short >= 0) return surveyWords.climateLineWrong(short + 1, '');
  try {
    refuseClimate(climateOfText(text) ?? []);
    return undefined;
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    const line = Number(error.data.path.split('.')[1]) + 1;
    return surveyWords.climateLineWrong(line, error.data.expected);
  }
}
