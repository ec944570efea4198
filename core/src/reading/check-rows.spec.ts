import { describe, expect, it } from '@jest/globals';
import { NEW_MARK, NEW_PHOTO, NEW_SURFACE, type RowOf } from '../job';
import { type JobRows, jobRows } from './view/job-rows';
import { JobView } from './view/job-view';
import { lightHere } from './check/light';
import { areaInPhoto, becameOf, pairOf, photosOfMark, wholeViews } from './check/photo-pairs';
import { filmOfMark, redoOf } from './check/redo';

const row = <Own>(own: object): Own => own as Own;
const application = (id: string) =>
  row<RowOf<'application'>>({ id, surfaceId: 'S', filmId: 'F', position: 1 });
const viewOf = (rows: Partial<JobRows> = {}, light: number | null = 0.35) =>
  new JobView(
    jobRows({
      surface: [row({ ...NEW_SURFACE, id: 'S', tag: 'W1', position: 1 })],
      application: [application('A')],
      ...rows,
    }),
    { films: [row({ id: 'F', visibleTransmitted: light })], learned: [], people: [] },
  );
const mark = row<RowOf<'mark'>>({ ...NEW_MARK, id: 'M', surfaceId: 'S' });

describe('how much light comes through?', () => {
  const reading = (applicationId: string | null, value: number, madeAt = '2026-12-01') =>
    row<RowOf<'reading'>>({
      id: `${value}`,
      surfaceId: 'S',
      applicationId,
      quantity: 'light',
      value,
      madeAt,
    });
  const of = (readings: readonly RowOf<'reading'>[], sheet: number | null = 0.35) =>
    lightHere(viewOf({ reading: readings }, sheet), application('A'));

  it('behind film over behind bare glass, beside what the sheet says', () => {
    expect(of([reading(null, 4000), reading('A', 1400)])).toMatchObject({ share: 0.35, isFar: false });
    expect(of([reading(null, 4000), reading('A', 800)]).isFar).toBe(true);
  });
  it('the last reading counts; one missing, or no light, is unknown', () => {
    expect(of([reading(null, 4000), reading(null, 2000, '2026-12-02'), reading('A', 700)]).share).toBe(0.35);
    expect(of([reading('A', 700)]).share).toBeUndefined();
    expect(of([reading(null, 0), reading('A', 700)]).share).toBeUndefined();
  });
  it('without a sheet nothing is far from it', () => {
    expect(of([reading(null, 4000), reading('A', 10)], null)).toMatchObject({ sheet: null, isFar: false });
  });
});

describe('what has become of a mark between two pictures?', () => {
  const square = {
    taps: [
      { x: 0, y: 0 },
      { x: 856, y: 0 },
      { x: 856, y: 540 },
      { x: 0, y: 540 },
    ],
    ...{ width_nm: 85_600_000, height_nm: 54_000_000 },
  };
  const box = (px: number) => [
    { x: 100, y: 100 },
    { x: 100 + px, y: 100 },
    { x: 100 + px, y: 100 + px },
    { x: 100, y: 100 + px },
  ];
  const photo = (id: string, own: object = {}) =>
    row<RowOf<'photo'>>({ ...NEW_PHOTO, id, surfaceId: 'S', markId: 'M', takenAt: `2026-12-0${id}`, ...own });
  const pair = (now: object, before: object = {}) => ({
    before: photo('1', { square, outline: box(200), ...before }),
    now: photo('2', { square, ...now }),
  });

  it('the first picture and the last one are the pair', () => {
    const photos = [photo('3'), photo('1'), photo('2'), photo('9', { markId: null })];
    const own = photosOfMark(viewOf({ photo: photos }), mark);
    expect(own.map(({ id }) => id)).toEqual(['1', '2', '3']);
    expect(pairOf(own)).toMatchObject({ before: { id: '1' }, now: { id: '3' } });
    expect(pairOf(own.slice(1, 2))).toBeUndefined();
    expect(wholeViews(viewOf({ photo: photos }), 'S').map(({ id }) => id)).toEqual(['9']);
  });
  it('a square of 20 mm is 400 mm²', () => {
    expect(areaInPhoto(pair({}).before)?.area_mm2).toBeCloseTo(400, 6);
    expect(areaInPhoto(photo('1'))).toBeUndefined();
  });
  it('half as long is smaller; as it was is the same; nothing drawn is gone', () => {
    expect(becameOf(pair({ outline: box(100) }))).toBe('smaller');
    expect(becameOf(pair({ outline: box(201) }))).toBe('same');
    expect(becameOf(pair({ outline: box(300) }))).toBe('larger');
    expect(becameOf(pair({ outline: null }))).toBe('gone');
  });
  it('not square yet, nothing to compare with, or of two surfaces: nothing is said', () => {
    expect(becameOf(pair({ square: null }))).toBeUndefined();
    expect(becameOf(pair({ outline: box(100) }, { outline: null }))).toBeUndefined();
    expect(becameOf(pair({ outline: box(100), surfaceId: 'OTHER' }))).toBeUndefined();
  });
});

describe('what is taken back so that a film is laid anew?', () => {
  it('its pieces, its work, what was asked before it and of its waits; nothing of another film', () => {
    const of = (applicationId: string) => ({ id: applicationId, applicationId });
    const view = viewOf({
      application: [application('A'), application('B')],
      cutPlan: [row({ id: 'P' })],
      cutPiece: ['A', 'B'].map((id) =>
        row({ ...of(id), planId: 'P', spoiledAt: null, drop: 1, position: 1 }),
      ),
      workRecord: ['A', 'B'].map((id) => row(of(id))),
      gateTick: ['A', 'B'].map((id) => row(of(id))),
      waitEnd: ['A', 'B'].map((id) => row(of(id))),
      plannedStep: ['A', 'B'].map((id) => row(of(id))),
    });
    const own = redoOf(view, 'A');
    for (const rows of [own.pieces, own.work, own.gates, own.waits, own.planned])
      expect(rows.map(({ id }) => id)).toEqual(['A']);
  });
  it('of a mark: its own film, else the only one; of two nobody can tell', () => {
    expect(filmOfMark(viewOf(), mark)?.id).toBe('A');
    const two = viewOf({ application: [application('A'), application('B')] });
    expect(filmOfMark(two, mark)).toBeUndefined();
    expect(filmOfMark(two, { ...mark, applicationId: 'B' })?.id).toBe('B');
  });
});
