import { JobClock } from '../../day/job-clock';
import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
} from '@angular/core';
import {
  SLIP_MIXES,
  type WorkStep,
  heldBackBy,
  isHandover,
  slipShare,
  stepCalled,
  whatNowFor,
} from '@yellow-pane/core/ways';
import { NOT_BEGUN, type RowOf, type StepState, stepStateOf } from '@yellow-pane/core/job';
import { Catalogue } from '../../catalogue/catalogue';
import { Device } from '../../device/device';
import { CUT_ALARM, cutAlarm } from '../../job/cut-alarm';
import {
  changedAfterCut,
  doneSteps,
  isWayKnown,
  stepsLeftOutOf,
  ticksBeside,
  workStepsOf,
} from '@yellow-pane/core/reading';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Commands } from '../../shell/commands';
import { Selection } from '../../shell/selection';
import { CautionNote } from '../../ui/caution-note';
import { Figure } from '../../ui/figure';
import { KeptField, type Typed } from '../../fields/kept-field';
import { StateMark, type StateShape } from '../../ui/state-mark';
import { StopFrame } from '../../shell/stop-frame';
import { AfterIt } from './after-it';
import { ReadyHere } from './ready-here';
import { SchoolsPanel } from './schools-panel';
import { StaysWet } from './stays-wet';
import { StepBody } from './step-body';
import { fitWords } from '../../words/fit';

const SHAPE_OF_STATE: Readonly<Record<StepState, StateShape>> = { open: 'open', begun: 'half', done: 'full' };
/** Fitting: one step at a time, large enough for wet hands, with its dangers there and then. */
@Component({
  selector: 'yp-fit',
  imports: [StaysWet, AfterIt, StopFrame, CautionNote, Figure, KeptField, SchoolsPanel, StateMark, StepBody],
  providers: [ReadyHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fit.html',
  host: { class: 'contents' },
})
export class Fit {
  readonly #clock = inject(JobClock);
  protected readonly words = fitWords;
  readonly #desk = inject(JobDesk);
  readonly #catalogue = inject(Catalogue);
  readonly #units = inject(Device).units;
  protected readonly reading = inject(JobReading);
  protected readonly selection = inject(Selection);
  protected readonly surface = this.selection.surface;
  readonly #instant = signal(Date.now());
  /** To the minute: glass does not change faster. */
  protected readonly minute_ms = computed(() => Math.floor(this.#instant() / 60_000) * 60_000);
  protected readonly application = computed(() => this.reading.applicationsOf(this.surface()?.id ?? '')[0]);
  protected readonly cutAlarm = computed(() => {
    const changed = changedAfterCut(this.reading.view(), this.surface()?.id ?? '');
    return changed.length === 0 ? undefined : cutAlarm(changed, this.#units(), this.#clock.clock());
  });
  protected readonly alarmWord = CUT_ALARM;
  protected readonly film = computed(() => this.#catalogue.byId().get(this.application()?.filmId ?? ''));
  protected readonly mixes = SLIP_MIXES.map((mix) => ({ ...mix, share: slipShare(mix) }));
  protected readonly steps = computed<readonly WorkStep[]>(() => {
    const application = this.application();
    return application === undefined ? [] : workStepsOf(this.reading.view(), application, this.#units());
  });
  /** What the way has and this surface does not need. */
  protected readonly leftOut = computed(() => {
    const application = this.application();
    return application === undefined ? [] : stepsLeftOutOf(this.reading.view(), application, this.#units());
  });
  /** Whether it is known how this is done. */
  protected readonly isWayKnown = computed(() => {
    const application = this.application();
    return application !== undefined && isWayKnown(this.reading.view(), application);
  });
  /** Ticks of another school or way: kept, and shown. */
  protected readonly doneOtherwise = computed(() => {
    const application = this.application();
    return application === undefined
      ? []
      : ticksBeside(this.reading.view(), application).map(({ id, template, step }) => ({
          id,
          says: stepCalled(template, step, this.#units()),
        }));
  });
  readonly #records = computed(() => doneSteps(this.reading.view(), this.application()?.id ?? ''));
  protected readonly firstOpen = computed(() =>
    this.steps().findIndex(({ step }) => stepStateOf(this.#records().get(step)) !== 'done'),
  );
  /** The first step not done, until another is picked. */
  protected readonly at = linkedSignal(() =>
    this.firstOpen() < 0 ? this.steps().length - 1 : this.firstOpen(),
  );
  protected readonly current = computed(() => this.steps()[this.at()]);
  protected readonly record = computed(() => this.#records().get(this.current()?.step ?? ''));
  /** What holds the step back, until a word is written or until there is consent. */
  protected readonly heldBack = computed(() => {
    const step = this.current();
    return step === undefined || this.record()?.doneAt != null
      ? undefined
      : heldBackBy(step, this.steps(), new Map([...this.#records()].map(([key, { note }]) => [key, note])));
  });
  protected readonly isAskingWhatNow = signal(false);
  protected readonly whatNow = computed(() => {
    const application = this.application();
    return application === undefined ? [] : whatNowFor(application.method, this.film()?.family);
  });
  /** What the large button does now. */
  protected readonly doneWord = computed(() => {
    const step = this.current();
    if (step === undefined || this.record()?.doneAt != null) return fitWords.notDoneAfterAll;
    const round = (this.record()?.roundsAt.length ?? 0) + 1;
    if (round < step.rounds) return fitWords.roundDone(round, step.rounds);
    return step.number === this.steps().length ? fitWords.done : fitWords.doneNextStep;
  });
  protected readonly isLast = computed(() => isHandover(this.current()?.step ?? ''));
  protected readonly noteKey = computed(
    () => `note:${this.application()?.id ?? ''}:${this.current()?.step ?? ''}`,
  );
  protected readonly isFinished = computed(() => this.steps().length > 0 && this.firstOpen() < 0);
  /** When the last of its steps was done; null while one is open. */
  protected readonly laidAt = computed(() => {
    const done = [...this.#records().values()].flatMap(({ doneAt }) => (doneAt === null ? [] : [doneAt]));
    return this.isFinished() ? (done.sort().at(-1) ?? null) : null;
  });
  protected readonly timer = computed(() => {
    const { startedAt = null, doneAt = null } = this.record() ?? {};
    if (startedAt === null) return undefined;
    const seconds = Math.max(
      0,
      Math.floor(((doneAt === null ? this.#instant() : Date.parse(doneAt)) - Date.parse(startedAt)) / 1000),
    );
    return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  });

  constructor() {
    const here = inject(ReadyHere);
    effect(() => {
      here.application.set(this.application());
    });
    const ticking = setInterval(() => {
      this.#instant.set(Date.now());
    }, 1000);
    inject(DestroyRef).onDestroy(() => {
      clearInterval(ticking);
    });
    inject(Commands).offer([
      {
        id: 'step-done',
        word: fitWords.stepDoneGoOn,
        keys: 'Alt+Enter',
        canRun: () => this.current() !== undefined,
        run: () => {
          this.toggleDone();
        },
      },
      {
        id: 'step-timer',
        word: fitWords.startTimerOfStep,
        keys: 'Alt+T',
        canRun: () => this.current() !== undefined,
        run: () => {
          this.startTimer();
        },
      },
      {
        id: 'step-back',
        word: fitWords.stepBefore,
        keys: 'Alt+ArrowLeft',
        canRun: () => this.at() > 0,
        run: () => {
          this.at.update((at) => at - 1);
        },
      },
      {
        id: 'step-on',
        word: fitWords.stepAfter,
        keys: 'Alt+ArrowRight',
        canRun: () => this.at() < this.steps().length - 1,
        run: () => {
          this.at.update((at) => at + 1);
        },
      },
    ]);
  }

  protected litres(value: number): string {
    return value < 1 ? `${Math.round(value * 100) * 10} ml` : `${value.toFixed(1)} l`;
  }

  protected percent(share: number): string {
    return `${(share * 100).toFixed(2)} %`;
  }

  protected shapeOf(step: WorkStep): StateShape {
    return SHAPE_OF_STATE[stepStateOf(this.#records().get(step.step))];
  }

  /** Done, or one round of it; not done after all begins its rounds anew. */
  protected toggleDone(): void {
    const step = this.current();
    if (step === undefined || this.heldBack() !== undefined) return;
    const isDone = stepStateOf(this.record()) === 'done';
    const now = new Date().toISOString();
    const roundsAt = isDone ? [] : [...(this.record()?.roundsAt ?? []), now];
    const isLast = roundsAt.length >= step.rounds;
    this.#write(
      step,
      {
        roundsAt: step.rounds > 1 ? roundsAt : [],
        doneAt: !isDone && isLast ? now : null,
        ...(isDone || isLast ? {} : { startedAt: this.record()?.startedAt ?? now }),
      },
      isDone || isLast
        ? fitWords.stepTicked(this.surface()?.tag ?? '', step.number, isDone ? fitWords.notDone : 'done')
        : fitWords.roundTicked(this.surface()?.tag ?? '', step.number, roundsAt.length),
    );
  }

  protected startTimer(): void {
    const step = this.current();
    if (step !== undefined)
      this.#write(
        step,
        { startedAt: new Date().toISOString(), doneAt: null },
        fitWords.stepTimed(this.surface()?.tag ?? '', step.number),
      );
  }

  protected takeNote({ text, seen }: Typed): void {
    const step = this.current();
    if (step !== undefined && text !== (this.record()?.note ?? ''))
      this.#write(step, { note: text }, fitWords.noteOnStep(this.surface()?.tag ?? '', step.number), seen);
  }

  #write(
    step: WorkStep,
    fields: Partial<Pick<RowOf<'workRecord'>, 'startedAt' | 'doneAt' | 'roundsAt' | 'note'>>,
    label: string,
    seen?: number,
  ): void {
    const application = this.application();
    if (application === undefined) return;
    const record = this.#records().get(step.step);
    const op =
      record === undefined
        ? this.#desk.put('workRecord', {
            applicationId: application.id,
            template: step.template,
            step: step.step,
            templateVersion: step.templateVersion,
            ...NOT_BEGUN,
            ...fields,
          })
        : this.#desk.set('workRecord', record.id, fields, seen);
    this.#desk.do(label, [op]);
  }
}
