import {
  type Application,
  CUT_METHODS,
  type FieldsOf,
  type FilmBrief,
  type GlassPane,
  type GlassUnit,
  INSTRUMENT_NAMES,
  type JobTable,
  type Measure,
  type Over,
  type Part,
  type Photo,
  type SiteFacts,
  type EdgesSeen,
  type Surface,
  WALL_TEXTURES,
  type WallFacts,
} from '@yellow-pane/core/job';
import * as z from 'zod';
import { treatmentSchema, frameSchema, edgeFinishSchema } from './glass-words';
import { causeCase, inspection, lookTick, markDecision, ruleSet, visit } from './check-rows';
import { arrival, enquiry, extra, handOver, payment, quote } from './close-rows';
import { crewMember, daySettings, plannedStep } from './day-rows';
import { cutPiece, cutPlan, cutRoll, jobAllowance, offcut, seamChoice, stockTake } from './cutting-rows';
import { chosenSchools } from './chosen-schools';
import { gateTick, mark, ownPlan, reading, testPiece, waitEnd, workRecord } from './fit-rows';
import {
  allowanceNanometres,
  idSchema,
  instantSchema,
  measureKind,
  nanometres,
  pointName,
  positionSchema,
  positiveNanometres,
  share,
  signedNanometres,
  text,
  word,
} from './primitives';
import { job, lengthUnit } from './job-row';
import { place } from './place-row';
import { signed } from './signed';

const seenFrom = z.enum(['room', 'outside', 'side A', 'side B']);

const wish = z.literal([0, 1, 2, 3]);
const filmBrief = z.strictObject({
  placeId: idSchema,
  keepView: wish,
  hiddenByDay: wish,
  hiddenByNight: wish,
  lessHeat: wish,
  lessGlare: wish,
  protectFurnishings: wish,
  slowBreakIn: wish,
  keepWarmth: wish,
  look: z.enum([
    'any',
    'hardly seen',
    'neutral',
    'mirror',
    'frosted',
    'pattern',
    'wood',
    'stone',
    'plain colour',
    'picture',
  ]),
  lightKeptLeast: share.nullable(),
  heatOffLeast: share.nullable(),
  roomWidth_nm: positiveNanometres.nullable(),
  roomDepth_nm: positiveNanometres.nullable(),
  roomHeight_nm: positiveNanometres.nullable(),
  coldest_C: z.number().min(-60).max(40).nullable(),
  hottest_C: z.number().min(-20).max(60).nullable(),
}) satisfies z.ZodType<FilmBrief>;

const glassUnit = z.strictObject({
  name: word(200),
  glazing: z.enum(['single', 'double', 'triple', 'unknown']),
  frame: frameSchema,
  edge: z.enum(['sealant', 'gasket', 'rebate', 'exposed', 'unknown']),
  edgeFinish: edgeFinishSchema,
  edgeDepth_nm: positiveNanometres.nullable(),
}) satisfies z.ZodType<GlassUnit>;

const glassPane = z.strictObject({
  unitId: idSchema,
  position: z.int().min(1).max(6),
  treatment: treatmentSchema,
  thickness_nm: positiveNanometres.nullable(),
  tint: z.enum(['clear', 'low iron', 'bronze', 'grey', 'green', 'unknown']),
  coating: z.enum(['none', 'low-e, hard', 'low-e, soft', 'reflective', 'unknown']),
  coatedSide: z.enum(['outer', 'inner', 'unknown']),
  gapAfter_nm: positiveNanometres.nullable(),
  gasAfter: z.enum(['air', 'argon', 'krypton', 'unknown']),
}) satisfies z.ZodType<GlassPane>;

const edgesSeen = z.strictObject({
  state: z.enum(['sound', 'damaged']),
  ...signed,
}) satisfies z.ZodType<EdgesSeen>;

const surface = z.strictObject({
  placeId: idSchema,
  unitId: idSchema.nullable(),
  tag: word(40),
  name: text(200),
  kind: z.enum(['pane', 'wall', 'column', 'fixture']),
  shape: z.enum([
    'four sides',
    'three sides',
    'many sides',
    'arched top',
    'round',
    'oval',
    'rounded corners',
    'curved glass',
    'wall',
    'round column',
    'square column',
    'panel',
    'moulding',
  ]),
  corners: z.int().min(3).max(24).nullable(),
  seenFrom,
  condition: z.enum(['sound', 'chipped', 'cracked', 'unknown']),
  edgesSeen: edgesSeen.nullable(),
  remark: text(4000),
  position: positionSchema,
  sameAsId: idSchema.nullable(),
  atX_nm: signedNanometres.nullable(),
  atY_nm: signedNanometres.nullable(),
}) satisfies z.ZodType<Surface>;

const known = z.enum(['yes', 'no', 'unknown']);

/** No trim covers more of a pane: 1 m. */
const MOST_TRIM_NM = 1_000_000_000;

const siteFacts = z.strictObject({
  surfaceId: idSchema,
  storey: z.int().min(-10).max(200).nullable(),
  accessHeight_nm: nanometres.nullable(),
  reach: z.enum(['hand, card and gun', 'hand and card', 'not everywhere', 'unknown']),
  trimOverlap_nm: nanometres.max(MOST_TRIM_NM).nullable(),
  obstacles: text(4000),
  floor: text(400),
  power: known,
  crew: z.enum(['one person', 'two people', 'refer it', 'unknown']),
  filmFace: z.enum(['room side', 'outside', 'both', 'none', 'unknown']),
  sealantToCut: known,
  rescueGlass: known,
  consent: z
    .strictObject({
      givenBy: word(200),
      number: word(200),
      ...signed,
    })
    .nullable(),
  oldFilm: z.enum(['none', 'film', 'sticker', 'unknown']),
  oldFilmArea_m2: z.number().min(0).max(1000).nullable(),
  oldFilmYears: z.number().min(0).max(100).nullable(),
  residue: z.enum(['none', 'some', 'much', 'unknown']),
  tilt_deg: z.number().min(0).max(180).nullable(),
  overhangDepth_nm: nanometres.nullable(),
  overhangAbove_nm: nanometres.nullable(),
  revealDepth_nm: nanometres.nullable(),
  leftFinDepth_nm: nanometres.nullable(),
  leftFinBeside_nm: nanometres.nullable(),
  rightFinDepth_nm: nanometres.nullable(),
  rightFinBeside_nm: nanometres.nullable(),
  sun: z.enum(['reaches it', 'never', 'unknown']),
  blind: z.enum(['none', 'vented', 'close or closed', 'unknown']),
  heatOutlet: z.enum(['none', 'near or aimed at the glass', 'unknown']),
}) satisfies z.ZodType<SiteFacts>;

const cornerTurn = z.enum(['inside corner', 'outside corner', 'free edge', 'unknown']);

const wallFacts = z.strictObject({
  surfaceId: idSchema,
  texture: z.enum(WALL_TEXTURES),
  bond: z.enum(['running', 'stack', 'none', 'unknown']),
  unitWidth_nm: positiveNanometres.nullable(),
  unitHeight_nm: positiveNanometres.nullable(),
  jointWidth_nm: positiveNanometres.nullable(),
  jointDepth_nm: nanometres.nullable(),
  paint: z.enum(['none', 'matt', 'satin', 'gloss', 'unknown']),
  state: z.enum(['sound', 'flaking', 'dusty', 'damp', 'unknown']),
  paintAge: z.enum(['under 30 days', 'older', 'unknown']),
  paintKind: z.enum(['ordinary', 'silicone or anti-graffiti', 'unknown']),
  tapeTest: z.enum(['held', 'paint came off', 'not done']),
  flatness_nm: nanometres.nullable(),
  moisture: z.number().min(0).max(100).nullable(),
  ground_C: z.number().min(-40).max(80).nullable(),
  ground: z
    .strictObject({
      state: z.enum(['accepted', 'refused']),
      ...signed,
    })
    .nullable(),
  leftCorner: cornerTurn,
  rightCorner: cornerTurn,
}) satisfies z.ZodType<WallFacts>;

const part = z.strictObject({
  surfaceId: idSchema,
  kind: z.enum([
    'opening',
    'hardware',
    'obstacle',
    'damage',
    'furrow',
    'dish',
    'box corner',
    'heater lines',
    'sensor',
  ]),
  name: text(200),
  x_nm: nanometres.nullable(),
  y_nm: nanometres.nullable(),
  width_nm: nanometres.nullable(),
  height_nm: nanometres.nullable(),
  depth_nm: nanometres.nullable(),
  planRadius_nm: nanometres.nullable(),
  edgeRadius_nm: nanometres.nullable(),
  form: z.enum(['none', 'V', 'square', 'half round']),
  count: z.int().min(1).max(10_000),
  takenOffAt: instantSchema.nullable(),
  putBackAt: instantSchema.nullable(),
  remark: text(4000),
  position: positionSchema,
}) satisfies z.ZodType<Part>;

const photoSpot = z.strictObject({
  x: z.number().min(-20_000).max(40_000),
  y: z.number().min(-20_000).max(40_000),
});

const photo = z.strictObject({
  surfaceId: idSchema,
  partId: idSchema.nullable(),
  markId: idSchema.nullable(),
  applicationId: idSchema.nullable(),
  step: word(80).nullable(),
  takenAt: instantSchema.nullable(),
  caption: text(400),
  width_px: z.int().min(1).max(20_000),
  height_px: z.int().min(1).max(20_000),
  bytes: z.int().min(1).max(50_000_000),
  position: positionSchema,
  square: z
    .strictObject({
      taps: z.tuple([photoSpot, photoSpot, photoSpot, photoSpot]),
      width_nm: positiveNanometres,
      height_nm: positiveNanometres,
    })
    .nullable(),
  outline: z.array(photoSpot).min(3).max(400).nullable(),
  pairOfId: idSchema.nullable(),
  paired: z.enum(['gone', 'smaller', 'same', 'larger']).nullable(),
}) satisfies z.ZodType<Photo>;

export const measure = z.strictObject({
  surfaceId: idSchema,
  kind: measureKind,
  fromPoint: pointName,
  toPoint: pointName,
  text: word(80),
  unit: lengthUnit,
  value_nm: signedNanometres,
  instrument: z.enum(INSTRUMENT_NAMES),
  sd_nm: positiveNanometres.nullable(),
}) satisfies z.ZodType<Measure>;

const overSchema = z.strictObject({
  top_nm: allowanceNanometres,
  right_nm: allowanceNanometres,
  bottom_nm: allowanceNanometres,
  left_nm: allowanceNanometres,
}) satisfies z.ZodType<Over>;

const application = z.strictObject({
  surfaceId: idSchema,
  side: seenFrom,
  filmId: idSchema,
  method: z.enum(CUT_METHODS),
  schools: chosenSchools,
  over: overSchema.nullable(),
  position: positionSchema,
}) satisfies z.ZodType<Application>;

/** Wire shape of each table's own fields. Strict: an unknown field is refused by name. */
export const ROW_FIELDS = {
  job,
  place,
  filmBrief,
  glassUnit,
  glassPane,
  surface,
  siteFacts,
  wallFacts,
  part,
  measure,
  application,
  mark,
  photo,
  reading,
  seamChoice,
  jobAllowance,
  cutPlan,
  cutRoll,
  cutPiece,
  offcut,
  stockTake,
  daySettings,
  crewMember,
  plannedStep,
  workRecord,
  waitEnd,
  gateTick,
  ownPlan,
  testPiece,
  ruleSet,
  inspection,
  lookTick,
  markDecision,
  visit,
  causeCase,
  enquiry,
  quote,
  arrival,
  extra,
  payment,
  handOver,
} as const satisfies { readonly [Table in JobTable]: z.ZodType<FieldsOf<Table>> };
