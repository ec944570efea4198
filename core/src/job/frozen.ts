import type { JobTable } from './row';

/** What was put on paper: these fields are never changed once the row is there. */
export const FROZEN_FIELDS: Readonly<Partial<Record<JobTable, readonly string[]>>> = {
  quote: ['number', 'swaps', 'paper'],
  arrival: ['found', 'signature', 'by'],
  handOver: ['asOf', 'panes', 'open', 'signature', 'by'],
  enquiry: ['asked', 'rough', 'said'],
};
