import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import {
  type StepTemplate,
  TEMPLATES,
  type WorkStepsInput,
  filled,
  namesIn,
  numbersOf,
  stepCaseOf,
  stepsLeftOut,
  waysDocument,
  workStepsFor,
} from './index';

/*
 * Orders, figures and times as `ways-of-working` has them, typed from it section by section. Common practice
 * with no published source, unless a line says otherwise.
 */
const of = (method: WorkStepsInput['method'], more: Partial<WorkStepsInput> = {}) =>
  workStepsFor({
    area_m2: 2,
    edge_m: 6,
    condition: 'sound',
    isSecurityFilm: false,
    ...(method === undefined ? {} : { method }),
    ...more,
  });
const keys = (...asked: Parameters<typeof of>): readonly string[] => of(...asked).map(({ step }) => step);
const step = (key: string, ...asked: Parameters<typeof of>) => of(...asked).find((own) => own.step === key);
const inOrder = (order: readonly string[], wanted: readonly string[]): void => {
  expect(order.filter((key) => wanted.includes(key))).toEqual(wanted);
};

describe('H: a column', () => {
  it('wipe, notch on the table, strip, both wings, tape, promoter, tape off before the press, glove', () => {
    inOrder(keys('column'), [
      'wipe',
      'notch',
      'strip',
      'round',
      'round-other',
      'seam-tape',
      'seam-promoter',
      'seam',
      'glove',
    ]);
  });
  it('promoter goes on film that is down and straight before the seam; the tape comes off first, then the press', () => {
    expect(step('seam-promoter', 'column')?.then).toMatchObject({ least: 'promoter' });
    const what = step('seam', 'column')?.what ?? '';
    expect(what.indexOf('take the tape off')).toBeGreaterThan(0);
    expect(what.indexOf('take the tape off')).toBeLessThan(what.indexOf('press'));
    expect(what).toContain('from the fixed side out');
  });
  it('strip 100 mm, notch 13 mm deep at 45°, 50 mm a turn, tape 25 mm in', () => {
    expect(step('notch', 'column')?.what).toMatch(/100 mm wide.*13 mm deep.*45°/);
    expect(step('round', 'column')?.what).toContain('50 mm of width at a time');
    expect(step('seam-tape', 'column')?.what).toContain('25 mm in');
  });
  it('1005 mm round: wings of about 465 mm, about 9 turns of 50 mm each side', () => {
    expect([
      step('round', 'column', { girth_mm: 1005 })?.rounds,
      step('round-other', 'column', { girth_mm: 1005 })?.rounds,
    ]).toEqual([9, 9]);
  });
  it('nothing was stretched: no heat', () => {
    expect(keys('column')).not.toContain('post-heat');
  });
});

describe('G: an inside corner in two sheets', () => {
  const corner = { hasInsideCorner: true } as const;
  it('promoter before the first sheet, slit, hung, face, corner, promoter again, second sheet, trim, press', () => {
    inOrder(keys('decor', corner), [
      'corner-promoter',
      'corner-slit',
      'corner-hang',
      'lay',
      'corner-first',
      'corner-promoter-lap',
      'corner-second',
      'corner-trim',
      'corner-press',
    ]);
    expect(keys('decor').some((key) => key.startsWith('corner-'))).toBe(false);
  });
  it('pressed with the soft-edged tool, only on the side already stuck', () => {
    const own = step('corner-first', 'decor', corner);
    expect(own?.tools).toContain('soft-edged tool');
    expect(own?.what).toContain('only on the side that is already stuck');
  });
  it('ruler of 3 mm; the strip about 13 mm wider than the guide', () => {
    expect(step('corner-trim', 'decor', corner)?.what).toContain('3 mm thick');
    expect(step('corner-slit', 'decor', corner)?.what).toContain('13 mm wider');
  });
  it('counted along the corner, not round the wall: 2.84 m at 4 min/m is 12 min', () => {
    expect(step('corner-first', 'decor', { ...corner, edge_m: 13.6, height_m: 2.84 })?.minutes.value).toBe(
      12,
    );
  });
});

describe('G: seams between sheets', () => {
  it('lap: masked, promoter, mask off and lapped; once for each seam', () => {
    const lap = { drops: 4, seam: 'lap over promoter', height_m: 2.5 } as const;
    inOrder(keys('decor', lap), ['lay', 'lap-mask', 'lap-promoter', 'lap', 'final-cut']);
    expect(step('lap', 'decor', lap)).toMatchObject({ rounds: 3, minutes: { value: 23 } });
    const what = step('lap', 'decor', lap)?.what ?? '';
    expect(what.indexOf('Mask off')).toBeLessThan(what.indexOf('press'));
  });
  it('double cut: liner left under both edges, lapped 50 mm, cut through both, liner off, pressed', () => {
    const double = { drops: 2, seam: 'double cut' } as const;
    inOrder(keys('decor', double), ['lay', 'double-liner', 'double-cut', 'double-press']);
    expect(step('double-liner', 'decor', double)?.what).toContain('50 mm of liner');
    expect(keys('decor', double).some((key) => key.startsWith('lap'))).toBe(false);
  });
  it('one sheet has no seam; 400 drops have 399, and nothing breaks', () => {
    expect(keys('decor', { drops: 1, seam: 'none' }).filter((key) => /^(lap|double)/.test(key))).toEqual([]);
    expect(step('lap', 'decor', { drops: 400, seam: 'lap over promoter' })?.rounds).toBe(399);
  });
});

describe('G: decor film', () => {
  it('primer, then sanded lightly, brushed, felt, before any film', () => {
    inOrder(keys('decor'), ['putty', 'sand', 'prime-water', 'sand-primer', 'lay', 'final-cut']);
    expect(step('sand-primer', 'decor')).toMatchObject({ air: 'makes dust', shared: ['dust extractor'] });
  });
  it('heated only where it was stretched: wrapped edges and furrows, not flat walls', () => {
    expect(
      (['decor', 'column', 'wrapped edges', 'furrow girth'] as const).map((method) => [
        method,
        keys(method).includes('post-heat'),
      ]),
    ).toEqual([
      ['decor', false],
      ['column', false],
      ['wrapped edges', true],
      ['furrow girth', true],
    ]);
  });
});

describe('G, K: heat after stretching', () => {
  it("to what the film's own sheet says; without it the aim is a guess, and said to be one", () => {
    expect(step('post-heat', 'wrapped edges', { postHeat_C: 82 })?.what).toContain('to 82 °C. Take');
    expect(step('post-heat', 'wrapped edges', { postHeat_C: 82, units: 'imperial' })?.what).toContain(
      '180 °F',
    );
    expect(step('post-heat', 'wrapped edges')?.what).toContain('90 °C (a guess: read its sheet)');
  });
});

describe('film without handling data', () => {
  it('goes its way all the same; what its sheet does not say is a guess, and said to be one', () => {
    for (const own of [
      of('wrapped edges', { postHeat_C: null }),
      of('furrow girth'),
      of('wrapped edges', { family: 'wrap' }),
    ]) {
      const heat = own.find((one) => one.step === 'post-heat');
      expect(heat?.doubtful).toEqual([{ figure: '90 °C', basis: 'ours' }]);
    }
  });
});

describe('E: security film', () => {
  it('T, pressed out half by half, then trimmed, whatever the schools of the job', () => {
    for (const trim of ['before squeezing out', 'after squeezing out'])
      for (const lock of ['X', 'quarters', 'T']) {
        const order = keys('security', { schools: { trim, lock } });
        inOrder(order, [
          'beads-out',
          'lock-t',
          'squeeze-first',
          'squeeze-hard',
          'trim-after',
          'edges',
          'beads-in',
        ]);
        expect(order).not.toContain('trim');
      }
  });
  it('one person for a small pane, two for a large one', () => {
    const most = (area_m2: number): number =>
      Math.max(...of('security', { area_m2, isSecurityFilm: true }).map(({ crew }) => crew));
    expect([most(0.4), most(2.5)]).toEqual([1, 2]);
  });
  it('beads out means loose glass: said where they come out and go in', () => {
    for (const key of ['beads-out', 'beads-in'])
      expect(step(key, 'security')?.cautions.map((own) => own.key)).toContain('looseGlass');
  });
});

describe('B, C: dry-fitted and pre-squared', () => {
  it('hung with its liner on, sides trimmed, marked, liner by halves, rolled down, rinsed, unrolled, locked', () => {
    inOrder(keys('dry-fitted'), [
      'clean',
      'hang-dry',
      'trim-sides',
      'marks',
      'liner-hung',
      'roll-down',
      'final-rinse',
      'unroll',
      'lock-t',
      'squeeze',
      'trim-bottom',
      'edges',
      'handover',
    ]);
    expect(keys('dry-fitted').filter((key) => key.startsWith('trim'))).toEqual(['trim-sides', 'trim-bottom']);
  });
  it('the squared corner is pushed home, and only the other side and the bottom are trimmed', () => {
    inOrder(keys('pre-squared'), ['final-rinse', 'corner-home', 'lock-t', 'trim', 'squeeze']);
    expect(step('trim', 'pre-squared')?.what).toMatch(/^Only the other side and the bottom\./);
  });
});

describe('J: textured walls', () => {
  it('face, then edges, then joints; never all edges before the face', () => {
    inOrder(keys('textured wall'), ['wash', 'hang', 'face', 'edges-hot', 'joints']);
  });
  it('gun 540 °C, 25 mm off, 50 mm a second, 50 mm lap; edges from 150 to 250 mm', () => {
    expect(step('face', 'textured wall')?.what).toMatch(/540 °C, 25 mm .*50 mm a second.*50 mm/);
    expect(step('edges-hot', 'textured wall')?.what).toContain('150 to 250 mm');
    expect(step('face', 'textured wall', { units: 'imperial' })?.what).toContain('1004 °F');
  });
  it('no gun on the face of glazed block', () => {
    const glazed = of('textured wall', { texture: 'glazed block' });
    expect(glazed.map((own) => own.step)).toContain('face-cold');
    expect(glazed.map((own) => own.step)).not.toContain('face');
    expect(glazed.find((own) => own.step === 'face-cold')?.tools).not.toContain('heat gun');
  });
  it('an inside corner is warmed and pressed with the narrow roller, after the face; no promoter', () => {
    inOrder(keys('textured wall', { hasInsideCorner: true }), ['face', 'corner-hot', 'joints']);
    expect(step('corner-hot', 'textured wall', { hasInsideCorner: true })?.tools).toContain('joint roller');
    expect(keys('textured wall', { hasInsideCorner: true })).not.toContain('corner-promoter');
  });
  it('after heat on a wall somebody watches for half an hour before anything is packed', () => {
    expect(step('fire-watch', 'textured wall')?.then).toMatchObject({ least: 30 });
  });
  it('an obstacle has its step where there is one', () => {
    expect(keys('textured wall')).not.toContain('obstacles');
    expect(keys('textured wall', { hasObstacles: true })).toContain('obstacles');
  });
});

describe('F: curved glass', () => {
  it('film for the outside stays there; thin film goes in', () => {
    const inside = keys('curved, shrunk');
    const outside = keys('curved, shrunk', { isOutside: true });
    expect(inside).toContain('roll-in');
    expect(outside.filter((key) => ['clean-inside', 'roll-in', 'press-inside'].includes(key))).toEqual([]);
    inOrder(outside, ['shrink-folds', 'test-outside', 'trim-outside', 'press-outside', 'edges-outside']);
  });
  it('the sweep is one person, about a minute for all the doors', () => {
    const own = step('shrink-sweep', 'curved, shrunk', { schools: { shrink: 'one sweep' }, area_m2: 0.5 });
    expect([own?.crew, own?.minutes.value]).toEqual([1, 1]);
  });
  it('smoke is said where it is shrunk; the law on vehicle glass before the first step', () => {
    expect(step('shrink-folds', 'curved, shrunk')?.cautions.map(({ key }) => key)).toContain('smoke');
    const [first] = of('curved, shrunk', { isVehicle: true });
    expect(first?.cautions.map(({ key }) => key)).toEqual(
      expect.arrayContaining(['vehicleRules', 'glassAndFilm']),
    );
    expect(of('trim in place')[0]?.cautions.map(({ key }) => key)).not.toContain('vehicleRules');
  });
});

describe('A: flat glass', () => {
  it('sealant is cut out only where there is some', () => {
    expect(keys('trim in place', { straySealant: 'yes' })).toContain('sealant');
    expect(keys('trim in place', { straySealant: 'no' })).not.toContain('sealant');
  });
  it('from the liner to the lock nobody lets go of the film', () => {
    expect(step('align', 'trim in place')?.then).toMatchObject({ least: 0, most: 0 });
  });
});

describe('what is left out says why', () => {
  const leftOut = (method: WorkStepsInput['method'], more: Partial<WorkStepsInput> = {}) =>
    stepsLeftOut({
      condition: 'sound',
      isSecurityFilm: false,
      ...(method === undefined ? {} : { method }),
      ...more,
    }).map(({ step: key, because }) => [key, because]);
  it('no stray sealant, no obstacle, no corner, a glazed face, film that stays outside', () => {
    expect(leftOut('trim in place', { straySealant: 'no', oldFilm: 'film' })).toEqual([
      ['sealant', 'no stray sealant was found'],
    ]);
    const NO_CORNER = ['corner-promoter', 'no inside corner is noted in Survey, or it is made in one sheet'];
    const NO_HOT_CORNER = ['corner-hot', 'no inside corner is noted in Survey'];
    const NO_SEAM = ['lap-mask', 'it is laid in one sheet, or its seams are made otherwise'];
    expect(leftOut('textured wall')).toEqual([
      NO_SEAM,
      ['obstacles', 'no obstacle is noted in Survey'],
      NO_HOT_CORNER,
    ]);
    expect(leftOut('textured wall', { texture: 'glazed block', hasObstacles: true })).toContainEqual([
      'face',
      'a glazed face is not heated',
    ]);
    expect(leftOut('decor')).toEqual([NO_CORNER, NO_SEAM]);
    expect(
      leftOut('curved, shrunk', { isOutside: true }).every(([, why]) => why === 'this film stays outside'),
    ).toBe(true);
  });
  it('a school that was not chosen is no step left out', () => {
    expect(leftOut('trim in place', { oldFilm: 'sticker' })).toEqual([]);
  });
});

describe('above reach', () => {
  it('from 2 m on the ladder is booked and said at every step on the glass; the gun is never alone on it', () => {
    const high = of('curved, shrunk', { top_m: 2.4, area_m2: 0.5 }).filter(({ needsFit }) => needsFit);
    expect(high.length).toBeGreaterThan(3);
    for (const own of high) {
      expect([own.step, own.shared.includes('ladder')]).toEqual([own.step, true]);
      expect(own.cautions.map(({ key }) => key)).toContain('ladder');
      if (own.shared.includes('heat gun')) expect([own.step, own.crew]).toEqual([own.step, 2]);
    }
    expect(of('trim in place', { top_m: 1.9 }).some(({ shared }) => shared.includes('ladder'))).toBe(false);
    expect(of('trim in place').some(({ shared }) => shared.includes('ladder'))).toBe(false);
  });
});

describe('what Survey knows is used', () => {
  it('no blade on a coated face; where nobody knows, the blade with its caution', () => {
    const coated = of('trim in place', { isFaceCoated: 'yes' });
    expect(coated.map((own) => own.step)).toContain('clean-no-blade');
    expect(coated.filter((own) => own.step.startsWith('clean')).flatMap(({ tools }) => tools)).not.toContain(
      'scraper',
    );
    for (const method of ['dry-fitted', 'pre-squared', 'security'] as const)
      expect([method, keys(method, { isFaceCoated: 'yes' }).includes('clean')]).toEqual([method, false]);
    expect(step('clean', 'trim in place')?.cautions.map(({ key }) => key)).toContain('coatedFace');
  });
  it('what comes off goes back before the handover, and nothing is put back that never came off', () => {
    for (const method of [
      'trim in place',
      'security',
      'curved, shrunk',
      'textured wall',
      'dry-fitted',
    ] as const) {
      const order = keys(method, { partsOff: 2 });
      expect([method, order.slice(-3, -1)]).toEqual([method, ['put-back', 'clear-up']]);
      expect(keys(method)).not.toContain('put-back');
    }
  });
});

describe('times that are known, within a third', () => {
  // A van-size door, 2.0 by 0.9 m, post-heated all round in 110 s.
  it('post-heat of a door: 110 s', () => {
    const minutes = step('post-heat', 'wrapped edges', { edge_m: 5.8 })?.minutes.value ?? 0;
    expect(Math.abs(minutes - 110 / 60)).toBeLessThanOrEqual(0.67);
  });
  // A wall of 2.4 by 1.2 m, 150 mm tool, 50 mm lap, 50 mm/s: 567 s (closed form).
  it('face of a wall of 2.88 m²: 567 s', () => {
    const minutes = step('face', 'textured wall', { area_m2: 2.88 })?.minutes.value ?? 0;
    expect(Math.abs(minutes - 567 / 60)).toBeLessThan(567 / 60 / 3);
  });
  it('the seam of a column grows with its own length alone: 2.84 m, not 7.7 m round the sheet', () => {
    const at = (edge_m: number): number | undefined =>
      step('seam', 'column', { edge_m, height_m: 2.84 })?.minutes.value;
    expect([at(7.7), at(15)]).toEqual([9, 9]);
  });
});

/** Action, signs and reason, in every school. */
const allWords = ({
  what,
  why,
  right = '',
  wrong = '',
  variants = [],
}: Pick<StepTemplate, 'what' | 'why' | 'right' | 'wrong' | 'variants'>): string =>
  [what, why, right, wrong, ...variants.flatMap(({ says }) => Object.values(says))].join(' ');

describe('figures are data', () => {
  const ALL = TEMPLATES.flatMap(({ template, steps }) => steps.map((own) => ({ template, ...own })));
  it('no digit in the words of a step', () => {
    expect(
      ALL.filter((own) => /\d/.test(allWords(own))).map(({ template, key }) => `${template} ${key}`),
    ).toEqual([]);
  });
  it('each figure the words name is kept, with unit and basis, and each kept is named', () => {
    const anyCase = stepCaseOf({
      condition: 'sound',
      isSecurityFilm: false,
      schools: { shrinkOn: 'soap powder' },
    });
    for (const { template, key, numbers, ...own } of ALL)
      expect([template, key, [...new Set(namesIn(allWords(own)))].sort()]).toEqual([
        template,
        key,
        Object.keys(numbersOf({ ...(numbers === undefined ? {} : { numbers }) }, anyCase)).sort(),
      ]);
  });
  it('the page of all ways is made from them (npm run rules)', () => {
    const page = readFileSync(new URL('../../../docs/ways-of-working.md', import.meta.url), 'utf8');
    expect(page).toBe(waysDocument());
    for (const { template } of TEMPLATES) expect(page).toContain(`## ${template}`);
  });
  it('what is not common practice is marked on its step', () => {
    expect(step('corner-slit', 'decor', { hasInsideCorner: true })?.doubtful).toEqual([
      { figure: '13 mm', basis: 'ask' },
    ]);
    expect(step('lock-t', 'trim in place')?.doubtful).toEqual([]);
  });
  it('they are said in the units of the crew', () => {
    const numbers = { rest: { value: [25, 50], unit: 'mm', basis: 'common practice' } } as const;
    expect(filled('leave the last {rest}', numbers, 'metric')).toBe('leave the last 25 to 50 mm');
    expect(filled('leave the last {rest}', numbers, 'imperial')).toBe('leave the last 1 to 1 15/16 in');
  });
});
