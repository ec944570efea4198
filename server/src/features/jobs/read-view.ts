import { JobView, type Shop } from '@yellow-pane/core/reading';
import type { Database } from '../../db/database';
import { readFilms } from '../films/queries';
import { readLearned } from '../learned/queries';
import { readPeople } from '../people/queries';
import { readJob } from './queries';

/** What is known beside any job. */
export async function readShop(db: Database): Promise<Shop> {
  return { films: await readFilms(db), learned: await readLearned(db), people: await readPeople(db) };
}

/** A job as the core looks at it. @throws Refusal JOB_UNKNOWN */
export async function readJobView(db: Database, jobId: string): Promise<JobView> {
  const { rows } = await readJob(db, jobId);
  return new JobView(rows, await readShop(db));
}
