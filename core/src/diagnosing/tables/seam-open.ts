import type { LookTable } from '../look-table';

export const SEAM_OPEN: LookTable = {
  causes: [
    { id: 'noPromoter', chance: 0.5, present: 0.3 },
    { id: 'tensionAcross', chance: 0.5, present: 0.25 },
    { id: 'promoterTooSoonOrOld', chance: 0.4, present: 0.2 },
    { id: 'dirt', chance: 0.4, present: 0.2 },
  ],
  evidence: [
    {
      ...{ id: 'promoter', source: 'record', cost_min: 0, group: 'prom' },
      states: ['used, timed', 'used, not timed', 'not used'],
      rows: [
        [0.03, 0.07, 0.9],
        [0.55, 0.3, 0.15],
        [0.15, 0.75, 0.1],
        [0.5, 0.35, 0.15],
      ],
    },
    {
      ...{ id: 'gap', source: 'measured', cost_min: 1, group: 'size' },
      states: ['opens evenly', 'edge curls, no gap'],
      rows: [
        [0.3, 0.7],
        [0.85, 0.15],
        [0.35, 0.65],
        [0.25, 0.75],
      ],
    },
    {
      ...{ id: 'lap', source: 'measured', cost_min: 1, group: 'lap' },
      states: ['25 mm or more', 'less'],
      rows: [
        [0.8, 0.2],
        [0.6, 0.4],
        [0.8, 0.2],
        [0.8, 0.2],
      ],
    },
  ],
  remedies: [
    { id: 'clean, promoter, press', cost_min: 15, cures: [0.9, 0.4, 0.9, 0.85] },
    { id: 'relay the second sheet without pull', cost_min: 60, cures: [0.85, 0.92, 0.85, 0.85] },
  ],
};
