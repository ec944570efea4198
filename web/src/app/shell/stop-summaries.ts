import { Injectable, computed, inject } from '@angular/core';
import { formatLength, mmFromNm } from '@yellow-pane/core/quantity';
import type { RowOf } from '@yellow-pane/core/job';
import { Device } from '../device/device';
import { CutReading } from '../job/cut-reading';
import { JobReading } from '../job/job-reading';
import type { Stop } from './selection';

const WIDTHS = new Set(['tltr', 'trtl', 'mlmr', 'mrml', 'blbr', 'brbl']);
const HEIGHTS = new Set(['tlbl', 'bltl', 'mtmb', 'mbmt', 'trbr', 'brtr']);

/** What is still missing at each stop, in a few words. Counts only: cheap for thousands of surfaces. */
@Injectable({ providedIn: 'root' })
export class StopSummaries {
  readonly #reading = inject(JobReading);
  readonly #cut = inject(CutReading);
  readonly #units = inject(Device).units;

  readonly of = computed<Readonly<Record<Stop, string>>>(() => {
    const surfaces = this.#reading.surfaces();
    const unmeasured = surfaces.filter((surface) => !this.#hasSize(surface)).length;
    const unfilmed = surfaces.filter(({ id }) => this.#reading.applicationsOf(id).length === 0).length;
    const plans = this.#reading.plans();
    const rolls = this.#reading.cutRolls().length;
    const length_nm = plans.reduce((sum, { lengthUsed_nm }) => sum + lengthUsed_nm, 0);
    const applications = this.#reading.applications();
    const laid = applications.filter(({ id }) => this.#reading.laidIds().has(id)).length;
    const finished = applications.filter(({ id }) => this.#reading.isHandedOver(id)).length;
    const changed = this.#cut.allChangedAfterCut().length;
    const planned = this.#reading.plannedSteps().length;
    return {
      survey:
        surfaces.length === 0
          ? 'no surface yet'
          : unmeasured === 0
            ? `all ${surfaces.length} measured`
            : `${unmeasured} to measure`,
      film: surfaces.length === 0 ? '–' : unfilmed === 0 ? 'all chosen' : `${unfilmed} to choose`,
      cut:
        applications.length === 0
          ? '–'
          : changed > 0
            ? `${changed} cut, measured otherwise`
            : laid < applications.length
              ? `${applications.length - laid} to lay out`
              : `${this.#length(length_nm)} · ${rolls} ${rolls === 1 ? 'roll' : 'rolls'}`,
      day: applications.length === 0 ? '–' : planned === 0 ? 'to plan' : `${planned} steps planned`,
      fit: applications.length === 0 ? '–' : `${finished} of ${applications.length} done`,
      check: 'comes later',
      close: 'comes later',
    };
  });

  /**
   * Width and height there, for four-sided ones by looking only; what other shapes need, their check knows.
   */
  #hasSize({ id, shape }: RowOf<'surface'>): boolean {
    const measures = this.#reading.measuresOf(id);
    if (measures.length === 0) return false;
    if (shape !== 'four sides' && shape !== 'panel' && shape !== 'wall')
      return 'figure' in this.#reading.checkOf(id);
    let hasWidth = false;
    let hasHeight = false;
    for (const { fromPoint, toPoint } of measures) {
      hasWidth ||= WIDTHS.has(`${fromPoint}${toPoint}`);
      hasHeight ||= HEIGHTS.has(`${fromPoint}${toPoint}`);
    }
    return hasWidth && hasHeight;
  }

  #length(value_nm: number): string {
    return this.#units() === 'metric'
      ? `${(mmFromNm(value_nm) / 1000).toFixed(2)} m`
      : `${formatLength(value_nm, 'imperial')} in`;
  }
}
