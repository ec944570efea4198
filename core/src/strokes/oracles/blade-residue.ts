/** Two other idealisations of what a blade leaves: all three must agree on direction. */

/** @source Herrebrugh 1968, isoviscous-elastic line contact, from memory */
export const leftBySoftEdge = ({
  radius,
  viscosity,
  speed,
  load,
  stiffness,
}: {
  readonly radius: number;
  readonly viscosity: number;
  readonly speed: number;
  readonly load: number;
  readonly stiffness: number;
}): number =>
  3.1 * radius * ((viscosity * speed) / (stiffness * radius)) ** 0.6 * (load / (stiffness * radius)) ** -0.2;

/** @source Bretherton 1961, receding meniscus, from memory */
export const leftByMeniscus = ({
  radius,
  viscosity,
  speed,
  tension,
}: {
  readonly radius: number;
  readonly viscosity: number;
  readonly speed: number;
  readonly tension: number;
}): number => 1.34 * radius * ((viscosity * speed) / tension) ** (2 / 3);
