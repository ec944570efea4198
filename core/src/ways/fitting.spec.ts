import { AT_FIRST } from '../learned';
import { describe, expect, it } from '@jest/globals';
import { CAUTIONS, SCHOOLS, SLIP_MIXES, TEMPLATES, slipNeeded, slipShare, workStepsFor } from './index';

const steps = (more: Partial<Parameters<typeof workStepsFor>[0]> = {}) =>
  workStepsFor({
    area_m2: 2.5,
    condition: 'sound',
    isSecurityFilm: false,
    ...more,
  });
const keys = (more: Parameters<typeof steps>[0] = {}): string[] => steps(more).map(({ step }) => step);

describe('in what order is flat glass filmed?', () => {
  it('clean before film, align before lock, lock before trim, trim before the squeeze, edges last but the handover', () => {
    const order = keys();
    for (const [first, second] of [
      ['protect', 'clean'],
      ['clean', 'liner-tabs'],
      ['liner-tabs', 'align'],
      ['align', 'lock-t'],
      ['lock-t', 'trim'],
      ['trim', 'squeeze'],
      ['squeeze', 'edges'],
      ['edges', 'handover'],
    ] as const) {
      expect(order.indexOf(first)).toBeGreaterThanOrEqual(0);
      expect(order.indexOf(first)).toBeLessThan(order.indexOf(second));
    }
  });

  it('the other school trims after squeezing out', () => {
    const order = keys({ schools: { trim: 'after squeezing out' } });
    expect(order.indexOf('squeeze')).toBeLessThan(order.indexOf('trim-after'));
    expect(order).not.toContain('trim');
  });

  it('every choice of school gives exactly one liner step, one lock and one trim', () => {
    for (const { value: liner } of SCHOOLS.liner.options)
      for (const { value: lock } of SCHOOLS.lock.options)
        for (const { value: trim } of SCHOOLS.trim.options) {
          const order = keys({ schools: { liner, lock, trim } });
          for (const kind of ['liner-', 'lock-', 'trim'])
            expect(order.filter((key) => key.startsWith(kind))).toHaveLength(1);
        }
  });

  it('step keys are unique in the template, so that ticks cannot be mixed up', () => {
    for (const { template, steps: all } of TEMPLATES)
      expect([template, new Set(all.map(({ key }) => key)).size]).toEqual([template, all.length]);
  });

  it('every step says why', () => {
    for (const step of steps()) expect(step.why.length).toBeGreaterThan(20);
  });
});

describe('what can hurt?', () => {
  it('every step with a blade shows the blade caution', () => {
    for (const step of steps())
      if (step.tools.some((tool) => /blade|scraper/.test(tool)))
        expect(step.cautions.map(({ key }) => key)).toContain('blade');
  });
  it('cracked glass is said at every step', () => {
    for (const step of steps({ condition: 'cracked' })) expect(step.cautions[0]?.key).toBe('crackedGlass');
  });
  it('2.5 m² asks for two people, 0.4 m² does not, unknown size does', () => {
    const asks = (area_m2?: number): boolean =>
      workStepsFor({
        condition: 'sound',
        isSecurityFilm: false,
        ...(area_m2 === undefined ? {} : { area_m2 }),
      }).some(({ cautions }) => cautions.some(({ key }) => key === 'largeSheet'));
    expect([asks(2.5), asks(0.4), asks()]).toEqual([true, false, true]);
  });
  it('security film says that it delays and does not stop', () => {
    expect(steps({ isSecurityFilm: true })[0]?.cautions.map(({ key }) => key)).toContain('safetyFilm');
  });
  it('the glass may crack: said at the first step, always', () => {
    expect(steps()[0]?.cautions.map(({ key }) => key)).toContain('glassAndFilm');
  });
  it('every caution has words', () => {
    for (const { says } of CAUTIONS) expect(says.length).toBeGreaterThan(20);
  });
});

describe('how much soap is in the slip?', () => {
  it.each([
    ['household', 0.0078],
    ['small-bottle', 0.00074],
    ['strong', 0.03125],
  ])('%s is %d of the water', (key, share) => {
    const mix = SLIP_MIXES.find((entry) => entry.key === key);
    expect(mix === undefined ? NaN : slipShare(mix).value).toBeCloseTo(share, 4);
  });
  it('the household recipes differ about fortyfold', () => {
    const shares = SLIP_MIXES.map((mix) => slipShare(mix).value);
    expect(Math.max(...shares) / Math.min(...shares)).toBeGreaterThan(40);
  });
});

describe('how much slip is needed?', () => {
  it('2.5 m² at a guessed 0.3 l/m² is 0.75 l, and says that it is a guess', () => {
    const need = slipNeeded(2.5, { value: 0.3, basis: 'ours' });
    expect(need.value).toBeCloseTo(0.75, 9);
    expect(need.why[0]?.source.kind).toBe('our guess');
  });
  it('without measures no quantity is made up', () => {
    expect(
      workStepsFor({ condition: 'sound', isSecurityFilm: false }).every(({ slip_l }) => slip_l === undefined),
    ).toBe(true);
  });
  it('a measured rate replaces the guess', () => {
    const learned = AT_FIRST.map((rate) => ({ ...rate, value: 0.5, basis: 'measured' as const }));
    expect(steps({ learned }).find(({ step }) => step === 'final-rinse')?.slip_l).toMatchObject({
      value: 1.25,
      why: [{ source: { kind: 'measured here' } }],
    });
  });
  it('an area of 0 is refused by name', () => {
    expect(() => slipNeeded(0, { value: 0.3, basis: 'ours' })).toThrow('FITTING_AREA_RANGE');
  });
});

describe('how is each kind of surface worked on?', () => {
  const METHODS = [
    'trim in place',
    'pre-squared',
    'dry-fitted',
    'security',
    'decor',
    'column',
    'wrapped edges',
    'furrow girth',
    'curved, shrunk',
    'textured wall',
  ] as const;
  const of = (method: (typeof METHODS)[number], more: Partial<Parameters<typeof workStepsFor>[0]> = {}) =>
    workStepsFor({
      area_m2: 2,
      edge_m: 6,
      condition: 'sound',
      isSecurityFilm: false,
      method,
      ...more,
    });
  it.each(METHODS)('%s: has steps, each with its reason, whole minutes and unique keys', (method) => {
    const own = of(method);
    expect(own.length).toBeGreaterThan(4);
    for (const step of own) {
      expect(step.why.length).toBeGreaterThan(15);
      expect(Number.isInteger(step.minutes.value) && step.minutes.value > 0).toBe(true);
      expect(step.minutes.why[0]?.source.kind).toBe('our guess');
    }
  });
  it('keys are unique within every template', () => {
    for (const { steps: all } of TEMPLATES) expect(new Set(all.map(({ key }) => key)).size).toBe(all.length);
  });
  it('putty and primer dry before film; heat comes before the final cut, which waits for cooling', () => {
    const own = of('decor');
    expect(own.find(({ step }) => step === 'putty')?.then?.least).toBe('putty');
    expect(own.find(({ step }) => step === 'prime-water')?.then?.least).toBe('primer, water-based');
    const wrapped = of('wrapped edges');
    expect(wrapped.find(({ step }) => step === 'post-heat')?.then?.least).toBe(15);
    expect(wrapped.map(({ step }) => step).indexOf('post-heat')).toBeLessThan(
      wrapped.map(({ step }) => step).indexOf('final-cut'),
    );
    expect(of('decor', { primer: 'solvent-based' }).map(({ step }) => step)).toContain('prime-solvent');
    expect(of('decor', { hasInsideCorner: true }).length).toBe(own.length + 8);
  });
  it('promoter is left 5 to 15 minutes and not over 60', () => {
    expect(of('column').find(({ step }) => step === 'seam-promoter')?.then).toMatchObject({
      least: 'promoter',
      most: 60,
    });
  });
  it('curved glass is shrunk fold by fold or in one sweep, never both', () => {
    const keysOf = (shrink: 'fold by fold' | 'one sweep'): readonly string[] =>
      of('curved, shrunk', { schools: { shrink } })
        .map(({ step }) => step)
        .filter((key) => key.startsWith('shrink-'));
    expect([keysOf('fold by fold'), keysOf('one sweep')]).toEqual([['shrink-folds'], ['shrink-sweep']]);
  });
  it('a wall is washed, dries, then the face comes before the joints', () => {
    const order = of('textured wall').map(({ step }) => step);
    expect(order.indexOf('wash')).toBeLessThan(order.indexOf('face'));
    expect(order.indexOf('face')).toBeLessThan(order.indexOf('joints'));
    expect(of('textured wall', { family: 'wrap' })[0]?.template).toBe('decal');
  });
  it('gun steps ask for the gun, the skill and its caution', () => {
    for (const { steps: all } of TEMPLATES)
      for (const step of all)
        if (step.shared?.includes('heat gun') === true)
          expect([step.key, step.skill, step.cautions.includes('heatGun')]).toEqual([step.key, 'heat', true]);
  });
  it('length: 2 m² of glass squeezed at 4 min/m² takes 8 min; hard to reach 1.4 times as long', () => {
    const squeeze = (isHardToReach: boolean): number | undefined =>
      of('trim in place', { isHardToReach }).find(({ step }) => step === 'squeeze')?.minutes.value;
    expect([squeeze(false), squeeze(true)]).toEqual([8, 12]);
  });
});
