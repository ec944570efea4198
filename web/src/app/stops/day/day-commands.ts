import { Injectable, inject } from '@angular/core';
import type { DaySettings } from '@yellow-pane/core/job';
import type { PlannedStep } from '@yellow-pane/core/scheduling';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { dayWords } from '../../words/day';
import { DayGround } from './day-ground';
import { planChanges } from './kept-plan';

/** What is done to the days of a job: each a change of its own. */
@Injectable()
export class DayCommands {
  readonly #reading = inject(JobReading);
  readonly #desk = inject(JobDesk);
  readonly #ground = inject(DayGround);

  /** Keeps a plan with the job: one row a step, by its stable key. */
  keep(
    plan: readonly PlannedStep[],
    of: {
      readonly partsOf: (key: string) => readonly string[];
      readonly isPinned: (key: string) => boolean;
    },
  ): void {
    const clock = this.#ground.clock();
    const { put, set, gone } = planChanges(plan, this.#reading.plannedSteps(), {
      instantOf: (minute) => clock.instantOf(minute),
      ...of,
    });
    const settings =
      this.#reading.daySettings().length === 0
        ? [this.#desk.put('daySettings', this.#ground.settings())]
        : [];
    this.#desk.do(dayWords.planKept, [
      ...settings,
      ...gone.map((id) => this.#desk.remove('plannedStep', id)),
      ...put.map((fields) => this.#desk.put('plannedStep', fields)),
      ...set.map(({ id, fields }) => this.#desk.set('plannedStep', id, fields)),
    ]);
  }

  set(fields: Partial<DaySettings>, label: string): void {
    const [row] = this.#reading.daySettings();
    this.#desk.do(label, [
      row === undefined
        ? this.#desk.put('daySettings', { ...this.#ground.settings(), ...fields })
        : this.#desk.set('daySettings', row.id, fields),
    ]);
  }

  /** A wait that a person has ended: dry to the touch; or has not, after all. */
  confirmWait(applicationId: string, step: string): void {
    const kept = this.#reading
      .view()
      .waitEndsOf(applicationId)
      .find((row) => row.step === step);
    this.#desk.do(dayWords.dryToTouch, [
      kept === undefined
        ? this.#desk.put('waitEnd', {
            applicationId,
            step,
            endedAt: new Date().toISOString(),
            how: 'by hand',
            reason: '',
          })
        : this.#desk.remove('waitEnd', kept.id),
    ]);
  }
}
