import { DestroyRef, Injectable, computed, effect, inject, linkedSignal, signal } from '@angular/core';
import type { Op } from '@yellow-pane/contracts';
import { type FoldSaid, NOT_BEGUN, type RowOf, type WorkRecord, stepStateOf } from '@yellow-pane/core/job';
import {
  type GateLine,
  doneSteps,
  gateOf,
  heldNow,
  indoorAir,
  slipMixed,
  sunNow,
  waitBefore,
  workStepsOf,
} from '@yellow-pane/core/reading';
import type { WorkStep } from '@yellow-pane/core/ways';
import { Catalogue } from '../../catalogue/catalogue';
import { JobClock } from '../../day/job-clock';
import { Device } from '../../device/device';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { fitWords } from '../../words/fit';
import { ReadyHere } from '../../day/ready-here';

const TICK_MS = 1000;
const MINUTE_MS = 60_000;

type Fields = Partial<
  Pick<
    WorkRecord,
    'startedAt' | 'doneAt' | 'roundsAt' | 'foldsSaid' | 'people' | 'mix' | 'deviation' | 'handedTo' | 'note'
  >
>;

/** The film in hand, the step in hand, and what is done to them. */
@Injectable()
export class FitDesk {
  readonly #desk = inject(JobDesk);
  readonly #catalogue = inject(Catalogue);
  readonly #device = inject(Device);
  readonly #reading = inject(JobReading);
  readonly #clock = inject(JobClock);
  readonly #here = inject(ReadyHere);
  readonly surface = inject(Selection).surface;
  readonly tag = computed(() => this.surface()?.tag ?? '');

  readonly now_ms = signal(Date.now());
  /** To the minute: glass does not change faster. */
  readonly minute_ms = computed(() => Math.floor(this.now_ms() / MINUTE_MS) * MINUTE_MS);

  readonly applications = computed(() => this.#reading.applicationsOf(this.surface()?.id ?? ''));
  readonly #surfaceId = computed(() => this.surface()?.id ?? '');
  readonly #picked = linkedSignal({ source: this.#surfaceId, computation: () => '' });
  /** The film in hand: the one picked, else the first that is not finished. */
  readonly application = computed(() => {
    const all = this.applications();
    return (
      all.find(({ id }) => id === this.#picked()) ?? all.find((own) => !this.isFinishedOf(own)) ?? all.at(-1)
    );
  });
  readonly film = computed(() => this.#catalogue.byId().get(this.application()?.filmId ?? ''));

  readonly steps = computed<readonly WorkStep[]>(() => {
    const application = this.application();
    return application === undefined
      ? []
      : workStepsOf(this.#reading.view(), application, this.#device.units());
  });
  readonly records = computed(() => doneSteps(this.#reading.view(), this.application()?.id ?? ''));
  readonly firstOpen = computed(() => this.steps().findIndex(({ step }) => !this.isDone(step)));
  readonly #firstAt = computed(() => (this.firstOpen() < 0 ? this.steps().length - 1 : this.firstOpen()));
  /** The first step not done, until another is picked. */
  readonly at = linkedSignal(() => this.#firstAt());
  readonly current = computed(() => this.steps()[this.at()]);
  /** Of the step in hand: changes with it, and with nothing else. */
  readonly stepKey = computed(() => `${this.application()?.id ?? ''} ${this.current()?.step ?? ''}`);
  readonly record = computed(() => this.records().get(this.current()?.step ?? ''));
  readonly isFinished = computed(() => this.steps().length > 0 && this.firstOpen() < 0);

  readonly ready = computed(() => this.#here.answer());
  /** The sun and this surface; undefined: not calculated, or none comes any more. */
  readonly sun = computed(() => {
    const ready = this.ready();
    return ready === undefined ? undefined : sunNow(ready, this.now_ms());
  });
  readonly #asked = computed(() => ({
    now_ms: this.now_ms(),
    day_ms: this.#clock.clock().midnightOf(this.minute_ms()),
    ready: this.ready(),
    air: this.air(),
  }));
  /** The same for another surface: of its sun nothing is calculated here. */
  readonly askedElsewhere = computed(() => ({ ...this.#asked(), ready: undefined }));
  /** Of the rooms worked in, as waits go by it everywhere. */
  readonly air = computed(() => indoorAir(this.#reading.view(), undefined));
  readonly gate = computed<readonly GateLine[]>(() => {
    const application = this.application();
    return application === undefined ? [] : gateOf(this.#reading.view(), application, this.#asked());
  });
  /** What holds the step in hand back. */
  readonly held = computed(() => {
    const [application, step] = [this.application(), this.current()];
    return application === undefined || step === undefined || this.isDone(step.step)
      ? undefined
      : heldNow(this.#reading.view(), application, step, this.#asked());
  });
  /** What the step in hand has to wait for, over or not. */
  readonly wait = computed(() => {
    const [application, step] = [this.application(), this.current()];
    return application === undefined || step === undefined || this.isDone(step.step)
      ? undefined
      : waitBefore(this.#reading.view(), application, { steps: this.steps(), step: step.step }, this.air());
  });
  /** Rounds of the step in hand that are done. */
  readonly rounds = computed(() => this.record()?.roundsAt.length ?? 0);

  constructor() {
    effect(() => {
      this.#here.application.set(this.application());
    });
    const ticking = setInterval(() => {
      this.now_ms.set(Date.now());
    }, TICK_MS);
    inject(DestroyRef).onDestroy(() => {
      clearInterval(ticking);
    });
  }

  pick(applicationId: string): void {
    this.#picked.set(applicationId);
  }

  walk(by: 1 | -1): void {
    this.at.update((at) => Math.min(this.steps().length - 1, Math.max(0, at + by)));
  }

  isDone(step: string): boolean {
    return stepStateOf(this.records().get(step)) === 'done';
  }

  isFinishedOf(application: RowOf<'application'>): boolean {
    const view = this.#reading.view();
    const records = doneSteps(view, application.id);
    return workStepsOf(view, application).every(({ step }) => stepStateOf(records.get(step)) === 'done');
  }

  /** Done, or one round of it. Nothing happens while something holds it back. */
  tick(): void {
    const step = this.current();
    if (step === undefined || this.held() !== undefined || this.isDone(step.step)) return;
    const now = new Date().toISOString();
    const roundsAt = [...(this.record()?.roundsAt ?? []), now];
    const isLast = roundsAt.length >= step.rounds;
    const isFirst = this.at() === this.firstOpen();
    this.#write(
      step,
      {
        ...(step.rounds > 1 ? { roundsAt } : {}),
        ...(step.heatsFolds ? { foldsSaid: this.#foldsSaid(roundsAt.length, 'lies') } : {}),
        ...(isLast ? { ...this.doneNow(step), doneAt: now } : {}),
        startedAt: this.record()?.startedAt ?? (isLast ? null : now),
      },
      isLast
        ? fitWords.stepTicked(this.tag(), step.number, 'done')
        : fitWords.roundTicked(this.tag(), step.number, roundsAt.length),
    );
    /** The first open step moves by itself. */
    if (isLast && !isFirst) this.walk(1);
  }

  /** Not done after all, whoever ticked it: its rounds begin anew. */
  untick(): void {
    const [step, applicationId] = [this.current(), this.application()?.id ?? ''];
    if (step !== undefined)
      this.#desk.do(
        fitWords.stepTicked(this.tag(), step.number, fitWords.notDone),
        this.#reading
          .workOf(applicationId)
          .filter((record) => record.step === step.step)
          .map(({ id }) =>
            this.#desk.set('workRecord', id, {
              doneAt: null,
              roundsAt: [],
              foldsSaid: [],
              deviation: '',
            }),
          ),
      );
  }

  /** What the fold in hand does under the gun; said twice, it is taken back. */
  sayOfFold(said: FoldSaid): void {
    const [step, turn] = [this.current(), this.rounds() + 1];
    if (step === undefined) return;
    const isSaid = this.record()?.foldsSaid[turn - 1] === said;
    const foldsSaid = this.#foldsSaid(turn, null).with(turn - 1, isSaid ? null : said);
    this.#write(step, { foldsSaid }, fitWords.foldSaid(this.tag(), turn, isSaid ? '–' : said));
  }

  /** Of each fold so far what was said; of the last, where nothing was, this. */
  #foldsSaid(count: number, last: FoldSaid | null): (FoldSaid | null)[] {
    const said = this.record()?.foldsSaid ?? [];
    return Array.from({ length: count }, (_, index) => said[index] ?? (index === count - 1 ? last : null));
  }

  /** Left out here, and why: it counts as gone past, and says so. */
  skip(because: string): void {
    const step = this.current();
    if (step === undefined) return;
    this.#write(
      step,
      { doneAt: new Date().toISOString(), people: this.#people(), deviation: because },
      fitWords.stepTicked(this.tag(), step.number, fitWords.leftOutWord),
    );
  }

  startTimer(): void {
    const step = this.current();
    if (step !== undefined)
      this.#write(
        step,
        { startedAt: new Date().toISOString(), doneAt: null },
        fitWords.stepTimed(this.tag(), step.number),
      );
  }

  note(text: string, seen?: number): void {
    const step = this.current();
    if (step !== undefined && text !== (this.record()?.note ?? ''))
      this.#write(step, { note: text }, fitWords.noteOnStep(this.tag(), step.number), seen);
  }

  write(step: WorkStep, fields: Fields, label: string): void {
    this.#write(step, fields, label);
  }

  /** A wait that is over because a person says so. */
  endWait(how: RowOf<'waitEnd'>['how'], reason: string): void {
    const wait = this.wait();
    if (wait === undefined) return;
    const { applicationId, step } = wait;
    this.#desk.do(fitWords.waitEnded(this.tag()), [
      this.#desk.put('waitEnd', { applicationId, step, endedAt: new Date().toISOString(), how, reason }),
    ]);
  }

  /** What was seen at the gate. */
  answer({ key, tick }: GateLine, answer: 'right' | 'not right', word = ''): void {
    const applicationId = this.application()?.id;
    if (applicationId === undefined) return;
    const lookedAt = new Date().toISOString();
    this.#desk.do(fitWords.lookedAt(this.tag(), key), [
      tick === undefined
        ? this.#desk.put('gateTick', { applicationId, check: key, answer, word, lookedAt })
        : this.#desk.set('gateTick', tick.id, { answer, word, lookedAt }),
    ]);
  }

  /** The operation that writes these fields of a step of any film. */
  opOf(applicationId: string, { template, step, templateVersion }: WorkStep, fields: Fields): Op {
    const record = doneSteps(this.#reading.view(), applicationId).get(step);
    return record === undefined
      ? this.#desk.put('workRecord', {
          applicationId,
          template,
          step,
          templateVersion,
          ...NOT_BEGUN,
          ...fields,
        })
      : this.#desk.set('workRecord', record.id, fields);
  }

  /** Fields of a step that is done now. */
  doneNow({ wets }: Pick<WorkStep, 'wets'>): Fields {
    return {
      doneAt: new Date().toISOString(),
      people: this.#people(),
      mix: wets === null ? '' : slipMixed(this.#reading.view()),
    };
  }

  /** The film and step in hand, to be ticked with others. */
  hereToo(): readonly { readonly application: RowOf<'application'>; readonly step: WorkStep }[] {
    const [application, step] = [this.application(), this.current()];
    return application === undefined || step === undefined ? [] : [{ application, step }];
  }

  #people(): readonly string[] {
    const who = this.#device.who().trim();
    return who === '' ? [] : [who];
  }

  #write(step: WorkStep, fields: Fields, label: string, seen?: number): void {
    const applicationId = this.application()?.id;
    if (applicationId === undefined) return;
    const record = this.records().get(step.step);
    this.#desk.do(label, [
      record === undefined || seen === undefined
        ? this.opOf(applicationId, step, fields)
        : this.#desk.set('workRecord', record.id, fields, seen),
    ]);
  }
}
