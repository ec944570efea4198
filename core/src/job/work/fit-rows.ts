/** A person has said that what a step left to wait for is over. That time has passed is never kept. */
export interface WaitEnd {
  readonly applicationId: string;
  /** Key of the step it follows. */
  readonly step: string;
  readonly endedAt: string;
  /** Felt to be over; or before it can be. */
  readonly how: 'by hand' | 'early';
  readonly reason: string;
}

/** What somebody found when one thing was looked at before the work. */
export interface GateTick {
  readonly applicationId: string;
  /** Key of what was looked at. */
  readonly check: string;
  readonly answer: 'right' | 'not right';
  /** Why it may go on although it is not right; empty: nobody has said. */
  readonly word: string;
  /** By the clock of the device it was looked at with. */
  readonly lookedAt: string;
}

export const QUANTITIES = [
  'surface temperature',
  'room temperature',
  'film temperature',
  'humidity',
  'wall moisture',
  'distance',
  'length',
  'mass',
  'light',
] as const;
export type Quantity = (typeof QUANTITIES)[number];

/** What a thermometer or meter was set to when it was read; null: nobody said. */
interface ReadingSettings {
  readonly emissivity: number | null;
  readonly reflected_C: number | null;
  readonly distance_mm: number | null;
  readonly angle_deg: number | null;
  readonly secondsSinceGun: number | null;
}

export const READING_INSTRUMENTS = [
  'infrared thermometer',
  'thermometer',
  'hygrometer',
  'damp meter',
  'rule',
  'scales',
  'light meter',
] as const;

/** What an instrument showed, on a surface and at a step. */
export interface Reading {
  readonly surfaceId: string;
  readonly applicationId: string | null;
  readonly step: string | null;
  readonly markId: string | null;
  readonly quantity: Quantity;
  readonly instrument: (typeof READING_INSTRUMENTS)[number];
  /** As typed or sent. */
  readonly shown: string;
  /** °C, percent, mm, g or lx, by its quantity. */
  readonly value: number;
  readonly settings: ReadingSettings;
  /** What it is once the settings are calculated with; null: not calculated. */
  readonly corrected: number | null;
  /** Either way, of the corrected value; null: not known. */
  readonly plusMinus: number | null;
  /** Where on the surface, as it is seen. */
  readonly x_nm: number | null;
  readonly y_nm: number | null;
}

export const MARK_LOOKS = [
  'not said',
  'speck',
  'bubble',
  'water pocket',
  'air bubble',
  'finger',
  'line',
  'crease',
  'gap',
  'edge lifts',
  'scratch',
  'film scratch',
  'glass scratch',
  'crack',
] as const;
export type MarkLook = (typeof MARK_LOOKS)[number];

/** Three plain questions to a bubble: pressed through a cloth, warmed, looked at. */
export interface PocketTests {
  readonly press: 'creeps away' | 'springs back' | 'does not move' | 'not tried';
  readonly warm: 'smaller' | 'the same' | 'larger' | 'not tried';
  readonly shape:
    'alone' | 'in a line along strokes' | 'joined to an edge' | 'brown or white rim' | 'not tried';
}

export const NOT_TRIED: PocketTests = { press: 'not tried', warm: 'not tried', shape: 'not tried' };

/** Something seen on a surface that is to be judged. */
export interface Mark {
  readonly surfaceId: string;
  readonly applicationId: string | null;
  readonly step: string | null;
  readonly look: MarkLook;
  readonly x_nm: number | null;
  readonly y_nm: number | null;
  readonly size_nm: number | null;
  readonly length_nm: number | null;
  readonly firstSeenAt: string;
  readonly from: 'fit' | 'check' | 'phone' | 'customer';
  readonly note: string;
  readonly tests: PocketTests;
  readonly goneAt: string | null;
}
