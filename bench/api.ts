import { readFileSync } from 'node:fs';
import { manySurfaces } from '@yellow-pane/demo';
import { v7 as newId } from 'uuid';
import { type RunningServer, startServer } from '../scripts/running-server';
import { ms, quantile } from './figures';
import { ask } from './pooled';
import type { Row } from './run';

const LARGE = 5000;
const WRITES = 600;
const RATE_PER_S = 200;
const LOAD_S = 15;

/** The 5,000-surface job of `memoryWithLargeJob`, for the page bench that follows it on the same server. */
export let largeJobId = '';

export async function writeAcknowledged(): Promise<readonly Row[]> {
  const server = await startServer();
  await putLargeJob(server, 1000);
  const { jobId, body, took } = await smallJob(server);
  const times: number[] = [];
  for (let n = 0; n < WRITES; n += 1) {
    const start = performance.now();
    const { status, text } = await ask(server.address, `/api/jobs/${jobId}/changes`, body(n));
    times.push(performance.now() - start);
    if (status !== 200) throw new Error(text);
    took(text);
  }
  await server.stop();
  const p95 = quantile(times.slice(50), 0.95);
  return [
    {
      what: `write acknowledged, one client, p95 of ${WRITES - 50} beside a 1,000-surface job`,
      wanted: 'at most 25 ms',
      got: ms(p95),
      isMet: p95 <= 25,
    },
  ];
}

/** An open loop: requests leave on time whether or not earlier ones have been answered. */
export async function mixedLoad(): Promise<readonly Row[]> {
  const server = await startServer({ isDemo: true });
  const { jobId, body, took } = await smallJob(server);
  const write = async (n: number): Promise<number> => {
    const { status, text } = await ask(server.address, `/api/jobs/${jobId}/changes`, body(n));
    if (status === 200) took(text);
    return status;
  };
  const kinds: readonly ((n: number) => Promise<number>)[] = [
    write,
    async () => (await ask(server.address, `/api/jobs/${jobId}`)).status,
    write,
    async () => (await ask(server.address, '/api/films')).status,
    async (n) =>
      (
        await ask(server.address, '/api/calculate/blank', {
          aroundWidth_mm: 500 + (n % 900),
          aroundHeight_mm: 900,
          method: 'decor',
          direction: 'none',
        })
      ).status,
  ];
  for (let n = 0; n < 300; n += 1) await kinds[n % kinds.length]?.(n);
  const times: number[] = [];
  let errors = 0;
  const start = performance.now();
  const all = Array.from({ length: RATE_PER_S * LOAD_S }, async (_, n) => {
    await new Promise((done) =>
      setTimeout(done, Math.max(0, start + (n * 1000) / RATE_PER_S - performance.now())),
    );
    const began = performance.now();
    const status = await kinds[n % kinds.length]?.(n);
    times.push(performance.now() - began);
    if (status !== 200) errors += 1;
  });
  await Promise.all(all);
  await server.stop();
  const p99 = quantile(times, 0.99);
  return [
    {
      what: `${RATE_PER_S} requests/s mixed for ${LOAD_S} s, p99 (median ${ms(quantile(times, 0.5))}, errors: ${errors})`,
      wanted: 'under 100 ms, no error',
      got: ms(p99),
      isMet: p99 < 100 && errors === 0,
    },
  ];
}

export async function memoryWithLargeJob(server: RunningServer): Promise<readonly Row[]> {
  largeJobId = await putLargeJob(server, LARGE);
  const times: number[] = [];
  for (let n = 0; n < 5; n += 1) {
    times.push(
      await timed(async () => {
        const answer = await fetch(`${server.address}/api/jobs/${largeJobId}`);
        await answer.arrayBuffer();
        return answer;
      }),
    );
  }
  await fetch(`${server.address}/api/jobs`);
  const resident = residentMiB(server);
  return [
    {
      what: `server memory resident after loading ${LARGE} surfaces and reading them 5 times`,
      wanted: 'under 400 MB',
      got: `${resident.toFixed(0)} MB`,
      isMet: resident < 400,
    },
    {
      what: `the ${LARGE}-surface job read over the API, median`,
      wanted: 'part of 2.5 s',
      got: ms(quantile(times, 0.5)),
      isMet: quantile(times, 0.5) < 2500,
    },
  ];
}

/** Million bytes, as the kernel counts them. */
function residentMiB(server: RunningServer): number {
  const status = readFileSync(`/proc/${String(server.process.pid)}/status`, 'utf8');
  return (Number(/VmRSS:\s+(\d+) kB/.exec(status)?.[1] ?? Number.NaN) * 1024) / 1e6;
}

export async function putLargeJob(server: RunningServer, count: number): Promise<string> {
  const { jobId, changes } = manySurfaces(count, 1, newId);
  for (const change of changes) {
    const answer = await fetch(`${server.address}/api/jobs/${jobId}/changes`, post(change));
    if (!answer.ok) throw new Error(await answer.text());
    await answer.arrayBuffer();
  }
  return jobId;
}

/** A small job, and the body of a write to it as a page makes it: against the version it was last told. */
async function smallJob(server: RunningServer): Promise<{
  readonly jobId: string;
  readonly body: (n: number) => unknown;
  readonly took: (answer: string) => void;
}> {
  const { jobId, changes } = manySurfaces(20, 2, newId);
  for (const change of changes) await fetch(`${server.address}/api/jobs/${jobId}/changes`, post(change));
  const measure = changes.flatMap(({ ops }) => ops).find(({ table }) => table === 'measure');
  const session = newId();
  let version = 1;
  return {
    jobId,
    body: (n) => ({
      id: newId(),
      session,
      who: 'Speed test',
      ops: [
        {
          op: 'set',
          table: 'measure',
          id: measure?.id,
          baseVersion: version,
          fields: { text: String(900 + (n % 100)), value_nm: (900 + (n % 100)) * 1e6 },
        },
      ],
    }),
    took: (answer) => {
      version = Math.max(
        version,
        (JSON.parse(answer) as { readonly rows: readonly { readonly row: { readonly version: number } }[] })
          .rows[0]?.row.version ?? 1,
      );
    },
  };
}

function post(body: unknown): RequestInit {
  return { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
}

async function timed(act: () => Promise<Response>): Promise<number> {
  const start = performance.now();
  const answer = await act();
  if (!answer.bodyUsed) await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`${answer.status}`);
  return performance.now() - start;
}
