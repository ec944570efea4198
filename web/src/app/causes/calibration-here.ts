import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LOOK_TABLES, calibrationOf } from '@yellow-pane/core/diagnosing';
import { inEnd } from '@yellow-pane/core/reading';
import { ExperienceBook } from '../catalogue/experience-book';
import { causesWords } from '../words/causes';

/** Whether the certainty that was shown was deserved, over all cases whose cause was seen in the end. */
@Component({
  selector: 'yp-calibration-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="calibration">
      <h2 id="calibration" class="text-xl mt-6">{{ words.calibration }}</h2>
      <p class="text-lg">{{ words.calibrationSays(own()) }}</p>
      @if (own().brier; as score) {
        <p>{{ words.brier(score) }}</p>
      }
      @if (own().z; as z) {
        <p>{{ words.zIs(z) }}</p>
      }
      <p>{{ words.lambdaIs(own().lambda) }}</p>
      <ul>
        @for (bin of own().bins; track bin.from) {
          <li>{{ words.binIs(bin.from, bin.to, bin.cases, bin.came, bin.least, bin.most) }}</li>
        }
      </ul>
    </section>
  `,
  host: { class: 'block' },
})
export class CalibrationHere {
  protected readonly words = causesWords;
  readonly #book = inject(ExperienceBook);
  protected readonly own = computed(() => calibrationOf(inEnd(this.#book.known()?.cases ?? [], LOOK_TABLES)));
}
