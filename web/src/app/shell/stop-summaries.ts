import { Injectable, computed, inject } from '@angular/core';
import { formatLength, mmFromNm } from '@yellow-pane/core/quantity';
import { type Progress, allChangedAfterCut, checkedOf, closeState, isLaid } from '@yellow-pane/core/reading';
import { JobClock } from '../day/job-clock';
import { ReadinessCache } from '../day/readiness-cache';
import { Device } from '../device/device';
import { JobReading } from '../job/job-reading';
import { shellWords } from '../words/shell';
import { ProgressCount } from './progress-count';
import type { Stop } from './selection';

/** What is still missing at each stop, in a few words. */
@Injectable({ providedIn: 'root' })
export class StopSummaries {
  readonly #reading = inject(JobReading);
  readonly #count = inject(ProgressCount).progress;
  readonly #units = inject(Device).units;

  readonly #book = inject(ReadinessCache);
  readonly #clock = inject(JobClock).clock;
  readonly #opened_ms = Date.now();

  readonly of = computed<Readonly<Record<Stop, string>>>(() => {
    const view = this.#reading.view();
    const surfaces = view.surfaces.length;
    const unfilmed = view.surfaces.filter(({ id }) => view.applicationsOf(id).length === 0).length;
    const applications = view.applications.length;
    const laid = view.applications.filter(({ id }) => isLaid(view, id)).length;
    const finished = view.applications.filter(({ id }) => view.isHandedOver(id)).length;
    const changed = allChangedAfterCut(view).length;
    const planned = view.rows.plannedStep.length;
    const checked = checkedOf(view, this.#opened_ms, this.#book.sky());
    return {
      survey: surfaces === 0 ? shellWords.noSurfaceYet : measuredWord(surfaces, this.#count()),
      film: surfaces === 0 ? '–' : unfilmed === 0 ? shellWords.allChosen : shellWords.toChoose(unfilmed),
      cut:
        applications === 0
          ? '–'
          : changed > 0
            ? shellWords.cutMeasuredOtherwise(changed)
            : laid < applications
              ? shellWords.toLayOut(applications - laid)
              : this.#laidOut(),
      day: applications === 0 ? '–' : planned === 0 ? shellWords.toPlan : shellWords.stepsPlanned(planned),
      fit: applications === 0 ? '–' : shellWords.doneOf(finished, applications),
      check:
        checked.surfaces === 0
          ? '–'
          : checked.again > 0
            ? shellWords.toDoAgain(checked.again)
            : shellWords.goodOf(checked.good, checked.surfaces),
      close: shellWords.closeStands(closeState(view, this.#clock().isoDayOf(this.#opened_ms))),
    };
  });

  #laidOut(): string {
    const { plans, cutRolls } = this.#reading.view();
    const length_nm = plans.reduce((sum, { lengthUsed_nm }) => sum + lengthUsed_nm, 0);
    return `${this.#length(length_nm)} · ${cutRolls.length} ${cutRolls.length === 1 ? 'roll' : 'rolls'}`;
  }

  #length(value_nm: number): string {
    return this.#units() === 'metric'
      ? `${(mmFromNm(value_nm) / 1000).toFixed(2)} m`
      : `${formatLength(value_nm, 'imperial')} in`;
  }
}

function measuredWord(surfaces: number, progress: Progress | undefined): string {
  if (progress === undefined) return shellWords.surfacesCount(surfaces);
  return progress.measured === surfaces
    ? shellWords.allMeasured(surfaces)
    : shellWords.toMeasure(surfaces - progress.measured);
}
