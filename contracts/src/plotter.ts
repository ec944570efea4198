import * as z from 'zod';
import { text, word } from './primitives';

/** What a page may ask of the plotter stand-in. */
export const plotterCommandSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('connect') }),
  z.strictObject({ do: z.literal('disconnect') }),
  z.strictObject({
    do: z.literal('load'),
    width_mm: z.number().min(100).max(5000),
    length_mm: z.number().min(0).max(1_000_000),
  }),
  /** HP-GL of one roll; the key says which, so that the same job is never begun twice by chance. */
  z.strictObject({
    do: z.literal('cut'),
    key: word(120),
    hpgl: text(900_000),
    from: z.int().min(0).max(100_000),
  }),
  z.strictObject({
    do: z.literal('misbehave'),
    how: z.enum(['run out of film', 'jam', 'unplug']),
    afterPieces: z.int().min(0).max(100_000),
  }),
  z.strictObject({ do: z.literal('speed'), times: z.number().min(1).max(10_000) }),
]);
export type PlotterCommand = z.infer<typeof plotterCommandSchema>;

const drawn = z.array(z.array(z.tuple([z.number(), z.number()])));
export const plotterStateSchema = z.strictObject({
  isConnected: z.boolean(),
  film: z.strictObject({ width_mm: z.number(), length_mm: z.number() }).nullable(),
  /** Pieces done of the job in hand, and the one it stopped in, if it did. */
  job: z
    .strictObject({
      key: z.string(),
      done: z.int(),
      of: z.int(),
      state: z.enum(['running', 'done', 'stopped']),
      stoppedIn: z.int().nullable(),
      says: z.string(),
    })
    .nullable(),
  /** Lines cut, mm: x along the roll, y across. */
  drawn,
  /** Millimetres cut over a line already cut. */
  cutTwice_mm: z.number(),
});
export type PlotterState = z.infer<typeof plotterStateSchema>;
