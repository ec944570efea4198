import { school } from './school';

export const LOCK = school({
  asks: 'Locked with',
  options: [
    { value: 'T', reason: 'One stroke across the top, one down the middle: holds level and centre at once.' },
    {
      value: 'centre line',
      reason: 'One upright stroke down the middle: the fewest strokes for a narrow pane.',
    },
    { value: 'X', reason: 'Corner to corner: holds a wide pane against turning.' },
    { value: 'quarters', reason: 'Middle, then four quarters: for large panes where air collects.' },
    {
      value: 'upper corners first',
      reason: 'A felt edge, light, then firmer: the top cannot slip while the rest is looked at.',
    },
    { value: 'from the top middle', reason: 'Outwards and down: water has one way to go.' },
    { value: 'whole face', reason: 'The whole face at once, only the edges left: for small panes.' },
  ],
  pick: ({ isStiff, isOverhead, isWide, isLarge }) =>
    isStiff
      ? { value: 'T', because: 'thick film is locked with a T' }
      : isOverhead
        ? { value: 'from the top middle', because: 'overhead the middle holds the weight' }
        : isLarge && isWide
          ? { value: 'X', because: 'a wide sheet turns about one stroke' }
          : { value: 'T', because: 'level and centre at once' },
});

export const STROKE = school({
  asks: 'Squeegee',
  options: [
    {
      value: 'pull in the open, push at edges',
      reason: 'A pulled blade lies flat; a pushed one sees the edge.',
    },
    {
      value: 'pull the lock, push from the middle',
      reason: 'Pushing carries more weight where water is thick.',
    },
    { value: 'either', reason: 'What the hand is used to leaves fewer lines.' },
  ],
  pick: () => ({ value: 'pull in the open, push at edges', because: 'pulled rather than pushed' }),
});

export const LAST_PASS = school({
  asks: 'Last hard pass',
  options: [
    { value: 'misted again', reason: 'The tool slides; the film dries sooner and lasts longer.' },
    { value: 'no new water', reason: 'Paper round the tool takes what comes: no water is brought back.' },
  ],
  pick: () => ({ value: 'misted again', because: 'a tool runs on wet film only' }),
});
