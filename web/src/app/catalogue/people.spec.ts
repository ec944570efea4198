import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import type { PersonRow } from '@yellow-pane/contracts';
import { type Person, newPerson } from '@yellow-pane/core/job';
import { WhoseHand } from '../device/whose-hand';
import { api } from '../server/api';
import { openJob } from '../testing/open-job';
import { People } from './people';

const FINCH: PersonRow = {
  ...newPerson('Finch Reed'),
  id: 'F',
  version: 1,
  changedBy: 'Linnet',
  changedAt: '2026-11-26T08:20:00.000Z',
};

/** A server that keeps one person, refuses a version that is not the last, and answers when it is let. */
let kept: PersonRow;
let answers: (() => void)[];
let people: InstanceType<typeof People>;
beforeEach(() => {
  kept = FINCH;
  answers = [];
  jest.spyOn(api, 'people').mockImplementation(() => Promise.resolve({ people: [kept], ready: null }));
  jest.spyOn(api, 'savePerson').mockImplementation(
    (_id: string, _by: unknown, person: Person, version?: number) =>
      new Promise((done, fail) => {
        answers.push(() => {
          if (version !== kept.version) {
            fail(new Error('another version'));
            return;
          }
          kept = { ...kept, ...person, version: kept.version + 1 };
          done(kept);
        });
      }),
  );
  const hand = { known: () => Promise.resolve({ who: 'Linnet' }), mayBeToldBy: () => undefined };
  people = openJob([], [], [{ provide: WhoseHand, useValue: hand }]).get(People);
});
const settled = (): Promise<void> =>
  new Promise((done) => {
    setTimeout(done);
  });
async function answer(): Promise<void> {
  await settled();
  answers.shift()?.();
  await settled();
}

describe('what is changed about a person', () => {
  it('two changes at once, before the first is answered: both are kept', async () => {
    await people.load();
    const hand = people.change(FINCH, { hand: 'left' });
    const strays = people.change(FINCH, { wander_mm: 8 });
    await answer();
    await answer();
    expect(await hand).toEqual({ id: 'F' });
    expect(await strays).toEqual({ id: 'F' });
    expect(kept).toMatchObject({ hand: 'left', wander_mm: 8, version: 3 });
    expect(people.byId().get('F')).toEqual(kept);
  });
  it('what a colleague saved meanwhile is not overwritten: it is refused, and theirs is shown', async () => {
    await people.load();
    kept = { ...kept, wander_mm: 5, version: 2 };
    const strays = people.change(FINCH, { wander_mm: 8 });
    expect(people.byId().get('F')?.wander_mm).toBe(8);
    await answer();
    expect(await strays).toHaveProperty('objection');
    expect(kept.wander_mm).toBe(5);
    expect(people.byId().get('F')?.wander_mm).toBe(5);
  });
});
