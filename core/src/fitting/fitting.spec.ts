import { describe, expect, it } from '@jest/globals';
import { CAUTIONS, DEFAULT_RATES, DEFAULT_SCHOOLS, FLAT_GLASS, SCHOOLS, SLIP_MIXES, slipNeeded, slipShare, workStepsFor } from './index';

const steps = (more: Partial<Parameters<typeof workStepsFor>[0]> = {}) => workStepsFor({ schools: DEFAULT_SCHOOLS, area_m2: 2.5, condition: 'sound', isSecurityFilm: false, ...more });
const keys = (more: Parameters<typeof steps>[0] = {}): string[] => steps(more).map(({ step }) => step);

describe('in what order is flat glass filmed?', () => {
  it('clean before film, align before lock, lock before trim, trim before the squeeze, edges last but the handover', () => {
    const order = keys();
    for (const [first, second] of [['protect', 'clean'], ['clean', 'liner-tabs'], ['liner-tabs', 'align'], ['align', 'lock-t'], ['lock-t', 'trim'], ['trim', 'squeeze'], ['squeeze', 'edges'], ['edges', 'handover']] as const) {
      expect(order.indexOf(first)).toBeGreaterThanOrEqual(0);
      expect(order.indexOf(first)).toBeLessThan(order.indexOf(second));
    }
  });

  it('the other school trims after squeezing out', () => {
    const order = keys({ schools: { ...DEFAULT_SCHOOLS, trimSchool: 'after squeezing out' } });
    expect(order.indexOf('squeeze')).toBeLessThan(order.indexOf('trim-after'));
    expect(order).not.toContain('trim');
  });

  it('every choice of school gives exactly one liner step, one lock and one trim', () => {
    for (const { value: linerSchool } of SCHOOLS.linerSchool) for (const { value: lockSchool } of SCHOOLS.lockSchool) for (const { value: trimSchool } of SCHOOLS.trimSchool) {
      const order = keys({ schools: { linerSchool, lockSchool, trimSchool } });
      for (const kind of ['liner-', 'lock-', 'trim']) expect(order.filter((key) => key.startsWith(kind))).toHaveLength(1);
    }
  });

  it('step keys are unique in the template, so that ticks cannot be mixed up', () => {
    expect(new Set(FLAT_GLASS.steps.map(({ key }) => key)).size).toBe(FLAT_GLASS.steps.length);
  });

  it('every step says why', () => { for (const step of steps()) expect(step.why.length).toBeGreaterThan(20); });
});

describe('what can hurt?', () => {
  it('every step with a blade shows the blade caution', () => {
    for (const step of steps()) if (step.tools.some((tool) => /blade|scraper/.test(tool))) expect(step.cautions.map(({ key }) => key)).toContain('blade');
  });
  it('cracked glass is said at every step', () => {
    for (const step of steps({ condition: 'cracked' })) expect(step.cautions[0]?.key).toBe('crackedGlass');
  });
  it('2.5 m² asks for two people, 0.4 m² does not, unknown size does', () => {
    const asks = (area_m2?: number): boolean => workStepsFor({ schools: DEFAULT_SCHOOLS, condition: 'sound', isSecurityFilm: false, ...(area_m2 === undefined ? {} : { area_m2 }) }).some(({ cautions }) => cautions.some(({ key }) => key === 'largeSheet'));
    expect([asks(2.5), asks(0.4), asks()]).toEqual([true, false, true]);
  });
  it('security film says that it delays and does not stop', () => {
    expect(steps({ isSecurityFilm: true })[0]?.cautions.map(({ key }) => key)).toContain('safetyFilm');
  });
  it('the glass may crack: said at the first step, always', () => { expect(steps()[0]?.cautions.map(({ key }) => key)).toContain('glassAndFilm'); });
  it('every caution has words', () => { for (const { says } of CAUTIONS) expect(says.length).toBeGreaterThan(20); });
});

describe('how much soap is in the slip?', () => {
  it.each([['household', 0.0078], ['small-bottle', 0.00074], ['strong', 0.03125]])('%s is %d of the water', (key, share) => {
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
    const need = slipNeeded(2.5, { value: 0.3, mark: 'our guess' });
    expect(need.value).toBeCloseTo(0.75, 9);
    expect(need.why[0]?.source.kind).toBe('our guess');
  });
  it('without measures no quantity is made up', () => {
    expect(workStepsFor({ schools: DEFAULT_SCHOOLS, condition: 'sound', isSecurityFilm: false }).every(({ slip_l }) => slip_l === undefined)).toBe(true);
  });
  it('a measured rate replaces the guess', () => {
    const rates = DEFAULT_RATES.map((rate) => ({ ...rate, value: 0.5, mark: 'measured' as const }));
    expect(steps({ rates }).find(({ step }) => step === 'final-rinse')?.slip_l).toMatchObject({ value: 1.25, why: [{ source: { kind: 'measured here' } }] });
  });
  it('an area of 0 is refused by name', () => { expect(() => slipNeeded(0, { value: 0.3, mark: 'our guess' })).toThrow('FITTING_AREA_RANGE'); });
});
