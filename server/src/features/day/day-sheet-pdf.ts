import { DateTime } from 'luxon';
import { type PdfPage, POINTS_MM, fitting, newPdf } from '../cut-plans/pdf-page';
import type { Paper } from '../cut-plans/sheet-pdf';
import type { PlannedDay, PlannedLine } from './planned-day';

const MARGIN = 14 * POINTS_MM;
const LINE = 6.6 * POINTS_MM;
const SMALL = 4.6 * POINTS_MM;
const COLUMNS = [{ x: 0, width: 74 }, { x: 78, width: 52 }, { x: 134, width: 262 }, { x: 400, width: 92 }] as const;
const BOX_X = 498;

/** The day sheet: a page or more a day and person, steps in order of time with a box to tick by hand. */
export async function daySheetPdf({ job, zone, lines }: PlannedDay, paper: Paper): Promise<Buffer> {
  const { pdf, done } = newPdf(paper, `Day sheet, ${job}`);
  for (const [day, own] of byDay(lines, zone)) {
    pdf.addPage();
    let y = head(pdf, job, day, zone, own);
    for (const line of own) {
      const steps = line.what.split('\n');
      if (y > pdf.page.height - MARGIN - LINE - steps.length * SMALL) { pdf.addPage(); y = head(pdf, job, day, zone, own); }
      row(pdf, line, zone, y);
      y += LINE;
      for (const step of steps) { pdf.font('plain').fontSize(8.5).fillColor('#333').text(fitting(pdf, step, pdf.page.width - 2 * MARGIN - 90), MARGIN + 78, y - 3, { lineBreak: false }); y += SMALL; }
    }
  }
  return done();
}

function byDay(lines: readonly PlannedLine[], zone: string): ReadonlyMap<string, readonly PlannedLine[]> {
  const days = new Map<string, PlannedLine[]>();
  for (const line of lines) {
    const day = DateTime.fromJSDate(line.startsAt, { zone }).toFormat('cccc d MMMM yyyy');
    const own = days.get(day);
    if (own === undefined) days.set(day, [line]);
    else own.push(line);
  }
  return days;
}

function head(pdf: PdfPage, job: string, day: string, zone: string, lines: readonly PlannedLine[]): number {
  const width = pdf.page.width - 2 * MARGIN;
  pdf.font('bold').fontSize(17).fillColor('#111').text(fitting(pdf, day, width), MARGIN, MARGIN, { lineBreak: false });
  const people = [...new Set(lines.flatMap((line) => line.people))].sort().join(', ');
  pdf.font('plain').fontSize(10).text(fitting(pdf, `${job}. ${people}. Times of ${zone}.`, width), MARGIN, MARGIN + 24, { lineBreak: false });
  pdf.fontSize(8.5).text('Never on glass in direct sun or still warm from it. Primer, putty and promoter: dry to the touch before going on. The film’s sheet and local codes win.', MARGIN, MARGIN + 40, { lineBreak: false });
  return MARGIN + 60;
}

function row(pdf: PdfPage, line: PlannedLine, zone: string, y: number): void {
  const clock = (instant: Date): string => DateTime.fromJSDate(instant, { zone }).toFormat('HH:mm');
  pdf.lineWidth(0.3).moveTo(MARGIN, y - 3).lineTo(pdf.page.width - MARGIN, y - 3).stroke('#bbb');
  [`${clock(line.startsAt)} to ${clock(line.endsAt)}`, line.tag, line.short, line.people.join(', ')].forEach((text, index) => {
    const column = COLUMNS[index];
    if (column !== undefined) pdf.font(index === 1 ? 'bold' : 'plain').fontSize(index === 2 ? 9 : 10).fillColor('#111').text(fitting(pdf, text, column.width), MARGIN + column.x, y, { width: column.width, lineBreak: false });
  });
  pdf.lineWidth(0.8).rect(MARGIN + BOX_X, y, 11, 11).stroke('#111');
}
