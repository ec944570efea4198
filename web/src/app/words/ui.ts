import type { Figure, Messages } from './messages';

export const uiWords = {
  relief: (times: number) => `Relief of the glass, heights ${times} times enlarged`,
  seenFromAbove: (times: Figure) => `Seen from above, heights ${times}× enlarged.`,
  outOfRange: (fact: string, least: number, most: number, unit: string, got: string) =>
    `${fact}: expected ${least} to ${most} ${unit}, got ${got}.`,
  notALength: (fact: string, got: string) =>
    `${fact}: expected a length up to 1 km, such as 350 or 2' 4", got ${got}.`,
  laysFilm: 'lays film',
  worksWithGun: 'works with the gun',
  bearing: 'Bearing',
  numberPad: 'Number pad',
  fractions: 'Fractions',
  rubOut: 'Backspace',
  next: 'Next',
  howSureUnknown: 'How sure: unknown.',
  source: (source: Figure) => `Source: ${source}.`,
  unknown: 'unknown',
  degrees: (bearing_deg: number) => `${bearing_deg} degrees`,
  signerName: 'Name of whoever signs',
  signHere: 'Sign here with a finger or a pen',
  sign: 'Sign',
  signAnew: 'Clear it',
  nameMissing: 'Enter the name first; the signature stays.',
  signatureEmpty: 'Nothing is drawn yet: sign in the box.',
} satisfies Messages;
