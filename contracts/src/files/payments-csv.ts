import type { RowOf } from '@yellow-pane/core/job';
import { billed } from '@yellow-pane/core/quoting';
import { tableCsv } from './table-csv';

/** What was asked for and what came, a line each: to be taken into whatever keeps the books. */
export function paymentsCsv(payments: readonly RowOf<'payment'>[]): string {
  return tableCsv(
    [
      'number',
      'kind',
      'for',
      'currency',
      'net',
      'tax_percent',
      'tax',
      'gross',
      'asked',
      'due',
      'paid',
      'paid_gross',
    ],
    payments.map((own) => {
      const sum = billed(
        own.lines.map(({ net }) => net),
        own,
      );
      return [
        ...[own.number, own.kind, own.lines.map(({ text }) => text).join('; '), own.currency],
        ...[sum.net, own.tax_percent, sum.tax, sum.gross],
        ...[own.asked?.at ?? '', own.dueDay ?? '', own.paid?.day ?? '', own.paid?.gross ?? null],
      ];
    }),
  );
}
