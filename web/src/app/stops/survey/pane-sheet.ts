import { ChangeDetectionStrategy, Component, type ElementRef, DestroyRef, computed, inject, input, output, signal, viewChild, viewChildren, afterNextRender } from '@angular/core';
import { type Outline, PANE_SLOTS, distanceWord, viewOutline } from '@yellow-pane/core/measure';
import type { PanePoint, SeenFrom } from '@yellow-pane/core/job';
import { MeasureField } from './measure-field';
import { between, dimensionLine, fieldPosition, pointsOnSheet } from './drawing-geometry';

export interface SheetMeasure {
  readonly key: string;
  readonly from: PanePoint;
  readonly to: PanePoint;
  readonly text: string;
  readonly fault: string | undefined;
  readonly isDraft: boolean;
  readonly isSuspect: boolean;
}

const MIRRORED: Readonly<Record<PanePoint, PanePoint>> = { tl: 'tr', tr: 'tl', bl: 'br', br: 'bl', ml: 'mr', mr: 'ml', mt: 'mt', mb: 'mb' };
const UNKNOWN_SHAPE: Outline = [{ x: 0, y: 0 }, { x: 3, y: 0 }, { x: 3, y: 4 }, { x: 0, y: 4 }];

/** The pane to scale with a field at every customary measure. The drawing is the interface. */
@Component({
  selector: 'yp-pane-sheet',
  imports: [MeasureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div #sheet class="absolute inset-0">
      <svg class="absolute inset-0" [attr.width]="size().width" [attr.height]="size().height" role="img" [attr.aria-label]="outline() ? 'The pane to scale, seen from ' + lookFrom() : 'Shape not known yet'">
        <path [attr.d]="shape()" [class]="outline() ? 'fill-glass' : 'fill-none'" class="stroke-ink" stroke-width="2" [attr.stroke-dasharray]="outline() ? null : '6 5'" />
        @for (line of lines(); track line.key) {
          <path [attr.d]="line.path" fill="none" [class]="line.isSuspect ? 'stroke-stop' : 'stroke-line-strong'" [attr.stroke-width]="line.isSuspect ? 2.5 : 1.2" [attr.stroke-dasharray]="line.isInner ? '2 5' : null" />
        }
      </svg>
      @for (field of fields(); track field.key) {
        <yp-measure-field [slot]="field.key" [label]="field.label" [text]="field.text" [fault]="field.fault" [isDraft]="field.isDraft" [isSuspect]="field.isSuspect" [isNext]="field.key === nextKey()" [style.left.px]="field.at.x" [style.top.px]="field.at.y" [class.z-10]="field.fault !== undefined"
          (typed)="typed.emit({ key: field.key, text: $event })" (left)="left.emit(field.key)" (reachedField)="reached.emit(field.key)" (walked)="walk(field.key, $event)" />
      }
    </div>
  `,
  host: { class: 'relative block flex-1 min-h-[320px]' },
})
export class PaneSheet {
  readonly outline = input.required<Outline | undefined>();
  readonly measures = input.required<readonly SheetMeasure[]>();
  readonly seenFrom = input.required<SeenFrom>();
  readonly lookFrom = input.required<SeenFrom>();
  readonly nextKey = input<string | undefined>(undefined);
  readonly typed = output<{ readonly key: string; readonly text: string }>();
  readonly left = output<string>();
  readonly reached = output<string>();
  readonly dropped = output<string>();
  readonly finished = output();

  private readonly sheetElement = viewChild.required<ElementRef<HTMLElement>>('sheet');
  private readonly fieldViews = viewChildren(MeasureField);
  protected readonly size = signal({ width: 690, height: 520 });
  readonly #isMirrored = computed(() => this.seenFrom() !== this.lookFrom());
  readonly #points = computed(() => {
    const { width, height } = this.size();
    const outline = this.outline() ?? UNKNOWN_SHAPE;
    return pointsOnSheet(viewOutline(outline, this.seenFrom(), this.lookFrom()), { width, height, marginX: width < 420 ? 94 : 106, marginY: 48 });
  });
  protected readonly shape = computed(() => {
    const { tl, tr, br, bl } = this.#points();
    return `M${[tl, tr, br, bl].map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;
  });
  protected readonly fields = computed(() => this.measures().map((measure) => {
    const { from, to } = this.#shown(measure);
    const slot = PANE_SLOTS.find((candidate) => isBetween(candidate, from, to));
    const at = slot === undefined ? between(this.#points()[from], this.#points()[to], 0.72) : fieldPosition(slot.key, this.#points());
    const { width, height } = this.size();
    const half = width < 420 ? 38 : 48;
    return { ...measure, label: capital(distanceWord(from, to)), at: { x: Math.min(width - half, Math.max(half, at.x)), y: Math.min(height - 20, Math.max(20, at.y)) } };
  }));
  protected readonly lines = computed(() => this.measures().flatMap((measure) => {
    const { from, to } = this.#shown(measure);
    const slot = PANE_SLOTS.find((candidate) => isBetween(candidate, from, to));
    const line = slot === undefined ? ([this.#points()[from], this.#points()[to]] as const) : dimensionLine(slot.key, this.#points());
    if (line === undefined) return [];
    const [start, end] = line;
    const isInner = slot === undefined || slot.group === 'diagonal' || slot.key.endsWith('middle');
    return [{ key: measure.key, isSuspect: measure.isSuspect, isInner, path: `M${start.x.toFixed(1)} ${start.y.toFixed(1)}L${end.x.toFixed(1)} ${end.y.toFixed(1)}${isInner ? '' : ticks(start, end)}` }];
  }));

  constructor() {
    const destroy = inject(DestroyRef);
    afterNextRender(() => {
      const sheet = this.sheetElement().nativeElement;
      const observer = new ResizeObserver(() => { this.size.set({ width: sheet.clientWidth, height: sheet.clientHeight }); });
      observer.observe(sheet);
      destroy.onDestroy(() => { observer.disconnect(); });
    });
  }

  focusField(key: string): void {
    this.fieldViews().find((field) => field.slot() === key)?.focus();
  }

  protected walk(key: string, way: 'next' | 'left' | 'right' | 'up' | 'down' | 'drop'): void {
    if (way === 'drop') {
      this.dropped.emit(key);
      return;
    }
    const fields = this.fields();
    const index = fields.findIndex((field) => field.key === key);
    const here = fields[index];
    if (here === undefined) return;
    if (way === 'next') {
      const next = fields[index + 1];
      if (next === undefined) this.finished.emit();
      else this.focusField(next.key);
      return;
    }
    const across = way === 'left' || way === 'right';
    const sign = way === 'left' || way === 'up' ? -1 : 1;
    const ahead = fields
      .map((field) => ({ field, along: sign * (across ? field.at.x - here.at.x : field.at.y - here.at.y), aside: Math.abs(across ? field.at.y - here.at.y : field.at.x - here.at.x) }))
      .filter(({ along }) => along > 4)
      .sort((a, b) => a.along + 2 * a.aside - (b.along + 2 * b.aside));
    const next = ahead[0];
    if (next !== undefined) this.focusField(next.field.key);
  }

  #shown({ from, to }: Pick<SheetMeasure, 'from' | 'to'>): { readonly from: PanePoint; readonly to: PanePoint } {
    return this.#isMirrored() ? { from: MIRRORED[from], to: MIRRORED[to] } : { from, to };
  }
}

function isBetween(slot: { readonly from: PanePoint; readonly to: PanePoint }, from: PanePoint, to: PanePoint): boolean {
  return (slot.from === from && slot.to === to) || (slot.from === to && slot.to === from);
}

function ticks(start: { readonly x: number; readonly y: number }, end: { readonly x: number; readonly y: number }): string {
  const isUpright = Math.abs(end.x - start.x) < Math.abs(end.y - start.y);
  return [start, end].map(({ x, y }) => (isUpright ? `M${(x - 6).toFixed(1)} ${y.toFixed(1)}h12` : `M${x.toFixed(1)} ${(y - 6).toFixed(1)}v12`)).join('');
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
