import { describe, expect, it } from '@jest/globals';
import { NEW_SURFACE, NO_SITE_FACTS, type RowOf } from '../../job';
import { areaOf } from '../../measure';
import { blanksOfFilm } from '../cut/film-blanks';
import { flatOutlineOf } from './flat-outline';
import { type JobRows, jobRows } from '../view/job-rows';
import { JobView } from '../view/job-view';

const row = <Row>(fields: object): Row =>
  ({ jobId: 'J', version: 1, changedAt: '2026-11-30T10:00:00Z', changedBy: 'Wren', ...fields }) as Row;
const MM = 1_000_000;
const surface = row<RowOf<'surface'>>({ ...NEW_SURFACE, id: 'S', placeId: 'P', tag: 'SW1', position: 1 });
const side = (fromPoint: string, toPoint: string, mm: number, index: number) =>
  row<RowOf<'measure'>>({
    id: `m${index}`,
    surfaceId: 'S',
    kind: 'distance',
    fromPoint,
    toPoint,
    text: String(mm),
    unit: 'mm',
    value_nm: Math.round(mm * MM),
    instrument: 'tape',
    sd_nm: null,
  });
/** Sides upright, 800 wide, left 800, right 1400 high; the head slants. */
const RAKED = (
  [
    ['tl', 'tr', 1000],
    ['tr', 'br', 1400],
    ['br', 'bl', 800],
    ['bl', 'tl', 800],
    ['tl', 'br', 1131.371],
    ['tr', 'bl', 1612.452],
  ] as const
).map(([from, to, mm], index) => side(from, to, mm, index));
/** A rectangle of 800 by 1400. */
const SQUARE = (
  [
    ['tl', 'tr', 800],
    ['tr', 'br', 1400],
    ['br', 'bl', 800],
    ['bl', 'tl', 1400],
    ['tl', 'br', 1612.452],
    ['tr', 'bl', 1612.452],
  ] as const
).map(([from, to, mm], index) => side(from, to, mm, index));

function outlineOf(method: string, measure: JobRows['measure'], trim_mm?: number) {
  const view = new JobView(
    jobRows({
      surface: [surface],
      application: [
        row({
          id: 'A',
          surfaceId: 'S',
          filmId: 'F',
          method,
          side: 'room',
          schools: {},
          over: null,
          position: 1,
        }),
      ],
      measure,
      siteFacts:
        trim_mm === undefined
          ? []
          : [row({ ...NO_SITE_FACTS, id: 'X', surfaceId: 'S', trimOverlap_nm: trim_mm * MM })],
    }),
    {
      films: [row({ id: 'F', family: 'solar', direction: 'none', widths_nm: [1524 * MM], repeat_nm: null })],
      people: [],
      learned: [],
    } as unknown as ConstructorParameters<typeof JobView>[1],
  );
  const [blank] = blanksOfFilm(view, 'F').blanks;
  if (blank === undefined) throw new Error('no blank');
  const outline = flatOutlineOf(view, blank, 'up');
  return {
    width_mm: blank.blank.width_mm,
    height_mm: blank.blank.height_mm,
    notes: blank.blanks.notes.map((note) => note.case),
    area_m2: outline === undefined ? undefined : Math.abs(areaOf(outline)) / 1e6,
  };
}
/**
 * The raked figure with every side moved out by d, in the blank's rectangle, by hand: head from (0, a) to the
 * upper right corner, where the mitre would stand out of it. For 25 mm a = 612.5, for 33 mm a = 616.5.
 */
const byHand_m2 = (width: number, height: number, a: number): number =>
  (width * height - (a * width) / 2) / 1e6;
/**
 * Moved in by 1.5 mm nothing stands out: A − P d + T d², P = 4 m, T = 2 + tan 26.57° + tan 63.43° = 4.5.
 */
const MOVED_IN_M2 = 0.88 - 4 * 0.0015 + 4.5 * 0.0015 ** 2;

describe('does the plotter follow what is added and taken off?', () => {
  it('trimmed in place: 25 mm more on every side', () => {
    expect(outlineOf('trim in place', RAKED).area_m2).toBeCloseTo(byHand_m2(850, 1450, 612.5), 3);
  });
  it('trim that hides 8 mm of the glass: the blank and its outline grow by it, on every side', () => {
    const own = outlineOf('trim in place', RAKED, 8);
    expect(own.width_mm).toBeCloseTo(866, 0);
    expect(own.height_mm).toBeCloseTo(1466, 0);
    expect(own.area_m2).toBeCloseTo(byHand_m2(866, 1466, 616.5), 3);
    expect(own.notes).toContain('behind the trim');
  });
  it('cut to the outline: 1.5 mm less on every side, a square pane too, as nothing is trimmed', () => {
    const own = outlineOf('cut to outline', RAKED);
    expect(own.width_mm).toBeCloseTo(797, 0);
    expect(own.height_mm).toBeCloseTo(1397, 0);
    expect(own.area_m2).toBeCloseTo(MOVED_IN_M2, 4);
    const square = outlineOf('cut to outline', SQUARE);
    expect(square.area_m2).toBeCloseTo(0.797 * 1.397, 4);
    expect(square.notes).toContain('cut to its outline');
    expect(outlineOf('trim in place', SQUARE).area_m2).toBeUndefined();
  });
});
