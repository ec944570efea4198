import type { BlankNote, PieceNote, TooWide } from '@yellow-pane/core/blanks';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import { RULES } from '@yellow-pane/core/rules';
import { type Figures, type Messages, capital, sentenceOf } from './messages';

const BLANK_NOTES = {
  rule: ({ rule }) => RULES[rule].reason,
  'cut to its outline':
    'Nothing is trimmed on the glass: the plotter cuts the outline. By hand only where the pane is square to within the gap; measure it again before it is wet.',
  'behind the trim': ({ hidden_mm }, { length }) =>
    `Trim hides ${length(hidden_mm)} of the glass on each side: the film is cut that much larger all round and goes under it.`,
  'pattern repeats every 0':
    'The film says its pattern repeats every 0 mm: taken as no pattern. Put the repeat right in the catalogue.',
  'no roll width known':
    'No roll width is known for this film: seams cannot be placed. Give its widths in the catalogue.',
  'too wide': (said, figures) => tooWide(said, figures),
  'seam where none should be':
    'A seam falls where none should be: near an outside corner or across the eyes. A wider roll would do without.',
  'hung in order':
    'Hang the drops in the order of their numbers, all from one roll: shade and grain follow on.',
  'ring sector': ({ inner_mm, outer_mm, angle_rad, width_mm, height_mm }, { about }) =>
    `Cut as a ring sector: inner radius ${about(inner_mm)}, outer ${about(outer_mm)}, ${((angle_rad * 180) / Math.PI).toFixed(2)}°, out of ${about(width_mm)} × ${about(height_mm)}.`,
  'in sectors': ({ count, lap_mm }, { length }) => `${count} sectors with a lap of ${length(lap_mm)} each.`,
  'no roll wide enough': ({ mostSectors }) =>
    `No roll is wide enough even for this column in ${mostSectors} parts.`,
  'roll turned by choice':
    'The roll is turned by choice: it shrinks down the glass, and its factory edge lies at a side.',
  'shrinks along the roll':
    'Polyester film shrinks mainly along the roll: its top lies along a factory edge; it may be turned end for end, never by a quarter.',
  'grain along the roll': 'Grain runs along the roll.',
  'one-way picture': 'One-way picture: its top towards the roll’s end.',
} satisfies Messages<BlankNote>;

const PIECE_NOTES = {
  'first cut off the top': ({ off_mm, left_mm }, { length }) =>
    `First cut ${length(off_mm)} off the top; then it is ${length(left_mm)} long.`,
  'column marks':
    'Slit the liner alone along the two broken lines and leave the strip on; notch both ends of it.',
  'factory edges': ({ edges }) => `Factory edge as it hangs: ${edges.join(', ')}.`,
  arc: ({ which, arc: { radius_mm, chord_mm, offsets } }, { length }) =>
    `${capital(which)} arc: radius ${length(radius_mm)}, chord ${length(chord_mm)}${
      offsets.length === 0
        ? ''
        : `; over the chord, so far from its middle: ${offsets.map(({ fromMiddle_mm, up_mm }) => `${length(fromMiddle_mm)}: ${length(up_mm)}`).join(', ')}`
    }.`,
} satisfies Messages<PieceNote>;

function tooWide({ by_mm, over_mm, sides }: TooWide, { length }: Figures): string {
  const wayOut =
    over_mm === undefined ? 'take a wider roll' : `take ${length(over_mm)} over at ${sides}, or a wider roll`;
  return `Short by ${length(by_mm)}: ${wayOut}. Curved glass and glass of a vehicle get no seam.`;
}

/** What is to be known of a blank before it is cut. */
export function blankNoteWords(note: BlankNote, units: DisplayUnits): string {
  return sentenceOf<BlankNote>(BLANK_NOTES, note, units);
}

/** What the cuts alone do not say of a piece. */
export function pieceNoteWords(note: PieceNote, units: DisplayUnits): string {
  return sentenceOf<PieceNote>(PIECE_NOTES, note, units);
}

/** Said where a blank could not be laid for want of a wider roll. */
export function tooWideWords(wanting: TooWide, units: DisplayUnits): string {
  return blankNoteWords({ case: 'too wide', ...wanting }, units);
}
