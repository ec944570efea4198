const PREFIX = 'yellow-pane.ahead.';

/**
 * Notes at once, and without waiting for anything, what is on its way into the browser's database: a page
 * that is left in mid-word does not wait for the database.
 * @param value null: it is to be forgotten
 * @returns what was noted, for `doneAhead`; undefined when the browser refuses, and only the database keeps
 * it
 */
export function noteAhead(kind: string, key: string, value: unknown): string | undefined {
  const noted = JSON.stringify(value);
  try {
    localStorage.setItem(PREFIX + kind + '.' + key, noted);
    return noted;
  } catch {
    return undefined;
  }
}

/** The database has it. What was noted since stays. */
export function doneAhead(kind: string, key: string, noted: string | undefined): void {
  try {
    const name = PREFIX + kind + '.' + key;
    if (localStorage.getItem(name) === noted) localStorage.removeItem(name);
  } catch {
    /* A browser that refuses has nothing to take away. */
  }
}

/** What was noted and never reached the database, as it was noted, by key. */
export function allAhead(kind: string): ReadonlyMap<string, string> {
  const noted = new Map<string, string>();
  const start = PREFIX + kind + '.';
  try {
    for (let at = 0; at < localStorage.length; at += 1) {
      const name = localStorage.key(at) ?? '';
      const text = name.startsWith(start) ? localStorage.getItem(name) : null;
      if (text !== null) noted.set(name.slice(start.length), text);
    }
  } catch {
    return noted;
  }
  return noted;
}
