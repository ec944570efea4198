import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { READING_KINDS, readReading, unitShown } from '@yellow-pane/core/fitting';
import { QUANTITIES, type Quantity, type RowOf } from '@yellow-pane/core/job';
import { formatTemperature, onScale } from '@yellow-pane/core/quantity';
import { JobClock } from '../../day/job-clock';
import { Device } from '../../device/device';
import { BenchThermometer } from '../../instruments/bench-thermometer';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { fitWords } from '../../words/fit';
import { FitDesk } from './fit-desk';

const NO_SETTINGS: RowOf<'reading'>['settings'] = {
  emissivity: null,
  reflected_C: null,
  distance_mm: null,
  angle_deg: null,
  secondsSinceGun: null,
};
const USUAL: readonly Quantity[] = ['surface temperature', 'room temperature', 'humidity'];

/** What instruments show, typed or taken from the one on site, kept with the surface and the step. */
@Component({
  selector: 'yp-readings-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="grid grid-cols-3 gap-2" role="group" [attr.aria-label]="words.readWhat">
      @for (own of offered(); track own) {
        <button
          type="button"
          class="act min-h-14 px-2 leading-tight justify-center text-center"
          [attr.aria-pressed]="quantity() === own"
          [class.!bg-ink]="quantity() === own"
          [class.!text-ground]="quantity() === own"
          (click)="quantity.set(own)"
        >
          {{ own }}
        </button>
      }
    </div>
    <form class="flex gap-2 mt-2 items-end" (submit)="keep($event)">
      <label class="flex-1"
        ><span class="font-bold">{{ words.readShows(quantity(), unit()) }}</span
        ><input
          class="field min-h-14 text-xl figure"
          inputmode="decimal"
          maxlength="80"
          [value]="text()"
          [attr.aria-invalid]="fault() !== undefined"
          [attr.aria-describedby]="fault() ? 'reading-fault' : null"
          (input)="text.set($any($event.target).value)"
      /></label>
      <button type="submit" class="act min-h-14">{{ words.readKeep }}</button>
    </form>
    @if (fault(); as says) {
      <p id="reading-fault" class="text-stop font-semibold mt-1" role="alert">{{ says }}</p>
    }
    @if (onSite(); as own) {
      <button type="button" class="act min-h-14 mt-2" (click)="takeOnSite()">{{ own }}</button>
    }
    <ul class="mt-2">
      @for (own of kept(); track own.id) {
        <li class="flex gap-3 items-center border-b border-line min-h-touch">
          <span class="flex-1">{{ own.quantity }}</span>
          <span class="figure font-semibold">{{ own.says }}</span>
          <span>{{ own.when }}</span>
          <button type="button" class="act act-quiet underline min-h-14" (click)="drop(own.id)">
            {{ words.readDrop }}<span class="sr-only"> {{ own.quantity }} {{ own.says }}</span>
          </button>
        </li>
      }
    </ul>
    <p class="text-sm mt-1">{{ words.readAsShown }}</p>
  `,
  host: { class: 'block' },
})
export class ReadingsHere {
  protected readonly words = fitWords;
  readonly #desk = inject(FitDesk);
  readonly #job = inject(JobDesk);
  readonly #view = inject(JobReading).view;
  readonly #units = inject(Device).units;
  readonly #clock = inject(JobClock).clock;
  readonly #air = inject(BenchThermometer).air;
  /** What the step wants comes first. */
  protected readonly offered = computed((): readonly Quantity[] => {
    const wanted = new Set<string>(this.#desk.current()?.wants ?? []);
    return [
      ...new Set([...QUANTITIES.filter((own) => wanted.has(own)), ...USUAL, ...QUANTITIES.slice(2, 5)]),
    ];
  });
  readonly #first = computed(() => this.offered()[0] ?? 'surface temperature');
  protected readonly quantity = linkedSignal<Quantity>(() => this.#first());
  protected readonly text = signal('');
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly unit = computed(() => unitShown(this.quantity(), this.#units()));
  protected readonly onSite = computed(() => {
    const air = this.#air();
    return air === undefined
      ? undefined
      : fitWords.readOnSite(formatTemperature(air.air_C, this.#units(), 1), Math.round(air.humidity * 100));
  });
  protected readonly kept = computed(() =>
    this.#view()
      .readingsOf(this.#desk.surface()?.id ?? '')
      .toSorted((a, b) => Date.parse(b.madeAt) - Date.parse(a.madeAt))
      .map(({ id, quantity, value, madeAt }) => ({
        id,
        quantity,
        says: this.#said(quantity, value),
        when: this.#clock().hourFrom(this.#desk.minute_ms(), Date.parse(madeAt)),
      })),
  );

  protected keep(event: Event): void {
    event.preventDefault();
    const read = readReading(this.text(), this.quantity(), this.#units());
    if (read.case !== 'read') {
      this.fault.set(
        read.case === 'no figure'
          ? fitWords.readNoFigure(this.quantity(), this.unit())
          : fitWords.readCannotBe(
              this.quantity(),
              this.#said(this.quantity(), read.value),
              this.#said(this.quantity(), read.least),
              this.#said(this.quantity(), read.most),
            ),
      );
      return;
    }
    this.fault.set(undefined);
    this.#put([this.#row(this.quantity(), read.value, this.text().trim())]);
    this.text.set('');
  }

  protected takeOnSite(): void {
    const air = this.#air();
    if (air === undefined) return;
    this.#put([
      this.#row('room temperature', air.air_C, String(air.air_C)),
      this.#row('humidity', air.humidity * 100, String(Math.round(air.humidity * 1000) / 10)),
    ]);
  }

  protected drop(id: string): void {
    this.#job.do(fitWords.readingOn(this.#desk.tag()), [this.#job.remove('reading', id)]);
  }

  #put(rows: readonly Parameters<JobDesk['put']>[1][]): void {
    this.#job.do(
      fitWords.readingOn(this.#desk.tag()),
      rows.map((row) => this.#job.put('reading', row as never)),
    );
  }

  #row(quantity: Quantity, value: number, shown: string) {
    return {
      surfaceId: this.#desk.surface()?.id ?? '',
      applicationId: this.#desk.application()?.id ?? null,
      step: this.#desk.current()?.step ?? null,
      markId: null,
      quantity,
      instrument: READING_KINDS[quantity].instrument,
      shown,
      value,
      settings: NO_SETTINGS,
      corrected: null,
      plusMinus: null,
      x_nm: null,
      y_nm: null,
    };
  }

  #said(quantity: Quantity, value: number): string {
    const own = READING_KINDS[quantity].unit === '°C' ? onScale(value, this.#units()) : value;
    return `${Math.round(own * 10) / 10} ${unitShown(quantity, this.#units())}`;
  }
}
