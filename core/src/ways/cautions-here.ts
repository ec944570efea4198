import { type CutMethod, isHurt } from '../job';
import type { CautionKey } from './cautions';
import type { StepTemplate } from './templates';
import { type WorkStepsInput, isHeavy, isHigh, isLargeSheet } from './work-case';

/** What decides which dangers there are. */
interface DangerCase {
  readonly own: WorkStepsInput;
  readonly step: Pick<StepTemplate, 'cautions' | 'shared' | 'tools' | 'needsFit'>;
  readonly isFirst: boolean;
}

const OFF_GLASS: ReadonlySet<CutMethod> = new Set<CutMethod>([
  'decor',
  'column',
  'wrapped edges',
  'furrow girth',
  'textured wall',
]);
const isOnGlass = ({ method }: WorkStepsInput): boolean => method === undefined || !OFF_GLASS.has(method);
const usesGun = ({ step: { shared = [] } }: DangerCase): boolean => shared.includes('heat gun');
const usesBlade = ({ step: { tools } }: DangerCase): boolean =>
  tools.some((tool) => /blade|scraper/.test(tool));
const STONE = /block|brick|concrete|stucco/;
/** Glass that ends so near the floor may be a door. */
const REACHES_FLOOR_M = 0.3;

/** Dangers a step names and that not every surface has. */
const ONLY_WHERE: Partial<Record<CautionKey, (at: DangerCase) => boolean>> = {
  largeSheet: ({ own }) => isLargeSheet(own),
  weight: ({ own }) => isHeavy(own),
  coldGlass: ({ own }) => isOnGlass(own),
  hurtWindscreen: ({ own }) => own.isVehicle === true && isHurt(own),
  vehicleParts: ({ own }) => own.isVehicle === true,
  closedCar: ({ own }) => own.isVehicle === true,
  heaterLines: ({ own }) => own.hasHeaterLines === true,
  hotWall: ({ own }) => own.isWall === true,
  oldPaint: ({ own }) => own.mayBeOldPaint !== false,
  mortarDust: ({ own }) => STONE.test(own.texture ?? ''),
  platform: ({ own }) => isHigh(own),
  doorMarkings: ({ own }) => own.foot_m !== undefined && own.foot_m <= REACHES_FLOOR_M,
};

type Danger = readonly [CautionKey, (at: DangerCase) => boolean];

/** Dangers that come from the surface, whatever the step names: read before all others. */
const FROM_THE_SURFACE: readonly Danger[] = [
  ['rescueGlass', ({ own }) => own.isRescueGlass === 'yes' && own.hasConsent !== true],
  ['crackedGlass', ({ own }) => isHurt(own)],
  ['glassAndFilm', ({ own, isFirst }) => isFirst && isOnGlass(own)],
  ['vehicleRules', ({ own, isFirst }) => isFirst && own.isVehicle === true && isOnGlass(own)],
  ['safetyFilm', ({ own, isFirst }) => isFirst && own.isSecurityFilm],
  ['plastic', (at) => at.own.isPlastic === true && (usesGun(at) || at.step.cautions.includes('solvent'))],
  ['noPower', (at) => at.own.power === 'no' && (usesGun(at) || at.step.tools.includes('sander'))],
];
/** Toughened and wired glass: only where a bead or, at a bare edge, a blade meets it. */
const AT_ITS_EDGE: readonly Danger[] = [
  ['wiredBead', ({ own, step: { tools } }) => own.isWired === true && tools.includes('putty knife')],
  [
    'chippedEdge',
    (at) =>
      at.own.isEdgeExposed === true &&
      (at.own.isWired === true || at.own.isToughened === true) &&
      usesBlade(at) &&
      at.step.cautions.includes('coatedFace'),
  ],
];

/** Dangers of one step on one surface, each once, in the order they are read. */
export function cautionsHere(at: DangerCase): readonly CautionKey[] {
  const applying = (list: readonly Danger[]): CautionKey[] =>
    list.filter(([, where]) => where(at)).map(([key]) => key);
  return [
    ...new Set<CautionKey>([
      ...applying(FROM_THE_SURFACE),
      ...applying(AT_ITS_EDGE),
      ...at.step.cautions.filter((key) => ONLY_WHERE[key]?.(at) ?? true),
      ...(isHigh(at.own) && at.step.needsFit === true ? (['ladder'] as const) : []),
    ]),
  ];
}
