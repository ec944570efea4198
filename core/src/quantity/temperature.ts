import type { DisplayUnits } from './format-length';

/** Who reads inches reads °F, unless they chose °C beside them. */
export function degreesOf(units: DisplayUnits): '°C' | '°F' {
  return units === 'imperial' ? '°F' : '°C';
}

/** A temperature on the scale of the person. */
export function onScale(celsius: number, units: DisplayUnits): number {
  return degreesOf(units) === '°F' ? (celsius * 9) / 5 + 32 : celsius;
}

/** A temperature for the screen: `24 °C`, `75 °F`. Not a difference: 5 K are 9 °F. */
export function formatTemperature(celsius: number, units: DisplayUnits, digits = 0): string {
  return `${figureOf(onScale(celsius, units), digits)} ${degreesOf(units)}`;
}

/** A difference of temperatures: `5 K`, `9 °F`. */
export function formatDifference(kelvin: number, units: DisplayUnits, digits = 0): string {
  return degreesOf(units) === '°F'
    ? `${figureOf((kelvin * 9) / 5, digits)} °F`
    : `${figureOf(kelvin, digits)} K`;
}

/** A figure as it stands in a field: no more digits than a thermometer has. */
export function temperatureField(celsius: number, units: DisplayUnits): string {
  return String(Math.round(onScale(celsius, units) * 10) / 10);
}

const TYPED = /^([-−–+]?\d{1,4}(?:[.,]\d{1,4})?)\s*°?\s*([cf])?$/i;

/** Reads `24`, `24 °C`, `75F`, `-3,5`; a bare figure is on the scale of the person.
 *  @returns °C; undefined when it is no temperature */
export function parseTemperature(text: string, units: DisplayUnits): number | undefined {
  const [, figure, scale] = TYPED.exec(text.normalize('NFKC').trim()) ?? [];
  if (figure === undefined) return undefined;
  const value = Number(figure.replace(',', '.').replace(/[−–]/, '-'));
  const isFahrenheit = scale === undefined ? degreesOf(units) === '°F' : scale.toLowerCase() === 'f';
  return isFahrenheit ? ((value - 32) * 5) / 9 : value;
}

/** −0 is 0. */
const figureOf = (value: number, digits: number): string => {
  const figure = value.toFixed(digits);
  return Number(figure) === 0 ? figure.replace('-', '') : figure;
};
