import { type QuoteAsked, type QuoteCase, type QuoteReckoned, reckonQuote } from '@yellow-pane/core/quoting';
import { exposeWork } from './core-errors';

const api = {
  quote(own: QuoteCase, asked: QuoteAsked): QuoteReckoned {
    return reckonQuote(own, asked);
  },
};
export type QuoteWorkerApi = typeof api;

exposeWork(api);
