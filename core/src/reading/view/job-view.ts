import { isHandover } from '../../ways';
import { type LearnedKey, learnedOf } from '../../learned';
import { type RowOf, SAID_ABOUT } from '../../job';
import { type FilmOfShop, type JobRows, type PersonOfShop, type Shop, EMPTY_SHOP } from './job-rows';
import { Kept } from './kept';

const NONE: readonly never[] = [];

/**
 * The rows of a job, indexed for asking. Each index is made when it is first asked for; a view made from the
 * one before it takes over whatever its tables have not changed.
 */
export class JobView {
  readonly kept: Kept;

  constructor(
    readonly rows: JobRows,
    readonly shop: Shop = EMPTY_SHOP,
    before?: JobView,
  ) {
    this.kept = before?.kept ?? new Kept();
  }

  get job(): RowOf<'job'> | undefined {
    return this.rows.job[0];
  }

  get places(): readonly RowOf<'place'>[] {
    return this.#made('places', this.rows.place, () => this.rows.place.toSorted(byPosition));
  }

  get placeById(): ReadonlyMap<string, RowOf<'place'>> {
    return this.#made('place by id', this.rows.place, () => byId(this.rows.place));
  }

  get unitById(): ReadonlyMap<string, RowOf<'glassUnit'>> {
    return this.#made('unit by id', this.rows.glassUnit, () => byId(this.rows.glassUnit));
  }

  get glassPanes(): readonly RowOf<'glassPane'>[] {
    return this.#made('panes', this.rows.glassPane, () => this.rows.glassPane.toSorted(byPosition));
  }

  get surfaces(): readonly RowOf<'surface'>[] {
    return this.#made('surfaces', this.rows.surface, () => this.rows.surface.toSorted(byPosition));
  }

  get surfaceById(): ReadonlyMap<string, RowOf<'surface'>> {
    return this.#made('surface by id', this.rows.surface, () => byId(this.rows.surface));
  }

  get applications(): readonly RowOf<'application'>[] {
    return this.#made('applications', this.rows.application, () =>
      this.rows.application.toSorted(byPosition),
    );
  }

  get applicationById(): ReadonlyMap<string, RowOf<'application'>> {
    return this.#made('application by id', this.rows.application, () => byId(this.rows.application));
  }

  get plans(): readonly RowOf<'cutPlan'>[] {
    return this.rows.cutPlan;
  }

  get cutRolls(): readonly RowOf<'cutRoll'>[] {
    return this.#made('rolls', this.rows.cutRoll, () => this.rows.cutRoll.toSorted(byPosition));
  }

  get crew(): readonly RowOf<'crewMember'>[] {
    return this.#made('crew', this.rows.crewMember, () => this.rows.crewMember.toSorted(byPosition));
  }

  get filmById(): ReadonlyMap<string, FilmOfShop> {
    return this.#made('film by id', this.shop.films, () => byId(this.shop.films));
  }

  get personById(): ReadonlyMap<string, PersonOfShop> {
    return this.#made('person by id', this.shop.people, () => byId(this.shop.people));
  }

  /** Ids of applications that lie on a plan that stands. */
  get laidIds(): ReadonlySet<string> {
    return this.kept.of('laid', [this.rows.cutPlan, this.rows.cutPiece], () => {
      const standing = new Set(this.plans.map(({ id }) => id));
      return new Set(
        this.rows.cutPiece.flatMap(({ planId, applicationId }) =>
          standing.has(planId) ? [applicationId] : [],
        ),
      );
    });
  }

  /** The value of a rate as people have set it, else the default. */
  learned(key: LearnedKey): number {
    return learnedOf(key, this.shop.learned).value;
  }

  /** What was measured; what was only said on the phone is not among it, so that nothing is cut by it. */
  measuresOf(surfaceId: string): readonly RowOf<'measure'>[] {
    return (
      this.#made('measures', this.rows.measure, () =>
        bySurface(this.rows.measure.filter(({ instrument }) => instrument !== SAID_ABOUT)),
      ).get(surfaceId) ?? NONE
    );
  }

  /** What was only said of its size. */
  aboutOf(surfaceId: string): readonly RowOf<'measure'>[] {
    return (
      this.#made('about', this.rows.measure, () =>
        bySurface(this.rows.measure.filter(({ instrument }) => instrument === SAID_ABOUT)),
      ).get(surfaceId) ?? NONE
    );
  }

  partsOf(surfaceId: string): readonly RowOf<'part'>[] {
    return (
      this.#made('parts', this.rows.part, () => bySurface(this.rows.part.toSorted(byPosition))).get(
        surfaceId,
      ) ?? NONE
    );
  }

  photosOf(surfaceId: string): readonly RowOf<'photo'>[] {
    return (
      this.#made('photos', this.rows.photo, () => bySurface(this.rows.photo.toSorted(byPosition))).get(
        surfaceId,
      ) ?? NONE
    );
  }

  siteFactsOf(surfaceId: string): RowOf<'siteFacts'> | undefined {
    return this.#made('site', this.rows.siteFacts, () => oneOf(this.rows.siteFacts, 'surfaceId')).get(
      surfaceId,
    );
  }

  wallFactsOf(surfaceId: string): RowOf<'wallFacts'> | undefined {
    return this.#made('wall', this.rows.wallFacts, () => oneOf(this.rows.wallFacts, 'surfaceId')).get(
      surfaceId,
    );
  }

  briefOf(placeId: string): RowOf<'filmBrief'> | undefined {
    return this.#made('briefs', this.rows.filmBrief, () => oneOf(this.rows.filmBrief, 'placeId')).get(
      placeId,
    );
  }

  /** The surface this one is the same as, itself among the repeats; alone when it repeats nothing. */
  repeatsOf(surfaceId: string): readonly RowOf<'surface'>[] {
    const surface = this.surfaceById.get(surfaceId);
    if (surface === undefined) return NONE;
    const lead = this.surfaceById.get(surface.sameAsId ?? '') ?? surface;
    const repeats = this.#made('repeats', this.rows.surface, () =>
      grouped(
        this.surfaces.filter(({ sameAsId }) => sameAsId !== null),
        ({ sameAsId }) => sameAsId ?? '',
      ),
    );
    return [lead, ...(repeats.get(lead.id) ?? NONE)];
  }

  applicationsOf(surfaceId: string): readonly RowOf<'application'>[] {
    return (
      this.#made('applied', this.rows.application, () => bySurface(this.applications)).get(surfaceId) ?? NONE
    );
  }

  seamChoiceOf(applicationId: string): RowOf<'seamChoice'> | undefined {
    return this.#made('seams', this.rows.seamChoice, () => oneOf(this.rows.seamChoice, 'applicationId')).get(
      applicationId,
    );
  }

  allowanceOf(method: string): RowOf<'jobAllowance'> | undefined {
    return this.#made('allowances', this.rows.jobAllowance, () =>
      oneOf(this.rows.jobAllowance, 'method'),
    ).get(method);
  }

  rollsOf(planId: string): readonly RowOf<'cutRoll'>[] {
    return this.cutRolls.filter((roll) => roll.planId === planId);
  }

  piecesOf(planId: string): readonly RowOf<'cutPiece'>[] {
    return (
      this.#made('pieces', this.rows.cutPiece, () =>
        grouped(this.rows.cutPiece.toSorted(byPosition), (piece) => piece.planId),
      ).get(planId) ?? NONE
    );
  }

  /** The pieces of an application on plans that stand, in hanging order, spoiled ones left out. */
  piecesFor(applicationId: string): readonly RowOf<'cutPiece'>[] {
    const found = this.kept.of('pieces by application', [this.rows.cutPlan, this.rows.cutPiece], () => {
      const standing = new Set(this.plans.map(({ id }) => id));
      return grouped(
        this.rows.cutPiece
          .filter(({ planId, spoiledAt }) => spoiledAt === null && standing.has(planId))
          .sort((a, b) => a.drop - b.drop || byPosition(a, b)),
        (piece) => piece.applicationId,
      );
    });
    return found.get(applicationId) ?? NONE;
  }

  workOf(applicationId: string): readonly RowOf<'workRecord'>[] {
    return (
      this.#made('work', this.rows.workRecord, () =>
        grouped(this.rows.workRecord, (record) => record.applicationId),
      ).get(applicationId) ?? NONE
    );
  }

  /** Waits a person has ended on it. */
  waitEndsOf(applicationId: string): readonly RowOf<'waitEnd'>[] {
    return (
      this.#made('wait ends', this.rows.waitEnd, () =>
        grouped(this.rows.waitEnd, (end) => end.applicationId),
      ).get(applicationId) ?? NONE
    );
  }

  /** What was looked at before the work on it. */
  gateTicksOf(applicationId: string): readonly RowOf<'gateTick'>[] {
    return (
      this.#made('gate ticks', this.rows.gateTick, () =>
        grouped(this.rows.gateTick, (tick) => tick.applicationId),
      ).get(applicationId) ?? NONE
    );
  }

  marksOf(surfaceId: string): readonly RowOf<'mark'>[] {
    return this.#made('marks', this.rows.mark, () => bySurface(this.rows.mark)).get(surfaceId) ?? NONE;
  }

  readingsOf(surfaceId: string): readonly RowOf<'reading'>[] {
    return (
      this.#made('readings', this.rows.reading, () => bySurface(this.rows.reading)).get(surfaceId) ?? NONE
    );
  }

  get ruleSets(): readonly RowOf<'ruleSet'>[] {
    return this.rows.ruleSet;
  }

  get visits(): readonly RowOf<'visit'>[] {
    return this.rows.visit;
  }

  /** Rounds of a surface, the last one last. */
  inspectionsOf(surfaceId: string): readonly RowOf<'inspection'>[] {
    return (
      this.#made('inspections', this.rows.inspection, () =>
        bySurface(this.rows.inspection.toSorted((a, b) => (a.begun.at < b.begun.at ? -1 : 1))),
      ).get(surfaceId) ?? NONE
    );
  }

  ticksOf(inspectionId: string): readonly RowOf<'lookTick'>[] {
    return (
      this.#made('look ticks', this.rows.lookTick, () =>
        grouped(this.rows.lookTick, (tick) => tick.inspectionId),
      ).get(inspectionId) ?? NONE
    );
  }

  /** What was decided about a mark, the last decision last. */
  decisionsOf(markId: string): readonly RowOf<'markDecision'>[] {
    return (
      this.#made('decisions', this.rows.markDecision, () =>
        grouped(
          this.rows.markDecision.toSorted((a, b) => (a.said.at < b.said.at ? -1 : 1)),
          (decision) => decision.markId,
        ),
      ).get(markId) ?? NONE
    );
  }

  isHandedOver(applicationId: string): boolean {
    return this.workOf(applicationId).some(({ step, doneAt }) => doneAt !== null && isHandover(step));
  }

  #made<Value>(name: string, table: unknown, make: () => Value): Value {
    return this.kept.of(name, [table], make);
  }
}

function byPosition(
  a: { readonly position: number; readonly id: string },
  b: { readonly position: number; readonly id: string },
): number {
  return a.position - b.position || (a.id < b.id ? -1 : 1);
}

function byId<Row extends { readonly id: string }>(rows: readonly Row[]): ReadonlyMap<string, Row> {
  return new Map(rows.map((row) => [row.id, row]));
}

function oneOf<Row, Key extends keyof Row>(rows: readonly Row[], key: Key): ReadonlyMap<Row[Key], Row> {
  return new Map(rows.map((row) => [row[key], row]));
}

function bySurface<Row extends { readonly surfaceId: string }>(
  rows: readonly Row[],
): ReadonlyMap<string, readonly Row[]> {
  return grouped(rows, ({ surfaceId }) => surfaceId);
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
