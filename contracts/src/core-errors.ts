import type { CoreErrorCode } from '@yellow-pane/core/quantity';
import type { ErrorEntry } from './error-entry';

/** What core refuses: a code without a sentence does not compile. */
export const CORE_ERRORS: Readonly<Record<CoreErrorCode, ErrorEntry>> = {
  MEASURE_DISTANCE_RANGE: {
    status: 422,
    title: 'A measure is outside the possible range',
    remedy: 'Typed in another unit, or a digit too many?',
  },
  MEASURE_POINTS_SAME: {
    status: 422,
    title: 'A measure starts and ends at the same point',
    remedy: 'Choose two different points.',
  },
  MEASURE_NETWORK_POINT: {
    status: 422,
    title: 'A reading names a point that does not exist',
    remedy: 'Name a corner of the list, or the middle of two as a~b.',
  },
  MEASURE_NETWORK_OPEN: {
    status: 422,
    title: 'The lengths do not determine the shape',
    remedy: 'Add a side or diagonal to the corner named, or give coordinates to start from.',
  },
  CUTTING_BLANK_RANGE: {
    status: 422,
    title: 'A blank is too large or too small to cut',
    remedy: 'Check the measures of the surface.',
  },
  CUTTING_ROLL_WIDTH: {
    status: 422,
    title: 'This roll width is not possible',
    remedy: "Give the width printed on the roll's label.",
  },
  CUTTING_PIECE_WIDER_THAN_ROLL: {
    status: 422,
    title: 'A blank is wider than the roll',
    remedy: 'Choose a wider roll, or let seams divide it.',
  },
  CUTTING_STOCK_RANGE: {
    status: 422,
    title: 'A roll, offcut or setting is out of range',
    remedy: 'Correct the field named: widths up to 5 m, lengths and money not below zero.',
  },
  CUTTING_PIECE_RANGE: {
    status: 422,
    title: 'A piece is too large or too small to cut',
    remedy: 'Correct the side named.',
  },
  CUTTING_PIN: {
    status: 422,
    title: 'A pinned piece cannot stay there',
    remedy: 'Move it, or take its pin out.',
  },
  CUTTING_ID_TWICE: {
    status: 422,
    title: 'An identifier is used twice',
    remedy: 'Give each piece, roll and pin an identifier of its own.',
  },
  CUTTING_TOO_MANY_PIECES: {
    status: 422,
    title: 'Too many pieces for one layout',
    remedy: 'Lay out film by film.',
  },
  GLAZING_SHARES: {
    status: 422,
    title: 'These shares add up to more than 1',
    remedy: "Check the film's or glass's figures: transmitted and reflected share together at most 1.",
  },
  GLAZING_THICKNESS: {
    status: 422,
    title: 'This glass thickness is not possible',
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
    title: 'This face of the glass cannot be reached',
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
    title: 'The glass stress cannot be calculated from this',
    remedy: 'Correct the field named; leave it out if it is not known.',
  },
  PRIVACY_SCENE: {
    status: 422,
    title: 'The scene cannot be calculated',
    remedy: 'Give luminances above zero and shares of 0 to 1.',
  },
  FITTING_AREA_RANGE: {
    status: 422,
    title: 'The glass area is out of range',
    remedy: 'Check the measures of the surface.',
  },
  DAY_BOTTLE_RANGE: {
    status: 422,
    title: 'This slip mix is not possible',
    remedy: 'Say how much soap and how much water is in it.',
  },
  CLIMATE_FACING: {
    status: 422,
    title: 'A surface cannot face like this',
    remedy: 'Give the bearing from north clockwise, the tilt from level.',
  },
  CLIMATE_WEATHER: {
    status: 422,
    title: 'This weather is not possible',
    remedy: 'Correct the hour named, or go by the thermometer on site.',
  },
  QUOTE_CASE: {
    status: 422,
    title: 'A quote cannot be calculated from this',
    remedy: 'Correct the figure named.',
  },
  QUOTE_MARGIN: {
    status: 422,
    title: 'No price can keep this margin',
    remedy: 'Give the margin as a share of the price, less than all of it.',
  },
  QUOTE_DEPOSIT: {
    status: 422,
    title: 'This deposit is not possible',
    remedy: 'Give it as a part of the price, at most all of it.',
  },
  CLIMATE_MONTHS: {
    status: 422,
    title: 'This climate is not possible',
    remedy: 'Give twelve months; correct the one named.',
  },
  SQUARING_TAPS: {
    status: 422,
    title: 'The picture cannot be rectified from these taps',
    remedy: 'Tap the four corners of the frame again, from its upper left, clockwise; then the pattern.',
  },
  STROKES_LAP: {
    status: 422,
    title: 'Strokes cannot overlap by this much',
    remedy: 'Take a lap that is less than the blade is wide, or a wider blade.',
  },
  STROKES_FACE: {
    status: 422,
    title: 'No strokes can be planned for this outline',
    remedy: 'Correct the corners named; sides must not cross, and holes lie apart from each other.',
  },
  CURVED_RANGE: {
    status: 422,
    title: 'The curved glass cannot be calculated from this',
    remedy: 'Correct the field named, or measure the pane again.',
  },
  WAITING_RANGE: {
    status: 422,
    title: 'The wait cannot be calculated from this',
    remedy: 'Correct the field named.',
  },
  SCHEDULE_RANGE: {
    status: 422,
    title: 'A figure of the plan is out of range',
    remedy: 'Correct the field named: whole minutes, people and tools not below zero.',
  },
  SCHEDULE_UNKNOWN: {
    status: 422,
    title: 'The plan names something that does not exist',
    remedy: 'Name one that is in the list, or add it.',
  },
  SCHEDULE_ID_TWICE: {
    status: 422,
    title: 'An identifier is used twice',
    remedy: 'Give each step, person, tool and fitness an identifier of its own.',
  },
  SCHEDULE_LAGS: {
    status: 422,
    title: 'Steps wait for each other in a cycle',
    remedy: 'Take one of the waits named away, or make its longest wait longer.',
  },
};
