import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { blankNoteWords } from '@yellow-pane/contracts/words';
import { type SeamWishes, suitedMethods } from '@yellow-pane/core/blanks';
import { allowanceFor } from '@yellow-pane/core/rules';
import type { CutMethod, Over, SeamChoice } from '@yellow-pane/core/job';
import { outlineOfCheck } from '@yellow-pane/core/measure';
import { formatLength, formatLengthWithUnit, nmFromMm, parseReading } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { blankOf, seamOf } from '@yellow-pane/core/reading';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { cutWords } from '../../words/cut';
import { BlankShapes } from '../../drawing/blank-shapes';
import { HIGH, WIDE, drawBlanks } from '../../drawing/blank-drawing';
import { Cutting } from './cutting';

type Side = 'top' | 'right' | 'bottom' | 'left';
const SIDES: readonly Side[] = ['top', 'right', 'bottom', 'left'];

const MOST_OVER_MM = 500;
/** Film that ends before its frame. */
const MOST_GAP_MM = 50;

/**
 * The blank of the selected surface on the surface itself: what is over on each side, where seams fall, in
 * which order drops are hung; and the choices behind it.
 */
@Component({
  selector: 'yp-blanks-view',
  imports: [BlankShapes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './blanks-view.html',
  host: { class: 'block flex-1 min-h-0 overflow-auto px-5 pb-4' },
})
export class BlanksView {
  protected readonly words = cutWords;
  protected readonly cutting = inject(Cutting);
  protected readonly selection = inject(Selection);
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly wide = WIDE;
  protected readonly high = HIGH;
  protected readonly kinds = ['lap over promoter', 'double cut', 'butt'] as const;
  protected readonly placings = ['equal drops', 'full width and strip'] as const;
  protected readonly matches = ['none', 'straight', 'half drop'] as const;
  protected readonly firsts = ['save film', 'centre the pattern'] as const;

  readonly #application = computed(() =>
    this.cutting.applications().find(({ surfaceId }) => surfaceId === this.selection.surface()?.id),
  );
  protected readonly methods = computed(() => {
    const surface = this.selection.surface();
    if (surface === undefined) return [];
    const suited = suitedMethods({
      kind: surface.kind,
      shape: surface.shape,
      family: this.cutting.film()?.family ?? 'solar',
    });
    const own = this.#application()?.method;
    return own === undefined || suited.some(({ method }) => method === own)
      ? suited
      : [allowanceFor(own), ...suited];
  });
  protected readonly nothing = computed(() => {
    const surface = this.selection.surface();
    const application = this.#application();
    if (surface === undefined) return cutWords.pickSurface;
    if (application === undefined)
      return cutWords.doesNotGet(surface.tag, this.cutting.film()?.name ?? cutWords.thisFilm);
    const today = blankOf(this.#reading.view(), application);
    return today.kind === 'none' ? cutWords.noBlankFor(surface.tag, today.reason) : '';
  });

  protected readonly here = computed(() => {
    const application = this.#application();
    const surface = this.selection.surface();
    if (application === undefined || surface === undefined) return undefined;
    const today = blankOf(this.#reading.view(), application);
    const check = this.#reading.checkOf(surface.id);
    const outline = outlineOfCheck(check);
    if (today.kind === 'none' || outline === undefined) return undefined;
    const { blanks } = today;
    const { whole } = blanks;
    const openings = 'figure' in check ? (check.figure.openings ?? []) : [];
    const seam = seamOf(this.#reading.view(), application);
    const allowance = allowanceFor(application.method);
    return {
      application,
      seam,
      reason: allowance.reason,
      source: whole.source.text,
      notes: blanks.notes.map((note) => blankNoteWords(note, this.#units())),
      isOwn:
        application.over !== null
          ? cutWords.setForThisOne
          : this.#reading.jobAllowanceOf(application.method) !== undefined
            ? cutWords.setForThisJob
            : undefined,
      isSeamed: blanks.blanks.length > 1,
      rollWidth_nm: this.#reading.seamChoiceOf(application.id)?.rollWidth_nm ?? null,
      rollWidths: (this.cutting.film()?.widths_nm ?? []).map((nm) => ({
        nm,
        word: formatLengthWithUnit(nm, this.#units()),
      })),
      hasRepeat: (this.cutting.film()?.repeat_nm ?? null) !== null,
      says: cutWords.blankOf(
        surface.tag,
        this.#with(whole.width_mm.value),
        this.#with(whole.height_mm.value),
        blanks.blanks.length > 1
          ? cutWords.inDrops(
              blanks.blanks.length,
              blanks.seams.kind,
              blanks.seams.lap_mm > 0 ? cutWords.withLap(this.#with(blanks.seams.lap_mm)) : '',
            )
          : '',
        surface.seenFrom,
      ),
      ...drawBlanks(blanks, outline, openings, this.length),
      sides: SIDES.map((side) => ({
        side,
        text: formatLength(nmFromMm(whole.over[`${side}_mm`]), this.#units()),
      })),
    };
  });

  protected readonly length = (value_mm: number): string => formatLength(nmFromMm(value_mm), this.#units());
  readonly #with = (value_mm: number): string => formatLengthWithUnit(nmFromMm(value_mm), this.#units());

  protected chooseMethod(method: CutMethod): void {
    const application = this.#application();
    if (application !== undefined)
      this.#desk.do(cutWords.cutAsWay(this.selection.surface()?.tag ?? '', method), [
        this.#desk.set('application', application.id, { method }),
      ]);
  }

  protected setSide(side: Side, field: { value: string }): void {
    const application = this.#application();
    if (application === undefined) return;
    const parsed = parseReading(field.value, this.#reading.job()?.entryUnit ?? 'mm', {
      least_mm: allowanceFor(application.method)[`${side}_mm`] < 0 ? -MOST_GAP_MM : 0,
      most_mm: MOST_OVER_MM,
    });
    if (parsed.kind !== 'length') {
      this.fault.set(cutWords.overWrong(side, this.#with(MOST_OVER_MM), field.value));
      return;
    }
    this.fault.set(undefined);
    const customary = allowanceFor(application.method);
    const base = application.over ?? this.#reading.jobAllowanceOf(application.method);
    const over = Object.fromEntries(
      SIDES.map((own) => [
        `${own}_nm`,
        own === side ? parsed.value_nm : (base?.[`${own}_nm`] ?? nmFromMm(customary[`${own}_mm`])),
      ]),
    ) as unknown as Over;
    this.#desk.do(cutWords.over(this.selection.surface()?.tag ?? '', side, field.value), [
      this.#desk.set('application', application.id, { over }),
    ]);
  }

  protected customary(): void {
    const application = this.#application();
    const own = this.#reading.jobAllowanceOf(application?.method ?? '');
    if (application === undefined) return;
    if (application.over !== null)
      this.#desk.do(cutWords.customaryFor(this.selection.surface()?.tag ?? ''), [
        this.#desk.set('application', application.id, { over: null }),
      ]);
    else if (own !== undefined)
      this.#desk.do(cutWords.customaryForWay(own.method), [this.#desk.remove('jobAllowance', own.id)]);
  }

  protected setRollWidth(value: string): void {
    const rollWidth_nm = value === '' ? null : Number(value);
    const roll =
      rollWidth_nm === null ? cutWords.widestThereIs : formatLengthWithUnit(rollWidth_nm, this.#units());
    this.#chooseSeam({ rollWidth_nm }, `${cutWords.seamsForRoll} ${roll}`);
  }

  protected setSeam(change: Partial<SeamWishes>): void {
    this.#chooseSeam(change, Object.values(change).join(', '));
  }

  #chooseSeam(change: Partial<SeamChoice>, what: string): void {
    const application = this.#application();
    if (application === undefined) return;
    const own = this.#reading.seamChoiceOf(application.id);
    const word = `${this.selection.surface()?.tag ?? ''}: ${what}`;
    if (own !== undefined) this.#desk.do(word, [this.#desk.set('seamChoice', own.id, change)]);
    else
      this.#desk.do(word, [
        this.#desk.put('seamChoice', {
          applicationId: application.id,
          kind: null,
          placing: null,
          match: null,
          firstDrop: null,
          rollWidth_nm: null,
          ...change,
        }),
      ]);
  }
}
