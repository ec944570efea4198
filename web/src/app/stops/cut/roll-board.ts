import { openPath, pathOf, scaleMarks, underPiece, wedge } from './board-drawing';
import type { Refusal } from './cutting';
import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  type ElementRef,
  afterNextRender,
  computed,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { STANDING, columnMarks, middleOf } from '@yellow-pane/core/blanks';
import { type HandPlaced, type PlacingFault, placingFault, snapped } from '@yellow-pane/core/cutting';
import type { RowOf } from '@yellow-pane/core/job';
import {
  formatFilmLength,
  formatLength,
  formatLengthWithUnit,
  mmFromNm,
  nmFromMm,
} from '@yellow-pane/core/quantity';
import { handPlacedOf, handRollOf } from '@yellow-pane/core/reading';
import { Device } from '../../device/device';
import { cutWords } from '../../words/cut';
import { pieceWord } from './cut-words';
import { RULES } from '@yellow-pane/core/rules';

export type BoardPiece = Pick<
  RowOf<'cutPiece'>,
  | 'id'
  | 'tag'
  | 'drop'
  | 'dropOf'
  | 'x_nm'
  | 'y_nm'
  | 'across_nm'
  | 'along_nm'
  | 'turned'
  | 'flipped'
  | 'topAlong'
  | 'pinned'
  | 'cutAt'
  | 'outline'
  | 'notch_nm'
>;

interface Moved {
  readonly id: string;
  readonly x_nm: number;
  readonly y_nm: number;
}

/** Until it is drawn; height of words; room for a mark of the scale. */
const [USUAL_PX, READABLE_PX, MARK_PX] = [680, 13, 48];
/** Beside the free end, for the person who stands there; in heights of words. */
const STAND_ROOM = 3.4;
const SNAP_PX = 10;
const STEP_MM = 10;
const FINE_MM = 1;
const ARROWS: Readonly<Record<string, readonly [across: number, along: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/**
 * One roll to scale, unrolling to the right; cross-cuts are upright. A piece is picked, dragged with
 * snapping, or moved with the arrow keys; a place it cannot have is shown and explained, and left.
 */
@Component({
  selector: 'yp-roll-board',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './roll-board.html',
  host: { class: 'block relative' },
})
export class RollBoard {
  protected readonly words = cutWords;
  readonly #units = inject(Device).units;
  readonly rollWidth_nm = input.required<number>();
  readonly used_nm = input.required<number>();
  /** Length there is. */
  readonly length_nm = input.required<number>();
  readonly liner = input<RowOf<'cutPlan'>['liner']>('up');
  readonly mode = input<RowOf<'cutPlan'>['mode']>('by hand');
  /** Length that all rolls shown share as their scale. */
  readonly scaleLength_nm = input.required<number>();
  readonly gap_nm = input(0);
  readonly endWaste_nm = input(0);
  readonly name = input.required<string>();
  readonly pieces = input.required<readonly BoardPiece[]>();
  readonly pickedId = input<string | undefined>(undefined);
  readonly refusal = input<Refusal | undefined>(undefined);
  readonly canMove = input(true);
  readonly picked = output<string>();
  readonly moved = output<Moved>();
  readonly refused = output<{ readonly pieceId: string; readonly says: string | undefined }>();
  readonly turnWanted = output<string>();
  readonly pinWanted = output<string>();
  readonly held = signal<HandPlaced | undefined>(undefined);
  readonly fault = signal<PlacingFault | undefined>(undefined);
  protected readonly board = viewChild.required<ElementRef<SVGSVGElement>>('board');
  #grip: { readonly across_mm: number; readonly along_mm: number; readonly from: HandPlaced } | undefined;

  constructor() {
    const gone = inject(DestroyRef);
    afterNextRender(() => {
      const seen = new ResizeObserver(([entry]) => {
        const wide = entry?.contentRect.width ?? 0;
        if (wide > 0) this.#wide_px.set(wide);
      });
      seen.observe(this.board().nativeElement);
      gone.onDestroy(() => {
        seen.disconnect();
      });
    });
  }

  protected readonly width = computed(() => mmFromNm(this.rollWidth_nm()));
  protected readonly length = computed(() => Math.max(1, mmFromNm(this.used_nm())));
  /** As drawn, so that words stay readable on a phone. */
  readonly #wide_px = signal(USUAL_PX);
  protected readonly fontSize = computed(
    () => (Math.max(mmFromNm(this.scaleLength_nm()), this.width() * 1.3) * READABLE_PX) / this.#wide_px(),
  );
  protected readonly viewBox = computed(
    () =>
      `${-STAND_ROOM * this.fontSize()} ${-this.fontSize() / 2} ${Math.max(mmFromNm(this.scaleLength_nm()), this.width() * 1.3) + (STAND_ROOM + 1) * this.fontSize()} ${this.width() + 2.6 * this.fontSize()}`,
  );
  /** What was refused, under its piece. */
  protected readonly besidePiece = computed(() => {
    const refusal = this.refusal();
    const piece = this.drawn().find(({ id }) => id === refusal?.pieceId);
    return refusal === undefined || piece === undefined
      ? undefined
      : { says: refusal.says, ...underPiece(piece, this.viewBox()) };
  });
  /** Who stands at the free end: left is at the left hand. */
  protected readonly stand = computed(() => ({
    x: -1.8 * this.fontSize(),
    y: this.width() / 2,
    size: this.fontSize(),
  }));
  /** Notches and slits of columns' sheets. */
  protected readonly columnLines = computed(() =>
    this.pieces().flatMap((piece) => {
      if (piece.notch_nm === 0) return [];
      const { notches, slits } = columnMarks({
        across_mm: mmFromNm(piece.across_nm),
        along_mm: mmFromNm(piece.along_nm),
        outline: piece.outline,
        isQuarterTurned: piece.turned,
        notch_mm: mmFromNm(piece.notch_nm),
        strip_mm: RULES.linerStrip.value,
      });
      const line = (points: readonly { readonly x: number; readonly y: number }[], isSlit: boolean) => ({
        isSlit,
        path: openPath(points, mmFromNm(piece.y_nm), mmFromNm(piece.x_nm)),
      });
      return [...notches.map((own) => line(own, false)), ...slits.map((own) => line(own, true))];
    }),
  );
  protected readonly label = computed(() =>
    cutWords.boardSaid(
      this.name(),
      this.liner(),
      STANDING,
      formatLengthWithUnit(nmFromMm(Math.round(this.width())), this.#units()),
      this.pieces().length,
      formatFilmLength(nmFromMm(this.length()), this.#units()),
    ),
  );
  readonly #placed = computed(() => this.pieces().map((piece) => handPlacedOf(piece, this.mode())));
  readonly #roll = computed(() =>
    handRollOf(
      { width_nm: this.rollWidth_nm(), length_nm: this.length_nm() },
      { gap_nm: this.gap_nm(), endWaste_nm: this.endWaste_nm() },
    ),
  );
  protected readonly drawn = computed(() =>
    this.pieces().map((piece) => {
      const [x, y, w, h] = [
        mmFromNm(piece.y_nm),
        mmFromNm(piece.x_nm),
        mmFromNm(piece.along_nm),
        mmFromNm(piece.across_nm),
      ];
      const word = pieceWord(piece);
      const path = piece.outline === null ? undefined : pathOf(piece.outline, x, y);
      const inside = piece.outline === null ? { x: h / 2, y: w / 2 } : middleOf(piece.outline);
      const middle = { x: x + inside.y, y: y + inside.x };
      const pin =
        piece.outline === null
          ? { x: x + w - 1.2 * this.fontSize(), y: y + 1.2 * this.fontSize() }
          : { x: middle.x, y: middle.y - 1.7 * this.fontSize() };
      return {
        id: piece.id,
        x,
        y,
        w,
        h,
        word,
        path,
        middle,
        pin,
        isPinned: piece.pinned,
        isCut: piece.cutAt !== null,
        arrow: wedge(piece, { x, y, w, h }, this.fontSize() * 0.6),
        check: `M${x + w / 2 - this.fontSize()} ${y + h / 2 + 1.4 * this.fontSize()}l${0.6 * this.fontSize()} ${0.6 * this.fontSize()}l${this.fontSize()} ${-this.fontSize()}`,
        size: Math.min(this.fontSize() * 1.5, w / (word.length * 0.62), h * 0.8),
        says: cutWords.pieceOnBoard(
          word,
          formatLength(piece.across_nm, this.#units()),
          formatLength(piece.along_nm, this.#units()),
          piece.pinned ? cutWords.pinned : '',
          piece.cutAt === null ? '' : cutWords.isCut,
        ),
      };
    }),
  );
  protected readonly heldPath = computed(() => {
    const held = this.held();
    return held?.outline && pathOf(held.outline, held.y_mm, held.x_mm);
  });
  protected readonly crossCuts = computed(() => {
    const order = [...this.#placed()].sort((a, b) => a.y_mm - b.y_mm);
    const cuts = new Set<number>();
    let reach = 0;
    for (const piece of order) {
      if (piece.y_mm >= reach - 0.05 && piece.y_mm > 0) cuts.add(piece.y_mm);
      reach = Math.max(reach, piece.y_mm + piece.along_mm);
    }
    cuts.add(this.length());
    return [...cuts];
  });
  protected readonly hatch = computed(() => {
    const step = this.fontSize() * 2;
    const lines: string[] = [];
    for (let start = step - this.width(); start < this.length(); start += step) {
      const from = Math.max(0, start);
      const to = Math.min(this.length(), start + this.width());
      if (to > from)
        lines.push(
          `M${from.toFixed(0)} ${(from - start).toFixed(0)}L${to.toFixed(0)} ${(to - start).toFixed(0)}`,
        );
    }
    return lines.join('');
  });
  protected readonly marks = computed(() =>
    scaleMarks(
      this.length(),
      (mmFromNm(this.scaleLength_nm()) * MARK_PX) / this.#wide_px(),
      this.#units() !== 'metric',
    ),
  );

  protected take(event: PointerEvent, id: string): void {
    this.picked.emit(id);
    this.refused.emit({ pieceId: id, says: undefined });
    const from = this.#placed().find((piece) => piece.id === id);
    if (
      !this.canMove() ||
      from === undefined ||
      this.pieces().find((piece) => piece.id === id)?.cutAt !== null
    )
      return;
    const at = this.#at(event);
    this.#grip = { across_mm: at.across_mm - from.x_mm, along_mm: at.along_mm - from.y_mm, from };
    this.board().nativeElement.setPointerCapture(event.pointerId);
  }

  protected drag(event: PointerEvent): void {
    const grip = this.#grip;
    if (grip === undefined) return;
    const at = this.#at(event);
    const loose = { ...grip.from, x_mm: at.across_mm - grip.across_mm, y_mm: at.along_mm - grip.along_mm };
    if (
      this.held() === undefined &&
      Math.hypot(loose.x_mm - grip.from.x_mm, loose.y_mm - grip.from.y_mm) < SNAP_PX * at.mmAPixel * 0.5
    )
      return;
    const held = snapped(loose, this.#placed(), this.#roll(), SNAP_PX * at.mmAPixel);
    this.held.set(held);
    this.fault.set(placingFault(held, this.#placed(), this.#roll()));
  }

  protected drop(): void {
    const held = this.held();
    this.letGo();
    if (held !== undefined) this.#settle(held);
  }

  protected letGo(): void {
    this.#grip = undefined;
    this.held.set(undefined);
    this.fault.set(undefined);
  }

  protected key(event: KeyboardEvent, id: string): void {
    const piece = this.#placed().find((own) => own.id === id);
    const arrow = ARROWS[event.key];
    if (arrow !== undefined && piece !== undefined && this.canMove()) {
      const step = event.shiftKey ? FINE_MM : STEP_MM;
      this.#settle({ ...piece, x_mm: piece.x_mm + arrow[0] * step, y_mm: piece.y_mm + arrow[1] * step });
    } else if (event.key === 'r' || event.key === 'R') this.turnWanted.emit(id);
    else if (event.key === 'p' || event.key === 'P') this.pinWanted.emit(id);
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  #settle(piece: HandPlaced): void {
    const fault = placingFault(piece, this.#placed(), this.#roll());
    this.refused.emit({ pieceId: piece.id, says: fault === undefined ? undefined : this.faultWord(fault) });
    if (fault === undefined)
      this.moved.emit({ id: piece.id, x_nm: nmFromMm(piece.x_mm), y_nm: nmFromMm(piece.y_mm) });
  }

  /** Why a place cannot be had, and by how much. */
  faultWord(fault: PlacingFault): string {
    const by = formatLengthWithUnit(nmFromMm(fault.by_mm), this.#units());
    if (fault.kind === 'overlaps') {
      const other = this.pieces().find(({ id }) => id === fault.id);
      return cutWords.overlaps(by, other === undefined ? cutWords.anotherPiece : pieceWord(other));
    }
    if (fault.kind === 'over the edge') return cutWords.overEdgeBy(by);
    if (fault.kind === 'in the end waste') return cutWords.inTheSquaring(by);
    return cutWords.filmEndsBy(by);
  }

  #at(event: PointerEvent): {
    readonly across_mm: number;
    readonly along_mm: number;
    readonly mmAPixel: number;
  } {
    const board = this.board().nativeElement;
    const box = board.getBoundingClientRect();
    const [left = 0, top = 0, wide = 1] = (board.getAttribute('viewBox') ?? '').split(' ').map(Number);
    const mmAPixel = wide / Math.max(1, box.width);
    return {
      along_mm: left + (event.clientX - box.left) * mmAPixel,
      across_mm: top + (event.clientY - box.top) * mmAPixel,
      mmAPixel,
    };
  }
}
