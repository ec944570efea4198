import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import type { PhotoSpot, RowOf } from '@yellow-pane/core/job';
import { CoreError, mmFromNm, nmFromMm } from '@yellow-pane/core/quantity';
import {
  type FourPoints,
  type GreyPicture,
  cornerNear,
  markedArea,
  spotNear,
} from '@yellow-pane/core/squaring';
import { greyOf } from '../../curved/grey-picture';
import { JobDesk } from '../../job/job-desk';
import { PhotoWork } from '../../job/photo-work';
import { checkWords } from '../../words/check';

const CORNERS = 4;
const LONGEST_PX = 4000;
/** A bank or identity card, ISO/IEC 7810 ID-1, from memory: always at hand. */
const CARD_MM = { width: 85.6, height: 53.98 };

/** One picture made square: four taps on a card of known size beside the mark, one on the mark itself. */
@Component({
  selector: 'yp-photo-place',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './photo-place.html',
  host: { class: 'block mt-2' },
})
export class PhotoPlace {
  protected readonly words = checkWords;
  readonly #desk = inject(JobDesk);
  readonly #photos = inject(PhotoWork);
  readonly photo = input.required<RowOf<'photo'>>();
  /** What the four taps lie on, where it is no card: the surface itself. */
  readonly size_mm = input<{ readonly width: number; readonly height: number } | undefined>(undefined);
  readonly kept = output();
  protected readonly isWhole = computed(() => this.size_mm() !== undefined);
  protected readonly address = computed(() => this.#photos.address(this.photo()));
  readonly #grey = signal<GreyPicture | undefined>(undefined);
  /** Which it is: what is tapped stays when its row comes back from the server, or a colleague changes it. */
  readonly #photoId = computed(() => this.photo().id);
  protected readonly taps = linkedSignal<string, readonly PhotoSpot[]>({
    source: this.#photoId,
    computation: () => untracked(this.photo).square?.taps ?? [],
  });
  protected readonly outline = linkedSignal<string, readonly PhotoSpot[]>({
    source: this.#photoId,
    computation: () => untracked(this.photo).outline ?? [],
  });
  protected readonly isByHand = signal(false);
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly card = linkedSignal<string, { readonly width: number; readonly height: number }>({
    source: this.#photoId,
    computation: () => {
      const { square } = untracked(this.photo);
      return (
        untracked(this.size_mm) ??
        (square === null ? CARD_MM : { width: mmFromNm(square.width_nm), height: mmFromNm(square.height_nm) })
      );
    },
  });
  private readonly drawing = viewChild<ElementRef<SVGSVGElement>>('drawing');
  protected readonly next = computed(() => {
    const count = this.taps().length;
    if (count < CORNERS)
      return this.isWhole() ? checkWords.tapSurface(count + 1) : checkWords.tapCard(count + 1);
    if (this.isWhole()) return checkWords.cornersTapped;
    if (this.isByHand()) return checkWords.tapRound;
    return this.outline().length === 0 ? checkWords.tapMark : checkWords.markFound;
  });
  protected readonly points = computed(() =>
    this.outline()
      .map(({ x, y }) => `${x},${y}`)
      .join(' '),
  );
  readonly #measured = computed(() => {
    if (this.taps().length < CORNERS || this.outline().length < 3) return undefined;
    try {
      return markedArea({
        taps: this.taps() as FourPoints,
        width_mm: this.card().width,
        height_mm: this.card().height,
        outline: this.outline(),
        tap_px: 2,
      });
    } catch (error) {
      if (error instanceof CoreError) return undefined;
      throw error;
    }
  });
  protected readonly areaSays = computed(() => {
    const own = this.#measured();
    return own === undefined
      ? undefined
      : checkWords.areaIs(Math.round(own.area_mm2), Math.max(1, Math.round(own.sd_mm2)));
  });

  constructor() {
    effect(() => {
      const [address, id] = [this.address(), this.#photoId()];
      this.#grey.set(undefined);
      void fetch(address)
        .then((answer) => answer.blob())
        .then((blob) => greyOf(blob, LONGEST_PX))
        .then(
          (grey) => {
            if (id === this.#photoId()) this.#grey.set(grey);
          },
          () => {
            this.fault.set(checkWords.noPicture);
          },
        );
    });
  }

  protected tap(event: PointerEvent): void {
    const matrix = this.drawing()?.nativeElement.getScreenCTM();
    if (matrix == null) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    this.fault.set(undefined);
    const grey = this.#grey();
    if (this.taps().length < CORNERS) {
      const at = grey === undefined || this.isWhole() ? { x, y } : cornerNear(grey, { x, y });
      this.taps.update((taps) => [...taps, at]);
    } else if (this.isByHand()) this.outline.update((spots) => [...spots, { x, y }]);
    else if (!this.isWhole()) {
      const found = grey === undefined ? undefined : spotNear(grey, { x, y });
      if (found === undefined) this.fault.set(checkWords.nothingStandsOut);
      else this.outline.set(found);
    }
  }

  protected byHand(): void {
    this.isByHand.set(true);
    this.outline.set([]);
  }

  protected anew(): void {
    this.taps.set([]);
    this.outline.set([]);
    this.isByHand.set(false);
    this.fault.set(undefined);
  }

  protected setCard(side: 'width' | 'height', text: string): void {
    const value = Number(text.replace(',', '.'));
    this.fault.set(value > 0 && value <= 3000 ? undefined : checkWords.cardWrong(text));
    if (value > 0 && value <= 3000) this.card.update((card) => ({ ...card, [side]: value }));
  }

  /** @param isThere whether the mark is to be seen in it */
  protected keep(isThere: boolean): void {
    const { width, height } = this.card();
    const [a, b, c, d] = this.taps();
    if (a === undefined || b === undefined || c === undefined || d === undefined) return;
    this.#desk.do(checkWords.photoSquared, [
      this.#desk.set('photo', this.photo().id, {
        square: { taps: [a, b, c, d], width_nm: nmFromMm(width), height_nm: nmFromMm(height) },
        outline: isThere && this.outline().length >= 3 ? this.outline() : null,
      }),
    ]);
    this.kept.emit();
  }
}
