import type { RowOf } from '@yellow-pane/core/job';
import { mmFromNm } from '@yellow-pane/core/quantity';
import type { PartOnGlass } from '../drawing/shrink-drawing';

/** Parts whose place on the glass is known: wiper and lamp in the way, sensors, heater lines. */
export function partsOnGlass(parts: readonly RowOf<'part'>[]): readonly PartOnGlass[] {
  return parts.flatMap(({ kind, name, x_nm, y_nm, width_nm, height_nm }) =>
    x_nm === null || y_nm === null || width_nm === null || height_nm === null
      ? []
      : [
          {
            name: name === '' ? kind : name,
            isHeater: kind === 'heater lines',
            x_mm: mmFromNm(x_nm),
            y_mm: mmFromNm(y_nm),
            width_mm: mmFromNm(width_nm),
            height_mm: mmFromNm(height_nm),
          },
        ],
  );
}
