import { spawn } from 'node:child_process';
import { buildIfNeeded, installIfNeeded, refuseOldNode } from './prepare.mjs';

/**
 * `npm run backup` writes everything into one file, `npm run restore -- FILE` brings it back. `npm run demo`,
 * `npm start`, `npm run dev`: from a fresh clone to a running server. Options after `--` go to the server.
 */
const [verb = 'start', ...options] = process.argv.slice(2);

const FLAGS = { demo: ['--demo'], dev: ['--demo'], backup: ['--backup'], restore: ['--restore'] };

refuseOldNode();
installIfNeeded();
buildIfNeeded();

const children = [
  spawn(process.execPath, ['server/dist/main.js', ...(FLAGS[verb] ?? []), ...options], { stdio: 'inherit' }),
];
if (verb === 'dev')
  children.push(
    spawn(
      process.execPath,
      ['../node_modules/@angular/cli/bin/ng.js', 'build', '--watch', '--configuration', 'development'],
      { cwd: 'web', stdio: 'inherit' },
    ),
  );

for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    for (const child of children) child.kill(signal);
  });
children[0].on('exit', (code) => {
  for (const child of children.slice(1)) child.kill();
  process.exit(code ?? 0);
});
