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
import { ReadinessBook } from '../../day/readiness-book';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import type { ReadyAnswer } from '@yellow-pane/core/reading';
import { BearingCheck } from './bearing-check';
import { Planning } from './planning';
import { SkylineView } from './skyline-view';

const WIDE = 1000;
const HIGH = 250;
const TOP = 30;
const HOURS = [0, 3, 6, 9, 12, 15, 18, 21, 24] as const;

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
        Thick: the surface. Thin: outdoors. Dashed: dew point of the air. The bar below: fit to work.
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
        <p class="mt-3 max-w-3xl"><strong>To the minute for what was entered.</strong> {{ view.band }}</p>
      }
      @for (text of view.notes; track text) {
        <p class="mt-1 text-sm text-faint">{{ text }}</p>
      }
      @if (view.isOutdoors) {
        <yp-skyline-view /><yp-bearing-check />
      }
    } @else {
      <p class="m-auto p-8 text-faint">
        {{ selection.surface() === undefined ? 'No surface yet.' : 'Reckoning sun and glass…' }}
      </p>
    }
  `,
  host: { class: 'block px-5 pb-6 overflow-auto' },
})
export class SunView {
  protected readonly planning = inject(Planning);
  protected readonly selection = inject(Selection);
  readonly #reading = inject(JobReading);

  readonly #book = inject(ReadinessBook);
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
    const x = (instant_ms: number): number =>
      Math.round((WIDE * 10 * (instant_ms - from_ms)) / (to_ms - from_ms)) / 10;
    const cut = <Span extends { readonly from_ms: number; readonly to_ms: number }>(spans: readonly Span[]) =>
      spans
        .filter((span) => span.to_ms > from_ms && span.from_ms < to_ms)
        .map((span) => ({
          ...span,
          from_ms: Math.max(span.from_ms, from_ms),
          to_ms: Math.min(span.to_ms, to_ms),
        }));
    const moments = own.moments.filter(({ instant_ms }) => instant_ms >= from_ms && instant_ms <= to_ms);
    const temperatures = moments.flatMap(({ surface_C, outdoor_C, dew_C }) => [
      surface_C,
      dew_C,
      ...(outdoor_C === null ? [] : [outdoor_C]),
    ]);
    const [low, high] = [
      Math.floor(Math.min(...temperatures, 0) / 10) * 10,
      Math.ceil(Math.max(...temperatures, 20) / 10) * 10,
    ];
    const y = (value_C: number): number =>
      Math.round((TOP + ((HIGH - TOP) * (high - value_C)) / (high - low)) * 10) / 10;
    const path = (pick: (moment: (typeof moments)[number]) => number | null): string =>
      moments
        .map((moment) => [x(moment.instant_ms), pick(moment)] as const)
        .filter(([, value]) => value !== null)
        .map(([at, value], index) => `${index === 0 ? 'M' : 'L'}${at} ${y(value ?? 0)}`)
        .join('');
    const [fit, closed, sun] = [cut(own.fit), cut(own.closed), cut(own.sun)];
    const hour = (instant_ms: number): string => clock.hour((instant_ms - clock.from_ms) / 60_000);
    const first = own.sun.findIndex((span) => span.to_ms > from_ms && span.from_ms < to_ms);
    const band = own.bands[first];
    const minutes = (span: { readonly from_ms: number; readonly to_ms: number }): number =>
      Math.round((span.to_ms - span.from_ms) / 120_000);
    return {
      tag: surface.tag,
      isOutdoors: isOutdoorGlass(surface),
      heading:
        sun.length === 0
          ? 'no direct sun this day'
          : `sun from ${sun.map((span) => `${hour(span.from_ms)} to ${hour(Math.ceil(span.to_ms / 60_000) * 60_000)}`).join(', ')}`,
      closed: closed.map((span) => ({
        x: x(span.from_ms),
        width: x(span.to_ms) - x(span.from_ms),
        by: span.by,
      })),
      fit: fit.map((span) => ({ x: x(span.from_ms), width: x(span.to_ms) - x(span.from_ms) })),
      surface: path(({ surface_C }) => surface_C),
      outdoor: path(({ outdoor_C }) => outdoor_C),
      dew: path(({ dew_C }) => dew_C),
      levels: Array.from({ length: (high - low) / 10 + 1 }, (_, index) => low + 10 * index).map((value) => ({
        y: y(value),
        word: `${value}°`,
      })),
      marks: HOURS.map((own_) => ({
        x: (WIDE * own_) / 24,
        word: String(own_),
        anchor: own_ === 0 ? 'start' : own_ === 24 ? 'end' : 'middle',
      })),
      list: [
        ...fit.map((span) => ({ ...span, says: 'fit to work', isFit: true })),
        ...closed.map((span) => ({ ...span, isFit: false })),
      ]
        .sort((a, b) => a.from_ms - b.from_ms)
        .map((span) => ({
          when: `${hour(span.from_ms)} to ${span.to_ms === to_ms ? '24:00' : hour(span.to_ms)}`,
          says: span.says,
          isFit: span.isFit,
        })),
      band:
        band === undefined
          ? undefined
          : `A bearing ${this.planning.settings().bearingDoubt_deg}° off moves its coming by ±${minutes(band.begin)} min and its going by ±${minutes(band.end)} min. The glass is taken to cool a quarter longer than reckoned.`,
      notes: [
        ...own.unknown.map((text) => `Unknown: ${text}.`),
        ...own.assumed.map((text) => `Taken: ${text}.`),
        ...(this.planning.indoor().from === 'usual'
          ? ['Taken: a room of 20 °C and 50 %, the default. Set it under Crew, or connect the thermometer.']
          : []),
      ],
    };
  });
}
