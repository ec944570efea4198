import type { FilmBrief } from '../film/film-brief';
import type { GlassPane } from '../surface/glass-unit';
import type { DaySettings } from '../work/day-rows';
import { type Mark, NOT_TRIED } from '../work/fit-rows';
import type { Part } from '../surface/part';
import type { Photo } from '../surface/photo';
import type { Place } from '../surface/place';
import type { SiteFacts } from '../surface/site-facts';
import type { Surface } from '../surface/surface';
import type { WallFacts } from '../surface/wall-facts';

/** Rows with nothing known yet: `unknown` and null, never a made-up figure. */
export const NEW_PLACE: Omit<Place, 'name' | 'position'> = {
  parentId: null,
  kind: 'building',
  bearing_deg: null,
  latitude_deg: null,
  longitude_deg: null,
  altitude_m: null,
  horizon: [],
  climate: null,
  movable: false,
};

export const NEW_SURFACE: Omit<Surface, 'placeId' | 'tag' | 'position'> = {
  unitId: null,
  name: '',
  kind: 'pane',
  shape: 'four sides',
  corners: null,
  seenFrom: 'room',
  condition: 'unknown',
  edgesSeen: null,
  remark: '',
  sameAsId: null,
  atX_nm: null,
  atY_nm: null,
};

export const NO_SITE_FACTS: Omit<SiteFacts, 'surfaceId'> = {
  storey: null,
  accessHeight_nm: null,
  reach: 'unknown',
  trimOverlap_nm: null,
  obstacles: '',
  floor: '',
  power: 'unknown',
  crew: 'unknown',
  filmFace: 'unknown',
  sealantToCut: 'unknown',
  rescueGlass: 'unknown',
  consent: null,
  oldFilm: 'unknown',
  oldFilmArea_m2: null,
  oldFilmYears: null,
  residue: 'unknown',
  tilt_deg: null,
  overhangDepth_nm: null,
  overhangAbove_nm: null,
  revealDepth_nm: null,
  leftFinDepth_nm: null,
  leftFinBeside_nm: null,
  rightFinDepth_nm: null,
  rightFinBeside_nm: null,
  sun: 'unknown',
  blind: 'unknown',
  heatOutlet: 'unknown',
};

export const NO_WALL_FACTS: Omit<WallFacts, 'surfaceId'> = {
  texture: 'unknown',
  bond: 'unknown',
  unitWidth_nm: null,
  unitHeight_nm: null,
  jointWidth_nm: null,
  jointDepth_nm: null,
  paint: 'unknown',
  state: 'unknown',
  paintAge: 'unknown',
  paintKind: 'unknown',
  tapeTest: 'not done',
  flatness_nm: null,
  moisture: null,
  ground_C: null,
  ground: null,
  leftCorner: 'unknown',
  rightCorner: 'unknown',
};

export const NO_BRIEF: Omit<FilmBrief, 'placeId'> = {
  keepView: 0,
  hiddenByDay: 0,
  hiddenByNight: 0,
  lessHeat: 0,
  lessGlare: 0,
  protectFurnishings: 0,
  slowBreakIn: 0,
  keepWarmth: 0,
  look: 'any',
  lightKeptLeast: null,
  heatOffLeast: null,
  roomWidth_nm: null,
  roomDepth_nm: null,
  roomHeight_nm: null,
  coldest_C: null,
  hottest_C: null,
};

export const NEW_PANE: Omit<GlassPane, 'unitId' | 'position'> = {
  treatment: 'unknown',
  thickness_nm: null,
  tint: 'unknown',
  coating: 'unknown',
  coatedSide: 'unknown',
  gapAfter_nm: null,
  gasAfter: 'unknown',
};

export const NEW_PART: Omit<Part, 'surfaceId' | 'kind' | 'position'> = {
  name: '',
  x_nm: null,
  y_nm: null,
  width_nm: null,
  height_nm: null,
  depth_nm: null,
  planRadius_nm: null,
  edgeRadius_nm: null,
  form: 'none',
  count: 1,
  takenOffAt: null,
  putBackAt: null,
  remark: '',
};

export const NEW_DAY: Omit<DaySettings, 'firstDay' | 'zone'> = {
  days: 3,
  indoor_C: null,
  indoorHumidity: null,
  bearingDoubt_deg: 1,
  slip: 'household',
  primer: 'water-based',
  schools: {},
  packed: [],
  restDays: [6, 7],
  comeFrom_C: null,
  rollWrap: 'boxed',
  coreRadius_mm: 38,
  tools: ['heat gun', 'ladder', 'dust extractor', 'infrared thermometer'].map((tool) => ({ tool, count: 1 })),
};

/** A mark of which nothing is said yet. */
export const NEW_MARK: Omit<Mark, 'surfaceId' | 'firstSeenAt' | 'from'> = {
  applicationId: null,
  step: null,
  look: 'not said',
  x_nm: null,
  y_nm: null,
  size_nm: null,
  length_nm: null,
  note: '',
  tests: NOT_TRIED,
  goneAt: null,
};

/** A picture of nothing in particular, as it was taken. */
export const NEW_PHOTO: Omit<
  Photo,
  'surfaceId' | 'takenAt' | 'width_px' | 'height_px' | 'bytes' | 'position'
> = {
  partId: null,
  markId: null,
  applicationId: null,
  step: null,
  caption: '',
  square: null,
  outline: null,
  pairOfId: null,
  paired: null,
};
