import { type PlanPiece, type PlanRoll, pieceWord } from '@yellow-pane/contracts/cut-files';
import { sectorOnTheTable } from '@yellow-pane/core/blanks';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import QRCode from 'qrcode';
import { Refusal } from '../http/refusal';
import { type PdfPage, POINTS_MM, fitting, lengthIn, newPdf, standingPicture } from './pdf-page';
import type { PlanRead } from '../features/cut-plans/plan-file';

/** Sheets of labels, millimetres. @source sizes of sheets sold everywhere; measured, no standard */
const LABEL_SHEETS = {
  'A4 3x8': { paper: [210, 297], columns: 3, rows: 8, width: 70, height: 36, left: 0, top: 4.5 },
  'A4 2x7': { paper: [210, 297], columns: 2, rows: 7, width: 99.1, height: 38.1, left: 4.65, top: 15.1 },
  'letter 3x10': {
    paper: [215.9, 279.4],
    columns: 3,
    rows: 10,
    width: 66.7,
    height: 25.4,
    left: 4.8,
    top: 12.7,
  },
  'roll 62': { paper: [62, 40], columns: 1, rows: 1, width: 62, height: 40, left: 0, top: 0 },
} as const;
type LabelSheet = keyof typeof LABEL_SHEETS;

export function readLabelSheet(given: unknown): LabelSheet {
  if (given === undefined) return 'A4 3x8';
  const names = Object.keys(LABEL_SHEETS) as LabelSheet[];
  const found = names.find((name) => name === given);
  if (found === undefined)
    throw new Refusal('BODY_INVALID', {
      path: 'sheet',
      expected: names.join(' or '),
      got: JSON.stringify(given).slice(0, 40),
    });
  return found;
}

interface LabelOptions {
  readonly sheet: LabelSheet;
  readonly addressOf: (surfaceId: string) => string;
  readonly units: DisplayUnits;
}

/**
 * One label a piece: code that opens the surface at Fit, tag, size, which way its top lies, liner side,
 * factory edges.
 */
export async function labelsPdf(
  { file, rolls }: PlanRead,
  { sheet, addressOf, units }: LabelOptions,
): Promise<Buffer> {
  const { paper, columns, rows, width, height, left, top } = LABEL_SHEETS[sheet];
  const { pdf, done } = newPdf([paper[0] * POINTS_MM, paper[1] * POINTS_MM], `Labels, ${file.job}`);
  const pieces = rolls.flatMap(({ roll, surfaceIds }) =>
    roll.pieces.map((piece, index) => ({ piece, surfaceId: surfaceIds[index] ?? '', roll })),
  );
  if (pieces.length === 0) pdf.addPage();
  for (const [index, { piece, surfaceId, roll }] of pieces.entries()) {
    const place = index % (columns * rows);
    if (place === 0) pdf.addPage();
    const [x, y] = [
      (left + (place % columns) * width) * POINTS_MM,
      (top + Math.floor(place / columns) * height) * POINTS_MM,
    ];
    drawLabel(pdf, { piece, roll, file, address: addressOf(surfaceId), units }, { x, y, width, height });
  }
  return done();
}

interface Label {
  readonly piece: PlanPiece;
  readonly roll: PlanRoll;
  readonly file: PlanRead['file'];
  readonly address: string;
  readonly units: DisplayUnits;
}

/** Where a label lies on its page, in points, and how large it is, mm. */
interface LabelPlace {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

function drawLabel(pdf: PdfPage, label: Label, place: LabelPlace): void {
  const { piece, roll, file, address, units } = label;
  const { x, y, width, height } = place;
  const code = Math.min(height - 6, 26) * POINTS_MM;
  drawCode(pdf, address, x + 3 * POINTS_MM, y + 3 * POINTS_MM, code);
  const textLeft = x + 5 * POINTS_MM + code;
  const room = x + width * POINTS_MM - 2 * POINTS_MM - textLeft;
  const line = (text: string, size: number, down: number, font: 'plain' | 'bold' = 'plain'): void => {
    pdf.font(font).fontSize(size).fillColor('#000');
    pdf.text(fitting(pdf, text, room), textLeft, y + down * POINTS_MM, { lineBreak: false });
  };
  line(pieceWord(piece), 14, 3, 'bold');
  const [w, h] =
    piece.top === 'to the roll end' || piece.top === 'to the core'
      ? [piece.across_mm, piece.along_mm - piece.phase_mm]
      : [piece.along_mm, piece.across_mm];
  line(`${lengthIn(w, units)} × ${lengthIn(h, units)} ${units === 'metric' ? 'mm' : 'in'}`, 9, 9);
  line(`Top ${piece.top.replace('to the', 'towards the')}`, 7.5, 13);
  line(
    piece.factoryEdges.length === 0
      ? 'Factory edge: none'
      : `Factory edge as it hangs: ${piece.factoryEdges.join(', ')}`,
    7.5,
    16.2,
  );
  line(`${file.film}${roll.lot === '' ? '' : `, lot ${roll.lot}`}`, 7.5, 19.4);
  handlingOf(label, height, line);
  if (height > 30)
    standingPicture(
      pdf,
      x + (width - 15) * POINTS_MM,
      y + (height - 8.5) * POINTS_MM,
      6.5 * POINTS_MM,
      file.liner,
    );
  arrowUp(pdf, x + width * POINTS_MM - 6 * POINTS_MM, y + 4 * POINTS_MM);
}

type Line = (text: string, size: number, down: number, font?: 'plain' | 'bold') => void;

/** Liner side, radii of a ring sector, what is cut off first: what fits on a label so high. */
function handlingOf({ piece, file, units }: Label, height: number, line: Line): void {
  if (height > 30) line(`Liner ${file.liner} on the table`, 7.5, 22.6);
  if (piece.sector !== undefined) {
    const { outer, inner } = sectorOnTheTable(piece.sector);
    const down = height > 30 ? 25.8 : 19.4;
    line(`Radii ${lengthIn(inner.radius_mm, units)}, ${lengthIn(outer.radius_mm, units)}`, 7, down);
    line(`Chords ${lengthIn(inner.chord_mm, units)}, ${lengthIn(outer.chord_mm, units)}`, 7, down + 3);
  }
  if (piece.phase_mm > 0)
    line(`First cut ${lengthIn(piece.phase_mm, units)} off the top`, 7.5, height > 30 ? 25.8 : 22.2, 'bold');
}

/** Up is the top of the surface when the label is stuck on upright. */
function arrowUp(pdf: PdfPage, x: number, y: number): void {
  const size = 3 * POINTS_MM;
  pdf.polygon([x, y], [x + size / 2, y + size], [x - size / 2, y + size]).fill('#000');
  pdf
    .font('bold')
    .fontSize(6)
    .text('TOP', x - 8, y + size + 1, { width: 16, align: 'center', lineBreak: false });
}

export function drawCode(pdf: PdfPage, text: string, x: number, y: number, size: number): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const step = size / modules.size;
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column) === 1)
        pdf.rect(x + column * step, y + row * step, step * 1.02, step * 1.02);
  pdf.fill('#000');
}
