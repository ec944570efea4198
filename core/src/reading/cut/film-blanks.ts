import type { CutBlank, CutBlanks } from '../../blanks';
import type { RowOf } from '../../job';
import { blankOf } from './blank';
import type { JobView } from '../view/job-view';

/** One blank of a film: which surface it is for, and which of its pieces. */
export interface FilmBlank {
  /** Of `blankKey`. */
  readonly key: string;
  readonly application: RowOf<'application'>;
  readonly surface: RowOf<'surface'> | undefined;
  readonly blanks: CutBlanks;
  readonly blank: CutBlank;
}

/** A surface of which there is no blank, and why. */
interface MissingBlank {
  readonly application: RowOf<'application'>;
  readonly tag: string;
  readonly reason: string;
}

const BETWEEN = ' ';

/** The key of a piece in an order: its application and its number among the drops. */
export const blankKey = (applicationId: string, drop: number): string => `${applicationId}${BETWEEN}${drop}`;

/** The application of a key. */
export const applicationOfKey = (key: string): string => key.split(BETWEEN)[0] ?? '';

/**
 * Every blank there is of one film by today's measures, and the surfaces that have none.
 * @param seamFor_nm width of the roll that seams are made for, instead of those chosen
 */
export function blanksOfFilm(
  view: JobView,
  filmId: string,
  seamFor_nm?: number,
): { readonly blanks: readonly FilmBlank[]; readonly missing: readonly MissingBlank[] } {
  const blanks: FilmBlank[] = [];
  const missing: MissingBlank[] = [];
  for (const application of view.applications) {
    if (application.filmId !== filmId) continue;
    const surface = view.surfaceById.get(application.surfaceId);
    const today = blankOf(view, application, seamFor_nm);
    if (today.kind === 'none') missing.push({ application, tag: surface?.tag ?? '?', reason: today.reason });
    else
      for (const blank of today.blanks.blanks)
        blanks.push({
          key: blankKey(application.id, blank.drop),
          application,
          surface,
          blanks: today.blanks,
          blank,
        });
  }
  return { blanks, missing };
}

/** Blanks that have no piece on a plan, or only a spoiled one. */
export function notLaid(view: JobView, blanks: readonly FilmBlank[]): readonly FilmBlank[] {
  return blanks.filter(
    ({ application, blank }) => !view.piecesFor(application.id).some(({ drop }) => drop === blank.drop),
  );
}
