import type { Change, Op } from '@yellow-pane/contracts';
import { NEW_JOB } from '@yellow-pane/core/job';
import { workStepsFor } from '@yellow-pane/core/ways';
import { demoId } from './demo-id';
import { placeOps } from './places';
import { READ_AT, summitReadings } from './summit-close';
import { summitOps } from './summit-shelter';
import { surfaceOps } from './surfaces';

/** Invented, as the prices of the demo's film are. */
const MONEY = { currency: 'CHF', tax_percent: 8.1, hourCost: 62, tripCost: 45, margin_percent: 30 };

const SITE = {
  customerId: demoId('customer', 1),
  street: 'Lower station, Kestrel Hill',
  accessHours: '7:30 to 17:00; last car 21:10',
  siteContact: 'stationmaster',
  keys: 'at the ticket counter',
  lift: 'none; the cars stand in the winter hall',
  waterAndPower: 'tap in the hall, sockets at both ends',
};

/** Whoever works on a device that was told nobody. */
export const DEMO_PERSON_ID = demoId('person', 1);
export const DEMO_BY = { who: 'Wren', personId: DEMO_PERSON_ID };
export const DEMO_JOB_ID = demoId('job', 1);
const SUMMIT_JOB_ID = demoId('job', 2);
/** SW3: its right height contradicts the rest. */
const NEEDS_ATTENTION = demoId('surface', 3);
export const DEMO_START = `/jobs/${DEMO_JOB_ID}/survey/${NEEDS_ATTENTION}`;

const change = (n: number, ops: readonly Op[]): Change => ({
  id: demoId('change', n),
  session: demoId('session', 1),
  ...DEMO_BY,
  ops,
});

export interface DemoChange {
  readonly jobId: string;
  readonly change: Change;
  /** When it was made; absent: as the demo is loaded. */
  readonly at?: string;
}

/** What the demo job is made of, from its name to its surfaces. */
export function demoOps(): readonly Op[] {
  return [
    {
      op: 'put',
      table: 'job',
      id: DEMO_JOB_ID,
      fields: { ...NEW_JOB, name: 'Kestrel Hill Funicular', entryUnit: 'mm', ...MONEY, ...SITE },
    },
    ...placeOps(),
    ...surfaceOps(),
  ];
}

/** The demo jobs as the changes that made them, quote and papers of the finished one calculated. */
export function demoChanges(): readonly DemoChange[] {
  const steps = workStepsFor({ condition: 'sound', isSecurityFilm: false });
  return [
    { jobId: SUMMIT_JOB_ID, change: change(1, summitOps(SUMMIT_JOB_ID, steps)) },
    { jobId: SUMMIT_JOB_ID, change: change(4, summitReadings()), at: READ_AT },
    { jobId: DEMO_JOB_ID, change: change(2, demoOps()) },
  ];
}
