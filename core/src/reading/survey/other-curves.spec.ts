import { describe, expect, it } from '@jest/globals';
import { NEW_PART, NEW_SURFACE, type RowOf } from '../../job';
import { type FilmOfShop, type JobRows, jobRows } from '../view/job-rows';
import { JobView } from '../view/job-view';
import { otherCurvesOf } from './other-curves';

const row = <Row>(fields: object): Row =>
  ({ jobId: 'J', version: 1, changedAt: '2026-11-30T10:00:00Z', changedBy: 'Wren', ...fields }) as Row;
const MM = 1_000_000;
const taken = (kind: string, from: string, to: string, mm: number) =>
  row<RowOf<'measure'>>({
    ...{ id: `${kind}${from}${to}`, surfaceId: 'S', kind, fromPoint: from, toPoint: to, text: String(mm) },
    ...{ unit: 'mm', value_nm: Math.round(mm * MM), instrument: 'tape', sd_nm: null },
  });
const FILM = { strainCareful: 0.1, strainLimit: 0.3, thickness_um: 200, shrinkEasy: null, shrinkLimit: 0.03 };
function curvesOf(given: Partial<JobRows>, shape: object, film: object = {}) {
  const surface = row<RowOf<'surface'>>({
    ...NEW_SURFACE,
    id: 'S',
    placeId: 'P',
    tag: 'X',
    position: 1,
    ...shape,
  });
  const view = new JobView(jobRows({ surface: [surface], ...given }));
  return otherCurvesOf(view, surface, { ...FILM, ...film } as unknown as FilmOfShop);
}
const furrow = (form: string, width: number, depth: number) =>
  row<RowOf<'part'>>({
    ...{ ...NEW_PART, id: 'g', surfaceId: 'S', kind: 'furrow', name: 'profile', position: 1, form },
    ...{ width_nm: width * MM, depth_nm: depth * MM },
  });
const PANEL = { kind: 'fixture', shape: 'panel' };

describe('what do other curved places ask of a film?', () => {
  it('a groove pressed in from its edges: √(1 + (2d/w)²) − 1 (closed form), spare film down to what it bears', () => {
    const [groove] = curvesOf({ part: [furrow('V', 20, 8)] }, PANEL);
    if (groove?.case !== 'groove') throw new Error('no groove');
    expect(groove.strain.value).toBeCloseTo(Math.sqrt(1.64) - 1, 12);
    expect(groove.verdict).toBe('hard');
    expect(groove.spare_mm.value).toBeCloseTo(0, 12);
    const [stiff] = curvesOf({ part: [furrow('V', 20, 8)] }, PANEL, {
      strainCareful: 0.02,
      strainLimit: 0.1,
    });
    expect(stiff).toMatchObject({ verdict: 'over the limit' });
    expect(stiff?.case === 'groove' && stiff.spare_mm.value).toBeCloseTo(
      (20 * Math.sqrt(1.64)) / 1.1 - 20,
      9,
    );
  });
  it.each([
    ['square', 2 * 0.4],
    ['half round', (4 * 10.25 * Math.atan(0.8)) / 20 - 1],
  ])('%s (closed form)', (form, strain) => {
    const [groove] = curvesOf({ part: [furrow(form, 20, 8)] }, PANEL);
    expect(groove?.case === 'groove' && groove.strain.value).toBeCloseTo(strain, 9);
  });
  it('a film whose sheet says no limit is not judged; the spare film is then all of the way', () => {
    const [groove] = curvesOf({ part: [furrow('square', 20, 8)] }, PANEL, { strainLimit: null });
    expect(groove).toMatchObject({ verdict: 'unknown' });
    expect(groove?.case === 'groove' && groove.spare_mm.value).toBeCloseTo(16, 9);
  });
  it('an edge bends its outer face by t ÷ (2r + t); each turned corner leaves a square over', () => {
    const [edge, corner] = curvesOf(
      { measure: [taken('radius', 'mm', 'mm', 3), taken('wrap', 'ml', 'ml', 20)] },
      PANEL,
    );
    expect(edge?.case === 'edge' && edge.strain.value).toBeCloseTo(0.2 / 6.2, 12);
    expect(corner?.case === 'turned corner' && corner.left_mm2.value).toBe(400);
  });
  it('a tapered column: a straight edge runs off by R (1 − cos(θ/2)); a belly asks for shrink at its ends', () => {
    const COLUMN = { kind: 'column', shape: 'round column' };
    const measure = [
      taken('circumference', 'floor', 'floor', 1131),
      taken('circumference', 'top', 'top', 942),
      taken('distance', 'floor', 'top', 2840),
    ];
    const [taper] = curvesOf({ measure }, COLUMN);
    const [wide, narrow] = [1131 / (2 * Math.PI), 942 / (2 * Math.PI)];
    const slant = Math.hypot(2840, wide - narrow);
    const outer = (wide * slant) / (wide - narrow);
    const half = (Math.PI * (wide - narrow)) / slant;
    expect(taper?.case === 'taper' && taper.runsOff_mm.value).toBeCloseTo(outer * (1 - Math.cos(half)), 9);
    const even = measure.map((own) =>
      own.fromPoint === 'top' ? taken('circumference', 'top', 'top', 1131) : own,
    );
    expect(curvesOf({ measure: even }, COLUMN)).toEqual([]);
  });
  it('a dish stretches film by (depth ÷ half its width)² on the mean (closed form of a cap)', () => {
    const part = [
      row<RowOf<'part'>>({
        ...{ ...NEW_PART, id: 'd', surfaceId: 'S', kind: 'dish', name: 'headlamp', position: 1 },
        ...{ width_nm: 100 * MM, depth_nm: 20 * MM },
      }),
    ];
    const [dish] = curvesOf({ part }, PANEL);
    if (dish?.case !== 'dish') throw new Error('no dish');
    const ball = (50 * 50 + 20 * 20) / (2 * 20);
    expect(dish.strain.value).toBeCloseTo((2 * Math.PI * ball * 20) / (Math.PI * 50 * 50) - 1, 12);
    expect(dish.verdict).toBe('hard');
    expect(curvesOf({ part: part.map((own) => ({ ...own, depth_nm: null })) }, PANEL)).toEqual([]);
  });
  it('an outside corner leaves film over round the foot of its edge: arcs of the film and of the corner compared', () => {
    const corner = (plan: number | null, edge: number | null) =>
      row<RowOf<'part'>>({
        ...{ ...NEW_PART, id: 'b', surfaceId: 'S', kind: 'box corner', name: 'bonnet', position: 1 },
        ...{
          planRadius_nm: plan === null ? null : plan * MM,
          edgeRadius_nm: edge === null ? null : edge * MM,
        },
      });
    const [own] = curvesOf({ part: [corner(200, 5)] }, PANEL);
    if (own?.case !== 'rounded corner') throw new Error('no corner');
    const film_mm = 195 + (Math.PI * 5) / 2;
    expect(own.strain.value).toBeCloseTo((film_mm - 200) / film_mm, 12);
    expect(own.verdict).toBe('easy');
    expect(curvesOf({ part: [corner(20, 20)] }, PANEL)).toMatchObject([{ verdict: 'over the limit' }]);
    expect(curvesOf({ part: [corner(null, 5)] }, PANEL)).toEqual([]);
    expect(curvesOf({ part: [corner(200, 5)] }, PANEL, { shrinkLimit: null })).toMatchObject([
      { verdict: 'unknown' },
    ]);
  });
  it('a flat surface has none', () => {
    expect(curvesOf({}, { kind: 'wall', shape: 'wall' })).toEqual([]);
  });
});
