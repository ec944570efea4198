import { describe, expect, it } from '@jest/globals';
import { LINER_WAYS, type LinerAsked, linerPlan } from './liner-plan';

const plan = (own: Partial<LinerAsked> = {}) =>
  linerPlan({ width_mm: 1500, height_mm: 2400, way: 'halves on the glass', people: 1, hand: null, ...own });

describe('how does the liner come off?', () => {
  it('by halves on a pane of 1.5 × 2.4 m: exactly half, laid back, then the other; rolled up from below; one person', () => {
    const { parts, isRolledUp, people, usesFloor } = plan();
    expect(parts).toEqual([
      { number: 1, from_mm: 2400, to_mm: 1200, then: 'laid back' },
      { number: 2, from_mm: 0, to_mm: 1200, then: 'laid back' },
    ]);
    expect(isRolledUp).toBe(true);
    expect(people).toHaveLength(1);
    expect(usesFloor).toBe(false);
  });
  it('by two: one has the roll, the other the liner, side by side; more room to stand', () => {
    const two = plan({ people: 2 });
    expect(two.people.map(({ holds }) => holds)).toEqual(['the roll', 'the liner']);
    expect(two.people[0]?.at.x).toBeLessThan(two.people[1]?.at.x ?? 0);
    expect(two.room.before_mm).toBeGreaterThan(plan().room.before_mm);
  });
  it('tabs sit at the corner of the hand that pulls, one on each face, beside each other', () => {
    const [right] = plan({ way: 'tape tabs', hand: 'right' }).tabs;
    expect(right).toMatchObject({ corner: 'upper right', liner: { x: 1500, y: 2400 } });
    expect(right?.film.x).toBeLessThan(1500);
    expect(plan({ way: 'tape tabs', hand: 'left' }).tabs).toMatchObject([{ corner: 'upper left' }]);
    expect(plan({ way: 'tape tabs', people: 2 }).tabs).toHaveLength(2);
  });
  it('just past half on the outside of a pane; the last 25 to 50 mm left on where it is drawn down; the top first where it is fixed', () => {
    expect(plan({ way: 'on the outside of the pane' }).parts[0]?.to_mm).toBeLessThan(1200);
    const rest = plan({ way: 'hang and pull' }).parts[0]?.to_mm ?? 0;
    expect(rest).toBeGreaterThanOrEqual(25);
    expect(rest).toBeLessThanOrEqual(50);
    expect(plan({ way: 'top part first' }).parts[0]?.to_mm).toBeGreaterThan(1200);
  });
  it('hung beside the pane it needs its width there; to the floor its height below, and says that it uses the floor', () => {
    expect(plan({ way: 'hang and pull' }).room.beside_mm).toBeGreaterThanOrEqual(1500);
    expect(plan({ way: 'unrolled to the floor' })).toMatchObject({
      usesFloor: true,
      room: { below_mm: 2400 },
    });
  });
  it('film that was hung dry is freed in halves and rolled up, whatever the school', () => {
    expect(plan({ way: 'tape tabs', isHungDry: true })).toMatchObject({ isRolledUp: true });
    expect(plan({ way: 'tape tabs', isHungDry: true }).parts[0]?.then).toBe('laid back');
  });
  it.each(LINER_WAYS)('%s frees all of it once, at any height', (way) => {
    for (const height_mm of [30, 300, 2400]) {
      const { parts } = plan({ way, height_mm });
      const freed = parts.reduce((sum, { from_mm, to_mm }) => sum + Math.abs(from_mm - to_mm), 0);
      expect({ height_mm, freed }).toEqual({ height_mm, freed: height_mm });
    }
  });
});
