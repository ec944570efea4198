import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import type { MarkVerdict } from '@yellow-pane/core/job';
import { VERDICT_OF_MARK } from '@yellow-pane/core/judging';
import type { LookPiece } from '@yellow-pane/core/looking';
import type { Verdict } from '@yellow-pane/core/quantity';
import type { Face, Ring, Spot } from '@yellow-pane/core/strokes';
import { facePath, faceScale, sheetFor, sizeOf } from './stroke-drawing';

/** A mark on the picture. */
export interface PinOnPicture {
  readonly id: string;
  readonly number: number;
  readonly at: Spot;
  readonly verdict: MarkVerdict | undefined;
}

/** What of a round is drawn: what was not looked at, the edges done and not, what to look at next. */
export interface RoundOnPicture {
  readonly left: readonly Ring[];
  readonly edges: readonly { readonly piece: LookPiece; readonly isDone: boolean }[];
  readonly next: LookPiece | undefined;
}

const TONES: Readonly<Record<Verdict, string>> = {
  go: 'fill-paper stroke-go',
  'go with care': 'fill-paper stroke-care',
  unknown: 'fill-paper stroke-ink',
  stop: 'fill-paper stroke-stop',
};
/** A tap so near to a pin means it. */
const NEAR = 19;
/** A finger that moves less has tapped. */
const STILL = 5;

/** A surface with its round and its marks by number; a tap puts one there or picks one, a drag moves one. */
@Component({
  selector: 'yp-mark-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './mark-picture.html',
  host: { class: 'block' },
})
export class MarkPicture {
  readonly face = input.required<Face>();
  readonly pins = input.required<readonly PinOnPicture[]>();
  readonly round = input<RoundOnPicture | undefined>(undefined);
  readonly picked = input<string | undefined>(undefined);
  readonly says = input.required<string>();
  readonly touched = output<Spot>();
  readonly pick = output<string>();
  readonly moved = output<{ readonly id: string; readonly at: Spot }>();
  readonly #scale = computed(() => faceScale(this.face()));
  #held: { readonly id: string; readonly from: Spot } | undefined;
  /** Where a pin hangs while a finger drags it: no other is drawn anew meanwhile. */
  protected readonly dragged = signal<
    { readonly id: string; readonly x: number; readonly y: number } | undefined
  >(undefined);
  protected readonly sheet = computed(() => sheetFor(sizeOf(this.face())));
  protected readonly outline = computed(() => facePath(this.face(), this.#scale()));
  protected readonly drawn = computed(() =>
    this.pins().map(({ id, number, at, verdict }) => {
      const own = verdict === undefined ? 'unknown' : VERDICT_OF_MARK[verdict];
      return { id, number, ...this.#scale().at(at), tone: TONES[own], isUnknown: own === 'unknown' };
    }),
  );
  protected readonly walk = computed(() => {
    const round = this.round();
    if (round === undefined) return undefined;
    const { at, scale } = this.#scale();
    const line = ({ from, to }: LookPiece): string => {
      const [a, b] = [at(from), at(to)];
      return `M${a.x} ${a.y}L${b.x} ${b.y}`;
    };
    const { next } = round;
    return {
      left: round.left
        .map((ring) => `M${ring.map((spot) => `${at(spot).x} ${at(spot).y}`).join('L')}Z`)
        .join(''),
      done: round.edges.flatMap(({ piece, isDone }) => (isDone ? line(piece) : [])).join(''),
      open: round.edges.flatMap(({ piece, isDone }) => (isDone ? [] : line(piece))).join(''),
      next: next === undefined ? undefined : line(next),
      head: next === undefined ? undefined : headOf(at(next.from), at(next.to)),
      isEdge: next?.view === 'edges',
      wide: next === undefined || next.view === 'edges' ? 10 : next.width_mm * scale,
    };
  });

  protected down(event: PointerEvent): void {
    const at = this.#placeOf(event);
    if (at === undefined) return;
    const near = this.#near(at);
    this.#held = { id: near?.id ?? '', from: at };
    if (near !== undefined) (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }

  protected move(event: PointerEvent): void {
    const [held, at] = [this.#held, this.#placeOf(event)];
    if (held === undefined || held.id === '' || at === undefined) return;
    if (this.dragged() === undefined && away(at, held.from) < STILL) return;
    this.dragged.set({ id: held.id, ...at });
  }

  protected up(event: PointerEvent): void {
    const [held, at, dragged] = [this.#held, this.#placeOf(event), this.dragged()];
    this.letGo();
    if (held === undefined || at === undefined) return;
    if (dragged !== undefined) this.moved.emit({ id: dragged.id, at: this.#scale().from(dragged) });
    else if (held.id !== '') this.pick.emit(held.id);
    else if (away(at, held.from) < NEAR) this.touched.emit(this.#scale().from(at));
  }

  protected letGo(): void {
    this.#held = undefined;
    this.dragged.set(undefined);
  }

  #near(at: Spot): { readonly id: string } | undefined {
    return this.drawn().findLast((pin) => away(pin, at) < NEAR);
  }

  #placeOf(event: PointerEvent): Spot | undefined {
    const drawing = event.currentTarget;
    const matrix = drawing instanceof SVGSVGElement ? drawing.getScreenCTM() : null;
    if (matrix === null) return undefined;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return { x, y };
  }
}

const HEAD = 13;

/** Which way it is walked: a head in the middle of the way. */
function headOf(from: Spot, to: Spot): string {
  const turn = Math.atan2(to.y - from.y, to.x - from.x);
  const [x, y] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
  const barb = (by: number): string => `${x - HEAD * Math.cos(turn + by)} ${y - HEAD * Math.sin(turn + by)}`;
  return `M${barb(0.6)}L${x} ${y}L${barb(-0.6)}`;
}

const away = (a: Spot, b: Spot): number => Math.hypot(a.x - b.x, a.y - b.y);
