import { valueAt } from '../quantity';
import { type Facing, type SunMoment, sunOnSurface } from '../climate';
import {
  DIFFUSE_AS_DEG,
  type HeatBalance,
  type HeatConditions,
  type HeatGap,
  type HeatPane,
  type MakeUp,
  heatBalance,
  heatGapsOf,
  heatPanesOf,
  opticsAtAngles,
} from '../glazing';
import { type DesignDay, outdoorAt } from './design-days';
import { type StressCase, edgeStress } from './stress';
import {
  type EdgeHold,
  FRAME_FOLLOWS_OUTDOORS,
  type ShadePattern,
  patternOf,
  stressFactor,
} from './stress-factors';

/** One pane at one hour of one design day. */
export interface StressMoment {
  readonly day: string;
  readonly hour: number;
  readonly pane: number;
  readonly stress_MPa: number;
  readonly pattern: ShadePattern;
  readonly sun_Wm2: number;
  readonly stressCase: StressCase;
}

export interface StressSetting {
  readonly hold: EdgeHold;
  readonly isDeep: boolean;
  /** Taken where the shade is not known: the pattern at hand if worse. */
  readonly assumedPattern: ShadePattern | null;
  readonly hasHeater: boolean;
  readonly height_m: number;
}

export interface DayStress {
  /** Worst hour of each pane over all days. */
  readonly worst: readonly StressMoment[];
  /** Hour by hour of the day that holds the worst of all: the largest over the panes, MPa. */
  readonly hours: readonly {
    readonly hour: number;
    readonly stress_MPa: number;
    readonly hottest_C: number;
  }[];
  readonly hottest_C: number;
}

const CALM_WM2K = 8;
const CLOSE_ENOUGH_K = 0.01;
const HEATER_ADDS_K = 15;
const STEPS_DEG = [0, 20, 40, 50, 60, 70, 80, 87] as const;
const COSINES = STEPS_DEG.map((deg) => Math.cos((deg * Math.PI) / 180));

/** Share of the sun absorbed in each layer at any angle: calculated at eight, straight between. */
export interface AngledAbsorption {
  readonly emissivities: readonly (readonly [number, number])[];
  readonly at: (incidence_deg: number) => readonly number[];
  readonly transmittedAt: (incidence_deg: number) => number;
}

/** Optics once per make-up and film: hot loops only interpolate. @throws CoreError as the make-up's check */
export function absorptionOf(makeUp: MakeUp): AngledAbsorption {
  const tables = opticsAtAngles(makeUp, COSINES);
  const at = (incidence_deg: number, pick: (index: number) => readonly number[]): readonly number[] => {
    let index = 0;
    while (index < STEPS_DEG.length - 2 && (STEPS_DEG[index + 1] ?? 90) < incidence_deg) index += 1;
    const [low, high] = [valueAt(STEPS_DEG, index), STEPS_DEG[index + 1] ?? 90];
    const along = Math.min(1, Math.max(0, (incidence_deg - low) / (high - low)));
    const [a, b] = [pick(index), pick(index + 1)];
    return a.map((value, layer) => value + along * ((b[layer] ?? value) - value));
  };
  return {
    emissivities: tables[0]?.emissivities ?? [],
    at: (incidence_deg) => at(incidence_deg, (index) => tables[index]?.solar.absorbed ?? []),
    transmittedAt: (incidence_deg) =>
      valueAt(
        at(incidence_deg, (index) => [tables[index]?.solar.transmitted ?? 0]),
        0,
      ),
  };
}

/** The glass at every step of every day without sun. */
export type DarkBalances = readonly (readonly HeatBalance[])[];

/**
 * Without sun a film changes only how the glass radiates: calculated once for all films of like emissivity.
 */
export function darkBalances(
  makeUp: MakeUp,
  emissivities: AngledAbsorption['emissivities'],
  days: readonly DesignDay[],
  steps: number,
  setting: StressSetting,
): DarkBalances {
  const [panes, gaps] = [heatPanesOf(makeUp, [], emissivities), heatGapsOf(makeUp)];
  return days.map((day) => {
    let start: readonly number[] | undefined;
    return Array.from({ length: steps }, (_, step) => {
      const found = balance(
        panes,
        gaps,
        { ...conditionsOf(day, (24 * step) / steps, setting), sun_Wm2: 0 },
        start,
      );
      start = found.faces_C;
      return found;
    });
  });
}

function conditionsOf(
  day: DesignDay,
  hour: number,
  { hasHeater, height_m }: StressSetting,
): Omit<HeatConditions, 'sun_Wm2'> {
  return {
    outdoor_C: outdoorAt(day, hour),
    indoor_C: day.indoor_C + (hasHeater ? HEATER_ADDS_K : 0),
    outdoor_Wm2K: CALM_WM2K,
    height_m,
  };
}

/** Edge tension of every pane, hour by hour of the design days.
 *  @param dark as `darkBalances` gives it for the same make-up and emissivities
 *  @param suns the sun on this surface on each day, as `sunOnSurface` gives it: shared by all films
 *  @source heat balance of the glazing room; stress factors of this one */
export function dayStress(
  makeUp: MakeUp,
  absorption: AngledAbsorption,
  days: readonly DesignDay[],
  suns: readonly (readonly SunMoment[])[],
  setting: StressSetting,
  dark: DarkBalances = darkBalances(makeUp, absorption.emissivities, days, suns[0]?.length ?? 0, setting),
): DayStress {
  const gaps = heatGapsOf(makeUp);
  const diffuse = absorption.at(DIFFUSE_AS_DEG);
  const worst: (StressMoment | undefined)[] = makeUp.panes.map(() => undefined);
  const byDay = days.map((): { hour: number; stress_MPa: number; hottest_C: number }[] => []);
  const unlit = heatPanesOf(makeUp, [], absorption.emissivities);
  days.forEach((day, dayIndex) => {
    let sunnyStart: readonly number[] | undefined;
    (suns[dayIndex] ?? []).forEach((moment, step, moments) => {
      const hour = (24 * step) / moments.length;
      const conditions = conditionsOf(day, hour, setting);
      const inTheDark = dark[dayIndex]?.[step];
      if (inTheDark === undefined) return;
      const pattern = worseOf(moment, setting.assumedPattern);
      const beam_Wm2 = pattern === undefined ? 0 : moment.beam_Wm2;
      const total = beam_Wm2 + moment.diffuse_Wm2;
      const sunny =
        total <= 0
          ? inTheDark
          : balance(
              lit(unlit, absorption.at(moment.incidence_deg), diffuse, beam_Wm2, moment.diffuse_Wm2),
              gaps,
              { ...conditions, sun_Wm2: 1 },
              sunnyStart,
            );
      if (total > 0) sunnyStart = sunny.faces_C;
      const used = pattern ?? 'full sun';
      const air = { outdoor_C: conditions.outdoor_C, indoor_C: day.indoor_C };
      let [largest, hottest] = [0, -Infinity];
      makeUp.panes.forEach((_, pane) => {
        const stressCase = caseOf(pane, sunny, inTheDark, used, air, setting);
        const stress_MPa = edgeStress(stressCase);
        largest = Math.max(largest, stress_MPa);
        hottest = Math.max(hottest, stressCase.sunny_C);
        const before = worst[pane];
        if (before === undefined || stress_MPa > before.stress_MPa)
          worst[pane] = { day: day.name, hour, pane, stress_MPa, pattern: used, sun_Wm2: total, stressCase };
      });
      byDay[dayIndex]?.push({ hour, stress_MPa: largest, hottest_C: hottest });
    });
  });
  const found = worst.filter((moment) => moment !== undefined);
  return {
    worst: found,
    hours: byDay[dayOfWorst(found, days)] ?? [],
    hottest_C: Math.max(...byDay.flat().map(({ hottest_C }) => hottest_C)),
  };
}

/** The day on which the largest tension of all falls; the first when there is none. */
function dayOfWorst(worst: readonly StressMoment[], days: readonly DesignDay[]): number {
  const leader = worst.reduce<StressMoment | undefined>(
    (best, moment) => (best === undefined || moment.stress_MPa > best.stress_MPa ? moment : best),
    undefined,
  );
  return Math.max(
    0,
    days.findIndex(({ name }) => name === leader?.day),
  );
}

/** The temperatures of one pane between its sunny middle and its held edge. */
function caseOf(
  pane: number,
  sunny: HeatBalance,
  dark: HeatBalance,
  pattern: Parameters<typeof stressFactor>[0],
  { outdoor_C, indoor_C }: { readonly outdoor_C: number; readonly indoor_C: number },
  { hold, isDeep }: StressSetting,
): StressCase {
  return {
    sunny_C: valueAt(sunny.panes_C, pane),
    dark_C: valueAt(dark.panes_C, pane),
    outdoor_C,
    indoor_C,
    factor: stressFactor(pattern, hold, isDeep),
    factorFullSun: stressFactor('full sun', hold, isDeep),
    frameFollows: FRAME_FOLLOWS_OUTDOORS[hold],
  };
}

/** The suns of the design days on one surface. */
export function designSuns(days: readonly DesignDay[], facing: Facing): readonly (readonly SunMoment[])[] {
  return days.map(({ path }) => sunOnSurface(path, facing));
}

const balance = (
  panes: readonly HeatPane[],
  gaps: readonly HeatGap[],
  conditions: Parameters<typeof heatBalance>[2],
  start_C: readonly number[] | undefined,
) => heatBalance(panes, gaps, conditions, { done_K: CLOSE_ENOUGH_K, start_C });

function lit(
  panes: readonly HeatPane[],
  direct: readonly number[],
  diffuse: readonly number[],
  beam_Wm2: number,
  diffuse_Wm2: number,
): readonly HeatPane[] {
  return panes.map((pane, index) => ({
    ...pane,
    absorbed: valueAt(direct, index) * beam_Wm2 + valueAt(diffuse, index) * diffuse_Wm2,
  }));
}

/**
 * The pattern of the shade there is, or the assumed one where that is worse. Undefined: no sun on the pane.
 */
function worseOf({ beam_Wm2, shadow }: SunMoment, assumed: ShadePattern | null): ShadePattern | undefined {
  if (beam_Wm2 <= 0) return undefined;
  const seen = patternOf(shadow.head, shadow.side);
  if (seen === undefined || assumed === null) return seen;
  return stressFactor(seen, 'metal') >= stressFactor(assumed, 'metal') ? seen : assumed;
}
