import { Injectable, computed, inject, signal } from '@angular/core';
import { OPPOSITE_SIDE, type SeenFrom } from '@yellow-pane/core/job';
import { type AskedMeasure, type MeasureSlot, measureWord, mirroredMeasure } from '@yellow-pane/core/measure';
import { readKept, writeKept } from '../../device/keep';
import { Selection } from '../../shell/selection';

const KEY = 'looks';
const MOST_KEPT = 500;

/**
 * From which side the surface in hand is looked at: the one source for drawing, words, buttons, tables and
 * fields. Kept over a reload.
 */
@Injectable()
export class Looking {
  readonly #surface = inject(Selection).surface;
  readonly #others = signal<readonly string[]>(readLooks());
  readonly isOther = computed(() => this.#others().includes(this.#surface()?.id ?? ''));
  readonly from = computed<SeenFrom>(() => {
    const seenFrom = this.#surface()?.seenFrom ?? 'room';
    return this.isOther() ? OPPOSITE_SIDE[seenFrom] : seenFrom;
  });

  /** To the other side of the surface, or back. */
  turn(): void {
    const id = this.#surface()?.id;
    if (id === undefined) return;
    this.#others.update((others) =>
      others.includes(id) ? others.filter((own) => own !== id) : [...others, id].slice(-MOST_KEPT),
    );
    writeKept(KEY, this.#others());
  }

  /** What a measure is called from where one looks. */
  word(slots: readonly MeasureSlot[], measure: AskedMeasure): string {
    return measureWord(slots, this.isOther() ? mirroredMeasure(measure) : measure);
  }
}

function readLooks(): readonly string[] {
  const kept = readKept(KEY);
  return Array.isArray(kept)
    ? kept.filter((id): id is string => typeof id === 'string').slice(-MOST_KEPT)
    : [];
}
