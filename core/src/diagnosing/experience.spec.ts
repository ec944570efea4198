import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../quantity';
import { RULES } from '../rules';
import { type LeftWater, learnedWater, usualWater } from '../waiting';
import { MATERIAL_NOT_STATED } from '../job';
import { type CaseInTheEnd, LEAST_CASES, calibrationOf } from './calibration-page';
import { diagnose } from './diagnose';
import { remediesForBoth, whenItWorked } from './next-question';
import { type CallSaid, CALLER_SEES, callAnswer } from './phone-card';
import { ANOTHER_CAUSE, priorOf } from './posterior';
import { LOOK_TABLES } from './tables';

const TABLE = LOOK_TABLES.nib;
const NAMES = [...TABLE.causes.map(({ id }) => id), ANOTHER_CAUSE];

describe('was the certainty deserved?', () => {
  /** Cases whose cause is drawn from the shares that were claimed, or from shares less sure than those. */
  function cases(count: number, sureness: number, seed = 27): readonly CaseInTheEnd[] {
    const random = seededRandom(seed);
    return Array.from({ length: count }, () => {
      const raw = NAMES.map(() => random() ** 4 + 0.02);
      const all = raw.reduce((sum, one) => sum + one, 0);
      const truth = raw.map((one) => one / all);
      const claimed = truth.map((share) => share ** sureness);
      const claims = claimed.reduce((sum, one) => sum + one, 0);
      const at = random();
      let [index, passed] = [0, truth[0] ?? 0];
      while (passed < at && index < truth.length - 1) passed += truth[(index += 1)] ?? 0;
      return {
        ...{ table: TABLE, posterior: claimed.map((one) => one / claims), before: 40 },
        confirmed: NAMES[index] ?? '',
      };
    });
  }
  it('few cases are too few to say, and nothing is refitted by them', () => {
    expect(calibrationOf(cases(LEAST_CASES - 1, 3))).toMatchObject({
      says: 'too few to say',
      z: null,
      lambda: 0.8,
    });
    expect(calibrationOf([])).toEqual({
      ...{ cases: 0, brier: null, z: null, says: 'too few to say', bins: [], lambda: 0.8 },
    });
  });
  it('claims that come true as often as claimed are deserved, in 95 of 100 such shops or nearly', () => {
    const deserved = Array.from({ length: 60 }, (_, seed) => calibrationOf(cases(80, 1, seed + 1)).says);
    expect(deserved.filter((says) => says === 'deserved').length).toBeGreaterThanOrEqual(52);
  });
  it('claims twice as sure as the truth are found out, and answers are believed less from then on', () => {
    const own = calibrationOf(cases(300, 2.5));
    expect(own.says).toBe('too sure');
    expect(Math.abs(own.z ?? 0)).toBeGreaterThan(1.96);
    expect(own.lambda).toBeLessThan(0.8);
  });
  it('claims half as sure are found out too, and believed more', () => {
    const own = calibrationOf(cases(300, 0.4));
    expect([own.says, own.lambda]).toEqual(['not sure enough', 1]);
  });
  it('each tenth of certainty with what came of it and its 90 % interval, which holds the share', () => {
    const { bins, cases: all } = calibrationOf(cases(200, 1));
    expect(bins.reduce((sum, bin) => sum + bin.cases, 0)).toBe(all);
    for (const bin of bins) {
      expect(bin.least).toBeLessThanOrEqual((bin.came + 1) / (bin.cases + 2));
      expect(bin.most).toBeGreaterThanOrEqual((bin.came + 1) / (bin.cases + 2));
    }
  });
  it('the interval of three in twenty, by the binomial sum that equals a Beta law at whole numbers', () => {
    const shares = NAMES.map((_, index) => (index === 0 ? 0.75 : 0.25 / (NAMES.length - 1)));
    const twenty = Array.from({ length: 20 }, (_, n): CaseInTheEnd => ({
      ...{ table: TABLE, posterior: shares, before: 40 },
      confirmed: (n < 3 ? NAMES[0] : NAMES[1]) ?? '',
    }));
    const [bin] = calibrationOf(twenty).bins;
    const choose = (n: number, k: number): number => (k === 0 ? 1 : (choose(n, k - 1) * (n - k + 1)) / k);
    // P(Beta(4, 18) ≤ x) is the chance of four or more of 21 at chance x.
    const under = (x: number): number =>
      Array.from({ length: 18 }, (_, k) => choose(21, k + 4) * x ** (k + 4) * (1 - x) ** (17 - k)).reduce(
        (sum, one) => sum + one,
        0,
      );
    expect(under(bin?.least ?? 0)).toBeCloseTo(0.05, 9);
    expect(under(bin?.most ?? 0)).toBeCloseTo(0.95, 9);
  });
});

describe('what if two causes fired together?', () => {
  it('where the record knows of several it is said, and the remedy must mend both', () => {
    const present = { softPressure: 1, noOverlap: 1, noDryingSeason: 1 };
    const own = diagnose({ table: LOOK_TABLES.waterPocket, seen: {}, present }, 150, 0);
    expect(own.several).toBeGreaterThan(0.3);
    expect(own.says).toBe('probably two together');
    const [first, second] = own.shown.map(({ id }) => id);
    const both = remediesForBoth(LOOK_TABLES.waterPocket, [first ?? '', second ?? ''], 150);
    expect(own.remedies).toEqual(both);
    for (const { id, chance } of both) {
      const row = LOOK_TABLES.waterPocket.remedies.find((remedy) => remedy.id === id);
      const cures = [first, second].map(
        (cause) => row?.cures[LOOK_TABLES.waterPocket.causes.findIndex((each) => each.id === cause)] ?? 0,
      );
      expect(chance).toBeCloseTo((cures[0] ?? 0) * (cures[1] ?? 0), 12);
    }
  });
  it('a single likely cause is named alone', () => {
    const own = diagnose({ table: TABLE, seen: {}, present: { glassNotClean: 1, edgeNotDry: 0 } }, 150, 0);
    expect(own.says).toBe('probably');
  });
});

describe('what does a remedy that worked say of the cause?', () => {
  it('each cause as likely as it was, times how often the remedy mends it (Bayes)', () => {
    const table = LOOK_TABLES.dryBubbles;
    const prior = priorOf({ table, seen: {}, present: {} });
    const [remedy] = table.remedies;
    const own = whenItWorked(table, prior, remedy?.id ?? '') ?? [];
    expect(own.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 12);
    const ratio = (a: number, b: number): number => (own[a] ?? 0) / (own[b] ?? 1);
    expect(ratio(0, 3)).toBeCloseTo(
      ((prior[0] ?? 0) * (remedy?.cures[0] ?? 0)) / ((prior[3] ?? 1) * (remedy?.cures[3] ?? 1)),
      12,
    );
    expect(whenItWorked(table, prior, 'magic')).toBeUndefined();
  });
});

describe('what is a caller told?', () => {
  const said = (own: Partial<CallSaid>): CallSaid => ({ sees: null, days: null, isInTheWay: false, ...own });
  it('a crack: stop, whatever else; loose film in the way: stop; loose film elsewhere: come by', () => {
    expect(callAnswer(said({ sees: 'a crack in the glass', isInTheWay: null }))).toMatchObject({
      says: 'stop using it',
      why: 'a licensed glazier decides',
    });
    expect(callAnswer(said({ sees: 'film comes off', isInTheWay: true }))?.says).toBe('stop using it');
    expect(callAnswer(said({ sees: 'film comes off' }))?.says).toBe('come by');
  });
  it('bubbles within their days are normal, past them or getting worse somebody comes by', () => {
    const bubbles = (days: number | null, isInTheWay = false, dries?: number) =>
      callAnswer(said({ sees: 'bubbles or haze', days, isInTheWay }), dries);
    expect(bubbles(5)).toEqual({
      says: 'normal',
      why: 'it dries by itself',
      until_days: RULES.driesByCustom.value,
    });
    expect(bubbles(60)).toMatchObject({ says: 'come by', why: 'past its days' });
    expect(bubbles(60, false, 80)).toMatchObject({ says: 'normal', until_days: 80 });
    expect(bubbles(5, true)).toMatchObject({ says: 'come by', why: 'it gets worse' });
    expect(bubbles(null)).toMatchObject({ says: 'come by', why: 'nobody knows when it was laid' });
  });
  it('no answer while a question is open that would change it', () => {
    expect(callAnswer(said({ isInTheWay: null }))).toBeUndefined();
    expect(callAnswer(said({ sees: 'bubbles or haze', days: 5, isInTheWay: null }))).toBeUndefined();
    for (const sees of CALLER_SEES) expect(callAnswer(said({ sees }))).toBeDefined();
  });
});

describe('what do the shop’s own pockets teach?', () => {
  const first: LeftWater = { value: 10, doubt: 0.54 };
  it('one seen gone: the normal update of the logarithm, by hand', () => {
    const own = learnedWater(first, [{ left_gm2: 20, isGone: true }]);
    const weight = 0.54 ** 2 / (0.54 ** 2 + 0.3 ** 2);
    expect(Math.log(own.value)).toBeCloseTo(Math.log(10) + weight * Math.log(2), 12);
    expect(own.doubt).toBeCloseTo(Math.sqrt((0.54 ** 2 * 0.3 ** 2) / (0.54 ** 2 + 0.3 ** 2)), 12);
  });
  it('one still there says that there was more: against the law cut off, summed finely', () => {
    const own = learnedWater(first, [{ left_gm2: 20, isGone: false }]);
    const cut = Math.log(20);
    let [all, mean, square] = [0, 0, 0];
    for (let x = Math.log(10) - 4; x < Math.log(10) + 5; x += 0.002)
      for (let noise = -1.5; noise <= 1.5; noise += 0.02) {
        if (x + noise <= cut) continue;
        const weight =
          Math.exp(-((x - Math.log(10)) ** 2) / (2 * 0.54 ** 2)) * Math.exp(-(noise ** 2) / (2 * 0.3 ** 2));
        all += weight;
        mean += weight * x;
        square += weight * x * x;
      }
    expect(Math.log(own.value)).toBeCloseTo(mean / all, 2);
    expect(own.doubt).toBeCloseTo(Math.sqrt(square / all - (mean / all) ** 2), 2);
  });
  it('no pocket changes nothing; many narrow it; one seen at the very beginning says nothing', () => {
    expect(learnedWater(first, [])).toEqual({
      value: expect.closeTo(10, 12),
      doubt: expect.closeTo(0.54, 12),
    });
    const many = learnedWater(
      first,
      Array.from({ length: 30 }, () => ({ left_gm2: 14, isGone: true })),
    );
    expect(many.value).toBeCloseTo(14, 0);
    expect(many.doubt).toBeLessThan(0.06);
    expect(learnedWater(first, [{ left_gm2: 0, isGone: true }]).value).toBeCloseTo(10, 12);
    expect(usualWater({ ...MATERIAL_NOT_STATED, family: 'solar', thickness_um: 50 })).toEqual(first);
  });
  it('however far beyond what was thought, never NaN', () => {
    const own = learnedWater(first, [{ left_gm2: 1e9, isGone: false }]);
    expect(Number.isFinite(own.value) && own.value > 0 && own.doubt >= 0).toBe(true);
  });
});
