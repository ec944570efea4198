/** The moment every story begins, for server and page alike: no story may depend on the day it runs.
 *  `npm run bench -- days` sets another. */
export const NOW = process.env['STORIES_AT'] ?? '2026-11-26T08:20:00.000Z';
export const ZONE = 'Europe/Zurich';
