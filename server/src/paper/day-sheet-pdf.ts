import { DateTime } from 'luxon';
import { type PdfPage, POINTS_MM, fitting, newPdf } from './pdf-page';
import type { Paper } from './paper';
import type { PlannedDay, PlannedLine } from '../features/day/planned-day';

const MARGIN = 14 * POINTS_MM;
const COLUMNS = [
  { x: 0, width: 86 },
  { x: 90, width: 120 },
  { x: 214, width: 270 },
] as const;
const BOX_X = 498;
const STEPS_X = 90;
const ROW = 17;
const GAP = 7;

/**
 * The day sheet: a page or more a day, stretches in order of time, each with a box to tick by hand and its
 * steps in full. Steps that stand on the sheet of that day already are pointed to.
 */
export async function daySheetPdf({ job, zone, lines }: PlannedDay, paper: Paper): Promise<Buffer> {
  const { pdf, done } = newPdf(paper, `Day sheet, ${job}`);
  for (const [day, own] of byDay(lines, zone)) {
    const written = new Map<string, string>();
    pdf.addPage();
    let y = head(pdf, job, day, zone, own);
    for (const line of own) {
      const before = written.get(line.what);
      const steps = before === undefined ? line.what.split('\n') : [`The same steps as ${before}.`];
      if (before === undefined) written.set(line.what, `${line.tag}, ${clock(line.startsAt, zone)}`);
      const heights = steps.map((step) => heightOf(pdf, step));
      if (y > pdf.page.height - MARGIN - ROW - heights.reduce((sum, height) => sum + height, 0)) {
        pdf.addPage();
        y = head(pdf, job, day, zone, own);
      }
      row(pdf, line, zone, y);
      y += ROW;
      steps.forEach((step, index) => {
        pdf
          .font('plain')
          .fontSize(9)
          .fillColor('#222')
          .text(step, MARGIN + STEPS_X, y, { width: stepsWidth(pdf) });
        y += heights[index] ?? 0;
      });
      y += GAP;
    }
  }
  return done();
}

function stepsWidth(pdf: PdfPage): number {
  return pdf.page.width - 2 * MARGIN - STEPS_X - 4;
}

function heightOf(pdf: PdfPage, step: string): number {
  return (
    pdf
      .font('plain')
      .fontSize(9)
      .heightOfString(step, { width: stepsWidth(pdf) }) + 1.5
  );
}

function clock(instant: Date, zone: string): string {
  return DateTime.fromJSDate(instant, { zone }).toFormat('HH:mm');
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
  pdf
    .font('bold')
    .fontSize(17)
    .fillColor('#111')
    .text(fitting(pdf, day, width), MARGIN, MARGIN, { lineBreak: false });
  const people = [...new Set(lines.flatMap((line) => line.people))].sort().join(', ');
  pdf
    .font('plain')
    .fontSize(10)
    .text(fitting(pdf, `${job}. ${people}. Times of ${zone}.`, width), MARGIN, MARGIN + 24, {
      lineBreak: false,
    });
  pdf
    .fontSize(9)
    .text(
      'Never on glass in direct sun or still warm from it. Primer, putty and promoter: dry to the touch before going on. The film’s sheet and local codes win.',
      MARGIN,
      MARGIN + 40,
      { width },
    );
  return pdf.y + 10;
}

function row(pdf: PdfPage, line: PlannedLine, zone: string, y: number): void {
  pdf
    .lineWidth(0.3)
    .moveTo(MARGIN, y - 4)
    .lineTo(pdf.page.width - MARGIN, y - 4)
    .stroke('#bbb');
  [`${clock(line.startsAt, zone)} to ${clock(line.endsAt, zone)}`, line.tag, line.people.join(', ')].forEach(
    (text, index) => {
      const column = COLUMNS[index];
      if (column !== undefined)
        pdf
          .font(index === 1 ? 'bold' : 'plain')
          .fontSize(11)
          .fillColor('#111')
          .text(fitting(pdf, text, column.width), MARGIN + column.x, y, {
            width: column.width,
            lineBreak: false,
          });
    },
  );
  pdf
    .lineWidth(0.8)
    .rect(MARGIN + BOX_X, y, 11, 11)
    .stroke('#111');
}
