import { AT_FIRST } from '../learned';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CUT_METHODS, type CutMethod } from '../job';
import {
  SCHOOLS,
  SCHOOL_KEYS,
  type StepTemplate,
  TEMPLATES,
  type WorkStep,
  isHandover,
  workStepsFor,
} from './index';

const METHODS = CUT_METHODS;
const all: readonly (readonly [string, StepTemplate])[] = TEMPLATES.flatMap(({ template, steps }) =>
  steps.map((step) => [`${template}: ${step.key}`, step] as const),
);
const uses = (step: StepTemplate, tool: RegExp): boolean => step.tools.some((own) => tool.test(own));
const anyCase = fc.record({
  method: fc.constantFrom(...METHODS),
  hasInsideCorner: fc.boolean(),
  isHardToReach: fc.boolean(),
  isSecurityFilm: fc.boolean(),
  primer: fc.constantFrom('water-based', 'solvent-based'),
  condition: fc.constantFrom('sound', 'chipped', 'cracked', 'unknown'),
  schools: fc.record(
    Object.fromEntries(
      SCHOOL_KEYS.map((key) => [
        key,
        fc.constantFrom(...SCHOOLS[key].options.map(({ value }): string => value)),
      ]),
    ),
  ),
  area_m2: fc.double({ min: 0.1, max: 20, noNaN: true }),
  edge_m: fc.double({ min: 1, max: 30, noNaN: true }),
});
const keysOf = (steps: readonly WorkStep[]): readonly string[] => steps.map(({ step }) => step);
const order = (
  method: CutMethod,
  more: Partial<Parameters<typeof workStepsFor>[0]> = {},
): readonly string[] =>
  keysOf(
    workStepsFor({
      condition: 'sound',
      isSecurityFilm: method === 'security',
      area_m2: 2,
      edge_m: 6,
      method,
      ...more,
    }),
  );

/** In every way of working the first comes before the second. */
function comesBefore(own: readonly string[], first: string, second: string): void {
  expect([first, own.indexOf(first) >= 0]).toEqual([first, true]);
  expect([second, own.indexOf(second) >= 0]).toEqual([second, true]);
  expect([first, second, own.indexOf(first) < own.indexOf(second)]).toEqual([first, second, true]);
}

describe('when is the work at a surface finished?', () => {
  it('every way of working hands over with one step', () => {
    for (const { template, steps } of TEMPLATES)
      expect([template, steps.filter(({ key }) => isHandover(key)).length]).toEqual([template, 1]);
  });
});

describe('does every step that can hurt say so?', () => {
  it.each([
    ['a blade or scraper', (step: StepTemplate) => uses(step, /blade|scraper/), 'blade'],
    ['a heat gun', (step: StepTemplate) => uses(step, /heat gun/), 'heatGun'],
    ['promoter or alcohol', (step: StepTemplate) => uses(step, /promoter|alcohol/), 'solvent'],
    ['liner coming off', (step: StepTemplate) => uses(step, /liner bin/), 'liner'],
    ['dust', (step: StepTemplate) => step.air === 'makes dust', 'sanding'],
    ['a ladder', (step: StepTemplate) => step.shared?.includes('ladder') === true, 'ladder'],
  ] as const)('%s: every step with it carries its caution', (_name, has, key) => {
    const own = all.filter(([, step]) => has(step));
    expect(own.length).toBeGreaterThan(1);
    expect(own.filter(([, { cautions }]) => !cautions.includes(key)).map(([name]) => name)).toEqual([]);
  });
  it('what makes dust is done with the extractor', () => {
    for (const [, step] of all)
      if (step.air === 'makes dust') expect(step.shared).toContain('dust extractor');
  });
  it('nobody is alone on a ladder with a gun', () => {
    for (const [, step] of all)
      if (step.shared?.includes('ladder') === true && uses(step, /heat gun/)) expect(step.crew).toBe(2);
  });
  it('solvent steps and the gun are never one step', () => {
    for (const [, step] of all)
      expect(step.cautions.includes('solvent') && uses(step, /heat gun/)).toBe(false);
  });
});

describe('when may adhesive meet the surface?', () => {
  it('only while it is fit: every step that opens adhesive waits for surface and air', () => {
    for (const [, step] of all)
      if (uses(step, /liner bin/))
        expect([step.key, step.needsFit, step.air]).toEqual([step.key, true, 'wants clean air']);
  });
  it('a pause never lasts less than it must and more than it may', () => {
    for (const [, { then }] of all) {
      if (then?.most === undefined) continue;
      expect(then.most).toBeGreaterThanOrEqual(0);
      if (typeof then.least === 'number') expect(then.least).toBeLessThanOrEqual(then.most);
      expect(then.why.length).toBeGreaterThan(10);
    }
  });
  it('primer, putty and a washed wall wait for the air of the day, not for a fixed time', () => {
    const waits = all.flatMap(([, { key, then }]) =>
      typeof then?.least === 'string' ? [[key, then.least] as const] : [],
    );
    expect(Object.fromEntries(waits)).toEqual({
      putty: 'putty',
      'lap-promoter': 'promoter',
      'prime-water': 'primer, water-based',
      'prime-solvent': 'primer, solvent-based',
      'corner-promoter': 'promoter',
      'corner-promoter-lap': 'promoter',
      'seam-promoter': 'promoter',
      wash: 'wall wash',
    });
  });
  it('promoter never lies longer than an hour, wherever it is used', () => {
    for (const [, { key, then }] of all)
      if (then?.least === 'promoter') expect([key, then.most]).toEqual([key, 60]);
  });
  it('film that was stretched warm is cut only after it has cooled', () => {
    for (const { steps } of TEMPLATES) {
      const heated = steps.find(({ key }) => key === 'post-heat' || key === 'joints');
      if (heated !== undefined) expect(heated.then?.least).toBe(15);
    }
  });
});

describe('in what order is each kind of surface worked on?', () => {
  it('security: beads out first, two passes, beads in last, and no trim through film that must reach the edge before it lies', () => {
    const own = order('security');
    expect(own[0]).toBe('beads-out');
    for (const [first, second] of [
      ['clean', 'liner-two'],
      ['liner-two', 'align'],
      ['align', 'squeeze-first'],
      ['squeeze-first', 'squeeze-hard'],
      ['squeeze-hard', 'edges'],
      ['edges', 'beads-in'],
      ['beads-in', 'handover-security'],
    ] as const)
      comesBefore(own, first, second);
    expect(own).not.toContain('squeeze');
    expect(own.filter((key) => key.startsWith('liner-'))).toEqual(['liner-two']);
  });
  it('decor: dust is made before primer, primer before film, and an inside corner is turned before its second sheet', () => {
    const own = order('decor', { hasInsideCorner: true });
    for (const [first, second] of [
      ['putty', 'sand'],
      ['sand', 'wipe'],
      ['wipe', 'prime-water'],
      ['prime-water', 'lay'],
      ['corner-first', 'corner-promoter-lap'],
      ['corner-promoter-lap', 'corner-second'],
      ['corner-second', 'final-cut'],
      ['final-cut', 'inspect'],
    ] as const)
      comesBefore(own, first, second);
  });
  it('table: tried dry before anything is open, edges wrapped warm after the face', () => {
    const own = order('wrapped edges');
    for (const [first, second] of [
      ['remover', 'dry-run'],
      ['dry-run', 'lay-table'],
      ['lay-table', 'wrap'],
      ['wrap', 'post-heat'],
    ] as const)
      comesBefore(own, first, second);
  });
  it('furrow: laid in, then set warm', () => {
    comesBefore(order('furrow girth'), 'lay-furrow', 'set-furrow');
  });
  it.each(['fold by fold', 'one sweep'] as const)(
    'curved glass, %s: shrunk, tested and trimmed outside before it goes inside',
    (shrink) => {
      const own = order('curved, shrunk', { schools: { shrink } });
      const shrunk = shrink === 'one sweep' ? 'shrink-sweep' : 'shrink-folds';
      for (const [first, second] of [
        ['reach', 'clean-outside'],
        ['anchor', shrunk],
        [shrunk, 'test-outside'],
        ['test-outside', 'trim-outside'],
        ['trim-outside', 'clean-inside'],
        ['clean-inside', 'roll-in'],
        ['roll-in', 'press-inside'],
        ['press-inside', 'edge-folds'],
      ] as const)
        comesBefore(own, first, second);
    },
  );
  it('wall: sound before anything, washed and dry before film, face before joints, joints before edges', () => {
    const own = order('textured wall');
    for (const [first, second] of [
      ['sound', 'brush'],
      ['brush', 'wash'],
      ['wash', 'hang'],
      ['hang', 'face'],
      ['face', 'joints'],
      ['joints', 'seal-edges'],
    ] as const)
      comesBefore(own, first, second);
  });
  it('decal: transfer tape is off before heat', () => {
    comesBefore(order('textured wall', { family: 'wrap' }), 'transfer', 'heat-decal');
  });
});

describe('what holds whatever is chosen?', () => {
  it("steps are numbered from 1 without a gap, each of the template's version, each once", () => {
    fc.assert(
      fc.property(anyCase, (own) => {
        const steps = workStepsFor(own);
        expect(steps.map(({ number }) => number)).toEqual(steps.map((_, index) => index + 1));
        expect(new Set(keysOf(steps)).size).toBe(steps.length);
        expect(
          new Set(steps.map(({ template, templateVersion }) => `${template} ${templateVersion}`)).size,
        ).toBe(1);
      }),
    );
  });
  it('a choice of school changes only the steps it is about', () => {
    fc.assert(
      fc.property(anyCase, anyCase, (own, other) => {
        const [one, two] = [
          keysOf(workStepsFor(own)),
          keysOf(workStepsFor({ ...own, schools: other.schools })),
        ];
        const isSchool = (key: string): boolean => /^(liner|lock|trim|shrink|final-cut|corner)/.test(key);
        expect(two.filter((key) => !isSchool(key))).toEqual(one.filter((key) => !isSchool(key)));
      }),
    );
  });
  it('more glass or more edge never takes less time, and hard to reach never less than easy', () => {
    const minutes = (steps: readonly WorkStep[]): readonly number[] =>
      steps.map((step) => step.minutes.value);
    fc.assert(
      fc.property(anyCase, fc.double({ min: 0, max: 5, noNaN: true }), (own, more) => {
        const [least, larger] = [
          minutes(workStepsFor({ ...own, isHardToReach: false })),
          minutes(
            workStepsFor({
              ...own,
              isHardToReach: false,
              area_m2: own.area_m2 + more,
              edge_m: own.edge_m + more,
            }),
          ),
        ];
        const hard = minutes(workStepsFor({ ...own, isHardToReach: true }));
        least.forEach((own_min, index) => {
          expect(larger[index]).toBeGreaterThanOrEqual(own_min);
          expect(hard[index]).toBeGreaterThanOrEqual(own_min);
        });
      }),
    );
  });
  it('cracked or chipped glass is said at every step before all else, and in no other condition', () => {
    fc.assert(
      fc.property(anyCase, (own) => {
        const isHurt = own.condition === 'cracked' || own.condition === 'chipped';
        for (const { cautions } of workStepsFor(own))
          expect(cautions[0]?.key === 'crackedGlass').toBe(isHurt);
      }),
    );
  });
  it('only glass is warned of cracking under film', () => {
    for (const method of METHODS) {
      const first = workStepsFor({
        condition: 'sound',
        isSecurityFilm: false,
        area_m2: 2,
        edge_m: 6,
        method,
      })[0];
      expect([method, first?.cautions.some(({ key }) => key === 'glassAndFilm')]).toEqual([
        method,
        !['decor', 'column', 'wrapped edges', 'furrow girth', 'textured wall'].includes(method),
      ]);
    }
  });
  it('every rate a step counts by is in the table of rates, with a unit it can count', () => {
    const known = new Map(AT_FIRST.map((rate) => [rate.key, rate.unit]));
    for (const [name, step] of all) {
      expect([name, step.takes.length > 0]).toEqual([name, true]);
      for (const key of step.takes) expect(['min', 'min/m', 'min/m²']).toContain(known.get(key));
    }
  });
});
