import { Injectable, computed, inject, linkedSignal, signal } from '@angular/core';
import type { StockItem } from '@yellow-pane/contracts';
import type { CutOrder, OrderPiece, StockFilm } from '@yellow-pane/core/cutting';
import type { Stages } from '@yellow-pane/core/packing';
import type { Liner, RowOf } from '@yellow-pane/core/job';
import {
  type CutSettings,
  type FilmBlank,
  blanksOfFilm,
  cutSettingsOf,
  cuttingRates,
  filmOrder,
  filmWorth,
  isBegun,
  isStale,
  notLaid,
  planOfFilm,
  pricePerSquare,
  stockFilms,
  stockOfFilm,
} from '@yellow-pane/core/reading';
import { Catalogue } from '../../catalogue/catalogue';
import { Device } from '../../device/device';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { StockHere } from '../../job/stock-here';
import { Selection } from '../../shell/selection';
import { cutWords } from '../../words/cut';
import { pieceWord } from './cut-words';
import { Layouts } from './layouts';

export type CutView = 'layout' | 'blanks' | 'shrink' | 'table' | 'stock';

/** One blank of the chosen film with what is written on it. */
interface BlankHere extends FilmBlank {
  readonly word: string;
}

const NOTHING: ReadonlySet<string> = new Set();
const PLOTTER_GAP_NM = 3_000_000;

/** Why something cannot be done with a piece. */
export interface Refusal {
  readonly pieceId: string;
  readonly says: string;
}

/**
 * What happens at the Cut stop: the film in hand, its blanks, the order made of them, and what is done to the
 * plan.
 */
@Injectable({ providedIn: 'root' })
export class Cutting {
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #selection = inject(Selection);
  readonly #catalogue = inject(Catalogue);
  readonly #stock = inject(StockHere);
  readonly #layouts = inject(Layouts);

  readonly #device = inject(Device);
  readonly units = this.#device.units;
  readonly view = signal<CutView>('layout');
  readonly isSettingOpen = signal(false);
  readonly progress = this.#layouts.progress;
  /** What is wrong, by film. */
  readonly #faults = signal<ReadonlyMap<string, string | undefined>>(new Map());
  readonly fault = computed(() => this.#faults().get(this.filmId() ?? ''));
  /** Whether the search that goes on is for the film in hand. */
  readonly isLayingOutThis = computed(
    () => this.progress() !== undefined && this.#layouts.filmId() === this.filmId(),
  );
  /** The best layout found so far, while the search for the film in hand goes on. */
  readonly soFar = computed(() => (this.isLayingOutThis() ? this.#layouts.soFar() : undefined));
  readonly pickedId = signal<string | undefined>(undefined);
  readonly #refusal = signal<(Refusal & { readonly pieces: unknown }) | undefined>(undefined);
  /** What could not be done with a piece, until another is picked or any has moved. */
  readonly refusal = computed((): Refusal | undefined => {
    const refusal = this.#refusal();
    return refusal?.pieceId === this.pickedId() && refusal?.pieces === this.pieces() ? refusal : undefined;
  });

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
  readonly #leftOut = signal<ReadonlyMap<string, ReadonlySet<string>>>(new Map());
  readonly leftOut = computed(() => this.leftOutOf(this.filmId() ?? ''));
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
    this.say(undefined, film.id);
    const settings = this.settings();
    this.say(await this.#layouts.layOut({ filmId: film.id, filmName: film.name, settings }), film.id);
  }

  /** Says why a piece stays as it is; nothing: it has done what was asked. */
  refuse(pieceId: string, says: string | undefined): void {
    this.#refusal.set(says === undefined ? undefined : { pieceId, says, pieces: this.pieces() });
  }

  /** Says what is wrong with a film's layout, or that nothing is. */
  say(fault: string | undefined, filmId = this.filmId() ?? ''): void {
    this.#faults.update((faults) => new Map([...faults, [filmId, fault]]));
  }

  leftOutOf(filmId: string): ReadonlySet<string> {
    return this.#leftOut().get(filmId) ?? NOTHING;
  }

  /** Leaves rolls and widths of a film out of its next layouts. */
  leaveOut(keys: ReadonlySet<string>, filmId = this.filmId() ?? ''): void {
    this.#leftOut.update((all) => new Map([...all, [filmId, keys]]));
  }

  /** Ends the search as soon as there is a layout; the best found so far is kept. */
  stop(): void {
    this.#layouts.stop();
  }

  /** The money of the plan that stands, in one line. */
  readonly costWord = computed(() => {
    const plan = this.plan();
    return plan === undefined
      ? ''
      : cutWords.costSaid(this.#device.money(plan.filmCost), this.#device.money(plan.cost));
  });
}
