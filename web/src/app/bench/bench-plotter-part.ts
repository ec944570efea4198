import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { DeviceMessage } from '@yellow-pane/contracts';
import { BenchPlotter } from '../instruments/bench-plotter';
import { settingsWords } from '../words/settings';

const STATE_WORDS = {
  off: settingsWords.switchedOff,
  connecting: 'connecting…',
  ready: 'ready',
  lost: settingsWords.notReached,
} as const;
const WIDE = 360;
const HIGH = 200;

/**
 * The plotter stand-in: the film in it, what it has cut, and how to make it misbehave. Jobs are sent from the
 * Cut stop.
 */
@Component({
  selector: 'yp-bench-plotter',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section
      class="mt-8 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-8 max-md:grid-cols-1 border-t border-ink pt-5"
      aria-labelledby="plotter-name"
    >
      <div>
        <h2 id="plotter-name" class="text-xl">{{ words.cuttingPlotter }}</h2>
        <p class="mt-1" role="status">
          {{ words.itIs }} <strong>{{ state() }}</strong>. {{ holds() }}
        </p>
        <svg
          [attr.viewBox]="'0 0 ' + wide + ' ' + high"
          class="w-full mt-3 bg-board border border-line rounded-card"
          role="img"
          [attr.aria-label]="words.filmInPlotter"
        >
          @if (film(); as at) {
            <rect
              [attr.x]="at.x"
              [attr.y]="at.y"
              [attr.width]="at.w"
              [attr.height]="at.h"
              class="fill-film stroke-ink"
              fill-opacity="0.16"
            />
          }
          @for (line of lines(); track $index) {
            <path [attr.d]="line" class="fill-none stroke-ink" stroke-width="1.4" />
          }
        </svg>
        <div class="flex flex-wrap gap-2 mt-3">
          @if (plotter.state() === 'ready') {
            <button type="button" class="act" (click)="plotter.disconnect()">{{ words.plotterOff }}</button>
          } @else {
            <button type="button" class="act" (click)="plotter.connect()">{{ words.plotterOn }}</button>
          }
        </div>
        @if (plotter.fault(); as text) {
          <p class="mt-3 border-2 border-stop rounded-card px-3 py-2" role="alert">{{ text }}</p>
        }
      </div>
      <div class="flex flex-col gap-4">
        <div>
          <p class="font-bold mb-1">{{ words.misbehaveAfter }}</p>
          <label class="flex items-center gap-2"
            ><input
              #after
              class="field figure w-20"
              type="number"
              min="0"
              value="1"
              [attr.aria-label]="words.piecesBeforeMisbehaving"
            />{{ words.pieces }}</label
          >
          <div class="flex flex-wrap gap-2 mt-2">
            @for (how of troubles; track how) {
              <button
                type="button"
                class="act act-small"
                (click)="plotter.order({ do: 'misbehave', how, afterPieces: count(after.value) })"
              >
                {{ how }}
              </button>
            }
          </div>
          <label class="flex items-center gap-2 mt-3"
            >{{ words.speedTimes
            }}<select
              class="field w-auto"
              [attr.aria-label]="words.speedOfPlotter"
              (change)="plotter.order({ do: 'speed', times: count($any($event.target).value) })"
            >
              @for (times of speeds; track times) {
                <option [value]="times" [selected]="times === 20">{{ times }}</option>
              }
            </select></label
          >
          <p class="text-sm text-faint mt-2">
            {{ words.howARealPlotterCuts(twice()) }}
          </p>
        </div>
        <div>
          <p class="font-bold mb-1">{{ words.whatItSaid }}</p>
          <ol
            class="figure text-sm border border-line bg-paper rounded-card max-h-56 overflow-auto"
            tabindex="0"
            [attr.aria-label]="words.messagesOfPlotter"
          >
            @for (message of plotter.log(); track $index) {
              <li class="px-2 py-1 border-b border-line">{{ says(message) }}</li>
            } @empty {
              <li class="px-2 py-2 text-faint">
                {{ words.plotterSilent }}
              </li>
            }
          </ol>
        </div>
      </div>
    </section>
  `,
})
export class BenchPlotterPart {
  protected readonly words = settingsWords;
  protected readonly plotter = inject(BenchPlotter);
  protected readonly wide = WIDE;
  protected readonly high = HIGH;
  protected readonly troubles = ['run out of film', 'jam', 'unplug'] as const;
  protected readonly speeds = [1, 5, 20, 100] as const;
  protected readonly state = computed(() => STATE_WORDS[this.plotter.state()]);
  readonly #film = computed(() => this.plotter.seen()?.film ?? undefined);
  readonly #scale = computed(() => {
    const film = this.#film();
    return film === undefined
      ? 1
      : Math.min((WIDE - 20) / Math.max(1, this.#shown()), (HIGH - 20) / film.width_mm);
  });
  /** Length shown: what is cut, and a little more. */
  readonly #shown = computed(() =>
    Math.max(1500, ...(this.plotter.seen()?.drawn ?? []).flatMap((line) => line.map(([x]) => x + 300))),
  );
  protected readonly film = computed(() => {
    const film = this.#film();
    return film === undefined
      ? undefined
      : {
          x: 10,
          y: 10,
          w: Math.min(film.length_mm, this.#shown()) * this.#scale(),
          h: film.width_mm * this.#scale(),
        };
  });
  protected readonly lines = computed(() =>
    (this.plotter.seen()?.drawn ?? []).map((line) =>
      line
        .map(
          ([x, y], index) =>
            `${index === 0 ? 'M' : 'L'}${(10 + x * this.#scale()).toFixed(1)} ${(10 + y * this.#scale()).toFixed(1)}`,
        )
        .join(''),
    ),
  );
  protected readonly holds = computed(() => {
    const film = this.#film();
    return film === undefined
      ? settingsWords.noFilmInIt
      : settingsWords.filmInIt(film.width_mm.toFixed(0), (film.length_mm / 1000).toFixed(2));
  });
  protected readonly twice = computed(
    () => `${((this.plotter.seen()?.cutTwice_mm ?? 0) / 1000).toFixed(2)} m`,
  );

  constructor() {
    void this.plotter.look();
  }

  protected readonly count = (text: string): number => Math.max(0, Math.round(Number(text)) || 0);

  protected says(message: DeviceMessage): string {
    if (message.type === 'job') return settingsWords.piecesDone(message.done, message.of, message.state);
    return message.type === 'connected'
      ? 'connected'
      : message.type === 'reading' || message.type === 'climate'
        ? ''
        : message.says;
  }
}
