import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  afterRenderEffect,
  computed,
  effect,
  inject,
  input,
  untracked,
  viewChild,
} from '@angular/core';
import { Title } from '@angular/platform-browser';
import { RouterLink, RouterOutlet } from '@angular/router';
import { NgIcon, provideIcons } from '@ng-icons/core';
import { lucideRedo2, lucideTextSearch, lucideUndo2 } from '@ng-icons/lucide';
import { Catalogue } from '../catalogue/catalogue';
import { FilmSheets } from '../catalogue/film-sheets';
import { ExperienceBook } from '../catalogue/experience-book';
import { LearnedFigures } from '../catalogue/learned-figures';
import { JobDesk } from '../job/job-desk';
import { JobReading } from '../job/job-reading';
import { shellWords } from '../words/shell';
import { CommandKeys } from './command-keys';
import { Commands } from './commands';
import { ConflictBox } from './conflict-box';
import { DayBand } from './day-band';
import { GeneralCommands } from './general-commands';
import { Panels } from './panels';
import { SavedState } from './saved-state';
import { Schedule } from './schedule';
import { ScheduleMarks } from './schedule-marks';
import { STOPS, STOP_WORDS, Selection } from './selection';
import { StopSummaries } from './stop-summaries';
import { WaitsStrip } from './waits-strip';

/** One job: the seven stops above, the schedule left, the stop in the middle and right, the day below. */
@Component({
  selector: 'yp-job-shell',
  imports: [RouterOutlet, RouterLink, NgIcon, Schedule, DayBand, SavedState, ConflictBox, WaitsStrip],
  providers: [ScheduleMarks],
  viewProviders: [provideIcons({ lucideRedo2, lucideTextSearch, lucideUndo2 })],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './job-shell.html',
})
export class JobShell {
  protected readonly words = shellWords;
  readonly jobId = input.required<string>();
  protected readonly desk = inject(JobDesk);
  protected readonly reading = inject(JobReading);
  protected readonly selection = inject(Selection);
  protected readonly summaries = inject(StopSummaries);
  protected readonly panels = inject(Panels);
  protected readonly commandKeys = inject(CommandKeys);
  protected readonly stops = STOPS.map((stop, index) => ({
    stop,
    word: STOP_WORDS[stop],
    key: `Alt+${index + 1}`,
  }));
  protected readonly status = computed(() => this.desk.state().status);
  protected readonly name = computed(() => this.reading.job()?.name ?? '');
  private readonly scheduleView = viewChild(Schedule);

  constructor() {
    const catalogue = inject(Catalogue);
    const title = inject(Title);
    effect(() => {
      const jobId = this.jobId();
      untracked(() => {
        this.desk.open(jobId);
      });
    });
    effect(() => {
      title.setTitle(
        shellWords
          .stopTitle(this.selection.surface()?.tag ?? '', STOP_WORDS[this.selection.stop()], this.name())
          .trim(),
      );
    });
    effect(() => {
      this.selection.surfaceIdInUrl();
      untracked(() => {
        this.panels.hasSchedule.set(false);
      });
    });
    afterRenderEffect(() => {
      this.selection.stop();
      document
        .querySelector('nav [aria-current=page]')
        ?.scrollIntoView({ inline: 'nearest', block: 'nearest' });
    });
    void catalogue.load();
    void inject(LearnedFigures).load();
    void inject(ExperienceBook).load();
    const sheets = inject(FilmSheets);
    void sheets.load();
    effect(() => {
      const films = new Set(this.reading.applications().map(({ filmId }) => filmId));
      sheets.byFilm();
      untracked(() => {
        void sheets.keepHere(films);
      });
    });
    inject(DestroyRef).onDestroy(() => {
      this.desk.close();
    });
    inject(GeneralCommands).offer();
    this.#offerCommands();
  }

  protected undo(): void {
    this.selection.throughout(() => {
      this.desk.undo();
    });
  }

  protected redo(): void {
    this.selection.throughout(() => {
      this.desk.redo();
    });
  }

  #offerCommands(): void {
    inject(Commands).offer([
      ...this.stops.map(({ stop, word, key }) => ({
        id: `stop-${stop}`,
        about: 'elsewhere' as const,
        word: shellWords.goTo(word),
        keys: key,
        run: () => {
          this.selection.goToStop(stop);
        },
      })),
      {
        id: 'undo',
        about: 'job',
        word: shellWords.undo,
        keys: 'Ctrl+Z',
        canRun: () => this.desk.canUndo() !== undefined,
        run: () => {
          this.undo();
        },
      },
      {
        id: 'redo',
        about: 'job',
        word: shellWords.redo,
        keys: 'Ctrl+Y or Ctrl+Shift+Z',
        canRun: () => this.desk.canRedo() !== undefined,
        run: () => {
          this.redo();
        },
      },
      {
        id: 'find',
        about: 'job',
        word: shellWords.findSurface,
        keys: '/',
        run: () => {
          this.scheduleView()?.focusFilter();
        },
      },
      {
        id: 'next-surface',
        about: 'job',
        word: shellWords.nextSurface,
        keys: 'Alt+ArrowDown',
        run: () => {
          this.selection.step(1);
        },
      },
      {
        id: 'previous-surface',
        about: 'job',
        word: shellWords.previousSurface,
        keys: 'Alt+ArrowUp',
        run: () => {
          this.selection.step(-1);
        },
      },
    ]);
  }
}
