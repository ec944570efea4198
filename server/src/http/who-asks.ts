import type { RequestHandler } from 'express';
import { Refusal } from './refusal';

/** Names of this machine, as it answers to nobody else until people sign in. */
const NAMES = new Set(['localhost', '127.0.0.1', '[::1]']);
const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Keeps pages of other sites out: a name that leads here by stealth is not answered, and only this server's
 * own page may write. Programs without a browser send none of these headers and may.
 * @throws Refusal HOST_UNKNOWN, ORIGIN_FOREIGN
 */
export const whoAsks: RequestHandler = (request, _response, next) => {
  const host = request.headers.host ?? '';
  if (!NAMES.has(host.replace(/:\d+$/, '').toLowerCase()))
    throw new Refusal('HOST_UNKNOWN', {
      path: 'Host',
      expected: [...NAMES].join(', '),
      got: host.slice(0, 120) || 'nothing',
    });
  const { origin } = request.headers;
  const site = request.headers['sec-fetch-site'];
  const isReading = READS.has(request.method);
  const isFollowed =
    isReading && (request.headers['sec-fetch-mode'] === 'navigate' || !request.path.startsWith('/api/'));
  if (!isReading && origin !== undefined && origin !== `http://${host}`)
    throw new Refusal('ORIGIN_FOREIGN', {
      path: 'Origin',
      expected: `http://${host}`,
      got: origin.slice(0, 120),
    });
  if (!isFollowed && site !== undefined && site !== 'same-origin' && site !== 'none')
    throw new Refusal('ORIGIN_FOREIGN', {
      path: 'Sec-Fetch-Site',
      expected: 'same-origin',
      got: site.slice(0, 40),
    });
  next();
};
