import type { Signed } from '../signed';

export type Known = 'yes' | 'no' | 'unknown';

/** Written consent: who gave it, on which paper, and who noted it. */
interface Consent extends Signed {
  readonly givenBy: string;
  readonly number: string;
}

/**
 * What the place asks of those who film one surface. One row a surface; null and `unknown` are honest
 * answers.
 */
export interface SiteFacts {
  readonly surfaceId: string;
  readonly storey: number | null;
  /** Of the lower edge over the floor one stands on. */
  readonly accessHeight_nm: number | null;
  readonly reach: 'hand, card and gun' | 'hand and card' | 'not everywhere' | 'unknown';
  readonly trimOverlap_nm: number | null;
  readonly obstacles: string;
  readonly floor: string;
  readonly power: Known;
  readonly crew: 'one person' | 'two people' | 'refer it' | 'unknown';
  readonly filmFace: 'room side' | 'outside' | 'both' | 'none' | 'unknown';
  readonly sealantToCut: Known;
  /** Glass that people leave or are fetched by: rescue, escape or emergency-hammer glass. */
  readonly rescueGlass: Known;
  /** Of the operator or authority, for film on rescue glass; null: there is none. */
  readonly consent: Consent | null;
  /** Film or stickers on it that must come off first. */
  readonly oldFilm: 'none' | 'film' | 'sticker' | 'unknown';
  readonly oldFilmArea_m2: number | null;
  readonly oldFilmYears: number | null;
  readonly residue: 'none' | 'some' | 'much' | 'unknown';
  /** Degrees from level: 90 = upright. */
  readonly tilt_deg: number | null;
  /** How far a roof edge or balcony stands out over the surface, and how high above its upper edge. */
  readonly overhangDepth_nm: number | null;
  readonly overhangAbove_nm: number | null;
  /** How deep the glass lies behind the face of the wall. */
  readonly revealDepth_nm: number | null;
  /**
   * A wall, column or fin that stands out beside it: how far, and how far off its edge. Left and right as the
   * surface is seen.
   */
  readonly leftFinDepth_nm: number | null;
  readonly leftFinBeside_nm: number | null;
  readonly rightFinDepth_nm: number | null;
  readonly rightFinBeside_nm: number | null;
  /** Noted by somebody who knows the place: a hatch within a hall, a pane behind another wall. */
  readonly sun: 'reaches it' | 'never' | 'unknown';
  /** Behind the glass, on the room's side. */
  readonly blind: 'none' | 'vented' | 'close or closed' | 'unknown';
  readonly heatOutlet: 'none' | 'near or aimed at the glass' | 'unknown';
}
