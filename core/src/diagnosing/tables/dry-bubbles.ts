import type { LookTable } from '../look-table';

export const DRY_BUBBLES: LookTable = {
  causes: [
    { id: 'softPressure', chance: 0.25, present: 0.3 },
    { id: 'noOverlap', chance: 0.45, present: 0.2 },
    { id: 'handOnly', chance: 0.35, present: 0.1 },
    { id: 'noPostHeat', chance: 0.4, present: 0.15 },
    { id: 'coldSurface', chance: 0.2, present: 0.1 },
    { id: 'outgassing', chance: 0.5, present: 0.05 },
    { id: 'jointClosed', chance: 0.5, present: 0.08 },
  ],
  evidence: [
    {
      ...{ id: 'pattern', source: 'pin on outline', cost_min: 0, group: 'place' },
      states: ['lines between strokes', 'scattered', 'in stretched zones', 'at joints'],
      rows: [
        [0.15, 0.6, 0.2, 0.05],
        [0.75, 0.15, 0.05, 0.05],
        [0.1, 0.65, 0.2, 0.05],
        [0.05, 0.15, 0.75, 0.05],
        [0.1, 0.6, 0.2, 0.1],
        [0.03, 0.87, 0.05, 0.05],
        [0.02, 0.08, 0.1, 0.8],
      ],
    },
    {
      ...{ id: 'cameWith', source: 'asked', cost_min: 0.5, group: 'time' },
      states: ['sun or heat next day', 'at once', 'slowly over weeks'],
      rows: [
        [0.6, 0.25, 0.15],
        [0.6, 0.3, 0.1],
        [0.6, 0.3, 0.1],
        [0.6, 0.05, 0.35],
        [0.35, 0.25, 0.4],
        [0.35, 0.05, 0.6],
        [0.4, 0.5, 0.1],
      ],
    },
    {
      ...{ id: 'postHeatReading', source: 'record', cost_min: 0, group: 'heat' },
      states: ['reached', 'below', 'none'],
      rows: [
        [0.6, 0.2, 0.2],
        [0.6, 0.2, 0.2],
        [0.5, 0.2, 0.3],
        [0.05, 0.45, 0.5],
        [0.4, 0.35, 0.25],
        [0.6, 0.2, 0.2],
        [0.5, 0.25, 0.25],
      ],
    },
    {
      ...{ id: 'surfaceTemp', source: 'record', cost_min: 0, group: 'cold' },
      states: ['within sheet', 'below sheet'],
      rows: [
        [0.9, 0.1],
        [0.93, 0.07],
        [0.9, 0.1],
        [0.85, 0.15],
        [0.1, 0.9],
        [0.93, 0.07],
        [0.9, 0.1],
      ],
    },
    {
      ...{ id: 'paintAge', source: 'asked', cost_min: 1, group: 'wall' },
      states: ['over 30 days', 'under 30 days', 'not paint'],
      rows: [
        [0.45, 0.05, 0.5],
        [0.45, 0.05, 0.5],
        [0.45, 0.05, 0.5],
        [0.45, 0.05, 0.5],
        [0.45, 0.05, 0.5],
        [0.15, 0.75, 0.1],
        [0.55, 0.05, 0.4],
      ],
    },
    {
      ...{ id: 'tool', source: 'record', cost_min: 0, group: 'press' },
      states: ['squeegee or roller', 'glove or hand'],
      rows: [
        [0.75, 0.25],
        [0.85, 0.15],
        [0.05, 0.95],
        [0.8, 0.2],
        [0.8, 0.2],
        [0.85, 0.15],
        [0.85, 0.15],
      ],
    },
  ],
  remedies: [
    { id: 'warm, press out', cost_min: 6, cures: [0.85, 0.8, 0.85, 0.35, 0.6, 0.2, 0.3] },
    { id: 'prick low, press out', cost_min: 8, cures: [0.9, 0.85, 0.9, 0.4, 0.6, 0.4, 0.9] },
    {
      id: 'lift zone, heat, relay, post-heat',
      cost_min: 30,
      cures: [0.95, 0.95, 0.95, 0.9, 0.85, 0.25, 0.85],
    },
    { id: 'replace after surface is fit', cost_min: 120, cures: [0.97, 0.97, 0.97, 0.95, 0.95, 0.9, 0.95] },
  ],
};
