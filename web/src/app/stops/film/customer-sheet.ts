import { JobClock } from '../../day/job-clock';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { customerReasonWords, filmAdviceWords, missWords } from '@yellow-pane/contracts/words';
import { FIRE_CAUTION, GOALS } from '@yellow-pane/core/choosing';
import { NO_BRIEF } from '@yellow-pane/core/job';
import { STRESS_CAUTION } from '@yellow-pane/core/thermal-stress';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { filmWords } from '../../words/film';
import { Choosing } from './choosing';
import { FilmSwatch } from './film-swatch';
import { figureLines, privacySentence } from './film-words';

const WISHES = ['', 'a little', 'much', 'above all'];
const FOR_THE_CUSTOMER = [
  'light',
  'heatOff',
  'tser',
  'u',
  'fading',
  'daylight',
  'in-day',
  'in-night',
  'out-day',
];

/**
 * What the customer takes home: what was asked, what is proposed where, what it does, what it does not, and
 * the cautions.
 */
@Component({
  selector: 'yp-customer-sheet',
  imports: [FilmSwatch],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="relative overflow-auto flex-1 min-h-0 px-5 py-3 print:overflow-visible print:p-0"
      tabindex="0"
      role="region"
      [attr.aria-label]="words.customerSheet"
    >
      <article
        class="bg-paper border border-line-strong max-w-2xl mx-auto p-6 leading-snug print:border-0 print:p-0 print:max-w-none"
      >
        <p class="text-sm text-faint">{{ reading.job()?.name }} · {{ place() }} · {{ today() }}</p>
        <h1 class="text-2xl mt-1">
          {{ choosing.chosen()?.name ?? words.noFilmChosen }} {{ words.forWhom }} {{ tags() }}
        </h1>
        @if (wishes().length > 0) {
          <p class="mt-2">
            <span class="font-semibold">{{ words.youAskedFor }}</span> {{ wishes().join('; ') }}.
          </p>
        }
        @if (choosing.chosen(); as film) {
          <div class="flex gap-4 mt-3 items-start">
            <yp-film-swatch [visibleTransmitted]="film.visibleTransmitted" [looks]="film" />
            <p>
              {{ words.filmSaid(film.use, film.thickness_um, face()) }}
              @if (film.invented) {
                <strong> {{ words.inventedNoProduct }}</strong>
              }
            </p>
          </div>
        }
        @if (choosing.answer(); as answer) {
          <p class="mt-3">
            <span class="font-semibold"
              >{{ words.mayItGoHere }}
              {{
                answer.verdict === 'go'
                  ? words.yes
                  : answer.verdict === 'go with care'
                    ? words.yesWithCare
                    : answer.verdict === 'stop'
                      ? words.no
                      : words.notKnownYet
              }}.</span
            >
            {{ reason() }}
          </p>
          @if (answer.performance !== null && choosing.hasLimits()) {
            <p class="mt-1">
              <span class="font-semibold">{{ words.doesItDo }}</span>
              {{ missed().length === 0 ? words.yesAllOfIt : words.notAllOfIt(missed().join('; it ')) }}
            </p>
          }
          @if (lines().length > 0) {
            <table class="w-full mt-3 text-left">
              <caption class="text-left font-semibold py-1">
                {{
                  words.whatItDoes
                }}
              </caption>
              <tbody>
                @for (line of lines(); track line.key) {
                  <tr class="border-t border-line">
                    <th scope="row" class="font-normal py-1">{{ line.word }}</th>
                    <td class="figure text-right">{{ line.value }}</td>
                  </tr>
                }
              </tbody>
            </table>
            <p class="text-sm text-faint mt-1">
              {{ words.howCalculated }}
            </p>
          }
          @if (privacy(); as says) {
            <p class="mt-3">
              <span class="font-semibold">{{ words.privacyHonestly }}</span> {{ says }}
            </p>
          }
          @if (advice().length > 0) {
            <ul class="list-disc pl-5 mt-3">
              @for (own of advice(); track own) {
                <li>{{ own }}</li>
              }
            </ul>
          }
        }
        <p class="mt-3 border border-ink border-l-8 p-2">
          <strong>{{ words.pleaseNote }}</strong>
          {{ words.pocketsNormal(isGlass() ? stressCaution : fireCaution) }}
        </p>
        <div class="grid grid-cols-2 gap-8 mt-10">
          <p class="border-t border-ink pt-1 text-sm">{{ words.customerDate }}</p>
          <p class="border-t border-ink pt-1 text-sm">{{ words.fitterDate }}</p>
        </div>
      </article>
    </div>
    <div class="flex gap-3 px-5 py-3 border-t border-line no-print">
      <button type="button" class="act act-next" (click)="print()">{{ words.printSheet }}</button>
    </div>
  `,
  host: { class: 'flex flex-col flex-1 min-h-0 print:block' },
})
export class CustomerSheet {
  protected readonly words = filmWords;
  protected readonly choosing = inject(Choosing);
  protected readonly reading = inject(JobReading);
  readonly isPartition = input.required<boolean>();
  protected readonly stressCaution = STRESS_CAUTION;
  protected readonly fireCaution = FIRE_CAUTION;
  readonly #clock = inject(JobClock);
  protected readonly today = computed(() => this.#clock.clock().dateOf(Date.now()));
  protected readonly isGlass = this.choosing.isGlass;
  readonly #units = inject(Device).units;
  protected readonly reason = computed(() => {
    const [reason] = this.choosing.answer()?.reasons ?? [];
    return reason === undefined ? '' : customerReasonWords(reason, this.#units());
  });
  protected readonly missed = computed(() => (this.choosing.answer()?.misses ?? []).map(missWords));
  protected readonly advice = computed(() =>
    (this.choosing.answer()?.advice ?? []).map((own) => filmAdviceWords(own, this.#units())),
  );
  protected readonly tags = computed(() =>
    this.choosing
      .targets()
      .map(({ tag }) => tag)
      .join(', '),
  );
  protected readonly place = computed(
    () => this.reading.placeById().get(this.choosing.focus()?.placeId ?? '')?.name ?? '',
  );
  protected readonly face = computed(() => {
    const face = this.choosing.answer()?.face;
    return this.isPartition()
      ? (this.choosing.focus()?.seenFrom ?? 'glass')
      : face === 1
        ? 'outside of the glass'
        : this.isGlass()
          ? 'room side of the glass'
          : 'surface';
  });
  protected readonly wishes = computed(() => {
    const focus = this.choosing.focus();
    const brief = (focus === undefined ? undefined : this.reading.briefFor(focus)) ?? NO_BRIEF;
    const percent = (share: number): string => `${Math.round(share * 100)} %`;
    return [
      ...GOALS.filter(({ key }) => brief[key] > 0).map(
        ({ key, word }) => `${word.charAt(0).toLowerCase()}${word.slice(1)} (${WISHES[brief[key]] ?? ''})`,
      ),
      ...(brief.lightKeptLeast === null ? [] : [filmWords.wishLight(percent(brief.lightKeptLeast))]),
      ...(brief.heatOffLeast === null ? [] : [filmWords.wishHeat(percent(brief.heatOffLeast))]),
      ...(brief.look === 'any' ? [] : [filmWords.wishLook(brief.look)]),
    ];
  });
  protected readonly lines = computed(() => {
    const performance = this.choosing.answer()?.performance;
    return performance == null
      ? []
      : figureLines(performance, this.isPartition()).filter(({ key }) => FOR_THE_CUSTOMER.includes(key));
  });
  protected readonly privacy = computed(() => {
    const performance = this.choosing.answer()?.performance;
    return performance == null ? undefined : privacySentence(performance, this.isPartition());
  });

  protected print(): void {
    window.print();
  }
}
