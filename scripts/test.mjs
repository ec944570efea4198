import { spawnSync } from 'node:child_process';
import { buildIfNeeded, chromiumIfNeeded, installIfNeeded, refuseOldNode } from './prepare.mjs';

/** `npm test`: everything, from a fresh clone. Ends with a line of counts. */
refuseOldNode();
installIfNeeded();
chromiumIfNeeded();

let passed = 0;
let failed = 0;

stage('lint', ['run', '-s', 'lint']);
stage('types', ['run', '-s', 'types']);
count(stage('unit', ['run', '-s', 'unit']), /Tests:\s+(?:(\d+) failed, )?(?:\d+ skipped, )?(?:(\d+) passed)?/g);
buildIfNeeded();
count(stage('browser', ['run', '-s', 'e2e']), /(?:^|\n)\s+(?:(\d+) failed)|(?:^|\n)\s+(?:(\d+) passed)/g);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);

function stage(name, args) {
  console.log(`\n== ${name}`);
  const { status, stdout, stderr } = spawnSync('npm', args, { encoding: 'utf8', maxBuffer: 1 << 28, env: { ...process.env, FORCE_COLOR: '0' } });
  const text = `${stdout}${stderr}`;
  process.stdout.write(status === 0 ? text.slice(-3000) : text.slice(-30_000));
  if (status !== 0) failed += 1;
  return { text, status };
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
