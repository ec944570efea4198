import { describe, expect, it } from '@jest/globals';
import {
  CUT_METHODS,
  JOB_TABLES,
  MEASURE_KINDS,
  NEW_DAY,
  NEW_PANE,
  NEW_PART,
  NEW_PLACE,
  NEW_SURFACE,
  NO_BRIEF,
  NO_SITE_FACTS,
  NO_WALL_FACTS,
  OPPOSITE_SIDE,
  lookFrom,
  SHAPES_OF_KIND,
  type SeenFrom,
} from './index';

describe('does the data model say what the rulings say?', () => {
  it('parents come before children: a row may be put without a dangling reference', () => {
    const at = (table: (typeof JOB_TABLES)[number]): number => JOB_TABLES.indexOf(table);
    for (const [parent, child] of [
      ['job', 'place'],
      ['place', 'surface'],
      ['glassUnit', 'surface'],
      ['glassUnit', 'glassPane'],
      ['surface', 'measure'],
      ['surface', 'application'],
      ['application', 'seamChoice'],
      ['cutPlan', 'cutRoll'],
      ['cutRoll', 'cutPiece'],
      ['cutRoll', 'offcut'],
      ['cutRoll', 'stockTake'],
      ['place', 'filmBrief'],
      ['surface', 'photo'],
    ] as const)
      expect(at(parent)).toBeLessThan(at(child));
    expect(new Set(JOB_TABLES).size).toBe(JOB_TABLES.length);
  });
  it('the other side of the other side is the side itself', () => {
    for (const side of Object.keys(OPPOSITE_SIDE) as SeenFrom[]) {
      const looks = (['inside', 'outside'] as const).map((where) => lookFrom(side, where));
      expect(looks.toSorted()).toEqual([side, OPPOSITE_SIDE[side]].toSorted());
      expect(OPPOSITE_SIDE[OPPOSITE_SIDE[side]]).toBe(side);
      expect(OPPOSITE_SIDE[side]).not.toBe(side);
    }
  });
  it('every shape belongs to one kind of surface', () => {
    const all = Object.values(SHAPES_OF_KIND).flat();
    expect(new Set(all).size).toBe(all.length);
    expect(all.length).toBeGreaterThan(10);
  });
  it('every kind of reading has a word of its own and a range', () => {
    const rules = Object.values(MEASURE_KINDS);
    expect(new Set(rules.map(({ word }) => word)).size).toBe(rules.length);
    for (const { least_mm, most_mm } of rules) expect(least_mm).toBeLessThanOrEqual(most_mm);
  });
  it('methods of cutting are told apart', () => {
    expect(new Set(CUT_METHODS).size).toBe(CUT_METHODS.length);
  });
});

describe('what nobody has said is unknown', () => {
  const known = (fields: object, allowed: Readonly<Record<string, unknown>>): readonly string[] =>
    Object.entries(fields)
      .filter(
        ([key, value]) =>
          value !== null &&
          value !== 'unknown' &&
          value !== '' &&
          !(Array.isArray(value) && value.length === 0) &&
          JSON.stringify(allowed[key]) !== JSON.stringify(value),
      )
      .map(([key]) => key);
  it('a new place, surface, pane or part has no figure that nobody measured', () => {
    expect(known(NEW_PLACE, { kind: 'building', movable: false })).toEqual([]);
    expect(known(NEW_SURFACE, { kind: 'pane', shape: 'four sides', seenFrom: 'room' })).toEqual([]);
    expect(known(NEW_PANE, {})).toEqual([]);
    expect(known(NEW_PART, { form: 'none', count: 1 })).toEqual([]);
    expect(known(NO_SITE_FACTS, {})).toEqual([]);
    expect(known(NO_WALL_FACTS, { tapeTest: 'not done' })).toEqual([]);
  });
  it('a brief asks for nothing; a new day knows no temperature of the room', () => {
    expect(
      known(NO_BRIEF, {
        look: 'any',
        ...Object.fromEntries(Object.entries(NO_BRIEF).filter(([, value]) => value === 0)),
      }),
    ).toEqual([]);
    expect([NEW_DAY.indoor_C, NEW_DAY.indoorHumidity, NEW_DAY.comeFrom_C]).toEqual([null, null, null]);
  });
});
