import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { outlineOfCheck } from '@yellow-pane/core/measure';
import { formatLength, formatLengthWithUnit, mmFromNm, nmFromMm } from '@yellow-pane/core/quantity';
import { blankOf } from '@yellow-pane/core/reading';
import { Device } from '../../device/device';
import { BlankShapes } from '../../drawing/blank-shapes';
import { HIGH, WIDE, drawBlanks } from '../../drawing/blank-drawing';
import { JobReading } from '../../job/job-reading';
import { fitWords } from '../../words/fit';

/**
 * The surface to scale as the fitter stands before it: blank, drops in hanging order, seams, openings, and
 * what has been marked on it.
 */
@Component({
  selector: 'yp-surface-picture',
  imports: [BlankShapes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './surface-picture.html',
  host: { class: 'block' },
})
export class SurfacePicture {
  protected readonly words = fitWords;
  protected readonly wide = WIDE;
  protected readonly high = HIGH;
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly application = input.required<RowOf<'application'>>();
  /** A place on it was touched, nanometres as the surface is seen. */
  readonly touched = output<{ readonly x_nm: number; readonly y_nm: number }>();

  readonly #surface = computed(() => this.#reading.surfaceById().get(this.application().surfaceId));
  /** Whoever works on the other side than left and right are meant from sees it turned. */
  readonly #isTurned = computed(() => {
    const seenFrom = this.#surface()?.seenFrom;
    return seenFrom !== undefined && seenFrom !== this.application().side;
  });
  protected readonly picture = computed(() => {
    const surface = this.#surface();
    if (surface === undefined) return undefined;
    const check = this.#reading.checkOf(surface.id);
    const outline = outlineOfCheck(check);
    const today = blankOf(this.#reading.view(), this.application());
    if (today.kind === 'none' || outline === undefined) return undefined;
    const { blanks } = today;
    const { whole } = blanks;
    const openings = 'figure' in check ? (check.figure.openings ?? []) : [];
    const drawn = drawBlanks(blanks, outline, openings, (mm) => formatLength(nmFromMm(mm), this.#units()));
    return {
      drawn,
      turn: this.#isTurned() ? `translate(${WIDE} 0) scale(-1 1)` : null,
      edge: whole.factoryEdge,
      isInDrops: blanks.blanks.length > 1,
      says: fitWords.blankSize(
        formatLengthWithUnit(nmFromMm(whole.width_mm.value), this.#units()),
        formatLengthWithUnit(nmFromMm(whole.height_mm.value), this.#units()),
      ),
    };
  });
  protected readonly caption = computed(() => {
    const { side } = this.application();
    const piece = this.#reading.view().piecesFor(this.application().id)[0];
    const roll = piece && this.#reading.view().rows.cutRoll.find(({ id }) => id === piece.rollId);
    return [
      fitWords.seenAt(side),
      fitWords.linerSide,
      this.#factoryEdge(),
      roll === undefined ? fitWords.notLaidOut : fitWords.offRoll(roll.label, roll.lot),
    ]
      .filter((part) => part !== '')
      .join(' · ');
  });
  protected readonly marks = computed(() => {
    const at = this.#scale();
    if (at === undefined) return [];
    return this.#reading
      .view()
      .marksOf(this.application().surfaceId)
      .filter(({ goneAt, x_nm, y_nm }) => goneAt === null && x_nm !== null && y_nm !== null)
      .map(({ id, x_nm, y_nm, look }) => ({
        id,
        look,
        x: this.x(at.left + mmFromNm(x_nm ?? 0) * at.scale),
        y: at.top + mmFromNm(y_nm ?? 0) * at.scale,
      }));
  });
  /** Where the surface itself lies on the picture. */
  readonly #scale = computed(() => {
    const today = blankOf(this.#reading.view(), this.application());
    if (today.kind === 'none') return undefined;
    const { whole } = today.blanks;
    const scale = Math.min((WIDE - 20) / whole.width_mm.value, (HIGH - 40) / whole.height_mm.value);
    return {
      scale,
      left: (WIDE - whole.width_mm.value * scale) / 2 + whole.sides.left_mm * scale,
      top: (HIGH - whole.height_mm.value * scale) / 2 + 6 + whole.sides.top_mm * scale,
    };
  });

  protected x(x: number): number {
    return this.#isTurned() ? WIDE - x : x;
  }

  protected touch(event: MouseEvent): void {
    const at = this.#scale();
    const drawing = event.currentTarget;
    const matrix = drawing instanceof SVGSVGElement ? drawing.getScreenCTM() : null;
    if (at === undefined || matrix === null) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    this.touched.emit({
      x_nm: nmFromMm((this.x(x) - at.left) / at.scale),
      y_nm: nmFromMm((y - at.top) / at.scale),
    });
  }

  #factoryEdge(): string {
    const edge = this.picture()?.edge;
    return edge === undefined || edge === 'none' ? '' : fitWords.factoryEdgeAt(edge);
  }
}
