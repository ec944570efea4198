import type { Payment, QuotePaper, RowOf } from '../../job';
import { billed, decimalsOf, depositOf, inCurrency, restOf } from '../../quoting';
import { doneUpTo } from './done-up-to';
import type { JobView } from '../view/job-view';
import { acceptedQuote } from './quote-paper';

/** What was agreed: the accepted quote, and what was ordered since in writing. */
interface Agreed {
  readonly number: string;
  readonly paper: QuotePaper;
  readonly extras: readonly RowOf<'extra'>[];
  readonly net: number;
}

export function agreedOf(view: JobView): Agreed | undefined {
  const quote = acceptedQuote(view);
  if (quote === undefined) return undefined;
  const extras = view.rows.extra.filter(({ signature }) => signature !== null);
  const { number, paper } = quote;
  return { number, paper, extras, net: paper.asked + extras.reduce((sum, { net }) => sum + net, 0) };
}

/** For what money is asked. */
export type AskedFor =
  | { readonly case: 'deposit'; readonly percent: number; readonly number: string }
  | { readonly case: 'finished'; readonly place: string; readonly films: number }
  | { readonly case: 'quote'; readonly number: string }
  | { readonly case: 'extra'; readonly number: string; readonly text: string }
  | { readonly case: 'asked before'; readonly number: string };
type LineToAsk = AskedFor & { readonly net: number };

export type MoneyAsked =
  | { readonly kind: 'deposit'; readonly percent: number }
  /** Work finished up to a moment. */
  | { readonly kind: 'part'; readonly to_ms: number }
  | { readonly kind: 'final' };

const netOf = ({ lines }: Pick<Payment, 'lines'>): number => lines.reduce((sum, { net }) => sum + net, 0);

/**
 * Lines of what is asked for now, less what was asked before; none where nothing is left.
 * @throws CoreError QUOTE_DEPOSIT
 */
export function linesToAsk(view: JobView, asking: MoneyAsked): readonly LineToAsk[] {
  const agreed = agreedOf(view);
  if (agreed === undefined) return [];
  const { number, paper, extras } = agreed;
  const decimals = decimalsOf(paper.currency);
  if (asking.kind === 'deposit')
    return [
      {
        ...{ case: 'deposit', percent: asking.percent, number },
        net: depositOf(paper.asked, asking.percent, decimals),
      },
    ];
  const before = view.rows.payment
    .toSorted((a, b) => a.madeAt.localeCompare(b.madeAt))
    .map((own): LineToAsk => ({
      ...{ case: 'asked before', number: own.number, net: -inCurrency(netOf(own), decimals) },
    }));
  const work: readonly LineToAsk[] =
    asking.kind === 'final'
      ? [
          { case: 'quote', number, net: paper.asked },
          ...extras.map((own) => ({
            case: 'extra' as const,
            number: own.number,
            text: own.text,
            net: own.net,
          })),
        ]
      : doneUpTo(view, asking.to_ms, paper)
          .filter(({ net }) => (net ?? 0) > 0)
          .map(({ place, done, net }) => ({
            ...{ case: 'finished', place, films: done, net: inCurrency(net ?? 0, decimals) },
          }));
  const lines = [...work, ...before];
  return lines.reduce((sum, { net }) => sum + net, 0) > 0 ? lines : [];
}

/** How the money of a job stands; null: nothing is agreed. */
interface MoneyStands {
  readonly currency: string;
  readonly net: number;
  readonly gross: number;
  /** With tax. */
  readonly asked: number;
  readonly paid: number;
  /** Net, of what was agreed. */
  readonly left: number;
}

export function moneyStands(view: JobView): MoneyStands | null {
  const agreed = agreedOf(view);
  if (agreed === undefined) return null;
  const { paper, extras, net } = agreed;
  const payments = view.rows.payment;
  const grossOf = (some: readonly RowOf<'payment'>[]): number =>
    some.reduce(
      (sum, own) =>
        sum +
        billed(
          own.lines.map((line) => line.net),
          own,
        ).gross,
      0,
    );
  return {
    ...{ currency: paper.currency, net, gross: billed([net], paper).gross, asked: grossOf(payments) },
    paid: payments.reduce((sum, { paid }) => sum + (paid?.gross ?? 0), 0),
    left: restOf(
      paper.asked,
      extras.map((own) => own.net),
      payments.map(netOf),
      decimalsOf(paper.currency),
    ),
  };
}
