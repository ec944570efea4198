import type { Op } from '@yellow-pane/contracts';
import { type GlassPane, type GlassUnit, NEW_PANE } from '@yellow-pane/core/job';
import { demoId } from './demo-id';

const MM = 1e6;

/** A make-up with its panes, outermost first. */
export function unit(
  n: number,
  name: string,
  glazing: 'single' | 'double' | 'unknown',
  frame: GlassUnit['frame'],
  edge: GlassUnit['edge'],
  panes: readonly (readonly [GlassPane['treatment'], number, number | null])[],
): readonly Op[] {
  return [
    {
      op: 'put',
      table: 'glassUnit',
      id: demoId('unit', n),
      fields: { name, glazing, frame, edge, edgeFinish: 'unseen', edgeDepth_nm: null },
    },
    ...panes.map(([treatment, thickness, gap], index): Op => ({
      op: 'put',
      table: 'glassPane',
      id: demoId('pane', n * 10 + index),
      fields: {
        ...NEW_PANE,
        unitId: demoId('unit', n),
        position: index + 1,
        treatment,
        thickness_nm: thickness * MM,
        tint: 'clear',
        coating: 'none',
        gapAfter_nm: gap === null ? null : gap * MM,
        gasAfter: gap === null ? 'unknown' : 'air',
      },
    })),
  ];
}
