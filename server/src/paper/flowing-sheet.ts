import type { Signature } from '@yellow-pane/core/job';
import { type PdfPage, POINTS_MM, fitting, newPdf } from './pdf-page';
import type { Paper } from './paper';

const MARGIN = 16 * POINTS_MM;
const FOOT = 22;
const INK = '#111';
const SIZES = { title: 18, heading: 12.5, text: 9.5, small: 8 } as const;
const CELL_GAP = 6;

/** A column of a table: its share of the width, and whether it holds figures. */
export interface Column {
  readonly word: string;
  readonly share: number;
  readonly isFigure?: boolean;
}

/**
 * Text, tables and pictures one below the other, page after page. Each page tells what it belongs to, and
 * which it is.
 */
export class FlowingSheet {
  readonly pdf: PdfPage;
  readonly #done: () => Promise<Buffer>;
  readonly #foot: string;
  #page = 0;
  #y = 0;

  constructor(paper: Paper, title: string, foot: string) {
    const { pdf, done } = newPdf(paper, title);
    this.pdf = pdf;
    this.#done = done;
    this.#foot = foot;
    this.page();
  }

  get wide(): number {
    return this.pdf.page.width - 2 * MARGIN;
  }

  get bottom(): number {
    return this.pdf.page.height - MARGIN - FOOT;
  }

  page(): void {
    this.pdf.addPage();
    this.#page += 1;
    this.#y = MARGIN;
    const { pdf } = this;
    pdf.font('plain').fontSize(SIZES.small).fillColor('#444');
    const y = pdf.page.height - MARGIN - SIZES.small;
    pdf.text(fitting(pdf, this.#foot, this.wide - 60), MARGIN, y, { lineBreak: false });
    pdf.text(`Page ${this.#page}`, MARGIN + this.wide - 60, y, {
      width: 60,
      align: 'right',
      lineBreak: false,
    });
    pdf.fillColor(INK);
  }

  /** Goes to a new page where less than so much is left. */
  room(points: number): void {
    if (this.#y + points > this.bottom) this.page();
  }

  title(text: string): void {
    this.#text(text, 'bold', SIZES.title);
    this.gap(2);
  }

  heading(text: string): void {
    this.gap(8);
    this.room(SIZES.heading * 3);
    this.#text(text, 'bold', SIZES.heading);
    this.gap(2);
  }

  line(text: string, weight: 'plain' | 'bold' = 'plain'): void {
    this.#text(text, weight, SIZES.text);
  }

  small(text: string): void {
    this.#text(text, 'plain', SIZES.small);
  }

  /** A list with a box to each, to be ticked by hand, or a dot. */
  list(lines: readonly string[], bullet: 'dot' | 'box' = 'dot'): void {
    for (const text of lines) {
      const indent = 12;
      this.pdf.font('plain').fontSize(SIZES.text);
      const high = this.pdf.heightOfString(text, { width: this.wide - indent });
      this.room(high);
      if (bullet === 'dot') this.pdf.circle(MARGIN + 3.5, this.#y + 5, 1.5).fill(INK);
      else
        this.pdf
          .lineWidth(0.8)
          .rect(MARGIN, this.#y + 1, 7, 7)
          .stroke(INK);
      this.pdf.fillColor(INK).text(text, MARGIN + indent, this.#y, { width: this.wide - indent });
      this.#y += high + 2;
    }
  }

  gap(points: number): void {
    this.#y += points;
  }

  table(columns: readonly Column[], rows: readonly (readonly string[])[]): void {
    const all = columns.reduce((sum, { share }) => sum + share, 0);
    const widths = columns.map(({ share }) => (this.wide * share) / all);
    this.#row(
      columns.map(({ word }) => word),
      { columns, widths, weight: 'bold' },
    );
    this.#rule(0.8);
    for (const row of rows) {
      this.#row(row, { columns, widths, weight: 'plain' });
      this.#rule(0.25);
    }
  }

  /** A sum under a table: a word and a figure. */
  sum(word: string, figure: string, weight: 'plain' | 'bold' = 'plain'): void {
    this.room(SIZES.text * 1.5);
    const { pdf } = this;
    pdf.font(weight).fontSize(SIZES.text);
    pdf.text(word, MARGIN, this.#y, { lineBreak: false });
    pdf.text(figure, MARGIN, this.#y, { width: this.wide, align: 'right', lineBreak: false });
    this.#y += SIZES.text * 1.5;
  }

  /** Pictures side by side with what they show below. */
  pictures(pictures: readonly { readonly picture: Buffer; readonly word: string }[]): void {
    if (pictures.length === 0) return;
    const wide = Math.min(220, (this.wide - CELL_GAP) / Math.max(2, pictures.length));
    const high = wide * 0.75;
    this.room(high + 16);
    pictures.forEach(({ picture, word }, index) => {
      const x = MARGIN + index * (wide + CELL_GAP);
      this.pdf.image(picture, x, this.#y, { fit: [wide, high] });
      this.pdf
        .font('plain')
        .fontSize(SIZES.small)
        .text(word, x, this.#y + high + 2, { lineBreak: false });
    });
    this.#y += high + 16;
  }

  /** Room of a height to draw in, from its upper left corner. */
  drawn(high: number, draw: (x: number, y: number) => void): void {
    this.room(high);
    draw(MARGIN, this.#y);
    this.#y += high + 4;
  }

  /** Draws something in a box of its own at the right edge of the line now written. */
  atRight(size: number, draw: (x: number, y: number) => void): void {
    draw(MARGIN + this.wide - size, Math.max(MARGIN, this.#y));
  }

  /** A name written by hand as it was drawn; without one, a line to write on. */
  signature(word: string, signature: Signature | null, when: string): void {
    const [wide, high] = [210, 62];
    this.room(high + 30);
    const { pdf } = this;
    const y = this.#y + 4;
    if (signature !== null) {
      const points = signature.strokes.flatMap((stroke) =>
        stroke.flatMap((value, index) => (index % 2 === 0 ? [] : [value])),
      );
      const deepest = Math.max(300, ...points);
      const scale = Math.min(wide / 1000, high / deepest);
      pdf.save();
      for (const stroke of signature.strokes) {
        stroke.forEach((value, index) => {
          if (index % 2 === 1) return;
          const [px, py] = [MARGIN + value * scale, y + (stroke[index + 1] ?? 0) * scale];
          if (index === 0) pdf.moveTo(px, py);
          else pdf.lineTo(px, py);
        });
        pdf.lineWidth(1.1).lineCap('round').lineJoin('round').stroke(INK);
      }
      pdf.restore();
    }
    pdf
      .moveTo(MARGIN, y + high)
      .lineTo(MARGIN + wide, y + high)
      .lineWidth(0.8)
      .stroke(INK);
    this.#y = y + high + 3;
    this.small(signature === null ? `${word}: ` : `${word}: ${signature.name}, ${when}`);
  }

  done(): Promise<Buffer> {
    return this.#done();
  }

  #text(text: string, weight: 'plain' | 'bold', size: number): void {
    const { pdf } = this;
    const clean = text.replace(/[^\P{Cc}\n]/gu, ' ');
    pdf.font(weight).fontSize(size).fillColor(INK);
    const high = pdf.heightOfString(clean, { width: this.wide });
    this.room(Math.min(high, this.bottom - MARGIN));
    pdf.text(clean, MARGIN, this.#y, { width: this.wide });
    this.#y += high + 2;
  }

  #row(
    cells: readonly string[],
    {
      columns,
      widths,
      weight,
    }: {
      readonly columns: readonly Column[];
      readonly widths: readonly number[];
      readonly weight: 'plain' | 'bold';
    },
  ): void {
    const { pdf } = this;
    pdf.font(weight).fontSize(SIZES.text).fillColor(INK);
    const highs = cells.map((text, index) =>
      pdf.heightOfString(text === '' ? ' ' : text, { width: (widths[index] ?? 0) - CELL_GAP }),
    );
    const high = Math.max(...highs);
    this.room(high + 4);
    pdf.font(weight).fontSize(SIZES.text).fillColor(INK);
    let x = MARGIN;
    cells.forEach((text, index) => {
      const width = widths[index] ?? 0;
      pdf.text(text, x, this.#y + 2, {
        width: width - CELL_GAP,
        align: columns[index]?.isFigure === true ? 'right' : 'left',
      });
      x += width;
    });
    this.#y += high + 4;
  }

  #rule(wide: number): void {
    this.pdf
      .moveTo(MARGIN, this.#y)
      .lineTo(MARGIN + this.wide, this.#y)
      .lineWidth(wide)
      .stroke('#888');
    this.#y += 1;
  }
}
