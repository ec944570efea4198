import type { Source } from '../quantity';
import { AT_FIRST, type LearnedKey } from './at-first';
import type { Basis, Learned, Scope } from './learned';

const FIRST_BY_KEY = new Map(AT_FIRST.map((figure) => [figure.key, figure]));

/**
 * A figure as the shop has come to know it: for the first of these scopes that it has one for, else for
 * everything, else as everything begins. The one look-up there is.
 * @throws Error for a key that nothing begins with
 */
export function learnedOf(key: LearnedKey, kept: readonly Learned[], scopes: readonly Scope[] = []): Learned {
  const own = kept.filter((figure) => figure.key === key);
  const found =
    scopes.map((scope) => own.find((figure) => isOf(figure, scope))).find((figure) => figure !== undefined) ??
    own.find(({ scope }) => scope === null) ??
    FIRST_BY_KEY.get(key);
  if (found === undefined) throw new Error(`nothing is learned of the key ${key}`);
  return found;
}

const isOf = ({ scope }: Learned, { kind, of }: Scope): boolean => scope?.kind === kind && scope.of === of;

/** How the basis of a figure is shown as a source. */
export function sourceOf(basis: Basis): Source {
  return SOURCES[basis];
}

const guess = (text: string): Source => ({ kind: 'our guess', text });
const SOURCES: Readonly<Record<Basis, Source>> = {
  ours: guess(
    'our guess: nobody has measured it; weigh your bottle before and after, and change the figure in Settings',
  ),
  ask: guess('not confirmed yet: ask, then change the figure in Settings'),
  uncertain: guess('uncertain: measure it, then change the figure in Settings'),
  'second hand': guess('heard from others: measure it, then change the figure in Settings'),
  once: { kind: 'measured here', text: 'measured once by your own people, see Settings' },
  measured: { kind: 'measured here', text: 'measured by your own people, see Settings' },
  'common practice': { kind: 'common practice', text: 'common practice, no published source' },
  published: { kind: 'published', text: 'published, see Settings for where' },
  'from memory': { kind: 'from memory', text: 'from memory: read the source' },
};
