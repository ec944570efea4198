import { v7 } from 'uuid';
import { readKept, writeKept } from './keep';

const KEY = 'sessions';
let known: Readonly<Record<string, string>> | undefined;

/**
 * What the server tells one's own changes by: this browser and this person, in all its tabs and after every
 * reload. It never sets them against each other.
 */
export function sessionOf(who: string): string {
  const kept = readKept(KEY);
  const sessions = {
    ...known,
    ...(typeof kept === 'object' && kept !== null ? (kept as Record<string, string>) : {}),
  };
  const own = sessions[who] ?? v7();
  known = { ...sessions, [who]: own };
  if (sessions[who] === undefined) writeKept(KEY, known);
  return own;
}

/** A fresh identifier, ordered by time, made here so that sending twice is done once. */
export function newId(): string {
  return v7();
}
