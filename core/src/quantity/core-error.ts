/**
 * Everything core may refuse. `contracts/errors.ts` holds one sentence for each; a code without one fails the
 * build.
 */
export type CoreErrorCode =
  | 'MEASURE_DISTANCE_RANGE'
  | 'MEASURE_POINTS_SAME'
  | 'MEASURE_NETWORK_POINT'
  | 'MEASURE_NETWORK_OPEN'
  | 'CUTTING_BLANK_RANGE'
  | 'CUTTING_ROLL_WIDTH'
  | 'CUTTING_PIECE_WIDER_THAN_ROLL'
  | 'CUTTING_TOO_MANY_PIECES'
  | 'CUTTING_STOCK_RANGE'
  | 'CUTTING_PIECE_RANGE'
  | 'CUTTING_PIN'
  | 'CUTTING_ID_TWICE'
  | 'GLAZING_SHARES'
  | 'GLAZING_THICKNESS'
  | 'GLAZING_PANES'
  | 'GLAZING_GAP'
  | 'GLAZING_FACE'
  | 'GLAZING_SPECTRUM'
  | 'STRESS_CASE'
  | 'PRIVACY_SCENE'
  | 'FITTING_AREA_RANGE'
  | 'DAY_BOTTLE_RANGE'
  | 'CLIMATE_FACING'
  | 'CLIMATE_WEATHER'
  | 'CLIMATE_MONTHS'
  | 'QUOTE_CASE'
  | 'QUOTE_MARGIN'
  | 'QUOTE_DEPOSIT'
  | 'WAITING_RANGE'
  | 'CURVED_RANGE'
  | 'SQUARING_TAPS'
  | 'STROKES_LAP'
  | 'STROKES_FACE'
  | 'SCHEDULE_RANGE'
  | 'SCHEDULE_UNKNOWN'
  | 'SCHEDULE_ID_TWICE'
  | 'SCHEDULE_LAGS';

export interface CoreErrorData {
  readonly path: string;
  readonly expected: string;
  readonly got: string;
  /** Identifiers of what it is about: whose field it is, then what `got` names. */
  readonly about?: readonly string[];
}

/** The one error core throws: a broken precondition, as data. The words for people are made in contracts. */
export class CoreError extends Error {
  constructor(
    readonly code: CoreErrorCode,
    readonly data: CoreErrorData,
  ) {
    super(`${code} at ${data.path}: expected ${data.expected}, got ${data.got}`);
    this.name = 'CoreError';
  }
}
