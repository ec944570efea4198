import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { type Face, type JudgedStrokes, LINE_MM, type Spot } from '@yellow-pane/core/strokes';
import { strokeWords } from '../words/strokes';
import { begun, drawStrokes, sweptPath } from './stroke-drawing';

/** Which end of a stroke is in the hand. */
export type StrokeGrip = 'whole' | 'start' | 'end';

let drawnSoFar = 0;

/**
 * Strokes on a surface as one stands before it: numbers and arrows, film wet or laid as far as it has been
 * played, gaps, what is shut in. A stroke that is picked can be dragged, whole or by an end; a new one is
 * drawn by hand.
 */
@Component({
  selector: 'yp-stroke-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './stroke-picture.html',
  host: { class: 'block' },
})
export class StrokePicture {
  protected readonly words = strokeWords;
  protected readonly id = `strokes-${(drawnSoFar += 1)}-`;
  readonly whole = input.required<Face>();
  /** What is pressed now, where that is less. */
  readonly pressed = input<Face | undefined>(undefined);
  readonly judged = input.required<JudgedStrokes>();
  readonly says = input.required<string>();
  /** Strokes done, with the share of the one in hand; undefined: it is not played. */
  readonly played = input<number | undefined>(undefined);
  readonly picked = input<string | undefined>(undefined);
  readonly mayEdit = input(false);
  readonly isDrawing = input(false);
  /** A lock is not meant to go over all of it: what it leaves is no gap. */
  readonly isLock = input(false);
  /** Room is left for what changes it. */
  readonly isSmall = input(false);
  readonly pick = output<string>();
  /** The picked stroke is being moved, and has been: by so much, mm. */
  readonly moving = output<{ readonly grip: StrokeGrip; readonly by: Spot }>();
  readonly moved = output<{ readonly grip: StrokeGrip; readonly by: Spot }>();
  readonly drew = output<{ readonly from: Spot; readonly to: Spot }>();
  readonly #held = signal<{ readonly grip: StrokeGrip; readonly from: Spot } | undefined>(undefined);
  readonly #pen = signal<{ readonly from: Spot; readonly to: Spot } | undefined>(undefined);
  protected readonly drawn = computed(() => {
    const all = drawStrokes(this.whole(), this.pressed(), this.judged(), LINE_MM);
    return this.isLock() ? { ...all, gaps: [], traps: [] } : all;
  });
  protected readonly isPlaying = computed(() => this.played() !== undefined);
  /** Film that is laid so far. */
  protected readonly laid = computed(() => {
    const played = this.played();
    if (played === undefined) return '';
    const { scale } = this.drawn();
    return this.judged()
      .strokes.slice(0, Math.ceil(played))
      .map((stroke, index) => sweptPath(index + 1 > played ? begun(stroke, played - index) : stroke, scale))
      .join('');
  });
  protected readonly shown = computed(() => {
    const played = this.played();
    const { strokes } = this.drawn();
    return strokes.map((own) => ({
      ...own,
      isPicked: own.key === this.picked(),
      isNow: played !== undefined && own.number === Math.ceil(played),
      isToCome: played !== undefined && own.number > Math.ceil(played),
    }));
  });
  protected readonly grips = computed(() => {
    const own = this.mayEdit() ? this.shown().find(({ isPicked }) => isPicked) : undefined;
    return own === undefined
      ? []
      : [
          { grip: 'start' as const, ...own.start },
          { grip: 'end' as const, ...own.end },
        ];
  });
  protected readonly line = computed(() => {
    const pen = this.#pen();
    if (pen === undefined) return undefined;
    const { at } = this.drawn().scale;
    return { from: at(pen.from), to: at(pen.to) };
  });

  protected down(event: PointerEvent, key?: string, grip: StrokeGrip = 'whole'): void {
    if (!this.mayEdit()) return;
    const spot = this.#spotAt(event);
    if (spot === undefined) return;
    event.stopPropagation();
    if (this.isDrawing()) this.#pen.set({ from: spot, to: spot });
    else if (key === undefined) return;
    else if (key === this.picked()) this.#held.set({ grip, from: spot });
    else {
      this.pick.emit(key);
      return;
    }
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    event.preventDefault();
  }

  protected move(event: PointerEvent): void {
    const [spot, pen, held] = [this.#spotAt(event), this.#pen(), this.#held()];
    if (spot === undefined) return;
    if (pen !== undefined) this.#pen.set({ ...pen, to: spot });
    if (held !== undefined) this.moving.emit({ grip: held.grip, by: between(held.from, spot) });
  }

  protected up(event: PointerEvent): void {
    const [spot, pen, held] = [this.#spotAt(event), this.#pen(), this.#held()];
    this.#pen.set(undefined);
    this.#held.set(undefined);
    if (spot === undefined) return;
    if (pen !== undefined) this.drew.emit({ from: pen.from, to: spot });
    if (held !== undefined) this.moved.emit({ grip: held.grip, by: between(held.from, spot) });
  }

  #spotAt(event: PointerEvent): Spot | undefined {
    const target = event.currentTarget as SVGElement;
    const drawing = target instanceof SVGSVGElement ? target : target.ownerSVGElement;
    const matrix = drawing?.getScreenCTM();
    if (matrix == null) return undefined;
    return this.drawn().scale.from(
      new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()),
    );
  }
}

const between = (from: Spot, to: Spot): Spot => ({ x: to.x - from.x, y: to.y - from.y });
