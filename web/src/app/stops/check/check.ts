import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { markReasonWords, markVerdictWords } from '@yellow-pane/contracts/words';
import { MARK_LOOKS, type MarkLook, NEW_MARK, type RowOf } from '@yellow-pane/core/job';
import { RULE_SETS, VERDICT_OF_MARK } from '@yellow-pane/core/judging';
import { formatLengthWithUnit, mmFromNm, nmFromMm } from '@yellow-pane/core/quantity';
import { type JudgedMark, marksJudged } from '@yellow-pane/core/reading';
import { type Spot, boundsOf } from '@yellow-pane/core/strokes';
import { JobClock } from '../../day/job-clock';
import { Device } from '../../device/device';
import { newId } from '../../device/session';
import { MarkPicture, type PinOnPicture } from '../../drawing/mark-picture';
import { type Fact, type FactChange, Facts } from '../../fields/facts';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { StopFrame } from '../../shell/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';
import { VERDICT_SHAPES, VERDICT_TONES } from '../../ui/verdict-shapes';
import { checkWords } from '../../words/check';

/** Marks are moved on a grid of so much. */
const STEP_MM = 10;
const ARROWS: Readonly<Record<string, Spot>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: 1 },
  ArrowDown: { x: 0, y: -1 },
};
/** A sample on the screen is no larger than this, mm. */
const SAMPLE_MM = 40;
const MM_PX = 96 / 25.4;

/** Is it good work? Every mark of the surface by the rules it is judged by, with what decided. */
@Component({
  selector: 'yp-check',
  imports: [Facts, MarkPicture, StopFrame, VerdictBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './check.html',
  host: { class: 'contents' },
})
export class Check {
  protected readonly words = checkWords;
  protected readonly selection = inject(Selection);
  protected readonly surface = this.selection.surface;
  readonly #reading = inject(JobReading);
  readonly #desk = inject(JobDesk);
  readonly #clock = inject(JobClock).clock;
  readonly #units = inject(Device).units;
  readonly #opened_ms = Date.now();
  protected readonly looks = MARK_LOOKS;
  protected readonly sets = RULE_SETS;
  protected readonly setName = signal(RULE_SETS[0]?.name ?? '');
  protected readonly set = computed(() => RULE_SETS.find(({ name }) => name === this.setName()));
  protected readonly unit = computed(() => this.#reading.job()?.entryUnit ?? 'mm');
  protected readonly judged = computed(() => {
    const [surface, set] = [this.surface(), this.set()];
    return surface === undefined || set === undefined
      ? undefined
      : marksJudged(this.#reading.view(), surface.id, set, this.#opened_ms);
  });
  protected readonly pins = computed<readonly PinOnPicture[]>(() =>
    (this.judged()?.marks ?? []).flatMap(({ mark, number, at, decision }) =>
      at === undefined || mark.goneAt !== null
        ? []
        : [{ id: mark.id, number, at, verdict: decision?.verdict }],
    ),
  );
  protected readonly picked = linkedSignal<string | undefined, string | undefined>({
    source: () => this.surface()?.id,
    computation: () => undefined,
  });
  protected readonly pickedOne = computed(() =>
    this.judged()?.marks.find(({ mark }) => mark.id === this.picked()),
  );
  protected readonly says = computed(() => checkWords.marksOf(this.surface()?.tag ?? '', this.pins().length));
  protected readonly stand = computed(() => {
    const set = this.set();
    if (set === undefined) return '';
    const [from, to] = set.angles_deg;
    return checkWords.stand(this.#length(set.distance_m * 1000), from, to, set.light);
  });
  protected readonly dries = computed(() => {
    const until_ms = this.judged()?.driesUntil_ms ?? null;
    return until_ms === null
      ? checkWords.notLaid
      : checkWords.watchUntil(this.#clock().momentOf(new Date(until_ms).toISOString()));
  });
  protected readonly facts: readonly Fact[] = [
    { key: 'size_nm', kind: 'length', word: checkWords.size },
    { key: 'length_nm', kind: 'length', word: checkWords.length },
  ];
  protected readonly sample_px = computed(() => {
    const size_nm = this.pickedOne()?.mark.size_nm ?? null;
    return size_nm === null || mmFromNm(size_nm) > SAMPLE_MM ? undefined : mmFromNm(size_nm) * MM_PX;
  });

  protected verdictOf({ decision, mark, at }: JudgedMark): string {
    if (mark.goneAt !== null) return checkWords.goneSince;
    if (at === undefined) return checkWords.noPlace;
    return decision === undefined ? '' : markVerdictWords(decision.verdict);
  }

  protected reasonOf({ decision, mark }: JudgedMark): string {
    return decision === undefined || mark.goneAt !== null
      ? ''
      : markReasonWords(decision.reason, this.#units());
  }

  protected shapeOf({ decision }: JudgedMark): string {
    return VERDICT_SHAPES[decision === undefined ? 'unknown' : VERDICT_OF_MARK[decision.verdict]];
  }

  protected toneOf({ decision }: JudgedMark): string {
    return VERDICT_TONES[decision === undefined ? 'unknown' : VERDICT_OF_MARK[decision.verdict]];
  }

  /** In the middle, where nobody taps. */
  protected addByKey(): void {
    const face = this.judged()?.face;
    if (face === undefined) return;
    const { left, right, bottom, top } = boundsOf(face);
    this.add({ x: (left + right) / 2, y: (bottom + top) / 2 });
  }

  protected add(at: Spot): void {
    const surface = this.surface();
    if (surface === undefined) return;
    const id = newId();
    this.#desk.do(checkWords.marked(surface.tag), [
      this.#desk.put(
        'mark',
        {
          ...{ ...NEW_MARK, surfaceId: surface.id, ...this.#row(at) },
          ...{ firstSeenAt: new Date().toISOString(), from: 'check' },
        },
        id,
      ),
    ]);
    this.picked.set(id);
  }

  protected moveBy(event: KeyboardEvent): void {
    const [way, own] = [ARROWS[event.key], this.pickedOne()];
    if (way === undefined || own?.at === undefined) return;
    event.preventDefault();
    const grid = (value: number): number => Math.round(value / STEP_MM) * STEP_MM;
    this.#set(own, this.#row({ x: grid(own.at.x + way.x * STEP_MM), y: grid(own.at.y + way.y * STEP_MM) }));
  }

  protected say(own: JudgedMark, look: MarkLook): void {
    this.#set(own, { look });
  }

  protected take(own: JudgedMark, { key, value, seen }: FactChange): void {
    this.#desk.do(checkWords.changed(own.number), [
      this.#desk.set('mark', own.mark.id, { [key]: value }, seen),
    ]);
  }

  protected gone(own: JudgedMark): void {
    this.#desk.do(checkWords.markGone(own.number), [
      this.#desk.set('mark', own.mark.id, {
        goneAt: own.mark.goneAt === null ? new Date().toISOString() : null,
      }),
    ]);
  }

  protected takeOut(own: JudgedMark): void {
    this.picked.set(undefined);
    this.#desk.do(checkWords.takenOut(own.number), [this.#desk.remove('mark', own.mark.id)]);
  }

  #set(own: JudgedMark, fields: Partial<Pick<RowOf<'mark'>, 'look' | 'x_nm' | 'y_nm'>>): void {
    this.#desk.do(checkWords.changed(own.number), [this.#desk.set('mark', own.mark.id, fields)]);
  }

  /** Rows count down from the upper left corner. */
  #row({ x, y }: Spot): { readonly x_nm: number; readonly y_nm: number } {
    const face = this.judged()?.face;
    const top = face === undefined ? 0 : boundsOf(face).top;
    return { x_nm: nmFromMm(Math.max(0, Math.round(x))), y_nm: nmFromMm(Math.max(0, Math.round(top - y))) };
  }

  readonly #length = (mm: number): string => formatLengthWithUnit(nmFromMm(mm), this.#units());
}
