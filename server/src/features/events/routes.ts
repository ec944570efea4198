import type { AcceptedChange } from '@yellow-pane/contracts';
import { and, asc, eq, gt, max } from 'drizzle-orm';
import { Router } from 'express';
import * as z from 'zod';
import type { Database } from '../../db/database';
import { change } from '../../db/schema';
import { parseBody } from '../../http/refusal';
import { rowsOfChange } from '../changes/apply-change';
import type { StandIns } from '../bench/routes';
import type { ChangeFeed } from './change-feed';

const MOST_MISSED = 200;
const HEARTBEAT_MS = 15_000;
/** A listener that is so far behind is let go: it comes back and is told what it missed, or to load anew. */
const MOST_WAITING_BYTES = 4_000_000;

interface Deps {
  readonly db: Database;
  readonly feed: ChangeFeed;
  readonly devices: StandIns;
  /** Called with the function that ends a stream, and again without it when the stream has ended. */
  readonly onStream: (end: () => void) => () => void;
}

/**
 * Everything this server tells, at one address: each accepted change of one job or of all, what the devices
 * say (`device`), `began` with the last number there is, what was missed since Last-Event-ID; `reload` when
 * that is too much.
 */
export function eventRoutes({ db, feed, devices, onStream }: Deps): Router {
  const routes = Router();
  routes.get('/api/events', async (request, response) => {
    const jobId =
      request.query['job'] === undefined ? undefined : parseBody(z.uuidv7(), request.query['job']);
    const since = Number(request.get('Last-Event-ID') ?? request.query['since'] ?? NaN);
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      Connection: 'keep-alive',
      'X-Accel-Buffering': 'no',
    });
    response.write('retry: 1000\n\n');
    const early: (readonly [jobId: string, accepted: AcceptedChange])[] = [];
    let isCaughtUp = false;
    const write = (text: string): void => {
      response.write(text);
      if (response.writableLength > MOST_WAITING_BYTES) response.destroy();
    };
    const send = (ofJob: string, accepted: AcceptedChange): void => {
      write(`id: ${accepted.seq}\nevent: change\ndata: ${JSON.stringify({ ...accepted, jobId: ofJob })}\n\n`);
    };
    const stopListening = feed.listen((ofJob, accepted) => {
      if (jobId !== undefined && ofJob !== jobId) return;
      if (isCaughtUp) send(ofJob, accepted);
      else early.push([ofJob, accepted]);
    });
    const stopDevices =
      jobId === undefined
        ? devices.listen((message) => {
            write(`event: device\ndata: ${JSON.stringify(message)}\n\n`);
          })
        : () => undefined;
    const stopCalls = feed.listenForCalls((ofJob, call) => {
      if (jobId === undefined || ofJob === jobId)
        write(`event: call\ndata: ${JSON.stringify({ ...call, jobId: ofJob })}\n\n`);
    });
    const heartbeat = setInterval(() => response.write(': still here\n\n'), HEARTBEAT_MS);
    const forget = onStream(() => response.end());
    response.on('close', () => {
      stopListening();
      stopDevices();
      stopCalls();
      clearInterval(heartbeat);
      forget();
    });
    if (Number.isSafeInteger(since))
      await catchUp(db, jobId, since, send, () => response.write('event: reload\ndata: {}\n\n'));
    else response.write(`id: ${await lastSeq(db)}\nevent: began\ndata: {}\n\n`);
    isCaughtUp = true;
    for (const own of early) send(...own);
  });
  return routes;
}

async function lastSeq(db: Database): Promise<number> {
  const [row] = await db.select({ seq: max(change.seq) }).from(change);
  return row?.seq ?? 0;
}

async function catchUp(
  db: Database,
  jobId: string | undefined,
  since: number,
  send: (jobId: string, accepted: AcceptedChange) => void,
  reload: () => void,
): Promise<void> {
  const wanted = jobId === undefined ? undefined : eq(change.jobId, jobId);
  const missed = await db
    .select()
    .from(change)
    .where(and(gt(change.seq, since), wanted))
    .orderBy(asc(change.seq))
    .limit(MOST_MISSED + 1);
  if (missed.length > MOST_MISSED) {
    reload();
    return;
  }
  for (const { seq, id, jobId: ofJob, session, who, personId, at } of missed)
    send(ofJob, {
      ...{ seq, changeId: id, session, who, personId, at: at.toISOString() },
      rows: await rowsOfChange(db, seq),
    });
}
