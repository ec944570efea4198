import { execFileSync } from 'node:child_process';
import { build } from 'esbuild';

/** Builds the server into one file (own packages inlined, npm ones left outside) and the pages with Angular. */
const started = Date.now();
await build({
  entryPoints: ['server/src/main.ts'],
  outfile: 'server/dist/main.js',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  logLevel: 'warning',
  plugins: [{ name: 'npm-outside', setup({ onResolve }) { onResolve({ filter: /^[^./]/ }, ({ path }) => (path.startsWith('@yellow-pane/') ? undefined : { path, external: true })); } }],
});
if (!process.argv.includes('--server')) execFileSync(process.execPath, ['../node_modules/@angular/cli/bin/ng.js', 'build'], { cwd: 'web', stdio: 'inherit', env: { ...process.env, NG_CLI_ANALYTICS: 'false' } });
console.log(`built in ${((Date.now() - started) / 1000).toFixed(1)} s`);
