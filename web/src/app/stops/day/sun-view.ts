import { formatTemperature } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { isOutdoorGlass } from '@yellow-pane/core/job';
import { ReadinessCache } from '../../day/readiness-cache';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import type { ReadyAnswer } from '@yellow-pane/core/reading';
import { dayWords } from '../../words/day';
import { BearingCheck } from './bearing-check';
import { Planning } from './planning';
import { SkylineView } from './skyline-view';
import { type Span, sunDrawing } from './sun-drawing';

/**
 * One surface through one day: the sun on it, its temperature against the film's range, and when it is fit,
 * with the figures of each refusal.
 */
@Component({
  selector: 'yp-sun-view',
  imports: [SkylineView, BearingCheck],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drawn(); as view) {
      <h2 class="text-xl pt-3">{{ view.tag }}: {{ view.heading }}</h2>
      <svg
        class="w-full mt-2 bg-paper border border-line"
        viewBox="0 6 1000 304"
        role="img"
        [attr.aria-label]="view.heading"
      >
        @for (span of view.closed; track $index) {
          <rect
            [attr.x]="span.x"
            y="30"
            [attr.width]="span.width"
            height="220"
            [attr.class]="span.by === 'sun' ? 'fill-now/50' : 'fill-board'"
          />
        }
        @for (line of view.levels; track line.y) {
          <line
            x1="0"
            x2="1000"
            [attr.y1]="line.y"
            [attr.y2]="line.y"
            class="stroke-line-strong"
            stroke-dasharray="2 5"
          />
          <text x="4" [attr.y]="line.y - 4" font-size="15" class="fill-faint figure">{{ line.word }}</text>
        }
        <path [attr.d]="view.dew" class="stroke-faint fill-none" stroke-width="1.5" stroke-dasharray="6 4" />
        <path [attr.d]="view.outdoor" class="stroke-faint fill-none" stroke-width="1.5" />
        <path [attr.d]="view.surface" class="stroke-ink fill-none" stroke-width="3" />
        @for (mark of view.marks; track mark.x) {
          <line [attr.x1]="mark.x" [attr.x2]="mark.x" y1="250" y2="257" class="stroke-ink" />
          <text
            [attr.x]="mark.x"
            y="274"
            font-size="16"
            [attr.text-anchor]="mark.anchor"
            class="fill-ink figure"
          >
            {{ mark.word }}
          </text>
        }
        @for (span of view.fit; track $index) {
          <rect
            [attr.x]="span.x"
            y="284"
            [attr.width]="span.width"
            height="16"
            class="fill-glass stroke-ink"
          />
        }
      </svg>
      <p class="text-sm text-faint mt-1">
        {{ words.curvesSaid }}
      </p>
      <ol class="mt-2 leading-snug">
        @for (line of view.list; track $index) {
          <li class="flex gap-3 py-1.5 border-b border-line">
            <span class="figure w-44 shrink-0 whitespace-nowrap">{{ line.when }}</span><span
              [class.font-semibold]="line.isFit"
              >{{ line.says }}</span
            >
          </li>
        }
      </ol>
      @if (view.band) {
        <p class="mt-3 max-w-3xl">
          <strong>{{ words.toTheMinute }}</strong> {{ view.band }}
        </p>
      }
      @for (text of view.notes; track text) {
        <p class="mt-1 text-sm text-faint">{{ text }}</p>
      }
      @if (view.isOutdoors) {
        <yp-skyline-view /><yp-bearing-check />
      }
    } @else {
      <p class="m-auto p-8 text-faint">
        {{ selection.surface() === undefined ? words.noSurfaceYet : words.calculatingSunAndGlass }}
      </p>
    }
  `,
  host: { class: 'block px-5 pb-6 overflow-auto' },
})
export class SunView {
  protected readonly words = dayWords;
  readonly #units = inject(Device).units;
  protected readonly planning = inject(Planning);
  protected readonly selection = inject(Selection);
  readonly #reading = inject(JobReading);

  readonly #book = inject(ReadinessCache);
  readonly #own = signal<ReadyAnswer | undefined>(undefined);
  #turn = 0;

  constructor() {
    effect(() => {
      const surface = this.selection.surface();
      const clock = this.planning.clock();
      const starts = clock.dayStarts;
      const [begin, end] = [starts[this.planning.day()] ?? 0, starts[this.planning.day() + 1] ?? 1440];
      this.planning.ready();
      this.#turn += 1;
      const turn = this.#turn;
      if (surface === undefined) return;
      void untracked(() =>
        this.#book.ask([surface], clock.from_ms + begin * 60_000, clock.from_ms + end * 60_000),
      ).then(([answer]) => {
        if (turn === this.#turn) this.#own.set(answer);
      });
    });
  }

  protected readonly drawn = computed(() => {
    const surface = this.selection.surface();
    const id = this.#reading.applicationsOf(surface?.id ?? '')[0]?.id;
    const own = this.#own();
    if (surface === undefined || own === undefined || (own.id !== id && own.id !== surface.id))
      return undefined;
    const clock = this.planning.clock();
    const starts = clock.dayStarts;
    const [begin, end] = [starts[this.planning.day()] ?? 0, starts[this.planning.day() + 1] ?? 1440];
    const [from_ms, to_ms] = [clock.from_ms + begin * 60_000, clock.from_ms + end * 60_000];
    return {
      tag: surface.tag,
      isOutdoors: isOutdoorGlass(surface),
      ...sunDrawing(own, { from_ms, to_ms }, clock, this.#units()),
      band: this.#bandWord(own, { from_ms, to_ms }),
      notes: [
        ...own.unknown.map((text) => dayWords.unknownIs(text)),
        ...own.assumed.map((text) => dayWords.takenIs(text)),
        ...(this.planning.indoor().from === 'usual'
          ? [dayWords.takenRoom(formatTemperature(20, this.#units()))]
          : []),
      ],
    };
  });

  /** By how much the doubt about the bearing moves the sun of that day. */
  #bandWord(own: ReadyAnswer, day: Span): string | undefined {
    const first = own.sun.findIndex((span) => span.to_ms > day.from_ms && span.from_ms < day.to_ms);
    const band = own.bands[first];
    const minutes = ({ from_ms, to_ms }: Span): number => Math.round((to_ms - from_ms) / 120_000);
    return band === undefined
      ? undefined
      : dayWords.bearingOff(
          this.planning.settings().bearingDoubt_deg,
          minutes(band.begin),
          minutes(band.end),
        );
  }
}
