import { describe, expect, it } from '@jest/globals';
import { mmFromNm, parseLength } from '../quantity';
import { checkSurface } from './check-surface';
import { recheckFilm } from './recheck';
import type { Reading } from './reading';
import { type ComparedSurface, sameAsGroups } from './same-as';
import { type BlunderFix, blunderFixes } from './blunder-fixes';

/** What was typed for a pane of 1180 × 2140 with one deciding measure, and what each slip makes of it. */
const TRUE: readonly (readonly [string, string, string])[] = [
  ['tl', 'tr', '1180'],
  ['ml', 'mr', '1180'],
  ['bl', 'br', '1180'],
  ['tl', 'bl', '2140'],
  ['mt', 'mb', '2140'],
  ['tr', 'br', '2140'],
  ['tl', 'br', '2444'],
  ['bl', 'tr', '2444'],
  ['bl', 'mr', '1592'],
  ['tl', 'mr', '1592'],
];
const fixesFor = (wrong: Readonly<Record<string, string>>): readonly BlunderFix[] => {
  const texts = TRUE.map(([from, to, text]) => ({
    id: `${from}-${to}`,
    from,
    to,
    text: wrong[`${from}-${to}`] ?? text,
  }));
  const readings = texts.map(({ id, from, to, text }): Reading => {
    const parsed = parseLength(text, 'mm');
    return {
      id,
      kind: 'distance',
      from,
      to,
      value_mm: parsed.kind === 'length' ? mmFromNm(parsed.value_nm) : NaN,
      instrument: 'tape',
    };
  });
  const input = { shape: 'four sides' as const, readings };
  return blunderFixes(
    input,
    checkSurface(input),
    new Map(texts.map(({ id, text }) => [id, { text, unit: 'mm' as const }])),
  );
};

describe('is a typical slip recognised and offered as one fix?', () => {
  it.each([
    ['10 cm misread', { 'tr-br': '2240' }, 2140],
    ['two digits swapped', { 'tr-br': '2410' }, 2140],
    ['1 in misread', { 'bl-br': '1205.4' }, 1180],
    ['centimetres typed as millimetres', { 'tl-bl': '214' }, 2140],
    ['laser body not added', { 'tr-br': '2020' }, 2140],
    ['tape case not added', { 'bl-br': '1100' }, 1180],
    ['measured to the frame, not to the glass', { 'bl-br': '1194' }, 1180],
  ])('%s', (slip, wrong, right) => {
    const fix = fixesFor(wrong).find((candidate) => candidate.slip === slip);
    expect(fix).toBeDefined();
    expect(Math.abs((fix?.changes[0]?.value_mm ?? 0) - right)).toBeLessThan(3);
  });
  it('inches typed where centimetres were read', () => {
    expect(fixesFor({ 'bl-br': '464.6' }).map(({ slip }) => slip)).toContain('inches typed as centimetres');
  });
  it('width and height written into each other: both are put right at once', () => {
    const exchange = fixesFor({ 'bl-br': '2140', 'tr-br': '1180' }).find(
      ({ slip }) => slip === 'width and height exchanged',
    );
    expect(exchange?.changes).toHaveLength(2);
  });
  it('nothing is offered where all agree, or where no known slip explains it', () => {
    expect(fixesFor({})).toEqual([]);
    expect(fixesFor({ 'tr-br': '2197.3' })).toEqual([]);
  });
});

describe('is a slip recognised on a curved pane, where chords and sags are read?', () => {
  const CHORDS: readonly (readonly [string, string, number])[] = [
    ['tl', 'tr', 1180],
    ['ml', 'mr', 1180],
    ['bl', 'br', 1180],
    ['tl', 'bl', 760],
    ['mt', 'mb', 760],
    ['tr', 'br', 760],
    ['tl', 'br', 1403.6],
    ['bl', 'tr', 1403.6],
  ];
  const SAGS: readonly (readonly [string, string, number])[] = [
    ['tl', 'tr', 52],
    ['ml', 'mr', 52],
    ['bl', 'br', 52],
    ['tl', 'bl', 20],
    ['mt', 'mb', 20],
    ['tr', 'br', 20],
  ];
  const offered = (wrong: Readonly<Record<string, number>>) => {
    const of = (kind: 'distance' | 'sag', rows: typeof CHORDS): readonly Reading[] =>
      rows.map(([from, to, value_mm]) => {
        const id = `${kind} ${from}-${to}`;
        return { id, kind, from, to, value_mm: wrong[id] ?? value_mm, instrument: 'tape' };
      });
    const input = {
      shape: 'curved glass' as const,
      readings: [...of('distance', CHORDS), ...of('sag', SAGS)],
    };
    const check = checkSurface(input);
    return {
      state: 'agreement' in check ? check.agreement.kind : check.state,
      fixes: blunderFixes(input, check, new Map()),
    };
  };
  it('a chord misread by 10 cm is put right, and no fix is offered that the sags contradict', () => {
    const { state, fixes } = offered({ 'distance ml-mr': 1280 });
    expect(state).toBe('disagree');
    expect(fixes.map(({ slip, changes }) => [slip, changes[0]?.id, changes[0]?.value_mm])).toContainEqual([
      '10 cm misread',
      'distance ml-mr',
      1180,
    ]);
  });
  it('true readings agree, and nothing is offered', () => {
    expect(offered({})).toEqual({ state: 'agree', fixes: [] });
  });
});

describe('which surfaces are the same as others?', () => {
  const pane = (
    id: string,
    width: number,
    height: number,
    more: Partial<ComparedSurface> = {},
  ): ComparedSurface => ({
    id,
    shape: 'four sides',
    unitId: 'u',
    outline: [
      { x: 0, y: 0 },
      { x: width, y: 0 },
      { x: width, y: height },
      { x: 0, y: height },
    ],
    more_mm: [],
    ...more,
  });
  it('those within the tolerance of the first, each in one group', () => {
    const groups = sameAsGroups(
      [
        pane('a', 800, 600),
        pane('b', 801, 600),
        pane('c', 900, 600),
        pane('d', 800, 602),
        pane('e', 900, 601),
      ],
      3,
    );
    expect(groups.map(({ ids }) => ids)).toEqual([
      ['a', 'b', 'd'],
      ['c', 'e'],
    ]);
    expect(groups[0]?.apart_mm).toBeCloseTo(2, 9);
  });
  it('not those of another glass, another shape, or another curve', () => {
    expect(
      sameAsGroups(
        [
          pane('a', 800, 600),
          pane('b', 800, 600, { unitId: 'other' }),
          pane('c', 800, 600, { shape: 'panel' }),
        ],
        3,
      ),
    ).toEqual([]);
    expect(
      sameAsGroups([pane('a', 800, 600, { more_mm: [40] }), pane('b', 800, 600, { more_mm: [55] })], 3),
    ).toEqual([]);
  });
});

describe('does ready-cut film fit its pane?', () => {
  it('with 2 mm of gap a side it fits', () => {
    expect(recheckFilm([796, 596], [800, 600])).toMatchObject({ verdict: 'fits', width: { by_mm: 0 } });
  });
  it('3 mm too wide: trim it, and by how much', () => {
    expect(recheckFilm([800, 596], [800, 600])).toEqual({
      verdict: 'trim it',
      width: { says: 'too large', by_mm: 3 },
      height: { says: 'fits', by_mm: 0 },
    });
  });
  it('10 mm short: too small by 4 beyond the widest gap', () => {
    expect(recheckFilm([796, 590], [800, 600])).toMatchObject({
      verdict: 'too small',
      height: { says: 'too small', by_mm: 4 },
    });
  });
  it('turned by a quarter it would fit', () => {
    expect(recheckFilm([596, 796], [800, 600]).verdict).toBe('fits when turned');
  });
});
