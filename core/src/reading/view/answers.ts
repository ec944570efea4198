import type { WeatherHour } from '../../climate';
import type { CutOrder } from '../../cutting';
import { workStepId } from '../../day';
import { type RowOf, type StepState, type StockLeft, stepStateOf } from '../../job';
import type { PlanProblem } from '../../scheduling';
import type { Air } from '../../waiting';
import { blankOf } from '../cut/blank';
import { allChangedAfterCut, isStale } from '../cut/cut-already';
import { type PlaceClock, dayProblemOf, filmedSurfaces } from '../day/day';
import { type Extent, extentOf } from '../survey/extent';
import { blanksOfFilm, notLaid } from '../cut/film-blanks';
import { cutSettingsOf, filmOrder, lotsApart, planOfFilm } from '../cut/film-order';
import type { JobView } from './job-view';
import { type NextThing, type Progress, isLaid, jobProgress, whatNext } from '../progress/progress';
import { type ReadyAnswer, type ReadyAsk, indoorAir, readinessLimits, readyAsks } from '../day/readiness';
import { readyAnswers } from '../day/ready-answers';
import {
  type StateAtStop,
  stateAtCut,
  stateAtFilm,
  stateAtFit,
  stateAtSurvey,
} from '../progress/state-at-stop';
import { type MeasureState, measureState } from '../survey/surface';
import { doneSteps, workStepsOf } from '../fit/work';

/** What a job is asked with beside its rows. */
export interface Asking {
  readonly stock: readonly StockLeft[];
  readonly weather: readonly WeatherHour[];
  /** Of the thermometer on site; undefined: there is none. */
  readonly onSite: Air | undefined;
  readonly clock: PlaceClock & { readonly from_ms: number; readonly to_ms: number };
  /** Minute of the plan that it is now. */
  readonly now: number;
}

/** How readiness is found out: in this thread, or in one of the asker's own. */
type AskReady = (
  asks: readonly ReadyAsk[],
  ...more: [
    weather: readonly WeatherHour[],
    from_ms: number,
    to_ms: number,
    indoor: Air,
    limits: ReturnType<typeof readinessLimits>,
  ]
) => readonly ReadyAnswer[];

/** A blank in short; a reason where there is none. */
type BlankInShort =
  | { readonly none: string }
  | {
      readonly inputsHash: string;
      readonly pieces: readonly {
        readonly drop: number;
        readonly of: number;
        readonly width_mm: number;
        readonly height_mm: number;
        readonly across_mm: number;
        readonly along_mm: number;
      }[];
    };

interface ApplicationAnswer {
  readonly applicationId: string;
  readonly filmId: string;
  readonly method: string;
  readonly isLaid: boolean;
  readonly isStale: boolean;
  readonly blank: BlankInShort;
  readonly steps: readonly { readonly key: string; readonly minutes: number; readonly state: StepState }[];
}

interface SurfaceAnswer extends Extent {
  readonly id: string;
  readonly tag: string;
  readonly measured: MeasureState;
  readonly at: Readonly<Record<'survey' | 'film' | 'cut' | 'fit', StateAtStop>>;
  readonly films: readonly ApplicationAnswer[];
}

interface OrderAnswer {
  readonly filmId: string;
  /** Without a limit the longest sheet is null. */
  readonly order: Omit<CutOrder, 'mostSheet_mm'> & { readonly mostSheet_mm: number | null };
  readonly missing: readonly { readonly tag: string; readonly reason: string }[];
  /** Keys of blanks that have no film yet. */
  readonly notLaid: readonly string[];
  readonly lotsApart: ReturnType<typeof lotsApart>;
}

/** Everything a job answers for itself, as plain data. */
export interface JobAnswers {
  readonly progress: Progress;
  readonly next: NextThing;
  readonly surfaces: readonly SurfaceAnswer[];
  readonly orders: readonly OrderAnswer[];
  readonly changedAfterCut: ReturnType<typeof allChangedAfterCut>;
  readonly ready: readonly Pick<ReadyAnswer, 'id' | 'fit' | 'assumed' | 'unknown'>[];
  readonly day: { readonly problem: PlanProblem; readonly blocked: readonly unknown[] };
}

/** Asks a job everything there is to ask. The one list of its questions for whoever wants all answers. */
export function jobAnswers(
  view: JobView,
  { stock, weather, onSite, clock, now }: Asking,
  askReady: AskReady = (...asked) => readyAnswers(...asked),
): JobAnswers {
  const air = indoorAir(view, onSite);
  const indoor = { air_C: air.air_C, humidity: air.humidity };
  const ready = askReady(
    readyAsks(view, filmedSurfaces(view)),
    weather,
    clock.from_ms,
    clock.to_ms,
    indoor,
    readinessLimits(view),
  );
  const { problem, blocked } = dayProblemOf(view, {
    clock,
    now,
    air: indoor,
    ready: new Map(ready.map((own) => [own.id, own])),
    pins: new Map(),
  });
  const progress = jobProgress(view);
  return {
    progress,
    next: whatNext(progress),
    surfaces: view.surfaces.map((surface) => surfaceAnswer(view, surface)),
    orders: [...new Set(view.applications.map(({ filmId }) => filmId))].map((filmId) =>
      orderAnswer(view, filmId, stock),
    ),
    changedAfterCut: allChangedAfterCut(view),
    ready: ready.map(({ id, fit, assumed, unknown }) => ({ id, fit, assumed, unknown })),
    day: { problem, blocked },
  };
}

function surfaceAnswer(view: JobView, { id, tag }: RowOf<'surface'>): SurfaceAnswer {
  return {
    id,
    tag,
    measured: measureState(view, id),
    at: {
      survey: stateAtSurvey(view, id),
      film: stateAtFilm(view, id),
      cut: stateAtCut(view, id),
      fit: stateAtFit(view, id),
    },
    ...extentOf(view, id),
    films: view.applicationsOf(id).map((application) => applicationAnswer(view, application)),
  };
}

function applicationAnswer(view: JobView, application: RowOf<'application'>): ApplicationAnswer {
  const done = doneSteps(view, application.id);
  return {
    applicationId: application.id,
    filmId: application.filmId,
    method: application.method,
    isLaid: isLaid(view, application.id),
    isStale: isStale(view, application.id),
    blank: blankInShort(view, application),
    steps: workStepsOf(view, application).map((step) => ({
      key: workStepId(application.id, step),
      minutes: step.minutes.value,
      state: stepStateOf(done.get(step.step)),
    })),
  };
}

function blankInShort(view: JobView, application: RowOf<'application'>): BlankInShort {
  const today = blankOf(view, application);
  if (today.kind === 'none') return { none: today.reason };
  const { inputsHash, blanks } = today.blanks;
  return {
    inputsHash,
    pieces: blanks.map(({ drop, of, width_mm, height_mm, across_mm, along_mm }) => ({
      drop,
      of,
      width_mm,
      height_mm,
      across_mm,
      along_mm,
    })),
  };
}

function orderAnswer(view: JobView, filmId: string, stock: readonly StockLeft[]): OrderAnswer {
  const settings = cutSettingsOf(planOfFilm(view, filmId));
  const { mostSheet_mm, ...order } = filmOrder(view, filmId, settings, stock);
  const { blanks, missing } = blanksOfFilm(view, filmId);
  return {
    filmId,
    order: { ...order, mostSheet_mm: Number.isFinite(mostSheet_mm) ? mostSheet_mm : null },
    missing: missing.map(({ tag, reason }) => ({ tag, reason })),
    notLaid: notLaid(view, blanks).map(({ key }) => key),
    lotsApart: lotsApart(view, filmId),
  };
}
