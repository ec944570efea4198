export { type ClearSkyDepths, type SunOnSurface, USUAL_DEPTHS, clearSky, clearSkyOn } from './clear-sky';
export { type Facing, type SunMoment, type SunPath, sunOnSurface, sunPath } from './day-of-sun';
export { DEW_POINT, dewOn, saturation_Pa } from './dew-point';
export { type Shading, type Shadow, shadowOn, skylineAt } from './shade';
export { DISC_RADIUS_DEG, type PlaceOnEarth, type SunPosition, cosIncidence, refraction_deg, sunPosition } from './sun-position';
