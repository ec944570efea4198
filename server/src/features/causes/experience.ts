import {
  type CaseOfShop,
  type Experience,
  JobView,
  type PocketSeen,
  pocketsSeen,
} from '@yellow-pane/core/reading';
import { and, asc, eq, isNotNull } from 'drizzle-orm';
import type { Database } from '../../db/database';
import { caseApart, causeCase, mark } from '../../db/schema';
import { readJob } from '../jobs/queries';
import { readShop } from '../jobs/read-view';
import { type AskedOfAir, skyOf } from '../weather/sky-of';

/** Causes confirmed in all jobs and without one, the oldest first, and what became of pockets of water. */
export async function readExperience(db: Database, air: AskedOfAir): Promise<Experience> {
  return { cases: await readCases(db), pockets: await readPockets(db, air) };
}

async function readCases(db: Database): Promise<readonly CaseOfShop[]> {
  const found: (CaseOfShop & { readonly at: number })[] = [];
  for (const table of [causeCase, caseApart] as const)
    for (const { changedAt, ...own } of await db
      .select({
        ...{ id: table.id, look: table.look, confirmed: table.confirmed, how: table.how },
        ...{ remedy: table.remedy, posterior: table.posterior, tableVersion: table.tableVersion },
        changedAt: table.changedAt,
      })
      .from(table)
      .where(and(eq(table.removed, false), isNotNull(table.confirmed)))
      .orderBy(asc(table.id)))
      found.push({ ...own, at: new Date(changedAt).getTime() });
  return found.sort((a, b) => a.at - b.at).map(({ at: _, ...own }) => own);
}

async function readPockets(db: Database, air: AskedOfAir): Promise<readonly PocketSeen[]> {
  const jobs = await db
    .selectDistinct({ id: mark.jobId })
    .from(mark)
    .where(and(eq(mark.removed, false), eq(mark.look, 'water pocket')));
  if (jobs.length === 0) return [];
  const shop = await readShop(db);
  const found: PocketSeen[] = [];
  for (const { id } of jobs) {
    const { rows } = await readJob(db, id);
    const view = new JobView(rows, shop);
    found.push(...pocketsSeen(view, skyOf(view, air)));
  }
  return found;
}
