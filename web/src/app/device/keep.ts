const PREFIX = 'yellow-pane.';

/**
 * Something kept in this browser, as it was written; undefined when there is nothing or it cannot be read.
 */
export function readKept(key: string): unknown {
  try {
    const text = localStorage.getItem(PREFIX + key);
    return text === null ? undefined : JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** Keeps something in this browser; `undefined` forgets it.
 *  @returns false when the browser refuses (full, or storage switched off) */
export function writeKept(key: string, value: unknown): boolean {
  try {
    if (value === undefined) localStorage.removeItem(PREFIX + key);
    else localStorage.setItem(PREFIX + key, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}
