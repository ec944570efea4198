import { execFileSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { build } from 'esbuild';
import { SERVER_BUILD } from './server-build.mjs';

/** Builds the server with esbuild and the pages with Angular. */
const started = Date.now();
await build(SERVER_BUILD);
/** What a first start begins with: making one takes seconds and half a gigabyte. */
const EMPTY_DATABASE = 'server/dist/empty-database';
rmSync(EMPTY_DATABASE, { recursive: true, force: true });
execFileSync(process.execPath, ['server/dist/main.js', '--make-database', EMPTY_DATABASE], {
  stdio: 'inherit',
});
if (!process.argv.includes('--server'))
  execFileSync(process.execPath, ['../node_modules/@angular/cli/bin/ng.js', 'build'], {
    cwd: 'web',
    stdio: 'inherit',
    env: { ...process.env, NG_CLI_ANALYTICS: 'false' },
  });
console.log(`built in ${((Date.now() - started) / 1000).toFixed(1)} s`);
