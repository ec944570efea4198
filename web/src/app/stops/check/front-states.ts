import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { lookFrom } from '@yellow-pane/core/job';
import { outlineBounds, viewOutline } from '@yellow-pane/core/measure';
import { pathOf } from '../../drawing/drawing-geometry';
import { frontOf } from '@yellow-pane/core/reading';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { SurfaceStates } from '../../shell/surface-state';
import { StateMark } from '../../ui/state-mark';
import { checkWords } from '../../words/check';

const MARGIN_MM = 60;

/** The whole front of the surface in hand, from outside: good, begun, not looked at, to be done again. */
@Component({
  selector: 'yp-front-states',
  imports: [StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let own = drawn();
    @if (own.items.length > 1) {
      <section [attr.aria-label]="words.front(own.name)">
        <h2 class="font-bold">{{ words.front(own.name) }}</h2>
        <div
          class="relative mx-auto max-h-56"
          [style.aspect-ratio]="own.wide / own.high"
          [style.max-width.px]="own.most_px"
        >
          <svg
            [attr.viewBox]="'0 0 ' + own.wide + ' ' + own.high"
            class="absolute inset-0 size-full"
            aria-hidden="true"
          >
            @for (item of own.items; track item.id) {
              <path
                [attr.d]="item.path"
                class="fill-glass stroke-ink"
                [attr.stroke-width]="own.wide / (item.isPicked ? 150 : 450)"
              />
            }
          </svg>
          @for (item of own.items; track item.id) {
            <button
              type="button"
              class="absolute flex flex-col items-center justify-center gap-0.5 text-sm font-bold leading-none"
              [style.left.%]="item.left"
              [style.top.%]="item.top"
              [style.width.%]="item.width"
              [style.height.%]="item.height"
              (click)="selection.goToSurface(item.id)"
            >
              <yp-state-mark [shape]="item.state" />{{ item.tag }}
            </button>
          }
        </div>
        <p class="text-sm mt-1">{{ own.says }}</p>
      </section>
    }
  `,
  host: { class: 'block' },
})
export class FrontStates {
  protected readonly words = checkWords;
  protected readonly selection = inject(Selection);
  readonly #reading = inject(JobReading);
  readonly #states = inject(SurfaceStates);
  protected readonly drawn = computed(() => {
    const picked = this.selection.surface();
    const all = frontOf(this.#reading.view(), picked?.placeId);
    const top = Math.max(1, ...all.map(({ foot, height }) => foot + height));
    const left = Math.min(...all.map((own) => own.left));
    const wide = Math.max(1, ...all.map((own) => own.left + own.width)) - left + 2 * MARGIN_MM;
    const high = top - Math.min(top, ...all.map(({ foot }) => foot)) + 2 * MARGIN_MM;
    const items = all.map(({ surface, outline, left: from, foot, width, height }) => {
      const shape = outline ?? [
        { x: 0, y: 0 },
        { x: width, y: 0 },
        { x: width, y: height },
        { x: 0, y: height },
      ];
      const seen = viewOutline(shape, surface.seenFrom, lookFrom(surface.seenFrom, 'outside'));
      const bounds = outlineBounds(seen);
      const [x, y] = [from - left + MARGIN_MM, top - foot - height + MARGIN_MM];
      return {
        ...{ id: surface.id, tag: surface.tag, isPicked: surface.id === picked?.id },
        state: this.#states.at('check', surface.id),
        path: pathOf(seen.map((spot) => ({ x: x + spot.x - bounds.left, y: y + spot.y - bounds.top }))),
        ...{ left: (100 * x) / wide, top: (100 * y) / high },
        ...{ width: (100 * width) / wide, height: (100 * height) / high },
      };
    });
    const count = (state: string): number => items.filter((own) => own.state === state).length;
    return {
      ...{ items, wide, high, most_px: (224 * wide) / high },
      name: this.#reading.placeById().get(picked?.placeId ?? '')?.name ?? '',
      says: checkWords.frontSays(count('full'), count('half'), count('barred'), count('open')),
    };
  });
}
