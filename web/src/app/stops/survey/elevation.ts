import { figuresIn } from '@yellow-pane/contracts/words';
import { Device } from '../../device/device';
import { CdkDrag, type CdkDragEnd } from '@angular/cdk/drag-drop';
import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  type ElementRef,
  afterNextRender,
  computed,
  inject,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { type RowOf, lookFrom } from '@yellow-pane/core/job';
import { outlineBounds, viewOutline } from '@yellow-pane/core/measure';
import { nmFromMm } from '@yellow-pane/core/quantity';
import { JobDesk } from '../../job/job-desk';
import { frontOf } from '@yellow-pane/core/reading';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { pathOf } from '../../drawing/drawing-geometry';
import { surveyWords } from '../../words/survey';

interface Placed {
  readonly surface: RowOf<'surface'>;
  readonly isPlaced: boolean;
  readonly isKnown: boolean;
  /** Millimetres: left from the place's left end, lower edge above its foot, seen from outside. */
  readonly left: number;
  readonly foot: number;
  readonly width: number;
  readonly height: number;
  readonly path: string;
  readonly px: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

const SNAP_PX = 9;
const MARGIN = 36;

/**
 * A front, car side or room as one stands before it: which surface sits where. Dragged, snapped, or moved by
 * keys.
 */
@Component({
  selector: 'yp-elevation',
  imports: [CdkDrag],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="flex items-baseline flex-wrap gap-x-3 px-5 pt-3">
      <h1 class="text-2xl">{{ words.elevation }}</h1>
      <label class="inline-flex items-center gap-2"
        >{{ words.of }}
        <select
          class="border border-line-strong rounded-card bg-paper min-h-10 px-2 font-semibold"
          (change)="chosenId.set($any($event.target).value)"
        >
          @for (place of places(); track place.id) {
            <option [value]="place.id" [selected]="place.id === place_()?.id">{{ place.name }}</option>
          }
        </select></label
      >
      <p class="text-faint">
        {{ words.seenFrom(looksFrom()) }}
        @if (place_()?.bearing_deg !== null) {
          {{ words.facing(place_()?.bearing_deg ?? '') }}
        }
      </p>
      <button
        type="button"
        class="act act-small act-quiet underline underline-offset-2"
        (click)="isFromInside.set(!isFromInside())"
      >
        {{ words.otherSide }}
      </button>
      <button
        type="button"
        class="act act-small act-quiet underline underline-offset-2"
        [attr.aria-pressed]="isNear()"
        (click)="isNear.set(!isNear())"
      >
        {{ isNear() ? words.wholeFront : words.nearer }}
      </button>
      <button type="button" class="act act-next ml-auto" (click)="closed.emit()">
        {{ words.backTo }} {{ selection.surface()?.tag ?? words.theSurface }}
      </button>
    </div>
    <div #board class="relative flex-1 min-h-[300px] mx-5 my-3 overflow-hidden">
      <svg
        class="absolute inset-0"
        [attr.width]="size().width"
        [attr.height]="size().height"
        aria-hidden="true"
      >
        <line
          [attr.x1]="0"
          [attr.x2]="size().width"
          [attr.y1]="ground()"
          [attr.y2]="ground()"
          class="stroke-ink"
          stroke-width="2"
        />
        @for (guide of guides(); track $index) {
          <line
            [attr.x1]="guide.x1"
            [attr.x2]="guide.x2"
            [attr.y1]="guide.y1"
            [attr.y2]="guide.y2"
            class="stroke-line-strong"
            stroke-dasharray="5 4"
          />
        }
      </svg>
      @for (item of items(); track item.surface.id) {
        <button
          type="button"
          cdkDrag
          [cdkDragBoundary]="board"
          [cdkDragFreeDragPosition]="{ x: item.px.x, y: item.px.y }"
          class="absolute left-0 top-0 cursor-move touch-none"
          [attr.aria-label]="words.placedAt(item.surface.tag, about(item.left), about(item.foot))"
          [style.width.px]="item.px.width"
          [style.height.px]="item.px.height"
          (cdkDragEnded)="dropped(item, $event)"
          (click)="selection.goToSurface(item.surface.id)"
          (dblclick)="closed.emit()"
          (keydown)="nudge(item, $event)"
        >
          <svg
            class="absolute inset-0 overflow-visible"
            [attr.width]="item.px.width"
            [attr.height]="item.px.height"
          >
            <path
              [attr.d]="item.path"
              [class]="item.isKnown ? 'fill-glass' : 'fill-board'"
              class="stroke-ink"
              [attr.stroke-width]="item.surface.id === selection.surface()?.id ? 3 : 1.3"
              [attr.stroke-dasharray]="item.isPlaced ? null : '6 4'"
            />
          </svg>
          <span
            class="relative font-bold text-sm px-1 bg-ground/85 rounded-card"
            [class.underline]="item.surface.id === selection.surface()?.id"
            >{{ item.surface.tag }}</span
          >
        </button>
      } @empty {
        <p class="m-6">
          {{ words.noneAtPlace }}
        </p>
      }
    </div>
    <p class="px-5 pb-3 text-sm text-faint">
      {{ unplaced() === 0 ? words.allPlaced : words.notPlacedYet(unplaced()) }}
      {{ words.howToPlace }}
    </p>
  `,
  host: { class: 'flex flex-col flex-1 min-h-0' },
})
export class Elevation {
  protected readonly words = surveyWords;
  readonly #units = inject(Device).units;
  protected readonly about = (value_mm: number): string => figuresIn(this.#units()).about(value_mm);
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  protected readonly selection = inject(Selection);
  readonly closed = output();
  private readonly board = viewChild.required<ElementRef<HTMLElement>>('board');
  protected readonly chosenId = signal<string | undefined>(undefined);
  protected readonly isFromInside = signal(false);
  protected readonly size = signal({ width: 650, height: 420 });
  protected readonly guides = signal<
    readonly { readonly x1: number; readonly x2: number; readonly y1: number; readonly y2: number }[]
  >([]);

  protected readonly places = computed(() =>
    this.#reading.places().filter(({ id }) => this.#reading.surfaces().some(({ placeId }) => placeId === id)),
  );
  protected readonly place_ = computed(
    () =>
      this.places().find(({ id }) => id === (this.chosenId() ?? this.selection.surface()?.placeId)) ??
      this.places()[0],
  );
  protected readonly looksFrom = computed(() => (this.isFromInside() ? 'inside' : 'outside'));
  /** As near as its surfaces allow; else with the ground they stand over. */
  protected readonly isNear = signal(false);
  readonly #laid = computed(() => frontOf(this.#reading.view(), this.place_()?.id));
  readonly #frame = computed(() => {
    const all = this.#laid();
    const isNear = this.isNear() && all.length > 0;
    const right = Math.max(isNear ? -Infinity : 2000, ...all.map(({ left, width }) => left + width));
    const left = Math.min(isNear ? Infinity : 0, ...all.map((item) => item.left));
    const top = Math.max(isNear ? -Infinity : 1500, ...all.map(({ foot, height }) => foot + height));
    const low = isNear ? Math.min(...all.map(({ foot }) => foot)) : 0;
    const scale = Math.min(
      (this.size().width - 2 * MARGIN) / (right - left),
      (this.size().height - 2 * MARGIN) / (top - low),
    );
    /** A front that is wide leaves room over it: half of that is left below, and what lies under it. */
    const below = Math.max(0, this.size().height - 2 * MARGIN - (top - low) * scale) / 2 - low * scale;
    return { left, right, scale, below, x0: (this.size().width - (right - left) * scale) / 2 };
  });
  protected readonly ground = computed(() => this.size().height - MARGIN - this.#frame().below);
  protected readonly unplaced = computed(() => this.#laid().filter(({ isPlaced }) => !isPlaced).length);
  protected readonly items = computed<readonly Placed[]>(() => {
    const { scale } = this.#frame();
    return this.#laid().map(({ surface, outline, isPlaced, left, foot, width, height }) => {
      const shape = outline ?? [
        { x: 0, y: 0 },
        { x: width, y: 0 },
        { x: width, y: height },
        { x: 0, y: height },
      ];
      const seen = viewOutline(
        shape,
        surface.seenFrom,
        lookFrom(surface.seenFrom, this.isFromInside() ? 'inside' : 'outside'),
      );
      const { left: l, top: t } = outlineBounds(seen);
      return {
        surface,
        isPlaced,
        left,
        foot,
        width,
        height,
        isKnown: outline !== undefined,
        path: pathOf(seen.map(({ x, y }) => ({ x: (x - l) * scale, y: (y - t) * scale }))),
        px: {
          x: this.#toX(left, width),
          y: this.ground() - (foot + height) * scale,
          width: width * scale,
          height: height * scale,
        },
      };
    });
  });

  constructor() {
    const destroy = inject(DestroyRef);
    afterNextRender(() => {
      const board = this.board().nativeElement;
      const observer = new ResizeObserver(() => {
        this.size.set({ width: board.clientWidth, height: board.clientHeight });
      });
      observer.observe(board);
      destroy.onDestroy(() => {
        observer.disconnect();
      });
    });
  }

  protected dropped(item: Placed, event: CdkDragEnd): void {
    const { x, y } = event.source.getFreeDragPosition();
    const snapped = this.#snapped(item, x, y);
    this.#put(
      item,
      this.#fromX(snapped.x, item.width),
      (this.ground() - snapped.y) / this.#frame().scale - item.height,
    );
    event.source.setFreeDragPosition(snapped);
  }

  protected nudge(item: Placed, event: KeyboardEvent): void {
    const by = event.shiftKey ? 1 : 10;
    const moves: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, by],
      ArrowDown: [0, -by],
    };
    const move = moves[event.key];
    if (move === undefined) return;
    event.preventDefault();
    const sign = this.isFromInside() ? -1 : 1;
    this.#put(item, item.left + sign * move[0], item.foot + move[1]);
  }

  #put({ surface }: Placed, left: number, foot: number): void {
    this.#desk.do(surveyWords.onElevation(surface.tag), [
      this.#desk.set('surface', surface.id, {
        atX_nm: nmFromMm(Math.round(left)),
        atY_nm: nmFromMm(Math.round(Math.max(0, foot))),
      }),
    ]);
  }

  /** Left and right, top and foot snap to those of the others, and the foot to the ground. */
  #snapped(item: Placed, x: number, y: number): { readonly x: number; readonly y: number } {
    const others = this.items().filter(({ surface }) => surface.id !== item.surface.id);
    const { width, height } = item.px;
    const guides: { x1: number; x2: number; y1: number; y2: number }[] = [];
    const nearest = (
      edges: readonly number[],
      targets: readonly number[],
    ): { readonly shift: number; readonly at: number } | undefined =>
      edges
        .flatMap((edge) => targets.map((target) => ({ shift: target - edge, at: target })))
        .filter(({ shift }) => Math.abs(shift) <= SNAP_PX)
        .sort((a, b) => Math.abs(a.shift) - Math.abs(b.shift))[0];
    const across = nearest(
      [x, x + width],
      others.flatMap(({ px }) => [px.x, px.x + px.width]),
    );
    const down = nearest(
      [y, y + height],
      [this.ground(), ...others.flatMap(({ px }) => [px.y, px.y + px.height])],
    );
    if (across !== undefined) guides.push({ x1: across.at, x2: across.at, y1: 0, y2: this.size().height });
    if (down !== undefined) guides.push({ x1: 0, x2: this.size().width, y1: down.at, y2: down.at });
    this.guides.set(guides);
    return { x: x + (across?.shift ?? 0), y: y + (down?.shift ?? 0) };
  }

  #toX(left: number, width: number): number {
    const { left: from, right, scale, x0 } = this.#frame();
    return this.isFromInside() ? x0 + (right - left - width) * scale : x0 + (left - from) * scale;
  }

  #fromX(x: number, width: number): number {
    const { left: from, right, scale, x0 } = this.#frame();
    return this.isFromInside() ? right - width - (x - x0) / scale : (x - x0) / scale + from;
  }
}
