/**
 * What a person did at one work step. The key (application, template, step, template version) outlives later
 * changes of the template.
 */
export interface WorkRecord {
  readonly applicationId: string;
  readonly template: string;
  readonly step: string;
  readonly templateVersion: number;
  readonly startedAt: string | null;
  readonly doneAt: string | null;
  readonly note: string;
}
