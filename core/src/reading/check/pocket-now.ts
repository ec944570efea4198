import type { PocketTests } from '../../job';
import { mmFromNm } from '../../quantity';
import { RULES } from '../../rules';
import { ordinaryStill } from '../../waiting';
import type { JudgedMark, JudgedSurface } from './marks';

const DAY_MS = 86_400_000;

/** Why a pocket is no ordinary one, whatever its age (model 2.6). */
export type NotOrdinary = 'large' | Exclude<PocketTests['shape'], 'alone' | 'not tried'> | 'past its date';

/** A pocket of water as it stands on a day. */
interface PocketNow {
  readonly age_days: number;
  /** Chance that it is ordinary drying, by its age alone. */
  readonly ordinary: number;
  readonly against: readonly NotOrdinary[];
}

/**
 * Whether a pocket may be ordinary drying. Undefined: it is none, is gone, or nobody knows how long film
 * like this takes.
 */
export function pocketNow(
  { mark }: Pick<JudgedMark, 'mark'>,
  { drying }: Pick<JudgedSurface, 'drying'>,
  now_ms: number,
): PocketNow | undefined {
  const { laid_ms, half_days, deviation, until_ms } = drying;
  const isPocket = mark.look === 'water pocket' || mark.look === 'bubble';
  if (!isPocket || mark.goneAt !== null || laid_ms === null || half_days === null) return undefined;
  const age_days = Math.max(0, (now_ms - laid_ms) / DAY_MS);
  const { shape } = mark.tests;
  const against: readonly (NotOrdinary | undefined)[] = [
    mark.size_nm !== null && mmFromNm(mark.size_nm) > RULES.pocketOver.value ? 'large' : undefined,
    shape === 'alone' || shape === 'not tried' ? undefined : shape,
    until_ms !== null && now_ms > until_ms ? 'past its date' : undefined,
  ];
  return {
    age_days,
    ordinary: ordinaryStill(age_days, { half_days, deviation }),
    against: against.filter((one) => one !== undefined),
  };
}
