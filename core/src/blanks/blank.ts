import type { CornerTurn, CutMethod, FilmDirection } from '../job';
import {
  CoreError,
  type Formula,
  GEOMETRY,
  type Reasoned,
  type Source,
  applyFormula,
  upToTenth,
} from '../quantity';
import { type Sides, allowanceFor, type RuleKey, RULES } from '../rules';
import type { BlankNote } from './blank-note';

export interface BlankInput {
  /**
   * Smallest rectangle around the surface with its top edge level, or its unrolled girth where that is
   * larger, mm.
   */
  readonly aroundWidth_mm: number;
  readonly aroundHeight_mm: number;
  readonly method: CutMethod;
  readonly direction: FilmDirection;
  /** Allowances of this job instead of the customary ones. */
  readonly sides?: Sides | undefined;
  /** The sizes are those of film for curved glass before it is shrunk. */
  readonly isBeforeShrinking?: boolean | undefined;
  /** A person lets film that is shrunk lie turned by a quarter on the roll. */
  readonly isTurned?: boolean | undefined;
  /** Of the surface that trim hides on every side, and that is filmed too. */
  readonly hidden_mm?: number | undefined;
  /** What the surface ends at, for walls. */
  readonly left?: CornerTurn | undefined;
  readonly right?: CornerTurn | undefined;
}

/** A rectangle to cut: width along the surface's top, height down it. Rounded up to 0.1 mm, never down. */
export interface Blank {
  readonly width_mm: Reasoned<number>;
  readonly height_mm: Reasoned<number>;
  readonly reason: string;
  readonly source: Source;
  /** All that is added on each side. */
  readonly sides: Sides;
  /** Of it the allowance, customary or chosen: without corners and what trim hides. */
  readonly over: Sides;
  readonly factoryEdge: 'at the top' | 'at one side' | 'none';
  /**
   * How it must lie: shrinking film gathers along the roll, so its top lies along a factory edge; grain runs
   * along the roll.
   */
  readonly lies: 'either way' | 'top across the roll' | 'top along the roll';
  /** May lie across or along the roll. Grain and pictures may not, nor film that will be shrunk. */
  readonly mayTurn90: boolean;
  readonly mayTurn180: boolean;
  /** What to mind at the table and at the surface. */
  readonly notes: readonly BlankNote[];
  /** Of all that shaped it; the same inputs give the same hash. */
  readonly inputsHash: string;
}

interface SideSum {
  readonly size_mm: number;
  readonly first_mm: number;
  readonly second_mm: number;
}

const WIDTH: Formula<SideSum> = {
  id: 'cutting.blankWidth',
  word: 'blank width',
  says: 'W = width around the surface + left + right, rounded up to 0.1 mm',
  unit: 'mm',
  source: GEOMETRY,
  inputs: {
    size_mm: { word: 'width around the surface', unit: 'mm' },
    first_mm: { word: 'over on the left', unit: 'mm' },
    second_mm: { word: 'over on the right', unit: 'mm' },
  },
  of: ({ size_mm, first_mm, second_mm }) => upToTenth(size_mm + first_mm + second_mm),
};

const HEIGHT: Formula<SideSum> = {
  id: 'cutting.blankHeight',
  word: 'blank height',
  says: 'H = height around the surface + top + bottom, rounded up to 0.1 mm',
  unit: 'mm',
  source: GEOMETRY,
  inputs: {
    size_mm: { word: 'height around the surface', unit: 'mm' },
    first_mm: { word: 'over at the top', unit: 'mm' },
    second_mm: { word: 'over at the bottom', unit: 'mm' },
  },
  of: ({ size_mm, first_mm, second_mm }) => upToTenth(size_mm + first_mm + second_mm),
};

export const BLANK_FORMULAS = { width: WIDTH, height: HEIGHT } as const;

const LARGEST_MM = 100_000;

/** The blank of one surface, whole: seams come after, when no roll is wide enough.
 *  @throws CoreError CUTTING_BLANK_RANGE when a side is not within 1 mm to 100 m
 *  @source the allowance table (common practice, no published source); the sum is plane geometry
 *  @example 1182 × 2143 mm, trim in place → 1232 × 2193 mm */
export function blankFor(input: BlankInput): Blank {
  const { aroundWidth_mm, aroundHeight_mm, method, direction } = input;
  refuseRange('aroundWidth_mm', aroundWidth_mm);
  refuseRange('aroundHeight_mm', aroundHeight_mm);
  const allowance = allowanceFor(method);
  const sides = sidesOf(input);
  const customary =
    input.sides === undefined ? allowance.reason : `Changed for this job. Customary: ${allowance.reason}`;
  const remark =
    input.isBeforeShrinking === true ? `Of the film before it is shrunk. ${customary}` : customary;
  const source: Source =
    input.sides === undefined ? allowance.source : { kind: 'measured here', text: 'set for this job' };
  const sum = (formula: Formula<SideSum>, inputs: SideSum): Reasoned<number> => {
    const step = applyFormula(formula, inputs, { remark, source });
    return { value: step.value, why: [step] };
  };
  return {
    width_mm: sum(WIDTH, { size_mm: aroundWidth_mm, first_mm: sides.left_mm, second_mm: sides.right_mm }),
    height_mm: sum(HEIGHT, { size_mm: aroundHeight_mm, first_mm: sides.top_mm, second_mm: sides.bottom_mm }),
    reason: allowance.reason,
    source,
    sides,
    over: overOf(input),
    factoryEdge: isTurnedByChoice(input) ? 'at one side' : allowance.factoryEdge,
    lies: liesOf(input),
    mayTurn90: direction === 'none' && method !== 'curved, shrunk',
    mayTurn180: direction !== 'one way',
    notes: notesOf(input),
    inputsHash: hashText(shapedBy(input).join('|')),
  };
}

const isTurnedByChoice = ({ method, isTurned = false }: BlankInput): boolean =>
  method === 'curved, shrunk' && isTurned;

function liesOf(input: BlankInput): Blank['lies'] {
  if (isTurnedByChoice(input)) return 'top across the roll';
  if (input.method === 'curved, shrunk') return 'top along the roll';
  return input.direction === 'none' ? 'either way' : 'top across the roll';
}

function shapedBy(input: BlankInput): readonly (string | number | undefined)[] {
  const { aroundWidth_mm, aroundHeight_mm, method, direction, sides, left, right } = input;
  return [
    aroundWidth_mm.toFixed(3),
    aroundHeight_mm.toFixed(3),
    method,
    direction,
    ...(sides === undefined ? [] : [sides.top_mm, sides.right_mm, sides.bottom_mm, sides.left_mm]),
    ...(isTurnedByChoice(input) ? ['turned'] : []),
    ...(hiddenOf(input) === 0 ? [] : ['hidden', hiddenOf(input)]),
    ...(left === undefined && right === undefined ? [] : [left, right]),
  ];
}

const overOf = ({ method, sides }: BlankInput): Sides => {
  const { top_mm, right_mm, bottom_mm, left_mm } = sides ?? allowanceFor(method);
  return { top_mm, right_mm, bottom_mm, left_mm };
};
const hiddenOf = ({ hidden_mm = 0 }: BlankInput): number => hidden_mm;

/**
 * Film that trim will hide is added on every side. At an inside corner the sheet is turned round by the
 * guide, and what is trimmed away is added.
 */
function sidesOf(input: BlankInput): Sides {
  const { left, right } = input;
  const base = overOf(input);
  const hidden = hiddenOf(input);
  const at = (own_mm: number, turn: CornerTurn | undefined): number =>
    own_mm + hidden + (turn === 'inside corner' ? RULES.cuttingGuide.value : 0);
  return {
    top_mm: base.top_mm + hidden,
    right_mm: at(base.right_mm, right),
    bottom_mm: base.bottom_mm + hidden,
    left_mm: at(base.left_mm, left),
  };
}

function notesOf(input: BlankInput): readonly BlankNote[] {
  const { method, direction, left, right } = input;
  const hidden_mm = hiddenOf(input);
  const rule = (key: RuleKey): BlankNote => ({ case: 'rule', rule: key });
  const hasInside = left === 'inside corner' || right === 'inside corner';
  return [
    ...(hidden_mm > 0 ? [{ case: 'behind the trim' as const, hidden_mm }] : []),
    ...(method === 'cut to outline' ? [{ case: 'cut to its outline' as const }] : []),
    ...(hasInside ? [rule('cuttingGuide'), rule('secondSheet')] : []),
    ...(left === 'outside corner' || right === 'outside corner' ? [rule('outsideSeam')] : []),
    ...(method === 'column' ? [rule('linerStrip'), rule('notch')] : []),
    ...(method === 'curved, shrunk'
      ? [
          input.isTurned === true
            ? { case: 'roll turned by choice' as const }
            : { case: 'shrinks along the roll' as const },
          rule('liftOff'),
        ]
      : []),
    ...(direction === 'along the roll'
      ? [{ case: 'grain along the roll' as const }]
      : direction === 'one way'
        ? [{ case: 'one-way picture' as const }]
        : []),
  ];
}

function refuseRange(path: string, value_mm: number): void {
  if (!(value_mm >= 1 && value_mm <= LARGEST_MM))
    throw new CoreError('CUTTING_BLANK_RANGE', {
      path,
      expected: `1 to ${LARGEST_MM} mm`,
      got: String(value_mm),
    });
}

/** @source FNV-1a, 32 bit (from memory) */
export function hashText(text: string): string {
  let hash = 0x811c9dc5;
  for (const letter of text) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193) >>> 0;
  return hash.toString(16).padStart(8, '0');
}
