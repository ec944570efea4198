import type { Hold, OrderReason, ShrinkLimits, ShrinkVerdict } from '@yellow-pane/core/curved';
import type { NoShrink, StrainVerdict } from '@yellow-pane/core/reading';
import type { Figure, Messages } from './messages';

/** The four words on a film and a pane. */
export const SHRINK_VERDICTS: Readonly<Record<ShrinkVerdict, string>> = {
  easy: 'Easy for this film',
  hard: 'Hard for this film',
  'over the limit': 'Over the limit of this film',
  'must stretch': 'This film would have to stretch',
};
export const LIMITS_FROM: Readonly<Record<ShrinkLimits['from'], string>> = {
  sheet: 'by the sheet of the film',
  'strip test': 'by the strip that was tested',
  'our guess': 'our guess: the sheet does not say, no strip was tested',
};
export const NO_SHRINK: Readonly<Record<NoShrink, string>> = {
  'not curved glass': 'This is no curved glass.',
  'not measured': 'Not measured yet: width and height, then a sag across and one down.',
  'no sags': 'Drawn flat: how far it bulges is unknown. Take a sag across and one down.',
  'measures contradict': 'Its measures contradict each other: see which in Survey.',
};
export const ORDER_SAYS: Readonly<Record<OrderReason, string>> = {
  'from the sides inwards':
    'From the sides inwards: top and sides are held, what is left goes to the middle of the open edge. Our guess.',
  'from the middle outwards':
    'From the middle outwards, one edge after the other: what is left goes to the open sides. Our guess.',
};
export const STRAIN_VERDICTS: Readonly<Record<StrainVerdict, string>> = {
  easy: 'This film bears it easily.',
  hard: 'This film bears it, with care.',
  'over the limit': 'More than this film bears.',
  unknown: 'Unknown whether it bears that: its sheet gives no limit.',
};
export const HOLDS: Readonly<Record<Hold, string>> = {
  'along the top': 'Along the top and down both sides',
  'a line across': 'On a line across',
};

export const shrinkWords = {
  shrinkPlan: 'Shrink plan',
  pickCurved: 'Pick a curved pane that is shrunk to see its plan.',
  toSurvey: 'To Survey',
  contradictStays: 'The plan waits until they agree.',
  lineOfFilm: 'Line the film is held on',
  lineAt: (mm: Figure) => `${mm} mm above the middle of the glass`,
  seenFrom: (tag: string, side: string) => `${tag}, seen from ${side}`,
  pictureSays: (tag: string, verdict: string, top: Figure, bottom: Figure) =>
    `${tag}: ${verdict}. Folds at the top ${top}, at the bottom ${bottom}.`,
  shrinkInFold: (percent: string) => `${percent} in a fold`,
  strainBand: (low: string, high: string) => `${low} to ${high} as the sags were read`,
  bears: (easy: string, limit: string) => `This film goes easily up to ${easy} and bears ${limit},`,
  measuredFromTop: 'From the top edge down to the line',
  atLeft: 'left',
  inMiddle: 'middle',
  atRight: 'right',
  departs: (left: string, right: string) =>
    `Film pulled tight lies on the glass’s own straight line: where that meets the sides it lies ${left} at the left and ${right} at the right than in the middle.`,
  higher: (by: string) => `${by} higher`,
  lower: (by: string) => `${by} lower`,
  touchesTop:
    'It touches the top edge in the middle and leaves it towards the corners: who forces it along the edge stretches the film.',
  waysToHold: 'Where it is held',
  heldHow: 'Held',
  shrink: 'Shrink in a fold',
  folds: 'Folds, top and bottom',
  over: 'Left over',
  chosenHold: (by: string, because: string) => `${by}: ${because}`,
  holdIt: (hold: string) => `Hold it ${hold}`,
  isHeldSo: 'held so',
  surplusTop: 'Left over along the top',
  surplusBottom: 'Left over along the bottom',
  foldHeight: (edge: string) => `Height of a fold at the ${edge}`,
  foldStrain: (edge: string) => `Shrink asked in a fold at the ${edge}`,
  bandIs: (low: string, high: string) => `${low} to ${high} by the sags as they were read, 95 of 100.`,
  bandReckoned: 'How sure it is, is being reckoned.',
  quarterSags: (now: string, then: string) =>
    `How it curves near the ends is not measured: ±${now}. Sags a quarter in, read to half a millimetre, would make it ±${then}.`,
  none: 'no fold',
  pinched: (count: Figure) =>
    `Too few come by themselves: pinch about ${count} together on purpose, where they are drawn.`,
  splitting: 'Splitting a fold halves its height. How much the film must shrink there stays the same.',
  spared: 'Hatched: not heated. Near the bottom seal and along both sides.',
  foldsWanted: 'Folds along each edge',
  asReckoned: 'As reckoned',
  lineBack: 'As much above as below',
  lineMoved: (tag: string) => `${tag}: line of the film moved`,
  lineReset: (tag: string) => `${tag}: line of the film as reckoned`,
  foldsSet: (tag: string, count: Figure) => `${tag}: ${count} folds along each edge`,
  foldsWrong: (given: string) => `Folds along each edge: a whole number from 1 to 60, not ${given}.`,
  otherMeasures: 'This plan was changed by hand for other measures: the glass has been measured again since.',
  rollTurned: 'Roll turned by a quarter',
  turnedPrice: (percent: string, verdict: string, over: string) =>
    `Then the film shrinks down the glass: ${over} left over at each side, ${percent} in a fold: ${verdict}. Only by your own choice.`,
  turnedOn: (tag: string) => `${tag}: roll turned`,
  turnedOff: (tag: string) => `${tag}: roll not turned`,
  turnedNow: 'The roll lies turned: folds stand at the sides, and are not drawn.',
  wouldHelp: 'What would help',
  helpHold: (hold: string, percent: string) => `${hold}: ${percent} in a fold.`,
  helpFree: (percent: string) =>
    `Press less of the edge down between the folds: ${percent} of it free for them.`,
  helpCut: (edge: string, width: string) =>
    `A relief cut at the ${edge} edge that takes out ${width}, at the corner with the largest fold.`,
  helpPieces: (count: Figure) => `${count} pieces one above the other, each on a line of its own.`,
  helpFilm: (percent: string) => `Other film: one that bears ${percent}.`,
  helpTurned: (percent: string) => `The roll turned by a quarter: ${percent}. Only by your own choice.`,
  helpPerson: 'Somebody who knows the gun: it is near what the film bears.',
  stripTest: 'Strip test',
  stripHow:
    'Mark a strip along the roll, heat it hanging free until it stops, let it cool, measure it again.',
  stripMarked: 'Marked',
  stripAfter: 'After heat',
  stripLot: 'Lot',
  stripKeep: 'Keep it',
  stripShrank: (lot: string, percent: string) => `${lot === '' ? 'Strip' : `Lot ${lot}`}: shrank ${percent}`,
  stripKept: (film: string, percent: string) => `${film}: a strip shrank ${percent}`,
  stripRemove: 'Not this one',
  stripRemoved: (film: string) => `${film}: strip test taken back`,
  stripWrong: (what: string, given: string) =>
    `${what}: a length such as 250 or 241.5, not ${given === '' ? 'empty' : given}.`,
  stripLonger: (marked: string, after: string) =>
    `After heat it cannot be longer than what was marked: ${after} against ${marked}. Measure both again.`,
  tooLittleMarked: (least: string) => `Mark at least ${least}: on less, a millimetre decides.`,
  printStrip: 'Strip with the heights of the line, true to scale (PDF)',
  canItShrink: 'Does it shrink enough here?',
  unknownBecause: (why: string) => `Unknown. ${why}`,
  curvedPlaces: 'Curved places',
  inGroove: (name: string) => `Stretch in ${name === '' ? 'the groove' : name}, pressed in from its edges`,
  spareFilm: (length: string) => `Feed in ${length} of spare film first.`,
  roundEdge: 'Stretch of its outer face round the edge',
  belly: 'Off the straight taper, of the girth',
  bellyShrinks: 'A belly: left over at both ends, to be shrunk.',
  waistStretches: 'A waist: it must stretch in the middle.',
  taper: 'A straight edge runs off by',
  taperSays: 'Cut as a ring sector, or in narrow drops.',
  turnedCorner: 'Left over at each corner, a square of',
  turnedCornerSays: 'Cut a notch, or fold it where it is not seen.',
  openSpace: 'Glass and film in space',
  closeSpace: 'Close the view in space',
  inSpace: 'Glass and film in space, folds standing off the edges',
  turnIt: 'Drag to turn it, two fingers or the wheel to come nearer.',
  foldsEnlarged: (times: Figure) => `Folds ${times} times as high`,
  noSpace: 'This device draws nothing in space. The plan above has all of it.',
  patternByPhoto: 'Pattern by photo',
  patternHow:
    'Lay the printed frame beside the paper pattern, both flat. Photograph both, near the middle of the picture.',
  printFrame: 'Frame to print (PDF)',
  frameWidth: 'Frame, width in mm',
  frameHeight: 'Frame, height in mm',
  frameWrong: (given: string) =>
    `A side of the frame: a length over 0 in mm, not ${given === '' ? 'empty' : given}.`,
  pictureOfPattern: 'Picture of frame and pattern',
  noPicture: (name: string) => `${name}: no picture that this browser reads.`,
  tapFrame: (corner: string) => `Tap the frame: outer corner, ${corner}.`,
  tapPattern: (corner: string) => `Tap the pattern: ${corner}.`,
  tapOf: (count: Figure) => `Tap ${count}, to be moved by arrow keys`,
  allTapped: 'All tapped. Drag what is off.',
  tapAnew: 'Tap anew',
  tapsWrong: 'Three corners of the frame lie on one line: tap them again, from its upper left, clockwise.',
  noFrameNoSize: 'Without the frame there is no size: its four corners come first.',
  patternError: 'Errors are of the taps; a lens that bends straight lines is not in them.',
  patternIntoSurvey: 'Take these lengths into Survey',
  patternTaken: (tag: string) => `${tag}: outline of a pattern by photo`,
  heldBy: 'Chosen by',
  paneShelf: 'Pane shelf',
  shelfFind: 'Find on the shelf',
  shelfEmpty: 'Nothing like it on the shelf yet.',
  shelfAgrees: 'Two lengths agree: the same pane as last time.',
  shelfDiffers: (here: string, shelf: string) => `Another pane: ${here} here, ${shelf} on the shelf.`,
  shelfAsks: (count: Figure) =>
    `Measure ${count === 1 ? 'one more length' : `${count} lengths`} here: two that agree prove it.`,
  shelfWants: 'Make and pane are wanting: by them it is found again.',
  asLastTime: (count: Figure) =>
    `As last time: take ${count} ${count === 1 ? 'measure' : 'measures'} and how it was held`,
  tookFromShelf: (tag: string, pane: string) => `${tag}: as ${pane} last time`,
  putOnShelf: 'Put this pane on the shelf',
  takeOffShelf: 'Off the shelf',
  make: 'Make',
  model: 'Model',
  year: 'Year',
  whichPane: 'Pane',
  wentWrong: 'What went wrong',
  foldInHand: (turn: number, of: number, edge: string) => `Fold ${turn} of ${of}, at the ${edge}`,
  foldHow: (away: string) =>
    `Tip first, ${away} off at 45°, nearer at the thick end. Small circles, never still.`,
  foldHowThick: 'Up one flank, over, down the other. Keep the open edge soft.',
  foldTime: (least: Figure, most: Figure, now: string) =>
    `${least} to ${most} s${now === '' ? '' : `, now ${now}`}`,
  foldTimeFrom: 'A door pane’s half minute to two minutes, shared among its folds. Common practice.',
  notYet: 'Not yet',
  notYetSays: 'smooth and high',
  notYetThick: 'stiff, stands up',
  now: 'Now',
  nowSays: 'wrinkles finely, softens: press it down',
  nowThick: 'soft: press it down',
  tooFar: 'Too far',
  tooFarSays: 'wild tight lines, smoke, haze',
  popsUp: 'Pops up again',
  popsUpSays: 'A little more heat, from the tip; then press again.',
  tooHot: 'Too hot',
  tooHotSays:
    'Lines wild and tight: over-shrunk, a new blank. Haze or smoke: burnt, a new blank. Mark it by “Problem here”.',
  lookFirst: (turns: string) =>
    `Popped up under the gun: ${turns}. Look there first; what stays is lifted and warmed there alone.`,
  lineIsAt: 'The line from the top edge, left to right:',
} as const satisfies Messages;
