import type { Formula, Source } from '../quantity';
import { RULES } from '../rules';

const WMO: Source = {
  kind: 'published',
  text: 'Magnus formula, WMO Guide to Instruments and Methods of Observation (from memory)',
};
const A = 17.62;
const B_C = 243.12;

export const DEW_POINT: Formula<{ readonly air_C: number; readonly humidity: number }> = {
  id: 'climate.dew-point',
  word: 'Dew point',
  says: 'Td = 243.12·γ / (17.62 − γ), γ = ln φ + 17.62·T / (243.12 + T)',
  unit: '°C',
  source: WMO,
  inputs: { air_C: { word: 'air', unit: '°C' }, humidity: { word: 'relative humidity', unit: 'share' } },
  of: ({ air_C, humidity }) => {
    const gamma = Math.log(humidity) + (A * air_C) / (B_C + air_C);
    return (B_C * gamma) / (A - gamma);
  },
};

export const VAPOUR_SOURCE: Source = {
  kind: 'published',
  text: 'Hyland and Wexler 1983 over water, as in the ASHRAE Handbook of Fundamentals (from memory)',
};

/** Pressure of saturated vapour over water, below freezing over supercooled water.
 *  @param air_C -45..60 @returns Pa */
export function saturation_Pa(air_C: number): number {
  const kelvin = air_C + 273.15;
  return Math.exp(
    -5.8002206e3 / kelvin +
      1.3914993 -
      4.8640239e-2 * kelvin +
      4.1764768e-5 * kelvin ** 2 -
      1.4452093e-8 * kelvin ** 3 +
      6.5459673 * Math.log(kelvin),
  );
}

/** Whether a face is so near the dew point of the air that it counts as damp. */
export const isDamp = (face_C: number, dewPoint_C: number): boolean =>
  face_C < dewPoint_C + RULES.dewMargin.value;

/** What a face does in damp air: dry, near, wet or frosted. */
export function dewOn(face_C: number, dewPoint_C: number): 'dry' | 'near' | 'wet' | 'frost' {
  if (face_C <= dewPoint_C) return face_C < 0 ? 'frost' : 'wet';
  return isDamp(face_C, dewPoint_C) ? 'near' : 'dry';
}
