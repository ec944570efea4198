import { INSTRUMENT_NAMES, SHAPES_OF_KIND, type SurfaceKind, type SurfaceShape } from '@yellow-pane/core/job';
import { type Outline, outlineBounds } from '@yellow-pane/core/measure';
import * as z from 'zod';
import { measureKind, pointName, positiveNanometres, signedNanometres, text, word } from '../primitives';
import type { BroughtSurface } from './brought-in';

/**
 * How the program's own drawings know themselves again: comments (group 999) that say from where they are
 * drawn and what each surface was. A drawing that was changed elsewhere since is read as anyone's, but still
 * from the side it says.
 */
const MARK = 'yellow-pane survey, seen from outside or side A';
const PIECE = 'yp ';
const PIECE_LENGTH = 200;
const SAME_MM = 0.2;

const SHAPES = Object.values(SHAPES_OF_KIND).flat() as [SurfaceShape, ...SurfaceShape[]];
const ownSchema = z.strictObject({
  width_mm: z.number(),
  height_mm: z.number(),
  surface: z.strictObject({
    tag: word(40),
    name: text(200),
    place: text(200),
    kind: z.enum(Object.keys(SHAPES_OF_KIND) as [SurfaceKind, ...SurfaceKind[]]),
    shape: z.enum(SHAPES),
    corners: z.int().min(3).max(24).nullable(),
    seenFrom: z.enum(['room', 'outside', 'side A', 'side B']),
    remark: text(4000),
    measures: z
      .array(
        z.strictObject({
          kind: measureKind,
          from: pointName,
          to: pointName,
          text: word(60),
          unit: z.enum(['mm', 'cm', 'm', 'in', 'ft']),
          value_nm: signedNanometres,
          instrument: z.enum(INSTRUMENT_NAMES),
          sd_nm: positiveNanometres.nullable(),
        }),
      )
      .max(2000),
  }) satisfies z.ZodType<BroughtSurface>,
});

/** Comment lines to stand before a drawing of ours. */
export function ownComments(
  surfaces: readonly { readonly outline: Outline; readonly own?: BroughtSurface | undefined }[],
): string {
  const lines = [
    MARK,
    ...surfaces.flatMap(({ outline, own }, index) => {
      if (own === undefined) return [];
      const { width, height } = outlineBounds(outline);
      const json = JSON.stringify({
        width_mm: Math.round(width * 10) / 10,
        height_mm: Math.round(height * 10) / 10,
        surface: own,
      }).replace(/[^\x20-\x7e]/gu, escapedCode);
      return Array.from(
        { length: Math.ceil(json.length / PIECE_LENGTH) },
        (_, piece) => `${PIECE}${index} ${json.slice(piece * PIECE_LENGTH, (piece + 1) * PIECE_LENGTH)}|`,
      );
    }),
  ];
  return lines.map((line) => `999\n${line}\n`).join('');
}

const escapedCode = (letter: string): string =>
  Array.from(
    { length: letter.length },
    (_, index) => `\\u${letter.charCodeAt(index).toString(16).padStart(4, '0')}`,
  ).join('');

/**
 * What a drawing of ours says of itself.
 * @param outlines of its layer PANE, as drawn
 * @returns the surfaces as they were, where every outline still has its size; `isOurs` alone when it was
 * changed since
 */
export function readOwn(
  drawing: string,
  outlines: readonly Outline[],
): { readonly isOurs: boolean; readonly surfaces?: readonly BroughtSurface[] } {
  const comments = [...drawing.slice(0, drawing.indexOf('SECTION')).matchAll(/^\s*999\s*\r?\n(.*)$/gm)].map(
    ([, line = '']) => line.replace(/\r$/, ''),
  );
  if (comments[0] !== MARK) return { isOurs: false };
  const parts = new Map<number, string>();
  for (const line of comments) {
    const [, index, piece = ''] = /^yp (\d+) (.*)\|$/.exec(line) ?? [];
    if (index !== undefined) parts.set(Number(index), (parts.get(Number(index)) ?? '') + piece);
  }
  const read = [...parts.values()].map((json) => {
    try {
      return ownSchema.safeParse(JSON.parse(json)).data;
    } catch {
      return undefined;
    }
  });
  const isUntouched =
    read.length > 0 &&
    read.length === outlines.length &&
    read.every((own, index) => {
      const { width, height } = outlineBounds(outlines[index] ?? []);
      return (
        own !== undefined &&
        Math.abs(own.width_mm - width) < SAME_MM &&
        Math.abs(own.height_mm - height) < SAME_MM
      );
    });
  return {
    isOurs: true,
    ...(isUntouched ? { surfaces: read.flatMap((own) => (own === undefined ? [] : [own.surface])) } : {}),
  };
}
