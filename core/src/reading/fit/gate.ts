import {
  type GateCase,
  type GateCheck,
  type GateKnown,
  type GateState,
  gateFor,
  gateState,
} from '../../fitting';
import { type RowOf, isOutdoorGlass, isWall } from '../../job';
import { wayFor } from '../../ways';
import type { JobView } from '../view/job-view';
import type { ReadyAnswer } from '../day/readiness';
import { rowLineOf } from '../survey/row-line';
import { sunNow } from '../day/sun-now';
import { schoolsOf, workCaseOf } from './work';

/** Known from a reading, from where the sun stands, or from Survey. */
type KnownBy = GateKnown & { readonly by: 'reading' | 'sun' | 'survey' };

/** One thing to be looked at before film goes on, as it stands. */
export interface GateLine extends GateCheck {
  readonly state: GateState;
  /** What is known of it beside what people saw. */
  readonly known: KnownBy | undefined;
  /** The row in which a person's answer is kept; undefined: nobody has answered. */
  readonly tick: RowOf<'gateTick'> | undefined;
}

export interface GateAsked {
  readonly now_ms: number;
  /** When this day began at the place. */
  readonly day_ms: number;
  /** When the surface is fit; undefined: not calculated. */
  readonly ready: Pick<ReadyAnswer, 'sun' | 'closed'> | undefined;
}

/** What is to be looked at before this film goes on, each thing as it stands. */
export function gateOf(
  view: JobView,
  application: RowOf<'application'>,
  asked: GateAsked,
): readonly GateLine[] {
  const ticks = view.gateTicksOf(application.id);
  return gateFor(gateCaseOf(view, application)).map((check) => {
    const tick = ticks.find((own) => own.check === check.key);
    const known = knownOf(view, application, check, asked);
    const found =
      tick === undefined
        ? undefined
        : { answer: tick.answer, word: tick.word, who: tick.changedBy, at_ms: Date.parse(tick.lookedAt) };
    return { ...check, known, tick, state: gateState(check, found, known, asked.day_ms) };
  });
}

const FACTORY_EDGE_WAYS: ReadonlySet<string> = new Set(['pre-squared', 'ready-cut', 'curved']);

function gateCaseOf(view: JobView, application: RowOf<'application'>): GateCase {
  const surface = view.surfaceById.get(application.surfaceId);
  const film = view.filmById.get(application.filmId);
  const line = schoolsOf(view, application).find(({ key }) => key === 'rowLine');
  return {
    hasFace: film === undefined || film.family === 'frosted' || film.face !== 'either',
    hasDirection: film !== undefined && film.direction !== 'none',
    wantsFactoryEdge: FACTORY_EDGE_WAYS.has(wayFor(workCaseOf(view, application))?.template ?? ''),
    rowLine: rowLineOf(view, application) === undefined ? null : (line?.value ?? null),
    isOutdoors: surface !== undefined && isOutdoorGlass(surface),
    isWall: surface !== undefined && isWall(surface),
  };
}

function knownOf(
  view: JobView,
  application: RowOf<'application'>,
  { key }: GateCheck,
  asked: GateAsked,
): KnownBy | undefined {
  switch (key) {
    case 'sun':
      return sunKnown(asked);
    case 'ground':
      return groundKnown(view, application);
    case 'temperatures':
      return temperatureKnown(view, application, asked);
    case 'blank':
    case 'liner side':
    case 'film face':
    case 'direction':
    case 'factory edge':
    case 'row line':
    case 'hazards':
      return undefined;
  }
}

function sunKnown({ ready, now_ms }: GateAsked): KnownBy | undefined {
  const sun = ready === undefined ? undefined : sunNow(ready, now_ms);
  return sun?.case === 'on it' ? { answer: 'not right', since_ms: sun.from_ms, by: 'sun' } : undefined;
}

function groundKnown(view: JobView, { surfaceId }: RowOf<'application'>): KnownBy | undefined {
  const ground = view.wallFactsOf(surfaceId)?.ground ?? null;
  if (ground === null) return undefined;
  return {
    answer: ground.state === 'accepted' ? 'right' : 'not right',
    since_ms: Date.parse(ground.at),
    by: 'survey',
  };
}

/** The last reading of today of glass or wall, and of the room, against what the film bears. */
function temperatureKnown(
  view: JobView,
  { surfaceId, filmId }: RowOf<'application'>,
  { day_ms }: GateAsked,
): KnownBy | undefined {
  const film = view.filmById.get(filmId);
  const readings = view
    .readingsOf(surfaceId)
    .filter(
      ({ quantity, madeAt }) =>
        quantity !== 'film temperature' && quantity.endsWith('temperature') && Date.parse(madeAt) >= day_ms,
    )
    .toSorted((a, b) => Date.parse(b.madeAt) - Date.parse(a.madeAt));
  const latest = [...new Map(readings.toReversed().map((own) => [own.quantity, own])).values()];
  if (film === undefined || latest.length === 0) return undefined;
  const { workMin_C, workMax_C } = film;
  const outside = latest.find(({ value, corrected }) => {
    const own_C = corrected ?? value;
    return (workMin_C !== null && own_C < workMin_C) || (workMax_C !== null && own_C > workMax_C);
  });
  if (outside !== undefined)
    return { answer: 'not right', since_ms: Date.parse(outside.madeAt), by: 'reading' };
  const isKnown = latest.length === 2 && workMin_C !== null && workMax_C !== null;
  const since_ms = Math.max(...latest.map(({ madeAt }) => Date.parse(madeAt)));
  return isKnown ? { answer: 'right', since_ms, by: 'reading' } : undefined;
}
