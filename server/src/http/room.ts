import type { RequestHandler } from 'express';
import type { Soundness } from '../db/soundness';
import { Refusal } from './refusal';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);
/** What is asked here is calculated and not kept. */
const KEEPS_NOTHING = /^\/api\/(?:calculate|bench|weather)(?:\/|$)/;

/** While the disk is nearly full, or what is on it is damaged, this server only reads.
 *  @throws Refusal DISK_FULL until there is room again, DATA_DAMAGED until a backup was brought back */
export function refuseWhatCannotBeKept(hasRoom: () => boolean, soundness: Soundness): RequestHandler {
  return (request, _response, next) => {
    if (!READS.has(request.method) && request.path.startsWith('/api/') && !KEEPS_NOTHING.test(request.path)) {
      if (!soundness.isSound)
        throw new Refusal('DATA_DAMAGED', {
          path: 'disk',
          expected: 'what was written',
          got: 'something else',
        });
      if (!hasRoom())
        throw new Refusal('DISK_FULL', { path: 'disk', expected: 'free space', got: 'hardly any' });
    }
    next();
  };
}
