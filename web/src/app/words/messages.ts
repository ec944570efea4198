/** A figure already in the reader's units, or a count. */
export type Figure = string | number;

/** What the page says: a sentence, or one that is given its figures, names and other parts. */
export type Messages = Readonly<Record<string, string | ((...told: never[]) => string)>>;
