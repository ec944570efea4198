export { MOST_OPS } from './limits';
export { ERRORS, type ErrorCode, type Problem, problem } from './errors';
export {
  type Change,
  type Op,
  type PutOp,
  type RemoveOp,
  type SetOp,
  MOST_IMPORTED_OPS,
  changeSchema,
  importSchema,
  opSchema,
} from './change';
export {
  type AcceptedChange,
  type Conflict,
  type JobState,
  type JobSummary,
  type TableRow,
  acceptedChangeSchema,
  conflictSchema,
  duplicateSchema,
  jobAnswersSchema,
  jobStateSchema,
  jobSummarySchema,
} from './answers';
export { ROW_FIELDS } from './rows';
export {
  type ComeAndLook,
  type VisitOfJob,
  type WaitOfJob,
  calledSchema,
  comeAndLookSchema,
  visitsSchema,
  waitsSchema,
} from './calls';
export { type SaidOfIssue, saidOfIssue } from './said-of-issue';
export { type FilmRow, filmBodySchema, filmFieldsSchema, filmListSchema, filmRowSchema } from './film';
export {
  type CaseApartRow,
  type ExperienceOfShop,
  caseApartBodySchema,
  caseApartRowSchema,
  experienceSchema,
} from './experience';
export { type ShelfRow, shelfBodySchema, shelfRowSchema } from './shelf';
export { type SupplyRow, supplyBodySchema, supplyRowSchema } from './supply';
export { type LearnedRow, learnedBodySchema, learnedRowSchema } from './learned';
export {
  blankRequestSchema,
  curvedPatchRequestSchema,
  cutRequestSchema,
  glazingRequestSchema,
  layoutRequestSchema,
  measureRequestSchema,
  privacyRequestSchema,
  shrinkPlanRequestSchema,
  stressRequestSchema,
} from './calculate';
export { ROUTES, type Route } from './routes/index';
export { openApiDocument } from './openapi';
export type { CutPlanFile, PlanPiece, PlanRoll } from './files/cut-plan-file';
export { type RollRow, type StockItem, rollBodySchema, rollRowSchema, stockItemSchema } from './stock';
export { type MadeBy, madeBySchema, whoSchema } from './primitives';
export { type PeopleAnswer, type PersonRow, peopleSchema, personBodySchema, personRowSchema } from './person';
export { type PlotterCommand, type PlotterState, plotterCommandSchema, plotterStateSchema } from './plotter';
export {
  type DeviceMessage,
  type LaserCommand,
  type LaserState,
  deviceMessageSchema,
  laserCommandSchema,
  laserStateSchema,
} from './device';
export {
  type ThermometerCommand,
  type ThermometerState,
  thermometerCommandSchema,
  thermometerStateSchema,
} from './device';
export {
  type Forecast,
  WEATHER_SCENARIOS,
  type WeatherScenario,
  forecastSchema,
  weatherCommandSchema,
  weatherStateSchema,
} from './weather';
export { scheduleRequestSchema, sunRequestSchema, waitsRequestSchema } from './calculate-day';
export { strokesRequestSchema } from './calculate-strokes';
export {
  type FilmSheet,
  type FilmSheetType,
  FILM_SHEET_TYPES,
  LARGEST_SHEET_BYTES,
  filmSheetSchema,
} from './film-sheet';
export { type CustomerRow, customerBodySchema, customerRowSchema } from './customer';
export { type NextHalfDay, halfDaySchema } from './half-day';
export {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  type ArchiveManifest,
  type ArchiveRead,
  type ArchiveShop,
  archiveJsonSchema,
  archiveManifestSchema,
  archiveReadSchema,
  archiveRowsSchema,
  archiveShopSchema,
} from './archive';
