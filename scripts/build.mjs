import { execFileSync } from 'node:child_process';
import { build } from 'esbuild';
import { SERVER_BUILD } from './server-build.mjs';

/** Builds the server with esbuild and the pages with Angular. */
const started = Date.now();
await build(SERVER_BUILD);
if (!process.argv.includes('--server'))
  execFileSync(process.execPath, ['../node_modules/@angular/cli/bin/ng.js', 'build'], {
    cwd: 'web',
    stdio: 'inherit',
    env: { ...process.env, NG_CLI_ANALYTICS: 'false' },
  });
console.log(`built in ${((Date.now() - started) / 1000).toFixed(1)} s`);
