import type { RuleSet } from '../job';
import type { Source } from '../quantity';

const fromMemory = (text: string): Source => ({
  kind: 'from memory',
  text: `${text}; from memory: read the standard`,
});

/** The published kinds, each to be copied and edited. From memory: read the standard. */
export const RULE_SETS: readonly RuleSet[] = [
  {
    name: 'film, six feet',
    version: 1,
    source: fromMemory('the film trade’s visual inspection standard'),
    distance_m: 1.83,
    angles_deg: [0, 45],
    light: 'daylight, diffuse, no direct sun',
    edge: { mm: 50, mmOver: null },
    ofSeen: 'must not be obtrusive',
    rules: [],
    cluster: { count: 5, within_mm: 300, from_mm: 0 },
    watched: ['bubble', 'water pocket'],
    gap_mm: { least: 1, most: 2, mostThick: 3.2 },
    leastLight: null,
  },
  {
    name: 'coated glass kind',
    version: 1,
    source: fromMemory('EN 1096-1, table of acceptance'),
    distance_m: 3,
    angles_deg: [0, 30],
    light: 'uniform, diffuse; 20 s',
    edge: { share: 0.05 },
    ofSeen: 'accepted by the rules',
    rules: [
      { kind: 'spot', over_mm: 3, to_mm: null, zone: 'any', limit: { case: 'at most', count: 0 } },
      { kind: 'spot', over_mm: 2, to_mm: 3, zone: 'any', limit: { case: 'a square metre', count: 1 } },
      { kind: 'line', over_mm: 75, to_mm: null, zone: 'main', limit: { case: 'at most', count: 0 } },
      { kind: 'line', over_mm: 75, to_mm: null, zone: 'edge', limit: { case: 'apart', least_mm: 50 } },
    ],
    cluster: { count: 4, within_mm: 100, from_mm: 0 },
    watched: ['bubble', 'water pocket'],
    gap_mm: null,
    leastLight: null,
  },
  {
    name: 'laminated glass kind',
    version: 1,
    source: fromMemory('ISO 12543-6, spot and linear defects of two panes, to which EN 14449 refers'),
    distance_m: 2,
    angles_deg: [0, 0],
    light: 'diffuse, matt grey behind',
    edge: { mm: 15, mmOver: { area_m2: 5, mm: 20 } },
    ofSeen: 'accepted by the rules',
    rules: [
      { kind: 'spot', over_mm: 3, to_mm: null, zone: 'main', limit: { case: 'at most', count: 0 } },
      {
        kind: 'spot',
        over_mm: 1,
        to_mm: 3,
        zone: 'main',
        limit: {
          case: 'by area',
          steps: [
            { upTo_m2: 1, count: 1, isPerM2: false },
            { upTo_m2: 2, count: 2, isPerM2: false },
            { upTo_m2: 8, count: 1, isPerM2: true },
            { upTo_m2: null, count: 1.2, isPerM2: true },
          ],
        },
      },
      { kind: 'spot', over_mm: 5, to_mm: null, zone: 'edge', limit: { case: 'at most', count: 0 } },
      {
        kind: 'line',
        over_mm: 30,
        to_mm: null,
        zone: 'main',
        limit: {
          case: 'by area',
          steps: [
            { upTo_m2: 5, count: 0, isPerM2: false },
            { upTo_m2: 8, count: 1, isPerM2: false },
            { upTo_m2: null, count: 2, isPerM2: false },
          ],
        },
      },
    ],
    cluster: { count: 4, within_mm: 200, from_mm: 0.5 },
    watched: ['bubble', 'water pocket'],
    gap_mm: null,
    leastLight: null,
  },
];
