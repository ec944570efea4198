import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../quantity';
import { adjustNetwork, spanOf } from './network/adjust-network';
import { checkSurface } from './check-surface';
import { judge } from './network/judge';
import type { NetworkObservation } from './network/observation';
import type { Point } from './outline';
import { type Reading, sdOf } from './reading';
import { FOUR_SIDE_POINTS, FOUR_SIDE_SLOTS } from './shapes/four-sides';

const random = seededRandom(20261124);
const gauss = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
const between = (low: number, high: number): number => low + (high - low) * random();

interface Trial {
  readonly readings: readonly Reading[];
  readonly observations: readonly NetworkObservation[];
  readonly start: readonly Point[];
}

/** A polygon with all its lengths measured: every slip is well checked there. */
function wellChecked(corners: number, blunderAt: number | undefined, sigmas: number): Trial {
  const start = Array.from({ length: corners }, (_, n) => ({
    x: between(400, 900) * Math.cos((2 * Math.PI * n) / corners - 2),
    y: between(400, 900) * Math.sin((2 * Math.PI * n) / corners - 2),
  }));
  const pairs: [number, number][] = [];
  for (let a = 0; a < corners; a += 1) for (let b = a + 1; b < corners; b += 1) pairs.push([a, b]);
  const readings = pairs.map(([a, b], index): Reading => {
    const exact = Math.hypot(
      (start[a]?.x ?? 0) - (start[b]?.x ?? 0),
      (start[a]?.y ?? 0) - (start[b]?.y ?? 0),
    );
    const sd = 1 + exact / 10_000;
    return {
      id: String(index),
      kind: 'distance',
      from: `p${a}`,
      to: `p${b}`,
      value_mm: exact + gauss() * sd + (index === blunderAt ? sigmas * sd * (random() < 0.5 ? -1 : 1) : 0),
      instrument: 'tape',
    };
  });
  const observations = readings.map((reading, index): NetworkObservation => ({
    kind: 'distance',
    at: [[{ corner: pairs[index]?.[0] ?? 0, share: 1 }], [{ corner: pairs[index]?.[1] ?? 0, share: 1 }]],
    value_mm: reading.value_mm,
    sd_mm: sdOf(reading),
  }));
  return { readings, observations, start };
}

const verdictOn = ({ readings, observations, start }: Trial) => {
  const solution = adjustNetwork(start, observations);
  return { solution, agreement: judge(readings, readings.map(sdOf), solution) };
};

describe('is a slip of ten standard deviations found where it can be known?', () => {
  it('in networks where it shows, the wrong reading is named in 95 of 100 (400 networks of 5 to 7 corners)', () => {
    let identifiable = 0;
    let named = 0;
    let alone = 0;
    for (let trial = 0; trial < 400; trial += 1) {
      const corners = 5 + (trial % 3);
      const wrong = trial % ((corners * (corners - 1)) / 2);
      const { solution, agreement } = verdictOn(wellChecked(corners, wrong, 10));
      const reach = agreement.reliability[wrong]?.smallestSlipFound_mm ?? Infinity;
      const alike = solution.residuals.some(
        (_, other) => other !== wrong && Math.abs(solution.correlation(wrong, other)) > 0.9,
      );
      const sd = 1 + ((agreement.reliability[wrong]?.smallestSlipFound_mm ?? 0) > 0 ? 0.15 : 0);
      if (reach > 10 * sd || alike) continue;
      identifiable += 1;
      if (agreement.kind !== 'disagree') continue;
      if (agreement.suspects[0].id === String(wrong)) named += 1;
      if (agreement.suspects.length === 1 && agreement.suspects[0].id === String(wrong)) alone += 1;
    }
    expect(identifiable).toBeGreaterThan(150);
    expect(named / identifiable).toBeGreaterThanOrEqual(0.95);
    expect(alone / identifiable).toBeGreaterThanOrEqual(0.95);
  });

  it('in the plain eight-measure pane, where two sides look alike, the wrong reading is among those named in 95 of 100 wherever it shows at all', () => {
    let shown = 0;
    let among = 0;
    let alone = 0;
    for (let trial = 0; trial < 400; trial += 1) {
      const wrong = trial % 8;
      const [w, h] = [between(500, 1500), between(800, 2500)];
      const corners = [
        { x: 0, y: 0 },
        { x: w, y: 0 },
        { x: w + between(-8, 8), y: h + between(-8, 8) },
        { x: between(-8, 8), y: h + between(-8, 8) },
      ];
      const readings = FOUR_SIDE_SLOTS.map(({ key, from, to }, index): Reading => {
        const exact = spanOf(corners, FOUR_SIDE_POINTS[from] ?? [], FOUR_SIDE_POINTS[to] ?? []);
        const sd = 1 + exact / 10_000;
        return {
          id: key,
          kind: 'distance',
          from,
          to,
          value_mm: exact + gauss() * sd + (index === wrong ? 10 * sd : 0),
          instrument: 'tape',
        };
      });
      const check = checkSurface({ shape: 'four sides', readings });
      if (!('agreement' in check)) continue;
      const reach = check.agreement.reliability[wrong]?.smallestSlipFound_mm ?? Infinity;
      if (
        reach >
        10 *
          sdOf(
            readings[wrong] ?? {
              instrument: 'tape',
              value_mm: 1000,
              id: '',
              kind: 'distance',
              from: 'tl',
              to: 'tr',
            },
          )
      )
        continue;
      shown += 1;
      if (check.agreement.kind !== 'disagree') continue;
      const names = check.agreement.suspects.map(({ id }) => id);
      if (names.includes(readings[wrong]?.id ?? '')) among += 1;
      if (names.length === 1 && names[0] === readings[wrong]?.id) alone += 1;
    }
    process.stdout.write(
      `plain eight-measure pane: ${shown} of 400 slips of 10 sigma show; named among the suspects ${among}, alone ${alone}\n`,
    );
    expect(shown).toBeGreaterThanOrEqual(90);
    expect(among / shown).toBeGreaterThanOrEqual(0.95);
  });

  it('honest networks are accused no more often than once in a thousand (2000 networks, at most 7)', () => {
    let accused = 0;
    for (let trial = 0; trial < 2000; trial += 1)
      if (verdictOn(wellChecked(5, undefined, 0)).agreement.kind === 'disagree') accused += 1;
    expect(accused).toBeLessThanOrEqual(7);
  });

  it('what is said to be found 19 times in 20 is found about that often', () => {
    let found = 0;
    const trials = 300;
    for (let trial = 0; trial < trials; trial += 1) {
      const clean = verdictOn(wellChecked(6, undefined, 0));
      const reach = clean.agreement.reliability[4]?.smallestSlipFound_mm ?? 0;
      const trialWith = wellChecked(6, 4, reach / 1.1);
      if (verdictOn(trialWith).agreement.kind === 'disagree') found += 1;
    }
    expect(found / trials).toBeGreaterThan(0.85);
  });
});
