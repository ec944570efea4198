import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type GroundJudged, NO_WALL_FACTS, type RowOf } from '@yellow-pane/core/job';
import { JobClock } from '../../day/job-clock';
import { WhoseHand } from '../../device/whose-hand';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { surveyWords } from '../../words/survey';

/** Whether film may go on this ground, said by somebody on a day. */
@Component({
  selector: 'yp-ground-judged',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (wall()?.ground; as ground) {
      <p class="leading-snug">
        {{ words.groundSaid(ground.state, ground.who, day(ground.at)) }}
        <button type="button" class="act act-small ml-2" (click)="say(null)">{{ words.takeBack }}</button>
      </p>
    } @else {
      <p class="leading-snug">{{ words.groundOpen }}</p>
      <p class="mt-1 flex flex-wrap gap-2">
        <button type="button" class="act act-small" (click)="say('accepted')">
          {{ words.groundAccepted }}
        </button>
        <button type="button" class="act act-small" (click)="say('refused')">
          {{ words.groundRefused }}
        </button>
      </p>
    }
  `,
  host: { class: 'block mt-2' },
})
export class GroundJudgedHere {
  protected readonly words = surveyWords;
  readonly #clock = inject(JobClock);
  readonly #desk = inject(JobDesk);
  readonly #hand = inject(WhoseHand);
  readonly #reading = inject(JobReading);
  readonly surface = input.required<RowOf<'surface'>>();
  protected readonly wall = computed(() => this.#reading.wallFactsOf(this.surface().id));

  protected day(at: string): string {
    return this.#clock.clock().dateOf(at);
  }

  protected say(state: GroundJudged['state'] | null): void {
    this.#hand.whenSigned((signed) => {
      const ground = state === null ? null : { state, ...signed };
      const [row, surface] = [this.wall(), this.surface()];
      this.#desk.do(surveyWords.groundOf(surface.tag), [
        row === undefined
          ? this.#desk.put('wallFacts', { ...NO_WALL_FACTS, surfaceId: surface.id, ground })
          : this.#desk.set('wallFacts', row.id, { ground }),
      ]);
    });
  }
}
