import { describe, expect, it } from '@jest/globals';
import { type SurfaceCheck, checkSurface, measureWord, slotsFor } from '@yellow-pane/core/measure';
import { findingOf as findingIn, unreadableWord } from './survey-words';

const SLOTS = slotsFor('four sides');
const check = (values: Readonly<Record<string, number>>): SurfaceCheck =>
  checkSurface({
    shape: 'four sides',
    readings: SLOTS.flatMap(({ key, kind, from, to }) => {
      const value_mm = values[key];
      return value_mm === undefined
        ? []
        : [{ id: key, kind, from, to, value_mm, instrument: 'tape' as const }];
    }),
  });
const findingOf = (result: SurfaceCheck, units: 'metric' | 'imperial') =>
  findingIn(result, (measure) => measureWord(SLOTS, measure), units);
const EIGHT = {
  'width-top': 1180,
  'width-middle': 1182,
  'width-bottom': 1185,
  'height-left': 2140,
  'height-middle': 2140,
  'height-right': 2158,
  'diagonal-falling': 2446,
  'diagonal-rising': 2444,
};

describe('what is said of the measures?', () => {
  it('two heights that cannot be told apart are said in one breath, with what to measure', () => {
    expect(findingOf(check(EIGHT), 'metric')).toMatchObject({
      verdict: 'stop',
      heading: 'Measures disagree',
      says: expect.stringMatching(
        /^Left or right height is about 18 mm off\. Measure from .+ to tell which\.$/,
      ),
    });
  });
  it('in inches for those who work in inches', () => {
    expect(findingOf(check(EIGHT), 'imperial').says).toContain('about 11/16 in off');
  });
  it('agreement, missing checks and missing measures each have their own verdict', () => {
    expect(findingOf(check({ ...EIGHT, 'height-right': 2140 }), 'metric').verdict).toBe('go');
    expect(findingOf(check({ 'width-top': 900, 'height-left': 1200 }), 'metric')).toMatchObject({
      verdict: 'go with care',
      heading: 'Drawn square, not proved',
    });
    expect(findingOf(check({}), 'metric')).toEqual({
      verdict: 'unknown',
      heading: 'Not measured yet',
      says: 'Needed to draw it: a width and a height.',
    });
  });
  it('every reason a text cannot be read has its sentence', () => {
    for (const reason of [
      'empty',
      'not a length',
      'zero or negative',
      'fraction below is zero',
      'inches reach a whole foot',
      'too large',
    ] as const)
      expect(unreadableWord(reason).length).toBeGreaterThan(10);
  });
});
