import { impossibleWords } from '@yellow-pane/contracts/words';
import type { Agreement, Suspect, SurfaceCheck } from '@yellow-pane/core/measure';
import {
  type DisplayUnits,
  type UnreadableReason,
  type Verdict,
  formatLengthWithUnit,
  nmFromMm,
} from '@yellow-pane/core/quantity';

export interface Finding {
  readonly verdict: Verdict;
  readonly heading: string;
  readonly says: string;
}

export type Word = (measure: Pick<Suspect, 'kind' | 'from' | 'to'>) => string;

/** More suspects than these are counted, not named. */
const MOST_NAMED = 3;

/** What a surface's measures say, as a fitter would say it. */
export function findingOf(check: SurfaceCheck, word: Word, units: DisplayUnits): Finding {
  if (check.state === 'unfinished')
    return {
      verdict: 'unknown',
      heading: 'Not measured yet',
      says: `Needed to draw it: ${check.needs.join(' and ')}.`,
    };
  if (check.state === 'impossible')
    return {
      verdict: 'stop',
      heading: 'These measures cannot be',
      says: `${check.why === undefined ? 'No such figure has these measures.' : impossibleWords(check.why, units)} ${check.suspects.length === 0 ? 'Measure again.' : `Look first at the ${check.suspects.map(word).join(' and the ')}.`}`,
    };
  if (check.agreement.kind === 'disagree')
    return disagreement(check.agreement.suspects, check.agreement.decide, word, units);
  if (check.state === 'assumed')
    return {
      verdict: 'go with care',
      heading:
        check.assumes === 'square corners' ? 'Drawn square, not proved' : `Drawn with ${check.assumes}`,
      says:
        check.helpsNext === undefined
          ? 'One more measure would prove it.'
          : `Measure the ${word(check.helpsNext)} next${check.assumes === 'square corners' ? ': without it nobody knows whether the corners are square' : ''}.`,
    };
  return agreementFinding(check.agreement, units);
}

/** Why a typed measure cannot be read, and what to type. */
export function unreadableWord(reason: UnreadableReason): string {
  const words: Readonly<Record<UnreadableReason, string>> = {
    empty: 'Nothing typed.',
    'not a length': 'Not a length. Type it like 880, 88 cm, 34 5/8 or 2\'10-5/8".',
    'zero or negative': 'A length is more than zero.',
    'fraction below is zero': 'The lower part of the fraction is zero.',
    'inches reach a whole foot':
      'Twelve inches or more beside feet: type the feet one higher, or inches alone.',
    'too large': 'Larger than anything measured. In the wrong unit?',
  };
  return words[reason];
}

function disagreement(
  suspects: readonly Suspect[],
  decide: Extract<Agreement, { kind: 'disagree' }>['decide'],
  word: Word,
  units: DisplayUnits,
): Finding {
  const [first] = suspects;
  const off = formatLengthWithUnit(nmFromMm(Math.round(Math.abs(first?.tooLong_mm ?? 0))), units);
  if (first === undefined)
    return { verdict: 'stop', heading: 'The measures disagree', says: 'Measure again.' };
  if (suspects.length === 1) {
    const fits = formatLengthWithUnit(nmFromMm(Math.round(first.wouldFit_mm)), units);
    return {
      verdict: 'stop',
      heading: 'One measure disagrees',
      says: `The ${word(first)} is about ${off} too ${first.tooLong_mm > 0 ? 'long' : 'short'} for all the others. ${fits} would fit.`,
    };
  }
  const names =
    suspects.length > MOST_NAMED ? `one of ${suspects.length} measures` : joinedByOr(suspects.map(word));
  const how =
    decide === undefined
      ? 'Measure them again.'
      : `Measure ${decide.kind === 'distance' ? '' : 'the '}${word(decide)} to tell which.`;
  return {
    verdict: 'stop',
    heading: 'Measures disagree',
    says: `${names.charAt(0).toUpperCase()}${names.slice(1)} is about ${off} off. ${how}`,
  };
}

/** 'left height', 'right height' → 'left or right height'. */
function joinedByOr(words: readonly string[]): string {
  const last = words.map((word) => word.split(' ').at(-1));
  const isShared = words.every((word, index) => word.split(' ').length === 2 && last[index] === last[0]);
  return isShared
    ? `${words.map((word) => word.split(' ')[0]).join(' or ')} ${last[0] ?? ''}`
    : words.join(' or ');
}

function agreementFinding(agreement: Exclude<Agreement, { kind: 'disagree' }>, units: DisplayUnits): Finding {
  if (agreement.kind === 'not checked')
    return {
      verdict: 'go with care',
      heading: 'Measured, not checked',
      says: 'Just enough measures for the shape. One more would show a slip.',
    };
  return {
    verdict: 'go',
    heading: 'The measures agree',
    says: `All of them fit one shape within ${formatLengthWithUnit(nmFromMm(Math.max(0.1, agreement.worst_mm)), units)}.${hidden(agreement, units)}`,
  };
}

/** What a slip would have to be to show, and what nothing checks. */
function hidden({ reliability }: Extract<Agreement, { kind: 'agree' }>, units: DisplayUnits): string {
  const unchecked = reliability.filter(({ mayHide_mm }) => mayHide_mm === null).length;
  if (unchecked > 0) return ` ${unchecked} of them ${unchecked === 1 ? 'is' : 'are'} checked by nothing.`;
  const most = Math.max(0, ...reliability.map(({ mayHide_mm }) => mayHide_mm ?? 0));
  return most === 0
    ? ''
    : ` A slip of less than ${formatLengthWithUnit(nmFromMm(Math.ceil(most)), units)} in one of them might not show.`;
}
