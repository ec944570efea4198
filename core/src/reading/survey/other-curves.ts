import { PLACE_FORMULAS } from '../../curved';
import type { RowOf } from '../../job';
import { type Reasoned, mmFromNm, reasonedBy } from '../../quantity';
import { columnSizes } from '../cut/blank';
import type { FilmOfShop } from '../view/job-rows';
import type { JobView } from '../view/job-view';
import { checkOf } from './surface';

/** Against what the film bears by its sheet. */
export type StrainVerdict = 'easy' | 'hard' | 'over the limit' | 'unknown';

/** A place of a surface that is curved, and no pane. */
export type OtherCurve =
  | {
      readonly case: 'groove';
      readonly name: string;
      readonly strain: Reasoned<number>;
      /** Film fed in beforehand, so that it is stretched no more than it bears; nought where it bears all. */
      readonly spare_mm: Reasoned<number>;
      readonly verdict: StrainVerdict;
    }
  | {
      readonly case: 'dish';
      readonly name: string;
      readonly strain: Reasoned<number>;
      readonly verdict: StrainVerdict;
    }
  /** Film is left over round it, to be shrunk. */
  | {
      readonly case: 'rounded corner';
      readonly name: string;
      readonly strain: Reasoned<number>;
      readonly verdict: StrainVerdict;
    }
  | { readonly case: 'edge'; readonly strain: Reasoned<number>; readonly verdict: StrainVerdict }
  | { readonly case: 'turned corner'; readonly left_mm2: Reasoned<number> }
  | { readonly case: 'taper'; readonly runsOff_mm: Reasoned<number> }
  | { readonly case: 'belly'; readonly strain: Reasoned<number>; readonly verdict: StrainVerdict };

/** Places of a surface that are curved otherwise than a pane, with what they ask of a film. */
export function otherCurvesOf(
  view: JobView,
  surface: RowOf<'surface'>,
  film: FilmOfShop,
): readonly OtherCurve[] {
  return [
    ...grooves(view, surface.id, film),
    ...dishes(view, surface.id, film),
    ...roundedCorners(view, surface.id, film),
    ...edges(view, surface.id, film),
    ...columns(view, surface, film),
  ];
}

function stretchVerdict(strain: number, { strainCareful, strainLimit }: FilmOfShop): StrainVerdict {
  if (strainLimit === null) return 'unknown';
  if (strain > strainLimit) return 'over the limit';
  return strain <= (strainCareful ?? strainLimit) ? 'easy' : 'hard';
}

function shrinkVerdict(asked: number, { shrinkEasy, shrinkLimit }: FilmOfShop): StrainVerdict {
  if (shrinkLimit === null) return 'unknown';
  if (asked > shrinkLimit) return 'over the limit';
  return asked <= (shrinkEasy ?? shrinkLimit) ? 'easy' : 'hard';
}

function grooves(view: JobView, surfaceId: string, film: FilmOfShop): readonly OtherCurve[] {
  return view.partsOf(surfaceId).flatMap(({ kind, name, form, width_nm, depth_nm }): OtherCurve[] => {
    if (kind !== 'furrow' || form === 'none' || width_nm === null || depth_nm === null) return [];
    const [width_mm, depth_mm] = [mmFromNm(width_nm), mmFromNm(depth_nm)];
    const strain = reasonedBy(PLACE_FORMULAS[form], { width_mm, depth_mm });
    const bears = Math.min(strain.value, film.strainLimit ?? 0);
    const spare_mm = reasonedBy(PLACE_FORMULAS.feed, { width_mm, strain: strain.value, bears }, strain.why);
    return [{ case: 'groove', name, strain, spare_mm, verdict: stretchVerdict(strain.value, film) }];
  });
}

function dishes(view: JobView, surfaceId: string, film: FilmOfShop): readonly OtherCurve[] {
  return view.partsOf(surfaceId).flatMap(({ kind, name, width_nm, depth_nm }): OtherCurve[] => {
    if (kind !== 'dish' || width_nm === null || width_nm === 0 || depth_nm === null) return [];
    const strain = reasonedBy(PLACE_FORMULAS.dish, {
      width_mm: mmFromNm(width_nm),
      depth_mm: mmFromNm(depth_nm),
    });
    return [{ case: 'dish', name, strain, verdict: stretchVerdict(strain.value, film) }];
  });
}

/** An edge that rolls over no further than the corner itself is round. */
function roundedCorners(view: JobView, surfaceId: string, film: FilmOfShop): readonly OtherCurve[] {
  return view.partsOf(surfaceId).flatMap(({ kind, name, planRadius_nm, edgeRadius_nm }): OtherCurve[] => {
    if (kind !== 'box corner' || planRadius_nm === null || edgeRadius_nm === null) return [];
    if (planRadius_nm === 0) return [];
    const [plan_mm, edge_mm] = [mmFromNm(planRadius_nm), mmFromNm(Math.min(edgeRadius_nm, planRadius_nm))];
    const strain = reasonedBy(PLACE_FORMULAS.roundedCorner, { plan_mm, edge_mm });
    return [{ case: 'rounded corner', name, strain, verdict: shrinkVerdict(strain.value, film) }];
  });
}

function edges(view: JobView, surfaceId: string, film: FilmOfShop): readonly OtherCurve[] {
  const measures = view.measuresOf(surfaceId);
  const radius_mm = mostOf(measures, 'radius');
  const turned_mm = mostOf(measures, 'wrap');
  const isFixture = view.surfaceById.get(surfaceId)?.kind !== 'pane';
  const thickness_mm = film.thickness_um / 1000;
  const strain =
    radius_mm > 0 && isFixture ? reasonedBy(PLACE_FORMULAS.edge, { thickness_mm, radius_mm }) : undefined;
  return [
    ...(strain === undefined
      ? []
      : [{ case: 'edge' as const, strain, verdict: stretchVerdict(strain.value, film) }]),
    ...(turned_mm > 0
      ? [{ case: 'turned corner' as const, left_mm2: reasonedBy(PLACE_FORMULAS.corner, { turned_mm }) }]
      : []),
  ];
}

const mostOf = (measures: readonly RowOf<'measure'>[], kind: RowOf<'measure'>['kind']): number =>
  Math.max(0, ...measures.filter((own) => own.kind === kind).map(({ value_nm }) => mmFromNm(value_nm)));

const HARDLY = 1e-6;

function columns(view: JobView, surface: RowOf<'surface'>, film: FilmOfShop): readonly OtherCurve[] {
  const column = columnSizes(view, surface.id);
  if (column === undefined) return [];
  const [wide_mm, narrow_mm] = [column.foot_mm, column.top_mm]
    .map((girth) => girth / (2 * Math.PI))
    .toSorted((a, b) => b - a) as [number, number];
  const slant_mm = Math.hypot(column.height_mm, wide_mm - narrow_mm);
  const check = checkOf(view, surface.id);
  const off =
    'remarks' in check ? check.remarks.find((remark) => remark.case === 'off the taper') : undefined;
  return [
    ...(wide_mm - narrow_mm < HARDLY
      ? []
      : [
          {
            case: 'taper' as const,
            runsOff_mm: reasonedBy(PLACE_FORMULAS.runsOff, { wide_mm, narrow_mm, slant_mm }),
          },
        ]),
    ...(off === undefined ? [] : [belly(off.off_mm, (column.foot_mm + column.top_mm) / 2, film)]),
  ];
}

/** A belly leaves film over at its ends, to be shrunk; a waist would have to stretch it. */
function belly(off_mm: number, girth_mm: number, film: FilmOfShop): OtherCurve {
  const strain = reasonedBy(PLACE_FORMULAS.belly, { off_mm, girth_mm });
  const asked = strain.value;
  const verdict = asked < 0 ? stretchVerdict(-asked, film) : shrinkVerdict(asked, film);
  return { case: 'belly', strain, verdict };
}
