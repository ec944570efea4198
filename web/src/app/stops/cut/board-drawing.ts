import type { RowOf } from '@yellow-pane/core/job';

type Outline = NonNullable<RowOf<'cutPiece'>['outline']>;
type Lies = Pick<RowOf<'cutPiece'>, 'turned' | 'topAlong' | 'flipped'>;

/** A rectangle of the board, in its own units. */
interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** An outline drawn with its roll unrolling to the right. */
export function pathOf(outline: Outline, along_mm: number, across_mm: number): string {
  return `${openPath(outline, along_mm, across_mm)}Z`;
}

export function openPath(points: Outline, along_mm: number, across_mm: number): string {
  return points
    .map(
      ({ x, y }, index) =>
        `${index === 0 ? 'M' : 'L'}${(along_mm + y).toFixed(1)} ${(across_mm + x).toFixed(1)}`,
    )
    .join('');
}

/** A small wedge at the side where the top of the piece lies. */
export function wedge({ turned, topAlong, flipped }: Lies, { x, y, w, h }: Box, most: number): string {
  const size = Math.min(most, w / 5, h / 5);
  if (turned === topAlong && flipped)
    return `M${x + w - size * 0.3} ${y + h / 2}l${-size} ${-size * 0.7}v${size * 1.4}Z`;
  if (turned === topAlong) return `M${x + size * 0.3} ${y + h / 2}l${size} ${-size * 0.7}v${size * 1.4}Z`;
  if (flipped) return `M${x + w / 2} ${y + h - size * 0.3}l${size * 0.7} ${-size}h${-size * 1.4}Z`;
  return `M${x + w / 2} ${y + size * 0.3}l${size * 0.7} ${size}h${-size * 1.4}Z`;
}

/** Under a piece, in hundredths of the board; in its right half it ends where the piece ends. */
export function underPiece(
  { x, y, w, h }: Box,
  viewBox: string,
): { readonly left?: number; readonly right?: number; readonly top: number } {
  const [left = 0, top = 0, wide = 1, high = 1] = viewBox.split(' ').map(Number);
  const share = (100 * (x - left)) / wide;
  const under = (100 * (y + h - top)) / high;
  return share > 50
    ? { right: Math.max(0, 100 - (100 * (x + w - left)) / wide), top: under }
    : { left: share, top: under };
}

const METRE = { unit: 'm', mm: 1000, steps: [0.5, 1, 2, 5, 10, 20, 50, 100] } as const;
const FOOT = { unit: 'ft', mm: 304.8, steps: [1, 2, 5, 10, 20, 50, 100, 200, 500] } as const;

/**
 * Marks along a roll, in metres or feet, no nearer to each other than such a length.
 * @param length_mm of the roll @param apart_mm least distance of two marks
 */
export function scaleMarks(
  length_mm: number,
  apart_mm: number,
  inFeet: boolean,
): readonly { readonly at: number; readonly text: string }[] {
  const { unit, mm, steps } = inFeet ? FOOT : METRE;
  const step = steps.find((own) => own * mm >= apart_mm) ?? steps.at(-1) ?? 1;
  return Array.from({ length: Math.floor(length_mm / (step * mm) + 1e-9) + 1 }, (_, index) => ({
    at: index * step * mm,
    text: `${index * step} ${unit}`,
  }));
}
