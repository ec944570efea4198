/** A danger and what to do about it, shown where the work meets it. */
export interface Caution {
  readonly key: string;
  readonly word: string;
  readonly says: string;
}

const entries = {
  blade: {
    word: 'Blade',
    says: 'Safety glasses and a cut-resistant glove on the other hand. Cap the blade when it leaves the glass.',
  },
  wetFloor: {
    word: 'Wet floor',
    says: 'Slip solution on the floor is slippery. Lay a cloth, wipe at once, keep the ladder feet dry.',
  },
  liner: { word: 'Liner', says: 'Loose liner is slippery to step on. Into the bin before the next move.' },
  largeSheet: { word: 'Large sheet', says: 'Two people: a sheet this size pulls one person off a ladder.' },
  sockets: {
    word: 'Spray near sockets',
    says: 'Mask sockets and leads or switch the circuit off. No spraying towards them.',
  },
  coatedFace: {
    word: 'Coated or toughened glass',
    says: 'No blade and no steel wool on a coated face; care on toughened glass. Unknown? Treat it as coated and ask the glassmaker.',
  },
  crackedGlass: {
    word: 'Cracked or chipped glass',
    says: 'Stop. Do not press on it. A licensed glazier decides.',
  },
  glassAndFilm: {
    word: 'Film can crack glass',
    says: 'Film can crack glass or end a glazing warranty. The makers of the glass and of the film decide; local codes apply.',
  },
  safetyFilm: {
    word: 'Safety film',
    says: 'It delays an attack, it does not stop one. Only the tested system of glass, film and fixing carries a class.',
  },
  looseGlass: {
    word: 'Loose glass',
    says: 'Beads out: the pane holds by nothing. Gloves, one hand on it, the opening guarded; beads back the same day.',
  },
  smoke: { word: 'Smoke', says: 'Film that smokes is burnt: gun away, air, and a new blank.' },
  heatGun: {
    word: 'Heat gun',
    says: 'Heat-resistant glove on the tool hand. Never leave it hot on film, glass, seals or near solvents. Keep it moving.',
  },
  coldGlass: {
    word: 'Heat on glass',
    says: 'Do not heat cold or wired glass in one spot, nor dwell at an edge: it cracks.',
  },
  solvent: {
    word: 'Solvent and alcohol',
    says: 'Ventilate, no flame, no hot gun near it, gloves. Follow the data sheet.',
  },
  sanding: { word: 'Dust', says: 'Extraction and a mask.' },
  oldPaint: {
    word: 'Old paint, boards, putty',
    says: 'Old paint may hold lead; old boards and putty asbestos. Do not sand or scrape: stop, and have it tested by those licensed to.',
  },
  ladder: {
    word: 'Ladder',
    says: 'Feet dry and level, three points of contact, nobody alone with gun and ladder.',
  },
  vehicleRules: {
    word: 'Vehicle glass',
    says: 'How dark vehicle glass may be is a matter of local law: ask the authority first.',
  },
} as const satisfies Record<string, Omit<Caution, 'key'>>;

export type CautionKey = keyof typeof entries;

export const CAUTIONS: readonly Caution[] = Object.entries(entries).map(([key, caution]) => ({
  key,
  ...caution,
}));

/** The caution of a key. */
export function caution(key: CautionKey): Caution {
  return { key, ...entries[key] };
}
