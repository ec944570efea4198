import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { SEEN_FROM, markReasonWords, monthWord } from '@yellow-pane/contracts/words';
import { VERDICT_OF_MARK } from '@yellow-pane/core/judging';
import { pieceKey } from '@yellow-pane/core/looking';
import type { JudgedMark } from '@yellow-pane/core/reading';
import { type Spot, boundsOf } from '@yellow-pane/core/strokes';
import { JobClock } from '../../day/job-clock';
import { ReadinessCache } from '../../day/readiness-cache';
import { VisitsList } from '../../day/visits-list';
import { Device } from '../../device/device';
import { MarkPicture, type PinOnPicture, type RoundOnPicture } from '../../drawing/mark-picture';
import { MARK_SHAPES } from '../../drawing/mark-shapes';
import { Selection } from '../../shell/selection';
import { StopFrame } from '../../shell/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';
import { VERDICT_SHAPES, VERDICT_TONES } from '../../ui/verdict-shapes';
import { checkWords } from '../../words/check';
import { BeforeAfter } from './before-after';
import { CallHere } from './call-here';
import { CheckDesk } from './check-desk';
import { DatesHere } from './dates-here';
import { FrontStates } from './front-states';
import { LightHere } from './light-here';
import { MarkPanel } from './mark-panel';
import { RoundHere } from './round-here';
import { RulesPanel } from './rules-panel';

/** Is it good work? Gone round piece by piece, every mark judged by the rules, with what is done about it. */
@Component({
  selector: 'yp-check',
  imports: [
    BeforeAfter,
    CallHere,
    DatesHere,
    FrontStates,
    LightHere,
    MarkPanel,
    MarkPicture,
    RoundHere,
    RulesPanel,
    StopFrame,
    VerdictBox,
    VisitsList,
  ],
  providers: [CheckDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './check.html',
  host: { class: 'contents' },
})
export class Check {
  protected readonly words = checkWords;
  protected readonly selection = inject(Selection);
  protected readonly desk = inject(CheckDesk);
  readonly #clock = inject(JobClock).clock;
  readonly #units = inject(Device).units;
  protected readonly pins = computed<readonly PinOnPicture[]>(() =>
    (this.desk.judged()?.marks ?? []).flatMap(({ mark, number, at, decision }) =>
      at === undefined || mark.goneAt !== null
        ? []
        : [{ id: mark.id, number, at, verdict: decision?.verdict }],
    ),
  );
  protected readonly round = computed<RoundOnPicture | undefined>(() => {
    const round = this.desk.round();
    if (round === undefined || round.inspection === undefined) return undefined;
    const view = round.next?.view ?? 'square';
    const faceView = view === 'edges' ? 'square' : view;
    return {
      left: round.views.find((own) => own.view === faceView)?.left ?? [],
      edges: round.pieces
        .filter((piece) => piece.view === 'edges')
        .map((piece) => ({ piece, isDone: round.ticked.has(pieceKey(piece)) })),
      next: round.next,
    };
  });
  /** Left and right are meant from there, whichever side the film is on. */
  protected readonly seenFrom = computed(() =>
    checkWords.seenFrom(SEEN_FROM[this.desk.surface()?.seenFrom ?? 'room']),
  );
  protected readonly says = computed(() => checkWords.marksOf(this.desk.tag(), this.pins().length));
  protected readonly dries = computed(() => {
    const drying = this.desk.judged()?.drying;
    switch (drying?.by) {
      case 'vapour':
        return checkWords.driesUntil(this.#day(drying.until_ms));
      case 'custom':
        return checkWords.driesByCustom(this.#day(drying.until_ms));
      case 'not this season':
        return checkWords.driesNever(drying.goesOnMonth === null ? '' : monthWord(drying.goesOnMonth));
      case 'laid dry':
        return checkWords.laidDry;
      case 'nothing laid':
      case undefined:
        return checkWords.notLaid;
    }
  });
  protected readonly accepted = computed(() => {
    const own = this.desk.round()?.inspection;
    return own?.accepted == null
      ? undefined
      : checkWords.acceptedBy(own.accepted.who, this.#clock().momentOf(own.accepted.at), own.light);
  });

  constructor() {
    inject(ReadinessCache).weather.begin();
  }

  protected reasonOf({ decision, mark }: JudgedMark): string {
    return decision === undefined || mark.goneAt !== null
      ? ''
      : markReasonWords(decision.reason, this.#units());
  }

  protected shapeOf({ decision, mark }: JudgedMark): string {
    const verdict =
      mark.goneAt !== null ? 'go' : decision === undefined ? 'unknown' : VERDICT_OF_MARK[decision.verdict];
    return VERDICT_SHAPES[verdict];
  }

  protected toneOf({ decision }: JudgedMark): string {
    return VERDICT_TONES[decision === undefined ? 'unknown' : VERDICT_OF_MARK[decision.verdict]];
  }

  protected lookOf({ mark }: JudgedMark): string {
    return MARK_SHAPES[mark.look];
  }

  /** A mark that has no place yet gets it; else there is a new one. */
  protected touched(at: Spot): void {
    const own = this.desk.pickedOne();
    if (own !== undefined && own.at === undefined) this.desk.change(own, this.desk.rowOf(at));
    else this.desk.add(at);
  }

  protected moved({ id, at }: { readonly id: string; readonly at: Spot }): void {
    const own = this.desk.judged()?.marks.find(({ mark }) => mark.id === id);
    if (own === undefined) return;
    this.desk.picked.set(id);
    this.desk.change(own, this.desk.rowOf(at));
  }

  /** In the middle, where nobody taps. */
  protected addByKey(): void {
    const face = this.desk.judged()?.face;
    if (face === undefined) return;
    const { left, right, bottom, top } = boundsOf(face);
    this.desk.add({ x: (left + right) / 2, y: (bottom + top) / 2 });
  }

  protected map(): string {
    const surface = this.desk.surface();
    return `/api/jobs/${surface?.jobId ?? ''}/check/map?surface=${surface?.id ?? ''}&units=${this.#units()}`;
  }

  readonly #day = (instant_ms: number | null): string =>
    instant_ms === null ? '' : this.#clock().dateOf(instant_ms);
}
