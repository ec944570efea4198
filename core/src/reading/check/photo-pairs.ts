import type { RowOf } from '../../job';
import { mmFromNm } from '../../quantity';
import { type Became, type MarkedArea, markedArea, whatBecame } from '../../squaring';
import type { JobView } from '../view/job-view';

/** Two pictures of one place on different days. */
interface PhotoPair {
  readonly before: RowOf<'photo'>;
  readonly now: RowOf<'photo'>;
}

/** How far off a tap on a picture is, px; our guess. */
const TAP_PX = 2;

const byTime = (a: RowOf<'photo'>, b: RowOf<'photo'>): number =>
  (a.takenAt ?? '') < (b.takenAt ?? '') ? -1 : 1;

/** Pictures of a mark, the first one first. */
export const photosOfMark = (view: JobView, mark: RowOf<'mark'>): readonly RowOf<'photo'>[] =>
  view
    .photosOf(mark.surfaceId)
    .filter(({ markId }) => markId === mark.id)
    .toSorted(byTime);

/** Pictures of a whole surface: of no mark, no part, no step. */
export const wholeViews = (view: JobView, surfaceId: string): readonly RowOf<'photo'>[] =>
  view
    .photosOf(surfaceId)
    .filter(({ markId, partId, step }) => markId === null && partId === null && step === null)
    .toSorted(byTime);

/** The first and the last of some pictures; undefined: there are not two. */
export function pairOf(photos: readonly RowOf<'photo'>[]): PhotoPair | undefined {
  const [before, now] = [photos[0], photos.at(-1)];
  return before === undefined || now === undefined || before === now ? undefined : { before, now };
}

/** What a picture shows of its mark, once it was made square; undefined: not yet, or nothing is drawn. */
export function areaInPhoto({ square, outline }: RowOf<'photo'>): MarkedArea | undefined {
  if (square === null || outline === null) return undefined;
  return markedArea({
    taps: square.taps,
    width_mm: mmFromNm(square.width_nm),
    height_mm: mmFromNm(square.height_nm),
    outline,
    tap_px: TAP_PX,
  });
}

/**
 * What the two pictures say has become of the mark: offered, a person decides.
 * @returns undefined while one of them is not square, the first shows nothing, or they are of two surfaces
 */
export function becameOf({ before, now }: PhotoPair): Became | undefined {
  const first = areaInPhoto(before);
  if (first === undefined || now.square === null || before.surfaceId !== now.surfaceId) return undefined;
  return whatBecame(first, areaInPhoto(now));
}
