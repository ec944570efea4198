import type { LookTable } from '../look-table';

export const SCRATCH: LookTable = {
  causes: [
    { id: 'dryTool', chance: 0.5, present: 0.2 },
    { id: 'hardCard', chance: 0.4, present: 0.2 },
    { id: 'dullBlade', chance: 0.4, present: 0.15 },
    { id: 'gritUnderTool', chance: 0.4, present: 0.2 },
    { id: 'wasInGlass', chance: 0.9, present: 0.1 },
  ],
  evidence: [
    {
      ...{ id: 'side', source: 'asked', cost_min: 1, group: 'feel' },
      states: ['in the film', 'in the glass'],
      rows: [
        [0.97, 0.03],
        [0.97, 0.03],
        [0.6, 0.4],
        [0.8, 0.2],
        [0.02, 0.98],
      ],
    },
    {
      ...{ id: 'shape', source: 'asked', cost_min: 0.5, group: 'look' },
      states: ['many fine parallel', 'single deep', 'at the trim line', 'curl'],
      rows: [
        [0.8, 0.1, 0.05, 0.05],
        [0.4, 0.45, 0.1, 0.05],
        [0.05, 0.2, 0.7, 0.05],
        [0.2, 0.3, 0.1, 0.4],
        [0.2, 0.5, 0.1, 0.2],
      ],
    },
    {
      ...{ id: 'survey', source: 'record', cost_min: 0, group: 'before' },
      states: ['recorded before work', 'not recorded'],
      rows: [
        [0.02, 0.98],
        [0.02, 0.98],
        [0.02, 0.98],
        [0.02, 0.98],
        [0.6, 0.4],
      ],
    },
  ],
  remedies: [
    { id: 'accept by rule', cost_min: 0, cures: [0, 0, 0, 0, 0.9] },
    { id: 'replace film', cost_min: 100, cures: [0.95, 0.95, 0.95, 0.9, 0.05] },
  ],
};
