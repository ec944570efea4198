import type { Arrival, Enquiry, Extra, HandOver, Payment, Quote } from '@yellow-pane/core/job';
import { doublePrecision, index, integer, jsonb, pgTable, text, unique, uuid } from 'drizzle-orm/pg-core';
import { sameJob } from './columns';
import { ofJob, surface } from './survey-tables';

export const enquiry = pgTable(
  'enquiry',
  {
    ...ofJob(),
    caller: text().notNull(),
    phone: text().notNull(),
    wish: text().notNull(),
    asked: jsonb().$type<Enquiry['asked']>().notNull(),
    rough: jsonb().$type<Enquiry['rough']>(),
    halfDay: jsonb().$type<Enquiry['halfDay']>(),
    said: jsonb().$type<Enquiry['said']>().notNull(),
  },
  (t) => [index('enquiry_job').on(t.jobId, t.id)],
);

export const quote = pgTable(
  'quote',
  {
    ...ofJob(),
    number: text().notNull(),
    name: text().notNull(),
    alternativeOfId: uuid(),
    // A day, not an instant: it ends where the customer is.
    validUntil: text(),
    swaps: jsonb().$type<Quote['swaps']>().notNull(),
    paper: jsonb().$type<Quote['paper']>().notNull(),
    sent: jsonb().$type<Quote['sent']>(),
    answer: jsonb().$type<Quote['answer']>(),
  },
  (t) => [
    unique('quote_job_id').on(t.jobId, t.id),
    sameJob('quote_alternative', t.jobId, t.alternativeOfId, () => [t.jobId, t.id]),
  ],
);

export const arrival = pgTable(
  'arrival',
  {
    ...ofJob(),
    found: jsonb().$type<Arrival['found']>().notNull(),
    note: text().notNull(),
    signature: jsonb().$type<Arrival['signature']>().notNull(),
    by: jsonb().$type<Arrival['by']>().notNull(),
  },
  (t) => [index('arrival_job').on(t.jobId, t.id)],
);

export const extra = pgTable(
  'extra',
  {
    ...ofJob(),
    number: text().notNull(),
    text: text().notNull(),
    likeSurfaceId: uuid(),
    count: integer().notNull(),
    net: doublePrecision().notNull(),
    currency: text().notNull(),
    tax_percent: doublePrecision(),
    basis: text().notNull(),
    signature: jsonb().$type<Extra['signature']>(),
    by: jsonb().$type<Extra['by']>().notNull(),
  },
  (t) => [
    index('extra_job').on(t.jobId, t.id),
    sameJob('extra_like', t.jobId, t.likeSurfaceId, () => [surface.jobId, surface.id]),
  ],
);

export const payment = pgTable(
  'payment',
  {
    ...ofJob(),
    kind: text().$type<Payment['kind']>().notNull(),
    number: text().notNull(),
    lines: jsonb().$type<Payment['lines']>().notNull(),
    currency: text().notNull(),
    tax_percent: doublePrecision(),
    dueDay: text(),
    upToDay: text(),
    signature: jsonb().$type<Payment['signature']>(),
    asked: jsonb().$type<Payment['asked']>(),
    paid: jsonb().$type<Payment['paid']>(),
  },
  (t) => [index('payment_job').on(t.jobId, t.id)],
);

export const handOver = pgTable(
  'hand_over',
  {
    ...ofJob(),
    // An instant as text: the frozen paper is read back letter by letter.
    asOf: text().notNull(),
    panes: jsonb().$type<HandOver['panes']>().notNull(),
    open: jsonb().$type<HandOver['open']>().notNull(),
    note: text().notNull(),
    signature: jsonb().$type<HandOver['signature']>().notNull(),
    by: jsonb().$type<HandOver['by']>().notNull(),
  },
  (t) => [index('hand_over_job').on(t.jobId, t.id)],
);
