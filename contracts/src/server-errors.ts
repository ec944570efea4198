import type { ErrorEntry } from './error-entry';

/** What the server itself may refuse, beside what core refuses. */
export type ServerErrorCode =
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
  | 'PERSON_UNKNOWN'
  | 'PERSON_CONFLICT'
  | 'SHELF_CONFLICT'
  | 'SHRINK_NO_PLAN'
  | 'SHELF_UNKNOWN'
  | 'CUSTOMER_CONFLICT'
  | 'CUSTOMER_UNKNOWN'
  | 'ROW_FROZEN'
  | 'ARCHIVE_UNREADABLE'
  | 'ARCHIVE_NEWER'
  | 'ARCHIVE_DAMAGED'
  | 'ARCHIVE_UNSAFE'
  | 'ARCHIVE_TOO_LARGE'
  | 'CASE_CONFLICT'
  | 'CASE_UNKNOWN'
  | 'LEARNED_UNKNOWN'
  | 'LEARNED_CONFLICT'
  | 'PHOTO_NOT_AN_IMAGE'
  | 'SHEET_UNREADABLE'
  | 'SHEET_UNKNOWN'
  | 'PHOTO_TOO_LARGE'
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

/** What the server refuses: a code without a sentence does not compile. */
export const SERVER_ERRORS: Readonly<Record<ServerErrorCode, ErrorEntry>> = {
  BODY_INVALID: {
    status: 422,
    title: 'Something that was sent is not valid',
    remedy: 'Correct the field named and send again.',
  },
  BODY_NOT_JSON: {
    status: 400,
    title: 'The body is not JSON',
    remedy: 'Send one JSON object as application/json.',
  },
  BODY_TOO_LARGE: {
    status: 413,
    title: 'The body is too large for this route',
    remedy: 'Send it in several parts.',
  },
  ROUTE_UNKNOWN: {
    status: 404,
    title: 'This address does not exist',
    remedy: 'See /api/openapi.json for what there is.',
  },
  ID_INVALID: {
    status: 422,
    title: 'An identifier is not a UUID of version 7',
    remedy: 'Use a UUIDv7.',
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
    title: 'Someone else changed this in the meantime',
    remedy: 'Compare both values and choose.',
  },
  ROW_REMOVED: {
    status: 409,
    title: 'Someone deleted this in the meantime',
    remedy: 'Undo the deletion, or make it again.',
  },
  REFERENCE_UNKNOWN: {
    status: 422,
    title: 'A row refers to another that does not exist in this job',
    remedy: 'Make the row referred to first.',
  },
  REFERENCE_REMOVED: {
    status: 409,
    title: 'What this belongs to was deleted in the meantime',
    remedy: 'Undo the deletion, then send this again; or drop it.',
  },
  REFERENCE_RING: { status: 422, title: 'A row would become its own parent', remedy: 'Choose another one.' },
  CHANGE_ID_USED: {
    status: 409,
    title: 'This change identifier was used for another job',
    remedy: 'Make a new identifier for each change.',
  },
  IF_MATCH_MISSING: {
    status: 428,
    title: 'The version you saw is missing',
    remedy: 'Send If-Match with the row\'s version, such as "3".',
  },
  FILM_UNKNOWN: {
    status: 404,
    title: 'There is no such film in the catalogue',
    remedy: 'Load the catalogue again.',
  },
  FILM_CONFLICT: {
    status: 409,
    title: 'Someone else changed this film in the meantime',
    remedy: 'Compare the two and send again with the new version.',
  },
  ROLL_UNKNOWN: { status: 404, title: 'There is no such roll', remedy: 'Load the stock again.' },
  ROLL_CONFLICT: {
    status: 409,
    title: 'Someone else changed this roll in the meantime',
    remedy: 'Compare the two and send again with the new version.',
  },
  STOCK_TOO_SHORT: {
    status: 409,
    title: 'Not enough film left on this roll',
    remedy: 'Someone may have cut from it. Lay out again with what is left.',
  },
  PLOTTER_REFUSED: {
    status: 409,
    title: 'The plotter refused this',
    remedy: 'See what it says on the Bench, put it right, then send again.',
  },
  PLAN_FILE: {
    status: 422,
    title: 'The plan cannot be exported in this format',
    remedy: 'Choose another form, or lay out again.',
  },
  SUPPLY_UNKNOWN: {
    status: 404,
    title: 'No such consumable',
    remedy: 'Load the supplies again.',
  },
  SUPPLY_CONFLICT: {
    status: 409,
    title: 'Someone else counted this in the meantime',
    remedy: 'Compare the two and send again with the new version.',
  },
  PERSON_UNKNOWN: {
    status: 404,
    title: 'There is no such person in the shop',
    remedy: 'Load the page again.',
  },
  PERSON_CONFLICT: {
    status: 409,
    title: 'Someone else changed this person in the meantime',
    remedy: 'Look at what stands there now, then decide.',
  },
  SHRINK_NO_PLAN: {
    status: 409,
    title: 'There is no shrink plan of this film',
    remedy: 'Measure a sag across and one down; where measures contradict each other, see which in Survey.',
  },
  CUSTOMER_UNKNOWN: {
    status: 404,
    title: 'There is no such customer',
    remedy: 'Load the page again.',
  },
  CUSTOMER_CONFLICT: {
    status: 409,
    title: 'Someone else changed this customer in the meantime',
    remedy: 'Look at what stands there now, then decide.',
  },
  ARCHIVE_UNREADABLE: {
    status: 422,
    title: 'This is not a job archive',
    remedy: 'Choose a file that was saved with "Save as archive". Nothing was read in.',
  },
  ARCHIVE_NEWER: {
    status: 422,
    title: 'This archive was made by a newer version',
    remedy: 'Read it with that version or a later one. Nothing was read in.',
  },
  ARCHIVE_DAMAGED: {
    status: 422,
    title: 'This archive is incomplete or was altered',
    remedy: 'Save it again where it comes from. Nothing was read in.',
  },
  ARCHIVE_UNSAFE: {
    status: 422,
    title: 'This archive contains files that do not belong in one',
    remedy: 'Do not use this file. Nothing was read in.',
  },
  ARCHIVE_TOO_LARGE: {
    status: 413,
    title: 'This archive is too large',
    remedy: 'An archive has at most 2 GB. Nothing was read in.',
  },
  ROW_FROZEN: {
    status: 409,
    title: 'What was put on paper can no longer be changed',
    remedy: 'Make a new one; the old one stays as it was.',
  },
  CASE_UNKNOWN: {
    status: 404,
    title: 'There is no such case',
    remedy: 'Load the page again.',
  },
  CASE_CONFLICT: {
    status: 409,
    title: 'Someone else changed this case in the meantime',
    remedy: 'Look at what stands there now, then decide.',
  },
  SHELF_UNKNOWN: {
    status: 404,
    title: 'There is no such pane on the shelf',
    remedy: 'Load the page again.',
  },
  SHELF_CONFLICT: {
    status: 409,
    title: 'Someone else changed this pane on the shelf in the meantime',
    remedy: 'Look at what stands there now, then decide.',
  },
  LEARNED_UNKNOWN: { status: 404, title: 'There is no such rate', remedy: 'Load the rates again.' },
  LEARNED_CONFLICT: {
    status: 409,
    title: 'Someone else changed this rate in the meantime',
    remedy: 'Compare the two and send again with the new version.',
  },
  PHOTO_NOT_AN_IMAGE: {
    status: 415,
    title: 'This file is not a picture',
    remedy: 'Send a JPEG, PNG or WebP picture.',
  },
  SHEET_UNREADABLE: {
    status: 415,
    title: 'This file is not a data sheet',
    remedy: 'Send the sheet as PDF, JPEG or PNG.',
  },
  SHEET_UNKNOWN: {
    status: 404,
    title: 'No data sheet is kept for this film',
    remedy: 'Attach its sheet in the film catalogue.',
  },
  PHOTO_TOO_LARGE: {
    status: 413,
    title: 'This picture is too large',
    remedy: 'Make it smaller or take it again; at most 2000 pixels are kept.',
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
    title: 'The weather service returned an impossible value',
    remedy: 'It was not used. Go by the thermometer on site and the sky.',
  },
  DAY_NOT_PLANNED: {
    status: 409,
    title: 'No day of this job is planned yet',
    remedy: 'Plan it at the Day stop and keep the plan, then ask again.',
  },
  HOST_UNKNOWN: {
    status: 403,
    title: 'This host name is not allowed',
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
    title: 'The server ran into an error',
    remedy: 'What was saved is safe. Try again; if it stays, restart the server.',
  },
};
