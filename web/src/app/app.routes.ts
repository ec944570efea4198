import type { Route, Routes, UrlMatcher } from '@angular/router';
import { shellWords } from './words/shell';

/** `survey` and `survey/<surface>` are one route, so that choosing a surface does not build the stop anew. */
const withSurface =
  (path: string): UrlMatcher =>
  (segments) => {
    const [first, second] = segments;
    if (first?.path !== path || segments.length > 2) return null;
    return { consumed: segments, posParams: second === undefined ? {} : { surfaceId: second } };
  };
const stop = (path: string, load: NonNullable<Route['loadComponent']>): Route => ({
  matcher: withSurface(path),
  loadComponent: load,
});

/** The URL is the selection: job, stop, surface. Each stop is a bundle of its own. */
export const routes: Routes = [
  {
    path: '',
    pathMatch: 'full',
    title: shellWords.jobsTitle,
    loadComponent: async () => (await import('./jobs/jobs')).Jobs,
  },
  {
    path: 'films',
    title: shellWords.filmsTitle,
    loadComponent: async () => (await import('./films/films')).Films,
  },
  {
    path: 'stock',
    title: shellWords.stockTitle,
    loadComponent: async () => (await import('./stock/stock-page')).StockPage,
  },
  {
    path: 'why',
    title: shellWords.whyTitle,
    loadComponent: async () => (await import('./causes/why-page')).WhyPage,
  },
  {
    path: 'call',
    title: shellWords.callTitle,
    loadComponent: async () => (await import('./enquiry/call-page')).CallPage,
  },
  {
    path: 'bench',
    title: shellWords.benchTitle,
    loadComponent: async () => (await import('./bench/bench')).Bench,
  },
  {
    path: 'settings',
    title: shellWords.settingsTitle,
    loadComponent: async () => (await import('./settings/settings')).Settings,
  },
  {
    path: 'jobs/:jobId',
    loadComponent: async () => (await import('./shell/job-shell')).JobShell,
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'survey' },
      stop('survey', async () => (await import('./stops/survey/survey')).Survey),
      stop('film', async () => (await import('./stops/film/film')).FilmStop),
      stop('cut', async () => (await import('./stops/cut/cut')).Cut),
      stop('day', async () => (await import('./stops/day/day')).Day),
      stop('fit', async () => (await import('./stops/fit/fit')).Fit),
      stop('check', async () => (await import('./stops/check/check')).Check),
      stop('close', async () => (await import('./stops/close/close')).Close),
    ],
  },
  {
    path: '**',
    title: shellWords.nothingHereTitle,
    loadComponent: async () => (await import('./shell/not-found-page')).NotFoundPage,
  },
];
