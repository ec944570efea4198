import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** What must be true before anything runs, in plain JavaScript because nothing is installed yet. */
const ROOT = new URL('..', import.meta.url).pathname;
const NEEDS_NODE = [20, 19];
const STAMPS = join(ROOT, 'node_modules', '.yellow-pane');
const SOURCES = [
  'package-lock.json',
  'core/src',
  'contracts/src',
  'demo/src',
  'server/src',
  'server/migrations',
  'web/src',
  'web/public',
  'web/angular.json',
  'web/.postcssrc.json',
  'scripts/build.mjs',
  'scripts/server-build.mjs',
];

export function refuseOldNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major > NEEDS_NODE[0] || (major === NEEDS_NODE[0] && minor >= NEEDS_NODE[1])) return;
  console.error(
    `Yellow Pane needs Node ${NEEDS_NODE.join('.')} or newer; this is ${process.versions.node}. Install a newer Node and try again.`,
  );
  process.exit(1);
}

/** Installs from the lock file when it changed since the last time, or when nothing is installed. */
export function installIfNeeded() {
  const wanted = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (readStamp('installed') === wanted) return;
  console.log('Installing what the lock file names. This happens once and takes a minute or two.');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1',
  });
  writeStamp('installed', wanted);
}

/** Builds when a source is newer than what was built. */
export function buildIfNeeded() {
  const newest = String(Math.max(...SOURCES.map((path) => newestIn(join(ROOT, path)))));
  const isThere =
    existsSync(join(ROOT, 'server/dist/main.js')) && existsSync(join(ROOT, 'web/dist/browser/index.html'));
  if (isThere && readStamp('built') === newest) return;
  console.log('Building. This happens after each change of the program.');
  execFileSync(process.execPath, ['scripts/build.mjs'], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  writeStamp('built', newest);
}

/** What is built is not to be started any more. */
export function forgetBuild() {
  writeStamp('built', '');
}

/**
 * Debian's Chromium for the browser tests; installed when missing and allowed, otherwise the one command is
 * said.
 */
export function chromiumIfNeeded() {
  const at = process.env['CHROMIUM'] ?? '/usr/bin/chromium';
  if (existsSync(at)) return;
  if (process.getuid?.() !== 0 || spawnSync('apt-get', ['--version']).status !== 0) {
    console.error(
      `The browser tests need Chromium at ${at}. Install it with: sudo apt-get install -y chromium (or set CHROMIUM to where it is).`,
    );
    process.exit(1);
  }
  console.log('Installing Chromium for the browser tests.');
  run('apt-get', ['-qq', 'update']);
  run('apt-get', ['-qq', 'install', '-y', '--no-install-recommends', 'chromium'], {
    DEBIAN_FRONTEND: 'noninteractive',
  });
}

function run(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, ...env },
  });
  if (status === 0) return;
  console.error(
    error?.code === 'ENOSPC'
      ? 'The disk is full. Make room and try again.'
      : `'${command} ${args.join(' ')}' failed. Is the network to the registry there, and room on the disk?`,
  );
  process.exit(1);
}

function newestIn(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return readdirSync(path, { withFileTypes: true }).reduce(
    (newest, entry) => Math.max(newest, newestIn(join(path, entry.name))),
    0,
  );
}

function readStamp(name) {
  return existsSync(join(STAMPS, name)) ? readFileSync(join(STAMPS, name), 'utf8') : undefined;
}

function writeStamp(name, text) {
  mkdirSync(STAMPS, { recursive: true });
  writeFileSync(join(STAMPS, name), text);
}
