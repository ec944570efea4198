import {
  careWords,
  dateLine,
  faceWords,
  markSizeWords,
  markVerdictWords,
  openWords,
  verdictLine,
} from '@yellow-pane/contracts/words';
import type { HandOver, HandedPane, MarkVerdict, OpenItem, Signature } from '@yellow-pane/core/job';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import { FlowingSheet } from './flowing-sheet';
import { drawCode } from './labels-pdf';
import type { Paper } from './paper';
import { POINTS_MM } from './pdf-page';

/** What is handed over, with what the paper needs beside it. */
export interface HandOverOnPaper {
  readonly job: string;
  /** Customer and site, a line each; none: not said. */
  readonly head: readonly string[];
  readonly document: Pick<HandOver, 'panes' | 'open' | 'note' | 'asOf'>;
  /** Null: not signed yet. */
  readonly signature: Signature | null;
  readonly by: string | null;
  readonly dayOf: (instant: string) => string;
  readonly momentOf: (instant: string) => string;
  /** Where the record of a pane is read on this server. */
  readonly linkOf: (pane: HandedPane) => string;
  /** The picture of an id; undefined: it is not there. */
  readonly picture: (id: string) => Promise<Buffer | undefined>;
  readonly units: DisplayUnits;
}

const CODE = 20 * POINTS_MM;
/** A page lets others be served before the next. */
const letOthers = (): Promise<void> =>
  new Promise((resolve) => {
    setImmediate(resolve);
  });

/**
 * The certificate: what is open first, then pane by pane what was laid, by whom, how, and what was found.
 * What is open cannot be left out: it comes from the document, on the first page, before anything else.
 */
export async function certificatePdf(own: HandOverOnPaper, paper: Paper): Promise<Buffer> {
  const { job, document, signature } = own;
  const sheet = new FlowingSheet(
    paper,
    `Certificate, ${job}`,
    `${job}. Certificate of ${own.dayOf(document.asOf)}.`,
  );
  sheet.title(signature === null ? 'Certificate (draft, not signed)' : 'Certificate');
  sheet.line(job, 'bold');
  for (const line of own.head) sheet.line(line);
  sheet.line(`As it stood on ${own.momentOf(document.asOf)}.`);
  openFirst(sheet, document.open, own.dayOf);
  if (document.note !== '') sheet.line(document.note);
  sheet.heading('Handed over');
  sheet.table(
    [
      { word: 'Surface', share: 2 },
      { word: 'Where', share: 3 },
      { word: 'Film', share: 4 },
      { word: 'Laid', share: 3 },
      { word: 'Judged', share: 4 },
    ],
    document.panes.map((pane) => [
      pane.tag,
      pane.place,
      pane.film,
      pane.laidAt === null ? 'unknown' : own.dayOf(pane.laidAt),
      verdictLine(pane.judged),
    ]),
  );
  sheet.signature('Taken over', signature, signature === null ? '' : own.momentOf(signature.at));
  if (own.by !== null) sheet.small(`Handed over by ${own.by}.`);
  for (const pane of document.panes) {
    await panePage(sheet, own, pane);
    await letOthers();
  }
  return sheet.done();
}

/** How to live with each film, in plain words, with its own dates. */
export async function careSheetPdf(own: HandOverOnPaper, paper: Paper): Promise<Buffer> {
  const { job, document } = own;
  const sheet = new FlowingSheet(paper, `Care sheet, ${job}`, `${job}. How to care for the film.`);
  sheet.title('How to care for your film');
  sheet.line(job, 'bold');
  openFirst(sheet, document.open, own.dayOf);
  const groups = new Map<string, HandedPane[]>();
  for (const pane of document.panes) {
    const key = JSON.stringify([
      pane.film,
      pane.warnings,
      pane.dates.map((date) => dateLine(date, own.dayOf)),
    ]);
    groups.set(key, [...(groups.get(key) ?? []), pane]);
  }
  for (const panes of groups.values()) {
    const [first] = panes;
    if (first === undefined) continue;
    sheet.heading(`${panes.map(({ tag }) => tag).join(', ')}: ${first.film}`);
    sheet.list(ofCare(first).map((date) => dateLine(date, own.dayOf)));
    sheet.gap(3);
    sheet.list(first.warnings.map(careWords));
    await letOthers();
  }
  sheet.gap(8);
  sheet.small(
    'Dates are calculated for each pane. The data sheet of the film and local rules win over this sheet.',
  );
  return sheet.done();
}

/** Dates of whoever lives with the film; the others are the shop's own. */
const CARE_DATES: readonly string[] = ['clear', 'soft cloth', 'wash', 'judge for good'];
const ofCare = ({ dates }: HandedPane): HandedPane['dates'] =>
  dates.filter(({ key }) => CARE_DATES.includes(key));

function openFirst(sheet: FlowingSheet, open: readonly OpenItem[], dayOf: (instant: string) => string): void {
  sheet.heading(open.length === 0 ? 'Nothing is open' : `Still open: ${open.length}`);
  sheet.list(
    open.map((item) => {
      const until = item.until === null ? '' : `, until ${dayOf(item.until)}`;
      return `${item.tag === '' ? '' : `${item.tag}: `}${openWords(item)}${until}.`;
    }),
    'box',
  );
}

async function panePage(sheet: FlowingSheet, own: HandOverOnPaper, pane: HandedPane): Promise<void> {
  sheet.room(170);
  sheet.gap(6);
  sheet.atRight(CODE, (x, y) => {
    drawCode(sheet.pdf, own.linkOf(pane), x, y, CODE);
  });
  sheet.heading(`${pane.tag}: ${pane.film}`);
  sheet.line(`${pane.place}, ${faceWords(pane.face)}.`);
  sheet.line(
    `Laid ${pane.laidAt === null ? 'on a day nobody noted' : own.momentOf(pane.laidAt)} by ${pane.people.length === 0 ? 'somebody not named' : pane.people.join(', ')}.`,
  );
  sheet.line(
    pane.rolls.length === 0
      ? 'From which roll is not known.'
      : `From ${pane.rolls.map(({ label, lot }) => `${label}${lot === '' ? '' : `, lot ${lot}`}`).join('; ')}.`,
  );
  if (pane.mix !== null) sheet.line(`Slip: ${pane.mix}.`);
  if (pane.readings.length > 0)
    sheet.list(pane.readings.map((reading) => readingLine(reading, own.momentOf)));
  sheet.line(
    `${verdictLine(pane.judged)} ${pane.ruleSet === null ? 'By no rule set.' : `By '${pane.ruleSet}'.`} ${pane.acceptedBy === null ? 'Accepted by nobody yet.' : `Accepted by ${pane.acceptedBy.who}, ${own.momentOf(pane.acceptedBy.at)}.`}`,
  );
  sheet.list(pane.marks.map((mark) => markLine(mark, own.units)));
  sheet.list(pane.dates.map((date) => dateLine(date, own.dayOf)));
  sheet.list(
    pane.putBack.map(({ name, at }) =>
      at === null ? `${name}: still to be put back.` : `${name}: put back ${own.momentOf(at)}.`,
    ),
  );
  sheet.pictures(await picturesOf(own, pane));
}

const readingLine = (
  { quantity, shown, who, at }: HandedPane['readings'][number],
  momentOf: HandOverOnPaper['momentOf'],
): string => `${quantity}: ${shown}, read by ${who}, ${momentOf(at)}.`;

function markLine({ look, size_nm, verdict }: HandedPane['marks'][number], units: DisplayUnits): string {
  const size = size_nm === null ? 'size unknown' : markSizeWords(size_nm, units);
  return `${look}, ${size}: ${verdict === null ? 'not decided' : markVerdictWords(verdict as MarkVerdict)}.`;
}

async function picturesOf(
  { picture }: HandOverOnPaper,
  { before, after }: HandedPane,
): Promise<readonly { readonly picture: Buffer; readonly word: string }[]> {
  const found = [
    { id: before, word: 'Before' },
    { id: after, word: 'After' },
  ];
  const pictures = await Promise.all(
    found.map(async ({ id, word }) => ({ word, picture: id === null ? undefined : await picture(id) })),
  );
  return pictures.flatMap(({ picture: own, word }) => (own === undefined ? [] : [{ word, picture: own }]));
}
