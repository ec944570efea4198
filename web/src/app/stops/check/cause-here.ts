import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { TABLE_VERSION } from '@yellow-pane/core/diagnosing';
import type { CauseCase } from '@yellow-pane/core/job';
import { type JudgedMark, anewNeeds, causeOf, filmOfMark } from '@yellow-pane/core/reading';
import { CauseForm, type CauseSaid } from '../../causes/cause-form';
import { WhoseHand } from '../../device/whose-hand';
import { JobDesk } from '../../job/job-desk';
import { StockHere } from '../../job/stock-here';
import { causesWords } from '../../words/causes';
import { CheckDesk } from './check-desk';

/** Why a mark is there: what the job knows of it is not asked. */
@Component({
  selector: 'yp-cause-here',
  imports: [CauseForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (here(); as own) {
      <details class="border-l-4 border-ink pl-3">
        <summary class="font-bold min-h-10 content-center cursor-pointer">{{ words.whyThere }}</summary>
        <yp-cause-form [here]="own" (said)="keep($event)" />
        @if (anew(); as text) {
          <p class="mt-1 leading-snug">{{ text }}</p>
        }
      </details>
    }
  `,
  host: { class: 'block' },
})
export class CauseHere {
  protected readonly words = causesWords;
  readonly #desk = inject(CheckDesk);
  readonly #job = inject(JobDesk);
  readonly #hand = inject(WhoseHand);
  readonly #stock = inject(StockHere);
  readonly #opened_ms = Date.now();
  readonly one = input.required<JudgedMark>();
  protected readonly here = computed(() => {
    const judged = this.#desk.judged();
    return judged === undefined
      ? undefined
      : causeOf(this.#desk.view(), this.one(), { ...judged, now_ms: this.#opened_ms });
  });

  /** What laying it anew would take, where its film is known. */
  protected readonly anew = computed(() => {
    const view = this.#desk.view();
    const film = filmOfMark(view, this.one().mark);
    const needs = film === undefined ? undefined : anewNeeds(view, film, this.#stock.items());
    if (needs === undefined || this.here()?.isGlass === true) return undefined;
    const [first] = needs.from;
    return causesWords.anewTakes(
      Math.round(needs.minutes),
      needs.people,
      first === undefined ? '' : first.item.label,
      first?.isSameLot ?? false,
    );
  });

  protected keep(said: CauseSaid): void {
    if (said.confirmed === undefined) {
      this.#keep(causesWords.causeAnswered(this.one().number), said);
      return;
    }
    this.#hand.whenSigned((by) => {
      this.#keep(causesWords.causeConfirmed(this.one().number), {
        ...said,
        said: said.confirmed === null ? null : by,
      });
    });
  }

  #keep(label: string, fields: Partial<CauseCase>): void {
    const own = this.here();
    if (own === undefined) return;
    const row = this.#desk.view().rows.causeCase.find(({ markIds }) => markIds.includes(this.one().mark.id));
    if (row?.look === own.look) {
      this.#job.do(label, [this.#job.set('causeCase', row.id, fields)]);
      return;
    }
    this.#job.do(label, [
      ...(row === undefined ? [] : [this.#job.remove('causeCase', row.id)]),
      this.#job.put('causeCase', {
        ...{ markIds: [this.one().mark.id], look: own.look, answers: [], tableVersion: TABLE_VERSION },
        ...{ posterior: null, confirmed: null, how: null, remedy: null, said: null },
        ...fields,
      }),
    ]);
  }
}
