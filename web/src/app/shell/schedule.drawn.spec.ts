import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { provideRouter } from '@angular/router';
import { provideStore } from '@ngrx/store';
import { fireEvent, render, screen } from '@testing-library/angular';
import { NEW_PLACE, NEW_SURFACE } from '@yellow-pane/core/job';
import type { Op } from '@yellow-pane/contracts';
import { Device } from '../device/device';
import { jobFeature } from '../job/job.feature';
import { putJob } from '../testing/open-job';
import { Schedule } from './schedule';
import { ScheduleMarks } from './schedule-marks';

const ROW_PX = 54;
const put = (table: Op['table'], id: string, fields: object): Op =>
  ({ op: 'put', table, id, fields }) as unknown as Op;
const distance = (id: string, surfaceId: string, from: string, to: string, value_mm: number): Op =>
  put('measure', id, {
    ...{ surfaceId, kind: 'distance', fromPoint: from, toPoint: to, text: String(value_mm) },
    ...{ unit: 'mm', value_nm: value_mm * 1e6, instrument: 'tape', sd_nm: null },
  });
const JOB: readonly Op[] = [
  put('place', 'P', { ...NEW_PLACE, name: 'Lower station', position: 1 }),
  put('surface', 'S1', { ...NEW_SURFACE, placeId: 'P', tag: 'SW1', name: 'far left', position: 1 }),
  put('surface', 'S2', { ...NEW_SURFACE, placeId: 'P', tag: 'SW2', name: '', position: 2 }),
  put('surface', 'S3', { ...NEW_SURFACE, placeId: 'P', tag: 'WL1', name: 'back wall', position: 3 }),
  distance('M1', 'S1', 'tl', 'tr', 880),
  distance('M2', 'S1', 'tl', 'bl', 1200),
];

async function drawn(units: 'metric' | 'imperial' = 'metric'): Promise<void> {
  await render(Schedule, {
    providers: [provideRouter([]), provideStore({ [jobFeature.name]: jobFeature.reducer }), ScheduleMarks],
    configureTestBed: (bed) => {
      putJob((thing) => bed.inject(thing), JOB);
      bed.inject(Device).showIn(units);
    },
  });
}
/** What is read one after the other, line by line. */
const wordsOf = (element: HTMLElement): string => {
  const walker = document.createTreeWalker(element, NodeFilter.SHOW_TEXT);
  const words: string[] = [];
  while (walker.nextNode() !== null) words.push(walker.currentNode.textContent?.trim() ?? '');
  return words.filter((word) => word !== '').join(' ');
};
const rows = async (): Promise<readonly string[]> => (await screen.findAllByRole('option')).map(wordsOf);

const own = Object.getOwnPropertyDescriptor(HTMLElement.prototype, 'clientHeight');
beforeEach(() => {
  Object.defineProperty(HTMLElement.prototype, 'clientHeight', {
    configurable: true,
    get: () => 10 * ROW_PX,
  });
});
afterEach(() => {
  if (own === undefined) Reflect.deleteProperty(HTMLElement.prototype, 'clientHeight');
  else Object.defineProperty(HTMLElement.prototype, 'clientHeight', own);
});

describe('what does the schedule show of a surface?', () => {
  it('tag, name or place, and its size; a dash where it is unknown', async () => {
    await drawn();
    expect(await rows()).toEqual(['SW1 far left 880 1200', 'SW2 Lower station –', 'WL1 back wall –']);
  });
  it('in inches for those who work in inches', async () => {
    await drawn('imperial');
    expect((await rows())[0]).toContain('34 5/8 47 1/4');
  });
  it('found by any of its words, in any order; nothing found is said', async () => {
    await drawn();
    const box = screen.getByRole('searchbox', { name: 'Find a surface' });
    fireEvent.input(box, { target: { value: 'wall wl' } });
    expect(await screen.findByText('WL1', { exact: false })).toBeTruthy();
    expect(await rows()).toHaveLength(1);
    fireEvent.input(box, { target: { value: 'roof' } });
    expect(await screen.findByText('No surface matches “roof”.')).toBeTruthy();
  });
});
