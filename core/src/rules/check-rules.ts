import { COMMON_PRACTICE, type Source } from '../quantity';
import { OURS, type Rule } from './rule';

const FROM_MEMORY: Source = {
  kind: 'from memory',
  text: "custom, from memory: the film's own sheet wins",
};

/** How work is looked at, and when somebody comes back. */
export const CHECK_RULES = {
  driesByCustom: {
    value: 30,
    unit: 'd',
    reason:
      'Where nothing is known of glass and weather, small water pockets are left alone for so many days after the film was laid.',
    source: COMMON_PRACTICE,
  },
  halfDry: {
    value: 0.5,
    unit: 'share',
    reason: 'Sealant goes back when so much of the water has gone: before, it would be shut in.',
    source: OURS,
  },
  pressUntilBond: {
    value: 0.5,
    unit: 'share',
    reason:
      'Film is pressed down again until its glue holds by so much; after that it is lifted and cleaned.',
    source: OURS,
  },
  edgeTapeClock: {
    value: 1,
    unit: 'd',
    reason: 'Tape that holds an edge comes off after so many days at 20 °C: half the time at 30 °C.',
    source: OURS,
  },
  softCloth: {
    value: 14,
    unit: 'd',
    reason: 'A soft damp cloth may go over the face so many days after the film was laid.',
    source: FROM_MEMORY,
  },
  pocketHigh: {
    value: 0.05,
    least: 0.02,
    most: 0.15,
    unit: 'mm',
    reason: 'Height of a pocket of water, where nobody has measured it.',
    source: OURS,
  },
  pocketOver: {
    value: 25,
    unit: 'mm',
    reason: 'A larger pocket of water is not left to dry: it is pressed out.',
    source: OURS,
  },
  darkFilm: {
    value: 0.35,
    unit: 'share',
    reason: 'Film that lets through so little light, or less, is looked at from behind too: light gaps show.',
    source: OURS,
  },
  edgesAgain: {
    value: 2,
    least: 2,
    most: 14,
    unit: 'd',
    reason: 'Edges are looked at again within these days: what lifts can still be pressed.',
    source: OURS,
  },
  firstWash: {
    value: 30,
    unit: 'd',
    reason:
      'The face is washed for the first time so many days after the film was laid, or when it is clear.',
    source: FROM_MEMORY,
  },
  returnWithin: {
    value: 30,
    unit: 'd',
    reason: 'What may be done from a day on is done within so many days.',
    source: OURS,
  },
} satisfies Readonly<Record<string, Rule>>;
