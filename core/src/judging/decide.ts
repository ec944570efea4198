import type { MarkLook, MarkVerdict, RuleSet } from '../job';
import { leastAngle, sizeAt } from '../looking';
import { type Verdict, worstVerdict } from '../quantity';
import { type Face, isOnFace } from '../strokes';
import { type BrokenRule, type MarksTogether, extentOf, marksTogether, scaledPin } from './broken-rules';
import { CONTRASTS, type LookContrast } from './contrasts';
import { PIN_SIZE, type Pin, type PinFault } from './pin';

/** As the four answers everywhere (rulings). */
export const VERDICT_OF_MARK: Readonly<Record<MarkVerdict, Verdict>> = {
  accept: 'go',
  'accept by rule': 'go',
  watch: 'go with care',
  'fix now': 'go with care',
  'measure it': 'unknown',
  redo: 'stop',
  stop: 'stop',
};

/** Why: the number or rule that decided. */
export type MarkReason =
  | { readonly case: 'crack' }
  | { readonly case: 'scratch in the glass' }
  | { readonly case: 'dries until' }
  | { readonly case: 'hands put it right' }
  | { readonly case: 'not ordinary water' }
  | { readonly case: 'breaks a rule'; readonly broken: BrokenRule }
  | { readonly case: 'not seen from there'; readonly least_mm: number }
  | { readonly case: 'within the rules' }
  /** Seen, and the rule set leaves it to an eye. */
  | { readonly case: 'look from there' }
  /** Somebody did look from there. */
  | { readonly case: 'an eye'; readonly isObtrusive: boolean }
  | { readonly case: 'measure'; readonly what: 'its size' | 'its contrast' | 'what it is' }
  | { readonly case: 'fault'; readonly fault: PinFault };

export interface MarkDecision {
  readonly id: string;
  readonly verdict: MarkVerdict;
  readonly reason: MarkReason;
}

export interface JudgeAsked {
  /** mm, x to the right and y upwards. */
  readonly face: Face;
  readonly pins: readonly Pin[];
  readonly set: RuleSet;
  /** Whether the upper date of drying of this film is still to come. */
  readonly mayDry: boolean;
  /** Of what is behind the film, cd/m². */
  readonly luminance: number;
}

/** Daylight behind a pane, where nobody measured: model 4.1. */
export const USUAL_LUMINANCE = 1000;
/** A size typed by eye is right within so much: our guess (model 4.3). */
const SIZE_WITHIN = 0.3;
const PUT_RIGHT: ReadonlySet<MarkLook> = new Set<MarkLook>(['finger', 'edge lifts', 'air bubble']);

/** What is done about each mark of a surface, by the order of the model (4.3). */
export function decideMarks(asked: JudgeAsked): readonly MarkDecision[] {
  const together = marksTogether(asked.face, asked.pins, asked.set);
  return asked.pins.map((pin) => ({ id: pin.id, ...decideOne({ ...asked, together }, pin) }));
}

/** Of a surface: as its worst mark; without marks: go. */
export const verdictOfMarks = (decisions: readonly MarkDecision[]): Verdict =>
  decisions.length === 0 ? 'go' : worstVerdict(decisions.map(({ verdict }) => VERDICT_OF_MARK[verdict]));

type Decided = Omit<MarkDecision, 'id'>;
interface JudgeTogether extends JudgeAsked {
  readonly together: MarksTogether;
}

function decideOne(asked: JudgeTogether, pin: Pin): Decided {
  const { look, isMoisture, isNewInGlass } = pin;
  if (look === 'crack') return { verdict: 'stop', reason: { case: 'crack' } };
  if (isNewInGlass === 'yes') return { verdict: 'stop', reason: { case: 'scratch in the glass' } };
  const fault = faultOf(asked.face, pin);
  if (fault === 'beside the surface') return { verdict: 'measure it', reason: { case: 'fault', fault } };
  if (isNewInGlass === 'unknown') return measure('what it is');
  if (asked.set.watched.includes(look) && isMoisture !== 'no') {
    if (isMoisture === 'unknown') return measure('what it is');
    if (pin.isOutOfOrder === true) return { verdict: 'fix now', reason: { case: 'not ordinary water' } };
    if (asked.mayDry) return { verdict: 'watch', reason: { case: 'dries until' } };
  }
  if (PUT_RIGHT.has(look) || (look === 'bubble' && isMoisture === 'no'))
    return { verdict: 'fix now', reason: { case: 'hands put it right' } };
  if (look === 'not said') return measure('what it is');
  if (fault !== undefined)
    return fault === 'no size'
      ? measure('its size')
      : { verdict: 'measure it', reason: { case: 'fault', fault } };
  return bySize(asked, pin, CONTRASTS[look]);
}

const measure = (what: 'its size' | 'its contrast' | 'what it is'): Decided => ({
  verdict: 'measure it',
  reason: { case: 'measure', what },
});

function faultOf(face: Face, { x, y, size_mm, length_mm }: Pin): PinFault | undefined {
  if (!isOnFace(face, { x, y })) return 'beside the surface';
  if (size_mm === null && length_mm === null) return 'no size';
  const own = [size_mm, length_mm].filter((size) => size !== null);
  return own.some((size) => size < PIN_SIZE.least_mm || size > PIN_SIZE.most_mm)
    ? 'size out of range'
    : undefined;
}

/**
 * By size, contrast and rules; where it would be otherwise for a size or a contrast as likely, that is to be
 * measured.
 */
function bySize(asked: JudgeTogether, pin: Pin, contrast: LookContrast): Decided {
  if (pin.isObtrusive === true) return seenByEye(true);
  const own = atSize(asked, pin, 1, contrast.most);
  const isRedo = (other: Decided): boolean => other.verdict === 'redo';
  if (
    [1 - SIZE_WITHIN, 1 + SIZE_WITHIN].some(
      (times) => isRedo(atSize(asked, pin, times, contrast.most)) !== isRedo(own),
    )
  )
    return measure('its size');
  if (isRedo(atSize(asked, pin, 1, contrast.least)) !== isRedo(own)) return measure('its contrast');
  return own;
}

/** A person's own look from the ruled distance beats what is calculated of sight; no rule of sizes. */
const seenByEye = (isObtrusive: boolean): Decided => ({
  verdict: isObtrusive ? 'redo' : 'accept',
  reason: { case: 'an eye', isObtrusive },
});

function atSize(asked: JudgeTogether, pin: Pin, times: number, contrast: number): Decided {
  const it = scaledPin(pin, times);
  const broken = asked.together.brokenBy(pin, times);
  const tooLarge = broken.find(
    ({ rule }) => rule !== 'cluster' && rule.limit.case === 'at most' && rule.limit.count === 0,
  );
  if (tooLarge !== undefined) return { verdict: 'redo', reason: { case: 'breaks a rule', broken: tooLarge } };
  if (pin.isObtrusive === false) return seenByEye(false);
  const least_mm = leastSeen(asked, contrast);
  if (least_mm === undefined || extentOf(it) < least_mm)
    return { verdict: 'accept', reason: { case: 'not seen from there', least_mm: least_mm ?? Infinity } };
  const [first] = broken;
  if (first !== undefined) return { verdict: 'redo', reason: { case: 'breaks a rule', broken: first } };
  return asked.set.ofSeen === 'must not be obtrusive'
    ? { verdict: 'measure it', reason: { case: 'look from there' } }
    : { verdict: 'accept by rule', reason: { case: 'within the rules' } };
}

/** The smallest that is seen from where the rule set judges, mm; undefined: nothing of that contrast is. */
function leastSeen({ set, luminance }: JudgeAsked, contrast: number): number | undefined {
  const angle = leastAngle(luminance, contrast);
  return angle === undefined ? undefined : sizeAt(angle, set.distance_m * 1000);
}
