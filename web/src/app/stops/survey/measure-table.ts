import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type Instrument, type RowOf, SAID_ABOUT } from '@yellow-pane/core/job';
import { type Agreement, INSTRUMENTS, readingOf, sdOf, slotsFor } from '@yellow-pane/core/measure';
import { formatLength, formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { surveyWords } from '../../words/survey';
import { Looking } from './looking';

/**
 * Every reading with how sure it is, how far it is off the figure, and how large a slip in it would have to
 * be to show.
 */
@Component({
  selector: 'yp-measure-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details class="border-t border-line pt-2">
      <summary class="font-bold min-h-10 cursor-pointer">{{ words.everyMeasure }}</summary>
      <table class="w-full text-sm">
        <thead>
          <tr class="text-left border-b border-ink">
            <th scope="col" class="font-semibold">{{ words.measure }}</th>
            <th scope="col" class="font-semibold text-right">{{ words.offBy }}</th>
            <th scope="col" class="font-semibold text-right">{{ words.blunderShowsFrom }}</th>
          </tr>
        </thead>
        <tbody>
          @for (line of lines(); track line.id) {
            <tr class="border-b border-line align-top">
              <td class="py-1 leading-tight">
                {{ line.word }}<br />
                <span class="inline-flex gap-1 items-center mt-0.5"
                  ><select
                    class="border border-line-strong rounded-card bg-paper"
                    [attr.aria-label]="words.instrumentOf(line.word)"
                    (change)="setInstrument(line.id, $any($event.target).value)"
                  >
                    @for (name of instruments; track name) {
                      <option [value]="name" [selected]="name === line.instrument">{{ name }}</option>
                    }
                  </select>
                  ±<input
                    class="w-14 figure text-right border border-line-strong rounded-card bg-paper px-1"
                    type="number"
                    step="0.1"
                    min="0.1"
                    max="1000"
                    [attr.aria-label]="words.deviationOf(line.word)"
                    [value]="line.sd"
                    (change)="setSd(line.id, $any($event.target))"
                  />
                  mm
                  @if (!line.isStated) {
                    <span class="text-faint">{{ words.byDefault }}</span>
                  }
                </span>
              </td>
              <td class="py-1 figure text-right whitespace-nowrap">{{ line.off }}</td>
              <td class="py-1 figure text-right whitespace-nowrap">{{ line.shows }}</td>
            </tr>
          }
        </tbody>
      </table>
      <p class="text-sm text-faint mt-1">
        {{ words.howSureSaid }}
      </p>
    </details>
  `,
})
export class MeasureTable {
  protected readonly words = surveyWords;
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #looking = inject(Looking);
  readonly #units = inject(Device).units;
  readonly #length = (value_mm: number): string => formatLengthWithUnit(nmFromMm(value_mm), this.#units());
  readonly surface = input.required<RowOf<'surface'>>();
  readonly agreement = input.required<Agreement | undefined>();
  protected readonly instruments = (Object.keys(INSTRUMENTS) as Instrument[]).filter(
    (instrument) => instrument !== SAID_ABOUT,
  );
  protected readonly lines = computed(() =>
    this.#reading.measuresOf(this.surface().id).map((row) => {
      const line = this.agreement()?.reliability.find(({ id }) => id === row.id);
      const slots = slotsFor(this.surface().shape, this.surface().corners);
      return {
        id: row.id,
        instrument: row.instrument,
        isStated: row.sd_nm !== null,
        word: `${this.#looking.word(slots, { kind: row.kind, from: row.fromPoint, to: row.toPoint })} ${formatLength(row.value_nm, this.#units())}`,
        sd: sdOf(readingOf(row)).toFixed(1),
        off:
          line === undefined
            ? '–'
            : `${line.residual_mm >= 0 ? '+' : '−'}${this.#length(Math.abs(line.residual_mm))}`,
        shows:
          line === undefined
            ? '–'
            : line.smallestSlipFound_mm === null
              ? 'never'
              : this.#length(Math.round(line.smallestSlipFound_mm)),
      };
    }),
  );

  protected setInstrument(id: string, instrument: Instrument): void {
    this.#desk.do(surveyWords.byInstrument(this.surface().tag, instrument), [
      this.#desk.set('measure', id, { instrument, sd_nm: null }),
    ]);
  }

  protected setSd(id: string, from: { readonly value: string }): void {
    const sd_mm = Number(from.value);
    if (sd_mm >= 0.1 && sd_mm <= 1000)
      this.#desk.do(`${this.surface().tag}: ± ${sd_mm} mm`, [
        this.#desk.set('measure', id, { sd_nm: Math.round(sd_mm * 1e6) }),
      ]);
  }
}
