import { describe, expect, it } from '@jest/globals';
import { NEW_PLACE, NEW_SURFACE, type RowOf } from '../../job';
import { areaOf, outlineBounds } from '../../measure';
import { blanksOfFilm } from './film-blanks';
import { flatOutlineOf } from '../survey/flat-outline';
import { type JobRows, jobRows } from '../view/job-rows';
import { JobView } from '../view/job-view';
import { flatFilmOf, lineSeenFrom, shrinkOf } from './shrink';

const row = <Row>(fields: object): Row =>
  ({ jobId: 'J', version: 1, changedAt: '2026-11-30T10:00:00Z', changedBy: 'Wren', ...fields }) as Row;
const MM = 1_000_000;
const taken = (kind: string, from: string, to: string, mm: number) =>
  row<RowOf<'measure'>>({
    ...{ id: `${kind}${from}${to}`, surfaceId: 'S', kind, fromPoint: from, toPoint: to, text: String(mm) },
    ...{ unit: 'mm', value_nm: Math.round(mm * MM), instrument: 'tape', sd_nm: null },
  });
const SIDES = [
  taken('distance', 'tl', 'tr', 1241),
  taken('distance', 'bl', 'br', 1241),
  taken('distance', 'tl', 'bl', 759),
  taken('distance', 'tr', 'br', 759),
];
/** An end window, curved more at the bottom: about 7.4 mm to get rid of a side. */
const END = [
  ...SIDES,
  taken('sag', 'tl', 'tr', 40),
  taken('sag', 'ml', 'mr', 42),
  taken('sag', 'bl', 'br', 46),
  taken('sag', 'tl', 'bl', 24),
  taken('sag', 'mt', 'mb', 26),
  taken('sag', 'tr', 'br', 24),
];
interface Given {
  readonly measure?: JobRows['measure'];
  readonly film?: object;
  readonly name?: string;
  readonly schools?: object;
  readonly own?: object;
  readonly strips?: readonly (readonly [marked: number, after: number])[];
  readonly side?: string;
}
function viewOf({
  measure = END,
  film = {},
  name = 'end window',
  schools = {},
  own,
  strips = [],
  side,
}: Given) {
  return new JobView(
    jobRows({
      place: [row({ ...NEW_PLACE, id: 'P', kind: 'vehicle', name: 'Car A', position: 1 })],
      surface: [
        row({
          ...{ ...NEW_SURFACE, id: 'S', placeId: 'P', tag: 'A-E1', position: 1 },
          ...{ name, shape: 'curved glass', seenFrom: 'outside' },
        }),
      ],
      application: [
        row({
          ...{ id: 'A', surfaceId: 'S', filmId: 'F', method: 'curved, shrunk', side: side ?? 'outside' },
          ...{ schools, over: null, position: 1 },
        }),
      ],
      measure,
      ownPlan:
        own === undefined
          ? []
          : [row({ id: 'O', applicationId: 'A', kind: 'shrink', changes: own, inputsHash: 'then' })],
      testPiece: strips.map(([marked, after], index) =>
        row<RowOf<'testPiece'>>({
          ...{ id: `T${index}`, kind: 'shrink strip', filmId: 'F', lot: '', surfaceId: null },
          ...{ weather: '', outcome: 'not judged' },
          fields: { marked_nm: marked * MM, after_nm: after * MM, film_C: null },
        }),
      ),
    }),
    {
      films: [
        row({
          ...{ id: 'F', family: 'vehicle tint', direction: 'none', widths_nm: [1524 * MM], repeat_nm: null },
          ...{ shrinkEasy: null, shrinkHard: null, shrinkLimit: null, ...film },
        }),
      ],
      people: [],
      learned: [],
    } as unknown as ConstructorParameters<typeof JobView>[1],
  );
}
function planOf(given: Given = {}) {
  const view = viewOf(given);
  const [application] = view.applications;
  if (application === undefined) throw new Error('no film');
  const today = shrinkOf(view, application);
  if (today.kind === 'none') throw new Error(today.reason);
  return today.plan;
}
const reasonOf = (measure: JobRows['measure']): string => {
  const view = viewOf({ measure });
  const today = view.applications[0] && shrinkOf(view, view.applications[0]);
  return today?.kind === 'none' ? today.reason : 'a plan';
};

describe('where is a pane held, and by whose choice?', () => {
  it('an end window on a line across, a door pane along its top, by the pane', () => {
    expect(planOf()).toMatchObject({ hold: 'a line across', holdTaken: { by: 'the rule' } });
    expect(planOf({ name: 'front door pane' })).toMatchObject({ hold: 'along the top' });
  });
  it('overruled by hand both ways', () => {
    expect(planOf({ schools: { hold: 'along the top' } })).toMatchObject({
      hold: 'along the top',
      holdTaken: { by: 'this surface', refused: null },
    });
    expect(planOf({ name: 'door', schools: { hold: 'a line across' } }).hold).toBe('a line across');
  });
  it('a line that was dragged is followed, and said to be of other measures once they change', () => {
    const own = planOf({ own: { line_nm: -30 * MM, folds: 5, isTurned: false } });
    expect(own.own.at_mm).toBe(-30);
    expect(own.own.bottom.folds.count).toBe(5);
    expect(own.isOfOtherMeasures).toBe(true);
  });
  it('a line where there is no glass any more is not followed', () => {
    const far = planOf({ own: { line_nm: 900 * MM, folds: null, isTurned: false } });
    expect(far.own.at_mm).toBeCloseTo(planOf().own.at_mm, 9);
  });
});

describe('by what is a film judged?', () => {
  it('by our guess, by its sheet, by a strip of it: the last known stands over the others', () => {
    expect(planOf().limits).toMatchObject({ limit: 0.03, from: 'our guess' });
    const sheet = { shrinkEasy: 0.005, shrinkHard: 0.01, shrinkLimit: 0.02 };
    expect(planOf({ film: sheet }).limits).toMatchObject({ easy: 0.005, limit: 0.02, from: 'sheet' });
    expect(planOf({ film: sheet, strips: [[250, 245]] }).limits).toMatchObject({ from: 'strip test' });
  });
  it('a sheet that says the limit alone: the rest in our proportion', () => {
    const { limits } = planOf({ film: { shrinkLimit: 0.06 } });
    expect([limits.easy, limits.hard]).toEqual([expect.closeTo(0.02, 9), expect.closeTo(0.04, 9)]);
  });
  it('a strip of 250 mm that comes out 246: 1.6 %, and what was easy is hard; 2 mm short, and it is too much', () => {
    expect(planOf().verdict).toBe('easy');
    expect(planOf({ strips: [[250, 246]] })).toMatchObject({
      verdict: 'hard',
      limits: { limit: expect.closeTo(0.016, 9) },
    });
    expect(planOf({ strips: [[250, 248]] }).verdict).toBe('over the limit');
    expect(
      planOf({
        strips: [
          [250, 240],
          [250, 248],
        ],
      }).verdict,
    ).toBe('over the limit');
  });
  it('a strip that did not shrink is no film for curved glass, and no fault', () => {
    expect(planOf({ strips: [[250, 250]] }).verdict).toBe('over the limit');
  });
});

describe('which side is left?', () => {
  it('whoever stands on the other side than it was measured from has left and right exchanged', () => {
    const leaning = { own: { fromTop_mm: { left: 390, middle: 392, right: 401 } } } as ReturnType<
      typeof planOf
    >;
    expect(lineSeenFrom(leaning, { seenFrom: 'room' }, 'outside')).toEqual({
      left: 401,
      middle: 392,
      right: 390,
    });
    expect(lineSeenFrom(leaning, { seenFrom: 'outside' }, 'outside')).toEqual({
      left: 390,
      middle: 392,
      right: 401,
    });
  });
});

describe('is a plan calculated once?', () => {
  it('the same rows give the very same answer, with a plan and without', () => {
    const view = viewOf({});
    const [application] = view.applications;
    expect(application && shrinkOf(view, application)).toBe(application && shrinkOf(view, application));
    const flat = {
      ...view.rows,
      surface: view.rows.surface.map((own) => ({ ...own, shape: 'wall' as const })),
    };
    const other = new JobView(flat, view.shop);
    const [own] = other.applications;
    expect(own && shrinkOf(other, own)).toBe(own && shrinkOf(other, own));
  });
});

describe('what has no plan says why', () => {
  it('no measures, no sags, measures that contradict each other', () => {
    expect(reasonOf([])).toBe('not measured');
    expect(reasonOf(SIDES)).toBe('no sags');
    expect(reasonOf([...SIDES, taken('sag', 'ml', 'mr', 42), taken('sag', 'mt', 'mb', 26)])).toBe('a plan');
    const twisted = END.map((own) => (own.id === 'sagmtmb' ? taken('sag', 'mt', 'mb', 60) : own));
    expect(reasonOf(twisted)).toBe('measures contradict');
  });
  it('a saddle: the film must stretch', () => {
    const saddle = END.map((own) =>
      own.kind === 'sag' && ['tl', 'mt', 'tr'].includes(own.fromPoint) && own.toPoint.includes('b')
        ? { ...own, value_nm: -own.value_nm }
        : own,
    );
    expect(planOf({ measure: saddle }).verdict).toBe('must stretch');
  });
});

describe('what is cut?', () => {
  const blankOf = (given: Given = {}) => {
    const view = viewOf(given);
    const [blank] = blanksOfFilm(view, 'F').blanks;
    if (blank === undefined) throw new Error('no blank');
    return { ...blank.blank, whole: blank.blanks.whole, outline: flatOutlineOf(view, blank, 'up') ?? [] };
  };
  it('film as it lies before it is shrunk, with what is over: more than the glass is, across and down', () => {
    const { width_mm, height_mm } = flatFilmOf(planOf());
    const own = blankOf();
    expect(own.width_mm).toBeCloseTo(width_mm + 26, 0);
    expect(own.height_mm).toBeCloseTo(height_mm + 50, 0);
    expect(width_mm).toBeGreaterThan(1241);
    expect(own.whole).toMatchObject({ lies: 'top along the roll', factoryEdge: 'at the top' });
    expect(own.whole.width_mm.why.at(-1)?.remark).toMatch(/^Of the film before it is shrunk/);
  });
  it('for the plotter its outline, the straight edge of the roll along its top', () => {
    const { outline, across_mm, along_mm, whole } = blankOf();
    const { left, top, width, height } = outlineBounds(outline);
    expect([left, top]).toEqual([expect.closeTo(0, 1), expect.closeTo(0, 1)]);
    expect(width).toBeCloseTo(across_mm, 0);
    expect(height).toBeCloseTo(along_mm, 0);
    const atEdge = outline.filter(({ x }) => x < 0.11).map(({ y }) => y);
    expect(Math.max(...atEdge) - Math.min(...atEdge)).toBeGreaterThan(1240);
    expect(Math.abs(areaOf(outline))).toBeGreaterThan(1241 * 759);
    expect(Math.abs(areaOf(outline))).toBeLessThanOrEqual(whole.width_mm.value * whole.height_mm.value + 1);
  });
  it('a pane narrower at its top has a slanting outline; seen from inside it is the mirror image', () => {
    const leaning = END.map((own) => (own.id === 'distancetltr' ? taken('distance', 'tl', 'tr', 1141) : own));
    const upright = taken('distance', 'tl', 'br', 1415);
    const [outside, inside] = ['outside', 'room'].map((side) =>
      blankOf({ measure: [...leaning, upright], side }),
    );
    const mirrored = outside?.outline.map(({ x, y }) => ({ x, y: (outside.along_mm ?? 0) - y }));
    expect(sorted(inside?.outline)).toEqual(sorted(mirrored).map(([x, y]) => [x, expect.closeTo(y ?? 0, 6)]));
    const filled = ({ outline, across_mm, along_mm }: ReturnType<typeof blankOf>): number =>
      Math.abs(areaOf(outline)) / (across_mm * along_mm);
    expect(outside && filled(outside)).toBeLessThan(filled(blankOf()) - 0.02);
  });
  it('a roll turned by choice: the blank lies the other way, its straight edge at a side, with another hash', () => {
    const turned = blankOf({ own: { line_nm: null, folds: null, isTurned: true } });
    expect(turned.whole).toMatchObject({ lies: 'top across the roll', factoryEdge: 'at one side' });
    expect(turned.whole.inputsHash).not.toBe(blankOf().whole.inputsHash);
    expect(turned.whole.mayTurn90).toBe(false);
  });
});

const sorted = (outline: readonly { readonly x: number; readonly y: number }[] = []) =>
  outline.map(({ x, y }) => [x, y] as const).toSorted(([ax, ay], [bx, by]) => ax - bx || ay - by);
