import { Device } from '../../device/device';
import { brokenInWords, reliefInWords } from '@yellow-pane/contracts/words';
import { DestroyRef, Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import type { DayProblem } from '@yellow-pane/core/day';
import type { RowOf } from '@yellow-pane/core/job';
import {
  type DayPlan,
  type NoPlan,
  type PlannedStep,
  brokenBy,
  checkPlan,
  crewFor,
  mayGiveWay,
  whyNotEarlier,
  workingHours,
  workingMinutes,
} from '@yellow-pane/core/scheduling';
import { type ReadyAnswer, dayProblemOf, keptPlan, peopleOf, stretchKey } from '@yellow-pane/core/reading';
import { Catalogue } from '../../catalogue/catalogue';
import { ReadinessCache } from '../../day/readiness-cache';
import { JobReading } from '../../job/job-reading';
import { dayWords } from '../../words/day';
import { DayPool } from '../../workers/day-pool';

import { betterThan } from './better-plan';
import { stretchesBeyondForecast } from './beyond-forecast';
import type { DayClock } from '@yellow-pane/contracts/day-clock';
import { DayCommands } from './day-commands';
import { DayGround } from './day-ground';
import { Gains } from './gains';
import { Search } from '../../workers/search';
import { type MovedStep, movedSteps, planWords } from './moved-steps';

export type DayView = 'order' | 'sun' | 'waits' | 'mix' | 'kit' | 'crew';
const SETTLE_MS = 150;
const SEARCH = { least_ms: 3000, most_ms: 15_000 } as const;

/**
 * The days of the open job: what is fit when, the steps to be put in order, the plan shown, and what is kept
 * of it.
 */
@Injectable()
export class Planning {
  readonly #units = inject(Device).units;
  readonly #reading = inject(JobReading);
  readonly #commands = inject(DayCommands);
  readonly #book = inject(ReadinessCache);
  readonly #catalogue = inject(Catalogue);
  readonly #pool = inject(DayPool);
  readonly #ground = inject(DayGround);
  readonly view = signal<DayView>('order');
  readonly day = signal(0);
  readonly pickedId = signal<string | undefined>(undefined);
  readonly #search = new Search<DayPlan | NoPlan>();
  readonly #gains = new Gains(this.#pool);
  readonly progress = this.#search.progress;
  readonly refused = signal<string | undefined>(undefined);
  /** A start that was refused only because other steps are in the way. */
  readonly wish = signal<{ readonly id: string; readonly start: number } | undefined>(undefined);
  readonly moved = signal<readonly MovedStep[]>([]);
  readonly #proposal = signal<DayPlan | undefined>(undefined);
  readonly none = signal<NoPlan | undefined>(undefined);
  readonly #ownPins = signal<ReadonlyMap<string, number>>(new Map());
  readonly ready = signal<ReadonlyMap<string, ReadyAnswer> | undefined>(undefined);
  readonly #now = signal(Date.now());

  readonly settings = this.#ground.settings;
  readonly clock = this.#ground.clock;
  readonly crew = this.#reading.crew;
  readonly people = computed(() => peopleOf(this.#reading.view(), this.clock()));
  readonly indoor = this.#book.indoor;
  readonly weather = this.#book.weather;
  readonly filmed = this.#ground.filmed;
  readonly surfaces = this.#ground.surfaces;
  /** Minute it is, when the plan's days have begun. */
  readonly nowMinute = computed(() => this.clock().nextStart(this.#now()));

  readonly #keptPins = computed(
    () =>
      new Map(
        this.#reading
          .plannedSteps()
          .flatMap((row) =>
            row.pinned ? [[stretchKey(row), this.clock().minuteOf(Date.parse(row.startsAt))] as const] : [],
          ),
      ),
  );
  readonly pins = computed(
    () => new Map([...this.#keptPins(), ...this.#ownPins()].filter(([, start]) => start >= 0)),
  );

  readonly whole = computed<DayProblem | undefined>(() => {
    const ready = this.ready();
    return ready === undefined
      ? undefined
      : dayProblemOf(this.#reading.view(), {
          clock: this.clock(),
          ready,
          air: this.indoor(),
          pins: this.pins(),
          now: this.nowMinute(),
        });
  });

  /** What there is to do: known before it is calculated when each surface is fit. */
  readonly works = computed(
    () =>
      this.whole()?.works ??
      dayProblemOf(this.#reading.view(), {
        clock: this.clock(),
        ready: new Map(),
        air: this.indoor(),
        pins: new Map(),
        now: this.nowMinute(),
      }).works,
  );
  readonly kept = computed<readonly PlannedStep[]>(() =>
    keptPlan(this.#reading.view(), this.works(), this.clock()),
  );
  readonly isProposal = computed(() => this.#proposal() !== undefined);
  readonly shown = computed<readonly PlannedStep[]>(() => this.#proposal()?.steps ?? this.kept());
  readonly figures = computed(() => {
    const proposal = this.#proposal();
    const steps = this.shown();
    if (steps.length === 0 || this.none() !== undefined) return undefined;
    const finish = Math.max(...steps.map(({ end }) => end));
    return {
      finish,
      working: workingMinutes(workingHours(this.people()), finish),
      least: proposal?.leastWorkingMinutes,
      steps: steps.length,
    };
  });
  /** Steps of the plan shown that no longer hold. */
  readonly broken = computed(() => {
    const whole = this.whole();
    return whole === undefined || this.shown().length === 0
      ? []
      : checkPlan(whole.problem, this.shown()).filter(({ id }) =>
          this.shown().some((step) => step.id === id),
        );
  });
  readonly beyondForecast = computed(() =>
    stretchesBeyondForecast(this.shown(), this.works(), this.ready(), this.clock().from_ms),
  );
  readonly #words = computed(() => planWords(this.clock(), this.#units()));
  readonly brokenIds = computed(() => new Set(this.broken().map(({ id }) => id)));
  readonly picked = computed(() => {
    const id = this.pickedId();
    const work = this.works().get(id ?? '');
    const at = this.shown().find((step) => step.id === id);
    return work === undefined ? undefined : { ...work, at };
  });
  readonly whyPicked = computed(() => {
    const whole = this.whole();
    const id = this.picked()?.at?.id;
    return whole === undefined || id === undefined
      ? []
      : whyNotEarlier(whole.problem, this.shown(), id).map((own) =>
          brokenInWords(own, whole.problem, this.#words()),
        );
  });
  readonly relief = computed(() => {
    const whole = this.whole();
    const none = this.none();
    return whole === undefined || none === undefined
      ? []
      : none.relief.map((own) =>
          reliefInWords(
            own,
            whole.problem,
            (id) => this.surfaces().find(({ applicationId }) => applicationId === id)?.tag ?? id,
          ),
        );
  });
  readonly unplanned = computed(() => (this.whole()?.problem.steps.length ?? 0) - this.shown().length);
  /** A plan that ends sooner than the one shown, as the days look now: offered, not taken. */
  readonly gain = this.#gains.found;

  constructor() {
    this.weather.begin();
    const ticking = setInterval(() => {
      this.#now.set(Date.now());
    }, 60_000);
    let timer: ReturnType<typeof setTimeout> | undefined;
    let turn = 0;
    inject(DestroyRef).onDestroy(() => {
      clearInterval(ticking);
      clearTimeout(timer);
      this.#search.end();
      this.#gains.forget();
    });
    effect(() => {
      const [surfaces, clock] = [this.filmed(), this.clock()];
      this.weather.hours();
      this.indoor();
      this.#book.limits();
      this.#catalogue.byId();
      clearTimeout(timer);
      turn += 1;
      const own = turn;
      timer = setTimeout(() => {
        void this.#ask(surfaces, clock, () => own === turn);
      }, SETTLE_MS);
    });
  }

  async #ask(surfaces: readonly RowOf<'surface'>[], clock: DayClock, isWanted: () => boolean): Promise<void> {
    const isFirst = this.ready() === undefined;
    const answers = await this.#book.ask(surfaces, clock.from_ms, clock.to_ms);
    if (!isWanted()) return;
    this.ready.set(new Map(answers.map((answer) => [answer.id, answer])));
    if (untracked(this.shown).length === 0) return;
    if (!isFirst && untracked(this.broken).length > 0) await this.plan();
    else if (untracked(this.broken).length === 0) await this.#lookForGain(isWanted);
  }

  /** Whether the days as they look now would let the plan shown end sooner. */
  async #lookForGain(isWanted: () => boolean): Promise<void> {
    const whole = untracked(this.whole);
    if (whole === undefined) return;
    const finish = untracked(this.figures)?.finish;
    if (finish === undefined) return;
    await this.#gains.look(
      whole.problem,
      finish,
      () => isWanted() && untracked(this.figures)?.finish === finish,
    );
  }

  /** Takes up the plan that was offered; what moves is said. */
  takeGain(): void {
    const [whole, gain, before] = [this.whole(), this.gain(), this.shown()];
    if (whole === undefined || gain === undefined) return;
    this.letGo();
    this.#gains.forget();
    this.#proposal.set(gain.plan);
    this.moved.set(movedSteps(whole.problem, before, gain.plan.steps, this.#words()));
  }

  /**
   * Looks for a plan, each time in another way; one that still holds stays unless a shorter one is found, and
   * what moved is said with its reason.
   */
  async plan(): Promise<void> {
    const whole = this.whole();
    if (whole === undefined || whole.problem.steps.length === 0) return;
    const before = this.shown();
    const isBetter = betterThan(whole.problem, before);
    this.none.set(undefined);
    this.letGo();
    this.#gains.forget();
    const found = await this.#search.run((options) =>
      this.#pool.plan(whole.problem, SEARCH, {
        ...options,
        onBetter: (plan) => {
          options.onBetter(plan);
          if (!options.signal.aborted && plan.state === 'planned' && isBetter(plan)) this.#proposal.set(plan);
        },
      }),
    );
    if (found === undefined) return;
    if (found.state === 'none') {
      this.none.set(found);
      return;
    }
    if (!isBetter(found)) {
      this.#propose(before, found.leastWorkingMinutes);
      this.moved.set([]);
      return;
    }
    this.#proposal.set(found);
    this.moved.set(before.length === 0 ? [] : movedSteps(whole.problem, before, found.steps, this.#words()));
  }

  /** The best found so far is shown; without one everything stays as it was. */
  stop(): void {
    if (this.#search.soFar() === undefined) this.#search.end();
    else this.#search.stop();
  }

  /**
   * Puts a step there if nothing speaks against it; else says what does and leaves it.
   * @returns whether it moved
   */
  move(id: string, start: number): boolean {
    const whole = this.whole();
    if (whole === undefined) return false;
    const plan = this.shown();
    const own = plan.find((step) => step.id === id);
    const word = whole.problem.steps.find((step) => step.id === id)?.word ?? '';
    const unpinned = {
      ...whole.problem,
      steps: whole.problem.steps.map((step) => (step.id === id ? { ...step, pinned: null } : step)),
    };
    const broken = brokenBy(unpinned, plan, id, start);
    const people = crewFor(whole.problem, plan, id, start);
    if (own === undefined || broken.length > 0 || people === undefined) {
      this.refused.set(
        dayWords.cannotStart(
          word,
          this.clock().clock(start),
          broken.map((one) => brokenInWords(one, whole.problem, this.#words())).join('; ') ||
            dayWords.nobodyFree,
        ),
      );
      this.wish.set(own !== undefined && broken.every(mayGiveWay) ? { id, start } : undefined);
      return false;
    }
    this.letGo();
    const steps = plan.map((step) =>
      step.id === id ? { ...step, start, end: start + own.end - own.start, people } : step,
    );
    this.#ownPins.update((pins) => new Map([...pins, [id, start]]));
    this.#propose(steps);
    return true;
  }

  /**
   * Pins the step where it was wanted and plans the others round it. When that cannot be, or the search was
   * stopped before there was a plan, the pin comes out again.
   */
  async planRound(): Promise<void> {
    const wish = this.wish();
    if (wish === undefined) return;
    const pins = this.#ownPins();
    this.#ownPins.set(new Map([...pins, [wish.id, wish.start]]));
    await this.plan();
    if (this.shown().find(({ id }) => id === wish.id)?.start !== wish.start) this.#ownPins.set(pins);
  }

  /** Forgets what was refused. */
  letGo(): void {
    this.refused.set(undefined);
    this.wish.set(undefined);
  }

  /** What speaks against a start, while it is dragged. */
  faultAt(id: string, start: number): string | undefined {
    const whole = this.whole();
    if (whole === undefined) return undefined;
    const unpinned = {
      ...whole.problem,
      steps: whole.problem.steps.map((step) => (step.id === id ? { ...step, pinned: null } : step)),
    };
    const [first] = brokenBy(unpinned, this.shown(), id, start);
    return first === undefined ? undefined : brokenInWords(first, whole.problem, this.#words());
  }

  isPinned(id: string): boolean {
    return this.pins().has(id);
  }

  togglePin(id: string): void {
    const at = this.shown().find((step) => step.id === id);
    if (at === undefined) return;
    this.#ownPins.update((pins) => {
      const next = new Map(pins);
      next.set(id, this.pins().has(id) ? -1 : at.start);
      return next;
    });
    this.#propose(this.shown());
  }

  #propose(
    steps: readonly PlannedStep[],
    leastWorkingMinutes = this.#proposal()?.leastWorkingMinutes ?? 0,
  ): void {
    const finish = Math.max(...steps.map(({ end }) => end));
    this.#proposal.set({
      state: 'planned',
      steps,
      finish,
      workingMinutes: workingMinutes(workingHours(this.people()), finish),
      leastWorkingMinutes,
      rounds: 0,
    });
  }

  /** Keeps the plan shown with the job: one row a step, by its stable key. */
  keep(): void {
    this.#commands.keep(this.shown(), {
      partsOf: (key) =>
        this.works()
          .get(key)
          ?.parts.map(({ step }) => step) ?? [],
      isPinned: (key) => this.isPinned(key),
    });
    this.#proposal.set(undefined);
    this.#ownPins.set(new Map());
  }

  forget(): void {
    this.#proposal.set(undefined);
    this.#ownPins.set(new Map());
    this.moved.set([]);
    this.letGo();
  }
}
