import { valueAt } from '../../quantity';
import {
  type CauseShare,
  type Diagnosis,
  type DiagnosisAsked,
  LOOK_TABLES,
  beliefOf,
  diagnose,
  whenItWorked,
} from '../../diagnosing';
import type { CauseCase, DiagnosedLook, RowOf } from '../../job';
import { type JudgedAt, seenOnMark } from './cause-record';
import { inEnd } from './in-the-end';
import type { CaseOfShop } from '../view/job-rows';
import type { JobView } from '../view/job-view';
import type { JudgedMark } from '../check/marks';
import { workStepsOf } from '../fit/work';

/** What is known of why a mark is there. */
export interface CauseHere extends Diagnosis {
  readonly look: DiagnosedLook;
  readonly row: CaseAnswers | undefined;
  /** What the job's own record says, by evidence. */
  readonly known: Readonly<Record<string, string>>;
  /** A crack: nothing is judged, a licensed glazier decides. */
  readonly isGlass: boolean;
}

/** What a person said of why something is there, as far as it is kept. */
type CaseAnswers = Pick<CauseCase, 'answers' | 'confirmed' | 'how' | 'look' | 'remedy'> & {
  readonly id: string;
};

/** Where the minutes of a redo are not known: as in the model. */
const USUAL_REDO_MIN = 150;
const HALF = 0.5;

/** Undefined: nothing is known of looks like that. */
export function causeOf(view: JobView, own: JudgedMark, judged: JudgedAt): CauseHere | undefined {
  const found = seenOnMark(view, own, judged);
  if (found === undefined) return undefined;
  const row = view.rows.causeCase.find(({ markIds }) => markIds.includes(own.mark.id));
  const cases = casesOf(view);
  return causeBy({
    lambda: beliefOf(inEnd(cases, LOOK_TABLES)),
    ...{ look: found.look, known: found.seen, present: found.present },
    row: row?.look === found.look ? row : undefined,
    confirmed: countsOf(cases, found.look, row?.id),
    redo_min: redoMinutes(view, own.mark),
  });
}

/** The same of something that is in no job: all that is known of it is what somebody says. */
export const causeApart = (
  look: DiagnosedLook,
  row: CaseAnswers | undefined,
  cases: readonly CaseOfShop[],
): CauseHere =>
  causeBy({
    ...{ look, known: {}, present: {}, row, redo_min: USUAL_REDO_MIN },
    confirmed: countsOf(cases, look, row?.id),
    lambda: beliefOf(inEnd(cases, LOOK_TABLES)),
  });

function causeBy({
  look,
  known,
  present,
  row,
  confirmed,
  lambda,
  redo_min,
}: Pick<CauseHere, 'look' | 'known' | 'row'> &
  Pick<DiagnosisAsked, 'present' | 'confirmed' | 'lambda'> & { readonly redo_min: number }): CauseHere {
  const told = row?.answers ?? [];
  const asked: DiagnosisAsked = {
    ...{ table: LOOK_TABLES[look], present, ...(confirmed === undefined ? {} : { confirmed }) },
    ...(lambda === undefined ? {} : { lambda }),
    seen: { ...known, ...Object.fromEntries(told.map(({ evidence, state }) => [evidence, state])) },
  };
  const own = diagnose(asked, redo_min, told.length);
  const [first] = own.shown;
  return {
    ...{ ...own, look, row, known },
    remedies: own.remedies.filter(({ id }) => mayBeDone(id, asked, first)),
    isGlass: look === 'glassCrack',
  };
}

/** Water is never pricked before its date: the hole stays (model 2.6). */
const mayBeDone = (remedy: string, { table, seen }: DiagnosisAsked, first: CauseShare | undefined): boolean =>
  table !== LOOK_TABLES.waterPocket ||
  !remedy.startsWith('prick') ||
  first?.id === 'airNotWater' ||
  seen['ageVsBand'] === 'after band';

/** Of the shop, and those of this job as they stand now. */
function casesOf(view: JobView): readonly CaseOfShop[] {
  const own = view.rows.causeCase;
  const here = new Set(own.map(({ id }) => id));
  return [...(view.shop.experience?.cases ?? []).filter(({ id }) => !here.has(id)), ...own];
}

/**
 * Confirmed cases of a look, by cause. One that is believed counts half; one known only because a remedy
 * worked counts for each cause as likely as that remedy makes it.
 */
function countsOf(
  cases: readonly CaseOfShop[],
  look: DiagnosedLook,
  but: string | undefined,
): Readonly<Record<string, number>> {
  const counts: Record<string, number> = {};
  const count = (cause: string, weight: number): void => {
    counts[cause] = (counts[cause] ?? 0) + weight;
  };
  for (const { id, confirmed, how, look: of, remedy, posterior } of cases) {
    if (confirmed === null || of !== look || id === but) continue;
    const weights =
      how === 'remedy worked' && posterior !== null && remedy !== null
        ? whenItWorked(LOOK_TABLES[look], posterior, remedy)
        : undefined;
    if (weights === undefined) count(confirmed, how === 'seen' ? 1 : HALF);
    else
      LOOK_TABLES[look].causes.forEach((cause, index) => {
        count(cause.id, valueAt(weights, index));
      });
  }
  return counts;
}

/** Work on the surface's film, done again; our guess where it is not known. */
function redoMinutes(view: JobView, { surfaceId, applicationId }: RowOf<'mark'>): number {
  const all = view.applicationsOf(surfaceId);
  const film = all.find(({ id }) => id === applicationId) ?? all[0];
  const minutes =
    film === undefined ? 0 : workStepsOf(view, film).reduce((sum, step) => sum + step.minutes.value, 0);
  return minutes > 0 ? minutes : USUAL_REDO_MIN;
}
