import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { A11yModule } from '@angular/cdk/a11y';
import { formatLengthWithUnit } from '@yellow-pane/core/quantity';
import { Device } from '../device/device';
import { JobDesk } from '../job/job-desk';
import type { OpenConflict } from '../job/job-state';
import { shellWords } from '../words/shell';

const FIELD_WORDS: Readonly<Record<string, string>> = {
  value_nm: 'value',
  text: shellWords.asTyped,
  filmId: 'film',
  entryUnit: shellWords.unitOfEntry,
  doneAt: 'done',
  startedAt: 'started',
};

/**
 * What two people changed both: one list, both values side by side, a choice each. Nothing is overwritten
 * silently.
 */
@Component({
  selector: 'yp-conflict-box',
  imports: [A11yModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (asked().length > 0) {
      <div class="fixed inset-0 bg-black/45 z-40 grid place-items-center p-4">
        <section
          class="bg-paper border-2 border-ink rounded-card p-5 w-full max-w-xl max-h-full overflow-auto"
          role="alertdialog"
          aria-modal="true"
          aria-labelledby="conflict-title"
          cdkTrapFocus
          cdkTrapFocusAutoCapture
        >
          <h2 id="conflict-title" class="text-xl">{{ title() }}</h2>
          <p class="mt-1 text-faint">
            {{ words.theirsAndYours }}
          </p>
          @for (own of asked(); track own.conflict.pending.change.id) {
            <article class="mt-4 border-t-2 border-ink pt-3">
              <h3 class="font-semibold">
                {{ own.conflict.pending.label }} <span class="font-normal text-faint">· {{ own.who }}</span>
              </h3>
              <table class="mt-2 w-full">
                <thead>
                  <tr class="text-left text-faint">
                    <th class="font-normal" scope="col">{{ words.what }}</th>
                    <th class="font-normal" scope="col">{{ words.yours }}</th>
                    <th class="font-normal" scope="col">{{ words.theirs }}</th>
                  </tr>
                </thead>
                <tbody>
                  @for (row of own.rows; track row.word) {
                    <tr class="border-t border-line">
                      <th scope="row" class="py-2 text-left font-normal">{{ row.word }}</th>
                      <td class="figure font-semibold">{{ row.yours }}</td>
                      <td class="figure font-semibold">{{ row.theirs }}</td>
                    </tr>
                  }
                </tbody>
              </table>
              <div class="mt-3 flex flex-wrap gap-3">
                <button type="button" class="act" (click)="desk.decide(own.conflict, 'theirs')">
                  {{ words.keepTheirs }}
                </button>
                <button type="button" class="act" (click)="desk.decide(own.conflict, 'mine')">
                  {{ words.useMine }}
                </button>
              </div>
            </article>
          }
          @if (asked().length > 1) {
            <div class="mt-5 border-t-2 border-ink pt-3 flex flex-wrap gap-3">
              <button type="button" class="act" (click)="decideAll('theirs')">
                {{ words.keepTheirsForAll(asked().length) }}
              </button>
              <button type="button" class="act" (click)="decideAll('mine')">
                {{ words.useMineForAll(asked().length) }}
              </button>
            </div>
          }
        </section>
      </div>
    }
  `,
})
export class ConflictBox {
  protected readonly words = shellWords;
  protected readonly desk = inject(JobDesk);
  readonly #units = inject(Device).units;
  protected readonly asked = computed(() =>
    this.desk.state().conflicts.map((conflict) => ({
      conflict,
      who: conflict.conflicts[0]?.who ?? 'someone',
      rows: this.#rowsOf(conflict),
    })),
  );
  protected readonly title = computed(() => {
    const [first, ...others] = this.asked();
    return others.length === 0
      ? shellWords.changedThisToo(first?.who ?? shellWords.someone)
      : shellWords.othersChanged(others.length + 1);
  });

  protected decideAll(whose: 'mine' | 'theirs'): void {
    for (const { conflict } of this.asked()) this.desk.decide(conflict, whose);
  }

  #rowsOf({
    conflicts,
  }: OpenConflict): readonly { readonly word: string; readonly yours: string; readonly theirs: string }[] {
    return conflicts.map(({ field, yours, theirs }) => ({
      word: FIELD_WORDS[field] ?? field,
      yours: this.#shown(field, yours),
      theirs: this.#shown(field, theirs),
    }));
  }

  #shown(field: string, value: unknown): string {
    if (field.endsWith('_nm') && typeof value === 'number') return formatLengthWithUnit(value, this.#units());
    return value === null
      ? 'nothing'
      : typeof value === 'string' || typeof value === 'number'
        ? String(value)
        : JSON.stringify(value);
  }
}
