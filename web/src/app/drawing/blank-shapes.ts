import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { drawBlanks } from './blank-drawing';

/** Film over a surface, to scale: drops, the surface, its openings and the seams. Part of an SVG drawing. */
@Component({
  selector: 'g[ypBlankShapes]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let own = ypBlankShapes();
    @for (drop of own.drops; track drop.no) {
      <svg:rect
        [attr.x]="drop.x"
        [attr.y]="drop.y"
        [attr.width]="drop.w"
        [attr.height]="drop.h"
        class="fill-film stroke-ink"
        fill-opacity="0.14"
        stroke-width="1.4"
      />
    }
    @if (own.sector) {
      <svg:path [attr.d]="own.sector" class="fill-film stroke-ink" fill-opacity="0.14" stroke-width="1.4" />
    }
    <svg:path [attr.d]="own.surface" class="fill-glass stroke-ink" fill-opacity="0.55" stroke-width="2.2" />
    @for (hole of own.holes; track $index) {
      <svg:rect
        [attr.x]="hole.x"
        [attr.y]="hole.y"
        [attr.width]="hole.w"
        [attr.height]="hole.h"
        class="fill-board stroke-line-strong"
      />
    }
    @for (seam of own.seams; track $index) {
      <svg:line
        [attr.x1]="seam.x1"
        [attr.y1]="seam.y1"
        [attr.x2]="seam.x2"
        [attr.y2]="seam.y2"
        class="stroke-stop"
        stroke-width="2.5"
        stroke-dasharray="9 5"
      />
    }
  `,
})
export class BlankShapes {
  readonly ypBlankShapes = input.required<ReturnType<typeof drawBlanks>>();
}
