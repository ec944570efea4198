import type { LookTable } from '../look-table';

export const FINGER: LookTable = {
  causes: [
    { id: 'surplusNotShrunk', chance: 0.7, present: 0.4 },
    { id: 'moistureAtEdge', chance: 0.5, present: 0.3 },
    { id: 'pressedCold', chance: 0.5, present: 0.2 },
    { id: 'tooFewVents', chance: 0.3, present: 0.1 },
  ],
  evidence: [
    {
      ...{ id: 'place', source: 'pin on outline', cost_min: 0, group: 'place' },
      states: ['top or bottom edge', 'side', 'corner'],
      rows: [
        [0.75, 0.15, 0.1],
        [0.45, 0.4, 0.15],
        [0.55, 0.3, 0.15],
        [0.4, 0.2, 0.4],
      ],
    },
    {
      ...{ id: 'blot', source: 'asked', cost_min: 1, group: 'wet' },
      states: ['water comes', 'dry'],
      rows: [
        [0.25, 0.75],
        [0.9, 0.1],
        [0.3, 0.7],
        [0.4, 0.6],
      ],
    },
    {
      ...{ id: 'after', source: 'asked', cost_min: 1, group: 'heat' },
      states: ['lies down when warmed', 'comes back', 'no change'],
      rows: [
        [0.55, 0.35, 0.1],
        [0.25, 0.6, 0.15],
        [0.75, 0.2, 0.05],
        [0.2, 0.3, 0.5],
      ],
    },
  ],
  remedies: [
    { id: 'blot, brief heat, press', cost_min: 5, cures: [0.5, 0.9, 0.75, 0.4] },
    { id: 'heat fold from tip, press when soft', cost_min: 10, cures: [0.9, 0.5, 0.9, 0.5] },
    { id: 'replace', cost_min: 150, cures: [0.9, 0.95, 0.95, 0.9] },
  ],
};
