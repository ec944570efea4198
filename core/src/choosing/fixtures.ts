import {
  type Film,
  type GlassPane,
  MATERIAL_NOT_STATED,
  NEW_PANE,
  NEW_PLACE,
  NEW_SURFACE,
  NO_BRIEF,
  NO_SITE_FACTS,
} from '../job';
import type { SurfaceRows } from './question-of-rows';

const MM = 1e6;

/** A film as a sheet gives it, on 3 mm clear. */
export function aFilm(more: Partial<Film> = {}): Film {
  return {
    name: 'neutral',
    family: 'solar',
    use: '',
    thickness_um: 50,
    direction: 'none',
    referenceGlass: 'clear float, 3 mm',
    uvTransmitted: 0.01,
    visibleTransmitted: 0.5,
    visibleReflectedRoom: 0.08,
    visibleReflectedOutside: 0.09,
    solarTransmitted: 0.5,
    solarReflected: 0.1,
    solarReflectedRoom: 0.09,
    haze: 0.01,
    coverage: null,
    opening_nm: null,
    repeat_nm: null,
    emissivity: 0.84,
    face: 'room side',
    laying: 'wet',
    claims: '',
    workMin_C: 5,
    workMax_C: 35,
    handling: '',
    invented: true,
    ...MATERIAL_NOT_STATED,
    widths_nm: [1524 * MM],
    ...more,
  };
}

export const aPane = (more: Partial<GlassPane> = {}): GlassPane => ({
  ...NEW_PANE,
  unitId: 'u',
  position: 1,
  treatment: 'annealed',
  thickness_nm: 6 * MM,
  tint: 'clear',
  coating: 'none',
  gapAfter_nm: 16 * MM,
  gasAfter: 'air',
  ...more,
});

/** A south-west pane of double annealed glass under a roof edge, all noted. */
export function someRows(more: Partial<SurfaceRows> = {}): SurfaceRows {
  return {
    surface: { ...NEW_SURFACE, placeId: 'p', tag: 'A1', position: 1, unitId: 'u', condition: 'sound' },
    place: { ...NEW_PLACE, kind: 'facade', name: 'front', position: 1, bearing_deg: 225 },
    parents: [
      { ...NEW_PLACE, name: 'house', position: 2, latitude_deg: 46.62, longitude_deg: 9.74, altitude_m: 400 },
    ],
    unit: {
      name: 'double',
      glazing: 'double',
      frame: 'metal with thermal break',
      edge: 'gasket',
      edgeFinish: 'unseen',
      edgeDepth_nm: null,
    },
    panes: [aPane(), aPane({ position: 2, gapAfter_nm: null })],
    site: {
      ...NO_SITE_FACTS,
      filmFace: 'both',
      tilt_deg: 90,
      overhangDepth_nm: 1200 * MM,
      overhangAbove_nm: 400 * MM,
      blind: 'none',
      heatOutlet: 'none',
    },
    wall: undefined,
    brief: NO_BRIEF,
    films: [],
    width_mm: 1180,
    height_mm: 2140,
    area_m2: 2.52,
    ...more,
  };
}
