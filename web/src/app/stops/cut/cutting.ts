import { Injectable, computed, inject, linkedSignal, signal } from '@angular/core';
import type { Op, StockItem } from '@yellow-pane/contracts';
import { mmFromNm } from '@yellow-pane/core/quantity';
import type { CutOrder, CutOrderPlan, OrderPiece, Stages, StockFilm } from '@yellow-pane/core/cutting';
import type { Liner, RowOf } from '@yellow-pane/core/job';
import {
  type CutSettings,
  type FilmBlank,
  begunIds,
  blanksOfFilm,
  cutSettingsOf,
  cuttingRates,
  filmOrder,
  filmWorth,
  isBegun,
  isStale,
  lengthBoundOf,
  lengthBoundRequest,
  notLaid,
  planFigures,
  planOfFilm,
  planRows,
  pricePerSquare,
  stockFilms,
  stockOfFilm,
} from '@yellow-pane/core/reading';
import { Catalogue } from '../../catalogue/catalogue';
import { Device } from '../../device/device';
import { newId } from '../../device/session';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { StockHere } from '../../job/stock-here';
import { Selection } from '../../shell/selection';
import { cutWords } from '../../words/cut';
import { LayoutPool } from '../../workers/layout-pool';
import { Search } from '../../workers/search';
import { money, pieceWord, refusalWord, shortWord } from './cut-words';

export type CutView = 'layout' | 'blanks' | 'table' | 'stock';

/** One blank of the chosen film with what is written on it. */
export interface BlankHere extends FilmBlank {
  readonly word: string;
}

const OPS_PER_CHANGE = 1500;
/** How long better layouts are looked for: longer where there is more to win. */
const SEARCH_MS = { few: 1500, many: 4000 } as const;
const MANY_PIECES = 60;
const PLOTTER_GAP_NM = 3_000_000;

/**
 * What happens at the Cut stop: the film in hand, its blanks, the order made of them, and what is done to the
 * plan.
 */
@Injectable({ providedIn: 'root' })
export class Cutting {
  readonly #desk = inject(JobDesk);
  readonly #units = inject(Device).units;
  readonly #pool = inject(LayoutPool);
  readonly #reading = inject(JobReading);
  readonly #selection = inject(Selection);
  readonly #catalogue = inject(Catalogue);
  readonly #stock = inject(StockHere);
  readonly #search = new Search<CutOrderPlan>();

  readonly units = inject(Device).units;
  readonly view = signal<CutView>('layout');
  readonly isSettingOpen = signal(false);
  readonly progress = this.#search.progress;
  readonly fault = signal<string | undefined>(undefined);
  /** The best layout found so far, while the search goes on. */
  readonly soFar = this.#search.soFar;
  readonly pickedId = signal<string | undefined>(undefined);

  readonly films = computed(() =>
    [...new Set(this.#reading.applications().map(({ filmId }) => filmId))].map((id) => ({
      id,
      name: this.#catalogue.byId().get(id)?.name ?? cutWords.filmUnknown,
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
  readonly #today = computed(() => blanksOfFilm(this.#reading.view(), this.filmId() ?? ''));
  readonly blanks = computed((): readonly BlankHere[] =>
    this.#today().blanks.map((own) => ({
      ...own,
      word: pieceWord({ tag: own.surface?.tag ?? '?', drop: own.blank.drop, dropOf: own.blank.of }),
    })),
  );
  readonly #blankByKey = computed(() => new Map(this.blanks().map((blank) => [blank.key, blank])));
  readonly missing = computed(() => this.#today().missing.map(({ tag, reason }) => `${tag}: ${reason}`));
  readonly plan = computed(() => planOfFilm(this.#reading.view(), this.filmId() ?? ''));
  readonly rolls = computed(() => this.#reading.rollsOf(this.plan()?.id ?? ''));
  readonly pieces = computed(() => this.#reading.piecesOf(this.plan()?.id ?? ''));
  readonly #stalePieces = computed(() =>
    this.pieces().filter(({ applicationId }) => isStale(this.#reading.view(), applicationId)),
  );
  readonly stale = computed(() => [...new Set(this.#stalePieces().map(({ tag }) => tag))]);
  /** Stale although cut already: the film in the hand no longer fits what is measured. */
  readonly cutStale = computed(() => [
    ...new Set(
      this.#stalePieces()
        .filter(({ cutAt, spoiledAt }) => cutAt !== null && spoiledAt === null)
        .map(({ tag }) => tag),
    ),
  ]);
  /** Blanks that have no piece, or only a spoiled one. */
  readonly notLaid = computed(() => {
    const open = new Set(notLaid(this.#reading.view(), this.blanks()).map(({ key }) => key));
    return this.blanks().filter(({ key }) => open.has(key));
  });
  readonly isSaved = computed(
    () =>
      this.#desk.state().server.cutPlan.entities[this.plan()?.id ?? ''] !== undefined &&
      this.#desk.unsaved() === 0,
  );

  /** Settings of the next layout: those of the plan there is, else customary. */
  readonly #customary = computed(() => cutSettingsOf(this.plan()));
  readonly mode = linkedSignal<CutOrder['mode']>(() => this.#customary().mode);
  readonly stages = linkedSignal<Stages>(() => this.#customary().stages);
  readonly objective = linkedSignal<CutOrder['objective']>(() => this.#customary().objective);
  readonly liner = linkedSignal<Liner>(() => this.#customary().liner);
  readonly gap_nm = linkedSignal(() => this.#customary().gap_nm);
  readonly endWaste_nm = linkedSignal(() => this.#customary().endWaste_nm);
  readonly mostSheet_nm = linkedSignal<number | null>(() => this.#customary().mostSheet_nm);
  readonly edgeMust = linkedSignal(() => this.#customary().edgeMust);
  /** Rolls and offcuts left out, and widths to order left out. */
  readonly leftOut = signal<ReadonlySet<string>>(new Set());
  readonly settings = computed((): CutSettings => ({
    mode: this.mode(),
    stages: this.stages(),
    objective: this.objective(),
    liner: this.liner(),
    gap_nm: this.gap_nm(),
    endWaste_nm: this.endWaste_nm(),
    mostSheet_nm: this.mostSheet_nm(),
    edgeMust: this.edgeMust(),
    leftOut: this.leftOut(),
  }));

  readonly items = computed((): readonly StockItem[] => {
    const here = new Set(stockOfFilm(this.#stock.items(), this.filmId() ?? '').map(({ id }) => id));
    return this.#stock.items().filter(({ id }) => here.has(id));
  });
  readonly stocks = computed((): readonly StockFilm[] =>
    stockFilms(this.#reading.view(), this.filmId() ?? '', this.items(), this.leftOut()),
  );
  /** Price of a square metre: of this film's own rolls, else the rate. */
  readonly price = computed(() => pricePerSquare(this.#reading.view(), this.items()));

  readonly rates = computed(() => cuttingRates(this.#reading.view()));

  /** What so much of a roll's film is worth, as the layout counts it. */
  filmOf(roll: RowOf<'cutRoll'>, used_nm: number): number {
    return filmWorth(this.stocks(), roll, used_nm);
  }

  /** Whether the way of fitting cares for a factory edge. */
  wantsEdge(applicationId: string): boolean {
    return this.blanks().some(
      ({ application, blanks }) => application.id === applicationId && blanks.whole.factoryEdge !== 'none',
    );
  }

  /** Cut into already: it and everything on it stays as it is. */
  isBegun(roll: RowOf<'cutRoll'>): boolean {
    return isBegun(this.#reading.view(), roll);
  }

  /** A plotter's blade wants some film between the pieces, or it cuts their common edge twice. */
  chooseMode(mode: CutOrder['mode']): void {
    this.mode.set(mode);
    if (mode === 'by plotter' && this.gap_nm() === 0) this.gap_nm.set(PLOTTER_GAP_NM);
    else if (mode === 'by hand' && this.gap_nm() === PLOTTER_GAP_NM) this.gap_nm.set(0);
  }

  /** What is to be laid: every blank without a piece that is cut; pinned pieces stay. */
  order(extra: readonly OrderPiece[] = []): CutOrder {
    return filmOrder(this.#reading.view(), this.filmId() ?? '', this.settings(), this.#stock.items(), extra);
  }

  async layOut(): Promise<void> {
    const film = this.film();
    if (film === undefined || this.progress() !== undefined) return;
    this.view.set('layout');
    this.fault.set(undefined);
    const begun = this.#begunWord();
    let order = this.order();
    try {
      const plan = await this.#search.run(async (options) => {
        /** Somebody may have cut from a roll, or made an offcut, since it was last asked for. */
        await this.#stock.load();
        order = this.order();
        const most_ms = order.pieces.length > MANY_PIECES ? SEARCH_MS.many : SEARCH_MS.few;
        return this.#pool.plan(order, { least_ms: most_ms, most_ms }, options);
      });
      if (plan !== undefined) await this.#keepUnlessBegun(plan, order, film.name, begun);
    } catch (error) {
      this.fault.set(refusalWord(error, (key) => this.#blankByKey().get(key)?.word));
    }
  }

  /** Ends the search as soon as there is a layout; the best found so far is kept. */
  stop(): void {
    this.#search.stop();
  }

  /** Rolls that are cut into, as one word to compare. */
  #begunWord(): string {
    return [...begunIds(this.#reading.view(), this.plan())].sort().join();
  }

  /** What was begun while it was looked for stays as it lies; laid out again it would be cut twice. */
  async #keepUnlessBegun(
    found: CutOrderPlan,
    order: CutOrder,
    filmName: string,
    begun: string,
  ): Promise<void> {
    if (this.#begunWord() === begun) await this.#keep(found, order, filmName);
    else this.fault.set(cutWords.cutWhileLaidOut);
  }

  async #keep(found: CutOrderPlan, order: CutOrder, filmName: string): Promise<void> {
    const short = found.notLaid.length === 0 ? undefined : this.#shortWord(found);
    if (short !== undefined && this.#hasMoreOnFilm(found)) {
      this.fault.set(`${short} ${cutWords.layoutKept}`);
      return;
    }
    const bounded = lengthBoundRequest(found, order, begunIds(this.#reading.view(), this.plan()).size > 0);
    const bound_nm = bounded === null ? 0 : lengthBoundOf(await this.#pool.bound(bounded, {}), order);
    const ops = this.#planOps(found, order, bound_nm);
    for (let start = 0; start < ops.length; start += OPS_PER_CHANGE)
      this.#desk.do(cutWords.filmLaidOut(filmName), ops.slice(start, start + OPS_PER_CHANGE));
    if (short !== undefined) this.fault.set(short);
  }

  #shortWord({ notLaid }: CutOrderPlan): string {
    const { mostSheet_nm } = this.settings();
    const there = {
      stocks: this.stocks(),
      mostSheet_mm: mostSheet_nm === null ? null : mmFromNm(mostSheet_nm),
    };
    return shortWord(notLaid, there, (key) => this.#blankByKey().get(key), this.#units());
  }

  /** Whether the layout there is still holds and leaves fewer blanks without film. */
  #hasMoreOnFilm({ notLaid }: CutOrderPlan): boolean {
    return this.plan() !== undefined && this.stale().length === 0 && this.notLaid().length < notLaid.length;
  }

  /** The rows of a layout in place of the old ones; rolls that are begun stay with all that lies on them. */
  #planOps(found: CutOrderPlan, order: CutOrder, bound_nm: number): readonly Op[] {
    const view = this.#reading.view();
    const old = this.plan();
    const planId = old?.id ?? newId();
    const begun = begunIds(view, old);
    const keptRolls = this.rolls().filter(({ id }) => begun.has(id));
    const keptPieces = this.pieces().filter(({ rollId }) => begun.has(rollId));
    const { mode, stages, objective, liner, gap_nm, endWaste_nm, mostSheet_nm, edgeMust } = this.settings();
    const begun_nm = keptRolls.reduce((sum, { used_nm }) => sum + used_nm, 0);
    const fields = {
      ...{ mode, stages, objective, liner, gap_nm, endWaste_nm, mostSheet_nm, edgeMust },
      ...planFigures(found, begun_nm, bound_nm),
    };
    const rows = planRows(view, found, order, {
      planId,
      liner,
      firstPiece: Math.max(0, ...keptPieces.map(({ position }) => position + 1)),
      firstRoll: keptRolls.length,
      itemOf: (id) => this.items().find((item) => item.id === id),
      blankOf: (key) => this.#blankByKey().get(key),
      newId,
    });
    return [
      ...this.pieces()
        .filter(({ rollId }) => !begun.has(rollId))
        .map(({ id }) => this.#desk.remove('cutPiece', id)),
      ...this.rolls()
        .filter(({ id }) => !begun.has(id))
        .map(({ id }) => this.#desk.remove('cutRoll', id)),
      old === undefined
        ? this.#desk.put('cutPlan', { filmId: this.filmId() ?? '', ...fields }, planId)
        : this.#desk.set('cutPlan', planId, fields),
      ...rows.flatMap(({ rollId, roll, pieces }) => [
        this.#desk.put('cutRoll', roll, rollId),
        ...pieces.map((piece) => this.#desk.put('cutPiece', piece)),
      ]),
    ];
  }

  /** The money of the plan that stands, in one line. */
  readonly costWord = computed(() => {
    const plan = this.plan();
    return plan === undefined ? '' : cutWords.costSaid(money(plan.filmCost), money(plan.cost));
  });
}
