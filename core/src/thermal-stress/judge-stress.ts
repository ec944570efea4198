import { isHurt } from '../job';
import { type FilmOptics, opticsOfMakeUp } from '../glazing';
import { type Verdict, worstVerdict, valueAt } from '../quantity';
import {
  type AngledAbsorption,
  type DarkBalances,
  type DayStress,
  type StressSetting,
  absorptionOf,
  darkBalances,
  dayStress,
} from './day-stress';
import type { GlassSituation } from './glass-situation';
import { type MatrixAnswer, compatibility, penaltiesOf } from './matrix';
import { type PaneStress, loadReason, paneStress, shareUsed } from './pane-stress';
import { DEEP_EDGE_MM, edgeHoldOf } from './stress-factors';
import type { GlassAssumption, StressAdvice, StressReason } from './stress-said';

export interface StressVerdict {
  readonly verdict: Verdict;
  /** The worst first. */
  readonly reasons: readonly StressReason[];
  /** What to do, for 'go with care'; what to find out, for 'unknown'. */
  readonly advice: readonly StressAdvice[];
  readonly panes: readonly PaneStress[];
  readonly matrix: MatrixAnswer | undefined;
  readonly absorbed: number;
  readonly hours: DayStress['hours'];
  readonly hottest_C: number;
  readonly failsUnfilmed: boolean;
}

/** Sealed units age fast above this. @source own judgement */
const SEAL_LIMIT_C = 60;
const NOTHING: Omit<StressVerdict, 'verdict' | 'reasons' | 'advice'> = {
  panes: [],
  matrix: undefined,
  absorbed: 0,
  hours: [],
  hottest_C: Number.NEGATIVE_INFINITY,
  failsUnfilmed: false,
};
export const STRESS_CAUTION =
  'The makers of the glass and of the film decide, and warranties on seal and glass may end. Damage already in an edge decides more than any film. Not a structural, wind or safety design; local codes apply.';
const OUTCOME_VERDICT = { low: 'go', check: 'go with care', high: 'stop', 'cannot say': 'unknown' } as const;
const MATRIX_VERDICT = { low: 'go', check: 'go with care', no: 'stop', ask: 'unknown' } as const;

/**
 * Whether this glass may crack behind this film, by two schools; the verdict is the more careful.
 * @param films by face, as they would be fitted
 * @param shared the stress of the bare make-up, made once for many films
 * @param optics of the filmed make-up, where they are at hand
 * @throws CoreError as the make-up's check
 */
export function judgeStress(
  situation: GlassSituation,
  films: readonly { readonly face: number; readonly film: FilmOptics }[],
  shared?: BareStress,
  optics?: { readonly absorption: AngledAbsorption; readonly absorbed: readonly number[] },
): StressVerdict {
  const early = withoutCalculation(situation);
  if (early !== undefined) return early;
  const { bare } = situation;
  const makeUp = { ...bare, films: [...bare.films, ...films] };
  const absorption = optics?.absorption ?? absorptionOf(makeUp);
  const { stress: unfilmed, darkFor } = shared ?? bareStress(situation);
  const dark = darkFor(absorption.emissivities);
  const filmed = dayStress(makeUp, absorption, situation.days, situation.suns, settingOf(situation), dark);
  const panes = filmed.worst
    .map((moment) => paneStress(situation, moment, unfilmed))
    .sort((a, b) => shareUsed(b) - shareUsed(a));
  const filmedPane = (films[0]?.face ?? makeUp.panes.length * 2) <= 2 ? 0 : makeUp.panes.length - 1;
  const absorbed = valueAt(
    optics?.absorbed ?? opticsOfMakeUp({ ...makeUp, hasBlind: false }).solar.absorbed,
    filmedPane,
  );
  const absorbedBare = valueAt(
    shared?.absorbed ?? opticsOfMakeUp({ ...bare, hasBlind: false }).solar.absorbed,
    filmedPane,
  );
  const matrix =
    films.length === 0
      ? undefined
      : byRuleOfThumb(situation, filmed, { face: films[0]?.face, filmedPane, absorbed, absorbedBare });
  const failsUnfilmed = unfilmed.worst.some((moment) => {
    const bears = panes.find(({ pane }) => pane === moment.pane)?.allowable;
    return bears !== undefined && moment.stress_MPa > bears.high_MPa;
  });
  const assumed = assumedOf(situation);
  const verdict = worstVerdict([
    ...panes.map(({ outcome }) => OUTCOME_VERDICT[outcome]),
    ...(matrix === undefined ? [] : [MATRIX_VERDICT[matrix.outcome]]),
    ...(assumed.length > 0 ? ['go with care' as const] : []),
    ...(filmed.hottest_C > SEAL_LIMIT_C && makeUp.panes.length > 1 ? ['go with care' as const] : []),
  ]);
  return {
    verdict,
    reasons: reasonsOf(panes, matrix, filmed.hottest_C),
    advice: adviceOf(verdict, assumed, failsUnfilmed),
    panes,
    matrix,
    absorbed,
    hours: filmed.hours,
    hottest_C: filmed.hottest_C,
    failsUnfilmed,
  };
}

/** Glass that is hurt, wired, unknown or in the shade: no number is needed, or none can be had. */
function withoutCalculation({
  treatments,
  condition,
  edgeFinish,
  isSunless,
  unknown,
}: GlassSituation): StressVerdict | undefined {
  const stop = (reason: StressReason, advice: StressAdvice): StressVerdict => ({
    ...NOTHING,
    verdict: 'stop',
    reasons: [reason],
    advice: [advice],
  });
  const replace = { case: 'have it replaced first' } as const;
  if (isHurt({ condition })) return stop({ case: 'hurt glass', condition }, replace);
  if (edgeFinish === 'damaged') return stop({ case: 'damaged edge' }, replace);
  if (treatments.includes('wired'))
    return stop({ case: 'wired glass' }, { case: 'ask the glass maker in writing' });
  if (unknown.length > 0)
    return {
      ...NOTHING,
      verdict: 'unknown',
      reasons: [{ case: 'glass not known', what: unknown }],
      advice: unknown.map((what) => ({ case: 'find out', what })),
    };
  const isPatterned = treatments.includes('patterned');
  return isSunless
    ? {
        ...NOTHING,
        verdict: isPatterned ? 'go with care' : 'go',
        reasons: [{ case: 'no sun reaches it' }],
        advice: isPatterned ? [{ case: 'smooth side only' }] : [],
      }
    : undefined;
}

/** The other school: a matrix of glass and absorption, with its penalties. */
function byRuleOfThumb(
  situation: GlassSituation,
  filmed: DayStress,
  {
    face,
    filmedPane,
    absorbed,
    absorbedBare,
  }: {
    readonly face: number | undefined;
    readonly filmedPane: number;
    readonly absorbed: number;
    readonly absorbedBare: number;
  },
): ReturnType<typeof compatibility> {
  const { bare, treatments, assumedPattern, days, circumstances, frame } = situation;
  const hasShadeLine =
    (assumedPattern !== null && assumedPattern !== 'full sun') ||
    filmed.worst.some(({ pattern }) => pattern !== 'full sun') ||
    shadeCrosses(situation);
  return compatibility({
    panes: bare.panes.length,
    treatment: treatments[filmedPane] ?? 'unknown',
    allTempered:
      treatments.length > 0 &&
      treatments.every((treatment) => treatment === 'toughened' || treatment === 'heat strengthened'),
    thickness_mm: bare.panes[filmedPane]?.thickness_mm ?? 0,
    isOutside: face === 1,
    isCoated: bare.panes.some(({ coating }) => (coating ?? null) !== null),
    isTintedOuter: !['clear', 'low iron'].includes(bare.panes[0]?.tint ?? 'clear'),
    isUnsure: false,
    absorbed,
    absorbedBare,
    penalties: penaltiesOf({
      ...circumstances,
      hasShadeLine,
      isSolidFrame: edgeHoldOf(frame).hold === 'solid',
      daySwing_K: Math.max(...days.map(({ low_C, high_C }) => high_C - low_C)),
    }),
  });
}

function assumedOf({ assumed, frame, edgeFinish }: GlassSituation): readonly GlassAssumption[] {
  return [
    ...assumed,
    ...(edgeHoldOf(frame).isAssumed ? [{ case: 'a metal frame' } as const] : []),
    ...(edgeFinish === 'unseen' || edgeFinish === 'unknown'
      ? [{ case: 'an edge nobody has seen' } as const]
      : []),
  ];
}

/** What the sun does to the glass as it is, once for all films. */
export interface BareStress {
  readonly stress: DayStress;
  /** Share of the sun in each pane. */
  readonly absorbed: readonly number[];
  readonly darkFor: (emissivities: AngledAbsorption['emissivities']) => DarkBalances;
}

export function bareStress(situation: GlassSituation): BareStress {
  const { bare, days, suns } = situation;
  const absorption = absorptionOf(bare);
  const setting = settingOf(situation);
  const kept = new Map<string, DarkBalances>();
  const darkFor: BareStress['darkFor'] = (emissivities) => {
    const key = emissivities.map((pair) => pair.join(' ')).join(' ');
    const found = kept.get(key) ?? darkBalances(bare, emissivities, days, suns[0]?.length ?? 0, setting);
    kept.set(key, found);
    return found;
  };
  return {
    darkFor,
    absorbed: opticsOfMakeUp({ ...bare, hasBlind: false }).solar.absorbed,
    stress: dayStress(bare, absorption, days, suns, setting, darkFor(absorption.emissivities)),
  };
}

function settingOf({
  frame,
  edgeDepth_mm,
  assumedPattern,
  circumstances,
  height_m,
}: GlassSituation): StressSetting {
  return {
    hold: edgeHoldOf(frame).hold,
    isDeep: (edgeDepth_mm ?? 0) > DEEP_EDGE_MM,
    assumedPattern,
    hasHeater: circumstances.heatOutlet === 'near or aimed at the glass',
    height_m,
  };
}

function reasonsOf(
  panes: readonly PaneStress[],
  matrix: MatrixAnswer | undefined,
  hottest_C: number,
): readonly StressReason[] {
  const [worst] = panes;
  return [
    ...(worst === undefined ? [] : [loadReason(worst, panes.length)]),
    ...(matrix === undefined ? [] : [{ case: 'rule of thumb', matrix } as const]),
    ...(hottest_C > SEAL_LIMIT_C && panes.length > 1
      ? [{ case: 'hot seal', hottest_C, limit_C: SEAL_LIMIT_C } as const]
      : []),
  ];
}

function adviceOf(
  verdict: Verdict,
  assumed: readonly GlassAssumption[],
  failsUnfilmed: boolean,
): readonly StressAdvice[] {
  return [
    ...(failsUnfilmed ? [{ case: 'tell the customer it is at risk' } as const] : []),
    ...(verdict === 'go with care' || verdict === 'stop'
      ? assumed.map((what) => ({ case: 'taken for want of knowing', what }) as const)
      : []),
    ...(verdict === 'go with care'
      ? [{ case: 'look along every edge' } as const, { case: 'word of the makers' } as const]
      : []),
  ];
}

function shadeCrosses({ suns, assumedPattern }: GlassSituation): boolean {
  return (
    assumedPattern === null &&
    suns.some((day) =>
      day.some(({ beam_Wm2, shadow }) => beam_Wm2 > 100 && shadow.lit < 0.98 && shadow.lit > 0.02),
    )
  );
}
