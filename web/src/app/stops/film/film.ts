import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { DEFAULT_SCHOOLS } from '@yellow-pane/core/fitting';
import type { CutMethod, RowOf } from '@yellow-pane/core/job';
import type { FilmRow } from '@yellow-pane/contracts';
import { type Verdict, formatLengthWithUnit } from '@yellow-pane/core/quantity';
import { Catalogue } from '../../catalogue/catalogue';
import { Device } from '../../device/device';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Commands } from '../../shell/commands';
import { ScheduleMarks } from '../../shell/schedule-marks';
import { Selection } from '../../shell/selection';
import { CautionNote } from '../../ui/caution-note';
import { StopFrame } from '../../ui/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';
import { FilmSwatch } from './film-swatch';

const METHOD_OF_FAMILY: Partial<Record<FilmRow['family'], CutMethod>> = { security: 'security', decor: 'decor' };
const FAMILY_ORDER: readonly FilmRow['family'][] = ['solar', 'frosted', 'security', 'decor', 'textured wall', 'wrap', 'exterior protection'];

/** Choosing a film for one surface, or for all that are marked. */
@Component({
  selector: 'yp-film-stop',
  imports: [StopFrame, VerdictBox, CautionNote, FilmSwatch, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './film.html',
  host: { class: 'contents' },
})
export class FilmStop {
  readonly #desk = inject(JobDesk);
  protected readonly reading = inject(JobReading);
  protected readonly selection = inject(Selection);
  protected readonly marks = inject(ScheduleMarks);
  protected readonly catalogue = inject(Catalogue);
  readonly #units = inject(Device).units;
  protected readonly surface = this.selection.surface;
  protected readonly chosenId = signal<string | undefined>(undefined);
  protected readonly chosen = computed(() => this.catalogue.byId().get(this.chosenId() ?? ''));
  protected readonly families = computed(() => FAMILY_ORDER.map((family) => ({ family, films: this.catalogue.films().filter((film) => film.family === family) })).filter(({ films }) => films.length > 0));
  /** The marked surfaces, or else the selected one. */
  protected readonly targets = computed<readonly RowOf<'surface'>[]>(() => {
    const marked = this.reading.surfaces().filter(({ id }) => this.marks.markedIds().has(id));
    const surface = this.surface();
    return marked.length > 0 ? marked : surface === undefined ? [] : [surface];
  });
  protected readonly targetWord = computed(() => (this.targets().length === 1 ? (this.targets()[0]?.tag ?? '') : `${this.targets().length} marked surfaces`));
  protected readonly applied = computed(() => this.reading.applicationsOf(this.surface()?.id ?? '').map((application) => ({ application, film: this.catalogue.byId().get(application.filmId) })));
  protected readonly finding = computed<{ readonly verdict: Verdict; readonly heading: string; readonly says: string }>(() => {
    const condition = this.surface()?.condition;
    if (condition === 'cracked' || condition === 'chipped') return { verdict: 'stop', heading: 'Stop: damaged glass', says: `This glass is ${condition}. Film adds heat to it. Replace the glass first; a licensed glazier decides.` };
    const hasSolar = this.applied().some(({ film }) => film?.family === 'solar') || this.chosen()?.family === 'solar';
    if (hasSolar) return { verdict: 'unknown', heading: 'Glass stress: unknown', says: 'Whether the sun will crack this glass behind this film is not reckoned in this version. Ask the makers of the glass and of the film.' };
    return { verdict: 'unknown', heading: 'Fitness: unknown', says: 'Whether this film suits this surface is not reckoned in this version. The film\'s data sheet decides.' };
  });

  constructor() {
    inject(Commands).offer([
      { id: 'use-film', word: 'Use the chosen film here', keys: 'Alt+Enter', canRun: () => this.chosen() !== undefined && this.targets().length > 0, run: () => { this.use(); } },
    ]);
  }

  protected widths(film: FilmRow): string {
    return film.widths_nm.map((width) => formatLengthWithUnit(width, this.#units())).join(' · ');
  }

  protected percent(share: number | null): string {
    return share === null ? 'unknown' : `${Math.round(share * 100)} %`;
  }

  /** One film a surface and side: choosing another replaces it. */
  protected use(): void {
    const film = this.chosen();
    if (film === undefined) return;
    const method = METHOD_OF_FAMILY[film.family] ?? 'trim in place';
    const ops = this.targets().flatMap((surface) => {
      const there = this.reading.applicationsOf(surface.id).find(({ side }) => side === surface.seenFrom);
      if (there?.filmId === film.id) return [];
      if (there !== undefined) return [this.#desk.set('application', there.id, { filmId: film.id, method })];
      return [this.#desk.put('application', { surfaceId: surface.id, side: surface.seenFrom, filmId: film.id, method, ...DEFAULT_SCHOOLS, position: 1 })];
    });
    this.#desk.do(`${film.name} on ${this.targetWord()}`, ops);
    this.#desk.say(ops.length === 0 ? `${film.name} was there already.` : `${film.name} is on ${this.targetWord()}.`);
  }

  protected takeOff(application: RowOf<'application'>): void {
    const work = this.reading.workOf(application.id).map(({ id }) => this.#desk.remove('workRecord', id));
    this.#desk.do(`${this.surface()?.tag ?? ''}: film taken off`, [...work, this.#desk.remove('application', application.id)]);
  }
}
