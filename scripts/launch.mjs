import { spawn } from 'node:child_process';
import { buildIfNeeded, forgetBuild, installIfNeeded, refuseOldNode } from './prepare.mjs';

/**
 * `npm run backup` writes everything into one file, `npm run restore -- FILE` brings it back. `npm run demo`,
 * `npm start`, `npm run dev`: from a fresh clone to a running server. Options after `--` go to the server.
 */
const [verb = 'start', ...options] = process.argv.slice(2);

const FLAGS = { demo: ['--demo'], backup: ['--backup'], restore: ['--restore'] };

refuseOldNode();
installIfNeeded();
if (verb === 'dev') {
  // Its pages are a development build: whoever starts next builds again.
  forgetBuild();
  const { develop } = await import('./dev.mjs');
  await develop(options);
} else {
  buildIfNeeded();
  run([...(FLAGS[verb] ?? []), ...options]);
}

function run(args) {
  const server = spawn(process.execPath, ['server/dist/main.js', ...args], { stdio: 'inherit' });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
}
