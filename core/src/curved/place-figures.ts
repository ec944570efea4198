import { type Formula, GEOMETRY } from '../quantity';
import {
  boxCorner,
  feedFor,
  flatCone,
  strainInDish,
  strainInHollow,
  strainInSquare,
  strainInV,
  strainOnCorner,
  strainRoundEdge,
} from './other-places';

interface Groove {
  readonly width_mm: number;
  readonly depth_mm: number;
}
const GROOVE_INPUTS = {
  width_mm: { word: 'width of the groove', unit: 'mm' },
  depth_mm: { word: 'depth', unit: 'mm' },
} as const;
const groove = (id: string, says: string, of: (width: number, depth: number) => number): Formula<Groove> => ({
  id,
  word: 'stretch pressed in from its edges',
  says,
  unit: 'share',
  source: GEOMETRY,
  inputs: GROOVE_INPUTS,
  of: ({ width_mm, depth_mm }) => of(width_mm, depth_mm),
});

export const PLACE_FORMULAS = {
  V: groove('curved.grooveV', 'e = √(1 + (2d/w)²) − 1', strainInV),
  square: groove('curved.grooveSquare', 'e = 2d ÷ w', strainInSquare),
  'half round': groove(
    'curved.grooveRound',
    'R = (w²/4 + d²) ÷ 2d, e = 4R·atan(2d/w) ÷ w − 1',
    strainInHollow,
  ),
  feed: {
    id: 'curved.feed',
    word: 'spare film fed in',
    says: 'w·(1 + e) ÷ (1 + e film) − w',
    unit: 'mm',
    source: GEOMETRY,
    inputs: {
      width_mm: { word: 'width of the groove', unit: 'mm' },
      strain: { word: 'stretch pressed in from its edges', unit: 'share' },
      bears: { word: 'stretch left to the film', unit: 'share' },
    },
    of: ({ width_mm, strain, bears }) => feedFor(width_mm * (1 + strain), bears, width_mm),
  } satisfies Formula<{ readonly width_mm: number; readonly strain: number; readonly bears: number }>,
  edge: {
    id: 'curved.edgeBend',
    word: 'stretch of its outer face round the edge',
    says: 'e = t ÷ (2r + t)',
    unit: 'share',
    source: GEOMETRY,
    inputs: {
      thickness_mm: { word: 'thickness of the film', unit: 'mm' },
      radius_mm: { word: 'edge radius', unit: 'mm' },
    },
    of: ({ thickness_mm, radius_mm }) => strainRoundEdge(thickness_mm, radius_mm),
  } satisfies Formula<{ readonly thickness_mm: number; readonly radius_mm: number }>,
  corner: {
    id: 'curved.boxCorner',
    word: 'film left over at each corner',
    says: 'A = h²: a square as large as what is turned down',
    unit: 'mm²',
    source: GEOMETRY,
    inputs: { turned_mm: { word: 'turned down', unit: 'mm' } },
    of: ({ turned_mm }) => boxCorner(turned_mm).area,
  } satisfies Formula<{ readonly turned_mm: number }>,
  dish: {
    id: 'curved.dish',
    word: 'mean stretch of the film over the dish',
    says: 'e = (d ÷ a)², a half the width',
    unit: 'share',
    source: GEOMETRY,
    inputs: {
      width_mm: { word: 'width of the dish', unit: 'mm' },
      depth_mm: { word: 'depth', unit: 'mm' },
    },
    of: ({ width_mm, depth_mm }) => strainInDish(width_mm / 2, depth_mm),
  } satisfies Formula<Groove>,
  roundedCorner: {
    id: 'curved.roundedCorner',
    word: 'film left over round the corner, at the foot of its rolled edge',
    says: 'e = 1 − R ÷ (R − r + π·r ÷ 2)',
    unit: 'share',
    source: GEOMETRY,
    inputs: {
      plan_mm: { word: 'radius of the corner from above', unit: 'mm' },
      edge_mm: { word: 'radius of the edge', unit: 'mm' },
    },
    of: ({ plan_mm, edge_mm }) =>
      -strainOnCorner(plan_mm, edge_mm, plan_mm - edge_mm + (Math.PI * edge_mm) / 2),
  } satisfies Formula<{ readonly plan_mm: number; readonly edge_mm: number }>,
  runsOff: {
    id: 'curved.runsOff',
    word: 'a straight edge runs off by',
    says: 'R·(1 − cos(θ/2)), R = r₁·s ÷ (r₁ − r₂), θ = 2π·(r₁ − r₂) ÷ s',
    unit: 'mm',
    source: GEOMETRY,
    inputs: {
      wide_mm: { word: 'larger radius', unit: 'mm' },
      narrow_mm: { word: 'smaller radius', unit: 'mm' },
      slant_mm: { word: 'along the side', unit: 'mm' },
    },
    of: ({ wide_mm, narrow_mm, slant_mm }) => flatCone(wide_mm, narrow_mm, slant_mm).runsOff,
  } satisfies Formula<{ readonly wide_mm: number; readonly narrow_mm: number; readonly slant_mm: number }>,
  belly: {
    id: 'curved.belly',
    word: 'needed shrink at its ends',
    says: 'e = K·v²/2 with K = 1 ÷ (r·ρ): what the girth is off the straight taper, over the girth',
    unit: 'share',
    source: GEOMETRY,
    inputs: {
      off_mm: { word: 'girth off the straight taper', unit: 'mm' },
      girth_mm: { word: 'girth', unit: 'mm' },
    },
    of: ({ off_mm, girth_mm }) => off_mm / girth_mm,
  } satisfies Formula<{ readonly off_mm: number; readonly girth_mm: number }>,
} as const;
