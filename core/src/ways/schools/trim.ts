import { always, school } from './school';

export const TRIM = school({
  asks: 'Trimmed',
  options: [
    {
      value: 'before squeezing out',
      reason: 'The edge is free when the water leaves, and no dirt is drawn in under the surplus.',
      unsuited: ({ isStiff }) => (isStiff ? 'thick film is pressed out first' : undefined),
    },
    { value: 'after squeezing out', reason: 'The film is fixed and cannot move under the blade.' },
  ],
  pick: ({ isStiff }) =>
    isStiff
      ? { value: 'after squeezing out', because: 'thick film is pressed out first' }
      : { value: 'before squeezing out', because: 'water leaves by a free edge' },
});

export const TRIM_FROM = school({
  asks: 'Trimmed from',
  options: [
    { value: 'the middle to the corners', reason: 'The blade leaves into the corner, which a finger holds.' },
    { value: 'a top corner down', reason: 'One stroke a side; out of the other corners at the end.' },
  ],
  pick: always('the middle to the corners', 'the blade leaves into a corner that is held'),
});

export const EDGES = school({
  asks: 'Edges before trimming',
  options: [
    { value: 'untouched', reason: 'Near an untrimmed edge, capillary action draws dirt in.' },
    { value: 'worked at once', reason: 'What is pressed cannot lift under the blade.' },
  ],
  pick: always('untouched', 'dirt is drawn in under the surplus'),
});

export const BLOT = school({
  asks: 'Edges blotted',
  options: [
    { value: 'once', reason: 'Most of the water is out at once.' },
    { value: 'again after drying', reason: 'Water creeps back to the edge while it dries.' },
  ],
  pick: always('once', 'most of the water is out at once'),
});

export const AFTER = school({
  asks: 'Afterwards the face is',
  options: [
    { value: 'washed and cleared', reason: 'One looks through clean film: marks are seen today.' },
    { value: 'not touched again', reason: 'Fresh film moves under a cloth.' },
  ],
  pick: always('not touched again', 'fresh film moves under a cloth'),
});
