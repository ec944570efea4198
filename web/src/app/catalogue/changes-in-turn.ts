interface Versioned {
  readonly id: string;
  readonly version: number;
}

/**
 * Changes of rows that the server keeps by version. Each is sent when the one before it is answered and
 * stands on what that made, so two quick ones do not meet each other; a colleague's change between them is
 * still met.
 */
export class ChangesInTurn<Row extends Versioned> {
  readonly #made = new Map<string, Row>();
  #before: Promise<unknown> = Promise.resolve();

  /** @param send sends the change made to a row, and says which row stands there then */
  take<Answer>(
    of: Row,
    send: (base: Row) => Promise<{ readonly answer: Answer; readonly made: Row | undefined }>,
  ): Promise<Answer> {
    const sent = this.#before.then(async () => {
      const base = this.#latestOf(of);
      const { answer, made } = await send(base);
      if (made !== undefined) this.#made.set(keyOf(base), made);
      return answer;
    });
    this.#before = sent.catch(() => undefined);
    return sent;
  }

  #latestOf(row: Row): Row {
    const next = this.#made.get(keyOf(row));
    return next === undefined ? row : this.#latestOf(next);
  }
}

const keyOf = ({ id, version }: Versioned): string => `${id} ${version}`;
