import { Injectable, computed, inject } from '@angular/core';
import { type MixLine, kitList, mixSheet } from '@yellow-pane/core/day';
import { LearnedFigures } from '../../catalogue/learned-figures';
import { Planning } from './planning';

/** What is mixed and packed for the days planned. */
@Injectable()
export class WhatToBring {
  readonly #planning = inject(Planning);
  readonly #learned = inject(LearnedFigures);

  /** The warmest it will be, indoors or out: liquids are mixed for it. */
  readonly warmest_C = computed(() => {
    const { from_ms, to_ms } = this.#planning.clock();
    return Math.max(
      this.#planning.indoor().air_C,
      ...this.#planning.weather
        .hours()
        .filter(({ instant_ms }) => instant_ms >= from_ms && instant_ms < to_ms)
        .map(({ air_C }) => air_C),
    );
  });
  /** The coldest it will be where the work is, indoors: primer is mixed for it. */
  readonly coldest_C = computed(() => this.#planning.indoor().air_C);
  readonly mixes = computed<readonly MixLine[]>(() =>
    mixSheet({
      surfaces: this.#planning.surfaces(),
      slip: this.#planning.settings().slip,
      primer: this.#planning.settings().primer,
      air_C: this.warmest_C(),
      coldest_C: this.coldest_C(),
      ...(this.#learned.figures().length === 0 ? {} : { learned: this.#learned.figures() }),
    }),
  );
  readonly kit = computed(() =>
    kitList(
      this.#planning.surfaces(),
      [...this.#planning.works().values()].flatMap(({ parts }) => parts),
    ),
  );
}
