/** Causes that can each make a defect by themselves, and a leak of those nobody thought of. */
export interface NoisyOr {
  readonly chances: readonly number[];
  readonly leak: number;
}

const noneFires = ({ chances, leak }: NoisyOr): number =>
  (1 - leak) * chances.reduce((left, chance) => left * (1 - chance), 1);

/** Chance of the defect. @source noisy-or (closed form) */
export const defectChance = (causes: NoisyOr): number => 1 - noneFires(causes);

/** Chance that more than one fired, given the defect: over 0.3 it is probably two causes together. */
export function moreThanOne(causes: NoisyOr): number {
  const none = noneFires(causes);
  const one = [...causes.chances, causes.leak].reduce((sum, chance) => sum + chance / (1 - chance), 0) * none;
  return (defectChance(causes) - one) / defectChance(causes);
}
