import { parentPort } from 'node:worker_threads';
import { standsOfClass, standsOfOrder } from './cutting-searches';
import { standOfDay } from './day-searches';

/** A search that a thread of its own makes, by name, so that it can be told over a port. */
const SEARCHES = { standsOfClass, standsOfOrder, standOfDay } as const;

export type Searches = typeof SEARCHES;

parentPort?.on(
  'message',
  ({ name, asked }: { readonly name: keyof Searches; readonly asked: readonly never[] }) => {
    parentPort?.postMessage((SEARCHES[name] as (...own: readonly never[]) => unknown)(...asked));
  },
);
