import { type PlaceOnEarth, type SunPath, sunPath } from '../climate';

/** A clear day the glass must stand: outdoors swings from low to high, indoors stays. */
export interface DesignDay {
  readonly name: string;
  readonly path: SunPath;
  readonly low_C: number;
  readonly high_C: number;
  readonly indoor_C: number;
}

export interface DesignTemperatures {
  readonly cold: readonly [low_C: number, high_C: number];
  readonly spring: readonly [low_C: number, high_C: number];
  readonly hot: readonly [low_C: number, high_C: number];
  readonly indoor_C: number;
}

/**
 * Where the place's own are not known.
 * @source our guess: lowland of a temperate climate, less 6.5 K for each 1000 m (ISO 2533)
 */
export const USUAL_TEMPERATURES: DesignTemperatures = {
  cold: [-10, -1],
  spring: [-1, 12],
  hot: [17, 32],
  indoor_C: 20,
};
const LAPSE_K_PER_M = 0.0065;
const YEAR = 2026;

/**
 * Three clear days: the coldest, the equinox with its swing, the hottest. South of the equator the seasons
 * change places.
 */
export function designDays(
  place: PlaceOnEarth,
  temperatures: DesignTemperatures = USUAL_TEMPERATURES,
): readonly DesignDay[] {
  const isSouth = place.latitude_deg < 0;
  const cooler = LAPSE_K_PER_M * Math.max(0, place.altitude_m);
  const day = (name: string, month: number, [low, high]: readonly [number, number]): DesignDay => ({
    name,
    path: sunPath(place, YEAR, month, 21),
    low_C: low - cooler,
    high_C: high - cooler,
    indoor_C: temperatures.indoor_C,
  });
  return [
    day('clear cold day', isSouth ? 7 : 1, temperatures.cold),
    day('clear day in spring', isSouth ? 9 : 3, temperatures.spring),
    day('clear hot day', isSouth ? 1 : 7, temperatures.hot),
  ];
}

/** Outdoors at an hour of local solar time: coldest at 5, warmest at 15. */
export function outdoorAt({ low_C, high_C }: DesignDay, hour: number): number {
  const [middle, half] = [(low_C + high_C) / 2, (high_C - low_C) / 2];
  const warming = hour >= 5 && hour <= 15;
  const phase = warming ? (hour - 5) / 10 : ((hour - 15 + 24) % 24) / 14;
  return middle - half * Math.cos(Math.PI * (warming ? phase : 1 - phase));
}
