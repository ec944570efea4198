import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { ALLOWANCES, type LayoutPiece, type LayoutPlan, layoutSums } from '@yellow-pane/core/cutting';
import type { CutMethod, RowOf } from '@yellow-pane/core/job';
import { type Step, formatLength, formatLengthWithUnit, mmFromNm, nmFromMm } from '@yellow-pane/core/quantity';
import { Catalogue } from '../../catalogue/catalogue';
import { Device } from '../../device/device';
import { newId } from '../../device/session';
import { CutReading } from '../../job/cut-reading';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Commands } from '../../shell/commands';
import { Selection } from '../../shell/selection';
import { Choices } from '../../ui/choice';
import { Figure } from '../../ui/figure';
import { StopFrame } from '../../ui/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';
import { LayoutPool } from '../../workers/layout-pool';
import { RollSheet } from './roll-sheet';

const OPS_PER_CHANGE = 1500;
/** How long better layouts are looked for: longer where there is more to win. */
const SEARCH_MS = { few: 1500, many: 4000 } as const;
const MANY_PIECES = 60;

/** Blanks from surfaces, blanks on a roll, the list for the table. */
@Component({
  selector: 'yp-cut',
  imports: [StopFrame, VerdictBox, Figure, Choices, RollSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cut.html',
  host: { class: 'contents' },
})
export class Cut {
  readonly #desk = inject(JobDesk);
  readonly #pool = inject(LayoutPool);
  readonly #cut = inject(CutReading);
  protected readonly reading = inject(JobReading);
  protected readonly selection = inject(Selection);
  protected readonly catalogue = inject(Catalogue);
  protected readonly units = inject(Device).units;
  protected readonly surface = this.selection.surface;
  protected readonly methods = ALLOWANCES.map(({ method, word, reason }) => ({ value: method, word, reason }));
  protected readonly progress = signal<number | undefined>(undefined);
  protected readonly fault = signal<string | undefined>(undefined);
  /** The best layout found so far, while the search goes on. */
  protected readonly soFar = signal<LayoutPlan | undefined>(undefined);
  #stop: AbortController | undefined;

  /** The films of the job, each with its surfaces. */
  protected readonly films = computed(() => [...new Set(this.reading.applications().map(({ filmId }) => filmId))].map((id) => ({ id, name: this.catalogue.byId().get(id)?.name ?? 'film not in the catalogue' })));
  readonly #applicationHere = computed(() => this.reading.applicationsOf(this.surface()?.id ?? '')[0]);
  /** The film of the selected surface, unless another was picked since. */
  protected readonly filmId = linkedSignal<string | undefined>(() => this.#applicationHere()?.filmId ?? this.films()[0]?.id);
  protected readonly film = computed(() => this.catalogue.byId().get(this.filmId() ?? ''));
  protected readonly applications = computed(() => this.reading.applications().filter(({ filmId }) => filmId === this.filmId()));
  readonly #blanks = computed(() => this.applications().map((application) => ({ application, tag: this.reading.surfaceById().get(application.surfaceId)?.tag ?? '?', today: this.#cut.blankOf(application) })));
  protected readonly ready = computed(() => this.#blanks().filter(({ today }) => today.kind === 'blank').length);
  protected readonly missing = computed(() => this.#blanks().flatMap(({ tag, today }) => (today.kind === 'none' ? [`${tag}: ${today.reason}`] : [])));
  protected readonly plan = computed(() => this.reading.plans().find(({ filmId }) => filmId === this.filmId()));
  protected readonly pieces = computed(() => this.reading.piecesOf(this.plan()?.id ?? ''));
  protected readonly stale = computed(() => this.pieces().filter(({ applicationId }) => this.#cut.isStale(applicationId)).map(({ tag }) => tag));
  protected readonly notLaid = computed(() => this.#blanks().filter(({ application, today }) => today.kind === 'blank' && !this.pieces().some(({ applicationId }) => applicationId === application.id)).map(({ tag }) => tag));
  protected readonly rollWidth_nm = linkedSignal<number | undefined>(() => this.plan()?.rollWidth_nm ?? this.#fittingWidth());
  protected readonly isSaved = computed(() => this.#desk.state().server.cutPlan.entities[this.plan()?.id ?? ''] !== undefined && this.#desk.unsaved() === 0);
  protected readonly sums = computed(() => {
    const plan = this.plan();
    if (plan === undefined) return undefined;
    const rollWidth_mm = mmFromNm(plan.rollWidth_nm);
    const placed = this.pieces().map((piece) => ({ id: piece.id, x_mm: mmFromNm(piece.x_nm), y_mm: mmFromNm(piece.y_nm), across_mm: mmFromNm(piece.across_nm), along_mm: mmFromNm(piece.along_nm), turned: piece.turned, level: piece.level }));
    return layoutSums({ rollWidth_mm, pieces: placed.map(({ id, across_mm, along_mm }) => ({ id, across_mm, along_mm, mayTurn90: this.film()?.direction === 'none' })) }, placed);
  });
  /** The layout drawn: the best so far while one is looked for, else the one that is kept. */
  protected readonly drawn = computed(() => {
    const [found, plan, rollWidth_nm] = [this.soFar(), this.plan(), this.rollWidth_nm()];
    if (found === undefined || rollWidth_nm === undefined) return plan === undefined ? undefined : { rollWidth_nm: plan.rollWidth_nm, length_nm: plan.lengthUsed_nm, pieces: this.pieces() };
    const tags = new Map(this.#blanks().map(({ application, tag }) => [application.id, tag]));
    return { rollWidth_nm, length_nm: nmFromMm(found.length_mm.value), pieces: found.placed.map((piece, position) => ({ id: piece.id, tag: tags.get(piece.id) ?? '?', position, x_nm: nmFromMm(piece.x_mm), y_nm: nmFromMm(piece.y_mm), across_nm: nmFromMm(piece.across_mm), along_nm: nmFromMm(piece.along_mm), turned: piece.turned })) };
  });
  protected readonly blankHere = computed(() => {
    const application = this.#applicationHere();
    return application === undefined ? undefined : { application, today: this.#cut.blankOf(application) };
  });
  protected readonly finding = computed(() => {
    if (this.fault() !== undefined) return { verdict: 'stop' as const, heading: 'Not laid out', says: this.fault() ?? '' };
    if (this.films().length === 0) return { verdict: 'unknown' as const, heading: 'No film chosen yet', says: 'Choose films at the Film stop; then their blanks are laid out here.' };
    const found = this.soFar();
    if (found !== undefined) return { verdict: 'unknown' as const, heading: `Uses ${this.metres(nmFromMm(found.length_mm.value))} so far`, says: `Nothing can use less than ${this.metres(Math.floor(found.bound_mm.value * 1e6))}. Looking for a shorter one; stop when it is short enough.` };
    if (this.stale().length > 0) return { verdict: 'stop' as const, heading: 'The plan is stale', says: `Measures or method of ${this.stale().join(', ')} changed after it was laid out. Lay out again; do not cut from it.` };
    if (this.plan() === undefined) return { verdict: 'unknown' as const, heading: 'Not laid out yet', says: `${this.ready()} ${this.ready() === 1 ? 'blank is' : 'blanks are'} ready.${this.missing().length > 0 ? ` Not ready: ${this.missing().join('; ')}.` : ''}` };
    if (this.notLaid().length > 0) return { verdict: 'go with care' as const, heading: 'Some are not on the roll', says: `${this.notLaid().join(', ')} came after the plan. Lay out again.` };
    return { verdict: 'go' as const, heading: `Uses ${this.metres(this.plan()?.lengthUsed_nm ?? 0)}`, says: `${this.#gapWord()} ${this.pieces().length} ${this.pieces().length === 1 ? 'piece' : 'pieces'}, in cutting order below.` };
  });

  constructor() {
    inject(Commands).offer([
      { id: 'lay-out', word: 'Lay the blanks out', keys: 'Alt+Enter', canRun: () => this.ready() > 0, run: () => { void this.layOut(); } },
      { id: 'print', word: 'Print the cut list', keys: 'Ctrl+P', canRun: () => this.plan() !== undefined, run: () => { this.print(); } },
    ]);
  }

  protected readonly length = (value_nm: number): string => formatLength(value_nm, this.units());
  protected readonly lengthOfMm = (value_mm: number): string => formatLengthWithUnit(nmFromMm(value_mm), this.units());
  protected readonly lengthWithUnit = (value_nm: number): string => formatLengthWithUnit(value_nm, this.units());
  protected percent(share: number): string {
    return `${(share * 100).toFixed(1)} %`;
  }

  protected metres(value_nm: number): string {
    return this.units() === 'metric' ? `${(mmFromNm(value_nm) / 1000).toFixed(2)} m` : formatLengthWithUnit(value_nm, 'imperial');
  }

  protected chooseMethod(method: CutMethod): void {
    const here = this.blankHere();
    if (here !== undefined) this.#desk.do(`${this.surface()?.tag ?? ''}: cut as ${method}`, [this.#desk.set('application', here.application.id, { method })]);
  }

  protected async layOut(): Promise<void> {
    const film = this.film();
    const rollWidth_nm = this.rollWidth_nm();
    if (film === undefined || rollWidth_nm === undefined) return;
    const blanks = new Map(this.#blanks().flatMap(({ application, tag, today }) => (today.kind === 'blank' ? [[application.id, { tag, blank: today.blank }] as const] : [])));
    const pieces: LayoutPiece[] = [...blanks].map(([id, { blank }]) => ({ id, across_mm: blank.width_mm.value, along_mm: blank.height_mm.value, mayTurn90: blank.mayTurn90 }));
    this.fault.set(undefined);
    this.progress.set(0);
    this.#stop = new AbortController();
    try {
      const milliseconds = pieces.length > MANY_PIECES ? SEARCH_MS.many : SEARCH_MS.few;
      const plan = await this.#pool.layOut({ rollWidth_mm: mmFromNm(rollWidth_nm), pieces }, { milliseconds, signal: this.#stop.signal, onProgress: (share) => { this.progress.set(share); }, onBetter: (better) => { this.soFar.set(better); } });
      this.#keep(plan, film.name, rollWidth_nm, blanks);
    } catch (error) {
      const found = this.soFar();
      if (!this.#stop.signal.aborted) this.fault.set(this.#faultWord(error));
      else if (found !== undefined) this.#keep(found, film.name, rollWidth_nm, blanks);
    } finally {
      this.progress.set(undefined);
      this.soFar.set(undefined);
    }
  }

  /** Ends the search; the best layout found so far is kept. */
  protected cancel(): void {
    this.#stop?.abort(new Error('stopped'));
  }

  protected print(): void {
    window.print();
  }

  protected whyOf(step: { readonly why: readonly Step[] }): readonly Step[] {
    return step.why;
  }

  #keep(plan: LayoutPlan, filmName: string, rollWidth_nm: number, blanks: ReadonlyMap<string, { readonly tag: string; readonly blank: { readonly inputsHash: string } }>): void {
    const planId = newId();
    const old = this.plan();
    const ops = [
      ...(old === undefined ? [] : [...this.pieces().map(({ id }) => this.#desk.remove('cutPiece', id)), this.#desk.remove('cutPlan', old.id)]),
      this.#desk.put('cutPlan', { filmId: this.filmId() ?? '', rollWidth_nm, lengthUsed_nm: nmFromMm(plan.length_mm.value), bound_nm: Math.floor(plan.bound_mm.value * 1e6), solver: 'by hand, 3 stages' }, planId),
      ...plan.placed.map((piece, position) => this.#desk.put('cutPiece', {
        planId, applicationId: piece.id, tag: blanks.get(piece.id)?.tag ?? '?', position, level: piece.level, x_nm: nmFromMm(piece.x_mm), y_nm: nmFromMm(piece.y_mm), across_nm: nmFromMm(piece.across_mm), along_nm: nmFromMm(piece.along_mm), turned: piece.turned, inputsHash: blanks.get(piece.id)?.blank.inputsHash ?? '?', cutAt: null,
      })),
    ];
    for (let start = 0; start < ops.length; start += OPS_PER_CHANGE) this.#desk.do(`${filmName} laid out`, ops.slice(start, start + OPS_PER_CHANGE));
  }

  #gapWord(): string {
    const [used, bound] = [this.plan()?.lengthUsed_nm ?? 0, this.plan()?.bound_nm ?? 0];
    if (bound <= 0) return '';
    if (used - bound < 1e5) return 'Nothing can use less on this roll: this is proven.';
    return `Nothing can use less than ${this.metres(bound)} on this roll: at most ${((100 * (used - bound)) / bound).toFixed(1)} % could be saved.`;
  }

  /** The narrowest roll that every blank fits on, else the widest. */
  #fittingWidth(): number | undefined {
    const widths = [...(this.film()?.widths_nm ?? [])].sort((a, b) => a - b);
    const needed_mm = this.#blanks().reduce((most, { today }) => {
      if (today.kind === 'none') return most;
      const { width_mm, height_mm, mayTurn90 } = today.blank;
      return Math.max(most, mayTurn90 ? Math.min(width_mm.value, height_mm.value) : width_mm.value);
    }, 0);
    return widths.find((width_nm) => mmFromNm(width_nm) >= needed_mm) ?? widths.at(-1);
  }

  #faultWord(error: unknown): string {
    const text = error instanceof Error ? error.message : String(error);
    const match = /^CUTTING_PIECE_WIDER_THAN_ROLL at ([^:]+): expected (.+), got (.+)$/.exec(text);
    if (match === null) return `${text}.`;
    const tag = this.#blanks().find(({ application }) => application.id === match[1])?.tag ?? 'A piece';
    return `${tag}: expected ${match[2] ?? ''}, got ${match[3] ?? ''}. Choose a wider roll; seams come in a later version.`;
  }

  protected rowOf(piece: RowOf<'cutPiece'>): RowOf<'surface'> | undefined {
    const application = this.applications().find(({ id }) => id === piece.applicationId);
    return this.reading.surfaceById().get(application?.surfaceId ?? '');
  }
}
