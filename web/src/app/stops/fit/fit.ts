import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
  viewChild,
} from '@angular/core';
import { CdkTrapFocus } from '@angular/cdk/a11y';
import { type StepState, stepStateOf } from '@yellow-pane/core/job';
import { outlineBounds } from '@yellow-pane/core/measure';
import {
  changedAfterCut,
  isShrunk,
  isWayKnown,
  nextAlike,
  shrinkOf,
  stepsLeftOutOf,
  ticksBeside,
} from '@yellow-pane/core/reading';
import {
  SLIP_MIXES,
  type WorkStep,
  isHandover,
  slipShare,
  stepCalled,
  whatNowFor,
} from '@yellow-pane/core/ways';
import { OtherCurves } from '../../curved/other-curves';
import { People } from '../../catalogue/people';
import { isUpright } from '../../drawing/stroke-drawing';
import { JobClock } from '../../day/job-clock';
import { Device } from '../../device/device';
import { KeepAwake } from '../../device/keep-awake';
import { KeptField, type Typed } from '../../fields/kept-field';
import { CUT_ALARM, cutAlarm } from '../../job/cut-alarm';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Commands } from '../../shell/commands';
import { StepDrawing } from '../../strokes/step-drawing';
import { Selection } from '../../shell/selection';
import { StopFrame } from '../../shell/stop-frame';
import { CautionNote } from '../../ui/caution-note';
import { Figure } from '../../ui/figure';
import { StateMark, type StateShape } from '../../ui/state-mark';
import { fitWords } from '../../words/fit';
import { AfterIt } from './after-it';
import { BigClock } from './big-clock';
import { FitActions, type FitPanel } from './fit-actions';
import { FitClock } from './fit-clock';
import { fitCommands } from './fit-commands';
import { FitDesk } from './fit-desk';
import { GateList } from './gate-list';
import { HeldCard } from './held-card';
import { MorePanel } from './more-panel';
import { MyTurnHere } from './my-turn-here';
import { ReadyHere } from '../../day/ready-here';
import { RecordHere } from './record-here';
import { SchoolsPanel } from './schools-panel';
import { ShrinkHere } from './shrink-here';
import { StepBody } from './step-body';
import { StepDangers } from './step-dangers';
import { SurfacePicture } from './surface-picture';
import { SwipeAcross } from './swipe-across';
import { WetHere } from './wet-here';
import { WetLock } from './wet-lock';
import { WhatNowCards } from './what-now-cards';

const SHAPE_OF_STATE: Readonly<Record<StepState, StateShape>> = { open: 'open', begun: 'half', done: 'full' };
const MINUTE_MS = 60_000;
/** As long as a row keeps it. */
const MOST_NOTE = 4000;
/** From so many minutes before it comes, the sun is warned of. */
const SUN_AHEAD_MIN = 30;

/** Fitting: one surface, one step, one action, large enough for wet hands. */
@Component({
  selector: 'yp-fit',
  imports: [
    AfterIt,
    BigClock,
    CautionNote,
    CdkTrapFocus,
    Figure,
    FitActions,
    GateList,
    HeldCard,
    KeptField,
    MorePanel,
    MyTurnHere,
    OtherCurves,
    RecordHere,
    SchoolsPanel,
    ShrinkHere,
    StateMark,
    StepBody,
    StepDangers,
    StepDrawing,
    StopFrame,
    SurfacePicture,
    SwipeAcross,
    WetHere,
    WetLock,
    WhatNowCards,
  ],
  providers: [FitClock, FitDesk, KeepAwake, ReadyHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fit.html',
  host: { class: 'contents' },
})
export class Fit {
  readonly #clock = inject(JobClock);
  readonly #job = inject(JobDesk);
  readonly #device = inject(Device);
  protected readonly words = fitWords;
  protected readonly desk = inject(FitDesk);
  protected readonly clock = inject(FitClock).shown;
  protected readonly awake = inject(KeepAwake);
  protected readonly reading = inject(JobReading);
  protected readonly selection = inject(Selection);
  protected readonly surface = this.desk.surface;
  protected readonly application = this.desk.application;
  protected readonly alarmWord = CUT_ALARM;
  private readonly actions = viewChild(FitActions);
  /** Of the hand that is free: the person's, as the shop knows it. */
  readonly #self = inject(People).self;
  protected readonly isLeftHanded = computed(() => this.#self()?.hand === 'left');
  protected readonly panel = linkedSignal<string, FitPanel | undefined>({
    source: this.desk.stepKey,
    computation: () => undefined,
  });
  protected readonly isWetLocked = signal(false);
  /** What stands upright is drawn beside its words. */
  protected readonly isUpright = computed(() => {
    const check = this.reading.checkOf(this.surface()?.id ?? '');
    if (!('figure' in check)) return false;
    const { width, height } = outlineBounds(check.figure.outline);
    return isUpright({ wide: width, high: height });
  });
  /** Strokes are being changed: they have the room. */
  protected readonly isChanging = linkedSignal<string, boolean>({
    source: this.desk.stepKey,
    computation: () => false,
  });
  /** Of several sheets, the one in hand. */
  protected readonly sheet = computed(() => this.desk.rounds() + 1);
  protected readonly cutAlarm = computed(() => {
    const changed = changedAfterCut(this.reading.view(), this.surface()?.id ?? '');
    return changed.length === 0 ? undefined : cutAlarm(changed, this.#device.units(), this.#clock.clock());
  });
  protected readonly mixes = SLIP_MIXES.map((mix) => ({ ...mix, share: slipShare(mix) }));
  protected readonly filmNames = computed(() => {
    const films = new Map(this.reading.view().shop.films.map(({ id, name }) => [id, name]));
    return this.desk
      .applications()
      .map(({ id, filmId, side }) => ({ id, name: films.get(filmId) ?? fitWords.filmOn(side), side }));
  });
  /** What the way has and this surface does not need. */
  protected readonly leftOut = computed(() => {
    const application = this.application();
    return application === undefined
      ? []
      : stepsLeftOutOf(this.reading.view(), application, this.#device.units());
  });
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
          says: stepCalled(template, step, this.#device.units()),
        }));
  });
  protected readonly whatNow = computed(() => {
    const application = this.application();
    return application === undefined ? [] : whatNowFor(application.method, this.desk.film()?.family);
  });
  /** Curved film with a plan has a drawing of its own. */
  protected readonly isShrunk = computed(() => {
    const application = this.application();
    return (
      application !== undefined &&
      isShrunk(application) &&
      shrinkOf(this.reading.view(), application).kind === 'plan'
    );
  });
  protected readonly isLast = computed(() => isHandover(this.desk.current()?.step ?? ''));
  protected readonly noteKey = computed(
    () => `note:${this.application()?.id ?? ''}:${this.desk.current()?.step ?? ''}`,
  );
  /** When the last of its steps was done; null while one is open. */
  protected readonly laidAt = computed(() => {
    const done = [...this.desk.records().values()].flatMap(({ doneAt }) => (doneAt === null ? [] : [doneAt]));
    return this.desk.isFinished() ? (done.sort().at(-1) ?? null) : null;
  });
  protected readonly next = computed(() => {
    const application = this.application();
    return application === undefined || !this.desk.isFinished()
      ? undefined
      : nextAlike(this.reading.view(), application);
  });
  /** The sun is about to reach it, or is on it: by the minute. */
  protected readonly sunSays = computed(() => {
    const sun = this.desk.sun();
    const clock = this.#clock.clock();
    const now_ms = this.desk.minute_ms();
    const held = this.desk.held();
    const isSaid = held?.case === 'gate' && held.lines[0]?.known?.by === 'sun';
    if (sun === undefined || isSaid || this.desk.isFinished()) return undefined;
    if (sun.case === 'on it') return fitWords.sunOnIt(clock.hourFrom(now_ms, sun.until_ms));
    const minutes = Math.ceil((sun.at_ms - this.desk.now_ms()) / MINUTE_MS);
    return minutes > SUN_AHEAD_MIN
      ? undefined
      : fitWords.sunComes(minutes, clock.hourFrom(now_ms, sun.at_ms));
  });
  /** What was done, by whom and how. */
  protected readonly doneSays = computed(() => {
    const record = this.desk.record();
    if (record?.doneAt == null) return undefined;
    const when = this.#clock.clock().hourFrom(this.desk.minute_ms(), Date.parse(record.doneAt));
    const who = record.people.length > 0 ? record.people.join(', ') : record.changedBy;
    return fitWords.doneBySaid(when, who, record.deviation);
  });

  constructor() {
    effect(() => {
      const record = this.desk.record();
      const isRunning = record?.startedAt != null && record.doneAt === null;
      this.awake.wanted.set(isRunning || this.isWetLocked());
    });
    inject(Commands).offer(
      fitCommands(this.desk, {
        lock: () => {
          this.isWetLocked.set(true);
        },
        panel: (own) => {
          this.panel.set(own);
        },
      }),
    );
  }

  protected litres(value: number): string {
    return value < 1 ? `${Math.round(value * 100) * 10} ml` : `${value.toFixed(1)} l`;
  }

  protected percent(share: number): string {
    return `${(share * 100).toFixed(2)} %`;
  }

  protected shapeOf(step: WorkStep): StateShape {
    return SHAPE_OF_STATE[stepStateOf(this.desk.records().get(step.step))];
  }

  /** A note stays in its field until it is short enough. */
  protected readonly noteFault = (text: string): string | undefined =>
    text.length <= MOST_NOTE ? undefined : fitWords.noteTooLong(MOST_NOTE, text.length);

  protected takeNote({ text, seen }: Typed): void {
    this.desk.note(text, seen);
  }

  protected skip(): void {
    this.panel.set(undefined);
    this.actions()?.ask('skip');
  }

  /** The next pane of the row, with the schools chosen for this one. */
  protected goOnAlike(): void {
    const [application, next] = [this.application(), this.next()];
    if (application === undefined || next === undefined) return;
    if (Object.keys(application.schools).length > 0)
      this.#job.do(fitWords.asOther(next.surface.tag, this.desk.tag()), [
        this.#job.set('application', next.application.id, { schools: application.schools }),
      ]);
    this.selection.goToSurface(next.surface.id);
  }
}
