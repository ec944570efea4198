import type { CoreErrorCode } from '@yellow-pane/core/quantity';

/** What the server itself may refuse, beside what core refuses. */
type ServerErrorCode =
  | 'BODY_INVALID'
  | 'BODY_NOT_JSON'
  | 'BODY_TOO_LARGE'
  | 'ROUTE_UNKNOWN'
  | 'ID_INVALID'
  | 'JOB_UNKNOWN'
  | 'ROW_UNKNOWN'
  | 'ROW_OF_ANOTHER_JOB'
  | 'ROW_EXISTS'
  | 'ROW_CONFLICT'
  | 'ROW_REMOVED'
  | 'REFERENCE_UNKNOWN'
  | 'REFERENCE_REMOVED'
  | 'REFERENCE_RING'
  | 'CHANGE_ID_USED'
  | 'IF_MATCH_MISSING'
  | 'FILM_UNKNOWN'
  | 'FILM_CONFLICT'
  | 'ROLL_UNKNOWN'
  | 'ROLL_CONFLICT'
  | 'STOCK_TOO_SHORT'
  | 'PLOTTER_REFUSED'
  | 'PLAN_FILE'
  | 'SUPPLY_UNKNOWN'
  | 'SUPPLY_CONFLICT'
  | 'RATE_UNKNOWN'
  | 'RATE_CONFLICT'
  | 'PHOTO_NOT_AN_IMAGE'
  | 'PHOTO_UNKNOWN'
  | 'DEVICE_NOT_CONNECTED'
  | 'WEATHER_DOWN'
  | 'WEATHER_ABSURD'
  | 'DAY_NOT_PLANNED'
  | 'HOST_UNKNOWN'
  | 'ORIGIN_FOREIGN'
  | 'DISK_FULL'
  | 'DATA_DAMAGED'
  | 'SERVER_FAULT';

export type ErrorCode = CoreErrorCode | ServerErrorCode;

interface ErrorEntry {
  readonly status: number;
  readonly title: string;
  readonly remedy: string;
}

/** The one catalogue: a code without a sentence does not compile. */
export const ERRORS: Readonly<Record<ErrorCode, ErrorEntry>> = {
  MEASURE_DISTANCE_RANGE: {
    status: 422,
    title: 'A measure is outside what a pane can be',
    remedy: 'Typed in another unit, or a digit too many?',
  },
  MEASURE_POINTS_SAME: {
    status: 422,
    title: 'A measure runs from a point to itself',
    remedy: 'Choose two different points.',
  },
  MEASURE_NETWORK_POINT: {
    status: 422,
    title: 'A reading names a point that is not there',
    remedy: 'Name a corner of the list, or the middle of two as a~b.',
  },
  MEASURE_NETWORK_OPEN: {
    status: 422,
    title: 'The lengths do not lay the figure out',
    remedy: 'Add a side or diagonal to the corner named, or give coordinates to start from.',
  },
  CUTTING_BLANK_RANGE: {
    status: 422,
    title: 'A blank is outside what can be cut',
    remedy: 'Check the measures of the surface.',
  },
  CUTTING_ROLL_WIDTH: {
    status: 422,
    title: 'The roll width is not one a roll can have',
    remedy: "Give the width printed on the roll's label.",
  },
  CUTTING_PIECE_WIDER_THAN_ROLL: {
    status: 422,
    title: 'A blank is wider than the roll',
    remedy: 'Choose a wider roll, or let seams divide it.',
  },
  CUTTING_STOCK_RANGE: {
    status: 422,
    title: 'A roll, offcut or setting is outside what there can be',
    remedy: 'Correct the field named: widths up to 5 m, lengths and money not below zero.',
  },
  CUTTING_PIECE_RANGE: {
    status: 422,
    title: 'A piece is outside what can be cut',
    remedy: 'Correct the side named.',
  },
  CUTTING_PIN: {
    status: 422,
    title: 'A pinned piece cannot stay there',
    remedy: 'Move it, or take its pin out.',
  },
  CUTTING_ID_TWICE: {
    status: 422,
    title: 'An identifier is there twice',
    remedy: 'Give each piece, roll and pin an identifier of its own.',
  },
  CUTTING_TOO_MANY_PIECES: {
    status: 422,
    title: 'Too many pieces for one layout',
    remedy: 'Lay out film by film.',
  },
  GLAZING_SHARES: {
    status: 422,
    title: 'Light cannot divide like this',
    remedy: "Check the film's or glass's figures: transmitted and reflected share together at most 1.",
  },
  GLAZING_THICKNESS: {
    status: 422,
    title: 'A thickness is outside what glass can have',
    remedy: 'Give the thickness in millimetres, more than 0.',
  },
  GLAZING_PANES: {
    status: 422,
    title: 'The glazing has too few or too many panes',
    remedy: 'Count the reflections of a flame: two to a pane.',
  },
  GLAZING_GAP: {
    status: 422,
    title: 'The gaps do not fit the panes',
    remedy:
      'Give one gap between each two panes, its width in millimetres, its gas in shares that add up to 1.',
  },
  GLAZING_FACE: {
    status: 422,
    title: 'Nobody can reach this face of the glass',
    remedy: 'Film goes on the outermost or the innermost face.',
  },
  GLAZING_SPECTRUM: {
    status: 422,
    title: 'The spectrum cannot be used',
    remedy:
      "Give wavelength in nanometres and shares of 0 to 1, from 300 to 2500 nm without wide gaps; or type the sheet's band figures instead.",
  },
  STRESS_CASE: {
    status: 422,
    title: 'The glass stress cannot be reckoned from this',
    remedy: 'Correct the field named; leave it out if it is not known.',
  },
  PRIVACY_SCENE: {
    status: 422,
    title: 'The scene cannot be reckoned',
    remedy: 'Give luminances above zero and shares of 0 to 1.',
  },
  FITTING_AREA_RANGE: {
    status: 422,
    title: 'The glass area is outside what can be wetted',
    remedy: 'Check the measures of the surface.',
  },
  CLIMATE_FACING: {
    status: 422,
    title: 'A surface cannot face like this',
    remedy: 'Give the bearing from north clockwise, the tilt from level.',
  },
  CLIMATE_WEATHER: {
    status: 422,
    title: 'The weather given cannot be',
    remedy: 'Correct the hour named, or go by the thermometer on site.',
  },
  WAITING_RANGE: {
    status: 422,
    title: 'A wait cannot be reckoned from this',
    remedy: 'Correct the field named.',
  },
  SCHEDULE_RANGE: {
    status: 422,
    title: 'A figure of the plan is outside what there can be',
    remedy: 'Correct the field named: whole minutes, people and tools not below zero.',
  },
  SCHEDULE_UNKNOWN: {
    status: 422,
    title: 'The plan names something that is not there',
    remedy: 'Name one that is in the list, or add it.',
  },
  SCHEDULE_ID_TWICE: {
    status: 422,
    title: 'An identifier is there twice',
    remedy: 'Give each step, person, tool and fitness an identifier of its own.',
  },
  SCHEDULE_LAGS: {
    status: 422,
    title: 'Steps wait for one another in a ring',
    remedy: 'Take one of the waits named away, or make its longest wait longer.',
  },
  BODY_INVALID: {
    status: 422,
    title: 'Something sent does not fit',
    remedy: 'Correct the field named and send again.',
  },
  BODY_NOT_JSON: {
    status: 400,
    title: 'The body is not JSON',
    remedy: 'Send one JSON object as application/json.',
  },
  BODY_TOO_LARGE: {
    status: 413,
    title: 'The body is larger than this route takes',
    remedy: 'Send it in several parts.',
  },
  ROUTE_UNKNOWN: {
    status: 404,
    title: 'There is nothing at this address',
    remedy: 'See /api/openapi.json for what there is.',
  },
  ID_INVALID: {
    status: 422,
    title: 'An identifier is not a UUID of version 7',
    remedy: 'Make identifiers as UUIDv7.',
  },
  JOB_UNKNOWN: {
    status: 404,
    title: 'There is no such job',
    remedy: 'It may have been deleted; undo brings it back.',
  },
  ROW_UNKNOWN: { status: 404, title: 'There is no such row in this job', remedy: 'Load the job again.' },
  ROW_OF_ANOTHER_JOB: {
    status: 422,
    title: 'The row belongs to another job',
    remedy: 'Use the identifiers of this job.',
  },
  ROW_EXISTS: {
    status: 409,
    title: 'A row with this identifier exists already',
    remedy: 'Change it instead of making it again.',
  },
  ROW_CONFLICT: {
    status: 409,
    title: 'Someone changed the same thing meanwhile',
    remedy: 'Compare both values and choose.',
  },
  ROW_REMOVED: {
    status: 409,
    title: 'Someone deleted this meanwhile',
    remedy: 'Undo the deletion, or make it again.',
  },
  REFERENCE_UNKNOWN: {
    status: 422,
    title: 'A row refers to another that does not exist in this job',
    remedy: 'Make the row referred to first.',
  },
  REFERENCE_REMOVED: {
    status: 409,
    title: 'What this belongs to was deleted meanwhile',
    remedy: 'Undo the deletion, then send this again; or drop it.',
  },
  REFERENCE_RING: { status: 422, title: 'A row would hang on itself', remedy: 'Choose another one.' },
  CHANGE_ID_USED: {
    status: 409,
    title: 'This change identifier was used for another job',
    remedy: 'Make a new identifier for each change.',
  },
  IF_MATCH_MISSING: {
    status: 428,
    title: 'The version seen is missing',
    remedy: 'Send If-Match with the row\'s version, such as "3".',
  },
  FILM_UNKNOWN: {
    status: 404,
    title: 'There is no such film in the catalogue',
    remedy: 'Load the catalogue again.',
  },
  FILM_CONFLICT: {
    status: 409,
    title: 'Someone changed this film meanwhile',
    remedy: 'Compare both and send again with the new version.',
  },
  ROLL_UNKNOWN: { status: 404, title: 'There is no such roll', remedy: 'Load the stock again.' },
  ROLL_CONFLICT: {
    status: 409,
    title: 'Someone changed this roll meanwhile',
    remedy: 'Compare both and send again with the new version.',
  },
  STOCK_TOO_SHORT: {
    status: 409,
    title: 'There is not so much left on this roll',
    remedy: 'Someone may have cut from it. Lay out again with what is left.',
  },
  PLOTTER_REFUSED: {
    status: 409,
    title: 'The plotter does not take this',
    remedy: 'See what it says on the Bench, put it right, then send again.',
  },
  PLAN_FILE: {
    status: 422,
    title: 'The plan cannot be given in this form',
    remedy: 'Choose another form, or lay out again.',
  },
  SUPPLY_UNKNOWN: {
    status: 404,
    title: 'Nothing of that name is used up',
    remedy: 'Load the supplies again.',
  },
  SUPPLY_CONFLICT: {
    status: 409,
    title: 'Someone counted this meanwhile',
    remedy: 'Compare both and send again with the new version.',
  },
  RATE_UNKNOWN: { status: 404, title: 'There is no such rate', remedy: 'Load the rates again.' },
  RATE_CONFLICT: {
    status: 409,
    title: 'Someone changed this rate meanwhile',
    remedy: 'Compare both and send again with the new version.',
  },
  PHOTO_NOT_AN_IMAGE: {
    status: 415,
    title: 'This file is not a picture',
    remedy: 'Send a JPEG, PNG or WebP picture.',
  },
  PHOTO_UNKNOWN: {
    status: 404,
    title: 'There is no such picture',
    remedy: 'It may not have been uploaded yet; choose it again.',
  },
  DEVICE_NOT_CONNECTED: {
    status: 409,
    title: 'The instrument is not connected',
    remedy: 'Connect it on the Bench first.',
  },
  WEATHER_DOWN: {
    status: 503,
    title: 'The weather service does not answer',
    remedy: 'Go by the thermometer on site and the sky; try again later.',
  },
  WEATHER_ABSURD: {
    status: 502,
    title: 'The weather service says what cannot be',
    remedy: 'It was not used. Go by the thermometer on site and the sky.',
  },
  DAY_NOT_PLANNED: {
    status: 409,
    title: 'No day of this job is planned yet',
    remedy: 'Plan it at the Day stop and keep the plan, then ask again.',
  },
  HOST_UNKNOWN: {
    status: 403,
    title: 'This name does not lead here',
    remedy: 'Open the program as http://localhost with its port.',
  },
  ORIGIN_FOREIGN: {
    status: 403,
    title: 'Another page may not do this',
    remedy: 'Use the program’s own page.',
  },
  DISK_FULL: {
    status: 507,
    title: 'The disk is full',
    remedy: 'Nothing was lost that had been saved. Make room, then save again.',
  },
  DATA_DAMAGED: {
    status: 503,
    title: 'The data folder is damaged',
    remedy:
      'Nothing more is written to it. Stop the program and bring the last backup back; what waits on this page is sent afterwards.',
  },
  SERVER_FAULT: {
    status: 500,
    title: 'The server met a fault of its own',
    remedy: 'What was saved is safe. Try again; if it stays, restart the server.',
  },
};

/** An RFC 9457 problem. Data first, so that form, log and API say the same. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly code: ErrorCode;
  readonly path: string;
  readonly expected: string;
  readonly got: string;
  readonly [extension: string]: unknown;
}

/** Makes the problem of a code. Sentence: where, what was expected, what came, what to do. */
export function problem(
  code: ErrorCode,
  data: { readonly path: string; readonly expected: string; readonly got: string },
  more: Readonly<Record<string, unknown>> = {},
): Problem {
  const { status, title, remedy } = ERRORS[code];
  return {
    type: `urn:yellow-pane:problem:${code}`,
    title,
    status,
    detail: `${data.path}: expected ${data.expected}, got ${data.got}. ${remedy}`,
    code,
    ...data,
    ...more,
  };
}
