import type { RowOf } from '@yellow-pane/core/job';
import type { JobView } from '@yellow-pane/core/reading';
import type { Database } from '../../db/database';
import type { QuoteOnPaper } from '../../paper/quote-pdf';
import { calendarOf, headOf } from './papers';

/** A quote with what its paper needs beside it. */
export async function quotesOnPaper(
  db: Database,
  view: JobView,
  quote: RowOf<'quote'>,
  { now, units }: { readonly now: Date; readonly units: QuoteOnPaper['units'] },
): Promise<QuoteOnPaper> {
  const calendar = calendarOf(view, now);
  return {
    ...{ job: view.job?.name ?? '', head: await headOf(db, view), quote, units },
    day: calendar.dateOf(quote.paper.asOf),
    alternatives: view.rows.quote.filter(({ alternativeOfId }) => alternativeOfId === quote.id),
    until: quote.validUntil === null ? null : calendar.dateOf(`${quote.validUntil}T12:00:00Z`),
    signedAt: quote.answer?.signature == null ? '' : calendar.momentOf(quote.answer.signature.at),
  };
}
