export { CoreError, type CoreErrorCode, type CoreErrorData } from './core-error';
export { type LengthUnit, NM_PER_MM, NM_PER_UNIT, mmFromNm, nmFromMm } from './length';
export { type ParsedLength, type UnreadableReason, parseLength } from './parse-length';
export { ML_PER_US_FL_OZ, ML_PER_US_GALLON } from './volume';
export { type ParsedVolume, parseVolume } from './parse-volume';
export { type ParsedReading, type ReadingRange, parseReading } from './parse-reading';
export {
  DISPLAY_UNITS,
  type DisplayUnits,
  displayUnitsOf,
  formatArea,
  formatFilmLength,
  formatLength,
  formatLengthWithUnit,
} from './format-length';
export {
  type Formula,
  type FormulaInput,
  type Reasoned,
  type Source,
  type Step,
  COMMON_PRACTICE,
  GEOMETRY,
  applyFormula,
  reasonedBy,
} from './reasoned';
export {
  degreesOf,
  formatDifference,
  formatTemperature,
  onScale,
  parseTemperature,
  temperatureField,
} from './temperature';
export { type Verdict, worstVerdict } from './verdict';
export { seededNormal, seededRandom } from './seeded-random';
export { toCent } from './to-cent';
