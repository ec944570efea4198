import type { Difficulty, Impossible, MeasureRemark } from '@yellow-pane/core/measure';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import { type Figures, type Messages, capital, counted, sentenceOf } from './messages';

const IMPOSSIBLE = {
  'corner radius too large': ({ radius_mm }, { about }) =>
    `A corner radius of ${about(radius_mm)} is too large: with its neighbour it is longer than the side between them.`,
  'edge radius too large': ({ radius_mm, thickness_mm }, { about }) =>
    `An edge radius of ${about(radius_mm)} does not fit a thickness of ${about(thickness_mm)}.`,
  'crown below the springs': ({ rise_mm }, { about }) =>
    `The rise of the arch comes out as ${about(rise_mm)}: its crown would lie at or below the springs.`,
  'corners cannot close': ({ corners: [a, b, c], longest_mm, others_mm }, { about }) =>
    `Corners ${a}, ${b} and ${c} cannot close: the longest length is ${about(longest_mm)}, the other two together reach ${about(others_mm)}.`,
  'sides cannot close': ({ longest_mm, others_mm }, { about }) =>
    `The longest side is ${about(longest_mm)}; the other two together reach only ${about(others_mm)}.`,
  'sides cross': 'The sides would have to cross each other.',
  'corners on one line': 'The corners lie on one line.',
  'openings beyond the wall': ({ names }) =>
    `${names.map((name) => name || 'An opening').join(', ')} ${names.length === 1 ? 'reaches' : 'reach'} beyond the wall.`,
  'sag too deep': ({ sag_mm }, { about }) => `A sag of ${about(sag_mm)} is deeper than half its chord.`,
  'girths close to a point': 'These girths would close to a point below the top.',
  'profile under its width': ({ profile_mm, width_mm }, { about }) =>
    `Over the profile it is ${about(profile_mm)}, less than its plain width of ${about(width_mm)}: one of the two is misread.`,
  'measure refused': ({ got, expected }) => `One measure cannot be: ${got}; expected ${expected}.`,
} satisfies Messages<Impossible>;

const REMARKS = {
  'which edge is level':
    'Which edge is level? Taken with its sill level. If another is, type what a spirit level says along it.',
  'standing on its lowest side':
    'Taken standing level on its lowest side, its sides as upright as can be. If it hangs otherwise, type what a spirit level says along side 1–2.',
  'corners may fold': ({ corners, isConvex }) =>
    `${corners.length === 1 ? 'Corner' : 'Corners'} ${corners.join(', ')} ${corners.length === 1 ? 'is' : 'are'} known by two lengths only: drawn ${isConvex ? 'pointing outward; the mirror image, pointing inward, has the same lengths' : 'as the other measures want it'}.`,
  'sharp corners': 'No radius yet: drawn with sharp corners.',
  'first radius for all': 'Corners without a radius of their own take the first one given.',
  'part of a circle': 'The arch is taken as part of a circle, its crown over the middle.',
  'openings without size': ({ count }) =>
    `${counted(count, 'opening has', 'openings have')} no width and height yet: not taken off.`,
  'no furrow yet':
    'The profile is not known yet: the girth is the plain width. Lay a strip of paper over it, or add its furrows under Parts; a raised bead counts as a hollow of the same size.',
  'off the taper': ({ up_mm, off_mm }, { about, length }) =>
    `${about(up_mm)} up, the column is ${length(Math.abs(off_mm))} ${off_mm < 0 ? 'less' : 'more'} round than a straight taper: ${off_mm < 0 ? 'waisted' : 'bellied'}, or misread? Take that ring again, and one more a quarter up. Film is drawn for a straight taper.`,
  'thickness unknown': 'Edges are wrapped but the thickness is unknown: measure it to know the girth.',
  'drawn flat': 'Drawn flat: one sag across and one down are needed to know the curve.',
  'how hard it is': ({ difficulty }, figures) =>
    `${capital(difficulty.word)}${difficulty.where === 'evenly' ? '' : `, most ${difficulty.where}`}. ${difficultyWords(difficulty, figures)}`,
  'curve near the ends unknown':
    'Whether the curve gathers near the ends is unknown: sags a quarter in would show it, and can change the surplus by a quarter.',
  'twist unknown': ({ matters, gap_mm }, { about }) =>
    matters
      ? 'Twist is unknown and matters here: measure the gap under the fourth corner.'
      : `Twist is unknown; even a rocking gap of ${about(gap_mm)} would hardly change the surplus.`,
} satisfies Messages<MeasureRemark>;

function difficultyWords({ word, where, surplus_mm, most_share }: Difficulty, figures: Figures): string {
  const much =
    where === 'evenly'
      ? ''
      : ` Most of it ${where}: anchor the film ${where === 'at the bottom' ? 'lower' : 'higher'} than the middle.`;
  const tooLong = `About ${figures.about(surplus_mm)} too long`;
  switch (word) {
    case 'saddle: the film would have to stretch':
      return 'The glass curves two opposite ways. Polyester does not stretch: refer it, or fit it in strips.';
    case 'flat enough':
      return 'Folds hardly show. On a vehicle pane pinch three on purpose and shrink them; elsewhere it may lie down by squeegee alone.';
    case 'a few folds':
      return `${tooLong} along the edge, gathered into folds and shrunk.${much}`;
    case 'many folds':
      return `${tooLong} along the edge: work for a trained hand.${much}`;
    case 'more than the film gives':
      return `${tooLong}: more than ${figures.percent(most_share)} of the edge. In pieces, or refer it.${much}`;
  }
}

/** Why no surface has these measures. */
export function impossibleWords(why: Impossible, units: DisplayUnits): string {
  return sentenceOf<Impossible>(IMPOSSIBLE, why, units);
}

/** What is taken for granted of a surface, or what its measures cannot show. */
export function remarkWords(remark: MeasureRemark, units: DisplayUnits): string {
  return sentenceOf<MeasureRemark>(REMARKS, remark, units);
}
