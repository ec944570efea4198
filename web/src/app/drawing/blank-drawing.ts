import type { CutBlanks } from '@yellow-pane/core/blanks';
import { type Outline, outlineBounds } from '@yellow-pane/core/measure';

export const WIDE = 640;
export const HIGH = 330;

interface Opening {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Where millimetres of the blank lie on the drawing. */
interface Scale {
  readonly left: number;
  readonly top: number;
  readonly scale: number;
}

/**
 * The blanks of a surface to scale round its outline: openings, drops and seams.
 * @param length a length in the person's units, without its unit
 */
export function drawBlanks(
  blanks: CutBlanks,
  outline: Outline,
  openings: readonly Opening[],
  length: (value_mm: number) => string,
) {
  const { whole } = blanks;
  const sector = blanks.blanks[0]?.sector;
  const [box_w, box_h] =
    sector === undefined
      ? [whole.width_mm.value, whole.height_mm.value]
      : [sector.width_mm, sector.height_mm];
  const scale = Math.min((WIDE - 20) / box_w, (HIGH - 40) / box_h);
  const [left, top] = [(WIDE - box_w * scale) / 2, (HIGH - box_h * scale) / 2 + 6];
  const at = { left, top, scale };
  const bounds = outlineBounds(outline);
  const shift =
    sector === undefined
      ? { x: whole.sides.left_mm, y: whole.sides.top_mm }
      : { x: (box_w - bounds.width) / 2, y: (box_h - bounds.height) / 2 };
  return {
    surface: pathOf(outline, shift.x - bounds.left, shift.y - bounds.top, at),
    sector: sector === undefined ? undefined : pathOf(sector.outline, 0, 0, at),
    holes: openings.map(({ x, y, width, height }) => ({
      x: left + (x + whole.sides.left_mm) * scale,
      y: top + (y + whole.sides.top_mm) * scale,
      w: width * scale,
      h: height * scale,
    })),
    drops: sector !== undefined ? [] : dropsOf(blanks, at, length),
    seams: sector !== undefined ? [] : seamsOf(blanks, at, length),
  };
}

function pathOf(points: Outline, dx: number, dy: number, { left, top, scale }: Scale): string {
  const corners = points.map(
    ({ x, y }, index) =>
      `${index === 0 ? 'M' : 'L'}${(left + (x + dx) * scale).toFixed(1)} ${(top + (y + dy) * scale).toFixed(1)}`,
  );
  return `${corners.join('')}Z`;
}

function dropsOf({ blanks }: CutBlanks, { left, top, scale }: Scale, length: (value_mm: number) => string) {
  return blanks.map((blank) => ({
    no: blank.drop,
    word: blank.of > 1 ? String(blank.drop) : '',
    wide: length(blank.width_mm),
    high: length(blank.height_mm),
    x: left + blank.left_mm * scale,
    y: top + blank.top_mm * scale,
    w: blank.width_mm * scale,
    h: blank.height_mm * scale,
  }));
}

function seamsOf(
  { seams, whole }: CutBlanks,
  { left, top, scale }: Scale,
  length: (value_mm: number) => string,
) {
  if (seams.way === 'none') return [];
  const [right, bottom] = [left + whole.width_mm.value * scale, top + whole.height_mm.value * scale];
  return seams.at_mm.map((at) => {
    const [x, y] = [left + at * scale, top + at * scale];
    return seams.way === 'upright'
      ? {
          ...{ x1: x, x2: x, y1: top - 4, y2: bottom + 4, tx: x, ty: top - 8 },
          text: length(at - whole.sides.left_mm),
        }
      : {
          ...{ x1: left - 4, x2: right + 4, y1: y, y2: y, tx: right + 4, ty: y - 6 },
          text: length(at - whole.sides.top_mm),
        };
  });
}
