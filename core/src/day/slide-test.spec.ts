import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { mixSheet, slideTest } from './index';

const BOUNDS = { lean: 0.0004, rich: 0.015 };
/** 1 tbsp in 32 fl oz is 1.56 %, 6 and 8 drops in 16 fl oz 0.063 and 0.085 %: check values of the brief. */
const FL_OZ = 29.5735;

describe('what does a slide on wet glass say about the bottle?', () => {
  it.each([
    ['1 tbsp in 32 fl oz', 14.7868 / (32 * FL_OZ), 0.0156],
    ['1 fl oz in 32 fl oz', 1 / 32, 0.031],
    ['6 drops in 16 fl oz', 0.3 / (16 * FL_OZ), 0.00063],
    ['8 drops in 16 fl oz', 0.4 / (16 * FL_OZ), 0.00085],
  ])('%s', (_said, share, known) => {
    expect(Math.abs(share - known)).toBeLessThan(0.01 * known);
  });
  it('sticks: half as much soap again; into 946 ml at 0.5 % go 2.4 ml', () => {
    const answer = slideTest({ soap_ml: 4.73, water_ml: 946 }, 'sticks', BOUNDS);
    expect(answer.does).toBe('soap in');
    expect(answer.ml.value).toBeCloseTo(2.365, 3);
    expect(answer.after.soap_ml / answer.after.water_ml).toBeCloseTo(0.0075, 6);
  });
  it('runs off: a third is poured off and filled up with water', () => {
    const answer = slideTest({ soap_ml: 9, water_ml: 900 }, 'runs off', BOUNDS);
    expect(answer.does).toBe('pour off, fill up with water');
    expect(answer.ml.value).toBeCloseTo(300, 6);
  });
  it('right: nothing is added, and the share stays for the next mix', () => {
    const answer = slideTest({ soap_ml: 7, water_ml: 900 }, 'right', BOUNDS);
    expect([answer.does, answer.ml.value, answer.isAtItsEnd]).toEqual(['nothing', 0, false]);
    expect(answer.after).toEqual({ soap_ml: 7, water_ml: 900 });
  });
  it('never over rich nor under lean; at the end of it something else is wrong', () => {
    expect(slideTest({ soap_ml: 13.5, water_ml: 900 }, 'sticks', BOUNDS)).toMatchObject({
      does: 'nothing',
      isAtItsEnd: true,
    });
    fc.assert(
      fc.property(
        fc.double({ min: 0.0001, max: 0.05, noNaN: true }),
        fc.constantFrom('sticks' as const, 'runs off' as const),
        (share, slide) => {
          const { after } = slideTest({ soap_ml: share * 900, water_ml: 900 }, slide, BOUNDS);
          const then = after.soap_ml / after.water_ml;
          expect(then).toBeGreaterThanOrEqual(Math.min(share, BOUNDS.lean) - 1e-12);
          expect(then).toBeLessThanOrEqual(Math.max(share, BOUNDS.rich) + 1e-12);
        },
      ),
    );
  });
  it.each([
    [{ soap_ml: 0, water_ml: 900 }, 'soap_ml'],
    [{ soap_ml: 5, water_ml: 0 }, 'water_ml'],
  ])('%j is no bottle', (bottle, path) => {
    expect(() => slideTest(bottle, 'right', BOUNDS)).toThrow(`DAY_BOTTLE_RANGE at ${path}`);
  });
});

describe('is the strength judged for its step?', () => {
  const sheet = (slip: string, method: 'trim in place' | 'curved, shrunk', more: object = {}) =>
    mixSheet({
      surfaces: [{ method, area_m2: 2, edge_m: 6 }],
      slip,
      primer: 'water-based',
      air_C: 20,
      ...more,
    });
  it('the strong mix is too rich for laying flat film, and right for shrinking outside', () => {
    expect(sheet('strong', 'trim in place')[0]).toMatchObject({ liquid: 'slip', verdict: 'stop' });
    const shrinking = sheet('household', 'curved, shrunk').find(
      ({ liquid }) => liquid === 'slip for shrinking',
    );
    expect(shrinking).toMatchObject({ verdict: 'go' });
    expect(sheet('household', 'trim in place').map(({ liquid }) => liquid)).not.toContain(
      'slip for shrinking',
    );
  });
  it('as it was right before: the share of the last slide test', () => {
    const learned = [
      {
        key: 'mix-right',
        word: '',
        value: 0.005,
        unit: 'share',
        basis: 'measured' as const,
        scope: null,
        sd: null,
        n: null,
        from: '',
      },
    ];
    expect(sheet('own', 'trim in place', { learned })[0]).toMatchObject({
      recipe: { case: 'as it was right', share: 0.005 },
      verdict: 'go',
    });
  });
  it('over 22 °C a recipe says that it may take up to twice the soap; caps are counted by warmth themselves', () => {
    const remarks = (slip: string, air_C: number) =>
      sheet(slip, 'trim in place', { air_C })[0]?.remarks.map((remark) => remark.case);
    expect(remarks('household', 26)).toContain('it is warm');
    expect(remarks('household', 20)).not.toContain('it is warm');
    expect(remarks('concentrate', 26)).toEqual(['caps by warmth']);
  });
  it('primer in the cold says so, and that nobody knows how much more', () => {
    const primer = (coldest_C: number) =>
      mixSheet({
        surfaces: [{ method: 'decor', area_m2: 2, edge_m: 6 }],
        slip: 'household',
        primer: 'water-based',
        air_C: 20,
        coldest_C,
      }).find(({ liquid }) => liquid === 'primer')?.remarks;
    expect(primer(8)).toContainEqual({ case: 'it is cold', air_C: 8 });
    expect(primer(18)).toEqual([{ case: 'more in the cold' }]);
  });
});
