import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { cutBlanks, customarySeam } from '../blanks';
import { filmCourse, kitList, readiness, USUAL_LIMITS } from '../day';
import { workStepsFor } from '../ways';
import { primerDry, promoterDry, sealantBack } from '../waiting';
import { type CutMethod, MATERIAL_NOT_STATED } from '../job';
import { ALLOWANCES, allowanceFor } from './allowances';
import { RULES, type RuleKey } from './rules';
import { rulesDocument } from './rules-document';

/**
 * Typed from the description of the trade, not from the code: value, and whether it is practice or a guess of
 * ours.
 */
const SAID: readonly (readonly [RuleKey, number, string])[] = [
  ['untrimmedEdge', 13, 'common practice'],
  ['columnTurn', 50, 'common practice'],
  ['columnTurnLap', 10, 'our guess'],
  ['wallLap', 50, 'common practice'],
  ['columnLap', 25, 'common practice'],
  ['doubleCut', 50, 'common practice'],
  ['cuttingGuide', 25, 'common practice'],
  ['secondSheet', 3, 'common practice'],
  ['outsideSeam', 300, 'our guess'],
  ['sliver', 150, 'our guess'],
  ['linerStrip', 100, 'common practice'],
  ['notch', 13, 'common practice'],
  ['largeSheet', 1.5, 'our guess'],
  ['primerWater', 120, 'common practice'],
  ['primerSolvent', 60, 'common practice'],
  ['promoterOpen', 60, 'our guess'],
  ['slipOpen', 5, 'our guess'],
  ['thickFilm', 100, 'our guess'],
  ['sealantThin', 2, 'common practice'],
  ['sealantThick', 7, 'our guess'],
  ['firstBond', 2, 'common practice'],
  ['decalBond', 14, 'common practice'],
  ['warmRoomStay', 2, 'common practice'],
  ['bladesEach', 3, 'our guess'],
  ['paperEach', 2.5, 'our guess'],
  ['clothEach', 4, 'our guess'],
  ['vinylWarmRoom', 13, 'common practice'],
  ['dewMargin', 3, 'common practice'],
  ['coolingStretch', 1.25, 'our guess'],
  ['postHeat', 90, 'from memory'],
  ['falseAlarm', 0.001, 'our guess'],
];

describe('does each rule say what the trade says?', () => {
  it.each(SAID)('%s: %d, %s', (key, value, kind) => {
    expect([RULES[key].value, RULES[key].source.kind]).toEqual([value, kind]);
  });
  it('the page of all rules is made from them (npm run rules)', () => {
    expect(readFileSync(new URL('../../../docs/rules.md', import.meta.url), 'utf8')).toBe(rulesDocument());
  });
});

/** Over at top, right, bottom, left, mm, and the edge of the roll that is wanted: trade.md 6 and 7. */
const WAYS: readonly (readonly [CutMethod, readonly number[], string])[] = [
  ['trim in place', [25, 25, 25, 25], 'at the top'],
  ['pre-squared', [0, 25, 25, 0], 'at one side'],
  ['dry-fitted', [25, 25, 25, 25], 'at the top'],
  ['cut to order', [25, 25, 25, 25], 'at the top'],
  ['cut to outline', [-1.5, -1.5, -1.5, -1.5], 'none'],
  ['security', [25, 25, 25, 25], 'none'],
  ['decor', [50, 50, 50, 50], 'none'],
  ['column', [12.5, 25, 12.5, 0], 'none'],
  ['wrapped edges', [25, 25, 25, 25], 'none'],
  ['furrow girth', [50, 50, 50, 50], 'none'],
  ['curved, shrunk', [25, 13, 25, 13], 'at the top'],
  ['textured wall', [50, 50, 50, 50], 'none'],
];

describe('is a blank cut as large as the way of fitting wants it?', () => {
  it.each(WAYS)('%s: %j over, factory edge %s', (method, over, factoryEdge) => {
    const found = allowanceFor(method);
    expect([found.top_mm, found.right_mm, found.bottom_mm, found.left_mm]).toEqual(over);
    expect(found.factoryEdge).toBe(factoryEdge);
  });
  it('every way there is', () => {
    expect(WAYS.map(([method]) => method).sort()).toEqual(ALLOWANCES.map(({ method }) => method).sort());
  });
});

const wall = (aroundWidth_mm: number, aroundHeight_mm: number, more: object = {}) =>
  cutBlanks({
    aroundWidth_mm,
    aroundHeight_mm,
    method: 'decor',
    direction: 'none',
    rollWidths_mm: [1220],
    repeat_mm: null,
    seam: customarySeam('decor', 'none', null),
    ...more,
  });
const stepsOf = (more: Partial<Parameters<typeof workStepsFor>[0]>) =>
  workStepsFor({ condition: 'sound', isSecurityFilm: false, ...more });

describe('is each rule followed where it counts?', () => {
  it('a blank is rounded up to a tenth of a millimetre for the layout, never down', () => {
    const [blank] = wall(600.04, 400.04).blanks;
    expect([blank?.across_mm, blank?.along_mm]).toEqual([700.1, 500.1]);
  });
  it('no seam within 300 mm of an outside corner', () => {
    const { seams, whole } = wall(3000, 2000, { left: 'outside corner' });
    expect(seams.at_mm.length).toBeGreaterThan(0);
    for (const at of seams.at_mm) expect(at).toBeGreaterThanOrEqual(whole.sides.left_mm + 300 - 1e-6);
  });
  it('two people from 1.5 m² on', () => {
    const schools = { liner: 'top part first' };
    const crewOf = (area_m2: number) => Math.max(...stepsOf({ schools, area_m2 }).map(({ crew }) => crew));
    expect([crewOf(1.49), crewOf(1.5)]).toEqual([1, 2]);
  });
  it('slip waits five minutes at most, promoter an hour', () => {
    const pauses = (method: 'trim in place' | 'column') =>
      stepsOf({ method }).flatMap(({ then }) => (then?.most === undefined ? [] : [then]));
    expect(
      pauses('trim in place')
        .filter(({ why }) => why.includes('slip'))
        .map(({ most }) => most),
    ).toContain(5);
    expect(
      pauses('column')
        .filter(({ least }) => least === 'promoter')
        .map(({ most }) => most),
    ).toContain(60);
    expect(promoterDry()).toMatchObject({ least: 5, most: 15, notOver: 60 });
  });
  it('decor film that was stretched is heated to what its sheet says, 90 °C as a guess', () => {
    const [step] = stepsOf({ method: 'furrow girth' }).filter((own) => own.step === 'post-heat');
    expect(step?.what).toContain('90 °C (a guess');
  });
  it('primer: over 2 h thinned with water, over 1 h with solvent, in a room', () => {
    const room = { air_C: 20, humidity: 0.5 };
    expect(primerDry('water-based', room).least).toBeGreaterThanOrEqual(120);
    expect(primerDry('water-based', room).least).toBeLessThan(123);
    expect(primerDry('solvent-based', room).least).toBe(60);
  });
  it('sealant waits a week from 100 µm on, two days below', () => {
    const DAY = 1440;
    expect([sealantBack(99).most, sealantBack(100).most]).toEqual([2 * DAY, 7 * DAY]);
  });
  it('vinyl stays in a warm room below 13 °C outdoors', () => {
    const keys = (outdoorLow_C: number) =>
      filmCourse({
        method: 'wrapped edges',
        film: { ...MATERIAL_NOT_STATED, family: 'wrap', thickness_um: 80 },
        known: [],
        outdoorLow_C,
      }).waits.map(({ key }) => key);
    expect(keys(12.9)).toContain('conditioned room');
    expect(keys(13)).not.toContain('conditioned room');
  });
  it('two metres of tape for a surface', () => {
    const surfaces = [{ tag: 'SW1', area_m2: 1, edge_m: 4 }];
    expect(kitList(surfaces, []).usedUp.find(({ key }) => key === 'tape')?.count).toBe(2);
  });
  it('a face 2.9 K over the dew point counts as damp, 3.1 K does not', () => {
    const from = Date.parse('2026-11-24T00:00:00Z');
    /** At 20 °C and 50 % the dew point is 9.26 °C (Magnus). */
    const hours = (air_C: number) =>
      Array.from({ length: 30 }, (_, hour) => ({
        instant_ms: from + (hour - 3) * 3_600_000,
        air_C,
        humidity: 0.5,
        cloud: 1,
        wind_ms: 1,
        rain_mm: 0,
      }));
    const closedBy = (room_C: number, humidity: number) =>
      readiness(
        {
          place: { latitude_deg: 47, longitude_deg: 10, altitude_m: 0 },
          facing: null,
          makeUp: null,
          height_m: 1,
          side: 'room',
          indoor: { air_C: room_C, humidity },
          least_C: null,
          most_C: null,
        },
        hours(room_C) as never,
        from,
        from + 3_600_000,
        USUAL_LIMITS,
      ).closed.map(({ by }) => by);
    /** A wall is as warm as its room: 20 °C and 83.3 % give a dew point of 17.1 °C, 82.3 % one of 16.9 °C. */
    expect(closedBy(20, 0.8335)).toEqual(['dew']);
    expect(closedBy(20, 0.8225)).toEqual([]);
  });
});
