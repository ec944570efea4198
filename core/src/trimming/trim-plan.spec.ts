import { describe, expect, it } from '@jest/globals';
import { type TrimAsked, trimPlan } from './trim-plan';

const rectangle = (wide: number, high: number) => [
  { x: 0, y: 0 },
  { x: wide, y: 0 },
  { x: wide, y: high },
  { x: 0, y: high },
];
const all = (mm: number) => ({ top: mm, right: mm, bottom: mm, left: mm });
const plan = (own: Partial<TrimAsked> = {}) =>
  trimPlan({
    ...{ outline: rectangle(1200, 900), method: 'trim in place', over: all(25), factoryEdge: 'at the top' },
    ...{ from: 'the middle to the corners', reach_mm: 1000, point_mm: 6000, gap_mm: { least: 1.5, most: 3 } },
    ...own,
  });
const trimmed = (own: Partial<TrimAsked>): readonly string[] =>
  plan(own)
    .edges.flatMap(({ edge, why }) => (why === null ? [edge] : []))
    .toSorted();
const why = (own: Partial<TrimAsked>) =>
  Object.fromEntries(plan(own).edges.map((edge) => [edge.edge, edge.why]));

describe('which edges are trimmed?', () => {
  it('all of a film that is trimmed in place', () => {
    expect(trimmed({})).toEqual(['bottom', 'left', 'right', 'top']);
  });
  it('pre-squared: the other side and the bottom; factory edge and squared cut say why not', () => {
    const own: Partial<TrimAsked> = {
      method: 'pre-squared',
      over: { top: 0, right: 25, bottom: 25, left: 0 },
      factoryEdge: 'at one side',
    };
    expect(trimmed(own)).toEqual(['bottom', 'right']);
    expect(why(own)).toMatchObject({ left: 'factory edge', top: 'squared cut' });
  });
  it('cut to order: its factory edge on top is left; where the roll was too narrow for one, the top is cut too', () => {
    expect(trimmed({ method: 'cut to order' })).toEqual(['bottom', 'left', 'right']);
    expect(trimmed({ method: 'cut to order', factoryEdge: 'none' })).toContain('top');
  });
  it('none: cut to outline, beads out', () => {
    expect(why({ method: 'cut to outline', over: all(-1.5) })).toMatchObject({ top: 'cut to outline' });
    expect(why({ method: 'security' })).toMatchObject({ bottom: 'beads out' });
    expect(plan({ method: 'security' })).toMatchObject({ cuts: [], corners: [], lightGap: null });
    expect(plan({ method: 'security' }).points.value).toBe(0);
  });
});

describe('in what order, which way, in how many goes?', () => {
  it('from the middle to both corners: the top first, sides, the bottom last, two cuts an edge', () => {
    const { cuts } = plan();
    expect(cuts.map(({ edge }) => edge)).toEqual([
      'top',
      'top',
      'left',
      'left',
      'right',
      'right',
      'bottom',
      'bottom',
    ]);
    for (const { path } of cuts.filter(({ edge }) => edge === 'top'))
      expect(path[0]).toEqual({ x: 600, y: 900 });
    expect(cuts.map(({ length_mm }) => length_mm)).toEqual([600, 600, 450, 450, 450, 450, 600, 600]);
  });
  it('from a top corner down: one cut a side, led downwards; over the reach in two goes', () => {
    const { cuts } = plan({ from: 'a top corner down' });
    expect(cuts.map(({ edge, goes }) => [edge, goes])).toEqual([
      ['top', 2],
      ['left', 1],
      ['right', 1],
      ['bottom', 2],
    ]);
    for (const { path } of cuts.filter(({ edge }) => edge === 'left' || edge === 'right'))
      expect(path[0]?.y).toBeGreaterThan(path.at(-1)?.y ?? Infinity);
  });
  it('all four corners are pressed in first; of a pre-squared film the three where a blade comes', () => {
    expect(plan().corners).toHaveLength(4);
    const own = plan({ method: 'pre-squared', over: { top: 0, right: 25, bottom: 25, left: 0 } });
    expect(own.corners).not.toContainEqual({ x: 0, y: 900 });
    expect(own.corners).toHaveLength(3);
  });
  it('an arch is one edge from corner to corner, a round pane is cut from its top down both sides', () => {
    const arch = [
      { x: 0, y: 0 },
      { x: 1000, y: 0 },
      ...Array.from({ length: 41 }, (_, index) => ({
        x: 500 + 500 * Math.cos((index * Math.PI) / 40),
        y: 800 + 500 * Math.sin((index * Math.PI) / 40),
      })),
    ];
    expect(plan({ outline: arch }).edges.filter(({ edge }) => edge === 'bottom')).toHaveLength(1);
    const round = arch
      .slice(2, -1)
      .concat(arch.slice(2, -1).map(({ x, y }) => ({ x: 1000 - x, y: 1600 - y })));
    const { edges, cuts } = plan({ outline: round });
    expect(edges).toHaveLength(1);
    expect(cuts).toHaveLength(2);
    for (const { path } of cuts) expect(path[0]?.y).toBeGreaterThan((path.at(-1)?.y ?? 0) + 990);
  });
  it('a fresh point a pane, another where it is much; the gap as a band (by hand)', () => {
    expect(plan().points.value).toBe(1);
    expect(plan({ outline: rectangle(3000, 2000) }).points.value).toBe(2);
    const { lightGap, length_mm } = plan();
    expect(length_mm.value).toBe(4200);
    expect(lightGap?.least.value).toBeCloseTo((1.5 * 4200) / 1_080_000, 12);
    expect(lightGap?.most.value).toBeCloseTo((3 * 4200) / 1_080_000, 12);
  });
});
