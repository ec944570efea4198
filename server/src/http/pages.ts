import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router, type Response } from 'express';

const NONCE_MARK = 'NONCE_OF_THE_REQUEST';
const HASHED_NAME = /-[A-Z0-9]{8}\.(?:js|css|woff2?)$/;

/** The built pages: hashed files for a year, the page itself with a fresh nonce for every request. */
export function pages(folder: string): Router {
  const routes = Router();
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  routes.use(
    express.static(folder, {
      index: false,
      setHeaders: (response, path) => {
        response.setHeader(
          'Cache-Control',
          HASHED_NAME.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache',
        );
      },
    }),
  );
  routes.get('/{*path}', (request, response, next) => {
    if (/\.[a-z0-9]+$/i.test(request.path) || request.path.startsWith('/api/')) {
      next();
      return;
    }
    response
      .type('html')
      .set('Cache-Control', 'no-store')
      .send(page.replaceAll(NONCE_MARK, nonceOf(response)));
  });
  return routes;
}

/** The nonce that this answer's content security policy names. */
export function nonceOf(response: Response): string {
  const locals = response.locals as { nonce?: string };
  return (locals.nonce ??= randomBytes(16).toString('base64'));
}
