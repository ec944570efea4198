import { beforeEach, describe, expect, it } from '@jest/globals';
import { type LocalTexts, fakeLocalStorage } from '../testing/local-storage';
import { allAhead, doneAhead, noteAhead } from './ahead';

let store: LocalTexts;
beforeEach(() => {
  store = fakeLocalStorage();
});

describe('is what is on its way into the database noted meanwhile?', () => {
  it('until the database has it', () => {
    const noted = noteAhead('drafts', 'note', { text: 'frame is lo' });
    expect(allAhead('drafts')).toEqual(new Map([['note', '{"text":"frame is lo"}']]));
    doneAhead('drafts', 'note', noted);
    expect(allAhead('drafts').size + store.texts.size).toBe(0);
  });
  it('a letter typed since is not taken for the one the database has', () => {
    const first = noteAhead('drafts', 'note', 'frame is lo');
    noteAhead('drafts', 'note', 'frame is loo');
    doneAhead('drafts', 'note', first);
    expect([...allAhead('drafts').values()]).toEqual(['"frame is loo"']);
  });
  it('one kind does not see another, nor what other pages keep', () => {
    store.texts.set('ahead.drafts.note', 'another page’s');
    noteAhead('waiting', 'a', 1);
    expect([allAhead('drafts').size, [...allAhead('waiting').keys()]]).toEqual([0, ['a']]);
  });
  it('a full store says so by noting nothing; one that is switched off throws nothing', () => {
    store.isFull = true;
    expect(noteAhead('drafts', 'note', 'x')).toBeUndefined();
    Object.defineProperty(globalThis, 'localStorage', {
      get: () => {
        throw new Error('switched off');
      },
      configurable: true,
    });
    doneAhead('drafts', 'note', noteAhead('drafts', 'note', 'x'));
    expect(allAhead('drafts').size).toBe(0);
  });
});
