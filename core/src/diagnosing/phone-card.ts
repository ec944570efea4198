import { RULES } from '../rules';

/** What a caller sees. */
export const CALLER_SEES = [
  'a crack in the glass',
  'bubbles or haze',
  'film comes off',
  'something else',
] as const;
export type CallerSees = (typeof CALLER_SEES)[number];

/** Three questions to a caller; null: not known, or not asked yet. */
export interface CallSaid {
  readonly sees: CallerSees | null;
  /** Days since it was laid. */
  readonly days: number | null;
  /** It gets worse day by day, hangs in the way, or is on a door, a vehicle's pane, glass that must hold. */
  readonly isInTheWay: boolean | null;
}

/** What the caller is told. */
export interface CallAnswer {
  readonly says: 'normal' | 'come by' | 'stop using it';
  readonly why:
    | 'a licensed glazier decides'
    | 'loose film in the way'
    | 'it dries by itself'
    | 'past its days'
    | 'nobody knows when it was laid'
    | 'it gets worse'
    | 'to be looked at';
  /** Days from the laying on until which it may dry; null: nothing to wait for. */
  readonly until_days: number | null;
}

const answer = (
  says: CallAnswer['says'],
  why: CallAnswer['why'],
  until_days: number | null = null,
): CallAnswer => ({ says, why, until_days });

/**
 * Normal, come by, or stop using it; undefined while a question is open that would change it.
 * @param driesIn_days upper date of the film, where it is ours; else the custom of the trade
 */
export function callAnswer(
  { sees, days, isInTheWay }: CallSaid,
  driesIn_days: number = RULES.driesByCustom.value,
): CallAnswer | undefined {
  switch (sees) {
    case null:
      return undefined;
    case 'a crack in the glass':
      return answer('stop using it', 'a licensed glazier decides');
    case 'film comes off':
      if (isInTheWay === null) return undefined;
      return isInTheWay
        ? answer('stop using it', 'loose film in the way')
        : answer('come by', 'to be looked at');
    case 'bubbles or haze':
      if (isInTheWay === null) return undefined;
      if (isInTheWay) return answer('come by', 'it gets worse');
      if (days === null) return answer('come by', 'nobody knows when it was laid');
      return days <= driesIn_days
        ? answer('normal', 'it dries by itself', driesIn_days)
        : answer('come by', 'past its days');
    case 'something else':
      return answer('come by', 'to be looked at');
  }
}
