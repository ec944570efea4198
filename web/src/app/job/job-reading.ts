import { Injectable, computed, inject } from '@angular/core';
import type { JobTable, RowOf } from '@yellow-pane/core/job';
import { type PaneCheck, checkFlatPane } from '@yellow-pane/core/measure';
import { mmFromNm } from '@yellow-pane/core/quantity';
import { JobDesk } from './job-desk';

const NONE: readonly never[] = [];

/** The open job read as people ask of it: surfaces in order, measures of a surface, what its shape is. */
@Injectable({ providedIn: 'root' })
export class JobReading {
  readonly #view = inject(JobDesk).view;
  readonly #checks = new Map<string, { readonly measures: readonly RowOf<'measure'>[]; readonly check: PaneCheck }>();

  readonly job = computed(() => this.#rows('job')[0]);
  readonly places = computed(() => this.#rows('place').sort(byPosition));
  readonly placeById = computed(() => new Map(this.places().map((place) => [place.id, place])));
  readonly units = computed(() => this.#rows('glassUnit'));
  readonly glassPanes = computed(() => this.#rows('glassPane').sort(byPosition));
  readonly surfaces = computed(() => this.#rows('surface').sort(byPosition));
  readonly surfaceById = computed(() => new Map(this.surfaces().map((surface) => [surface.id, surface])));
  readonly #measures = computed(() => grouped(this.#rows('measure'), ({ surfaceId }) => surfaceId));
  readonly #applications = computed(() => grouped(this.#rows('application').sort(byPosition), ({ surfaceId }) => surfaceId));
  readonly applications = computed(() => this.#rows('application').sort(byPosition));
  readonly plans = computed(() => this.#rows('cutPlan'));
  readonly #pieces = computed(() => grouped(this.#rows('cutPiece').sort(byPosition), ({ planId }) => planId));
  readonly #work = computed(() => grouped(this.#rows('workRecord'), ({ applicationId }) => applicationId));
  /** Applications that lie on a plan that still stands. */
  readonly laidIds = computed(() => new Set(this.plans().flatMap((plan) => this.piecesOf(plan.id).map(({ applicationId }) => applicationId))));

  measuresOf(surfaceId: string): readonly RowOf<'measure'>[] {
    return this.#measures().get(surfaceId) ?? NONE;
  }

  applicationsOf(surfaceId: string): readonly RowOf<'application'>[] {
    return this.#applications().get(surfaceId) ?? NONE;
  }

  piecesOf(planId: string): readonly RowOf<'cutPiece'>[] {
    return this.#pieces().get(planId) ?? NONE;
  }

  workOf(applicationId: string): readonly RowOf<'workRecord'>[] {
    return this.#work().get(applicationId) ?? NONE;
  }

  /** What the kept measures of a surface say; reckoned once for the same measures. */
  checkOf(surfaceId: string): PaneCheck {
    const measures = this.measuresOf(surfaceId);
    const known = this.#checks.get(surfaceId);
    if (known !== undefined && known.measures.length === measures.length && measures.every((measure, index) => measure === known.measures[index])) return known.check;
    const check = checkFlatPane(measures.map(paneMeasure));
    this.#checks.set(surfaceId, { measures, check });
    return check;
  }

  #rows<Table extends JobTable>(table: Table): RowOf<Table>[] {
    const { ids, entities } = this.#view()[table] as { readonly ids: readonly (string | number)[]; readonly entities: Readonly<Record<string, RowOf<Table> | undefined>> };
    return ids.map((id) => entities[id]).filter((row) => row !== undefined);
  }
}

/** A kept measure as core reckons with it. */
export function paneMeasure({ id, fromPoint, toPoint, value_nm, instrument, sd_nm }: Pick<RowOf<'measure'>, 'id' | 'fromPoint' | 'toPoint' | 'value_nm' | 'instrument' | 'sd_nm'>): Parameters<typeof checkFlatPane>[0][number] {
  return { id, from: fromPoint, to: toPoint, value_mm: mmFromNm(value_nm), instrument, ...(sd_nm === null ? {} : { sd_mm: mmFromNm(sd_nm) }) };
}

function byPosition(a: { readonly position: number; readonly id: string }, b: { readonly position: number; readonly id: string }): number {
  return a.position - b.position || (a.id < b.id ? -1 : 1);
}

function grouped<Item>(items: readonly Item[], keyOf: (item: Item) => string): ReadonlyMap<string, readonly Item[]> {
  const groups = new Map<string, Item[]>();
  for (const item of items) {
    const group = groups.get(keyOf(item));
    if (group === undefined) groups.set(keyOf(item), [item]);
    else group.push(item);
  }
  return groups;
}
