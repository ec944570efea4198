import { CoreError } from '../quantity';
import type { ByBand } from './bands';
import type { LayerOptics } from './optics';
import { LIGHT_WEIGHTS, SUN_WEIGHTS } from './spectral-weights';

/**
 * One line of a measured spectrum: shares at a wavelength, reflected through the glass and from the film's
 * side.
 */
export interface SpectralPoint extends LayerOptics {
  readonly nm: number;
}

const FIRST_NM = 300;
const LAST_NM = 2500;
/** Wider holes than this are not bridged, by band: light changes faster than infrared. */
const WIDEST_NM: ByBand<number> = { uv: 20, visible: 20, nearInfrared: 100 };
const UV_TO_NM = 380;
const NIR_FROM_NM = 780;

/**
 * A spectrum weighted into the three bands: ultraviolet and near infrared by the sun's energy, light by
 * daylight and the eye.
 * @param points in any order, shares 0..1 at 300 to 2500 nm
 * @throws CoreError GLAZING_SPECTRUM: a share out of range, a gap wider than 20 nm (100 nm in the infrared),
 * or an end missing
 * @source ISO 9050 and EN 410 integrate so; weights of CIE D65 with the 1931 observer and ASTM G173 global
 */
export function bandsOfSpectrum(points: readonly SpectralPoint[]): ByBand<LayerOptics> {
  const sorted = [...points].sort((a, b) => a.nm - b.nm);
  checkSpectrum(sorted);
  const sun = (from: number, to: number): LayerOptics =>
    weighted(
      sorted,
      SUN_WEIGHTS.filter(([low, high]) => low >= from && high <= to).map(
        ([low, high, share]) => [(low + high) / 2, share] as const,
      ),
    );
  return {
    uv: sun(FIRST_NM, UV_TO_NM),
    visible: weighted(sorted, LIGHT_WEIGHTS),
    nearInfrared: sun(NIR_FROM_NM, LAST_NM),
  };
}

/** The solar figure of a spectrum, over all of it. @throws CoreError GLAZING_SPECTRUM */
export function solarOfSpectrum(points: readonly SpectralPoint[]): LayerOptics {
  const sorted = [...points].sort((a, b) => a.nm - b.nm);
  checkSpectrum(sorted);
  return weighted(
    sorted,
    SUN_WEIGHTS.map(([low, high, share]) => [(low + high) / 2, share] as const),
  );
}

function weighted(
  sorted: readonly SpectralPoint[],
  weights: readonly (readonly [nm: number, share: number])[],
): LayerOptics {
  const total = weights.reduce((sum, [, share]) => sum + share, 0);
  const of = (key: keyof LayerOptics): number =>
    weights.reduce((sum, [nm, share]) => sum + share * at(sorted, nm, key), 0) / total;
  return {
    transmitted: of('transmitted'),
    reflectedFront: of('reflectedFront'),
    reflectedBack: of('reflectedBack'),
  };
}

function at(sorted: readonly SpectralPoint[], nm: number, key: keyof LayerOptics): number {
  const after = sorted.findIndex((point) => point.nm >= nm);
  const [a, b] = [sorted[after - 1], sorted[after < 0 ? sorted.length - 1 : after]];
  if (a === undefined || b === undefined || b.nm <= nm) return b?.[key] ?? 0;
  return a[key] + ((b[key] - a[key]) * (nm - a.nm)) / (b.nm - a.nm);
}

function checkSpectrum(sorted: readonly SpectralPoint[]): void {
  const refuse = (expected: string, got: string): never => {
    throw new CoreError('GLAZING_SPECTRUM', { path: 'spectrum', expected, got });
  };
  const [first, last] = [sorted[0], sorted.at(-1)];
  if (first === undefined || last === undefined)
    return refuse('lines of wavelength, transmitted, reflected', 'none');
  if (!(first.nm <= FIRST_NM + 5) || !(last.nm >= LAST_NM - 100))
    refuse(`${FIRST_NM} to ${LAST_NM} nm`, `${first.nm} to ${last.nm} nm`);
  sorted.forEach(({ nm, transmitted, reflectedFront, reflectedBack }, index) => {
    if (
      ![transmitted, reflectedFront, reflectedBack].every((share) => share >= -0.005 && share <= 1.005) ||
      !(transmitted + Math.max(reflectedFront, reflectedBack) <= 1.01)
    )
      refuse(
        'shares of 0 to 1, transmitted and reflected together at most 1',
        `${transmitted}, ${reflectedFront}, ${reflectedBack} at ${nm} nm`,
      );
    const next = sorted[index + 1];
    const widest =
      nm < UV_TO_NM ? WIDEST_NM.uv : nm < NIR_FROM_NM ? WIDEST_NM.visible : WIDEST_NM.nearInfrared;
    if (next !== undefined && next.nm - nm > widest)
      refuse(`a line at least every ${widest} nm here`, `nothing between ${nm} and ${next.nm} nm`);
  });
}
