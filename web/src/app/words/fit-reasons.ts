import type { GateKey } from '@yellow-pane/core/fitting';

const SUN = ['Shaded by a cloth', 'Behind a cloud now', 'It has just left', 'Told to go on'];
const TEMPERATURES = ['Warmed since', 'It was read wrongly', 'The sheet allows it', 'Told to go on'];

/** Why something that is not right may go on all the same, by what it is. */
export const GATE_REASONS: Readonly<Partial<Record<GateKey, readonly string[]>>> = {
  sun: SUN,
  temperatures: TEMPERATURES,
};

/** Reasons by one press; common ones of the trade, in our words. */
export const FIT_REASONS = {
  gate: ['Put right as it lies', 'Trim will hide it', 'The customer accepts it', 'Told to go on'],
  danger: ['Tested: nothing found', 'A specialist has seen it', 'Not at this place', 'Told to go on'],
  early: ['Dry all over, felt', 'A fan or heater was on it', 'Thin coat, warm room', 'Told to go on'],
  skip: ['Not needed here', 'Done before', 'No tool for it', 'Told to leave it out'],
} as const;
