import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { surveyWords } from '../../words/survey';

/** Which place a surface is at, or which make-up of glass it has: chosen where place or glass is told. */
@Component({
  selector: 'yp-belongs-to',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="block mb-2"
      ><span class="block">{{ words.belongsTo(surface().tag, to()) }}</span
      ><select class="field" (change)="choose($any($event.target).value)">
        @if (to() === 'glass') {
          <option value="" [selected]="surface().unitId === null">{{ words.unknown }}</option>
        }
        @for (row of rows(); track row.id) {
          <option [value]="row.id" [selected]="row.id === chosen()">{{ row.name }}</option>
        }
      </select></label
    >
  `,
})
export class BelongsTo {
  protected readonly words = surveyWords;
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly surface = input.required<RowOf<'surface'>>();
  readonly to = input.required<'place' | 'glass'>();
  protected readonly rows = computed((): readonly { readonly id: string; readonly name: string }[] =>
    this.to() === 'place' ? this.#reading.places() : this.#reading.units(),
  );
  protected readonly chosen = computed(() =>
    this.to() === 'place' ? this.surface().placeId : this.surface().unitId,
  );

  protected choose(id: string): void {
    const { id: surfaceId, tag } = this.surface();
    const fields = this.to() === 'place' ? { placeId: id } : { unitId: id === '' ? null : id };
    this.#desk.do(`${tag}: ${this.to()}`, [this.#desk.set('surface', surfaceId, fields)]);
  }
}
