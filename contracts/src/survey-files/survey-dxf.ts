import { type Outline, type Point, outlineBounds } from '@yellow-pane/core/measure';
import { DxfWriter, LWPolylineFlags, Units, point2d, point3d } from '@tarikjabiri/dxf';
import type { BroughtSurface } from './brought-in';
import { ownComments } from './own-dxf';

export interface DrawnSurface {
  readonly tag: string;
  readonly outline: Outline;
  readonly openings: readonly Outline[];
  /** The surface itself, so that the program reads its own drawing back just as it was. */
  readonly own?: BroughtSurface | undefined;
}

const GAP_MM = 200;

/** Outlines side by side in millimetres, seen from outside or side A: layers PANE, OPENING and LABEL. */
export function surveyDxf(surfaces: readonly DrawnSurface[]): string {
  const drawing = new DxfWriter();
  drawing.setUnits(Units.Millimeters);
  drawing.addLayer('PANE', 7, 'Continuous');
  drawing.addLayer('OPENING', 3, 'Continuous');
  drawing.addLayer('LABEL', 5, 'Continuous');
  let left = 0;
  for (const { tag, outline, openings } of surfaces) {
    const bounds = outlineBounds(outline);
    const at = ({ x, y }: Point): { readonly point: ReturnType<typeof point2d> } => ({
      point: point2d(left + x - bounds.left, bounds.height - (y - bounds.top)),
    });
    drawing.addLWPolyline(outline.map(at), { flags: LWPolylineFlags.Closed, layerName: 'PANE' });
    for (const opening of openings)
      drawing.addLWPolyline(opening.map(at), { flags: LWPolylineFlags.Closed, layerName: 'OPENING' });
    drawing.addText(point3d(left, -60, 0), 40, escaped(tag), { layerName: 'LABEL' });
    left += bounds.width + GAP_MM;
  }
  return ownComments(surfaces) + drawing.stringify();
}

/** Line ends would begin a new group in the file. */
function escaped(text: string): string {
  return text
    .replace(/\p{Cc}/gu, ' ')
    .replace(/%%/g, '% %')
    .slice(0, 200);
}
