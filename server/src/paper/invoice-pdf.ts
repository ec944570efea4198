import { bareMoney, moneyWords, paymentWords } from '@yellow-pane/contracts/words';
import type { Payment } from '@yellow-pane/core/job';
import { billed } from '@yellow-pane/core/quoting';
import type { DonePlace } from '@yellow-pane/core/reading';
import { type DisplayUnits, formatArea } from '@yellow-pane/core/quantity';
import { FlowingSheet } from './flowing-sheet';
import type { Paper } from './paper';

interface PaymentOnPaper {
  readonly job: string;
  readonly head: readonly string[];
  readonly payment: Payment;
  readonly day: string;
  readonly due: string | null;
  readonly signedAt: string;
  /** What is finished, where it is counted by; none: not by work done. */
  readonly done: readonly DonePlace[];
  /** Draws a place with its finished surfaces; undefined: nothing to draw. */
  readonly draw: ((sheet: FlowingSheet, place: DonePlace) => void) | undefined;
  readonly upTo: string | null;
  readonly units: DisplayUnits;
}

/** What is asked for, line by line, with its tax; where it goes by work done, what is finished. */
export async function paymentPdf(own: PaymentOnPaper, paper: Paper): Promise<Buffer> {
  const { payment, job, units } = own;
  const word = paymentWords(payment.kind);
  const sheet = new FlowingSheet(
    paper,
    `${word} ${payment.number}, ${job}`,
    `${job}. ${word} ${payment.number}.`,
  );
  sheet.title(`${word} ${payment.number}`);
  sheet.line(job, 'bold');
  for (const line of own.head) sheet.line(line);
  sheet.line(`${own.day}.${own.due === null ? '' : ` Due on ${own.due}.`}`);
  sheet.gap(6);
  const money = (value: number): string => moneyWords(value, payment.currency);
  sheet.table(
    [
      { word: 'For', share: 10 },
      { word: `Net, ${payment.currency}`, share: 3, isFigure: true },
    ],
    payment.lines.map(({ text, net }) => [text, bareMoney(net, payment.currency)]),
  );
  const all = billed(
    payment.lines.map(({ net }) => net),
    payment,
  );
  sheet.gap(3);
  sheet.sum('Net', money(all.net));
  if (payment.tax_percent !== null) sheet.sum(`Tax ${payment.tax_percent} %`, money(all.tax));
  sheet.sum('To be paid', money(all.gross), 'bold');
  if (payment.paid !== null) sheet.line(`Paid: ${money(payment.paid.gross)}, ${payment.paid.day}.`);
  if (own.done.length > 0 && own.upTo !== null) {
    sheet.heading(`Finished up to ${own.upTo}`);
    sheet.table(
      [
        { word: 'Where', share: 5 },
        { word: 'Films finished', share: 3, isFigure: true },
        { word: 'Of', share: 2, isFigure: true },
        { word: 'Size finished', share: 3, isFigure: true },
        { word: 'Of', share: 3, isFigure: true },
      ],
      own.done.map(({ place, done, all: films, done_m2, all_m2 }) => [
        place,
        String(done),
        String(films),
        formatArea(done_m2 * 1e6, units),
        formatArea(all_m2 * 1e6, units),
      ]),
    );
    for (const place of own.done) own.draw?.(sheet, place);
    sheet.signature('Count taken over', payment.signature, own.signedAt);
  }
  sheet.gap(8);
  sheet.small(
    'This is a list of what was asked for and what came; it is not a ledger. The books are kept elsewhere.',
  );
  return sheet.done();
}
