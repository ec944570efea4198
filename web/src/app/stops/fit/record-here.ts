import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { READING_KINDS, unitShown } from '@yellow-pane/core/fitting';
import type { RowOf } from '@yellow-pane/core/job';
import { onScale } from '@yellow-pane/core/quantity';
import { type DoneStep, fitRecordOf } from '@yellow-pane/core/reading';
import { headOf } from '@yellow-pane/core/ways';
import { JobClock } from '../../day/job-clock';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { PhotoWork } from '../../job/photo-work';
import { fitWords } from '../../words/fit';
import { FitDesk } from './fit-desk';

const MINUTE_MS = 60_000;

/** What was done on it, by whom, when and how; off which roll; what was read, marked and photographed. */
@Component({
  selector: 'yp-record-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length > 0 || readings().length > 0 || photos().length > 0) {
      <section aria-labelledby="record">
        <h2 id="record" class="font-bold">{{ words.record }}</h2>
        @if (rolls()) {
          <p>{{ rolls() }}</p>
        }
        <ul>
          @for (line of lines(); track line.step) {
            <li class="border-b border-line py-1 leading-tight">
              <span class="figure">{{ line.when }}</span> {{ line.head }}
              <span class="block text-sm">{{ line.how }}</span>
            </li>
          }
          @for (line of readings(); track line.id) {
            <li class="border-b border-line py-1 leading-tight">
              <span class="figure">{{ line.when }}</span> {{ line.says }}
            </li>
          }
        </ul>
        @if (photos().length > 0) {
          <div class="grid grid-cols-3 gap-1 mt-1">
            @for (photo of photos(); track photo.id) {
              <a [href]="work.address(photo)" target="_blank" rel="noopener"
                ><img
                  class="w-full h-16 object-cover"
                  loading="lazy"
                  [src]="work.address(photo)"
                  [alt]="words.pictureAt(desk.tag())"
              /></a>
            }
          </div>
        }
      </section>
    }
  `,
  host: { class: 'block empty:hidden' },
})
export class RecordHere {
  protected readonly words = fitWords;
  protected readonly desk = inject(FitDesk);
  protected readonly work = inject(PhotoWork);
  readonly #view = inject(JobReading).view;
  readonly #units = inject(Device).units;
  readonly #clock = inject(JobClock).clock;
  readonly #record = computed(() => {
    const application = this.desk.application();
    return application === undefined ? undefined : fitRecordOf(this.#view(), application, this.#units());
  });
  protected readonly lines = computed(() =>
    (this.#record()?.steps ?? []).map((own) => ({
      step: own.step,
      when: this.#when(own.doneAt),
      head: headOf(own.says),
      how: this.#how(own),
    })),
  );
  protected readonly readings = computed(() =>
    (this.#record()?.readings ?? []).map((own) => ({
      id: own.id,
      when: this.#when(own.madeAt),
      says: `${own.quantity} ${this.#shown(own)}, ${own.madeBy}`,
    })),
  );
  protected readonly photos = computed(() => this.#record()?.photos ?? []);
  protected readonly rolls = computed(() =>
    [...new Set((this.#record()?.rolls ?? []).map(({ label, lot }) => fitWords.offRoll(label, lot)))].join(
      '; ',
    ),
  );

  #how({ startedAt, doneAt, roundsAt, foldsSaid, people, mix, ...own }: DoneStep): string {
    const { deviation, note, endedEarly } = own;
    const minutes = startedAt === null ? 0 : (Date.parse(doneAt) - Date.parse(startedAt)) / MINUTE_MS;
    return [
      people.join(', '),
      minutes > 0 ? fitWords.tookMinutes(Math.max(1, Math.round(minutes))) : '',
      roundsAt.length > 0
        ? fitWords.roundsWere(roundsAt.map((at) => (at === null ? '?' : this.#when(at))).join(', '))
        : '',
      foldsSaid.length > 0
        ? fitWords.foldsWere(foldsSaid.map((said, index) => `${index + 1} ${said ?? '?'}`).join(', '))
        : '',
      mix,
      deviation === '' ? '' : fitWords.leftOutFor(deviation.toLowerCase()),
      endedEarly === null ? '' : fitWords.endedEarlyFor(endedEarly.toLowerCase()),
      note,
    ]
      .filter((part) => part !== '')
      .join('; ');
  }

  #shown({ quantity, value }: RowOf<'reading'>): string {
    const own = READING_KINDS[quantity].unit === '°C' ? onScale(value, this.#units()) : value;
    return `${Math.round(own * 10) / 10} ${unitShown(quantity, this.#units())}`;
  }

  #when(instant: string): string {
    return this.#clock().hourFrom(this.desk.minute_ms(), Date.parse(instant));
  }
}
