import { describe, expect, it } from '@jest/globals';
import { CUT_METHODS } from '../job';
import { workStepsFor } from '../ways';
import { kitList } from './index';

const stepsOf = (method: (typeof CUT_METHODS)[number], more: object = {}) =>
  workStepsFor({
    method,
    condition: 'sound',
    isSecurityFilm: method === 'security',
    area_m2: 2,
    edge_m: 6,
    ...more,
  });
const toolsOf = (...asked: Parameters<typeof stepsOf>) =>
  kitList([{ method: asked[0], area_m2: 2, edge_m: 6, tag: 'X' }], stepsOf(...asked)).tools;
const countOf = (word: string, ...asked: Parameters<typeof stepsOf>): number | null | undefined =>
  toolsOf(...asked).find((item) => item.word === word)?.count;

describe('is every tool a step names in the kit?', () => {
  it.each(CUT_METHODS)('%s: tools and what is used up, none forgotten', (method) => {
    const steps = stepsOf(method);
    const { tools, usedUp } = kitList([{ method, area_m2: 2, edge_m: 6, tag: 'X' }], steps);
    const packed = new Set(tools.map(({ word }) => word));
    for (const { tools: named } of steps)
      for (const tool of named)
        expect([tool, packed.has(tool) || isCounted(tool, usedUp)]).toEqual([tool, true]);
  });
  it('by number: two at the gun on a textured wall, a glove for each; one extinguisher', () => {
    expect(countOf('heat glove', 'textured wall', { isWall: true })).toBe(2);
    expect(countOf('fire extinguisher', 'textured wall', { isWall: true })).toBe(1);
    expect(countOf('hard squeegee', 'trim in place', { area_m2: 0.5 })).toBe(1);
  });
  it('what protects follows from the dangers: glasses and glove with blades, mask with dust, barrier with beads out', () => {
    expect(countOf('safety glasses', 'trim in place')).toBeGreaterThan(0);
    expect(countOf('cut-resistant glove', 'trim in place')).toBeGreaterThan(0);
    expect(countOf('dust mask', 'decor')).toBe(1);
    expect(countOf('barrier tape', 'security')).toBe(1);
    expect(countOf('sharps box', 'trim in place')).toBe(1);
    expect(countOf('generator or battery, and leads', 'curved, shrunk', { power: 'no' })).toBe(1);
  });
});

/** Used up and counted, or mixed: blades, paper, tape, cloths and the alcohol wipe. */
const isCounted = (tool: string, usedUp: readonly { readonly word: string }[]): boolean =>
  tool === 'alcohol wipe' ||
  ['blade', 'paper', 'tape', 'cloth'].some(
    (kind) => tool.includes(kind) && usedUp.some(({ word }) => word.includes(kind)),
  );
