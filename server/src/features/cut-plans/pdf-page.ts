import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { type DisplayUnits, formatLength, nmFromMm } from '@yellow-pane/core/quantity';
import PDFDocument from 'pdfkit';

/** Points a millimetre. */
export const POINTS_MM = 72 / 25.4;

const find = createRequire(import.meta.url);
const fontFile = (weight: 400 | 700): Buffer => readFileSync(find.resolve(`@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`));
let fonts: { readonly plain: Buffer; readonly bold: Buffer } | undefined;

export type PdfPage = PDFKit.PDFDocument;

/** An empty document with the house's type, and how to get it as bytes. */
export function newPdf(size: [number, number] | 'A4' | 'LETTER', title: string): { readonly pdf: PdfPage; readonly done: () => Promise<Buffer> } {
  fonts ??= { plain: fontFile(400), bold: fontFile(700) };
  const pdf = new PDFDocument({ size, margin: 0, autoFirstPage: false, info: { Title: title, Producer: 'Yellow Pane', Creator: 'Yellow Pane' } });
  pdf.registerFont('plain', fonts.plain).registerFont('bold', fonts.bold).font('plain');
  const parts: Buffer[] = [];
  pdf.on('data', (part: Buffer) => { parts.push(part); });
  const whole = new Promise<Buffer>((resolve, reject) => { pdf.on('end', () => { resolve(Buffer.concat(parts)); }); pdf.on('error', reject); });
  return { pdf, done: () => { pdf.end(); return whole; } };
}

/** A length in the person's units, without the unit. */
export const lengthIn = (value_mm: number, units: DisplayUnits): string => formatLength(nmFromMm(value_mm), units);

/** Text that stays in its width: cut with a dot-dot-dot when longer. */
export function fitting(pdf: PdfPage, text: string, width: number): string {
  const clean = text.replace(/\p{Cc}/gu, ' ');
  if (pdf.widthOfString(clean) <= width) return clean;
  let cut = clean;
  while (cut.length > 1 && pdf.widthOfString(`${cut}…`) > width) cut = cut.slice(0, -1);
  return `${cut}…`;
}
