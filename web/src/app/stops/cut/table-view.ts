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
import { type Cut, STANDING, cutsFor, lieOf, pieceNotes } from '@yellow-pane/core/cutting';
import type { RowOf } from '@yellow-pane/core/job';
import { formatFilmLength, formatLength, mmFromNm, nmFromMm } from '@yellow-pane/core/quantity';
import { BenchPlotter } from '../../instruments/bench-plotter';
import { Device } from '../../device/device';
import { api } from '../../server/api';
import { textOf } from '../../ui/form-text';
import { pieceWord } from './cut-words';
import { Cutting } from './cutting';
import { PlanWork } from './plan-work';

const STAGES = ['mark', 'check', 'cut'] as const;
const WORDS: Readonly<Record<Cut['how'], string>> = {
  'square the end': 'Square the end',
  'cross-cut': 'Cross-cut the sheet',
  slit: 'Slit along the roll',
  'cross-cut piece': 'Cut the piece off',
  'slit piece': 'Slit this part',
  trim: 'Trim to width',
};
const FROM: Readonly<Record<Cut['from'], string>> = {
  'roll end': 'from the cut end of the roll',
  'left edge': 'from the left edge',
  'sheet end': 'from the sheet’s end',
  'part end': 'from this part’s end',
  'part left edge': 'from this part’s left edge',
};
const SHEETS = ['A4 3x8', 'A4 2x7', 'letter 3x10', 'roll 62'] as const;

/**
 * At the table: the cuts of one roll in order, each with its tape reading, to mark, check and cut; large when
 * the tablet stands beside the table. A plan for the plotter is sent from here.
 */
@Component({
  selector: 'yp-table-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="flex flex-wrap gap-3 items-end pt-3">
      <label
        ><span class="block text-sm text-faint">Roll on the table</span
        ><select class="field w-auto" (change)="rollId.set($any($event.target).value)">
          @for (entry of rolls(); track entry.id) {
            <option [value]="entry.id" [selected]="entry.id === roll()?.id">{{ entry.word }}</option>
          }
        </select></label
      >
      <button
        type="button"
        class="act act-small"
        [attr.aria-pressed]="isLarge()"
        (click)="isLarge.set(!isLarge())"
      >
        {{ isLarge() ? 'Ordinary type' : 'Large type' }}
      </button>
      @if (cutting.isSaved() && files(); as file) {
        <a class="act act-small" [href]="file.sheet" download="cut-sheet.pdf">Cut sheet (PDF)</a>
        <span class="flex"
          ><a class="act act-small" [href]="file.labels" download="labels.pdf">Labels (PDF)</a
          ><select
            class="field w-auto ml-1"
            aria-label="Label sheet"
            (change)="sheet.set($any($event.target).value)"
          >
            @for (name of sheets; track name) {
              <option [value]="name" [selected]="name === sheet()">{{ name }}</option>
            }
          </select></span
        >
      } @else {
        <span class="text-sm text-faint">Files once it is saved…</span>
      }
    </div>
    @if (roll(); as here) {
      @if (here.bookedAt) {
        <p class="mt-4 font-semibold">Cut and booked {{ here.bookedAt.slice(0, 10) }}. Undo takes it back.</p>
      }
      @if (cutting.plan()?.mode === 'by plotter' && !here.bookedAt) {
        <section class="mt-4 border-2 border-ink rounded-card p-3 bg-paper" aria-labelledby="plot">
          <h2 id="plot" class="font-bold text-lg">Plotter</h2>
          <p role="status">{{ plotterSays() }}</p>
          @if (plotter.fault(); as text) {
            <p class="text-stop font-semibold" role="alert">{{ text }}</p>
          }
          <div class="flex flex-wrap gap-2 mt-2">
            @if (plotter.state() !== 'ready') {
              <button type="button" class="act act-next" (click)="plotter.connect()">
                {{ plotter.state() === 'lost' ? 'Connect again' : 'Connect the plotter' }}
              </button>
            } @else if (progressHere() === undefined) {
              <button type="button" class="act act-next" (click)="send(here, 0)">
                Load this film and cut
              </button>
            } @else if (progressHere()?.state === 'stopped') {
              <button type="button" class="act act-next" (click)="goOn(here)">{{ stoppedWord() }}</button>
            }
          </div>
        </section>
      }
      @if (cuts(); as list) {
        @if (cutting.plan()?.mode === 'by hand') {
          <p class="mt-3 text-sm text-faint">
            Blades: safety glasses, cut-resistant glove on the other hand. {{ standing }} Liner
            {{ cutting.plan()?.liner ?? 'up' }}.
          </p>
          <ol class="mt-1" [class.text-2xl]="isLarge()" aria-label="Cuts in order">
            @for (cut of list; track cut.no) {
              <li
                class="grid grid-cols-[3rem_minmax(0,1fr)_auto] gap-x-3 items-center border-t border-line py-2"
                [class.bg-paper]="cut.no === nextNo()"
              >
                <span class="figure text-right" [class.font-bold]="cut.no === nextNo()">{{ cut.no }}</span>
                <span
                  ><span class="block" [class.line-through]="cut.isDone"
                    ><strong>{{ cut.word }}</strong> at
                    <strong class="figure text-[1.25em]">{{ cut.at }}</strong> {{ cut.from }}</span
                  >
                  <span class="block text-faint" [class.text-sm]="!isLarge()"
                    >running {{ cut.running }}{{ cut.frees ? ' · frees ' + cut.frees : '' }}</span
                  ></span
                >
                <span class="flex gap-1">
                  @for (stage of stages; track stage; let index = $index) {
                    <button
                      type="button"
                      class="act min-w-touch justify-center"
                      [class.act-next]="cut.no === nextNo() && index === cut.nextStage"
                      [class.!bg-ink]="cut.has[index]"
                      [class.!text-ground]="cut.has[index]"
                      [attr.aria-pressed]="cut.has[index]"
                      [attr.aria-label]="stage + ' ' + cut.no"
                      [disabled]="here.bookedAt !== null"
                      (click)="work.tick(here, cut.no * 3 + index, index === 2 ? cut.freesIds : [])"
                    >
                      {{ stage }}
                    </button>
                  }
                </span>
              </li>
            }
          </ol>
        }
      }
      @if (notes().length > 0) {
        <section class="mt-4" aria-labelledby="notes-of-pieces" [class.text-2xl]="isLarge()">
          <h2 id="notes-of-pieces" class="font-bold">Besides the cuts</h2>
          <ul>
            @for (note of notes(); track note.word) {
              <li class="border-t border-line py-1.5">
                <strong>{{ note.word }}</strong>
                @for (line of note.lines; track line) {
                  <span class="block">{{ line }}</span>
                }
              </li>
            }
          </ul>
        </section>
      }
      @if (cuts() === undefined && cutting.plan()?.mode === 'by hand') {
        <p class="mt-4 font-semibold">
          Straight cuts from edge to edge do not free these pieces. Lay out again, or take pins out; or cut by
          plotter.
        </p>
      }
      @if (!here.bookedAt) {
        <div class="mt-4 flex flex-wrap gap-3 items-center">
          @if (here.what === 'to order') {
            @if (isComing()) {
              <form class="flex flex-wrap gap-2 items-end" (submit)="takeIn($event, here)">
                <label
                  ><span class="block text-sm">Label</span
                  ><input class="field w-32" name="label" maxlength="80" required /></label
                ><label
                  ><span class="block text-sm">Lot</span
                  ><input class="field w-32" name="lot" maxlength="80" /></label
                ><label
                  ><span class="block text-sm">Price a metre</span
                  ><input class="field figure w-28" name="price" inputmode="decimal" /></label
                ><button type="submit" class="act act-next">Into stock</button>
              </form>
            } @else {
              <button type="button" class="act" (click)="isComing.set(true)">This roll has come</button>
            }
            <span class="text-sm text-faint"
              >It is still to be ordered: nothing is booked off the stock for it.</span
            >
          }
          <button type="button" class="act" [class.act-next]="isAllCut()" (click)="book(here)">
            Cut done: book it
          </button>
        </div>
        @if (fault(); as says) {
          <p class="mt-2 text-stop font-semibold" role="alert">{{ says }}</p>
        }
      }
    } @else {
      <p class="m-auto p-8 text-faint">Lay the blanks out first; then the cuts are listed here.</p>
    }
  `,
  host: { class: 'block flex-1 min-h-0 overflow-auto px-5 pb-6' },
})
export class TableView {
  protected readonly cutting = inject(Cutting);
  protected readonly work = inject(PlanWork);
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
      word: `${roll.what === 'to order' ? 'new roll, to be ordered' : `${roll.what} ${roll.label}`}, ${formatFilmLength(roll.used_nm, this.#units())}${roll.bookedAt === null ? '' : ', cut'}`,
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
      sheet: `${at}/sheet?units=${this.#units()}`,
      labels: `${at}/labels?units=${this.#units()}&sheet=${encodeURIComponent(this.sheet())}${base === '' ? '' : `&base=${encodeURIComponent(base)}`}`,
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
        ? `Ready. Load the film liner ${this.cutting.plan()?.liner ?? 'up'}, its left edge at the stop.`
        : 'Not connected.';
    if (job.state === 'done') return `All ${job.of} pieces are cut.`;
    const half = this.#ordered()[job.done];
    return job.state === 'running'
      ? `Cutting: ${job.done} of ${job.of} done.`
      : `Stopped after ${job.done} of ${job.of}${half === undefined ? '' : `; ${pieceWord(half)} is half cut`}.`;
  });
  protected readonly stoppedWord = computed(() => {
    const half = this.#ordered()[this.progressHere()?.done ?? 0];
    return half === undefined ? 'Go on' : `Count ${pieceWord(half)} as spoiled, go on with the next`;
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
      this.plotter.fault.set(
        'The server does not give the plotter’s job. Nothing was sent; try again when it answers.',
      );
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
      this.fault.set(
        label === ''
          ? 'Label: expected what stands on the roll, got nothing.'
          : `Price: expected a number from 0, got “${price ?? ''}”.`,
      );
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
