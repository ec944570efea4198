import { describe, expect, it } from '@jest/globals';
import { SHARES, readFilmForm } from './read-film-form';

const GOOD = {
  name: 'Slate 20',
  family: 'tint',
  use: 'sun',
  thickness: '50',
  widths: '1220; 60 in',
  direction: 'none',
  reference: 'clear 6',
  face: 'inside',
  laying: 'wet',
  claims: '',
  handling: '',
  light: '20',
  solar: '18,5',
};
const form = (more: Readonly<Record<string, string>> = {}): FormData => {
  const data = new FormData();
  for (const [name, value] of Object.entries({ ...GOOD, ...more })) data.set(name, value);
  return data;
};

describe('is a film read as it stands on its data sheet?', () => {
  it('percent as shares, decimal comma, widths in either unit to the nanometre', () => {
    expect(readFilmForm(form())).toMatchObject({
      name: 'Slate 20',
      thickness_um: 50,
      visibleTransmitted: 0.2,
      solarTransmitted: 0.185,
      widths_nm: [1_220_000_000, 1_524_000_000],
      invented: false,
    });
  });
  it('what is left empty is unknown, not nothing', () => {
    const film = readFilmForm(form({ light: '' }));
    if (typeof film === 'string') throw new Error(film);
    expect([film.visibleTransmitted, film.emissivity, film.workMin_C, film.opening_nm]).toEqual([
      null,
      null,
      null,
      null,
    ]);
  });
  it('what the sheet says of the material: percent as shares, the rest as it stands; empty is not said', () => {
    expect(
      readFilmForm(
        form({ construction: 'metallised', vapourRate_gm2day: '2,4', metalOpen: '8', postHeat_C: '90' }),
      ),
    ).toMatchObject({
      construction: 'metallised',
      tack: null,
      vapourRate_gm2day: 2.4,
      metalOpen: 0.08,
      postHeat_C: 90,
      shrinkAlong: null,
    });
  });
  it('in inches and °F: bare figures are on that scale, and so are the limits named', () => {
    const typed = form({
      widths: '60; 1220 mm',
      'work-min': '40',
      'work-max': '104',
      postHeat_C: '194',
      tensionMin_C: '20 °C',
    });
    expect(readFilmForm(typed, 'imperial')).toMatchObject({
      widths_nm: [1_524_000_000, 1_220_000_000],
      workMin_C: expect.closeTo(4.444, 3) as unknown as number,
      workMax_C: 40,
      postHeat_C: 90,
      tensionMin_C: 20,
    });
    expect(readFilmForm(form({ widths: '60', 'work-min': '212' }), 'imperial')).toBe(
      'Work between: expected -40 °F to 176 °F, got “212”.',
    );
    expect(readFilmForm(form({ widths: '60', postHeat_C: 'hot' }), 'imperial')).toMatch(
      / -40 to 302 °F, got “hot”/,
    );
  });
  it('0 and 100 % are figures', () => {
    expect(readFilmForm(form({ uv: '0', haze: '100%' }))).toMatchObject({ uvTransmitted: 0, haze: 1 });
  });
  it.each([
    ['name', { name: ' ' }, 'Name: expected the name on the data sheet, got nothing.'],
    ['thickness of nothing', { thickness: '' }, 'Thickness: expected more than 0 to 10000 µm, got “”.'],
    [
      'thickness below nothing',
      { thickness: '-3' },
      'Thickness: expected more than 0 to 10000 µm, got “-3”.',
    ],
    ['no width', { widths: '' }, 'Roll widths: expected at least one width, got nothing.'],
    [
      'a width that is none',
      { widths: '1220; wide' },
      'Roll widths: expected widths up to 5 m with semicolons between, such as 1220; 1524 or 60 in; 72 in, got “wide”.',
    ],
    [
      'a width in metres typed as millimetres',
      { widths: '152400' },
      'Roll widths: expected widths up to 5 m with semicolons between, such as 1220; 1524 or 60 in; 72 in, got “152400”.',
    ],
    ['light over all there is', { light: '120' }, 'Light kept: expected 0 to 100 %, got “120”.'],
    ['words for a share', { solar: 'a lot' }, 'Sun kept: expected 0 to 100 %, got “a lot”.'],
    [
      'colder than any film is laid',
      { 'work-min': '-60' },
      'Work between: expected -40 °C to 80 °C, got “-60”.',
    ],
    [
      'vapour through film at a rate no film has',
      { vapourRate_gm2day: '90000' },
      'Water vapour through it, 38 °C and 90 %: expected 0.01 to 5000 g/(m²·day), got “90000”.',
    ],
    [
      'an opening that is no length',
      { opening: 'small' },
      'Widest clear opening: expected a length such as 12 or 1/2 in, got “small”.',
    ],
  ])('%s: the field, what came and what is expected', (_what, more, says) => {
    expect(readFilmForm(form(more))).toBe(says);
  });
  it('each share has a field of its own', () => {
    expect(new Set(SHARES.map(({ name }) => name)).size).toBe(SHARES.length);
    expect(new Set(SHARES.map(({ key }) => key)).size).toBe(SHARES.length);
  });
});
