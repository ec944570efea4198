import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { ShelfRow } from '@yellow-pane/contracts';
import { AS_CALCULATED, type FilmHold, type RowOf, type ShelfMeasure } from '@yellow-pane/core/job';
import { type SameAsLastTime, sameAsLastTime, wantingHere } from '@yellow-pane/core/measure';
import { formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { hasWishes, isShrunk, shrinkOf } from '@yellow-pane/core/reading';
import { Shelf } from '../catalogue/shelf';
import { Device } from '../device/device';
import { JobDesk } from '../job/job-desk';
import { JobReading } from '../job/job-reading';
import { shrinkWords } from '../words/shrink';

/**
 * Panes of makes the shop has filmed before: this one is put there with its measures and plan, or taken from
 * there once two of its lengths agree.
 */
@Component({
  selector: 'yp-shelf-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shelf-panel.html',
  host: { class: 'block' },
})
export class ShelfPanel {
  protected readonly words = shrinkWords;
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #shelf = inject(Shelf);
  readonly #units = inject(Device).units;
  readonly surface = input.required<RowOf<'surface'>>();
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly sought = signal('');
  readonly #here = computed<readonly ShelfMeasure[]>(() =>
    this.#reading
      .measuresOf(this.surface().id)
      .map(({ kind, fromPoint, toPoint, text, unit, value_nm, instrument, sd_nm }) => ({
        ...{ kind, fromPoint, toPoint, text, unit, value_nm, instrument, sd_nm },
      })),
  );
  protected readonly hasMeasures = computed(() => this.#here().length > 0);
  protected readonly panes = computed(() => {
    const sought = this.sought().trim().toLowerCase();
    return this.#shelf
      .rows()
      .map((row) => ({ row, name: nameOf(row) }))
      .filter(({ name }) => name.toLowerCase().includes(sought))
      .map(({ row, name }) => {
        const same = sameAsLastTime(this.#here(), row.measures);
        const wanting = wantingHere(this.#here(), row.measures).length;
        return { row, name, says: this.#says(same), wanting: same.case === 'agrees' ? wanting : 0 };
      });
  });

  protected open(isOpen: boolean): void {
    if (isOpen) void this.#shelf.load();
  }

  protected async put(event: Event): Promise<void> {
    event.preventDefault();
    const form = event.target as HTMLFormElement;
    const typed = new FormData(form);
    const text = (name: string): string => {
      const value = typed.get(name);
      return typeof value === 'string' ? value.trim() : '';
    };
    if (text('make') === '' || text('pane') === '') {
      this.fault.set(shrinkWords.shelfWants);
      return;
    }
    const plan = this.#plan();
    this.fault.set(
      await this.#shelf.put({
        ...{ make: text('make'), model: text('model'), year: text('year'), pane: text('pane') },
        measures: this.#here(),
        hold: plan?.hold ?? null,
        plan: plan?.changes ?? AS_CALCULATED,
        ...{ wentWrong: text('wentWrong'), note: '' },
      }),
    );
    if (this.fault() === undefined) form.reset();
  }

  protected async takeOff(row: ShelfRow): Promise<void> {
    this.fault.set(await this.#shelf.takeOff(row));
  }

  /** What is wanting here of its measures, and how it was held. */
  protected asLastTime(row: ShelfRow): void {
    const surfaceId = this.surface().id;
    const application = this.#reading.applicationsOf(surfaceId).find(isShrunk);
    this.#desk.do(shrinkWords.tookFromShelf(this.surface().tag, nameOf(row)), [
      ...wantingHere(this.#here(), row.measures).map((measure) =>
        this.#desk.put('measure', { surfaceId, ...measure }),
      ),
      ...(application === undefined || row.hold === null ? [] : this.#heldAs(application, row, row.hold)),
    ]);
  }

  #heldAs(application: RowOf<'application'>, { plan }: ShelfRow, hold: FilmHold) {
    const held = this.#desk.set('application', application.id, {
      schools: { ...application.schools, hold },
    });
    if (!hasWishes(plan)) return [held];
    const own = this.#reading
      .view()
      .rows.ownPlan.find(({ applicationId }) => applicationId === application.id);
    return [
      held,
      own === undefined
        ? this.#desk.put('ownPlan', {
            ...{ applicationId: application.id, kind: 'shrink' as const, changes: plan, inputsHash: '' },
          })
        : this.#desk.set('ownPlan', own.id, { changes: plan, inputsHash: '' }),
    ];
  }

  #plan() {
    const application = this.#reading.applicationsOf(this.surface().id).find(isShrunk);
    const today = application && shrinkOf(this.#reading.view(), application);
    return today?.kind === 'plan' ? today.plan : undefined;
  }

  #says(same: SameAsLastTime): string {
    const length = (mm: number): string => formatLengthWithUnit(nmFromMm(mm), this.#units());
    if (same.case === 'differs')
      return shrinkWords.shelfDiffers(length(same.worst.here_mm), length(same.worst.shelf_mm));
    return same.case === 'agrees' ? shrinkWords.shelfAgrees : shrinkWords.shelfAsks(same.still);
  }
}

const nameOf = ({ make, model, year, pane }: ShelfRow): string =>
  [make, model, year, pane].filter((part) => part !== '').join(' · ');
