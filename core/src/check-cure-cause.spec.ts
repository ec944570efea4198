import { grownBy, permeabilityAt, pocketLife, pocketWidth } from './waiting/oracles/pocket-models';
import { robustTimeLaw, timeNotOver } from './quoting/oracles/time-laws';
import { workCostOver } from './quoting/oracles/cost-laws';
import { firedGiven } from './diagnosing/oracles/cause-laws';
import { leftByMeniscus, leftBySoftEdge } from './strokes/oracles/blade-residue';
import { overlapFor, ridgeHeight, timesOver } from './strokes/oracles/stroke-laws';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import { type DiagnosedLook, MATERIAL_NOT_STATED } from './job';
import {
  type Face,
  areaOfFace,
  coverageOf,
  faceOf,
  findingsOf,
  lanesOver,
  leftAfter,
  leftByStrip,
  lengthOf,
  lineChance,
  lineWidth,
  passesUntil,
  planStrokes,
  squareStroke,
  tentRadius,
} from './strokes';
import { type Pin, RULE_SETS, brokenRules } from './judging';
import { foundBySearch, gapContrast, gazeStrip, leastAngle, stripsOver } from './looking';
import {
  LOOK_TABLES,
  brierScore,
  capped,
  moreThanOne,
  posteriorOf,
  questionWorth,
  remediesOf,
} from './diagnosing';
import { type QuoteCase, QuoteDraws, type TimePrior, type Used, meanCost, partsOf, timeLaw } from './quoting';
import { DRYING_FORMULAS, clearingDay, cureDays, inSeries, ordinaryStill, vapourThrough } from './waiting';

type Inputs = Readonly<Record<string, unknown>>;
interface Check {
  readonly id: string;
  readonly inputs: Inputs;
  readonly expected?: unknown;
  readonly expectedRange?: readonly [number, number];
  readonly tolerance?: { readonly must: number };
}

const { checks, shapes } = JSON.parse(
  readFileSync(new URL('./fixtures/check-cure-cause.json', import.meta.url), 'utf8'),
) as {
  readonly checks: readonly Check[];
  readonly shapes: Readonly<Record<string, readonly (readonly (readonly [number, number])[])[]>>;
};

const number = (value: unknown): number => Number(value);
/** The checks take vapour by the Magnus formula; the program takes it from the steam tables. */
const magnus_kPa = (at_C: number): number => 0.6112 * Math.exp((17.62 * at_C) / (243.12 + at_C));
const through = (inputs: Inputs): number => number(inputs['P']) * number(inputs['f'] ?? 1);

/** The paper has metres. */
const MM = 1000;
const UM = 1e6;
type Rings = readonly (readonly (readonly [number, number])[])[];
const faceFrom = (rings: Rings): Face =>
  faceOf(rings.map((ring) => ring.map(([x, y]) => ({ x: x * MM, y: y * MM }))));
const shapeOf = (inputs: Inputs): Face => faceFrom(shapes[String(inputs['shape'])] ?? []);
const strokesOf = (inputs: Inputs) =>
  (inputs['strokes'] as readonly { a: [number, number]; b: [number, number]; w: number }[]).map(
    ({ a, b, w }, index) =>
      squareStroke(
        `stroke ${index + 1}`,
        { x: a[0] * MM, y: a[1] * MM },
        { x: b[0] * MM, y: b[1] * MM },
        w * MM,
      ),
  );
const toolOf = (inputs: Inputs) => {
  const { w, o } = inputs['tool'] as { readonly w: number; readonly o: number };
  return { blade_mm: w * MM, overlap_mm: o * MM, card_mm: 40 };
};
const planOf = (inputs: Inputs) =>
  planStrokes(shapeOf(inputs), toolOf(inputs), {
    lock: 'centre line',
    first: 'right',
    cell_mm: number(inputs['cell'] ?? 0.02) * MM,
  });
const passesOf = (inputs: Inputs) => ({
  laid: number(inputs['h0_um'] ?? inputs['h0']),
  left: number(inputs['hp_um'] ?? inputs['hp']),
  leak: number(inputs['k']),
});

/** What each family of checks asks of the program. */
const diagnosisOf = ({ look, seen, present, lambda, alphaOther, m0, confirmed }: Inputs) => ({
  table: LOOK_TABLES[look as DiagnosedLook],
  seen: seen as Readonly<Record<string, string>>,
  present: (present ?? {}) as Readonly<Record<string, number>>,
  confirmed: (confirmed ?? {}) as Readonly<Record<string, number>>,
  ...{ lambda: number(lambda), alphaOther: number(alphaOther) },
  ...(m0 === undefined ? {} : { m0: number(m0) }),
});
/** The last part of such an id names the cause. */
const shareOf = (
  { table }: ReturnType<typeof diagnosisOf>,
  shares: readonly number[],
  id: string,
): number | undefined => {
  const cause = id.split('.').at(-1);
  return shares[cause === 'other' ? table.causes.length : table.causes.findIndex((own) => own.id === cause)];
};
const worthOf = (inputs: Inputs) => {
  const asked = diagnosisOf(inputs);
  const row = asked.table.evidence.find(({ id }) => id === inputs['ask']);
  if (row === undefined) throw new Error(`no evidence ${String(inputs['ask'])}`);
  return questionWorth(asked, row, number(inputs['redo_min'] ?? 150));
};

/** Money of a quote, as the paper has it; a chance that is certain is a Beta law of very many pieces. */
function quoteOf({ fixed, labour, sdShared, rate, redo }: Inputs): QuoteCase {
  const again = redo as { n: number; p: number; mean: number; sdLog: number } | undefined;
  return {
    ...{ fixed: number(fixed), rate: number(rate), shared: number(sdShared) },
    work: (labour as readonly { median: number; sd: number }[]).map(({ median, sd }) => ({
      median_min: median,
      deviation: sd,
    })),
    chances:
      again === undefined
        ? []
        : [
            {
              ...{ pieces: again.n, came: again.p * 1e9, not: (1 - again.p) * 1e9 },
              ...{ mean: again.mean, deviation: again.sdLog, once: 0 },
            },
          ],
  };
}

const usedOf = (own: Inputs): readonly [Used, Used] =>
  (['plan', 'act'] as const).map((which) => ({
    quantity: number(own[`${which}Qty`]),
    use: number(own[`${which}Use`]),
    price: number(own[`${which}Price`]),
  })) as unknown as readonly [Used, Used];

const ASKED: Readonly<Record<string, (inputs: Inputs, id: string) => unknown>> = {
  'see.min': ({ L_cdm2, contrast, factor }) => leastAngle(number(L_cdm2), number(contrast), number(factor)),
  'see.never': ({ L_cdm2, contrast, factor }) =>
    leastAngle(number(L_cdm2), number(contrast), number(factor)) ?? 'never',
  'see.gap': ({ Tglass, Tfilm }) => gapContrast(number(Tglass), number(Tfilm)),
  'see.search': ({ width, speed, t, A }) =>
    foundBySearch({ width: number(width), speed: number(speed), time: number(t), area: number(A) }),
  'see.strips': ({ H, D, halfAngle_deg, overlapShare }) =>
    stripsOver(number(H), gazeStrip(number(D), number(halfAngle_deg)), number(overlapShare)),
  'rule.lam': ({ pane_mm, pins }) => {
    const { w, h } = pane_mm as { readonly w: number; readonly h: number };
    const set = RULE_SETS.find(({ name }) => name === 'laminated glass kind');
    const face = faceOf([
      [
        { x: 0, y: 0 },
        { x: w, y: 0 },
        { x: w, y: h },
        { x: 0, y: h },
      ],
    ]);
    const own = (pins as readonly { x: number; y: number; size: number }[]).map(
      ({ x, y, size }, index): Pin => ({
        ...{ id: String(index), look: 'speck', x, y, size_mm: size, length_mm: null },
        ...{ isMoisture: 'no', isNewInGlass: 'no' },
      }),
    );
    return set === undefined
      ? []
      : brokenRules(face, own, set).map(({ rule, allowed }) =>
          rule === 'cluster'
            ? 'cluster'
            : rule.zone === 'edge'
              ? 'edge over 5 mm'
              : allowed === 0 && rule.to_mm === null
                ? 'over 3 mm'
                : 'count',
        );
  },
  'sq.strip': ({ l, mu, U, N }) =>
    UM * leftByStrip({ contact: number(l), viscosity: number(mu), speed: number(U), load: number(N) }),
  'sq.soft': ({ R, mu, U, N, Ep }) =>
    UM *
    leftBySoftEdge({
      ...{ radius: number(R), viscosity: number(mu), speed: number(U), load: number(N) },
      stiffness: number(Ep),
    }),
  'sq.bret': ({ Rm, mu, U, gamma }) =>
    UM *
    leftByMeniscus({ radius: number(Rm), viscosity: number(mu), speed: number(U), tension: number(gamma) }),
  'sq.pass': (inputs) => leftAfter(passesOf(inputs), number(inputs['n'])),
  'sq.need': (inputs) => passesUntil(passesOf(inputs), number(inputs['goal'])),
  'sq.times': ({ w, o }) => timesOver(number(w), number(o)).shareOnceMore,
  'sq.gapP': ({ o_mm, s_mm }) => lineChance(number(o_mm), number(s_mm)),
  'sq.gapW': ({ o_mm, s_mm }) => lineWidth(number(o_mm), number(s_mm)),
  'sq.over': ({ p, s_mm }) => overlapFor(number(p), number(s_mm)),
  'sq.ridge': ({ w_mm, hin_um, hout_um, side, b_mm }) =>
    ridgeHeight({
      ...{ blade: number(w_mm), before: number(hin_um), after: number(hout_um) },
      ...{ side: number(side), ridge: number(b_mm) },
    }),
  'sq.tent': ({ D, d, G }) => 1000 * tentRadius(number(D), number(d), number(G)),
  'cov.area': (inputs) => areaOfFace(shapeOf(inputs)) / (MM * MM),
  'cov.lanes': (inputs) => coverageOf(shapeOf(inputs), strokesOf(inputs)).share,
  'cov.plan.lanes': (inputs) =>
    new Set(
      planOf(inputs).strokes.flatMap(({ part, path }) =>
        part === 'lane' ? (path[0]?.y.toFixed(6) ?? []) : [],
      ),
    ).size,
  'cov.plan.share': (inputs) => planOf(inputs).coverage.share,
  'cov.plan.traps': (inputs) => {
    const { vents, lifted } = planOf(inputs).findings;
    return vents + lifted.length;
  },
  'cov.plan.path': (inputs) => planOf(inputs).strokes.reduce((sum, stroke) => sum + lengthOf(stroke), 0) / MM,
  'cov.trap': (inputs) =>
    findingsOf(faceFrom(inputs['rings'] as Rings), strokesOf(inputs), {
      blade_mm: 100,
      cell_mm: number(inputs['cell']) * MM,
    }).vents,
  'cov.count': ({ H, w, o }) => lanesOver(number(H), { blade_mm: number(w), overlap_mm: number(o) }),
  'dry.P': (inputs) =>
    vapourThrough({
      ...MATERIAL_NOT_STATED,
      family: 'solar',
      thickness_um: number(inputs['d_mm']) * 1000,
      vapourRate_gm2day: number(inputs['wvtr_gm2day']),
    }).value,
  'dry.even': (inputs) =>
    DRYING_FORMULAS.even.of({
      water_gm2: number(inputs['w']),
      film_mm: number(inputs['d_mm']),
      through: through(inputs),
      drop_kPa: magnus_kPa(number(inputs['Tg'])) - number(inputs['rh']) * magnus_kPa(number(inputs['Tr'])),
    }),
  'dry.clear': (inputs) =>
    clearingDay(
      (number(inputs['w']) * number(inputs['d_mm'])) / through(inputs),
      (inputs['days_kPa'] as readonly (readonly [number, number])[]).map(([days, drop_kPa]) => ({
        days,
        drop_kPa,
      })),
    ),
  'dry.arr': ({ P, E, T }) => permeabilityAt(number(P), number(E), number(T)),
  'dry.series': ({ layers }) =>
    inSeries(
      (layers as readonly { d: number; P: number }[]).map(({ d, P }) => ({ thick_mm: d, through: P })),
    ),
  'dry.pocket': ({ h_mm, j_gm2day }) => pocketLife(number(h_mm), number(j_gm2day)).most_days,
  'dry.pocket.half': ({ D0_mm, h_mm, j_gm2day }) => {
    const life = pocketLife(number(h_mm), number(j_gm2day));
    return pocketWidth(number(D0_mm), life, life.most_days / 2);
  },
  'dry.normal': ({ t, t50, s, pDefect }) =>
    ordinaryStill(number(t), {
      half_days: number(t50),
      deviation: number(s),
      outOfOrder: number(pDefect),
    }),
  'sq.sun': ({ T1, T2, wet, P }) =>
    grownBy(number(T1), number(T2), { isWet: wet === true, pressure_Pa: number(P) }),
  'cure.clock': ({ T, days, E_Jmol }) =>
    cureDays([{ days: number(days), film_C: number(T) }], number(E_Jmol)),
  'cure.mixed': ({ hist, E_Jmol }) =>
    cureDays(
      (hist as readonly { T: number; days: number }[]).map(({ T, days }) => ({ days, film_C: T })),
      number(E_Jmol),
    ),
  'why.post': (inputs, id) => shareOf(diagnosisOf(inputs), posteriorOf(diagnosisOf(inputs)), id),
  'why.gain': (inputs) => worthOf(inputs).gain_bit,
  'why.worth': (inputs) => worthOf(inputs).worth_min,
  'why.cap': (inputs) => Math.max(...capped(posteriorOf(diagnosisOf(inputs)), number(inputs['cap']))),
  'why.fired': ({ p, leak, i }) =>
    firedGiven({ chances: p as readonly number[], leak: number(leak) }, number(i)),
  'why.two': ({ p, leak }) => moreThanOne({ chances: p as readonly number[], leak: number(leak) }),
  'why.brier': ({ pairs }) =>
    brierScore(
      (pairs as readonly (readonly [number, number])[]).map(([chance, came]) => ({
        chance,
        came: came === 1,
      })),
    ),
  'why.remedy': (inputs) =>
    remediesOf(diagnosisOf(inputs).table, posteriorOf(diagnosisOf(inputs)), number(inputs['redo_min']))[0]
      ?.cost_min,
  'rate.pred': ({ X, y, prior, x, p }) =>
    timeNotOver(
      number(p),
      x as readonly number[],
      timeLaw(prior as TimePrior, X as readonly (readonly number[])[], y as readonly number[]),
    ),
  'rate.robust': ({ X, y, yClean, prior, x }) => {
    const median = (times: unknown): number =>
      timeNotOver(
        0.5,
        x as readonly number[],
        robustTimeLaw(prior as TimePrior, X as readonly (readonly number[])[], times as readonly number[]),
      );
    return median(y) / median(yClean);
  },
  'rate.pool': ({ X, y, prior }) =>
    timeLaw(prior as TimePrior, X as readonly (readonly number[])[], y as readonly number[]).m[0],
  'rate.prior': ({ m0, v0, a0, b0, x }) =>
    timeNotOver(0.5, x as readonly number[], timeLaw({ m0, v0, a0, b0 } as unknown as TimePrior, [], [])),
  'rate.beta': ({ a, b, k, n, interval, end }) =>
    betaQuantile(
      (1 + (end === 'upper' ? 1 : -1) * number(interval)) / 2,
      number(a) + number(k),
      number(b) + number(n) - number(k),
    ),
  'num.t7': ({ p, df }) => tQuantile(number(p), number(df)),
  'num.t20': ({ p, df }) => tQuantile(number(p), number(df)),
  'num.n': ({ p }) => normalQuantile(number(p), 0, 1),
  'quote.mean': (inputs) => meanCost(quoteOf(inputs)),
  'quote.q': (inputs) => workCostOver(quoteOf(inputs), number(inputs['exceededWith'])),
  'quote.redo': (inputs) => new QuoteDraws(quoteOf(inputs), 27, 60_000).over(number(inputs['exceededWith'])),
  'var.qty': (inputs) => partsOf(...usedOf(inputs)).quantity,
  'var.eff': (inputs) => partsOf(...usedOf(inputs)).efficiency,
  'var.rate': (inputs) => partsOf(...usedOf(inputs)).rate,
  'var.sum': (inputs) => {
    const { quantity, efficiency, rate } = partsOf(...usedOf(inputs));
    return quantity + efficiency + rate;
  },
};

/** Not built yet: learning over jobs, practice. */
const TO_COME = /^(rate\.(eb|greater|binom)|chart|learn|wilk)\b/;

function meets(value: unknown, { id, expected, expectedRange, tolerance }: Check): boolean {
  if (expectedRange !== undefined)
    return number(value) >= expectedRange[0] && number(value) <= expectedRange[1];
  // A shorter way is better, and so are fewer lanes.
  if (/^cov\.plan\.(path|lanes)/.test(id)) return number(value) <= number(expected) + (tolerance?.must ?? 0);
  if (expected === null) return value === null;
  if (typeof expected === 'number')
    return Math.abs(number(value) - expected) <= (tolerance?.must ?? 0) + 1e-12;
  return JSON.stringify(value) === JSON.stringify(expected);
}

describe('does the program agree with the paper on looking, drying and causes?', () => {
  it('there are 163 checks, each asked of the program or to come', () => {
    expect(checks).toHaveLength(163);
  });
  for (const check of checks) {
    const asked =
      ASKED[check.id.split('.').slice(0, 3).join('.')] ?? ASKED[check.id.split('.').slice(0, 2).join('.')];
    if (asked === undefined && TO_COME.test(check.id)) it.todo(check.id);
    else
      it(check.id, () => {
        expect(asked).toBeDefined();
        expect({
          value: asked?.(check.inputs, check.id),
          meets: meets(asked?.(check.inputs, check.id), check),
        }).toMatchObject({
          meets: true,
        });
      });
  }
});
