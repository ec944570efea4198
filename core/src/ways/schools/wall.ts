import { always, school } from './school';

export const WALL_EDGES = school({
  asks: 'Edges of a textured wall',
  options: [
    { value: 'after the face', reason: 'The air has left by the edges when they are closed.', basis: 'ours' },
    {
      value: 'one stays open',
      reason: 'The edge the lanes run to stays open until the last lane.',
      basis: 'ours',
    },
  ],
  pick: always('after the face', 'all edges first would shut the air in'),
});
