import type { BlankInput } from '@yellow-pane/core/blanks';
import type { LayoutRequest } from '@yellow-pane/core/packing';
import { CUT_METHODS, INSTRUMENT_NAMES } from '@yellow-pane/core/job';
import { CURVED_POINTS } from '@yellow-pane/core/measure';
import * as z from 'zod';
import { treatmentSchema, frameSchema, edgeFinishSchema } from './glass-words';
import { pointOfEarthSchema, skylineSchema } from './where';
import { stagesSchema } from './cutting-rows';
import { share, text, word } from './primitives';

const millimetres = z.number().min(1).max(100_000);
const sd = z.number().min(0.01).max(1000);
const key = word(80);

const coordinate = z.number().min(-1e6).max(1e6).optional();
export const measureRequestSchema = z.strictObject({
  points: z
    .array(z.strictObject({ id: z.string().regex(/^[^~]{1,40}$/), x_mm: coordinate, y_mm: coordinate }))
    .min(2)
    .max(60),
  distances: z
    .array(z.strictObject({ id: key, from: key, to: key, value_mm: millimetres, sd_mm: sd }))
    .min(1)
    .max(500),
  rightAngles: z
    .array(z.strictObject({ id: key, at: key, one: key, other: key, sd_mm: sd }))
    .max(100)
    .optional(),
  levels: z
    .array(
      z.strictObject({ id: key, from: key, to: key, value_mm: z.number().min(-1000).max(1000), sd_mm: sd }),
    )
    .max(100)
    .optional(),
});

const curvedPoint = z.enum(CURVED_POINTS, { error: `one of ${CURVED_POINTS.join(', ')}` });

export const curvedPatchRequestSchema = z.strictObject({
  readings: z
    .array(
      z.strictObject({
        id: key,
        kind: z.enum(['distance', 'sag', 'quarter sag', 'rocking gap']),
        from: curvedPoint,
        to: curvedPoint,
        value_mm: z.number().min(-2000).max(100_000),
        instrument: z.enum(INSTRUMENT_NAMES),
        sd_mm: sd.optional(),
      }),
    )
    .min(1)
    .max(200),
});

const strain = z.number().min(0.0001).max(0.2);

export const shrinkPlanRequestSchema = z.strictObject({
  ...curvedPatchRequestSchema.shape,
  /** Height of the line a person wants, mm upwards from the middle; absent: as much above as below. */
  lineAt_mm: z.number().min(-50_000).max(50_000).optional(),
  /** What the film bears, shares; absent: our guess. */
  limits: z
    .strictObject({ easy: strain, hard: strain, limit: strain, from: z.enum(['sheet', 'strip test']) })
    .optional(),
  /** Highest fold, and share of an edge that stays free for folds; absent: our guess. */
  mostFold_mm: z.number().min(1).max(100).optional(),
  free: z.number().min(0.05).max(1).optional(),
  /** Folds along each edge; absent: as many as their height asks for. */
  folds: z.int().min(1).max(60).optional(),
});

const allowance = z.number().min(0).max(1000);
const cornerTurn = z.enum(['inside corner', 'outside corner', 'free edge', 'unknown']);

export const blankRequestSchema = z.strictObject({
  aroundWidth_mm: millimetres,
  aroundHeight_mm: millimetres,
  method: z.enum(CUT_METHODS),
  direction: z.enum(['none', 'along the roll', 'one way']),
  sides: z
    .strictObject({ top_mm: allowance, right_mm: allowance, bottom_mm: allowance, left_mm: allowance })
    .optional(),
  left: cornerTurn.optional(),
  right: cornerTurn.optional(),
}) satisfies z.ZodType<BlankInput>;

const pieceSchema = z.strictObject({
  id: key,
  across_mm: millimetres,
  along_mm: millimetres,
  mayTurn90: z.boolean(),
  wantsEdge: z.boolean().optional(),
  likesEdge: z.boolean().optional(),
});

/** A piece named twice would be cut once and counted twice. */
function eachOnce(pieces: readonly { readonly id: string }[], context: z.RefinementCtx): void {
  const seen = new Set<string>();
  pieces.forEach(({ id }, index) => {
    if (seen.has(id))
      context.addIssue({ code: 'custom', path: [index, 'id'], message: 'an id no other piece has' });
    seen.add(id);
  });
}

export const layoutRequestSchema = z.strictObject({
  rollWidth_mm: z.number().min(1).max(5000),
  pieces: z.array(pieceSchema).max(10_000).superRefine(eachOnce),
}) satisfies z.ZodType<LayoutRequest>;

/**
 * Ends at whichever comes first. Rounds and a seed given, the plan is the same whatever the machine; without
 * rounds as many searches go side by side as it has processors for.
 */
export const searchLimits = {
  seed: z.int().min(0).max(2_000_000_000).default(1),
  mostRounds: z.int().min(0).max(1_000_000).optional(),
  milliseconds: z.int().min(0).max(20_000).default(1000),
  searches: z.int().min(1).max(3).optional(),
};

/** One roll without end. */
const stripSchema = layoutRequestSchema.extend({
  mode: z.enum(['by hand', 'by plotter']).default('by hand'),
  stages: stagesSchema.default(3),
  ...searchLimits,
});

/** As many as a body of 16 MB holds, whatever their names. */
export const MOST_PIECES = 50_000;
const orderMoney = z.number().min(0).max(1e6);
const ratesSchema = z.strictObject({
  perCrossCut: orderMoney.default(0),
  perSlit: orderMoney.default(0),
  perPiece: orderMoney.default(0),
  keepWidth_mm: z.number().min(0).max(5000).default(200),
  keepLength_mm: z.number().min(0).max(100_000).default(500),
  keepShare: share.default(0),
  perSplitGroup: orderMoney.default(0),
});

/** Several rolls and offcuts. Limits of sense are core's, which names the field. */
const orderSchema = z.strictObject({
  stocks: z
    .array(
      z.strictObject({
        id: key,
        what: z.enum(['roll', 'offcut', 'to order']),
        width_mm: z.number(),
        length_mm: z.number(),
        perMetre: z.number().default(1),
        whole: z.number().default(0),
        lot: text(80).default(''),
        edges: z.enum(['both', 'left', 'right', 'none']).default('both'),
      }),
    )
    .max(1000),
  pieces: z
    .array(
      pieceSchema.extend({
        across_mm: z.number(),
        along_mm: z.number(),
        group: text(80).default(''),
        outline: z
          .array(z.strictObject({ x: z.number().min(-1).max(1e6), y: z.number().min(-1).max(1e6) }))
          .min(3)
          .max(400)
          .optional(),
        mayFlip: z.boolean().optional(),
      }),
    )
    .max(MOST_PIECES)
    .superRefine(eachOnce),
  pinned: z
    .array(
      z.strictObject({
        id: key,
        stockId: key,
        copy: z.int().min(0).max(99).default(0),
        x_mm: z.number(),
        y_mm: z.number(),
        turned: z.boolean(),
        flipped: z.boolean().default(false),
      }),
    )
    .max(10_000)
    .default([]),
  mode: z.enum(['by hand', 'by plotter']).default('by hand'),
  stages: stagesSchema.default(3),
  gap_mm: z.number().default(0),
  endWaste_mm: z.number().default(0),
  mostSheet_mm: z.number().positive().nullable().default(null),
  objective: z.enum(['money', 'length']).default('money'),
  rates: ratesSchema.default(() => ratesSchema.parse({})),
  ...searchLimits,
});

export const cutRequestSchema = z.union([stripSchema, orderSchema]);

const paneSchema = z.strictObject({
  tint: z.enum(['clear', 'low iron', 'bronze', 'grey', 'green']),
  thickness_mm: z.number().max(100),
  isLaminated: z.boolean().optional(),
  coating: z
    .strictObject({
      kind: z.enum(['low-e, hard', 'low-e, soft', 'reflective']),
      side: z.enum(['front', 'back']),
    })
    .nullable()
    .optional(),
});
const gapSchema = z.strictObject({
  width_mm: z.number().max(200),
  gas: z.strictObject({ air: share.optional(), argon: share.optional(), krypton: share.optional() }),
});
/** A film by the figures of its sheet on 3 or 6 mm clear glass, or by a spectrum measured there. */
const filmFiguresSchema = z.strictObject({
  referenceGlass: word(200),
  uvTransmitted: z.number().nullable().default(null),
  visibleTransmitted: z.number().nullable().default(null),
  visibleReflectedRoom: z.number().nullable().default(null),
  visibleReflectedOutside: z.number().nullable().default(null),
  solarTransmitted: z.number().nullable().default(null),
  solarReflected: z.number().nullable().default(null),
  solarReflectedRoom: z.number().nullable().default(null),
  emissivity: z.number().nullable().default(null),
  haze: z.number().nullable().default(null),
  coverage: z.number().nullable().default(null),
  spectrum: z
    .array(
      z.strictObject({
        nm: z.number(),
        transmitted: z.number(),
        reflectedFront: z.number(),
        reflectedBack: z.number(),
      }),
    )
    .max(5000)
    .optional(),
});
const filmsSchema = z
  .array(z.strictObject({ face: z.int().min(1).max(20), film: filmFiguresSchema }))
  .max(8)
  .default([]);
const makeUpShape = {
  panes: z.array(paneSchema).max(50),
  gaps: z.array(gapSchema).max(50).default([]),
  films: filmsSchema,
};

export const glazingRequestSchema = z.strictObject({
  ...makeUpShape,
  conditions: z
    .strictObject({
      outdoor_C: z.number().min(-80).max(80),
      indoor_C: z.number().min(-40).max(80),
      outdoor_Wm2K: z.number().min(0.5).max(200),
      sun_Wm2: z.number().min(0).max(1500),
      height_m: z.number().min(0.1).max(20).optional(),
      incidence_deg: z.number().min(0).max(90).optional(),
    })
    .optional(),
});

const daySchema = z.tuple([z.number().min(-60).max(60), z.number().min(-60).max(60)]);
export const stressRequestSchema = z.strictObject({
  panes: z
    .array(
      paneSchema.extend({
        treatment: treatmentSchema,
      }),
    )
    .max(50),
  gaps: makeUpShape.gaps,
  films: filmsSchema,
  frame: frameSchema.default('unknown'),
  edgeFinish: edgeFinishSchema.default('unseen'),
  edgeDepth_mm: z.number().positive().max(200).nullable().default(null),
  condition: z.enum(['sound', 'chipped', 'cracked', 'unknown']).default('sound'),
  width_mm: millimetres,
  height_mm: millimetres,
  place: pointOfEarthSchema,
  bearing_deg: z.number().min(0).max(360).nullable().default(null),
  tilt_deg: z.number().min(0).max(180).default(90),
  skyline: skylineSchema,
  shading: z
    .strictObject({
      overhangDepth_mm: z.number().min(0).max(100_000),
      overhangAbove_mm: z.number().min(0).max(100_000),
      revealDepth_mm: z.number().min(0).max(10_000),
    })
    .nullable()
    .default(null),
  blind: z.enum(['none', 'vented', 'close or closed', 'unknown']).default('unknown'),
  heatOutlet: z.enum(['none', 'near or aimed at the glass', 'unknown']).default('unknown'),
  cold_C: daySchema.optional(),
  hot_C: daySchema.optional(),
});

const luminance = z.number().min(0).max(1e6);
export const privacyRequestSchema = z.strictObject({
  transmitted: z.number(),
  reflectedOutside: z.number(),
  reflectedRoom: z.number(),
  haze: z.number().default(0),
  coverage: share.default(1),
  opening_mm: z.number().positive().max(10_000).nullable().default(null),
  bareTransmitted: share.default(0.88),
  bareReflected: share.default(0.08),
  scene: z
    .strictObject({
      near_cdm2: luminance,
      far_cdm2: luminance,
      far_lux: z.number().min(0).max(1e6),
      near_lux: z.number().min(0).max(1e6),
    })
    .optional(),
});
