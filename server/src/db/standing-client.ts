import { PGlite } from '@electric-sql/pglite';

/** Internal fault, or the disk would not take or give: what is in memory cannot be trusted any more. */
const BEYOND_REPAIR: ReadonlySet<string> = new Set(['XX000', '58030']);

/** Asked after the database had given up: it would never answer again. */
class DatabaseLost extends Error {
  constructor(cause: unknown) {
    super('The database gave up in the middle of a write and is being opened again.', { cause });
    this.name = 'DatabaseLost';
  }
}

/**
 * A database that is asked nothing more once it has given up: another question would hang the whole program.
 */
export class MortalClient extends PGlite {
  #end: { readonly cause: unknown } | undefined;

  get isLost(): boolean {
    return this.#end !== undefined;
  }

  override execProtocolRawSync(message: Uint8Array): Uint8Array {
    if (this.#end !== undefined) throw new DatabaseLost(this.#end.cause);
    try {
      return super.execProtocolRawSync(message);
    } catch (cause) {
      this.#end = { cause };
      throw cause;
    }
  }

  override async execProtocol(
    ...asked: Parameters<PGlite['execProtocol']>
  ): ReturnType<PGlite['execProtocol']> {
    return this.#watched(super.execProtocol(...asked));
  }

  override async execProtocolStream(
    ...asked: Parameters<PGlite['execProtocolStream']>
  ): ReturnType<PGlite['execProtocolStream']> {
    return this.#watched(super.execProtocolStream(...asked));
  }

  async #watched<Answer>(answer: Promise<Answer>): Promise<Answer> {
    try {
      return await answer;
    } catch (error) {
      const { severity, code } = error as { readonly severity?: string; readonly code?: string };
      if (severity === 'PANIC' || severity === 'FATAL' || BEYOND_REPAIR.has(code ?? ''))
        this.#end ??= { cause: error };
      throw error;
    }
  }
}

/**
 * The database as the program knows it: when it has given up, it is opened anew from its folder before the
 * next question. What was acknowledged is in the folder.
 */
export class StandingClient {
  readonly #open: () => Promise<MortalClient>;
  #client: MortalClient;
  #again: Promise<void> | undefined;

  /** @param open opens the database from its folder */
  constructor(client: MortalClient, open: () => Promise<MortalClient>) {
    this.#client = client;
    this.#open = open;
  }

  async query<Row>(
    ...asked: Parameters<PGlite['query']>
  ): Promise<Awaited<ReturnType<typeof PGlite.prototype.query<Row>>>> {
    return (await this.#standing()).query<Row>(...asked);
  }

  async exec(...asked: Parameters<PGlite['exec']>): ReturnType<PGlite['exec']> {
    return (await this.#standing()).exec(...asked);
  }

  async transaction<Answer>(
    work: Parameters<typeof PGlite.prototype.transaction<Answer>>[0],
  ): Promise<Answer> {
    return (await this.#standing()).transaction(work);
  }

  async dumpDataDir(...asked: Parameters<PGlite['dumpDataDir']>): ReturnType<PGlite['dumpDataDir']> {
    return (await this.#standing()).dumpDataDir(...asked);
  }

  async close(): Promise<void> {
    if (!this.#client.isLost && !this.#client.closed) await this.#client.close();
  }

  async #standing(): Promise<MortalClient> {
    if (!this.#client.isLost) return this.#client;
    this.#again ??= this.#open()
      .then((client) => {
        this.#client = client;
      })
      .finally(() => {
        this.#again = undefined;
      });
    await this.#again;
    return this.#client;
  }
}
