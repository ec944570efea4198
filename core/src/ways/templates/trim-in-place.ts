import { SEPARATE_AND_PLACE } from './glass-liner';
import { LOCKING } from './glass-lock';
import { ALIGN, FINISH, PREPARE, RINSE, SQUEEZE, TRIM, trimsFirst } from './glass-parts';
import type { SchoolKey } from '../schools';
import type { WorkTemplate } from './template';

/** Of glass filmed wet. */
export const WET_SCHOOLS = [
  ...[
    'cleaning',
    'scrubber',
    'cleaner',
    'clearing',
    'water',
    'frameWater',
    'rowLine',
    'liner',
    'lock',
    'edges',
  ],
  ...['trim', 'trimFrom', 'stroke', 'lastPass', 'blot', 'after'],
] as readonly SchoolKey[];

/** Flat glass, wet, trimmed in place. */
export const TRIM_IN_PLACE: WorkTemplate = {
  template: 'flat-glass',
  version: 1,
  of: [{ method: 'trim in place' }],
  schools: WET_SCHOOLS,
  steps: [
    ...PREPARE,
    RINSE,
    ...SEPARATE_AND_PLACE,
    ALIGN,
    ...LOCKING,
    { key: 'trim', ...TRIM, when: trimsFirst },
    SQUEEZE,
    { key: 'trim-after', ...TRIM, when: (own) => !trimsFirst(own) },
    ...FINISH,
  ],
};
