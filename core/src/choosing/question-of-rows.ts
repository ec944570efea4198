import {
  type Facing,
  type Fin,
  type PlaceOnEarth,
  type Shading,
  type SunMoment,
  sunOnSurface,
  sunPath,
} from '../climate';
import { type FilmOptics, type GasMix, type MakeUp, filmOpticsOf } from '../glazing';
import {
  type EdgeFinish,
  type Film,
  type FilmBrief,
  type GlassPane,
  type GlassUnit,
  type GlassUnknown,
  NO_BRIEF,
  NO_WALL_FACTS,
  type Place,
  type SiteFacts,
  type Surface,
  type WallFacts,
  mayEdgesBeSeen,
} from '../job';
import { USUAL_ROOM } from '../privacy';
import { mmFromNm } from '../quantity';
import {
  type GlassAssumption,
  type DesignDay,
  type GlassSituation,
  USUAL_TEMPERATURES,
  designDays,
  designSuns,
} from '../thermal-stress';
import type { FilmQuestion, YearMoment } from './question';

/** What the job knows of one surface, as its rows. */
export interface SurfaceRows {
  readonly surface: Surface;
  readonly place: Place | undefined;
  /** From the place outwards, nearest first: what a place does not say its parent may. */
  readonly parents: readonly Place[];
  readonly unit: GlassUnit | undefined;
  /** By position. */
  readonly panes: readonly GlassPane[];
  readonly site: Omit<SiteFacts, 'surfaceId'> | undefined;
  readonly wall: Omit<WallFacts, 'surfaceId'> | undefined;
  readonly brief: Omit<FilmBrief, 'placeId'> | undefined;
  /** Films on it now, by side. */
  readonly films: readonly { readonly side: Surface['seenFrom']; readonly film: Film }[];
  readonly width_mm: number | null;
  readonly height_mm: number | null;
  readonly area_m2: number | null;
}

/** Suns of the year and of the design days, once a place and facing: shared by all its surfaces. */
export interface SunCache {
  readonly daysFor: (
    place: PlaceOnEarth,
    coldest_C: number | null,
    hottest_C: number | null,
  ) => readonly DesignDay[];
  readonly monthsFor: (place: PlaceOnEarth) => readonly ReturnType<typeof sunPath>[];
}

/** @returns a book that calculates each place once */
export function newSunBook(): SunCache {
  const days = new Map<string, readonly DesignDay[]>();
  const months = new Map<string, readonly ReturnType<typeof sunPath>[]>();
  const kept = <Value>(map: Map<string, Value>, key: string, make: () => Value): Value => {
    const value = map.get(key) ?? make();
    map.set(key, value);
    return value;
  };
  return {
    daysFor: (place, coldest_C, hottest_C) =>
      kept(days, JSON.stringify([place, coldest_C, hottest_C]), () => {
        const { cold, hot } = USUAL_TEMPERATURES;
        const found = designDays(place, { ...USUAL_TEMPERATURES, cold, hot });
        const at = (index: 0 | 2, low: number | null, high: number | null): DesignDay | undefined => {
          const day = found[index];
          return day === undefined
            ? undefined
            : { ...day, low_C: low ?? day.low_C, high_C: high ?? day.high_C };
        };
        const coldDay = at(0, coldest_C, coldest_C === null ? null : coldest_C + (cold[1] - cold[0]));
        const hotDay = at(2, hottest_C === null ? null : hottest_C - (hot[1] - hot[0]), hottest_C);
        return [coldDay, found[1], hotDay].filter((day) => day !== undefined);
      }),
    monthsFor: (place) =>
      kept(months, JSON.stringify(place), () =>
        Array.from({ length: 12 }, (_, month) => sunPath(place, YEAR, month + 1, 21)),
      ),
  };
}

const YEAR = 2026;
const USUAL_LATITUDE_DEG = 47;
const USUAL_GAP_MM = 16;
const USUAL_SIZE_MM = 1200;
const COMPASS_DEG = [0, 45, 90, 135, 180, 225, 270, 315] as const;
const ARGON: GasMix = { argon: 0.9, air: 0.1 };
const AIR: GasMix = { air: 1 };
const GASES: Readonly<Record<GlassPane['gasAfter'], GasMix>> = {
  air: AIR,
  argon: ARGON,
  krypton: { krypton: 0.9, air: 0.1 },
  unknown: AIR,
};

/**
 * Puts the rows of a job into a question. What is not known is assumed and named, or leaves the question open
 * by name: never a silent figure.
 */
export function questionOf(rows: SurfaceRows, book: SunCache = newSunBook()): FilmQuestion {
  const { surface, site, wall, area_m2 } = rows;
  const brief = rows.brief ?? NO_BRIEF;
  const isPartition = surface.seenFrom === 'side A' || surface.seenFrom === 'side B';
  const glass = surface.kind === 'pane' ? glassOf(rows, brief, isPartition, book) : null;
  const room = {
    width_m: metres(brief.roomWidth_nm) ?? USUAL_ROOM.width_m,
    depth_m: metres(brief.roomDepth_nm) ?? USUAL_ROOM.depth_m,
    height_m: metres(brief.roomHeight_nm) ?? USUAL_ROOM.height_m,
    reflects: USUAL_ROOM.reflects,
    sky_deg: USUAL_ROOM.sky_deg,
    glass_m2: area_m2 ?? 2,
  };
  const count = Math.max(1, glass?.situation.bare.panes.length ?? 1);
  const face = site?.filmFace ?? 'unknown';
  const ownSide = surface.seenFrom === 'side B' ? 2 * count : 1;
  return {
    kind: surface.kind,
    shape: surface.shape,
    glass: glass?.situation ?? null,
    others: glass === null ? [] : filmsOn(rows, count),
    isPartition,
    isVehicle: [rows.place, ...rows.parents].some(
      (place) => place?.kind === 'vehicle' || place?.movable === true,
    ),
    brief,
    area_m2,
    room,
    faces:
      surface.kind !== 'pane' || face === 'none'
        ? { front: null, back: null }
        : isPartition
          ? { front: ownSide, back: ownSide }
          : {
              front: face === 'outside' || face === 'both' ? 1 : null,
              back: face === 'outside' ? null : 2 * count,
            },
    edge: rows.unit?.edge ?? 'unknown',
    wall:
      surface.kind === 'pane'
        ? null
        : (wall ?? { ...NO_WALL_FACTS, paint: surface.kind === 'fixture' ? 'none' : 'unknown' }),
    isRoomAssumed: brief.roomWidth_nm === null || brief.roomDepth_nm === null || brief.roomHeight_nm === null,
    get year() {
      return glass?.year ?? [];
    },
    coldOutdoor_C: glass?.situation.days[0]?.low_C ?? USUAL_TEMPERATURES.cold[0],
  };
}

/** Made when it is first asked for: many ask only about the glass, not about its sun. */
function once<Value>(make: () => Value): () => Value {
  let made: { readonly value: Value } | undefined;
  return () => (made ??= { value: make() }).value;
}

function glassOf(
  rows: SurfaceRows,
  brief: Omit<FilmBrief, 'placeId'>,
  isPartition: boolean,
  book: SunCache,
): { readonly situation: GlassSituation; readonly year: readonly (readonly YearMoment[])[] } {
  const { surface, unit, site } = rows;
  const assumed: GlassAssumption[] = [];
  const unknown: GlassUnknown[] = [];
  const bare = makeUpOf(rows, assumed, unknown);
  const at = standing(rows, assumed);
  const width_mm = rows.width_mm ?? USUAL_SIZE_MM;
  const height_mm = rows.height_mm ?? USUAL_SIZE_MM;
  if (rows.width_mm === null || rows.height_mm === null)
    assumed.push({ case: 'the size of the pane', size_mm: USUAL_SIZE_MM });
  const tilt_deg = site?.tilt_deg ?? 90;
  const days = book.daysFor(at, brief.coldest_C, brief.hottest_C);
  const shading = site === undefined ? null : shadingOf(site, surface.seenFrom, width_mm, height_mm);
  const chosen = facingOf(rows, days, shading, isPartition, assumed);
  const isSunless = isPartition || site?.sun === 'never';
  const blind = site?.blind ?? 'unknown';
  const heatOutlet = site?.heatOutlet ?? 'unknown';
  if (!isPartition && blind === 'unknown') assumed.push({ case: 'no blind close behind the glass' });
  if (!isPartition && heatOutlet === 'unknown') assumed.push({ case: 'no warm air on the glass' });
  const suns = once(() => (isSunless ? [] : designSuns(days, chosen)));
  const year = once(() => (isSunless ? [] : book.monthsFor(at).map((path) => monthOf(path, chosen))));
  const situation: GlassSituation = {
    bare: { ...bare, hasBlind: blind === 'close or closed' },
    treatments: rows.panes.map(({ treatment }) => treatment),
    frame: unit?.frame ?? 'unknown',
    edgeFinish: edgeFinishOf(rows),
    edgeDepth_mm: unit?.edgeDepth_nm == null ? null : mmFromNm(unit.edgeDepth_nm),
    condition: surface.condition === 'unknown' ? 'sound' : surface.condition,
    edge_m: rows.width_mm === null || rows.height_mm === null ? null : (2 * (width_mm + height_mm)) / 1000,
    height_m: Math.max(0.2, height_mm / 1000),
    circumstances: { area_m2: rows.area_m2, blind, heatOutlet, tilt_deg, altitude_m: at.altitude_m },
    isIndoors: isPartition,
    isSunless,
    assumed: [
      ...(surface.condition === 'unknown' && !isPartition ? [{ case: 'sound glass' } as const] : []),
      ...assumed,
    ],
    unknown,
    days,
    get suns() {
      return suns();
    },
    facing: isPartition ? null : chosen,
    assumedPattern: shading !== null || isPartition ? null : 'one side 1/4',
  };
  return {
    situation,
    get year() {
      return year();
    },
  };
}

/**
 * Of the pane as somebody saw it. How the unit was made says nothing of an edge nobody looked along, and a
 * rebate hides it from a torch.
 */
function edgeFinishOf({ surface, unit }: SurfaceRows): EdgeFinish {
  const made = unit?.edgeFinish ?? 'unknown';
  if (made === 'damaged' || surface.edgesSeen?.state === 'damaged') return 'damaged';
  if (surface.edgesSeen === null || !mayEdgesBeSeen(unit)) return 'unseen';
  return made === 'unseen' || made === 'unknown' ? 'clean-cut' : made;
}

/** The sun of a mean day of a month on the surface. */
function monthOf(path: ReturnType<typeof sunPath>, facing: Facing): readonly YearMoment[] {
  return sunOnSurface(path, facing).map(
    ({ beam_Wm2, diffuse_Wm2, incidence_deg, shadow }: SunMoment): YearMoment => ({
      beam_Wm2: beam_Wm2 * shadow.lit,
      diffuse_Wm2,
      incidence_deg,
    }),
  );
}

/** How the surface looks at the sun; where its bearing is not known, the way that gets the most of it. */
function facingOf(
  { place, parents, site }: SurfaceRows,
  days: Parameters<typeof sunniest>[0],
  shading: Shading | null,
  isPartition: boolean,
  assumed: GlassAssumption[],
): Facing {
  const places = [place, ...parents];
  const skyline = places.find((own) => (own?.horizon.length ?? 0) > 0)?.horizon ?? [];
  const tilt_deg = site?.tilt_deg ?? 90;
  const facing = (bearing_deg: number): Facing => ({ bearing_deg, tilt_deg, skyline, shading });
  if (isPartition) return facing(180);
  const bearing = places.find((own) => own?.bearing_deg != null)?.bearing_deg;
  if (bearing == null) assumed.push({ case: 'the bearing that gets the most sun' });
  if (shading === null) assumed.push({ case: 'a shade line across the pane' });
  return bearing == null ? sunniest(days, facing) : facing(bearing);
}

/** Nothing that could shade it was looked for. */
export function isShadeOpen(site: Omit<SiteFacts, 'surfaceId'> | undefined): boolean {
  return (
    site === undefined ||
    ((site.overhangDepth_nm ?? null) === null &&
      site.revealDepth_nm === null &&
      (site.leftFinDepth_nm ?? 0) === 0 &&
      (site.rightFinDepth_nm ?? 0) === 0)
  );
}

/**
 * What is known to stand over and beside a surface, turned to how it is seen from outside; null: nothing was
 * looked for.
 */
function shadingOf(
  site: Omit<SiteFacts, 'surfaceId'>,
  seenFrom: Surface['seenFrom'],
  width_mm: number,
  height_mm: number,
): Shading | null {
  const fin = (depth_nm: number | null, beside_nm: number | null): Fin | undefined =>
    depth_nm === null || depth_nm === 0
      ? undefined
      : { depth_mm: mmFromNm(depth_nm), beside_mm: mm(beside_nm) };
  const [left, right] = [
    fin(site.leftFinDepth_nm, site.leftFinBeside_nm),
    fin(site.rightFinDepth_nm, site.rightFinBeside_nm),
  ];
  if (isShadeOpen(site)) return null;
  const [leftFin, rightFin] = seenFrom === 'outside' ? [left, right] : [right, left];
  return {
    width_mm,
    height_mm,
    overhangDepth_mm: mm(site.overhangDepth_nm),
    overhangAbove_mm: mm(site.overhangAbove_nm),
    revealDepth_mm: mm(site.revealDepth_nm),
    leftFin,
    rightFin,
  };
}

function makeUpOf({ unit, panes }: SurfaceRows, assumed: GlassAssumption[], unknown: GlassUnknown[]): MakeUp {
  const wanted = { single: 1, double: 2, triple: 3, unknown: 0 }[unit?.glazing ?? 'unknown'];
  if (wanted === 0) unknown.push('how many panes');
  if (wanted > 0 && panes.length < wanted) unknown.push('the kind of glass');
  else if (panes.some(({ treatment }) => treatment === 'unknown')) unknown.push('the kind of glass');
  if (wanted > 0 && (panes.length < wanted || panes.some(({ thickness_nm }) => thickness_nm === null)))
    unknown.push('the thickness of the glass');
  if (panes.some(({ coating }) => coating === 'unknown')) unknown.push('whether it is coated');
  if (panes.some(({ tint }) => tint === 'unknown')) assumed.push({ case: 'clear glass' });
  const used = panes.slice(0, Math.max(1, wanted));
  const made =
    used.length === 0
      ? [{ tint: 'clear' as const, thickness_mm: 4 }]
      : used.map(({ tint, thickness_nm, treatment, coating, coatedSide }) => ({
          tint: tint === 'unknown' ? ('clear' as const) : tint,
          thickness_mm: thickness_nm === null ? 4 : mmFromNm(thickness_nm),
          isLaminated: treatment === 'laminated',
          coating:
            coating === 'none' || coating === 'unknown'
              ? null
              : { kind: coating, side: coatedSide === 'outer' ? ('front' as const) : ('back' as const) },
        }));
  if (
    used.some(
      ({ coating, coatedSide }) => coating !== 'none' && coating !== 'unknown' && coatedSide === 'unknown',
    )
  )
    assumed.push({ case: 'the coating on the inner side of its pane' });
  const gaps = used.slice(0, -1).map(({ gapAfter_nm, gasAfter }) => {
    if (gapAfter_nm === null) assumed.push({ case: 'a gap', width_mm: USUAL_GAP_MM });
    if (gasAfter === 'unknown') assumed.push({ case: 'air in the gap' });
    return { width_mm: gapAfter_nm === null ? USUAL_GAP_MM : mmFromNm(gapAfter_nm), gas: GASES[gasAfter] };
  });
  return { panes: made, gaps, films: [] };
}

function filmsOn({ films }: SurfaceRows, panes: number): MakeUp['films'] {
  return films.flatMap(({ side, film }): { face: number; film: FilmOptics }[] => {
    const { optics } = filmOpticsOf(film);
    return optics === null
      ? []
      : [{ face: side === 'outside' || side === 'side A' ? 1 : panes * 2, film: optics }];
  });
}

function standing({ place, parents }: SurfaceRows, assumed: GlassAssumption[]): PlaceOnEarth {
  const known = [place, ...parents].find((candidate) => candidate?.latitude_deg != null);
  if (known?.latitude_deg == null) {
    assumed.push({ case: 'a place on earth', latitude_deg: USUAL_LATITUDE_DEG });
    return { latitude_deg: USUAL_LATITUDE_DEG, longitude_deg: 0, altitude_m: known?.altitude_m ?? 0 };
  }
  return {
    latitude_deg: known.latitude_deg,
    longitude_deg: known.longitude_deg ?? 0,
    altitude_m: known.altitude_m ?? 0,
  };
}

/** The bearing whose strongest hour over the design days is strongest. */
function sunniest(days: readonly DesignDay[], facing: (bearing_deg: number) => Facing): Facing {
  const strongest = (bearing_deg: number): number =>
    Math.max(
      ...designSuns(days, facing(bearing_deg))
        .flat()
        .map(({ beam_Wm2 }) => beam_Wm2),
    );
  return facing(
    COMPASS_DEG.reduce((best, bearing) => (strongest(bearing) > strongest(best) ? bearing : best), 180),
  );
}

const mm = (value_nm: number | null | undefined): number => (value_nm == null ? 0 : mmFromNm(value_nm));
const metres = (value_nm: number | null): number | undefined =>
  value_nm === null ? undefined : mmFromNm(value_nm) / 1000;
