/** Half of the angle in which an eye sees marks: our guess (model 4.4). */
export const GAZE_HALF_DEG = 5;
/** How far strips lap, as a share of a strip: model 4.4. */
const LAP_SHARE = 0.2;
/** Share of a strip in which an unplanned look finds: our guess (model 4.4). */
const SWEPT_SHARE = 0.3;

/** How wide a strip is looked at from a distance, in the unit of the distance. */
export const gazeStrip = (distance: number, half_deg = GAZE_HALF_DEG): number =>
  2 * distance * Math.tan((half_deg * Math.PI) / 180);

/** Strips over a height, lapping by a fifth; one where it is no higher than a strip. */
export function stripsOver(height: number, strip: number, lap = LAP_SHARE): number {
  if (height <= strip) return 1;
  return Math.ceil((height - lap * strip) / ((1 - lap) * strip) - 1e-9);
}

/** How much of the marks an unplanned search finds. @source Koopman 1946 (from memory) */
export const foundBySearch = ({
  width,
  speed,
  time,
  area,
}: {
  readonly width: number;
  readonly speed: number;
  readonly time: number;
  readonly area: number;
}): number => 1 - Math.exp((-width * speed * time) / area);

/** How wide an unplanned look sweeps from a distance. */
export const sweepWidth = (distance: number): number => gazeStrip(distance) * SWEPT_SHARE;
