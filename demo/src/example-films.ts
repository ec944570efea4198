import type { Film } from '@yellow-pane/core/job';
import { demoId } from './demo-id';

const NM_PER_MM = 1e6;
const widths = (...mm: readonly number[]): readonly number[] => mm.map((width) => width * NM_PER_MM);
const BOTH = 'clear float, 3 mm';

type Bands = readonly [uv: number, visible: number, backRoom: number, backOutside: number, solar: number, solarBack: number, emissivity: number];

function film(name: string, family: Film['family'], use: string, thickness_um: number, bands: Bands | null, widths_nm: readonly number[], more: Partial<Film> = {}): Film {
  const [uv, visible, backRoom, backOutside, solar, solarBack, emissivity] = bands ?? [null, null, null, null, null, null, null];
  return {
    name, family, use, thickness_um, widths_nm, direction: 'none', referenceGlass: bands === null ? '' : BOTH,
    uvTransmitted: uv, visibleTransmitted: visible, visibleReflectedRoom: backRoom, visibleReflectedOutside: backOutside, solarTransmitted: solar, solarReflected: solarBack, emissivity,
    workMin_C: 5, workMax_C: 35, handling: 'Wet, slip solution, hard squeegee.', invented: true, ...more,
  };
}

/** Invented films for the demo and for trying things out: no such products exist. Figures are plausible, not measured. */
export const EXAMPLE_FILMS: readonly { readonly id: string; readonly film: Film }[] = [
  film('neutral 20', 'solar', 'Strong glare and heat, dark from both sides.', 45, [0.01, 0.2, 0.09, 0.1, 0.27, 0.12, 0.84], widths(914, 1220, 1524)),
  film('neutral 35', 'solar', 'Less heat and glare, view kept.', 45, [0.01, 0.35, 0.08, 0.09, 0.4, 0.1, 0.84], widths(914, 1220, 1524, 1830)),
  film('neutral 50', 'solar', 'A little less heat, hardly seen.', 45, [0.01, 0.5, 0.08, 0.08, 0.52, 0.09, 0.84], widths(914, 1524, 1830)),
  film('silver 20', 'solar', 'Most heat thrown back, mirror by day.', 50, [0.01, 0.18, 0.55, 0.56, 0.15, 0.52, 0.75], widths(1220, 1524)),
  film('clear select 70', 'solar', 'Heat off, light kept: for glass that must look bare.', 60, [0.01, 0.7, 0.1, 0.1, 0.45, 0.25, 0.8], widths(1524, 1830)),
  film('warm room 60', 'solar', 'Keeps room heat in winter: low emissivity on the room side.', 55, [0.01, 0.6, 0.13, 0.17, 0.42, 0.3, 0.15], widths(1524), { handling: 'Wet. Soft squeegee only: the coating scratches.' }),
  film('frost 70', 'frosted', 'Privacy with light, even frost.', 80, [0.05, 0.7, 0.15, 0.15, 0.66, 0.16, 0.85], widths(1220, 1524)),
  film('frost stripes 12', 'frosted', 'Clear and frosted stripes of 12 mm along the roll.', 80, [0.1, 0.78, 0.12, 0.12, 0.72, 0.13, 0.85], widths(1220), { direction: 'along the roll', handling: 'Wet. Level the stripes over the whole row before locking.' }),
  film('frost reed', 'frosted', 'Reed pattern with a top and a bottom.', 90, [0.08, 0.72, 0.14, 0.14, 0.68, 0.15, 0.85], widths(1220), { direction: 'one way' }),
  film('hold clear 100', 'security', 'Holds broken glass together.', 100, [0.02, 0.88, 0.09, 0.09, 0.81, 0.08, 0.85], widths(1524, 1830), { handling: 'Wet, plenty of slip, hard squeegee in two passes.' }),
  film('hold clear 200', 'security', 'Delays a break-in where the system is tested.', 200, [0.02, 0.87, 0.09, 0.09, 0.79, 0.08, 0.85], widths(1524), { handling: 'Stiff: two people. Film must reach the glass edge. Dries for weeks.', workMin_C: 8 }),
  film('oak grain', 'decor', 'Wood look for doors, counters and panels.', 210, null, widths(1220), { direction: 'along the roll', workMin_C: 15, workMax_C: 25, handling: 'Dry, primer on edges. Grain along the roll.' }),
  film('plain stone', 'decor', 'Even stone look for counters.', 200, null, widths(1220), { workMin_C: 15, workMax_C: 25, handling: 'Dry, primer on edges.' }),
  film('block wall mural', 'textured wall', 'Printed film for block, brick and stucco.', 100, null, widths(1370), { direction: 'one way', workMin_C: 10, workMax_C: 30, handling: 'Heat gun and roller. The wall must be sound and dry.' }),
].map((entry, index) => ({ id: demoId('film', index + 1), film: entry }));
