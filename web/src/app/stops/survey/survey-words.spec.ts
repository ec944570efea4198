import { describe, expect, it } from '@jest/globals';
import { checkFlatPane, PANE_SLOTS } from '@yellow-pane/core/measure';
import fc from 'fast-check';
import { fieldPosition, pointsOnSheet } from './drawing-geometry';
import { findingOf, unreadableWord } from './survey-words';

const check = (values: Readonly<Record<string, number>>): ReturnType<typeof checkFlatPane> =>
  checkFlatPane(PANE_SLOTS.flatMap((slot) => { const value_mm = values[slot.key]; return value_mm === undefined ? [] : [{ id: slot.key, from: slot.from, to: slot.to, value_mm, instrument: 'tape' as const }]; }));
const EIGHT = { 'width-top': 1180, 'width-middle': 1182, 'width-bottom': 1185, 'height-left': 2140, 'height-middle': 2140, 'height-right': 2158, 'diagonal-falling': 2446, 'diagonal-rising': 2444 };

describe('what is said of the measures?', () => {
  it('two heights that cannot be told apart are said in one breath, with what to measure', () => {
    expect(findingOf(check(EIGHT), 'metric')).toMatchObject({ verdict: 'stop', heading: 'Measures disagree', says: expect.stringMatching(/^Left or right height is about 18 mm off\. Measure from .+ to tell which\.$/) });
  });
  it('in inches for those who work in inches', () => {
    expect(findingOf(check(EIGHT), 'imperial').says).toContain('about 11/16 in off');
  });
  it('agreement, missing checks and missing measures each have their own verdict', () => {
    expect(findingOf(check({ ...EIGHT, 'height-right': 2140 }), 'metric').verdict).toBe('go');
    expect(findingOf(check({ 'width-top': 900, 'height-left': 1200 }), 'metric')).toMatchObject({ verdict: 'go with care', heading: 'Drawn square, not proved' });
    expect(findingOf(check({}), 'metric')).toEqual({ verdict: 'unknown', heading: 'Not measured yet', says: 'Needed to draw it: a width and a height.' });
  });
  it('every reason a text cannot be read has its sentence', () => {
    for (const reason of ['empty', 'not a length', 'zero or negative', 'fraction below is zero', 'inches reach a whole foot', 'too large'] as const) expect(unreadableWord(reason).length).toBeGreaterThan(10);
  });
});

describe('is the pane drawn to scale, with fields that do not cover each other?', () => {
  it('both sides by the same scale, inside the box, whatever the pane', () => {
    fc.assert(fc.property(fc.integer({ min: 100, max: 6000 }), fc.integer({ min: 100, max: 6000 }), (width, height) => {
      const points = pointsOnSheet([{ x: 0, y: 0 }, { x: width, y: 0 }, { x: width, y: height }, { x: 0, y: height }], { width: 700, height: 520, marginX: 110, marginY: 48 });
      expect((points.tr.x - points.tl.x) / width).toBeCloseTo((points.bl.y - points.tl.y) / height, 9);
      expect(points.tl.x).toBeGreaterThanOrEqual(109.99);
      expect(points.br.y).toBeLessThanOrEqual(472.01);
    }));
  });
  it('for panes from 2 : 1 wide to 1 : 3 high the eight fields are apart by their height or their width', () => {
    for (const [width, height] of [[2000, 1000], [1000, 1000], [1180, 2140], [700, 2100]] as const) {
      const points = pointsOnSheet([{ x: 0, y: 0 }, { x: width, y: 0 }, { x: width, y: height }, { x: 0, y: height }], { width: 700, height: 520, marginX: 110, marginY: 48 });
      const places = PANE_SLOTS.map(({ key }) => fieldPosition(key, points));
      places.forEach((a, i) => { places.slice(i + 1).forEach((b) => { expect(Math.abs(a.y - b.y) >= 32 || Math.abs(a.x - b.x) >= 90).toBe(true); }); });
    }
  });
});
