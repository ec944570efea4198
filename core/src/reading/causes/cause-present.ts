import { type DiagnosedLook, type RowOf, stepStateOf } from '../../job';
import type { JobView } from '../view/job-view';
import type { JudgedSurface } from '../check/marks';
import { strokeToolOf } from '../fit/stroke-tool';
import { doneSteps, workStepsOf } from '../fit/work';

/** Of work of which so many steps are ticked, what is not ticked was left out; our guess. */
const TICKED_SHARE = 0.6;
/** Nearer to what it must lap by, a hand laps enough. */
const WITHIN_MM = 0.5;

/**
 * How far a step of the way was done: not part of this way, done, or left out of work that was handed over.
 */
type StepDone = 'not in this way' | 'done' | 'left out' | 'not known';

/**
 * Causes of which the record of the job knows that they were there (1) or were not (0), by cause. What is
 * said here is no answer as well: it would count twice.
 */
export function presentOf(
  view: JobView,
  look: DiagnosedLook,
  film: RowOf<'application'> | undefined,
  { drying }: Pick<JudgedSurface, 'drying'>,
): Readonly<Record<string, number>> {
  if (film === undefined) return {};
  const stepDone = stepOf(view, film);
  const known: Readonly<Partial<Record<DiagnosedLook, Readonly<Record<string, number | undefined>>>>> = {
    waterPocket: {
      noOverlap: plannedTooNarrow(view, film),
      noDryingSeason: drying.by === 'vapour' ? 0 : drying.by === 'not this season' ? 1 : undefined,
    },
    dryBubbles: {
      noOverlap: plannedTooNarrow(view, film),
      noPostHeat: absentStep(stepDone('post-heat')),
      jointClosed: stepDone('joints') === 'not in this way' ? 0 : undefined,
    },
    liftingEdge: { noPostHeat: absentStep(stepDone('post-heat')) },
    finger: { surplusNotShrunk: stepDone('shrink') === 'not in this way' ? 0 : undefined },
    nib: { glassNotClean: stepDone('clean') === 'left out' ? 1 : undefined },
    seamOpen: { noPromoter: absentStep(stepDone('promoter')) },
    lightGap: {
      trimmedShort: stepDone('trim') === 'not in this way' ? 0 : undefined,
      blankSmall: stepDone('trim') === 'done' ? 0 : undefined,
    },
    haze: { heatTooNear: heatUsed(stepDone), adhesiveStretched: heatUsed(stepDone) },
    glueLine: { overheated: heatUsed(stepDone) },
    jointTrap: { levelJointsFirst: stepDone('joints') === 'not in this way' ? 0 : undefined },
  };
  return Object.fromEntries(
    Object.entries(known[look] ?? {}).filter((entry): entry is [string, number] => entry[1] !== undefined),
  );
}

/** Left out of this work it was the cause that it was not done; in a way without it, it was not wanted. */
const absentStep = (done: StepDone): number | undefined =>
  done === 'left out' ? 1 : done === 'not in this way' || done === 'done' ? 0 : undefined;

const heatUsed = (stepDone: (part: string) => StepDone): number | undefined =>
  stepDone('shrink') === 'not in this way' && stepDone('heat') === 'not in this way' ? 0 : undefined;

/** Steps by a part of their key; of several the one that was left out counts. */
function stepOf(view: JobView, film: RowOf<'application'>): (part: string) => StepDone {
  const steps = workStepsOf(view, film);
  const done = doneSteps(view, film.id);
  const ticked = steps.filter(({ step }) => stepStateOf(done.get(step)) === 'done').length;
  // Who ticks only the end has left nothing out.
  const isWhole = view.isHandedOver(film.id) && ticked >= TICKED_SHARE * steps.length;
  return (part) => {
    const own = steps.filter(({ step }) => step.includes(part));
    if (own.length === 0) return 'not in this way';
    if (own.every(({ step }) => stepStateOf(done.get(step)) === 'done')) return 'done';
    return isWhole ? 'left out' : 'not known';
  };
}

/**
 * Strokes planned with less lap than this hand needs leave a line; enough of it proves nothing of the hand.
 */
function plannedTooNarrow(view: JobView, film: RowOf<'application'>): number | undefined {
  const { lap, tool } = strokeToolOf(view, film);
  return lap !== undefined && tool.overlap_mm < lap.value - WITHIN_MM ? 1 : undefined;
}
