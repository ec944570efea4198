/** A danger and what to do about it, shown where the work meets it. */
export interface Caution {
  readonly key: string;
  readonly word: string;
  readonly says: string;
}

const entries = {
  blade: { word: 'Blade', says: 'Safety glasses and a cut-resistant glove on the other hand. Cap the blade when it leaves the glass.' },
  wetFloor: { word: 'Wet floor', says: 'Slip solution on the floor is slippery. Lay a cloth, wipe at once, keep the ladder feet dry.' },
  liner: { word: 'Liner', says: 'Loose liner is slippery to step on. Into the bin before the next move.' },
  largeSheet: { word: 'Large sheet', says: 'Two people: a sheet this size pulls one person off a ladder.' },
  sockets: { word: 'Spray near sockets', says: 'Mask sockets and leads or switch the circuit off. No spraying towards them.' },
  coatedFace: { word: 'Coated or toughened glass', says: 'No blade and no steel wool on a coated face; care on toughened glass. Unknown? Treat it as coated and ask the glassmaker.' },
  crackedGlass: { word: 'Cracked or chipped glass', says: 'Stop. Do not press on it. A licensed glazier decides.' },
  glassAndFilm: { word: 'Film can crack glass', says: 'Film can crack glass or end a glazing warranty. The makers of the glass and of the film decide; local codes apply.' },
  safetyFilm: { word: 'Safety film', says: 'It delays an attack, it does not stop one. Only the tested system of glass, film and fixing carries a class.' },
} as const satisfies Record<string, Omit<Caution, 'key'>>;

export type CautionKey = keyof typeof entries;

export const CAUTIONS: readonly Caution[] = Object.entries(entries).map(([key, caution]) => ({ key, ...caution }));

/** The caution of a key. */
export function caution(key: CautionKey): Caution {
  return { key, ...entries[key] };
}
