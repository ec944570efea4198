import type { RowOf } from '../../job';
import type { SurfaceCheck } from '../../measure';
import { mmFromNm } from '../../quantity';
import { type BlankToday, blankBy, blankOf } from './blank';
import type { JobView } from '../view/job-view';

interface Size {
  readonly width_mm: number;
  readonly height_mm: number;
}

/** A surface whose film is cut already, to other measures or choices than now. */
export interface ChangedAfterCut {
  readonly surfaceId: string;
  readonly tag: string;
  readonly cutAt: string;
  readonly was: Size;
  /** Of the blank as it would be cut today; undefined: there is none. */
  readonly now: Size | undefined;
}

/**
 * Film that is cut and no longer fits, on one surface.
 * @param check of what is being typed; left out: of what is kept
 */
export function changedAfterCut(
  view: JobView,
  surfaceId: string,
  check?: SurfaceCheck,
): readonly ChangedAfterCut[] {
  return view.applicationsOf(surfaceId).flatMap((application): readonly ChangedAfterCut[] => {
    const pieces = view.piecesFor(application.id);
    const first = pieces.find(({ cutAt }) => cutAt !== null);
    const film = view.filmById.get(application.filmId);
    if (first?.cutAt == null || film === undefined || view.isHandedOver(application.id)) return [];
    const today = check === undefined ? blankOf(view, application) : blankBy(view, application, check, film);
    if (!differs(pieces, today)) return [];
    const now = today.kind === 'none' ? undefined : today.blanks.blanks[first.drop - 1];
    return [
      {
        surfaceId,
        tag: first.tag,
        cutAt: first.cutAt,
        was: sizeOf(first),
        now: now === undefined ? undefined : { width_mm: now.width_mm, height_mm: now.height_mm },
      },
    ];
  });
}

/** The same for the whole job, whichever film is in hand. */
export function allChangedAfterCut(view: JobView): readonly ChangedAfterCut[] {
  const cut = new Set(
    view.rows.cutPiece.flatMap(({ cutAt, spoiledAt, applicationId }) => {
      const surfaceId = view.applicationById.get(applicationId)?.surfaceId;
      return cutAt === null || spoiledAt !== null || surfaceId === undefined ? [] : [surfaceId];
    }),
  );
  return [...cut].flatMap((surfaceId) => changedAfterCut(view, surfaceId));
}

/** Whether pieces on the plan were made from other measures or choices than today's. */
export function isStale(view: JobView, applicationId: string): boolean {
  const pieces = view.piecesFor(applicationId);
  const application = view.applicationById.get(applicationId);
  return pieces.length > 0 && application !== undefined && differs(pieces, blankOf(view, application));
}

function differs(pieces: readonly RowOf<'cutPiece'>[], today: BlankToday): boolean {
  return (
    today.kind === 'none' ||
    pieces.some(
      ({ inputsHash, dropOf }) =>
        inputsHash !== today.blanks.inputsHash || dropOf !== today.blanks.blanks.length,
    )
  );
}

function sizeOf({ across_nm, along_nm, phase_nm, turned, topAlong }: RowOf<'cutPiece'>): Size {
  const [across_mm, along_mm] = [mmFromNm(across_nm), mmFromNm(along_nm - phase_nm)];
  return turned === topAlong
    ? { width_mm: across_mm, height_mm: along_mm }
    : { width_mm: along_mm, height_mm: across_mm };
}
