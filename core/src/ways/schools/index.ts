import { CLEANER, CLEANING, CLEARING, FRAME_WATER, SCRUBBER, WATER } from './cleaning';
import { HOLD, SHRINK, SHRINK_ON } from './curved';
import { CORNER, POST_HEAT, PRESSURE, RECESS, STRETCH } from './decor';
import { LINER } from './liner';
import { LAST_PASS, LOCK, STROKE } from './lock';
import { ROW_LINE } from './row';
import type { School, SchoolCase } from './school';
import { AFTER, BLOT, EDGES, TRIM, TRIM_FROM } from './trim';
import { WALL_EDGES } from './wall';

/** Where practitioners disagree: each school with its reason, in the order they are asked. */
export const SCHOOLS = {
  cleaning: CLEANING,
  scrubber: SCRUBBER,
  cleaner: CLEANER,
  water: WATER,
  clearing: CLEARING,
  frameWater: FRAME_WATER,
  rowLine: ROW_LINE,
  liner: LINER,
  lock: LOCK,
  edges: EDGES,
  trim: TRIM,
  trimFrom: TRIM_FROM,
  stroke: STROKE,
  lastPass: LAST_PASS,
  blot: BLOT,
  after: AFTER,
  shrink: SHRINK,
  shrinkOn: SHRINK_ON,
  hold: HOLD,
  corner: CORNER,
  pressure: PRESSURE,
  stretch: STRETCH,
  postHeat: POST_HEAT,
  recess: RECESS,
  wallEdges: WALL_EDGES,
} as const;

export type SchoolKey = keyof typeof SCHOOLS;
/** One answer to each question. */
export type Schools = {
  readonly [Key in SchoolKey]: (typeof SCHOOLS)[Key] extends School<infer Value> ? Value : never;
};

export const SCHOOL_KEYS = Object.keys(SCHOOLS) as readonly SchoolKey[];

/** One question in one case: what is taken, who says so, and what else there is. */
export interface SchoolTaken {
  readonly key: SchoolKey;
  readonly asks: string;
  readonly value: string;
  /** Chosen for this film on this surface, for the whole job, or by the rule. */
  readonly by: 'this surface' | 'the job' | 'the rule';
  readonly because: string;
  /** What was chosen and does not suit, with the reason. It stays chosen and is not followed. */
  readonly refused: { readonly value: string; readonly because: string } | null;
  readonly options: readonly {
    readonly value: string;
    readonly reason: string;
    readonly basis: School['options'][number]['basis'];
    readonly unsuited: string | undefined;
  }[];
}

/** Answers as kept on a row: by key, only those that somebody chose. */
export type ChosenSchools = Readonly<Record<string, string>>;

/**
 * The answer to one question: as chosen for the surface, else for the job, else by the rule. A choice that
 * does not suit the case, or that no longer exists, is named and not followed.
 */
export function schoolTaken(
  key: SchoolKey,
  own: SchoolCase,
  chosen: ChosenSchools,
  ofJob: ChosenSchools = {},
): SchoolTaken {
  const asked: School = SCHOOLS[key];
  const options = asked.options.map(({ value, reason, basis, unsuited }) => ({
    value,
    reason,
    basis,
    unsuited: unsuited?.(own),
  }));
  const picked = asked.pick(own);
  const common = { key, asks: asked.asks, options };
  let refused: SchoolTaken['refused'] = null;
  for (const [by, value] of [
    ['this surface', chosen[key]],
    ['the job', ofJob[key]],
  ] as const) {
    if (value === undefined) continue;
    const option = options.find((one) => one.value === value);
    if (option?.unsuited === undefined && option !== undefined)
      return { ...common, value, by, because: option.reason, refused };
    refused ??= { value, because: option?.unsuited ?? 'there is no such way any more' };
  }
  return { ...common, value: picked.value, by: 'the rule', because: picked.because, refused };
}

/** All answers at once. */
export function schoolsTaken(own: SchoolCase, chosen: ChosenSchools, ofJob: ChosenSchools = {}): Schools {
  return Object.fromEntries(
    SCHOOL_KEYS.map((key) => [key, schoolTaken(key, own, chosen, ofJob).value]),
  ) as unknown as Schools;
}

export type { School, SchoolCase, SchoolOption } from './school';
