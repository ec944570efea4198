import { jobProgress } from '../progress/progress';
import type { JobView } from '../view/job-view';
import { termsOpen } from './quote-here';
import { acceptedQuote, quoteState } from './quote-paper';

/** What of closing a job comes next. */
export type CloseState =
  'terms to say' | 'to quote' | 'to be answered' | 'agreed' | 'to hand over' | 'to be paid' | 'closed';

/** @param today a day, where the job is */
export function closeState(view: JobView, today: string): CloseState {
  const { fitted, withFilm } = jobProgress(view);
  if (view.rows.handOver.length > 0) {
    const isPaid =
      view.rows.payment.some(({ kind, paid }) => kind === 'final' && paid !== null) &&
      view.rows.payment.every(({ paid }) => paid !== null);
    return isPaid ? 'closed' : 'to be paid';
  }
  if (withFilm > 0 && fitted === withFilm) return 'to hand over';
  if (acceptedQuote(view) !== undefined) return 'agreed';
  if (view.rows.quote.some((quote) => quoteState(quote, today) === 'sent')) return 'to be answered';
  return termsOpen(view).length === 0 ? 'to quote' : 'terms to say';
}
