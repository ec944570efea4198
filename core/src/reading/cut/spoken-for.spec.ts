import { describe, expect, it } from '@jest/globals';
import type { RowOf, StockLeft } from '../../job';
import { jobRows } from '../view/job-rows';
import { JobView } from '../view/job-view';
import { promisedTwice, spokenForElsewhere } from './spoken-for';

const M = 1e9;
const roll = (more: Partial<RowOf<'cutRoll'>> = {}) =>
  ({
    id: 'r',
    planId: 'p',
    stockId: 's',
    label: 'R-14',
    used_nm: 4 * M,
    bookedAt: null,
    position: 0,
    ...more,
  }) as RowOf<'cutRoll'>;
const item = (left_m: number, elsewhere_m: number) =>
  ({
    id: 's',
    left_nm: left_m * M,
    spokenFor: [
      { jobId: 'own', job: 'ours', length_nm: 4 * M },
      ...(elsewhere_m === 0 ? [] : [{ jobId: 'other', job: 'Lower station', length_nm: elsewhere_m * M }]),
    ],
  }) as unknown as StockLeft;
const view = (own = roll()) =>
  new JobView({ ...jobRows(), job: [{ id: 'own' } as RowOf<'job'>], cutRoll: [own] });

describe('is film promised to two jobs?', () => {
  it('4 m here and 3 m in another plan of 6 m left: the roll, the lengths and the job are named', () => {
    expect(promisedTwice(view(), 'p', [item(6, 3)])).toEqual([
      { label: 'R-14', left_nm: 6 * M, used_nm: 4 * M, elsewhere_nm: 3 * M, jobs: ['Lower station'] },
    ]);
  });
  it('enough for both, nobody else, or cut already: nothing to say', () => {
    expect(promisedTwice(view(), 'p', [item(7, 3)])).toEqual([]);
    expect(promisedTwice(view(), 'p', [item(3, 0)])).toEqual([]);
    expect(promisedTwice(view(roll({ bookedAt: '2026-11-24T10:00:00Z' })), 'p', [item(6, 3)])).toEqual([]);
  });
  it("one's own plan does not speak for film elsewhere", () => {
    expect(spokenForElsewhere(item(6, 3), 'own').map(({ job }) => job)).toEqual(['Lower station']);
  });
});
