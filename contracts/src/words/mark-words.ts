import type { MarkVerdict } from '@yellow-pane/core/job';
import type { MarkReason } from '@yellow-pane/core/judging';
import { type DisplayUnits, formatLengthWithUnit } from '@yellow-pane/core/quantity';
import { type Messages, counted, sentenceOf } from './messages';

const VERDICTS: Readonly<Record<MarkVerdict, string>> = {
  accept: 'accept',
  'accept by rule': 'accept by rule',
  watch: 'watch',
  'fix now': 'fix now',
  'measure it': 'measure it',
  redo: 'redo',
  stop: 'stop',
};

const REASONS = {
  crack: 'The glass is cracked: a licensed glazier decides.',
  'scratch in the glass':
    'In the glass, and not recorded before the work: show the customer, decide together.',
  'dries until': 'Water under the film dries by itself until its date.',
  'hands put it right': 'Hands can still put it right.',
  'not ordinary water':
    'Not as water dries: large, in a line, joined to an edge, or with a rim. Press it out now.',
  'breaks a rule': ({ broken: { rule, allowed, found } }, { length }) =>
    rule === 'cluster'
      ? `${counted(found, 'mark')} so near to each other are a cluster; ${allowed ?? 0} may be.`
      : allowed === null
        ? `${counted(found, 'line')} over ${length(rule.over_mm)} lie too near to each other.`
        : `${counted(found, 'mark')} over ${length(rule.over_mm)}${rule.zone === 'any' ? '' : ` in the ${rule.zone} zone`}; ${allowed} may be.`,
  'not seen from there': ({ least_mm }, { length }) =>
    least_mm === Infinity
      ? 'Nothing of that contrast is seen from there.'
      : `From there nothing under ${length(Math.round(least_mm * 100) / 100)} of that contrast is seen.`,
  'within the rules': 'Seen, and within the rules.',
  'look from there': 'It is seen from there: whether it is obtrusive, a person says who looks.',
  'an eye': ({ isObtrusive }) =>
    isObtrusive ? 'Looked at from there: it is obtrusive.' : 'Looked at from there: it is not obtrusive.',
  measure: ({ what }) => `Measure ${what}: it decides.`,
  fault: ({ fault }) =>
    fault === 'beside the surface'
      ? 'It lies beside the surface: put it in its place.'
      : fault === 'no size'
        ? 'No size yet.'
        : 'No mark is of that size: from 0.05 mm to 3 m.',
} satisfies Messages<MarkReason>;

/** As fine as a rule in those units shows: a speck is never '0 in'. */
export function markSizeWords(size_nm: number, units: DisplayUnits): string {
  const said = formatLengthWithUnit(size_nm, units);
  const finest_nm = units === 'metric' ? TENTH_NM : SIXTEENTH_NM;
  return said.startsWith('0 ') ? `under ${formatLengthWithUnit(finest_nm, units)}` : said;
}

const TENTH_NM = 100_000;
const SIXTEENTH_NM = 1_587_500;

export const markVerdictWords = (verdict: MarkVerdict): string => VERDICTS[verdict];

/** The rule or number that decided. */
export function markReasonWords(reason: MarkReason, units: DisplayUnits = 'metric'): string {
  return sentenceOf<MarkReason>(REASONS, reason, units);
}
