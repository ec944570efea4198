import type { LookTable } from '../look-table';

export const CREASE: LookTable = {
  causes: [
    { id: 'handling', chance: 0.4, present: 0.3 },
    { id: 'dryGrab', chance: 0.5, present: 0.2 },
    { id: 'foldPressedTooSoon', chance: 0.5, present: 0.1 },
    { id: 'linerTug', chance: 0.3, present: 0.2 },
  ],
  evidence: [
    {
      ...{ id: 'shape', source: 'asked', cost_min: 0.5, group: 'look' },
      states: ['half-moon', 'straight line', 'fan from an edge'],
      rows: [
        [0.75, 0.2, 0.05],
        [0.15, 0.55, 0.3],
        [0.05, 0.15, 0.8],
        [0.3, 0.65, 0.05],
      ],
    },
    {
      ...{ id: 'seenWhen', source: 'asked', cost_min: 0.5, group: 'time' },
      states: ['before laying', 'while laying', 'while heating'],
      rows: [
        [0.6, 0.38, 0.02],
        [0.03, 0.92, 0.05],
        [0.01, 0.09, 0.9],
        [0.3, 0.68, 0.02],
      ],
    },
    {
      ...{ id: 'sunOrDry', source: 'record', cost_min: 0, group: 'sun' },
      states: ['sun or warm glass', 'wet and shaded'],
      rows: [
        [0.2, 0.8],
        [0.8, 0.2],
        [0.4, 0.6],
        [0.25, 0.75],
      ],
    },
    {
      ...{ id: 'people', source: 'record', cost_min: 0, group: 'crew' },
      states: ['alone on over 2 m2', 'enough hands'],
      rows: [
        [0.65, 0.35],
        [0.35, 0.65],
        [0.2, 0.8],
        [0.5, 0.5],
      ],
    },
  ],
  remedies: [
    { id: 'press warm', cost_min: 5, cures: [0.05, 0.1, 0.3, 0.1] },
    { id: 'replace', cost_min: 100, cures: [0.95, 0.95, 0.95, 0.95] },
  ],
};
