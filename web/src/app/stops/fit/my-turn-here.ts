import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { type Turn, handedToMe, myTurn } from '@yellow-pane/core/reading';
import { JobClock } from '../../day/job-clock';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { fitWords } from '../../words/fit';
import { FitDesk } from './fit-desk';

/** What this person does now and next by the plan, and what was handed over. */
@Component({
  selector: 'yp-my-turn-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (own of handed(); track own.applicationId) {
      <p class="flex flex-wrap gap-x-3 items-center px-5 max-md:px-3 border-b border-line">
        <span class="flex-1 font-semibold">{{ own.says }}</span>
        <button type="button" class="act act-quiet min-h-14 underline" (click)="go(own.surfaceId)">
          {{ words.goOnThere }}
        </button>
      </p>
    }
    @if (turn(); as own) {
      <p class="flex flex-wrap gap-x-3 items-center px-5 max-md:px-3 border-b border-line" role="status">
        <span class="flex-1 leading-snug min-h-9 content-center">
          <strong>{{ own.now }}</strong> {{ own.next }}
          @if (own.late) {
            <span class="text-stop font-semibold">{{ own.late }}</span>
          }
        </span>
        @if (!own.isHere) {
          <button type="button" class="act act-quiet min-h-14 underline" (click)="go(own.surfaceId)">
            {{ words.goTo(own.tag) }}
          </button>
        }
        @if (own.late) {
          <button type="button" class="act act-quiet min-h-14 underline" (click)="selection.goToStop('day')">
            {{ words.moveThePlan }}
          </button>
        }
      </p>
    }
  `,
  host: { class: 'block' },
})
export class MyTurnHere {
  protected readonly words = fitWords;
  protected readonly selection = inject(Selection);
  readonly #desk = inject(FitDesk);
  readonly #device = inject(Device);
  readonly #view = inject(JobReading).view;
  readonly #clock = inject(JobClock).clock;
  readonly #me = computed(() => ({
    who: this.#device.who(),
    personId: this.#device.personId() === '' ? null : this.#device.personId(),
  }));

  protected readonly turn = computed(() => {
    const own = myTurn(this.#view(), this.#me(), this.#desk.minute_ms());
    if (own === undefined) return undefined;
    const { now, next } = own;
    const isNow = now.starts_ms <= this.#desk.minute_ms();
    return {
      surfaceId: now.surfaceId,
      tag: now.tag,
      isHere: now.surfaceId === this.#desk.surface()?.id,
      now: isNow ? fitWords.turnNow(now.tag) : fitWords.turnAt(now.tag, this.#hour(now)),
      next: next === undefined ? '' : fitWords.turnThen(next.tag, this.#hour(next)),
      late: now.late_min > 0 ? fitWords.turnLate(now.late_min) : '',
    };
  });
  protected readonly handed = computed(() =>
    handedToMe(this.#view(), this.#me())
      .filter(({ surfaceId }) => surfaceId !== this.#desk.surface()?.id)
      .map((own) => ({
        ...own,
        says: fitWords.handedBy(own.tag, own.by, this.#clock().hourFrom(this.#desk.minute_ms(), own.at_ms)),
      })),
  );

  protected go(surfaceId: string): void {
    this.selection.goToSurface(surfaceId);
  }

  #hour({ starts_ms }: Turn): string {
    return this.#clock().hourFrom(this.#desk.minute_ms(), starts_ms);
  }
}
