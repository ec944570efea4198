import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { byFitness } from '@yellow-pane/core/choosing';
import { worstVerdict } from '@yellow-pane/core/quantity';
import { VerdictMark } from '../../ui/verdict-mark';
import { filmWords } from '../../words/film';
import { Choosing } from './choosing';

/**
 * A whole front at once: what the film looked at may do on each of its surfaces, and what would be best
 * there.
 */
@Component({
  selector: 'yp-facade-view',
  imports: [VerdictMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="relative overflow-auto flex-1 min-h-0 px-5 py-3"
      tabindex="0"
      role="region"
      [attr.aria-label]="words.wholeFront"
    >
      @if (choosing.progress() !== undefined) {
        <p class="flex items-center gap-3 mb-2">
          {{ words.judgingSurfaces(choosing.judged().length) }}
          <progress max="1" [value]="choosing.progress()">{{ words.judging }}</progress><button
            type="button"
            class="act act-small"
            (click)="choosing.stop()"
          >
            {{ words.stop }}
          </button>
        </p>
      }
      <p class="mb-2 leading-snug">{{ summary() }}</p>
      <table class="w-full text-left">
        <thead class="text-sm text-faint">
          <tr class="border-b border-ink">
            <th scope="col" class="font-normal py-1">{{ words.surface }}</th>
            <th scope="col" class="font-normal">{{ choosing.chosen()?.name }}</th>
            <th scope="col" class="font-normal">{{ words.bestThere }}</th>
            <th scope="col" class="font-normal">{{ words.onItNow }}</th>
          </tr>
        </thead>
        <tbody>
          @for (line of lines(); track line.id) {
            <tr class="border-b border-line">
              <th scope="row" class="font-normal py-1">
                <button
                  type="button"
                  class="min-h-10 underline underline-offset-2"
                  (click)="visited.emit(line.id)"
                >
                  <span class="font-semibold">{{ line.tag }}</span> {{ line.name }}
                </button>
              </th>
              <td>
                @if (line.verdict) {
                  <yp-verdict-mark [verdict]="line.verdict" />
                } @else {
                  <span class="text-faint">…</span>
                }
              </td>
              <td>{{ line.best }}</td>
              <td>{{ line.now }}</td>
            </tr>
          }
        </tbody>
      </table>
      @if (common(); as film) {
        <button type="button" class="act act-next mt-4" (click)="choosing.pick(film.filmId)">
          {{ words.mayGoOnAll(choosing.nameOf(film.filmId)) }}
        </button>
      }
    </div>
  `,
  host: { class: 'flex flex-col flex-1 min-h-0' },
})
export class FacadeView {
  protected readonly words = filmWords;
  protected readonly choosing = inject(Choosing);
  readonly visited = output<string>();
  protected readonly lines = computed(() =>
    this.choosing.judged().map(({ id, tag, name }) => {
      const answers = [...this.choosing.answersOf(id)].sort(byFitness);
      const [first] = answers;
      return {
        id,
        tag,
        name,
        verdict: answers.find(({ filmId }) => filmId === this.choosing.chosenId())?.verdict,
        best:
          first === undefined
            ? '…'
            : first.verdict === 'stop'
              ? 'none'
              : `${this.choosing.nameOf(first.filmId)}${first.misses.length > 0 ? filmWords.missesALimit : ''}`,
        now: this.choosing.appliedNames(id),
      };
    }),
  );
  protected readonly summary = computed(() => {
    const known = this.lines().flatMap(({ tag, verdict }) =>
      verdict === undefined ? [] : [{ tag, verdict }],
    );
    const stopped = known.filter(({ verdict }) => verdict === 'stop').map(({ tag }) => tag);
    const open = known.filter(({ verdict }) => verdict === 'unknown').map(({ tag }) => tag);
    const name = this.choosing.chosen()?.name ?? filmWords.theFilm;
    return known.length === 0
      ? ''
      : filmWords.mayGoOn(
          name,
          known.length - stopped.length - open.length,
          known.length,
          stopped.length > 0 ? filmWords.stopOnThese(stopped.join(', ')) : '',
          open.length > 0 ? filmWords.unknownOnThese(open.join(', ')) : '',
        );
  });
  /** A film that may go on every surface where any may, meets the limits, and is not the one looked at. */
  protected readonly common = computed(() => {
    const lists = this.choosing
      .judged()
      .map(({ id }) => this.choosing.answersOf(id))
      .filter((list) => list.some(({ verdict }) => verdict === 'go' || verdict === 'go with care'));
    const [first] = lists;
    if (first === undefined || lists.length < 2) return undefined;
    const mayGo = (filmId: string): boolean => {
      const verdict = worstVerdict(
        lists.map((list) => list.find((answer) => answer.filmId === filmId)?.verdict ?? 'stop'),
      );
      return verdict === 'go' || verdict === 'go with care';
    };
    return [...first]
      .sort(byFitness)
      .find(
        ({ filmId, misses }) => misses.length === 0 && filmId !== this.choosing.chosenId() && mayGo(filmId),
      );
  });
}
