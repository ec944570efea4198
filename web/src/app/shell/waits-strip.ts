import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { readKept, writeKept } from '../device/keep';
import { JobReading } from '../job/job-reading';
import { shellWords } from '../words/shell';
import { RunningWaits } from './running-waits';
import { Selection } from './selection';

const TOLD = 'told of ringing';

/** What is waited for, seen at every stop: the next in digits to be read from afar, the others behind it. */
@Component({
  selector: 'yp-waits-strip',
  providers: [RunningWaits],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (waits.lines().length > 0) {
      <section
        class="border-b border-ink bg-paper no-print max-h-[50dvh] overflow-auto"
        [attr.aria-label]="words.waits"
      >
        <ul>
          @for (line of shown(); track line.key) {
            <li class="flex items-center gap-x-4 px-4 max-md:px-3 border-b border-line">
              <button
                type="button"
                class="flex flex-1 min-w-0 items-center gap-x-4 max-md:gap-x-2 min-h-14 text-left"
                (click)="selection.goTo('fit', line.surfaceId)"
              >
                <span class="font-bold text-2xl max-md:text-xl">{{ line.tag }}</span>
                <span class="flex-1 min-w-0 leading-tight max-md:text-sm">
                  {{ line.why }}<span class="block">{{ line.at }}</span>
                </span>
                <span
                  class="figure font-semibold text-5xl max-md:text-3xl"
                  [class.text-stop]="line.state === 'too late'"
                  role="timer"
                  >{{ line.digits }}</span
                >
              </button>
            </li>
          }
        </ul>
        <p class="flex flex-wrap gap-x-4 items-center px-4 max-md:px-3">
          @if (waits.lines().length > 1) {
            <button
              type="button"
              class="act act-quiet act-small underline underline-offset-2"
              [attr.aria-expanded]="isOpen()"
              (click)="isOpen.set(!isOpen())"
            >
              {{ isOpen() ? words.waitsFewer : words.waitsMore(waits.lines().length - 1) }}
            </button>
          }
          <a
            class="underline underline-offset-2 text-sm min-h-9 content-center"
            download
            [href]="'/api/jobs/' + jobId() + '/day/waits'"
            >{{ words.waitsCalendar }}</a
          >
          @if (!isTold()) {
            <span class="text-sm">{{ words.ringsWhileLit }}</span>
            <button
              type="button"
              class="act act-quiet act-small underline underline-offset-2"
              (click)="tell()"
            >
              {{ words.understood }}
            </button>
          }
        </p>
      </section>
    }
  `,
  host: { class: 'block' },
})
export class WaitsStrip {
  protected readonly words = shellWords;
  protected readonly waits = inject(RunningWaits);
  protected readonly selection = inject(Selection);
  readonly #reading = inject(JobReading);
  protected readonly jobId = computed(() => this.#reading.job()?.id ?? '');
  protected readonly isOpen = signal(false);
  protected readonly isTold = signal(readKept(TOLD) === true);
  protected readonly shown = computed(() => this.waits.lines().slice(0, this.isOpen() ? undefined : 1));

  protected tell(): void {
    this.isTold.set(true);
    writeKept(TOLD, true);
  }
}
