import { Device } from '../device/device';
import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { JobClock } from '../day/job-clock';
import { ReadinessCache } from '../day/readiness-cache';
import { JobReading } from '../job/job-reading';
import { closedWords } from '@yellow-pane/contracts/words';
import { type ReadyAnswer, fitNow } from '@yellow-pane/core/reading';
import { shellWords } from '../words/shell';
import { Selection } from './selection';

const FIRST_HOUR = 5;
const LAST_HOUR = 21;
/** From then on words at the right end would lie under the mark of now. */
const LATE_HOUR = 17;
const TICK_MS = 15_000;
const SETTLE_MS = 400;
const HOUR_MS = 3_600_000;

interface Bar {
  readonly from: number;
  readonly to: number;
  readonly word: string;
}

/**
 * One strip of hours for the selected surface: sun on it, when it is fit, what is planned, what ran and what
 * runs now.
 */
@Component({
  selector: 'yp-day-band',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="w-[250px] max-xl:w-[210px] shrink-0 border-r border-line p-3 leading-snug max-md:hidden">
      <p class="font-bold truncate">{{ heading().word }}</p>
      <p class="text-sm text-faint leading-tight line-clamp-2">{{ heading().says }}</p>
    </div>
    <svg
      class="flex-1 min-w-0 h-full"
      viewBox="0 0 1000 84"
      preserveAspectRatio="none"
      role="img"
      [attr.aria-label]="words.hoursOfToday(clock(), jobClock.word())"
    >
      @for (span of closed(); track $index) {
        <rect
          [attr.x]="at(span.from)"
          y="26"
          [attr.width]="widthOf(span)"
          height="36"
          [attr.class]="span.word === 'sun' ? 'fill-now/60' : 'fill-board'"
        />
      }
      @for (bar of planned(); track $index) {
        <rect
          [attr.x]="at(bar.from)"
          y="50"
          height="9"
          [attr.width]="widthOf(bar)"
          class="fill-paper stroke-ink"
          vector-effect="non-scaling-stroke"
        />
      }
      <line x1="20" x2="980" y1="62" y2="62" class="stroke-line-strong" vector-effect="non-scaling-stroke" />
      @for (hour of hours; track hour) {
        <line
          [attr.x1]="at(hour)"
          [attr.x2]="at(hour)"
          y1="62"
          y2="67"
          class="stroke-line-strong"
          vector-effect="non-scaling-stroke"
        />
      }
      @for (bar of bars(); track $index) {
        <rect
          [attr.x]="at(bar.from)"
          y="32"
          height="14"
          [attr.width]="widthOf(bar)"
          class="fill-glass stroke-ink"
          vector-effect="non-scaling-stroke"
        />
      }
      @if (isDay()) {
        <line
          [attr.x1]="at(now())"
          [attr.x2]="at(now())"
          y1="4"
          y2="66"
          class="stroke-ink"
          stroke-width="3"
          vector-effect="non-scaling-stroke"
        />
      }
    </svg>
    <div
      class="absolute bottom-0 right-0 left-[250px] max-xl:left-[210px] max-md:!left-0 h-5 text-faint text-sm pointer-events-none"
      aria-hidden="true"
    >
      @for (hour of hours; track hour) {
        <span class="absolute -translate-x-1/2 figure max-md:odd:hidden" [style.left.%]="at(hour) / 10">{{
          hour
        }}</span>
      }
    </div>
    <p
      class="absolute top-1.5 text-sm pointer-events-none px-1 bg-now text-now-ink font-semibold rounded-card"
      [style.left]="labelLeft()"
    >
      {{ words.now(clock()) }}
    </p>
    <p
      class="absolute top-1.5 text-sm text-faint max-md:hidden"
      [style.right]="isLate() ? null : '0.75rem'"
      [style.left]="isLate() ? 'calc(var(--band-left, 0px) + 0.75rem)' : null"
    >
      @if (bars().length > 0) {
        {{ bars().length }} {{ words.timed }} {{ bars().length === 1 ? words.step : words.steps }}
        {{ words.today }} ·
      }
      {{ jobClock.word() }}
    </p>
  `,
  host: { class: 'relative flex h-full bg-ground', role: 'region', '[attr.aria-label]': 'words.dayBand' },
})
export class DayBand {
  protected readonly words = shellWords;
  readonly #units = inject(Device).units;
  readonly #reading = inject(JobReading);
  readonly #selection = inject(Selection);
  readonly #book = inject(ReadinessCache);
  readonly #ready = signal<ReadyAnswer | undefined>(undefined);
  protected readonly jobClock = inject(JobClock);
  readonly #instant = signal(Date.now());
  protected readonly hours = Array.from(
    { length: LAST_HOUR - FIRST_HOUR + 1 },
    (_, index) => FIRST_HOUR + index,
  );
  protected readonly now = computed(() => this.#hourOf(this.#instant()));
  protected readonly isDay = computed(() => this.now() >= FIRST_HOUR && this.now() <= LAST_HOUR);
  protected readonly clock = computed(() => this.jobClock.clock().hourOf(this.#instant()));
  protected readonly labelLeft = computed(
    () =>
      `clamp(0px, calc((100% - var(--band-left, 0px)) * ${(this.at(Math.min(LAST_HOUR, Math.max(FIRST_HOUR, this.now()))) / 1000).toFixed(4)} + var(--band-left, 0px) + 6px), calc(100% - 6rem))`,
  );
  /** Late in the day the mark of now stands at the right end. */
  protected readonly isLate = computed(() => this.now() > LATE_HOUR);
  protected readonly bars = computed<readonly Bar[]>(() => {
    const surface = this.#selection.surface();
    if (surface === undefined) return [];
    return this.#reading
      .applicationsOf(surface.id)
      .flatMap(({ id }) => this.#reading.workOf(id))
      .flatMap(({ startedAt, doneAt, step }): readonly Bar[] => {
        return startedAt === null
          ? []
          : this.#bar(Date.parse(startedAt), doneAt === null ? this.#instant() : Date.parse(doneAt), step);
      });
  });

  readonly #midnight = computed(() => this.jobClock.clock().midnightOf(this.#instant()));
  protected readonly closed = computed<readonly Bar[]>(() =>
    (this.#ready()?.closed ?? []).flatMap(({ from_ms, to_ms, by }) => this.#bar(from_ms, to_ms, by)),
  );
  protected readonly planned = computed<readonly Bar[]>(() => {
    const own = new Set(
      this.#reading.applicationsOf(this.#selection.surface()?.id ?? '').map(({ id }) => id),
    );
    return this.#reading
      .plannedSteps()
      .filter(({ applicationId }) => own.has(applicationId))
      .flatMap(({ startsAt, endsAt, step }) => this.#bar(Date.parse(startsAt), Date.parse(endsAt), step));
  });
  protected readonly heading = computed(() => {
    const ready = this.#ready();
    if (ready === undefined) return { word: shellWords.fitUnknown, says: shellWords.feelTheGlass };
    const found = fitNow(ready, this.#instant());
    const at = (instant_ms: number): string => this.jobClock.clock().hourOf(instant_ms);
    switch (found.case) {
      case 'not fit':
        return {
          word: shellWords.notFitUntil(at(found.until_ms)),
          says: closedWords(found.why, this.#units()),
        };
      case 'unknown':
        return { word: shellWords.fitUnknown, says: shellWords.findOut(found.what.join(', ')) };
      case 'fit until':
        return {
          word: shellWords.fitUntil(at(found.until_ms)),
          says: shellWords.thenWhat(closedWords(found.why, this.#units())),
        };
      case 'fit':
        return { word: shellWords.fitToday, says: shellWords.noSunOnIt };
    }
  });
  #turn = 0;

  constructor() {
    this.#book.weather.begin();
    let settling: ReturnType<typeof setTimeout> | undefined;
    effect(() => {
      const surface = this.#selection.surface();
      const midnight = this.#midnight();
      this.#book.weather.hours();
      this.#book.indoor();
      this.#book.limits();
      if (surface !== undefined) {
        this.#reading.applicationsOf(surface.id);
        this.#reading.siteFactsOf(surface.id);
      }
      clearTimeout(settling);
      this.#turn += 1;
      const turn = this.#turn;
      settling = setTimeout(() => {
        if (surface === undefined) {
          this.#ready.set(undefined);
          return;
        }
        void untracked(() => this.#book.ask([surface], midnight, midnight + 24 * HOUR_MS)).then(
          ([answer]) => {
            if (turn === this.#turn) this.#ready.set(answer);
          },
          () => undefined,
        );
      }, SETTLE_MS);
    });
    inject(DestroyRef).onDestroy(() => {
      clearTimeout(settling);
    });
    const timer = setInterval(() => {
      this.#instant.set(Date.now());
    }, TICK_MS);
    inject(DestroyRef).onDestroy(() => {
      clearInterval(timer);
    });
  }

  protected at(hour: number): number {
    return 20 + (960 * (hour - FIRST_HOUR)) / (LAST_HOUR - FIRST_HOUR);
  }

  /** Hour of the clock of the place; before its day 0, after it 24. */
  #hourOf(instant_ms: number): number {
    const clock = this.jobClock.clock();
    const day = clock.midnightOf(instant_ms);
    return day < this.#midnight() ? 0 : day > this.#midnight() ? 24 : clock.dayHourOf(instant_ms);
  }

  #bar(from_ms: number, to_ms: number, word: string): readonly Bar[] {
    const [from, to] = [
      Math.max(FIRST_HOUR, this.#hourOf(from_ms)),
      Math.min(LAST_HOUR, this.#hourOf(to_ms)),
    ];
    return to > from ? [{ from, to, word }] : [];
  }

  protected widthOf(bar: Bar): number {
    return Math.max(3, this.at(bar.to) - this.at(bar.from));
  }
}
