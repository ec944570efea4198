import { describe, expect, it } from '@jest/globals';
import { type CutOrder, planOrderSteps } from './cutting';
import { runThrough } from './packing';
import { calculateGlazing } from './glazing';
import { contrastKept } from './privacy';
import { STRESS_FORMULAS } from './thermal-stress';

/** Answers that a trial of the program calculated by hand and found right. */
describe('worked by hand, is it the same?', () => {
  it('four blanks of 700 × 1000 that may turn, on a roll 1400 wide: two by two, 2000 of film', () => {
    const order: CutOrder = {
      stocks: [
        {
          ...{ id: 'r', what: 'roll', width_mm: 1400, length_mm: 10_000, perMetre: 10, whole: 0 },
          ...{ lot: '', edges: 'both' },
        },
      ],
      pieces: ['a', 'b', 'c', 'd'].map((id) => ({
        ...{ id, across_mm: 1000, along_mm: 700, mayTurn90: true, group: '' },
      })),
      ...{ pinned: [], mode: 'by hand', stages: 3, gap_mm: 0, endWaste_mm: 0 },
      ...{ mostSheet_mm: Number.POSITIVE_INFINITY, objective: 'length' },
      rates: {
        ...{ perCrossCut: 0, perSlit: 0, perPiece: 0, keepWidth_mm: 200 },
        ...{ keepLength_mm: 500, keepShare: 0, perSplitGroup: 0 },
      },
    };
    const plan = runThrough(
      planOrderSteps(order, { seed: 1, mostRounds: 40 }),
      () => false,
      () => undefined,
    );
    expect(plan.uses.map(({ used_mm }) => used_mm)).toEqual([2000]);
    expect(plan.uses[0]?.placed.every(({ turned }) => turned)).toBe(true);
    expect(plan.stopped).toBe('optimal');
  });
  it('of 600 cd/m² that come through under a veil of 30, 600/(600 + 30) = 0.952 of the contrast is left', () => {
    const film = { transmitted: 0.6, reflectedNear: 0.1, haze: 0 };
    const scene = { near_cdm2: 300, far_cdm2: 1000, far_lux: 0, near_lux: 0, name: 'by hand' };
    expect(contrastKept(film, scene).value).toBeCloseTo(0.952, 3);
  });
  it('edge stress: 70 GPa · 9e-6 /K · 7.069 K · 1.06 = 4.72 MPa', () => {
    const edge = STRESS_FORMULAS.find(({ id }) => id === 'stress.edge');
    const asked = { ea: 70_000 * 9e-6, k: 1.06, sunny: 27.069, dark: 20, k0: 0, frame: 20 };
    expect((edge?.of as ((inputs: typeof asked) => number) | undefined)?.(asked)).toBeCloseTo(4.72, 2);
  });
  it('6 mm clear: U 5.81 W/m²K in winter, solar heat gain 0.821, shading coefficient 0.944', () => {
    const { uValue, solarHeatGain, shadingCoefficient } = calculateGlazing({
      panes: [{ tint: 'clear', thickness_mm: 6 }],
      gaps: [],
      films: [],
    });
    expect(uValue.value).toBeCloseTo(5.81, 2);
    expect(solarHeatGain.value).toBeCloseTo(0.821, 3);
    expect(shadingCoefficient.value).toBeCloseTo(0.944, 3);
  });
});
