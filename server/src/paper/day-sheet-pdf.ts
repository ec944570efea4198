import { figuresIn, recipeWords } from '@yellow-pane/contracts/words';
import type { Caution } from '@yellow-pane/core/ways';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import type { DayOnPaper } from '@yellow-pane/core/reading';
import { DateTime } from 'luxon';
import type { StepDrawingOnPaper } from '../features/day/step-drawings';
import type { PersonsDay } from '../features/day/planned-day';
import { stepDrawingPages } from './step-drawings-pdf';
import { type PdfPage, POINTS_MM, fitting, newPdf } from './pdf-page';
import type { Paper } from './paper';

/** One page: what one person does on one day, and what to know that day. */
export interface SheetOfDay extends PersonsDay {
  readonly day: DayOnPaper;
  readonly hazards: readonly Caution[];
  /** Of its steps, where they are wanted. */
  readonly drawings: readonly StepDrawingOnPaper[];
}

const MARGIN = 14 * POINTS_MM;
const COLUMNS = [
  { x: 0, width: 76 },
  { x: 80, width: 70 },
  { x: 154, width: 330 },
] as const;
const BOX = 11;
const TEXT = 9;
/** Steps are written in full while the page has room for them, then in short, then smaller. */
const DETAILS = [
  { full: true, size: TEXT, gap: 5 },
  { full: false, size: TEXT, gap: 4 },
  { full: false, size: 7.5, gap: 2 },
] as const;
type Detail = (typeof DETAILS)[number];

/** The day sheet: one page a person and day, with the sun, the weather, the mixes and the dangers of it. */
export async function daySheetPdf(
  {
    job,
    zone,
    sheets,
    units,
  }: { job: string; zone: string; sheets: readonly SheetOfDay[]; units: DisplayUnits },
  paper: Paper,
): Promise<Buffer> {
  const { pdf, done } = newPdf(paper, `Day sheet, ${job}`);
  for (const sheet of sheets) {
    pdf.addPage();
    const top = head(pdf, job, zone, sheet);
    const foot = footOf(pdf, sheet, units, zone);
    const bottom = pdf.page.height - MARGIN - foot.height;
    const detail = DETAILS.find((own) => top + heightOfAll(pdf, sheet, own) <= bottom) ?? DETAILS[2];
    lines(pdf, sheet, { zone, top, bottom, detail });
    foot.write(bottom);
    stepDrawingPages(pdf, `${sheet.person}: how it is done`, sheet.drawings, units);
  }
  return done();
}

const widthOf = (pdf: PdfPage): number => pdf.page.width - 2 * MARGIN;
const clock = (instant: Date | number, zone: string): string =>
  DateTime.fromMillis(typeof instant === 'number' ? instant : instant.getTime(), { zone }).toFormat('HH:mm');

function head(pdf: PdfPage, job: string, zone: string, { person, from_ms }: SheetOfDay): number {
  const day = DateTime.fromMillis(from_ms, { zone }).toFormat('cccc d MMMM yyyy');
  pdf
    .font('bold')
    .fontSize(17)
    .fillColor('#111')
    .text(fitting(pdf, `${person}, ${day}`, widthOf(pdf)), MARGIN, MARGIN, { lineBreak: false });
  pdf
    .font('plain')
    .fontSize(10)
    .text(fitting(pdf, `${job}. Times of ${zone}.`, widthOf(pdf)), MARGIN, MARGIN + 23, { lineBreak: false });
  return MARGIN + 44;
}

/** The steps of a line as its page has room for. */
const stepsOf = ({ what, short }: SheetOfDay['lines'][number], { full }: Detail): string =>
  full ? what.replaceAll('\n', ' ') : short.endsWith('…') ? short : `${short}.`;

const others = (sheet: SheetOfDay, { people }: SheetOfDay['lines'][number]): string => {
  const beside = people.filter((name) => name !== sheet.person);
  return beside.length === 0 ? '' : ` With ${beside.join(', ')}.`;
};

function heightOfLine(
  pdf: PdfPage,
  sheet: SheetOfDay,
  line: SheetOfDay['lines'][number],
  detail: Detail,
): number {
  const text = `${stepsOf(line, detail)}${others(sheet, line)}`;
  return Math.max(
    BOX + 2,
    pdf.font('plain').fontSize(detail.size).heightOfString(text, { width: COLUMNS[2].width }),
  );
}

const heightOfAll = (pdf: PdfPage, sheet: SheetOfDay, detail: Detail): number =>
  sheet.lines.reduce((sum, line) => sum + heightOfLine(pdf, sheet, line, detail) + detail.gap, 0);

function lines(
  pdf: PdfPage,
  sheet: SheetOfDay,
  { zone, top, bottom, detail }: { zone: string; top: number; bottom: number; detail: Detail },
): void {
  let y = top;
  for (const [index, line] of sheet.lines.entries()) {
    const height = heightOfLine(pdf, sheet, line, detail);
    const rest = sheet.lines.length - index;
    if (y + height > bottom - (rest > 1 ? TEXT + 3 : 0)) {
      pdf.font('bold').fontSize(TEXT).text(`and ${rest} more: see the list`, MARGIN, y, { lineBreak: false });
      return;
    }
    pdf
      .lineWidth(0.3)
      .moveTo(MARGIN, y - detail.gap / 2)
      .lineTo(pdf.page.width - MARGIN, y - detail.gap / 2)
      .stroke('#bbb');
    const cells = [`${clock(line.startsAt, zone)}–${clock(line.endsAt, zone)}`, line.tag];
    cells.forEach((text, at) => {
      const { x, width } = COLUMNS[at] ?? COLUMNS[0];
      pdf
        .font(at === 1 ? 'bold' : 'plain')
        .fontSize(10)
        .fillColor('#111')
        .text(fitting(pdf, text, width), MARGIN + x, y, { lineBreak: false });
    });
    pdf
      .font('plain')
      .fontSize(detail.size)
      .fillColor('#222')
      .text(`${stepsOf(line, detail)}${others(sheet, line)}`, MARGIN + COLUMNS[2].x, y, {
        width: COLUMNS[2].width,
      });
    pdf
      .lineWidth(0.8)
      .rect(pdf.page.width - MARGIN - BOX, y, BOX, BOX)
      .stroke('#111');
    y += height + detail.gap;
  }
}

/** What to know that day, at the foot of the page: measured first, so that the work gets the rest of it. */
function footOf(
  pdf: PdfPage,
  { day, hazards }: SheetOfDay,
  units: DisplayUnits,
  zone: string,
): { readonly height: number; readonly write: (y: number) => void } {
  const parts = [
    ['Weather', weatherWords(day, units)],
    ['Sun', sunWords(day, zone)],
    ['Mixes', mixesWords(day, units)],
    ['Dangers', hazards.map(({ word, says }) => `${word}: ${says}`).join(' ')],
    ['Always', 'Never on glass in direct sun or still warm from it. The film’s sheet and local codes win.'],
  ] as const;
  const told = parts.filter(([, text]) => text !== '');
  const width = widthOf(pdf) - FOOT_X;
  const heights = told.map(
    ([, text]) => pdf.font('plain').fontSize(FOOT).heightOfString(text, { width }) + 3,
  );
  return {
    height: heights.reduce((sum, height) => sum + height, 8),
    write: (from) => {
      pdf
        .lineWidth(0.8)
        .moveTo(MARGIN, from + 2)
        .lineTo(pdf.page.width - MARGIN, from + 2)
        .stroke('#111');
      told.reduce((y, [word, text], index) => {
        pdf.font('bold').fontSize(FOOT).fillColor('#111').text(word, MARGIN, y, { lineBreak: false });
        pdf.font('plain').text(text, MARGIN + FOOT_X, y, { width });
        return y + (heights[index] ?? 0);
      }, from + 7);
    },
  };
}

const FOOT = 8.5;
const FOOT_X = 52;

function weatherWords({ weather }: DayOnPaper, units: DisplayUnits): string {
  if (weather === undefined) return 'No forecast for this day.';
  const { temperature } = figuresIn(units);
  const { least_C, most_C, cloud, rain_mm } = weather;
  const sky = cloud > 0.85 ? 'overcast' : cloud > 0.4 ? 'part cloud' : 'clear';
  return `${temperature(least_C)} to ${temperature(most_C)}, ${sky}${rain_mm > 0.1 ? ', rain' : ''}.`;
}

function sunWords({ sun }: DayOnPaper, zone: string): string {
  const told = sun.map(
    ({ tag, spans }) =>
      `${tag} ${spans.map(({ from_ms, to_ms }) => `${clock(from_ms, zone)}–${clock(to_ms, zone)}`).join(', ')}`,
  );
  return told.length === 0 ? 'None on the surfaces of this day, as far as is known.' : `${told.join('; ')}.`;
}

function mixesWords({ mixes }: DayOnPaper, units: DisplayUnits): string {
  const { volume } = figuresIn(units);
  return mixes
    .map(({ liquid, litres, recipe }) => `${liquid} ${volume(litres.value)}, ${recipeWords(recipe, units)}`)
    .join('; ');
}
