import { bareMoney, moneyWords, quoteGuessWords } from '@yellow-pane/contracts/words';
import type { Quote, QuotePaper } from '@yellow-pane/core/job';
import { billed } from '@yellow-pane/core/quoting';
import { type SummedBy, groupedLines } from '@yellow-pane/core/reading';
import { type DisplayUnits, formatArea } from '@yellow-pane/core/quantity';
import { FlowingSheet } from './flowing-sheet';
import type { Paper } from './paper';

/** A quote as it is sent, with what stands beside it. */
export interface QuoteOnPaper {
  readonly job: string;
  readonly head: readonly string[];
  readonly quote: Quote;
  readonly alternatives: readonly Quote[];
  readonly day: string;
  readonly until: string | null;
  readonly signedAt: string;
  readonly units: DisplayUnits;
}

const MM2 = 1e6;
const areaOf = (area_m2: number, units: DisplayUnits): string => formatArea(area_m2 * MM2, units);

/** For the customer: what is done, where, with which film, and the price. No inside figures. */
export async function quotePdf(own: QuoteOnPaper, paper: Paper): Promise<Buffer> {
  const { quote, job, units } = own;
  const sheet = new FlowingSheet(
    paper,
    `Quote ${quote.number}, ${job}`,
    `${job}. Quote ${quote.number} of ${own.day}.`,
  );
  sheet.title(`Quote ${quote.number}`);
  sheet.line(job, 'bold');
  for (const line of own.head) sheet.line(line);
  sheet.line(`${own.day}.${own.until === null ? '' : ` Holds until ${own.until}.`}`);
  if (own.alternatives.length > 0) sheet.heading(quote.name);
  offered(sheet, quote.paper, units);
  for (const other of own.alternatives) {
    sheet.heading(`Or: ${other.name} (quote ${other.number})`);
    offered(sheet, other.paper, units);
  }
  sheet.heading('Accepted');
  const { answer } = quote;
  const isAccepted = answer?.said === 'accepted';
  if (answer?.said === 'refused') sheet.line('This quote was refused.');
  sheet.signature('Accepted', isAccepted ? answer.signature : null, own.signedAt);
  return sheet.done();
}

function offered(sheet: FlowingSheet, paper: QuotePaper, units: DisplayUnits): void {
  const money = (value: number): string => moneyWords(value, paper.currency);
  sheet.table(
    [
      { word: 'Surface', share: 2 },
      { word: 'Where', share: 4 },
      { word: 'Film', share: 5 },
      { word: 'Size', share: 3, isFigure: true },
      { word: `Net, ${paper.currency}`, share: 3, isFigure: true },
    ],
    paper.lines.map(({ tag, place, film, area_m2, isAbout, net }) => [
      tag,
      place,
      film,
      `${isAbout ? 'about ' : ''}${areaOf(area_m2, units)}`,
      bareMoney(net, paper.currency),
    ]),
  );
  const all = billed([paper.asked], paper);
  sheet.gap(3);
  sheet.sum('Net', money(all.net));
  if (paper.tax_percent !== null) sheet.sum(`Tax ${paper.tax_percent} %`, money(all.tax));
  sheet.sum(paper.tax_percent === null ? 'All, without tax' : 'All', money(all.gross), 'bold');
  if (paper.lines.some(({ isAbout }) => isAbout))
    sheet.line("Sizes marked 'about' are as they were told to us. The price holds once they are measured.");
  if (paper.missing.length > 0)
    sheet.line(`Not in this price: ${paper.missing.map(({ tag }) => tag).join(', ')}.`);
}

/** For the shop: what the price rests on. Never given to a customer. */
export async function quoteInsidePdf(own: QuoteOnPaper, paper: Paper): Promise<Buffer> {
  const { quote, job, units } = own;
  const inside = quote.paper;
  const money = (value: number): string => moneyWords(value, inside.currency);
  const sheet = new FlowingSheet(
    paper,
    `Inside sheet ${quote.number}, ${job}`,
    `${job}. Inside sheet of quote ${quote.number}: not for the customer.`,
  );
  sheet.title(`Inside sheet of quote ${quote.number}`);
  sheet.line(`${job}, ${quote.name}, ${own.day}. Not for the customer.`, 'bold');
  sheet.sum('Costs on average', money(inside.mean));
  sheet.sum('Four jobs in five like it', `${money(inside.least)} to ${money(inside.most)}`);
  sheet.sum(
    `Keeps ${inside.margin_percent} % with a chance of ${Math.round((1 - inside.risk) * 100)} in 100`,
    money(inside.price),
  );
  sheet.sum('Price at the average cost', money(inside.priceAtMean));
  sheet.sum('Asked', money(inside.asked), 'bold');
  sheet.line(
    `An hour ${money(inside.hourCost)}, a trip ${money(inside.tripCost)}, ${inside.trips} of them; ${inside.draws} jobs drawn, seed ${inside.seed}.`,
  );
  insideTables(sheet, inside, units);
  sheet.heading('Rests on guesses');
  sheet.list(inside.guesses.map(quoteGuessWords));
  if (inside.missing.length > 0) {
    sheet.heading('Not in it');
    sheet.list(inside.missing.map(({ tag, reason }) => `${tag}: ${reason}`));
  }
  return sheet.done();
}

function insideTables(sheet: FlowingSheet, inside: QuotePaper, units: DisplayUnits): void {
  for (const by of ['film', 'place'] satisfies readonly SummedBy[]) {
    sheet.heading(by === 'film' ? 'By film' : 'By place');
    sheet.table(
      [
        { word: by === 'film' ? 'Film' : 'Place', share: 6 },
        { word: 'Surfaces', share: 2, isFigure: true },
        { word: 'Size', share: 3, isFigure: true },
        { word: 'Net', share: 3, isFigure: true },
      ],
      groupedLines(inside.lines, by).map(({ word, lines }) => [
        word,
        String(lines.length),
        areaOf(
          lines.reduce((sum, line) => sum + line.area_m2, 0),
          units,
        ),
        bareMoney(
          lines.reduce((sum, line) => sum + line.net, 0),
          inside.currency,
        ),
      ]),
    );
  }
  sheet.heading('By surface');
  sheet.table(
    [
      { word: 'Surface', share: 2 },
      { word: 'Film', share: 4 },
      { word: 'Film used', share: 3, isFigure: true },
      { word: 'Film costs', share: 3, isFigure: true },
      { word: 'People-minutes', share: 3, isFigure: true },
      { word: 'Of it old film', share: 3, isFigure: true },
      { word: 'Net', share: 3, isFigure: true },
    ],
    inside.lines.map((line) => [
      line.tag,
      line.film,
      areaOf(line.used_m2, units),
      bareMoney(line.filmCost, inside.currency),
      line.minutes.toFixed(0),
      line.removal.toFixed(0),
      bareMoney(line.net, inside.currency),
    ]),
  );
}
