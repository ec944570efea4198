import { spawn } from 'node:child_process';
import { context } from 'esbuild';
import { SERVER_BUILD } from './server-build.mjs';

/**
 * The demo while one works on it: pages are built again on every change, and the server is built again and
 * started anew.
 * @param options for the server
 */
export async function develop(options) {
  let server;
  let isEnding = false;
  let isStopping = false;
  const start = () => {
    server = spawn(process.execPath, ['server/dist/main.js', '--demo', ...options], { stdio: 'inherit' });
  };
  const restart = () => {
    if (isEnding || isStopping) return;
    if (server === undefined || server.exitCode !== null) {
      start();
      return;
    }
    // It gives the data folder and the port back before the next one wants them.
    isStopping = true;
    server.once('exit', () => {
      isStopping = false;
      start();
    });
    server.kill('SIGTERM');
  };
  const pages = spawn(
    process.execPath,
    ['../node_modules/@angular/cli/bin/ng.js', 'build', '--watch', '--configuration', 'development'],
    { cwd: 'web', stdio: 'inherit', env: { ...process.env, NG_CLI_ANALYTICS: 'false' } },
  );
  const watching = await context({
    ...SERVER_BUILD,
    plugins: [
      ...SERVER_BUILD.plugins,
      {
        name: 'restart',
        setup({ onEnd }) {
          onEnd(({ errors }) => {
            if (errors.length === 0) restart();
          });
        },
      },
    ],
  });
  await watching.watch();
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.once(signal, () => {
      isEnding = true;
      pages.kill();
      server?.kill(signal);
      void watching.dispose();
    });
}
