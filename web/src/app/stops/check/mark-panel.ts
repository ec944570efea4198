import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { markReasonWords, markVerdictWords } from '@yellow-pane/contracts/words';
import { MARK_LOOKS, type MarkLook, type PocketTests } from '@yellow-pane/core/job';
import { inTenths } from '@yellow-pane/core/diagnosing';
import { remedyFor } from '@yellow-pane/core/judging';
import { formatLengthWithUnit, mmFromNm, nmFromMm } from '@yellow-pane/core/quantity';
import { type JudgedMark, filmOfMark, laidAt, pocketNow } from '@yellow-pane/core/reading';
import type { Spot } from '@yellow-pane/core/strokes';
import { JobClock } from '../../day/job-clock';
import { Device } from '../../device/device';
import { MARK_SHAPES } from '../../drawing/mark-shapes';
import { type Fact, type FactChange, Facts } from '../../fields/facts';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { LOOK_LETTERS, checkWords, pocketTests } from '../../words/check';
import { datesWords } from '../../words/dates';
import { CauseHere } from './cause-here';
import { CheckDesk } from './check-desk';
import { MarkPhotos } from './mark-photos';

/** Marks are moved on a grid of so much. */
const STEP_MM = 10;
const ARROWS: Readonly<Record<string, Spot>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: 1 },
  ArrowDown: { x: 0, y: -1 },
};
/** The slider goes from the one to the other, as much larger at each step. */
const LEAST_MM = 0.2;
const MOST_MM = 40;
const STEPS = 100;
const MM_PX = 96 / 25.4;

const sizeAt = (step: number): number => {
  const size = LEAST_MM * (MOST_MM / LEAST_MM) ** (step / STEPS);
  return size < 3 ? Math.round(size * 10) / 10 : Math.round(size * 2) / 2;
};
const stepOf = (size_mm: number): number =>
  Math.max(0, Math.min(STEPS, (STEPS * Math.log(size_mm / LEAST_MM)) / Math.log(MOST_MM / LEAST_MM)));

/** One mark: what it is, how large, what decided, and what is done about it now. */
@Component({
  selector: 'yp-mark-panel',
  imports: [CauseHere, Facts, MarkPhotos],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './mark-panel.html',
  host: { class: 'block' },
})
export class MarkPanel {
  protected readonly words = checkWords;
  protected readonly desk = inject(CheckDesk);
  protected readonly selection = inject(Selection);
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly #clock = inject(JobClock).clock;
  readonly #opened_ms = Date.now();
  readonly one = input.required<JudgedMark>();
  protected readonly looks = MARK_LOOKS.filter((look) => look !== 'not said').map((look) => ({
    look,
    shape: MARK_SHAPES[look],
    letter: LOOK_LETTERS[look],
  }));
  protected readonly tests = pocketTests;
  /** Which it is, whatever of it changes. */
  readonly #markId = computed(() => this.one().mark.id);
  protected readonly isChanging = linkedSignal({
    source: this.#markId,
    computation: () => false,
  });
  protected readonly unit = computed(() => this.#reading.job()?.entryUnit ?? 'mm');
  protected readonly facts: readonly Fact[] = [
    { key: 'size_nm', kind: 'length', word: checkWords.size },
    { key: 'length_nm', kind: 'length', word: checkWords.length },
  ];
  readonly #slid = signal<number | undefined>(undefined);
  protected readonly slider = computed(() => {
    const { size_nm } = this.one().mark;
    return this.#slid() ?? (size_nm === null ? 0 : stepOf(mmFromNm(size_nm)));
  });
  readonly #size_mm = computed(() => {
    const { size_nm } = this.one().mark;
    const slid = this.#slid();
    return slid !== undefined ? sizeAt(slid) : size_nm === null ? undefined : mmFromNm(size_nm);
  });
  protected readonly sizeSays = computed(() => {
    const size = this.#size_mm();
    return size === undefined ? checkWords.noSizeYet : formatLengthWithUnit(nmFromMm(size), this.#units());
  });
  protected readonly sample = computed(() => Math.min(MOST_MM, this.#size_mm() ?? 0) * MM_PX);
  protected readonly verdict = computed(() => this.desk.verdictWords(this.one()));
  protected readonly reason = computed(() => {
    const { decision, mark } = this.one();
    if (decision === undefined || mark.goneAt !== null) return '';
    const says = markReasonWords(decision.reason, this.#units());
    if (decision.verdict !== 'watch') return says;
    const drying = this.desk.judged()?.drying;
    if (drying?.until_ms == null) return `${says} ${checkWords.noDate}`;
    return drying.by === 'custom' ? `${says} ${checkWords.byCustom}` : says;
  });
  protected readonly keptSays = computed(() => {
    const kept = this.one().kept;
    return kept === undefined
      ? undefined
      : checkWords.keptBy(
          markVerdictWords(kept.verdict),
          kept.said.who,
          this.#clock().momentOf(kept.said.at),
          kept.under,
        );
  });
  /** Whether it may still be ordinary drying, while it may. */
  protected readonly pocketSays = computed(() => {
    const judged = this.desk.judged();
    const own = judged === undefined ? undefined : pocketNow(this.one(), judged, this.#opened_ms);
    if (own === undefined) return undefined;
    return own.against.length > 0
      ? datesWords.pocketAgainst(own.against)
      : datesWords.pocketAt(Math.floor(own.age_days), inTenths(own.ordinary));
  });
  protected readonly seenSays = computed(() => {
    const { from, firstSeenAt } = this.one().mark;
    return checkWords.seenBy(from, this.#clock().momentOf(firstSeenAt));
  });
  protected readonly asksEye = computed(() => {
    const reason = this.one().decision?.reason;
    return (
      reason?.case === 'look from there' ||
      reason?.case === 'an eye' ||
      (reason?.case === 'measure' && reason.what === 'its contrast')
    );
  });
  protected readonly mayTakeOver = computed(() => {
    const { decision, kept } = this.one();
    return (
      decision !== undefined &&
      decision.verdict !== 'measure it' &&
      kept?.by !== 'an eye' &&
      kept?.verdict !== decision.verdict
    );
  });
  protected readonly remedy = computed(() => {
    const { decision, mark } = this.one();
    return decision === undefined ? undefined : remedyFor(mark.look, decision);
  });
  protected readonly film = computed(() => filmOfMark(this.desk.view(), this.one().mark));
  protected readonly films = computed(() =>
    this.desk
      .view()
      .applicationsOf(this.one().mark.surfaceId)
      .map(({ id, filmId }) => ({ id, says: this.desk.view().filmById.get(filmId)?.name ?? '' })),
  );
  /** Its film has been taken back: nothing of it is done any more. */
  protected readonly isReset = computed(() => {
    const film = this.film();
    return (
      film !== undefined &&
      laidAt(this.desk.view(), film.id) === null &&
      this.desk.view().decisionsOf(this.one().mark.id).at(-1)?.verdict === 'redo'
    );
  });

  protected say(look: MarkLook): void {
    this.isChanging.set(false);
    this.desk.change(this.one(), { look });
  }

  protected answered(key: keyof PocketTests, answer: string): void {
    const isSaid = this.one().mark.tests[key] === answer;
    this.desk.say(this.one(), { [key]: isSaid ? 'not tried' : answer });
  }

  protected slid(step: string): void {
    this.#slid.set(Number(step));
  }

  protected keepSlid(): void {
    const size = this.#size_mm();
    if (size !== undefined) this.desk.change(this.one(), { size_nm: nmFromMm(size) });
    this.#slid.set(undefined);
  }

  protected sizedBy(size_mm: number): void {
    this.desk.change(this.one(), { size_nm: nmFromMm(Math.round(size_mm * 10) / 10) });
  }

  protected take({ key, value, seen }: FactChange): void {
    this.desk.change(this.one(), { [key]: value }, seen);
  }

  protected itsFilm(applicationId: string): void {
    this.desk.change(this.one(), { applicationId });
  }

  /** A letter says what it is, wherever the focus is in the panel, but in a field. */
  protected byLetter(event: KeyboardEvent): void {
    const target = event.target;
    const isTyping =
      target instanceof HTMLTextAreaElement ||
      (target instanceof HTMLInputElement && target.type !== 'range');
    if (isTyping || event.ctrlKey || event.altKey || event.metaKey) return;
    const found = this.looks.find(({ letter }) => letter === event.key.toUpperCase());
    if (found === undefined) return;
    event.preventDefault();
    this.say(found.look);
  }

  protected moveBy(event: KeyboardEvent): void {
    const [way, own] = [ARROWS[event.key], this.one()];
    if (way === undefined || own.at === undefined) return;
    event.preventDefault();
    const grid = (value: number): number => Math.round(value / STEP_MM) * STEP_MM;
    this.desk.change(
      own,
      this.desk.rowOf({ x: grid(own.at.x + way.x * STEP_MM), y: grid(own.at.y + way.y * STEP_MM) }),
    );
  }
}
