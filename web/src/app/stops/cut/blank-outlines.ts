import { Injectable, inject } from '@angular/core';
import { type CutBlanks, type CutOrder, grown, lyingOnRoll, outlineOnRoll } from '@yellow-pane/core/cutting';
import type { Liner, RowOf } from '@yellow-pane/core/job';
import { areaOf, isConvex, outlineBounds, outlineOfCheck } from '@yellow-pane/core/measure';
import { JobReading } from '../../job/job-reading';
import type { BlankHere } from './cutting';
import { keptOutline } from './hand-placed';

/** A surface that fills more of its rectangle than this is cut as a rectangle and trimmed. */
const SLANTING_SHARE = 0.93;
/** An arch in short sides. */
const MOST_CORNERS = 120;

/** Outlines of blanks that are no rectangles, for plotter and drawing. */
@Injectable({ providedIn: 'root' })
export class BlankOutlines {
  readonly #reading = inject(JobReading);

  /**
   * The outline of a blank that is no rectangle, as it lies unturned on the roll: a tapered column's sector
   * always, other slanting surfaces where a plotter can follow them.
   */
  flatOf(
    { blank, blanks, application, surface }: BlankHere,
    liner: Liner,
  ): readonly { readonly x: number; readonly y: number }[] | undefined {
    const seen =
      blank.sector?.outline ??
      (blank.of > 1 || blanks.whole.lies === 'top along the roll'
        ? undefined
        : this.#slanting(application, blanks));
    return seen === undefined
      ? undefined
      : lyingOnRoll(seen, blank.width_mm, surface?.seenFrom ?? 'room', application.side, liner);
  }

  /** A straight-sided outline with its allowances on, when it saves enough against its rectangle. */
  #slanting(
    { surfaceId }: RowOf<'application'>,
    { whole }: CutBlanks,
  ): readonly { readonly x: number; readonly y: number }[] | undefined {
    const outline = outlineOfCheck(this.#reading.checkOf(surfaceId));
    if (outline === undefined || outline.length > MOST_CORNERS || !isConvex(outline)) return undefined;
    const { top_mm, right_mm, bottom_mm, left_mm } = whole.sides;
    const bounds = outlineBounds(outline);
    if (Math.abs(areaOf(outline)) > SLANTING_SHARE * bounds.width * bounds.height) return undefined;
    const [width, height] = [whole.width_mm.value, whole.height_mm.value];
    return grown(
      outline.map(({ x, y }) => ({ x: x - bounds.left + left_mm, y: y - bounds.top + top_mm })),
      Math.max(top_mm, right_mm, bottom_mm, left_mm),
    ).map(({ x, y }) => ({ x: Math.min(width, Math.max(0, x)), y: Math.min(height, Math.max(0, y)) }));
  }

  /** As it lies on its place on the roll. */
  onRoll(
    own: BlankHere,
    mode: CutOrder['mode'],
    liner: Liner,
    turned: boolean,
    flipped: boolean,
  ): RowOf<'cutPiece'>['outline'] {
    const flat =
      own.blank.sector !== undefined || mode === 'by plotter' ? this.flatOf(own, liner) : undefined;
    if (flat === undefined) return null;
    return keptOutline(outlineOnRoll(flat, own.blank.width_mm, own.blank.height_mm, turned, flipped));
  }
}
