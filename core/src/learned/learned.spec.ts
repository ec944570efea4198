import { describe, expect, it } from '@jest/globals';
import { AT_FIRST, BASES, type Learned, learnedOf, sourceOf } from './index';

const FILM = { kind: 'film', of: 'matt white' } as const;
const PERSON = { kind: 'person', of: 'Wren' } as const;
const kept = (value: number, scope: Learned['scope'], basis: Learned['basis'] = 'measured'): Learned => ({
  ...learnedOf('work-trim', []),
  ...{ value, scope, basis, sd: 0.2, n: 5, from: 'timed at Kestrel Hill' },
});

describe('by which figure does one go?', () => {
  it('at first by what everything begins with, which is a guess and says so', () => {
    expect(learnedOf('work-trim', [])).toMatchObject({ value: 1.2, basis: 'ours', scope: null, n: null });
  });
  it('by what was learned of everything; by what was learned of this film or person alone before that', () => {
    const all = [kept(1.5, null), kept(0.9, FILM), kept(1.1, PERSON)];
    expect(learnedOf('work-trim', all).value).toBe(1.5);
    expect(learnedOf('work-trim', all, [FILM]).value).toBe(0.9);
    expect(learnedOf('work-trim', all, [PERSON, FILM]).value).toBe(1.1);
    expect(learnedOf('work-trim', all, [{ kind: 'film', of: 'another' }]).value).toBe(1.5);
    expect(learnedOf('work-trim', [kept(0.9, FILM)]).value).toBe(1.2);
  });
});

describe('what do figures rest on?', () => {
  it('every key is there once, with words and a basis; nothing is measured before anybody measured', () => {
    expect(new Set(AT_FIRST.map(({ key }) => key)).size).toBe(AT_FIRST.length);
    for (const { word, basis, n } of AT_FIRST)
      expect([word !== '', ['ours', 'ask'].includes(basis), n]).toEqual([true, true, null]);
  });
  it.each(BASES)('%s: shown as a source of its own kind', (basis) => {
    const { kind, text } = sourceOf(basis);
    expect(text).not.toBe('');
    expect(kind === 'measured here').toBe(basis === 'measured' || basis === 'once');
    if (['ours', 'ask', 'uncertain', 'second hand'].includes(basis)) expect(kind).toBe('our guess');
  });
});
