import { CUT_METHODS } from '@yellow-pane/core/job';
import { LINER_WAYS } from '@yellow-pane/core/liner';
import { LOCK_FIGURES } from '@yellow-pane/core/strokes';
import * as z from 'zod';
import { word } from './primitives';

const MOST_CORNERS = 5000;
const MOST_STROKES = 2000;

const coordinate = z.number().min(-1e6).max(1e6);
const spot = z.strictObject({ x: coordinate, y: coordinate });
const ring = z.array(spot).min(3).max(MOST_CORNERS);
const millimetres = z.number().min(1).max(100_000);
const over = z.number().min(-1000).max(1000);

/** Millimetres, x to the right and y upwards, as whoever works sees it. */
export const strokesRequestSchema = z.strictObject({
  outline: ring,
  /** Openings, also such as reach an edge. */
  holes: z.array(ring).max(100).optional(),
  /** Sides that let nothing out, by their number from 0, where there are no holes. */
  closedSides: z.array(z.int().min(0).max(MOST_CORNERS)).max(MOST_CORNERS).optional(),
  blade_mm: millimetres.optional(),
  /** Absent: as far as the hand asks for. */
  overlap_mm: z.number().min(0).max(100_000).optional(),
  wander_mm: z.number().min(0).max(100).optional(),
  card_mm: millimetres.optional(),
  way: z.enum(['lanes', 'round a column']).optional(),
  lock: z.enum(LOCK_FIGURES).optional(),
  first: z.enum(['left', 'right']).optional(),
  people: z.literal([1, 2]).optional(),
  isDry: z.boolean().optional(),
  /** A strip along all edges that is left until it is trimmed. */
  inset_mm: z.number().min(0).max(1000).optional(),
  /** These instead of those that are planned: straight, the blade square across. */
  strokes: z
    .array(z.strictObject({ key: word(80), from: spot, to: spot, width_mm: millimetres }))
    .min(1)
    .max(MOST_STROKES)
    .optional(),
  trim: z
    .strictObject({
      method: z.enum(CUT_METHODS),
      over: z.strictObject({ top: over, right: over, bottom: over, left: over }),
      factoryEdge: z.enum(['at the top', 'at one side', 'none']),
      from: z.enum(['the middle to the corners', 'a top corner down']),
      reach_mm: millimetres.optional(),
    })
    .optional(),
  liner: z
    .strictObject({
      way: z.enum(LINER_WAYS),
      people: z.literal([1, 2]),
      hand: z.enum(['left', 'right']).optional(),
    })
    .optional(),
});
