import { Router } from 'express';
import type { Backups } from '../../backup/backups';

/** Backups of everything on this server: which there are and where, and one more. */
export function backupRoutes(backups: Backups): Router {
  const routes = Router();
  routes.get('/api/backups', (_request, response) => {
    response.json({ ...backups.settings, backups: backups.all() });
  });
  routes.post('/api/backups', async (_request, response) => {
    response.json(await backups.make());
  });
  return routes;
}
