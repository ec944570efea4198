/** A browser's own texts by key, for specs: put in the place of `localStorage`. It can be full. */
export class LocalTexts {
  readonly texts = new Map<string, string>();
  isFull = false;

  get length(): number {
    return this.texts.size;
  }

  key(at: number): string | null {
    return [...this.texts.keys()][at] ?? null;
  }

  getItem(key: string): string | null {
    return this.texts.get(key) ?? null;
  }

  setItem(key: string, text: string): void {
    if (this.isFull) throw new DOMException('full', 'QuotaExceededError');
    this.texts.set(key, text);
  }

  removeItem(key: string): void {
    this.texts.delete(key);
  }
}

/** @returns the texts that stand for this page's from now on */
export function fakeLocalStorage(): LocalTexts {
  const value = new LocalTexts();
  Object.defineProperty(globalThis, 'localStorage', { value, configurable: true });
  return value;
}
