import type { LookTable } from '../look-table';

export const LIGHT_GAP: LookTable = {
  causes: [
    { id: 'trimmedShort', chance: 0.8, present: 0.4 },
    { id: 'placedOff', chance: 0.7, present: 0.3 },
    { id: 'blankSmall', chance: 0.9, present: 0.1 },
    { id: 'shrankBack', chance: 0.4, present: 0.1 },
  ],
  evidence: [
    {
      ...{ id: 'sides', source: 'pin on outline', cost_min: 0, group: 'place' },
      states: ['one side', 'two facing or all', 'wedge'],
      rows: [
        [0.6, 0.2, 0.2],
        [0.5, 0.05, 0.45],
        [0.4, 0.5, 0.1],
        [0.1, 0.85, 0.05],
      ],
    },
    {
      ...{ id: 'opposite', source: 'measured', cost_min: 1, group: 'size' },
      states: ['film under gasket opposite', 'gap there too'],
      rows: [
        [0.1, 0.9],
        [0.85, 0.15],
        [0.1, 0.9],
        [0.05, 0.95],
      ],
    },
    {
      ...{ id: 'grew', source: 'asked', cost_min: 1, group: 'time' },
      states: ['at once', 'later'],
      rows: [
        [0.97, 0.03],
        [0.97, 0.03],
        [0.97, 0.03],
        [0.05, 0.95],
      ],
    },
  ],
  remedies: [
    { id: 'accept by rule', cost_min: 0, cures: [0, 0, 0, 0] },
    { id: 'replace', cost_min: 110, cures: [0.97, 0.95, 0.97, 0.8] },
  ],
};
