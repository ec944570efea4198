import { describe, expect, it } from '@jest/globals';
import { templateFor } from '../ways';
import { CUT_METHODS, type FilmFamily } from '../job';
import { mixSheet } from './index';

/** What a step names, and the liquid it is. */
const NAMED = [
  ['cleaner', 'cleaner'],
  ['alcohol wipe', 'alcohol wipe'],
  ['primer brush', 'primer'],
  ['wall wash', 'wall wash'],
] as const;
const WAYS: readonly (readonly [(typeof CUT_METHODS)[number], FilmFamily | undefined])[] = [
  ...CUT_METHODS.map((method) => [method, undefined] as const),
  ['textured wall', 'wrap'],
];

describe('is every liquid that a way names mixed?', () => {
  it.each(WAYS)('%s %s', (method, family) => {
    const own = {
      method,
      area_m2: 2,
      edge_m: 6,
      height_m: 2.84,
      ...(family === undefined ? {} : { family }),
    };
    const lines = mixSheet({
      surfaces: [own],
      slip: 'household',
      primer: 'water-based',
      air_C: 20,
    }).map(({ liquid }) => liquid);
    const tools = new Set(templateFor(method, family)?.steps.flatMap((step) => step.tools));
    for (const [tool, liquid] of NAMED)
      expect([method, liquid, lines.includes(liquid)]).toEqual([method, liquid, tools.has(tool)]);
  });
  it('promoter goes by the seam, not round the sheet: a column of 2.84 m takes 2.84 m of it', () => {
    const promoter = mixSheet({
      surfaces: [{ method: 'column', area_m2: 2.9, edge_m: 7.7, height_m: 2.84 }],
      slip: 'household',
      primer: 'water-based',
      air_C: 20,
    }).find(({ liquid }) => liquid === 'adhesion promoter');
    expect(promoter?.litres.value).toBeCloseTo(2.84 * 0.004, 9);
  });
});
