import { surveyWords } from '../../words/survey';

/** As typed: bearing and height above level, one pair a line. */
export function horizonOf(text: string): { readonly bearing_deg: number; readonly elevation_deg: number }[] {
  const lines = text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
  const pairs = lines.map((line) => line.split(/[\s;]+/).map((figure) => Number(figure.replace(',', '.'))));
  return pairs.map(([bearing_deg = Number.NaN, elevation_deg = Number.NaN]) => ({
    bearing_deg,
    elevation_deg,
  }));
}

/** The first line that is no bearing with a height; none: all are. */
export function skylineFault(text: string): string | undefined {
  const wrong = horizonOf(text).findIndex(
    ({ bearing_deg, elevation_deg }) =>
      !(bearing_deg >= 0 && bearing_deg < 360 && elevation_deg >= -10 && elevation_deg <= 90),
  );
  return wrong < 0 ? undefined : surveyWords.skylineLineWrong(wrong + 1);
}
