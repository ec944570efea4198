import {
  type FilmLine,
  type FoldInTurn,
  type Place,
  type StrainLattice,
  filmLine,
  strainLattice,
} from '@yellow-pane/core/curved';
import type { PaneShrink } from '@yellow-pane/core/reading';
import { RULES } from '@yellow-pane/core/rules';
import { contours } from 'd3-contour';

export const SHRINK_WIDE = 640;
export const SHRINK_HIGH = 400;
/** Round the glass, for the numbers of the folds and the marks of the line. */
const ROOM = { side: 46, edge: 40 };

/** Shares of needed shrink that lines are drawn at, from coarse to fine. */
const STEPS = [0.02, 0.01, 0.005, 0.002, 0.001, 0.0005, 0.0002];
const LEAST_LINES = 3;
/** Shrink under which nothing is drawn: nearly flat. */
const NOTHING = 1e-5;
/** Figures stand so near the middle. */
const LABEL_WITHIN = 14;
const CLEAR_OF_EDGE = 10;

export interface ShrinkFold extends FoldInTurn {
  readonly path: string;
  readonly label: Place;
  /** Where its crest meets the edge. */
  readonly foot: Place;
}

/** Something on the glass, millimetres from its upper left corner as it is seen. */
export interface PartOnGlass {
  readonly name: string;
  readonly isHeater: boolean;
  readonly x_mm: number;
  readonly y_mm: number;
  readonly width_mm: number;
  readonly height_mm: number;
}
interface DrawnPart {
  readonly name: string;
  readonly path: string;
  readonly isHeater: boolean;
  readonly label: Place;
}

export interface ShrinkDrawing {
  readonly glass: string;
  /** Bands of needed shrink, from least to most; share of the darkest. */
  readonly bands: readonly { readonly path: string; readonly share: number }[];
  readonly lines: readonly { readonly strain: number; readonly labels: readonly Place[] }[];
  readonly line: string;
  readonly handle: Place;
  readonly ends: readonly Place[];
  readonly folds: readonly ShrinkFold[];
  /** Strips that are not heated. */
  readonly spared: string;
  /** What sits on the glass or in the way: wiper, lamp, sensor, hardware; and heater lines. */
  readonly parts: readonly DrawnPart[];
  readonly scale: number;
  /** A height on the drawing as millimetres of the glass, upwards from its middle. */
  readonly heightAt: (y: number) => number;
}

/**
 * A curved pane as one stands before it: what shrink it needs where, the line the film is held on, folds in
 * their turn, strips to spare.
 * @param isTurned one stands on the other side than the pane was measured from
 */
export function drawShrink(
  plan: PaneShrink,
  isTurned: boolean,
  parts: readonly PartOnGlass[] = [],
): ShrinkDrawing {
  const { halfWidth_mm: a, halfHeight_mm: h } = plan.patch;
  const scale = Math.min((SHRINK_WIDE / 2 - ROOM.side) / a, (SHRINK_HIGH / 2 - ROOM.edge) / h);
  const at = ({ x, y }: Place): Place => ({
    x: SHRINK_WIDE / 2 + (isTurned ? -x : x) * scale,
    y: SHRINK_HIGH / 2 - y * scale,
  });
  const line = filmLine(plan.patch, plan.own.at_mm);
  const lattice = strainLattice(line);
  const drawn = lineOn(line, a);
  return {
    glass: pathOf(plan.outline.map(at)),
    ...bandsOf(lattice, at, { x: betweenFolds(plan), y: plan.own.at_mm }),
    line: `M${drawn.map((place) => said(at(place))).join('L')}`,
    handle: at({ x: isTurned ? -a : a, y: plan.own.at_mm }),
    ends: [drawn[0], drawn.at(-1)].flatMap((end) => (end === undefined ? [] : [at(end)])),
    folds: plan.order.folds.map((fold) => foldOn(fold, plan, at)),
    spared: sparedOn(plan, at),
    parts: parts.map((part) => partOn(part, plan, at)),
    scale,
    heightAt: (y) => (SHRINK_HIGH / 2 - y) / scale,
  };
}

const said = ({ x, y }: Place): string => `${x.toFixed(1)} ${y.toFixed(1)}`;
const pathOf = (places: readonly Place[]): string => `M${places.map(said).join('L')}Z`;

/** The line between the sides of the glass, from left to right. */
function lineOn({ left, right }: FilmLine, halfWidth_mm: number): readonly Place[] {
  return [...left.toReversed(), ...right.slice(1)].filter(({ x }) => Math.abs(x) <= halfWidth_mm);
}

function bandsOf(
  lattice: StrainLattice,
  at: (place: Place) => Place,
  middle: Place,
): Pick<ShrinkDrawing, 'bands' | 'lines'> {
  const { columns, rows, strain, most } = lattice;
  if (most < NOTHING) return { bands: [], lines: [] };
  const step = STEPS.find((own) => most / own >= LEAST_LINES) ?? most / LEAST_LINES;
  const levels = Array.from({ length: Math.floor(most / step) }, (_, index) => (index + 1) * step);
  const { x: labelX, y: lineY } = at(middle);
  const [top, bottom] = [at({ x: 0, y: lattice.y[0] ?? 0 }).y, at({ x: 0, y: lattice.y.at(-1) ?? 0 }).y];
  const drawn = contours()
    .size([columns, rows])
    .thresholds([NOTHING, ...levels])([...strain]);
  const onGlass = ([i = 0, j = 0]: readonly number[]): Place => at(placeIn(lattice, i - 0.5, j - 0.5));
  const bands = drawn.map(({ value, coordinates }) => {
    const rings = coordinates.flat().map((ring) => ring.map(onGlass));
    return {
      value,
      path: rings.map(pathOf).join(''),
      share: value / most,
      labels: rings
        .flatMap((ring) => labelOf(ring, labelX, lineY) ?? [])
        .filter(({ y }) => Math.min(y - top, bottom - y) > CLEAR_OF_EDGE),
    };
  });
  return {
    bands,
    lines: bands
      .filter(({ value }) => value > NOTHING)
      .map(({ value, labels }) => ({ strain: value, labels })),
  };
}

/** Between the two folds nearest the middle. */
function betweenFolds({ own: { bottom } }: PaneShrink): number {
  const crests = bottom.folds.places.map(({ atEdge }) => atEdge.x).toSorted((a, b) => a - b);
  const left = Math.ceil(crests.length / 2) - 1;
  return ((crests[left] ?? 0) + (crests[left + 1] ?? crests[left] ?? 0)) / 2;
}

/** On the side of a ring that looks at the line, in the middle: there a figure has room between the folds. */
function labelOf(ring: readonly Place[], labelX: number, lineY: number): Place | undefined {
  const off = ({ y }: Place): number => Math.abs(y - lineY);
  return ring
    .filter(({ x }) => Math.abs(x - labelX) < LABEL_WITHIN)
    .toSorted((one, other) => off(one) - off(other))[0];
}

/** Between the places of a lattice: column and row as parts of them. */
function placeIn({ columns, rows, x, y }: StrainLattice, column: number, row: number): Place {
  const [i, j] = [Math.max(0, Math.min(columns - 1, column)), Math.max(0, Math.min(rows - 1, row))];
  const [i0, j0] = [Math.min(columns - 2, Math.floor(i)), Math.min(rows - 2, Math.floor(j))];
  const [di, dj] = [i - i0, j - j0];
  const mixed = (values: readonly number[]): number => {
    const value = (column_: number, row_: number): number => values[row_ * columns + column_] ?? 0;
    const upper = value(i0, j0) * (1 - di) + value(i0 + 1, j0) * di;
    const lower = value(i0, j0 + 1) * (1 - di) + value(i0 + 1, j0 + 1) * di;
    return upper * (1 - dj) + lower * dj;
  };
  return { x: mixed(x), y: mixed(y) };
}

/** A fold that is pinched is drawn a quarter of the way in: how long it is, the hand decides. */
const PINCHED_SHARE = 0.25;
const NUMBER_OUT = 20;

function foldOn(fold: FoldInTurn, { own, patch }: PaneShrink, at: (place: Place) => Place): ShrinkFold {
  const { base_mm } = own[fold.edge].folds;
  const { atEdge } = fold;
  const tip = fold.tip ?? {
    x: atEdge.x,
    y: atEdge.y * (1 - PINCHED_SHARE * (patch.halfHeight_mm / Math.max(1, Math.abs(atEdge.y)))),
  };
  const corners = [
    { x: atEdge.x - base_mm / 2, y: atEdge.y },
    tip,
    { x: atEdge.x + base_mm / 2, y: atEdge.y },
  ].map(at);
  const foot = at(atEdge);
  return {
    ...fold,
    path: pathOf(corners),
    foot,
    label: { x: foot.x, y: foot.y + (fold.edge === 'top' ? -NUMBER_OUT : NUMBER_OUT) },
  };
}

const HEATER_LINES = 8;

function partOn(
  { name, isHeater, x_mm, y_mm, width_mm, height_mm }: PartOnGlass,
  { patch: { halfWidth_mm: a, halfHeight_mm: h } }: PaneShrink,
  at: (place: Place) => Place,
): DrawnPart {
  const on = (x: number, y: number): Place => at({ x: x - a, y: h - y });
  const [right, low] = [x_mm + width_mm, y_mm + height_mm];
  const heater = Array.from({ length: HEATER_LINES }, (_, index) => {
    const y = y_mm + (height_mm * (index + 0.5)) / HEATER_LINES;
    return `M${said(on(x_mm, y))}L${said(on(right, y))}`;
  });
  return {
    name,
    isHeater,
    path: isHeater
      ? heater.join('')
      : pathOf([on(x_mm, y_mm), on(right, y_mm), on(right, low), on(x_mm, low)]),
    label: on(x_mm + width_mm / 2, y_mm + height_mm / 2),
  };
}

/** Along the bottom seal as high as film is lifted off it; along both sides. */
function sparedOn(
  { patch: { halfWidth_mm: a, halfHeight_mm: h } }: PaneShrink,
  at: (place: Place) => Place,
): string {
  const [seal, side] = [RULES.liftOff.value, RULES.gapAtSides.value];
  const box = (left: number, right: number, top: number, bottom: number): string =>
    pathOf(
      [
        { x: left, y: top },
        { x: right, y: top },
        { x: right, y: bottom },
        { x: left, y: bottom },
      ].map(at),
    );
  return box(-a, a, -h + seal, -h) + box(-a, -a + side, h, -h + seal) + box(a - side, a, h, -h + seal);
}
