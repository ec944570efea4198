import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  input,
  output,
  viewChild,
} from '@angular/core';
import { uiWords } from '../words/ui';

const MIDDLE = 60;
const WINDS = [
  ['N', 0],
  ['E', 90],
  ['S', 180],
  ['W', 270],
] as const;

/** A bearing to set by dragging, by arrow keys, or by typing beside it. Unknown has no needle. */
@Component({
  selector: 'yp-compass-dial',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      #dial
      viewBox="0 0 120 120"
      class="w-28 shrink-0 touch-none cursor-pointer"
      role="slider"
      tabindex="0"
      aria-valuemin="0"
      aria-valuemax="359"
      [attr.aria-valuenow]="bearing() ?? 0"
      [attr.aria-valuetext]="bearing() === null ? words.unknown : words.degrees(bearing() ?? 0)"
      [attr.aria-label]="label()"
      (pointerdown)="grab($event)"
      (pointermove)="turn($event)"
      (keydown)="key($event)"
    >
      <circle cx="60" cy="60" r="46" class="fill-paper stroke-ink" stroke-width="1.5" />
      @for (tick of ticks; track tick) {
        <path
          [attr.d]="'M60 15v5'"
          [attr.transform]="'rotate(' + tick + ' 60 60)'"
          class="stroke-line-strong"
        />
      }
      @for (wind of winds; track wind[0]) {
        <text
          [attr.x]="60 + 53 * sin(wind[1])"
          [attr.y]="60 - 53 * cos(wind[1])"
          class="fill-ink text-[11px] font-bold"
          text-anchor="middle"
          dominant-baseline="central"
        >
          {{ wind[0] }}
        </text>
      }
      @for (point of skyline(); track $index) {
        <path [attr.d]="point" class="stroke-film" stroke-width="3" stroke-opacity="0.5" />
      }
      @if (bearing() !== null) {
        <path
          [attr.transform]="'rotate(' + bearing() + ' 60 60)'"
          d="M60 22l8 38a8 8 0 1 1-16 0z"
          class="fill-ink"
        />
      } @else {
        <text x="60" y="64" class="fill-ink text-xs" text-anchor="middle">{{ words.unknown }}</text>
      }
    </svg>
  `,
})
export class CompassDial {
  protected readonly words = uiWords;
  readonly bearing = input.required<number | null>();
  readonly horizon = input<readonly { readonly bearing_deg: number; readonly elevation_deg: number }[]>([]);
  readonly label = input(uiWords.bearing);
  readonly turned = output<number>();
  private readonly dial = viewChild.required<ElementRef<SVGElement>>('dial');
  protected readonly winds = WINDS;
  protected readonly ticks = Array.from({ length: 24 }, (_, index) => index * 15);
  protected readonly skyline = computed(() =>
    this.horizon().map(
      ({ bearing_deg, elevation_deg }) =>
        `M${this.#at(bearing_deg, 46)}L${this.#at(bearing_deg, 46 - Math.max(0, elevation_deg) / 2)}`,
    ),
  );

  protected sin(degrees: number): number {
    return Math.sin((degrees * Math.PI) / 180);
  }

  protected cos(degrees: number): number {
    return Math.cos((degrees * Math.PI) / 180);
  }

  protected grab(event: PointerEvent): void {
    this.dial().nativeElement.setPointerCapture(event.pointerId);
    this.turn(event);
  }

  protected turn(event: PointerEvent): void {
    if (event.buttons === 0) return;
    const { left, top, width, height } = this.dial().nativeElement.getBoundingClientRect();
    const [x, y] = [event.clientX - left - width / 2, event.clientY - top - height / 2];
    this.turned.emit((Math.round((Math.atan2(x, -y) * 180) / Math.PI) + 360) % 360);
  }

  protected key(event: KeyboardEvent): void {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 15, PageDown: -15 }[
      event.key
    ];
    if (by === undefined) return;
    event.preventDefault();
    this.turned.emit(((this.bearing() ?? 0) + by + 360) % 360);
  }

  #at(bearing: number, radius: number): string {
    return `${(MIDDLE + radius * this.sin(bearing)).toFixed(1)} ${(MIDDLE - radius * this.cos(bearing)).toFixed(1)}`;
  }
}
