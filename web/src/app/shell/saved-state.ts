import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { type RoomLeft, askToKeep } from '../device/browser-store';
import { Drafts } from '../device/drafts';
import { JobDesk } from '../job/job-desk';
import { shellWords } from '../words/shell';
import { Selection } from './selection';

const NEARLY = 0.9;
const megabytes = (bytes: number): string => `${Math.ceil(bytes / 1e6)} MB`;

/** Whether everything is saved, and what the server had to say. Quiet while all is well. */
@Component({
  selector: 'yp-saved-state',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="fixed left-3 bottom-[94px] max-md:bottom-[112px] z-30 flex flex-col gap-2 max-w-[92vw] md:w-[226px] no-print"
      [class.max-md:!bottom-auto]="isAtFit()"
      [class.max-md:top-[7.5rem]]="isAtFit()"
      role="status"
      aria-live="polite"
    >
      @if (desk.state().diskFull; as text) {
        <p class="bg-ink text-ground rounded-card px-3 py-2 font-semibold" role="alert">
          <span class="block wrap-anywhere">{{ text }} {{ waiting() }}</span
          ><button type="button" class="act act-small text-ink mt-2" (click)="desk.tryAgain()">
            {{ words.tryAgain }}
          </button>
        </p>
      }
      @for (own of desk.state().aside; track own.pending.change.id) {
        <p class="bg-paper border-2 border-stop rounded-card px-3 py-2">
          <strong class="block">{{ words.notSaved(own.pending.label) }}</strong>{{ own.says }}
          <span class="flex flex-wrap gap-2 mt-1"
            ><button type="button" class="act act-small" (click)="desk.takeUp(own.pending.change.id, false)">
              {{ words.sendAgain }}</button
            ><button
              type="button"
              class="act act-small act-quiet underline"
              (click)="desk.takeUp(own.pending.change.id, true)"
            >
              {{ words.dropIt }}
            </button></span
          >
        </p>
      }
      @if (notKept(); as text) {
        <p class="bg-paper border-4 border-stop rounded-card px-3 py-2 font-semibold" role="alert">
          {{ text }}
        </p>
      } @else if (nearlyFull(); as text) {
        <p class="bg-paper border-2 border-ink rounded-card px-3 py-2">{{ text }}</p>
      }
      @if (gone(); as text) {
        <p class="bg-ink text-ground rounded-card px-3 py-2 font-semibold">{{ text }}</p>
      }
      @if (desk.state().notice; as notice) {
        <p class="bg-paper border-2 border-ink rounded-card px-3 py-2 flex gap-3 items-start">
          <span class="flex-1">{{ notice }}</span><button
            type="button"
            class="act act-small"
            (click)="desk.say(null)"
          >
            {{ words.close }}
          </button>
        </p>
      }
    </div>
  `,
})
export class SavedState {
  protected readonly words = shellWords;
  protected readonly desk = inject(JobDesk);
  readonly #selection = inject(Selection);
  /** There the foot of a phone belongs to the thumb. */
  protected readonly isAtFit = computed(() => this.#selection.stop() === 'fit');
  readonly #drafts = inject(Drafts);
  readonly #room = signal<RoomLeft | undefined>(undefined);

  constructor() {
    void askToKeep().then((room) => {
      this.#room.set(room);
    });
  }

  protected readonly waiting = computed(() => {
    const { pending } = this.desk.state();
    return pending.length === 0
      ? ''
      : shellWords.waitHere(
          pending.length === 1 ? shellWords.oneChangeWaits : shellWords.changesWait(pending.length),
        );
  });
  /** For as long as it is true: what is neither saved nor kept is lost with the page. */
  protected readonly notKept = computed(() => {
    const { isKept, pending, conflicts, aside } = this.desk.state();
    const isWaiting = pending.length + conflicts.length + aside.length > 0;
    const isTyped = !this.#drafts.isKept() && Object.keys(this.#drafts.texts()).length > 0;
    return (!isKept && isWaiting) || isTyped ? shellWords.browserFull : undefined;
  });
  protected readonly nearlyFull = computed(() => {
    const room = this.#room();
    return room === undefined || room.used_bytes < NEARLY * room.most_bytes
      ? undefined
      : shellWords.browserNearlyFull(megabytes(room.used_bytes), megabytes(room.most_bytes));
  });
  protected readonly gone = computed(() => {
    const { isServerHere, isKept, pending } = this.desk.state();
    const count = pending.length === 1 ? shellWords.oneChangeIs : shellWords.changesAre(pending.length);
    if (!isServerHere && !isKept) return shellWords.onThisPageAlone(count);
    if (!isServerHere) return pending.length === 0 ? shellWords.goOnOffline : shellWords.keptInBrowser(count);
    return pending.length > 3 ? shellWords.onTheWay(count) : undefined;
  });
}
