import { type PlanRoll, outlineOf, pieceWord } from '@yellow-pane/contracts/cut-files';
import { pieceNoteWords } from '@yellow-pane/contracts/words';
import { STANDING, pieceNotes } from '@yellow-pane/core/blanks';
import { type Cut, cutsFor } from '@yellow-pane/core/cutting';
import type { Liner } from '@yellow-pane/core/job';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import type { Paper } from './paper';
import { type PdfPage, POINTS_MM, fitting, lengthIn, newPdf, standingPicture } from './pdf-page';
import type { PlanRead } from '../features/cut-plans/plan-file';

const MARGIN = 14 * POINTS_MM;
const DRAWING_HIGH = 88 * POINTS_MM;
const LINE = 6.4 * POINTS_MM;
const WORDS: Readonly<Record<Cut['how'], string>> = {
  'square the end': 'Square the end',
  'cross-cut': 'Cross-cut the sheet',
  slit: 'Slit',
  'cross-cut piece': 'Cut the piece off',
  'slit piece': 'Slit this part',
  trim: 'Trim',
};
const FROM: Readonly<Record<Cut['from'], string>> = {
  'roll end': 'from the cut end',
  'left edge': 'from the left edge',
  'sheet end': 'from the sheet’s end',
  'part end': 'from this part’s end',
  'part left edge': 'from this part’s left edge',
};

/**
 * The cut sheet: a page or more a roll, the roll drawn, then its cuts in order with tape readings and three
 * boxes to tick by hand.
 */
export async function cutSheetPdf(
  { file, endWaste_mm, rolls }: PlanRead,
  { paper, units }: { readonly paper: Paper; readonly units: DisplayUnits },
): Promise<Buffer> {
  const { pdf, done } = newPdf(paper, `Cut sheet, ${file.job}`);
  if (rolls.length === 0) {
    pdf.addPage();
    pdf.fontSize(14).text('Nothing is laid out.', MARGIN, MARGIN);
  }
  rolls.forEach(({ roll }, index) => {
    pdf.addPage();
    head(
      pdf,
      file.liner,
      file.job,
      `${file.film}: ${rollName(roll)}`,
      `${index + 1} of ${rolls.length}`,
      `${lengthIn(roll.width_mm, units)} wide, uses ${lengthIn(roll.used_mm, units)} of ${lengthIn(roll.length_mm, units)} ${units === 'metric' ? 'mm' : 'in'}${roll.lot === '' ? '' : `, lot ${roll.lot}`}`,
    );
    const under = byTheWay(pdf, roll, units, draw(pdf, roll, MARGIN + 26 * POINTS_MM));
    const cuts =
      file.mode === 'by hand'
        ? cutsFor(
            roll.pieces.map((piece, at) => ({
              id: String(at),
              x_mm: piece.x_mm,
              y_mm: piece.y_mm,
              across_mm: piece.across_mm,
              along_mm: piece.along_mm,
              turned: piece.turned,
              level: 0,
            })),
            roll.width_mm,
            endWaste_mm,
          )
        : undefined;
    if (cuts === undefined) pieceList(pdf, roll, units, under, file.mode === 'by hand');
    else cutList(pdf, roll, cuts, units, under);
  });
  return done();
}

const rollName = ({ what, label }: PlanRoll): string =>
  what === 'to order' ? 'to be ordered' : `${what} ${label}`;

function head(pdf: PdfPage, liner: Liner, job: string, what: string, page: string, size: string): void {
  const width = pdf.page.width - 2 * MARGIN;
  pdf
    .font('bold')
    .fontSize(17)
    .text(fitting(pdf, what, width - 60), MARGIN, MARGIN, { lineBreak: false });
  pdf
    .font('plain')
    .fontSize(10)
    .text(page, MARGIN, MARGIN + 4, { width, align: 'right' });
  pdf.fontSize(10).text(fitting(pdf, `${job}. ${size}`, width), MARGIN, MARGIN + 24, { lineBreak: false });
  pdf
    .fontSize(8.5)
    .text(
      `Blades: safety glasses, cut-resistant glove on the other hand. Check each mark before cutting. Liner ${liner}.`,
      MARGIN,
      MARGIN + 40,
      { lineBreak: false },
    );
  pdf.text(STANDING, MARGIN, MARGIN + 52, { lineBreak: false });
  standingPicture(pdf, pdf.page.width - MARGIN - 80, MARGIN + 22, 38, liner);
}

/** The roll lying down, its end at the left. @returns where the drawing ends */
function draw(pdf: PdfPage, roll: PlanRoll, top: number): number {
  const width = pdf.page.width - 2 * MARGIN;
  const scale = Math.min(width / Math.max(1, roll.used_mm), DRAWING_HIGH / roll.width_mm);
  const at = (x_mm: number, y_mm: number): [number, number] => [MARGIN + y_mm * scale, top + x_mm * scale];
  pdf
    .lineWidth(0.5)
    .dash(3, { space: 2 })
    .rect(...at(0, 0), roll.used_mm * scale, roll.width_mm * scale)
    .stroke('#555')
    .undash();
  for (const piece of roll.pieces) {
    const points = outlineOf(piece).map(({ x, y }) => at(x, y));
    pdf
      .lineWidth(1)
      .polygon(...points)
      .fillAndStroke('#eef3f4', '#111');
    for (const line of piece.notches ?? [])
      stroke(
        pdf,
        line.map(({ x, y }) => at(x, y)),
      );
    for (const line of piece.slits ?? []) {
      pdf.dash(4, { space: 2 });
      stroke(
        pdf,
        line.map(({ x, y }) => at(x, y)),
      );
      pdf.undash();
    }
    const [left, upper] = at(piece.x_mm, piece.y_mm);
    const [wide, high] = [piece.along_mm * scale, piece.across_mm * scale];
    pdf
      .fillColor('#111')
      .font('bold')
      .fontSize(Math.max(5, Math.min(10, high / 2.5)));
    if (wide > 14 && high > 7)
      pdf.text(fitting(pdf, pieceWord(piece), wide - 4), left + 2, upper + high / 2 - 5, {
        width: wide - 4,
        align: 'center',
        lineBreak: false,
      });
    topArrow(pdf, piece.top, left, upper, wide, high);
  }
  pdf.font('plain').fillColor('#111');
  return top + roll.width_mm * scale + 6 * POINTS_MM;
}

function stroke(pdf: PdfPage, points: readonly (readonly [number, number])[]): void {
  points.forEach(([x, y], index) => {
    if (index === 0) pdf.moveTo(x, y);
    else pdf.lineTo(x, y);
  });
  pdf.lineWidth(0.8).stroke('#111');
}

/**
 * What the cuts alone do not say, a line each: pattern, column marks, and how a sector is marked out by tape.
 * @returns where the lines end
 */
function byTheWay(pdf: PdfPage, roll: PlanRoll, units: DisplayUnits, start: number): number {
  const lines = roll.pieces.flatMap((piece) =>
    pieceNotes({ ...piece, isColumn: (piece.slits ?? []).length > 0 }).map(
      (note) => `${pieceWord(piece)}: ${pieceNoteWords(note, units)}`,
    ),
  );
  pdf.font('plain').fontSize(9).fillColor('#111');
  const width = pdf.page.width - 2 * MARGIN;
  let y = start;
  for (const text of lines) {
    const high = pdf.heightOfString(text, { width });
    if (y + high > pdf.page.height - MARGIN) {
      pdf.addPage();
      y = MARGIN;
    }
    pdf.text(text, MARGIN, y, { width });
    y += high + 2;
  }
  return lines.length === 0 ? start : y + 8;
}

function topArrow(
  pdf: PdfPage,
  top: PlanRoll['pieces'][number]['top'],
  x: number,
  y: number,
  wide: number,
  high: number,
): void {
  const size = Math.min(6, wide / 3, high / 3);
  const [cx, cy] =
    top === 'to the roll end'
      ? [x + size, y + high / 2]
      : top === 'to the core'
        ? [x + wide - size, y + high / 2]
        : top === 'to the left edge'
          ? [x + wide / 2, y + size]
          : [x + wide / 2, y + high - size];
  const tip =
    top === 'to the roll end'
      ? [-size, 0]
      : top === 'to the core'
        ? [size, 0]
        : top === 'to the left edge'
          ? [0, -size]
          : [0, size];
  const [dx = 0, dy = 0] = tip;
  pdf
    .polygon([cx + dx, cy + dy], [cx - dy / 1.5, cy + dx / 1.5], [cx + dy / 1.5, cy - dx / 1.5])
    .fill('#111');
}

function table(
  pdf: PdfPage,
  columns: readonly {
    readonly head: string;
    readonly x: number;
    readonly width: number;
    readonly align?: 'right';
  }[],
  rows: readonly (readonly string[])[],
  start: number,
  boxes: readonly number[],
): void {
  let y = start;
  const header = (): void => {
    pdf.font('plain').fontSize(8.5).fillColor('#444');
    columns.forEach(({ head: text, x, width, align }) => {
      pdf.text(text, MARGIN + x, y, { width, align: align ?? 'left', lineBreak: false });
    });
    y += LINE * 0.8;
  };
  header();
  for (const row of rows) {
    if (y > pdf.page.height - MARGIN - LINE) {
      pdf.addPage();
      y = MARGIN;
      header();
    }
    pdf
      .lineWidth(0.3)
      .moveTo(MARGIN, y - 2.5)
      .lineTo(pdf.page.width - MARGIN, y - 2.5)
      .stroke('#bbb');
    columns.forEach(({ x, width, align }, index) => {
      pdf
        .font(index === 1 || align === 'right' ? 'bold' : 'plain')
        .fontSize(11)
        .fillColor('#111');
      pdf.text(fitting(pdf, row[index] ?? '', width), MARGIN + x, y, {
        width,
        align: align ?? 'left',
        lineBreak: false,
      });
    });
    for (const box of boxes)
      pdf
        .lineWidth(0.8)
        .rect(MARGIN + box, y, 11, 11)
        .stroke('#111');
    y += LINE;
  }
}

function cutList(
  pdf: PdfPage,
  roll: PlanRoll,
  cuts: readonly Cut[],
  units: DisplayUnits,
  start: number,
): void {
  const width = pdf.page.width - 2 * MARGIN;
  const unit = units === 'metric' ? 'mm' : 'in';
  const columns = [
    { head: 'no.', x: 0, width: 22 },
    { head: 'cut', x: 26, width: 110 },
    { head: `tape at (${unit})`, x: 140, width: 62, align: 'right' as const },
    { head: '', x: 208, width: 98 },
    { head: `running (${unit})`, x: 308, width: 62, align: 'right' as const },
    { head: 'frees', x: 380, width: width - 380 - 62 },
    { head: 'mark check cut', x: width - 58, width: 60 },
  ];
  const name = (id: string): string => {
    const piece = roll.pieces[Number(id)];
    return piece === undefined ? '' : pieceWord(piece);
  };
  table(
    pdf,
    columns,
    cuts.map((cut) => [
      String(cut.no),
      WORDS[cut.how],
      lengthIn(cut.at_mm, units),
      FROM[cut.from],
      lengthIn(cut.running_mm, units),
      cut.frees.map(name).join(', '),
      '',
    ]),
    start,
    [width - 56, width - 37, width - 18],
  );
}

/** Not to be freed by straight cuts: each piece with its corner and size. */
function pieceList(
  pdf: PdfPage,
  roll: PlanRoll,
  units: DisplayUnits,
  start: number,
  isByHand: boolean,
): void {
  const width = pdf.page.width - 2 * MARGIN;
  const columns = [
    { head: 'no.', x: 0, width: 24 },
    { head: 'piece', x: 28, width: 130 },
    { head: 'from edge', x: 160, width: 56, align: 'right' as const },
    { head: 'from end', x: 222, width: 60, align: 'right' as const },
    { head: 'across', x: 288, width: 56, align: 'right' as const },
    { head: 'along', x: 350, width: 60, align: 'right' as const },
    { head: 'top', x: 418, width: width - 418 - 20 },
  ];
  if (isByHand)
    pdf
      .fontSize(9)
      .text(
        'These pieces cannot be freed by straight cuts from edge to edge: mark each and cut round it.',
        MARGIN,
        start - 8,
      );
  table(
    pdf,
    columns,
    roll.pieces.map((piece, index) => [
      String(index + 1),
      pieceWord(piece),
      lengthIn(piece.x_mm, units),
      lengthIn(piece.y_mm, units),
      lengthIn(piece.across_mm, units),
      lengthIn(piece.along_mm, units),
      piece.top,
    ]),
    start + 6,
    [width - 14],
  );
}
