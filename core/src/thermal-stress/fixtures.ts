import { sunOnSurface } from '../climate';
import type { FilmOptics, LayerOptics } from '../glazing';
import { designDays } from './design-days';
import type { GlassSituation } from './glass-situation';

const layer = (transmitted: number, reflectedFront: number, reflectedBack = reflectedFront): LayerOptics => ({
  transmitted,
  reflectedFront,
  reflectedBack,
});

/** A dyed film: dark and warm. */
export const DARK_FILM: FilmOptics = {
  referenceTint: 'clear',
  reference_mm: 3,
  measured: {
    uv: layer(0.01, 0.06),
    visible: layer(0.35, 0.08, 0.07),
    nearInfrared: layer(0.45, 0.07, 0.07),
  },
  emissivity: 0.84,
  haze: 0,
  coverage: 1,
};
export const LIGHT_FILM: FilmOptics = {
  ...DARK_FILM,
  measured: { uv: layer(0.02, 0.07), visible: layer(0.88, 0.09), nearInfrared: layer(0.75, 0.08) },
};
/** Keeps the light and throws the infrared back. */
export const SELECTIVE_FILM: FilmOptics = {
  ...DARK_FILM,
  measured: { uv: layer(0.01, 0.07), visible: layer(0.65, 0.12), nearInfrared: layer(0.2, 0.45, 0.5) },
};

const DAYS = designDays({ latitude_deg: 46.62, longitude_deg: 9.74, altitude_m: 0 });
const FACING = {
  bearing_deg: 225,
  tilt_deg: 90,
  skyline: [],
  shading: {
    width_mm: 1180,
    height_mm: 2140,
    overhangDepth_mm: 1200,
    overhangAbove_mm: 400,
    revealDepth_mm: 0,
  },
};
const PANE = { tint: 'clear', thickness_mm: 6 } as const;

/** Double clear annealed glass behind a roof edge, all known. */
export function aSituation(more: Partial<GlassSituation> = {}): GlassSituation {
  return {
    bare: { panes: [PANE, PANE], gaps: [{ width_mm: 16, gas: { air: 1 } }], films: [] },
    treatments: ['annealed', 'annealed'],
    frame: 'metal with thermal break',
    edgeFinish: 'seamed',
    edgeDepth_mm: 12,
    condition: 'sound',
    edge_m: 6.6,
    height_m: 2.14,
    circumstances: { area_m2: 2.5, blind: 'none', heatOutlet: 'none', tilt_deg: 90, altitude_m: 0 },
    isIndoors: false,
    isSunless: false,
    assumed: [],
    unknown: [],
    days: DAYS,
    suns: DAYS.map(({ path }) => sunOnSurface(path, FACING)),
    facing: FACING,
    assumedPattern: null,
    ...more,
  };
}
