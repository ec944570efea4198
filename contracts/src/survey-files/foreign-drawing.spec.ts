import { beforeAll, describe, expect, it, jest } from '@jest/globals';
import { readSurveyDxf } from './index';

const OPTIONS = { takenTags: new Set<string>(), drawnFrom: 'room' } as const;
const group = (...pairs: readonly (readonly [number, string | number])[]): string =>
  pairs.map(([code, value]) => `${code}\n${value}\n`).join('');
const section = (name: string, body: string): string => `0\nSECTION\n2\n${name}\n${body}0\nENDSEC\n`;
const polyline = (
  corners: readonly (readonly [number, number])[],
  layer = 'GLASS',
  more: readonly (readonly [number, string | number])[] = [],
): string =>
  group(
    [0, 'LWPOLYLINE'],
    [8, layer],
    ...more,
    [90, corners.length],
    [70, 1],
    ...corners.flatMap(([x, y]) => [[10, x] as const, [20, y] as const]),
  );
const rectangle = (
  x: number,
  y: number,
  width: number,
  height: number,
  layer?: string,
  more?: readonly (readonly [number, string | number])[],
): string =>
  polyline(
    [
      [x, y],
      [x + width, y],
      [x + width, y + height],
      [x, y + height],
    ],
    layer,
    more,
  );
const text = (x: number, y: number, says: string): string =>
  group([0, 'TEXT'], [8, 'NAMES'], [10, x], [20, y], [40, 50], [1, says]);
const layer = (name: string, colour: number, flags: number): string =>
  group([0, 'LAYER'], [2, name], [70, flags], [62, colour], [6, 'CONTINUOUS']);
const drawing = (
  entities: string,
  more: { readonly layers?: string; readonly blocks?: string } = {},
): string =>
  section('HEADER', group([9, '$INSUNITS'], [70, 4])) +
  section('TABLES', group([0, 'TABLE'], [2, 'LAYER'], [70, 9]) + (more.layers ?? '') + group([0, 'ENDTAB'])) +
  section('BLOCKS', more.blocks ?? '') +
  section('ENTITIES', entities) +
  '0\nEOF\n';
const read = (entities: string, more?: Parameters<typeof drawing>[1]) =>
  readSurveyDxf(drawing(entities, more), OPTIONS);
const widths = ({ lines }: ReturnType<typeof read>): readonly number[] =>
  lines.map(({ surface }) => (surface.measures[0]?.value_nm ?? 0) / 1e6);

describe('does a drawing of an architect become the panes that are meant?', () => {
  beforeAll(() => {
    jest.spyOn(console, 'log').mockImplementation(() => undefined);
    jest.spyOn(console, 'warn').mockImplementation(() => undefined);
  });
  it('layers that are off or frozen, and the sheet of paper, are no panes; each is named with its count', () => {
    const back = read(
      rectangle(0, 0, 900, 1200) +
        rectangle(2000, 0, 500, 700, 'OLD') +
        rectangle(3000, 0, 500, 700, 'FROZEN') +
        rectangle(0, 0, 420, 297, 'GLASS', [[67, 1]]),
      { layers: layer('GLASS', 7, 0) + layer('OLD', -3, 0) + layer('FROZEN', 4, 1) },
    );
    expect(widths(back)).toEqual([900]);
    expect(back.lines[0]?.layer).toBe('GLASS');
    const notes = back.notes.join(' ');
    expect(notes).toContain('1 part on the layer OLD');
    expect(notes).toContain('1 part on the layer FROZEN');
    expect(notes).toContain('1 part of the sheet of paper');
  });
  it('a block placed three times is three panes, turned, mirrored and doubled in size; a block in a block is named', () => {
    const blocks =
      group([0, 'BLOCK'], [8, '0'], [2, 'PANE'], [70, 0], [10, 100], [20, 0]) +
      rectangle(100, 0, 600, 800, '0') +
      group([0, 'INSERT'], [8, '0'], [2, 'HANDLE'], [10, 0], [20, 0]) +
      group([0, 'ENDBLK'], [8, '0']);
    const insert = (...pairs: readonly (readonly [number, number])[]): string =>
      group([0, 'INSERT'], [8, 'GLASS'], [2, 'PANE'], ...pairs);
    const back = read(
      insert([10, 0], [20, 0]) +
        insert([10, 5000], [20, 0], [41, -2], [42, 2]) +
        insert([10, 0], [20, 5000], [50, 90]),
      { blocks },
    );
    expect(widths(back)).toEqual([600, 1200, 800].map((width) => expect.closeTo(width, 6)));
    expect(back.lines.map(({ layer: own }) => own)).toEqual(['GLASS', 'GLASS', 'GLASS']);
    expect(back.notes.join(' ')).toContain('3 blocks within blocks');
  });
  it('rows and columns of a block are as many panes', () => {
    const blocks =
      group([0, 'BLOCK'], [8, '0'], [2, 'P'], [70, 0], [10, 0], [20, 0]) +
      rectangle(0, 0, 500, 700, '0') +
      group([0, 'ENDBLK'], [8, '0']);
    const grid = group(
      [0, 'INSERT'],
      [8, 'GLASS'],
      [2, 'P'],
      [10, 0],
      [20, 0],
      [70, 3],
      [71, 2],
      [44, 600],
      [45, 800],
    );
    expect(widths(read(grid, { blocks }))).toEqual(Array(6).fill(500));
  });
  it('the word in an outline is its tag, of the smallest one round it; a word twice is one tag', () => {
    const back = read(
      rectangle(0, 0, 900, 1200) +
        rectangle(2000, 0, 900, 1200) +
        rectangle(2100, 100, 300, 300) +
        text(450, 600, 'W1') +
        text(2700, 1000, 'W2') +
        text(2200, 200, 'W1'),
    );
    expect(back.lines.map(({ surface }) => surface.tag)).toEqual(['W1', 'W2', 'D3']);
    expect(back.notes.join(' ')).toContain('2 tags are taken from words');
  });
  it('what may be no pane is asked about: crossing sides, 5 × 5 mm, drawn twice, one within another', () => {
    const back = read(
      rectangle(0, 0, 900, 1200) +
        polyline([
          [2000, 0],
          [2900, 1200],
          [2900, 0],
          [2000, 1200],
        ]) +
        rectangle(4000, 0, 5, 5) +
        rectangle(0.2, 0.1, 900, 1200) +
        rectangle(200, 300, 300, 400),
    );
    const questions = back.lines.map(({ question }) => question);
    expect(questions[0]).toBeUndefined();
    expect(questions[1]).toContain('cross');
    expect(questions[2]).toContain('5 × 5 mm');
    expect(questions[3]).toContain('lies on D1');
    expect(questions[4]).toContain('lies within D1');
  });
  it('hatches, dimensions and a block nobody drew are named among what is left out', () => {
    const back = read(
      rectangle(0, 0, 900, 1200) +
        group([0, 'HATCH'], [8, 'GLASS'], [2, 'ANSI31']) +
        group([0, 'INSERT'], [8, 'GLASS'], [2, 'GONE'], [10, 0], [20, 0]),
    );
    const notes = back.notes.join(' ');
    expect(notes).toContain('1 hatches');
    expect(notes).toContain('1 block the drawing does not hold');
  });
});
