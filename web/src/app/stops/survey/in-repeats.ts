import { Injectable, computed, inject } from '@angular/core';
import { type AskedMeasure, isSameMeasure } from '@yellow-pane/core/measure';
import type { RowOf } from '@yellow-pane/core/job';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { surveyWords } from '../../words/survey';
import { Measuring } from './measuring';

/** A measure that was just changed here and stands otherwise in the repeats of this surface. */
@Injectable()
export class InRepeats {
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #measuring = inject(Measuring);

  readonly offered = computed(() => {
    const changed = this.#measuring.changedHere();
    if (changed === undefined || changed.surfaceId !== this.#measuring.surface()?.id) return undefined;
    const others = this.#reading
      .repeatsOf(changed.surfaceId)
      .filter(({ id }) => id !== changed.surfaceId && this.#reading.measuresOf(id).length > 0);
    const differing = others.filter(
      ({ id }) => this.#sameMeasureOf(id, changed)?.value_nm !== changed.value_nm,
    );
    return differing.length === 0 ? undefined : { changed, differing };
  });

  /** Sets it in all of them, as one change. */
  setInOthers(): void {
    const offer = this.offered();
    if (offer === undefined) return;
    const { changed, differing } = offer;
    const { kind, from, to, text, unit, value_nm, instrument } = changed;
    const ops = differing.map(({ id }) => {
      const row = this.#sameMeasureOf(id, changed);
      const read = { text, unit, value_nm, instrument };
      return row === undefined
        ? this.#desk.put('measure', {
            ...{ surfaceId: id, kind, fromPoint: from, toPoint: to, sd_nm: null },
            ...read,
          })
        : this.#desk.set('measure', row.id, read);
    });
    this.#desk.do(surveyWords.setInRepeats(this.#measuring.word(changed), text, differing.length), ops);
    this.letBe();
  }

  /** Only here. */
  letBe(): void {
    this.#measuring.changedHere.set(undefined);
  }

  #sameMeasureOf(surfaceId: string, measure: AskedMeasure): RowOf<'measure'> | undefined {
    return this.#reading
      .measuresOf(surfaceId)
      .find(({ kind, fromPoint, toPoint }) => isSameMeasure({ kind, from: fromPoint, to: toPoint }, measure));
  }
}
