import type { SeenFrom } from '@yellow-pane/core/job';
import type { NoStrokes } from '@yellow-pane/core/reading';
import type { Motion, StrokePart } from '@yellow-pane/core/strokes';
import type { Figure } from './messages';

export const NO_STROKES: Readonly<Record<NoStrokes, string>> = {
  'not pressed by strokes': '',
  tapered:
    'A tapered column is pressed along the sector’s own axis, turn by turn from the strip: its strokes are not planned.',
  'not measured': 'Strokes are planned once the surface is measured.',
  'nothing left inside the strip':
    'So small that nothing is left inside the strip along its edges: by the card.',
};
export const STANDS: Readonly<Record<SeenFrom, string>> = {
  room: 'from the room',
  outside: 'from outside',
  'side A': 'from side A',
  'side B': 'from side B',
};
export const STROKE_PARTS: Readonly<Record<StrokePart, string>> = {
  lock: 'lock',
  lane: 'across',
  edge: 'along an edge',
  finish: 'leads out what is shut in',
  own: 'your own',
};

export const MOTIONS: Readonly<Record<Motion, string>> = { pulled: 'pulled', pushed: 'pushed', either: '' };

export const strokeWords = {
  strokes: 'Strokes',
  strokesOf: (tag: string, count: Figure, share: string) => `${tag}: ${count} strokes, ${share} gone over.`,
  lockOf: (tag: string, count: Figure) => `${tag}: ${count} strokes lock it.`,
  planning: 'Strokes are being planned.',
  seenFrom: (side: string) => `As one sees it ${side}.`,
  untrimmed: (strip: string) => `Until it is trimmed stay ${strip} off the edge, the broken line.`,
  sheetOf: (number: Figure, all: Figure) => `Sheet ${number} of ${all}`,
  secondPass: 'Second pass: every point twice, as hard as it goes.',
  lightThenHard: 'Light the first time, hard the second: the same strokes.',
  play: 'Play',
  pause: 'Pause',
  strokesDone: 'Strokes done',
  ofStrokes: (done: Figure, all: Figure) => `${done} of ${all}`,
  change: 'Change the strokes',
  changeNoMore: 'Done changing',
  draw: 'Draw a stroke',
  drawNow: 'Draw on the surface, or press again for one across the middle',
  pickOne: 'Tap a stroke, or pick it from the list.',
  pickedIs: (number: Figure, part: string) => `Stroke ${number}, ${part}`,
  reverse: 'The other way',
  earlier: 'Earlier',
  later: 'Later',
  leaveOut: 'Leave it out',
  moveBy: 'Move by arrow keys',
  grip: 'What moves',
  gripWhole: 'all of it',
  gripStart: 'its start',
  gripEnd: 'its end',
  asReckoned: 'As reckoned',
  blade: 'Blade',
  lap: 'Lap',
  firstHalf: 'Half that is finished first',
  left: 'left',
  right: 'right',
  byTwo: 'Two people, a half each at once',
  listOf: 'Strokes in order',
  otherMeasures: 'Changed when the surface was measured otherwise: look it over.',
  share: 'Gone over',
  lanes: (own: Figure) => `Lanes: ${own}; at least`,
  detour: 'Water is led so many times the way to the nearest edge',
  onePass: 'One pass takes',
  lapIs: 'Strokes lap',
  lineChance: 'A line left at a place of a joint',
  handIs: (wander: string, who: string) => `${who}’s hand strays ${wander} from its line.`,
  handGuess: (wander: string) => `How far this hand strays is not measured: ${wander}, our guess.`,
  lapCustom: 'The custom is 30 to 50 % of the blade.',
  whySo: 'Why so',
  passesPay: 'Passes that pay',
  grainLooks: 'A grain of a tenth of a millimetre looks',
  minutes: (minutes: string) => `${minutes} min`,
  times: (times: string) => `${times}×`,
  reversedSaid: (number: Figure) => `Stroke ${number} the other way`,
  shiftedSaid: (from: Figure, to: Figure) => `Stroke ${from} is now ${to}`,
  leftOutSaid: (number: Figure) => `Stroke ${number} left out`,
  movedSaid: (number: Figure) => `Stroke ${number} moved`,
  drawnSaid: 'A stroke of one’s own',
  asReckonedSaid: 'Strokes as reckoned',
  bladeSaid: 'Blade for the strokes',
  lapSaid: 'Lap of the strokes',
  halvesSaid: 'Halves in turn',
  peopleSaid: 'Who presses',
  noFace: (expected: string) => `No strokes on this outline: ${expected} wanted.`,
  lapTooWide: 'A lap as wide as the blade leaves no way forward: less lap, or a wider blade.',
};
