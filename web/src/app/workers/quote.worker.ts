import {
  type QuoteAsked,
  type QuoteCase,
  type CalculatedQuote,
  calculateQuote,
} from '@yellow-pane/core/quoting';
import { exposeWork } from './core-errors';

const api = {
  quote(own: QuoteCase, asked: QuoteAsked): CalculatedQuote {
    return calculateQuote(own, asked);
  },
};
export type QuoteWorkerApi = typeof api;

exposeWork(api);
