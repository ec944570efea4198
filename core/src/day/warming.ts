import { type Wait, panelWarming, rollWarming } from '../waiting';

/** What comes in from the cold before a day's work. */
export interface WarmingCase {
  readonly rolls: readonly {
    readonly key: string;
    readonly word: string;
    readonly length_m: number;
    readonly film_um: number;
  }[];
  /** Glass and sheet of what is brought in, such as a car; heat held a square metre. */
  readonly panels: readonly { readonly key: string; readonly word: string; readonly store_Jm2K: number }[];
  readonly from_C: number;
  readonly room_C: number;
  readonly wrap: 'boxed' | 'bare';
  readonly coreRadius_mm: number;
}

export interface Warming {
  readonly key: string;
  readonly word: string;
  readonly wait: Wait;
}

/** Film is laid when it is so near to the room. @source own judgement */
const WITHIN_K = 2;
/** Liner and adhesive over the film itself. @source our guess: measure ten layers and divide */
export const LINER_UM = 25;
/** Density times heat of glass, a metre thick. @source soda-lime glass 2500 kg/m³, 720 J/kgK (EN 572-1) */
const GLASS_JM3K = 1.8e6;

/** Heat held by a square metre of glass. @param thickness_mm of its panes together */
export function glassStore_Jm2K(thickness_mm: number): number {
  return (GLASS_JM3K * thickness_mm) / 1000;
}

/**
 * How long everything that comes in from the cold must stand before the film goes on. In a room no warmer
 * than where it comes from nothing waits.
 * @throws CoreError WAITING_RANGE when a length, thickness or core is out of range
 */
export function warmingUp({
  rolls,
  panels,
  from_C,
  room_C,
  wrap,
  coreRadius_mm,
}: WarmingCase): readonly Warming[] {
  const start_C = Math.min(from_C, room_C);
  return [
    ...rolls.map(({ key, word, length_m, film_um }): Warming => ({
      key,
      word,
      wait: rollWarming({
        length_m,
        pitch_um: film_um + LINER_UM,
        coreRadius_mm,
        wrap,
        start_C,
        room_C,
        within_K: WITHIN_K,
      }),
    })),
    ...panels.map(({ key, word, store_Jm2K }): Warming => ({
      key,
      word,
      wait: panelWarming(start_C, room_C, WITHIN_K, store_Jm2K),
    })),
  ];
}
