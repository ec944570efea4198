import { Injectable, inject, signal } from '@angular/core';
import type { Op } from '@yellow-pane/contracts';
import type { CutOrder, CutOrderPlan } from '@yellow-pane/core/cutting';
import { mmFromNm } from '@yellow-pane/core/quantity';
import {
  type CutSettings,
  type FilmBlank,
  begunIds,
  blanksOfFilm,
  filmOrder,
  isStale,
  lengthBoundOf,
  lengthBoundRequest,
  notLaid,
  planFigures,
  planOfFilm,
  planRows,
  stockFilms,
  stockOfFilm,
} from '@yellow-pane/core/reading';
import { Device } from '../../device/device';
import { newId } from '../../device/session';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { StockHere } from '../../job/stock-here';
import { cutWords } from '../../words/cut';
import { LayoutPool } from '../../workers/layout-pool';
import { Search } from '../../workers/search';
import { pieceWord, refusalWord, shortWord } from './cut-words';

const OPS_PER_CHANGE = 1500;
/** How long better layouts are looked for: longer where there is more to win. */
const SEARCH_MS = { few: 1500, many: 4000 } as const;
const MANY_PIECES = 60;

/** What a layout is looked for: held fast, for the film in hand may become another meanwhile. */
interface Asked {
  readonly filmId: string;
  readonly filmName: string;
  readonly settings: CutSettings;
  /** Places that pieces are held at, instead of those a person pinned here. */
  readonly pins?: (order: CutOrder) => CutOrder['pinned'];
}

/** Looks for the layout of a film and keeps it, whatever is looked at meanwhile. */
@Injectable({ providedIn: 'root' })
export class Layouts {
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly #pool = inject(LayoutPool);
  readonly #stock = inject(StockHere);
  readonly #search = new Search<CutOrderPlan>();

  readonly progress = this.#search.progress;
  readonly soFar = this.#search.soFar;
  /** The film that is being laid out, or was last. */
  readonly filmId = signal<string | undefined>(undefined);

  /** @returns what is wrong with it, or stands in its way */
  async layOut(asked: Asked): Promise<string | undefined> {
    this.filmId.set(asked.filmId);
    const begun = this.#begunWord(asked.filmId);
    let order = this.#order(asked);
    try {
      const plan = await this.#search.run(async (options) => {
        /** Somebody may have cut from a roll, or made an offcut, since it was last asked for. */
        await this.#stock.load();
        order = this.#order(asked);
        const most_ms = order.pieces.length > MANY_PIECES ? SEARCH_MS.many : SEARCH_MS.few;
        return this.#pool.plan(order, { least_ms: most_ms, most_ms }, options);
      });
      if (plan === undefined) return undefined;
      /** What was begun while it was looked for stays as it lies; laid out again it would be cut twice. */
      return this.#begunWord(asked.filmId) === begun
        ? await this.#keep(asked, plan, order)
        : cutWords.cutWhileLaidOut;
    } catch (error) {
      return refusalWord(error, (key) => this.#named(asked.filmId).get(key)?.word);
    }
  }

  /** Ends the search as soon as there is a layout; the best found so far is kept. */
  stop(): void {
    this.#search.stop();
  }

  #order({ filmId, settings, pins }: Asked): CutOrder {
    const order = filmOrder(this.#reading.view(), filmId, settings, this.#stock.items());
    return pins === undefined ? order : { ...order, pinned: pins(order) };
  }

  /** Rolls that are cut into, as one word to compare. */
  #begunWord(filmId: string): string {
    const view = this.#reading.view();
    return [...begunIds(view, planOfFilm(view, filmId))].sort().join();
  }

  #blanks(filmId: string): readonly FilmBlank[] {
    return blanksOfFilm(this.#reading.view(), filmId).blanks;
  }

  #named(filmId: string): ReadonlyMap<string, FilmBlank & { readonly word: string }> {
    return new Map(
      this.#blanks(filmId).map((own) => [
        own.key,
        {
          ...own,
          word: pieceWord({ tag: own.surface?.tag ?? '?', drop: own.blank.drop, dropOf: own.blank.of }),
        },
      ]),
    );
  }

  async #keep(asked: Asked, found: CutOrderPlan, order: CutOrder): Promise<string | undefined> {
    const view = this.#reading.view();
    const short = found.notLaid.length === 0 ? undefined : this.#shortWord(asked, found);
    if (short !== undefined && this.#hasMoreOnFilm(asked.filmId, found))
      return `${short} ${cutWords.layoutKept}`;
    const begun = begunIds(view, planOfFilm(view, asked.filmId));
    const bounded = lengthBoundRequest(found, order, begun.size > 0);
    const bound_nm = bounded === null ? 0 : lengthBoundOf(await this.#pool.bound(bounded, {}), order);
    const ops = this.#planOps(asked, found, order, bound_nm);
    for (let start = 0; start < ops.length; start += OPS_PER_CHANGE)
      this.#desk.do(cutWords.filmLaidOut(asked.filmName), ops.slice(start, start + OPS_PER_CHANGE));
    return short;
  }

  #shortWord(
    { filmId, settings: { mostSheet_nm, leftOut } }: Asked,
    { notLaid: keys }: CutOrderPlan,
  ): string {
    const named = this.#named(filmId);
    const there = {
      stocks: stockFilms(this.#reading.view(), filmId, stockOfFilm(this.#stock.items(), filmId), leftOut),
      mostSheet_mm: mostSheet_nm === null ? null : mmFromNm(mostSheet_nm),
    };
    return shortWord(keys, there, (key) => named.get(key), this.#units());
  }

  /** Whether the layout there is still holds and leaves fewer blanks without film. */
  #hasMoreOnFilm(filmId: string, found: CutOrderPlan): boolean {
    const view = this.#reading.view();
    const plan = planOfFilm(view, filmId);
    return (
      plan !== undefined &&
      !view.piecesOf(plan.id).some(({ applicationId }) => isStale(view, applicationId)) &&
      notLaid(view, this.#blanks(filmId)).length < found.notLaid.length
    );
  }

  /** The rows of a layout in place of the old ones; rolls that are begun stay with all that lies on them. */
  #planOps(
    { filmId, settings }: Asked,
    found: CutOrderPlan,
    order: CutOrder,
    bound_nm: number,
  ): readonly Op[] {
    const view = this.#reading.view();
    const old = planOfFilm(view, filmId);
    const planId = old?.id ?? newId();
    const begun = begunIds(view, old);
    const [rolls, pieces] = old === undefined ? [[], []] : [view.rollsOf(old.id), view.piecesOf(old.id)];
    const keptRolls = rolls.filter(({ id }) => begun.has(id));
    const keptPieces = pieces.filter(({ rollId }) => begun.has(rollId));
    const { mode, stages, objective, liner, gap_nm, endWaste_nm, mostSheet_nm, edgeMust } = settings;
    const begun_nm = keptRolls.reduce((sum, { used_nm }) => sum + used_nm, 0);
    const fields = {
      ...{ mode, stages, objective, liner, gap_nm, endWaste_nm, mostSheet_nm, edgeMust },
      ...planFigures(found, begun_nm, bound_nm),
    };
    const named = this.#named(filmId);
    const made = planRows(view, found, order, {
      planId,
      liner,
      firstPiece: Math.max(0, ...keptPieces.map(({ position }) => position + 1)),
      firstRoll: keptRolls.length,
      itemOf: (id) => this.#stock.items().find((item) => item.id === id),
      blankOf: (key) => named.get(key),
      newId,
    });
    return [
      ...pieces.filter(({ rollId }) => !begun.has(rollId)).map(({ id }) => this.#desk.remove('cutPiece', id)),
      ...rolls.filter(({ id }) => !begun.has(id)).map(({ id }) => this.#desk.remove('cutRoll', id)),
      old === undefined
        ? this.#desk.put('cutPlan', { filmId, ...fields }, planId)
        : this.#desk.set('cutPlan', planId, fields),
      ...made.flatMap(({ rollId, roll, pieces: own }) => [
        this.#desk.put('cutRoll', roll, rollId),
        ...own.map((piece) => this.#desk.put('cutPiece', piece)),
      ]),
    ];
  }
}
