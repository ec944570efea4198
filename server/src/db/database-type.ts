import type { PgliteDatabase } from 'drizzle-orm/pglite';
import type * as schema from './schema';

export type Database = PgliteDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
