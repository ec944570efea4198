import { NEW_JOB } from '@yellow-pane/core/job';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { patchState } from '@ngrx/signals';
import { unprotected } from '@ngrx/signals/testing';
import { JobDesk } from '../job/job-desk';
import { type OpenedJob, openJob } from '../testing/open-job';
import { Device } from './device';
import { WhoseHand } from './whose-hand';

let job: OpenedJob;
beforeEach(() => {
  job = openJob([]);
  patchState(unprotected(job.get(Device)), { who: '', personId: '' });
});
afterEach(() => {
  job.end();
});

const settled = (): Promise<void> =>
  new Promise((done) => {
    setTimeout(done);
  });
const doSomething = (): void => {
  const desk = job.get(JobDesk);
  desk.do('renamed', [desk.put('job', { name: 'Kiosk', entryUnit: 'mm', ...NEW_JOB })]);
};
const pending = (): readonly unknown[] =>
  job
    .get(JobDesk)
    .state()
    .pending.map(({ change: { who, personId } }) => ({ who, personId }));

describe('when is one asked who one is?', () => {
  it('at the first thing to be kept, not before; it is kept when that is said, and nobody is asked again', async () => {
    const hand = job.get(WhoseHand);
    expect(hand.isAsked()).toBe(false);
    doSomething();
    doSomething();
    await settled();
    expect([hand.isAsked(), pending()]).toEqual([true, []]);
    hand.say('Finch');
    await settled();
    const { personId } = job.get(Device).by();
    expect(personId).toMatch(/^[0-9a-f-]{36}$/);
    expect([hand.isAsked(), pending()]).toEqual([false, Array(2).fill({ who: 'Finch', personId })]);
    doSomething();
    expect([hand.isAsked(), pending().length]).toEqual([false, 3]);
  });

  it('not now: nothing is kept, and the next thing asks again', async () => {
    const hand = job.get(WhoseHand);
    doSomething();
    await settled();
    hand.notNow();
    await settled();
    expect([hand.isAsked(), pending()]).toEqual([false, []]);
    doSomething();
    await settled();
    expect(hand.isAsked()).toBe(true);
  });

  it('never where the server says who works here', async () => {
    const hand = job.get(WhoseHand);
    hand.mayBeToldBy(
      Promise.resolve().then(() => {
        job.get(Device).workFor({ who: 'Wren', personId: '' });
      }),
    );
    doSomething();
    expect((await hand.known())?.who).toBe('Wren');
    expect([hand.isAsked(), pending().length]).toEqual([false, 1]);
  });
});
