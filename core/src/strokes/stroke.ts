import type { Spot } from './face';

/** What a stroke is for. */
export type StrokePart = 'lock' | 'lane' | 'edge' | 'finish' | 'own';

/** The blade at each place of a path: a line along a direction, from one end to the other, never turned. */
interface Blade {
  readonly along: Spot;
  readonly from_mm: number;
  readonly to_mm: number;
}

/** One stroke, without lifting. */
export interface Stroke {
  /** Stays while measures change: what a person changed is kept by it. */
  readonly key: string;
  readonly part: StrokePart;
  readonly path: readonly Spot[];
  readonly blade: Blade;
}

/** How the blade is led. */
export type Motion = 'pulled' | 'pushed' | 'either';

/** By the school of the squeegee; film laid dry is led as one likes. */
export function motionOf(part: StrokePart, school: string | undefined): Motion {
  if (school === 'pull in the open, push at edges') return part === 'edge' ? 'pushed' : 'pulled';
  if (school === 'pull the lock, push from the middle') return part === 'lock' ? 'pulled' : 'pushed';
  return 'either';
}

export const UPRIGHT: Spot = { x: 0, y: 1 };
export const LEVEL: Spot = { x: 1, y: 0 };

/** A straight stroke, its blade square across the way. */
export function squareStroke(key: string, from: Spot, to: Spot, width_mm: number): Stroke {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  return {
    key,
    part: 'own',
    path: [from, to],
    blade: {
      along: { x: -(to.y - from.y) / length, y: (to.x - from.x) / length },
      from_mm: -width_mm / 2,
      to_mm: width_mm / 2,
    },
  };
}

export const startOf = ({ path }: Pick<Stroke, 'path'>): Spot => path[0] ?? { x: 0, y: 0 };
export const endOf = ({ path }: Pick<Stroke, 'path'>): Spot => path.at(-1) ?? { x: 0, y: 0 };

export const wayBetween = (from: Spot, to: Spot): number => Math.hypot(to.x - from.x, to.y - from.y);

export const lengthOf = ({ path }: Pick<Stroke, 'path'>): number =>
  path.reduce((sum, to, index) => sum + (index === 0 ? 0 : wayBetween(path[index - 1] ?? to, to)), 0);

/** The same stroke led the other way. */
export const reversed = (stroke: Stroke): Stroke => ({ ...stroke, path: stroke.path.toReversed() });

/** What the blade sweeps over, straight piece by straight piece: four corners each. */
export function sweptBy({ path, blade }: Pick<Stroke, 'path' | 'blade'>): readonly (readonly Spot[])[] {
  const { along, from_mm, to_mm } = blade;
  const at = ({ x, y }: Spot, mm: number): Spot => ({ x: x + along.x * mm, y: y + along.y * mm });
  return path
    .slice(1)
    .map((to, index) => [path[index] ?? to, to] as const)
    .map(([from, to]) => [at(from, from_mm), at(to, from_mm), at(to, to_mm), at(from, to_mm)]);
}

/** Empty ways between the end of one stroke and the beginning of the next. */
export const movesBetween = (strokes: readonly Stroke[]): number =>
  strokes
    .slice(1)
    .reduce((sum, stroke, index) => sum + wayBetween(endOf(strokes[index] ?? stroke), startOf(stroke)), 0);

/** The way of a blade's middle. */
export function middleWay({ path, blade }: Pick<Stroke, 'path' | 'blade'>): readonly Spot[] {
  const off = (blade.from_mm + blade.to_mm) / 2;
  return path.map(({ x, y }) => ({ x: x + blade.along.x * off, y: y + blade.along.y * off }));
}

/** A place so far along a way, as a share of its length. */
export function placeAlong(way: readonly Spot[], share: number): Spot {
  let left = share * lengthOf({ path: way });
  for (const [index, to] of way.slice(1).entries()) {
    const from = way[index] ?? to;
    const length = wayBetween(from, to);
    if (left <= length && length > 0)
      return { x: from.x + (left / length) * (to.x - from.x), y: from.y + (left / length) * (to.y - from.y) };
    left -= length;
  }
  return way.at(-1) ?? { x: 0, y: 0 };
}
