import {
  type Face,
  type JudgedStrokes,
  type Spot,
  type Stroke,
  boundsOf,
  middleWay,
  placeAlong,
  sweptBy,
  turnOf,
} from '@yellow-pane/core/strokes';

/** Size of a drawing, or of what is drawn. */
interface SheetSize {
  readonly wide: number;
  readonly high: number;
}
const LYING: SheetSize = { wide: 720, high: 440 };
const UPRIGHT: SheetSize = { wide: 440, high: 560 };
const UPRIGHT_FROM = 1.1;
const ROOM = 26;

export const isUpright = ({ wide, high }: SheetSize): boolean => high > UPRIGHT_FROM * wide;
export const sheetFor = (size: SheetSize): SheetSize => (isUpright(size) ? UPRIGHT : LYING);

/** Of a face, mm. */
export function sizeOf(whole: Face): SheetSize {
  const { left, right, bottom, top } = boundsOf(whole);
  return { wide: right - left, high: top - bottom };
}

/** A face laid on the drawing to scale, and back. */
interface FaceScale {
  readonly scale: number;
  readonly at: (spot: Spot) => Spot;
  readonly from: (place: Spot) => Spot;
}

interface DrawnStroke {
  readonly key: string;
  readonly number: number;
  readonly part: Stroke['part'];
  /** The way of the blade's middle. */
  readonly way: string;
  readonly head: string;
  readonly label: Spot;
  readonly start: Spot;
  readonly end: Spot;
  readonly swept: string;
}

interface StrokeDrawing {
  readonly sheet: SheetSize;
  readonly scale: FaceScale;
  readonly outline: string;
  /** What is pressed now, where a strip along the edges is left. */
  readonly pressed: string | undefined;
  readonly strokes: readonly DrawnStroke[];
  readonly gaps: readonly { readonly path: string; readonly label: Spot; readonly isLine: boolean }[];
  readonly traps: readonly { readonly at: Spot; readonly radius: number }[];
}

export function faceScale(whole: Face, room = ROOM): FaceScale {
  const { wide, high } = sheetFor(sizeOf(whole));
  const { left, right, bottom, top } = boundsOf(whole);
  const scale = Math.min(
    (wide - 2 * room) / Math.max(1, right - left),
    (high - 2 * room) / Math.max(1, top - bottom),
  );
  const [x0, y0] = [(wide - (right - left) * scale) / 2, (high + (top - bottom) * scale) / 2];
  return {
    scale,
    at: ({ x, y }) => ({ x: x0 + (x - left) * scale, y: y0 - (y - bottom) * scale }),
    from: ({ x, y }) => ({ x: left + (x - x0) / scale, y: bottom + (y0 - y) / scale }),
  };
}

const said = ({ x, y }: Spot): string => `${x.toFixed(1)} ${y.toFixed(1)}`;
const closed = (spots: readonly Spot[]): string => `M${spots.map(said).join('L')}Z`;

export const facePath = ({ rings }: Face, { at }: FaceScale): string =>
  rings.map((ring) => closed(ring.map(at))).join('');

/** So much of a stroke, from its beginning; its blade as it is. */
export function begun(stroke: Stroke, share: number): Stroke {
  const lengths = stroke.path
    .slice(1)
    .map(({ x, y }, index) => Math.hypot(x - (stroke.path[index]?.x ?? x), y - (stroke.path[index]?.y ?? y)));
  let left = share * lengths.reduce((sum, own) => sum + own, 0);
  const path: Spot[] = stroke.path.slice(0, 1);
  for (const [index, length] of lengths.entries()) {
    const [from, to] = [stroke.path[index], stroke.path[index + 1]];
    if (from === undefined || to === undefined || left <= 0) break;
    const part = length === 0 ? 1 : Math.min(1, left / length);
    path.push({ x: from.x + part * (to.x - from.x), y: from.y + part * (to.y - from.y) });
    left -= length;
  }
  return { ...stroke, path };
}

/** All turn the same way: where two lap, they must not cancel each other. */
export const sweptPath = (stroke: Stroke, { at }: FaceScale): string =>
  sweptBy(stroke)
    .map((corners) => closed((turnOf(corners) < 0 ? corners.toReversed() : corners).map(at)))
    .join('');

const HEAD = 9;
/** How far barbs spread from the way, radians. */
const BARB = 0.5;
const OUTSIDE = 16;
const LABELS_ALONG = [0.5, 0.34, 0.66];

/** The strokes of a face as one stands before it, numbered, with gaps and what is shut in. */
export function drawStrokes(
  whole: Face,
  pressed: Face | undefined,
  { strokes, coverage, findings }: JudgedStrokes,
  lineFrom_mm: number,
): StrokeDrawing {
  const scale = faceScale(whole);
  return {
    sheet: sheetFor(sizeOf(whole)),
    scale,
    outline: facePath(whole, scale),
    pressed: pressed === undefined ? undefined : facePath(pressed, scale),
    strokes: strokes.map((stroke, index) => drawStroke(stroke, index + 1, scale)),
    gaps: coverage.gaps
      .filter(({ area_mm2 }) => area_mm2 > 1)
      .map(({ pieces, at, length_mm }) => ({
        path: pieces.map((piece) => closed(piece.map(scale.at))).join(''),
        label: scale.at(at),
        isLine: length_mm > lineFrom_mm,
      })),
    traps: findings.traps.map(({ at, area_mm2 }) => ({
      at: scale.at(at),
      radius: Math.max(9, Math.sqrt(area_mm2 / Math.PI) * scale.scale),
    })),
  };
}

export const wayPath = (way: readonly Spot[]): string => `M${way.map(said).join('L')}`;

/** The two barbs at the end of a way. */
export function arrowHead(way: readonly Spot[], size: number): string {
  const last = way.at(-1) ?? { x: 0, y: 0 };
  const before = way.at(-2) ?? last;
  const turn = Math.atan2(last.y - before.y, last.x - before.x);
  const barb = (by: number): Spot => ({
    x: last.x - size * Math.cos(turn + by),
    y: last.y - size * Math.sin(turn + by),
  });
  return wayPath([barb(BARB), last, barb(-BARB)]);
}

function drawStroke(stroke: Stroke, number: number, scale: FaceScale): DrawnStroke {
  const way = middleWay(stroke).map(scale.at);
  const last = way.at(-1) ?? { x: 0, y: 0 };
  return {
    key: stroke.key,
    number,
    part: stroke.part,
    way: wayPath(way),
    head: arrowHead(way, HEAD),
    label: labelOf(stroke, number, way),
    start: way[0] ?? last,
    end: last,
    swept: sweptPath(stroke, scale),
  };
}

/** Numbers of edge strokes stand outside the surface, clear of those of the lanes. */
function labelOf({ part, blade }: Stroke, number: number, way: readonly Spot[]): Spot {
  const at = placeAlong(way, LABELS_ALONG[number % LABELS_ALONG.length] ?? 0.5);
  if (part !== 'edge') return at;
  const out = Math.sign(blade.from_mm + blade.to_mm) * -OUTSIDE;
  return { x: at.x + blade.along.x * out, y: at.y - blade.along.y * out };
}
