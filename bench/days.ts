import { spawnSync } from 'node:child_process';
import type { Row } from './run';

/** Days on which stories have failed before, or could: stories begin there, for server and page alike. */
const DAYS: readonly { readonly what: string; readonly at: string }[] = [
  { what: 'a Sunday', at: '2026-11-29T13:00:00.000Z' },
  { what: 'the last of February', at: '2028-02-29T09:00:00.000Z' },
  { what: 'the evening before clocks go on', at: '2027-03-27T16:50:00.000Z' },
  { what: '23:30', at: '2026-12-02T22:30:00.000Z' },
  { what: 'New Year’s Eve, 21:30', at: '2026-12-31T20:30:00.000Z' },
];

/** All browser stories on other days. */
export function storiesOnOtherDays(): Promise<readonly Row[]> {
  return Promise.resolve(
    DAYS.map(({ what, at }) => {
      const { stdout } = spawnSync('npm', ['run', '-s', 'e2e'], {
        encoding: 'utf8',
        maxBuffer: 1 << 28,
        env: { ...process.env, STORIES_AT: at, FORCE_COLOR: '0' },
      });
      const count = (word: string): number =>
        Number(new RegExp(`(?:^|\\n)\\s+(\\d+) ${word}`).exec(stdout)?.[1] ?? 0);
      const [passed, failed] = [count('passed'), count('failed')];
      if (failed > 0) console.error(stdout.slice(-4000));
      return {
        what: `browser stories on ${what} (${at.slice(0, 16)}Z)`,
        wanted: 'all pass',
        got: `${passed} passed, ${failed} failed`,
        isMet: passed > 0 && failed === 0,
      };
    }),
  );
}
