import type { Holds, LinerPart, LinerWay } from '@yellow-pane/core/liner';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import type { StrokeNote, StrokeReason } from '@yellow-pane/core/strokes';
import type { EdgeName, NotTrimmed } from '@yellow-pane/core/trimming';
import { type Messages, counted, sentenceOf } from './messages';

const NOTES = {
  'shut in': ({ by, places }) =>
    by === undefined
      ? `${counted(places, 'place')} have no way out at all: every side is closed.`
      : `Stroke ${by} is the first to shut water in: ${counted(places, 'place')} in all.`,
  finished: ({ strokes }) =>
    strokes === 1
      ? 'One stroke more at the end leads it to the nearest edge.'
      : `${strokes} strokes more at the end lead it to the nearest edge.`,
  'leaves a line': ({ length_mm, places }, { about }) =>
    places === 1
      ? `This leaves a line here, ${about(length_mm)} long.`
      : `This leaves ${places} lines, the longest ${about(length_mm)}.`,
  'leaves a corner': ({ places }) => `${counted(places, 'small place')} no blade goes over.`,
  'lifts water': ({ strokes }) =>
    strokes.length === 1
      ? `Stroke ${strokes.join()} leads water up above loose film.`
      : `Strokes ${strokes.join(', ')} lead water up above loose film.`,
  'blade too long': 'The blade is longer than the surface: take a shorter one, or the card.',
  'all pressed': 'All of it is gone over; nothing is shut in.',
} satisfies Messages<StrokeNote>;

const REASONS = {
  slower: 'Half as fast leaves as little as twice as hard, or less.',
  passes: ({ pay, worn }) =>
    `${pay.value === 1 ? 'One pass pays' : `${pay.value} passes pay`}: what then stays is not pressed out, it dries. With a worn blade ${worn.value}.`,
  ridge:
    'Without a lap the water a stroke pushes aside stands as a stripe: it dries long after the rest, and draws air in.',
  grain: ({ wide_mm }, { length }) =>
    `A grain of ${length(0.1)} looks about ${length(Math.round(wide_mm.value * 10) / 10)} wide under this film, and never goes: lift it out now.`,
} satisfies Messages<StrokeReason>;

/** What is to be said of an order of strokes. */
export function strokeNoteWords(note: StrokeNote, units: DisplayUnits = 'metric'): string {
  return sentenceOf<StrokeNote>(NOTES, note, units);
}

/** Why strokes are led as they are. */
export function strokeReasonWords(reason: StrokeReason, units: DisplayUnits = 'metric'): string {
  return sentenceOf<StrokeReason>(REASONS, reason, units);
}

const EDGES: Readonly<Record<EdgeName, string>> = {
  top: 'top',
  right: 'right',
  bottom: 'bottom',
  left: 'left',
};
const NOT_TRIMMED: Readonly<Record<NotTrimmed, string>> = {
  'factory edge': 'factory edge: it is not cut',
  'squared cut': 'squared cut: it is not cut again',
  'cut to outline': 'cut to outline: not cut on the glass',
  'beads out': 'beads are out: the film runs to the very edge, no gap is cut',
  turned: 'turned round the edge, not cut here',
  'at another step': 'not at this step',
};

export const edgeWords = (edge: EdgeName): string => EDGES[edge];
export const notTrimmedWords = (why: NotTrimmed): string => NOT_TRIMMED[why];

const HOLDS: Readonly<Record<Holds, string>> = {
  'both upper corners': 'holds both upper corners',
  'upper left corner': 'holds the upper left corner',
  'upper right corner': 'holds the upper right corner',
  'the liner': 'draws the liner',
  'the roll': 'holds the film and rolls it up from below',
};
export const holdsWords = (holds: Holds): string => HOLDS[holds];

const LINER_SAYS: Readonly<Record<LinerWay, string>> = {
  'tape tabs': 'One tab on each face of the corner, beside each other; pulled apart, sprayed as it opens.',
  'hang and pull': 'The blank hangs beside the pane; its liner is drawn straight down.',
  'top part first': 'The top part is freed and fixed, then the rest is stripped.',
  'halves on the glass':
    'Half the liner, sprayed and laid back smooth; then the other half; rolled up from below, so that the top is placed first.',
  'on the outside of the pane':
    'The outside of the pane is the board: to just past half, sprayed, laid back; then the other half.',
  'unrolled to the floor':
    'Unrolled downwards and drawn to the floor. The other school: film never on the floor, for the grit.',
  'pane lying': 'The first part is freed and centred, the rest drawn from under.',
};
export const linerWords = (way: LinerWay): string => LINER_SAYS[way];

/** One part of the liner, from where to where. */
export function linerPartWords(
  { number, from_mm, to_mm, then }: LinerPart,
  length: (mm: number) => string,
): string {
  const end = then === 'laid back' ? 'spray, lay it back' : 'off for good';
  const way = from_mm > to_mm ? 'down' : 'up';
  return `${number}. ${length(Math.abs(from_mm - to_mm))} ${way}, ${end}`;
}
