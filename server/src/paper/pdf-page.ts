import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Liner } from '@yellow-pane/core/job';
import { type DisplayUnits, formatLength, nmFromMm } from '@yellow-pane/core/quantity';
import PDFDocument from 'pdfkit';
import { unpackedFont } from './unpacked-font';

/** Points a millimetre. */
export const POINTS_MM = 72 / 25.4;

const find = createRequire(import.meta.url);
const fontOf = (weight: 400 | 700): Buffer =>
  unpackedFont(
    readFileSync(
      find.resolve(
        `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
      ),
    ),
  );
let fonts: { readonly plain: Buffer; readonly bold: Buffer } | undefined;

export type PdfPage = PDFKit.PDFDocument;

/** An empty document with the house's type, and how to get it as bytes. */
export function newPdf(
  size: [number, number] | 'A4' | 'LETTER',
  title: string,
): { readonly pdf: PdfPage; readonly done: () => Promise<Buffer> } {
  fonts ??= { plain: fontOf(400), bold: fontOf(700) };
  const pdf = new PDFDocument({
    size,
    margin: 0,
    autoFirstPage: false,
    info: { Title: title, Producer: 'Yellow Pane', Creator: 'Yellow Pane' },
  });
  pdf.registerFont('plain', fonts.plain).registerFont('bold', fonts.bold).font('plain');
  const parts: Buffer[] = [];
  pdf.on('data', (part: Buffer) => {
    parts.push(part);
  });
  const whole = new Promise<Buffer>((resolve, reject) => {
    pdf.on('end', () => {
      resolve(Buffer.concat(parts));
    });
    pdf.on('error', reject);
  });
  return {
    pdf,
    done: () => {
      pdf.end();
      return whole;
    },
  };
}

/** A length in the person's units, without the unit. */
export const lengthIn = (value_mm: number, units: DisplayUnits): string =>
  formatLength(nmFromMm(value_mm), units);

/**
 * How the film is looked at: a person at the free end, the roll at the other, one corner folded back to show
 * which face looks up. As wide as twice its height.
 */
export function standingPicture(pdf: PdfPage, x: number, y: number, high: number, liner: Liner): void {
  const [left, right, top, fold] = [x + high * 0.55, x + high * 1.6, y + high * 0.15, high * 0.28];
  const low = y + high * 0.85;
  pdf.lineWidth(0.6);
  pdf.polygon([left, top], [right, top], [right, low], [left + fold, low], [left, low - fold]).stroke('#111');
  pdf
    .polygon([left, low - fold], [left + fold, low], [left + fold, low - fold])
    .fillAndStroke(liner === 'up' ? '#fff' : '#888', '#111');
  pdf
    .roundedRect(right - high * 0.06, top - high * 0.06, high * 0.16, low - top + high * 0.12, high * 0.06)
    .fillAndStroke('#ddd', '#111');
  const [px, py] = [x + high * 0.22, (top + low) / 2];
  pdf.ellipse(px, py, high * 0.1, high * 0.26).fillAndStroke('#fff', '#111');
  pdf.circle(px, py, high * 0.11).fill('#111');
  pdf
    .font('plain')
    .fontSize(high * 0.17)
    .fillColor('#111')
    .text('left', left + 2, top + 1, { lineBreak: false });
}

/** Text that stays in its width: cut with a dot-dot-dot when longer. */
export function fitting(pdf: PdfPage, text: string, width: number): string {
  const clean = text.replace(/\p{Cc}/gu, ' ');
  if (pdf.widthOfString(clean) <= width) return clean;
  let cut = clean;
  while (cut.length > 1 && pdf.widthOfString(`${cut}…`) > width) cut = cut.slice(0, -1);
  return `${cut}…`;
}
