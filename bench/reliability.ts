import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { v7 as newId } from 'uuid';
import { type RunningServer, startServer } from '../scripts/running-server';
import { type RandomRequest, randomRequests } from '../server/src/testing/requests';
import { smallJob } from '../server/src/testing/test-app';
import { ask } from './pooled';
import type { Row } from './run';

const KILLS = 100;
const CLIENTS = 4;
const WRITES_BEFORE_KILL = 50;
const REQUESTS = 100_000;
const AT_ONCE = 8;
/** Before that the server is still warming up. */
const WARM = 20_000;
const HALF = 60_000;

/** The long runs behind docs/reliability.md. */
export async function reliability(): Promise<readonly Row[]> {
  return [await killed(), ...(await fuzzed()), ...longer(), await filledUp()];
}

interface Acknowledged {
  readonly surfaceId: string;
  readonly measureId: string;
}

/**
 * Killed in the middle of what four clients write, each change with two rows, and opened again, over and over
 * on one folder.
 */
export async function killed(): Promise<Row> {
  const folder = mkdtempSync(join(tmpdir(), 'yellow-pane-kill-'));
  const job = smallJob();
  const acknowledged: Acknowledged[] = [];
  let server = await startServer({ folder });
  await ask(server.address, `/api/jobs/${job.jobId}/changes`, {
    id: newId(),
    session: newId(),
    who: 'Wren',
    ops: job.ops,
  });
  for (let round = 0; round < KILLS; round += 1) {
    await writeUntilKilled(server, job, acknowledged);
    server = await startServer({ folder });
  }
  const { text } = await ask(server.address, `/api/jobs/${job.jobId}`);
  const { rows } = JSON.parse(text) as {
    readonly rows: Readonly<
      Record<'surface' | 'measure', readonly { readonly id: string; readonly surfaceId?: string }[]>
    >;
  };
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
  const [surfaces, measures] = [
    new Set(rows.surface.map(({ id }) => id)),
    new Set(rows.measure.map(({ id }) => id)),
  ];
  const lost = acknowledged.filter(
    ({ surfaceId, measureId }) => !surfaces.has(surfaceId) || !measures.has(measureId),
  ).length;
  const measured = new Set(rows.measure.map(({ surfaceId }) => surfaceId));
  const torn = rows.surface.filter(({ id }) => !measured.has(id)).length;
  return {
    what: `${KILLS} × kill -9 under ${CLIENTS} clients, ${acknowledged.length} acknowledged changes of two rows`,
    wanted: '0 lost, 0 torn, always reopens',
    got: `${lost} lost, ${torn} torn, ${KILLS} reopened`,
    isMet: lost + torn === 0 && acknowledged.length >= KILLS * WRITES_BEFORE_KILL,
  };
}

async function writeUntilKilled(
  server: RunningServer,
  { jobId, placeId, ops }: ReturnType<typeof smallJob>,
  acknowledged: Acknowledged[],
): Promise<void> {
  const surface = ops.find(({ table }) => table === 'surface');
  const measure = ops.find(({ table }) => table === 'measure');
  const until = acknowledged.length + WRITES_BEFORE_KILL;
  let isKilled = false;
  const isOver = (): boolean => isKilled;
  const client = async (): Promise<void> => {
    while (!isOver()) {
      const [surfaceId, measureId] = [newId(), newId()];
      const put = (op: typeof surface, id: string, more: object): object => ({
        ...op,
        id,
        fields: { ...(op?.op === 'put' ? op.fields : {}), ...more },
      });
      const body = {
        id: newId(),
        session: newId(),
        who: 'Wren',
        ops: [
          put(surface, surfaceId, { placeId, tag: surfaceId.slice(-6) }),
          put(measure, measureId, { surfaceId }),
        ],
      };
      const status = await ask(server.address, `/api/jobs/${jobId}/changes`, body).then(
        (answer) => answer.status,
        () => 0,
      );
      if (status === 200) acknowledged.push({ surfaceId, measureId });
      else if (!isOver() && status !== 0) throw new Error(`a change was refused: ${status}`);
      if (acknowledged.length >= until && !isOver()) {
        isKilled = true;
        await server.stop('SIGKILL');
      }
    }
  };
  await Promise.all(Array.from({ length: CLIENTS }, client));
}

/** Requests at random over every route: never a fault of the server, and its memory does not grow. */
export async function fuzzed(): Promise<readonly Row[]> {
  const server = await startServer();
  const job = smallJob();
  await ask(server.address, `/api/jobs/${job.jobId}/changes`, {
    id: newId(),
    session: newId(),
    who: 'Wren',
    ops: job.ops,
  });
  const faults: string[] = [];
  let [sent, early_kB, late_kB] = [0, 0, 0];
  for (let seed = 0; sent < REQUESTS; seed += 1) {
    const all = fc.sample(randomRequests(job), { numRuns: 1000, seed });
    let next = 0;
    await Promise.all(
      Array.from({ length: AT_ONCE }, async () => {
        while (next < all.length) {
          const asked = all[next++];
          if (asked === undefined) break;
          const { status, text } = await sendOff(server.address, asked);
          if (status >= 500)
            faults.push(
              `${status} ${asked.method} ${asked.path} ${asked.body?.slice(0, 300) ?? ''}: ${text.slice(0, 200)}`,
            );
        }
      }),
    );
    sent += all.length;
    if (sent > WARM && sent <= HALF) early_kB = Math.max(early_kB, residentOf(server));
    if (sent > HALF) late_kB = Math.max(late_kB, residentOf(server));
  }
  await server.stop();
  for (const fault of faults.slice(0, 5)) console.error(fault);
  const growth = (late_kB - early_kB) / early_kB;
  return [
    {
      what: `${sent} random and mutated requests over every route`,
      wanted: '0 × 5xx',
      got: `${faults.length} × 5xx`,
      isMet: faults.length === 0,
    },
    {
      what: `the most memory of the server from ${WARM} to ${HALF} and from there to ${sent} of them`,
      wanted: 'flat within 10 %',
      got: `${(early_kB / 1024).toFixed(0)} → ${(late_kB / 1024).toFixed(0)} MB (${(growth * 100).toFixed(1)} %)`,
      isMet: growth <= 0.1,
    },
  ];
}

/** As it is written, also where `fetch` would mend the address first. */
function sendOff(
  address: string,
  { method, path, headers, body }: RandomRequest,
): Promise<{ readonly status: number; readonly text: string }> {
  return new Promise((done, fail) => {
    const asking = request(
      address + path,
      {
        method,
        headers: { ...headers, ...(body === undefined ? {} : { 'Content-Length': Buffer.byteLength(body) }) },
      },
      (answer) => {
        let text = '';
        answer.setEncoding('utf8');
        answer.on('data', (part: string) => {
          text += part;
        });
        answer.once('end', () => {
          done({ status: answer.statusCode ?? 0, text });
        });
        answer.once('error', fail);
      },
    );
    asking.once('error', fail);
    asking.end(body);
  });
}

function residentOf({ process: { pid } }: RunningServer): number {
  return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid ?? 0}/status`, 'utf8'))?.[1] ?? 0);
}

/** What `npm test` does a few times, done often. */
export function longer(): readonly Row[] {
  const runs = [
    {
      what: 'the queue of the page against its model, random sessions',
      spec: 'web/src/app/job/queue-model',
      variable: 'QUEUE_SESSIONS',
      times: 1000,
    },
    {
      what: 'the folder lock taken by eight processes at once, rounds of three ways',
      spec: 'server/src/db/folder-lock',
      variable: 'LOCK_ROUNDS',
      times: 100,
    },
    {
      what: 'a backup made during writes, restored, compared row by row',
      spec: 'server/src/backup/backup.spec',
      variable: 'BACKUP_ROUNDS',
      times: 20,
    },
  ];
  return runs.map(({ what, spec, variable, times }): Row => {
    const { status, stderr } = spawnSync('npm', ['run', '-s', 'unit', '--', spec], {
      encoding: 'utf8',
      env: { ...process.env, [variable]: String(times) },
    });
    if (status !== 0) console.error(stderr.slice(-3000));
    return {
      what,
      wanted: `${times}, all right`,
      got: status === 0 ? `${times}, all right` : 'failed',
      isMet: status === 0,
    };
  });
}

/**
 * A real disk that fills up under the server: it reads on, refuses by name, and writes again once there is
 * room.
 */
export async function filledUp(): Promise<Row> {
  const what = 'a disk that another program fills to the last byte while four clients write';
  const wanted = 'reads on, 507, nothing lost, writes again';
  const place = mkdtempSync(join(tmpdir(), 'yellow-pane-full-'));
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=220m', 'tmpfs', place]).status !== 0)
    return { what, wanted, got: 'this machine mounts no small disk', isMet: false };
  try {
    return { what, wanted, ...(await fill(place)) };
  } finally {
    spawnSync('umount', ['-l', place]);
  }
}

async function fill(place: string): Promise<Pick<Row, 'got' | 'isMet'>> {
  const folder = join(place, 'data');
  mkdirSync(folder);
  const server = await startServer({ folder });
  const job = smallJob();
  const change = (ops: readonly object[]): Promise<{ readonly status: number }> =>
    ask(server.address, `/api/jobs/${job.jobId}/changes`, {
      id: newId(),
      session: newId(),
      who: 'Wren',
      ops,
    }).catch(() => ({ status: 0 }));
  await change(job.ops);
  const surface = job.ops.find(({ table }) => table === 'surface');
  const kept: string[] = [];
  const said = new Map<number, number>();
  let isOver = false;
  const writing = Array.from({ length: CLIENTS }, async () => {
    while (!isOver) {
      const id = newId();
      const { status } = await change([
        {
          ...surface,
          id,
          fields: { ...(surface?.op === 'put' ? surface.fields : {}), remark: id.repeat(100) },
        },
      ]);
      said.set(status, (said.get(status) ?? 0) + 1);
      if (status === 200) kept.push(id);
      if (status !== 200)
        await new Promise((done) => {
          setTimeout(done, 20);
        });
    }
  });
  await new Promise((done) => {
    setTimeout(done, 3000);
  });
  const greedy = spawn('sh', ['-c', `cat /dev/zero > ${join(place, 'greedy')}`], { stdio: 'ignore' });
  await once(greedy, 'exit');
  await new Promise((done) => {
    setTimeout(done, 5000);
  });
  const { bavail, bsize } = statfsSync(place);
  const reading = await ask(server.address, `/api/jobs/${job.jobId}`).then(
    ({ status }) => status,
    () => 0,
  );
  rmSync(join(place, 'greedy'));
  await new Promise((done) => {
    setTimeout(done, 3000);
  });
  isOver = true;
  await Promise.all(writing);
  const again = (await change([{ ...surface, id: newId() }])).status;
  const { text } = await ask(server.address, `/api/jobs/${job.jobId}`);
  const there = new Set(
    (
      JSON.parse(text) as { readonly rows: { readonly surface: readonly { readonly id: string }[] } }
    ).rows.surface.map(({ id }) => id),
  );
  const lost = kept.filter((id) => !there.has(id)).length;
  await server.stop();
  const others = [...said]
    .filter(([status]) => status !== 200 && status !== 507)
    .map(([status, count]) => `${count} × ${status}`)
    .join(', ');
  return {
    got: `${bavail * bsize} bytes left; reading ${reading}; ${kept.length} kept, ${said.get(507) ?? 0} × 507${others === '' ? '' : `, ${others}`}; ${lost} lost; afterwards ${again}`,
    isMet: reading === 200 && again === 200 && lost === 0 && others === '',
  };
}
