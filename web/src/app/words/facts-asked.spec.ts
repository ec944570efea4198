import { describe, expect, it } from '@jest/globals';
import { ROW_FIELDS } from '@yellow-pane/contracts';
import { NEW_PANE, NEW_PLACE, NO_SITE_FACTS, NO_WALL_FACTS } from '@yellow-pane/core/job';
import type { Fact } from '../fields/facts';
import { BODY_FACTS, PANE_FACTS, PLACE_FACTS, SITE_FACTS, UNIT_FACTS, WALL_FACTS } from './facts-asked';

const NM = 1_000_000;
/** A row as it is before anybody has said anything, by table. */
const SHEETS: readonly (readonly [
  table: keyof typeof ROW_FIELDS,
  facts: readonly Fact[],
  row: Readonly<Record<string, unknown>>,
])[] = [
  ['siteFacts', SITE_FACTS, { ...NO_SITE_FACTS, surfaceId: '0190a0b0-0000-7000-8000-000000000001' }],
  ['wallFacts', WALL_FACTS, { ...NO_WALL_FACTS, surfaceId: '0190a0b0-0000-7000-8000-000000000001' }],
  ['wallFacts', BODY_FACTS, { ...NO_WALL_FACTS, surfaceId: '0190a0b0-0000-7000-8000-000000000001' }],
  [
    'glassUnit',
    UNIT_FACTS,
    {
      name: 'unit',
      glazing: 'unknown',
      frame: 'unknown',
      edge: 'unknown',
      edgeFinish: 'unseen',
      edgeDepth_nm: null,
    },
  ],
  ['glassPane', PANE_FACTS, { ...NEW_PANE, unitId: '0190a0b0-0000-7000-8000-000000000002', position: 1 }],
  ['place', PLACE_FACTS, { ...NEW_PLACE, parentId: null, name: 'place', position: 0 }],
];
const takes = (table: keyof typeof ROW_FIELDS, row: Readonly<Record<string, unknown>>): boolean =>
  ROW_FIELDS[table].safeParse(row).success;

describe.each(SHEETS)('what the survey asks for %s', (table, facts, row) => {
  it('the row before anything is said is a row', () => {
    expect(takes(table, row)).toBe(true);
  });
  it('every question has a field to be kept in, and is asked once', () => {
    const keys = facts.map(({ key }) => key);
    expect(keys.filter((key) => !(key in row))).toEqual([]);
    expect(new Set(keys).size).toBe(keys.length);
  });
  it('every answer that can be chosen can be kept', () => {
    expect(
      facts.flatMap((fact) =>
        fact.kind === 'choice'
          ? fact.options
              .filter((option) => !takes(table, { ...row, [fact.key]: option }))
              .map((option) => `${fact.key}: ${option}`)
          : [],
      ),
    ).toEqual([]);
  });
  it('a choice starts with not knowing, where the field starts so', () => {
    for (const fact of facts)
      if (fact.kind === 'choice' && ['unknown', 'unseen', 'not done'].includes(String(row[fact.key])))
        expect(fact.options[0]).toBe(row[fact.key]);
  });
  it('a length can be kept, and not known; a figure at its least and most can', () => {
    for (const fact of facts) {
      if (fact.kind === 'length')
        expect([
          takes(table, { ...row, [fact.key]: 12 * NM }),
          takes(table, { ...row, [fact.key]: null }),
        ]).toEqual([true, true]);
      if (fact.kind === 'number')
        expect([fact.least, fact.most].map((value) => takes(table, { ...row, [fact.key]: value }))).toEqual([
          true,
          true,
        ]);
    }
  });
  it('something else than asked for is refused', () => {
    for (const fact of facts)
      if (fact.kind !== 'text') expect(takes(table, { ...row, [fact.key]: 'no such answer' })).toBe(false);
  });
});

describe('how is it found out?', () => {
  it('each tells in whole sentences what to do with hand and eye', () => {
    for (const [, facts] of SHEETS)
      for (const { how } of facts) if (how !== undefined) expect(how).toMatch(/^[A-Z].{15,}\.$/);
  });
  it('what glass cracks by can all be found out by one who has no papers: kind, thickness, coating, edge and frame cover say how', () => {
    const said = [...PANE_FACTS, ...UNIT_FACTS].filter(({ how }) => how !== undefined).map(({ key }) => key);
    expect(said).toEqual(
      expect.arrayContaining([
        'treatment',
        'thickness_nm',
        'coating',
        'coatedSide',
        'glazing',
        'edge',
        'edgeFinish',
        'edgeDepth_nm',
      ]),
    );
  });
});
