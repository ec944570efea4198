import type { Film } from '@yellow-pane/core/job';
import { demoId } from './demo-id';
import { FILMS_IN_USE } from './films-in-use';
import { MORE_FILMS } from './more-films';

const FILMS: readonly Film[] = [...FILMS_IN_USE, ...MORE_FILMS];

/**
 * Invented films for the demo and for trying things out: no such products exist. Figures are plausible, not
 * measured.
 */
export const EXAMPLE_FILMS: readonly { readonly id: string; readonly film: Film }[] = FILMS.map(
  (entry, index) => ({ id: demoId('film', index + 1), film: entry }),
);
