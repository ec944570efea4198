import { describe, expect, it } from '@jest/globals';
import { EXAMPLE_FILMS, demoOps } from '@yellow-pane/demo';
import type { Op } from '@yellow-pane/contracts';
import { NOT_BEGUN } from '@yellow-pane/core/job';
import { JobDesk } from '../job/job-desk';
import { JobReading } from '../job/job-reading';
import { templateFor } from '@yellow-pane/core/ways';
import { openJob } from '../testing/open-job';
import { StopSummaries } from './stop-summaries';
import { SurfaceStates } from './surface-state';

const DEMO = demoOps();
const opened = (more: readonly Op[] = []) => {
  const job = openJob([...DEMO, ...more], EXAMPLE_FILMS);
  const reading = job.get(JobReading);
  const idOf = (tag: string): string => reading.surfaces().find((surface) => surface.tag === tag)?.id ?? tag;
  return {
    job,
    reading,
    idOf,
    desk: job.get(JobDesk),
    says: job.get(StopSummaries).of,
    states: job.get(SurfaceStates),
  };
};

describe('what is still missing at each stop of the demo?', () => {
  it('counts by hand: surfaces without width or height, without film, not laid out', () => {
    const { says, reading } = opened();
    const withoutFilm = reading.surfaces().filter(({ id }) => reading.applicationsOf(id).length === 0).length;
    expect(says()).toMatchObject({
      film: `${withoutFilm} to choose`,
      cut: `${reading.applications().length} to lay out`,
      day: 'to plan',
      fit: `0 of ${reading.applications().length} done`,
    });
    expect(reading.surfaces().length).toBeGreaterThan(20);
  });
  it('measuring a door lessens what is to measure by one, and only once it has width and height', () => {
    const { says, desk, idOf } = opened();
    const before = Number.parseInt(says().survey, 10);
    const measure = (fromPoint: 'tl' | 'ml', toPoint: 'tr' | 'bl', value_nm: number) =>
      desk.put('measure', {
        surfaceId: idOf('PT2'),
        kind: 'distance',
        fromPoint,
        toPoint,
        text: '',
        unit: 'mm',
        value_nm,
        instrument: 'tape',
        sd_nm: null,
      });
    desk.do('width', [measure('tl', 'tr', 940e6)]);
    expect(says().survey).toBe(`${before} to measure`);
    desk.do('height', [measure('tl', 'bl', 2050e6)]);
    expect(says().survey).toBe(`${before - 1} to measure`);
    desk.undo();
    expect(says().survey).toBe(`${before} to measure`);
  });
  it('an empty job says so, and asks nothing of the later stops', () => {
    expect(openJob([]).get(StopSummaries).of()).toMatchObject({
      survey: 'no surface yet',
      film: '–',
      cut: '–',
      day: '–',
      fit: '–',
    });
  });
});

describe('how far is each surface of the demo?', () => {
  it.each([
    ['SW1', 'survey', 'full'],
    ['SW3', 'survey', 'barred'],
    ['CT1', 'survey', 'barred'],
    ['PT2', 'survey', 'open'],
    ['DR2', 'survey', 'half'],
    ['SW1', 'film', 'full'],
    ['SW3', 'film', 'open'],
    ['SW7', 'film', 'barred'],
    ['SW1', 'cut', 'open'],
    ['SW1', 'fit', 'open'],
    ['SW1', 'check', 'open'],
  ] as const)('%s at %s: %s', (tag, stop, state) => {
    const { states, idOf } = opened();
    expect(states.at(stop, idOf(tag))).toBe(state);
  });
  it.each(['SW1', 'A-E1', 'DR1', 'TH1', 'WL1', 'CO1'])(
    '%s: work begun is half, handed over is full, whatever its way of working calls the step',
    (tag) => {
      const { states, idOf, desk, reading, says } = opened();
      const [application] = reading.applicationsOf(idOf(tag));
      if (application === undefined) throw new Error(tag);
      const steps =
        templateFor(
          application.method,
          EXAMPLE_FILMS.find(({ id }) => id === application.filmId)?.film.family,
        )?.steps ?? [];
      const work = (step: string, doneAt: string | null) =>
        desk.put('workRecord', {
          applicationId: application.id,
          template: 'any',
          step,
          templateVersion: 1,
          ...NOT_BEGUN,
          startedAt: '2026-11-25T08:00:00Z',
          doneAt,
        });
      desk.do('begun', [work(steps[0]?.key ?? '', null)]);
      expect(states.at('fit', idOf(tag))).toBe('half');
      desk.do(
        'the rest',
        steps.slice(1, -1).map(({ key }) => work(key, '2026-11-25T11:00:00Z')),
      );
      expect(states.at('fit', idOf(tag))).toBe('half');
      desk.do('handed over', [work(steps.at(-1)?.key ?? '', '2026-11-25T12:00:00Z')]);
      expect(states.at('fit', idOf(tag))).toBe('full');
      expect(says().fit).toMatch(/^1 of /);
    },
  );
});
