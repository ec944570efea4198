import { SheetOfFilm } from '../../films/sheet-of-film';
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { filmAdviceWords, filmReasonWords, missWords } from '@yellow-pane/contracts/words';
import { CLASS_CAUTION, FIRE_CAUTION, type FilmAnswer, IMPACT_CLASSES } from '@yellow-pane/core/choosing';
import { allowanceFor } from '@yellow-pane/core/rules';
import { type RowOf, isOutdoorGlass } from '@yellow-pane/core/job';
import { formatLengthWithUnit, formatTemperature } from '@yellow-pane/core/quantity';
import { STRESS_CAUTION } from '@yellow-pane/core/thermal-stress';
import { FilmShrinks } from '../../curved/film-shrinks';
import { OtherCurves } from '../../curved/other-curves';
import { Device } from '../../device/device';
import { CautionNote } from '../../ui/caution-note';
import { Figure } from '../../ui/figure';
import { VerdictBox } from '../../ui/verdict-box';
import { VerdictMark } from '../../ui/verdict-mark';
import { filmWords } from '../../words/film';
import { Choosing } from './choosing';
import { EdgesSeenHere } from './edges-seen';
import { figureLines, headingOf, privacySentence } from './film-words';

/** What was worked out for the film looked at: verdict first, then why, then every figure with its sum. */
@Component({
  selector: 'yp-film-verdict',
  imports: [
    SheetOfFilm,
    CautionNote,
    EdgesSeenHere,
    Figure,
    FilmShrinks,
    OtherCurves,
    VerdictBox,
    VerdictMark,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (choosing.fault(); as says) {
      <yp-verdict-box verdict="unknown" [heading]="words.notCalculated">{{
        words.brokeOff(says)
      }}</yp-verdict-box>
    }
    @if (choosing.answer(); as answer) {
      <yp-verdict-box [verdict]="answer.verdict" [heading]="heading()"
        >{{ choosing.chosen()?.name }}: {{ reasons()[0] ?? words.nothingAgainst }}</yp-verdict-box
      >
      @if (choosing.overTargets().stopped.length > 0 && choosing.targets().length > 1) {
        <p class="font-semibold text-stop">{{ words.stopOn(choosing.overTargets().stopped.join(', ')) }}</p>
      }
      @if (choosing.instead(); as other) {
        <button type="button" class="act act-next w-full" (click)="choosing.pick(other.filmId)">
          {{ words.lookAtInstead(choosing.nameOf(other.filmId)) }}
        </button>
        <p class="text-sm -mt-2">
          {{ words.insteadIs(other.face === 1, other.verdict, missed(other).join(' and ')) }}
        </p>
      }
      @if (answer.performance !== null) {
        <section aria-labelledby="as-asked">
          <h2 id="as-asked" class="font-bold">{{ words.doesAsAsked }}</h2>
          <p class="leading-snug">
            {{
              !hasLimits()
                ? words.nothingAsked
                : answer.misses.length === 0
                  ? words.asAsked
                  : words.notAsAsked(missed(answer).join(', and '))
            }}
          </p>
        </section>
      }
      @if (isGlass() && answer.performance; as performance) {
        @if (wantsPrivacy()) {
          <p class="leading-snug">{{ privacy() }}</p>
        }
      }
      <yp-film-shrinks [surface]="choosing.focus()" [filmId]="choosing.chosen()?.id" />
      <yp-other-curves [surface]="choosing.focus()" [filmId]="choosing.chosen()?.id" />
      @if (reasons().length > 1 || advice().length > 0) {
        <ul class="list-disc pl-5 leading-snug flex flex-col gap-1">
          @for (reason of reasons().slice(1); track reason) {
            <li>{{ reason }}</li>
          }
          @for (own of advice(); track own) {
            <li>{{ own }}</li>
          }
        </ul>
      }
      @if (choosing.whyNot().length > 0) {
        <section aria-labelledby="why-not">
          <h2 id="why-not" class="font-bold">{{ words.whyNot }}</h2>
          <ul class="list-disc pl-5 leading-snug">
            @for (why of choosing.whyNot(); track why) {
              <li>{{ words.itIs(why) }}</li>
            }
          </ul>
        </section>
      }
      @if (choosing.whatIf().length > 0) {
        <section aria-labelledby="decides">
          <h2 id="decides" class="font-bold">{{ words.whatWouldChange }}</h2>
          @for (open of choosing.whatIf(); track open.what) {
            <p class="leading-snug mt-1">
              <span class="mr-2" [class.font-semibold]="open.decides">{{ words.notKnown(open.what) }}</span>
              @for (outcome of open.outcomes; track outcome.is) {
                <span class="inline-flex items-center gap-1 mr-2"
                  >{{ outcome.is }}: <yp-verdict-mark [verdict]="outcome.verdict"
                /></span>
              }
              {{ open.decides ? '' : words.changesNothing }}
            </p>
          }
        </section>
      }
    } @else if (choosing.progress() !== undefined) {
      <p class="text-faint" aria-busy="true">{{ words.judgingFilms(choosing.films().length) }}</p>
    }
    @if (outdoor(); as here) {
      <yp-edges-seen [surface]="here" />
    }
    <section aria-labelledby="on-it">
      <h2 id="on-it" class="font-bold">{{ words.on }} {{ choosing.focus()?.tag ?? words.thisSurface }}</h2>
      @for (entry of choosing.applied(); track entry.application.id) {
        <div class="flex items-center gap-3 py-2 border-b border-line">
          <span class="flex-1"
            ><span class="font-semibold">{{ entry.film?.name ?? words.filmUnknown }}</span
            ><span class="block text-sm text-faint">{{
              words.fittedAs(sideWord(entry.application.side), methodWord(entry.application))
            }}</span></span
          ><button type="button" class="act act-small" (click)="takenOff.emit(entry.application)">
            {{ words.takeOff }}
          </button>
        </div>
      } @empty {
        <p class="text-faint py-1">{{ words.noFilmYet }}</p>
      }
    </section>
    @if (lines().length > 0) {
      <section aria-labelledby="does">
        <h2 id="does" class="font-bold">{{ words.whatItDoesHere(choosing.chosen()?.name ?? '') }}</h2>
        @for (line of lines(); track line.key) {
          <yp-figure [label]="line.word" [value]="line.value" [why]="line.why" />
        }
      </section>
      @if (choosing.answer()?.assumed?.length) {
        <p class="text-sm text-faint">
          {{ words.sheetSilent(choosing.answer()?.assumed?.join(', ') ?? '') }}
        </p>
      }
    }
    @if (choosing.chosen(); as film) {
      <section aria-labelledby="sheet-of" class="text-sm leading-snug">
        <h2 id="sheet-of" class="font-bold text-base">{{ words.fromItsSheet }}</h2>
        <yp-sheet-of-film [film]="film" />
        <p class="figure">{{ words.thicknessAndRolls(film.thickness_um, widths()) }}</p>
        <p>
          {{ words.workBetween(temperature(film.workMin_C), temperature(film.workMax_C)) }}
          {{
            film.laying === 'wet' ? words.laidWet : film.laying === 'dry' ? words.laidDry : words.laidDryHeat
          }}
          {{
            film.direction === 'none'
              ? words.mayBeTurned
              : film.direction === 'one way'
                ? words.hasATop
                : words.runsAlong
          }}
          @if (film.repeat_nm) {
            {{ words.repeatsEvery(length(film.repeat_nm)) }}
          }
        </p>
        <p>{{ film.handling }}</p>
        <p class="text-faint">
          {{ film.invented ? words.inventedExample : words.enteredBy(film.changedBy) }}
          @if (film.referenceGlass) {
            {{ words.figuresOn(film.referenceGlass) }}
          }
        </p>
      </section>
      @if (film.family === 'security') {
        <details class="border-t border-line pt-2">
          <summary class="font-bold min-h-10 cursor-pointer">{{ words.testClasses }}</summary>
          @for (entry of classes; track entry.standard) {
            <p class="text-sm">
              <span class="font-semibold">{{ entry.standard }}</span>: {{ entry.classes }} ({{ entry.about }})
            </p>
          }
          <p class="text-sm mt-1">{{ classCaution }}</p>
        </details>
      }
    }
    @if (isGlass()) {
      <yp-caution [word]="words.canCrack" [says]="stressCaution" />
    } @else {
      <yp-caution [word]="words.fire" [says]="fireCaution" />
    }
  `,
  host: { class: 'flex flex-col gap-4' },
})
export class FilmVerdict {
  protected readonly words = filmWords;
  protected readonly choosing = inject(Choosing);
  readonly #units = inject(Device).units;
  readonly isPartition = input.required<boolean>();
  readonly wantsPrivacy = input.required<boolean>();
  readonly takenOff = output<RowOf<'application'>>();
  protected readonly classes = IMPACT_CLASSES;
  protected readonly classCaution = CLASS_CAUTION;
  protected readonly stressCaution = STRESS_CAUTION;
  protected readonly fireCaution = FIRE_CAUTION;
  protected readonly isGlass = this.choosing.isGlass;
  protected readonly outdoor = computed(() => {
    const focus = this.choosing.focus();
    return focus !== undefined && isOutdoorGlass(focus) ? focus : undefined;
  });
  protected readonly hasLimits = this.choosing.hasLimits;
  protected readonly reasons = computed(() =>
    (this.choosing.answer()?.reasons ?? []).map((reason) => filmReasonWords(reason, this.#units())),
  );
  protected readonly advice = computed(() =>
    (this.choosing.answer()?.advice ?? []).map((own) => filmAdviceWords(own, this.#units())),
  );
  protected readonly heading = computed(() => {
    const answer = this.choosing.answer();
    return answer === undefined ? '' : headingOf(answer, this.isGlass());
  });
  protected readonly lines = computed(() => {
    const performance = this.choosing.answer()?.performance;
    return performance == null ? [] : figureLines(performance, this.isPartition());
  });
  protected readonly privacy = computed(() => {
    const performance = this.choosing.answer()?.performance;
    return performance == null ? '' : privacySentence(performance, this.isPartition());
  });
  protected readonly widths = computed(() =>
    (this.choosing.chosen()?.widths_nm ?? []).map((width) => this.length(width)).join(' · '),
  );

  protected missed({ misses }: FilmAnswer): readonly string[] {
    return misses.map(missWords);
  }

  protected temperature(celsius: number | null): string {
    return celsius === null ? '?' : formatTemperature(celsius, this.#units());
  }

  protected length(value_nm: number): string {
    return formatLengthWithUnit(value_nm, this.#units());
  }

  protected methodWord({ method }: RowOf<'application'>): string {
    return allowanceFor(method).word.toLowerCase();
  }

  protected sideWord(side: RowOf<'application'>['side']): string {
    return side === 'room' ? 'room side' : side;
  }
}
