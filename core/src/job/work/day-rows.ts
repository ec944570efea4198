import type { ChosenSchools } from './application';

/** How the days of one job are planned. One row a job; what nobody set is shown as a default. */
export interface DaySettings {
  /** First day, as a date of the place: 2026-11-25. */
  readonly firstDay: string;
  readonly days: number;
  /** Weekdays on which nobody works, 1 = Monday to 7 = Sunday. */
  readonly restDays: readonly number[];
  /** IANA name of the place's time zone. */
  readonly zone: string;
  /** Of the room the work is in; null: the usual 20 °C and 50 % are taken, and shown as such. */
  readonly indoor_C: number | null;
  readonly indoorHumidity: number | null;
  /**
   * Where rolls and cars come from before they are brought in; null: the coldest forecast of the night
   * before.
   */
  readonly comeFrom_C: number | null;
  readonly rollWrap: 'boxed' | 'bare';
  readonly coreRadius_mm: number;
  /** Degrees either way. */
  readonly bearingDoubt_deg: number;
  /** Key of a slip recipe, or `concentrate`. */
  readonly slip: string;
  readonly primer: 'water-based' | 'solvent-based';
  /** Schools of the whole job, where a surface has none of its own. */
  readonly schools: ChosenSchools;
  /** Tools of which there are few, and how many. */
  readonly tools: readonly { readonly tool: string; readonly count: number }[];
  /** Keys of the kit list that are packed. */
  readonly packed: readonly string[];
}

/** Somebody of the shop who works on the job. */
export interface CrewMember {
  /** Null: the shop does not know this person. */
  readonly personId: string | null;
  /** As it was when the person joined. */
  readonly name: string;
  /** Minutes after midnight of the place. */
  readonly begins: number;
  readonly ends: number;
  /** Equal: no break. */
  readonly breakBegins: number;
  readonly breakEnds: number;
  readonly position: number;
}

/**
 * When a stretch of work is to be done, kept as instants. (application, template, first step, version) is its
 * stable key.
 */
export interface PlannedStepRow {
  readonly applicationId: string;
  readonly template: string;
  readonly step: string;
  readonly templateVersion: number;
  readonly startsAt: string;
  readonly endsAt: string;
  /** Keys of the steps to be done in it, in order. */
  readonly steps: readonly string[];
  /** Ids of crew members. */
  readonly people: readonly string[];
  /** Put there by hand: planning again leaves it. */
  readonly pinned: boolean;
}
