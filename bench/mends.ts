import { type Reading, checkSurface, sdOf, blunderFixes } from '@yellow-pane/core/measure';
import type { SurfaceShape } from '@yellow-pane/core/job';
import { seededRandom } from '@yellow-pane/core/quantity';
import type { Row } from './run';

type At = Readonly<Record<string, readonly [number, number]>>;
interface Case {
  readonly what: string;
  readonly shape: SurfaceShape;
  readonly pairs: readonly (readonly [string, string])[];
}

const TRIALS = 1000;
const SIX = [
  ['tl', 'tr'],
  ['bl', 'br'],
  ['tl', 'bl'],
  ['tr', 'br'],
  ['tl', 'br'],
  ['bl', 'tr'],
] as const;
const EIGHT = [...SIX, ['ml', 'mr'], ['mt', 'mb']] as const;
const CASES: readonly Case[] = [
  { what: 'four sides, six measures', shape: 'four sides', pairs: SIX },
  { what: 'four sides, eight', shape: 'four sides', pairs: EIGHT },
  {
    what: 'four sides, eight and two deciders',
    shape: 'four sides',
    pairs: [...EIGHT, ['bl', 'mr'], ['tl', 'mr']],
  },
  { what: 'panel, eight', shape: 'panel', pairs: EIGHT },
  { what: 'wall, eight', shape: 'wall', pairs: EIGHT },
  {
    what: 'five corners, all ten lengths',
    shape: 'many sides',
    pairs: [1, 2, 3, 4, 5].flatMap((a) =>
      [1, 2, 3, 4, 5].filter((b) => b > a).map((b) => [`p${a}`, `p${b}`] as const),
    ),
  },
];

/**
 * Of the mends offered first, how many put right the measure that was wrong: one slip of 10 cm in each trial,
 * honest scatter on the rest.
 */
export function mendsOfferedFirst(): Promise<readonly Row[]> {
  return Promise.resolve(
    CASES.map(({ what, shape, pairs }) => {
      const random = seededRandom(20261129);
      const gauss = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
      const between = (low: number, high: number): number => low + (high - low) * random();
      let [offered, right, wronglyAlone] = [0, 0, 0];
      for (let trial = 0; trial < TRIALS; trial += 1) {
        const at = shape === 'many sides' ? star(between) : pane(between);
        const wrong = trial % pairs.length;
        const readings = pairs.map(([from, to], index): Reading => {
          const [a, b] = [at[from] ?? [0, 0], at[to] ?? [0, 0]];
          const exact: Reading = {
            id: `${from}-${to}`,
            kind: 'distance',
            from,
            to,
            value_mm: Math.hypot(a[0] - b[0], a[1] - b[1]),
            instrument: 'tape',
          };
          return {
            ...exact,
            value_mm:
              Math.round(exact.value_mm + gauss() * sdOf(exact)) +
              (index === wrong ? (random() < 0.5 ? -100 : 100) : 0),
          };
        });
        const input = { shape, ...(shape === 'many sides' ? { corners: 5 } : {}), readings };
        const check = checkSurface(input);
        const suspects =
          check.state === 'impossible'
            ? check.suspects
            : 'agreement' in check && check.agreement.kind === 'disagree'
              ? check.agreement.suspects
              : [];
        if (suspects.length === 1 && suspects[0]?.id !== readings[wrong]?.id) wronglyAlone += 1;
        const [first] = blunderFixes(input, check, new Map());
        if (first === undefined) continue;
        offered += 1;
        if (first.id === readings[wrong]?.id) right += 1;
      }
      const share = offered === 0 ? 1 : right / offered;
      return {
        what: `mend offered first is the right one: ${what}, ${TRIALS} slips of 10 cm`,
        wanted: '95 % of those offered, or none',
        got:
          offered === 0
            ? 'none offered'
            : `${(100 * share).toFixed(1)} % of ${offered}; another accused alone in ${((100 * wronglyAlone) / TRIALS).toFixed(1)} %`,
        isMet: share >= 0.95 && wronglyAlone <= 0.05 * TRIALS,
      };
    }),
  );
}

function pane(between: (low: number, high: number) => number): At {
  const [w, h] = [between(600, 1600), between(800, 2400)];
  const [tl, tr, br, bl] = [
    [0, 0],
    [w, between(-4, 4)],
    [w + between(-4, 4), h + between(-4, 4)],
    [between(-4, 4), h],
  ] as const;
  const middle = (a: readonly [number, number], b: readonly [number, number]): readonly [number, number] => [
    (a[0] + b[0]) / 2,
    (a[1] + b[1]) / 2,
  ];
  return { tl, tr, br, bl, mt: middle(tl, tr), mr: middle(tr, br), mb: middle(br, bl), ml: middle(bl, tl) };
}

function star(between: (low: number, high: number) => number): At {
  return Object.fromEntries(
    [1, 2, 3, 4, 5].map((n) => {
      const far = between(400, 900);
      return [
        `p${n}`,
        [far * Math.cos((2 * Math.PI * n) / 5 - 2), far * Math.sin((2 * Math.PI * n) / 5 - 2)] as const,
      ];
    }),
  );
}
