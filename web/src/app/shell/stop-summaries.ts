import { Injectable, computed, inject } from '@angular/core';
import { formatLength, mmFromNm } from '@yellow-pane/core/quantity';
import { type Progress, allChangedAfterCut, isLaid } from '@yellow-pane/core/reading';
import { Device } from '../device/device';
import { JobReading } from '../job/job-reading';
import { ProgressCount } from './progress-count';
import type { Stop } from './selection';

/** What is still missing at each stop, in a few words. */
@Injectable({ providedIn: 'root' })
export class StopSummaries {
  readonly #reading = inject(JobReading);
  readonly #count = inject(ProgressCount).progress;
  readonly #units = inject(Device).units;

  readonly of = computed<Readonly<Record<Stop, string>>>(() => {
    const view = this.#reading.view();
    const surfaces = view.surfaces.length;
    const unfilmed = view.surfaces.filter(({ id }) => view.applicationsOf(id).length === 0).length;
    const applications = view.applications.length;
    const laid = view.applications.filter(({ id }) => isLaid(view, id)).length;
    const finished = view.applications.filter(({ id }) => view.isHandedOver(id)).length;
    const changed = allChangedAfterCut(view).length;
    const planned = view.rows.plannedStep.length;
    return {
      survey: surfaces === 0 ? 'no surface yet' : measuredWord(surfaces, this.#count()),
      film: surfaces === 0 ? '–' : unfilmed === 0 ? 'all chosen' : `${unfilmed} to choose`,
      cut:
        applications === 0
          ? '–'
          : changed > 0
            ? `${changed} cut, measured otherwise`
            : laid < applications
              ? `${applications - laid} to lay out`
              : this.#laidOut(),
      day: applications === 0 ? '–' : planned === 0 ? 'to plan' : `${planned} steps planned`,
      fit: applications === 0 ? '–' : `${finished} of ${applications} done`,
      check: 'comes later',
      close: 'comes later',
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
  if (progress === undefined) return `${surfaces} surfaces`;
  return progress.measured === surfaces
    ? `all ${surfaces} measured`
    : `${surfaces - progress.measured} to measure`;
}
