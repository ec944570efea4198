import type { SeenFrom } from '@yellow-pane/core/job';

/** From which side somebody looks. */
export const SEEN_FROM: Readonly<Record<SeenFrom, string>> = {
  room: 'from the room',
  outside: 'from outside',
  'side A': 'from side A',
  'side B': 'from side B',
};
