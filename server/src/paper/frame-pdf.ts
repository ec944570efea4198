import type { Paper } from './paper';
import { POINTS_MM, newPdf } from './pdf-page';

/** Outer size of the printed frame and how wide its bars are, mm: it fits both papers. */
export const FRAME = { width: 180, height: 240, bar: 10 } as const;
const LEFT_MM = 15;
const TOP_MM = 18;
const CHECK_MM = 100;

/** A black frame of known size, laid beside a paper pattern and photographed with it. */
export async function framePdf(paper: Paper): Promise<Buffer> {
  const { pdf, done } = newPdf(paper, 'Frame for pictures of patterns');
  pdf.addPage();
  const at = (mm: number): number => mm * POINTS_MM;
  pdf.rect(at(LEFT_MM), at(TOP_MM), at(FRAME.width), at(FRAME.height)).fill('#000');
  pdf
    .rect(
      at(LEFT_MM + FRAME.bar),
      at(TOP_MM + FRAME.bar),
      at(FRAME.width - 2 * FRAME.bar),
      at(FRAME.height - 2 * FRAME.bar),
    )
    .fill('#fff');
  const [x, y] = [LEFT_MM + 40, TOP_MM + 120];
  pdf
    .lineWidth(1)
    .moveTo(at(x), at(y))
    .lineTo(at(x + CHECK_MM), at(y))
    .stroke('#000');
  for (const end of [x, x + CHECK_MM])
    pdf
      .moveTo(at(end), at(y - 3))
      .lineTo(at(end), at(y + 3))
      .stroke('#000');
  pdf
    .font('plain')
    .fontSize(10)
    .fillColor('#000')
    .text(
      `Outer size ${FRAME.width} × ${FRAME.height} mm. The line is ${CHECK_MM} mm: if not, print again at 100 %.`,
      at(LEFT_MM + FRAME.bar + 8),
      at(y + 6),
      { width: at(FRAME.width - 2 * FRAME.bar - 16) },
    );
  return done();
}
