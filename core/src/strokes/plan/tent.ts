/** Film as a plate: bending stiffness, N·m. */
export const plateStiffness = ({
  modulus,
  thickness,
  poisson,
}: {
  readonly modulus: number;
  readonly thickness: number;
  readonly poisson: number;
}): number => (modulus * thickness ** 3) / (12 * (1 - poisson * poisson));

/**
 * How far film stands off round a grain, m: stiffness in N·m, height of the grain in m, bond in J/m².
 * @source model 1.3: clamped plate under a point load, closed form; too much where the grain is over twice as
 * high as the film
 */
export const tentRadius = (stiffness: number, grain: number, bond: number): number =>
  ((8 * stiffness * grain * grain) / bond) ** (1 / 4);
