import type { CutMethod, FilmFamily } from '../../job';
import { CURVED } from './curved';
import { COLUMN } from './column';
import { DECOR } from './decor';
import { DRY_FITTED, PRE_SQUARED } from './dry-fitted';
import { FLAT_GLASS } from './flat-glass';
import { SECURITY } from './security';
import { FURROW, TABLE } from './table';
import type { WorkTemplate } from './template';
import { DECAL, TEXTURED_WALL } from './walls';

const BY_METHOD: Readonly<Record<CutMethod, WorkTemplate>> = {
  'trim in place': FLAT_GLASS,
  'pre-squared': PRE_SQUARED,
  'dry-fitted': DRY_FITTED,
  security: SECURITY,
  decor: DECOR,
  column: COLUMN,
  'wrapped edges': TABLE,
  'furrow girth': FURROW,
  'curved, shrunk': CURVED,
  'textured wall': TEXTURED_WALL,
};

export const TEMPLATES: readonly WorkTemplate[] = [
  FLAT_GLASS,
  DRY_FITTED,
  PRE_SQUARED,
  SECURITY,
  DECOR,
  COLUMN,
  TABLE,
  FURROW,
  CURVED,
  TEXTURED_WALL,
  DECAL,
];

/** The way of working for a method of fitting and a family of film. */
export function templateFor(method: CutMethod, family: FilmFamily | undefined): WorkTemplate {
  return method === 'textured wall' && family === 'wrap' ? DECAL : BY_METHOD[method];
}

/** Whether the way of working lays film on slip: then there is water to get out, and to wait for. */
export function isLaidWet(method: CutMethod | undefined, family: FilmFamily | undefined): boolean {
  return templateFor(method ?? 'trim in place', family).steps.some(({ slip }) => slip !== undefined);
}

/** Whether a step, by its key, hands the surface over: with it the work at an application is finished. */
export function isHandover(step: string): boolean {
  return step === 'handover' || step.startsWith('handover-');
}

export { FLAT_GLASS } from './flat-glass';
export { numbersOf } from './template';
export type { Closes, Pause, SharedTool, StepCase, StepTemplate, WorkTemplate } from './template';
