import { type Film, MATERIAL_NOT_STATED } from '@yellow-pane/core/job';

export const NM_PER_MM = 1e6;
export const widths = (...mm: readonly number[]): readonly number[] => mm.map((width) => width * NM_PER_MM);
const ON_3_MM = 'clear float, 3 mm';

/**
 * On 3 mm clear float, film inside: ultraviolet through; light through, back to the room, back outside; sun
 * through, back outside, back to the room; emissivity; haze.
 */
type Figures = readonly [
  uv: number,
  light: number,
  backRoom: number,
  backOutside: number,
  sun: number,
  sunBack: number,
  sunBackRoom: number,
  emissivity: number,
  haze: number,
];

const CONSTRUCTION_OF: Readonly<Record<Film['family'], Film['construction']>> = {
  solar: 'polyester',
  'low emissivity': 'metallised',
  'vehicle tint': 'polyester',
  frosted: 'polyester',
  security: 'polyester',
  decor: 'polymeric',
  'textured wall': 'cast',
  wrap: 'cast',
  'exterior protection': 'polyurethane',
};

export function film(
  name: string,
  family: Film['family'],
  use: string,
  thickness_um: number,
  figures: Figures | null,
  widths_nm: readonly number[],
  more: Partial<Film> = {},
): Film {
  const [uv, light, backRoom, backOutside, sun, sunBack, sunBackRoom, emissivity, haze] = figures ?? [
    null,
    null,
    null,
    null,
    null,
    null,
    null,
    null,
    null,
  ];
  return {
    name,
    family,
    use,
    thickness_um,
    widths_nm,
    direction: 'none',
    referenceGlass: figures === null ? '' : ON_3_MM,
    uvTransmitted: uv,
    visibleTransmitted: light,
    visibleReflectedRoom: backRoom,
    visibleReflectedOutside: backOutside,
    solarTransmitted: sun,
    solarReflected: sunBack,
    solarReflectedRoom: sunBackRoom,
    emissivity,
    haze,
    coverage: null,
    opening_nm: null,
    repeat_nm: null,
    face: 'room side',
    laying: 'wet',
    claims: '',
    workMin_C: 5,
    workMax_C: 35,
    handling: 'Wet, slip solution, hard squeegee.',
    invented: true,
    ...MATERIAL_NOT_STATED,
    construction: CONSTRUCTION_OF[family],
    ...more,
  };
}

export const METAL: Partial<Film> = { construction: 'metallised' };
export const OUTSIDE: Partial<Film> = {
  face: 'outside',
  handling: 'Wet, outside: seal the edges. Shorter life than inside.',
  workMin_C: 8,
};
export const SOFT: Partial<Film> = {
  ...METAL,
  handling: 'Wet. Soft squeegee only: the coating scratches.',
};
export const FROSTY: Partial<Film> = {
  face: 'either',
  handling: 'Wet. Level it over the whole row before locking.',
};
export const STIFF: Partial<Film> = {
  construction: 'multi-ply security',
  handling: 'Stiff: two people. Film must reach the glass edge. Dries for weeks.',
  workMin_C: 8,
};
export const DECOR: Partial<Film> = {
  laying: 'dry',
  face: 'either',
  workMin_C: 15,
  workMax_C: 25,
  handling: 'Dry, primer on edges. Grain along the roll.',
};
export const WALL: Partial<Film> = {
  laying: 'dry with heat',
  face: 'either',
  workMin_C: 10,
  workMax_C: 30,
  handling: 'Heat gun and roller. The wall must be sound and dry.',
};
export const WRAP: Partial<Film> = {
  laying: 'dry with heat',
  face: 'either',
  workMin_C: 18,
  workMax_C: 28,
  handling: 'Cast: turns edges when warm. Post-heat wherever it was stretched.',
};
export const CAR: Partial<Film> = { handling: 'Wet. Shrinks along the roll. Local rules on darkness apply.' };
export const pattern = (coverage: number, opening_mm: number, repeat_mm: number): Partial<Film> => ({
  ...FROSTY,
  coverage,
  opening_nm: opening_mm * NM_PER_MM,
  repeat_nm: repeat_mm * NM_PER_MM,
});
