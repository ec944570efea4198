import { describe, expect, it } from '@jest/globals';
import DxfParser from 'dxf-parser';
import fc from 'fast-check';
import Papa from 'papaparse';
import type { StockItem } from '../stock';
import {
  type CutPlanFile,
  type PlanPiece,
  cutPlanDxf,
  cutPlanJson,
  cutPlanSvg,
  plotOrder,
  readCutPlanFile,
  rollHpgl,
  stockCsv,
} from './cut-files';

const piece = (more: Partial<PlanPiece> = {}): PlanPiece => ({
  tag: 'SW1',
  drop: 1,
  of: 1,
  x_mm: 0,
  y_mm: 10,
  across_mm: 1230,
  along_mm: 2180,
  turned: false,
  top: 'to the roll end',
  factoryEdges: ['left'],
  phase_mm: 0,
  ...more,
});
const planOf = (...pieces: readonly PlanPiece[]): CutPlanFile => ({
  format: 'yellow-pane cut plan',
  version: 2,
  job: 'Kestrel <Hill> & co',
  film: 'neutral 35',
  mode: 'by plotter',
  liner: 'up',
  madeBy: 'Wren',
  madeAt: '2026-11-24T09:20:00.000Z',
  rolls: [{ label: 'R-14', what: 'roll', lot: 'L', width_mm: 1524, length_mm: 7400, used_mm: 2190, pieces }],
});
const NASTY = ['<b>"1"', 'a\nb', 'x;SP1;PD0,0', '%%c', '=1+1', 'ünïcode ☂', '\u0003PU'];
const names = fc
  .oneof(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 30 }), fc.constantFrom(...NASTY))
  .filter(
    (name) => name.trim() === name && name !== '' && !name.includes('\u0000') && !/\p{Surrogate}/u.test(name),
  );
const size = fc.integer({ min: 10, max: 12_000 }).map((tenths) => tenths / 10);
const pieces = fc.array(
  fc
    .record({ tag: names, x_mm: size, y_mm: size, across_mm: size, along_mm: size, turned: fc.boolean() })
    .map((own) => piece(own)),
  { minLength: 1, maxLength: 8 },
);

/**
 * Pen-down lines of pen 1 in millimetres: a reader of our own for the test, apart from writer and stand-in.
 */
function penDown(hpgl: string): readonly (readonly [number, number])[][] {
  const lines: [number, number][][] = [];
  let [pen, at]: [string, [number, number]] = ['0', [0, 0]];
  // eslint-disable-next-line no-control-regex -- HP-GL ends a label with ETX
  for (const [, label, code, body = ''] of hpgl.matchAll(/(LB[^\u0003]*\u0003)|([A-Z]{2})([-\d,. ]*);/g)) {
    if (label !== undefined) continue;
    const points = [...body.matchAll(/(-?\d+),(-?\d+)/g)].map(([, x, y]): [number, number] => [
      Number(x) / 40,
      Number(y) / 40,
    ]);
    if (code === 'SP') pen = body;
    if (code === 'PD' && pen === '1') lines.push([at, ...points]);
    at = points.at(-1) ?? at;
  }
  return lines;
}

describe('can the stock be taken into a spreadsheet?', () => {
  const item = (more: Partial<StockItem>): StockItem => ({
    id: 'r',
    filmId: 'f',
    what: 'roll',
    label: 'R-1',
    lot: 'L',
    width_nm: 1_524_000_000,
    length_nm: 30_000_000_000,
    left_nm: 12_340_500_000,
    spokenFor: [{ jobId: 'j', job: 'Lower station', length_nm: 2_000_000_000 }],
    perMetre: 7.5,
    leftEdge: true,
    rightEdge: false,
    where: 'rack, left',
    parentId: null,
    jobId: null,
    version: 1,
    gone: false,
    ...more,
  });
  const read = (csv: string) =>
    Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true }).data;

  it('one line each by an independent reader, what is gone last; a comma does not break a line, a formula is no formula', () => {
    const lines = read(
      stockCsv([item({ gone: true, label: 'gone' }), item({ label: '=1+1' })], () => 'neutral 35'),
    );
    expect(lines.map(({ label }) => label)).toEqual(["'=1+1", 'gone']);
    expect(lines[0]).toMatchObject({
      film: 'neutral 35',
      'width mm': '1524',
      'length left mm': '12340.5',
      'price a metre': '7.5',
      'factory edges': 'left',
      where: 'rack, left',
      there: 'yes',
      'spoken for mm': '2000',
    });
  });
  it('what is not known stays empty, a film no longer in the catalogue is said', () => {
    expect(read(stockCsv([item({ perMetre: null, leftEdge: false })], () => undefined))[0]).toMatchObject({
      film: 'no longer in the catalogue',
      'price a metre': '',
      'factory edges': 'none',
    });
  });
});

describe('is the plan the same when read back?', () => {
  it('as JSON, whatever the names', () => {
    fc.assert(
      fc.property(pieces, (list) => {
        expect(readCutPlanFile(cutPlanJson(planOf(...list)))).toEqual({ plan: planOf(...list) });
      }),
      { numRuns: 60 },
    );
  });
  it.each([
    ['broken', '{"format":', /JSON/],
    ['another file', '{"a":1}', /format|expected/i],
    ['a piece without width', cutPlanJson(planOf(piece({ across_mm: 0 }))), /across_mm/],
  ])('%s is refused where it is wrong', (_name, text, says) => {
    const read = readCutPlanFile(text);
    expect('refused' in read ? read.refused : '').toMatch(says);
  });
  it('as DXF by an independent reader: every outline on CUT with its corners, notches on NOTCH, names as one text each', () => {
    fc.assert(
      fc.property(pieces, (list) => {
        const read = new DxfParser().parseSync(cutPlanDxf(planOf(...list)));
        const on = (layer: string) =>
          (read?.entities ?? []).filter((entity) => entity.layer === layer) as unknown as {
            readonly vertices: readonly { readonly x: number; readonly y: number }[];
            readonly text: string;
          }[];
        const cut = on('CUT');
        expect(cut.length).toBe(list.length);
        list.forEach(({ x_mm, y_mm, across_mm, along_mm }, index) => {
          const own = cut[index]?.vertices ?? [];
          expect(own.map(({ x, y }) => [x, y])).toEqual([
            [x_mm, y_mm],
            [x_mm + across_mm, y_mm],
            [x_mm + across_mm, y_mm + along_mm],
            [x_mm, y_mm + along_mm],
          ]);
        });
        expect(on('LABEL').length).toBe(list.length + 1);
      }),
      { numRuns: 40 },
    );
    const notched = new DxfParser().parseSync(
      cutPlanDxf(
        planOf(
          piece({
            notches: [
              [
                { x: 0, y: 10 },
                { x: 13, y: 23 },
                { x: 113, y: 23 },
                { x: 126, y: 10 },
              ],
            ],
          }),
        ),
      ),
    );
    expect((notched?.entities ?? []).filter(({ layer }) => layer === 'NOTCH').length).toBe(1);
  });
  it('as HP-GL: one closed line a piece within 0.025 mm, in order along the roll; no name can smuggle in a command', () => {
    fc.assert(
      fc.property(pieces, (list) => {
        const [roll] = planOf(...list).rolls;
        if (roll === undefined) throw new Error('no roll');
        const lines = penDown(rollHpgl(roll));
        expect(lines.length).toBe(list.length);
        plotOrder(roll).forEach(({ x_mm, y_mm, across_mm, along_mm }, index) => {
          const own = lines[index] ?? [];
          expect(own.length).toBe(5);
          expect(own[0]).toEqual(own[4]);
          const xs = own.map(([x]) => x);
          const ys = own.map(([, y]) => y);
          expect(
            [
              Math.min(...xs) - y_mm,
              Math.max(...xs) - y_mm - along_mm,
              roll.width_mm - Math.max(...ys) - x_mm,
              roll.width_mm - Math.min(...ys) - x_mm - across_mm,
            ].every((off) => Math.abs(off) <= 0.0251),
          ).toBe(true);
        });
      }),
      { numRuns: 60 },
    );
  });
  it('going on after an interruption leaves out what is cut', () => {
    const [roll] = planOf(
      piece({ tag: 'A', y_mm: 0 }),
      piece({ tag: 'B', y_mm: 2300 }),
      piece({ tag: 'C', y_mm: 4600 }),
    ).rolls;
    if (roll === undefined) throw new Error('no roll');
    expect(penDown(rollHpgl(roll, 2)).length).toBe(1);
    expect(rollHpgl(roll, 2)).toContain('LBC');
  });
  it('as SVG one unit a millimetre, names escaped', () => {
    const svg = cutPlanSvg(planOf(piece({ tag: '<b>"1"' })));
    expect(svg).toContain('viewBox="0 0 1524 2310"');
    expect(svg).toContain('points="0,2180 1230,2180 1230,0 0,0"');
    expect(svg).toContain('&lt;b&gt;&quot;1&quot;');
    expect(svg).toContain('Kestrel &lt;Hill&gt; &amp; co');
  });
});
