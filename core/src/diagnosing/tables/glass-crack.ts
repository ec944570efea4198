import type { LookTable } from '../look-table';

export const GLASS_CRACK: LookTable = {
  causes: [
    { id: 'thermal', chance: 0.9, present: 0.4 },
    { id: 'impact', chance: 0.9, present: 0.2 },
    { id: 'edgeDamage', chance: 0.9, present: 0.3 },
    { id: 'frameLoad', chance: 0.6, present: 0.1 },
  ],
  evidence: [
    {
      ...{ id: 'start', source: 'asked', cost_min: 1, group: 'place' },
      states: ['at the edge', 'inside the pane'],
      rows: [
        [0.98, 0.02],
        [0.35, 0.65],
        [0.97, 0.03],
        [0.9, 0.1],
      ],
    },
    {
      ...{ id: 'angle', source: 'asked', cost_min: 1, group: 'look' },
      states: ['square to edge and face', 'oblique'],
      rows: [
        [0.92, 0.08],
        [0.2, 0.8],
        [0.45, 0.55],
        [0.3, 0.7],
      ],
    },
    {
      ...{ id: 'rays', source: 'asked', cost_min: 0.5, group: 'shape' },
      states: ['one, waves inside', 'star', 'two or more from one point'],
      rows: [
        [0.8, 0.02, 0.18],
        [0.05, 0.85, 0.1],
        [0.5, 0.1, 0.4],
        [0.6, 0.05, 0.35],
      ],
    },
    {
      ...{ id: 'verdict', source: 'record', cost_min: 0, group: 'stress' },
      states: ['low', 'check or high'],
      rows: [
        [0.2, 0.8],
        [0.6, 0.4],
        [0.45, 0.55],
        [0.6, 0.4],
      ],
    },
  ],
  remedies: [{ id: 'stop, licensed glazier', cost_min: 200, cures: [0.98, 0.98, 0.98, 0.98] }],
};
