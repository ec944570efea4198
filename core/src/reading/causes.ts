import {
  ANOTHER_CAUSE,
  type CauseShare,
  type CostlyRemedy,
  type DiagnosisAsked,
  type EvidenceRow,
  type Explained,
  LOOK_TABLES,
  capOf,
  capped,
  chancesOf,
  explained,
  moreThanOne,
  named,
  nextQuestion,
  posteriorOf,
  remediesOf,
  toAsk,
} from '../diagnosing';
import type { DiagnosedLook, RowOf } from '../job';
import { type JudgedAt, seenOnMark } from './cause-record';
import type { JobView } from './job-view';
import type { JudgedMark } from './marks';
import { workStepsOf } from './work';

/** What is known of why a mark is there. */
export interface CauseHere {
  readonly look: DiagnosedLook;
  readonly row: RowOf<'causeCase'> | undefined;
  readonly asked: DiagnosisAsked;
  /** What the job's own record says, by evidence. */
  readonly known: Readonly<Record<string, string>>;
  /** The first three, as sure as may be said. */
  readonly shown: readonly CauseShare[];
  /** All, another cause last, as reckoned. */
  readonly raw: readonly number[];
  readonly says: 'probably' | 'probably two together' | 'cannot say';
  /** Why the first stands before the second. */
  readonly why: Explained | undefined;
  readonly next: EvidenceRow | undefined;
  /** What else a person may say of it, though it is not worth asking. */
  readonly more: readonly EvidenceRow[];
  /** What only days to come can tell. */
  readonly later: readonly EvidenceRow[];
  readonly remedies: readonly CostlyRemedy[];
  /** A crack: nothing is judged, a licensed glazier decides. */
  readonly isGlass: boolean;
}

/** Where the minutes of a redo are not known: as in the model. */
const USUAL_REDO_MIN = 150;
/** A chance that several fired at once over this is said; our judgement (model 5.1). */
const TWO_FROM = 0.3;
/** Of causes nobody thought of. */
const LEAK = 0.02;
/** A first name less likely than that is no name. */
const LEAST_SHARE = 0.25;
const SHOWN = 3;
const HALF = 0.5;

/** Undefined: nothing is known of looks like that. */
export function causeOf(view: JobView, own: JudgedMark, judged: JudgedAt): CauseHere | undefined {
  const found = seenOnMark(view, own, judged);
  if (found === undefined) return undefined;
  const { look, seen: known, present } = found;
  const row = view.rows.causeCase.find(({ markIds }) => markIds.includes(own.mark.id));
  const told = row?.look === look ? row.answers : [];
  const confirmed = confirmedOf(view, look, row?.id);
  const asked: DiagnosisAsked = {
    ...{ table: LOOK_TABLES[look], present, confirmed },
    seen: { ...known, ...Object.fromEntries(told.map(({ evidence, state }) => [evidence, state])) },
  };
  const raw = posteriorOf(asked);
  const cases = Object.values(confirmed).reduce((sum, count) => sum + count, 0);
  const shown = named(asked, capped(raw, capOf(cases))).slice(0, SHOWN);
  const [first, second] = named(asked, raw);
  const redo_min = redoMinutes(view, own.mark);
  const next = nextQuestion(asked, redo_min, told.length);
  return {
    ...{ look, row, asked, known, shown, raw, says: saysOf(asked, first) },
    why: first === undefined || second === undefined ? undefined : explained(asked, first.id, second.id),
    next: asked.table.evidence.find(({ id }) => id === next?.id),
    more: toAsk(asked).filter(({ id }) => id !== next?.id),
    later: asked.table.evidence.filter(
      ({ id, source }) => source === 'asked later' && asked.seen[id] === undefined,
    ),
    remedies: remediesOf(asked.table, raw, redo_min).filter(({ id }) => mayBeDone(id, asked, first)),
    isGlass: look === 'glassCrack',
  };
}

function saysOf(asked: DiagnosisAsked, first: CauseShare | undefined): CauseHere['says'] {
  if (first === undefined || first.id === ANOTHER_CAUSE || first.share < LEAST_SHARE) return 'cannot say';
  const isTwo =
    Object.keys(asked.seen).length === 0 && moreThanOne({ chances: chancesOf(asked), leak: LEAK }) > TWO_FROM;
  return isTwo ? 'probably two together' : 'probably';
}

/** Water is never pricked before its date: the hole stays (model 2.6). */
const mayBeDone = (remedy: string, { table, seen }: DiagnosisAsked, first: CauseShare | undefined): boolean =>
  table !== LOOK_TABLES.waterPocket ||
  !remedy.startsWith('prick') ||
  first?.id === 'airNotWater' ||
  seen['ageVsBand'] === 'after band';

/** Confirmed cases of a look in this job, by cause; what is only believed counts half. */
function confirmedOf(
  view: JobView,
  look: DiagnosedLook,
  but: string | undefined,
): Readonly<Record<string, number>> {
  const counts: Record<string, number> = {};
  for (const { id, confirmed, how, look: of } of view.rows.causeCase) {
    if (confirmed === null || of !== look || id === but) continue;
    counts[confirmed] = (counts[confirmed] ?? 0) + (how === 'believed' ? HALF : 1);
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
