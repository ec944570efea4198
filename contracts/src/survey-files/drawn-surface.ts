import { type Outline, isSimple } from '@yellow-pane/core/measure';
import type { BroughtLine, BroughtMeasure, BroughtSurface } from './brought-in';

const MOST_CORNERS = 24;

const EMPTY: BroughtSurface = {
  tag: '',
  name: 'from a drawing',
  place: '',
  kind: 'pane',
  shape: 'four sides',
  corners: null,
  seenFrom: 'room',
  remark: '',
  measures: [],
};
/** A drawing is exact as far as it is true: half a millimetre. */
const DRAWN_SD_NM = 500_000;

function distance(from: string, to: string, value_mm: number): BroughtMeasure {
  const tenth = Math.round(value_mm * 10) / 10;
  return {
    kind: 'distance',
    from,
    to,
    text: `${tenth} mm`,
    unit: 'mm',
    value_nm: Math.round(tenth * 1e6),
    instrument: 'tape',
    sd_nm: DRAWN_SD_NM,
  };
}

export function polygonSurface(
  tag: string,
  outline: Outline,
  seenFrom: BroughtSurface['seenFrom'] = 'room',
): BroughtSurface {
  const span = (a: number, b: number): number =>
    Math.hypot((outline[a]?.x ?? 0) - (outline[b]?.x ?? 0), (outline[a]?.y ?? 0) - (outline[b]?.y ?? 0));
  const count = outline.length;
  if (count === 4 && isSimple(outline))
    return {
      ...EMPTY,
      seenFrom,
      tag,
      measures: [
        distance('tl', 'tr', span(0, 1)),
        distance('bl', 'br', span(3, 2)),
        distance('tl', 'bl', span(0, 3)),
        distance('tr', 'br', span(1, 2)),
        distance('tl', 'br', span(0, 2)),
        distance('bl', 'tr', span(3, 1)),
      ],
    };
  const pairs: [number, number][] = [];
  for (let a = 0; a < count; a += 1) pairs.push([a, (a + 1) % count]);
  for (let b = 2; b < count - 1; b += 1) pairs.push([0, b]);
  for (let b = 3; b < count; b += 1) pairs.push([1, b]);
  return {
    ...EMPTY,
    seenFrom,
    tag,
    shape: 'many sides',
    corners: count,
    measures: pairs.map(([a, b]) => distance(`p${a + 1}`, `p${b + 1}`, span(a, b))),
  };
}

export function lineOf(line: number, surface: BroughtSurface): BroughtLine {
  const faults: BroughtLine['faults'][number][] = [];
  if ((surface.corners ?? 0) > MOST_CORNERS)
    faults.push({ column: 'outline', says: `${surface.corners ?? 0} corners; the most is ${MOST_CORNERS}` });
  if (surface.measures.some(({ value_nm }) => value_nm > 60_000 * 1e6))
    faults.push({ column: 'outline', says: 'larger than 60 m: another unit or scale?' });
  if (surface.measures.some(({ value_nm }) => value_nm < 1e6))
    faults.push({ column: 'outline', says: 'a side shorter than 1 mm: another unit or scale?' });
  return { line, surface, faults };
}

/** A circle of a drawing as a round pane. */
export function roundSurface(
  tag: string,
  radius_mm: number,
  seenFrom: BroughtSurface['seenFrom'] = 'room',
): BroughtSurface {
  return {
    ...EMPTY,
    ...{ seenFrom, tag, shape: 'round' },
    measures: [distance('ml', 'mr', 2 * radius_mm), distance('mt', 'mb', 2 * radius_mm)],
  };
}
