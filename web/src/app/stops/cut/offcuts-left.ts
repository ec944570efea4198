import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { formatFilmLength, formatLengthWithUnit } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { KeptField } from '../../fields/kept-field';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { cutWords } from '../../words/cut';

/** What is left of a roll that is cut: where each offcut lies, or that it is gone. */
@Component({
  selector: 'yp-offcuts-left',
  imports: [KeptField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (offcuts().length > 0) {
      <h2 class="font-bold mt-3">{{ words.offcutsLeft }}</h2>
      @for (own of offcuts(); track own.row.id) {
        <p class="flex flex-wrap gap-x-3 items-center border-t border-line py-1">
          <strong>{{ own.row.label }}</strong><span class="figure">{{ own.size }}</span>
          @if (!own.row.gone) {
            <label class="flex items-center gap-2"
              >{{ words.liesAt
              }}<input
                class="field w-44 min-h-9"
                maxlength="200"
                [ypKept]="'offcut:' + own.row.id"
                [is]="own.row.where"
                [version]="own.row.version"
                (typed)="set(own.row, { where: $event.text.trim() })"
            /></label>
          }
          <button type="button" class="act act-small" (click)="set(own.row, { gone: !own.row.gone })">
            {{ own.row.gone ? words.keepIt : words.itIsGone
            }}<span class="sr-only"> {{ own.row.label }}</span>
          </button>
        </p>
      }
    }
  `,
})
export class OffcutsLeft {
  protected readonly words = cutWords;
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly rollId = input.required<string>();
  protected readonly offcuts = computed(() =>
    this.#reading
      .view()
      .rows.offcut.filter(({ cutRollId }) => cutRollId === this.rollId())
      .map((row) => ({
        row,
        size: `${formatLengthWithUnit(row.width_nm, this.#units())} × ${formatFilmLength(row.length_nm, this.#units())}`,
      })),
  );

  protected set(row: RowOf<'offcut'>, fields: Partial<Pick<RowOf<'offcut'>, 'where' | 'gone'>>): void {
    this.#desk.do(cutWords.offcutSaid(row.label), [this.#desk.set('offcut', row.id, fields)]);
  }
}
