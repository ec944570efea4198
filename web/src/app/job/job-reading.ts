import { Injectable, computed, inject } from '@angular/core';
import { isHandover } from '@yellow-pane/core/fitting';
import type { JobTable, RowOf } from '@yellow-pane/core/job';
import { type SurfaceCheck, checkSurface, surfaceInputOf } from '@yellow-pane/core/measure';
import { CoreError } from '@yellow-pane/core/quantity';
import { Rates } from '../catalogue/rates';
import { JobDesk } from './job-desk';

const NONE: readonly never[] = [];

/** The open job read as people ask of it: surfaces in order, measures of a surface, what its shape is. */
@Injectable({ providedIn: 'root' })
export class JobReading {
  readonly #view = inject(JobDesk).view;
  readonly #rates = inject(Rates);
  /** What is known no better is not measured yet: a rate of the shop. */
  readonly determinedWithin_mm = computed(() => this.#rates.valueOf('measure-determined'));
  readonly #checks = new Map<string, { readonly of: readonly unknown[]; readonly check: SurfaceCheck }>();

  readonly job = computed(() => this.#rows('job')[0]);
  readonly places = computed(() => this.#rows('place').sort(byPosition));
  readonly placeById = computed(() => new Map(this.places().map((place) => [place.id, place])));
  readonly units = computed(() => this.#rows('glassUnit'));
  readonly glassPanes = computed(() => this.#rows('glassPane').sort(byPosition));
  readonly surfaces = computed(() => this.#rows('surface').sort(byPosition));
  readonly surfaceById = computed(() => new Map(this.surfaces().map((surface) => [surface.id, surface])));
  readonly #measures = computed(() => grouped(this.#rows('measure'), ({ surfaceId }) => surfaceId));
  readonly #parts = computed(() =>
    grouped(this.#rows('part').sort(byPosition), ({ surfaceId }) => surfaceId),
  );
  readonly #photos = computed(() =>
    grouped(this.#rows('photo').sort(byPosition), ({ surfaceId }) => surfaceId),
  );
  readonly #siteFacts = computed(() => new Map(this.#rows('siteFacts').map((row) => [row.surfaceId, row])));
  readonly #wallFacts = computed(() => new Map(this.#rows('wallFacts').map((row) => [row.surfaceId, row])));
  readonly #briefs = computed(() => new Map(this.#rows('filmBrief').map((row) => [row.placeId, row])));
  readonly #repeats = computed(() =>
    grouped(
      this.surfaces().filter(({ sameAsId }) => sameAsId !== null),
      ({ sameAsId }) => sameAsId ?? '',
    ),
  );
  readonly #applications = computed(() =>
    grouped(this.#rows('application').sort(byPosition), ({ surfaceId }) => surfaceId),
  );
  readonly applications = computed(() => this.#rows('application').sort(byPosition));
  readonly #seamChoices = computed(
    () => new Map(this.#rows('seamChoice').map((row) => [row.applicationId, row])),
  );
  readonly #allowances = computed(() => new Map(this.#rows('jobAllowance').map((row) => [row.method, row])));
  readonly plans = computed(() => this.#rows('cutPlan'));
  readonly cutRolls = computed(() => this.#rows('cutRoll').sort(byPosition));
  readonly daySettings = computed(() => this.#rows('daySettings'));
  readonly crew = computed(() => this.#rows('crewMember').sort(byPosition));
  readonly plannedSteps = computed(() => this.#rows('plannedStep'));
  readonly takes = computed(() => this.#rows('stockTake'));
  readonly offcuts = computed(() => this.#rows('offcut'));
  readonly #pieces = computed(() => grouped(this.#rows('cutPiece').sort(byPosition), ({ planId }) => planId));
  readonly #work = computed(() => grouped(this.#rows('workRecord'), ({ applicationId }) => applicationId));
  /** Applications that lie on a plan that still stands. */
  readonly laidIds = computed(
    () =>
      new Set(
        this.plans().flatMap((plan) => this.piecesOf(plan.id).map(({ applicationId }) => applicationId)),
      ),
  );

  measuresOf(surfaceId: string): readonly RowOf<'measure'>[] {
    return this.#measures().get(surfaceId) ?? NONE;
  }

  partsOf(surfaceId: string): readonly RowOf<'part'>[] {
    return this.#parts().get(surfaceId) ?? NONE;
  }

  photosOf(surfaceId: string): readonly RowOf<'photo'>[] {
    return this.#photos().get(surfaceId) ?? NONE;
  }

  siteFactsOf(surfaceId: string): RowOf<'siteFacts'> | undefined {
    return this.#siteFacts().get(surfaceId);
  }

  wallFactsOf(surfaceId: string): RowOf<'wallFacts'> | undefined {
    return this.#wallFacts().get(surfaceId);
  }

  /**
   * What the customer asks for where the surface is: of its place, or of the nearest place round it that has
   * a brief.
   */
  briefFor({ placeId }: Pick<RowOf<'surface'>, 'placeId'>): RowOf<'filmBrief'> | undefined {
    const seen = new Set<string>();
    for (
      let id: string | null = placeId;
      id !== null && !seen.has(id);
      id = this.placeById().get(id)?.parentId ?? null
    ) {
      seen.add(id);
      const brief = this.#briefs().get(id);
      if (brief !== undefined) return brief;
    }
    return undefined;
  }

  /** The surface this one is the same as, itself among the repeats; alone when it repeats nothing. */
  repeatsOf(surfaceId: string): readonly RowOf<'surface'>[] {
    const surface = this.surfaceById().get(surfaceId);
    if (surface === undefined) return NONE;
    const lead = this.surfaceById().get(surface.sameAsId ?? '') ?? surface;
    return [lead, ...(this.#repeats().get(lead.id) ?? NONE)];
  }

  applicationsOf(surfaceId: string): readonly RowOf<'application'>[] {
    return this.#applications().get(surfaceId) ?? NONE;
  }

  seamChoiceOf(applicationId: string): RowOf<'seamChoice'> | undefined {
    return this.#seamChoices().get(applicationId);
  }

  jobAllowanceOf(method: string): RowOf<'jobAllowance'> | undefined {
    return this.#allowances().get(method);
  }

  rollsOf(planId: string): readonly RowOf<'cutRoll'>[] {
    return this.cutRolls().filter((roll) => roll.planId === planId);
  }

  piecesOf(planId: string): readonly RowOf<'cutPiece'>[] {
    return this.#pieces().get(planId) ?? NONE;
  }

  workOf(applicationId: string): readonly RowOf<'workRecord'>[] {
    return this.#work().get(applicationId) ?? NONE;
  }

  isHandedOver(applicationId: string): boolean {
    return this.workOf(applicationId).some(({ step, doneAt }) => doneAt !== null && isHandover(step));
  }

  /** What the kept measures of a surface say; reckoned once for the same rows. */
  checkOf(surfaceId: string): SurfaceCheck {
    const surface = this.surfaceById().get(surfaceId);
    const measures = this.measuresOf(surfaceId);
    if (surface === undefined) return { state: 'unfinished', needs: ['the surface'] };
    const parts = this.partsOf(surfaceId);
    const wall = this.wallFactsOf(surfaceId);
    const within_mm = this.determinedWithin_mm();
    const of = [surface.shape, surface.corners, wall, within_mm, ...parts, ...measures];
    const known = this.#checks.get(surfaceId);
    if (
      known !== undefined &&
      known.of.length === of.length &&
      of.every((row, index) => row === known.of[index])
    )
      return known.check;
    const check = checked(() => checkSurface(surfaceInputOf(surface, measures, parts, wall, within_mm)));
    this.#checks.set(surfaceId, { of, check });
    return check;
  }

  #rows<Table extends JobTable>(table: Table): RowOf<Table>[] {
    const { ids, entities } = this.#view()[table] as {
      readonly ids: readonly (string | number)[];
      readonly entities: Readonly<Record<string, RowOf<Table> | undefined>>;
    };
    return ids.map((id) => entities[id]).filter((row) => row !== undefined);
  }
}

/** A reading core refuses is an answer too: it came from somewhere and must be seen, not hide the screen. */
export function checked(check: () => SurfaceCheck): SurfaceCheck {
  try {
    return check();
  } catch (error) {
    if (error instanceof CoreError)
      return {
        state: 'impossible',
        says: `One measure cannot be: ${error.data.got}; expected ${error.data.expected}.`,
        suspects: [],
      };
    throw error;
  }
}

function byPosition(
  a: { readonly position: number; readonly id: string },
  b: { readonly position: number; readonly id: string },
): number {
  return a.position - b.position || (a.id < b.id ? -1 : 1);
}

function grouped<Item>(
  items: readonly Item[],
  keyOf: (item: Item) => string,
): ReadonlyMap<string, readonly Item[]> {
  const groups = new Map<string, Item[]>();
  for (const item of items) {
    const group = groups.get(keyOf(item));
    if (group === undefined) groups.set(keyOf(item), [item]);
    else group.push(item);
  }
  return groups;
}
