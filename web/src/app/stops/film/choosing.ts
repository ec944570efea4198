import { FilmSheets } from '../../catalogue/film-sheets';
import { DestroyRef, Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import {
  type FilmAnswer,
  type SweepSurface,
  type WhatIf,
  bestTradeOffs,
  byFitness,
  insteadOf,
  whyNot,
} from '@yellow-pane/core/choosing';
import { type Film, type RowOf, isGlass, isPartition } from '@yellow-pane/core/job';
import { worstVerdict } from '@yellow-pane/core/quantity';
import { whyNotWords } from '@yellow-pane/contracts/words';
import { Catalogue } from '../../catalogue/catalogue';
import { JobReading } from '../../job/job-reading';
import { ScheduleMarks } from '../../shell/schedule-marks';
import { Selection } from '../../shell/selection';
import { FilmPool } from '../../workers/film-pool';
import type { SweepAnswer } from '../../workers/film.worker';
import { surfaceRowsOf } from '@yellow-pane/core/reading';

export type FilmView = 'choose' | 'compare' | 'stress' | 'preview' | 'facade' | 'sheet';
export const MOST_COMPARED = 4;
const SETTLE_MS = 120;

interface Question {
  readonly surfaces: readonly SweepSurface[];
  readonly films: readonly { readonly id: string; readonly film: Film }[];
}

/**
 * What films do on the surfaces looked at: judged away from the page each time a fact, wish or film changes.
 */
@Injectable()
export class Choosing {
  readonly #reading = inject(JobReading);
  readonly #pool = inject(FilmPool);
  readonly #catalogue = inject(Catalogue);
  readonly #marks = inject(ScheduleMarks);
  readonly surface = inject(Selection).surface;
  readonly view = signal<FilmView>('choose');
  readonly #picked = signal<string | undefined>(undefined);
  readonly compared = signal<readonly string[]>([]);
  readonly #sweep = signal<SweepAnswer | undefined>(undefined);
  readonly progress = signal<number | undefined>(undefined);
  readonly fault = signal<string | undefined>(undefined);
  readonly whatIf = signal<readonly WhatIf[]>([]);
  #running: AbortController | undefined;

  /** The marked surfaces, or else the selected one. */
  readonly targets = computed<readonly RowOf<'surface'>[]>(() => {
    const marked = this.#reading.surfaces().filter(({ id }) => this.#marks.markedIds().has(id));
    const surface = this.surface();
    return marked.length > 0 ? marked : surface === undefined ? [] : [surface];
  });
  /** The one whose figures are shown: the selected one, or the first that is marked. */
  readonly focus = computed(
    () => this.targets().find(({ id }) => id === this.surface()?.id) ?? this.targets()[0],
  );
  readonly isGlass = computed(() => {
    const focus = this.focus();
    return focus !== undefined && isGlass(focus);
  });
  readonly isPartition = computed(() => {
    const focus = this.focus();
    return focus !== undefined && isPartition(focus);
  });
  /**
   * Where it stands, with all that is to be judged with it: on the façade view everything of one kind there.
   */
  readonly judged = computed<readonly RowOf<'surface'>[]>(() => {
    const focus = this.focus();
    if (this.view() !== 'facade' || focus === undefined) return this.targets();
    const there = this.#reading
      .surfaces()
      .filter(({ placeId, kind }) => placeId === focus.placeId && kind === focus.kind);
    return [...there, ...this.targets().filter(({ id }) => !there.some((other) => other.id === id))];
  });
  readonly films = computed(() => this.#catalogue.films());
  readonly #question = computed<Question>(() => ({
    surfaces: this.judged().map((surface) => ({
      id: surface.id,
      rows: surfaceRowsOf(this.#reading.view(), surface),
    })),
    films: this.films().map((film) => ({ id: film.id, film })),
  }));

  readonly answers = computed<readonly FilmAnswer[]>(() =>
    [...this.answersOf(this.focus()?.id)].sort(byFitness),
  );
  /** Somebody asked for a least share of light or a least share of heat off. */
  readonly hasLimits = computed(() => {
    const focus = this.focus();
    const brief = focus === undefined ? undefined : this.#reading.briefFor(focus);
    return (brief?.lightKeptLeast ?? brief?.heatOffLeast ?? null) !== null;
  });
  readonly best = computed(() => {
    const [first] = this.answers();
    return first !== undefined && first.verdict !== 'stop' ? first : undefined;
  });
  readonly applied = computed(() =>
    this.#reading
      .applicationsOf(this.focus()?.id ?? '')
      .map((application) => ({ application, film: this.#catalogue.byId().get(application.filmId) })),
  );
  readonly chosenId = computed(() => this.#picked() ?? this.applied()[0]?.film?.id ?? this.best()?.filmId);
  readonly chosen = computed(() => this.#catalogue.byId().get(this.chosenId() ?? ''));
  readonly answer = computed(() => this.answers().find(({ filmId }) => filmId === this.chosenId()));
  /** Over all that is marked: the most careful verdict, and who it stops. */
  readonly overTargets = computed(() => {
    const each = this.targets().flatMap(({ id, tag }) => {
      const answer = this.answersOf(id).find(({ filmId }) => filmId === this.chosenId());
      return answer === undefined ? [] : [{ tag, verdict: answer.verdict }];
    });
    return {
      verdict: worstVerdict(each.map(({ verdict }) => verdict)),
      stopped: each.filter(({ verdict }) => verdict === 'stop').map(({ tag }) => tag),
    };
  });
  readonly instead = computed(() => {
    const answer = this.answer();
    return answer?.verdict === 'stop' ? insteadOf(answer, this.answers()) : undefined;
  });
  readonly tradeOffs = computed(
    () =>
      new Set(
        bestTradeOffs(
          this.answers().flatMap(({ filmId, performance, verdict }) =>
            performance === null || verdict === 'stop'
              ? []
              : [
                  {
                    id: filmId,
                    lightKept: performance.lightKept.value,
                    heatKept: performance.heatKept.value,
                  },
                ],
          ),
        ),
      ),
  );
  readonly whyNot = computed(() => {
    const [answer, best] = [this.answer(), this.best()];
    return answer === undefined
      ? []
      : whyNot(answer, best).map((why) => whyNotWords(why, this.nameOf(best?.filmId)));
  });

  constructor() {
    void inject(FilmSheets).load();
    effect((onCleanup) => {
      const question = this.#question();
      const timer = setTimeout(() => {
        void this.#judge(question);
      }, SETTLE_MS);
      onCleanup(() => {
        clearTimeout(timer);
      });
    });
    effect(() => {
      const [film, surface, answer] = [this.chosen(), this.focus(), this.answer()];
      this.whatIf.set([]);
      if (film === undefined || surface === undefined || !isGlass(surface) || answer === undefined) return;
      const rows = untracked(() => surfaceRowsOf(this.#reading.view(), surface));
      void this.#pool.whatIf(rows, { id: film.id, film }).then(
        (found) => {
          if (untracked(this.chosen) === film && untracked(this.focus) === surface) this.whatIf.set(found);
        },
        () => undefined,
      );
    });
    inject(DestroyRef).onDestroy(() => {
      this.stop();
    });
  }

  answersOf(surfaceId: string | undefined): readonly FilmAnswer[] {
    const sweep = this.#sweep();
    const at = sweep?.of[surfaceId ?? ''];
    return at === undefined ? [] : (sweep?.lists[at] ?? []);
  }

  nameOf(filmId: string | undefined): string {
    return this.#catalogue.byId().get(filmId ?? '')?.name ?? 'none';
  }

  /** Names of the films on a surface now, for a table. */
  appliedNames(surfaceId: string): string {
    return (
      this.#reading
        .applicationsOf(surfaceId)
        .map(({ filmId }) => this.nameOf(filmId))
        .join(', ') || 'none'
    );
  }

  pick(filmId: string): void {
    this.#picked.set(filmId);
  }

  /** Forgets what was picked by hand: what is on the surface, or the best, is looked at again. */
  pickNone(): void {
    this.#picked.set(undefined);
  }

  toggleCompared(filmId: string): void {
    this.compared.update((ids) =>
      ids.includes(filmId) ? ids.filter((id) => id !== filmId) : [...ids, filmId].slice(-MOST_COMPARED),
    );
  }

  stop(): void {
    this.#running?.abort(new DOMException('stopped', 'AbortError'));
    this.#running = undefined;
    this.progress.set(undefined);
  }

  async #judge({ surfaces, films }: Question): Promise<void> {
    this.stop();
    if (surfaces.length === 0 || films.length === 0) return;
    const run = new AbortController();
    this.#running = run;
    this.progress.set(0);
    try {
      const found = await this.#pool.judge(surfaces, films, {
        signal: run.signal,
        onProgress: (share) => {
          if (this.#running === run) this.progress.set(share);
        },
      });
      if (this.#running !== run) return;
      this.#sweep.set(found);
      this.fault.set(undefined);
    } catch (error) {
      if (!run.signal.aborted) this.fault.set(error instanceof Error ? error.message : String(error));
    } finally {
      if (this.#running === run) {
        this.#running = undefined;
        this.progress.set(undefined);
      }
    }
  }
}
