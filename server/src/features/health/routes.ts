import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { Router } from 'express';
import type { Backups } from '../../backup/backups';
import type { Database } from '../../db/database';
import type { Soundness } from '../../db/soundness';

interface Deps {
  readonly db: Database;
  readonly hasRoom: () => boolean;
  readonly soundness: Soundness;
  readonly backups: Backups | undefined;
}

export function healthRoutes({ db, hasRoom, soundness, backups }: Deps): Router {
  const routes = Router();
  routes.get('/api/health', async (_request, response) => {
    await db.execute(sql`select 1`);
    response.json(
      soundness.isSound
        ? { status: 'ok', hasRoom: hasRoom() }
        : { status: 'damaged', hasRoom: hasRoom(), says: damageInWords(backups) },
    );
  });
  return routes;
}

/** What happened, and what brings the work back. */
export function damageInWords(backups: Pick<Backups, 'all' | 'settings'> | undefined): string {
  const last = backups?.all()[0];
  const what =
    'The data folder is damaged: something on the disk is not as this program wrote it. Nothing more is written to it.';
  if (backups === undefined || last === undefined)
    return `${what} There is no backup of it. Keep a copy of the whole folder as it is before anything else.`;
  return `${what} The last backup is of ${last.madeAt.slice(0, 16).replace('T', ' ')} UTC. Stop the program and type: npm run restore -- ${join(backups.settings.folder, last.name)}. The damaged folder is kept beside it.`;
}
