import type { CutMethod, SurfaceKind, SurfaceShape } from '../job';
import { COMMON_PRACTICE, type Source } from '../quantity';
import { RULES } from './rules';

/** How much larger than the surface a blank is cut on each side, mm. */
export interface Sides {
  readonly top_mm: number;
  readonly right_mm: number;
  readonly bottom_mm: number;
  readonly left_mm: number;
}

export interface Allowance extends Sides {
  readonly method: CutMethod;
  readonly word: string;
  readonly reason: string;
  readonly source: Source;
  /** Straight edges of the roll that this method wants used. */
  readonly factoryEdge: 'at the top' | 'at one side' | 'none';
  /** What it is meant for, the customary one first. */
  readonly suits: readonly (SurfaceKind | SurfaceShape)[];
}

const guess = (text: string): Source => ({ kind: 'our guess', text: `our guess: ${text}` });
const all = (mm: number): Sides => ({ top_mm: mm, right_mm: mm, bottom_mm: mm, left_mm: mm });

/** Each way of fitting: how much larger its blank is cut, and which straight edge of the roll it wants. */
export const ALLOWANCES: readonly Allowance[] = [
  {
    method: 'trim in place',
    word: 'Trim in place',
    ...all(25),
    factoryEdge: 'at the top',
    source: COMMON_PRACTICE,
    suits: ['pane'],
    reason:
      'About 25 mm (1 in) over on every side, so that the film covers an out-of-square pane and every edge is trimmed against the frame.',
  },
  {
    method: 'pre-squared',
    word: 'Pre-squared',
    top_mm: 0,
    right_mm: 25,
    bottom_mm: 25,
    left_mm: 0,
    factoryEdge: 'at one side',
    source: COMMON_PRACTICE,
    suits: ['pane'],
    reason:
      'One factory edge and one squared cross-cut are set into a top corner: only the other side and the bottom are trimmed.',
  },
  {
    method: 'dry-fitted',
    word: 'Dry-fitted',
    ...all(25),
    factoryEdge: 'at the top',
    source: guess('as for trimming in place; no figure is handed down'),
    suits: ['pane'],
    reason:
      'Hung on the glass with the liner on, levelled, sides trimmed against the frame, top corners marked with tape, then taken down.',
  },
  {
    method: 'cut to order',
    word: 'Cut to order, with surplus',
    ...all(25),
    factoryEdge: 'at the top',
    source: guess('the surplus of film trimmed in place; an order states its own'),
    suits: ['pane'],
    reason:
      'Cut elsewhere to the size ordered, with surplus on every side; factory edge on top, trimmed on the pane.',
  },
  {
    method: 'cut to outline',
    word: 'Cut to the outline',
    ...all(-RULES.edgeGap.value),
    factoryEdge: 'none',
    source: guess('the gap of a trimmed edge: 1.5 to 3 mm before the frame'),
    suits: ['pane'],
    reason:
      'Cut to the outline of the pane, by pattern or plotter, with the gap taken off every side: nothing is trimmed on the glass.',
  },
  {
    method: 'security',
    word: 'Security, to the glass edge',
    ...all(25),
    factoryEdge: 'none',
    source: COMMON_PRACTICE,
    suits: ['pane'],
    reason:
      'About 25 mm over. The film must reach the glass edge: measure the glass, not the daylight opening; beads or the sash may have to come out.',
  },
  {
    method: 'decor',
    word: 'Interior decor',
    ...all(50),
    factoryEdge: 'none',
    source: COMMON_PRACTICE,
    suits: ['wall', 'fixture', 'pane'],
    reason: 'About 50 mm (2 in) over on each side, to hold, to turn and to trim.',
  },
  {
    method: 'column',
    word: 'Round a column',
    top_mm: 12.5,
    right_mm: RULES.columnLap.value,
    bottom_mm: 12.5,
    left_mm: 0,
    factoryEdge: 'none',
    source: COMMON_PRACTICE,
    suits: ['column'],
    reason:
      'Circumference + 25 mm for the lap, height + 25 mm, half at each end: the edges of the notches then meet floor and ceiling.',
  },
  {
    method: 'wrapped edges',
    word: 'Wrapped round the edges',
    ...all(25),
    factoryEdge: 'none',
    source: guess('what is held while turning the edge, then trimmed on the back'),
    suits: ['panel', 'fixture'],
    reason:
      'Face and the edges to wrap, unrolled, and 25 mm over on each side to hold while the edge is turned.',
  },
  {
    method: 'furrow girth',
    word: 'Into furrows',
    ...all(50),
    factoryEdge: 'none',
    source: COMMON_PRACTICE,
    suits: ['moulding'],
    reason:
      'The film must cover the unrolled girth, not the plain width; 50 mm over on each side as for decor film.',
  },
  {
    method: 'curved, shrunk',
    word: 'Curved, shrunk outside',
    top_mm: 25,
    right_mm: 13,
    bottom_mm: 25,
    left_mm: 13,
    factoryEdge: 'at the top',
    source: COMMON_PRACTICE,
    suits: ['curved glass'],
    reason:
      'About 13 mm past each long side, so that most film lies on the glass; 25 mm at top and bottom. Hung 25 to 50 mm off the bottom seal while it is shrunk, so that the heat cooks neither edge nor seal.',
  },
  {
    method: 'textured wall',
    word: 'Textured wall',
    ...all(50),
    factoryEdge: 'none',
    source: guess('as for decor film, on the girth of the joints'),
    suits: ['wall'],
    reason:
      'The film is pressed into joints and pores: the unrolled girth counts, and 50 mm over on each side.',
  },
];

/** @returns the allowance row of a method; every method has one */
export function allowanceFor(method: CutMethod): Allowance {
  const found = ALLOWANCES.find((allowance) => allowance.method === method);
  if (found === undefined) throw new RangeError(`no allowance for ${method}`);
  return found;
}

/** Ways of fitting that suit a surface, the customary one first. */
export function methodsFor(kind: SurfaceKind, shape: SurfaceShape): readonly Allowance[] {
  const own = ALLOWANCES.filter(({ suits }) => suits.includes(shape));
  return [
    ...own,
    ...ALLOWANCES.filter(
      (allowance) => allowance.suits.includes(kind) && !own.includes(allowance) && shape !== 'curved glass',
    ),
  ];
}
