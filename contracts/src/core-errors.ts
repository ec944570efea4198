import type { CoreErrorCode } from '@yellow-pane/core/quantity';
import type { ErrorEntry } from './error-entry';

/** What core refuses: a code without a sentence does not compile. */
export const CORE_ERRORS: Readonly<Record<CoreErrorCode, ErrorEntry>> = {
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
    title: 'These shares add up to more than 1',
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
  DAY_BOTTLE_RANGE: {
    status: 422,
    title: 'That is no bottle of slip',
    remedy: 'Say how much soap and how much water is in it.',
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
  QUOTE_CASE: {
    status: 422,
    title: 'A quote cannot be reckoned from this',
    remedy: 'Correct the figure named.',
  },
  QUOTE_MARGIN: {
    status: 422,
    title: 'No price keeps such a margin',
    remedy: 'Give the margin as a share of the price, less than all of it.',
  },
  QUOTE_DEPOSIT: {
    status: 422,
    title: 'No deposit is like this',
    remedy: 'Give it as a part of the price, at most all of it.',
  },
  CLIMATE_MONTHS: {
    status: 422,
    title: 'No climate is like this',
    remedy: 'Give twelve months; correct the one named.',
  },
  SQUARING_TAPS: {
    status: 422,
    title: 'These taps do not square the picture',
    remedy: 'Tap the four corners of the frame again, from its upper left, clockwise; then the pattern.',
  },
  STROKES_LAP: {
    status: 422,
    title: 'Strokes cannot lap by so much',
    remedy: 'Take a lap that is less than the blade is wide, or a wider blade.',
  },
  STROKES_FACE: {
    status: 422,
    title: 'No strokes can be planned on this outline',
    remedy: 'Correct the corners named; sides must not cross, and holes lie apart from each other.',
  },
  CURVED_RANGE: {
    status: 422,
    title: 'Curved glass cannot be reckoned from this',
    remedy: 'Correct the field named, or measure the pane again.',
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
    title: 'Steps wait for each other in a cycle',
    remedy: 'Take one of the waits named away, or make its longest wait longer.',
  },
};
