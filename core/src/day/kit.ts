import { type WorkStep, isLaidWet } from '../ways';
import type { DaySurface } from './day-problem';
import { RULES } from '../rules';

export interface KitItem {
  readonly key: string;
  readonly word: string;
  /** What is used up has a number; a tool is there or not. */
  readonly count: number | null;
  readonly unit: string;
  readonly because: string;
}

export interface KitList {
  readonly tools: readonly KitItem[];
  readonly usedUp: readonly KitItem[];
}

/** What the workshop keeps in stock and every job uses up. */
export const SUPPLIES = {
  'blade-points': { word: 'blade points for trimming', unit: 'points' },
  'scraper-blades': { word: 'scraper blades', unit: 'blades' },
  paper: { word: 'lint-free paper', unit: 'sheets' },
  cloths: { word: 'cloths', unit: 'cloths' },
  tape: { word: 'tape', unit: 'm' },
} as const satisfies Readonly<Record<string, { readonly word: string; readonly unit: string }>>;
export type SupplyKey = keyof typeof SUPPLIES;

const USED_UP = /blade|tape$|paper|wipe|putty$|cloth/;

/** What to bring for these surfaces: tools named by their steps, and what is used up, counted. */
export function kitList(
  surfaces: readonly Pick<DaySurface, 'method' | 'family' | 'area_m2' | 'edge_m' | 'tag'>[],
  steps: readonly Pick<WorkStep, 'tools'>[],
): KitList {
  const tools = [...new Set(steps.flatMap((step) => step.tools))]
    .filter((tool) => !USED_UP.test(tool))
    .sort();
  const glass = surfaces.filter(({ method, family }) => isLaidWet(method, family));
  const area = (own: typeof surfaces): number =>
    own.reduce((sum, { area_m2 }) => sum + (area_m2 ?? RULES.usualArea.value), 0);
  const edge = (own: typeof surfaces): number =>
    own.reduce((sum, { edge_m }) => sum + (edge_m ?? RULES.usualEdge.value), 0);
  const item = (key: SupplyKey, count: number, because: string): KitItem => ({
    key,
    ...SUPPLIES[key],
    count: Math.ceil(count - 1e-9),
    because,
  });
  return {
    tools: tools.map((word) => ({ key: `tool:${word}`, word, count: null, unit: '', because: '' })),
    usedUp:
      surfaces.length === 0
        ? []
        : [
            item('blade-points', surfaces.length, 'a fresh point for every pane or sheet'),
            ...(glass.length > 0
              ? [
                  item(
                    'scraper-blades',
                    Math.max(glass.length / 2, area(glass) / RULES.bladesEach.value),
                    'another one for scraping; changed when it drags',
                  ),
                  item('paper', edge(glass) / RULES.paperEach.value, 'edges dried, then blotted'),
                ]
              : []),
            item('cloths', 2 + area(surfaces) / RULES.clothEach.value, 'floor, sill and hands'),
            item('tape', surfaces.length * RULES.tapeEach.value, 'liner tabs, marks, masking'),
          ],
  };
}

/** What is still to be bought of something that is used up; what nobody counted counts as none. */
export function toBuy(item: Pick<KitItem, 'count'>, have: number | undefined): number {
  return Math.max(0, Math.ceil((item.count ?? 0) - (have ?? 0) - 1e-9));
}
