import { type Outline, type Point, areaOf } from '@yellow-pane/core/measure';
import type { DrawingPart } from './drawing-parts';

const LONGEST_TAG = 40;

/** A word written in a drawing, in millimetres, y down. */
export interface DrawnText {
  readonly at: Point;
  readonly says: string;
}

/** What is written in a drawing, without the marks of its typesetting. */
export function drawnTexts(parts: readonly DrawingPart[], factor: number): readonly DrawnText[] {
  return parts.flatMap(({ entity, place }) => {
    const { type, text, startPoint, position } = entity as unknown as {
      readonly type: string;
      readonly text?: string;
      readonly startPoint?: Point;
      readonly position?: Point;
    };
    const at = startPoint ?? position;
    if ((type !== 'TEXT' && type !== 'MTEXT') || at === undefined || text === undefined) return [];
    const says = plain(text);
    const { x, y } = place(at);
    return says === '' || !Number.isFinite(x + y) ? [] : [{ at: { x: x * factor, y: -y * factor }, says }];
  });
}

function plain(text: string): string {
  return text
    .replace(/\\[Pp]/g, ' ')
    .replace(/\\[A-Za-z][^;\\]*;/g, '')
    .replace(/[{}]/g, '')
    .replace(/%%[A-Za-z]/g, '')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, LONGEST_TAG);
}

/** Whether a point lies in an outline. @source crossing number, Shimrat 1962 (from memory) */
export function isWithin({ x, y }: Point, outline: Outline): boolean {
  let isIn = false;
  for (let at = 0, before = outline.length - 1; at < outline.length; before = at, at += 1) {
    const [a, b] = [outline[at], outline[before]];
    if (a === undefined || b === undefined) continue;
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) isIn = !isIn;
  }
  return isIn;
}

/** The word in each outline, by its place in the list: of the smallest outline round it, the first there. */
export function tagsByOutline(
  outlines: readonly Outline[],
  texts: readonly DrawnText[],
): ReadonlyMap<number, string> {
  const tags = new Map<number, string>();
  const taken = new Set<string>();
  for (const { at, says } of texts) {
    const round = outlines
      .map((outline, index) => ({ index, outline }))
      .filter(({ outline }) => isWithin(at, outline))
      .sort((a, b) => Math.abs(areaOf(a.outline)) - Math.abs(areaOf(b.outline)));
    const own = round[0]?.index;
    if (own === undefined || tags.has(own) || taken.has(says)) continue;
    tags.set(own, says);
    taken.add(says);
  }
  return tags;
}
