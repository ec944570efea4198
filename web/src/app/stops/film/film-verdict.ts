import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { CLASS_CAUTION, FIRE_CAUTION, IMPACT_CLASSES } from '@yellow-pane/core/choosing';
import { allowanceFor } from '@yellow-pane/core/cutting';
import type { RowOf } from '@yellow-pane/core/job';
import { formatLengthWithUnit } from '@yellow-pane/core/quantity';
import { STRESS_CAUTION } from '@yellow-pane/core/thermal-stress';
import { Device } from '../../device/device';
import { CautionNote } from '../../ui/caution-note';
import { Figure } from '../../ui/figure';
import { VerdictBox } from '../../ui/verdict-box';
import { VerdictMark } from '../../ui/verdict-mark';
import { Choosing } from './choosing';
import { figureLines, headingOf, privacySentence } from './film-words';

/** What was worked out for the film looked at: verdict first, then why, then every figure with its sum. */
@Component({
  selector: 'yp-film-verdict',
  imports: [CautionNote, Figure, VerdictBox, VerdictMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (choosing.fault(); as says) {
      <yp-verdict-box verdict="unknown" heading="Not reckoned"
        >The reckoning broke off: {{ says }}</yp-verdict-box
      >
    }
    @if (choosing.answer(); as answer) {
      <yp-verdict-box [verdict]="answer.verdict" [heading]="heading()"
        >{{ choosing.chosen()?.name }}:
        {{ answer.reasons[0] ?? 'nothing speaks against it here.' }}</yp-verdict-box
      >
      @if (choosing.overTargets().stopped.length > 0 && choosing.targets().length > 1) {
        <p class="font-semibold text-stop">Stop on {{ choosing.overTargets().stopped.join(', ') }}.</p>
      }
      @if (choosing.instead(); as other) {
        <button type="button" class="act act-next w-full" (click)="choosing.pick(other.filmId)">
          Look at {{ choosing.nameOf(other.filmId) }} instead
        </button>
        <p class="text-sm -mt-2">
          {{ other.face === 1 ? 'On the outside: ' : '' }}{{ other.verdict }}
          @if (other.misses.length > 0) {
            ; it {{ other.misses.join(' and ') }}
          }
          .
        </p>
      }
      @if (answer.misses.length > 0 && answer.performance !== null) {
        <p class="font-semibold">It {{ answer.misses.join(', and ') }}.</p>
      }
      @if (isGlass() && answer.performance; as performance) {
        @if (wantsPrivacy()) {
          <p class="leading-snug">{{ privacy() }}</p>
        }
      }
      @if (answer.reasons.length > 1 || answer.advice.length > 0) {
        <ul class="list-disc pl-5 leading-snug flex flex-col gap-1">
          @for (reason of answer.reasons.slice(1); track reason) {
            <li>{{ reason }}</li>
          }
          @for (advice of answer.advice; track advice) {
            <li>{{ advice }}</li>
          }
        </ul>
      }
      @if (choosing.whyNot().length > 0 && answer.verdict !== 'stop') {
        <section aria-labelledby="why-not">
          <h2 id="why-not" class="font-bold">Why not this one</h2>
          <ul class="list-disc pl-5 leading-snug">
            @for (why of choosing.whyNot(); track why) {
              <li>It {{ why }}.</li>
            }
          </ul>
        </section>
      }
      @if (choosing.whatIf().length > 0) {
        <section aria-labelledby="decides">
          <h2 id="decides" class="font-bold">What would change it</h2>
          @for (open of choosing.whatIf(); track open.what) {
            <p class="leading-snug mt-1">
              <span [class.font-semibold]="open.decides">Not known: {{ open.what }}.</span>
              @for (outcome of open.outcomes; track outcome.is) {
                <span class="inline-flex items-center gap-1 mr-2"
                  >{{ outcome.is }}: <yp-verdict-mark [verdict]="outcome.verdict"
                /></span>
              }
              {{ open.decides ? '' : 'Finding out changes nothing.' }}
            </p>
          }
        </section>
      }
    } @else if (choosing.progress() !== undefined) {
      <p class="text-faint" aria-busy="true">Judging {{ choosing.films().length }} films…</p>
    }
    <section aria-labelledby="on-it">
      <h2 id="on-it" class="font-bold">On {{ choosing.focus()?.tag ?? 'this surface' }}</h2>
      @for (entry of choosing.applied(); track entry.application.id) {
        <div class="flex items-center gap-3 py-2 border-b border-line">
          <span class="flex-1"
            ><span class="font-semibold">{{ entry.film?.name ?? 'a film not in the catalogue' }}</span
            ><span class="block text-sm text-faint"
              >{{ sideWord(entry.application.side) }}, cut and fitted as
              {{ methodWord(entry.application) }}</span
            ></span
          ><button type="button" class="act act-small" (click)="takenOff.emit(entry.application)">
            Take off
          </button>
        </div>
      } @empty {
        <p class="text-faint py-1">No film yet.</p>
      }
    </section>
    @if (lines().length > 0) {
      <section aria-labelledby="does">
        <h2 id="does" class="font-bold">What {{ choosing.chosen()?.name }} does here</h2>
        @for (line of lines(); track line.key) {
          <yp-figure [label]="line.word" [value]="line.value" [why]="line.why" />
        }
      </section>
      @if (choosing.answer()?.assumed?.length) {
        <p class="text-sm text-faint">
          Its sheet is silent; taken instead: {{ choosing.answer()?.assumed?.join(', ') }}.
        </p>
      }
    }
    @if (choosing.chosen(); as film) {
      <section aria-labelledby="sheet-of" class="text-sm leading-snug">
        <h2 id="sheet-of" class="font-bold text-base">From its sheet</h2>
        <p class="figure">{{ film.thickness_um }} µm · rolls {{ widths() }}</p>
        <p>
          Work between {{ film.workMin_C ?? '?' }} and {{ film.workMax_C ?? '?' }} °C.
          {{
            film.laying === 'wet' ? 'Laid wet.' : film.laying === 'dry' ? 'Laid dry.' : 'Laid dry, with heat.'
          }}
          {{
            film.direction === 'none'
              ? 'May be turned.'
              : film.direction === 'one way'
                ? 'Has a top: may not be turned.'
                : 'Runs along the roll: turned by half a turn only.'
          }}
          @if (film.repeat_nm) {
            Repeats every {{ length(film.repeat_nm) }}.
          }
        </p>
        <p>{{ film.handling }}</p>
        <p class="text-faint">
          {{
            film.invented
              ? 'Invented example: no such product exists.'
              : 'As entered by ' + film.changedBy + '.'
          }}
          @if (film.referenceGlass) {
            Figures on {{ film.referenceGlass }}.
          }
        </p>
      </section>
      @if (film.family === 'security') {
        <details class="border-t border-line pt-2">
          <summary class="font-bold min-h-10 cursor-pointer">Test classes, by name</summary>
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
      <yp-caution word="Film can crack glass" [says]="stressCaution" />
    } @else {
      <yp-caution word="Fire" [says]="fireCaution" />
    }
  `,
  host: { class: 'flex flex-col gap-4' },
})
export class FilmVerdict {
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
