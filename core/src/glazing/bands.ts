export type Band = 'uv' | 'visible' | 'nearInfrared';
export type ByBand<Value> = Readonly<Record<Band, Value>>;

/**
 * Shares of solar energy by band: 300–380, 380–780, 780–2500 nm.
 * @source AM1.5 global, within 0.02 (from memory)
 */
export const SOLAR_SHARES: ByBand<number> = { uv: 0.03, visible: 0.54, nearInfrared: 0.43 };

/** The solar figure of three bands. */
export function solarOf({ uv, visible, nearInfrared }: ByBand<number>): number {
  return SOLAR_SHARES.uv * uv + SOLAR_SHARES.visible * visible + SOLAR_SHARES.nearInfrared * nearInfrared;
}

/** What the weights of the bands may be off by: the direct sun has less light than the global. */
const BAND_SLACK = 0.03;

/**
 * The least and the most of the sun a film can keep that keeps so much of the light: all infrared stopped, or
 * all let through.
 * @param uv share kept; null: not known, none to all
 */
export function solarBounds(
  visible: number,
  uv: number | null,
): { readonly least: number; readonly most: number } {
  return {
    least: Math.max(0, solarOf({ uv: uv ?? 0, visible, nearInfrared: 0 }) - BAND_SLACK),
    most: Math.min(1, solarOf({ uv: uv ?? 1, visible, nearInfrared: 1 }) + BAND_SLACK),
  };
}

/** Near infrared from a sheet that gives solar and visible figures, kept within 0 to 1. */
export function nearInfraredOf(solar: number, visible: number, uv: number): number {
  return Math.min(
    1,
    Math.max(0, (solar - SOLAR_SHARES.visible * visible - SOLAR_SHARES.uv * uv) / SOLAR_SHARES.nearInfrared),
  );
}

export function byBand<Value>(make: (band: Band) => Value): ByBand<Value> {
  return { uv: make('uv'), visible: make('visible'), nearInfrared: make('nearInfrared') };
}
