import { formatTemperature } from '@yellow-pane/core/quantity';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { filmReasonWords, penaltyWords } from '@yellow-pane/contracts/words';
import { ADDS_LITTLE, MATRIX_SOURCE } from '@yellow-pane/core/thermal-stress';
import { Device } from '../../device/device';
import { StepTrace } from '../../ui/step-trace';
import { VerdictMark } from '../../ui/verdict-mark';
import { filmWords } from '../../words/film';
import { Choosing } from './choosing';

const WIDE = 640;
const HIGH = 170;
const LEFT = 44;
const OUTCOMES = {
  low: 'go',
  check: 'go with care',
  high: 'stop',
  'cannot say': 'unknown',
  no: 'stop',
  ask: 'unknown',
} as const;

/**
 * The sum behind the verdict on cracking: tension against what the edge bears, the day's course, the rule of
 * thumb.
 */
@Component({
  selector: 'yp-stress-view',
  imports: [StepTrace, VerdictMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let found = stress();
    @if (found === null || found.panes.length === 0) {
      <p class="m-auto max-w-md p-6 text-center">
        {{ first() ?? words.chooseStress }}
      </p>
    } @else {
      <div
        class="relative overflow-auto flex-1 min-h-0 px-5 py-3 flex flex-col gap-4"
        tabindex="0"
        role="region"
        [attr.aria-label]="words.glassStress"
      >
        <section aria-labelledby="bears">
          <h2 id="bears" class="font-bold">{{ words.tensionAtEdge }}</h2>
          <svg
            [attr.viewBox]="'0 0 ' + wide + ' ' + bars().length * 58"
            class="w-full max-w-3xl"
            role="img"
            [attr.aria-label]="barWords()"
          >
            @for (bar of bars(); track bar.pane; let row = $index) {
              <g [attr.transform]="'translate(0 ' + row * 58 + ')'">
                <text x="0" y="15" class="fill-ink" font-size="14">{{ bar.word }}</text>
                @if (bar.bears; as bears) {
                  <rect
                    [attr.x]="bears.low"
                    y="20"
                    [attr.width]="right - bears.low"
                    height="30"
                    class="fill-board stroke-line-strong"
                    stroke-dasharray="3 3"
                  />
                  <line
                    [attr.x1]="bears.low"
                    [attr.x2]="bears.low"
                    y1="18"
                    y2="53"
                    class="stroke-ink"
                    stroke-width="2.5"
                  />
                  <text [attr.x]="bears.low + 4" y="15" font-size="12" class="fill-ink figure">
                    {{ words.bearsMuch(bears.text) }}
                  </text>
                }
                <rect x="0" y="23" [attr.width]="bar.before" height="10" class="fill-glass stroke-ink" />
                <rect
                  x="0"
                  y="36"
                  [attr.width]="bar.after"
                  height="12"
                  [attr.class]="bar.isOver ? 'fill-stop' : 'fill-film'"
                />
                <text
                  [attr.x]="bar.before + 5"
                  y="32"
                  font-size="12"
                  class="fill-ink figure stroke-board [paint-order:stroke]"
                  stroke-width="5"
                >
                  {{ words.bareMuch(bar.beforeText) }}
                </text>
                <text
                  [attr.x]="bar.after + 5"
                  y="47"
                  font-size="13"
                  class="fill-ink figure stroke-board [paint-order:stroke]"
                  stroke-width="5"
                  font-weight="700"
                >
                  {{ words.filmedMuch(bar.afterText) }}
                </text>
              </g>
            }
          </svg>
        </section>
        <section aria-labelledby="sum">
          <h2 id="sum" class="font-bold">{{ words.sumWorst }}</h2>
          <p class="leading-snug mb-1">{{ first() }}</p>
          <yp-step-trace [steps]="found.panes[0]?.why ?? []" />
        </section>
        <section aria-labelledby="course">
          <h2 id="course" class="font-bold">{{ words.throughDay }}</h2>
          <svg
            [attr.viewBox]="'0 0 ' + wide + ' ' + (high + 26)"
            class="w-full max-w-3xl"
            role="img"
            [attr.aria-label]="words.tensionHours"
          >
            @for (tick of ticks(); track tick.y) {
              <line
                [attr.x1]="left"
                [attr.x2]="wide - 8"
                [attr.y1]="tick.y"
                [attr.y2]="tick.y"
                class="stroke-line"
              />
              <text
                [attr.x]="left - 6"
                [attr.y]="tick.y + 4"
                text-anchor="end"
                font-size="12"
                class="fill-faint figure"
              >
                {{ tick.word }}
              </text>
            }
            @if (limitY(); as y) {
              <line
                [attr.x1]="left"
                [attr.x2]="wide - 8"
                [attr.y1]="y"
                [attr.y2]="y"
                class="stroke-stop"
                stroke-width="2"
                stroke-dasharray="7 4"
              />
              <text [attr.x]="left + 6" [attr.y]="y - 5" font-size="12" class="fill-stop">
                {{ words.weakestEdge }}
              </text>
            }
            <path [attr.d]="course()" fill="none" class="stroke-ink" stroke-width="2.5" />
            <path
              [attr.d]="warmth()"
              fill="none"
              class="stroke-line-strong"
              stroke-width="1.5"
              stroke-dasharray="2 3"
            />
            <text [attr.x]="wide - 10" y="14" text-anchor="end" font-size="12" class="fill-faint">
              {{ words.dottedHottest(hottestWord()) }}
            </text>
            @for (hour of hours; track hour) {
              <text
                [attr.x]="xOf(hour)"
                [attr.y]="high + 20"
                text-anchor="middle"
                font-size="12"
                class="fill-faint figure"
              >
                {{ hour }}
              </text>
            }
          </svg>
        </section>
        @if (found.matrix; as matrix) {
          <section aria-labelledby="thumb">
            <h2 id="thumb" class="font-bold">{{ words.otherSchool }}</h2>
            <p class="leading-snug">
              {{
                words.columnStart(
                  matrix.row,
                  percent(matrix.absorbed),
                  percent(matrix.absorbed - matrix.added),
                  columns[matrix.base] ?? ''
                )
              }}
              @if (matrix.added <= addsLittle) {
                {{ words.addsLittle(percent(addsLittle)) }}
              } @else if (matrix.penalties.length > 0) {
                {{ words.columnWorse(penalties(), matrix.worse, columns[matrix.column] ?? '') }}
              }
              <yp-verdict-mark class="align-middle" [verdict]="outcomes[matrix.outcome]" />
            </p>
            <p class="text-sm text-faint">
              {{ words.matrixSource(matrixSource) }}
            </p>
          </section>
        }
      </div>
    }
  `,
  host: { class: 'flex flex-col flex-1 min-h-0' },
})
export class StressView {
  protected readonly words = filmWords;
  readonly #choosing = inject(Choosing);
  readonly #units = inject(Device).units;
  protected readonly wide = WIDE;
  protected readonly high = HIGH;
  protected readonly left = LEFT;
  protected readonly right = WIDE - 4;
  protected readonly hours = [0, 4, 8, 12, 16, 20, 24];
  protected readonly columns = [
    filmWords.upTo35,
    filmWords.from35to50,
    filmWords.from50to65,
    filmWords.over65,
  ];
  protected readonly outcomes = OUTCOMES;
  protected readonly matrixSource = MATRIX_SOURCE.text;
  protected readonly stress = computed(() => this.#choosing.answer()?.stress ?? null);
  protected readonly addsLittle = ADDS_LITTLE;
  protected readonly first = computed(() => {
    const reason = this.stress()?.reasons[0];
    return reason === undefined ? undefined : filmReasonWords(reason, this.#units());
  });
  protected readonly penalties = computed(() =>
    (this.stress()?.matrix?.penalties ?? []).map((own) => penaltyWords(own, this.#units())).join(', '),
  );
  readonly #most = computed(
    () =>
      1.15 *
      Math.max(
        8,
        ...(this.stress()?.panes ?? []).flatMap(({ moment, allowable }) => [
          moment.stress_MPa,
          Math.min(allowable?.low_MPa ?? 0, moment.stress_MPa * 2.2),
        ]),
      ),
  );

  protected readonly bars = computed(() => {
    const panes = [...(this.stress()?.panes ?? [])].sort((a, b) => a.pane - b.pane);
    const scale = (WIDE - 120) / this.#most();
    return panes.map(({ pane, moment, unfilmed_MPa, allowable, outcome }) => ({
      pane,
      word:
        panes.length === 1
          ? filmWords.thePane
          : pane === 0
            ? filmWords.outerPane
            : pane === panes.length - 1
              ? filmWords.innerPane
              : filmWords.middlePane,
      isOver: outcome === 'high',
      before: unfilmed_MPa * scale,
      after: moment.stress_MPa * scale,
      beforeText: unfilmed_MPa.toFixed(1),
      afterText: moment.stress_MPa.toFixed(1),
      bears:
        allowable === undefined
          ? undefined
          : {
              low: Math.min(WIDE - 110, Math.max(90, allowable.low_MPa * scale)),
              text: `${allowable.low_MPa.toFixed(1)}${allowable.high_MPa > allowable.low_MPa ? filmWords.toHigh(allowable.high_MPa.toFixed(1)) : ''}`,
            },
    }));
  });
  protected readonly barWords = computed(() =>
    this.bars()
      .map(({ word, beforeText, afterText, bears }) =>
        filmWords.paneSaid(word, beforeText, afterText, bears?.text ?? 'unknown'),
      )
      .join('; '),
  );
  readonly #limit = computed(() =>
    Math.min(
      ...(this.stress()?.panes ?? []).map(({ allowable }) => allowable?.low_MPa ?? Number.POSITIVE_INFINITY),
    ),
  );
  readonly #top = computed(
    () => 1.2 * Math.max(4, ...(this.stress()?.hours ?? []).map(({ stress_MPa }) => stress_MPa)),
  );
  protected readonly limitY = computed(() =>
    this.#limit() < this.#top() ? this.#yOf(this.#limit()) : undefined,
  );
  protected readonly ticks = computed(() => {
    const step = this.#top() > 20 ? 10 : this.#top() > 8 ? 5 : 2;
    return Array.from({ length: Math.floor(this.#top() / step) + 1 }, (_, index) => ({
      y: this.#yOf(index * step),
      word: String(index * step),
    }));
  });
  protected readonly course = computed(() =>
    (this.stress()?.hours ?? [])
      .map(
        ({ hour, stress_MPa }, index) =>
          `${index === 0 ? 'M' : 'L'}${this.xOf(hour).toFixed(1)} ${this.#yOf(stress_MPa).toFixed(1)}`,
      )
      .join(''),
  );

  protected readonly hottest = computed(() =>
    Math.round(Math.max(...(this.stress()?.hours ?? []).map(({ hottest_C }) => hottest_C))),
  );
  protected readonly hottestWord = computed(() => formatTemperature(this.hottest(), this.#units()));
  protected readonly warmth = computed(() => {
    const span = Math.max(30, this.hottest() * 1.25);
    return (this.stress()?.hours ?? [])
      .map(
        ({ hour, hottest_C }, index) =>
          `${index === 0 ? 'M' : 'L'}${this.xOf(hour).toFixed(1)} ${(HIGH - (HIGH - 8) * Math.max(0, hottest_C / span)).toFixed(1)}`,
      )
      .join('');
  });

  protected percent(share: number): string {
    return `${Math.round(share * 100)} %`;
  }

  protected xOf(hour: number): number {
    return LEFT + ((WIDE - LEFT - 8) * hour) / 24;
  }

  #yOf(stress_MPa: number): number {
    return HIGH - (HIGH - 8) * (stress_MPa / this.#top());
  }
}
