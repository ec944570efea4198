import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type Face, type Spot, placeAlong } from '@yellow-pane/core/strokes';
import type { TrimPlan } from '@yellow-pane/core/trimming';
import { arrowHead, facePath, faceScale, sheetFor, sizeOf, wayPath } from './stroke-drawing';

const HEAD = 12;
/** Numbers stand outside the surface. */
const OUT = 20;

/**
 * A surface with the edges that are trimmed: order, direction, corners to press in, and what is left as it
 * is.
 */
@Component({
  selector: 'yp-trim-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let own = drawn();
    <svg
      [attr.viewBox]="'0 0 ' + own.sheet.wide + ' ' + own.sheet.high"
      class="w-full max-h-[58vh] max-md:max-h-[44vh]"
      role="img"
      [attr.aria-label]="says()"
    >
      <path [attr.d]="own.outline" class="fill-glass stroke-line-strong" stroke-width="1.5" />
      @for (edge of own.left; track $index) {
        <path [attr.d]="edge" fill="none" class="stroke-ink" stroke-width="7" />
      }
      @for (cut of own.cuts; track cut.number) {
        <path [attr.d]="cut.way" fill="none" class="stroke-ink" stroke-width="3" stroke-dasharray="10 5" />
        <path [attr.d]="cut.head" fill="none" class="stroke-ink" stroke-width="3" />
        @for (at of cut.holds; track $index) {
          <path
            [attr.d]="'M' + (at.x - 7) + ' ' + (at.y - 7) + 'l14 14m0 -14l-14 14'"
            class="stroke-ink"
            stroke-width="2.5"
          />
        }
        <circle [attr.cx]="cut.label.x" [attr.cy]="cut.label.y" r="15" class="fill-now stroke-ink" />
        <text
          [attr.x]="cut.label.x"
          [attr.y]="cut.label.y + 7"
          text-anchor="middle"
          class="fill-now-ink font-bold text-[20px]"
        >
          {{ cut.number }}
        </text>
      }
      @for (corner of own.corners; track $index) {
        <circle
          [attr.cx]="corner.x"
          [attr.cy]="corner.y"
          r="10"
          class="fill-paper stroke-ink"
          stroke-width="3"
        />
      }
    </svg>
  `,
  host: { class: 'block' },
})
export class TrimPicture {
  readonly whole = input.required<Face>();
  readonly plan = input.required<TrimPlan>();
  readonly says = input.required<string>();
  protected readonly drawn = computed(() => {
    const { edges, cuts, corners } = this.plan();
    const scale = faceScale(this.whole(), 2.4 * OUT);
    const line = (path: readonly Spot[]): string => wayPath(path.map(scale.at));
    return {
      sheet: sheetFor(sizeOf(this.whole())),
      outline: facePath(this.whole(), scale),
      left: edges.filter(({ why }) => why !== null).map(({ path }) => line(path)),
      corners: corners.map(scale.at),
      cuts: cuts.map(({ number, path, goes }) => {
        const way = path.map(scale.at);
        return {
          number,
          way: line(path),
          head: arrowHead(way, HEAD),
          label: outside(placeAlong(way, 0.5), scale.at(middleOf(this.whole()))),
          /** Where the film is held between two goes. */
          holds: Array.from({ length: goes - 1 }, (_, index) => placeAlong(way, (index + 1) / goes)),
        };
      }),
    };
  });
}

function middleOf({ rings }: Face): Spot {
  const [outline = []] = rings;
  const count = Math.max(1, outline.length);
  return {
    x: outline.reduce((sum, { x }) => sum + x, 0) / count,
    y: outline.reduce((sum, { y }) => sum + y, 0) / count,
  };
}

function outside(at: Spot, middle: Spot): Spot {
  const away = Math.hypot(at.x - middle.x, at.y - middle.y) || 1;
  return { x: at.x + (OUT * (at.x - middle.x)) / away, y: at.y + (OUT * (at.y - middle.y)) / away };
}
