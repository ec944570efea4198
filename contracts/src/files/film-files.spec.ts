import { describe, expect, it } from '@jest/globals';
import { type Film, MATERIAL_NOT_STATED } from '@yellow-pane/core/job';
import fc from 'fast-check';
import Papa from 'papaparse';
import { filmListCsv, filmListJson, readFilmList, readSpectrumCsv } from './film-files';

const MM = 1e6;
const FILM: Film = {
  name: 'neutral 35',
  family: 'solar',
  use: 'Less heat, view kept',
  thickness_um: 45,
  direction: 'none',
  referenceGlass: 'clear float, 3 mm',
  uvTransmitted: 0.01,
  visibleTransmitted: 0.35,
  visibleReflectedRoom: 0.08,
  visibleReflectedOutside: 0.09,
  solarTransmitted: 0.4,
  solarReflected: 0.1,
  solarReflectedRoom: null,
  haze: 0.01,
  coverage: null,
  opening_nm: 12 * MM,
  repeat_nm: null,
  emissivity: 0.84,
  face: 'either',
  laying: 'wet',
  claims: '',
  workMin_C: 5,
  workMax_C: null,
  handling: 'Line one\nline "two"; three',
  invented: true,
  ...MATERIAL_NOT_STATED,
  construction: 'metallised',
  tack: 'low',
  vapourRate_gm2day: 1.8,
  metalOpen: 0.08,
  shrinkAlong: 0.015,
  shrinkAt_C: 150,
  strainLimit: 0.3,
  tensionMin_C: 40,
  postHeat_C: 90,
  postHeat_s: 5,
  widths_nm: [914_400_000, 1524 * MM],
};
const name = fc
  .oneof(
    fc.string({ minLength: 1, maxLength: 30 }),
    fc.constantFrom('=1+1', '+x', '-y', '@z', "'quoted", 'a;b,c\td', '<b>x</b>'),
  )
  .filter(
    (text) =>
      text.trim() === text && text.trim() !== '' && !text.includes('\u0000') && !/\p{Surrogate}/u.test(text),
  );
const share = fc.option(fc.double({ min: 0, max: 0.5, noNaN: true }), { nil: null });

describe('does a catalogue survive a round trip?', () => {
  it.each([
    ['csv', filmListCsv],
    ['json', filmListJson],
  ] as const)('as %s every film comes back the same, formulas neutralised', (_kind, write) => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            name,
            use: name,
            uvTransmitted: share,
            visibleTransmitted: share,
            solarTransmitted: share,
            haze: share,
          }),
          { maxLength: 6 },
        ),
        (list) => {
          const films = list.map((more): Film => ({ ...FILM, ...more }));
          const text = write(films);
          expect(readFilmList(text)).toEqual({ films, faults: [] });
          if (write === filmListCsv)
            expect(
              Papa.parse<string[]>(text, { delimiter: ',' })
                .data.flat()
                .filter((cell) => /^[=+@]/.test(cell)),
            ).toEqual([]);
        },
      ),
      { numRuns: 200 },
    );
  });
  it('a list written before films said what they are made of: not said, so unknown', () => {
    const material = Object.keys(MATERIAL_NOT_STATED);
    const before = Object.fromEntries(Object.entries(FILM).filter(([key]) => !material.includes(key)));
    const text = JSON.stringify({ format: 'yellow-pane films', version: 1, films: [before] });
    expect(readFilmList(text)).toEqual({ films: [{ ...FILM, ...MATERIAL_NOT_STATED }], faults: [] });
  });
  it('columns may stand in any order, percent is read, a decimal comma too', () => {
    const { films, faults } = readFilmList(
      'family;name;light through;sun through;thickness um;widths mm\nsolar;n;35 %;0,4;45,5;1220; 1524'.replace(
        '1220; 1524',
        '"1220; 1524"',
      ),
    );
    expect(faults).toEqual([]);
    expect(films[0]).toMatchObject({
      visibleTransmitted: 0.35,
      solarTransmitted: 0.4,
      thickness_um: 45.5,
      widths_nm: [1220 * MM, 1524 * MM],
      face: 'room side',
    });
  });
  it.each([
    ['a family nobody knows', 'name,family,thickness um,widths mm\nx,shiny,45,1220', /line 2.*family/s],
    ['thickness 0', 'name,family,thickness um,widths mm\nx,solar,0,1220', /thickness/],
    [
      'light over 1',
      'name,family,thickness um,widths mm,light through\nx,solar,45,1220,1.4',
      /light through/,
    ],
    [
      'T + R over 1',
      'name,family,thickness um,widths mm,light through,light back room\nx,solar,45,1220,0.8,0.4',
      /must not exceed 1/,
    ],
    [
      'made of something nobody knows',
      'name,family,thickness um,widths mm,construction\nx,solar,45,1220,paper',
      /line 2.*construction/s,
    ],
    ['no header', 'neutral,35', /header/],
    ['broken JSON', '{"format":', /JSON/],
    ['other JSON', '{"a":1}', /yellow-pane films/],
    ['emissivity 2', 'name,family,thickness um,widths mm,emissivity\nx,solar,45,1220,2', /emissivity/],
  ])('%s: named where it stands, nothing thrown', (_name, text, says) => {
    expect(JSON.stringify(readFilmList(text).faults)).toMatch(says);
  });
  it('no text makes it throw', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => {
        readFilmList(text);
        readSpectrumCsv(text);
      }),
    );
  });
});

describe('can a spectrum be read?', () => {
  it('shares or percent, nanometres or micrometres, headings passed over', () => {
    const expected = {
      points: [
        { nm: 300, transmitted: 0.1, reflectedFront: 0.05, reflectedBack: 0.06 },
        { nm: 310, transmitted: 0.2, reflectedFront: 0.05, reflectedBack: 0.06 },
      ],
    };
    expect(readSpectrumCsv('a film\nnm,T,Rf,Rb\n300,0.1,0.05,0.06\n310,0.2,0.05,0.06')).toEqual(expected);
    const percent = readSpectrumCsv('0,300;10;5;6\n0,310;20;5;6');
    expect(
      'points' in percent
        ? percent.points.map(({ nm, transmitted }) => [Math.round(nm), transmitted])
        : percent,
    ).toEqual([
      [300, 0.1],
      [310, 0.2],
    ]);
  });
  it('percent may carry its sign, as the manual of formats has it', () => {
    expect(readSpectrumCsv('300,40%,5%,6 %\n310,0.5%,5%,6%')).toEqual({
      points: [
        { nm: 300, transmitted: 0.4, reflectedFront: 0.05, reflectedBack: 0.06 },
        { nm: 310, transmitted: 0.005, reflectedFront: 0.05, reflectedBack: 0.06 },
      ],
    });
  });
  it.each([
    ['shares first', '300,0.2,0.05,0.06\n310,20,5,6'],
    ['percent first', '300,20,5,6\n310,0.2,0.05,0.06'],
    ['signs and shares', '300,20%,5%,6%\n310,0.2,0.05,0.06'],
  ])('%s, then the other: asked about with both lines, never read as a hundredth', (_what, text) => {
    expect(readSpectrumCsv(text)).toEqual({
      refused: expect.stringMatching(/^Line 2: expected .* as in line 1, “300 .*got .*“310 /),
    });
  });
  it('a sign on some figures of a line alone is no line', () => {
    expect(readSpectrumCsv('300,20,5,6\n310,20%,5,6')).toEqual({
      refused: expect.stringContaining('Line 2'),
    });
  });
  it('text in the middle is named with its line; text alone says what was expected', () => {
    expect(readSpectrumCsv('300,0.1,0.05,0.06\nfoo,bar,baz,x')).toEqual({
      refused: expect.stringContaining('Line 2'),
    });
    expect(readSpectrumCsv('hello')).toEqual({ refused: expect.stringContaining('found none') });
  });
});
