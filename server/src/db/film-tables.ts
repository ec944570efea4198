import type {
  FilmConstruction,
  FilmDirection,
  FilmFace,
  FilmFamily,
  FilmLaying,
  InitialTack,
  Roll,
} from '@yellow-pane/core/job';
import { boolean, doublePrecision, integer, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import type { FilmSheetType } from '@yellow-pane/contracts';
import { bytes, nm } from './columns';
import { changedInShop } from './people-tables';

export const film = pgTable('film', {
  id: uuid().primaryKey(),
  version: integer().notNull(),
  ...changedInShop(),
  name: text().notNull(),
  family: text().$type<FilmFamily>().notNull(),
  use: text().notNull(),
  thickness_um: doublePrecision().notNull(),
  direction: text().$type<FilmDirection>().notNull(),
  referenceGlass: text().notNull(),
  uvTransmitted: doublePrecision(),
  visibleTransmitted: doublePrecision(),
  visibleReflectedRoom: doublePrecision(),
  visibleReflectedOutside: doublePrecision(),
  solarTransmitted: doublePrecision(),
  solarReflected: doublePrecision(),
  solarReflectedRoom: doublePrecision(),
  haze: doublePrecision(),
  coverage: doublePrecision(),
  opening_nm: nm(),
  repeat_nm: nm(),
  emissivity: doublePrecision(),
  workMin_C: doublePrecision(),
  workMax_C: doublePrecision(),
  face: text().$type<FilmFace>().notNull().default('room side'),
  laying: text().$type<FilmLaying>().notNull().default('wet'),
  claims: text().notNull().default(''),
  handling: text().notNull(),
  invented: boolean().notNull(),
  construction: text().$type<FilmConstruction>(),
  tack: text().$type<InitialTack>(),
  vapourRate_gm2day: doublePrecision(),
  permeability_gmm: doublePrecision(),
  metalOpen: doublePrecision(),
  shrinkAlong: doublePrecision(),
  shrinkAcross: doublePrecision(),
  shrinkAt_C: doublePrecision(),
  shrinkEasy: doublePrecision(),
  shrinkHard: doublePrecision(),
  shrinkLimit: doublePrecision(),
  strainCareful: doublePrecision(),
  strainLimit: doublePrecision(),
  tensionMin_C: doublePrecision(),
  tensionMax_C: doublePrecision(),
  postHeat_C: doublePrecision(),
  postHeat_s: doublePrecision(),
});

export const filmWidth = pgTable(
  'film_width',
  {
    filmId: uuid()
      .notNull()
      .references(() => film.id),
    width_nm: nm().notNull(),
  },
  (t) => [primaryKey({ columns: [t.filmId, t.width_nm] })],
);

/** A roll or an offcut brought in by hand; what is left of it is in the ledger. */
export const roll = pgTable('roll', {
  id: uuid().primaryKey(),
  version: integer().notNull(),
  ...changedInShop(),
  filmId: uuid()
    .notNull()
    .references(() => film.id),
  what: text().$type<Roll['what']>().notNull(),
  label: text().notNull(),
  lot: text().notNull(),
  width_nm: nm().notNull(),
  length_nm: nm().notNull(),
  perMetre: doublePrecision(),
  leftEdge: boolean().notNull(),
  rightEdge: boolean().notNull(),
  where: text().notNull(),
  gone: boolean().notNull(),
});

/** The data sheet of a film as its maker gives it out. */
export const filmSheet = pgTable('film_sheet', {
  filmId: uuid()
    .primaryKey()
    .references(() => film.id),
  ...changedInShop(),
  name: text().notNull(),
  type: text().$type<FilmSheetType>().notNull(),
  data: bytes().notNull(),
});
