import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { schoolsOf } from '@yellow-pane/core/reading';
import type { SchoolTaken } from '@yellow-pane/core/ways';
import { JobClock } from '../../day/job-clock';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Choices } from '../../ui/choice';
import { BASIS_WORDS } from '../../words/basis';
import { fitWords } from '../../words/fit';
import { RowLineHere } from './row-line-here';

/** Where practitioners disagree: what is followed here and why, and every other way with its reason. */
@Component({
  selector: 'yp-schools-panel',
  imports: [Choices, RowLineHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (asked().length > 0) {
      <h2 id="schools" class="font-bold">{{ words.waysOfWorking }}</h2>
      @for (school of asked(); track school.key) {
        <details class="border-b border-line py-1">
          <summary class="min-h-10 cursor-pointer leading-tight py-1">
            {{ school.asks }}: <strong>{{ school.value }}</strong>
            <span class="block text-sm">{{ words.schoolBy(school.by) }}: {{ school.because }}</span>
            @if (school.refused; as refused) {
              <span class="block text-sm text-stop">{{
                words.schoolRefused(refused.value, refused.because)
              }}</span>
            }
          </summary>
          <yp-choices
            [legend]="school.asks"
            [choices]="choicesOf(school)"
            [value]="school.value"
            (chosen)="choose(school, $event)"
          />
          @if (school.key === 'rowLine') {
            <yp-row-line-here [application]="application()" />
          }
          <p class="flex flex-wrap gap-2 my-2">
            @if (school.by === 'this surface' || school.refused) {
              <button type="button" class="act act-small" (click)="choose(school, null)">
                {{ words.asTheRule }}
              </button>
            }
            <button type="button" class="act act-small" (click)="forTheJob(school)">
              {{ words.forTheJob(school.value) }}
            </button>
          </p>
        </details>
      }
    }
  `,
  host: { class: 'block empty:hidden', role: 'region', 'aria-labelledby': 'schools' },
})
export class SchoolsPanel {
  protected readonly words = fitWords;
  readonly #desk = inject(JobDesk);
  readonly #clock = inject(JobClock);
  readonly #reading = inject(JobReading);
  readonly application = input.required<RowOf<'application'>>();
  readonly tag = input.required<string>();
  protected readonly asked = computed(() => schoolsOf(this.#reading.view(), this.application()));

  protected choicesOf({ options }: SchoolTaken): readonly { value: string; word: string; reason: string }[] {
    return options.map(({ value, reason, basis, unsuited }) => ({
      value,
      word: value,
      reason: [
        reason,
        ...(basis === undefined ? [] : [`(${BASIS_WORDS[basis]})`]),
        ...(unsuited === undefined ? [] : [fitWords.unsuited(unsuited)]),
      ].join(' '),
    }));
  }

  /** @param value null: as the job or the rule has it */
  protected choose({ key, asks }: SchoolTaken, value: string | null): void {
    const { id, schools } = this.application();
    const others = Object.fromEntries(Object.entries(schools).filter(([other]) => other !== key));
    this.#desk.do(`${this.tag()}: ${asks.toLowerCase()} ${value ?? ''}`.trim(), [
      this.#desk.set('application', id, { schools: value === null ? others : { ...others, [key]: value } }),
    ]);
  }

  protected forTheJob({ key, asks, value }: SchoolTaken): void {
    const [row] = this.#reading.daySettings();
    const schools = { ...(row?.schools ?? {}), [key]: value };
    this.#desk.do(fitWords.jobFollows(asks, value), [
      row === undefined
        ? this.#desk.put('daySettings', { ...this.#clock.settings(), schools })
        : this.#desk.set('daySettings', row.id, { schools }),
    ]);
  }
}
