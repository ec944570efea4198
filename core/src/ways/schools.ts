import type { FittingSchools } from '../job';

interface School<Key extends keyof FittingSchools> {
  readonly value: FittingSchools[Key];
  readonly reason: string;
}

/**
 * Where practitioners disagree: each way with its reason. The first is the one taken when nothing is chosen.
 */
export const SCHOOLS: { readonly [Key in keyof FittingSchools]: readonly School<Key>[] } = {
  linerSchool: [
    {
      value: 'tape tabs with two people',
      reason: 'Quick and clean for large sheets; the film never touches the floor.',
    },
    {
      value: 'halves on the glass',
      reason: 'One person can do it: half the liner at a time, the film already on the glass.',
    },
    {
      value: 'hang and pull',
      reason:
        'The blank hangs beside the pane and the liner is drawn down: no creases, needs a clean wall or glass.',
    },
  ],
  lockSchool: [
    { value: 'T', reason: 'One stroke across the top, one down the middle: holds level and centre at once.' },
    {
      value: 'centre line',
      reason: 'One upright stroke down the middle: the fewest strokes for a narrow pane.',
    },
    { value: 'X', reason: 'Corner to corner: holds a wide pane against turning.' },
    { value: 'quarters', reason: 'Centre, then four quarters: for large panes where air collects.' },
  ],
  trimSchool: [
    {
      value: 'before squeezing out',
      reason: 'The edge is free of film when the water leaves, and no dirt is drawn in under the surplus.',
    },
    { value: 'after squeezing out', reason: 'The film is fixed and cannot move under the blade.' },
  ],
};

export const DEFAULT_SCHOOLS: FittingSchools = {
  linerSchool: 'tape tabs with two people',
  lockSchool: 'T',
  trimSchool: 'before squeezing out',
};
