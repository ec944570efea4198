/** Reasons by one press; common ones of the trade, in our words. */
export const FIT_REASONS = {
  gate: ['Put right as it lies', 'Trim will hide it', 'The customer accepts it', 'Told to go on'],
  danger: ['Tested: nothing found', 'A specialist has seen it', 'Not at this place', 'Told to go on'],
  early: ['Dry all over, felt', 'A fan or heater was on it', 'Thin coat, warm room', 'Told to go on'],
  skip: ['Not needed here', 'Done before', 'No tool for it', 'Told to leave it out'],
} as const;
