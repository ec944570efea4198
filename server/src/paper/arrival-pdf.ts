import { foundWords } from '@yellow-pane/contracts/words';
import type { Arrival } from '@yellow-pane/core/job';
import { FlowingSheet } from './flowing-sheet';
import type { Paper } from './paper';

interface ArrivalOnPaper {
  readonly job: string;
  readonly head: readonly string[];
  readonly arrival: Arrival;
  readonly signedAt: string;
  readonly picture: (id: string) => Promise<Buffer | undefined>;
}

const MOST_PICTURES = 3;

/** How glass and ground were found before any work, signed. */
export async function arrivalPdf(own: ArrivalOnPaper, paper: Paper): Promise<Buffer> {
  const { job, arrival } = own;
  const sheet = new FlowingSheet(paper, `Arrival, ${job}`, `${job}. As it was found before the work.`);
  sheet.title('As it was found');
  sheet.line(job, 'bold');
  for (const line of own.head) sheet.line(line);
  if (arrival.note !== '') sheet.line(arrival.note);
  const with_ = arrival.found.filter(({ lines, photoIds }) => lines.length + photoIds.length > 0);
  const without = arrival.found.filter((each) => !with_.includes(each));
  for (const { tag, lines, photoIds } of with_) {
    sheet.heading(tag);
    sheet.list(lines.map((line) => `${foundWords(line)} (${line.who}).`));
    const pictures = await Promise.all(photoIds.slice(0, MOST_PICTURES).map(own.picture));
    sheet.pictures(pictures.flatMap((picture) => (picture === undefined ? [] : [{ picture, word: tag }])));
  }
  if (without.length > 0) {
    sheet.heading('Nothing noted');
    sheet.line(without.map(({ tag }) => tag).join(', '));
  }
  sheet.signature('Seen together before the work', arrival.signature, own.signedAt);
  sheet.small(`For the shop: ${arrival.by.who}.`);
  return sheet.done();
}
