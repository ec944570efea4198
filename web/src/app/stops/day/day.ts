import { Device } from '../../device/device';
import { ChangeDetectionStrategy, Component, computed, effect, inject, untracked } from '@angular/core';
import { blockedWords, waitWords } from '@yellow-pane/contracts/words';
import { firstWords } from '@yellow-pane/core/day';
import { type Verdict, formatTemperature } from '@yellow-pane/core/quantity';
import { JobReading } from '../../job/job-reading';
import { Commands } from '../../shell/commands';
import { Selection } from '../../shell/selection';
import { Figure } from '../../ui/figure';
import { StopFrame } from '../../shell/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';
import { dayWords } from '../../words/day';
import { CrewView } from './crew-view';
import { DayBoard } from './day-board';
import { DayGround } from './day-ground';
import type { Gain } from './gains';
import { KitView } from './kit-view';
import { MixView } from './mix-view';
import { DayCommands } from './day-commands';
import { type DayView, Planning } from './planning';
import { VisitsList } from '../../day/visits-list';
import { ReturnsList } from './returns-list';
import { SunView } from './sun-view';
import { spanWord } from './wait-span';
import { WaitsView } from './waits-view';
import { WhatToBring } from './what-to-bring';

const HOUR_MS = 3_600_000;
const INDOOR_WORDS = {
  thermometer: dayWords.thermometerOnSite,
  set: dayWords.asSet,
  usual: dayWords.theDefault,
} as const;

/** When can work start, in what order, with what mixed and packed. */
@Component({
  selector: 'yp-day',
  imports: [
    StopFrame,
    VerdictBox,
    Figure,
    DayBoard,
    SunView,
    MixView,
    KitView,
    CrewView,
    ReturnsList,
    VisitsList,
    WaitsView,
  ],
  providers: [Planning, DayCommands, DayGround, WhatToBring],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './day.html',
  host: { class: 'contents' },
})
export class Day {
  protected readonly words = dayWords;
  readonly #units = inject(Device).units;
  protected readonly blockedWords = blockedWords;
  protected readonly waitWords = waitWords;
  protected readonly spanWord = spanWord;
  protected readonly planning = inject(Planning);
  protected readonly commands = inject(DayCommands);
  protected readonly selection = inject(Selection);
  readonly #reading = inject(JobReading);
  protected readonly views: readonly { readonly view: DayView; readonly word: string }[] = [
    { view: 'order', word: dayWords.order },
    { view: 'sun', word: dayWords.sunTab },
    { view: 'waits', word: dayWords.waits },
    { view: 'mix', word: dayWords.mixes },
    { view: 'kit', word: dayWords.kit },
    { view: 'crew', word: dayWords.crew },
  ];
  protected readonly needsPlan = computed(
    () =>
      this.planning.shown().length === 0 ||
      this.planning.broken().length > 0 ||
      this.planning.unplanned() > 0,
  );
  protected readonly finding = computed<{
    readonly verdict: Verdict;
    readonly heading: string;
    readonly says: string;
  }>(() => {
    const planning = this.planning;
    if (planning.filmed().length === 0)
      return { verdict: 'unknown', heading: dayWords.nothingToPlan, says: dayWords.noFilmAnywhere };
    if (planning.crew().length === 0)
      return { verdict: 'unknown', heading: dayWords.noCrewYet, says: dayWords.addUnderCrew };
    const none = planning.none();
    if (none !== undefined)
      return {
        verdict: 'stop',
        heading: dayWords.noPlan,
        says: dayWords.findsNoPlace(
          planning.whole()?.problem.steps.find(({ id }) => id === none.stuck)?.word ?? '',
        ),
      };
    if (planning.ready() === undefined)
      return { verdict: 'unknown', heading: dayWords.calculatingSun, says: dayWords.aMoment };
    const steps = planning.shown();
    if (steps.length === 0)
      return {
        verdict: 'unknown',
        heading: dayWords.notPlannedYet,
        says: dayWords.stretchesToOrder(planning.whole()?.problem.steps.length ?? 0),
      };
    if (planning.broken().length > 0)
      return {
        verdict: 'go with care',
        heading: dayWords.noLongerHoldsHead,
        says: dayWords.stretchesBreak(planning.broken().length),
      };
    const [first] = [...steps].sort((a, b) => a.start - b.start);
    const beyond = planning.beyondForecast();
    const word = planning.whole()?.problem.steps.find(({ id }) => id === first?.id)?.word ?? '';
    const heading = dayWords.startWith(planning.clock().clock(first?.start ?? 0), word);
    return beyond.size === 0
      ? { verdict: 'go', heading, says: this.#sunLine() }
      : { verdict: 'go with care', heading, says: this.#beyondLine(beyond.size) };
  });
  protected readonly weatherWord = computed(() => {
    const clock = this.planning.clock();
    const starts = clock.dayStarts;
    const [from, to] = [
      clock.from_ms + (starts[this.planning.day()] ?? 0) * 60_000,
      clock.from_ms + (starts[this.planning.day() + 1] ?? 1440) * 60_000,
    ];
    const hours = this.planning.weather
      .hours()
      .filter(({ instant_ms }) => instant_ms >= from && instant_ms < to);
    if (hours.length === 0) return dayWords.noForecast(clock.dayWord(this.planning.day()));
    const cloud = hours.reduce((sum, hour) => sum + hour.cloud, 0) / hours.length;
    return dayWords.forecast(
      clock.dayWord(this.planning.day()),
      this.temperature(Math.min(...hours.map(({ air_C }) => air_C))),
      this.temperature(Math.max(...hours.map(({ air_C }) => air_C))),
      cloud > 0.85 ? 'overcast' : cloud > 0.4 ? dayWords.partCloud : 'clear',
      hours.some(({ rain_mm }) => rain_mm > 0.1) ? dayWords.withRain : '',
    );
  });

  protected temperature(celsius: number): string {
    return formatTemperature(celsius, this.#units());
  }

  constructor() {
    inject(Commands).offer([
      {
        id: 'day-plan',
        word: dayWords.planDays,
        keys: 'Alt+P',
        canRun: () => this.planning.whole() !== undefined && this.planning.crew().length > 0,
        run: () => {
          void this.planning.plan();
        },
      },
      {
        id: 'day-keep',
        word: dayWords.keepPlan,
        keys: 'Alt+K',
        canRun: () => this.planning.isProposal(),
        run: () => {
          this.planning.keep();
        },
      },
    ]);
    effect(() => {
      const picked = this.planning.picked();
      if (picked === undefined) return;
      const surfaceId = untracked(
        () => this.#reading.applications().find(({ id }) => id === picked.applicationId)?.surfaceId,
      );
      if (surfaceId !== undefined && surfaceId !== untracked(this.selection.surface)?.id)
        this.selection.goToSurface(surfaceId);
    });
  }

  protected readonly shortly = firstWords;

  protected clockOf(minute: number): string {
    return this.planning.clock().clock(minute);
  }

  /** By how much a plan ends sooner: in days of the calendar, else in hours. */
  protected earlier({ plan, finish }: Gain): string {
    const { dayStarts } = this.planning.clock();
    const dayOf = (minute: number): number => dayStarts.filter((start) => start <= minute).length;
    const days = dayOf(finish) - dayOf(plan.finish);
    return days === 0 ? dayWords.hoursEarlier(this.hours(finish - plan.finish)) : dayWords.daysEarlier(days);
  }

  protected hours(minutes: number): string {
    return `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
  }

  protected indoorWord(): string {
    return INDOOR_WORDS[this.planning.indoor().from];
  }

  protected file(kind: 'sheet' | 'calendar' | 'list'): string {
    return `/api/jobs/${this.#reading.job()?.id ?? ''}/day/${kind}?units=${encodeURIComponent(this.#units())}`;
  }

  /** What is planned where no temperature is known yet. */
  #beyondLine(count: number): string {
    const clock = this.planning.clock();
    const last_ms = this.planning.weather.hours().at(-1)?.instant_ms;
    return dayWords.beyondForecast(
      count,
      last_ms === undefined
        ? dayWords.thereIsNoForecast
        : dayWords.forecastEnds(clock.moment(clock.minuteOf(last_ms + HOUR_MS))),
    );
  }

  /** What the sun asks of the first day's fronts. */
  #sunLine(): string {
    const clock = this.planning.clock();
    const end = clock.from_ms + (clock.dayStarts[1] ?? 1440) * 60_000;
    const sunny = this.planning
      .surfaces()
      .flatMap(({ applicationId, tag }) => {
        const span = this.planning
          .ready()
          ?.get(applicationId)
          ?.closed.find(({ by, from_ms }) => by === 'sun' && from_ms < end);
        return span === undefined ? [] : [{ tag, at: span.from_ms }];
      })
      .sort((a, b) => a.at - b.at);
    const [first] = sunny;
    if (first === undefined) return dayWords.noDirectSun;
    return dayWords.sunComesTo(
      first.tag,
      sunny.length > 1 ? dayWords.andMore(sunny.length - 1) : '',
      clock.clockOf(first.at),
    );
  }
}
