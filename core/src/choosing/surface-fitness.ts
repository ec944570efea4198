import { type FilmFamily, type WallFacts, FILM_FAMILIES } from '../job';
import { type Verdict, worstVerdict } from '../quantity';

export type FitnessReason =
  | { readonly case: 'damp' }
  | { readonly case: 'flaking paint' }
  | { readonly case: 'paint that lets go' }
  | { readonly case: 'tape took paint off' }
  | { readonly case: 'paint too fresh' }
  | { readonly case: 'ground refused' }
  | { readonly case: 'texture under a smooth film' }
  | { readonly case: 'decal on texture' }
  | { readonly case: 'glazed block' }
  | { readonly case: 'soft canvas' }
  | { readonly case: 'dusty' }
  | { readonly case: 'made of what is unknown' }
  | { readonly case: 'state unknown' }
  | { readonly case: 'no tape test' }
  | { readonly case: 'age of paint unknown' };

/** What the work needs because of it. */
export type FitnessNeed =
  | { readonly case: 'primer all over' }
  | { readonly case: 'primer at edges' }
  | { readonly case: 'promoter on laps' }
  | { readonly case: 'gun and roller together' }
  | { readonly case: 'an outside corner wears' }
  | { readonly case: 'grain along the roll' };

export interface Fitness {
  readonly verdict: Verdict;
  readonly reasons: readonly FitnessReason[];
  readonly needs: readonly FitnessNeed[];
}

interface FitnessRule {
  readonly when: (wall: FitnessInput, family: FilmFamily) => boolean;
  readonly verdict: Verdict;
  readonly reason: FitnessReason['case'];
}
type FitnessInput = Omit<WallFacts, 'surfaceId'>;

const ROUGH: readonly WallFacts['texture'][] = [
  'rough concrete',
  'painted block',
  'bare block',
  'brick',
  'stucco',
  'tile',
  'canvas',
  'glazed block',
];
const POROUS: readonly WallFacts['texture'][] = [
  'bare block',
  'brick',
  'rough concrete',
  'smooth concrete',
  'stucco',
  'bare wood',
  'painted plasterboard',
];
/** What decides whether film holds on a wall, column or fixture. */
const RULES: readonly FitnessRule[] = [
  {
    when: ({ state }) => state === 'damp',
    verdict: 'stop',
    reason: 'damp',
  },
  {
    when: ({ state }) => state === 'flaking',
    verdict: 'stop',
    reason: 'flaking paint',
  },
  {
    when: ({ paintKind }) => paintKind === 'silicone or anti-graffiti',
    verdict: 'stop',
    reason: 'paint that lets go',
  },
  {
    when: ({ tapeTest }) => tapeTest === 'paint came off',
    verdict: 'stop',
    reason: 'tape took paint off',
  },
  {
    when: ({ paintAge }) => paintAge === 'under 30 days',
    verdict: 'stop',
    reason: 'paint too fresh',
  },
  {
    when: ({ ground }) => ground?.state === 'refused',
    verdict: 'stop',
    reason: 'ground refused',
  },
  {
    when: ({ texture }, family) =>
      FILM_FAMILIES[family].wantsSmooth && family !== 'wrap' && ROUGH.includes(texture),
    verdict: 'stop',
    reason: 'texture under a smooth film',
  },
  {
    when: ({ texture }, family) => family === 'wrap' && ROUGH.includes(texture),
    verdict: 'go with care',
    reason: 'decal on texture',
  },
  {
    when: ({ texture }, family) => family === 'textured wall' && texture === 'glazed block',
    verdict: 'go with care',
    reason: 'glazed block',
  },
  {
    when: ({ texture }, family) => family === 'textured wall' && texture === 'canvas',
    verdict: 'go with care',
    reason: 'soft canvas',
  },
  {
    when: ({ state }) => state === 'dusty',
    verdict: 'go with care',
    reason: 'dusty',
  },
  {
    when: ({ texture }) => texture === 'unknown',
    verdict: 'unknown',
    reason: 'made of what is unknown',
  },
  {
    when: ({ state }) => state === 'unknown',
    verdict: 'unknown',
    reason: 'state unknown',
  },
  {
    when: ({ tapeTest, paint }) => tapeTest === 'not done' && paint !== 'none',
    verdict: 'unknown',
    reason: 'no tape test',
  },
  {
    when: ({ paintAge, paint }) => paintAge === 'unknown' && paint !== 'none',
    verdict: 'go with care',
    reason: 'age of paint unknown',
  },
];

/** Whether a surface other than glass takes a film of this family, and what it needs. */
export function surfaceFitness(wall: FitnessInput, family: FilmFamily): Fitness {
  const hits = RULES.filter(({ when }) => when(wall, family));
  const isPorous = POROUS.includes(wall.texture);
  const { wantsSmooth } = FILM_FAMILIES[family];
  return {
    verdict: worstVerdict(['go', ...hits.map(({ verdict }) => verdict)]),
    reasons: hits.map(({ reason }) => ({ case: reason })),
    needs: [
      ...(wantsSmooth ? [{ case: isPorous ? 'primer all over' : 'primer at edges' } as const] : []),
      ...(wantsSmooth ? [{ case: 'promoter on laps' } as const] : []),
      ...(family === 'textured wall' ? [{ case: 'gun and roller together' } as const] : []),
      ...(wall.leftCorner === 'outside corner' || wall.rightCorner === 'outside corner'
        ? [{ case: 'an outside corner wears' } as const]
        : []),
      ...(family === 'decor' ? [{ case: 'grain along the roll' } as const] : []),
    ],
  };
}

export const FIRE_CAUTION =
  "Fire class: escape routes and public rooms may ask for one. The film's certificate on this very surface and the local authority decide.";
