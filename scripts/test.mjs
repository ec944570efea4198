import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { buildIfNeeded, chromiumIfNeeded, installIfNeeded, refuseOldNode } from './prepare.mjs';

/**
 * `npm test`: everything, from a fresh clone. Two lanes at first, then the browser. Says the minutes of each
 * stage and ends with a line of counts.
 */
refuseOldNode();
installIfNeeded();
chromiumIfNeeded();

let passed = 0;
let failed = 0;

/** With two processors Jest would take one, and leave the other idle once the second lane is done. */
const workers = Math.max(2, availableParallelism() - 1);
const units = stage('unit', ['run', '-s', 'unit', '--', `--maxWorkers=${workers}`]).then((told) => {
  count(told, /Tests:\s+(?:(\d+) failed, )?(?:\d+ skipped, )?(?:(\d+) passed)?/g);
});
const rest = (async () => {
  await stage('types', ['run', '-s', 'types']);
  buildIfNeeded();
  await stage('lint', ['run', '-s', 'lint']);
})();
await Promise.all([units, rest]);
count(
  await stage('browser', ['run', '-s', 'e2e']),
  /(?:^|\n)\s+(?:(\d+) failed)|(?:^|\n)\s+(?:(\d+) passed)/g,
);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);

async function stage(name, args) {
  const began = Date.now();
  const told = await new Promise((done) => {
    const child = spawn('npm', args, {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, FORCE_COLOR: '0' },
    });
    let text = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (part) => {
        text += part;
      });
    child.once('close', (status) => {
      done({ text, status });
    });
  });
  console.log(`\n== ${name}: ${((Date.now() - began) / 60_000).toFixed(1)} min`);
  process.stdout.write(told.status === 0 ? told.text.slice(-3000) : told.text.slice(-30_000));
  if (told.status !== 0) failed += 1;
  return told;
}

/** Adds the runner's own counts; a failed stage is already one failure, so its own failures replace that. */
function count({ text, status }, pattern) {
  let own = 0;
  for (const [, bad = '0', good = '0'] of text.matchAll(pattern)) {
    passed += Number(good);
    own += Number(bad);
  }
  if (status !== 0 && own > 0) failed += own - 1;
}
