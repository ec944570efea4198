import { backUpNow, restoreFrom } from './running/back-up-and-restore';
import { makeDatabase } from './running/make-database';
import { readOptions } from './running/options';
import { serve } from './running/serve';

/** What is kept is for this person alone. */
process.umask(0o077);

async function run(): Promise<void> {
  const options = readOptions();
  switch (options.doing.what) {
    case 'make a database':
      return makeDatabase(options.doing.folder);
    case 'back up':
      return backUpNow(options);
    case 'restore':
      return restoreFrom(options.doing.file, options);
    case 'serve':
      return serve(options);
  }
}

run().catch((error: unknown) => {
  const code = error instanceof Error && 'code' in error ? error.code : undefined;
  console.error(
    code === 'ENOSPC'
      ? 'The disk is full. Make room and start again; nothing that was saved is lost.'
      : error instanceof Error
        ? error.message
        : String(error),
  );
  process.exit(1);
});
