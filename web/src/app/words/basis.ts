import type { Basis } from '@yellow-pane/core/learned';

/** How a figure is known, as a person reads it. */
export const BASIS_WORDS: Readonly<Record<Basis, string>> = {
  'common practice': 'common practice',
  ours: 'our guess',
  once: 'measured once',
  'second hand': 'heard from others',
  uncertain: 'uncertain',
  ask: 'not known: ask',
  measured: 'measured',
  published: 'published',
  'from memory': 'from memory',
};
