import { type Film, FILM_FAMILIES } from '../job';
import { type FilmOptics, type FilmReading, filmOpticsOf } from '../glazing';
import { CoreError, type Verdict, worstVerdict } from '../quantity';
import {
  type BareStress,
  type EdgeLoad,
  type GlassSituation,
  type StressVerdict,
  bareStress,
  edgeLoadOf,
  judgeStress,
} from '../thermal-stress';
import { type GoalKey, goalsMet, hasDecorLook, scoreOf } from './goals';
import { type FilmedGlass, type GlassCache, newGlassBook } from './filmed-glass';
import { type Performance, performanceOf } from './performance';
import type { SightLines } from './privacy-through';
import type { FilmQuestion } from './question';
import type { FilmAdvice, FilmReason, LimitMiss, WhyNot } from './said-of-film';
import { type SecurityNote, securityNotes } from './security-notes';
import { type Fitness, surfaceFitness } from './surface-fitness';

/** Everything the program has to say of one film on one surface. */
export interface FilmAnswer {
  readonly filmId: string;
  readonly verdict: Verdict;
  /** The face it would go on; null where none is open to it, or on anything but glass. */
  readonly face: number | null;
  readonly reasons: readonly FilmReason[];
  readonly advice: readonly FilmAdvice[];
  readonly stress: StressVerdict | null;
  /** Of the pane nearest to what its edge bears; null where no sun reaches it or nothing was calculated. */
  readonly edge: EdgeLoad | null;
  readonly performance: Performance | null;
  /** Sight through the same pane without it. */
  readonly bareSight: SightLines | null;
  readonly fitness: Fitness | null;
  readonly met: Readonly<Record<GoalKey, number>> | null;
  /** 0..1; how well it meets the brief. Only orders films. */
  readonly score: number;
  /** Hard limits it misses. */
  readonly misses: readonly LimitMiss[];
  readonly assumed: readonly string[];
}

/** What is calculated once for a surface and shared by all films. */
interface SurfaceGround {
  readonly question: FilmQuestion;
  readonly book: GlassCache;
  readonly bare: FilmedGlass | undefined;
  readonly barePerformance: Performance | undefined;
  readonly bareStress: BareStress | undefined;
}

/** Prepares a surface for many films. @param book optics kept for many surfaces, where there are many */
export function groundOf(question: FilmQuestion, book: GlassCache = newGlassBook()): SurfaceGround {
  const { glass } = question;
  if (glass === null || glass.unknown.length > 0)
    return { question, book, bare: undefined, barePerformance: undefined, bareStress: undefined };
  const makeUp = { ...glass.bare, hasBlind: false };
  const bare = book(makeUp);
  return {
    question,
    book,
    bare,
    barePerformance: performanceOf(question, bare, bare, makeUp, null),
    bareStress: glass.isSunless ? undefined : bareStress(glass),
  };
}

/**
 * Judges one film on one surface: hard limits first, then what it does, what it may break, and why. Never
 * throws for a film that cannot be: that is an answer.
 */
export function judgeFilm(ground: SurfaceGround, filmId: string, film: Film): FilmAnswer {
  const { question } = ground;
  const { isForGlass, isForWalls, followsCurvedGlass } = FILM_FAMILIES[film.family];
  if (question.kind !== 'pane') {
    if (isForGlass || !isForWalls)
      return refused(filmId, { case: 'not for this kind of surface', kind: question.kind });
    return onWall(question, filmId, film);
  }
  if (!isForGlass && !(film.family === 'wrap')) return refused(filmId, { case: 'not for glass' });
  if (question.shape === 'curved glass' && !followsCurvedGlass)
    return refused(filmId, { case: 'does not follow curved glass' });
  if (film.family === 'vehicle tint' && !question.isVehicle)
    return refused(filmId, { case: 'for vehicles only' });
  const face = faceFor(question, film);
  if (face === null)
    return refused(filmId, {
      case: film.face === 'outside' ? 'outside not open to film' : 'room side not open to film',
    });
  try {
    return onGlass(ground, filmId, film, face);
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    const { path, got, expected } = error.data;
    return { ...refused(filmId, { case: 'figures refused', path, got, expected }), verdict: 'unknown' };
  }
}

function onGlass(ground: SurfaceGround, filmId: string, film: Film, face: number): FilmAnswer {
  const { question } = ground;
  const { glass } = question;
  const read = readFilm(film);
  const notes = securityNotes(film, question.edge);
  if (glass === null)
    return {
      ...refused(filmId, { case: 'make-up not known' }),
      verdict: 'unknown',
      face,
      advice: [{ case: 'note the make-up' }],
    };
  if (read.optics === null) {
    const byState = judgeStress(glass, [], ground.bareStress);
    const isSunless = glass.isSunless && byState.verdict === 'go';
    return {
      ...refused(
        filmId,
        read.question === null
          ? { case: 'its sheet does not say', missing: read.missing }
          : { case: 'light and sun do not go together', question: read.question },
      ),
      verdict: byState.verdict === 'stop' ? 'stop' : isSunless ? 'go with care' : 'unknown',
      face,
      advice: [{ case: 'ask its maker for figures' }, ...notes],
    };
  }
  return withOptics(ground, glass, { filmId, film, face, notes, optics: read.optics, assumed: read.assumed });
}

interface ReadFilm {
  readonly filmId: string;
  readonly film: Film;
  readonly face: number;
  readonly notes: readonly SecurityNote[];
  readonly optics: FilmOptics;
  readonly assumed: readonly string[];
}

/** What a film whose figures are known does on glass, and what it may break. */
function withOptics(
  { question, book, bare, barePerformance: plain, bareStress: shared }: SurfaceGround,
  glass: GlassSituation,
  { filmId, film, face, notes, optics, assumed }: ReadFilm,
): FilmAnswer {
  const stays = question.others.filter((other) => other.face !== face);
  const films = [{ face, film: optics }, ...stays];
  const filmed = book({ ...glass.bare, hasBlind: false, films });
  const behindBlind = glass.bare.hasBlind === true ? book({ ...glass.bare, films }) : filmed;
  const found = { absorption: behindBlind.absorption, absorbed: filmed.optics.solar.absorbed };
  const stress = judgeStress(glass, films, shared, bare === undefined || glass.isSunless ? undefined : found);
  const [worst] = stress.panes;
  const makeUp = { ...glass.bare, hasBlind: false, films: stays };
  const opening_mm = film.opening_nm === null ? null : film.opening_nm / 1e6;
  const performance =
    bare === undefined ? null : performanceOf(question, filmed, bare, makeUp, { face, optics, opening_mm });
  const dewReason =
    performance === null || plain === undefined ? undefined : dewReasonOf(performance, plain.winterFace_C);
  const met = performance === null || plain === undefined ? null : goalsMet(film, performance, plain);
  return {
    filmId,
    face,
    stress,
    edge: worst === undefined ? null : edgeLoadOf(worst, stress.panes.length),
    performance,
    bareSight: plain?.sight ?? null,
    fitness: null,
    met,
    misses: performance === null ? [] : hardLimits(question, performance),
    assumed,
    verdict: worstVerdict([stress.verdict, ...(dewReason === undefined ? [] : ['go with care' as const])]),
    reasons: [
      ...stress.reasons,
      ...(dewReason === undefined ? [] : [dewReason]),
      ...(stays.length > 0 ? [{ case: 'calculated with the film on the other side' } as const] : []),
    ],
    advice: [...stress.advice, ...notes],
    score: met === null || performance === null ? 0 : scoreOf(met, question.brief, film, performance),
  };
}

/** Said where the film makes the room side of the pane sweat sooner than it does without. */
function dewReasonOf(
  { dew, winterFace_C, dewPoint_C }: Performance,
  bareFace_C: number,
): FilmReason | undefined {
  return dew !== 'dry' && winterFace_C < bareFace_C - 0.3
    ? { case: 'sweats sooner', face_C: winterFace_C, bare_C: bareFace_C, dewPoint_C }
    : undefined;
}

const READ = new WeakMap<Film, FilmReading>();

/** A film's optics, read once for each row. */
function readFilm(film: Film): FilmReading {
  const read = READ.get(film) ?? filmOpticsOf(film);
  READ.set(film, read);
  return read;
}

function hardLimits({ brief }: FilmQuestion, { lightKept, heatKept }: Performance): readonly LimitMiss[] {
  const { lightKeptLeast, heatOffLeast } = brief;
  const off = 1 - heatKept.value;
  return [
    ...(lightKeptLeast !== null && lightKept.value < lightKeptLeast
      ? [{ case: 'too little light kept', kept: lightKept.value, least: lightKeptLeast } as const]
      : []),
    ...(heatOffLeast !== null && off < heatOffLeast
      ? [{ case: 'too little heat off', off, least: heatOffLeast } as const]
      : []),
  ];
}

function onWall(question: FilmQuestion, filmId: string, film: Film): FilmAnswer {
  const { wall, brief } = question;
  if (wall === null)
    return {
      ...refused(filmId, { case: 'surface not known' }),
      verdict: 'unknown',
      advice: [{ case: 'note what it is made of' }],
    };
  const fitness = surfaceFitness(wall, film.family);
  return {
    filmId,
    face: null,
    stress: null,
    edge: null,
    performance: null,
    bareSight: null,
    fitness,
    met: null,
    misses: [],
    assumed: [],
    verdict: fitness.verdict,
    reasons: fitness.reasons,
    advice: fitness.needs,
    score: brief.look === 'any' || hasDecorLook(film, brief.look) ? 1 : 0,
  };
}

function faceFor({ faces }: FilmQuestion, film: Film): number | null {
  if (film.face === 'outside') return faces.front;
  if (film.face === 'room side') return faces.back;
  return faces.back ?? faces.front;
}

function refused(filmId: string, reason: FilmReason): FilmAnswer {
  return {
    filmId,
    face: null,
    verdict: 'stop',
    reasons: [reason],
    advice: [],
    stress: null,
    edge: null,
    performance: null,
    bareSight: null,
    fitness: null,
    met: null,
    score: 0,
    misses: [],
    assumed: [],
  };
}

/**
 * Best first: what may be done before what may not, limits met before missed, then by how well the brief is
 * met; of two that meet it alike, the one that leaves the edge of the glass more.
 */
export function byFitness(a: FilmAnswer, b: FilmAnswer): number {
  const alike = Math.round(b.score * 100) - Math.round(a.score * 100);
  return (
    rank(a) - rank(b) || alike || used(a) - used(b) || b.score - a.score || (a.filmId < b.filmId ? -1 : 1)
  );
}

/** In whole hundredths of what the edge bears. */
const used = ({ edge }: FilmAnswer): number =>
  edge?.bears == null ? 0 : Math.round((100 * edge.stress_MPa) / edge.bears.low_MPa);

const RANK: Readonly<Record<Verdict, number>> = { go: 0, 'go with care': 0, unknown: 2, stop: 4 };
const rank = ({ verdict, misses }: FilmAnswer): number => RANK[verdict] + (misses.length > 0 ? 1 : 0);

/**
 * What could be done instead of a film that is stopped: the best that may go and misses no limit, otherwise
 * the best that may go.
 */
export function insteadOf(stopped: FilmAnswer, answers: readonly FilmAnswer[]): FilmAnswer | undefined {
  const open = answers
    .filter(
      ({ filmId, verdict }) => filmId !== stopped.filmId && (verdict === 'go' || verdict === 'go with care'),
    )
    .sort(byFitness);
  return open.find(({ misses }) => misses.length === 0) ?? open[0];
}

/** Why another film is better here; empty for the best, and for a film whose own reasons already say that it
 *  may not go. */
export function whyNot(answer: FilmAnswer, best: FilmAnswer | undefined): readonly WhyNot[] {
  if (best === undefined || answer.filmId === best.filmId) return [];
  if (answer.misses.length > 0) return answer.misses;
  if (answer.verdict === 'stop' || answer.verdict === 'unknown') return [];
  const [a, b] = [answer.performance, best.performance];
  if (a === null || b === null) return answer.score < best.score ? [{ case: 'lacks the look' }] : [];
  const heat = Math.round((a.heatKept.value - b.heatKept.value) * 100);
  const light = Math.round((b.lightKept.value - a.lightKept.value) * 100);
  return [
    ...(heat > 1 ? [{ case: 'lets in more heat', points: heat } as const] : []),
    ...(light > 1 ? [{ case: 'keeps less light', points: light } as const] : []),
    ...(heat <= 1 && light <= 1
      ? [{ case: 'meets the wishes less', score: answer.score, best: best.score } as const]
      : []),
  ];
}
