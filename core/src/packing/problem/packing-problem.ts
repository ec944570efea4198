import { valueAt } from '../../quantity';
import type { LayoutRequest } from './layout-plan';

/** Pieces of one size and of one right to turn, as whole steps. */
export interface ItemType {
  readonly across: number;
  readonly along: number;
  readonly quantity: number;
  readonly mayTurn: boolean;
  /** Wants a factory edge at its side: lies first or last across the roll. */
  readonly wantsEdge: boolean;
  /** The same where it costs nothing. */
  readonly likesEdge: boolean;
  readonly ids: readonly string[];
}

/** A way one item type can lie: shares its quantity with the other way. */
export interface Orientation {
  readonly itemType: number;
  readonly across: number;
  readonly along: number;
  readonly turned: boolean;
  readonly wantsEdge: boolean;
  readonly likesEdge: boolean;
}

/**
 * A roll of one width and pieces by item type, in steps as coarse as the lengths allow: tenths of a
 * millimetre, or a multiple that all share.
 */
export interface PackingProblem {
  readonly width: number;
  readonly itemTypes: readonly ItemType[];
  readonly orientations: readonly Orientation[];
  readonly area: number;
  /** Of all pieces as given. */
  readonly longest: number;
  /** Millimetres a step along the roll, and across it. */
  readonly alongStep_mm: number;
  readonly acrossStep_mm: number;
}

const TENTHS = 10;
const up = (value_mm: number): number => Math.ceil(value_mm * TENTHS - 1e-6);

/**
 * Groups equal pieces and finds the coarsest steps that hold every side exactly. Pieces that may turn need
 * one step for both ways.
 */
export function packingProblem({ rollWidth_mm, pieces }: LayoutRequest): PackingProblem {
  const rollWidth = Math.floor(rollWidth_mm * TENTHS + 1e-6);
  const anyTurns = pieces.some(({ mayTurn90 }) => mayTurn90);
  const alongs = pieces.map(({ along_mm }) => up(along_mm));
  const acrosses = pieces.map(({ across_mm }) => up(across_mm));
  const along = common(anyTurns ? [...alongs, ...acrosses] : alongs);
  const across = anyTurns ? along : common(acrosses);
  const itemTypes = itemTypesOf(pieces, (index) => [
    valueAt(acrosses, index) / across,
    valueAt(alongs, index) / along,
  ]);
  const width = Math.floor(rollWidth / across);
  const orientations = itemTypes.flatMap(orientationsOf).filter((orientation) => orientation.across <= width);
  return {
    width,
    itemTypes,
    orientations,
    area: itemTypes.reduce((sum, itemType) => sum + itemType.across * itemType.along * itemType.quantity, 0),
    longest: itemTypes.reduce((most, itemType) => Math.max(most, itemType.along), 0),
    alongStep_mm: along / TENTHS,
    acrossStep_mm: across / TENTHS,
  };
}

/** Equal pieces together. @param sizeOf across and along of a piece, in steps */
function itemTypesOf(
  pieces: LayoutRequest['pieces'],
  sizeOf: (index: number) => readonly [across: number, along: number],
): readonly ItemType[] {
  const groups = new Map<string, Omit<ItemType, 'quantity' | 'ids'> & { readonly ids: string[] }>();
  pieces.forEach((piece, index) => {
    const [across, along] = sizeOf(index);
    const [wantsEdge, likesEdge] = [piece.wantsEdge === true, piece.likesEdge === true];
    const key = `${across} ${along} ${piece.mayTurn90} ${wantsEdge} ${likesEdge}`;
    const mayTurn = piece.mayTurn90 && across !== along;
    const group = groups.get(key) ?? { across, along, mayTurn, wantsEdge, likesEdge, ids: [] };
    group.ids.push(piece.id);
    groups.set(key, group);
  });
  return [...groups.values()].map((group) => ({ ...group, quantity: group.ids.length }));
}

/** The ways an item type can lie: as it is, and turned where it may be. */
function orientationsOf(
  { across, along, mayTurn, wantsEdge, likesEdge }: ItemType,
  itemType: number,
): readonly Orientation[] {
  const straight: Orientation = { itemType, across, along, turned: false, wantsEdge, likesEdge };
  return mayTurn ? [straight, { ...straight, across: along, along: across, turned: true }] : [straight];
}

function common(values: readonly number[]): number {
  return Math.max(
    1,
    values.reduce((a, b) => {
      let [x, y] = [a, b];
      while (y !== 0) [x, y] = [y, x % y];
      return x;
    }, 0),
  );
}
