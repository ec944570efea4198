/** How the liner comes off; schools of glass, and what other ways do. */
export const LINER_WAYS = [
  'tape tabs',
  'hang and pull',
  'top part first',
  'halves on the glass',
  'on the outside of the pane',
  'unrolled to the floor',
  'pane lying',
] as const;
export type LinerWay = (typeof LINER_WAYS)[number];

/**
 * mm from the lower left corner of the sheet, x to the right and y upwards, as whoever works on it sees it.
 */
export interface LinerSpot {
  readonly x: number;
  readonly y: number;
}

/**
 * The two tabs of a corner: one on the liner, one on the film, beside each other so that they do not stick
 * together.
 */
export interface LinerTabs {
  readonly corner: 'upper left' | 'upper right';
  readonly liner: LinerSpot;
  readonly film: LinerSpot;
}

/** A part of the sheet that is freed at once, from one height to another. */
export interface LinerPart {
  readonly number: number;
  readonly from_mm: number;
  readonly to_mm: number;
  /** Sprayed and laid back before the next, or gone for good. */
  readonly then: 'laid back' | 'off';
}

export type Holds =
  'both upper corners' | 'upper left corner' | 'upper right corner' | 'the liner' | 'the roll';

export interface LinerPerson {
  readonly number: 1 | 2;
  readonly at: LinerSpot;
  readonly holds: Holds;
}

/** Free room that the way needs besides the surface itself. */
export interface LinerRoom {
  readonly beside_mm: number;
  readonly below_mm: number;
  /** In front of the surface, to stand and to draw. */
  readonly before_mm: number;
}

export interface LinerPlan {
  readonly way: LinerWay;
  readonly width_mm: number;
  readonly height_mm: number;
  readonly tabs: readonly LinerTabs[];
  readonly parts: readonly LinerPart[];
  /** Rolled up from below with the top outermost: the free end is placed first. */
  readonly isRolledUp: boolean;
  readonly people: readonly LinerPerson[];
  readonly room: LinerRoom;
  /** The floor is used: against the other school, with its reason. */
  readonly usesFloor: boolean;
}

export interface LinerAsked {
  readonly width_mm: number;
  readonly height_mm: number;
  readonly way: LinerWay;
  readonly people: 1 | 2;
  /** The hand that pulls; null: not known, taken as right. */
  readonly hand: 'left' | 'right' | null;
  /** Rolled up to be carried, whatever the school: film that was hung dry. */
  readonly isHungDry?: boolean;
}

/**
 * Our guesses, mm: room to stand, a tab, the part that is freed first, past half, what is left on the liner.
 */
const STAND_MM = 800;
const TAB_MM = 60;
const FIRST_PART_MM = 300;
const PAST_HALF_MM = 50;
const LEFT_ON_MM = 40;
const ARM_MM = 150;

/**
 * Tabs, parts of the liner in order, who stands where and holds what, and the room it takes.
 * @source the schools: common practice, no published source; all room in millimetres: our guess
 */
export function linerPlan(asked: LinerAsked): LinerPlan {
  const { width_mm, height_mm, way, people, isHungDry = false } = asked;
  const halves = way === 'halves on the glass' || isHungDry;
  return {
    ...{ way, width_mm, height_mm },
    tabs: tabsOf(asked),
    parts: partsOf(isHungDry ? 'halves on the glass' : way, height_mm).map((part, index) => ({
      number: index + 1,
      ...part,
    })),
    isRolledUp: halves,
    people: standing(asked, people),
    room: roomFor(asked),
    usesFloor: way === 'unrolled to the floor',
  };
}

/** At the corner of the hand that pulls; two people each have one. */
function tabsOf({ width_mm, height_mm, way, people, hand }: LinerAsked): readonly LinerTabs[] {
  if (way === 'pane lying' || way === 'unrolled to the floor') return [];
  const at = (corner: LinerTabs['corner']): LinerTabs => {
    const [x, inwards] = corner === 'upper left' ? [0, 1] : [width_mm, -1];
    return { corner, liner: { x, y: height_mm }, film: { x: x + inwards * TAB_MM, y: height_mm } };
  };
  const own = hand === 'left' ? 'upper left' : 'upper right';
  return people === 2 && way === 'tape tabs' ? [at('upper left'), at('upper right')] : [at(own)];
}

function partsOf(way: LinerWay, height_mm: number): readonly Omit<LinerPart, 'number'>[] {
  const upperHalf = height_mm / 2;
  switch (way) {
    case 'tape tabs':
    case 'unrolled to the floor':
      return [{ from_mm: height_mm, to_mm: 0, then: 'off' }];
    case 'hang and pull': {
      const rest = Math.min(LEFT_ON_MM, upperHalf);
      return [
        { from_mm: height_mm, to_mm: rest, then: 'off' },
        { from_mm: rest, to_mm: 0, then: 'off' },
      ];
    }
    case 'top part first':
    case 'pane lying': {
      const first = Math.max(upperHalf, height_mm - FIRST_PART_MM);
      return [
        { from_mm: height_mm, to_mm: first, then: 'off' },
        { from_mm: first, to_mm: 0, then: 'off' },
      ];
    }
    case 'halves on the glass':
      return [
        { from_mm: height_mm, to_mm: upperHalf, then: 'laid back' },
        { from_mm: 0, to_mm: upperHalf, then: 'laid back' },
      ];
    case 'on the outside of the pane': {
      const past = Math.max(0, upperHalf - PAST_HALF_MM);
      return [
        { from_mm: height_mm, to_mm: past, then: 'laid back' },
        { from_mm: 0, to_mm: past, then: 'laid back' },
      ];
    }
  }
}

function standing({ width_mm, way }: LinerAsked, people: 1 | 2): readonly LinerPerson[] {
  const below = -STAND_MM / 2;
  const one = (holds: Holds, x: number): LinerPerson => ({ number: 1, at: { x, y: below }, holds });
  const other = (holds: Holds, x: number): LinerPerson => ({ number: 2, at: { x, y: below }, holds });
  if (people === 1)
    return [one(way === 'halves on the glass' ? 'the roll' : 'both upper corners', width_mm / 2)];
  if (way === 'tape tabs')
    return [one('upper left corner', width_mm / 4), other('upper right corner', (3 * width_mm) / 4)];
  return [
    one(way === 'halves on the glass' ? 'the roll' : 'both upper corners', width_mm / 4),
    other('the liner', (3 * width_mm) / 4),
  ];
}

/**
 * A sheet that hangs or lies elsewhere needs its own size besides; one that is freed on the surface needs
 * room to stand.
 */
function roomFor({ width_mm, height_mm, way, people }: LinerAsked): LinerRoom {
  const stands = people === 2 ? 2 * STAND_MM : STAND_MM;
  switch (way) {
    case 'hang and pull':
      return { beside_mm: width_mm + ARM_MM, below_mm: 0, before_mm: STAND_MM };
    case 'tape tabs':
      return { beside_mm: ARM_MM, below_mm: 0, before_mm: Math.max(stands, height_mm / 2) };
    case 'unrolled to the floor':
      return { beside_mm: ARM_MM, below_mm: height_mm, before_mm: height_mm + STAND_MM };
    case 'pane lying':
      return { beside_mm: width_mm + ARM_MM, below_mm: 0, before_mm: STAND_MM };
    case 'top part first':
      return { beside_mm: ARM_MM, below_mm: height_mm / 2, before_mm: STAND_MM };
    case 'halves on the glass':
    case 'on the outside of the pane':
      return { beside_mm: ARM_MM, below_mm: 0, before_mm: stands };
  }
}
