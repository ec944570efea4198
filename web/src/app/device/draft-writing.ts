import { allAhead, doneAhead, noteAhead } from './ahead';
import { type DraftRecord, browserStore } from './browser-store';

const AHEAD = 'drafts';
const MOST_WAIT_MS = 1500;

/** Writes drafts into the browser one after the other, each noted ahead until the browser has it. */
export class DraftWriting {
  #turn: Promise<unknown> = Promise.resolve();

  /** @param told after each write, whether the browser took it */
  constructor(private readonly told: (isKept: boolean) => void) {}

  inTurn(write: () => Promise<unknown>): void {
    this.#turn = this.#turn.then(write).then(
      () => {
        this.told(true);
      },
      () => {
        this.told(false);
      },
    );
  }

  keep(record: DraftRecord, noted = noteAhead(AHEAD, record.key, record)): void {
    this.inTurn(async () => {
      await (await browserStore()).put('drafts', record);
      doneAhead(AHEAD, record.key, noted);
    });
  }

  drop(key: string, noted = noteAhead(AHEAD, key, null)): void {
    this.inTurn(async () => {
      await (await browserStore()).delete('drafts', key);
      doneAhead(AHEAD, key, noted);
    });
  }

  /** When all that was typed so far is kept, or refused. */
  async settled(): Promise<void> {
    await this.#turn;
  }
}

/** A draft that was on its way into the browser when the page was left; without a record it was to go. */
interface DraftAhead {
  readonly key: string;
  readonly noted: string;
  readonly record: DraftRecord | undefined;
}

/**
 * What was kept, and what was on its way into the browser when the page was left; a browser that does not
 * answer is not waited for.
 */
export async function keptDrafts(): Promise<{
  readonly records: readonly DraftRecord[];
  readonly ahead: readonly DraftAhead[];
}> {
  const read = browserStore()
    .then((kept) => kept.getAll('drafts'))
    .catch((): readonly DraftRecord[] => []);
  const late = new Promise<readonly DraftRecord[]>((done) => {
    setTimeout(() => {
      done([]);
    }, MOST_WAIT_MS);
  });
  const ahead = [...allAhead(AHEAD)].map(([key, noted]) => ({ key, noted, record: recordOf(noted) }));
  const overtaken = new Set(ahead.map(({ key }) => key));
  const records = [
    ...(await Promise.race([read, late])).filter(({ key }) => !overtaken.has(key)),
    ...ahead.flatMap(({ record }) => record ?? []),
  ];
  return { records, ahead };
}

/** As noted ahead; undefined when it was to be forgotten. */
function recordOf(noted: string): DraftRecord | undefined {
  return (JSON.parse(noted) as DraftRecord | null) ?? undefined;
}
