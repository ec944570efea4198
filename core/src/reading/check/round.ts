import { type RowOf, type RuleSet, LOOK_VIEWS } from '../../job';
import { type LookPiece, type LookedAt, lookedAt, pieceKey, pieceTime, roundOf } from '../../looking';
import { RULES } from '../../rules';
import type { Face } from '../../strokes';
import { isLaidWet } from '../../ways';
import { faceOfSurface } from '../survey/face-of-surface';
import type { JobView } from '../view/job-view';

/** A round of a surface as it stands. */
export interface RoundHere {
  readonly face: Face;
  readonly inspection: RowOf<'inspection'> | undefined;
  readonly pieces: readonly LookPiece[];
  readonly ticked: ReadonlySet<string>;
  readonly views: readonly LookedAt[];
  /** Every view of the whole face, and every piece of its edges. */
  readonly isWhole: boolean;
  readonly next: LookPiece | undefined;
  /** What is left of it takes so long, s. */
  readonly left_s: number;
  readonly faceHash: string;
  /** Measured otherwise since: what was ticked lies elsewhere. */
  readonly isOfOtherMeasures: boolean;
}

/**
 * The last round of a surface, or the one to be begun by a rule set.
 * @returns undefined where the surface is not measured
 */
export function roundHere(view: JobView, surfaceId: string, set: RuleSet): RoundHere | undefined {
  const own = faceOfSurface(view, surfaceId);
  if (own === undefined) return undefined;
  const { face, hash: faceHash } = own;
  const inspection = view.inspectionsOf(surfaceId).at(-1);
  const asked = {
    face,
    distance_mm: inspection?.distance_mm ?? set.distance_m * 1000,
    isDark: inspection?.views.includes('from behind') ?? hasDarkFilm(view, surfaceId),
    isWarmed: inspection?.views.includes('warm air') ?? wantsHeatSearch(view, surfaceId),
  };
  const { distance_mm, isDark, isWarmed } = asked;
  const pieces = view.kept.of(`round ${surfaceId}`, [face, distance_mm, isDark, isWarmed], () =>
    roundOf(asked),
  );
  const isOfOtherMeasures = inspection !== undefined && inspection.inputsHash !== faceHash;
  const ticks = inspection === undefined || isOfOtherMeasures ? [] : view.ticksOf(inspection.id);
  const ticked = new Set(ticks.map(({ view: from, strip }) => pieceKey({ view: from, number: strip })));
  const left = pieces.filter((piece) => !ticked.has(pieceKey(piece)));
  return {
    ...{ face, inspection, pieces, ticked, faceHash, isOfOtherMeasures },
    ...view.kept.of(`looked ${surfaceId}`, [pieces, [...ticked].join()], () => lookedAt(asked, ticked)),
    next: left[0],
    left_s: left.reduce((sum, piece) => sum + pieceTime(piece), 0),
  };
}

/** Views of a round, in their order. */
export const viewsOf = ({ pieces }: Pick<RoundHere, 'pieces'>): readonly LookPiece['view'][] =>
  LOOK_VIEWS.filter((from) => pieces.some((piece) => piece.view === from));

const hasDarkFilm = (view: JobView, surfaceId: string): boolean =>
  view.applicationsOf(surfaceId).some(({ filmId }) => {
    const light = view.filmById.get(filmId)?.visibleTransmitted ?? null;
    return light !== null && light <= RULES.darkFilm.value;
  });

/** Vinyl laid dry, stretched or over old ground: what the sun would lift next week is found now. */
const wantsHeatSearch = (view: JobView, surfaceId: string): boolean =>
  view.applicationsOf(surfaceId).some(({ filmId, method }) => {
    const family = view.filmById.get(filmId)?.family;
    return (family === 'wrap' || family === 'decor') && !isLaidWet(method, family);
  });
