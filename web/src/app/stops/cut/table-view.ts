import { PlanBack } from './plan-back';
import { OffcutsLeft } from './offcuts-left';
import { JobClock } from '../../day/job-clock';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { pieceNoteWords } from '@yellow-pane/contracts/words';
import { STANDING, lieOf, pieceNotes } from '@yellow-pane/core/blanks';
import { type Cut, cutsFor } from '@yellow-pane/core/cutting';
import type { RowOf } from '@yellow-pane/core/job';
import { formatFilmLength, formatLength, mmFromNm, nmFromMm } from '@yellow-pane/core/quantity';
import { BenchPlotter } from '../../instruments/bench-plotter';
import { Device } from '../../device/device';
import { api } from '../../server/api';
import { textOf } from '../../ui/form-text';
import { cutWords } from '../../words/cut';
import { pieceWord } from './cut-words';
import { Cutting } from './cutting';
import { PlanWork } from './plan-work';

const STAGES = ['mark', 'check', 'cut'] as const;
const WORDS: Readonly<Record<Cut['how'], string>> = {
  'square the end': cutWords.squareTheEnd,
  'cross-cut': cutWords.crossCutSheet,
  slit: cutWords.slitAlongRoll,
  'cross-cut piece': cutWords.cutPieceOff,
  'slit piece': cutWords.slitThisPart,
  trim: cutWords.trimToWidth,
};
const FROM: Readonly<Record<Cut['from'], string>> = {
  'roll end': cutWords.fromCutEnd,
  'left edge': cutWords.fromLeftEdge,
  'sheet end': cutWords.fromSheetEnd,
  'part end': cutWords.fromPartEnd,
  'part left edge': cutWords.fromPartLeft,
};
const SHEETS = ['A4 3x8', 'A4 2x7', 'letter 3x10', 'roll 62'] as const;

/**
 * At the table: the cuts of one roll in order, each with its tape reading, to mark, check and cut; large when
 * the tablet stands beside the table. A plan for the plotter is sent from here.
 */
@Component({
  selector: 'yp-table-view',
  imports: [OffcutsLeft],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './table-view.html',
  host: { class: 'block flex-1 min-h-0 overflow-auto px-5 pb-6' },
})
export class TableView {
  readonly #clock = inject(JobClock);
  protected readonly day = (instant: string): string => this.#clock.clock().dateOf(instant);
  protected readonly words = cutWords;
  protected readonly cutting = inject(Cutting);
  protected readonly work = inject(PlanWork);
  protected readonly planBack = inject(PlanBack);
  protected readonly plotter = inject(BenchPlotter);
  readonly #device = inject(Device);
  readonly #units = this.#device.units;
  protected readonly standing = STANDING;
  protected readonly stages = STAGES;
  protected readonly sheets = SHEETS;
  protected readonly sheet = signal<(typeof SHEETS)[number]>('A4 3x8');
  protected readonly isLarge = signal(false);
  protected readonly isComing = signal(false);
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly rollId = linkedSignal<string | undefined>(
    () => (this.cutting.rolls().find(({ bookedAt }) => bookedAt === null) ?? this.cutting.rolls()[0])?.id,
  );
  protected readonly roll = computed(
    () => this.cutting.rolls().find(({ id }) => id === this.rollId()) ?? this.cutting.rolls()[0],
  );
  protected readonly rolls = computed(() =>
    this.cutting.rolls().map((roll) => ({
      id: roll.id,
      word: `${roll.what === 'to order' ? cutWords.newRollToOrder : `${roll.what} ${roll.label}`}, ${formatFilmLength(roll.used_nm, this.#units())}${roll.bookedAt === null ? '' : cutWords.isCut}`,
    })),
  );
  readonly #pieces = computed(() =>
    this.cutting.pieces().filter(({ rollId, spoiledAt }) => rollId === this.roll()?.id && spoiledAt === null),
  );
  protected readonly cuts = computed(() => {
    const roll = this.roll();
    if (roll === undefined) return undefined;
    const placed = this.#pieces().map((piece) => ({
      id: piece.id,
      x_mm: mmFromNm(piece.x_nm),
      y_mm: mmFromNm(piece.y_nm),
      across_mm: mmFromNm(piece.across_nm),
      along_mm: mmFromNm(piece.along_nm),
      turned: piece.turned,
      level: piece.level,
    }));
    const words = new Map(this.#pieces().map((piece) => [piece.id, pieceWord(piece)]));
    return cutsFor(placed, mmFromNm(roll.width_nm), mmFromNm(this.cutting.endWaste_nm()))?.map((cut) => {
      const has = STAGES.map((_, index) => roll.ticks.includes(cut.no * 3 + index));
      return {
        no: cut.no,
        word: WORDS[cut.how],
        at: this.#with(cut.at_mm),
        from: FROM[cut.from],
        running: this.#with(cut.running_mm),
        frees: cut.frees.map((id) => words.get(id) ?? '').join(', '),
        freesIds: cut.frees,
        has,
        isDone: has[2] === true,
        nextStage: Math.max(
          0,
          has.findIndex((own) => !own),
        ),
      };
    });
  });
  /** What the cuts alone do not say. */
  protected readonly notes = computed(() => {
    const [roll, liner] = [this.roll(), this.cutting.plan()?.liner ?? 'up'];
    if (roll === undefined) return [];
    return this.#pieces().flatMap((piece) => {
      const { factoryEdges } = lieOf(
        {
          x_mm: mmFromNm(piece.x_nm),
          across_mm: mmFromNm(piece.across_nm),
          turned: piece.turned,
          flipped: piece.flipped,
          outline: piece.outline,
        },
        { width_mm: mmFromNm(roll.width_nm), leftEdge: roll.leftEdge, rightEdge: roll.rightEdge },
        piece.topAlong,
        liner,
      );
      const lines = pieceNotes({
        phase_mm: mmFromNm(piece.phase_nm),
        along_mm: mmFromNm(piece.along_nm),
        factoryEdges: this.cutting.wantsEdge(piece.applicationId) ? factoryEdges : [],
        isColumn: piece.notch_nm > 0,
        sector: piece.sector,
      }).map((note) => pieceNoteWords(note, this.#units()));
      return lines.length === 0 ? [] : [{ word: pieceWord(piece), lines }];
    });
  });
  protected readonly nextNo = computed(() => this.cuts()?.find(({ isDone }) => !isDone)?.no);
  protected readonly isAllCut = computed(() =>
    this.cutting.plan()?.mode === 'by plotter'
      ? this.progressHere()?.state === 'done'
      : this.cuts() !== undefined && this.nextNo() === undefined,
  );
  protected readonly files = computed(() => {
    const plan = this.cutting.plan();
    if (plan === undefined) return undefined;
    const at = `/api/jobs/${plan.jobId}/cut-plans/${plan.id}`;
    const base = this.#device.labelBase();
    return {
      sheet: `${at}/sheet?units=${encodeURIComponent(this.#units())}`,
      labels: `${at}/labels?units=${encodeURIComponent(this.#units())}&sheet=${encodeURIComponent(this.sheet())}${base === '' ? '' : `&base=${encodeURIComponent(base)}`}`,
    };
  });
  protected readonly progressHere = computed(() => {
    const job = this.plotter.job();
    return job?.key === this.roll()?.id ? job : undefined;
  });
  /** As the plotter counts them: lost ones too. */
  readonly #ordered = computed(() =>
    this.cutting
      .pieces()
      .filter(({ rollId }) => rollId === this.roll()?.id)
      .sort((a, b) => a.y_nm - b.y_nm || a.x_nm - b.x_nm),
  );
  protected readonly plotterSays = computed(() => {
    const job = this.progressHere();
    if (job === undefined)
      return this.plotter.state() === 'ready'
        ? cutWords.plotterReady(this.cutting.plan()?.liner ?? 'up')
        : cutWords.notConnected;
    if (job.state === 'done') return cutWords.allCut(job.of);
    const half = this.#ordered()[job.done];
    return job.state === 'running'
      ? cutWords.cutting(job.done, job.of)
      : cutWords.stoppedAfter(job.done, job.of, half === undefined ? '' : cutWords.halfCut(pieceWord(half)));
  });
  protected readonly stoppedWord = computed(() => {
    const half = this.#ordered()[this.progressHere()?.done ?? 0];
    return half === undefined ? cutWords.goOn : cutWords.countAsSpoiled(pieceWord(half));
  });

  readonly #with = (value_mm: number): string => formatLength(nmFromMm(value_mm), this.#units());

  constructor() {
    /** What the plotter has done is cut, whatever becomes of the rest. */
    effect(() => {
      const job = this.progressHere();
      if (job !== undefined)
        untracked(() => {
          this.work.markCut(this.#ordered().slice(0, job.done));
        });
    });
  }

  protected async readBack(from: HTMLInputElement): Promise<void> {
    const file = from.files?.[0];
    from.value = '';
    if (file !== undefined) await this.planBack.read(await file.text());
  }

  protected async send(roll: RowOf<'cutRoll'>, from: number): Promise<void> {
    const plan = this.cutting.plan();
    if (plan === undefined) return;
    if (from === 0)
      await this.plotter.order({
        do: 'load',
        width_mm: mmFromNm(roll.width_nm),
        length_mm: mmFromNm(Math.max(roll.length_nm, roll.used_nm)),
      });
    const hpgl = await api.hpgl(plan.jobId, plan.id, roll.id).catch(() => undefined);
    if (hpgl === undefined) {
      this.plotter.fault.set(cutWords.nothingSent);
      return;
    }
    await this.plotter.order({
      do: 'cut',
      key: roll.id,
      hpgl:
        from === 0
          ? hpgl
          : restOf(
              hpgl,
              from -
                this.#ordered()
                  .slice(0, from)
                  .filter(({ spoiledAt }) => spoiledAt !== null).length,
            ),
      from,
    });
  }

  /** The piece it stopped in is lost; it is not cut again over itself but laid out anew later. */
  protected async goOn(roll: RowOf<'cutRoll'>): Promise<void> {
    const done = this.progressHere()?.done ?? 0;
    const half = this.#ordered()[done];
    await this.send(roll, done + 1);
    if (half !== undefined) this.work.spoil(half);
  }

  protected book(roll: RowOf<'cutRoll'>): void {
    this.work.bookCut(roll);
  }

  protected async takeIn(event: Event, roll: RowOf<'cutRoll'>): Promise<void> {
    event.preventDefault();
    const data = new FormData(event.target as HTMLFormElement);
    const [label, lot, price] = ['label', 'lot', 'price'].map((name) => textOf(data, name));
    const perMetre = price === '' ? null : Number((price ?? '').replace(',', '.'));
    if (label === '' || (perMetre !== null && !(perMetre >= 0))) {
      this.fault.set(label === '' ? cutWords.labelMissing : cutWords.priceWrong(price ?? ''));
      return;
    }
    this.fault.set(await this.work.takeIn(roll, label ?? '', lot ?? '', perMetre));
    if (this.fault() === undefined) this.isComing.set(false);
  }
}

/** The same plotter job from a later piece on: pieces begin with their label. */
function restOf(hpgl: string, from: number): string {
  const parts = hpgl.split(/(?=SP2;)/);
  return [parts[0] ?? '', ...parts.slice(1 + from)].join('');
}
