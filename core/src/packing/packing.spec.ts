import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CoreError } from '../quantity';
import { SMALL_JOBS } from './fixtures/small-jobs';
import { ALLOWANCES } from '../rules';
import { blankFor } from '../blanks';
import { type LayoutPiece, checkLayout, layOutInLevels } from '../packing';

describe('how much larger than the pane is the blank?', () => {
  it.each([
    ['trim in place', 1230, 2190],
    ['pre-squared', 1205, 2165],
    ['dry-fitted', 1230, 2190],
    ['security', 1230, 2190],
    ['decor', 1280, 2240],
  ] as const)('1180 × 2140 mm, %s, is cut %d × %d mm', (method, width, height) => {
    const blank = blankFor({ aroundWidth_mm: 1180, aroundHeight_mm: 2140, method, direction: 'none' });
    expect([blank.width_mm.value, blank.height_mm.value]).toEqual([width, height]);
  });

  it('is rounded up to 0.1 mm, never down: 1180.04 mm becomes 1230.1, 1180.1 stays 1230.1', () => {
    const width = (aroundWidth_mm: number): number =>
      blankFor({ aroundWidth_mm, aroundHeight_mm: 500, method: 'trim in place', direction: 'none' }).width_mm
        .value;
    expect(width(1180.04)).toBe(1230.1);
    expect(width(1180.1)).toBe(1230.1);
  });

  it('film without direction may be turned by 90°, with grain only by 180°, with a picture not at all', () => {
    const turns = (direction: 'none' | 'along the roll' | 'one way'): boolean[] => {
      const { mayTurn90, mayTurn180 } = blankFor({
        aroundWidth_mm: 500,
        aroundHeight_mm: 500,
        method: 'decor',
        direction,
      });
      return [mayTurn90, mayTurn180];
    };
    expect(turns('none')).toEqual([true, true]);
    expect(turns('along the roll')).toEqual([false, true]);
    expect(turns('one way')).toEqual([false, false]);
  });

  it('another measure, method or direction gives another hash, the same inputs the same', () => {
    const hash = (aroundWidth_mm: number, method: 'decor' | 'security' = 'decor'): string =>
      blankFor({ aroundWidth_mm, aroundHeight_mm: 500, method, direction: 'none' }).inputsHash;
    expect(hash(500)).toBe(hash(500));
    expect(new Set([hash(500), hash(500.001), hash(500, 'security')]).size).toBe(3);
  });

  it('every allowance has its reason and source', () => {
    for (const { reason, source } of ALLOWANCES) expect(reason.length > 20 && source.text !== '').toBe(true);
  });

  it('0 mm and NaN are refused by name', () => {
    expect(() =>
      blankFor({ aroundWidth_mm: 0, aroundHeight_mm: 500, method: 'decor', direction: 'none' }),
    ).toThrow('aroundWidth_mm');
    expect(() =>
      blankFor({ aroundWidth_mm: 500, aroundHeight_mm: Number.NaN, method: 'decor', direction: 'none' }),
    ).toThrow('aroundHeight_mm');
  });
});

const piece = (id: string, across_mm: number, along_mm: number, mayTurn90 = false): LayoutPiece => ({
  id,
  across_mm,
  along_mm,
  mayTurn90,
});

describe('where do the blanks lie?', () => {
  it('two of 600 × 1000 side by side on 1220 use 1000 mm, and that is proven the least', () => {
    const plan = layOutInLevels({
      rollWidth_mm: 1220,
      pieces: [piece('a', 600, 1000), piece('b', 600, 1000)],
    });
    expect(plan.length_mm.value).toBe(1000);
    expect(plan.stopped).toBe('optimal');
  });

  it('a third one starts a new strip: 2000 mm', () => {
    expect(
      layOutInLevels({ rollWidth_mm: 1220, pieces: ['a', 'b', 'c'].map((id) => piece(id, 600, 1000)) })
        .length_mm.value,
    ).toBe(2000);
  });

  it('1500 × 600 that may be turned lies along a 1220 roll and uses 1500 mm', () => {
    const plan = layOutInLevels({ rollWidth_mm: 1220, pieces: [piece('a', 1500, 600, true)] });
    expect(plan.length_mm.value).toBe(1500);
    expect(plan.placed[0]?.turned).toBe(true);
  });

  it('turning is used only where it helps: 1000 × 1200 on 1220 uses 1000 mm turned', () => {
    expect(
      layOutInLevels({ rollWidth_mm: 1220, pieces: [piece('a', 1000, 1200, true)] }).length_mm.value,
    ).toBe(1000);
  });

  it('no pieces use no film', () => {
    expect(layOutInLevels({ rollWidth_mm: 1220, pieces: [] })).toMatchObject({
      placed: [],
      length_mm: { value: 0 },
      waste_share: { value: 0 },
    });
  });

  it('a piece wider than the roll that may not be turned is named', () => {
    const refused = (): unknown => layOutInLevels({ rollWidth_mm: 1220, pieces: [piece('SW1', 1230, 2190)] });
    expect(refused).toThrow(CoreError);
    expect(refused).toThrow('SW1');
  });

  const jobs = fc.record({
    rollWidth_mm: fc.constantFrom(914, 1220, 1524, 1830),
    sizes: fc.array(
      fc.record({
        across: fc.integer({ min: 100, max: 9140 }),
        along: fc.integer({ min: 100, max: 30_000 }),
        mayTurn90: fc.boolean(),
      }),
      { maxLength: 60 },
    ),
  });

  it('any job: no overlap, nothing outside the roll, every blank once, none turned that may not be', () => {
    fc.assert(
      fc.property(jobs, ({ rollWidth_mm, sizes }) => {
        const request = {
          rollWidth_mm,
          pieces: sizes.map(({ across, along, mayTurn90 }, index) =>
            piece(String(index), across / 10, along / 10, mayTurn90),
          ),
        };
        expect(checkLayout(request, layOutInLevels(request).placed)).toEqual([]);
      }),
    );
  });

  it('any job: never shorter than its bound, waste between 0 and 1, and cuttable strip by strip', () => {
    fc.assert(
      fc.property(jobs, ({ rollWidth_mm, sizes }) => {
        const plan = layOutInLevels({
          rollWidth_mm,
          pieces: sizes.map(({ across, along, mayTurn90 }, index) =>
            piece(String(index), across / 10, along / 10, mayTurn90),
          ),
        });
        expect(plan.length_mm.value).toBeGreaterThanOrEqual(plan.bound_mm.value - 1e-6);
        expect(plan.waste_share.value).toBeGreaterThanOrEqual(0);
        expect(plan.waste_share.value).toBeLessThan(1);
        for (const { level, y_mm, along_mm } of plan.placed) {
          const strip = plan.placed.filter((other) => other.level === level);
          expect(strip.every((other) => other.y_mm === y_mm)).toBe(true);
          const next = plan.placed.find((other) => other.level === level + 1);
          if (next !== undefined) expect(y_mm + along_mm).toBeLessThanOrEqual(next.y_mm + 1e-9);
        }
      }),
    );
  });

  it('a factor of the area bound that levels are known to keep: never over 2.7 times the optimum when turned freely', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 100, max: 1200 }), { minLength: 1, maxLength: 60 }), (sides) => {
        const plan = layOutInLevels({
          rollWidth_mm: 1220,
          pieces: sides.map((side, index) => piece(String(index), side, side)),
        });
        expect(plan.length_mm.value).toBeLessThanOrEqual(2.7 * plan.bound_mm.value + 1200);
      }),
    );
  });
});

describe('does the checker see what is wrong?', () => {
  const request = { rollWidth_mm: 1000, pieces: [piece('a', 400, 500), piece('b', 400, 500)] };
  const at = (id: string, x_mm: number, y_mm: number, more: object = {}) => ({
    id,
    x_mm,
    y_mm,
    across_mm: 400,
    along_mm: 500,
    turned: false,
    level: 0,
    ...more,
  });
  it.each([
    ['overlap', [at('a', 0, 0), at('b', 300, 100)]],
    ['outside', [at('a', 0, 0), at('b', 700, 0)]],
    ['missing', [at('a', 0, 0)]],
    ['twice', [at('a', 0, 0), at('b', 400, 0), at('a', 0, 600)]],
    ['unknown', [at('a', 0, 0), at('b', 400, 0), at('c', 0, 600)]],
    ['turned', [at('a', 0, 0), at('b', 400, 0, { turned: true, across_mm: 500, along_mm: 400 })]],
    ['smaller', [at('a', 0, 0), at('b', 400, 0, { along_mm: 499 })]],
  ])('%s', (itemType, placed) => {
    expect(checkLayout(request, placed).map((fault) => fault.kind)).toContain(itemType);
  });
  it('touching edges are no overlap', () => {
    expect(checkLayout(request, [at('a', 0, 0), at('b', 400, 0)])).toEqual([]);
  });
});

describe('how does it stand against exact optima found elsewhere?', () => {
  it.each(SMALL_JOBS.map((job) => [job.id, job] as const))(
    '%s: bound ≤ exact optimum ≤ length used, at most twice the optimum, and valid',
    (_id, { width, items, optimum }) => {
      const request = {
        rollWidth_mm: width,
        pieces: items.flatMap(({ w, h, qty }, itemType) =>
          Array.from({ length: qty }, (_, n) => piece(`${itemType}-${n}`, w, h)),
        ),
      };
      const plan = layOutInLevels(request);
      expect(plan.bound_mm.value).toBeLessThanOrEqual(optimum);
      expect(plan.length_mm.value).toBeGreaterThanOrEqual(optimum);
      expect(plan.length_mm.value).toBeLessThanOrEqual(2 * optimum);
      expect(checkLayout(request, plan.placed)).toEqual([]);
    },
  );
});
