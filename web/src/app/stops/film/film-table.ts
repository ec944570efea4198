import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import type { FilmRow } from '@yellow-pane/contracts';
import type { FilmAnswer, LimitMiss } from '@yellow-pane/core/choosing';
import { VerdictMark } from '../../ui/verdict-mark';
import { filmWords } from '../../words/film';
import { FilmSwatch } from './film-swatch';
import { marginOf, percent } from './film-words';

interface Line {
  readonly film: FilmRow;
  readonly answer: FilmAnswer | undefined;
}
type SortKey = 'fit' | 'light' | 'heat' | 'name';

/** Films in a sorted table: one is chosen, up to four are laid side by side. */
@Component({
  selector: 'yp-film-table',
  imports: [VerdictMark, FilmSwatch],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table class="w-full text-left table-fixed">
      <caption class="sr-only">
        {{
          words.filmsBestFirst
        }}
      </caption>
      <thead class="text-sm text-faint sticky top-0 bg-board z-10">
        <tr class="border-b border-ink">
          <th scope="col" class="font-normal py-1" [attr.aria-sort]="sorted('name')">
            <button type="button" class="min-h-8 underline underline-offset-2" (click)="sort.set('name')">
              {{ words.film }}
            </button>
          </th>
          <th scope="col" class="font-normal w-28" [attr.aria-sort]="sorted('fit')">
            <button type="button" class="min-h-8 underline underline-offset-2" (click)="sort.set('fit')">
              {{ words.mayItGo }}
            </button>
          </th>
          @if (isGlass()) {
            <th scope="col" class="font-normal text-right w-12" [attr.aria-sort]="sorted('light')">
              <button
                type="button"
                class="min-h-8 underline underline-offset-2"
                [attr.aria-label]="words.lightKept"
                (click)="sort.set('light')"
              >
                {{ words.light }}
              </button>
            </th>
            @if (isPartition()) {
              <th scope="col" class="font-normal text-right w-24">{{ words.seenThrough }}</th>
            } @else {
              <th scope="col" class="font-normal text-right w-16" [attr.aria-sort]="sorted('heat')">
                <button type="button" class="min-h-8 underline underline-offset-2" (click)="sort.set('heat')">
                  {{ words.heatOff }}
                </button>
              </th>
            }
          }
          <th scope="col" class="font-normal text-right w-16">
            <span class="max-md:sr-only">{{ words.compare }}</span>
          </th>
        </tr>
      </thead>
      <tbody role="radiogroup" [attr.aria-label]="words.films">
        @for (line of lines(); track line.film.id) {
          <tr
            class="border-b border-line has-checked:bg-paper"
            [class.opacity-60]="line.answer?.verdict === 'stop' && line.film.id !== chosenId()"
          >
            <th scope="row" class="font-normal py-1">
              <label class="flex items-center gap-1.5 min-h-10 cursor-pointer">
                <input
                  type="radio"
                  name="film"
                  class="size-5 accent-ink shrink-0"
                  [value]="line.film.id"
                  [checked]="line.film.id === chosenId()"
                  (change)="chosen.emit(line.film.id)"
                  (dblclick)="taken.emit()"
                />
                <yp-film-swatch
                  [visibleTransmitted]="line.film.visibleTransmitted"
                  [looks]="line.film"
                  [small]="true"
                  class="max-md:hidden"
                />
                <span class="leading-tight min-w-0"
                  ><span class="font-semibold">{{ line.film.name }}</span
                  ><span class="block text-sm text-faint truncate"
                    >{{ line.film.face === 'outside' ? words.outsideFace : '' }}{{ line.film.family
                    }}{{ line.film.invented ? words.invented : '' }}</span
                  ></span
                >
              </label>
            </th>
            <td class="text-sm">
              @if (line.answer; as answer) {
                <yp-verdict-mark [verdict]="answer.verdict" />
                @if (margin(answer); as margin) {
                  <span class="block text-faint whitespace-nowrap">{{ words.edgeMargin(margin) }}</span>
                }
              } @else {
                <span class="text-faint">…</span>
              }
            </td>
            @if (isGlass()) {
              <td class="figure text-right">
                {{ light(line.answer) }}
                @if (asked(line.answer, 'too little light kept'); as least) {
                  <span class="block text-sm text-stop font-sans whitespace-nowrap">{{
                    words.notAsked(least)
                  }}</span>
                }
              </td>
              <td class="figure text-right">
                {{ isPartition() ? seen(line.answer) : heat(line.answer) }}
                @if (asked(line.answer, 'too little heat off'); as least) {
                  <span class="block text-sm text-stop font-sans whitespace-nowrap">{{
                    words.notAsked(least)
                  }}</span>
                }
              </td>
            }
            <td class="text-right pr-2">
              <input
                type="checkbox"
                class="size-5 accent-ink"
                [attr.aria-label]="words.laySideBySide(line.film.name)"
                [checked]="compared().includes(line.film.id)"
                (change)="comparing.emit(line.film.id)"
              />
            </td>
          </tr>
        }
      </tbody>
    </table>
  `,
})
export class FilmTable {
  protected readonly words = filmWords;
  readonly films = input.required<readonly FilmRow[]>();
  readonly answers = input.required<readonly FilmAnswer[]>();
  readonly chosenId = input.required<string | undefined>();
  readonly compared = input.required<readonly string[]>();
  readonly isGlass = input.required<boolean>();
  readonly isPartition = input.required<boolean>();
  readonly chosen = output<string>();
  readonly taken = output();
  readonly comparing = output<string>();
  protected readonly sort = signal<SortKey>('fit');

  protected readonly lines = computed<readonly Line[]>(() => {
    const byId = new Map(this.films().map((film) => [film.id, film]));
    const judged = this.answers().flatMap((answer): Line[] => {
      const film = byId.get(answer.filmId);
      return film === undefined ? [] : [{ film, answer }];
    });
    const lines =
      judged.length > 0 ? judged : this.films().map((film): Line => ({ film, answer: undefined }));
    const of =
      (pick: (answer: FilmAnswer) => number | undefined) =>
      (line: Line): number =>
        (line.answer === undefined ? undefined : pick(line.answer)) ?? Number.POSITIVE_INFINITY;
    const by = this.sort();
    if (by === 'name') return [...lines].sort((a, b) => a.film.name.localeCompare(b.film.name));
    if (by === 'light')
      return [...lines].sort(
        ascending(of(({ performance }) => (performance === null ? undefined : -performance.lightKept.value))),
      );
    if (by === 'heat')
      return [...lines].sort(ascending(of(({ performance }) => performance?.heatKept.value)));
    return lines;
  });

  protected sorted(key: SortKey): 'ascending' | 'none' {
    return this.sort() === key ? 'ascending' : 'none';
  }

  protected readonly margin = marginOf;

  /** The least that was asked for, where this film misses it. */
  protected asked(answer: FilmAnswer | undefined, missed: LimitMiss['case']): string | undefined {
    const miss = answer?.misses.find((own) => own.case === missed);
    return miss === undefined ? undefined : percent(miss.least);
  }

  protected light(answer: FilmAnswer | undefined): string {
    return answer?.performance == null ? '–' : `${Math.round(answer.performance.lightKept.value * 100)} %`;
  }

  protected heat(answer: FilmAnswer | undefined): string {
    return answer?.performance == null
      ? '–'
      : `${Math.round((1 - answer.performance.heatKept.value) * 100)} %`;
  }

  protected seen(answer: FilmAnswer | undefined): string {
    return answer?.performance == null ? '–' : answer.performance.sight.inByDay.class;
  }
}

function ascending(of: (line: Line) => number): (a: Line, b: Line) => number {
  return (a, b) => {
    const [x, y] = [of(a), of(b)];
    return x === y ? 0 : x < y ? -1 : 1;
  };
}
