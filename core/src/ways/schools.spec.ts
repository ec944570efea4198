import { describe, expect, it } from '@jest/globals';
import {
  SCHOOLS,
  SCHOOL_KEYS,
  TEMPLATES,
  type WorkStepsInput,
  schoolsAsked,
  stepCaseOf,
  stepsLeftOut,
  workStepsFor,
} from './index';

const GLASS: WorkStepsInput = {
  method: 'trim in place',
  condition: 'sound',
  isSecurityFilm: false,
  area_m2: 1,
  edge_m: 4,
};
const taken = (key: string, more: Partial<WorkStepsInput> = {}) =>
  schoolsAsked({ ...GLASS, ...more }).find((own) => own.key === key);

/** Questions of the brief and of `trade.md` 12, with the answers it names. */
const ASKED: readonly (readonly [string, readonly string[]])[] = [
  ['cleaning', ['scrape, then scrub', 'scrub, then blade where felt', 'no blade']],
  ['scrubber', ['pad only', 'steel wool 00', 'steel wool 000']],
  ['cleaner', ['separate cleaner', 'slip']],
  ['water', ['distilled', 'good tap water']],
  ['clearing', ['edges first', 'inside first']],
  ['frameWater', ['sparing', 'generous', 'face wet, frame not soaked']],
  ['rowLine', ['true level', 'the frame']],
  [
    'liner',
    [
      'tape tabs',
      'hang and pull',
      'top part first',
      'halves on the glass',
      'on the outside of the pane',
      'unrolled to the floor',
      'pane lying',
    ],
  ],
  ['lock', ['T', 'centre line', 'X', 'quarters', 'upper corners first', 'from the top middle', 'whole face']],
  ['edges', ['untouched', 'worked at once']],
  ['trim', ['before squeezing out', 'after squeezing out']],
  ['trimFrom', ['the middle to the corners', 'a top corner down']],
  ['stroke', ['pull in the open, push at edges', 'pull the lock, push from the middle', 'either']],
  ['lastPass', ['misted again', 'no new water']],
  ['blot', ['once', 'again after drying']],
  ['after', ['washed and cleared', 'not touched again']],
  ['shrink', ['fold by fold', 'tug', 'one sweep', 'two passes', 'thick film, open edge first']],
  ['shrinkOn', ['wet glass', 'soap powder']],
  ['hold', ['along the top', 'a line across']],
  ['corner', ['two sheets', 'quick']],
  ['pressure', ['squeegee', 'gloved hand']],
  ['stretch', ['warm', 'almost cold']],
  ['postHeat', ['post-heat, cool, then trim', 'trim first, then post-heat']],
  ['recess', ['heat film, then apply', 'bridge, then form', 'glove and friction', 'lift and reheat']],
  ['wallEdges', ['after the face', 'one stays open']],
];

describe('is every school a choice with its reason?', () => {
  it('each question of the brief with each of its answers, each answer with a reason', () => {
    expect(SCHOOL_KEYS.map((key) => [key, SCHOOLS[key].options.map(({ value }) => value)])).toEqual(ASKED);
    for (const key of SCHOOL_KEYS)
      for (const { value, reason } of SCHOOLS[key].options)
        expect([key, value, reason.length > 20]).toEqual([key, value, true]);
  });
  it('a way asks the questions its steps go by, and no others', () => {
    for (const way of TEMPLATES) {
      const read = new Set<string>();
      const own = stepCaseOf(GLASS);
      const schools = new Proxy(own.schools, {
        get: (all, key) => {
          read.add(String(key));
          return Reflect.get(all, key) as unknown;
        },
      });
      for (const { when, rounds, numbers, variants = [] } of way.steps) {
        when?.({ ...own, schools, hasInsideCorner: true });
        rounds?.({ ...own, schools });
        if (typeof numbers === 'function') numbers({ ...own, schools });
        for (const { school } of variants) read.add(school);
      }
      expect([way.template, [...read].sort()]).toEqual([way.template, [...way.schools].sort()]);
    }
  });
  it('each answer changes what is read or done', () => {
    for (const way of TEMPLATES)
      for (const key of way.schools) {
        const [method] = way.of;
        const said = SCHOOLS[key].options.map(({ value }) =>
          JSON.stringify(
            workStepsFor({
              ...GLASS,
              method: method?.method ?? 'trim in place',
              ...(method?.families?.[0] === undefined ? {} : { family: method.families[0] }),
              isOutside: value === 'thick film, open edge first',
              isVehicle: value === 'on the outside of the pane',
              floor: 'boards',
              hasInsideCorner: true,
              area_m2: 0.4,
              schools: { [key]: value },
            }).map(({ what }) => what),
          ),
        );
        const least = way.template === 'pre-squared' || way.template.startsWith('cut-to') ? 2 : said.length;
        expect([way.template, key, new Set(said).size >= Math.min(least, said.length)]).toEqual([
          way.template,
          key,
          true,
        ]);
      }
  });
});

describe('who decides?', () => {
  it('this surface before the job, the job before the rule; the reason is said', () => {
    expect(taken('lock')).toMatchObject({ value: 'T', by: 'the rule' });
    expect(taken('lock', { ofJob: { lock: 'X' } })).toMatchObject({ value: 'X', by: 'the job' });
    expect(taken('lock', { ofJob: { lock: 'X' }, schools: { lock: 'quarters' } })).toMatchObject({
      value: 'quarters',
      by: 'this surface',
      because: 'Middle, then four quarters: for large panes where air collects.',
    });
  });
  it.each([
    ['liner', { area_m2: 3, people: 1 }, 'top part first'],
    ['liner', { area_m2: 3, people: 2 }, 'tape tabs'],
    ['liner', { isOverhead: true }, 'halves on the glass'],
    ['lock', { isStiff: true }, 'T'],
    ['lock', { isOverhead: true }, 'from the top middle'],
    ['lock', { area_m2: 3, width_m: 2, height_m: 1.5 }, 'X'],
    ['trim', { isStiff: true }, 'after squeezing out'],
    ['frameWater', { family: 'frosted' }, 'generous'],
    ['frameWater', { family: 'solar' }, 'sparing'],
    ['cleaning', { isPlastic: true }, 'no blade'],
    ['shrink', { method: 'curved, shrunk' }, 'fold by fold'],
    ['shrink', { method: 'curved, shrunk', surplus_mm: 4, canHeat: true }, 'one sweep'],
    ['shrink', { method: 'curved, shrunk', surplus_mm: 4, canHeat: false }, 'fold by fold'],
    ['shrink', { method: 'curved, shrunk', surplus_mm: 20, canHeat: true }, 'fold by fold'],
    ['shrink', { method: 'curved, shrunk', isOutside: true, isStiff: true }, 'thick film, open edge first'],
    ['hold', { method: 'curved, shrunk', isDoorPane: true }, 'along the top'],
    ['hold', { method: 'curved, shrunk' }, 'a line across'],
  ] as const)('%s in the case %j: %s', (key, more, value) => {
    expect(taken(key, more as Partial<WorkStepsInput>)).toMatchObject({ value, by: 'the rule' });
  });
});

describe('what becomes of a choice that does not suit?', () => {
  it('it stays chosen, is not followed, and the reason is said', () => {
    const own = taken('liner', { area_m2: 3, people: 1, schools: { liner: 'tape tabs' } });
    expect(own).toMatchObject({
      value: 'top part first',
      by: 'the rule',
      refused: { value: 'tape tabs', because: 'a sheet this size takes two people' },
    });
  });
  it('a school that is gone is named, and the next one that holds is taken', () => {
    expect(taken('lock', { schools: { lock: 'by magnet' }, ofJob: { lock: 'X' } })).toMatchObject({
      value: 'X',
      by: 'the job',
      refused: { value: 'by magnet', because: 'there is no such way any more' },
    });
  });
  it('a shape nobody knows the way for has no steps and nothing to leave out', () => {
    const square = { ...GLASS, method: 'column', shape: 'square column' } as const;
    expect([workStepsFor(square), stepsLeftOut(square), schoolsAsked(square)]).toEqual([[], [], []]);
  });
});
