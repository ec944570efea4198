import { Injectable, computed, inject, linkedSignal, signal } from '@angular/core';
import type { StockItem } from '@yellow-pane/contracts';
import {
  ANY_STAGES,
  MONEY_FORMULAS,
  type CutBlank,
  type CutBlanks,
  type CutOrder,
  type CutOrderPlan,
  type OrderPiece,
  type PinnedPiece,
  type Stages,
  type StockFilm,
  layoutPieceOf,
  meetsOf,
} from '@yellow-pane/core/cutting';
import type { Liner, RowOf } from '@yellow-pane/core/job';
import { mmFromNm, nmFromMm } from '@yellow-pane/core/quantity';
import { Catalogue } from '../../catalogue/catalogue';
import { Rates } from '../../catalogue/rates';
import { Device } from '../../device/device';
import { newId } from '../../device/session';
import { CutReading } from '../../job/cut-reading';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { StockHere } from '../../job/stock-here';
import { Selection } from '../../shell/selection';
import { LayoutPool } from '../../workers/layout-pool';
import { BlankOutlines } from './blank-outlines';
import { lengthOfPlan, money, pieceWord, refusalWord, shortWord, toCent } from './cut-words';
import { rowsOfUses } from './plan-rows';

export type CutView = 'layout' | 'blanks' | 'table' | 'stock';

export const STAGES: readonly Stages[] = [2, 3, ANY_STAGES];

/** One blank of the chosen film, as the order and the screens want it. */
export interface BlankHere {
  /** Application and drop. */
  readonly key: string;
  readonly application: RowOf<'application'>;
  readonly surface: RowOf<'surface'> | undefined;
  readonly blanks: CutBlanks;
  readonly blank: CutBlank;
  readonly word: string;
}

const OPS_PER_CHANGE = 1500;
/** How long better layouts are looked for: longer where there is more to win. */
const SEARCH_MS = { few: 1500, many: 4000 } as const;
const MANY_PIECES = 60;
const PLOTTER_GAP_NM = 3_000_000;
const keyOf = (applicationId: string, drop: number): string => `${applicationId} ${drop}`;
const orderId = (width_nm: number): string => `order ${width_nm}`;
const stockIdOf = ({ stockId, width_nm }: RowOf<'cutRoll'>): string => stockId ?? orderId(width_nm);

/**
 * What happens at the Cut stop: the film in hand, its blanks, the order made of them, and what is done to the
 * plan.
 */
@Injectable({ providedIn: 'root' })
export class Cutting {
  readonly #desk = inject(JobDesk);
  readonly #pool = inject(LayoutPool);
  readonly #cut = inject(CutReading);
  readonly #reading = inject(JobReading);
  readonly #selection = inject(Selection);
  readonly #catalogue = inject(Catalogue);
  readonly #stock = inject(StockHere);
  readonly #rates = inject(Rates);
  readonly #outlines = inject(BlankOutlines);
  readonly #units = inject(Device).units;
  #stop: AbortController | undefined;
  #isStopWanted = false;

  readonly view = signal<CutView>('layout');
  readonly isSettingOpen = signal(false);
  readonly progress = signal<number | undefined>(undefined);
  readonly fault = signal<string | undefined>(undefined);
  /** The best layout found so far, while the search goes on. */
  readonly soFar = signal<CutOrderPlan | undefined>(undefined);
  readonly pickedId = signal<string | undefined>(undefined);

  readonly films = computed(() =>
    [...new Set(this.#reading.applications().map(({ filmId }) => filmId))].map((id) => ({
      id,
      name: this.#catalogue.byId().get(id)?.name ?? 'film not in the catalogue',
    })),
  );
  readonly applicationHere = computed(
    () => this.#reading.applicationsOf(this.#selection.surface()?.id ?? '')[0],
  );
  /** The film of the selected surface, unless another was picked since. */
  readonly filmId = linkedSignal<string | undefined>(
    () => this.applicationHere()?.filmId ?? this.films()[0]?.id,
  );
  readonly film = computed(() => this.#catalogue.byId().get(this.filmId() ?? ''));
  readonly applications = computed(() =>
    this.#reading.applications().filter(({ filmId }) => filmId === this.filmId()),
  );
  readonly #today = computed(() =>
    this.applications().map((application) => ({
      application,
      surface: this.#reading.surfaceById().get(application.surfaceId),
      today: this.#cut.blankOf(application),
    })),
  );
  readonly blanks = computed((): readonly BlankHere[] =>
    this.#today().flatMap(({ application, surface, today }) =>
      today.kind === 'none'
        ? []
        : today.blanks.blanks.map((blank) => ({
            key: keyOf(application.id, blank.drop),
            application,
            surface,
            blanks: today.blanks,
            blank,
            word: pieceWord({ tag: surface?.tag ?? '?', drop: blank.drop, dropOf: blank.of }),
          })),
    ),
  );
  readonly #blankByKey = computed(() => new Map(this.blanks().map((blank) => [blank.key, blank])));
  readonly missing = computed(() =>
    this.#today().flatMap(({ surface, today }) =>
      today.kind === 'none' ? [`${surface?.tag ?? '?'}: ${today.reason}`] : [],
    ),
  );
  readonly plan = computed(() => this.#reading.plans().find(({ filmId }) => filmId === this.filmId()));
  readonly rolls = computed(() => this.#reading.rollsOf(this.plan()?.id ?? ''));
  readonly pieces = computed(() => this.#reading.piecesOf(this.plan()?.id ?? ''));
  readonly stale = computed(() => [
    ...new Set(
      this.pieces()
        .filter(({ applicationId }) => this.#cut.isStale(applicationId))
        .map(({ tag }) => tag),
    ),
  ]);
  /** Stale although cut already: the film in the hand no longer fits what is measured. */
  readonly cutStale = computed(() => [
    ...new Set(
      this.pieces()
        .filter(
          ({ applicationId, cutAt, spoiledAt }) =>
            cutAt !== null && spoiledAt === null && this.#cut.isStale(applicationId),
        )
        .map(({ tag }) => tag),
    ),
  ]);
  /** Blanks that have no piece, or only a spoiled one. */
  readonly notLaid = computed(() => {
    const laid = new Set(
      this.pieces()
        .filter(({ spoiledAt }) => spoiledAt === null)
        .map(({ applicationId, drop }) => keyOf(applicationId, drop)),
    );
    return this.blanks().filter(({ key }) => !laid.has(key));
  });
  readonly isSaved = computed(
    () =>
      this.#desk.state().server.cutPlan.entities[this.plan()?.id ?? ''] !== undefined &&
      this.#desk.unsaved() === 0,
  );

  /** Settings of the next layout: those of the plan there is, else customary. */
  readonly mode = linkedSignal<CutOrder['mode']>(() => this.plan()?.mode ?? 'by hand');
  readonly stages = linkedSignal<Stages>(() => STAGES.find((own) => own === this.plan()?.stages) ?? 3);
  readonly objective = linkedSignal<CutOrder['objective']>(() => this.plan()?.objective ?? 'money');
  readonly liner = linkedSignal<Liner>(() => this.plan()?.liner ?? 'up');
  readonly gap_nm = linkedSignal(() => this.plan()?.gap_nm ?? 0);
  readonly endWaste_nm = linkedSignal(() => this.plan()?.endWaste_nm ?? 0);
  readonly mostSheet_nm = linkedSignal<number | null>(() => this.plan()?.mostSheet_nm ?? null);
  readonly edgeMust = linkedSignal(() => this.plan()?.edgeMust ?? false);
  /** Rolls and offcuts left out, and widths to order left out. */
  readonly leftOut = signal<ReadonlySet<string>>(new Set());

  readonly items = computed((): readonly StockItem[] =>
    this.#stock.usable().filter(({ filmId }) => filmId === this.filmId()),
  );
  readonly stocks = computed((): readonly StockFilm[] => {
    const out = this.leftOut();
    const own = this.items()
      .filter(({ id }) => !out.has(id))
      .map((item): StockFilm => {
        const perMetre = item.perMetre ?? this.rate('cut-film') * (mmFromNm(item.width_nm) / 1000);
        const isOffcut = item.what === 'offcut';
        const edges = item.leftEdge ? (item.rightEdge ? 'both' : 'left') : item.rightEdge ? 'right' : 'none';
        return {
          id: item.id,
          what: item.what,
          width_mm: mmFromNm(item.width_nm),
          length_mm: mmFromNm(item.left_nm),
          perMetre: isOffcut ? 0 : perMetre * this.rate('cut-stock-share'),
          whole: isOffcut ? (perMetre * mmFromNm(item.left_nm)) / 1000 : 0,
          lot: item.lot,
          edges,
        };
      });
    const square = this.pricePerSquare();
    const toOrder = (this.film()?.widths_nm ?? [])
      .filter((width) => !out.has(orderId(width)))
      .map((width): StockFilm => ({
        id: orderId(width),
        what: 'to order',
        width_mm: mmFromNm(width),
        length_mm: this.rate('cut-roll-length'),
        perMetre: square * (mmFromNm(width) / 1000),
        whole: 0,
        lot: 'to be ordered',
        edges: 'both',
      }));
    return [...own, ...toOrder];
  });
  /** Price of a square metre: of this film's own rolls, else the rate. */
  readonly pricePerSquare = computed(() => {
    const known = this.items().flatMap(({ what, perMetre, width_nm }) =>
      what === 'roll' && perMetre !== null ? [perMetre / (mmFromNm(width_nm) / 1000)] : [],
    );
    return known.length === 0
      ? this.rate('cut-film')
      : known.reduce((sum, value) => sum + value, 0) / known.length;
  });
  readonly isPriceGuessed = computed(
    () => !this.items().some(({ what, perMetre }) => what === 'roll' && perMetre !== null),
  );

  /**
   * What so much of a roll's film is worth, as the layout reckons it; 0 where the roll is no longer to be
   * had.
   */
  filmOf(roll: RowOf<'cutRoll'>, used_nm: number): number {
    const stock = this.stocks().find(({ id }) => id === stockIdOf(roll));
    return stock === undefined
      ? 0
      : MONEY_FORMULAS.use.of({ used_mm: mmFromNm(used_nm), perMetre: stock.perMetre, whole: stock.whole });
  }

  /** Whether the way of fitting cares for a factory edge. */
  wantsEdge(applicationId: string): boolean {
    return this.blanks().some(
      ({ application, blanks }) => application.id === applicationId && blanks.whole.factoryEdge !== 'none',
    );
  }

  rate(key: string): number {
    return this.#rates.valueOf(key);
  }

  /** Cut into already: it and everything on it stays as it is. */
  isBegun({ id, bookedAt, ticks }: RowOf<'cutRoll'>): boolean {
    return (
      bookedAt !== null ||
      ticks.length > 0 ||
      this.pieces().some(({ rollId, cutAt }) => rollId === id && cutAt !== null)
    );
  }

  /** A plotter's blade wants some film between the pieces, or it cuts their common edge twice. */
  chooseMode(mode: CutOrder['mode']): void {
    this.mode.set(mode);
    if (mode === 'by plotter' && this.gap_nm() === 0) this.gap_nm.set(PLOTTER_GAP_NM);
    else if (mode === 'by hand' && this.gap_nm() === PLOTTER_GAP_NM) this.gap_nm.set(0);
  }

  /** What is to be laid: every blank without a piece that is cut; pinned pieces stay. */
  order(extra: readonly OrderPiece[] = []): {
    readonly order: CutOrder;
    readonly pinned: readonly RowOf<'cutPiece'>[];
  } {
    const booked = new Set(
      this.rolls()
        .filter((roll) => this.isBegun(roll))
        .map(({ id }) => id),
    );
    const done = new Set(
      this.pieces()
        .filter(
          ({ rollId, cutAt, spoiledAt }) => spoiledAt === null && (cutAt !== null || booked.has(rollId)),
        )
        .map(({ applicationId, drop }) => keyOf(applicationId, drop)),
    );
    const open = this.blanks().filter(({ key }) => !done.has(key));
    const byKey = new Map(open.map((blank) => [blank.key, blank]));
    const pinned = this.pieces().filter(
      ({ pinned: isPinned, rollId, applicationId, drop, spoiledAt }) =>
        isPinned &&
        spoiledAt === null &&
        !booked.has(rollId) &&
        byKey.has(keyOf(applicationId, drop)) &&
        !this.#cut.isStale(applicationId),
    );
    const openRolls = this.rolls().filter(({ id }) => !booked.has(id));
    const pins = pinned.flatMap((piece): PinnedPiece[] => {
      const roll = openRolls.find(({ id }) => id === piece.rollId);
      const stockId = roll === undefined ? undefined : stockIdOf(roll);
      if (stockId === undefined || !this.stocks().some(({ id }) => id === stockId)) return [];
      const copy = openRolls
        .filter((own) => stockIdOf(own) === stockId)
        .findIndex(({ id }) => id === piece.rollId);
      return [
        {
          id: keyOf(piece.applicationId, piece.drop),
          stockId,
          copy,
          x_mm: mmFromNm(piece.x_nm),
          y_mm: mmFromNm(piece.y_nm),
          turned: piece.turned,
          flipped: piece.flipped,
        },
      ];
    });
    const pieces = open.map((own): OrderPiece => {
      const { key, blanks, blank, surface } = own;
      const outline = this.mode() === 'by plotter' ? this.#outlines.flatOf(own, this.liner()) : undefined;
      return {
        ...layoutPieceOf(blanks, blank, key, this.edgeMust()),
        ...(outline === undefined ? {} : { outline, mayFlip: blanks.whole.mayTurn180 }),
        ...this.#meetsOf(own),
        group: blank.of > 1 ? (key.split(' ')[0] ?? '') : surface?.kind === 'pane' ? surface.placeId : '',
      };
    });
    return {
      pinned,
      order: {
        stocks: this.stocks(),
        pieces: [...pieces, ...extra],
        pinned: pins,
        mode: this.mode(),
        stages: this.stages(),
        gap_mm: mmFromNm(this.gap_nm()),
        endWaste_mm: this.#endWaste(),
        mostSheet_mm:
          this.mostSheet_nm() === null ? Number.POSITIVE_INFINITY : mmFromNm(this.mostSheet_nm() ?? 0),
        objective: this.objective(),
        rates: {
          perCrossCut: this.rate('cut-cross'),
          perSlit: this.rate('cut-slit'),
          perPiece: this.rate('cut-piece'),
          keepWidth_mm: this.rate('cut-keep-width'),
          keepLength_mm: this.rate('cut-keep-length'),
          keepShare: this.rate('cut-keep-share'),
          perSplitGroup: this.rate('cut-split'),
        },
      },
    };
  }

  #meetsOf({ key, blank }: BlankHere): Pick<OrderPiece, 'meets'> {
    const repeat_nm = this.film()?.repeat_nm ?? null;
    const meets = meetsOf(blank, key.split(' ')[0] ?? '', repeat_nm === null ? null : mmFromNm(repeat_nm));
    return meets === undefined ? {} : { meets };
  }

  /** With a pattern the end cut off is whole repeats, so that every drop keeps its phase. */
  #endWaste(): number {
    const waste = mmFromNm(this.endWaste_nm());
    const repeat_nm = this.blanks().some(
      ({ blanks, blank }) =>
        blank.along_mm !== blank.height_mm && blanks.whole.lies === 'top across the roll',
    )
      ? (this.film()?.repeat_nm ?? null)
      : null;
    return repeat_nm === null || repeat_nm === 0
      ? waste
      : Math.ceil(waste / mmFromNm(repeat_nm) - 1e-9) * mmFromNm(repeat_nm);
  }

  async layOut(): Promise<void> {
    const film = this.film();
    if (film === undefined || this.progress() !== undefined) return;
    this.view.set('layout');
    this.fault.set(undefined);
    this.progress.set(0);
    this.#isStopWanted = false;
    this.#stop = new AbortController();
    /** Somebody may have cut from a roll, or made an offcut, since it was last asked for. */
    await this.#stock.load();
    const { order } = this.order();
    const begun = this.#begunWord();
    try {
      const milliseconds = order.pieces.length > MANY_PIECES ? SEARCH_MS.many : SEARCH_MS.few;
      const plan = await this.#pool.plan(order, {
        milliseconds,
        signal: this.#stop.signal,
        onProgress: (share) => {
          this.progress.set(share);
        },
        onBetter: (better) => {
          this.soFar.set(better);
          if (this.#isStopWanted) this.stop();
        },
      });
      await this.#keepUnlessBegun(plan, order, film.name, begun);
    } catch (error) {
      const found = this.soFar();
      if (!this.#stop.signal.aborted)
        this.fault.set(refusalWord(error, (key) => this.#blankByKey().get(key)?.word));
      else if (found !== undefined) await this.#keepUnlessBegun(found, order, film.name, begun);
    } finally {
      this.progress.set(undefined);
      this.soFar.set(undefined);
    }
  }

  /** Ends the search as soon as there is a layout; the best found so far is kept. */
  stop(): void {
    this.#isStopWanted = true;
    if (this.soFar() !== undefined) this.#stop?.abort(new Error('stopped'));
  }

  /** Rolls that are cut into, as one word to compare. */
  #begunWord(): string {
    return this.rolls()
      .filter((roll) => this.isBegun(roll))
      .map(({ id }) => id)
      .sort()
      .join();
  }

  /** What was begun while it was looked for stays as it lies; laid out again it would be cut twice. */
  async #keepUnlessBegun(
    found: CutOrderPlan,
    order: CutOrder,
    filmName: string,
    begun: string,
  ): Promise<void> {
    if (this.#begunWord() === begun) await this.#keep(found, order, filmName);
    else
      this.fault.set(
        'A roll was cut into while it was laid out. What lies on it stays; lay out again for the rest.',
      );
  }

  async #keep(found: CutOrderPlan, order: CutOrder, filmName: string): Promise<void> {
    const old = this.plan();
    const planId = old?.id ?? newId();
    const keptRolls = this.rolls().filter((roll) => this.isBegun(roll));
    const keptIds = new Set(keptRolls.map(({ id }) => id));
    const bound = await this.#lengthBound(found, order, keptRolls.length > 0);
    const fields = {
      mode: order.mode,
      stages: order.stages,
      gap_nm: nmFromMm(order.gap_mm),
      endWaste_nm: this.endWaste_nm(),
      mostSheet_nm: this.mostSheet_nm(),
      objective: order.objective,
      liner: this.liner(),
      edgeMust: this.edgeMust(),
      lengthUsed_nm: lengthOfPlan(found) + keptRolls.reduce((sum, { used_nm }) => sum + used_nm, 0),
      bound_nm: bound,
      filmCost: toCent(found.film.value),
      cost: toCent(found.cost.value),
      filmBound: toCent(found.filmBound.value),
      stopped: found.stopped,
    };
    const removed = [
      ...this.pieces()
        .filter(({ rollId }) => !keptIds.has(rollId))
        .map(({ id }) => this.#desk.remove('cutPiece', id)),
      ...this.rolls()
        .filter(({ id }) => !keptIds.has(id))
        .map(({ id }) => this.#desk.remove('cutRoll', id)),
    ];
    const first = keptRolls.reduce(
      (most, roll) =>
        Math.max(
          most,
          ...this.pieces()
            .filter(({ rollId }) => rollId === roll.id)
            .map((piece) => piece.position + 1),
        ),
      0,
    );
    const rows = rowsOfUses(found, order, {
      planId,
      firstPiece: first,
      firstRoll: keptRolls.length,
      itemOf: (id) => this.items().find((item) => item.id === id),
      blankOf: (key) => this.#blankByKey().get(key),
      outlineOf: (blank, turned, flipped) =>
        this.#outlines.onRoll(blank, order.mode, this.liner(), turned, flipped),
      newId,
    });
    const made = rows.flatMap(({ rollId, roll, pieces }) => [
      this.#desk.put('cutRoll', roll, rollId),
      ...pieces.map((piece) => this.#desk.put('cutPiece', piece)),
    ]);
    const ops = [
      ...removed,
      old === undefined
        ? this.#desk.put('cutPlan', { filmId: this.filmId() ?? '', ...fields }, planId)
        : this.#desk.set('cutPlan', planId, fields),
      ...made,
    ];
    for (let start = 0; start < ops.length; start += OPS_PER_CHANGE)
      this.#desk.do(`${filmName} laid out`, ops.slice(start, start + OPS_PER_CHANGE));
    if (found.notLaid.length > 0)
      this.fault.set(shortWord(found.notLaid, this.stocks(), (key) => this.#blankByKey().get(key)));
  }

  /**
   * A length bound is only true where everything lies on one roll that could not be another, and no outline
   * can lie in another.
   */
  async #lengthBound(found: CutOrderPlan, order: CutOrder, hasKept: boolean): Promise<number> {
    const [use] = found.uses;
    const stock = order.stocks.find(({ id }) => id === use?.stockId);
    if (
      hasKept ||
      found.uses.length !== 1 ||
      stock === undefined ||
      order.pinned.length > 0 ||
      found.notLaid.length > 0 ||
      (order.mode === 'by plotter' && order.pieces.some(({ outline }) => outline !== undefined))
    )
      return 0;
    const least_mm = await this.#pool.bound(
      {
        rollWidth_mm: stock.width_mm + order.gap_mm,
        pieces: order.pieces.map((piece) => ({
          ...piece,
          across_mm: piece.across_mm + order.gap_mm,
          along_mm: piece.along_mm + order.gap_mm,
        })),
      },
      {},
    );
    return Math.floor(nmFromMm(least_mm - order.gap_mm + order.endWaste_mm));
  }

  /** The money of the plan that stands, in one line. */
  readonly costWord = computed(() => {
    const plan = this.plan();
    return plan === undefined
      ? ''
      : `Film ${money(plan.filmCost)}, with cutting and offcuts ${money(plan.cost)}`;
  });
  readonly units = this.#units;
}
