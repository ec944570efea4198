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

/** The side of a surface that shows from inside or outside; of a partition side B counts as inside. */
export function lookFrom(seenFrom: SeenFrom, where: 'inside' | 'outside'): SeenFrom {
  const isPartition = seenFrom === 'side A' || seenFrom === 'side B';
  if (where === 'inside') return isPartition ? 'side B' : 'room';
  return isPartition ? 'side A' : 'outside';
}
