/**
 * What a blade leaves under film, three idealisations, SI. They agree on direction alone: never shown as a
 * thickness.
 * @source model 1.1: Reynolds' squeeze film, closed form
 */
export const leftByStrip = ({
  contact,
  viscosity,
  speed,
  load,
}: {
  readonly contact: number;
  readonly viscosity: number;
  readonly speed: number;
  readonly load: number;
}): number => contact * Math.sqrt((viscosity * speed) / (2 * load));

/**
 * Water under film through passes: as it was laid, what a pass leaves by itself, and the share that leaks
 * past the blade.
 */
interface Passes {
  readonly laid: number;
  readonly left: number;
  readonly leak: number;
}

/** What is left however often one goes over it: it dries, it is not pressed out. */
export const floorOf = ({ left, leak }: Pick<Passes, 'left' | 'leak'>): number => left / (1 - leak);

/** Left after so many passes: each leaves the least of what there was and h_p + κ·h. */
export function leftAfter(passes: Passes, count: number): number {
  const { laid, leak } = passes;
  const floor = floorOf(passes);
  return laid <= floor ? laid : floor + (laid - floor) * leak ** count;
}

/** Passes until no more than a goal is left; Infinity: it stays under what a pass can do. */
export function passesUntil(passes: Passes, goal: number): number {
  const floor = floorOf(passes);
  if (passes.laid <= goal) return 0;
  if (goal <= floor) return Infinity;
  let count = 0;
  while (leftAfter(passes, count) > goal) count += 1;
  return count;
}
