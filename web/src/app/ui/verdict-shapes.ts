import type { Verdict } from '@yellow-pane/core/quantity';

export const VERDICT_TONES: Readonly<Record<Verdict, string>> = {
  go: 'text-go',
  'go with care': 'text-care',
  stop: 'text-stop',
  unknown: 'text-faint',
};
/** In a box of 24 × 24. */
export const VERDICT_SHAPES: Readonly<Record<Verdict, string>> = {
  go: 'M3 13l6 6L21 6',
  'go with care': 'M12 3l10 18H2zM12 10v5M12 17.5v1',
  stop: 'M8 2h8l6 6v8l-6 6H8l-6-6V8zM7 12h10',
  unknown: 'M4 4h16v16H4zM9 9.5a3 3 0 116 0c0 2-3 2-3 4M12 17v.5',
};
