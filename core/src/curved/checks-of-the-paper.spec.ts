import { lanesOverRectangle } from '../strokes/oracles/stroke-laws';
import { readFileSync } from 'node:fs';
import { describe, expect, it, test } from '@jest/globals';
import { type EscapeNet, closedMaxima, firstTrap } from '../strokes';
import { checkSurface, type Reading } from '../measure';
import {
  type CurvedPatch,
  balancedLine,
  boxCorner,
  fibreAt,
  filmLine,
  flatCone,
  slopeOfFold,
  slopeQuick,
  strainInHollow,
  strainRoundEdge,
  surplusOf,
  wayAt,
} from './index';
import {
  capOfSphere,
  closureOf,
  evenLine,
  strainOnRing,
  strainOnSphere,
  surplusOnSphere,
  turnedOnSphere,
  turningSag,
} from './oracles/closed-forms';

type Figures = Readonly<Record<string, number | readonly number[]>>;
interface Check {
  readonly id: string;
  readonly inputs: Readonly<Record<string, unknown>>;
  readonly expect: Figures;
  readonly tol: { readonly abs?: number | Readonly<Record<string, number>>; readonly rel?: number };
}

const { checks } = JSON.parse(
  readFileSync(new URL('./fixtures/curved-and-escape.json', import.meta.url), 'utf8'),
) as { readonly checks: readonly Check[] };

type Tape = Readonly<Record<'W' | 'H' | 'hT' | 'hM' | 'hB' | 'vM', number>> &
  Readonly<Partial<Record<'vL' | 'vR' | 'qM', number>>>;
const MM = 1000;

/** The glass as Survey fits it from the tape, metres in the paper. */
function patchOf({ W, H, hT, hM, hB, vM, vL, vR, qM }: Tape): CurvedPatch {
  const read = (kind: Reading['kind'], from: string, to: string, metres: number | undefined): Reading[] =>
    metres === undefined
      ? []
      : [{ id: `${kind} ${from} ${to}`, kind, from, to, value_mm: metres * MM, instrument: 'tape' }];
  const readings = [
    ...read('distance', 'tl', 'tr', W),
    ...read('distance', 'bl', 'br', W),
    ...read('distance', 'tl', 'bl', H),
    ...read('distance', 'tr', 'br', H),
    ...read('distance', 'tl', 'br', Math.hypot(W, H)),
    ...read('sag', 'tl', 'tr', hT),
    ...read('sag', 'ml', 'mr', hM),
    ...read('sag', 'bl', 'br', hB),
    ...read('sag', 'mt', 'mb', vM),
    ...read('sag', 'tl', 'bl', vL),
    ...read('sag', 'tr', 'br', vR),
    ...read('quarter sag', 'ml', 'mr', qM),
    ...read('quarter sag', 'mr', 'ml', qM),
  ];
  const check = checkSurface({ shape: 'curved glass', readings });
  if (!('figure' in check) || check.figure.patch === undefined) throw new Error(JSON.stringify(check));
  return check.figure.patch;
}

const number = (value: unknown): number => Number(value);
const list = (value: unknown): readonly number[] => value as readonly number[];

/** Fibres of a line through a height, from its middle so far along, to an edge: metres and shares. */
function fibresOf({ tape, y0, u, y }: Check['inputs']): Figures {
  const line = filmLine(patchOf(tape as Tape), number(y0) * MM);
  const own = list(u).map((at) => fibreAt(line, at * MM, number(y) * MM));
  return { v: own.map(({ length_mm }) => length_mm / MM), eps: own.map(({ strain }) => strain) };
}

/** Held along the top edge: the line touches it in its middle. */
function heldAtTheTop(inputs: Check['inputs']): Figures {
  const patch = patchOf(inputs['tape'] as Tape);
  const { halfWidth_mm: a, halfHeight_mm: h } = patch;
  const held = surplusOf(patch, h);
  let [low, high] = [0, 1.2 * a];
  for (let round = 0; round < 60; round += 1) {
    const middle = (low + high) / 2;
    if (wayAt(held.line, middle).x < a) low = middle;
    else high = middle;
  }
  const middle = surplusOf(patch, 0);
  return {
    ...fibresOf(inputs),
    Sbot: held.bottom.surplus_mm / MM,
    Stop: held.top.surplus_mm / MM,
    drop: (h - wayAt(held.line, low).y) / MM,
    ratio: held.bottom.surplus_mm / middle.bottom.surplus_mm,
  };
}

/** What each family of checks asks of the program. */
const ASKED: readonly (readonly [RegExp, (inputs: Check['inputs']) => Figures])[] = [
  [
    /^sphere-strip/,
    ({ R, s }) => {
      const eps = strainOnSphere(number(R), number(s));
      return { eps, width: 1 - eps };
    },
  ],
  [
    /^sphere-disc-area/,
    ({ R, s }) => ({ cap: capOfSphere(number(R), number(s)), flat: Math.PI * number(s) ** 2 }),
  ],
  [
    /^gauss-bonnet-octant/,
    ({ R }) => {
      const quarter = (Math.PI / 2) * number(R);
      const excess = turnedOnSphere(number(R), quarter, quarter);
      return { excess, area: excess * number(R) ** 2 };
    },
  ],
  [
    /^gauss-bonnet-strip/,
    ({ R, W, v }) => {
      const Omega = turnedOnSphere(number(R), number(W), number(v));
      return { Omega, dwdv: -Omega, surplus: surplusOnSphere(number(R), number(W), number(v)) };
    },
  ],
  [
    /^torus-/,
    ({ R0, r, inner, y }) => {
      const own = strainOnRing(number(R0), number(r), number(y), inner === true);
      return { v: own.along, eps: own.strain, K0: own.curvature };
    },
  ],
  [/^tape-torus/, fibresOf],
  [
    /^tape-sphere/,
    (inputs) => {
      const { hT, hM, hB, vL = 0, vM, vR = 0 } = inputs['tape'] as Tape;
      const { across, down } = closureOf({ top: hT, middle: hM, bottom: hB, left: vL, down: vM, right: vR });
      const { eps = [] } = fibresOf(inputs);
      return {
        eps,
        closure: across - down,
        balance: (balancedLine(patchOf(inputs['tape'] as Tape)) ?? Number.NaN) / MM,
      };
    },
  ],
  [
    /^tape-closure/,
    ({ hT, hM, hB, vL, vM, vR }) => {
      const own = { top: number(hT), middle: number(hM), bottom: number(hB) };
      const { across, down } = closureOf({ ...own, left: number(vL), down: number(vM), right: number(vR) });
      return { lhs: across, rhs: down };
    },
  ],
  [/^balance-linear/, ({ beta, h }) => ({ y0: evenLine(number(beta), number(h)) })],
  [/^balance-tape/, ({ tape }) => ({ y0: (balancedLine(patchOf(tape as Tape)) ?? Number.NaN) / MM })],
  [
    /^fold-/,
    ({ e }) => {
      const p = slopeOfFold(number(e));
      return {
        p,
        h_over_L: p / Math.PI,
        leading: (2 / Math.PI) * Math.sqrt(number(e)),
        rational: slopeQuick(number(e)),
      };
    },
  ],
  [
    /^trap-spiral-out/,
    ({ nx, keys }) => {
      const wide = number(nx);
      const ring = (cell: number): number =>
        Math.min(
          cell % wide,
          wide - 1 - (cell % wide),
          Math.floor(cell / wide),
          wide - 1 - Math.floor(cell / wide),
        );
      const cells = Array.from({ length: wide * wide }, (_, cell) => cell);
      const net: EscapeNet = {
        count: cells.length,
        times: Float64Array.from(cells, (cell) => list(keys)[ring(cell)] ?? 0),
        isOpen: Uint8Array.from(cells, (cell) => (ring(cell) === 0 ? 1 : 0)),
        mostNeighbours: 4,
        neighbours: (cell, into) => {
          const beside = [cell - wide, cell + wide]
            .filter((other) => other >= 0 && other < cells.length)
            .concat(
              [cell - 1, cell + 1].filter((other) => Math.floor(other / wide) === Math.floor(cell / wide)),
            );
          beside.forEach((other, at) => {
            into[at] = other;
          });
          return beside.length;
        },
      };
      return { firstTrap: firstTrap(net) ?? -1, minVents: closedMaxima(net).length };
    },
  ],
  [
    /^coverage/,
    ({ W, H, w, o, speed }) => {
      const own = lanesOverRectangle(
        { length: number(W), height: number(H), speed: number(speed) },
        { blade_mm: number(w), overlap_mm: number(o) },
      );
      return { n: own.lanes, len: own.path, time: own.time, pitch: own.pitch };
    },
  ],
  [/^joint-arc/, ({ w, d }) => ({ eps: strainInHollow(number(w), number(d)) })],
  [/^edge-bend/, ({ t, r }) => ({ eps: strainRoundEdge(number(t), number(r)) })],
  [
    /^box-corner/,
    ({ h }) => {
      const { area, curvature } = boxCorner(number(h));
      return { area, K: curvature };
    },
  ],
  [
    /^cone/,
    ({ R1, R2, L }) => {
      const own = flatCone(number(R1), number(R2), number(L));
      return {
        ro: own.outer,
        ri: own.inner,
        theta: own.angle_rad,
        arcBottom: own.angle_rad * own.outer,
        arcTop: own.angle_rad * own.inner,
        sagBottom: own.runsOff,
        blankW: own.blankWidth,
        blankH: own.blankHeight,
        area: own.area,
      };
    },
  ],
  [
    /^tape-quarter-sag/,
    ({ tape }) => {
      const patch = patchOf(tape as Tape);
      const { line, top } = surplusOf(patch, 0);
      const at = (u_mm: number): number => fibreAt(line, u_mm, patch.halfHeight_mm).strain;
      return { S: top.surplus_mm / MM, eps0: at(0), eps6: at(600) };
    },
  ],
  [
    /^effective-sag/,
    ({ m, q }) => ({
      sEff: turningSag(number(m), number(q)),
      parabola: turningSag(number(m), 0.75 * number(m)),
    }),
  ],
  [/^anchor-top-sphere/, heldAtTheTop],
];
/** Not built yet: the simulator, joints of walls, what is from memory of films. */
const TO_COME = /^(moving-gaussian|circle-mean|kinetics|stuck-pass|bond-|mem-)/;

const allowed = ({ tol }: Check, name: string, wanted: number): number =>
  tol.rel === undefined
    ? (typeof tol.abs === 'object' ? (tol.abs[name] ?? 0) : (tol.abs ?? 0)) + 1e-12
    : tol.rel * Math.abs(wanted);

describe('does curved glass come out as the paper has it?', () => {
  it('all of its checks are here', () => {
    expect(checks).toHaveLength(38);
  });
  for (const check of checks) {
    if (TO_COME.test(check.id)) {
      test.todo(check.id);
      continue;
    }
    it(check.id, () => {
      const found = ASKED.find(([family]) => family.test(check.id))?.[1](check.inputs);
      if (found === undefined) throw new Error(`nothing answers ${check.id}`);
      for (const [name, wanted] of Object.entries(check.expect)) {
        const [own, all] = [[found[name] ?? Number.NaN].flat(), [wanted].flat()];
        expect({ name, count: own.length }).toEqual({ name, count: all.length });
        all.forEach((value, index) => {
          const off = Math.abs((own[index] ?? Number.NaN) - value);
          expect({ name, index, off: off <= allowed(check, name, value) ? 'within' : off }).toEqual({
            name,
            index,
            off: 'within',
          });
        });
      }
    });
  }
});
