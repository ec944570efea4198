import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatLength } from '@yellow-pane/core/quantity';
import type { RowOf } from '@yellow-pane/core/job';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { surveyWords } from '../../words/survey';

/** A size that was only said on the phone: shown until something is measured, and no measure. */
@Component({
  selector: 'yp-said-about',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (said(); as text) {
      <p class="px-5 pt-1 leading-snug">{{ text }}</p>
    }
  `,
})
export class SaidAbout {
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly surface = input.required<RowOf<'surface'>>();
  protected readonly said = computed(() => {
    const view = this.#reading.view();
    const about = view.aboutOf(this.surface().id);
    if (about.length === 0 || view.measuresOf(this.surface().id).length > 0) return undefined;
    return surveyWords.saidAbout(
      about.map(({ value_nm }) => formatLength(value_nm, this.#units())).join(' × '),
      this.#units() === 'metric' ? 'mm' : 'in',
    );
  });
}
