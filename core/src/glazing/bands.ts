import type { Source } from '../quantity';

export type Band = 'uv' | 'visible' | 'nearInfrared';
export type ByBand<Value> = Readonly<Record<Band, Value>>;

/** Shares of solar energy by band: 300–380, 380–780, 780–2500 nm. */
export const SOLAR_SHARES: ByBand<number> = { uv: 0.03, visible: 0.54, nearInfrared: 0.43 };
export const SOLAR_SHARES_SOURCE: Source = {
  kind: 'from memory',
  text: 'AM1.5 global, within 0.02 (from memory)',
};

/** The solar figure of three bands. */
export function solarOf({ uv, visible, nearInfrared }: ByBand<number>): number {
  return SOLAR_SHARES.uv * uv + SOLAR_SHARES.visible * visible + SOLAR_SHARES.nearInfrared * nearInfrared;
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
