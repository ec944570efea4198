import { Injectable, inject } from '@angular/core';
import { freePlace, placingFault } from '@yellow-pane/core/cutting';
import type { RowOf } from '@yellow-pane/core/job';
import { nmFromMm, toCent } from '@yellow-pane/core/quantity';
import { handPlacedOf, handRollOf, offcutsLeft, turnedByHand } from '@yellow-pane/core/reading';
import { Stock } from '../../catalogue/stock';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { cutWords } from '../../words/cut';
import { Cutting } from './cutting';
import { pieceWord, rollWord } from './cut-words';

type Piece = RowOf<'cutPiece'>;
type Roll = RowOf<'cutRoll'>;

/**
 * What a person does to a plan that stands: moves and pins, ticks cuts, books what is cut, marks what is
 * spoiled. Each is one change and can be undone.
 */
@Injectable({ providedIn: 'root' })
export class PlanWork {
  readonly #desk = inject(JobDesk);
  readonly #cutting = inject(Cutting);
  readonly #stock = inject(Stock);
  readonly #reading = inject(JobReading);

  move(piece: Piece, x_nm: number, y_nm: number): void {
    this.#desk.do(cutWords.movedAndPinned(pieceWord(piece)), [
      this.#desk.set('cutPiece', piece.id, { x_nm, y_nm, pinned: true }),
      ...this.#usedAfter(piece.rollId, piece.id, { y_nm, along_nm: piece.along_nm }),
    ]);
  }

  /**
   * To another roll or offcut of the plan, to the first place there is, and pinned.
   * @returns what stands against it
   */
  moveTo(piece: Piece, roll: Roll): string | undefined {
    const plan = this.#cutting.plan();
    if (plan === undefined || piece.cutAt !== null) return cutWords.cutAlready(pieceWord(piece));
    if (this.#cutting.isBegun(roll)) return cutWords.rollBegun(rollWord(roll));
    const others = this.#cutting
      .pieces()
      .filter(({ rollId }) => rollId === roll.id)
      .map((own) => handPlacedOf(own, plan.mode));
    const free = freePlace(handPlacedOf(piece, plan.mode), others, handRollOf(roll, plan));
    if (free === undefined) return cutWords.noRoomOnFilm(pieceWord(piece), rollWord(roll));
    const [x_nm, y_nm] = [nmFromMm(free.x_mm), nmFromMm(free.y_mm)];
    const elsewhere = this.#cutting.pieces().filter(({ id }) => id !== piece.id);
    const usedOn = (rollId: string, least_nm: number): number =>
      elsewhere.reduce(
        (end, own) => (own.rollId === rollId ? Math.max(end, own.y_nm + own.along_nm) : end),
        least_nm,
      );
    const lengths = [
      { rollId: piece.rollId, used_nm: usedOn(piece.rollId, 0) },
      { rollId: roll.id, used_nm: usedOn(roll.id, y_nm + piece.along_nm) },
    ];
    this.#desk.do(cutWords.movedToAnother(pieceWord(piece)), [
      this.#desk.set('cutPiece', piece.id, { rollId: roll.id, x_nm, y_nm, pinned: true }),
      ...this.#lengthsChanged(lengths, { bound_nm: 0 }),
    ]);
    return undefined;
  }

  pin(pieces: readonly Piece[], pinned: boolean): void {
    const changing = pieces.filter((piece) => piece.pinned !== pinned && piece.cutAt === null);
    const [first] = changing;
    if (first !== undefined)
      this.#desk.do(
        `${changing.length === 1 ? pieceWord(first) : cutWords.pieces(changing.length)} ${pinned ? 'pinned' : cutWords.letGo}`,
        changing.map(({ id }) => this.#desk.set('cutPiece', id, { pinned })),
      );
  }

  /**
   * Turned by a quarter about its corner, where that is allowed and there is room.
   * @returns what stands against it
   */
  turn(piece: Piece): string | undefined {
    const blank = this.#cutting
      .blanks()
      .find(
        ({ application, blank: own }) => application.id === piece.applicationId && own.drop === piece.drop,
      );
    if (piece.cutAt !== null) return cutWords.cutAlready(pieceWord(piece));
    if (blank?.blanks.whole.mayTurn90 === false)
      return cutWords.mayNotBeTurned(
        pieceWord(piece),
        blank.blanks.whole.lies === 'top along the roll' ? cutWords.shrinksAlong : cutWords.filmHasDirection,
      );
    const [roll, plan] = [this.#cutting.rolls().find(({ id }) => id === piece.rollId), this.#cutting.plan()];
    if (roll === undefined || plan === undefined) return cutWords.liesOnNoRoll(pieceWord(piece));
    const turned = turnedByHand(piece);
    const others = this.#cutting
      .pieces()
      .filter(({ rollId, id }) => rollId === piece.rollId && id !== piece.id)
      .map((own) => handPlacedOf(own, plan.mode));
    const fault = placingFault(
      handPlacedOf({ ...piece, ...turned }, plan.mode),
      others,
      handRollOf(roll, plan),
    );
    if (fault !== undefined)
      return cutWords.noRoomToTurn(
        pieceWord(piece),
        fault.kind === 'overlaps'
          ? cutWords.overAnotherPiece
          : fault.kind === 'over the edge'
            ? cutWords.overTheEdge
            : cutWords.filmEndsBefore,
      );
    this.#desk.do(cutWords.turnedAndPinned(pieceWord(piece)), [
      this.#desk.set('cutPiece', piece.id, { ...turned, pinned: true }),
      ...this.#usedAfter(piece.rollId, piece.id, { y_nm: piece.y_nm, along_nm: turned.along_nm }),
    ]);
    return undefined;
  }

  /** Ticks a step of a cut, or takes the tick off; a cut that frees pieces makes them cut. */
  tick(roll: Roll, tick: number, frees: readonly string[]): void {
    const ticks = roll.ticks.includes(tick)
      ? roll.ticks.filter((own) => own !== tick)
      : [...roll.ticks, tick].sort((a, b) => a - b);
    const cutAt = ticks.includes(tick) ? new Date().toISOString() : null;
    this.#desk.do(cutWords.cutTicked, [
      this.#desk.set('cutRoll', roll.id, { ticks }),
      ...frees.map((id) => this.#desk.set('cutPiece', id, { cutAt })),
    ]);
  }

  /** Pieces that a plotter has finished. */
  markCut(pieces: readonly Piece[]): void {
    const fresh = pieces.filter(({ cutAt, spoiledAt }) => cutAt === null && spoiledAt === null);
    if (fresh.length > 0)
      this.#desk.do(
        cutWords.cutByPlotter(fresh.map(pieceWord).join(', ')),
        fresh.map(({ id }) => this.#desk.set('cutPiece', id, { cutAt: new Date().toISOString() })),
      );
  }

  /**
   * Everything of a roll is cut: its length comes off the stock, its pieces are cut, what is worth keeping
   * becomes offcuts with labels of their own. One change.
   */
  bookCut(roll: Roll): void {
    const pieces = this.#cutting
      .pieces()
      .filter(({ rollId, spoiledAt }) => rollId === roll.id && spoiledAt === null);
    const at = new Date().toISOString();
    const offcuts = offcutsLeft(
      this.#reading.view(),
      roll,
      this.#cutting.filmId() ?? '',
      this.#cutting.items(),
    ).map((offcut) => this.#desk.put('offcut', offcut));
    this.#desk.do(cutWords.rollBooked(roll.label || 'roll'), [
      ...(roll.stockId === null || roll.used_nm === 0
        ? []
        : [
            this.#desk.put('stockTake', {
              cutRollId: roll.id,
              stockId: roll.stockId,
              length_nm: roll.used_nm,
              reason: 'cut',
            }),
          ]),
      this.#desk.set('cutRoll', roll.id, { bookedAt: at }),
      ...pieces
        .filter(({ cutAt }) => cutAt === null)
        .map(({ id }) => this.#desk.set('cutPiece', id, { cutAt: at })),
      ...offcuts,
    ]);
  }

  /** A cut piece is lost: it no longer counts, and its blank waits for film again. */
  spoil(piece: Piece): void {
    this.#desk.do(cutWords.pieceSpoiled(pieceWord(piece)), [
      this.#desk.set('cutPiece', piece.id, { spoiledAt: new Date().toISOString() }),
    ]);
  }

  /**
   * A roll that was to be ordered has come: it goes into stock and takes the place of the one ordered.
   * @returns what the server objects to
   */
  async takeIn(roll: Roll, label: string, lot: string, perMetre: number | null): Promise<string | undefined> {
    const film = this.#cutting.film();
    const saved = await this.#stock.save({
      filmId: film?.id ?? '',
      what: 'roll',
      label,
      lot,
      width_nm: roll.width_nm,
      length_nm: roll.length_nm,
      perMetre,
      leftEdge: true,
      rightEdge: true,
      where: '',
      gone: false,
    });
    if ('objection' in saved) return saved.objection;
    this.#desk.do(cutWords.rollHasCome(label), [
      this.#desk.set('cutRoll', roll.id, { stockId: saved.id, what: 'roll', label, lot }),
    ]);
    return undefined;
  }

  /** The length a roll gives after one of its pieces went elsewhere. */
  #usedAfter(
    rollId: string,
    pieceId: string,
    own: { readonly y_nm: number; readonly along_nm: number },
  ): ReturnType<JobDesk['set']>[] {
    const used_nm = this.#cutting
      .pieces()
      .filter((piece) => piece.rollId === rollId && piece.id !== pieceId)
      .reduce((end, { y_nm, along_nm }) => Math.max(end, y_nm + along_nm), own.y_nm + own.along_nm);
    return this.#lengthsChanged([{ rollId, used_nm }]);
  }

  /**
   * What rolls give now, and the plan in all.
   * @param known of the plan besides: a bound that was that of one roll alone no longer holds
   */
  #lengthsChanged(
    lengths: readonly { readonly rollId: string; readonly used_nm: number }[],
    known: { readonly bound_nm?: number } = {},
  ): ReturnType<JobDesk['set']>[] {
    const plan = this.#cutting.plan();
    const changed = lengths.flatMap(({ rollId, used_nm }) => {
      const roll = this.#cutting.rolls().find(({ id }) => id === rollId);
      return roll === undefined || roll.used_nm === used_nm ? [] : [{ roll, used_nm }];
    });
    if (plan === undefined || (changed.length === 0 && known.bound_nm === undefined)) return [];
    const more = changed.reduce((sum, { roll, used_nm }) => sum + used_nm - roll.used_nm, 0);
    /** Cuts and offcuts stay calculated as they were laid out; the film is what changes. */
    const film = changed.reduce(
      (sum, { roll, used_nm }) =>
        sum + this.#cutting.filmOf(roll, used_nm) - this.#cutting.filmOf(roll, roll.used_nm),
      0,
    );
    return [
      ...changed.map(({ roll, used_nm }) => this.#desk.set('cutRoll', roll.id, { used_nm })),
      this.#desk.set('cutPlan', plan.id, {
        lengthUsed_nm: plan.lengthUsed_nm + more,
        filmCost: toCent(plan.filmCost + film),
        cost: toCent(plan.cost + film),
        stopped: plan.stopped === 'infeasible' ? 'infeasible' : 'limit',
        ...known,
      }),
    ];
  }
}
