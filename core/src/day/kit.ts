import { type Caution, type WorkStep, isLaidWet } from '../ways';
import type { DaySurface } from './day-problem';
import { RULES } from '../rules';

interface KitItem {
  readonly key: string;
  readonly word: string;
  /** What is used up has a number; a tool is there or not. */
  readonly count: number | null;
  readonly unit: string;
  readonly because: string;
}

interface KitList {
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
type SupplyKey = keyof typeof SUPPLIES;

const USED_UP = /blade|tape$|paper|wipe|cloth/;

/** What is worn or stands ready against a danger. */
const GEAR: Readonly<Record<string, readonly { readonly word: string; readonly isForEach: boolean }[]>> = {
  blade: [
    { word: 'safety glasses', isForEach: true },
    { word: 'cut-resistant glove', isForEach: true },
  ],
  bladePoints: [
    { word: 'pliers for blade points', isForEach: false },
    { word: 'sharps box', isForEach: false },
  ],
  heatGun: [{ word: 'heat glove', isForEach: true }],
  gunAndSpray: [{ word: 'residual-current breaker', isForEach: false }],
  hotWall: [{ word: 'fire extinguisher', isForEach: false }],
  solvent: [{ word: 'gloves', isForEach: true }],
  looseGlass: [
    { word: 'gloves', isForEach: true },
    { word: 'barrier tape', isForEach: false },
  ],
  sanding: [{ word: 'dust mask', isForEach: true }],
  mortarDust: [{ word: 'fine-dust mask', isForEach: true }],
  causticWash: [
    { word: 'gloves', isForEach: true },
    { word: 'goggles', isForEach: true },
  ],
  ladder: [{ word: 'ladder', isForEach: false }],
  platform: [{ word: 'platform', isForEach: false }],
  noPower: [{ word: 'generator or battery, and leads', isForEach: false }],
};

type KitStep = Pick<WorkStep, 'tools' | 'crew'> & {
  readonly cautions: readonly Pick<Caution, 'key' | 'word'>[];
};

/** Tools by number: as many as work with one at once; glasses and gloves for everybody at the step. */
function toolItems(steps: readonly KitStep[]): readonly KitItem[] {
  const items = new Map<string, { count: number; because: string }>();
  const takes = (word: string, count: number, because: string): void => {
    const before = items.get(word);
    items.set(word, {
      count: Math.max(before?.count ?? 0, count),
      because: before?.because === '' ? '' : because,
    });
  };
  for (const { tools, crew, cautions } of steps) {
    for (const tool of tools) if (!USED_UP.test(tool)) takes(tool, ONE_EACH.test(tool) ? crew : 1, '');
    for (const { key, word } of cautions)
      for (const gear of GEAR[key] ?? []) takes(gear.word, gear.isForEach ? crew : 1, word);
  }
  return [...items]
    .map(([word, { count, because }]) => ({ key: `tool:${word}`, word, count, unit: '', because }))
    .sort((a, b) => (a.word < b.word ? -1 : 1));
}

/** What each person has in the hand. */
const ONE_EACH = /squeegee|glove|mask|glasses|goggles/;

/** What to bring for these surfaces: tools named by their steps, and what is used up, counted. */
export function kitList(
  surfaces: readonly Pick<DaySurface, 'method' | 'family' | 'area_m2' | 'edge_m' | 'tag'>[],
  steps: readonly KitStep[],
): KitList {
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
    tools: toolItems(steps),
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
                ]
              : []),
            ...(steps.some(({ tools }) => tools.some((tool) => tool.includes('paper'))) || glass.length > 0
              ? [item('paper', edge(surfaces) / RULES.paperEach.value, 'edges dried, blotted, grounds wiped')]
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
