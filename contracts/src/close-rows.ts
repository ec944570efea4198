import {
  type Arrival,
  type Enquiry,
  type Extra,
  type HandOver,
  type HandedPane,
  LEAST_SIGNATURE_POINTS,
  type OpenItem,
  type Payment,
  type Quote,
  type QuotePaper,
  type Signature,
  pointsOf,
} from '@yellow-pane/core/job';
import * as z from 'zod';
import { idSchema, instantSchema, positiveNanometres, text, word } from './primitives';
import { signed } from './signed';

export const money = z.number().min(0).max(1e9);
export const currency = z.string().regex(/^[A-Z]{3}$/);
const percent = z.number().min(0).max(100);
const share = z.number().min(0).max(1);
/** A step that takes longer is asked about, not used (model 6). */
const MOST_MINUTES = 1e6;
const minutes = z.number().min(0).max(MOST_MINUTES);
const area = z.number().min(0).max(1e6);
const day = z.iso.date();
const MOST_LINES = 5000;

export const signature = z
  .strictObject({
    name: word(200),
    at: instantSchema,
    strokes: z.array(z.array(z.int().min(-2000).max(4000)).max(4000)).max(400),
  })
  .refine((own) => pointsOf(own) >= LEAST_SIGNATURE_POINTS, {
    path: ['strokes'],
    error: 'a signature that is drawn',
  }) satisfies z.ZodType<Signature>;

const askedSurfaces = z.strictObject({
  what: z.enum(['pane', 'wall', 'column', 'fixture']),
  count: z.int().min(1).max(500),
  width_nm: positiveNanometres.nullable(),
  height_nm: positiveNanometres.nullable(),
  bearing_deg: z.number().min(0).lt(360).nullable(),
  storey: z.int().min(-10).max(200).nullable(),
  filmId: idSchema.nullable(),
  oldFilm: z.enum(['none', 'film', 'unknown']),
});

export const enquiry = z.strictObject({
  caller: text(200),
  phone: text(80),
  wish: text(4000),
  asked: z.array(askedSurfaces).max(60),
  rough: z.strictObject({ least: money, most: money, currency }).nullable(),
  halfDay: z.strictObject({ from: instantSchema, to: instantSchema }).nullable(),
  said: z.strictObject(signed),
}) satisfies z.ZodType<Enquiry>;

const chance = z.strictObject({
  pieces: z.int().min(0).max(1e6),
  came: z.number().min(0),
  not: z.number().min(0),
  mean: money,
  deviation: z.number().min(0).max(5),
  once: money,
});

const quotePaper = z.strictObject({
  asOf: instantSchema,
  currency,
  tax_percent: percent.nullable(),
  margin_percent: percent.lt(100),
  risk: share,
  hourCost: money,
  tripCost: money,
  trips: z.int().min(0).max(10_000),
  seed: z.int(),
  draws: z.int().min(1),
  lines: z
    .array(
      z.strictObject({
        applicationId: idSchema,
        surfaceId: idSchema,
        tag: text(40),
        place: text(200),
        filmId: idSchema,
        film: text(200),
        isAbout: z.boolean(),
        area_m2: area,
        used_m2: area,
        filmCost: money,
        minutes,
        removal: minutes,
        steps: z.array(z.strictObject({ step: word(80), minutes })).max(200),
        net: money,
      }),
    )
    .max(MOST_LINES),
  missing: z.array(z.strictObject({ tag: text(40), reason: text(400) })).max(MOST_LINES),
  guesses: z.array(text(200)).max(40),
  inputs: z.strictObject({
    fixed: money,
    rate: money,
    shared: z.number().min(0).max(5),
    work: z
      .array(z.strictObject({ median_min: minutes, deviation: z.number().min(0).max(5) }))
      .max(MOST_LINES),
    chances: z.array(chance).max(40),
    loose: z.strictObject({ median: money, deviation: z.number().min(0).max(5) }).optional(),
  }),
  mean: money,
  least: money,
  most: money,
  price: money,
  priceAtMean: money,
  asked: money,
}) satisfies z.ZodType<QuotePaper>;

export const quote = z.strictObject({
  number: word(40),
  name: text(200),
  alternativeOfId: idSchema.nullable(),
  validUntil: day.nullable(),
  swaps: z.array(z.strictObject({ from: idSchema, to: idSchema })).max(60),
  paper: quotePaper,
  sent: z.strictObject(signed).nullable(),
  answer: z
    .strictObject({
      said: z.enum(['accepted', 'refused']),
      signature: signature.nullable(),
      note: text(4000),
      by: z.strictObject(signed),
    })
    .refine(({ said, signature: drawn }) => said === 'refused' || drawn !== null, {
      path: ['signature'],
      error: 'a signature: a quote is accepted in writing',
    })
    .nullable(),
}) satisfies z.ZodType<Quote>;

export const arrival = z.strictObject({
  found: z
    .array(
      z.strictObject({
        surfaceId: idSchema,
        tag: text(40),
        lines: z
          .array(
            z.strictObject({
              kind: z.enum(['glass', 'edges', 'damage', 'mark', 'old film', 'ground']),
              says: text(400),
              who: text(200),
            }),
          )
          .max(400),
        photoIds: z.array(idSchema).max(400),
        ground: z.enum(['accepted', 'refused', 'not looked at']),
      }),
    )
    .max(MOST_LINES),
  note: text(4000),
  signature,
  by: z.strictObject(signed),
}) satisfies z.ZodType<Arrival>;

export const extra = z.strictObject({
  number: word(40),
  text: word(400),
  likeSurfaceId: idSchema.nullable(),
  count: z.int().min(1).max(500),
  net: money,
  currency,
  tax_percent: percent.nullable(),
  basis: text(400),
  signature: signature.nullable(),
  by: z.strictObject(signed),
}) satisfies z.ZodType<Extra>;

export const payment = z.strictObject({
  kind: z.enum(['deposit', 'part', 'final']),
  number: word(40),
  lines: z
    .array(z.strictObject({ text: word(400), net: z.number().min(-1e9).max(1e9) }))
    .min(1)
    .max(MOST_LINES),
  currency,
  tax_percent: percent.nullable(),
  dueDay: day.nullable(),
  upToDay: day.nullable(),
  signature: signature.nullable(),
  asked: z.strictObject(signed).nullable(),
  paid: z.strictObject({ day, gross: money, by: z.strictObject(signed) }).nullable(),
}) satisfies z.ZodType<Payment>;

const openItem = z.strictObject({
  kind: z.enum(['mark', 'not looked at', 'not done', 'visit', 'put back', 'ground', 'pocket']),
  tag: text(40),
  what: text(400),
  until: instantSchema.nullable(),
}) satisfies z.ZodType<OpenItem>;

const handedPane = z.strictObject({
  applicationId: idSchema,
  surfaceId: idSchema,
  tag: text(40),
  place: text(200),
  film: text(200),
  face: text(80),
  rolls: z.array(z.strictObject({ label: text(200), lot: text(200) })).max(100),
  laidAt: instantSchema.nullable(),
  people: z.array(text(200)).max(100),
  readings: z
    .array(z.strictObject({ quantity: text(80), shown: text(80), who: text(200), at: instantSchema }))
    .max(1000),
  mix: text(400).nullable(),
  judged: text(80),
  ruleSet: text(200).nullable(),
  acceptedBy: z.strictObject(signed).nullable(),
  marks: z
    .array(
      z.strictObject({
        look: text(80),
        size_nm: positiveNanometres.nullable(),
        verdict: text(80).nullable(),
      }),
    )
    .max(2000),
  dates: z
    .array(z.strictObject({ key: word(80), from: instantSchema.nullable(), until: instantSchema.nullable() }))
    .max(40),
  warnings: z.array(word(80)).max(40),
  before: idSchema.nullable(),
  after: idSchema.nullable(),
  putBack: z.array(z.strictObject({ name: text(200), at: instantSchema.nullable() })).max(200),
}) satisfies z.ZodType<HandedPane>;

export const handOver = z.strictObject({
  asOf: instantSchema,
  panes: z.array(handedPane).max(MOST_LINES),
  open: z.array(openItem).max(MOST_LINES),
  note: text(4000),
  signature,
  by: z.strictObject(signed),
}) satisfies z.ZodType<HandOver>;
