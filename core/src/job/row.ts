import type { Application } from './work/application';
import type { CauseCase, Inspection, LookTick, MarkDecisionRow, Visit } from './work/check-rows';
import type { Arrival, Enquiry, Extra, HandOver, Payment, Quote } from './close/close-rows';
import type { CutPiece, CutPlan, CutRoll, JobAllowance, SeamChoice } from './cut/cut-plan';
import type { CrewMember, DaySettings, PlannedStepRow } from './work/day-rows';
import type { FilmBrief } from './film/film-brief';
import type { GateTick, Mark, Reading, WaitEnd } from './work/fit-rows';
import type { GlassPane, GlassUnit } from './surface/glass-unit';
import type { Job } from './job';
import type { Measure } from './surface/measure-row';
import type { OwnPlan } from './cut/own-plan';
import type { Part } from './surface/part';
import type { Photo } from './surface/photo';
import type { Place } from './surface/place';
import type { OwnRuleSet } from './work/rule-set';
import type { SiteFacts } from './surface/site-facts';
import type { Offcut, StockTake } from './cut/stock';
import type { Surface } from './surface/surface';
import type { TestPiece } from './cut/test-piece';
import type { WallFacts } from './surface/wall-facts';
import type { WorkRecord } from './work/work-record';

/** What a person fills in, by table. Each table is a real table in the database with these columns. */
interface TableFields {
  readonly job: Job;
  readonly place: Place;
  readonly filmBrief: FilmBrief;
  readonly glassUnit: GlassUnit;
  readonly glassPane: GlassPane;
  readonly surface: Surface;
  readonly siteFacts: SiteFacts;
  readonly wallFacts: WallFacts;
  readonly part: Part;
  readonly measure: Measure;
  readonly application: Application;
  readonly mark: Mark;
  readonly photo: Photo;
  readonly reading: Reading;
  readonly seamChoice: SeamChoice;
  readonly jobAllowance: JobAllowance;
  readonly cutPlan: CutPlan;
  readonly cutRoll: CutRoll;
  readonly cutPiece: CutPiece;
  readonly offcut: Offcut;
  readonly stockTake: StockTake;
  readonly daySettings: DaySettings;
  readonly crewMember: CrewMember;
  readonly plannedStep: PlannedStepRow;
  readonly workRecord: WorkRecord;
  readonly waitEnd: WaitEnd;
  readonly gateTick: GateTick;
  readonly ownPlan: OwnPlan;
  readonly testPiece: TestPiece;
  readonly ruleSet: OwnRuleSet;
  readonly inspection: Inspection;
  readonly lookTick: LookTick;
  readonly markDecision: MarkDecisionRow;
  readonly visit: Visit;
  readonly causeCase: CauseCase;
  readonly enquiry: Enquiry;
  readonly quote: Quote;
  readonly arrival: Arrival;
  readonly extra: Extra;
  readonly payment: Payment;
  readonly handOver: HandOver;
}

export type JobTable = keyof TableFields;
export type FieldsOf<Table extends JobTable> = TableFields[Table];

/** Parents before children: rows may be put in this order without a dangling reference. */
export const JOB_TABLES: readonly JobTable[] = [
  'job',
  'place',
  'filmBrief',
  'glassUnit',
  'glassPane',
  'surface',
  'siteFacts',
  'wallFacts',
  'part',
  'measure',
  'application',
  'mark',
  'photo',
  'reading',
  'seamChoice',
  'jobAllowance',
  'cutPlan',
  'cutRoll',
  'cutPiece',
  'offcut',
  'stockTake',
  'daySettings',
  'crewMember',
  'plannedStep',
  'workRecord',
  'waitEnd',
  'gateTick',
  'ownPlan',
  'testPiece',
  'ruleSet',
  'inspection',
  'lookTick',
  'markDecision',
  'visit',
  'causeCase',
  'enquiry',
  'quote',
  'arrival',
  'extra',
  'payment',
  'handOver',
];

/**
 * What the program keeps about each row: who, when, and the version that guards against overwriting each
 * other.
 */
interface RowMeta {
  readonly id: string;
  readonly jobId: string;
  readonly version: number;
  readonly madeBy: string;
  readonly madeAt: string;
  readonly changedBy: string;
  readonly changedAt: string;
  readonly removed: boolean;
}

export type Row<Fields> = RowMeta & Fields;
export type RowOf<Table extends JobTable> = Row<FieldsOf<Table>>;

const META = [
  'id',
  'jobId',
  'version',
  'madeBy',
  'madeAt',
  'changedBy',
  'changedAt',
  'removed',
] as const satisfies readonly (keyof RowMeta)[];

/** What a person filled in, without what the program keeps about the row. */
export function fieldsOfRow(row: object): Record<string, unknown> {
  const kept = new Set<string>(META);
  return Object.fromEntries(Object.entries(row).filter(([key]) => !kept.has(key)));
}
