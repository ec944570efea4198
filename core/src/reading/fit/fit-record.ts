import { type RowOf, stepStateOf } from '../../job';
import { stepCalled } from '../../ways';
import type { DisplayUnits } from '../../quantity';
import type { JobView } from '../view/job-view';
import { doneSteps, workStepsOf } from './work';

/** One step as it was done. */
export interface DoneStep {
  readonly step: string;
  readonly says: string;
  readonly startedAt: string | null;
  readonly doneAt: string;
  /** When each round was done, where it repeats or was wetted again; null: not known when. */
  readonly roundsAt: readonly (string | null)[];
  /** What each fold of curved film did under the gun. */
  readonly foldsSaid: RowOf<'workRecord'>['foldsSaid'];
  readonly people: readonly string[];
  readonly mix: string;
  readonly deviation: string;
  readonly note: string;
  /** The next was begun before its wait was over, and why; null: it was not. */
  readonly endedEarly: string | null;
}

/** All that is known of how one film went on: read long after, by whoever asks why the edge lifted. */
interface FitRecord {
  readonly steps: readonly DoneStep[];
  /** Rolls and lots its pieces were cut from, by the plan. */
  readonly rolls: readonly { readonly label: string; readonly lot: string; readonly drop: number }[];
  readonly readings: readonly RowOf<'reading'>[];
  readonly photos: readonly RowOf<'photo'>[];
  readonly marks: readonly RowOf<'mark'>[];
}

/** What was done and read on one film, in order of time. */
export function fitRecordOf(
  view: JobView,
  application: RowOf<'application'>,
  units: DisplayUnits = 'metric',
): FitRecord {
  const { id, surfaceId } = application;
  const isOwn = ({ applicationId }: { readonly applicationId: string | null }): boolean =>
    applicationId === null || applicationId === id;
  return {
    steps: stepsDone(view, application, units),
    rolls: view.piecesFor(id).flatMap(({ rollId, drop }) => {
      const roll = view.rows.cutRoll.find((own) => own.id === rollId);
      return roll === undefined ? [] : [{ label: roll.label, lot: roll.lot, drop }];
    }),
    readings: view.readingsOf(surfaceId).filter(isOwn).toSorted(byMaking),
    photos: view.photosOf(surfaceId).filter(isOwn),
    marks: view.marksOf(surfaceId).filter(isOwn).toSorted(byMaking),
  };
}

function stepsDone(
  view: JobView,
  application: RowOf<'application'>,
  units: DisplayUnits,
): readonly DoneStep[] {
  const now = new Map(workStepsOf(view, application, units).map(({ step, what }) => [step, what]));
  const ends = view.waitEndsOf(application.id);
  return [...doneSteps(view, application.id).values()]
    .filter((record) => stepStateOf(record) === 'done')
    .map((record): DoneStep => ({
      step: record.step,
      says: now.get(record.step) ?? stepCalled(record.template, record.step, units),
      startedAt: record.startedAt,
      doneAt: record.doneAt ?? '',
      roundsAt: record.roundsAt,
      foldsSaid: record.foldsSaid,
      people: record.people.length > 0 ? record.people : [record.changedBy],
      mix: record.mix,
      deviation: record.deviation,
      note: record.note,
      endedEarly: ends.find(({ step, how }) => step === record.step && how === 'early')?.reason ?? null,
    }))
    .sort((a, b) => a.doneAt.localeCompare(b.doneAt));
}

const byMaking = (a: { readonly madeAt: string }, b: { readonly madeAt: string }): number =>
  a.madeAt.localeCompare(b.madeAt);
