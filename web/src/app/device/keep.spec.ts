import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { type LocalTexts, fakeLocalStorage } from '../testing/local-storage';
import { readKept, writeKept } from './keep';

let store: LocalTexts;
const before = Object.getOwnPropertyDescriptor(globalThis, 'localStorage');
beforeEach(() => {
  store = fakeLocalStorage();
});
afterEach(() => {
  if (before === undefined) Reflect.deleteProperty(globalThis, 'localStorage');
  else Object.defineProperty(globalThis, 'localStorage', before);
});

describe('is what is typed kept in the browser?', () => {
  it('what is kept is read again; undefined forgets it', () => {
    expect(writeKept('drafts', { a: '88' })).toBe(true);
    expect(readKept('drafts')).toEqual({ a: '88' });
    expect(writeKept('drafts', undefined)).toBe(true);
    expect(readKept('drafts')).toBeUndefined();
    expect(store.texts.size).toBe(0);
  });
  it('two things do not touch one another, nor those of other pages', () => {
    store.setItem('drafts', 'another page’s');
    writeKept('drafts', 1);
    writeKept('name', 2);
    expect([readKept('drafts'), readKept('name'), store.getItem('drafts')]).toEqual([1, 2, 'another page’s']);
  });
  it('a full store says no and what was kept stays', () => {
    writeKept('drafts', { a: '88' });
    store.isFull = true;
    expect(writeKept('drafts', { a: '880' })).toBe(false);
    expect(readKept('drafts')).toEqual({ a: '88' });
  });
  it('text that is no longer readable is as if there were none', () => {
    writeKept('drafts', { a: '88' });
    const [key = ''] = [...store.texts.keys()];
    store.setItem(key, '{"a":');
    expect(readKept('drafts')).toBeUndefined();
  });
  it('no store at all: nothing is read, nothing kept, nothing thrown', () => {
    Object.defineProperty(globalThis, 'localStorage', {
      get: () => {
        throw new Error('switched off');
      },
      configurable: true,
    });
    expect(readKept('drafts')).toBeUndefined();
    expect(writeKept('drafts', 1)).toBe(false);
  });
});
