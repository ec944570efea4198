import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { type SummedBy, groupedLines } from '@yellow-pane/core/reading';
import { formatArea } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { closeWords } from '../../words/close';
import { Alternatives } from './alternatives';
import { CloseDesk } from './close-desk';
import { QuoteDesk } from './quote-desk';

const HOUR_MIN = 60;
const MM2 = 1e6;
const WAYS: readonly SummedBy[] = ['surface', 'film', 'place'];

/** What the job costs, by surface, film or place; and what else it could be. */
@Component({
  selector: 'yp-price-here',
  imports: [Alternatives],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './price-here.html',
  host: { class: 'contents' },
})
export class PriceHere {
  protected readonly words = closeWords;
  protected readonly desk = inject(QuoteDesk);
  protected readonly close = inject(CloseDesk);
  readonly #units = inject(Device).units;
  protected readonly ways = WAYS.map((way) => ({ way, word: closeWords.by(way) }));
  protected readonly by = signal<SummedBy>('surface');
  protected readonly filmAll = computed(() =>
    this.desk.here().lines.reduce((sum, line) => sum + line.film, 0),
  );

  /** The lines, or groups of them, with what each costs. */
  protected readonly rows = computed(() => {
    const view = this.close.view();
    const lines = this.desk.here().lines.map((line) => ({
      ...{ ...line, cost: line.film, film: view.filmById.get(line.filmId)?.name ?? '' },
    }));
    return groupedLines(lines, this.by()).map(({ word, lines: own }) => {
      const sum = (of: (line: (typeof own)[number]) => number): number =>
        own.reduce((all, line) => all + of(line), 0);
      return {
        ...{ word, isAbout: own.some(({ isAbout }) => isAbout) },
        area: formatArea(sum(({ area_m2 }) => area_m2) * MM2, this.#units()),
        film: this.close.bare(sum(({ cost }) => cost)),
        minutes: sum(({ minutes }) => minutes),
        removal: sum(({ removal }) => removal),
      };
    });
  });

  protected workOf(minutes: number): string {
    const hour = this.close.job()?.hourCost ?? null;
    return this.close.bare(hour === null ? null : (minutes / HOUR_MIN) * hour);
  }
}
