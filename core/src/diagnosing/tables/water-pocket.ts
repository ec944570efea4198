import type { LookTable } from '../look-table';

export const WATER_POCKET: LookTable = {
  causes: [
    { id: 'normalDrying', chance: 0.6, present: 1 },
    { id: 'softPressure', chance: 0.4, present: 0.25 },
    { id: 'noOverlap', chance: 0.5, present: 0.15 },
    { id: 'edgeDrewIn', chance: 0.35, present: 0.1 },
    { id: 'noDryingSeason', chance: 0.6, present: 0.1 },
    { id: 'airNotWater', chance: 0.5, present: 0.2 },
  ],
  evidence: [
    {
      ...{ id: 'ageVsBand', source: 'computed', cost_min: 0, group: 'time' },
      states: ['before band', 'inside band', 'after band'],
      rows: [
        [0.72, 0.26, 0.02],
        [0.45, 0.3, 0.25],
        [0.4, 0.3, 0.3],
        [0.5, 0.25, 0.25],
        [0.2, 0.3, 0.5],
        [0.4, 0.3, 0.3],
      ],
    },
    {
      ...{ id: 'press', source: 'asked', cost_min: 1, group: 'press' },
      states: ['water creeps away', 'springs back', 'does not move'],
      rows: [
        [0.85, 0.05, 0.1],
        [0.85, 0.05, 0.1],
        [0.8, 0.05, 0.15],
        [0.75, 0.1, 0.15],
        [0.8, 0.05, 0.15],
        [0.05, 0.85, 0.1],
      ],
    },
    {
      ...{ id: 'pattern', source: 'pin on outline', cost_min: 0, group: 'place' },
      states: ['scattered', 'line between strokes', 'band along an edge'],
      rows: [
        [0.75, 0.1, 0.15],
        [0.6, 0.2, 0.2],
        [0.1, 0.85, 0.05],
        [0.05, 0.05, 0.9],
        [0.75, 0.1, 0.15],
        [0.7, 0.15, 0.15],
      ],
    },
    {
      ...{ id: 'size', source: 'pin', cost_min: 0, group: 'size' },
      states: ['up to 10 mm', '10 to 25 mm', 'over 25 mm'],
      rows: [
        [0.75, 0.22, 0.03],
        [0.35, 0.4, 0.25],
        [0.3, 0.4, 0.3],
        [0.4, 0.35, 0.25],
        [0.6, 0.3, 0.1],
        [0.6, 0.3, 0.1],
      ],
    },
    {
      ...{ id: 'inSun', source: 'asked later', cost_min: 2, group: 'heat' },
      states: ['smaller day by day', 'same', 'larger when warm'],
      rows: [
        [0.7, 0.27, 0.03],
        [0.55, 0.4, 0.05],
        [0.5, 0.45, 0.05],
        [0.45, 0.5, 0.05],
        [0.1, 0.87, 0.03],
        [0.03, 0.27, 0.7],
      ],
    },
    {
      ...{ id: 'vapourDrop', source: 'computed', cost_min: 0, group: 'dry' },
      states: ['dries', 'hardly or not'],
      rows: [
        [0.9, 0.1],
        [0.85, 0.15],
        [0.85, 0.15],
        [0.8, 0.2],
        [0.05, 0.95],
        [0.85, 0.15],
      ],
    },
  ],
  remedies: [
    { id: 'wait until the date, then look', cost_min: 2, cures: [0.98, 0.6, 0.35, 0.3, 0.5, 0.05] },
    { id: 'press out now towards nearest edge', cost_min: 8, cures: [0.95, 0.85, 0.8, 0.7, 0.6, 0.5] },
    { id: 'prick low, press, blot', cost_min: 12, cures: [0.9, 0.85, 0.8, 0.75, 0.6, 0.85] },
    { id: 'replace', cost_min: 120, cures: [0.97, 0.95, 0.95, 0.95, 0.8, 0.95] },
  ],
};
