import { DIFFUSE_AS_DEG } from '../glazing';
import { type Formula, type Reasoned, type Source, applyFormula, valueAt } from '../quantity';
import type { AngledAbsorption } from '../thermal-stress';
import type { YearMoment } from './question';

const CLEAR: Source = {
  kind: 'published',
  text: 'ASHRAE clear sky, angle by angle; every day taken as clear, so real months bring less',
};
const MONTH_FORMULA: Formula<{ readonly day: number; readonly days: number; readonly area: number }> = {
  id: 'choosing.month-heat',
  word: 'Heat let in, sunniest month',
  says: 'Q = q_day·days·A',
  unit: 'kWh',
  source: CLEAR,
  inputs: {
    day: { word: 'on a clear day', unit: 'kWh/m²' },
    days: { word: 'days', unit: 'd' },
    area: { word: 'glass', unit: 'm²' },
  },
  of: ({ day, days, area }) => day * days * area,
};
const PEAK_FORMULA: Formula<{ readonly flux: number; readonly area: number }> = {
  id: 'choosing.peak-heat',
  word: 'Heat let in, strongest hour',
  says: 'P = q·A',
  unit: 'W',
  source: CLEAR,
  inputs: { flux: { word: 'per square metre', unit: 'W/m²' }, area: { word: 'glass', unit: 'm²' } },
  of: ({ flux, area }) => flux * area,
};
export const YEAR_FORMULAS = [MONTH_FORMULA, PEAK_FORMULA] as const;
const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

export interface YearHeat {
  readonly months_kWh: readonly number[];
  readonly largestMonth: Reasoned<number>;
  readonly peak: Reasoned<number>;
}

/** Sun's heat let in, month by month under clear skies.
 *  @param inwardShare of what the glass absorbs, how much comes in @param area_m2 > 0 */
export function heatThroughYear(
  year: readonly (readonly YearMoment[])[],
  absorption: AngledAbsorption,
  inwardShare: number,
  area_m2: number,
): YearHeat | undefined {
  if (year.length === 0) return undefined;
  const gainAt = (incidence_deg: number): number =>
    absorption.transmittedAt(incidence_deg) +
    inwardShare * absorption.at(incidence_deg).reduce((sum, part) => sum + part, 0);
  const diffuse = gainAt(DIFFUSE_AS_DEG);
  let peak = 0;
  const days = year.map((moments) =>
    moments.reduce((sum, { beam_Wm2, diffuse_Wm2, incidence_deg }) => {
      const flux = (beam_Wm2 > 0 ? beam_Wm2 * gainAt(incidence_deg) : 0) + diffuse_Wm2 * diffuse;
      peak = Math.max(peak, flux);
      return sum + (flux * 24) / moments.length / 1000;
    }, 0),
  );
  const months_kWh = days.map((day, month) =>
    MONTH_FORMULA.of({ day, days: DAYS[month] ?? 30, area: area_m2 }),
  );
  const largest = months_kWh.indexOf(Math.max(...months_kWh));
  const month = applyFormula(
    MONTH_FORMULA,
    { day: valueAt(days, largest), days: DAYS[largest] ?? 30, area: area_m2 },
    { remark: 'clear sky every day' },
  );
  const hour = applyFormula(PEAK_FORMULA, { flux: peak, area: area_m2 });
  return {
    months_kWh,
    largestMonth: { value: month.value, why: [month] },
    peak: { value: hour.value, why: [hour] },
  };
}
