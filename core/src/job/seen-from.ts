/**
 * The side from which 'left' and 'right' of a surface are meant. Partitions have no outdoors: their sides are
 * A and B.
 */
export type SeenFrom = 'room' | 'outside' | 'side A' | 'side B';

export const OPPOSITE_SIDE: Readonly<Record<SeenFrom, SeenFrom>> = {
  room: 'outside',
  outside: 'room',
  'side A': 'side B',
  'side B': 'side A',
};
