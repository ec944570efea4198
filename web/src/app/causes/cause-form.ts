import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { causeWords, questionWords, strengthWords } from '@yellow-pane/contracts/words';
import { inTenths } from '@yellow-pane/core/diagnosing';
import { CONFIRMED_HOW, type CauseCase } from '@yellow-pane/core/job';
import type { CauseHere } from '@yellow-pane/core/reading';
import { causesWords } from '../words/causes';

/** Kept as an answer, so that it is not asked again; it changes nothing. */
const UNKNOWN = 'not known';
const MOST_REASONS = 3;
const MOST_REMEDIES = 3;

/** What a person said of a cause. */
export type CauseSaid = Partial<Pick<CauseCase, 'answers' | 'confirmed' | 'how' | 'remedy' | 'posterior'>>;

/** Three causes in words, the question most worth asking, what mends it, what it was in the end. */
@Component({
  selector: 'yp-cause-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cause-form.html',
  host: { class: 'block' },
})
export class CauseForm {
  protected readonly words = causesWords;
  protected readonly unknown = UNKNOWN;
  protected readonly hows = CONFIRMED_HOW;
  protected readonly question = questionWords;
  protected readonly cause_ = causeWords;
  readonly here = input.required<CauseHere>();
  readonly said = output<CauseSaid>();
  protected readonly confirmed = computed(() => this.here().row?.confirmed ?? null);
  protected readonly says = computed(() => {
    const own = this.here();
    const [first, ...others] = own.shown.map(({ id, share }) =>
      causesWords.causeIs(causeWords(id), inTenths(share)),
    );
    return causesWords.causesAre(own.says, first ?? '', others);
  });
  protected readonly several = computed(() => inTenths(this.here().several));
  protected readonly reasons = computed(() =>
    (this.here().why?.answers ?? [])
      .slice(0, MOST_REASONS)
      .map(({ evidence, answer, strength, decibans }) =>
        causesWords.answerSays(questionWords(evidence), answer, strengthWords(strength, decibans)),
      ),
  );
  protected readonly told = computed(() =>
    (this.here().row?.answers ?? []).map(({ evidence, state }) => ({
      evidence,
      says: causesWords.answeredWith(questionWords(evidence), state),
    })),
  );
  protected readonly remedies = computed(() =>
    this.here()
      .remedies.slice(0, MOST_REMEDIES)
      .map(({ id, chance, cost_min }) => causesWords.remedyIs(id, inTenths(chance), Math.round(cost_min))),
  );

  protected answer(evidence: string, state: string): void {
    const told = (this.here().row?.answers ?? []).filter((own) => own.evidence !== evidence);
    this.said.emit({ answers: [...told, { evidence, state }] });
  }

  protected takeBack(evidence: string): void {
    const told = (this.here().row?.answers ?? []).filter((own) => own.evidence !== evidence);
    this.said.emit({ answers: told });
  }

  /** What it was in the end, with the shares as they were calculated then. */
  protected confirm(cause: string): void {
    const isKnown = cause !== '';
    this.said.emit({
      confirmed: isKnown ? cause : null,
      how: isKnown ? 'seen' : null,
      remedy: null,
      posterior: isKnown ? this.here().raw : null,
    });
  }
}
