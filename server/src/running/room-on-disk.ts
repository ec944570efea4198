import { existsSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Less than this left on the disk: what is written next may not find room. */
const LEAST_FREE_BYTES = 32 * 2 ** 20;
/** Less than that, so that giving it away does not look like room. */
const RESERVE_BYTES = 24 * 2 ** 20;

/**
 * The room on the disk of a data folder, with a piece of it held back: given away when the database needs
 * some to open again.
 */
export class RoomOnDisk {
  readonly #folder: string;
  readonly #reserve: string;

  constructor(folder: string) {
    this.#folder = folder;
    this.#reserve = join(folder, 'reserve');
  }

  has(): boolean {
    return this.#free_bytes() > LEAST_FREE_BYTES;
  }

  /** Holds the piece back, while there is plenty. */
  hold(): void {
    if (existsSync(this.#reserve) || this.#free_bytes() < LEAST_FREE_BYTES + 2 * RESERVE_BYTES) return;
    try {
      writeFileSync(this.#reserve, Buffer.alloc(RESERVE_BYTES, 1));
    } catch {
      rmSync(this.#reserve, { force: true });
    }
  }

  giveAway(): void {
    rmSync(this.#reserve, { force: true });
  }

  #free_bytes(): number {
    const { bavail, bsize } = statfsSync(this.#folder);
    return bavail * bsize;
  }
}
