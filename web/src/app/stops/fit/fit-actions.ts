import { ChangeDetectionStrategy, Component, computed, inject, input, model, signal } from '@angular/core';
import { Hold } from '../../fields/hold';
import { fitWords } from '../../words/fit';
import { FIT_REASONS, GATE_REASONS } from '../../words/fit-reasons';
import { FitDesk } from './fit-desk';
import { ReasonChips } from './reason-chips';

export type FitPanel = 'what now' | 'more';
/** Why four chips are out. */
type Asking = 'end early' | 'word for danger' | 'word for gate' | 'skip';

/** Everything within reach of a thumb: the one thing to do now, and the way round. */
@Component({
  selector: 'yp-fit-actions',
  imports: [Hold, ReasonChips],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fit-actions.html',
  host: { class: 'block' },
})
export class FitActions {
  protected readonly words = fitWords;
  protected readonly reasons = FIT_REASONS;
  protected readonly desk = inject(FitDesk);
  /** Back and on change places, so that the thumb that is free finds 'on' nearest. */
  readonly isLeftHanded = input(false);
  readonly panel = model<FitPanel | undefined>(undefined);
  readonly #asked = signal<{ readonly step: string; readonly what: Asking } | undefined>(undefined);
  protected readonly gateLine = computed(() => {
    const held = this.desk.held();
    return held?.case === 'gate' ? held.lines[0] : undefined;
  });
  protected readonly gateReasons = computed(
    () => GATE_REASONS[this.gateLine()?.key ?? 'blank'] ?? FIT_REASONS.gate,
  );
  /** Chips that were asked for go with their step. */
  protected readonly asking = computed(() => {
    const asked = this.#asked();
    return asked?.step === this.desk.current()?.step ? asked?.what : undefined;
  });
  /** The large button while something holds back; undefined: it does the step. */
  protected readonly heldWord = computed(() => {
    const held = this.desk.held();
    if (held?.case === 'danger')
      return held.caution.stops === 'until consent' ? fitWords.doneNextStep : undefined;
    if (held?.case !== 'wait') return undefined;
    return held.state === 'feel it' ? undefined : fitWords.waiting;
  });
  protected readonly doneWord = computed(() => {
    const step = this.desk.current();
    if (step === undefined) return fitWords.done;
    if (this.desk.isDone(step.step)) return fitWords.notDoneAfterAll;
    const round = this.desk.rounds() + 1;
    if (round < step.rounds) return fitWords.roundDone(round, step.rounds);
    return step.number === this.desk.steps().length ? fitWords.done : fitWords.doneNextStep;
  });
  protected readonly kind = computed((): 'done' | 'gate' | 'gate word' | 'danger' | 'feel' | 'wait' => {
    const held = this.desk.held();
    if (held === undefined) return 'done';
    if (held.case === 'gate') return this.gateLine()?.state === 'not right' ? 'gate word' : 'gate';
    if (held.case === 'danger') return held.caution.stops === 'until consent' ? 'wait' : 'danger';
    return held.state === 'feel it' ? 'feel' : 'wait';
  });
  protected readonly isWaiting = computed(() => this.desk.held()?.case === 'wait');

  ask(what: Asking | undefined): void {
    const step = this.desk.current()?.step;
    this.#asked.set(what === undefined || step === undefined ? undefined : { step, what });
  }

  protected main(): void {
    const step = this.desk.current();
    if (step !== undefined && this.desk.isDone(step.step)) this.desk.untick();
    else this.desk.tick();
  }

  protected looked(answer: 'right' | 'not right'): void {
    const line = this.gateLine();
    if (line !== undefined) this.desk.answer(line, answer);
  }

  protected gateWord(word: string): void {
    const line = this.gateLine();
    if (line !== undefined) this.desk.answer(line, 'not right', word);
  }

  protected give(reason: string): void {
    const what = this.asking();
    this.ask(undefined);
    if (what === 'end early') this.desk.endWait('early', reason);
    if (what === 'skip') this.desk.skip(reason);
  }

  protected toggle(panel: FitPanel): void {
    this.panel.set(this.panel() === panel ? undefined : panel);
  }
}
