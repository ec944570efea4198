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
 * The marks of a surface with what is the same whichever of them is looked at: zones, the largest cluster.
 */
export interface MarksTogether {
  /**
   * Rules that all marks together break, in the order of the rule set, clusters after counts, before edges.
   */
  readonly broken: readonly BrokenRule[];
  /** The same of one mark, were it so many times as large. */
  readonly brokenBy: (pin: Pin, times: number) => readonly BrokenRule[];
}

/** Asked once for all marks: nothing is counted anew for each of them but what its own size changes. */
export function marksTogether(face: Face, pins: readonly Pin[], set: RuleSet): MarksTogether {
  const area_m2 = areaOfFace(face) / MM2_PER_M2;
  const zones = new Map(pins.map((pin) => [pin.id, zoneOf(face, set.edge, area_m2, pin)]));
  const ranked = set.rules.map((rule) => rankedBy(rule, pins, zones));
  const counted = clustering(pins, zones, set.cluster);
  const inOrder = (own: readonly BrokenRule[], clusters: readonly BrokenRule[]): readonly BrokenRule[] => {
    const isOfEdge = ({ rule }: BrokenRule): boolean => rule !== 'cluster' && rule.zone === 'edge';
    return [...own.filter((broken) => !isOfEdge(broken)), ...clusters, ...own.filter(isOfEdge)];
  };
  return {
    broken: inOrder(
      set.rules.flatMap((rule) => brokenBy(rule, pins, zones, area_m2) ?? []),
      counted(undefined),
    ),
    brokenBy: (pin, times) => {
      const scaled = scaledPin(pin, times);
      const own = ranked.flatMap((each) => brokenByOne(each, { pin, scaled }, zones, area_m2) ?? []);
      return inOrder(own, counted(scaled));
    },
  };
}

export function scaledPin(pin: Pin, times: number): Pin {
  const scaled = (own: number | null): number | null => (own === null ? null : own * times);
  return { ...pin, size_mm: scaled(pin.size_mm), length_mm: scaled(pin.length_mm) };
}

/** Rules that all marks of a surface together break. */
export const brokenRules = (face: Face, pins: readonly Pin[], set: RuleSet): readonly BrokenRule[] =>
  marksTogether(face, pins, set).broken;

type Zones = ReadonlyMap<string, 'edge' | 'main'>;

const goesBy = (rule: MarkRule, pin: Pin, zones: Zones): boolean =>
  kindOf(pin) === rule.kind &&
  (rule.zone === 'any' || zones.get(pin.id) === rule.zone) &&
  extentOf(pin) > rule.over_mm &&
  extentOf(pin) <= (rule.to_mm ?? Infinity);

const isNear = (a: Pin, b: Pin, least_mm: number): boolean => Math.hypot(a.x - b.x, a.y - b.y) < least_mm;

function brokenBy(
  rule: MarkRule,
  pins: readonly Pin[],
  zones: Zones,
  area_m2: number,
): BrokenRule | undefined {
  const own = pins.filter((pin) => goesBy(rule, pin, zones)).toSorted((a, b) => extentOf(b) - extentOf(a));
  if (rule.limit.case === 'apart') {
    const { least_mm } = rule.limit;
    const near = own.filter((pin) => own.some((other) => other !== pin && isNear(pin, other, least_mm)));
    return near.length === 0
      ? undefined
      : { rule, allowed: null, found: near.length, excess: near.map(({ id }) => id) };
  }
  const allowed = allowedBy(rule.limit, area_m2);
  return own.length <= allowed
    ? undefined
    : { rule, allowed, found: own.length, excess: own.slice(0, own.length - allowed).map(({ id }) => id) };
}

/**
 * Marks of the kind and zone of a rule, whatever their size: the largest first, put earlier first of alike.
 */
interface RankedMarks {
  readonly rule: MarkRule;
  readonly pins: readonly Pin[];
  /** Place of each in the order they were put. */
  readonly order: ReadonlyMap<string, number>;
}

function rankedBy(rule: MarkRule, pins: readonly Pin[], zones: Zones): RankedMarks {
  const order = new Map(pins.map(({ id }, index) => [id, index]));
  const own = pins.filter(
    (pin) => kindOf(pin) === rule.kind && (rule.zone === 'any' || zones.get(pin.id) === rule.zone),
  );
  return { rule, pins: own.toSorted((a, b) => extentOf(b) - extentOf(a)), order };
}

/** How many of marks in falling order are larger than an extent, and how many are no smaller. */
function largerThan(pins: readonly Pin[], extent: number, isOrAlike: boolean): number {
  let [low, high] = [0, pins.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    const own = pins[middle];
    const isLarger = own !== undefined && (isOrAlike ? extentOf(own) >= extent : extentOf(own) > extent);
    if (isLarger) low = middle + 1;
    else high = middle;
  }
  return low;
}

/**
 * Whether one mark is too many by a rule: by its rank among those the rule goes by, looked up and not
 * counted.
 */
function brokenByOne(
  { rule, pins, order }: RankedMarks,
  { pin, scaled }: { readonly pin: Pin; readonly scaled: Pin },
  zones: Zones,
  area_m2: number,
): BrokenRule | undefined {
  if (!goesBy(rule, scaled, zones)) return undefined;
  const excess = [scaled.id];
  if (rule.limit.case === 'apart') {
    const { least_mm } = rule.limit;
    const isBeside = (other: Pin): boolean =>
      other.id !== scaled.id && goesBy(rule, other, zones) && isNear(other, scaled, least_mm);
    const found = pins.filter(isBeside).length;
    return found === 0 ? undefined : { rule, allowed: null, found: found + 1, excess };
  }
  const allowed = allowedBy(rule.limit, area_m2);
  const [extent, own] = [extentOf(scaled), extentOf(pin)];
  const tooLarge = largerThan(pins, rule.to_mm ?? Infinity, false);
  const wasThere = goesBy(rule, pin, zones) ? 1 : 0;
  const found = largerThan(pins, rule.over_mm, false) - tooLarge - wasThere + 1;
  const larger = largerThan(pins, extent, false);
  const mine = order.get(pin.id) ?? 0;
  const alikeBefore = pins
    .slice(larger, largerThan(pins, extent, true))
    .filter(({ id }) => id !== pin.id && (order.get(id) ?? 0) < mine).length;
  const rank = larger - tooLarge - (wasThere === 1 && own > extent ? 1 : 0) + alikeBefore;
  return rank >= found - allowed ? undefined : { rule, allowed, found, excess };
}

/** How many go with it, and how many of them come before it: larger, or as large and put earlier. */
function rankAmong(
  scaled: Pin,
  pins: readonly Pin[],
  goes: (pin: Pin) => boolean,
): { readonly found: number; readonly rank: number } {
  let [found, rank, isBefore] = [1, 0, true];
  for (const pin of pins) {
    if (pin.id === scaled.id) {
      isBefore = false;
      continue;
    }
    if (!goes(pin)) continue;
    found += 1;
    if (extentOf(pin) > extentOf(scaled) || (isBefore && extentOf(pin) === extentOf(scaled))) rank += 1;
  }
  return { found, rank };
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

/**
 * The largest cluster of all marks, found once; and with one of them of another size: what it leaves out by
 * being too small cannot be too many, and what it brings in stands among its neighbours.
 */
function clustering(
  pins: readonly Pin[],
  zones: ReadonlyMap<string, 'edge' | 'main'>,
  cluster: RuleSet['cluster'],
): (scaled: Pin | undefined) => readonly BrokenRule[] {
  if (cluster === null) return () => [];
  const counts = (pin: Pin): boolean => zones.get(pin.id) === 'main' && extentOf(pin) >= cluster.from_mm;
  const found = largestAmong(pins.filter(counts), cluster.within_mm);
  const ids = new Set(pins.filter(counts).map(({ id }) => id));
  const foundIds = new Set(found.map(({ id }) => id));
  return (scaled) => {
    if (scaled === undefined) return brokenCluster(found, cluster.count);
    if (!counts(scaled)) return [];
    if (ids.has(scaled.id)) return foundIds.has(scaled.id) ? oneOfCluster(scaled, found, cluster.count) : [];
    const near = pins.filter((pin) => ids.has(pin.id) && isNear(pin, scaled, cluster.within_mm));
    // Among many neighbours it joins the largest cluster or none: a search for each mark would take minutes.
    const withIt =
      near.length <= MOST_NEIGHBOURS
        ? largestAmong(near, cluster.within_mm)
        : found.filter((pin) => isNear(pin, scaled, cluster.within_mm));
    return withIt.length + 1 > found.length ? oneOfCluster(scaled, withIt, cluster.count) : [];
  };
}

/** Whether one mark is too many of its cluster. */
function oneOfCluster(scaled: Pin, found: readonly Pin[], count: number): readonly BrokenRule[] {
  const { found: size, rank } = rankAmong(scaled, found, () => true);
  if (size < count || rank >= size - count + 1) return [];
  return [{ rule: 'cluster', allowed: count - 1, found: size, excess: [scaled.id] }];
}

const MOST_NEIGHBOURS = 60;
const largestAmong = (pins: readonly Pin[], within_mm: number): readonly Pin[] =>
  largestCluster(pins, within_mm).flatMap((index) => pins[index] ?? []);

function brokenCluster(found: readonly Pin[], count: number): readonly BrokenRule[] {
  if (found.length < count) return [];
  return [
    {
      rule: 'cluster',
      allowed: count - 1,
      found: found.length,
      excess: found
        .toSorted((a, b) => extentOf(b) - extentOf(a))
        .slice(0, found.length - count + 1)
        .map(({ id }) => id),
    },
  ];
}
