import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RULES } from '@yellow-pane/core/rules';
import { openTime } from '@yellow-pane/core/waiting';
import { Figure } from '../../ui/figure';
import { fitWords } from '../../words/fit';
import { ReadyHere } from './ready-here';

/** How long slip stays open on this surface as it is now. */
@Component({
  selector: 'yp-stays-wet',
  imports: [Figure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (time(); as wet) {
      @if (wet.likely_min; as likely) {
        <yp-figure
          [label]="words.staysWet"
          [value]="
            words.wetFor(minutes(likely.value), minutes(wet.least_min ?? 0), minutes(wet.most_min ?? 0))
          "
          [why]="likely.why"
        />
      } @else {
        <p class="font-semibold leading-snug">{{ words.doesNotDry }}</p>
      }
    } @else {
      <p class="leading-snug text-faint">{{ words.staysWetUnknown }}</p>
    }
  `,
  host: { class: 'block' },
})
export class StaysWet {
  protected readonly words = fitWords;
  readonly #here = inject(ReadyHere);
  readonly now_ms = input.required<number>();
  protected readonly time = computed(() => {
    const now_ms = this.now_ms();
    const [nearest] = this.#here
      .moments()
      .toSorted((a, b) => Math.abs(a.instant_ms - now_ms) - Math.abs(b.instant_ms - now_ms));
    if (nearest === undefined || Math.abs(nearest.instant_ms - now_ms) > HOUR_MS) return undefined;
    const { surface_C, air_C, humidity } = nearest;
    return openTime({ surface_C, air_C, humidity, draught_ms: RULES.usualDraught.value });
  });

  protected minutes(value: number): number {
    return Math.round(value);
  }
}

const HOUR_MS = 3_600_000;
