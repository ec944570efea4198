import { once } from 'node:events';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { build } from 'esbuild';
import type { Searches } from './searcher';

const MOST = 3;

/** How many searches go side by side here, as on the page and in the server. */
export const LANES = Math.max(1, Math.min(MOST, availableParallelism()));

let threads: readonly Worker[] = [];

/**
 * The same search in every lane at once, each with a seed of its own (the last argument, from 1): as the
 * page's workers and the server's threads search.
 */
export async function inEveryLane<Name extends keyof Searches>(
  name: Name,
  ...asked: AllButSeed<Parameters<Searches[Name]>>
): Promise<readonly ReturnType<Searches[Name]>[]> {
  if (threads.length === 0) threads = await startThreads();
  return Promise.all(
    threads.map(async (thread, lane) => {
      thread.postMessage({ name, asked: [...asked, lane + 1] });
      const [answer] = (await once(thread, 'message')) as [ReturnType<Searches[Name]>];
      return answer;
    }),
  );
}

/** Bundled as the page's workers and the server's threads are. */
async function startThreads(): Promise<readonly Worker[]> {
  const { outputFiles } = await build({
    entryPoints: [fileURLToPath(new URL('./searcher.ts', import.meta.url))],
    bundle: true,
    write: false,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
  });
  const code = outputFiles[0]?.text ?? '';
  return Array.from({ length: LANES }, () => new Worker(code, { eval: true }));
}

export async function endLanes(): Promise<void> {
  await Promise.all(threads.map((thread) => thread.terminate()));
  threads = [];
}

type AllButSeed<All extends readonly unknown[]> = All extends readonly [...infer Front, unknown]
  ? Front
  : never;
