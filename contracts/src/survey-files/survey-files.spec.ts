import { beforeAll, describe, expect, it, jest } from '@jest/globals';
import { checkSurface, slotsFor } from '@yellow-pane/core/measure';
import { type SurfaceShape, SHAPES_OF_KIND } from '@yellow-pane/core/job';
import DxfParser from 'dxf-parser';
import fc from 'fast-check';
import { changeSchema } from '../change';
import type { BroughtSurface } from './brought-in';
import {
  broughtOps,
  readSurveyDxf,
  readSurveyFile,
  readSurveyTable,
  surveyCsv,
  surveyDxf,
  surveyFileOps,
  surveySvg,
} from './index';

const NO_TAGS = { takenTags: new Set<string>() };
const table = (text: string, more: Partial<Parameters<typeof readSurveyTable>[1]> = {}) =>
  readSurveyTable(text, { entryUnit: 'mm', ...NO_TAGS, ...more });
const sizes = (result: ReturnType<typeof table>) =>
  result.lines.map(({ surface }) => [surface.tag, ...surface.measures.map(({ value_nm }) => value_nm / 1e6)]);
let n = 0;
const makeId = (): string => `0199b9a6-0000-7000-8000-${(n += 1).toString(16).padStart(12, '0')}`;

describe('is a pasted sheet understood?', () => {
  it.each([
    ['tab', '\t'],
    ['semicolon', ';'],
    ['comma', ','],
  ])('with a header and %s between', (_name, mark) => {
    const result = table(
      [
        ['Tag', 'Room', 'Width', 'Height'],
        ['W1', 'Hall', '880', '1200'],
        ['W2', 'Hall', '34 5/8', '2\'10-5/8"'],
      ]
        .map((line) => line.join(mark))
        .join('\n'),
    );
    expect(sizes(result)).toEqual([
      ['W1', 880, 1200],
      ['W2', 879.475, 879.475],
    ]);
    expect(result.lines[0]?.surface.place).toBe('Hall');
  });
  it('without a header, and says how the columns were taken', () => {
    const result = table('W1\t880\t1200\nW2\t900\t1210');
    expect(sizes(result)).toEqual([
      ['W1', 880, 1200],
      ['W2', 900, 1210],
    ]);
    expect(result.notes[0]).toContain('No header found');
  });
  it('eight figures are the eight customary measures', () => {
    const [line] = table('W1;1180;1182;1185;2140;2140;2158;2446;2444').lines;
    expect(line?.surface.measures.map(({ from, to }) => `${from}-${to}`)).toEqual([
      'tl-tr',
      'ml-mr',
      'bl-br',
      'tl-bl',
      'mt-mb',
      'tr-br',
      'tl-br',
      'bl-tr',
    ]);
  });
  it('units in the header or in the cell', () => {
    expect(sizes(table('tag;width (cm);height in\nW1;88;34 5/8'))).toEqual([['W1', 880, 879.475]]);
  });
  it('a count makes as many, each with a tag of its own', () => {
    expect(table('tag;width;height;qty\nS;880;600;3').lines.map(({ surface }) => surface.tag)).toEqual([
      'S.1',
      'S.2',
      'S.3',
    ]);
  });
  it('a decimal comma in a comma-separated list is asked about, and then obeyed', () => {
    expect(table('tag,width cm,height cm\nW1,34,5,88').asks).toEqual(['decimal comma']);
    expect(sizes(table('tag,width cm,height cm\nW1,34,5,88', { decimalComma: true }))).toEqual([
      ['W1', 345, 880],
    ]);
  });
  it('other shapes by their own measures', () => {
    const [line] = table(
      'tag;kind;shape;height;round-foot;round-top\nC1;column;round column;2840;1131;942',
    ).lines;
    expect(line?.faults).toEqual([]);
    expect(line?.surface.measures.map(({ kind }) => kind)).toEqual([
      'distance',
      'circumference',
      'circumference',
    ]);
  });
});

describe('is what is wrong said where it is?', () => {
  const faultsOf = (text: string, more: Partial<Parameters<typeof readSurveyTable>[1]> = {}) =>
    table(text, more).lines.map(({ line, faults }) => [
      line,
      ...faults.map(({ column, says }) => `${column}: ${says}`),
    ]);
  it.each([
    ['zero', '0', 'width bottom: not a length: 0'],
    ['negative', '-880', 'width bottom: not a length: -880'],
    ['words', 'about a metre', 'not a length'],
    ['62 m', '62 m', 'expected 20 to 20000 mm, got 62 m'],
    ['19 mm, as the field itself refuses', '19', 'expected 20 to 20000 mm, got 19'],
    ['NaN', 'NaN', 'not a length'],
  ])('%s', (_name, cell, says) => {
    expect(faultsOf(`tag;width;height\nW1;${cell};1200`)[0]?.join(' ')).toContain(says);
  });
  it('a tag twice, or in the job already, or missing', () => {
    expect(
      faultsOf('tag;width;height\nW1;880;600\nW1;880;600\n;880;600', { takenTags: new Set(['W1']) }).map(
        (line) => line.length,
      ),
    ).toEqual([2, 3 - 1, 2]);
  });
  it('sums and halves are asked about, and left out until somebody says so', () => {
    const { lines } = table(
      'tag;width;height;count\nW1;880;1200;1\nW2;880;;1\nW3;;1200;1\nTotal;1760;2400;3',
    );
    expect(lines.map(({ surface, question }) => [surface.tag, question])).toEqual([
      ['W1', undefined],
      ['W2', 'A width without a height.'],
      ['W3', 'A height without a width.'],
      ...[1, 2, 3].map((at) => [`Total.${at}`, '“Total”: a sum of the list, no surface?']),
    ]);
    const named = table('tag;name\nW1;door to the summit room\nW2;sum of all fears').lines;
    expect(named.map(({ question }) => question !== undefined)).toEqual([false, true]);
  });
  it('a column is what a person says it is, in the unit of its heading', () => {
    const text = 'Pos;Breite (cm);Höhe (cm)\nW1;88;120';
    const read = table(text);
    expect(read.columns.map(({ heading, means }) => [heading, means])).toEqual([
      ['Pos', ''],
      ['Breite (cm)', ''],
      ['Höhe (cm)', ''],
    ]);
    const said = table(text, {
      means: new Map([
        [0, 'tag'],
        [1, 'width-bottom'],
        [2, 'height-left'],
      ]),
    });
    expect(said.notes).toEqual([]);
    expect(said.lines[0]?.faults).toEqual([]);
    expect(said.lines[0]?.surface.measures.map(({ value_nm }) => value_nm)).toEqual([880e6, 1200e6]);
    const without = table('tag;width;height\nW1;880;1200', { means: new Map([[2, '']]) });
    expect(without.lines[0]?.surface.measures).toHaveLength(1);
  });
  it('a shape nobody knows names those there are', () => {
    expect(faultsOf('tag;shape;width;height\nW1;heart;880;600')[0]?.join(' ')).toContain(
      'expected four sides, three sides',
    );
  });
  it('ten megabytes are refused whole, at once', () => {
    expect(table('x;1;2\n'.repeat(1_500_000)).refused).toContain('Bring it in in parts');
  });
  it('nothing at all is nothing', () => {
    expect(table('  \n ')).toMatchObject({ lines: [], refused: undefined });
  });
  it('whatever is pasted, nothing is thrown', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 400 }), (text) => {
        expect(table(text).lines.length).toBeLessThan(500);
      }),
    );
  });
});

const anySurface: fc.Arbitrary<BroughtSurface> = fc
  .constantFrom(
    ...(Object.entries(SHAPES_OF_KIND) as ['pane', readonly SurfaceShape[]][]).flatMap(([kind, shapes]) =>
      shapes.map((shape) => ({ kind, shape })),
    ),
  )
  .chain(({ kind, shape }) => {
    const corners = shape === 'many sides' ? 6 : null;
    const text = fc
      .string({ unit: 'grapheme', maxLength: 20 })
      .map((raw) => raw.replace(/\p{Cc}/gu, '').trim());
    const cell = fc.constantFrom(
      ...slotsFor(shape, corners).filter(
        ({ kind: measure }) => measure !== 'right angle' && measure !== 'rocking gap',
      ),
    );
    const reading = fc.record({
      slot: cell,
      mm: fc.integer({ min: 20, max: 990 }),
      instrument: fc.constantFrom('tape' as const, 'laser' as const, 'guess' as const),
      sd_nm: fc.constantFrom(null, 2_500_000),
    });
    return fc
      .record({
        tag: text.map((raw) => `T${raw}`),
        name: text,
        place: text,
        remark: text,
        readings: fc.array(reading, { maxLength: 5 }),
      })
      .map(({ readings, ...words }): BroughtSurface => ({
        ...words,
        kind,
        shape,
        corners,
        seenFrom: 'room',
        measures: readings.map(({ slot, mm, instrument, sd_nm }) => ({
          kind: slot.kind,
          from: slot.from,
          to: slot.to,
          text: String(mm),
          unit: 'mm',
          value_nm: mm * 1e6,
          instrument,
          sd_nm,
        })),
      }));
  });

describe('does a round trip lose nothing?', () => {
  it('CSV: every tag, name, place, remark and reading comes back, formulas and all', () => {
    fc.assert(
      fc.property(fc.uniqueArray(anySurface, { maxLength: 4, selector: ({ tag }) => tag }), (surfaces) => {
        const back = table(surveyCsv(surfaces));
        expect(back.lines.flatMap(({ faults }) => faults)).toEqual([]);
        expect(
          back.lines.map(({ surface }) => ({
            ...surface,
            measures: [...surface.measures]
              .map(({ kind, from, to, value_nm, instrument, sd_nm }) =>
                [kind, from, to, value_nm, instrument, sd_nm].join(),
              )
              .sort(),
          })),
        ).toEqual(
          surfaces.map((surface) => ({
            ...surface,
            measures: surface.measures
              .map(({ kind, from, to, value_nm, instrument, sd_nm }) =>
                [kind, from, to, value_nm, instrument, sd_nm].join(),
              )
              .sort(),
          })),
        );
      }),
      { numRuns: 80 },
    );
  });
  it('inches and feet keep their fractions', () => {
    const surface: BroughtSurface = {
      tag: 'W1',
      name: '',
      place: '',
      kind: 'pane',
      shape: 'four sides',
      corners: null,
      seenFrom: 'room',
      remark: '',
      measures: [
        {
          kind: 'distance',
          from: 'tl',
          to: 'tr',
          text: '34 5/8',
          unit: 'in',
          value_nm: 879_475_000,
          instrument: 'tape',
          sd_nm: null,
        },
      ],
    };
    expect(table(surveyCsv([surface])).lines[0]?.surface.measures[0]).toMatchObject({
      value_nm: 879_475_000,
      unit: 'in',
    });
  });
  it('a cell that a spreadsheet would run is neutralised on the way out', () => {
    const csv = surveyCsv([
      {
        tag: '=1+1',
        name: '@sum',
        place: '+x',
        remark: '-y',
        kind: 'pane',
        shape: 'four sides',
        corners: null,
        seenFrom: 'room',
        measures: [],
      },
    ]);
    expect(csv).toContain("'=1+1");
    expect(
      csv
        .split('\r\n')[1]
        ?.split(',')
        .filter((cell) => /^"?[=+@-]/.test(cell)),
    ).toEqual([]);
  });
  it('JSON: all rows come back under new identifiers, parents before children', () => {
    const ops = broughtOps(
      [
        {
          tag: 'W1',
          name: 'a',
          place: 'Hall',
          kind: 'pane',
          shape: 'four sides',
          corners: null,
          seenFrom: 'room',
          remark: '',
          measures: [
            {
              kind: 'distance',
              from: 'tl',
              to: 'tr',
              text: '880',
              unit: 'mm',
              value_nm: 880_000_000,
              instrument: 'laser',
              sd_nm: null,
            },
          ],
        },
      ],
      { placeIds: new Map(), placeId: undefined, afterPosition: 0 },
      makeId,
    );
    expect(
      changeSchema.safeParse({ id: makeId(), session: makeId(), who: 'Wren', ops }).error,
    ).toBeUndefined();
    const rows = Object.fromEntries(
      ['place', 'glassUnit', 'glassPane', 'surface', 'siteFacts', 'wallFacts', 'part', 'measure'].map(
        (name) => [
          name,
          ops.flatMap((op) => (op.op === 'put' && op.table === name ? [{ id: op.id, ...op.fields }] : [])),
        ],
      ),
    );
    const read = readSurveyFile(
      JSON.stringify({ format: 'yellow-pane survey', version: 1, name: 'x', rows }),
    );
    if ('refused' in read) throw new Error(read.refused);
    const again = surveyFileOps(read.file, makeId);
    expect(again.map(({ op, table: name }) => `${op} ${name}`)).toEqual(
      ops.map(({ op, table: name }) => `${op} ${name}`),
    );
    expect(
      changeSchema.safeParse({ id: makeId(), session: makeId(), who: 'Wren', ops: again }).error,
    ).toBeUndefined();
  });
  it('JSON of an earlier version is read: what it did not ask is unknown, and glass noted as not coated stays so', () => {
    const [unitId, paneId] = [makeId(), makeId()];
    const empty = { place: [], surface: [], siteFacts: [], wallFacts: [], part: [], measure: [] };
    const rows = {
      ...empty,
      glassUnit: [{ id: unitId, name: 'double', glazing: 'double', frame: 'metal', edge: 'gasket' }],
      glassPane: [
        {
          id: paneId,
          unitId,
          position: 1,
          treatment: 'toughened',
          thickness_nm: 6_000_000,
          coated: 'no',
          gapAfter_nm: null,
        },
      ],
    };
    const read = readSurveyFile(
      JSON.stringify({ format: 'yellow-pane survey', version: 1, name: 'x', rows }),
    );
    if ('refused' in read) throw new Error(read.refused);
    expect(read.file.rows.glassPane[0]).toMatchObject({
      coating: 'none',
      tint: 'unknown',
      gasAfter: 'unknown',
    });
    expect(read.file.rows.glassUnit[0]).toMatchObject({ edgeFinish: 'unseen', edgeDepth_nm: null });
  });
  it('JSON that breaks off or does not fit says where', () => {
    expect(readSurveyFile('{"format":')).toEqual({ refused: expect.stringContaining('breaks off') });
    expect(readSurveyFile('{"format":"yellow-pane survey","version":1,"name":"x","rows":{}}')).toEqual({
      refused: expect.stringMatching(/^At rows\.place/),
    });
  });
});

const square = (width: number, height: number) => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: height },
  { x: 0, y: height },
];
const dxf = (entities: string, header = '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n'): string =>
  `${header}0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`;
const line = (x1: number, y1: number, x2: number, y2: number): string =>
  `0\nLINE\n8\n0\n10\n${x1}\n20\n${y1}\n11\n${x2}\n21\n${y2}\n`;

describe('does a drawing go out and come in?', () => {
  beforeAll(() => {
    jest.spyOn(console, 'log').mockImplementation(() => undefined);
  });
  it('an independent reader finds closed outlines in millimetres on the layers PANE and OPENING, and tags as text', () => {
    const text = surveyDxf([
      {
        tag: 'WL1',
        outline: square(4000, 2600),
        openings: [
          [
            { x: 500, y: 500 },
            { x: 1400, y: 500 },
            { x: 1400, y: 2600 },
            { x: 500, y: 2600 },
          ],
        ],
      },
      { tag: 'SW1', outline: square(1180, 2140), openings: [] },
    ]);
    const drawing = new DxfParser().parseSync(text);
    expect(drawing?.header['$INSUNITS']).toBe(4);
    expect(drawing?.entities.map(({ type, layer }) => `${type} ${layer}`)).toEqual([
      'LWPOLYLINE PANE',
      'LWPOLYLINE OPENING',
      'TEXT LABEL',
      'LWPOLYLINE PANE',
      'TEXT LABEL',
    ]);
    expect(
      (
        drawing?.entities[3] as unknown as { readonly vertices: readonly { readonly x: number }[] }
      ).vertices.map(({ x }) => x),
    ).toEqual([4200, 5380, 5380, 4200]);
  });
  it('what went out comes back with its sides and diagonals, and the measures agree', () => {
    const outline = [
      { x: 0, y: 0 },
      { x: 1180, y: 0 },
      { x: 1186, y: 2142 },
      { x: -2, y: 2138 },
    ];
    const back = readSurveyDxf(surveyDxf([{ tag: 'SW6', outline, openings: [] }]), NO_TAGS);
    const surface = back.lines[0]?.surface;
    const check = checkSurface({
      shape: 'four sides',
      readings: (surface?.measures ?? []).map(({ kind, from, to, value_nm }, index) => ({
        id: String(index),
        kind,
        from,
        to,
        value_mm: value_nm / 1e6,
        instrument: 'tape',
      })),
    });
    expect('agreement' in check && check.agreement.kind).toBe('agree');
    expect('sizes' in check && check.sizes.area_mm2.value / 1e6).toBeCloseTo(2.536, 2);
  });
  it('a drawing of ours is read back just as it was: tag, shape, side and every reading, over export, import and export; an arch and many corners too', () => {
    const measure = (
      from: string,
      to: string,
      value_mm: number,
      kind: 'distance' | 'height over' = 'distance',
    ) => ({
      kind,
      from,
      to,
      text: `${value_mm}`,
      unit: 'mm' as const,
      value_nm: value_mm * 1e6,
      instrument: 'tape' as const,
      sd_nm: null,
    });
    const base = { name: 'ünder "the" eaves', place: 'Hall', kind: 'pane' as const, remark: 'a\nb' };
    const step: BroughtSurface = {
      ...base,
      tag: 'SW3',
      shape: 'four sides',
      corners: null,
      seenFrom: 'room',
      measures: [
        measure('tl', 'tr', 1180),
        measure('bl', 'br', 1185),
        measure('tl', 'bl', 2140),
        measure('tr', 'br', 2158),
        measure('tl', 'br', 2446),
      ],
    };
    const arch: BroughtSurface = {
      ...base,
      tag: 'FL1',
      shape: 'arched top',
      corners: null,
      seenFrom: 'outside',
      measures: [measure('tl', 'tr', 1000), measure('ct', 'mt', 350, 'height over')],
    };
    /** Lower right corner 18 mm lower, seen from the room: seen from outside it is the lower left one. */
    const seenOutside = [
      { x: 0, y: 0 },
      { x: 1180, y: 0 },
      { x: 1182, y: 2140 },
      { x: 0, y: 2158 },
    ];
    const rim = Array.from({ length: 49 }, (_, index) => ({
      x: 500 - 500 * Math.cos((Math.PI * index) / 48),
      y: 350 - 350 * Math.sin((Math.PI * index) / 48),
    }));
    const out = [
      { tag: 'SW3', outline: seenOutside, openings: [], own: step },
      { tag: 'FL1', outline: rim, openings: [], own: arch },
    ];
    const once = readSurveyDxf(surveyDxf(out), NO_TAGS);
    expect(once.lines.map(({ surface }) => surface)).toEqual([step, arch]);
    expect(once).toMatchObject({ asks: [], refused: undefined });
    expect(
      readSurveyDxf(
        surveyDxf(out.map((own, index) => ({ ...own, own: once.lines[index]?.surface }))),
        NO_TAGS,
      ).lines.map(({ surface }) => surface),
    ).toEqual([step, arch]);
  });
  it('changed elsewhere since, it is read as drawn, and from outside as it says', () => {
    const own: BroughtSurface = {
      tag: 'SW3',
      name: '',
      place: '',
      kind: 'pane',
      shape: 'four sides',
      corners: null,
      seenFrom: 'room',
      remark: '',
      measures: [],
    };
    const [comments = '', ...body] = surveyDxf([
      { tag: 'SW3', outline: square(1180, 2140), openings: [], own },
    ]).split(/(?=\n0\nSECTION|^0\nSECTION)/m);
    const back = readSurveyDxf(comments + body.join('').replaceAll('1180', '1280'), NO_TAGS);
    expect(back.lines[0]?.surface).toMatchObject({
      seenFrom: 'outside',
      measures: [{ value_nm: 1280e6 }, {}, {}, {}, {}, {}],
    });
    expect(back.asks).toEqual([]);
  });
  it('anyone else’s drawing: from which side it is drawn is asked, and kept with the surface', () => {
    const foreign = dxf(
      line(0, 0, 900, 0) + line(900, 1218, 900, 0) + line(900, 1218, 0, 1200) + line(0, 1200, 0, 0),
    );
    expect(readSurveyDxf(foreign, NO_TAGS).asks).toEqual(['drawn from']);
    const [from] = readSurveyDxf(foreign, { ...NO_TAGS, drawnFrom: 'outside' }).lines;
    expect(from?.surface.seenFrom).toBe('outside');
    /** Drawn y upwards: the long side, 1218, is the right one as drawn. */
    expect(from?.surface.measures.find(({ from: a, to }) => a === 'tr' && to === 'br')?.value_nm).toBe(
      1218e6,
    );
  });
  it('four loose lines that meet are one pane; a fifth that does not is counted', () => {
    const back = readSurveyDxf(
      dxf(
        line(0, 0, 900, 0) +
          line(900, 1200, 900, 0) +
          line(900, 1200, 0, 1200) +
          line(0, 1200, 0, 0) +
          line(5000, 0, 6000, 0),
      ),
      NO_TAGS,
    );
    expect(back.lines).toHaveLength(1);
    expect(back.notes.join(' ')).toContain('1 line does not close');
  });
  it('a circle is a round pane', () => {
    expect(
      readSurveyDxf(dxf('0\nCIRCLE\n8\n0\n10\n500\n20\n500\n40\n400\n'), NO_TAGS).lines[0]?.surface,
    ).toMatchObject({ shape: 'round', measures: [{ value_nm: 800e6 }, { value_nm: 800e6 }] });
  });
  it('unit and scale are asked for when the file does not say, and obeyed', () => {
    const bare = dxf(
      line(0, 0, 90, 0) + line(90, 0, 90, 120) + line(90, 120, 0, 120) + line(0, 120, 0, 0),
      '',
    );
    expect(readSurveyDxf(bare, NO_TAGS)).toMatchObject({ asks: ['drawing unit'], lines: [] });
    expect(readSurveyDxf(bare, { ...NO_TAGS, unit: 'cm' }).lines[0]?.surface.measures[0]?.value_nm).toBe(
      900e6,
    );
    expect(
      readSurveyDxf(bare, { ...NO_TAGS, unit: 'mm', scale: 20 }).lines[0]?.surface.measures[0]?.value_nm,
    ).toBe(1800e6);
  });
  it('splines are refused by name, and a block that is not there is named', () => {
    const back = readSurveyDxf(
      dxf('0\nSPLINE\n8\n0\n70\n8\n71\n3\n0\nINSERT\n8\n0\n2\nBLOCK1\n10\n0\n20\n0\n'),
      NO_TAGS,
    );
    expect(back.refused).toMatch(/No closed outline.+1 splines/);
    expect(back.notes.join(' ')).toContain('1 block the drawing does not hold');
  });
  it.each([
    ['nothing', ''],
    ['not a drawing', 'hello'],
    ['broken off', dxf(line(0, 0, 90, 0)).slice(0, 60)],
    ['an infinite line', dxf('0\nLINE\n8\n0\n10\n1e999\n20\n0\n11\n5\n21\n5\n')],
    ['huge', `0\nSECTION\n${'9\nx\n'.repeat(3_000_000)}`],
  ])('%s: a message, never a fault', (_name, text) => {
    expect(readSurveyDxf(text, { ...NO_TAGS, unit: 'mm' }).refused).toBeDefined();
  });
  it('whatever bytes come, nothing is thrown', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => {
        expect(Array.isArray(readSurveyDxf(dxf(text), NO_TAGS).notes)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
  it('a name cannot break out of a DXF text or an SVG', () => {
    const tag = '</text><script>alert(1)</script>\n0\nEOF';
    const drawing = new DxfParser().parseSync(surveyDxf([{ tag, outline: square(100, 100), openings: [] }]));
    expect(drawing?.entities).toHaveLength(2);
    expect(surveySvg([{ tag, outline: square(100, 100), openings: [] }])).not.toContain('<script>');
  });
  it('an SVG is true to scale: one unit a millimetre', () => {
    expect(surveySvg([{ tag: 'A', outline: square(1180, 2140), openings: [] }])).toContain(
      'width="1180.00mm"',
    );
  });
});
