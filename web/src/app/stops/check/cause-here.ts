import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { causeWords, questionWords, strengthWords } from '@yellow-pane/contracts/words';
import { TABLE_VERSION, inTenths } from '@yellow-pane/core/diagnosing';
import { CONFIRMED_HOW, type CauseCase } from '@yellow-pane/core/job';
import { type JudgedMark, causeOf } from '@yellow-pane/core/reading';
import { WhoseHand } from '../../device/whose-hand';
import { JobDesk } from '../../job/job-desk';
import { checkWords } from '../../words/check';
import { CheckDesk } from './check-desk';

/** Kept as an answer, so that it is not asked again; it changes nothing. */
const UNKNOWN = 'not known';
const MOST_REASONS = 3;
const MOST_REMEDIES = 3;

/** Why a mark is there: three causes in words, the question most worth asking, what mends it, what it was. */
@Component({
  selector: 'yp-cause-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cause-here.html',
  host: { class: 'block' },
})
export class CauseHere {
  protected readonly words = checkWords;
  protected readonly unknown = UNKNOWN;
  protected readonly hows = CONFIRMED_HOW;
  protected readonly question = questionWords;
  protected readonly cause_ = causeWords;
  readonly #desk = inject(CheckDesk);
  readonly #job = inject(JobDesk);
  readonly #hand = inject(WhoseHand);
  readonly #opened_ms = Date.now();
  readonly one = input.required<JudgedMark>();
  protected readonly here = computed(() => {
    const judged = this.#desk.judged();
    return judged === undefined
      ? undefined
      : causeOf(this.#desk.view(), this.one(), { ...judged, now_ms: this.#opened_ms });
  });
  protected readonly confirmed = computed(() => this.here()?.row?.confirmed ?? null);
  protected readonly says = computed(() => {
    const own = this.here();
    if (own === undefined) return '';
    const [first, ...others] = own.shown.map(({ id, share }) =>
      checkWords.causeIs(causeWords(id), inTenths(share)),
    );
    return checkWords.causesAre(own.says, first ?? '', others);
  });
  protected readonly reasons = computed(() =>
    (this.here()?.why?.answers ?? [])
      .slice(0, MOST_REASONS)
      .map(({ evidence, answer, strength, decibans }) =>
        checkWords.answerSays(questionWords(evidence), answer, strengthWords(strength, decibans)),
      ),
  );
  protected readonly told = computed(() =>
    (this.here()?.row?.answers ?? []).map(({ evidence, state }) => ({
      evidence,
      says: checkWords.answeredWith(questionWords(evidence), state),
    })),
  );
  protected readonly remedies = computed(() =>
    (this.here()?.remedies ?? [])
      .slice(0, MOST_REMEDIES)
      .map(({ id, chance, cost_min }) => checkWords.remedyIs(id, inTenths(chance), Math.round(cost_min))),
  );

  protected answer(evidence: string, state: string): void {
    const told = (this.here()?.row?.answers ?? []).filter((own) => own.evidence !== evidence);
    this.#keep(checkWords.causeAnswered(this.one().number), { answers: [...told, { evidence, state }] });
  }

  protected takeBack(evidence: string): void {
    const told = (this.here()?.row?.answers ?? []).filter((own) => own.evidence !== evidence);
    this.#keep(checkWords.causeAnswered(this.one().number), { answers: told });
  }

  /** What it was in the end, with the shares as they were reckoned then. */
  protected confirm(cause: string): void {
    this.#hand.whenSigned((said) => {
      const isKnown = cause !== '';
      this.#keep(checkWords.causeConfirmed(this.one().number), {
        confirmed: isKnown ? cause : null,
        how: isKnown ? 'seen' : null,
        posterior: isKnown ? (this.here()?.raw ?? null) : null,
        said: isKnown ? said : null,
      });
    });
  }

  protected confirmHow(how: (typeof CONFIRMED_HOW)[number]): void {
    this.#keep(checkWords.causeConfirmed(this.one().number), { how });
  }

  #keep(label: string, fields: Partial<CauseCase>): void {
    const own = this.here();
    if (own === undefined) return;
    const { row, look } = own;
    if (row?.look === look) {
      this.#job.do(label, [this.#job.set('causeCase', row.id, fields)]);
      return;
    }
    this.#job.do(label, [
      ...(row === undefined ? [] : [this.#job.remove('causeCase', row.id)]),
      this.#job.put('causeCase', {
        ...{ markIds: [this.one().mark.id], look, answers: [], tableVersion: TABLE_VERSION },
        ...{ posterior: null, confirmed: null, how: null, said: null },
        ...fields,
      }),
    ]);
  }
}
