import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { PATTERN_CORNERS, type PatternLength, patternLengths } from '@yellow-pane/core/measure';
import { CoreError, formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import {
  type FourPoints,
  type GreyPicture,
  type Point,
  cornerNear,
  squarePattern,
} from '@yellow-pane/core/squaring';
import { Device } from '../device/device';
import { JobDesk } from '../job/job-desk';
import { shrinkWords } from '../words/shrink';
import { greyOf } from './grey-picture';

const CORNERS = PATTERN_CORNERS.length;
const TAPS = 2 * CORNERS;
/** A finger on a corner that was not found by itself; our guess. */
const TAP_PX = 1.5;
const LONGEST_PX = 1600;
const FRAME_MM = { width: 180, height: 240 };
/**
 * A paper pattern photographed beside a printed frame: eight taps, corrected on the picture, give its outline
 * in millimetres with its error, and take it into Survey.
 */
@Component({
  selector: 'yp-pattern-photo',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pattern-photo.html',
  host: { class: 'block' },
})
export class PatternPhoto {
  protected readonly words = shrinkWords;
  readonly #desk = inject(JobDesk);
  readonly #units = inject(Device).units;
  readonly surface = input.required<RowOf<'surface'>>();
  protected readonly frame = signal(FRAME_MM);
  protected readonly picture = signal<(GreyPicture & { readonly address: string }) | undefined>(undefined);
  protected readonly taps = signal<readonly Point[]>([]);
  protected readonly fault = signal<string | undefined>(undefined);
  readonly #held = signal<number | undefined>(undefined);
  private readonly drawing = viewChild<ElementRef<SVGSVGElement>>('drawing');
  /** What to tap next; undefined: all is tapped. */
  protected readonly next = computed(() => {
    const count = this.taps().length;
    if (this.picture() === undefined || count >= TAPS) return undefined;
    const corner = PATTERN_CORNERS[count % CORNERS]?.word ?? '';
    return count < CORNERS ? shrinkWords.tapFrame(corner) : shrinkWords.tapPattern(corner);
  });
  readonly #squared = computed((): readonly PatternLength[] | string => {
    const taps = this.taps();
    if (taps.length < TAPS) return '';
    try {
      const { outline, sd_mm } = squarePattern({
        frame: taps.slice(0, CORNERS) as unknown as FourPoints,
        frameWidth_mm: this.frame().width,
        frameHeight_mm: this.frame().height,
        pattern: taps.slice(CORNERS),
        tap_px: TAP_PX,
      });
      return patternLengths(outline, sd_mm);
    } catch (error) {
      if (error instanceof CoreError) return shrinkWords.tapsWrong;
      throw error;
    }
  });
  protected readonly lengths = computed(() => {
    const squared = this.#squared();
    return typeof squared === 'string'
      ? []
      : squared.map((own) => ({
          ...own,
          word: `${own.from.word} – ${own.to.word}`,
          says: `${this.#length(own.value_mm)} ±${this.#length(own.sd_mm)}`,
        }));
  });
  protected readonly wrong = computed(() => {
    const squared = this.#squared();
    return typeof squared === 'string' && squared !== '' ? squared : undefined;
  });

  protected async take(files: FileList | null): Promise<void> {
    const file = files?.[0];
    if (file === undefined) return;
    this.fault.set(undefined);
    this.taps.set([]);
    try {
      const grey = await greyOf(file, LONGEST_PX);
      this.#forget();
      this.picture.set({ ...grey, address: URL.createObjectURL(file) });
    } catch {
      this.fault.set(shrinkWords.noPicture(file.name));
    }
  }

  protected tap(event: PointerEvent): void {
    const at = this.#placeOf(event);
    const picture = this.picture();
    if (at === undefined || picture === undefined || this.taps().length >= TAPS) return;
    const isFrame = this.taps().length < CORNERS;
    this.taps.update((taps) => [...taps, isFrame ? cornerNear(picture, at) : at]);
  }

  protected hold(event: PointerEvent, index: number): void {
    event.stopPropagation();
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    this.#held.set(index);
  }

  protected drag(event: PointerEvent): void {
    const [index, at] = [this.#held(), this.#placeOf(event)];
    if (index !== undefined && at !== undefined) this.#move(index, at);
  }

  protected letGo(): void {
    this.#held.set(undefined);
  }

  protected step(event: KeyboardEvent, index: number): void {
    const by = { ArrowUp: [0, -1], ArrowDown: [0, 1], ArrowLeft: [-1, 0], ArrowRight: [1, 0] }[event.key];
    const own = this.taps()[index];
    if (by === undefined || own === undefined) return;
    event.preventDefault();
    this.#move(index, { x: own.x + (by[0] ?? 0), y: own.y + (by[1] ?? 0) });
  }

  protected setFrame(side: 'width' | 'height', text: string): void {
    const value = Number(text);
    this.fault.set(value > 0 ? undefined : shrinkWords.frameWrong(text));
    if (value > 0) this.frame.update((frame) => ({ ...frame, [side]: value }));
  }

  protected intoSurvey(): void {
    const surfaceId = this.surface().id;
    this.#desk.do(
      shrinkWords.patternTaken(this.surface().tag),
      this.lengths().map(({ from, to, value_mm, sd_mm }) => {
        const tenths = Math.round(value_mm * 10) / 10;
        return this.#desk.put('measure', {
          ...{
            surfaceId,
            kind: 'distance' as const,
            fromPoint: from.point,
            toPoint: to.point,
            text: String(tenths),
          },
          ...{ unit: 'mm' as const, value_nm: nmFromMm(tenths), instrument: 'photo' as const },
          sd_nm: nmFromMm(Math.max(0.1, Math.round(sd_mm * 10) / 10)),
        });
      }),
    );
    this.#forget();
    this.picture.set(undefined);
    this.taps.set([]);
  }

  #move(index: number, at: Point): void {
    this.taps.update((taps) => taps.map((tap, own) => (own === index ? at : tap)));
  }

  #placeOf(event: PointerEvent): Point | undefined {
    const matrix = this.drawing()?.nativeElement.getScreenCTM();
    if (matrix == null) return undefined;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return { x, y };
  }

  #forget(): void {
    const address = this.picture()?.address;
    if (address !== undefined) URL.revokeObjectURL(address);
  }

  readonly #length = (mm: number): string =>
    formatLengthWithUnit(nmFromMm(Math.round(mm * 10) / 10), this.#units());
}
