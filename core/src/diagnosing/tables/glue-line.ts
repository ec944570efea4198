import type { LookTable } from '../look-table';

export const GLUE_LINE: LookTable = {
  causes: [
    { id: 'stoppedHalfway', chance: 0.7, present: 0.4 },
    { id: 'overheated', chance: 0.4, present: 0.2 },
    { id: 'linerStopLine', chance: 0.5, present: 0.3 },
  ],
  evidence: [
    {
      ...{ id: 'shape', source: 'asked', cost_min: 0.5, group: 'look' },
      states: ['straight across', 'follows the gun'],
      rows: [
        [0.9, 0.1],
        [0.1, 0.9],
        [0.93, 0.07],
      ],
    },
    {
      ...{ id: 'pause', source: 'record', cost_min: 0, group: 'time' },
      states: ['pause logged', 'no pause'],
      rows: [
        [0.8, 0.2],
        [0.25, 0.75],
        [0.5, 0.5],
      ],
    },
    {
      ...{ id: 'distance', source: 'pin on outline', cost_min: 0, group: 'place' },
      states: ['at liner stop', 'elsewhere'],
      rows: [
        [0.3, 0.7],
        [0.2, 0.8],
        [0.9, 0.1],
      ],
    },
  ],
  remedies: [
    { id: 'accept by rule', cost_min: 0, cures: [0, 0, 0] },
    { id: 'replace', cost_min: 110, cures: [0.95, 0.9, 0.95] },
  ],
};
