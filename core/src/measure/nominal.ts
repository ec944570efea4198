import type { MeasureKind, SurfaceShape } from '../job';
import { checkSurface } from './check-surface';
import type { Reading } from './reading';
import type { Figure } from './surface-check';

type Nominal = readonly (readonly [kind: MeasureKind, from: string, to: string, value_mm: number])[];

const FACE = (width: number, height: number): Nominal => [
  ['distance', 'tl', 'tr', width],
  ['distance', 'tl', 'bl', height],
];

const NOMINAL: Readonly<Record<Exclude<SurfaceShape, 'many sides'>, Nominal>> = {
  'four sides': FACE(900, 1200),
  'three sides': [
    ['distance', 'bl', 'br', 1200],
    ['distance', 'bl', 'tp', 1100],
    ['distance', 'br', 'tp', 1100],
  ],
  'arched top': [
    ['distance', 'tl', 'tr', 1000],
    ['distance', 'tl', 'bl', 1000],
    ['height over', 'ct', 'mt', 350],
  ],
  round: [['distance', 'ml', 'mr', 900]],
  oval: [
    ['distance', 'ml', 'mr', 1200],
    ['distance', 'mt', 'mb', 800],
  ],
  'rounded corners': [...FACE(1100, 800), ['radius', 'tl', 'tl', 120]],
  'curved glass': FACE(1200, 760),
  wall: FACE(4000, 2600),
  'round column': [
    ['distance', 'floor', 'top', 2600],
    ['circumference', 'floor', 'floor', 1900],
  ],
  'square column': [
    ['distance', 'floor', 'top', 2600],
    ['distance', 'a', 'b', 600],
  ],
  panel: FACE(900, 1700),
  moulding: FACE(1500, 700),
};

/** A figure to draw, dashed, before anything is measured: where the fields go, not what the surface is. */
export function nominalFigure(shape: SurfaceShape, corners: number | null): Figure {
  const taken = shape === 'many sides' ? regular(corners ?? 5) : NOMINAL[shape];
  const readings = taken.map(([kind, from, to, value_mm], index): Reading => ({
    id: String(index),
    kind,
    from,
    to,
    value_mm,
    instrument: 'guess',
  }));
  const check = checkSurface({ shape, corners, readings });
  if (!('figure' in check)) throw new RangeError(`no nominal figure of ${shape}`);
  return check.figure;
}

function regular(count: number): Nominal {
  const at = (n: number): readonly [number, number] => [
    500 * Math.cos((2 * Math.PI * n) / count),
    500 * Math.sin((2 * Math.PI * n) / count),
  ];
  const between = (a: number, b: number): number => Math.hypot(at(a)[0] - at(b)[0], at(a)[1] - at(b)[1]);
  const sides = Array.from(
    { length: count },
    (_, n) => ['distance', `p${n + 1}`, `p${((n + 1) % count) + 1}`, between(n, n + 1)] as const,
  );
  const fan = Array.from(
    { length: Math.max(0, count - 3) },
    (_, n) => ['distance', 'p1', `p${n + 3}`, between(0, n + 2)] as const,
  );
  return [...sides, ...fan];
}
