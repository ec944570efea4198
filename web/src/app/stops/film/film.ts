import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { DOCUMENT } from '@angular/common';
import { RouterLink } from '@angular/router';
import type { RowOf } from '@yellow-pane/core/job';
import { Catalogue } from '../../catalogue/catalogue';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Commands } from '../../shell/commands';
import { ScheduleMarks } from '../../shell/schedule-marks';
import { Selection } from '../../shell/selection';
import { StopFrame } from '../../shell/stop-frame';
import { filmWords } from '../../words/film';
import { BriefPanel } from './brief-panel';
import { Choosing, type FilmView } from './choosing';
import { CompareView } from './compare-view';
import { CustomerSheet } from './customer-sheet';
import { FacadeView } from './facade-view';
import { FilmTable } from './film-table';
import { FilmVerdict } from './film-verdict';
import { PreviewView } from './preview-view';
import { StressView } from './stress-view';
import { chosenFilm, surfaceRowsOf } from '@yellow-pane/core/reading';
import { TradeChart } from './trade-chart';

/**
 * Choosing a film for one surface, or for all that are marked: which are fit, what each does, what it may
 * break, and why.
 */
@Component({
  selector: 'yp-film-stop',
  imports: [
    StopFrame,
    BriefPanel,
    TradeChart,
    FilmTable,
    FilmVerdict,
    CompareView,
    StressView,
    PreviewView,
    FacadeView,
    CustomerSheet,
    RouterLink,
  ],
  providers: [Choosing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './film.html',
  host: { class: 'contents' },
})
export class FilmStop {
  protected readonly words = filmWords;
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #marks = inject(ScheduleMarks);
  readonly #selection = inject(Selection);
  protected readonly choosing = inject(Choosing);
  protected readonly catalogue = inject(Catalogue);
  protected readonly isGlass = this.choosing.isGlass;
  protected readonly isPartition = this.choosing.isPartition;
  protected readonly limits = computed(() => {
    const focus = this.choosing.focus();
    const brief = focus === undefined ? undefined : this.#reading.briefFor(focus);
    return { light: brief?.lightKeptLeast ?? null, heatOff: brief?.heatOffLeast ?? null };
  });
  protected readonly wantsPrivacy = computed(() => {
    const focus = this.choosing.focus();
    const brief = focus === undefined ? undefined : this.#reading.briefFor(focus);
    return this.isPartition() || (brief !== undefined && brief.hiddenByDay + brief.hiddenByNight > 0);
  });
  protected readonly width_mm = computed(() => {
    const focus = this.choosing.focus();
    return focus === undefined ? null : surfaceRowsOf(this.#reading.view(), focus).width_mm;
  });
  protected readonly targetWord = computed(() => {
    const targets = this.choosing.targets();
    return targets.length === 1 ? (targets[0]?.tag ?? '') : filmWords.markedSurfaces(targets.length);
  });
  protected readonly isOnAlready = computed(() => {
    const film = this.choosing.chosen();
    return (
      film !== undefined &&
      this.choosing
        .targets()
        .every(({ id }) => this.#reading.applicationsOf(id).some(({ filmId }) => filmId === film.id))
    );
  });
  protected readonly useWord = computed(() => {
    const film = this.choosing.chosen();
    if (film === undefined) return filmWords.chooseAbove;
    if (this.isOnAlready()) return filmWords.filmIsOn(film.name, this.targetWord());
    return filmWords.useOn(
      film.name,
      this.targetWord(),
      this.choosing.overTargets().verdict === 'stop' ? filmWords.allTheSame : '',
    );
  });
  protected readonly views = computed<readonly { readonly view: FilmView; readonly word: string }[]>(() => [
    { view: 'choose', word: filmWords.choose },
    { view: 'compare', word: filmWords.compareCount(this.choosing.compared().length) },
    ...(this.isGlass() && !this.isPartition() ? [{ view: 'stress' as const, word: filmWords.stress }] : []),
    ...(this.isGlass() ? [{ view: 'preview' as const, word: filmWords.preview }] : []),
    { view: 'facade', word: filmWords.wholeFrontTab },
    { view: 'sheet', word: filmWords.customerSheet },
  ]);
  protected readonly nameOf = (filmId: string): string => this.choosing.nameOf(filmId);

  readonly #document = inject(DOCUMENT);

  constructor() {
    const view = (id: FilmView, word: string, keys: string) => ({
      id: `film-${id}`,
      word,
      keys,
      canRun: () => this.choosing.films().length > 0,
      run: () => {
        this.choosing.view.set(id);
      },
    });
    inject(Commands).offer([
      {
        id: 'use-film',
        word: filmWords.useChosen,
        keys: 'Alt+Enter',
        canRun: () => this.choosing.chosen() !== undefined && this.choosing.targets().length > 0,
        run: () => {
          this.use();
        },
      },
      {
        id: 'film-list',
        word: filmWords.toTheFilms,
        keys: 'Alt+G',
        canRun: () => this.choosing.films().length > 0,
        run: () => {
          this.toTheFilms();
        },
      },
      view('choose', filmWords.chooseAFilm, 'Alt+C'),
      view('compare', filmWords.sideBySide, 'Alt+B'),
      view('stress', filmWords.glassStress, 'Alt+S'),
      view('preview', filmWords.preview, 'Alt+V'),
      view('facade', filmWords.wholeFront, 'Alt+W'),
      view('sheet', filmWords.customerSheet, 'Alt+K'),
    ]);
  }

  /** Into the list, at the film that is chosen, else at the first: arrow keys walk it from there. */
  protected toTheFilms(): void {
    this.choosing.view.set('choose');
    const films = '[name=film]';
    setTimeout(() => {
      (
        this.#document.querySelector<HTMLElement>(`${films}:checked`) ??
        this.#document.querySelector<HTMLElement>(films)
      )?.focus();
    });
  }

  /** One film a surface and side: choosing another replaces it. */
  protected use(): void {
    const film = this.choosing.chosen();
    if (film === undefined) return;
    const changed: string[] = [];
    const ops = this.choosing.targets().flatMap((surface) => {
      const { side, method, there } = chosenFilm(this.#reading.view(), surface, film);
      if (there?.filmId === film.id) return [];
      const hasChanged = there !== undefined && there.method !== method;
      if (hasChanged) changed.push(filmWords.wayChanged(surface.tag, there.method, method));
      if (there !== undefined) return [this.#desk.set('application', there.id, { filmId: film.id, method })];
      return [
        this.#desk.put('application', {
          surfaceId: surface.id,
          side,
          filmId: film.id,
          method,
          schools: {},
          over: null,
          position: 1,
        }),
      ];
    });
    this.#desk.do(filmWords.filmOn(film.name, this.targetWord()), ops);
    this.#desk.say(
      ops.length === 0
        ? filmWords.thereAlready(film.name)
        : filmWords.filmIsOnNow(
            film.name,
            this.targetWord(),
            changed.length === 0
              ? ''
              : filmWords.waysChanged(
                  changed.slice(0, 3).join('; '),
                  changed.length > 3 ? filmWords.andMore(changed.length - 3) : '',
                ),
          ),
    );
  }

  protected takeOff(application: RowOf<'application'>): void {
    this.#desk.do(filmWords.filmTakenOff(this.choosing.focus()?.tag ?? ''), [
      this.#desk.remove('application', application.id),
    ]);
  }

  protected visit(surfaceId: string): void {
    this.#marks.clear();
    this.#selection.goToSurface(surfaceId);
  }
}
