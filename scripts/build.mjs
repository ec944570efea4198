import { execFileSync } from 'node:child_process';
import { build } from 'esbuild';

/**
 * Builds the server and its search threads into a file each (own packages inlined, npm ones left outside) and
 * the pages with Angular.
 */
const started = Date.now();
await build({
  entryPoints: {
    main: 'server/src/main.ts',
    'search-thread': 'server/src/features/reckon/search/search-thread.ts',
  },
  outdir: 'server/dist',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  logLevel: 'warning',
  plugins: [
    {
      name: 'npm-outside',
      setup({ onResolve }) {
        onResolve({ filter: /^[^./]/ }, ({ path }) =>
          path.startsWith('@yellow-pane/') ? undefined : { path, external: true },
        );
      },
    },
  ],
});
if (!process.argv.includes('--server'))
  execFileSync(process.execPath, ['../node_modules/@angular/cli/bin/ng.js', 'build'], {
    cwd: 'web',
    stdio: 'inherit',
    env: { ...process.env, NG_CLI_ANALYTICS: 'false' },
  });
console.log(`built in ${((Date.now() - started) / 1000).toFixed(1)} s`);
