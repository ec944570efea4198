import { type Explained, capOf, explained } from './explain';
import type { EvidenceRow } from './look-table';
import { type CostlyRemedy, nextQuestion, remediesForBoth, remediesOf, toAsk } from './next-question';
import { moreThanOne } from './noisy-or';
import {
  ANOTHER_CAUSE,
  type CauseShare,
  type DiagnosisAsked,
  capped,
  chancesOf,
  named,
  posteriorOf,
} from './posterior';

/** What is thought of why a defect is there. */
export interface Diagnosis {
  readonly asked: DiagnosisAsked;
  /** The first three, as sure as may be said. */
  readonly shown: readonly CauseShare[];
  /** All, another cause last, as calculated. */
  readonly raw: readonly number[];
  readonly says: 'probably' | 'probably two together' | 'cannot say';
  /** Chance that more than one fired, before any answer. */
  readonly several: number;
  /** Why the first stands before the second. */
  readonly why: Explained | undefined;
  readonly next: EvidenceRow | undefined;
  /** What else a person may say of it, though it is not worth asking. */
  readonly more: readonly EvidenceRow[];
  /** What only days to come can tell. */
  readonly later: readonly EvidenceRow[];
  /** Where two fired together, for both of them. */
  readonly remedies: readonly CostlyRemedy[];
}

/** A chance that several fired at once over this is said; our judgement (model 5.1). */
const TWO_FROM = 0.3;
/** Of causes nobody thought of. */
const LEAK = 0.02;
/** A first name less likely than that is no name. */
const LEAST_SHARE = 0.25;
/** A name as likely as that stands alone, whatever else may have fired (model 5.2). */
const ALONE_FROM = 0.6;
const SHOWN = 3;

/**
 * Three causes as sure as may be said, why, what to ask next, and what mends it.
 * @param redo_min minutes of doing the work again
 * @param answered questions a person has answered already
 */
export function diagnose(asked: DiagnosisAsked, redo_min: number, answered: number): Diagnosis {
  const raw = posteriorOf(asked);
  const cases = Object.values(asked.confirmed ?? {}).reduce((sum, count) => sum + count, 0);
  const [first, second] = named(asked, raw);
  const next = nextQuestion(asked, redo_min, answered);
  const several = moreThanOne({ chances: chancesOf(asked), leak: LEAK });
  const says =
    first === undefined || first.id === ANOTHER_CAUSE || first.share < LEAST_SHARE
      ? 'cannot say'
      : several > TWO_FROM && first.share < ALONE_FROM
        ? 'probably two together'
        : 'probably';
  return {
    ...{ asked, raw, says, several },
    shown: named(asked, capped(raw, capOf(cases))).slice(0, SHOWN),
    why: first === undefined || second === undefined ? undefined : explained(asked, first.id, second.id),
    next: asked.table.evidence.find(({ id }) => id === next?.id),
    more: toAsk(asked).filter(({ id }) => id !== next?.id),
    later: asked.table.evidence.filter(
      ({ id, source }) => source === 'asked later' && asked.seen[id] === undefined,
    ),
    remedies:
      says === 'probably two together' && first !== undefined && second !== undefined
        ? remediesForBoth(asked.table, [first.id, second.id], redo_min)
        : remediesOf(asked.table, raw, redo_min),
  };
}
