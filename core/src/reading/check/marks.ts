import { hashText } from '../../blanks';
import type { Known, MarkLook, RowOf, RuleSet } from '../../job';
import {
  type MarkDecision,
  type Pin,
  USUAL_LUMINANCE,
  VERDICT_OF_MARK,
  decideMarks,
  pocketSaid,
} from '../../judging';
import { type Verdict, mmFromNm, worstVerdict } from '../../quantity';
import { RULES } from '../../rules';
import type { Face, Spot } from '../../strokes';
import { isLaidWet } from '../../ways';
import { faceOfSurface } from '../survey/face-of-surface';
import { type Sky, filmDates } from './film-dates';
import type { JobView } from '../view/job-view';
import { roundHere } from './round';

/** A mark of a surface with what is to be done about it. */
export interface JudgedMark {
  readonly mark: RowOf<'mark'>;
  readonly number: number;
  /** On the face; undefined: nobody has said where. */
  readonly at: Spot | undefined;
  /** Undefined: it is gone, or has no place. */
  readonly decision: MarkDecision | undefined;
  /** As it was taken over last, or said by an eye, and not changed since. */
  readonly kept: RowOf<'markDecision'> | undefined;
  /** First seen before any film was laid: it belongs to what lies under it. */
  readonly isBeforeLaying: boolean;
}

/** Until when water under the film may dry, and how that is known. */
interface Drying {
  /** Null: it does not, or there is nothing yet that could. */
  readonly until_ms: number | null;
  readonly by: 'vapour' | 'custom' | 'not this season' | 'laid dry' | 'nothing laid';
  /** The month in which it goes on, January 0; null: not known, or it does not stop. */
  readonly goesOnMonth: number | null;
  /** Of the film that decides; null: none, or not known. */
  readonly laid_ms: number | null;
  /** In which half of the ordinary pockets are gone, and its log-normal deviation. */
  readonly half_days: number | null;
  readonly deviation: number;
}

export interface JudgedSurface {
  /** As its own side sees it, mm, x to the right and y upwards. */
  readonly face: Face;
  readonly marks: readonly JudgedMark[];
  /** As the worst mark; without a round of the whole surface no better than unknown. */
  readonly verdict: Verdict;
  readonly isWhole: boolean;
  readonly drying: Drying;
}

interface MarksAsked {
  readonly set: RuleSet;
  readonly now_ms: number;
  readonly sky: Sky;
}

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;

/** All marks of a surface by a rule set, at a moment; undefined: it is not measured. */
export function marksJudged(
  view: JobView,
  surfaceId: string,
  { set, now_ms, sky }: MarksAsked,
): JudgedSurface | undefined {
  const own = faceOfSurface(view, surfaceId);
  if (own === undefined) return undefined;
  const { face, height } = own;
  const drying = dryingOf(view, surfaceId, sky);
  const begun_ms = firstWork(view, surfaceId);
  const placed = view.marksOf(surfaceId).map((mark, index) => ({
    isBeforeLaying: Number.isFinite(begun_ms) && Date.parse(mark.firstSeenAt) < begun_ms,
    ...{ mark, number: index + 1, at: placeOf(mark, height) },
    kept: view.decisionsOf(mark.id).findLast(({ inputsHash }) => inputsHash === markHash(mark, set)),
  }));
  const pins = placed.flatMap(({ mark, at, kept }) =>
    mark.goneAt === null && at !== undefined ? [pinOf(mark, at, kept)] : [],
  );
  const mayDry =
    drying.by === 'nothing laid' ||
    drying.by === 'not this season' ||
    (drying.until_ms !== null && now_ms < drying.until_ms);
  const decisions = view.kept.of(`decided ${surfaceId}`, [face, JSON.stringify([pins, set]), mayDry], () =>
    decideMarks({ face, pins, set, mayDry, luminance: USUAL_LUMINANCE }),
  );
  const byId = new Map(decisions.map((each) => [each.id, each]));
  const isWhole = roundHere(view, surfaceId, set)?.isWhole ?? false;
  const judged = placed.map((each) => ({ ...each, decision: byId.get(each.mark.id) }));
  return { face, marks: judged, verdict: worstOf(judged, isWhole), isWhole, drying };
}

/** When anything was first done on a surface; Infinity: nothing was, or nobody knows when. */
export function firstWork(view: JobView, surfaceId: string): number {
  const done = view
    .applicationsOf(surfaceId)
    .flatMap(({ id }) => view.workOf(id))
    .flatMap(({ startedAt, doneAt }) => startedAt ?? doneAt ?? []);
  return done.length === 0 ? Infinity : Math.min(...done.map((at) => Date.parse(at)));
}

/** A mark without a place, and what nobody looked at, are unknown. */
const worstOf = (marks: readonly JudgedMark[], isWhole: boolean): Verdict =>
  worstVerdict([
    isWhole ? 'go' : 'unknown',
    ...marks
      .filter(({ mark }) => mark.goneAt === null)
      .map(({ decision }) => (decision === undefined ? 'unknown' : VERDICT_OF_MARK[decision.verdict])),
  ]);

/** Of what a mark is and of the rules: a decision about anything else no longer counts. */
export const markHash = (
  { look, x_nm, y_nm, size_nm, length_nm }: RowOf<'mark'>,
  { name, version }: Pick<RuleSet, 'name' | 'version'>,
): string => hashText(JSON.stringify([look, x_nm, y_nm, size_nm, length_nm, name, version]));

/** Rows count down from the upper left corner. */
const placeOf = ({ x_nm, y_nm }: RowOf<'mark'>, height: number): Spot | undefined =>
  x_nm === null || y_nm === null ? undefined : { x: mmFromNm(x_nm), y: height - mmFromNm(y_nm) };

const WATER: Readonly<Partial<Record<MarkLook, Known>>> = { 'water pocket': 'yes', 'air bubble': 'no' };

function pinOf(
  { id, look, size_nm, length_nm, tests }: RowOf<'mark'>,
  { x, y }: Spot,
  kept: RowOf<'markDecision'> | undefined,
): Pin {
  const size_mm = size_nm === null ? null : mmFromNm(size_nm);
  const said = pocketSaid(tests, size_mm);
  return {
    ...{ id, look, x, y, size_mm, length_mm: length_nm === null ? null : mmFromNm(length_nm) },
    isMoisture: look === 'bubble' ? said.isWater : (WATER[look] ?? 'no'),
    isOutOfOrder: !said.isOrdinary,
    isNewInGlass: look === 'scratch' ? 'unknown' : look === 'glass scratch' ? 'yes' : 'no',
    ...(kept?.by === 'an eye' ? { isObtrusive: kept.verdict === 'redo' } : {}),
  };
}

const NOT_DRYING = { goesOnMonth: null, laid_ms: null, half_days: null, deviation: 0 } as const;
/** Where nothing is known of the glass; our guess (model 2.6). */
const USUAL_DEVIATION = 0.65;

/** The latest date of all films of a surface that were laid wet. */
function dryingOf(view: JobView, surfaceId: string, sky: Sky): Drying {
  const all = view.applicationsOf(surfaceId).flatMap((application) => {
    const laid_ms = laidAt(view, application.id);
    return laid_ms === null ? [] : [{ application, laid_ms }];
  });
  if (all.length === 0) return { ...NOT_DRYING, until_ms: null, by: 'nothing laid' };
  const dates = all
    .filter(({ application }) => isLaidWet(application.method, view.filmById.get(application.filmId)?.family))
    .map(({ application, laid_ms }) => dryingOfFilm(view, application, laid_ms, sky));
  const never = dates.find(({ by }) => by === 'not this season');
  const [latest] = dates.toSorted((a, b) => (b.until_ms ?? 0) - (a.until_ms ?? 0));
  return never ?? latest ?? { ...NOT_DRYING, until_ms: null, by: 'laid dry' };
}

function dryingOfFilm(view: JobView, application: RowOf<'application'>, laid_ms: number, sky: Sky): Drying {
  const { clear, pocket, deviation = USUAL_DEVIATION } = filmDates(view, application, laid_ms, sky) ?? {};
  const own = {
    ...{ goesOnMonth: clear?.goesOnMonth ?? null, laid_ms, half_days: null },
    deviation,
  };
  if (clear?.never != null) return { ...own, until_ms: null, by: 'not this season' };
  if (clear?.likely == null || clear.most === null)
    return {
      ...{ ...own, until_ms: laid_ms + RULES.driesByCustom.value * DAY_MS, by: 'custom' },
      half_days: RULES.driesByCustom.value,
    };
  return {
    ...{ ...own, until_ms: laid_ms + clear.most * MINUTE_MS, by: 'vapour' },
    half_days: Math.max(clear.likely, pocket?.likely ?? 0) / (DAY_MS / MINUTE_MS),
  };
}

/** When the last step of a film was done; null: none yet. */
export function laidAt(view: JobView, applicationId: string): number | null {
  const done = view
    .workOf(applicationId)
    .flatMap(({ doneAt }) => (doneAt === null ? [] : [Date.parse(doneAt)]));
  return done.length === 0 ? null : Math.max(...done);
}
