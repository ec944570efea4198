import { describe, expect, it } from '@jest/globals';
import { type CutPlanFile, type PlanPiece, cutPlanDxf, cutPlanSvg, rollHpgl } from '@yellow-pane/contracts/cut-files';
import { isMirroredOnTable, onTable, outlineOnRoll } from '@yellow-pane/core/cutting';
import DxfParser from 'dxf-parser';
import { pathsOf } from '../../testing/pdf-reader';
import { cutSheetPdf } from './sheet-pdf';

type Corners = readonly (readonly [number, number])[];

/** Area by the corners in their order: positive when they go round against the clock, y upwards. */
const signedArea = (corners: Corners): number => corners.reduce((sum, [x, y], index) => { const [nx, ny] = corners[(index + 1) % corners.length] ?? [x, y]; return sum + x * ny - nx * y; }, 0) / 2;

/** Sides upright, bottom 800, left 800, right 1400, as seen from the room: upper left, upper right, lower right, lower left. */
const RAKED = [{ x: 0, y: 600 }, { x: 800, y: 0 }, { x: 800, y: 1400 }, { x: 0, y: 1400 }];
const lying = (): PlanPiece['outline'] => outlineOnRoll(onTable(RAKED, 800, isMirroredOnTable('room', 'room', true)), 800, 1400, false, false);
const PLAN: CutPlanFile = { format: 'yellow-pane cut plan', version: 1, job: 'a job', film: 'a film', mode: 'by plotter', madeBy: 'Wren', madeAt: '2026-11-24T09:20:00.000Z', rolls: [{ label: 'R', what: 'roll', lot: 'L', width_mm: 1000, length_mm: 5000, used_mm: 1400, pieces: [{ tag: 'P', drop: 1, of: 1, x_mm: 0, y_mm: 0, across_mm: 800, along_mm: 1400, turned: false, top: 'to the roll end', factoryEdges: [], phase_mm: 0, outline: lying() }] }] };
const [ROLL] = PLAN.rolls;

const inDxf = (plan: CutPlanFile): Corners => {
  const drawn = new DxfParser().parseSync(cutPlanDxf(plan))?.entities.filter(({ layer }) => layer === 'CUT') as unknown as readonly { readonly vertices: readonly { readonly x: number; readonly y: number }[] }[];
  return (drawn[0]?.vertices ?? []).map(({ x, y }) => [x, y]);
};
const inSvg = (plan: CutPlanFile): Corners => (/<polygon points="([^"]+)"/.exec(cutPlanSvg(plan))?.[1] ?? '').split(' ').map((pair) => { const [x = 0, y = 0] = pair.split(',').map(Number); return [x, -y]; });
const inHpgl = (roll: CutPlanFile['rolls'][number]): Corners => {
  const cut = /SP1;PU(-?\d+),(-?\d+);PD([-\d,]+);/.exec(rollHpgl(roll));
  const rest = [...(cut?.[3] ?? '').matchAll(/(-?\d+),(-?\d+)/g)].map(([, x, y]): [number, number] => [Number(x) / 40, Number(y) / 40]);
  return [[Number(cut?.[1]) / 40, Number(cut?.[2]) / 40], ...rest.slice(0, -1)];
};
const inSheet = async (plan: CutPlanFile): Promise<Corners> => {
  const paths = pathsOf(await cutSheetPdf({ file: plan, endWaste_mm: 0, rolls: plan.rolls.map((roll) => ({ id: 'r', roll, surfaceIds: ['s'] })) }, { paper: 'A4', units: 'metric' }));
  return paths.find(({ points }) => points.length === 4 && Math.abs(signedArea(points)) > 1000)?.points ?? [];
};

describe('is one plan the same film in all its files, liner up, seen from above?', () => {
  it.failing('upper left, upper right, lower right, lower left go round against the clock everywhere: the film’s back is looked at', async () => {
    if (ROLL === undefined) throw new Error('no roll');
    for (const corners of [inDxf(PLAN), inSvg(PLAN), inHpgl(ROLL), await inSheet(PLAN)]) {
      expect(corners).toHaveLength(4);
      const longest = corners.map((corner, index) => Math.hypot(corner[0] - (corners[(index + 1) % 4]?.[0] ?? 0), corner[1] - (corners[(index + 1) % 4]?.[1] ?? 0)));
      expect(longest.indexOf(Math.max(...longest))).toBe(1);
      expect(signedArea(corners)).toBeGreaterThan(0);
    }
  });
});
