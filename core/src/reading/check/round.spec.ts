import { describe, expect, it } from '@jest/globals';
import { NEW_PLACE, NEW_SURFACE, type RowOf } from '../../job';
import { RULE_SETS } from '../../judging';
import { type JobRows, jobRows } from '../view/job-rows';
import { JobView } from '../view/job-view';
import { faceOfSurface } from '../survey/face-of-surface';
import { roundHere, viewsOf } from './round';
import { ruleSetFor, ruleSetsOf } from './rule-sets';

const MM = 1_000_000;
const row = <Own>(own: object): Own => own as Own;
const side = (fromPoint: string, toPoint: string, mm: number) =>
  row<RowOf<'measure'>>({
    ...{ id: `${fromPoint}${toPoint}`, surfaceId: 'S', kind: 'distance', fromPoint, toPoint },
    ...{ text: String(mm), unit: 'mm', value_nm: mm * MM, instrument: 'tape', sd_nm: null },
  });
const viewOf = (rows: Partial<JobRows> = {}, light: number | null = 0.5) =>
  new JobView(
    jobRows({
      place: [row({ ...NEW_PLACE, id: 'P', kind: 'building', name: 'House', position: 1 })],
      surface: [row({ ...NEW_SURFACE, id: 'S', placeId: 'P', tag: 'W1', position: 1 })],
      measure: [side('tl', 'tr', 1200), side('bl', 'br', 1200), side('tl', 'bl', 900), side('tr', 'br', 900)],
      application: [row({ id: 'A', surfaceId: 'S', filmId: 'F', position: 1 })],
      ...rows,
    }),
    { films: [row({ id: 'F', visibleTransmitted: light })], learned: [], people: [] },
  );
const SIX_FEET = RULE_SETS[0];
const [set] = [SIX_FEET ?? (undefined as never)];
const hash = () => faceOfSurface(viewOf(), 'S')?.hash ?? '';
const inspection = (own: Partial<RowOf<'inspection'>> = {}) =>
  row<RowOf<'inspection'>>({
    ...{ id: 'I', surfaceId: 'S', ruleSetId: null, setName: set.name, setVersion: 1, distance_mm: 1830 },
    ...{ light: 'daylight', views: ['edges', 'square', 'from the left', 'from the right'] },
    ...{ inputsHash: hash(), accepted: null },
    begun: { personId: null, who: 'Wren', at: '2026-12-01T10:00:00Z' },
    ...own,
  });
const tick = (view: string, strip: number) =>
  row<RowOf<'lookTick'>>({ id: `${view}${strip}`, inspectionId: 'I', view, strip });

describe('was all of a surface looked at?', () => {
  it('edges in pieces of half a metre, the face in strips, square and from both sides', () => {
    const round = roundHere(viewOf(), 'S', set);
    expect(round && viewsOf(round)).toEqual(['square', 'from the left', 'from the right', 'edges']);
    // 1200 mm in three pieces, 900 in two, twice each; 900 mm in strips of 320 with a fifth of overlap: four.
    expect(round?.pieces.filter(({ view }) => view === 'edges')).toHaveLength(10);
    expect(round?.pieces.filter(({ view }) => view === 'square')).toHaveLength(4);
    expect(round?.next).toMatchObject({ view: 'edges', number: 1 });
    expect(round?.isWhole).toBe(false);
  });
  it('dark film is looked at from behind too; film of unknown light is not taken for dark', () => {
    const views = (light: number | null) => {
      const round = roundHere(viewOf({}, light), 'S', set);
      return round === undefined ? [] : viewsOf(round);
    };
    expect(views(0.05)).toContain('from behind');
    expect(views(0.5)).not.toContain('from behind');
    expect(views(null)).not.toContain('from behind');
  });
  it('what is ticked is looked at; the whole only when every piece is, and then nothing is left', () => {
    const pieces = roundHere(viewOf(), 'S', set)?.pieces ?? [];
    const ticks = pieces.map(({ view, number }) => tick(view, number));
    const of = (lookTick: readonly RowOf<'lookTick'>[]) =>
      roundHere(viewOf({ inspection: [inspection()], lookTick }), 'S', set);
    const whole = of(ticks);
    expect(whole).toMatchObject({ isWhole: true, next: undefined, left_s: 0 });
    const part = of(ticks.slice(0, -1));
    expect(part?.isWhole).toBe(false);
    expect(part?.views.find(({ share }) => share < 1)?.view).toBe(part?.next?.view);
    expect(part?.left_s).toBeGreaterThan(0);
  });
  it('measured otherwise since, nothing of it counts', () => {
    const own = roundHere(
      viewOf({ inspection: [inspection({ inputsHash: 'before' })], lookTick: [tick('square', 1)] }),
      'S',
      set,
    );
    expect(own?.isOfOtherMeasures).toBe(true);
    expect(own?.ticked.size).toBe(0);
  });
  it('a surface that is not measured has no round', () => {
    expect(roundHere(viewOf({ measure: [] }), 'S', set)).toBeUndefined();
  });
});

describe('by which rules is a surface judged?', () => {
  const copy = row<RowOf<'ruleSet'>>({
    ...{ id: 'R', name: 'milder', setVersion: 3, copyOf: set.name, source: set.source },
    rules: { ...set, distance_m: 3 },
  });
  it('copies of the job stand first, with their own version; the published kinds after them', () => {
    const sets = ruleSetsOf(viewOf({ ruleSet: [copy] }));
    expect(sets[0]).toMatchObject({ id: 'R', name: 'milder', version: 3, distance_m: 3 });
    expect(sets.slice(1).map(({ name }) => name)).toEqual(RULE_SETS.map(({ name }) => name));
  });
  it('as its last round was, else as the last of the job, else the first', () => {
    const own = (rows: Partial<JobRows>) => ruleSetFor(viewOf(rows), 'S')?.name;
    expect(own({})).toBe(set.name);
    expect(own({ inspection: [inspection({ setName: 'laminated glass kind' })] })).toBe(
      'laminated glass kind',
    );
    expect(
      own({
        inspection: [inspection({ surfaceId: 'OTHER', setName: 'coated glass kind' })],
      }),
    ).toBe('coated glass kind');
    expect(own({ ruleSet: [copy], inspection: [inspection({ ruleSetId: 'R', setName: 'milder' })] })).toBe(
      'milder',
    );
  });
});
