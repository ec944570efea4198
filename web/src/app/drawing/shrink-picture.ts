import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import type { PaneShrink } from '@yellow-pane/core/reading';
import { shrinkWords } from '../words/shrink';
import { type GunWay, gunPath } from './gun-path';
import { type PartOnGlass, SHRINK_HIGH, SHRINK_WIDE, drawShrink } from './shrink-drawing';

let drawnSoFar = 0;
const STEP_MM = 1;
const LARGE_STEP_MM = 10;

/**
 * A curved pane as one stands before it: needed shrink as bands with figures, the line the film is held on,
 * folds in their turn. The line can be dragged, or moved by the arrow keys.
 */
@Component({
  selector: 'yp-shrink-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shrink-picture.html',
  host: { class: 'block' },
})
export class ShrinkPicture {
  protected readonly words = shrinkWords;
  /** Of its patterns: several pictures may be on one page. */
  protected readonly id = `shrink-${(drawnSoFar += 1)}-`;
  protected readonly wide = SHRINK_WIDE;
  protected readonly high = SHRINK_HIGH;
  readonly plan = input.required<PaneShrink>();
  readonly isTurned = input(false);
  readonly parts = input<readonly PartOnGlass[]>([]);
  /** Turn of the fold in hand; 0: none. */
  readonly turn = input(0);
  /** Turns of the folds that are down. */
  readonly down = input<ReadonlySet<number>>(new Set());
  readonly says = input.required<string>();
  /** How the gun goes over the fold in hand, or over all of it. */
  readonly gun = input<GunWay>('none');
  /** Shrunk dry on a thin powder of soap, not on wet glass. */
  readonly isPowdered = input(false);
  /** Drawn small, its figures must be larger. */
  readonly isSmall = input(false);
  readonly mayDrag = input(false);
  /** The line is being moved, and has been, mm upwards from the middle. */
  readonly moving = output<number>();
  readonly moved = output<number>();
  readonly #isHeld = signal(false);
  protected readonly drawn = computed(() => drawShrink(this.plan(), this.isTurned(), this.parts()));
  protected readonly gunWay = computed(() => {
    const drawn = this.drawn();
    return gunPath(
      this.gun(),
      drawn,
      drawn.folds.find(({ turn }) => turn === this.turn()),
    );
  });
  protected readonly half_mm = computed(() => Math.floor(this.plan().patch.halfHeight_mm));

  protected percent(strain: number): string {
    return `${Number((strain * 100).toFixed(2))} %`;
  }

  protected hold(event: PointerEvent): void {
    if (!this.mayDrag()) return;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    this.#isHeld.set(true);
    event.preventDefault();
  }

  protected drag(event: PointerEvent): void {
    const height = this.#isHeld() ? this.#heightAt(event) : undefined;
    if (height !== undefined) this.moving.emit(height);
  }

  protected letGo(event: PointerEvent): void {
    if (!this.#isHeld()) return;
    this.#isHeld.set(false);
    const height = this.#heightAt(event);
    if (height !== undefined) this.moved.emit(height);
  }

  protected step(event: KeyboardEvent): void {
    const up = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (up === 0 || !this.mayDrag()) return;
    event.preventDefault();
    const by = up * (event.shiftKey ? LARGE_STEP_MM : STEP_MM);
    this.moved.emit(this.#onGlass(Math.round(this.plan().own.at_mm) + by));
  }

  #heightAt(event: PointerEvent): number | undefined {
    const drawing = (event.currentTarget as SVGElement).ownerSVGElement;
    const matrix = drawing?.getScreenCTM();
    if (matrix == null) return undefined;
    const { y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return this.#onGlass(Math.round(this.drawn().heightAt(y)));
  }

  /** A line dragged off the pane stays at its edge. */
  #onGlass(height_mm: number): number {
    return Math.max(-this.half_mm(), Math.min(this.half_mm(), height_mm));
  }
}
