import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';

export interface RollPiece {
  readonly id: string;
  readonly tag: string;
  readonly x_nm: number;
  readonly y_nm: number;
  readonly across_nm: number;
  readonly along_nm: number;
}

const NM_PER_MM = 1e6;

/** The roll to scale, unrolling to the right; cross-cuts are upright. A piece can be picked by pointer; the list below serves the keyboard. */
@Component({
  selector: 'yp-roll-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg class="w-full h-auto max-h-full" [attr.viewBox]="viewBox()" role="img" [attr.aria-label]="label()">
      <rect x="0" y="0" [attr.width]="length()" [attr.height]="width()" class="fill-paper stroke-ink" stroke-width="2" vector-effect="non-scaling-stroke" />
      <path [attr.d]="hatch()" class="stroke-line-strong" stroke-width="0.7" vector-effect="non-scaling-stroke" fill="none" />
      @for (piece of drawn(); track piece.id) {
        <g class="cursor-pointer" (click)="picked.emit(piece.id)">
          <rect [attr.x]="piece.x" [attr.y]="piece.y" [attr.width]="piece.w" [attr.height]="piece.h" class="stroke-ink fill-glass" [attr.stroke-width]="piece.id === selectedId() ? 4 : 1.2" vector-effect="non-scaling-stroke" />
          <text [attr.x]="piece.x + piece.w / 2" [attr.y]="piece.y + piece.h / 2" text-anchor="middle" dominant-baseline="central" class="fill-ink font-semibold" [attr.font-size]="piece.size">{{ piece.tag }}</text>
        </g>
      }
      @for (cut of crossCuts(); track cut) { <line [attr.x1]="cut" [attr.x2]="cut" y1="0" [attr.y2]="width()" class="stroke-ink" stroke-width="1.5" stroke-dasharray="7 4" vector-effect="non-scaling-stroke" /> }
      @for (mark of marks(); track mark.at) {
        <text [attr.x]="mark.at" [attr.y]="width() + fontSize() * 1.5" [attr.font-size]="fontSize()" text-anchor="middle" class="fill-faint figure">{{ mark.text }}</text>
        <line [attr.x1]="mark.at" [attr.x2]="mark.at" [attr.y1]="width()" [attr.y2]="width() + fontSize() * 0.5" class="stroke-line-strong" vector-effect="non-scaling-stroke" />
      }
    </svg>
  `,
  host: { class: 'block' },
})
export class RollSheet {
  readonly rollWidth_nm = input.required<number>();
  readonly length_nm = input.required<number>();
  readonly pieces = input.required<readonly RollPiece[]>();
  readonly selectedId = input<string | undefined>(undefined);
  readonly picked = output<string>();
  protected readonly width = computed(() => this.rollWidth_nm() / NM_PER_MM);
  protected readonly length = computed(() => this.length_nm() / NM_PER_MM);
  protected readonly fontSize = computed(() => Math.max(this.length(), this.width() * 1.3) / 52);
  protected readonly viewBox = computed(() => `${-this.fontSize()} ${-this.fontSize() / 2} ${this.length() + 2 * this.fontSize()} ${this.width() + 2.6 * this.fontSize()}`);
  protected readonly label = computed(() => `Roll ${Math.round(this.width())} mm wide with ${this.pieces().length} pieces on ${(this.length() / 1000).toFixed(2)} m`);
  protected readonly drawn = computed(() => this.pieces().map(({ id, tag, x_nm, y_nm, across_nm, along_nm }) => {
    const [w, h] = [along_nm / NM_PER_MM, across_nm / NM_PER_MM];
    return { id, tag, x: y_nm / NM_PER_MM, y: x_nm / NM_PER_MM, w, h, size: Math.min(this.fontSize() * 1.5, w / (tag.length * 0.62), h * 0.8) };
  }));
  protected readonly crossCuts = computed(() => [...new Set(this.pieces().map(({ y_nm }) => y_nm / NM_PER_MM).filter((y) => y > 0)), this.length()]);
  protected readonly hatch = computed(() => {
    const step = this.fontSize() * 2;
    const lines: string[] = [];
    for (let start = step - this.width(); start < this.length(); start += step) {
      const from = Math.max(0, start);
      const to = Math.min(this.length(), start + this.width());
      if (to > from) lines.push(`M${from.toFixed(0)} ${(from - start).toFixed(0)}L${to.toFixed(0)} ${(to - start).toFixed(0)}`);
    }
    return lines.join('');
  });
  protected readonly marks = computed(() => {
    const step = [500, 1000, 2000, 5000, 10_000, 20_000, 50_000].find((candidate) => this.length() / candidate <= 14) ?? 100_000;
    return Array.from({ length: Math.floor(this.length() / step) + 1 }, (_, index) => ({ at: index * step, text: `${(index * step) / 1000} m` }));
  });
}
