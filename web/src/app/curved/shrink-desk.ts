import { Injectable, computed, effect, inject, linkedSignal, signal, untracked } from '@angular/core';
import { AS_CALCULATED, type RowOf, type ShrinkChanges } from '@yellow-pane/core/job';
import { type PaneShrink, isShrunk, shrinkBy, shrinkOf } from '@yellow-pane/core/reading';
import type { Hold } from '@yellow-pane/core/curved';
import { nmFromMm } from '@yellow-pane/core/quantity';
import { JobDesk } from '../job/job-desk';
import { JobReading } from '../job/job-reading';
import { Selection } from '../shell/selection';
import { CurvedPool } from '../workers/curved-pool';
import type { BandAnswer } from '../workers/curved.worker';
import { HOLDS, shrinkWords } from '../words/shrink';

/** The shrink plan of the curved pane in hand, while its line is dragged too, and what is changed of it. */
@Injectable()
export class ShrinkDesk {
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #pool = inject(CurvedPool);
  readonly surface = inject(Selection).surface;
  readonly tag = computed(() => this.surface()?.tag ?? '');
  readonly application = computed(() =>
    this.#reading.applicationsOf(this.surface()?.id ?? '').find(isShrunk),
  );
  readonly film = computed(() => this.#reading.view().filmById.get(this.application()?.filmId ?? ''));
  readonly today = computed(() => {
    const application = this.application();
    return application === undefined ? undefined : shrinkOf(this.#reading.view(), application);
  });
  readonly #kept = computed(() => {
    const today = this.today();
    return today?.kind === 'plan' ? today.plan : undefined;
  });
  /** Height at which the line is being held just now, mm; undefined: nobody drags it. */
  readonly dragged_mm = linkedSignal<string | undefined, number | undefined>({
    source: () => this.application()?.id,
    computation: () => undefined,
  });
  readonly plan = computed<PaneShrink | undefined>(() => {
    const [kept, line_mm, application, film] = [
      this.#kept(),
      this.dragged_mm(),
      this.application(),
      this.film(),
    ];
    if (kept === undefined || line_mm === undefined || application === undefined || film === undefined)
      return kept;
    const check = this.#reading.checkOf(application.surfaceId);
    const today = shrinkBy(this.#reading.view(), application, check, film, {
      ...kept.changes,
      line_nm: nmFromMm(line_mm),
    });
    return today.kind === 'plan' ? today.plan : kept;
  });
  /** How sure it is; undefined: being calculated. */
  readonly band = signal<BandAnswer | undefined>(undefined);

  constructor() {
    effect(() => {
      const kept = this.#kept();
      this.band.set(undefined);
      if (kept !== undefined) untracked(() => void this.#calculateBand(kept));
    });
  }

  async #calculateBand(plan: PaneShrink): Promise<void> {
    const band = await this.#pool.band({ ...plan, at_mm: plan.own.at_mm });
    if (this.#kept() === plan) this.band.set(band);
  }

  change(changes: Partial<ShrinkChanges>, says: string): void {
    const [plan, application] = [this.#kept(), this.application()];
    if (plan === undefined || application === undefined) return;
    const all = { ...AS_CALCULATED, ...plan.changes, ...changes };
    const inputsHash = plan.glassHash;
    this.#desk.do(says, [
      plan.row === undefined
        ? this.#desk.put('ownPlan', {
            applicationId: application.id,
            kind: 'shrink',
            changes: all,
            inputsHash,
          })
        : this.#desk.set('ownPlan', plan.row.id, { changes: all, inputsHash }),
    ]);
  }

  /** The line is let go at a height. Dragging it is choosing to hold it on a line. */
  letGo(line_mm: number): void {
    this.dragged_mm.set(undefined);
    this.change({ line_nm: nmFromMm(line_mm) }, shrinkWords.lineMoved(this.tag()));
  }

  hold(hold: Hold): void {
    const application = this.application();
    if (application === undefined) return;
    this.#desk.do(`${this.tag()}: ${HOLDS[hold].toLowerCase()}`, [
      this.#desk.set('application', application.id, { schools: { ...application.schools, hold } }),
    ]);
  }

  keepStrip(fields: RowOf<'testPiece'>['fields'], lot: string, says: string): void {
    const film = this.film();
    if (film === undefined) return;
    this.#desk.do(says, [
      this.#desk.put('testPiece', {
        ...{
          kind: 'shrink strip' as const,
          filmId: film.id,
          lot,
          weather: '',
          outcome: 'not judged' as const,
        },
        ...{ surfaceId: this.surface()?.id ?? null, fields },
      }),
    ]);
  }

  removeStrip(id: string, says: string): void {
    this.#desk.do(says, [this.#desk.remove('testPiece', id)]);
  }
}
