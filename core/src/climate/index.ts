export { MOST_TURN_DEG, type SeenBearing, type SeenEnd, bearingFromEnd } from './bearing-from-end';
export { MONTHS, MONTH_DAYS, averageHour, refuseClimate } from './climate-year';
export { type ClearSkyDepths, type SunOnSurface, USUAL_DEPTHS, clearSky, clearSkyOn } from './clear-sky';
export { type Facing, type SunMoment, type SunPath, sunOnSurface, sunPath } from './day-of-sun';
export { DEW_POINT, VAPOUR_SOURCE, dewOn, isDamp, saturation_Pa } from './dew-point';
export {
  type Fin,
  type Shading,
  type Shadow,
  type Skyline,
  litOf,
  shadowOn,
  skylineAt,
  skylineOf,
} from './shade';
export { type SunTrack, sunTrack } from './sun-track';
export { type SunDisc, type TimeSpan, bandOfEnd, directSun } from './sun-windows';
export {
  DISC_RADIUS_DEG,
  type PlaceOnEarth,
  type SunPosition,
  cosIncidence,
  refraction_deg,
  sunPosition,
} from './sun-position';
export { type WeatherHour, type WeatherMoment, refuseWeather, weatherAt } from './weather';
