import {
  type ClimateMonth,
  MATERIAL_NOT_STATED,
  NEW_PANE,
  NEW_PLACE,
  NEW_SURFACE,
  NO_SITE_FACTS,
  type RowOf,
} from '@yellow-pane/core/job';
import { LOOK_TABLES, diagnose } from '@yellow-pane/core/diagnosing';
import { EMPTY_SHOP, type FilmOfShop, JobView, NO_SKY, filmDates, jobRows } from '@yellow-pane/core/reading';
import { median, ms } from './figures';
import type { Row } from './run';

const RUNS = 15;
const PANES = 500;
/** Panes of one front and make-up are alike. */
const FRONTS = 12;
const LAID_MS = Date.UTC(2026, 10, 25, 12);
const row = <Own>(own: object): Own => own as Own;

/** Why something is there, and when panes of a whole house are clear. */
export function causeRows(): readonly Row[] {
  return [diagnosis(), clearing()];
}

function timesOf(runs: number, run: () => unknown): readonly number[] {
  return Array.from({ length: runs }, () => {
    const begin = performance.now();
    run();
    return performance.now() - begin;
  });
}

function diagnosis(): Row {
  const times = Object.values(LOOK_TABLES).flatMap((table) =>
    timesOf(RUNS, () => {
      const seen = Object.fromEntries(
        table.evidence.slice(0, 2).map(({ id, states }) => [id, states[0] ?? '']),
      );
      return diagnose({ table, seen, present: {} }, 150, 2);
    }),
  );
  const time = median(times);
  return {
    what: 'diagnosis of one mark with the next question, 13 looks, median',
    wanted: 'at most 10 ms, goal 2',
    got: ms(time),
    isMet: time <= 10,
  };
}

function clearing(): Row {
  const time = median(
    timesOf(5, () => {
      const view = houseOf(PANES);
      return view.applications.map((film) => filmDates(view, film, LAID_MS, NO_SKY)?.clear?.most);
    }),
  );
  return {
    what: `clearing of ${PANES} panes over a year, ${FRONTS} fronts, typical days, median`,
    wanted: 'at most 1 s in a worker',
    got: ms(time),
    isMet: time <= 1000,
  };
}

function houseOf(panes: number): JobView {
  const climate = Array.from({ length: 12 }, (_, month): ClimateMonth => ({
    air_C: 9 - 9 * Math.cos(((month + 0.5) / 12) * 2 * Math.PI),
    ...{ swing_K: 8, humidity: 0.75, sun: 0.5 },
  }));
  const film = row<FilmOfShop>({
    ...{ ...MATERIAL_NOT_STATED, id: 'film', family: 'solar', thickness_um: 50, construction: 'polyester' },
    ...{ visibleT: 0.5, visibleR: 0.1, solarT: 0.4, solarR: 0.15, emissivity: 0.84 },
  });
  const numbers = Array.from({ length: panes }, (_, n) => n);
  return new JobView(
    jobRows({
      place: Array.from({ length: FRONTS }, (_, n) =>
        row<RowOf<'place'>>({
          ...{ ...NEW_PLACE, id: `p${n}`, name: 'Front', kind: 'facade', position: n, climate },
          ...{ latitude_deg: 47, longitude_deg: 8, altitude_m: 400, bearing_deg: (360 * n) / FRONTS },
        }),
      ),
      glassUnit: [row({ id: 'u', name: 'double', glazing: 'double', frame: 'wood', edge: 'gasket' })],
      glassPane: [1, 2].map((position) =>
        row({
          ...{ ...NEW_PANE, id: `g${position}`, unitId: 'u', thickness_nm: 4_000_000, position },
          ...{ gapAfter_nm: position === 1 ? 16_000_000 : null, gasAfter: 'air' },
        }),
      ),
      surface: numbers.map((n) =>
        row({
          ...NEW_SURFACE,
          id: `s${n}`,
          placeId: `p${n % FRONTS}`,
          unitId: 'u',
          tag: `W${n}`,
          position: n,
        }),
      ),
      siteFacts: numbers.map((n) => row({ ...NO_SITE_FACTS, id: `f${n}`, surfaceId: `s${n}` })),
      application: numbers.map((n) =>
        row({
          ...{ schools: {}, id: `a${n}`, surfaceId: `s${n}`, side: 'room', filmId: 'film' },
          ...{ method: 'trim in place', over: null, position: 1 },
        }),
      ),
    }),
    { ...EMPTY_SHOP, films: [film] },
  );
}
