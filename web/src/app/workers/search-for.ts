/** Another seed is another search. It goes on while better ones are still found, but not for ever. */
export interface SearchTime {
  readonly seed: number;
  readonly least_ms: number;
  readonly most_ms: number;
}

interface Telling<Answer> {
  readonly onProgress: (share: number) => void;
  readonly onBetter: (answer: Answer) => void;
}

/** It goes on until so many times as long as it took to the last better answer. */
const PATIENCE = 2;
const TELL_EVERY_MS = 100;

/**
 * Follows a search in a worker for as long as asked. It yields the best answer so far at each step; the same
 * one again means that nothing better was found.
 */
export function searchFor<Answer>(
  steps: Iterator<Answer, Answer>,
  { least_ms, most_ms }: Omit<SearchTime, 'seed'>,
  { onProgress, onBetter }: Telling<Answer>,
  isBetter: (answer: Answer, than: Answer) => boolean = (answer, than) => answer !== than,
): Answer {
  const start = performance.now();
  let [told, until] = [start, least_ms];
  let best: Answer | undefined;
  onProgress(0);
  for (;;) {
    const { value, done } = steps.next();
    const now = performance.now();
    if (best === undefined || isBetter(value, best)) {
      best = value;
      until = Math.min(most_ms, Math.max(least_ms, PATIENCE * (now - start)));
      onBetter(value);
    }
    if (done === true) return value;
    if (now - told > TELL_EVERY_MS) {
      told = now;
      onProgress(Math.min(1, (now - start) / until));
    }
    if (now - start > until) return value;
  }
}
