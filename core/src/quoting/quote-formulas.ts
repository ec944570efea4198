import type { Formula, Source } from '../quantity';

const LAWS: Source = {
  kind: 'from memory',
  text: 'moments of log-normal laws with a shared factor; one law for their sum: Fenton and Wilkinson 1960 (from memory)',
};
const COSTS: Source = {
  kind: 'our guess',
  text: 'a sum; times of work and chances are our guesses until the shop has its own',
};

export const QUOTE_FORMULAS = {
  minutes: {
    id: 'quoting.minutes',
    word: 'people-minutes, on average',
    says: 't̄ = e^(s²/2) · Σ e^(σ²/2) · t',
    unit: 'min',
    source: LAWS,
    inputs: {
      sum_min: { word: 'each on average, together', unit: 'min' },
      shared: { word: 'deviation shared by all of the job', unit: 'log' },
    },
    of: ({ sum_min, shared }) => Math.exp(shared ** 2 / 2) * sum_min,
  } satisfies Formula<{ sum_min: number; shared: number }>,
  mean: {
    id: 'quoting.meanCost',
    word: 'cost on average',
    says: 'K = F + r · t̄ + R',
    unit: 'money',
    source: COSTS,
    inputs: {
      fixed: { word: 'film and trips', unit: 'money' },
      rate: { word: 'a minute', unit: 'money' },
      minutes: { word: 'people-minutes', unit: 'min' },
      chances: { word: 'redo and visits, on average', unit: 'money' },
    },
    of: ({ fixed, rate, minutes, chances }) => fixed + rate * minutes + chances,
  } satisfies Formula<{ fixed: number; rate: number; minutes: number; chances: number }>,
  price: {
    id: 'quoting.price',
    word: 'price that keeps the margin',
    says: 'P = Q ÷ (1 − m)',
    unit: 'money',
    source: COSTS,
    inputs: {
      cost: { word: 'cost not exceeded with the chance left', unit: 'money' },
      margin: { word: 'margin of the price', unit: 'share' },
    },
    of: ({ cost, margin }) => cost / (1 - margin),
  } satisfies Formula<{ cost: number; margin: number }>,
  gross: {
    id: 'quoting.gross',
    word: 'with tax',
    says: 'B = P · (1 + u)',
    unit: 'money',
    source: {
      kind: 'our guess',
      text: 'tax as typed for this job; what the law asks is known by whoever keeps the books',
    },
    inputs: { net: { word: 'net', unit: 'money' }, tax: { word: 'tax', unit: 'share' } },
    of: ({ net, tax }) => net * (1 + tax),
  } satisfies Formula<{ net: number; tax: number }>,
} as const;
