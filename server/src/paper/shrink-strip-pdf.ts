import { type DisplayUnits, formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import type { Paper } from './paper';
import { POINTS_MM, type PdfPage, fitting, newPdf } from './pdf-page';

export interface ShrinkStrip {
  readonly job: string;
  readonly tag: string;
  readonly seenFrom: string;
  /** From the top edge of the glass down to the line, mm. */
  readonly heights_mm: { readonly left: number; readonly middle: number; readonly right: number };
  readonly units: DisplayUnits;
}

/** Lengths that are held up to the glass: lift-off, gun to film, gun to film that hangs. */
const LENGTHS_MM = [25, 150, 190] as const;
const CHECK_MM = 100;
/** Of the strip on one piece of paper; the next begins where it ends. */
const PIECE_MM = 230;
const MARGIN_MM = 12;
const STRIP = { width: 30, from: 50 };
const TICK_MM = 10;

/** Where the heights of the line fall on the strip, piece by piece. */
export function piecesOfStrip(
  most_mm: number,
): readonly { readonly from_mm: number; readonly to_mm: number }[] {
  return Array.from({ length: Math.max(1, Math.ceil(most_mm / PIECE_MM)) }, (_, index) => ({
    from_mm: index * PIECE_MM,
    to_mm: Math.min(most_mm, (index + 1) * PIECE_MM),
  }));
}

/**
 * Lengths to hold up to the glass, and a strip to hang from its top edge with the heights of the line, true
 * to scale: a line to check that by stands on every sheet.
 */
export async function shrinkStripPdf(strip: ShrinkStrip, paper: Paper): Promise<Buffer> {
  const { pdf, done } = newPdf(paper, `Strip for ${strip.tag}, ${strip.job}`);
  const { left, middle, right } = strip.heights_mm;
  lengthsSheet(pdf, strip);
  for (const piece of piecesOfStrip(Math.max(left, middle, right) + TICK_MM)) stripSheet(pdf, strip, piece);
  return done();
}

const at = (mm: number): number => mm * POINTS_MM;
const said = (mm: number, units: DisplayUnits): string => formatLengthWithUnit(nmFromMm(mm), units);

/** A new sheet with its heading and the line to check the printer by. */
function newSheet(pdf: PdfPage, { job, tag, seenFrom, units }: ShrinkStrip): void {
  pdf.addPage();
  pdf
    .font('bold')
    .fontSize(15)
    .fillColor('#111')
    .text(`${tag}, seen from ${seenFrom}`, at(MARGIN_MM), at(MARGIN_MM), { lineBreak: false });
  pdf.font('plain').fontSize(10);
  pdf.text(fitting(pdf, job, at(120)), at(MARGIN_MM), at(MARGIN_MM + 7), { lineBreak: false });
  ruled(pdf, { x: MARGIN_MM, y: 32, length: CHECK_MM });
  pdf.text(
    `This line is ${said(CHECK_MM, units)}. If not, print again at 100 %, not fitted to the page.`,
    at(MARGIN_MM),
    at(34),
    { lineBreak: false },
  );
}

function ruled(
  pdf: PdfPage,
  { x, y, length }: { readonly x: number; readonly y: number; readonly length: number },
): void {
  pdf
    .lineWidth(1)
    .moveTo(at(x), at(y))
    .lineTo(at(x + length), at(y))
    .stroke('#111');
  for (const end of [x, x + length])
    pdf
      .moveTo(at(end), at(y - 3))
      .lineTo(at(end), at(y + 3))
      .stroke('#111');
}

const WHAT_FOR: Readonly<Record<(typeof LENGTHS_MM)[number], string>> = {
  25: 'least that film is lifted off the bottom seal',
  150: 'gun to film, fold by fold',
  190: 'gun to film that hangs, one sweep',
};

function lengthsSheet(pdf: PdfPage, strip: ShrinkStrip): void {
  newSheet(pdf, strip);
  LENGTHS_MM.forEach((length, index) => {
    const y = 60 + index * 22;
    ruled(pdf, { x: MARGIN_MM, y, length });
    pdf.text(`${said(length, strip.units)}: ${WHAT_FOR[length]}`, at(MARGIN_MM), at(y + 4), {
      lineBreak: false,
    });
  });
}

function stripSheet(
  pdf: PdfPage,
  strip: ShrinkStrip,
  { from_mm, to_mm }: { readonly from_mm: number; readonly to_mm: number },
): void {
  newSheet(pdf, strip);
  const [x, y] = [MARGIN_MM, STRIP.from];
  const on = (height_mm: number): number => at(y + height_mm - from_mm);
  pdf
    .lineWidth(0.8)
    .rect(at(x), at(y), at(STRIP.width), at(to_mm - from_mm))
    .stroke('#111');
  pdf.text(
    from_mm === 0
      ? 'This edge to the top edge of the glass'
      : `Glue on where the piece before ends: ${said(from_mm, strip.units)}`,
    at(x + STRIP.width + 4),
    at(y - 2),
    { lineBreak: false },
  );
  for (let tick = Math.ceil(from_mm / TICK_MM) * TICK_MM; tick <= to_mm; tick += TICK_MM)
    pdf
      .moveTo(at(x), on(tick))
      .lineTo(at(x + (tick % 50 === 0 ? 8 : 4)), on(tick))
      .stroke('#111');
  for (const [name, height_mm] of Object.entries(strip.heights_mm)) {
    if (height_mm < from_mm || height_mm > to_mm) continue;
    const column = ['left', 'middle', 'right'].indexOf(name);
    pdf
      .lineWidth(1.6)
      .moveTo(at(x), on(height_mm))
      .lineTo(at(x + STRIP.width), on(height_mm))
      .stroke('#111');
    pdf.text(
      `${name}: ${said(height_mm, strip.units)}`,
      at(x + STRIP.width + 4 + column * 42),
      on(height_mm) - 5,
      { lineBreak: false },
    );
  }
}
