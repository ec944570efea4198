import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type Outline, outlineBounds } from '@yellow-pane/core/measure';

const BOX = 36;

/**
 * A surface as a small outline to the scale all outlines of the list share. Dashed: not measured. Hatched:
 * measures disagree.
 */
@Component({
  selector: 'yp-mini-outline',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + box + ' ' + box" [attr.width]="box" [attr.height]="box" aria-hidden="true">
      <path
        [attr.d]="path()"
        [attr.stroke-dasharray]="outline() ? null : '3 2'"
        [class]="outline() ? 'fill-glass' : 'fill-none'"
        stroke="currentColor"
        stroke-width="1.3"
      />
      @if (disagrees()) {
        <path [attr.d]="hatch()" stroke="currentColor" stroke-width="1" class="text-stop" />
      }
    </svg>
  `,
  host: { class: 'inline-flex shrink-0' },
})
export class MiniOutline {
  readonly outline = input.required<Outline | undefined>();
  /** Pixels per millimetre, the same for the whole list. */
  readonly scale = input.required<number>();
  readonly disagrees = input(false);
  protected readonly box = BOX;
  readonly #points = computed(() => {
    const outline = this.outline();
    if (outline === undefined)
      return [
        { x: 10, y: 6 },
        { x: 26, y: 6 },
        { x: 26, y: 30 },
        { x: 10, y: 30 },
      ];
    const { left, top, width, height } = outlineBounds(outline);
    const scale = Math.max(this.scale(), 6 / Math.max(width, 1), 6 / Math.max(height, 1));
    return outline.map(({ x, y }) => ({
      x: BOX / 2 + (x - left - width / 2) * scale,
      y: BOX / 2 + (y - top - height / 2) * scale,
    }));
  });
  protected readonly path = computed(
    () =>
      `M${this.#points()
        .map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`)
        .join('L')}Z`,
  );
  protected readonly hatch = computed(() => {
    const xs = this.#points().map(({ x }) => x);
    const ys = this.#points().map(({ y }) => y);
    const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const lines: string[] = [];
    for (let start = top; start < bottom; start += 5)
      lines.push(
        `M${left.toFixed(1)} ${Math.min(start + (right - left), bottom).toFixed(1)}L${Math.min(right, left + Math.min(right - left, bottom - start)).toFixed(1)} ${start.toFixed(1)}`,
      );
    return lines.join('');
  });
}
