const KEPT_MS = 10_000;

/** Gives a text to the person as a file. */
export function saveFile(name: string, type: string, text: string): void {
  const link = document.createElement('a');
  const address = URL.createObjectURL(new Blob([text], { type }));
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => {
    URL.revokeObjectURL(address);
  }, KEPT_MS);
}
