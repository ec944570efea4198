import { capital, impossibleWords } from '@yellow-pane/contracts/words';
import type { Agreement, Suspect, SurfaceCheck } from '@yellow-pane/core/measure';
import {
  type DisplayUnits,
  type UnreadableReason,
  type Verdict,
  formatLengthWithUnit,
  nmFromMm,
} from '@yellow-pane/core/quantity';
import { surveyWords } from '../../words/survey';

export interface Finding {
  readonly verdict: Verdict;
  readonly heading: string;
  readonly says: string;
}

type Word = (measure: Pick<Suspect, 'kind' | 'from' | 'to'>) => string;

/** More suspects than these are counted, not named. */
const MOST_NAMED = 3;

/** What a surface's measures say, as a fitter would say it. */
export function findingOf(check: SurfaceCheck, word: Word, units: DisplayUnits): Finding {
  if (check.state === 'unfinished')
    return {
      verdict: 'unknown',
      heading: surveyWords.notMeasuredYet,
      says: surveyWords.neededToDraw(check.needs.join(' and ')),
    };
  if (check.state === 'impossible')
    return {
      verdict: 'stop',
      heading: surveyWords.measuresCannotBe,
      says: `${check.why === undefined ? surveyWords.noSuchFigure : impossibleWords(check.why, units)} ${check.suspects.length === 0 ? surveyWords.measureAgain : surveyWords.lookFirstAt(check.suspects.map(word).join(surveyWords.andThe))}`,
    };
  if (check.agreement.kind === 'disagree')
    return disagreement(check.agreement.suspects, check.agreement.decide, word, units);
  if (check.state === 'assumed')
    return {
      verdict: 'go with care',
      heading:
        check.assumes === 'square corners' ? surveyWords.drawnSquare : surveyWords.drawnWith(check.assumes),
      says:
        check.helpsNext === undefined
          ? surveyWords.oneMoreProves
          : surveyWords.measureNext(
              word(check.helpsNext),
              check.assumes === 'square corners' ? surveyWords.cornersUnproved : '',
            ),
    };
  return agreementFinding(check.agreement, units);
}

/** Why a typed measure cannot be read, and what to type. */
export function unreadableWord(reason: UnreadableReason): string {
  const words: Readonly<Record<UnreadableReason, string>> = {
    empty: surveyWords.nothingTyped,
    'not a length': surveyWords.notALength,
    'zero or negative': surveyWords.lengthMoreThanZero,
    'fraction below is zero': surveyWords.fractionBelowZero,
    'inches reach a whole foot': surveyWords.inchesReachFoot,
    'too large': surveyWords.largerThanAnything,
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
    return { verdict: 'stop', heading: surveyWords.theyDisagree, says: surveyWords.measureAgain };
  if (suspects.length === 1) {
    const fits = formatLengthWithUnit(nmFromMm(Math.round(first.wouldFit_mm)), units);
    return {
      verdict: 'stop',
      heading: surveyWords.oneDisagrees,
      says: surveyWords.mostLikelyWrong(word(first), off, first.tooLong_mm > 0 ? 'long' : 'short', fits),
    };
  }
  const names =
    suspects.length > MOST_NAMED
      ? surveyWords.oneOfMeasures(suspects.length)
      : joinedByOr(suspects.map(word));
  const how =
    decide === undefined
      ? surveyWords.measureThemAgain
      : surveyWords.measureToTell(decide.kind === 'distance' ? '' : 'the ', word(decide));
  return {
    verdict: 'stop',
    heading: surveyWords.measuresDisagree,
    says: surveyWords.aboutOff(capital(names), off, how),
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
      heading: surveyWords.measuredNotChecked,
      says: surveyWords.justEnough,
    };
  return {
    verdict: 'go',
    heading: surveyWords.theyAgree,
    says: surveyWords.fitOneShape(
      formatLengthWithUnit(nmFromMm(Math.max(0.1, agreement.worst_mm)), units),
      hidden(agreement, units),
    ),
  };
}

/** What a slip would have to be to show, and what nothing checks. */
function hidden({ reliability }: Extract<Agreement, { kind: 'agree' }>, units: DisplayUnits): string {
  const unchecked = reliability.filter(({ mayHide_mm }) => mayHide_mm === null).length;
  if (unchecked > 0) return surveyWords.uncheckedMeasures(unchecked, unchecked === 1 ? 'is' : 'are');
  const most = Math.max(0, ...reliability.map(({ mayHide_mm }) => mayHide_mm ?? 0));
  return most === 0
    ? ''
    : surveyWords.blunderMightHide(formatLengthWithUnit(nmFromMm(Math.ceil(most)), units));
}
