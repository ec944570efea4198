import type { PGlite } from '@electric-sql/pglite';
import { NodeFS } from '@electric-sql/pglite/nodefs';
import {
  closeSync,
  cpSync,
  fdatasyncSync,
  fsyncSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
} from 'node:fs';
import { dirname, join } from 'node:path';

/** What of the database's files is asked of here: the rest is the package's own. */
interface FilesOfDatabase {
  readonly NODEFS: {
    readonly realPath: (node: unknown) => string;
    readonly stream_ops: { fsync?: (stream: { readonly nfd?: number; readonly node: unknown }) => number };
  };
}

type Prepared = Awaited<ReturnType<NodeFS['init']>>;

/**
 * A folder for a database whose files reach the disk when the database says so. The package leaves that out:
 * what was committed would be in the system's memory alone, and gone with a power cut.
 */
export class DurableFolder extends NodeFS {
  readonly #named = new Set<string>();
  readonly #synced: (path: string) => void;

  /** @param synced told of each file that has reached the disk, and of each folder whose names have */
  constructor(folder: string, synced: (path: string) => void = () => undefined) {
    super(folder);
    this.#synced = synced;
  }

  override async init(client: PGlite, options: Parameters<NodeFS['init']>[1]): Promise<Prepared> {
    const prepared = await super.init(client, options);
    const { emscriptenOpts } = prepared;
    return {
      ...prepared,
      emscriptenOpts: {
        ...emscriptenOpts,
        preRun: [
          ...(emscriptenOpts.preRun ?? []),
          (files: unknown) => {
            this.prepare(files as FilesOfDatabase);
          },
        ],
      },
    };
  }

  protected prepare({ NODEFS }: FilesOfDatabase): void {
    NODEFS.stream_ops.fsync = ({ nfd, node }) => {
      if (nfd === undefined) return 0;
      /** All that is needed to find the data again, the length too; not the hour of the writing. */
      fdatasyncSync(nfd);
      const path = NODEFS.realPath(node);
      this.#synced(path);
      if (!this.#named.has(path)) this.#syncName(path);
      return 0;
    };
  }

  /** A new file is only found again when the folder that names it has reached the disk too. */
  #syncName(path: string): void {
    this.#named.add(path);
    const folder = dirname(path);
    syncPath(folder);
    this.#synced(folder);
  }
}

/** Copies a folder to another place, whole or not at all; what stood there gives way. */
export function copyWhole(from: string, to: string): void {
  const draft = `${to}.unfinished`;
  rmSync(draft, { recursive: true, force: true });
  cpSync(from, draft, { recursive: true });
  syncTree(draft);
  rmSync(to, { recursive: true, force: true });
  renameSync(draft, to);
}

/** Makes a whole folder reach the disk: one that was made, copied or unpacked file by file. */
export function syncTree(folder: string): void {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) syncTree(path);
    else syncPath(path);
  }
  syncPath(folder);
}

function syncPath(path: string): void {
  try {
    const open = openSync(path, 'r');
    fsyncSync(open);
    closeSync(open);
  } catch {
    /* Systems that do not open folders write names through by themselves. */
  }
}
