import type { FieldsOf, JobTable } from '@yellow-pane/core/job';

type KeysOf<Table extends JobTable> = readonly (keyof FieldsOf<Table> & string)[];

/** The field names of each table, so that the page need not carry the whole of the schemas. A spec holds them to the contracts. */
export const ROW_KEYS: { readonly [Table in JobTable]: KeysOf<Table> } = {
  job: ['name', 'entryUnit', 'archived'],
  place: ['parentId', 'kind', 'name', 'bearing_deg', 'movable', 'position'],
  glassUnit: ['name', 'glazing', 'frame', 'edge'],
  glassPane: ['unitId', 'position', 'treatment', 'thickness_nm', 'coated', 'gapAfter_nm'],
  surface: ['placeId', 'unitId', 'tag', 'name', 'kind', 'seenFrom', 'condition', 'remark', 'position'],
  measure: ['surfaceId', 'fromPoint', 'toPoint', 'text', 'unit', 'value_nm', 'instrument', 'sd_nm'],
  application: ['surfaceId', 'side', 'filmId', 'method', 'linerSchool', 'lockSchool', 'trimSchool', 'position'],
  cutPlan: ['filmId', 'rollWidth_nm', 'lengthUsed_nm', 'bound_nm', 'solver'],
  cutPiece: ['planId', 'applicationId', 'tag', 'position', 'level', 'x_nm', 'y_nm', 'across_nm', 'along_nm', 'turned', 'inputsHash', 'cutAt'],
  workRecord: ['applicationId', 'template', 'step', 'templateVersion', 'startedAt', 'doneAt', 'note'],
};
