import { describe, expect, it } from '@jest/globals';
import type { Performance, SightLine } from '@yellow-pane/core/choosing';
import type { PrivacyClass } from '@yellow-pane/core/privacy';
import { figureLines, percent, privacySentence, sightWord } from './film-words';

const CLASSES: readonly PrivacyClass[] = ['open', 'reduced', 'outline', 'faint', 'hidden'];
const line = (found: PrivacyClass, kept = 0.5): SightLine => ({
  scene: '',
  kept,
  class: found,
  why: [],
  shown: { far_cdm2: 0, near_cdm2: 0, straight: 0, scattered: 0, thrownBack_cdm2: 0 },
});
const figure = (value: number) => ({ value, why: [] });
const of = (inByDay: PrivacyClass, inByNight: PrivacyClass, more: Partial<Performance> = {}): Performance =>
  ({
    ratings: {
      solarHeatGain: figure(0.42),
      shadingCoefficient: figure(0.48),
      lightToHeat: figure(1.1),
      rejected: figure(0.58),
      uValue: figure(1.26),
    },
    lightKept: figure(0.444),
    heatKept: figure(0.6),
    fading: figure(0.125),
    sunPatch: figure(5320),
    daylight: figure(1.96),
    daylightBeside: { bare: figure(3), curtain: figure(0.4), frost: figure(1.2) },
    sight: {
      inByDay: line(inByDay),
      inByNight: line(inByNight),
      outByDay: line('open', 0.31),
      outByNight: line('open', 0.07),
    },
    year: undefined,
    ...more,
  }) as unknown as Performance;

describe('the truth about day and night', () => {
  it('a film that mirrors by day hides by day only: at night it swaps sides, and that is said', () => {
    expect(privacySentence(of('faint', 'open'), false)).toBe(
      'Faces are hidden by day, not at night with lamps on: then it swaps sides and everybody sees in.',
    );
  });
  it('frost hides by day and night, and still shows a shadow', () => {
    expect(privacySentence(of('hidden', 'hidden'), false)).toBe(
      'Faces are hidden by day and at night with lamps on; whoever stands close behind it still throws a shadow.',
    );
  });
  it('clear film hides nothing, and says neither', () => {
    expect(privacySentence(of('reduced', 'open'), false)).toBe(
      'It does not hide faces by day, nor at night with lamps on.',
    );
  });
  it('what hides at night only claims nothing of the day', () => {
    expect(privacySentence(of('open', 'outline'), false)).toBe('It does not hide faces by day.');
  });
  it('between rooms there is no day: lit and dark rooms are named', () => {
    expect(privacySentence(of('faint', 'open'), true)).toContain(
      'with both rooms lit, not from a dark room into a lit one',
    );
  });
  it('never claims privacy where a face is seen, clearly or paler, in any pair of day and night', () => {
    for (const day of CLASSES)
      for (const night of CLASSES) {
        const said = privacySentence(of(day, night), false);
        const hides = (found: PrivacyClass): boolean => !['open', 'reduced'].includes(found);
        expect(said.startsWith('Faces are hidden by day')).toBe(hides(day));
        if (hides(day)) expect(said.includes('swaps sides')).toBe(!hides(night));
      }
  });
  it('each class has a word of its own', () => {
    expect(new Set(CLASSES.map((found) => sightWord(line(found)))).size).toBe(CLASSES.length);
  });
});

describe('every figure of a pane with a film', () => {
  const shown = (performance: Performance, isPartition = false): ReadonlyMap<string, string> =>
    new Map(figureLines(performance, isPartition).map(({ key, value }) => [key, value]));

  it('rounded as it is known: shares in whole percent, U with one digit, brightness in kcd', () => {
    expect(Object.fromEntries(shown(of('open', 'open')))).toMatchObject({
      light: '44 %',
      heatOff: '40 %',
      tser: '58 %',
      shgc: '0.42',
      sc: '0.48',
      lsg: '1.10',
      u: '1.3 W/m²K',
      fading: '13 %',
      patch: '5.3 kcd/m²',
      daylight: '2.0 %',
      'daylight-bare': '3.0 %',
      'out-day': '31 %',
      'out-night': '7 %',
    });
  });
  it('heat off is what is not kept', () => {
    expect(shown(of('open', 'open', { heatKept: figure(1) })).get('heatOff')).toBe('0 %');
    expect(shown(of('open', 'open', { heatKept: figure(0.25) })).get('heatOff')).toBe('75 %');
  });
  it('between rooms no sun comes: no heat, no fading, no daylight; who sees whom is still said, from both sides', () => {
    expect([...shown(of('open', 'open'), true).keys()]).toEqual([
      'light',
      'in-day',
      'in-night',
      'out-day',
      'out-night',
    ]);
  });
  it('the year is there when it has been calculated, in the place of nothing otherwise', () => {
    expect(shown(of('open', 'open')).has('month')).toBe(false);
    const year = { largestMonth: figure(81.6), peak: figure(412.4) };
    expect(
      Object.fromEntries(shown(of('open', 'open', { year } as unknown as Partial<Performance>))),
    ).toMatchObject({ month: '82 kWh', peak: '412 W' });
  });
  it('what is not known is said so', () => {
    expect([percent(null), percent(undefined), percent(0), percent(0.005), percent(1)]).toEqual([
      'unknown',
      'unknown',
      '0 %',
      '1 %',
      '100 %',
    ]);
  });
  it('no two figures share a key, or one would open the other', () => {
    const keys = figureLines(of('open', 'open'), false).map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
  });
});
