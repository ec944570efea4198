export {
  type BareGlass,
  type FilmElement,
  type LayerOptics,
  type StackOptics,
  atThickness,
  bareGlassOf,
  bareSurface,
  behind,
  filmElementOf,
  onTop,
  paneOf,
  stackOf,
} from './optics';
export {
  type Band,
  type ByBand,
  SOLAR_SHARES,
  SOLAR_SHARES_SOURCE,
  byBand,
  nearInfraredOf,
  solarOf,
} from './bands';
export { type GasMix, type GasName, gasAt } from './gas';
export {
  type HeatBalance,
  type HeatConditions,
  type HeatGap,
  type HeatPane,
  heatBalance,
  solarHeatGain,
  uValue,
} from './heat-balance';
export { MOST_STEP_S, PanesThroughTime, type PaneMoment } from './panes-through-time';
export {
  COATING_SOURCE,
  type CoatingKind,
  GLASS_SOURCE,
  type GlassTint,
  bareGlass,
  coatingElement,
  glassRows,
} from './glass-table';
export {
  type FilmOptics,
  type FilmReading,
  type SheetQuestion,
  questionOfSheet,
  USUAL_FILM_EMISSIVITY,
  elementOfFilm,
  filmOpticsOf,
  solarOfFilm,
} from './film-optics';
export { DIFFUSE_AS_DEG, bareAtAngle, coatedAtAngle } from './angle';
export {
  MOST_PANES,
  type MakeUp,
  type MakeUpOptics,
  type MakeUpPane,
  heatGapsOf,
  heatPanesOf,
  opticsAtAngles,
  opticsOfMakeUp,
} from './make-up';
export {
  RATING_FORMULAS,
  type Ratings,
  SUMMER_RATING,
  THREE_BAND_ERROR,
  WINTER_RATING,
  keptOfBare,
  ratingsOf,
} from './ratings';
export { type EnGap, enSolarGain, enUValue } from './en-ratings';
export { type SpectralPoint, bandsOfSpectrum, solarOfSpectrum } from './spectrum';
export { type GlazingAnswer, type GlazingRequest, reckonGlazing } from './reckon-glazing';
export { filmOfSheet } from './film-of-sheet';
export { GLASS_WEIGHT, glassWeight } from './glass-weight';
