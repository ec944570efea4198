import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { missWords } from '@yellow-pane/contracts/words';
import type { FilmAnswer } from '@yellow-pane/core/choosing';
import { VerdictMark } from '../../ui/verdict-mark';
import { filmWords } from '../../words/film';
import { Choosing, MOST_COMPARED } from './choosing';
import { FilmSwatch } from './film-swatch';
import { figureLines, marginOf, percent } from './film-words';

/** Up to four films side by side on this surface, the best figure of each row in bold. */
@Component({
  selector: 'yp-compare-view',
  imports: [VerdictMark, FilmSwatch],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (columns().length < 2) {
      <p class="m-auto max-w-md p-6 text-center">
        {{ words.howToCompare(most) }}
      </p>
    } @else {
      <div
        class="relative overflow-auto flex-1 min-h-0 px-5 py-3"
        tabindex="0"
        role="region"
        [attr.aria-label]="words.sideBySide"
      >
        <table class="w-full text-left">
          <thead>
            <tr class="border-b border-ink">
              <th scope="col">
                <span class="sr-only">{{ words.figure }}</span>
              </th>
              @for (column of columns(); track column.film.id) {
                <th scope="col" class="align-bottom pb-2 pl-3 min-w-32">
                  <yp-film-swatch
                    [visibleTransmitted]="column.film.visibleTransmitted"
                    [looks]="column.film"
                  /><span class="block leading-tight">{{ column.film.name }}</span
                  ><span class="block text-sm text-faint font-normal">{{
                    column.film.face === 'outside' ? 'outside' : column.film.family
                  }}</span>
                </th>
              }
            </tr>
          </thead>
          <tbody>
            <tr class="border-b border-line">
              <th scope="row" class="font-normal py-1.5">{{ words.mayItGo }}</th>
              @for (column of columns(); track column.film.id) {
                <td class="pl-3"><yp-verdict-mark [verdict]="column.answer.verdict" /></td>
              }
            </tr>
            @for (row of rows(); track row.key) {
              <tr class="border-b border-line">
                <th scope="row" class="font-normal py-1.5 leading-tight">{{ row.word }}</th>
                @for (value of row.values; track $index) {
                  <td class="figure pl-3">{{ value }}</td>
                }
              </tr>
            }
            <tr class="border-b border-line">
              <th scope="row" class="font-normal py-1.5">{{ words.limitsMissed }}</th>
              @for (column of columns(); track column.film.id) {
                <td class="pl-3 text-sm leading-tight">
                  {{
                    column.answer.performance === null ? '–' : missed(column.answer).join('; ') || words.none
                  }}
                </td>
              }
            </tr>
            <tr class="border-b border-line">
              <th scope="row" class="font-normal py-1.5">{{ words.meetsWishes }}</th>
              @for (column of columns(); track column.film.id) {
                <td class="figure pl-3">{{ percent(column.answer.score) }}</td>
              }
            </tr>
          </tbody>
        </table>
      </div>
    }
  `,
  host: { class: 'flex flex-col flex-1 min-h-0' },
})
export class CompareView {
  protected readonly words = filmWords;
  readonly #choosing = inject(Choosing);
  readonly isPartition = input.required<boolean>();
  protected readonly most = MOST_COMPARED;
  protected readonly percent = percent;
  protected readonly columns = computed(() =>
    this.#choosing.compared().flatMap((id) => {
      const [film, answer] = [
        this.#choosing.films().find((entry) => entry.id === id),
        this.#choosing.answers().find(({ filmId }) => filmId === id),
      ];
      return film === undefined || answer === undefined ? [] : [{ film, answer }];
    }),
  );
  protected missed({ misses }: FilmAnswer): readonly string[] {
    return misses.map(missWords);
  }

  protected readonly rows = computed(() => {
    const lines = this.columns().map(({ answer }) =>
      answer.performance === null ? [] : figureLines(answer.performance, this.isPartition()),
    );
    const stress = {
      key: 'stress',
      word: filmWords.tensionOfBearing,
      values: this.columns().map(({ answer }) => {
        return marginOf(answer) ?? '–';
      }),
    };
    const keys = lines
      .flatMap((list) => list.map(({ key, word }) => ({ key, word })))
      .filter(({ key }, index, all) => all.findIndex((other) => other.key === key) === index);
    return [
      ...(this.isPartition() ? [] : [stress]),
      ...keys.map(({ key, word }) => ({
        key,
        word,
        values: lines.map((list) => list.find((line) => line.key === key)?.value ?? '–'),
      })),
    ];
  });
}
