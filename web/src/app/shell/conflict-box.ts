import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { A11yModule } from '@angular/cdk/a11y';
import { formatLengthWithUnit } from '@yellow-pane/core/quantity';
import { Device } from '../device/device';
import { JobDesk } from '../job/job-desk';

const FIELD_WORDS: Readonly<Record<string, string>> = { value_nm: 'value', text: 'as typed', filmId: 'film', entryUnit: 'unit of entry', doneAt: 'done', startedAt: 'started' };

/** Two people changed the same thing: both values, side by side, and a choice. Nothing is overwritten silently. */
@Component({
  selector: 'yp-conflict-box',
  imports: [A11yModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (open(); as conflict) {
      <div class="fixed inset-0 bg-black/45 z-40 grid place-items-center p-4">
        <section class="bg-paper border-2 border-ink rounded-card p-5 w-full max-w-xl" role="alertdialog" aria-modal="true" aria-labelledby="conflict-title" cdkTrapFocus cdkTrapFocusAutoCapture>
          <h2 id="conflict-title" class="text-xl">{{ conflict.conflicts[0]?.who }} changed this too</h2>
          <p class="mt-1">{{ conflict.pending.label }}</p>
          <table class="mt-4 w-full">
            <thead><tr class="text-left text-faint"><th class="font-normal" scope="col">What</th><th class="font-normal" scope="col">Yours</th><th class="font-normal" scope="col">Theirs</th></tr></thead>
            <tbody>
              @for (row of rows(); track row.word) {
                <tr class="border-t border-line"><th scope="row" class="py-2 text-left font-normal">{{ row.word }}</th><td class="figure font-semibold">{{ row.yours }}</td><td class="figure font-semibold">{{ row.theirs }}</td></tr>
              }
            </tbody>
          </table>
          <div class="mt-5 flex flex-wrap gap-3">
            <button type="button" class="act" (click)="desk.decide(conflict, 'theirs')">Keep theirs</button>
            <button type="button" class="act" (click)="desk.decide(conflict, 'mine')">Use mine</button>
          </div>
        </section>
      </div>
    }
  `,
})
export class ConflictBox {
  protected readonly desk = inject(JobDesk);
  readonly #units = inject(Device).units;
  protected readonly open = computed(() => this.desk.state().conflicts[0]);
  protected readonly rows = computed(() => (this.open()?.conflicts ?? []).map(({ field, yours, theirs }) => ({ word: FIELD_WORDS[field] ?? field, yours: this.#shown(field, yours), theirs: this.#shown(field, theirs) })));

  #shown(field: string, value: unknown): string {
    if (field.endsWith('_nm') && typeof value === 'number') return formatLengthWithUnit(value, this.#units());
    return value === null ? 'nothing' : typeof value === 'string' || typeof value === 'number' ? String(value) : JSON.stringify(value);
  }
}
