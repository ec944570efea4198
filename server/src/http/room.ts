import type { RequestHandler } from 'express';
import { Refusal } from './refusal';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);
/** What is asked here is reckoned and not kept. */
const KEEPS_NOTHING = /^\/api\/(?:reckon|bench|weather)(?:\/|$)/;

/** While the disk is nearly full this server only reads: a database that runs out of room in the middle of a write does not come back by itself.
 *  @throws Refusal DISK_FULL until there is room again */
export function refuseWithoutRoom(hasRoom: () => boolean): RequestHandler {
  return (request, _response, next) => {
    if (!READS.has(request.method) && request.path.startsWith('/api/') && !KEEPS_NOTHING.test(request.path) && !hasRoom()) throw new Refusal('DISK_FULL', { path: 'disk', expected: 'free space', got: 'hardly any' });
    next();
  };
}
