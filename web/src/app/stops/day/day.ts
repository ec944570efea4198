import { ChangeDetectionStrategy, Component, computed, effect, inject, untracked } from '@angular/core';
import { firstWords } from '@yellow-pane/core/day';
import type { Verdict } from '@yellow-pane/core/quantity';
import { JobReading } from '../../job/job-reading';
import { Commands } from '../../shell/commands';
import { Selection } from '../../shell/selection';
import { Figure } from '../../ui/figure';
import { StopFrame } from '../../shell/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';
import { CrewView } from './crew-view';
import { DayBoard } from './day-board';
import { DayGround } from './day-ground';
import { KitView } from './kit-view';
import { MixView } from './mix-view';
import { type DayView, Planning } from './planning';
import { ReturnsList } from './returns-list';
import { SunView } from './sun-view';
import { WaitsView } from './waits-view';

const INDOOR_WORDS = {
  thermometer: 'thermometer on site',
  set: 'as set',
  usual: 'the default, set it under Crew',
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
    WaitsView,
  ],
  providers: [Planning, DayGround],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './day.html',
  host: { class: 'contents' },
})
export class Day {
  protected readonly planning = inject(Planning);
  protected readonly selection = inject(Selection);
  readonly #reading = inject(JobReading);
  protected readonly views: readonly { readonly view: DayView; readonly word: string }[] = [
    { view: 'order', word: 'Order' },
    { view: 'sun', word: 'Sun' },
    { view: 'waits', word: 'Waits' },
    { view: 'mix', word: 'Mixes' },
    { view: 'kit', word: 'Kit' },
    { view: 'crew', word: 'Crew' },
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
      return { verdict: 'unknown', heading: 'Nothing to plan yet', says: 'No surface has a film.' };
    if (planning.crew().length === 0)
      return { verdict: 'unknown', heading: 'No crew yet', says: 'Add people under Crew.' };
    const none = planning.none();
    if (none !== undefined)
      return {
        verdict: 'stop',
        heading: 'There is no plan',
        says: `'${planning.whole()?.problem.steps.find(({ id }) => id === none.stuck)?.word ?? ''}' finds no place in these days.`,
      };
    if (planning.ready() === undefined)
      return { verdict: 'unknown', heading: 'Reckoning sun and glass', says: 'A moment.' };
    const steps = planning.shown();
    if (steps.length === 0)
      return {
        verdict: 'unknown',
        heading: 'Not planned yet',
        says: `${planning.whole()?.problem.steps.length ?? 0} stretches of work to put in order.`,
      };
    if (planning.broken().length > 0)
      return {
        verdict: 'go with care',
        heading: 'The plan no longer holds',
        says: `${planning.broken().length} of its stretches break a condition as things are now. Plan again.`,
      };
    const [first] = [...steps].sort((a, b) => a.start - b.start);
    const word = planning.whole()?.problem.steps.find(({ id }) => id === first?.id)?.word ?? '';
    return {
      verdict: 'go',
      heading: `Start ${planning.clock().clock(first?.start ?? 0)} with ${word}`,
      says: this.#sunLine(),
    };
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
    if (hours.length === 0)
      return `No forecast for ${clock.dayWord(this.planning.day())}: sun as under a clear sky.`;
    const cloud = hours.reduce((sum, hour) => sum + hour.cloud, 0) / hours.length;
    return `${clock.dayWord(this.planning.day())}: ${Math.round(Math.min(...hours.map(({ air_C }) => air_C)))} to ${Math.round(Math.max(...hours.map(({ air_C }) => air_C)))} °C, ${cloud > 0.85 ? 'overcast' : cloud > 0.4 ? 'part cloud' : 'clear'}${hours.some(({ rain_mm }) => rain_mm > 0.1) ? ', rain' : ''}.`;
  });

  constructor() {
    inject(Commands).offer([
      {
        id: 'day-plan',
        word: 'Plan the days',
        keys: 'Alt+P',
        canRun: () => this.planning.whole() !== undefined && this.planning.crew().length > 0,
        run: () => {
          void this.planning.plan();
        },
      },
      {
        id: 'day-keep',
        word: 'Keep this plan',
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

  protected hours(minutes: number): string {
    return `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
  }

  protected waitWord(least: number | null, likely: number | null, most: number | null): string {
    return least === null || likely === null || most === null
      ? 'unknown'
      : least === most
        ? `${likely} min`
        : `${least} to ${most} min`;
  }

  protected indoorWord(): string {
    return INDOOR_WORDS[this.planning.indoor().from];
  }

  protected file(kind: 'sheet' | 'calendar' | 'list'): string {
    return `/api/jobs/${this.#reading.job()?.id ?? ''}/day/${kind}`;
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
    if (first === undefined) return 'No direct sun to wait for on the first day.';
    return `The sun comes to ${first.tag}${sunny.length > 1 ? ` and ${sunny.length - 1} more` : ''} from ${clock.clockOf(first.at)}: that film must lie before, or after it has left and the glass has cooled.`;
  }
}
