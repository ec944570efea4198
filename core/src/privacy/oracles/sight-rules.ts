/** Rules of sight and daylight that the model gives check values for. */

/** Smallest gap an eye tells from none. @source 1 arc minute, from memory */
const RESOLVED_RAD = 0.3e-3;

export function daylightWord(percent: number): 'well lit' | 'daylit' | 'lamps needed' {
  return percent >= 5 ? 'well lit' : percent >= 2 ? 'daylit' : 'lamps needed';
}

/**
 * Whether the clear openings of a pattern are seen as such from a distance.
 * @param gap_mm, distance_mm > 0
 */
export function isResolved(gap_mm: number, distance_mm: number): boolean {
  return gap_mm / distance_mm > RESOLVED_RAD;
}

/**
 * Share of light a body blocks behind a scattering film: what a shadow on frost looks like.
 * @param radius_mm of the body
 * @param behind_mm from the film
 * @param spread_deg standard deviation of the scattering
 * @source Gaussian blur of a disc, closed form
 */
export function shadowDepth(radius_mm: number, behind_mm: number, spread_deg: number): number {
  const blur = behind_mm * Math.tan((spread_deg * Math.PI) / 180);
  return blur <= 0 ? 1 : 1 - Math.exp(-(radius_mm ** 2) / (2 * blur ** 2));
}
