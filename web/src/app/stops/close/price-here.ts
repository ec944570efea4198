import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { summedUp, type SummedBy } from '@yellow-pane/core/reading';
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
    const { lines } = this.desk.here();
    const hour = this.close.job()?.hourCost ?? null;
    const whole = lines.map((line) => ({ ...line, filmName: this.#filmOf(line.filmId) }));
    const groups = summedUp(
      whole.map(({ film, filmName, ...line }) => ({ ...line, filmCost: film, film: filmName, net: 0 })),
      this.by(),
    );
    return groups.map(({ word, area_m2 }) => {
      const own = whole.filter((line) => this.#wordOf(line) === word);
      const minutes = own.reduce((sum, line) => sum + line.minutes, 0);
      return {
        ...{ word, minutes, isAbout: own.some(({ isAbout }) => isAbout) },
        area: formatArea(area_m2 * MM2, this.#units()),
        film: own.reduce((sum, line) => sum + line.film, 0),
        work: hour === null ? null : (minutes / HOUR_MIN) * hour,
        removal: own.reduce((sum, line) => sum + line.removal, 0),
      };
    });
  });

  /** Money in a column whose head names the currency. */
  protected bare(value: number | null): string {
    return value === null ? closeWords.unknown : value.toFixed(2);
  }

  protected workOf(minutes: number): string {
    const hour = this.close.job()?.hourCost ?? null;
    return this.bare(hour === null ? null : (minutes / HOUR_MIN) * hour);
  }

  #filmOf(filmId: string): string {
    return this.close.view().filmById.get(filmId)?.name ?? '';
  }

  #wordOf(line: { readonly tag: string; readonly filmName: string; readonly place: string }): string {
    const by = this.by();
    return by === 'surface' ? line.tag : by === 'film' ? line.filmName : line.place;
  }
}
