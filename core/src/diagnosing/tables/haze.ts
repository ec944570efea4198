import type { LookTable } from '../look-table';

export const HAZE: LookTable = {
  causes: [
    { id: 'dryingHaze', chance: 0.7, present: 0.4 },
    { id: 'heatTooNear', chance: 0.6, present: 0.2 },
    { id: 'adhesiveStretched', chance: 0.4, present: 0.15 },
    { id: 'slipResidue', chance: 0.3, present: 0.15 },
  ],
  evidence: [
    {
      ...{ id: 'fades', source: 'asked later', cost_min: 2, group: 'time' },
      states: ['fades within days', 'stays'],
      rows: [
        [0.9, 0.1],
        [0.03, 0.97],
        [0.05, 0.95],
        [0.15, 0.85],
      ],
    },
    {
      ...{ id: 'edges', source: 'pin on outline', cost_min: 0, group: 'place' },
      states: ['even', 'spots', 'stripes'],
      rows: [
        [0.7, 0.2, 0.1],
        [0.1, 0.85, 0.05],
        [0.1, 0.3, 0.6],
        [0.4, 0.3, 0.3],
      ],
    },
    {
      ...{ id: 'heated', source: 'record', cost_min: 0, group: 'heat' },
      states: ['heated here', 'not heated'],
      rows: [
        [0.1, 0.9],
        [0.97, 0.03],
        [0.5, 0.5],
        [0.15, 0.85],
      ],
    },
  ],
  remedies: [
    { id: 'wait until the date', cost_min: 2, cures: [0.97, 0.02, 0.05, 0.2] },
    { id: 'replace', cost_min: 110, cures: [0.95, 0.93, 0.93, 0.9] },
  ],
};
