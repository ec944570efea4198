import { type Face, type Spot, boundsOf, uprightsAt } from '../face';
import { type Tool, bandsOf, fitsIn, lanesOf } from './lanes';
import { LEVEL, type Stroke, UPRIGHT, squareStroke } from '../stroke';

/** How film is fixed before it is pressed out; `none`: not at all. */
export const LOCK_FIGURES = [
  'none',
  'centre line',
  'T',
  'X',
  'quarters',
  'upper corners first',
  'from the top middle',
  'whole face',
] as const;
export type LockFigure = (typeof LOCK_FIGURES)[number];

/** Strokes that lock the film by such a figure. */
export function lockStrokes(face: Face, tool: Tool, figure: LockFigure): readonly Stroke[] {
  switch (figure) {
    case 'none':
      return [];
    case 'centre line':
      return centreLine(face, tool);
    case 'T':
      return [...acrossAt(face, tool, 'top'), ...centreLine(face, tool)];
    case 'X':
      return cornerToCorner(face, tool);
    case 'quarters':
      return [...centreLine(face, tool), ...acrossAt(face, tool, 'middle')];
    case 'upper corners first':
      return upperCorners(face, tool);
    case 'from the top middle':
      return [...acrossAt(face, tool, 'top'), ...downwards(face, tool)];
    case 'whole face': {
      const { left, right } = boundsOf(face);
      return lanesOf(face, tool, { spine_mm: (left + right) / 2, first: 'right' }).map(asLock);
    }
  }
}

const asLock = (stroke: Stroke): Stroke => ({ ...stroke, key: `lock ${stroke.key}`, part: 'lock' });

const middleOf = (face: Face): number => {
  const { left, right } = boundsOf(face);
  return (left + right) / 2;
};

/** One upright stroke down the longest upright in the middle. */
function centreLine(face: Face, { blade_mm }: Tool): readonly Stroke[] {
  const x = middleOf(face);
  const [longest] = uprightsAt(face, x).toSorted((a, b) => b[1] - b[0] - (a[1] - a[0]));
  if (longest === undefined) return [];
  const [bottom, top] = longest;
  return [down('lock down', { x, y: top }, { x, y: bottom }, blade_mm)];
}

const down = (key: string, from: Spot, to: Spot, blade_mm: number): Stroke => ({
  key,
  part: 'lock',
  path: [from, to],
  blade: { along: LEVEL, from_mm: -blade_mm / 2, to_mm: blade_mm / 2 },
});

/** From the middle to both sides, in the uppermost band or that at half height. */
function acrossAt(face: Face, tool: Tool, where: 'top' | 'middle'): readonly Stroke[] {
  const bands = bandsOf(face, tool);
  const band = bands[where === 'top' ? 0 : Math.floor(bands.length / 2)];
  if (band === undefined) return [];
  const x = middleOf(face);
  const [widest] = fitsIn(face, band).toSorted((a, b) => b[1] - b[0] - (a[1] - a[0]));
  if (widest === undefined) return [];
  const [left, right] = widest;
  const from = Math.min(right, Math.max(left, x));
  const y = (band.bottom + band.top) / 2;
  const reach = (band.top - band.bottom) / 2;
  return [right, left]
    .filter((to) => to !== from)
    .map((to) => ({
      key: `lock ${where} ${to > from ? 'right' : 'left'}`,
      part: 'lock',
      path: [
        { x: from, y },
        { x: to, y },
      ],
      blade: { along: UPRIGHT, from_mm: -reach, to_mm: reach },
    }));
}

/** From the upper corners of the box, as far as film goes, down through the middle to the lower ones. */
function cornerToCorner(face: Face, { blade_mm }: Tool): readonly Stroke[] {
  const { left, right, bottom, top } = boundsOf(face);
  const [dx, dy] = [right - left, top - bottom];
  const way = Math.hypot(dx, dy) || 1;
  // The square blade stays on the box at both ends.
  const [ex, ey] = [((blade_mm / 2) * dy) / way, ((blade_mm / 2) * dx) / way];
  if (2 * ex >= dx || 2 * ey >= dy) return [];
  return [
    squareStroke('lock falling', { x: left + ex, y: top - ey }, { x: right - ex, y: bottom + ey }, blade_mm),
    squareStroke(
      'lock falling back',
      { x: right - ex, y: top - ey },
      { x: left + ex, y: bottom + ey },
      blade_mm,
    ),
  ].map((stroke) => ({ ...stroke, part: 'lock' }));
}

/** Short strokes outwards in the upper corners. */
function upperCorners(face: Face, tool: Tool): readonly Stroke[] {
  return acrossAt(face, tool, 'top').map((stroke) => {
    const [from, to] = [stroke.path[0] ?? { x: 0, y: 0 }, stroke.path.at(-1) ?? { x: 0, y: 0 }];
    const short = Math.sign(to.x - from.x) * Math.min(Math.abs(to.x - from.x), 2 * tool.blade_mm);
    return { ...stroke, key: stroke.key.replace('top', 'corner'), path: [{ x: to.x - short, y: to.y }, to] };
  });
}

/** Three strokes down side by side: in the middle, and beside it on both sides. */
function downwards(face: Face, tool: Tool): readonly Stroke[] {
  const { left, right } = boundsOf(face);
  const [middle] = centreLine(face, tool);
  const beside = tool.blade_mm - tool.overlap_mm;
  return [
    ...(middle === undefined ? [] : [middle]),
    ...[beside, -beside].flatMap((away) => {
      const x = middleOf(face) + away;
      if (x + tool.blade_mm / 2 > right || x - tool.blade_mm / 2 < left) return [];
      const [longest] = uprightsAt(face, x).toSorted((a, b) => b[1] - b[0] - (a[1] - a[0]));
      return longest === undefined
        ? []
        : [
            down(
              `lock down ${away > 0 ? 'right' : 'left'}`,
              { x, y: longest[1] },
              { x, y: longest[0] },
              tool.blade_mm,
            ),
          ];
    }),
  ];
}
