import {
  type EdgeFinish,
  type FrameKind,
  type GlassUnknown,
  type PaneTreatment,
  type SurfaceCondition,
  isHurt,
} from '../job';
import type { Facing, SunMoment } from '../climate';
import { type FilmOptics, type MakeUp, opticsOfMakeUp } from '../glazing';
import { type Step, type Verdict, worstVerdict } from '../quantity';
import { type Allowable, allowableOf, edgeLengthFactor } from './allowable';
import {
  type AngledAbsorption,
  type DarkBalances,
  type DayStress,
  type StressMoment,
  type StressSetting,
  absorptionOf,
  darkBalances,
  dayStress,
} from './day-stress';
import type { DesignDay } from './design-days';
import { type Circumstances, type MatrixAnswer, compatibility, penaltiesOf } from './matrix';
import { edgeStressSteps } from './stress';
import { DEEP_EDGE_MM, type ShadePattern, edgeHoldOf } from './stress-factors';

/** Everything a verdict on cracking needs to know of one pane of a building or vehicle. */
export interface GlassSituation {
  /** Without any film. */
  readonly bare: MakeUp;
  readonly treatments: readonly PaneTreatment[];
  readonly frame: FrameKind;
  readonly edgeFinish: EdgeFinish;
  readonly edgeDepth_mm: number | null;
  readonly condition: SurfaceCondition;
  readonly edge_m: number | null;
  readonly height_m: number;
  readonly circumstances: Omit<Circumstances, 'hasShadeLine' | 'isSolidFrame' | 'daySwing_K'>;
  /** Behind a wall of a room: the sun never reaches it. */
  readonly isIndoors: boolean;
  /** What had to be taken for want of knowing, in words; each weighs as a default that decides. */
  readonly assumed: readonly string[];
  /** What must be found out before anything can be said. */
  readonly unknown: readonly GlassUnknown[];
  readonly days: readonly DesignDay[];
  readonly suns: readonly (readonly SunMoment[])[];
  readonly facing: Facing | null;
  readonly assumedPattern: ShadePattern | null;
}

export interface PaneStress {
  readonly pane: number;
  readonly moment: StressMoment;
  readonly unfilmed_MPa: number;
  readonly allowable: Allowable | undefined;
  readonly outcome: 'low' | 'check' | 'high' | 'cannot say';
  readonly why: readonly Step[];
}

export interface StressVerdict {
  readonly verdict: Verdict;
  /** The worst first. */
  readonly reasons: readonly string[];
  /** What to do, for 'go with care'; what to find out, for 'unknown'. */
  readonly advice: readonly string[];
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
  const { bare, treatments, condition, edgeFinish, isIndoors, unknown } = situation;
  if (isHurt({ condition }))
    return {
      ...NOTHING,
      verdict: 'stop',
      reasons: [`This glass is ${condition}: any film adds heat to it.`],
      advice: ['Have the pane replaced first; a licensed glazier decides.'],
    };
  if (edgeFinish === 'damaged')
    return {
      ...NOTHING,
      verdict: 'stop',
      reasons: ['The edge of this glass is damaged: there is no number for what it bears.'],
      advice: ['Have the pane replaced first; a licensed glazier decides.'],
    };
  if (treatments.includes('wired'))
    return {
      ...NOTHING,
      verdict: 'stop',
      reasons: ['Wired glass cracks at its wires: it takes film only when its maker says so in writing.'],
      advice: ['Ask the maker of the glass in writing.'],
    };
  if (unknown.length > 0)
    return {
      ...NOTHING,
      verdict: 'unknown',
      reasons: [`Not known: ${unknown.join(', ')}.`],
      advice: unknown.map((what) => HOW_TO_FIND_OUT[what]),
    };
  const makeUp = { ...bare, films: [...bare.films, ...films] };
  if (isIndoors)
    return {
      ...NOTHING,
      verdict: treatments.includes('patterned') ? 'go with care' : 'go',
      reasons: ['No sun reaches this glass: film cannot heat it.'],
      advice: treatments.includes('patterned')
        ? ['Patterned glass: film holds only on its smooth side.']
        : [],
    };
  const absorption = optics?.absorption ?? absorptionOf(makeUp);
  const { hold, isAssumed: frameAssumed } = edgeHoldOf(situation.frame);
  const setting = settingOf(situation);
  const { stress: unfilmed, darkFor } = shared ?? bareStress(situation);
  const filmed = dayStress(
    makeUp,
    absorption,
    situation.days,
    situation.suns,
    setting,
    darkFor(absorption.emissivities),
  );
  const panes = filmed.worst
    .map((moment): PaneStress => {
      const plain = allowableOf(
        treatments[moment.pane] ?? 'unknown',
        bare.panes[moment.pane]?.thickness_mm ?? 0,
        edgeFinish,
      );
      const factor = edgeLengthFactor(situation.edge_m ?? 0);
      const allowable =
        plain === undefined
          ? undefined
          : { ...plain, low_MPa: plain.low_MPa * factor, high_MPa: plain.high_MPa * factor };
      const outcome =
        allowable === undefined
          ? 'cannot say'
          : moment.stress_MPa <= allowable.low_MPa
            ? 'low'
            : moment.stress_MPa <= allowable.high_MPa
              ? 'check'
              : 'high';
      return {
        pane: moment.pane,
        moment,
        unfilmed_MPa: unfilmed.worst.find(({ pane }) => pane === moment.pane)?.stress_MPa ?? 0,
        allowable,
        outcome,
        why: edgeStressSteps(moment.stressCase, allowable?.low_MPa),
      };
    })
    .sort((a, b) => share(b) - share(a));
  const face = films[0]?.face ?? makeUp.panes.length * 2;
  const filmedPane = face <= 2 ? 0 : makeUp.panes.length - 1;
  const absorbed =
    (optics?.absorbed ?? opticsOfMakeUp({ ...makeUp, hasBlind: false }).solar.absorbed)[filmedPane] ?? 0;
  const swing = Math.max(...situation.days.map(({ low_C, high_C }) => high_C - low_C));
  const hasShadeLine =
    situation.assumedPattern !== null && situation.assumedPattern !== 'full sun'
      ? true
      : filmed.worst.some(({ pattern }) => pattern !== 'full sun') || shadeCrosses(situation);
  const matrix =
    films.length === 0
      ? undefined
      : compatibility({
          panes: makeUp.panes.length,
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
          penalties: penaltiesOf({
            ...situation.circumstances,
            hasShadeLine,
            isSolidFrame: hold === 'solid',
            daySwing_K: swing,
          }),
        });
  const failsUnfilmed = unfilmed.worst.some((moment) => {
    const bears = panes.find(({ pane }) => pane === moment.pane)?.allowable;
    return bears !== undefined && moment.stress_MPa > bears.high_MPa;
  });
  const assumed = [
    ...situation.assumed,
    ...(frameAssumed ? ['a metal frame'] : []),
    ...(edgeFinish === 'unseen' || edgeFinish === 'unknown' ? ['an edge nobody has seen'] : []),
  ];
  const byPhysics = panes.map(({ outcome }) => OUTCOME_VERDICT[outcome]);
  const verdict = worstVerdict([
    ...byPhysics,
    ...(matrix === undefined ? [] : [MATRIX_VERDICT[matrix.outcome]]),
    ...(assumed.length > 0 ? ['go with care' as const] : []),
    ...(filmed.hottest_C > SEAL_LIMIT_C && makeUp.panes.length > 1 ? ['go with care' as const] : []),
  ]);
  return {
    verdict,
    reasons: reasonsOf(panes, matrix, filmed.hottest_C, makeUp.panes.length),
    advice: adviceOf(verdict, assumed, failsUnfilmed),
    panes,
    matrix,
    absorbed,
    hours: filmed.hours,
    hottest_C: filmed.hottest_C,
    failsUnfilmed,
  };
}

/** What the sun does to the glass as it is, once for all films. */
export interface BareStress {
  readonly stress: DayStress;
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

const PANE_WORDS = (index: number, count: number): string =>
  count === 1
    ? 'the pane'
    : index === 0
      ? 'the outer pane'
      : index === count - 1
        ? 'the inner pane'
        : 'the middle pane';

function reasonsOf(
  panes: readonly PaneStress[],
  matrix: MatrixAnswer | undefined,
  hottest_C: number,
  count: number,
): readonly string[] {
  const [worst] = panes;
  const hour = worst?.moment.hour ?? 0;
  return [
    ...(worst === undefined
      ? []
      : [
          `${capital(PANE_WORDS(worst.pane, count))} would bear ${worst.moment.stress_MPa.toFixed(1)} MPa at its edge on a ${worst.moment.day} at ${String(Math.floor(hour)).padStart(2, '0')}:00 sun time, ${worst.unfilmed_MPa.toFixed(1)} without this film; ${worst.allowable === undefined ? 'there is no number for what it bears' : `it bears ${worst.allowable.low_MPa.toFixed(1)}${worst.allowable.high_MPa > worst.allowable.low_MPa ? ` to ${worst.allowable.high_MPa.toFixed(1)}` : ''}`}.`,
        ]),
    ...(matrix === undefined
      ? []
      : [
          `Rule of thumb (${matrix.row}${matrix.penalties.length > 0 ? `; ${matrix.penalties.join(', ')}` : ''}): ${MATRIX_WORDS[matrix.outcome]}.`,
        ]),
    ...(hottest_C > SEAL_LIMIT_C && count > 1
      ? [`A pane reaches ${hottest_C.toFixed(0)} °C: the edge seal ages fast above ${SEAL_LIMIT_C} °C.`]
      : []),
  ];
}

const MATRIX_WORDS = {
  low: 'low risk',
  check: 'to be checked',
  no: 'no',
  ask: 'ask the maker of the glass',
} as const;

function adviceOf(verdict: Verdict, assumed: readonly string[], failsUnfilmed: boolean): readonly string[] {
  return [
    ...(failsUnfilmed
      ? ['This pane is at risk already without film: tell the customer before touching it.']
      : []),
    ...(verdict === 'go with care' || verdict === 'stop'
      ? assumed.map((what) => `Taken for want of knowing: ${what}.`)
      : []),
    ...(verdict === 'go with care'
      ? [
          'Look along every edge with a torch for chips before starting; one chip means stop.',
          'Get the word of the makers of the glass and of the film in writing.',
        ]
      : []),
  ];
}

const HOW_TO_FIND_OUT: Readonly<Record<GlassUnknown, string>> = {
  'how many panes': 'Hold a flame or torch to the glass: each pane throws back two reflections.',
  'the kind of glass':
    'Look for a stamp in a corner (toughened, laminated); without one take it for annealed only when the maker says so.',
  'the thickness of the glass':
    'Measure it at an open edge, or with a thickness gauge on the reflections of a torch.',
  'whether it is coated': 'Hold a flame to it: one reflection of another colour is a coating.',
};

function shadeCrosses({ suns, assumedPattern }: GlassSituation): boolean {
  return (
    assumedPattern === null &&
    suns.some((day) =>
      day.some(({ beam_Wm2, shadow }) => beam_Wm2 > 100 && shadow.lit < 0.98 && shadow.lit > 0.02),
    )
  );
}

function share({ moment, allowable }: PaneStress): number {
  return allowable === undefined ? Number.POSITIVE_INFINITY : moment.stress_MPa / allowable.low_MPa;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
