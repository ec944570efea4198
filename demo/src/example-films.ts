import type { Film } from '@yellow-pane/core/job';
import { demoId } from './demo-id';

const NM_PER_MM = 1e6;
const widths = (...mm: readonly number[]): readonly number[] => mm.map((width) => width * NM_PER_MM);
const ON_3_MM = 'clear float, 3 mm';

/** On 3 mm clear float, film inside: ultraviolet through; light through, back to the room, back outside; sun through, back outside, back to the room; emissivity; haze. */
type Figures = readonly [uv: number, light: number, backRoom: number, backOutside: number, sun: number, sunBack: number, sunBackRoom: number, emissivity: number, haze: number];

function film(name: string, family: Film['family'], use: string, thickness_um: number, figures: Figures | null, widths_nm: readonly number[], more: Partial<Film> = {}): Film {
  const [uv, light, backRoom, backOutside, sun, sunBack, sunBackRoom, emissivity, haze] = figures ?? [null, null, null, null, null, null, null, null, null];
  return {
    name, family, use, thickness_um, widths_nm, direction: 'none', referenceGlass: figures === null ? '' : ON_3_MM,
    uvTransmitted: uv, visibleTransmitted: light, visibleReflectedRoom: backRoom, visibleReflectedOutside: backOutside, solarTransmitted: sun, solarReflected: sunBack, solarReflectedRoom: sunBackRoom, emissivity, haze,
    coverage: null, opening_nm: null, repeat_nm: null, face: 'room side', laying: 'wet', claims: '', workMin_C: 5, workMax_C: 35, handling: 'Wet, slip solution, hard squeegee.', invented: true, ...more,
  };
}

const OUTSIDE: Partial<Film> = { face: 'outside', handling: 'Wet, outside: seal the edges. Shorter life than inside.', workMin_C: 8 };
const SOFT: Partial<Film> = { handling: 'Wet. Soft squeegee only: the coating scratches.' };
const FROSTY: Partial<Film> = { face: 'either', handling: 'Wet. Level it over the whole row before locking.' };
const STIFF: Partial<Film> = { handling: 'Stiff: two people. Film must reach the glass edge. Dries for weeks.', workMin_C: 8 };
const DECOR: Partial<Film> = { laying: 'dry', face: 'either', workMin_C: 15, workMax_C: 25, handling: 'Dry, primer on edges. Grain along the roll.' };
const WALL: Partial<Film> = { laying: 'dry with heat', face: 'either', workMin_C: 10, workMax_C: 30, handling: 'Heat gun and roller. The wall must be sound and dry.' };
const WRAP: Partial<Film> = { laying: 'dry with heat', face: 'either', workMin_C: 18, workMax_C: 28, handling: 'Cast: turns edges when warm. Post-heat wherever it was stretched.' };
const CAR: Partial<Film> = { handling: 'Wet. Shrinks along the roll. Local rules on darkness apply.' };
const pattern = (coverage: number, opening_mm: number, repeat_mm: number): Partial<Film> => ({ ...FROSTY, coverage, opening_nm: opening_mm * NM_PER_MM, repeat_nm: repeat_mm * NM_PER_MM });

const FILMS: readonly Film[] = [
  film('neutral 20', 'solar', 'Strong glare and heat, dark from both sides.', 45, [0.01, 0.2, 0.09, 0.1, 0.27, 0.12, 0.1, 0.84, 0.01], widths(914, 1220, 1524)),
  film('neutral 35', 'solar', 'Less heat and glare, view kept.', 45, [0.01, 0.35, 0.08, 0.09, 0.4, 0.1, 0.09, 0.84, 0.01], widths(914, 1220, 1524, 1830)),
  film('neutral 50', 'solar', 'A little less heat, hardly seen.', 45, [0.01, 0.5, 0.08, 0.09, 0.52, 0.09, 0.08, 0.84, 0.01], widths(914, 1524, 1830)),
  film('silver 20', 'solar', 'Most heat thrown back, mirror by day.', 50, [0.01, 0.18, 0.55, 0.56, 0.15, 0.52, 0.55, 0.75, 0.01], widths(1220, 1524)),
  film('clear select 70', 'solar', 'Heat off, light kept: for glass that must look bare.', 60, [0.01, 0.7, 0.1, 0.1, 0.45, 0.25, 0.26, 0.8, 0.01], widths(1524, 1830)),
  film('warm room 60', 'low emissivity', 'Keeps room heat in winter: low emissivity on the room side.', 55, [0.01, 0.57, 0.13, 0.15, 0.37, 0.31, 0.34, 0.12, 0.01], widths(1524), SOFT),
  film('frost 70', 'frosted', 'Privacy with light, even frost.', 80, [0.05, 0.68, 0.12, 0.11, 0.62, 0.12, 0.12, 0.85, 0.92], widths(1220, 1524), FROSTY),
  film('frost stripes 12', 'frosted', 'Frosted stripes with clear ones of 12 mm between, along the roll.', 80, [0.05, 0.68, 0.12, 0.11, 0.62, 0.12, 0.12, 0.85, 0.92], widths(1220), { ...pattern(0.5, 12, 24), direction: 'along the roll' }),
  film('frost reed', 'frosted', 'Reed pattern with a top and a bottom.', 90, [0.08, 0.7, 0.11, 0.11, 0.64, 0.12, 0.11, 0.85, 0.8], widths(1220), { ...pattern(0.85, 4, 27), direction: 'one way' }),
  film('hold clear 100', 'security', 'Holds broken glass together.', 100, [0.02, 0.88, 0.09, 0.09, 0.81, 0.08, 0.08, 0.85, 0.01], widths(1524, 1830), { handling: 'Wet, plenty of slip, hard squeegee in two passes.' }),
  film('hold clear 200', 'security', 'Delays a break-in where the system is tested.', 200, [0.02, 0.87, 0.09, 0.09, 0.79, 0.08, 0.08, 0.85, 0.02], widths(1524), { ...STIFF, claims: 'P2A on 4 mm float, edge fixed' }),
  film('oak grain', 'decor', 'Wood look for doors, counters and panels.', 210, null, widths(1220), { ...DECOR, direction: 'along the roll', repeat_nm: 1000 * NM_PER_MM }),
  film('plain stone', 'decor', 'Even stone look for counters.', 200, null, widths(1220), { ...DECOR, repeat_nm: 800 * NM_PER_MM }),
  film('block wall mural', 'textured wall', 'Printed picture for block, brick and stucco.', 100, null, widths(1370), { ...WALL, direction: 'one way' }),
  film('neutral 5', 'solar', 'Darkest neutral: glare off, hardly a view in.', 45, [0.005, 0.06, 0.08, 0.08, 0.17, 0.1, 0.09, 0.84, 0.01], widths(1524)),
  film('neutral 65', 'solar', 'Takes the edge off the light.', 42, [0.01, 0.64, 0.08, 0.09, 0.62, 0.08, 0.08, 0.84, 0.01], widths(1524, 1830)),
  film('silver 35', 'solar', 'Mirror by day, milder.', 50, [0.01, 0.33, 0.36, 0.37, 0.27, 0.38, 0.39, 0.78, 0.01], widths(1220, 1524)),
  film('silver 50', 'solar', 'Slight mirror, much heat off.', 50, [0.01, 0.48, 0.22, 0.24, 0.39, 0.28, 0.29, 0.8, 0.01], widths(1524)),
  film('twin 25', 'solar', 'Mirror outside, mild inside: a view out at dusk.', 55, [0.01, 0.25, 0.14, 0.36, 0.22, 0.38, 0.2, 0.82, 0.01], widths(1524)),
  film('bronze 30', 'solar', 'Warm tone, thrown back sun.', 50, [0.01, 0.29, 0.2, 0.24, 0.26, 0.3, 0.26, 0.8, 0.01], widths(1524)),
  film('clear select 50', 'solar', 'Half the light, most of the infrared off.', 60, [0.005, 0.52, 0.09, 0.1, 0.31, 0.3, 0.31, 0.8, 0.01], widths(1524, 1830)),
  film('clear select 80', 'solar', 'Hardly seen, some infrared off.', 60, [0.01, 0.78, 0.09, 0.09, 0.55, 0.18, 0.19, 0.82, 0.01], widths(1524)),
  film('absorb 70', 'solar', 'Clear ceramic that soaks the infrared up.', 50, [0.01, 0.69, 0.08, 0.08, 0.44, 0.07, 0.07, 0.84, 0.01], widths(1524)),
  film('absorb 40', 'solar', 'Ceramic, no mirror, warm glass.', 50, [0.005, 0.4, 0.07, 0.07, 0.3, 0.07, 0.07, 0.84, 0.01], widths(1524)),
  film('warm room 35', 'low emissivity', 'Sun off in summer, room heat kept in winter.', 55, [0.01, 0.35, 0.22, 0.2, 0.22, 0.34, 0.45, 0.08, 0.01], widths(1524), SOFT),
  film('warm room 70', 'low emissivity', 'Room heat kept, light kept.', 55, [0.01, 0.7, 0.11, 0.13, 0.5, 0.25, 0.29, 0.2, 0.01], widths(1524), SOFT),
  film('frost 40', 'frosted', 'Denser frost: shapes gone.', 90, [0.02, 0.42, 0.3, 0.27, 0.41, 0.25, 0.28, 0.85, 0.96], widths(1220, 1524), FROSTY),
  film('frost 85', 'frosted', 'Breath of frost.', 70, [0.08, 0.82, 0.1, 0.09, 0.75, 0.09, 0.09, 0.85, 0.7], widths(1524), FROSTY),
  film('white out', 'frosted', 'Solid white: no sight, even light.', 100, [0.005, 0.2, 0.58, 0.52, 0.2, 0.46, 0.54, 0.85, 0.98], widths(1524), FROSTY),
  film('frost dots 6', 'frosted', 'Frosted ground with clear dots of 6 mm.', 80, [0.05, 0.62, 0.2, 0.2, 0.58, 0.19, 0.19, 0.85, 0.94], widths(1220), pattern(0.8, 6, 12)),
  film('frost squares 40', 'frosted', 'Frosted squares, clear lines of 8 mm.', 80, [0.05, 0.68, 0.12, 0.11, 0.62, 0.12, 0.12, 0.85, 0.92], widths(1220), pattern(0.69, 8, 48)),
  film('frost fade', 'frosted', 'Frost below, clear above.', 80, [0.05, 0.68, 0.12, 0.11, 0.62, 0.12, 0.12, 0.85, 0.9], widths(1524), { ...pattern(0.4, 900, 1500), direction: 'one way' }),
  film('hold clear 50', 'security', 'Against splinters.', 50, [0.02, 0.88, 0.09, 0.09, 0.81, 0.08, 0.08, 0.85, 0.01], widths(1524, 1830)),
  film('hold clear 300', 'security', 'Thickest: slows an axe where the system is tested.', 300, [0.02, 0.86, 0.09, 0.09, 0.77, 0.08, 0.08, 0.85, 0.02], widths(1524), { ...STIFF, claims: 'P3A on 6 mm float, edge fixed' }),
  film('hold neutral 150', 'security', 'Holds and shades.', 150, [0.01, 0.36, 0.08, 0.09, 0.4, 0.1, 0.09, 0.85, 0.02], widths(1524), STIFF),
  film('outside silver 20', 'solar', 'Exterior grade: sun thrown back before the glass.', 60, [0.01, 0.18, 0.56, 0.5, 0.15, 0.46, 0.58, 0.8, 0.01], widths(1524), OUTSIDE),
  film('outside select 60', 'solar', 'Exterior grade: light kept, infrared thrown back before the glass.', 75, [0.01, 0.62, 0.12, 0.11, 0.38, 0.3, 0.44, 0.84, 0.01], widths(1524, 1830), OUTSIDE),
  film('outside neutral 35', 'solar', 'Exterior grade: dark, no mirror.', 60, [0.01, 0.35, 0.08, 0.08, 0.36, 0.12, 0.16, 0.84, 0.01], widths(1524), OUTSIDE),
  film('ash grain', 'decor', 'Pale wood look.', 210, null, widths(1220), { ...DECOR, direction: 'along the roll', repeat_nm: 1000 * NM_PER_MM }),
  film('walnut grain', 'decor', 'Dark wood look.', 210, null, widths(1220), { ...DECOR, direction: 'along the roll', repeat_nm: 1200 * NM_PER_MM }),
  film('slate', 'decor', 'Dark stone look.', 220, null, widths(1220), { ...DECOR, repeat_nm: 900 * NM_PER_MM }),
  film('plain chalk', 'decor', 'Plain colour, off-white, matt.', 180, null, widths(1220), DECOR),
  film('plain moss', 'decor', 'Plain colour, dark green, matt.', 180, null, widths(1220), DECOR),
  film('wall stripe', 'textured wall', 'Plain colour for stripes on block and stucco.', 90, null, widths(1370), WALL),
  film('cast print gloss', 'wrap', 'Cast, printed, laminated: turns edges and curves.', 110, null, widths(1372), WRAP),
  film('cast matt', 'wrap', 'Cast, plain colour, matt.', 100, null, widths(1524), WRAP),
  film('car 15', 'vehicle tint', 'Dark privacy for rear glass.', 40, [0.005, 0.16, 0.07, 0.07, 0.24, 0.09, 0.08, 0.84, 0.01], widths(508, 914, 1524), CAR),
  film('car 35', 'vehicle tint', 'Middling.', 40, [0.005, 0.36, 0.07, 0.08, 0.38, 0.09, 0.08, 0.84, 0.01], widths(508, 914, 1524), CAR),
  film('car clear 75', 'vehicle tint', 'Heat off, clear.', 45, [0.005, 0.75, 0.08, 0.08, 0.5, 0.15, 0.15, 0.84, 0.01], widths(914, 1524), CAR),
  film('screen guard 200', 'exterior protection', 'Clear, takes stone and weather on curved glass.', 200, [0.03, 0.87, 0.09, 0.09, 0.79, 0.08, 0.08, 0.88, 0.02], widths(1220), { ...OUTSIDE, handling: 'Thick: shrinks only when soft through. Largest middle fold first.' }),
];

/** Invented films for the demo and for trying things out: no such products exist. Figures are plausible, not measured. */
export const EXAMPLE_FILMS: readonly { readonly id: string; readonly film: Film }[] = FILMS.map((entry, index) => ({ id: demoId('film', index + 1), film: entry }));
