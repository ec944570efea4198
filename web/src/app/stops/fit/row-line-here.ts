import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { figuresIn } from '@yellow-pane/contracts/words';
import type { RowOf } from '@yellow-pane/core/job';
import { rowLineOf } from '@yellow-pane/core/reading';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { fitWords } from '../../words/fit';

/** What lining the row up by level, or by its frames, costs at each pane. */
@Component({
  selector: 'yp-row-line-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (line(); as row) {
      @if (row.shows; as shows) {
        <p class="leading-snug font-semibold">{{ words.rowShows(shows) }}</p>
      }
      @if (row.toRead.length > 0) {
        <p class="leading-snug">{{ words.rowToRead(row.toRead.join(', ')) }}</p>
      }
      <table class="w-full text-sm mt-1">
        <thead>
          <tr class="text-left">
            <th scope="col">{{ words.rowPane }}</th>
            <th scope="col" class="text-right">{{ words.rowWedge }}</th>
            <th scope="col" class="text-right">{{ words.rowBend }}</th>
          </tr>
        </thead>
        <tbody>
          @for (pane of row.panes; track pane.surfaceId) {
            <tr class="border-t border-line">
              <th scope="row" class="text-left font-normal">{{ pane.tag }}</th>
              <td class="figure text-right">{{ said(pane.wedge_mm) }}</td>
              <td class="figure text-right">{{ $last ? '' : said(pane.bend_mm) }}</td>
            </tr>
          }
        </tbody>
      </table>
    }
  `,
  host: { class: 'block' },
})
export class RowLineHere {
  protected readonly words = fitWords;
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly application = input.required<RowOf<'application'>>();
  protected readonly line = computed(() => rowLineOf(this.#reading.view(), this.application()));

  protected said(value_mm: number | null): string {
    return value_mm === null ? fitWords.rowUnknown : figuresIn(this.#units()).length(value_mm);
  }
}
