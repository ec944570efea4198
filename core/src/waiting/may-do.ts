import { COMMON_PRACTICE, type Source } from '../quantity';
import { RULES } from '../rules';
import { type CureKind, bondShare } from './cure';
import { type DryStretch, SEASON_DAYS, clearingDay, clockDay, courseAt } from './dry-course';
import type { Wait } from './wait';

const OURS: Source = { kind: 'our guess', text: 'own judgement' };
const FROM_MEMORY: Source = { kind: 'from memory', text: "custom, from memory: the film's own sheet wins" };

/** What may be done to laid film from a day on, or until one. */
export type MayKey =
  | 'judge dirt'
  | 'press again'
  | 'edge tape off'
  | 'hardware back'
  | 'sealant back'
  | 'soft cloth'
  | 'wash'
  | 'judge for good';

/** Days are counted from the laying on. */
export interface MayDo {
  readonly key: MayKey;
  readonly from_days: number | null;
  /** Null: it stays so. */
  readonly until_days: number | null;
  /** Why there is no day: not within this season, or nothing is known of the glass. */
  readonly noDay: 'not this season' | 'not calculated' | null;
  readonly source: Source;
}

/** What decides how laid film dries and cures. */
interface CuringFilm {
  readonly isWet: boolean;
  readonly bond: CureKind;
  /** Empty: nothing is known of the glass. */
  readonly course: readonly DryStretch[];
  /** What must be driven through it until even water, and until a pocket, has left: kPa·days. */
  readonly need: number;
  readonly pocketNeed: number;
}

interface LaidFilm extends CuringFilm {
  readonly clear: Wait | undefined;
  readonly sealant: Wait | undefined;
}

const DAY_MIN = 1440;
/** A day of the course is looked at so finely for the bond. */
const STEP_DAYS = 0.25;
const MOST_DAYS = 365;

/** How far it has come: shares of the even water gone, of a pocket gone, and of the bond reached. */
export interface FilmState {
  readonly dry: number;
  readonly pocket: number;
  readonly bond: number;
}

/** As it stands so many days after the laying on. */
export function filmAt(days: number, { isWet, bond, course, need, pocketNeed }: CuringFilm): FilmState {
  const { driven, clock } = courseAt(days, course);
  const gone = (of: number): number => (isWet ? Math.min(1, driven / of) : 1);
  const dry = gone(need);
  return { dry, pocket: gone(pocketNeed), bond: bondShare(dry, clock, bond) };
}

/** The day on which half of the water has gone: before, sealant would shut it in. Null: not this season. */
export function halfDryDay({
  isWet,
  course,
  need,
}: Pick<LaidFilm, 'isWet' | 'course' | 'need'>): number | null {
  if (!isWet) return 0;
  const day = clearingDay(RULES.halfDry.value * need, course);
  return day === null || day > SEASON_DAYS ? null : day;
}

/** Until the glue holds by half, film can be pressed again. */
function pressUntil(film: LaidFilm): number | null {
  for (let day = 0; day <= MOST_DAYS; day += STEP_DAYS)
    if (filmAt(day, film).bond >= RULES.pressUntilBond.value) return day;
  return null;
}

/** What may be done when, in the order of its days; each with where it comes from. */
export function mayDoWhen(film: LaidFilm): readonly MayDo[] {
  const { isWet, course, clear, sealant } = film;
  const isKnown = course.length > 0;
  const from = (key: MayKey, from_days: number | null, source: Source): MayDo => ({
    ...{ key, from_days, until_days: null, source },
    noDay: from_days !== null ? null : isKnown ? 'not this season' : 'not calculated',
  });
  const upper =
    clear === undefined
      ? isWet
        ? RULES.driesByCustom.value
        : 0
      : clear.most === null
        ? null
        : clear.most / DAY_MIN;
  const until = isKnown ? pressUntil(film) : RULES.firstBond.most;
  const tape = isKnown ? clockDay(RULES.edgeTapeClock.value, course) : RULES.edgeTapeClock.value;
  return [
    from('judge dirt', 0, COMMON_PRACTICE),
    { ...{ key: 'press again', from_days: 0, until_days: until, noDay: null }, source: OURS },
    ...(isWet ? [from('edge tape off', tape, OURS)] : []),
    from('hardware back', RULES.firstBond.most, OURS),
    ...(sealant === undefined
      ? []
      : [
          from(
            'sealant back',
            sealant.most === null ? null : sealant.most / DAY_MIN,
            sealant.why.at(-1)?.source ?? COMMON_PRACTICE,
          ),
        ]),
    ...(isWet
      ? [
          from('soft cloth', RULES.softCloth.value, FROM_MEMORY),
          from('wash', upper === null ? null : Math.max(RULES.firstWash.value, upper), FROM_MEMORY),
          from('judge for good', upper, COMMON_PRACTICE),
        ]
      : []),
  ];
}
