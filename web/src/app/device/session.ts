import { v7 } from 'uuid';

/** One opening of one browser tab. The server never sets it against itself. */
export const SESSION: string = v7();

/** A fresh identifier, ordered by time, made here so that sending twice is done once. */
export function newId(): string {
  return v7();
}
