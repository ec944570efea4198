import {
  DEMO_BY,
  DEMO_CUSTOMERS,
  DEMO_PEOPLE,
  DEMO_ROLLS,
  DEMO_ZONE,
  demoChanges,
  demoDays,
} from '@yellow-pane/demo';
import { inArray } from 'drizzle-orm';
import { DateTime } from 'luxon';
import type { Database } from '../../db/database';
import { customer, job } from '../../db/schema';
import { applyChange } from '../changes/apply-change';
import { loadExampleFilms } from '../films/routes';
import { changedBy, readPeople, savePerson } from '../people/queries';
import { readStock, saveRoll } from '../stock/queries';

/** Puts the demo jobs and the example catalogue into a database that does not have them yet. */
export async function loadDemo(db: Database, clock: () => Date): Promise<void> {
  const made = demoChanges();
  const there = await db
    .select({ id: job.id })
    .from(job)
    .where(inArray(job.id, [...new Set(made.map(({ jobId }) => jobId))]));
  const known = new Set((await readPeople(db)).map(({ id }) => id));
  for (const { id, person } of DEMO_PEOPLE)
    if (!known.has(id)) await savePerson(db, { id, person, by: DEMO_BY, at: clock() });
  for (const { id, customer: own } of DEMO_CUSTOMERS)
    await db
      .insert(customer)
      .values({ id, version: 1, removed: false, ...(await changedBy(db, DEMO_BY, clock())), ...own })
      .onConflictDoNothing();
  await loadExampleFilms(db, DEMO_BY, clock());
  const stock = new Set((await readStock(db)).map(({ id }) => id));
  for (const { id, roll } of DEMO_ROLLS)
    if (!stock.has(id)) await saveRoll(db, { id, roll, by: DEMO_BY, at: clock() });
  const tomorrow = DateTime.fromJSDate(clock(), { zone: DEMO_ZONE }).plus({ days: 1 }).toISODate() ?? '';
  for (const { jobId, change, at } of [...made, demoDays(tomorrow)])
    if (!there.some(({ id }) => id === jobId))
      await applyChange(db, jobId, change, at === undefined ? clock() : new Date(at));
}
