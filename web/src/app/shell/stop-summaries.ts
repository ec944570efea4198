import { Injectable, computed, inject } from '@angular/core';
import { formatLength, mmFromNm } from '@yellow-pane/core/quantity';
import { slotBetween } from '@yellow-pane/core/measure';
import { Device } from '../device/device';
import { JobReading } from '../job/job-reading';
import type { Stop } from './selection';

/** What is still missing at each stop, in a few words. Counts only: cheap for thousands of surfaces. */
@Injectable({ providedIn: 'root' })
export class StopSummaries {
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;

  readonly of = computed<Readonly<Record<Stop, string>>>(() => {
    const surfaces = this.#reading.surfaces();
    const unmeasured = surfaces.filter(({ id }) => !this.#hasSize(id)).length;
    const unfilmed = surfaces.filter(({ id }) => this.#reading.applicationsOf(id).length === 0).length;
    const plans = this.#reading.plans();
    const length_nm = plans.reduce((sum, { lengthUsed_nm }) => sum + lengthUsed_nm, 0);
    const applications = this.#reading.applications();
    const laid = applications.filter(({ id }) => this.#reading.laidIds().has(id)).length;
    const finished = applications.filter(({ id }) => this.#reading.workOf(id).some(({ step, doneAt }) => step === 'handover' && doneAt !== null)).length;
    return {
      survey: surfaces.length === 0 ? 'no surface yet' : unmeasured === 0 ? `all ${surfaces.length} measured` : `${unmeasured} to measure`,
      film: surfaces.length === 0 ? '–' : unfilmed === 0 ? 'all chosen' : `${unfilmed} to choose`,
      cut: applications.length === 0 ? '–' : laid < applications.length ? `${applications.length - laid} to lay out` : `${this.#length(length_nm)} · ${plans.length} ${plans.length === 1 ? 'roll' : 'rolls'}`,
      day: 'comes later',
      fit: applications.length === 0 ? '–' : `${finished} of ${applications.length} done`,
      check: 'comes later',
      close: 'comes later',
    };
  });

  #hasSize(surfaceId: string): boolean {
    let hasWidth = false;
    let hasHeight = false;
    for (const { fromPoint, toPoint } of this.#reading.measuresOf(surfaceId)) {
      const group = slotBetween(fromPoint, toPoint)?.group;
      hasWidth ||= group === 'width';
      hasHeight ||= group === 'height';
    }
    return hasWidth && hasHeight;
  }

  #length(value_nm: number): string {
    return this.#units() === 'metric' ? `${(mmFromNm(value_nm) / 1000).toFixed(2)} m` : `${formatLength(value_nm, 'imperial')} in`;
  }
}
