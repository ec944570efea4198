import { ChangeDetectionStrategy, Component, computed, inject, input, model, signal } from '@angular/core';
import { Hold } from '../../fields/hold';
import { fitWords } from '../../words/fit';
import { FIT_REASONS, GATE_REASONS } from '../../words/fit-reasons';
import { FitDesk } from './fit-desk';
import { ReasonChips } from './reason-chips';

export type FitPanel = 'what now' | 'more';
/** Why four chips are out. */
type Asking = 'end early' | 'word for danger' | 'word for gate' | 'skip';

interface RoundButton {
  readonly key: string;
  readonly word: string;
  /** What it is called, where its word does not say enough; null: it does. */
  readonly label: string | null;
  readonly isOff: boolean;
  /** Whether what it opens is open; null: it opens nothing. */
  readonly isOpen: boolean | null;
  readonly press: () => void;
}

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
    if (step.heatsFolds && step.rounds > 1) return fitWords.foldLies(round, step.rounds);
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
  /** The way round, under the large button. */
  protected readonly round = computed((): readonly RoundButton[] => {
    const timed = this.desk.record()?.startedAt != null;
    const to = (by: 1 | -1): Omit<RoundButton, 'key' | 'word'> => ({
      isOff: this.desk.steps()[this.desk.at() + by] === undefined,
      label: null,
      isOpen: null,
      press: () => {
        this.desk.walk(by);
      },
    });
    const opens = (panel: FitPanel, word: string): RoundButton => ({
      key: panel,
      word: this.panel() === panel ? fitWords.closePanel : word,
      label: null,
      isOff: false,
      isOpen: this.panel() === panel,
      press: () => {
        this.panel.set(this.panel() === panel ? undefined : panel);
      },
    });
    const timer = {
      key: 'timer',
      word: fitWords.timer,
      label: timed ? fitWords.timerFromZero : fitWords.startTimer,
      isOff: false,
      isOpen: null,
      press: () => {
        this.desk.startTimer();
      },
    };
    return [
      { key: 'back', word: fitWords.back, ...to(-1) },
      { key: 'on', word: fitWords.onward, ...to(1) },
      timer,
      opens('what now', fitWords.whatNow),
      opens('more', fitWords.more),
    ];
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
}
