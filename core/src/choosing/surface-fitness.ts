import { type FilmFamily, type WallFacts, FILM_FAMILIES } from '../job';
import { COMMON_PRACTICE, type Source, type Verdict, worstVerdict } from '../quantity';

export interface Fitness {
  readonly verdict: Verdict;
  readonly reasons: readonly string[];
  /** What the work needs because of it: primer, promoter, sealing. */
  readonly needs: readonly string[];
}

interface FitnessRule {
  readonly when: (wall: FitnessInput, family: FilmFamily) => boolean;
  readonly verdict: Verdict;
  readonly says: string;
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
export const FITNESS_SOURCE: Source = COMMON_PRACTICE;

/** What decides whether film holds on a wall, column or fixture. */
const RULES: readonly FitnessRule[] = [
  {
    when: ({ state }) => state === 'damp',
    verdict: 'stop',
    says: 'The surface is damp: film comes off as it dries. Find and stop the damp first.',
  },
  {
    when: ({ state }) => state === 'flaking',
    verdict: 'stop',
    says: 'Paint flakes: film takes it along. Remove it, and have old paint tested for lead before sanding.',
  },
  {
    when: ({ paintKind }) => paintKind === 'silicone or anti-graffiti',
    verdict: 'stop',
    says: 'Silicone and anti-graffiti paints let go of any adhesive.',
  },
  {
    when: ({ tapeTest }) => tapeTest === 'paint came off',
    verdict: 'stop',
    says: 'The tape test took paint off: film would do the same.',
  },
  {
    when: ({ paintAge }) => paintAge === 'under 30 days',
    verdict: 'stop',
    says: 'Paint under 30 days still gives off gas and makes bubbles: wait.',
  },
  {
    when: ({ texture }, family) => FILM_FAMILIES[family].wantsSmooth && ROUGH.includes(texture),
    verdict: 'stop',
    says: 'This film needs a smooth surface: on texture it touches the peaks alone and falls off. A textured-wall film follows it.',
  },
  {
    when: ({ texture }, family) => family === 'textured wall' && texture === 'glazed block',
    verdict: 'go with care',
    says: 'Glazed block: no heat on the face, squeegee it, then finish the joints warm.',
  },
  {
    when: ({ texture }, family) => family === 'textured wall' && texture === 'canvas',
    verdict: 'go with care',
    says: 'Soft canvas: hold something hard behind it, and heat gently.',
  },
  {
    when: ({ state }) => state === 'dusty',
    verdict: 'go with care',
    says: 'Dusty: brush, wash and dry, then test with tape again.',
  },
  {
    when: ({ texture }) => texture === 'unknown',
    verdict: 'unknown',
    says: 'The surface is not known: note at Survey what it is made of.',
  },
  {
    when: ({ state }) => state === 'unknown',
    verdict: 'unknown',
    says: 'Whether it is sound and dry is not known: look, wipe with a dark cloth, feel for damp.',
  },
  {
    when: ({ tapeTest, paint }) => tapeTest === 'not done' && paint !== 'none',
    verdict: 'unknown',
    says: 'No tape test yet: press strong tape on, wait, tear it off, and note what came along.',
  },
  {
    when: ({ paintAge, paint }) => paintAge === 'unknown' && paint !== 'none',
    verdict: 'go with care',
    says: 'How old the paint is nobody knows: under 30 days means wait.',
  },
];

/** Whether a surface other than glass takes a film of this family, and what it needs. */
export function surfaceFitness(wall: FitnessInput, family: FilmFamily): Fitness {
  const hits = RULES.filter(({ when }) => when(wall, family));
  const isPorous = POROUS.includes(wall.texture);
  return {
    verdict: worstVerdict(['go', ...hits.map(({ verdict }) => verdict)]),
    reasons: hits.map(({ says }) => says),
    needs: [
      ...(FILM_FAMILIES[family].wantsSmooth && isPorous
        ? ['Primer over all of it, along the grain; cut wood edges 2 or 3 extra coats.']
        : FILM_FAMILIES[family].wantsSmooth
          ? ['Primer at edges and corners.']
          : []),
      ...(FILM_FAMILIES[family].wantsSmooth
        ? ['Adhesion promoter on laps, seams and inside corners only: dry 5 to 15 minutes.']
        : []),
      ...(family === 'textured wall'
        ? [
            'Heat gun and roller together; level edges before upright ones; every edge set from 150 to 250 mm in.',
          ]
        : []),
      ...(wall.leftCorner === 'outside corner' || wall.rightCorner === 'outside corner'
        ? ['An outside corner wears: no seam within 300 mm of it unless turned.']
        : []),
      ...(family === 'decor'
        ? ['Grain runs along the roll: settle its direction over all pieces first.']
        : []),
    ],
  };
}

export const FIRE_CAUTION =
  "Fire class: escape routes and public rooms may ask for one. The film's certificate on this very surface and the local authority decide.";
