import { Injectable, inject, signal } from '@angular/core';
import { readCutPlanFile } from '@yellow-pane/contracts/cut-files';
import { figuresIn } from '@yellow-pane/contracts/words';
import { type NotReadBack, blanksOfFilm, pinsOfPlan } from '@yellow-pane/core/reading';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { StockHere } from '../../job/stock-here';
import { cutWords } from '../../words/cut';
import { Cutting } from './cutting';
import { pieceWord } from './cut-words';
import { Layouts } from './layouts';

const MOST_SAID = 6;

/** Lays a film out as a plan that was taken out had it. */
@Injectable({ providedIn: 'root' })
export class PlanBack {
  readonly #cutting = inject(Cutting);
  readonly #layouts = inject(Layouts);
  readonly #reading = inject(JobReading);
  readonly #stock = inject(StockHere);
  readonly #units = inject(Device).units;
  /** What of the plan could not be taken over, or that all of it was. */
  readonly says = signal<string | undefined>(undefined);

  async read(text: string): Promise<void> {
    const film = this.#cutting.film();
    if (film === undefined) return;
    const file = readCutPlanFile(text);
    if ('refused' in file) {
      this.says.set(file.refused);
      return;
    }
    const { plan } = file;
    if (plan.film !== film.name) {
      this.says.set(cutWords.planOfAnother(plan.film, film.name));
      return;
    }
    this.#cutting.chooseMode(plan.mode);
    this.#cutting.liner.set(plan.liner);
    const labels = new Map(this.#stock.items().map(({ id, label }) => [id, label]));
    let not: readonly NotReadBack[] = [];
    const fault = await this.#layouts.layOut({
      filmId: film.id,
      filmName: film.name,
      settings: this.#cutting.settings(),
      pins: (order) => {
        const { blanks } = blanksOfFilm(this.#reading.view(), film.id);
        const read = pinsOfPlan(plan.rolls, order, blanks, (id) => labels.get(id));
        not = read.not;
        return read.pins;
      },
    });
    this.#cutting.say(fault, film.id);
    this.says.set(fault === undefined ? this.#toldOf(not) : undefined);
  }

  #toldOf(not: readonly NotReadBack[]): string {
    if (not.length === 0) return cutWords.planReadBack;
    const more = not.length > MOST_SAID ? cutWords.andMore(not.length - MOST_SAID) : '';
    return `${cutWords.planReadInPart} ${not
      .slice(0, MOST_SAID)
      .map((own) => this.#sentence(own))
      .join(' ')}${more}`;
  }

  #sentence(own: NotReadBack): string {
    if (own.case === 'no such roll') return cutWords.noSuchRoll(own.label);
    const word = pieceWord({ ...own, dropOf: own.of });
    if (own.case === 'no such blank') return cutWords.noSuchBlank(word);
    const { length } = figuresIn(this.#units());
    const size = ([across, along]: readonly [number, number]): string =>
      `${length(across)} × ${length(along)}`;
    return cutWords.anotherSize(word, size(own.was_mm), size(own.now_mm));
  }
}
