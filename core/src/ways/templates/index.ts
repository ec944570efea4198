import type { CutMethod, FilmFamily } from '../../job';
import { COLUMN } from './column';
import { CURVED } from './curved';
import { DECAL } from './decal';
import { DECOR } from './decor';
import { DRY_FITTED } from './dry-fitted';
import { FURROW } from './furrow';
import { PRE_SQUARED } from './pre-squared';
import { CUT_TO_ORDER, CUT_TO_OUTLINE } from './ready-cut';
import { SECURITY } from './security';
import { TABLE } from './table';
import type { WorkTemplate } from './template';
import { TEXTURED_WALL } from './textured-wall';
import { TRIM_IN_PLACE } from './trim-in-place';
import { WRAP } from './wrap';

/** Every way of working there is. A new one is a file of data and a line here. */
export const TEMPLATES: readonly WorkTemplate[] = [
  TRIM_IN_PLACE,
  DRY_FITTED,
  PRE_SQUARED,
  CUT_TO_ORDER,
  CUT_TO_OUTLINE,
  SECURITY,
  DECOR,
  COLUMN,
  TABLE,
  FURROW,
  WRAP,
  CURVED,
  TEXTURED_WALL,
  DECAL,
];

/** The way of working for a method of fitting and a family of film; undefined: not known how, ask. */
export function templateFor(method: CutMethod, family: FilmFamily | undefined): WorkTemplate | undefined {
  const own = TEMPLATES.flatMap((way) =>
    way.of.filter((suits) => suits.method === method).map((suits) => ({ way, families: suits.families })),
  );
  const ofFamily = own.find(({ families }) => family !== undefined && families?.includes(family) === true);
  return (ofFamily ?? own.find(({ families }) => families === undefined))?.way;
}

/** Whether the way of working lays film on slip: then there is water to get out, and to wait for. */
export function isLaidWet(method: CutMethod | undefined, family: FilmFamily | undefined): boolean {
  return (
    templateFor(method ?? 'trim in place', family)?.steps.some(({ slip }) => slip !== undefined) ?? false
  );
}

/** Whether a step, by its key, hands the surface over: with it the work at an application is finished. */
export function isHandover(step: string): boolean {
  return step === 'handover' || step.startsWith('handover-');
}

export { numbersOf, wordsOf } from './template';
export type {
  Closes,
  Pause,
  SharedTool,
  StepCase,
  StepDrawing,
  StepTemplate,
  Wanted,
  WorkTemplate,
} from './template';
