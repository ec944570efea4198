import type { MadeBy, PersonRow } from '@yellow-pane/contracts';
import { type Person, newPerson } from '@yellow-pane/core/job';
import { asc, eq } from 'drizzle-orm';
import type { Database, Transaction } from '../../db/database';
import { person } from '../../db/schema';
import { Refusal } from '../../http/refusal';

/** The people of the shop, by name. */
export async function readPeople(db: Database | Transaction): Promise<readonly PersonRow[]> {
  const people = await db.select().from(person).orderBy(asc(person.name), asc(person.id));
  return people.map((row) => ({ ...row, changedAt: row.changedAt.toISOString() }));
}

/** By whom a row of the shop was changed, as its columns; whoever is not known yet is from now on. */
export async function changedBy(
  tx: Database | Transaction,
  by: MadeBy,
  at: Date,
): Promise<{ readonly changedBy: string; readonly changedById: string | null; readonly changedAt: Date }> {
  await introduce(tx, by, at);
  return { changedBy: by.who, changedById: by.personId ?? null, changedAt: at };
}

/** Makes the person known whom a change names, if that is news: a device may have had no server till now. */
export async function introduce(
  tx: Database | Transaction,
  { who, personId }: MadeBy,
  at: Date,
): Promise<void> {
  if (personId == null) return;
  await tx
    .insert(person)
    .values({ id: personId, version: 1, changedBy: who, changedAt: at, ...newPerson(who) })
    .onConflictDoNothing();
}

interface Saving {
  readonly id: string;
  readonly person: Person;
  readonly by: MadeBy;
  readonly at: Date;
  /** The version seen; absent when the person is new. */
  readonly version?: number;
}

/** Adds a person or replaces the version seen.
 *  @throws Refusal PERSON_CONFLICT when the person is there and another version was seen; PERSON_UNKNOWN */
export async function savePerson(db: Database, saving: Saving): Promise<PersonRow> {
  const { id, person: fields, by, at, version } = saving;
  return db.transaction(async (tx) => {
    const [current] = await tx.select().from(person).where(eq(person.id, id));
    if (current !== undefined && current.version !== version)
      throw new Refusal(
        'PERSON_CONFLICT',
        { path: 'If-Match', expected: String(current.version), got: String(version ?? 'nothing') },
        { current },
      );
    if (current === undefined && version !== undefined)
      throw new Refusal('PERSON_UNKNOWN', { path: 'personId', expected: 'a person of the shop', got: id });
    const isSelf = by.personId === id;
    const change = isSelf
      ? { changedBy: by.who, changedById: id, changedAt: at }
      : await changedBy(tx, by, at);
    const row = { id, version: (current?.version ?? 0) + 1, ...change, ...fields };
    if (current === undefined) await tx.insert(person).values(row);
    else await tx.update(person).set(row).where(eq(person.id, id));
    return { ...row, changedAt: at.toISOString() };
  });
}
