import { Colors, DxfWriter, LWPolylineFlags, Units, point2d, point3d } from '@tarikjabiri/dxf';
import { type CutPlanFile, outlineOf, phaseWord, pieceWord, sectorWord } from './cut-plan-file';

const BETWEEN_ROLLS_MM = 500;
const LETTER_MM = 40;

/**
 * The plan as a drawing in millimetres: rolls side by side, x from the left edge, y from the free end, as one
 * sees the film standing there. Layers CUT (outlines), NOTCH, SLIT (liner alone), LABEL, ROLL (edges of the
 * film, not to be cut).
 */
export function cutPlanDxf({ rolls, liner }: CutPlanFile): string {
  const drawing = new DxfWriter();
  drawing.setUnits(Units.Millimeters);
  drawing.addLayer('CUT', Colors.Red, 'Continuous');
  drawing.addLayer('NOTCH', Colors.Green, 'Continuous');
  drawing.addLayer('SLIT', Colors.Yellow, 'Continuous');
  drawing.addLayer('LABEL', Colors.Blue, 'Continuous');
  drawing.addLayer('ROLL', Colors.White, 'Continuous');
  let left = 0;
  for (const roll of rolls) {
    const at = ({
      x,
      y,
    }: {
      readonly x: number;
      readonly y: number;
    }): { readonly point: ReturnType<typeof point2d> } => ({ point: point2d(left + x, y) });
    const closed = { flags: LWPolylineFlags.Closed };
    drawing.addLWPolyline(
      [
        { x: 0, y: 0 },
        { x: roll.width_mm, y: 0 },
        { x: roll.width_mm, y: roll.used_mm },
        { x: 0, y: roll.used_mm },
      ].map(at),
      { ...closed, layerName: 'ROLL' },
    );
    drawing.addText(
      point3d(left, -2 * LETTER_MM, 0),
      LETTER_MM,
      escaped(`${roll.what} ${roll.label} ${roll.lot}, liner ${liner}, from the free end`),
      { layerName: 'LABEL' },
    );
    for (const piece of roll.pieces) {
      drawing.addLWPolyline(outlineOf(piece).map(at), { ...closed, layerName: 'CUT' });
      for (const line of piece.notches ?? []) drawing.addLWPolyline(line.map(at), { layerName: 'NOTCH' });
      for (const line of piece.slits ?? []) drawing.addLWPolyline(line.map(at), { layerName: 'SLIT' });
      drawing.addText(
        point3d(left + piece.x_mm + LETTER_MM / 2, piece.y_mm + piece.along_mm / 2, 0),
        LETTER_MM,
        escaped(
          `${pieceWord(piece)} top ${piece.top}${phaseWord(piece, (mm) => `${mm} mm`)}${sectorWord(piece, (mm) => `${mm.toFixed(1)} mm`)}`,
        ),
        { layerName: 'LABEL' },
      );
    }
    left += roll.width_mm + BETWEEN_ROLLS_MM;
  }
  return drawing.stringify();
}

/** Line ends would begin a new group in the file; %% begins a control code. */
function escaped(text: string): string {
  return text
    .replace(/\p{Cc}/gu, ' ')
    .replace(/%%/g, '% %')
    .slice(0, 200);
}
