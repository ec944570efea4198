import type { LinerPlan } from '@yellow-pane/core/liner';
import {
  type JobView,
  type StrokeMoment,
  faceSeen,
  isShrunk,
  linerOf,
  strokesOf,
  trimOf,
  workStepsOf,
} from '@yellow-pane/core/reading';
import {
  type Face,
  type JudgedStrokes,
  type StrokeNote,
  judgeStrokes,
  notesOf,
  calculateStrokes,
  withChanges,
} from '@yellow-pane/core/strokes';
import type { TrimPlan } from '@yellow-pane/core/trimming';
import type { WorkStep } from '@yellow-pane/core/ways';
import type { PlannedLine } from './planned-day';

/** A drawing of a step, for paper. */
export type StepDrawingOnPaper = { readonly tag: string; readonly number: number } & (
  | {
      readonly kind: 'lock' | 'strokes';
      readonly whole: Face;
      readonly judged: JudgedStrokes;
      readonly overlap_mm: number;
      readonly notes: readonly StrokeNote[];
    }
  | { readonly kind: 'trim'; readonly whole: Face; readonly plan: TrimPlan }
  | { readonly kind: 'liner'; readonly plan: LinerPlan }
);

/** What is drawn with the steps of these lines, each surface and step once. */
export function stepDrawings(view: JobView, lines: readonly PlannedLine[]): readonly StepDrawingOnPaper[] {
  const seen = new Set<string>();
  return lines.flatMap(({ applicationId, steps, tag }) => {
    const application = view.applicationById.get(applicationId);
    if (application === undefined || isShrunk(application)) return [];
    return workStepsOf(view, application)
      .filter(({ step, draws }) => draws !== null && steps.includes(step))
      .filter(({ step }) => {
        const key = `${applicationId} ${step}`;
        const isNew = !seen.has(key);
        seen.add(key);
        return isNew;
      })
      .flatMap((step) => drawingOf(view, application, step, tag));
  });
}

function drawingOf(
  view: JobView,
  application: Parameters<typeof strokesOf>[1],
  { step, draws, number, isHardPass }: WorkStep,
  tag: string,
): readonly StepDrawingOnPaper[] {
  if (draws === 'liner') {
    const plan = linerOf(view, application);
    return plan === undefined ? [] : [{ kind: 'liner', tag, number, plan }];
  }
  if (draws === 'trim') {
    const [plan, whole] = [trimOf(view, application, step), faceSeen(view, application)];
    return plan === undefined || whole === undefined ? [] : [{ kind: 'trim', tag, number, plan, whole }];
  }
  const moment: StrokeMoment = draws === 'lock' ? 'lock' : isHardPass ? 'hard pass' : 'press';
  const today = strokesOf(view, application, { moment });
  if (today.kind === 'none') return [];
  const { asked, whole, changes } = today.own;
  const all = calculateStrokes(asked);
  const own =
    moment === 'lock'
      ? all.filter(({ part }) => part === 'lock')
      : withChanges(all, changes, asked.tool.blade_mm);
  const judged = judgeStrokes(asked, own);
  return [
    {
      ...{ kind: moment === 'lock' ? 'lock' : 'strokes', tag, number, whole, judged },
      ...{ overlap_mm: asked.tool.overlap_mm, notes: moment === 'lock' ? [] : notesOf(judged) },
    },
  ];
}
