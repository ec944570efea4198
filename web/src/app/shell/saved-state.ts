import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { type RoomLeft, askToKeep } from '../device/browser-store';
import { Drafts } from '../device/drafts';
import { JobDesk } from '../job/job-desk';

const NEARLY = 0.9;
const megabytes = (bytes: number): string => `${Math.ceil(bytes / 1e6)} MB`;

/** Whether everything is saved, and what the server had to say. Quiet while all is well. */
@Component({
  selector: 'yp-saved-state',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="fixed left-3 bottom-[94px] max-md:bottom-[112px] z-30 flex flex-col gap-2 max-w-[92vw] md:w-[226px] no-print"
      role="status"
      aria-live="polite"
    >
      @if (desk.state().diskFull; as text) {
        <p class="bg-ink text-ground rounded-card px-3 py-2 font-semibold" role="alert">
          <span class="block wrap-anywhere">{{ text }} {{ waiting() }}</span
          ><button type="button" class="act act-small text-ink mt-2" (click)="desk.tryAgain()">
            Try again
          </button>
        </p>
      }
      @for (own of desk.state().aside; track own.pending.change.id) {
        <p class="bg-paper border-2 border-stop rounded-card px-3 py-2">
          <strong class="block">Not saved: {{ own.pending.label }}</strong
          >{{ own.says }}
          <span class="flex flex-wrap gap-2 mt-1"
            ><button type="button" class="act act-small" (click)="desk.takeUp(own.pending.change.id, false)">
              Send it again</button
            ><button
              type="button"
              class="act act-small act-quiet underline"
              (click)="desk.takeUp(own.pending.change.id, true)"
            >
              Drop it
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
            Close
          </button>
        </p>
      }
    </div>
  `,
})
export class SavedState {
  protected readonly desk = inject(JobDesk);
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
      : `${pending.length === 1 ? '1 change waits' : `${pending.length} changes wait`} here in order.`;
  });
  /** For as long as it is true: what is neither saved nor kept is lost with the page. */
  protected readonly notKept = computed(() => {
    const { isKept, pending, conflicts, aside } = this.desk.state();
    const isWaiting = pending.length + conflicts.length + aside.length > 0;
    const isTyped = !this.#drafts.isKept() && Object.keys(this.#drafts.texts()).length > 0;
    return (!isKept && isWaiting) || isTyped
      ? 'This browser is full, or may not keep anything: what is not saved is on this page alone. Do not close it. Free some space, or save elsewhere.'
      : undefined;
  });
  protected readonly nearlyFull = computed(() => {
    const room = this.#room();
    return room === undefined || room.used_bytes < NEARLY * room.most_bytes
      ? undefined
      : `This browser keeps ${megabytes(room.used_bytes)} of the ${megabytes(room.most_bytes)} it allows. Clear some before working out of reach of the server.`;
  });
  protected readonly gone = computed(() => {
    const { isServerHere, isKept, pending } = this.desk.state();
    const count = pending.length === 1 ? '1 change is' : `${pending.length} changes are`;
    if (!isServerHere && !isKept)
      return `Not saved yet: the server does not answer. ${count} on this page alone and sent when it is back.`;
    if (!isServerHere)
      return pending.length === 0
        ? 'The server does not answer. You can go on: everything is kept here and sent when it is back.'
        : `Not saved yet: the server does not answer. ${count} kept in this browser and sent when it is back.`;
    return pending.length > 3 ? `Not saved yet: ${count} on the way.` : undefined;
  });
}
