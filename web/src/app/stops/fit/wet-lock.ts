import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  DOCUMENT,
  computed,
  inject,
  output,
} from '@angular/core';
import { isShrunk } from '@yellow-pane/core/reading';
import { headOf } from '@yellow-pane/core/ways';
import { Hold } from '../../fields/hold';
import { JobDesk } from '../../job/job-desk';
import { fitWords } from '../../words/fit';
import { BigClock } from './big-clock';
import { CautionsRead, cautionsKey } from './cautions-read';
import { FitClock } from './fit-clock';
import { FitDesk } from './fit-desk';
import { HeldCard } from './held-card';
import { ShrinkHere } from './shrink-here';
import { StepDrawing } from '../../strokes/step-drawing';

/** Held for so long, drops and sleeves press nothing. */
const HELD_MS = 400;
const UNLOCK_MS = 800;

/**
 * The whole screen for one step, against wet hands: done is held, everything else is locked, undo is large. A
 * pedal or page-turner does done, back and timer.
 */
@Component({
  selector: 'yp-wet-lock',
  imports: [BigClock, HeldCard, Hold, ShrinkHere, StepDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wet-lock.html',
  host: {
    class: 'fixed inset-0 z-40 bg-board flex flex-col',
    role: 'dialog',
    '[attr.aria-label]': 'words.wetLock',
    'aria-modal': 'true',
  },
})
export class WetLock {
  protected readonly words = fitWords;
  protected readonly held = HELD_MS;
  protected readonly unlockMs = UNLOCK_MS;
  protected readonly desk = inject(FitDesk);
  protected readonly clock = inject(FitClock).shown;
  protected readonly job = inject(JobDesk);
  readonly unlock = output();
  readonly #read = inject(CautionsRead);
  /** Read before on this surface: their names are enough. */
  protected readonly hasRead = computed(() =>
    this.#read.has(cautionsKey(this.desk.application()?.id ?? '', this.desk.current()?.cautions ?? [])),
  );
  /** The film whose step has a drawing of its own. */
  protected readonly drawn = computed(() => {
    const [application, step] = [this.desk.application(), this.desk.current()];
    return application === undefined || isShrunk(application) || step?.draws == null
      ? undefined
      : application;
  });
  protected readonly head = computed(() => headOf(this.desk.current()?.what ?? ''));
  protected readonly rest = computed(() =>
    (this.desk.current()?.what ?? '').slice(this.head().length).trim(),
  );
  protected readonly isHeldBack = computed(() => this.desk.held() !== undefined);
  protected readonly isDone = computed(() => this.desk.isDone(this.desk.current()?.step ?? ''));
  /** What is asked at the gate can be answered here, if it is right; a wait that may be over can be ended. */
  readonly #line = computed(() => {
    const held = this.desk.held();
    const [line] = held?.case === 'gate' ? held.lines : [];
    return line?.state === 'not looked at' ? line : undefined;
  });
  readonly #mayFeel = computed(() => {
    const held = this.desk.held();
    return held?.case === 'wait' && held.state === 'feel it';
  });
  protected readonly canPress = computed(
    () => this.isDone() || !this.isHeldBack() || this.#line() !== undefined || this.#mayFeel(),
  );
  protected readonly mainWord = computed(() => {
    if (this.isDone()) return fitWords.onward;
    if (this.#line() !== undefined) return fitWords.holdRight;
    if (this.#mayFeel()) return fitWords.holdFelt;
    return this.isHeldBack() ? fitWords.heldShort : this.#doneWord();
  });
  readonly #doneWord = computed(() => {
    const step = this.desk.current();
    const round = this.desk.rounds() + 1;
    if (step?.heatsFolds === true && step.rounds > 1) return fitWords.foldLies(round, step.rounds);
    return step !== undefined && round < step.rounds
      ? fitWords.roundDone(round, step.rounds)
      : fitWords.holdDone;
  });

  constructor() {
    const document = inject(DOCUMENT);
    const press = (event: KeyboardEvent): void => {
      this.#press(event);
    };
    document.addEventListener('keydown', press, { capture: true });
    inject(DestroyRef).onDestroy(() => {
      document.removeEventListener('keydown', press, { capture: true });
    });
  }

  /** What a page-turner or pedal sends; every other key is locked. */
  #press(event: KeyboardEvent): void {
    /** What moves the focus and presses what has it. */
    if (event.key === 'Tab' || event.key === 'Enter') return;
    event.preventDefault();
    event.stopPropagation();
    const isBare = !event.altKey && !event.ctrlKey && !event.metaKey;
    const does = isBare ? KEYS[event.key] : undefined;
    if (event.repeat || does === undefined) return;
    if (does === 'done') this.done();
    if (does === 'back') this.desk.walk(-1);
    if (does === 'timer') this.desk.startTimer();
    if (does === 'unlock') this.unlock.emit();
  }

  protected done(): void {
    const line = this.#line();
    if (this.isDone()) this.desk.walk(1);
    else if (line !== undefined) this.desk.answer(line, 'right');
    else if (this.#mayFeel()) this.desk.endWait('by hand', '');
    else this.desk.tick();
  }
}

const KEYS: Readonly<Record<string, 'done' | 'back' | 'timer' | 'unlock'>> = {
  ArrowRight: 'done',
  ArrowDown: 'done',
  PageDown: 'done',
  ArrowLeft: 'back',
  ArrowUp: 'back',
  PageUp: 'back',
  ' ': 'timer',
  Escape: 'unlock',
};
