import { type Film, FILM_FAMILIES } from '../job';
import { type FilmReading, filmOpticsOf } from '../glazing';
import { CoreError, type Verdict, worstVerdict } from '../quantity';
import { type BareStress, type StressVerdict, bareStress, judgeStress } from '../thermal-stress';
import { type GoalKey, goalsMet, hasDecorLook, scoreOf } from './goals';
import { type FilmedGlass, type GlassBook, newGlassBook } from './filmed-glass';
import { type Performance, performanceOf } from './performance';
import type { SightLines } from './privacy-through';
import type { FilmQuestion } from './question';
import { securityNotes } from './security-notes';
import { type Fitness, surfaceFitness } from './surface-fitness';

/** Everything the program has to say of one film on one surface. */
export interface FilmAnswer {
  readonly filmId: string;
  readonly verdict: Verdict;
  /** The face it would go on; null where none is open to it, or on anything but glass. */
  readonly face: number | null;
  readonly reasons: readonly string[];
  readonly advice: readonly string[];
  readonly stress: StressVerdict | null;
  readonly performance: Performance | null;
  /** Sight through the same pane without it. */
  readonly bareSight: SightLines | null;
  readonly fitness: Fitness | null;
  readonly met: Readonly<Record<GoalKey, number>> | null;
  /** 0..1; how well it meets the brief. Only orders films. */
  readonly score: number;
  /** Hard limits it misses, each in a sentence. */
  readonly misses: readonly string[];
  readonly assumed: readonly string[];
}

/** What is reckoned once for a surface and shared by all films. */
export interface SurfaceGround {
  readonly question: FilmQuestion;
  readonly book: GlassBook;
  readonly bare: FilmedGlass | undefined;
  readonly barePerformance: Performance | undefined;
  readonly bareStress: BareStress | undefined;
}

/** Prepares a surface for many films. @param book optics kept for many surfaces, where there are many */
export function groundOf(question: FilmQuestion, book: GlassBook = newGlassBook()): SurfaceGround {
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
    bareStress: glass.isIndoors ? undefined : bareStress(glass),
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
    if (isForGlass || !isForWalls) return refused(filmId, `A film for glass, not for a ${question.kind}.`);
    return onWall(question, filmId, film);
  }
  if (!isForGlass && !(film.family === 'wrap')) return refused(filmId, 'Not a film for glass.');
  if (question.shape === 'curved glass' && !followsCurvedGlass)
    return refused(filmId, 'It does not follow curved glass.');
  if (film.family === 'vehicle tint' && !question.isVehicle)
    return refused(filmId, 'A tint for vehicles: its sheet speaks of no building.');
  const face = faceFor(question, film);
  if (face === null)
    return refused(
      filmId,
      film.face === 'outside'
        ? 'An exterior film, and the outside of this glass is not open to film.'
        : 'The room side of this glass is not open to film.',
    );
  try {
    return onGlass(ground, filmId, film, face);
  } catch (error) {
    if (error instanceof CoreError)
      return {
        ...refused(
          filmId,
          `Its figures cannot be reckoned: ${error.data.path} is ${error.data.got}; expected ${error.data.expected}.`,
        ),
        verdict: 'unknown',
      };
    throw error;
  }
}

function onGlass(
  { question, book, bare, barePerformance: plain, bareStress: shared }: SurfaceGround,
  filmId: string,
  film: Film,
  face: number,
): FilmAnswer {
  const { glass, brief } = question;
  const read = readFilm(film);
  const notes = securityNotes(film, question.edge);
  if (glass === null)
    return {
      ...refused(filmId, 'The make-up of this glass is not known.'),
      verdict: 'unknown',
      face,
      advice: ['Note at Survey how many panes it has, of what kind, and how thick.'],
    };
  if (read.optics === null) {
    const byState = judgeStress(glass, [], shared);
    const isIndoors = glass.isIndoors && byState.verdict === 'go';
    return {
      ...refused(filmId, `Its sheet does not say: ${read.missing.join(', ')}.`),
      verdict: byState.verdict === 'stop' ? 'stop' : isIndoors ? 'go with care' : 'unknown',
      face,
      advice: ['Ask its maker for these figures.', ...notes],
    };
  }
  const stays = question.others.filter((other) => other.face !== face);
  const films = [{ face, film: read.optics }, ...stays];
  const filmed = book({ ...glass.bare, hasBlind: false, films });
  const stress = judgeStress(
    glass,
    films,
    shared,
    bare === undefined || glass.isIndoors
      ? undefined
      : {
          absorption:
            glass.bare.hasBlind === true ? book({ ...glass.bare, films }).absorption : filmed.absorption,
          absorbed: filmed.optics.solar.absorbed,
        },
  );
  const opening_mm = film.opening_nm === null ? null : film.opening_nm / 1e6;
  const performance =
    bare === undefined
      ? null
      : performanceOf(
          question,
          filmed,
          bare,
          { ...glass.bare, hasBlind: false, films: stays },
          { face, optics: read.optics, opening_mm },
        );
  const dewReason =
    performance !== null &&
    plain !== undefined &&
    performance.dew !== 'dry' &&
    performance.winterFace_C < plain.winterFace_C - 0.3
      ? [
          `On the coldest night its room side falls to ${performance.winterFace_C.toFixed(1)} °C (${plain.winterFace_C.toFixed(1)} without): it sweats when the room is over ${performance.dewPoint_C.toFixed(0)} °C dew point.`,
        ]
      : [];
  const misses = performance === null ? [] : hardLimits(question, performance);
  const met = performance === null || plain === undefined ? null : goalsMet(film, performance, plain);
  return {
    filmId,
    face,
    stress,
    performance,
    bareSight: plain?.sight ?? null,
    fitness: null,
    met,
    misses,
    assumed: read.assumed,
    verdict: worstVerdict([stress.verdict, ...(dewReason.length > 0 ? ['go with care' as const] : [])]),
    reasons: [
      ...stress.reasons,
      ...dewReason,
      ...(stays.length > 0 ? ['Reckoned together with the film that is on the other side now.'] : []),
    ],
    advice: [...stress.advice, ...notes],
    score: met === null || performance === null ? 0 : scoreOf(met, brief, film, performance),
  };
}

const READ = new WeakMap<Film, FilmReading>();

/** A film's optics, read once for each row. */
function readFilm(film: Film): FilmReading {
  const read = READ.get(film) ?? filmOpticsOf(film);
  READ.set(film, read);
  return read;
}

function hardLimits({ brief }: FilmQuestion, { lightKept, heatKept }: Performance): readonly string[] {
  const percent = (share: number): string => `${Math.round(share * 100)} %`;
  return [
    ...(brief.lightKeptLeast !== null && lightKept.value < brief.lightKeptLeast
      ? [`keeps ${percent(lightKept.value)} of the light, not ${percent(brief.lightKeptLeast)}`]
      : []),
    ...(brief.heatOffLeast !== null && 1 - heatKept.value < brief.heatOffLeast
      ? [`takes off ${percent(1 - heatKept.value)} of the heat, not ${percent(brief.heatOffLeast)}`]
      : []),
  ];
}

function onWall(question: FilmQuestion, filmId: string, film: Film): FilmAnswer {
  const { wall, brief } = question;
  if (wall === null)
    return {
      ...refused(filmId, 'What this surface is made of is not known.'),
      verdict: 'unknown',
      advice: ['Note at Survey what it is made of, its paint and its state.'],
    };
  const fitness = surfaceFitness(wall, film.family);
  return {
    filmId,
    face: null,
    stress: null,
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

function refused(filmId: string, says: string): FilmAnswer {
  return {
    filmId,
    face: null,
    verdict: 'stop',
    reasons: [says],
    advice: [],
    stress: null,
    performance: null,
    bareSight: null,
    fitness: null,
    met: null,
    score: 0,
    misses: [says],
    assumed: [],
  };
}

/**
 * Best first: what may be done before what may not, limits met before missed, then by how well the brief is
 * met.
 */
export function byFitness(a: FilmAnswer, b: FilmAnswer): number {
  return rank(a) - rank(b) || b.score - a.score || (a.filmId < b.filmId ? -1 : 1);
}

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

/** Why another film is better here, in sentences; empty for the best. */
export function whyNot(
  answer: FilmAnswer,
  best: FilmAnswer | undefined,
  bestName: string,
): readonly string[] {
  if (best === undefined || answer.filmId === best.filmId) return [];
  const own = [
    ...answer.misses,
    ...(answer.verdict === 'stop' || answer.verdict === 'unknown' ? answer.reasons : []),
  ];
  if (own.length > 0) return own;
  const [a, b] = [answer.performance, best.performance];
  if (a === null || b === null)
    return answer.score < best.score ? [`${bestName} has the look asked for.`] : [];
  const heat = Math.round((a.heatKept.value - b.heatKept.value) * 100);
  const light = Math.round((b.lightKept.value - a.lightKept.value) * 100);
  return [
    ...(heat > 1 ? [`lets in ${heat} points more heat than ${bestName}`] : []),
    ...(light > 1 ? [`keeps ${light} points less light than ${bestName}`] : []),
    ...(heat <= 1 && light <= 1
      ? [
          `meets the wishes ${Math.round(answer.score * 100)} of 100, ${bestName} ${Math.round(best.score * 100)}`,
        ]
      : []),
  ];
}
