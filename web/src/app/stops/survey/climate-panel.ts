import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { placesOutwards } from '@yellow-pane/core/reading';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { KeptField, type Typed } from '../../fields/kept-field';
import { surveyWords } from '../../words/survey';
import { climateFault, climateOfText, textOfClimate } from './climate-lines';

/** What the months are like where a place stands: one climate for everything that stands there. */
@Component({
  selector: 'yp-climate-panel',
  imports: [KeptField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (stands(); as at) {
      <h3 class="font-semibold mt-3">{{ words.climateOf(at.name) }}</h3>
      <p class="text-sm text-faint">{{ words.howToTypeClimate }}</p>
      <textarea
        class="field figure mt-1"
        rows="4"
        [attr.aria-label]="words.climateOf(at.name)"
        [ypKept]="'climate:' + at.id"
        [is]="text()"
        [version]="at.version"
        [faultOf]="faultOf"
        #line="ypKept"
        (typed)="set($event)"
      ></textarea>
      @if (line.fault(); as says) {
        <p class="text-sm text-stop font-semibold">{{ says }}</p>
      }
    }
  `,
  host: { class: 'block' },
})
export class ClimatePanel {
  protected readonly words = surveyWords;
  protected readonly faultOf = climateFault;
  readonly place = input.required<RowOf<'place'>>();
  readonly #desk = inject(JobDesk);
  readonly #view = inject(JobReading).view;
  protected readonly stands = computed(() => placesOutwards(this.#view(), this.place().id).at(-1));
  protected readonly text = computed(() => textOfClimate(this.stands()?.climate ?? null));

  protected set({ text, seen }: Typed): void {
    const at = this.stands();
    if (at !== undefined)
      this.#desk.do(surveyWords.climateOf(at.name), [
        this.#desk.set('place', at.id, { climate: climateOfText(text) }, seen),
      ]);
  }
}
