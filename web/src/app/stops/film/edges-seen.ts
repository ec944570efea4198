import { JobClock } from '../../day/job-clock';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type EdgesSeen, type RowOf, mayEdgesBeSeen } from '@yellow-pane/core/job';
import { WhoseHand } from '../../device/whose-hand';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { filmWords } from '../../words/film';

/** What somebody saw along the edges of this one pane: a tap, kept with who and when. */
@Component({
  selector: 'yp-edges-seen',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="edges" class="font-bold">{{ words.edgesOf(surface().tag) }}</h2>
    @if (!mayBeSeen()) {
      <p class="leading-snug">{{ words.edgesInRebate }}</p>
    } @else if (surface().edgesSeen; as seen) {
      <p class="leading-snug">
        {{ words.edgesSeenBy(seen.state, seen.who, day(seen)) }}
        <button type="button" class="act ml-2" (click)="say(null)">{{ words.takeBack }}</button>
      </p>
    } @else {
      <p class="leading-snug">{{ words.edgesUnseen }}</p>
      <p class="mt-1 flex flex-wrap gap-2">
        <button type="button" class="act" (click)="say('sound')">{{ words.edgesSound }}</button>
        <button type="button" class="act" (click)="say('damaged')">{{ words.edgesDamaged }}</button>
      </p>
    }
  `,
  host: { class: 'block', role: 'region', 'aria-labelledby': 'edges' },
})
export class EdgesSeenHere {
  protected readonly words = filmWords;
  readonly #clock = inject(JobClock);
  readonly #desk = inject(JobDesk);
  readonly #hand = inject(WhoseHand);
  readonly #reading = inject(JobReading);
  readonly surface = input.required<RowOf<'surface'>>();
  protected readonly mayBeSeen = computed(() =>
    mayEdgesBeSeen(this.#reading.view().unitById.get(this.surface().unitId ?? '')),
  );

  protected day({ at }: EdgesSeen): string {
    return this.#clock.clock().dateOf(at);
  }

  protected say(state: EdgesSeen['state'] | null): void {
    const { id, tag } = this.surface();
    this.#hand.whenSigned((signed) => {
      const edgesSeen = state === null ? null : { state, ...signed };
      this.#desk.do(filmWords.edgesSaid(tag), [this.#desk.set('surface', id, { edgesSeen })]);
    });
  }
}
