import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { MarkVerdict } from '@yellow-pane/core/job';
import { VERDICT_OF_MARK } from '@yellow-pane/core/judging';
import type { Verdict } from '@yellow-pane/core/quantity';
import type { Face, Spot } from '@yellow-pane/core/strokes';
import { facePath, faceScale, sheetFor, sizeOf } from './stroke-drawing';

/** A mark on the picture. */
export interface PinOnPicture {
  readonly id: string;
  readonly number: number;
  readonly at: Spot;
  readonly verdict: MarkVerdict | undefined;
}

const TONES: Readonly<Record<Verdict, string>> = {
  go: 'fill-paper stroke-go',
  'go with care': 'fill-paper stroke-care',
  unknown: 'fill-paper stroke-ink',
  stop: 'fill-paper stroke-stop',
};

/** A surface with its marks by number; a tap puts one there, or picks the one that is there. */
@Component({
  selector: 'yp-mark-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let own = drawn();
    <svg
      [attr.viewBox]="'0 0 ' + own.sheet.wide + ' ' + own.sheet.high"
      class="w-full max-h-[58vh] max-md:max-h-[46vh]"
      role="img"
      [attr.aria-label]="says()"
      (click)="touch($event)"
    >
      <path [attr.d]="own.outline" class="fill-glass stroke-ink" stroke-width="2.2" />
      @for (pin of own.pins; track pin.id) {
        <g [attr.data-pin]="pin.number">
          <circle
            [attr.cx]="pin.x"
            [attr.cy]="pin.y"
            [attr.r]="pin.id === picked() ? 19 : 15"
            [class]="pin.tone"
            [attr.stroke-width]="pin.id === picked() ? 6 : 4"
            [attr.stroke-dasharray]="pin.isUnknown ? '5 3' : null"
          />
          <text
            [attr.x]="pin.x"
            [attr.y]="pin.y + 6"
            text-anchor="middle"
            class="fill-ink font-bold text-[17px]"
            pointer-events="none"
          >
            {{ pin.number }}
          </text>
        </g>
      }
    </svg>
  `,
  host: { class: 'block' },
})
export class MarkPicture {
  readonly face = input.required<Face>();
  readonly pins = input.required<readonly PinOnPicture[]>();
  readonly picked = input<string | undefined>(undefined);
  readonly says = input.required<string>();
  readonly touched = output<Spot>();
  readonly pick = output<string>();
  readonly #scale = computed(() => faceScale(this.face()));
  protected readonly drawn = computed(() => {
    const scale = this.#scale();
    return {
      sheet: sheetFor(sizeOf(this.face())),
      outline: facePath(this.face(), scale),
      pins: this.pins().map(({ id, number, at, verdict }) => {
        const own = verdict === undefined ? 'unknown' : VERDICT_OF_MARK[verdict];
        return { id, number, ...scale.at(at), tone: TONES[own], isUnknown: own === 'unknown' };
      }),
    };
  });

  protected touch(event: MouseEvent): void {
    const drawing = event.currentTarget;
    const matrix = drawing instanceof SVGSVGElement ? drawing.getScreenCTM() : null;
    if (matrix === null) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    const near = this.drawn().pins.find((pin) => Math.hypot(pin.x - x, pin.y - y) < NEAR);
    if (near === undefined) this.touched.emit(this.#scale().from({ x, y }));
    else this.pick.emit(near.id);
  }
}

/** A tap so near to a pin means it. */
const NEAR = 19;
