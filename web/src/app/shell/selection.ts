import { Injectable, computed, inject, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router } from '@angular/router';
import { filter, map, startWith } from 'rxjs';
import { JobReading } from '../job/job-reading';
import { shellWords } from '../words/shell';

export const STOPS = ['survey', 'film', 'cut', 'day', 'fit', 'check', 'close'] as const;
export type Stop = (typeof STOPS)[number];
export const STOP_WORDS: Readonly<Record<Stop, string>> = {
  survey: 'Survey',
  film: 'Film',
  cut: 'Cut',
  day: 'Day',
  fit: 'Fit',
  check: 'Check',
  close: shellWords.close,
};

/** The URL is the selection: job, stop and surface are read from it and changed through it. */
@Injectable({ providedIn: 'root' })
export class Selection {
  readonly #router = inject(Router);
  readonly #reading = inject(JobReading);
  readonly #path = toSignal(
    this.#router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map((event) => event.urlAfterRedirects),
      startWith(this.#router.url),
    ),
    { requireSync: true },
  );
  readonly #parts = computed(() => partsOf(this.#path()));
  /**
   * Where one is on the way to, while that page is still being loaded: what is chosen meanwhile is chosen
   * there.
   */
  #bound(): UrlParts {
    /**
     * Asked once, when something is chosen: an effect that chooses must not follow its own navigation round
     * and round.
     */
    return untracked(() => {
      const { finalUrl, extractedUrl } = this.#router.currentNavigation() ?? {};
      return partsOf((finalUrl ?? extractedUrl)?.toString() ?? this.#path());
    });
  }

  readonly jobId = computed(() => this.#parts()?.[1]);
  readonly stop = computed(() => stopIn(this.#parts()));
  readonly surfaceIdInUrl = computed(() => this.#parts()?.[3]);
  /** The surface in the URL, or the first one when the URL names none. */
  readonly surface = computed(
    () =>
      this.#reading.surfaceById().get(this.surfaceIdInUrl() ?? '') ??
      (this.surfaceIdInUrl() === undefined ? this.#reading.surfaces()[0] : undefined),
  );

  goToSurface(surfaceId: string | undefined): void {
    void this.#router.navigate([
      '/jobs',
      this.jobId(),
      stopIn(this.#bound()),
      ...(surfaceId === undefined ? [] : [surfaceId]),
    ]);
  }

  /** A surface at a stop of this job. */
  goTo(stop: Stop, surfaceId: string): void {
    void this.#router.navigate(['/jobs', this.jobId(), stop, surfaceId]);
  }

  goToStop(stop: Stop): void {
    const surfaceId = this.#bound()?.[3];
    void this.#router.navigate([
      '/jobs',
      this.jobId(),
      stop,
      ...(surfaceId === undefined ? [] : [surfaceId]),
    ]);
  }

  /** Does what may take surfaces away; the one chosen gone with them, its nearest neighbour is chosen. */
  throughout(change: () => void): void {
    const before = this.#reading.surfaces().map(({ id }) => id);
    const at = before.indexOf(this.surface()?.id ?? '');
    change();
    if (at < 0 || this.#reading.surfaceById().has(before[at] ?? '')) return;
    const nearest = [...before.slice(0, at).reverse(), ...before.slice(at + 1)];
    this.goToSurface(nearest.find((id) => this.#reading.surfaceById().has(id)));
  }

  /** One surface on or back in the order of the schedule. */
  step(by: 1 | -1): void {
    const surfaces = this.#reading.surfaces();
    const at = surfaces.findIndex(({ id }) => id === this.surface()?.id);
    const next = surfaces[Math.min(surfaces.length - 1, Math.max(0, at + by))];
    if (next !== undefined) this.goToSurface(next.id);
  }
}

type UrlParts = RegExpExecArray | null;

function partsOf(path: string): UrlParts {
  return /^\/jobs\/([^/?#]+)(?:\/([a-z]+))?(?:\/([^/?#]+))?/.exec(path);
}

function stopIn(parts: UrlParts): Stop {
  return STOPS.find((stop) => stop === parts?.[2]) ?? 'survey';
}
