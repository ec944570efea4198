export {
  type BroughtColumn,
  type BroughtIn,
  type BroughtLine,
  type BroughtMeasure,
  type BroughtSurface,
  LARGEST_TEXT,
} from './brought-in';
export { broughtOps } from './brought-ops';
export { type TableSurface, surveyCsv } from './survey-csv';
export { readSurveyTable } from './survey-table';
export { COLUMN_MEANINGS, meaningWord } from './table-columns';
export {
  type SurveyFile,
  SURVEY_TABLES,
  readSurveyFile,
  surveyFileOps,
  surveyFileSchema,
} from './survey-json';
export { type DrawingUnit, readSurveyDxf } from './read-survey-dxf';
export { type DrawnSurface, surveyDxf } from './survey-dxf';
export { surveySvg } from './survey-svg';
