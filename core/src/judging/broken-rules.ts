import type { MarkRule, RuleSet } from '../job';
import { type Face, areaOfFace } from '../strokes';
import { largestCluster } from './cluster';
import type { Pin } from './pin';
import { zoneOf } from './zones';

/** A rule that the marks of a surface break, and which of them are too many: the largest. */
export interface BrokenRule {
  readonly rule: MarkRule | 'cluster';
  /** How many there may be; null: it is no number. */
  readonly allowed: number | null;
  readonly found: number;
  readonly excess: readonly string[];
}

const MM2_PER_M2 = 1e6;

/** What counts of a pin: a line by its length, a spot by its size. */
export const extentOf = ({ size_mm, length_mm }: Pick<Pin, 'size_mm' | 'length_mm'>): number =>
  length_mm ?? size_mm ?? 0;
const kindOf = ({ length_mm }: Pin): MarkRule['kind'] => (length_mm === null ? 'spot' : 'line');

/**
 * Rules that all marks of a surface together break, in the order of the rule set, clusters after counts and
 * before edges.
 */
export function brokenRules(face: Face, pins: readonly Pin[], set: RuleSet): readonly BrokenRule[] {
  const area_m2 = areaOfFace(face) / MM2_PER_M2;
  const zones = new Map(pins.map((pin) => [pin.id, zoneOf(face, set.edge, area_m2, pin)]));
  const broken = set.rules.flatMap((rule) => brokenBy(rule, pins, zones, area_m2) ?? []);
  const isOfEdge = ({ rule }: BrokenRule): boolean => rule !== 'cluster' && rule.zone === 'edge';
  return [
    ...broken.filter((own) => !isOfEdge(own)),
    ...clustered(pins, zones, set),
    ...broken.filter(isOfEdge),
  ];
}

function brokenBy(
  rule: MarkRule,
  pins: readonly Pin[],
  zones: ReadonlyMap<string, 'edge' | 'main'>,
  area_m2: number,
): BrokenRule | undefined {
  const own = pins
    .filter((pin) => kindOf(pin) === rule.kind && (rule.zone === 'any' || zones.get(pin.id) === rule.zone))
    .filter((pin) => extentOf(pin) > rule.over_mm && extentOf(pin) <= (rule.to_mm ?? Infinity))
    .toSorted((a, b) => extentOf(b) - extentOf(a));
  if (rule.limit.case === 'apart') {
    const { least_mm } = rule.limit;
    const near = own.filter((pin) =>
      own.some((other) => other !== pin && Math.hypot(pin.x - other.x, pin.y - other.y) < least_mm),
    );
    return near.length === 0
      ? undefined
      : { rule, allowed: null, found: near.length, excess: near.map(({ id }) => id) };
  }
  const allowed = allowedBy(rule.limit, area_m2);
  return own.length <= allowed
    ? undefined
    : { rule, allowed, found: own.length, excess: own.slice(0, own.length - allowed).map(({ id }) => id) };
}

function allowedBy(limit: Exclude<MarkRule['limit'], { readonly case: 'apart' }>, area_m2: number): number {
  switch (limit.case) {
    case 'at most':
      return limit.count;
    case 'a square metre':
      return Math.max(1, Math.floor(limit.count * area_m2));
    case 'by area': {
      const step = limit.steps.find(({ upTo_m2 }) => upTo_m2 === null || area_m2 <= upTo_m2);
      return step === undefined ? 0 : step.isPerM2 ? Math.floor(step.count * area_m2) : step.count;
    }
  }
}

function clustered(
  pins: readonly Pin[],
  zones: ReadonlyMap<string, 'edge' | 'main'>,
  { cluster }: RuleSet,
): readonly BrokenRule[] {
  if (cluster === null) return [];
  const own = pins.filter((pin) => zones.get(pin.id) === 'main' && extentOf(pin) >= cluster.from_mm);
  const found = largestCluster(own, cluster.within_mm);
  if (found.length < cluster.count) return [];
  return [
    {
      rule: 'cluster',
      allowed: cluster.count - 1,
      found: found.length,
      excess: found
        .flatMap((index) => own[index] ?? [])
        .toSorted((a, b) => extentOf(b) - extentOf(a))
        .slice(0, found.length - cluster.count + 1)
        .map(({ id }) => id),
    },
  ];
}
