import type { FilmDirection } from '../job';
import type { LayoutPiece } from '../packing';
import type { BlankNote, TooWide } from './blank-note';
import { upToTenth, valueAt } from '../quantity';
import { type Blank, type BlankInput, blankFor, hashText } from './blank';
import { type SeamKind, type SeamPlacing, placeSeams } from './drops';
import { type FirstDrop, type PatternMatch, cellOf, phaseOf } from './pattern';
import { type SectorBlank, sectorBlank } from './sector';
import { RULES } from '../rules';

/** How a surface wider than the roll is taken apart. */
export interface SeamWishes {
  readonly kind: SeamKind;
  readonly placing: SeamPlacing;
  readonly match: PatternMatch;
  readonly firstDrop: FirstDrop;
}

export interface CutInput extends BlankInput {
  /** Widths the film can be had in; empty: unknown. */
  readonly rollWidths_mm: readonly number[];
  readonly repeat_mm: number | null;
  readonly seam: SeamWishes;
  /** Glass that is curved or of a vehicle gets no seam; left out: it may have one. */
  readonly maySeam?: boolean | undefined;
  /** Edges of openings and mullions from the surface's left end, and above its foot, where a seam hides. */
  readonly hiddenAcross_mm?: readonly number[] | undefined;
  /** Height of the surface's foot over the floor, to keep seams out of the eyes' way; null: unknown. */
  readonly footHeight_mm?: number | null | undefined;
  /** Girths of a round column. */
  readonly column?:
    { readonly foot_mm: number; readonly top_mm: number; readonly height_mm: number } | undefined;
}

/** One piece of film to cut. */
export interface CutBlank {
  /** 1, 2, … in hanging order; the only one of a surface is 1. */
  readonly drop: number;
  readonly of: number;
  readonly width_mm: number;
  readonly height_mm: number;
  /** Where its left and upper edges lie on the whole blank. */
  readonly left_mm: number;
  readonly top_mm: number;
  /** As the layout takes it: across and along the roll, with what comes off its top first. */
  readonly across_mm: number;
  readonly along_mm: number;
  /** From its beginning to that of the next drop, whole repeats where their pattern must meet. */
  readonly cell_mm: number;
  /** Into the first repeat, before the piece begins. */
  readonly phase_mm: number;
  readonly sector?: SectorBlank | undefined;
}

export interface CutBlanks {
  readonly whole: Blank;
  readonly blanks: readonly CutBlank[];
  readonly seams: {
    readonly way: 'upright' | 'level' | 'none';
    readonly at_mm: readonly number[];
    readonly kind: SeamKind;
    readonly lap_mm: number;
  };
  readonly notes: readonly BlankNote[];
  /** No roll is wide enough and no seam is allowed: by how much, and what would do. */
  readonly tooWide?: TooWide | undefined;
  readonly inputsHash: string;
}

const lapOf = (kind: SeamKind): number =>
  kind === 'butt' ? 0 : kind === 'double cut' ? RULES.doubleCut.value : RULES.columnLap.value;

/**
 * Customary seams: decor and wall films by double cut, glass films edge to edge, laps over promoter where
 * asked.
 */
export function customarySeam(
  method: BlankInput['method'],
  direction: FilmDirection,
  repeat_mm: number | null,
): SeamWishes {
  const kind: SeamKind =
    method === 'column' || method === 'textured wall'
      ? 'lap over promoter'
      : method === 'decor' || method === 'wrapped edges' || method === 'furrow girth'
        ? 'double cut'
        : 'butt';
  return {
    kind,
    placing: 'equal drops',
    match: repeat_mm === null || direction === 'none' ? 'none' : 'straight',
    firstDrop: 'save film',
  };
}

/** One surface on its way to its pieces. */
interface Case {
  readonly input: CutInput;
  readonly whole: Blank;
  readonly notes: BlankNote[];
  /** Of the rolls the film can be had in; undefined: unknown. */
  readonly widest_mm: number | undefined;
}
type RawBlank = Omit<CutBlank, 'across_mm' | 'along_mm' | 'cell_mm' | 'phase_mm'>;
type Seams = CutBlanks['seams'];

/**
 * The pieces to cut for one surface: one, or drops with seams between when no roll is wide enough.
 * @throws CoreError CUTTING_BLANK_RANGE as `blankFor`
 * @source allowances and seam rules: common practice, no published source
 */
export function cutBlanks(input: CutInput): CutBlanks {
  const whole = blankFor(input);
  const own: Case = {
    input,
    whole,
    notes: [...whole.notes, ...(input.repeat_mm === 0 ? [{ case: 'pattern repeats every 0' as const }] : [])],
    widest_mm: [...input.rollWidths_mm]
      .filter((width) => width > 0)
      .sort((a, b) => a - b)
      .at(-1),
  };
  const sector =
    input.column === undefined
      ? undefined
      : sectorBlank({
          ...input.column,
          lap_mm: whole.sides.left_mm + whole.sides.right_mm,
          over_mm: whole.sides.top_mm,
        });
  return sector === undefined ? flatBlanks(own) : sectorBlanks(own, sector);
}

/** As the layout takes it, whole repeats where its pattern must meet that of others. */
function laidBlank({ input: { seam, repeat_mm }, whole }: Case, blank: RawBlank): CutBlank {
  const [across, along] =
    whole.lies === 'top along the roll'
      ? [blank.height_mm, blank.width_mm]
      : [blank.width_mm, blank.height_mm];
  const isPatterned =
    seam.match !== 'none' && repeat_mm !== null && repeat_mm > 0 && whole.lies === 'top across the roll';
  if (!isPatterned) return { ...blank, across_mm: across, along_mm: along, cell_mm: along, phase_mm: 0 };
  const phase_mm = phaseOf(seam.match, seam.firstDrop, blank.drop - 1, along, repeat_mm);
  const own_mm = upToTenth(phase_mm + along);
  return {
    ...blank,
    across_mm: across,
    along_mm: own_mm,
    cell_mm: blank.of === 1 ? own_mm : cellOf(along, phase_mm, repeat_mm).value,
    phase_mm,
  };
}

function hashOf({ whole, input }: Case, blanks: readonly CutBlank[]): string {
  const [only] = blanks;
  const isWhole =
    blanks.length === 1 && only?.along_mm === whole.height_mm.value && input.column === undefined;
  if (isWhole) return whole.inputsHash;
  const sizes = blanks.flatMap(({ width_mm, height_mm, across_mm, along_mm, phase_mm, left_mm, top_mm }) => [
    width_mm,
    height_mm,
    across_mm,
    along_mm,
    phase_mm,
    left_mm,
    top_mm,
  ]);
  return hashText([whole.inputsHash, ...sizes].join('|'));
}

function resultOf(own: Case, raw: readonly RawBlank[], seams: Seams): CutBlanks {
  const blanks = raw.map((blank) => laidBlank(own, blank));
  return { whole: own.whole, blanks, seams, notes: own.notes, inputsHash: hashOf(own, blanks) };
}

function inOnePiece(own: Case, more: Partial<RawBlank> = {}): CutBlanks {
  const { whole, input } = own;
  const blank: RawBlank = {
    drop: 1,
    of: 1,
    width_mm: whole.width_mm.value,
    height_mm: whole.height_mm.value,
    left_mm: 0,
    top_mm: 0,
    ...more,
  };
  return resultOf(own, [blank], { way: 'none', at_mm: [], kind: input.seam.kind, lap_mm: 0 });
}

/** A tapered column: a ring sector, or several where no roll is wide enough for one. */
function sectorBlanks(own: Case, sector: SectorBlank): CutBlanks {
  const { whole, widest_mm, notes } = own;
  const { width_mm, height_mm, inner_mm, outer_mm, angle_rad } = sector;
  notes.push({
    case: 'ring sector',
    inner_mm: inner_mm.value,
    outer_mm: outer_mm.value,
    angle_rad: angle_rad.value,
    width_mm,
    height_mm,
  });
  const fits =
    widest_mm === undefined || width_mm <= widest_mm || (whole.mayTurn90 && height_mm <= widest_mm);
  return fits ? inOnePiece(own, { width_mm, height_mm, sector }) : inSectors(own, widest_mm);
}

/**
 * A flat surface: one piece where a roll is wide enough, else drops by the way of seaming that breaks least.
 */
function flatBlanks(own: Case): CutBlanks {
  const { input, whole, widest_mm, notes } = own;
  const [width, height] = [whole.width_mm.value, whole.height_mm.value];
  const acrossRoll = whole.lies === 'top along the roll' ? height : width;
  if (widest_mm === undefined) {
    notes.push({ case: 'no roll width known' });
    return inOnePiece(own);
  }
  if (acrossRoll <= widest_mm || (whole.mayTurn90 && Math.min(width, height) <= widest_mm))
    return inOnePiece(own);
  if (input.maySeam === false) {
    const tooWide = widthWanting(whole, acrossRoll, widest_mm);
    notes.push({ case: 'too wide', ...tooWide });
    return { ...inOnePiece(own), tooWide };
  }
  const lap_mm = lapOf(input.seam.kind);
  const upright = seamsAcross(input, whole, widest_mm, lap_mm);
  const level = whole.lies === 'top across the roll' ? undefined : seamsDown(input, whole, widest_mm, lap_mm);
  const isLevelBetter =
    whole.lies === 'top along the roll' ||
    (level !== undefined &&
      (level.widths.length < upright.widths.length ||
        (level.widths.length === upright.widths.length && level.broken.length < upright.broken.length)));
  return isLevelBetter && level !== undefined
    ? inLevelDrops(own, level, lap_mm)
    : inUprightDrops(own, upright, lap_mm);
}

function inLevelDrops(own: Case, level: PlacedSeams, lap_mm: number): CutBlanks {
  own.notes.push(...level.broken);
  const raw = level.widths.map((height_mm, index): RawBlank => ({
    drop: index + 1,
    of: level.widths.length,
    width_mm: own.whole.width_mm.value,
    height_mm,
    left_mm: 0,
    top_mm: valueAt(level.starts, index),
  }));
  return resultOf(own, raw, { way: 'level', at_mm: level.seams, kind: own.input.seam.kind, lap_mm });
}

function inUprightDrops(own: Case, upright: PlacedSeams, lap_mm: number): CutBlanks {
  own.notes.push(...upright.broken);
  if (upright.widths.length > 1) own.notes.push({ case: 'hung in order' });
  const raw = upright.widths.map((width_mm, index): RawBlank => ({
    drop: index + 1,
    of: upright.widths.length,
    width_mm,
    height_mm: own.whole.height_mm.value,
    left_mm: valueAt(upright.starts, index),
    top_mm: 0,
  }));
  return resultOf(own, raw, { way: 'upright', at_mm: upright.seams, kind: own.input.seam.kind, lap_mm });
}

type PlacedSeams = ReturnType<typeof placeSeams>;

/** How much of a roll's width is wanting, and the allowance that would just do. */
function widthWanting({ lies, sides }: Blank, acrossRoll_mm: number, widest_mm: number): TooWide {
  const isDown = lies === 'top along the roll';
  const glass_mm = acrossRoll_mm - (isDown ? sides.top_mm + sides.bottom_mm : sides.left_mm + sides.right_mm);
  const over_mm = Math.floor((widest_mm - glass_mm) / 2);
  return {
    by_mm: upToTenth(acrossRoll_mm - widest_mm),
    over_mm: over_mm >= 0 ? over_mm : undefined,
    sides: isDown ? 'top and bottom' : 'left and right',
  };
}

function seamsAcross(
  { seam, hiddenAcross_mm = [], left, right }: CutInput,
  whole: Blank,
  roll_mm: number,
  lap_mm: number,
): ReturnType<typeof placeSeams> {
  const total = whole.width_mm.value;
  const clear = RULES.outsideSeam.value;
  const keptFree: (readonly [number, number])[] = [
    ...(left === 'outside corner' ? [[0, whole.sides.left_mm + clear] as const] : []),
    ...(right === 'outside corner' ? [[total - whole.sides.right_mm - clear, total] as const] : []),
  ];
  return placeSeams({
    whole_mm: total,
    roll_mm,
    lap_mm,
    placing: seam.placing,
    hiddenAt_mm: hiddenAcross_mm.map((at) => at + whole.sides.left_mm),
    keptFree,
  });
}

function seamsDown(
  { seam, footHeight_mm }: CutInput,
  whole: Blank,
  roll_mm: number,
  lap_mm: number,
): ReturnType<typeof placeSeams> {
  const total = whole.height_mm.value;
  const foot = footHeight_mm ?? null;
  const toTop = (over_mm: number): number => total - whole.sides.bottom_mm - (over_mm - (foot ?? 0));
  const keptFree: (readonly [number, number])[] =
    foot === null ? [] : [[toTop(RULES.eyesHigh.value), toTop(RULES.eyesLow.value)]];
  return placeSeams({ whole_mm: total, roll_mm, lap_mm, placing: seam.placing, hiddenAt_mm: [], keptFree });
}

const MOST_SECTORS = 12;

/**
 * A tapered column wider than the roll: equal sectors with a lap each. A part of the girth opens to the same
 * radii: the parts are calculated as columns of a part of the girth and height along the slope.
 */
function inSectors(own: Case, widest_mm: number): CutBlanks {
  const { input, whole, notes } = own;
  const column = input.column ?? { foot_mm: 0, top_mm: 0, height_mm: 0 };
  const lap_mm = whole.sides.left_mm + whole.sides.right_mm;
  const girth = Math.max(column.foot_mm, column.top_mm);
  for (let count = 2; count <= MOST_SECTORS; count += 1) {
    const part = partOf(column, count, lap_mm, whole.sides.top_mm);
    const fits =
      part !== undefined && (part.width_mm <= widest_mm || (whole.mayTurn90 && part.height_mm <= widest_mm));
    if (!fits) continue;
    notes.push({ case: 'in sectors', count, lap_mm });
    const raw = Array.from({ length: count }, (_, index): RawBlank => ({
      drop: index + 1,
      of: count,
      width_mm: part.width_mm,
      height_mm: part.height_mm,
      left_mm: upToTenth((index * girth) / count),
      top_mm: 0,
      sector: part,
    }));
    const at_mm = raw.slice(1).map(({ left_mm }) => left_mm);
    return resultOf(own, raw, { way: 'upright', at_mm, kind: 'lap over promoter', lap_mm });
  }
  notes.push({ case: 'no roll wide enough', mostSectors: MOST_SECTORS });
  return inOnePiece(own);
}

/**
 * One of so many equal parts of a frustum's film: the same radii, a part of the angle. A column of the n-th
 * part of both girths whose slope is as long opens to just that.
 */
function partOf(
  { foot_mm, top_mm, height_mm }: NonNullable<CutInput['column']>,
  count: number,
  lap_mm: number,
  over_mm: number,
): SectorBlank | undefined {
  const slope = Math.hypot(height_mm, (foot_mm - top_mm) / (2 * Math.PI));
  const [foot, top] = [foot_mm / count, top_mm / count];
  const upright = Math.sqrt(Math.max(0, slope ** 2 - ((foot - top) / (2 * Math.PI)) ** 2));
  return sectorBlank({ foot_mm: foot, top_mm: top, height_mm: upright, lap_mm, over_mm });
}

/**
 * What a drop must keep from the next one of its surface, so that their pattern meets; undefined: nothing.
 */
export function meetsOf(
  { along_mm, cell_mm, drop, of }: CutBlank,
  group: string,
  repeat_mm: number | null,
):
  | { readonly group: string; readonly drop: number; readonly cell_mm: number; readonly repeat_mm?: number }
  | undefined {
  return of < 2 || cell_mm === along_mm
    ? undefined
    : { group, drop, cell_mm, ...(repeat_mm === null ? {} : { repeat_mm }) };
}

/** The piece as the layout wants it. @param mustEdge whether the wish for a factory edge is a must */
export function layoutPieceOf(
  { whole }: Pick<CutBlanks, 'whole'>,
  { across_mm, along_mm }: CutBlank,
  id: string,
  mustEdge: boolean,
): LayoutPiece {
  const wants = whole.factoryEdge !== 'none';
  return {
    id,
    across_mm,
    along_mm,
    mayTurn90: whole.mayTurn90,
    ...(wants ? (mustEdge ? { wantsEdge: true } : { likesEdge: true }) : {}),
  };
}
