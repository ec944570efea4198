import { type Formula, type Reasoned, reasonedBy } from '../quantity';
import { floorOf, leftByStrip, passesUntil } from './judge/residue';
import { plateStiffness, tentRadius } from './plan/tent';

/** As far as the reasons go by the film. */
export interface FilmPressed {
  readonly isThick: boolean;
  readonly isDry: boolean;
  readonly thickness_um: number;
}

/** Why strokes are led as they are: each a sentence, none a thickness of water. */
export type StrokeReason =
  /** So many passes pay; what is left then dries. */
  | { readonly case: 'passes'; readonly pay: Reasoned<number>; readonly worn: Reasoned<number> }
  | { readonly case: 'slower' }
  | { readonly case: 'ridge' }
  /** A grain is seen as so wide, fresh. */
  | { readonly case: 'grain'; readonly wide_mm: Reasoned<number> };

const SQUEEZE = { contact: 0.002, viscosity: 0.001, speed: 0.25, load: 200 };
/**
 * Model 1.1: water as laid, and what is never pressed out; µm. Right within a factor of three: only counts of
 * passes are said.
 */
const LAID_UM = 60;
const FLOOR_UM = { thin: 6, thick: 20 };
const LEAK = 0.08;
const LEAK_WORN = 0.3;
/** So near to the least that can be, another pass changes hardly anything: our guess. */
const HARDLY = 0.15;

const GRAIN_M = 0.0001;
const POLYESTER = { modulus: 4e9, poisson: 0.35 };
/**
 * Bond while it is fresh, J/m²; thick film is held better. Model 1.3: within a factor of three, our guess.
 */
const BOND = { thin: 1, thick: 5 };

export const REASON_FORMULAS = {
  passes: {
    id: 'strokes.passes',
    word: 'passes that pay',
    says: 'n = least with h* + (h₀ − h*)·κⁿ ≤ 1.15·h*, h* = h ÷ (1 − κ)',
    unit: 'passes',
    source: {
      kind: 'our guess',
      text: 'closed form; water as laid, what stays, and what leaks past the blade: our guesses within a factor of three',
    },
    inputs: {
      floor: { word: 'what stays, as a share of what is laid', unit: 'share' },
      leak: { word: 'leaks past the blade', unit: 'share' },
    },
    of: ({ floor, leak }) => {
      const own = { laid: 1, left: floor, leak };
      return passesUntil(own, (1 + HARDLY) * floorOf(own));
    },
  } satisfies Formula<{ readonly floor: number; readonly leak: number }>,
  grain: {
    id: 'strokes.grain',
    word: 'how wide a grain of 0.1 mm looks',
    says: '2·a, a = (8·D·d² ÷ G)^¼, D = E·t³ ÷ 12·(1 − ν²)',
    unit: 'mm',
    source: {
      kind: 'our guess',
      text: 'clamped plate, closed form; bond of fresh film: our guess within a factor of three',
    },
    inputs: {
      thickness_um: { word: 'thickness of the film', unit: 'µm' },
      bond: { word: 'bond while fresh', unit: 'J/m²' },
    },
    of: ({ thickness_um, bond }) =>
      2000 * tentRadius(plateStiffness({ ...POLYESTER, thickness: thickness_um / 1e6 }), GRAIN_M, bond),
  } satisfies Formula<{ readonly thickness_um: number; readonly bond: number }>,
} as const;

/** Reasons for a film: film laid dry has no water to press out. */
export function reasonsFor({ isThick, isDry, thickness_um }: FilmPressed): readonly StrokeReason[] {
  const kind = isThick ? 'thick' : 'thin';
  const floor = (FLOOR_UM[kind] + leftByStrip(SQUEEZE) * 1e6) / LAID_UM;
  const grain: StrokeReason = {
    case: 'grain',
    wide_mm: reasonedBy(REASON_FORMULAS.grain, { thickness_um, bond: BOND[kind] }),
  };
  if (isDry) return [grain];
  return [
    { case: 'slower' },
    {
      case: 'passes',
      pay: reasonedBy(REASON_FORMULAS.passes, { floor, leak: LEAK }),
      worn: reasonedBy(REASON_FORMULAS.passes, { floor, leak: LEAK_WORN }),
    },
    { case: 'ridge' },
    grain,
  ];
}
