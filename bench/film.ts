import { type SurfaceRows, type SweepSurface, newSunBook, sweep } from '@yellow-pane/core/choosing';
import {
  type MakeUp,
  filmOpticsOf,
  heatBalance,
  heatGapsOf,
  heatPanesOf,
  opticsOfMakeUp,
  calculateGlazing,
} from '@yellow-pane/core/glazing';
import {
  type GlassPane,
  NEW_PANE,
  NEW_PLACE,
  NEW_SURFACE,
  NO_BRIEF,
  NO_SITE_FACTS,
} from '@yellow-pane/core/job';
import { absorptionOf, dayStress, designDays, designSuns } from '@yellow-pane/core/thermal-stress';
import { EXAMPLE_FILMS } from '@yellow-pane/demo';
import { median, ms } from './figures';
import type { Row } from './run';

const MM = 1e6;
const FILMS = EXAMPLE_FILMS.filter(({ film }) => film.visibleTransmitted !== null).slice(0, 40);
const KINDS: readonly (readonly [GlassPane['treatment'], number, GlassPane['coating']])[] = [
  ['annealed', 6, 'none'],
  ['toughened', 6, 'none'],
  ['annealed', 4, 'low-e, soft'],
  ['laminated', 8, 'none'],
  ['annealed', 10, 'none'],
];

/**
 * 200 panes on four fronts in five make-ups.
 * @param sizes how many sizes there are: 200 makes every pane ask something of its own
 */
function panes(sizes: number): readonly SweepSurface[] {
  return Array.from({ length: 200 }, (_, index): SweepSurface => {
    const [treatment, thickness, coating] = KINDS[index % KINDS.length] ?? ['annealed', 6, 'none'];
    const pane = (position: number): GlassPane => ({
      ...NEW_PANE,
      unitId: 'u',
      position,
      treatment,
      thickness_nm: thickness * MM,
      tint: 'clear',
      coating: position === 2 ? coating : 'none',
      coatedSide: 'outer',
      gapAfter_nm: position === 1 ? 16 * MM : null,
      gasAfter: 'air',
    });
    const rows: SurfaceRows = {
      surface: {
        ...NEW_SURFACE,
        placeId: 'p',
        tag: String(index),
        position: index,
        unitId: 'u',
        condition: 'sound',
      },
      place: {
        ...NEW_PLACE,
        kind: 'facade',
        name: 'f',
        position: 1,
        bearing_deg: [90, 180, 225, 270][index % 4] ?? 180,
      },
      parents: [
        { ...NEW_PLACE, name: 'h', position: 2, latitude_deg: 46.62, longitude_deg: 9.74, altitude_m: 400 },
      ],
      unit: {
        name: 'd',
        glazing: 'double',
        frame: 'metal',
        edge: 'gasket',
        edgeFinish: 'unseen',
        edgeDepth_nm: null,
      },
      panes: [pane(1), pane(2)],
      site: {
        ...NO_SITE_FACTS,
        filmFace: 'both',
        tilt_deg: 90,
        overhangDepth_nm: 1000 * MM,
        overhangAbove_nm: 300 * MM,
        blind: 'none',
        heatOutlet: 'none',
      },
      wall: undefined,
      brief: NO_BRIEF,
      films: [],
      width_mm: 800 + (index % sizes) * 25,
      height_mm: 2000,
      area_m2: 2,
    };
    return { id: String(index), rows };
  });
}

/** Film on glass: one solve, and whole fronts of them. */
export function filmOnGlass(): readonly Row[] {
  const optics = FILMS.flatMap(({ film }) => {
    const read = filmOpticsOf(film).optics;
    return read === null ? [] : [read];
  });
  const double: MakeUp = {
    panes: [
      { tint: 'clear', thickness_mm: 6 },
      { tint: 'clear', thickness_mm: 6 },
    ],
    gaps: [{ width_mm: 16, gas: { air: 1 } }],
    films: optics[1] === undefined ? [] : [{ face: 4, film: optics[1] }],
  };
  const solve = timed(400, () => {
    const { solar, emissivities } = opticsOfMakeUp(double);
    heatBalance(heatPanesOf(double, solar.absorbed, emissivities), heatGapsOf(double), {
      outdoor_C: 0,
      indoor_C: 20,
      outdoor_Wm2K: 8,
      sun_Wm2: 700,
    });
  });
  const whole = timed(400, () =>
    calculateGlazing({
      ...double,
      conditions: { outdoor_C: 0, indoor_C: 20, outdoor_Wm2K: 8, sun_Wm2: 700 },
    }),
  );
  const hourly = timed(3, () => {
    hourlyStress(optics);
  });
  const repeats = timed(3, () => sweep(panes(3), FILMS, undefined, newSunBook()));
  const different = timed(1, () => sweep(panes(200), FILMS, undefined, newSunBook()));
  return [
    {
      what: 'core: one glazing solved: three bands of optics and the heat balance to 1e-9 K, double with film, median',
      wanted: 'under 0.3 ms',
      got: `${solve.toFixed(2)} ms`,
      isMet: solve < 0.3,
    },
    {
      what: 'core: all of /api/calculate/glazing for it: optics, U, solar heat gain, four balances, median',
      wanted: 'shown',
      got: `${whole.toFixed(2)} ms`,
      isMet: true,
    },
    {
      what: 'core: 40 films × 200 different panes, hourly stress over a design day, one thread',
      wanted: 'under 4 s',
      got: ms(hourly),
      isMet: hourly < 4000,
    },
    {
      what: 'core: 40 films × 200 panes judged whole (three design days, twelve months, privacy), 60 kinds of pane',
      wanted: 'under 4 s',
      got: ms(repeats),
      isMet: repeats < 4000,
    },
    {
      what: 'core: the same with every pane of another size',
      wanted: 'shown',
      got: ms(different),
      isMet: true,
    },
  ];
}

function timed(times: number, act: () => unknown): number {
  return median(
    Array.from({ length: times }, () => {
      const start = performance.now();
      act();
      return performance.now() - start;
    }),
  );
}

/**
 * The stress sweep alone: optics once a make-up and film, suns once a front, 24 hours for each pane and film.
 */
function hourlyStress(optics: readonly NonNullable<ReturnType<typeof filmOpticsOf>['optics']>[]): void {
  const [day] = designDays({ latitude_deg: 46.62, longitude_deg: 9.74, altitude_m: 400 }).slice(1);
  if (day === undefined) return;
  for (const [, thickness] of KINDS) {
    const bare: MakeUp = {
      panes: [
        { tint: 'clear', thickness_mm: thickness },
        { tint: 'clear', thickness_mm: thickness },
      ],
      gaps: [{ width_mm: 16, gas: { air: 1 } }],
      films: [],
    };
    for (const film of optics) {
      const makeUp: MakeUp = { ...bare, films: [{ face: 4, film }] };
      const absorption = absorptionOf(makeUp);
      for (let pane = 0; pane < 40; pane += 1) {
        dayStress(makeUp, absorption, [day], sunsOf(pane, day), {
          hold: 'metal',
          isDeep: false,
          assumedPattern: null,
          hasHeater: false,
          height_m: 1 + pane * 0.05,
        });
      }
    }
  }
}

const kept = new Map<number, ReturnType<typeof designSuns>>();
function sunsOf(pane: number, day: ReturnType<typeof designDays>[number]): ReturnType<typeof designSuns> {
  const found =
    kept.get(pane) ??
    designSuns([day], {
      bearing_deg: 90 + pane * 4,
      tilt_deg: 90,
      skyline: [],
      shading: {
        width_mm: 1000 + pane * 10,
        height_mm: 2000,
        overhangDepth_mm: 1000,
        overhangAbove_mm: 300,
        revealDepth_mm: 0,
      },
    });
  kept.set(pane, found);
  return found;
}
