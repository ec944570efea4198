/** Adrian's factor for being seen by nearly everybody. */
const NEARLY_SURELY = 2.6;
/** One minute of arc, radians. */
const ARC_MINUTE = Math.PI / 180 / 60;

/**
 * The smallest angle under which a thing of a contrast is seen, minutes of arc; undefined: it is never seen.
 * @param luminance of what is behind it, cd/m², from 0.6
 * @param contrast difference of luminance over that of what is behind
 * @source Adrian 1989, threshold for 99.9 % and luminances from 0.6 cd/m² (from memory)
 */
export function leastAngle(luminance: number, contrast: number, factor = NEARLY_SURELY): number | undefined {
  const area = Math.log10(4.1925 * luminance ** 0.1556) + 0.1684 * luminance ** 0.5867;
  const basis = 0.05946 * luminance ** 0.466;
  const left = Math.sqrt((contrast * luminance) / factor) - basis;
  return left <= 0 ? undefined : area / left;
}

/** How large a thing under such an angle is at a distance, in the unit of the distance. */
export const sizeAt = (angle_min: number, distance: number): number => angle_min * ARC_MINUTE * distance;

/** A gap beside film: how much brighter it is than the film. */
export const gapContrast = (ofGlass: number, ofFilm: number): number => (ofGlass - ofFilm) / ofFilm;
