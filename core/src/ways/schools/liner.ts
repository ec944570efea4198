import { school } from './school';

export const LINER = school({
  asks: 'Liner off by',
  options: [
    {
      value: 'tape tabs',
      reason: 'Quick and clean, sprayed as it opens; a large sheet takes two people.',
      unsuited: ({ isLarge, people }) =>
        isLarge && people === 1 ? 'a sheet this size takes two people' : undefined,
    },
    {
      value: 'hang and pull',
      reason: 'The blank hangs beside the pane and cannot crease; it needs a clean face beside.',
      unsuited: ({ isOverhead }) => (isOverhead ? 'nothing hangs beside a roof light' : undefined),
    },
    {
      value: 'top part first',
      reason: 'The top is fixed on the pane before the rest is stripped: one person is enough.',
    },
    {
      value: 'halves on the glass',
      reason: 'The film never leaves the pane: half the liner, sprayed and laid back, then the other half.',
    },
    {
      value: 'on the outside of the pane',
      reason: 'The outside is the peeling board: for door and side panes of vehicles.',
      unsuited: ({ isVehicle, isOutside }) =>
        isOutside
          ? 'this film stays outside'
          : isVehicle
            ? undefined
            : 'only where one reaches the outside of the pane',
    },
    {
      value: 'unrolled to the floor',
      reason:
        'Long sheets without a kink. Against it: film and liner never on the floor, grit and wet liner.',
      unsuited: ({ floor }) => (floor.trim() === '' ? 'the floor is not noted in Survey' : undefined),
    },
    {
      value: 'pane lying',
      reason: 'The liner is drawn from under the film while it is laid: for a sash or pane that is out.',
      basis: 'once',
      unsuited: ({ isOverhead }) => (isOverhead ? 'a roof light is not taken out' : undefined),
    },
  ],
  pick: ({ isLarge, people, isOverhead }) =>
    isOverhead
      ? { value: 'halves on the glass', because: 'overhead the film must not hang free' }
      : isLarge && people === 1
        ? { value: 'top part first', because: 'a large sheet, and one person' }
        : isLarge
          ? { value: 'tape tabs', because: 'a large sheet, between two people' }
          : { value: 'tape tabs', because: 'quick and clean for a sheet of this size' },
});
