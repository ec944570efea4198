import { Injectable, computed, inject, linkedSignal } from '@angular/core';
import { markReasonWords, markVerdictWords } from '@yellow-pane/contracts/words';
import { type Mark, NEW_MARK, type MarkVerdict, type PocketTests, type Signed } from '@yellow-pane/core/job';
import type { LookPiece } from '@yellow-pane/core/looking';
import { pieceKey } from '@yellow-pane/core/looking';
import { nmFromMm } from '@yellow-pane/core/quantity';
import {
  type JudgedMark,
  type SetOfJob,
  filmOfMark,
  laidAt,
  markHash,
  marksJudged,
  redoOf,
  roundHere,
  ruleSetFor,
  ruleSetsOf,
  viewsOf,
} from '@yellow-pane/core/reading';
import { type Spot, boundsOf } from '@yellow-pane/core/strokes';
import { JobClock } from '../../day/job-clock';
import { ReadinessCache } from '../../day/readiness-cache';
import { Device } from '../../device/device';
import { newId } from '../../device/session';
import { WhoseHand } from '../../device/whose-hand';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { checkWords } from '../../words/check';

/** The round, the marks and the rules of the surface in hand, and what is done to them. */
@Injectable()
export class CheckDesk {
  readonly #reading = inject(JobReading);
  readonly #desk = inject(JobDesk);
  readonly #hand = inject(WhoseHand);
  readonly #clock = inject(JobClock).clock;
  readonly #book = inject(ReadinessCache);
  readonly #units = inject(Device).units;
  readonly #opened_ms = Date.now();
  readonly view = this.#reading.view;
  readonly surface = inject(Selection).surface;
  readonly tag = computed(() => this.surface()?.tag ?? '');
  /** Which it is, whatever of it changes: what is open on the screen stays open. */
  readonly #surfaceId = computed(() => this.surface()?.id);
  readonly sets = computed(() => ruleSetsOf(this.view()));
  readonly set = computed(() => ruleSetFor(this.view(), this.surface()?.id ?? ''));
  readonly round = computed(() => {
    const [surface, set] = [this.surface(), this.set()];
    return surface === undefined || set === undefined ? undefined : roundHere(this.view(), surface.id, set);
  });
  readonly judged = computed(() => {
    const [surface, set] = [this.surface(), this.set()];
    return surface === undefined || set === undefined
      ? undefined
      : marksJudged(this.view(), surface.id, { set, now_ms: this.#opened_ms, sky: this.#book.sky() });
  });
  /** Film lies here: before that there is nothing to look at. */
  readonly isLaid = computed(() => (this.judged()?.drying.by ?? 'nothing laid') !== 'nothing laid');
  readonly picked = linkedSignal<string | undefined, string | undefined>({
    source: this.#surfaceId,
    computation: () => undefined,
  });
  readonly pickedOne = computed(() => this.judged()?.marks.find(({ mark }) => mark.id === this.picked()));

  /**
   * In one or two words: what is done about it, until when, that it is gone, that nobody said where it is.
   */
  verdictWords({ decision, mark, at }: JudgedMark): string {
    if (mark.goneAt !== null) return checkWords.goneSince;
    if (at === undefined) return checkWords.noPlace;
    if (decision === undefined) return '';
    const until_ms = this.judged()?.drying.until_ms ?? null;
    return decision.verdict === 'watch' && until_ms !== null
      ? checkWords.watchUntil(this.#clock().dateOf(until_ms))
      : markVerdictWords(decision.verdict);
  }

  /** Looked at; the first piece begins the round. */
  tick(piece: LookPiece): void {
    this.#hand.whenSigned((said) => {
      const round = this.round();
      if (round === undefined) return;
      const begun = round.isOfOtherMeasures || round.inspection === undefined;
      const id = begun ? newId() : round.inspection.id;
      this.#desk.do(checkWords.lookedAtPiece(this.tag(), piece.view, piece.number), [
        ...(begun ? this.#begun(id, said, this.set()) : []),
        this.#desk.put('lookTick', { inspectionId: id, view: piece.view, strip: piece.number, said }),
      ]);
    });
  }

  /** Not looked at after all. */
  untick(piece: LookPiece): void {
    const inspection = this.round()?.inspection;
    if (inspection === undefined) return;
    const own = this.view()
      .ticksOf(inspection.id)
      .filter(({ view, strip }) => pieceKey({ view, number: strip }) === pieceKey(piece));
    this.#desk.do(
      checkWords.notLookedAt(this.tag(), piece.view, piece.number),
      own.map(({ id }) => this.#desk.remove('lookTick', id)),
    );
  }

  beginAnew(): void {
    this.#hand.whenSigned((said) => {
      this.#desk.do(checkWords.roundBegun(this.tag()), this.#begun(newId(), said, this.set()));
    });
  }

  /** Judged by other rules: what has been ticked under the old ones was looked at from elsewhere. */
  judgeBy(set: SetOfJob): void {
    this.#hand.whenSigned((said) => {
      this.#desk.do(checkWords.judgedBySet(this.tag(), set.name), this.#begun(newId(), said, set));
    });
  }

  /** @param look what it is; left out: what rises under warm air is air, else nobody has said */
  add(
    at: Spot,
    look: Mark['look'] = this.round()?.next?.view === 'warm air' ? 'air bubble' : 'not said',
  ): string | undefined {
    const surface = this.surface();
    if (surface === undefined) return undefined;
    const id = newId();
    const [only, ...more] = this.view().applicationsOf(surface.id);
    this.#desk.do(checkWords.marked(surface.tag), [
      this.#desk.put(
        'mark',
        {
          ...{ ...NEW_MARK, surfaceId: surface.id, look, ...this.rowOf(at) },
          applicationId: only === undefined || more.length > 0 ? null : only.id,
          ...{ firstSeenAt: new Date().toISOString(), from: 'check' },
        },
        id,
      ),
    ]);
    this.picked.set(id);
    return id;
  }

  change(own: JudgedMark, fields: Partial<Mark>, seen?: number): void {
    this.#desk.do(checkWords.changed(own.number), [this.#desk.set('mark', own.mark.id, fields, seen)]);
  }

  say(own: JudgedMark, tests: Partial<PocketTests>): void {
    this.change(own, { tests: { ...own.mark.tests, ...tests } });
  }

  gone(own: JudgedMark): void {
    this.#desk.do(checkWords.markGone(own.number), [
      this.#desk.set('mark', own.mark.id, {
        goneAt: own.mark.goneAt === null ? new Date().toISOString() : null,
      }),
    ]);
  }

  takeOut(own: JudgedMark): void {
    this.picked.set(undefined);
    this.#desk.do(checkWords.takenOut(own.number), [this.#desk.remove('mark', own.mark.id)]);
  }

  /** A person looked from the ruled distance. */
  sawIt(own: JudgedMark, isObtrusive: boolean): void {
    this.#hand.whenSigned((said) => {
      this.#desk.do(checkWords.eyeSaid(own.number), [
        this.#decision(own, said, {
          verdict: isObtrusive ? 'redo' : 'accept',
          by: 'an eye',
          reason: markReasonWords({ case: 'an eye', isObtrusive }, this.#units()),
        }),
      ]);
    });
  }

  /** As judged, taken over: a date to wait for, or something to do, becomes a reason to come back. */
  takeOver(own: JudgedMark): void {
    this.#hand.whenSigned((said) => {
      this.#desk.do(checkWords.tookOver(own.number), this.#asJudged([own], said));
    });
  }

  /** The whole surface with all its marks, as far as it was looked at. */
  accept(): void {
    this.#hand.whenSigned((said) => {
      const inspection = this.round()?.inspection;
      if (inspection === undefined) return;
      this.#desk.do(checkWords.acceptedSurface(this.tag()), [
        this.#desk.set('inspection', inspection.id, { accepted: said }),
        ...this.#asJudged(this.judged()?.marks ?? [], said),
      ]);
    });
  }

  /** Film that a mark is in is cut and laid anew; undefined: nobody can tell which film. */
  redo(own: JudgedMark): void {
    const film = filmOfMark(this.view(), own.mark);
    if (film === undefined) return;
    this.#hand.whenSigned((said) => {
      const { pieces, work, gates, waits, planned } = redoOf(this.view(), film.id);
      const first = this.#clock().dateOf(new Date(laidAt(this.view(), film.id) ?? Date.now()).toISOString());
      this.#desk.do(checkWords.redone(this.tag(), own.number), [
        ...pieces.map(({ id }) => this.#desk.set('cutPiece', id, { spoiledAt: said.at })),
        ...work.map(({ id, people }) =>
          this.#desk.set('workRecord', id, {
            ...{ startedAt: null, doneAt: null, roundsAt: [], foldsSaid: [], handedTo: null },
            note: checkWords.laidBefore(first, people.join(', '), own.number),
          }),
        ),
        ...gates.map(({ id }) => this.#desk.remove('gateTick', id)),
        ...planned.map(({ id }) => this.#desk.remove('plannedStep', id)),
        ...waits.map(({ id }) => this.#desk.remove('waitEnd', id)),
        ...this.#asJudged([own], said),
      ]);
    });
  }

  /** Rows count down from the upper left corner. */
  rowOf({ x, y }: Spot): { readonly x_nm: number; readonly y_nm: number } {
    const face = this.judged()?.face;
    const top = face === undefined ? 0 : boundsOf(face).top;
    return { x_nm: nmFromMm(Math.max(0, Math.round(x))), y_nm: nmFromMm(Math.max(0, Math.round(top - y))) };
  }

  #begun(id: string, said: Signed, set: SetOfJob | undefined) {
    const [surface, round] = [this.surface(), this.round()];
    if (surface === undefined || set === undefined || round === undefined) return [];
    const distance_mm = set.distance_m * 1000;
    return [
      this.#desk.put(
        'inspection',
        {
          ...{ surfaceId: surface.id, ruleSetId: set.id, setName: set.name, setVersion: set.version },
          ...{ distance_mm, light: set.light, views: viewsOf(round), inputsHash: round.faceHash },
          ...{ begun: said, accepted: null },
        },
        id,
      ),
    ];
  }

  #asJudged(marks: readonly JudgedMark[], said: Signed) {
    return marks.flatMap((own) =>
      own.decision === undefined || own.kept?.by === 'an eye'
        ? []
        : [
            this.#decision(own, said, {
              verdict: own.decision.verdict,
              by: 'the rules',
              reason: markReasonWords(own.decision.reason, this.#units()),
            }),
          ],
    );
  }

  #decision(
    { mark }: JudgedMark,
    said: Signed,
    how: { verdict: MarkVerdict; by: 'an eye' | 'the rules'; reason: string },
  ) {
    const [set, drying] = [this.set(), this.judged()?.drying];
    const until_ms = how.verdict === 'watch' ? (drying?.until_ms ?? null) : null;
    return this.#desk.put('markDecision', {
      ...{ markId: mark.id, inspectionId: this.round()?.inspection?.id ?? null, ...how },
      under: set === undefined ? '' : checkWords.under(set.name, set.version, set.light, set.distance_m),
      inputsHash: set === undefined ? '' : markHash(mark, set),
      watchUntil: until_ms === null ? null : new Date(until_ms).toISOString(),
      said,
    });
  }
}
