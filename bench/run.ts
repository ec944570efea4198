import { cpus, totalmem } from 'node:os';
import { startServer } from '../scripts/running-server';
import { memoryWithLargeJob, mixedLoad, writeAcknowledged } from './api';
import { mendsOfferedFirst } from './mends';
import {
  firstScreen,
  initialSize,
  inStep,
  largeJobOpens,
  pageBlocked,
  secondStart,
  typingToFigure,
} from './pages';
import { causeRows } from './causes';
import { checkRows } from './check';
import { adjustThousand, checkPane, layOut } from './core';
import { curvedRows } from './curved';
import { cuttingByHand, cuttingFreely, cuttingFromStock } from './cutting';
import { dayRows } from './day';
import { storiesOnOtherDays } from './days';
import { edgesKept } from './edges';
import { filmOnGlass } from './film';
import { closeRows } from './close';
import { quoteRows } from './quote';
import { LANES, endLanes } from './side-by-side';
import { strokeRows } from './strokes';
import { reliability } from './reliability';
import { searchesOfFixedRounds } from './rounds';
import { surveyOfThousand } from './survey';

/**
 * `npm run bench`: the figures of docs/performance.md, measured here and now. Names as arguments run those
 * alone.
 */
export interface Row {
  readonly what: string;
  readonly wanted: string;
  readonly got: string;
  readonly isMet: boolean;
}

const benches: Readonly<Record<string, () => Promise<readonly Row[]>>> = {
  core: () => Promise.resolve([checkPane(), adjustThousand(), layOut()]),
  curved: () => Promise.resolve(curvedRows()),
  strokes: () => Promise.resolve(strokeRows()),
  causes: () => Promise.resolve(causeRows()),
  check: checkRows,
  quote: () => Promise.resolve(quoteRows()),
  close: closeRows,
  film: () => Promise.resolve(filmOnGlass()),
  hand: cuttingByHand,
  free: cuttingFreely,
  order: cuttingFromStock,
  rounds: () => Promise.resolve(searchesOfFixedRounds()),
  edges: edgesKept,
  mends: mendsOfferedFirst,
  day: dayRows,
  days: storiesOnOtherDays,
  reliability,
  size: () => Promise.resolve([initialSize()]),
  start: secondStart,
  screen: firstScreen,
  survey: surveyOfThousand,
  typing: typingToFigure,
  step: inStep,
  blocked: pageBlocked,
  write: writeAcknowledged,
  load: mixedLoad,
  large: async () => {
    const server = await startServer();
    try {
      return [...(await memoryWithLargeJob(server)), ...(await largeJobOpens(server))];
    } finally {
      await server.stop();
    }
  },
};

const wanted = process.argv.slice(2);
console.log(
  `Node ${process.versions.node}, ${cpus().length} × ${cpus()[0]?.model ?? 'unknown processor'}, ${(totalmem() / 2 ** 30).toFixed(0)} GiB, ${LANES} searches side by side, ${new Date().toISOString().slice(0, 16)}Z\n`,
);
console.log('| what | wanted | got | |\n|---|---|---|---|');
for (const [name, bench] of Object.entries(benches)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  for (const { what, wanted: goal, got, isMet } of await bench())
    console.log(`| ${what} | ${goal} | ${got} | ${isMet ? 'met' : 'MISSED'} |`);
}
await endLanes();
