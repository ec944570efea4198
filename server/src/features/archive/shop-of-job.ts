import type { ArchiveShop } from '@yellow-pane/contracts';
import { archiveShopSchema } from '@yellow-pane/contracts';
import type { Database, Transaction } from '../../db/database';
import { customer, person, roll } from '../../db/schema';
import { readFilms } from '../films/queries';

const UUID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g;

/** Every identifier that stands in a text of JSON. */
const idsIn = (text: string): ReadonlySet<string> => new Set(text.match(UUID) ?? []);

/** The same text with identifiers replaced, wherever they stand. */
export const withIds = (text: string, ids: ReadonlyMap<string, string>): string =>
  ids.size === 0 ? text : text.replace(UUID, (id) => ids.get(id) ?? id);

const bare = (row: object, kept: readonly string[]): unknown =>
  Object.fromEntries(Object.entries(row).filter(([key]) => !kept.includes(key)));
const META = ['id', 'version', 'removed', 'changedBy', 'changedById', 'changedAt'];

/** The films, rolls, people and customers a job speaks of, and the films those rolls are of. */
export async function shopOf(db: Database | Transaction, rowsText: string): Promise<ArchiveShop> {
  const named = idsIn(rowsText);
  const rolls = (await db.select().from(roll)).filter(({ id }) => named.has(id));
  const ofRolls = new Set(rolls.map(({ filmId }) => filmId));
  const films = (await readFilms(db)).filter(({ id }) => named.has(id) || ofRolls.has(id));
  const people = (await db.select().from(person)).filter(({ id }) => named.has(id));
  const customers = (await db.select().from(customer)).filter(({ id }) => named.has(id));
  return archiveShopSchema.parse({
    films: films.map((own) => ({ id: own.id, film: bare(own, META) })),
    rolls: rolls.map((own) => ({ id: own.id, roll: bare(own, META) })),
    people: people.map((own) => ({ id: own.id, person: bare(own, META) })),
    customers: customers.map((own) => ({ id: own.id, customer: bare(own, META) })),
  });
}
