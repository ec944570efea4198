export {
  NEW_DAY,
  NEW_MARK,
  NEW_PANE,
  NEW_PART,
  NEW_PHOTO,
  NEW_PLACE,
  NO_BRIEF,
  NEW_SURFACE,
  NO_SITE_FACTS,
  NO_WALL_FACTS,
} from './blank-rows';
export type { Application, ChosenSchools, Over } from './application';
export { type CutMethod, CUT_METHODS } from './cut-method';
export type { CutPiece, CutPlan, CutRoll, JobAllowance, Liner, SeamChoice, SectorMarks } from './cut-plan';
export type { Offcut, Roll, SpokenFor, StockLeft, StockTake } from './stock';
export {
  type FilmConstruction,
  type FilmMaterial,
  type InitialTack,
  FILM_CONSTRUCTIONS,
  INITIAL_TACKS,
  MATERIAL_NOT_STATED,
} from './film-material';
export type { Film, FilmDirection, FilmFace, FilmFamily, FilmLaying } from './film';
export {
  type EdgeFinish,
  type EdgeKind,
  type FrameKind,
  type GapGas,
  type GlassPane,
  type GlassUnit,
  type GlassUnknown,
  type Glazing,
  type PaneCoating,
  type PaneTint,
  type PaneTreatment,
  isPlastic,
  mayEdgesBeSeen,
} from './glass-unit';
export { type Person, type Skill, SKILLS, initialsOf, newPerson } from './person';
export type { CrewMember, DaySettings, PlannedStepRow } from './day-rows';
export type { FilmBrief, FilmLook, Wish } from './film-brief';
export { type Job, NEW_JOB } from './job';
export type { Customer } from './customer';
export { FROZEN_FIELDS } from './frozen';
export {
  type Arrival,
  type AskedSurfaces,
  type Enquiry,
  type Extra,
  type FoundThere,
  type HandOver,
  type HandedPane,
  LEAST_SIGNATURE_POINTS,
  type OpenItem,
  type Payment,
  type Quote,
  type QuotePaper,
  type QuotePaperLine,
  type Signature,
  pointsOf,
} from './close-rows';
export { DETERMINED_WITHIN_MM, MEASURE_KINDS } from './measure-kinds';
export {
  type Instrument,
  type Measure,
  type MeasureKind,
  type MeasurePoint,
  INSTRUMENT_NAMES,
  SAID_ABOUT,
} from './measure-row';
export type { FurrowForm, Part, PartKind } from './part';
export type { Photo, PhotoSpot, PhotoSquare } from './photo';
export {
  CONFIRMED_HOW,
  type CaseApart,
  type CauseCase,
  DIAGNOSED_LOOKS,
  type DiagnosedLook,
  type Inspection,
  LOOK_VIEWS,
  type LookTick,
  type LookView,
  MARK_VERDICTS,
  type MarkDecisionRow,
  type MarkVerdict,
  VISIT_KINDS,
  type Visit,
  type VisitKind,
  type VisitReason,
} from './check-rows';
export type { MarkLimit, MarkRule, OwnRuleSet, RuleSet, SetOfRules } from './rule-set';
export type { ClimateMonth, ClimateYear, HorizonPoint, Place, PlaceKind } from './place';
export { type FamilyFacts, FAMILY_NAMES, FILM_FAMILIES } from './film-families';
export { OPPOSITE_SIDE, type SeenFrom, lookFrom } from './seen-from';
export type { Signed } from './signed';
export type { Consent, Known, SiteFacts } from './site-facts';
export {
  type EdgesSeen,
  SHAPES_OF_KIND,
  type Surface,
  type SurfaceCondition,
  type SurfaceKind,
  type SurfaceShape,
  isCracked,
  isGlass,
  isHurt,
  isOutdoorGlass,
  isPartition,
  isWall,
} from './surface';
export {
  type CornerTurn,
  type GroundJudged,
  type WallFacts,
  type WallTexture,
  WALL_TEXTURES,
} from './wall-facts';
export type { FilmHold, ShelfMeasure, ShelfPane } from './shelf-pane';
export {
  type OwnPlan,
  type ShrinkChanges,
  type StrokeChanges,
  type StrokeSpot,
  AS_RECKONED,
  STROKES_AS_RECKONED,
  isShrinkChanges,
} from './own-plan';
export { type ShrinkStrip, type TestPiece, TEST_OUTCOMES } from './test-piece';
export {
  type FoldSaid,
  type WorkRecord,
  FOLDS_SAY,
  NOT_BEGUN,
  type StepState,
  stepStateOf,
} from './work-record';
export {
  type GateTick,
  MARK_LOOKS,
  type Mark,
  type MarkLook,
  NOT_TRIED,
  type PocketTests,
  QUANTITIES,
  type Quantity,
  READING_INSTRUMENTS,
  type Reading,
  type ReadingSettings,
  type WaitEnd,
} from './fit-rows';
export {
  type Consequence,
  type Reference,
  REFERENCES,
  consequencesOf,
  referencesFrom,
  referencesTo,
} from './references';
export {
  JOB_TABLES,
  type FieldsOf,
  type JobTable,
  type Row,
  type RowMeta,
  type RowOf,
  fieldsOfRow,
} from './row';
