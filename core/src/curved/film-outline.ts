import { type FilmLine, fibreAt } from './fibres';
import { throughX } from './surplus-map';

/** A place, mm to the right and upwards: from the middle of the glass, or of the film's line. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

/**
 * Where places of the glass lie on film that is still flat: along its straight line, and square to it.
 * What is cut out along them fits the glass once its surplus is shrunk away.
 * @source the film's own coordinates on geodesics (model A1, closed form)
 */
export function onFlatFilm(line: FilmLine, places: readonly Place[]): readonly Place[] {
  return places.map(({ x, y }) => {
    const u = throughX(line, y, x);
    const { length_mm, from } = fibreAt(line, u, y);
    return { x: u, y: y >= from.y ? length_mm : -length_mm };
  });
}

const BETWEEN_CORNERS = 8;

/** An outline with places between its corners, where film that is flat bends away from its sides. */
export function withPlacesBetween(corners: readonly Place[]): readonly Place[] {
  return corners.flatMap((from, index) => {
    const to = corners[(index + 1) % corners.length] ?? from;
    return Array.from({ length: BETWEEN_CORNERS }, (_, part) => ({
      x: from.x + ((to.x - from.x) * part) / BETWEEN_CORNERS,
      y: from.y + ((to.y - from.y) * part) / BETWEEN_CORNERS,
    }));
  });
}
