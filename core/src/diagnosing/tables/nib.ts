import type { LookTable } from '../look-table';

export const NIB: LookTable = {
  causes: [
    { id: 'glassNotClean', chance: 0.4, present: 0.3 },
    { id: 'edgeNotDry', chance: 0.4, present: 0.3 },
    { id: 'staticLiner', chance: 0.35, present: 0.2 },
    { id: 'dustyRoom', chance: 0.35, present: 0.15 },
    { id: 'drawnFromFrame', chance: 0.4, present: 0.2 },
    { id: 'dirtySlip', chance: 0.3, present: 0.05 },
  ],
  evidence: [
    {
      ...{ id: 'where', source: 'pin on outline', cost_min: 0, group: 'place' },
      states: ['within 50 mm of an edge', 'on the face', 'run below a frame'],
      rows: [
        [0.25, 0.7, 0.05],
        [0.85, 0.1, 0.05],
        [0.15, 0.82, 0.03],
        [0.15, 0.82, 0.03],
        [0.55, 0.05, 0.4],
        [0.15, 0.8, 0.05],
      ],
    },
    {
      ...{ id: 'kind', source: 'asked', cost_min: 0.5, group: 'look' },
      states: ['fibre or hair', 'grain or grit', 'paint or rubber crumb'],
      rows: [
        [0.2, 0.6, 0.2],
        [0.3, 0.5, 0.2],
        [0.6, 0.38, 0.02],
        [0.55, 0.43, 0.02],
        [0.1, 0.5, 0.4],
        [0.2, 0.75, 0.05],
      ],
    },
    {
      ...{ id: 'liner', source: 'record', cost_min: 0, group: 'liner' },
      states: ['sprayed as it opened', 'dry'],
      rows: [
        [0.8, 0.2],
        [0.8, 0.2],
        [0.15, 0.85],
        [0.75, 0.25],
        [0.8, 0.2],
        [0.85, 0.15],
      ],
    },
    {
      ...{ id: 'neighbours', source: 'record', cost_min: 0, group: 'count' },
      states: ['this pane only', 'several panes', 'more each hour'],
      rows: [
        [0.6, 0.35, 0.05],
        [0.5, 0.45, 0.05],
        [0.5, 0.4, 0.1],
        [0.15, 0.55, 0.3],
        [0.6, 0.35, 0.05],
        [0.1, 0.6, 0.3],
      ],
    },
    {
      ...{ id: 'washes', source: 'record', cost_min: 0, group: 'wash' },
      states: ['twice', 'once'],
      rows: [
        [0.2, 0.8],
        [0.4, 0.6],
        [0.7, 0.3],
        [0.7, 0.3],
        [0.5, 0.5],
        [0.65, 0.35],
      ],
    },
  ],
  remedies: [
    { id: 'accept by rule', cost_min: 0, cures: [0, 0, 0, 0, 0, 0] },
    { id: 'lift corner wet, flush, relay', cost_min: 20, cures: [0.75, 0.8, 0.75, 0.6, 0.7, 0.4] },
    { id: 'replace, same way', cost_min: 90, cures: [0.4, 0.4, 0.45, 0.35, 0.4, 0.1] },
    { id: 'replace, cause removed first', cost_min: 110, cures: [0.95, 0.95, 0.95, 0.85, 0.92, 0.95] },
  ],
};
