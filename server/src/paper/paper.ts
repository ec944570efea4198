import { Refusal } from '../http/refusal';

/** The sheets people print on. */
export type Paper = 'A4' | 'LETTER';

export function readPaper(given: unknown): Paper {
  if (given === undefined || given === 'A4') return 'A4';
  if (given === 'letter') return 'LETTER';
  throw new Refusal('BODY_INVALID', {
    path: 'paper',
    expected: 'A4 or letter',
    got: JSON.stringify(given).slice(0, 40),
  });
}
