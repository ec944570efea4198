import type { LookTable } from '../look-table';

export const JOINT_TRAP: LookTable = {
  causes: [
    { id: 'levelJointsFirst', chance: 0.7, present: 0.3 },
    { id: 'wallDamp', chance: 0.3, present: 0.1 },
    { id: 'coldFilm', chance: 0.3, present: 0.2 },
  ],
  evidence: [
    {
      ...{ id: 'where', source: 'pin on outline', cost_min: 0, group: 'place' },
      states: ['between two level joints', 'anywhere in joints'],
      rows: [
        [0.85, 0.15],
        [0.35, 0.65],
        [0.3, 0.7],
      ],
    },
    {
      ...{ id: 'order', source: 'record', cost_min: 0, group: 'order' },
      states: ['uprights first', 'levels first'],
      rows: [
        [0.05, 0.95],
        [0.7, 0.3],
        [0.7, 0.3],
      ],
    },
    {
      ...{ id: 'wallWet', source: 'measured', cost_min: 2, group: 'wet' },
      states: ['dry', 'damp'],
      rows: [
        [0.9, 0.1],
        [0.1, 0.9],
        [0.88, 0.12],
      ],
    },
  ],
  remedies: [
    { id: 'prick low, press out warm', cost_min: 6, cures: [0.92, 0.4, 0.7] },
    { id: 'reheat and press', cost_min: 5, cures: [0.15, 0.3, 0.85] },
    { id: 'replace when dry', cost_min: 120, cures: [0.9, 0.9, 0.9] },
  ],
};
