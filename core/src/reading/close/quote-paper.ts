import { valueAt } from '../../quantity';
import type { QuotePaper, RowOf } from '../../job';
import { DRAWS, QUOTE_SEED, type CalculatedQuote, decimalsOf, inCurrency, sharedOut } from '../../quoting';
import type { JobView } from '../view/job-view';
import type { QuoteHere } from './quote-here';

const HOUR_MIN = 60;

interface PaperTerms {
  /** An instant. */
  readonly asOf: string;
  readonly risk: number;
  /** Net price asked; null: the one that keeps the margin. */
  readonly asked: number | null;
}

/**
 * A quote as it is put on paper: all it rests on and what came out, with the part of the price that falls to
 * each surface. Undefined while terms are missing.
 */
export function quotePaper(
  view: JobView,
  here: QuoteHere,
  { mean, least, most, price, priceAtMean }: CalculatedQuote,
  { asOf, risk, asked }: PaperTerms,
): QuotePaper | undefined {
  const { currency, tax_percent, hourCost, tripCost, margin_percent } = view.job ?? {};
  if (here.case === undefined || currency == null || hourCost == null || tripCost == null) return undefined;
  if (price === null || priceAtMean === null || margin_percent == null) return undefined;
  const decimals = decimalsOf(currency);
  const net = inCurrency(asked ?? price.value, decimals);
  const weights = here.lines.map(({ film, minutes }) => film + (minutes / HOUR_MIN) * hourCost);
  const parts = sharedOut(net, weights, decimals);
  return {
    ...{ asOf, currency, tax_percent: tax_percent ?? null, margin_percent, risk, hourCost, tripCost },
    ...{ trips: here.trips, seed: QUOTE_SEED, draws: DRAWS, missing: here.missing, guesses: here.guesses },
    lines: here.lines.map(({ film, ...line }, index) => ({
      ...line,
      film: view.filmById.get(line.filmId)?.name ?? '',
      filmCost: film,
      net: valueAt(parts, index),
    })),
    inputs: here.case,
    ...{ mean: mean.value, least, most, price: price.value, priceAtMean: priceAtMean.value, asked: net },
  };
}

/** How a quote stands. Nobody stores that it has lapsed: the day says so. */
export type QuoteState = 'not sent' | 'sent' | 'accepted' | 'refused' | 'lapsed';

/** @param today a day, where the job is */
export function quoteState(
  { sent, answer, validUntil }: Pick<RowOf<'quote'>, 'sent' | 'answer' | 'validUntil'>,
  today: string,
): QuoteState {
  if (answer !== null) return answer.said;
  if (validUntil !== null && validUntil < today) return 'lapsed';
  return sent === null ? 'not sent' : 'sent';
}

/** The quote that was accepted last; undefined: none was. */
export const acceptedQuote = (view: JobView): RowOf<'quote'> | undefined =>
  view.rows.quote
    .filter(({ answer }) => answer?.said === 'accepted')
    .toSorted((a, b) => (a.answer?.by.at ?? '').localeCompare(b.answer?.by.at ?? ''))
    .at(-1);

/** What a paper is summed up by. */
export type SummedBy = 'surface' | 'film' | 'place';

/** Lines of a quote that belong together, in the order they come. */
export function groupedLines<Line extends Pick<QuotePaper['lines'][number], 'tag' | 'film' | 'place'>>(
  lines: readonly Line[],
  by: SummedBy,
): readonly { readonly word: string; readonly lines: readonly Line[] }[] {
  const groups = new Map<string, Line[]>();
  for (const line of lines) {
    const word = by === 'surface' ? line.tag : line[by];
    groups.set(word, [...(groups.get(word) ?? []), line]);
  }
  return [...groups].map(([word, own]) => ({ word, lines: own }));
}
