import { type Application, CUT_METHODS, type CutPiece, type CutPlan, type CutRoll, type FieldsOf, type FilmBrief, type GlassPane, type GlassUnit, type Job, type JobAllowance, type JobTable, type Measure, type Offcut, type Part, type Photo, type Place, type Roll, type SeamChoice, type SiteFacts, type StockTake, type Surface, type WallFacts, type WorkRecord } from '@yellow-pane/core/job';
import * as z from 'zod';
import { idSchema, instantSchema, measureKind, nanometres, pointName, positionSchema, positiveNanometres, share, signedNanometres, text, word } from './primitives';

const seenFrom = z.enum(['room', 'outside', 'side A', 'side B']);
const lengthUnit = z.enum(['mm', 'cm', 'm', 'in', 'ft']);

const job = z.strictObject({ name: word(200), entryUnit: lengthUnit, archived: z.boolean() }) satisfies z.ZodType<Job>;

const bearing = z.number().min(0).lt(360);

const place = z.strictObject({
  parentId: idSchema.nullable(),
  kind: z.enum(['building', 'vehicle', 'facade', 'side', 'room']),
  name: word(200),
  bearing_deg: bearing.nullable(),
  latitude_deg: z.number().min(-90).max(90).nullable(),
  longitude_deg: z.number().min(-180).max(180).nullable(),
  altitude_m: z.number().min(-500).max(9000).nullable(),
  horizon: z.array(z.strictObject({ bearing_deg: bearing, elevation_deg: z.number().min(-10).max(90) })).max(360),
  movable: z.boolean(),
  position: positionSchema,
}) satisfies z.ZodType<Place>;

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
  look: z.enum(['any', 'hardly seen', 'neutral', 'mirror', 'frosted', 'pattern', 'wood', 'stone', 'plain colour', 'picture']),
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
  frame: z.enum(['metal', 'metal with thermal break', 'wood', 'plastic', 'rubber seal', 'masonry', 'unknown']),
  edge: z.enum(['sealant', 'gasket', 'rebate', 'exposed', 'unknown']),
  edgeFinish: z.enum(['unseen', 'clean-cut', 'seamed', 'polished', 'damaged', 'unknown']),
  edgeDepth_nm: positiveNanometres.nullable(),
}) satisfies z.ZodType<GlassUnit>;

const glassPane = z.strictObject({
  unitId: idSchema,
  position: z.int().min(1).max(6),
  treatment: z.enum(['annealed', 'toughened', 'heat strengthened', 'laminated', 'wired', 'patterned', 'unknown']),
  thickness_nm: positiveNanometres.nullable(),
  tint: z.enum(['clear', 'low iron', 'bronze', 'grey', 'green', 'unknown']),
  coating: z.enum(['none', 'low-e, hard', 'low-e, soft', 'reflective', 'unknown']),
  coatedSide: z.enum(['outer', 'inner', 'unknown']),
  gapAfter_nm: positiveNanometres.nullable(),
  gasAfter: z.enum(['air', 'argon', 'krypton', 'unknown']),
}) satisfies z.ZodType<GlassPane>;

const surface = z.strictObject({
  placeId: idSchema,
  unitId: idSchema.nullable(),
  tag: word(40),
  name: text(200),
  kind: z.enum(['pane', 'wall', 'column', 'fixture']),
  shape: z.enum(['four sides', 'three sides', 'many sides', 'arched top', 'round', 'oval', 'rounded corners', 'curved glass', 'wall', 'round column', 'square column', 'panel', 'moulding']),
  corners: z.int().min(3).max(24).nullable(),
  seenFrom,
  condition: z.enum(['sound', 'chipped', 'cracked', 'unknown']),
  remark: text(4000),
  position: positionSchema,
  sameAsId: idSchema.nullable(),
  atX_nm: signedNanometres.nullable(),
  atY_nm: signedNanometres.nullable(),
}) satisfies z.ZodType<Surface>;

const known = z.enum(['yes', 'no', 'unknown']);

const siteFacts = z.strictObject({
  surfaceId: idSchema,
  storey: z.int().min(-10).max(200).nullable(),
  accessHeight_nm: nanometres.nullable(),
  reach: z.enum(['hand, card and gun', 'hand and card', 'not everywhere', 'unknown']),
  trimOverlap_nm: nanometres.nullable(),
  obstacles: text(4000),
  floor: text(400),
  power: known,
  crew: z.enum(['one person', 'two people', 'refer it', 'unknown']),
  filmFace: z.enum(['room side', 'outside', 'both', 'none', 'unknown']),
  sealantToCut: known,
  tilt_deg: z.number().min(0).max(180).nullable(),
  overhangDepth_nm: nanometres.nullable(),
  overhangAbove_nm: nanometres.nullable(),
  revealDepth_nm: nanometres.nullable(),
  blind: z.enum(['none', 'vented', 'close or closed', 'unknown']),
  heatOutlet: z.enum(['none', 'near or aimed at the glass', 'unknown']),
}) satisfies z.ZodType<SiteFacts>;

const cornerTurn = z.enum(['inside corner', 'outside corner', 'free edge', 'unknown']);

const wallFacts = z.strictObject({
  surfaceId: idSchema,
  texture: z.enum(['painted plasterboard', 'smooth concrete', 'rough concrete', 'painted block', 'bare block', 'glazed block', 'brick', 'tile', 'stucco', 'canvas', 'bare wood', 'lacquered wood', 'laminate', 'metal', 'unknown']),
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
  leftCorner: cornerTurn,
  rightCorner: cornerTurn,
}) satisfies z.ZodType<WallFacts>;

const part = z.strictObject({
  surfaceId: idSchema,
  kind: z.enum(['opening', 'hardware', 'obstacle', 'damage', 'furrow']),
  name: text(200),
  x_nm: nanometres.nullable(),
  y_nm: nanometres.nullable(),
  width_nm: nanometres.nullable(),
  height_nm: nanometres.nullable(),
  depth_nm: nanometres.nullable(),
  form: z.enum(['none', 'V', 'square', 'half round']),
  count: z.int().min(1).max(10_000),
  takenOffAt: instantSchema.nullable(),
  putBackAt: instantSchema.nullable(),
  remark: text(4000),
  position: positionSchema,
}) satisfies z.ZodType<Part>;

const photo = z.strictObject({
  surfaceId: idSchema,
  partId: idSchema.nullable(),
  caption: text(400),
  width_px: z.int().min(1).max(20_000),
  height_px: z.int().min(1).max(20_000),
  bytes: z.int().min(1).max(50_000_000),
  position: positionSchema,
}) satisfies z.ZodType<Photo>;

const measure = z.strictObject({
  surfaceId: idSchema,
  kind: measureKind,
  fromPoint: pointName,
  toPoint: pointName,
  text: word(80),
  unit: lengthUnit,
  value_nm: signedNanometres,
  instrument: z.enum(['tape', 'laser', 'guess']),
  sd_nm: positiveNanometres.nullable(),
}) satisfies z.ZodType<Measure>;

const application = z.strictObject({
  surfaceId: idSchema,
  side: seenFrom,
  filmId: idSchema,
  method: z.enum(CUT_METHODS),
  linerSchool: z.enum(['halves on the glass', 'hang and pull', 'tape tabs with two people']),
  lockSchool: z.enum(['centre line', 'T', 'X', 'quarters']),
  trimSchool: z.enum(['before squeezing out', 'after squeezing out']),
  position: positionSchema,
}) satisfies z.ZodType<Application>;

const seamChoice = z.strictObject({
  applicationId: idSchema,
  kind: z.enum(['lap over promoter', 'double cut', 'butt']).nullable(),
  placing: z.enum(['equal drops', 'full width and strip']).nullable(),
  match: z.enum(['none', 'straight', 'half drop']).nullable(),
  firstDrop: z.enum(['save film', 'centre the pattern']).nullable(),
}) satisfies z.ZodType<SeamChoice>;

const jobAllowance = z.strictObject({ method: z.enum(CUT_METHODS), top_nm: nanometres, right_nm: nanometres, bottom_nm: nanometres, left_nm: nanometres }) satisfies z.ZodType<JobAllowance>;

const money = z.number().min(0).max(1e9);
const perMetre = z.number().min(0).max(1e6).nullable();

const cutPlan = z.strictObject({
  filmId: idSchema,
  mode: z.enum(['by hand', 'by plotter']),
  stages: z.literal([2, 3]),
  gap_nm: nanometres,
  endWaste_nm: nanometres,
  mostSheet_nm: positiveNanometres.nullable(),
  objective: z.enum(['money', 'length']),
  edgeMust: z.boolean(),
  lengthUsed_nm: nanometres,
  bound_nm: nanometres,
  filmCost: money,
  cost: z.number().min(-1e9).max(1e9),
  filmBound: money,
  stopped: z.enum(['optimal', 'limit', 'infeasible']),
}) satisfies z.ZodType<CutPlan>;

const cutRoll = z.strictObject({
  planId: idSchema,
  stockId: idSchema.nullable(),
  what: z.enum(['roll', 'offcut', 'to order']),
  label: text(80),
  lot: text(80),
  width_nm: positiveNanometres,
  length_nm: nanometres,
  used_nm: nanometres,
  position: z.int().min(0).max(10_000),
  ticks: z.array(z.int().min(0).max(1_000_000)).max(30_000),
  bookedAt: instantSchema.nullable(),
}) satisfies z.ZodType<CutRoll>;

const cutPiece = z.strictObject({
  planId: idSchema,
  rollId: idSchema,
  applicationId: idSchema,
  drop: z.int().min(1).max(1000),
  dropOf: z.int().min(1).max(1000),
  tag: word(40),
  position: z.int().min(0).max(100_000),
  level: z.int().min(0).max(100_000),
  x_nm: nanometres,
  y_nm: nanometres,
  across_nm: positiveNanometres,
  along_nm: positiveNanometres,
  turned: z.boolean(),
  phase_nm: nanometres,
  outline: z.array(z.strictObject({ x: z.number().min(-1).max(1e6), y: z.number().min(-1).max(1e6) })).max(400).nullable(),
  notch_nm: nanometres,
  topAlong: z.boolean(),
  pinned: z.boolean(),
  inputsHash: word(64),
  cutAt: instantSchema.nullable(),
  spoiledAt: instantSchema.nullable(),
}) satisfies z.ZodType<CutPiece>;

const offcut = z.strictObject({
  cutRollId: idSchema,
  parentId: idSchema.nullable(),
  filmId: idSchema,
  label: word(80),
  lot: text(80),
  width_nm: positiveNanometres,
  length_nm: positiveNanometres,
  perMetre,
  leftEdge: z.boolean(),
  rightEdge: z.boolean(),
  where: text(200),
}) satisfies z.ZodType<Offcut>;

const stockTake = z.strictObject({ cutRollId: idSchema, stockId: idSchema, length_nm: positiveNanometres, reason: z.enum(['cut', 'spoiled']) }) satisfies z.ZodType<StockTake>;

/** A roll of the stock, as people fill it in. */
export const rollFieldsSchema = z.strictObject({
  filmId: idSchema,
  what: z.enum(['roll', 'offcut']),
  label: word(80),
  lot: text(80),
  width_nm: positiveNanometres,
  length_nm: positiveNanometres,
  perMetre,
  leftEdge: z.boolean(),
  rightEdge: z.boolean(),
  where: text(200),
  gone: z.boolean(),
}) satisfies z.ZodType<Roll>;

const workRecord = z.strictObject({
  applicationId: idSchema,
  template: word(80),
  step: word(80),
  templateVersion: z.int().min(1).max(10_000),
  startedAt: instantSchema.nullable(),
  doneAt: instantSchema.nullable(),
  note: text(4000),
}) satisfies z.ZodType<WorkRecord>;

/** Wire shape of each table's own fields. Strict: an unknown field is refused by name. */
export const ROW_FIELDS = { job, place, filmBrief, glassUnit, glassPane, surface, siteFacts, wallFacts, part, photo, measure, application, seamChoice, jobAllowance, cutPlan, cutRoll, cutPiece, offcut, stockTake, workRecord } as const satisfies { readonly [Table in JobTable]: z.ZodType<FieldsOf<Table>> };
