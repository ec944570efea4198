import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { wetClock } from '@yellow-pane/core/fitting';
import { learnedOf } from '@yellow-pane/core/learned';
import { RULES } from '@yellow-pane/core/rules';
import { openTime, taughtWater, waterOnIt } from '@yellow-pane/core/waiting';
import { LearnedFigures } from '../../catalogue/learned-figures';
import { Figure } from '../../ui/figure';
import { fitWords } from '../../words/fit';
import { FitDesk } from './fit-desk';
import { ReadyHere } from '../../day/ready-here';

const HOUR_MS = 3_600_000;
const MINUTE_MS = 60_000;

/**
 * How long slip stays open on this surface as it is now; while something is wet, how much of that is left,
 * and 'wet again', which teaches how much water lies there.
 */
@Component({
  selector: 'yp-wet-here',
  imports: [Figure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (clock(); as own) {
      <div class="flex gap-3 items-center border-2 border-ink rounded-card px-3 py-2">
        <p class="flex-1 text-xl font-semibold leading-snug" role="status">{{ own }}</p>
        <button type="button" class="act min-h-16 text-lg justify-center" (click)="wetAgain()">
          {{ words.wetAgain }}
        </button>
      </div>
    }
    @if (fault(); as text) {
      <p class="text-stop font-semibold" role="alert">{{ text }}</p>
    }
    @if (isWetHere()) {
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
        <p class="leading-snug">{{ words.staysWetUnknown }}</p>
      }
    }
  `,
  host: { class: 'block empty:hidden' },
})
export class WetHere {
  protected readonly words = fitWords;
  readonly #here = inject(ReadyHere);
  readonly #desk = inject(FitDesk);
  readonly #learned = inject(LearnedFigures);
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly time = computed(() => {
    const now_ms = this.#desk.minute_ms();
    const [nearest] = this.#here
      .moments()
      .toSorted((a, b) => Math.abs(a.instant_ms - now_ms) - Math.abs(b.instant_ms - now_ms));
    if (nearest === undefined || Math.abs(nearest.instant_ms - now_ms) > HOUR_MS) return undefined;
    const { surface_C, air_C, humidity } = nearest;
    return openTime(
      { surface_C, air_C, humidity, draught_ms: RULES.usualDraught.value },
      waterOnIt(this.#learned.figures()),
    );
  });
  /** The step that wetted it last, while what comes on it is not done. */
  readonly #wetted = computed(() => {
    const steps = this.#desk.steps();
    const last = steps.findLastIndex(({ step }) => this.#desk.isDone(step));
    const step = steps[last];
    const record = step && this.#desk.records().get(step.step);
    if (step?.slip_l === undefined || record?.doneAt == null || last + 1 >= steps.length) return undefined;
    const at = [record.doneAt, ...record.roundsAt].flatMap((own) => (own === null ? [] : [Date.parse(own)]));
    return { step, roundsAt: record.roundsAt, at_ms: Math.max(...at) };
  });
  /** At a step that wets, or while something is wet. */
  protected readonly isWetHere = computed(
    () => this.#desk.current()?.slip_l !== undefined || this.#wetted() !== undefined,
  );
  protected readonly clock = computed(() => {
    const [wetted, time] = [this.#wetted(), this.time()];
    if (wetted === undefined || time === undefined) return undefined;
    const { state, left_min } = wetClock(time, wetted.at_ms, this.#desk.now_ms());
    const minutes = Math.round(left_min ?? 0);
    switch (state) {
      case 'wet':
        return fitWords.wetStill(minutes);
      case 'look':
        return fitWords.wetLook(minutes);
      case 'dry':
        return fitWords.wetDry;
      case 'stays wet':
        return fitWords.doesNotDry;
    }
  });

  protected minutes(value: number): number {
    return Math.round(value);
  }

  protected wetAgain(): void {
    const [wetted, time] = [this.#wetted(), this.time()];
    if (wetted === undefined) return;
    const now_ms = Date.now();
    this.#desk.write(
      wetted.step,
      { roundsAt: [...wetted.roundsAt, new Date(now_ms).toISOString()] },
      fitWords.wettedAgain(this.#desk.tag()),
    );
    if (time !== undefined) void this.#teach(time.rate_gm2min.value, (now_ms - wetted.at_ms) / MINUTE_MS);
  }

  async #teach(rate_gm2min: number, minutes: number): Promise<void> {
    const kept = this.#learned.figures().find(({ key, scope }) => key === 'water-film' && scope === null);
    if (kept === undefined) return;
    const { n } = learnedOf('water-film', this.#learned.figures());
    const taught = taughtWater({ value: kept.value, n }, { rate_gm2min, minutes });
    if (taught !== undefined)
      this.fault.set(
        await this.#learned.save({ ...kept, ...taught, basis: 'measured', from: fitWords.wetAgain }),
      );
  }
}
