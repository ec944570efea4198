import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { NgIcon, provideIcons } from '@ng-icons/core';
import { lucideChevronDown, lucideChevronUp } from '@ng-icons/lucide';
import { readKept, writeKept } from '../device/keep';
import { JobReading } from '../job/job-reading';
import { shellWords } from '../words/shell';
import { RunningWaits } from './running-waits';
import { Selection } from './selection';

const TOLD = 'told of ringing';

/** What is waited for, seen at every stop: the next in digits to be read from afar, the others behind it. */
@Component({
  selector: 'yp-waits-strip',
  imports: [NgIcon],
  providers: [RunningWaits],
  viewProviders: [provideIcons({ lucideChevronDown, lucideChevronUp })],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length > 0) {
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
                  <span class="line-clamp-2">{{ line.why }}</span><span class="block">{{ line.at }}</span>
                </span>
                <span
                  class="figure font-semibold text-5xl max-md:text-3xl"
                  [class.text-stop]="line.state === 'too late'"
                  role="timer"
                  >{{ line.digits }}</span
                >
              </button>
              @if ($first) {
                <button
                  type="button"
                  class="act act-quiet min-h-14 min-w-14 px-0 justify-center max-md:-mr-3 max-md:-ml-4"
                  [attr.aria-expanded]="isOpen()"
                  [attr.aria-label]="
                    isOpen()
                      ? words.waitsFewer
                      : lines().length > 1
                        ? words.waitsMore(lines().length - 1)
                        : words.waitsAbout
                  "
                  (click)="isOpen.set(!isOpen())"
                >
                  @if (lines().length > 1 && !isOpen()) {
                    <span class="figure">+{{ lines().length - 1 }}</span>
                  }
                  <ng-icon [name]="isOpen() ? 'lucideChevronUp' : 'lucideChevronDown'" size="22" />
                </button>
              }
            </li>
          }
        </ul>
        @if (isOpen() || !isTold()) {
          <p class="flex flex-wrap gap-x-4 items-center px-4 max-md:px-3">
            <a
              [class.max-md:hidden]="!isOpen()"
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
        }
      </section>
    }
  `,
  host: { class: 'block' },
})
export class WaitsStrip {
  protected readonly words = shellWords;
  readonly #waits = inject(RunningWaits);
  protected readonly selection = inject(Selection);
  readonly #reading = inject(JobReading);
  protected readonly jobId = computed(() => this.#reading.job()?.id ?? '');
  /** At Fit the surface in hand has a clock of its own. */
  protected readonly lines = computed(() => {
    const own = this.selection.stop() === 'fit' ? this.selection.surface()?.id : undefined;
    return this.#waits.lines().filter(({ surfaceId }) => surfaceId !== own);
  });
  protected readonly isOpen = signal(false);
  protected readonly isTold = signal(readKept(TOLD) === true);
  protected readonly shown = computed(() => this.lines().slice(0, this.isOpen() ? undefined : 1));

  protected tell(): void {
    this.isTold.set(true);
    writeKept(TOLD, true);
  }
}
