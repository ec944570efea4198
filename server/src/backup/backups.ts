import { mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { OpenDatabase } from '../db/database';
import { writeBackupFile } from './backup-file';

export interface BackupSettings {
  /** Where they lie. */
  readonly folder: string;
  /** So many are kept, the oldest leave. */
  readonly most: number;
}

export interface BackupFacts {
  readonly name: string;
  readonly madeAt: string;
  readonly bytes: number;
}

const NAME = /^yellow-pane-(\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d-\d{3}Z)\.backup$/;
const DAY_MS = 24 * 3_600_000;
const LOOK_MS = 3_600_000;

/** Backups of the whole database while work goes on: made when asked, and once a day. */
export class Backups {
  readonly #database: Pick<OpenDatabase, 'backUp'>;
  readonly #clock: () => Date;
  readonly settings: BackupSettings;
  #turn: Promise<unknown> = Promise.resolve();
  /** Asked for and not begun. */
  #waiting: Promise<BackupFacts> | undefined;

  constructor(database: Pick<OpenDatabase, 'backUp'>, settings: BackupSettings, clock: () => Date) {
    this.#database = database;
    this.settings = settings;
    this.#clock = clock;
  }

  /** The newest first. */
  all(): readonly BackupFacts[] {
    try {
      return readdirSync(this.settings.folder)
        .filter((name) => NAME.test(name))
        .sort()
        .reverse()
        .map((name) => ({
          name,
          madeAt: instantIn(name),
          bytes: statSync(join(this.settings.folder, name)).size,
        }));
    } catch {
      return [];
    }
  }

  /**
   * Makes one, one after another, and lets the oldest go. Whoever asks while one waits for its turn gets that
   * one.
   */
  make(): Promise<BackupFacts> {
    if (this.#waiting !== undefined) return this.#waiting;
    const next = this.#turn
      .catch(() => undefined)
      .then(() => {
        this.#waiting = undefined;
        return this.#make();
      });
    this.#waiting = next;
    this.#turn = next;
    return next;
  }

  /** Makes one whenever the newest is a day old. @returns the function that ends it */
  daily(failed: (error: unknown) => void): () => void {
    const look = (): void => {
      const newest = this.all()[0];
      if (newest === undefined || this.#clock().getTime() - Date.parse(newest.madeAt) >= DAY_MS)
        this.make().catch(failed);
    };
    const first = setTimeout(look, 10_000);
    const timer = setInterval(look, LOOK_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }

  async #make(): Promise<BackupFacts> {
    const { folder, most } = this.settings;
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const madeAt = this.#clock().toISOString();
    const name = `yellow-pane-${madeAt.replace(/[:.]/g, '-')}.backup`;
    const { payload, counts } = await this.#database.backUp();
    writeBackupFile(join(folder, name), payload, { madeAt, counts });
    for (const { name: old } of this.all().slice(most)) rmSync(join(folder, old), { force: true });
    return { name, madeAt, bytes: statSync(join(folder, name)).size };
  }
}

function instantIn(name: string): string {
  return (NAME.exec(name)?.[1] ?? '').replace(/T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z/, 'T$1:$2:$3.$4Z');
}
