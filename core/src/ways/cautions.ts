import type { DisplayUnits } from '../quantity';
import { RULES } from '../rules';
import { type StepNumbers, filled, kilograms, metres, minutes } from './step-numbers';

/** A danger and what to do about it, shown where the work meets it. */
export interface Caution {
  readonly key: string;
  readonly word: string;
  readonly says: string;
  /** The step is not ticked before somebody wrote why it may go on, or before there is written consent. */
  readonly stops: 'until a word' | 'until consent' | null;
}

interface Entry {
  /** Figures stand in both as `{name}`, as in a step. */
  readonly word: string;
  readonly says: string;
  readonly stops?: Caution['stops'];
  readonly numbers?: StepNumbers;
}

/** Common practice, no published source; figures of time that are ours say so. */
const entries = {
  rescueGlass: {
    word: 'Rescue, escape or hammer glass',
    says: 'Stop. Film may keep people in. Not before the operator or the authority agrees in writing: note in Survey who, when, and the number of the paper.',
    stops: 'until consent',
  },
  crackedGlass: {
    word: 'Cracked or chipped glass',
    says: 'Stop. Do not press on it. A licensed glazier decides.',
    stops: 'until a word',
  },
  wiredBead: {
    word: 'Wired glass',
    says: 'Stop. No bead comes out of a wired pane: its edge is notched by the cut wires.',
    stops: 'until a word',
  },
  chippedEdge: {
    word: 'Toughened or wired edge',
    says: 'Stop before a blade touches the edge: it chips there, and the whole pane goes.',
    stops: 'until a word',
  },
  hurtWindscreen: {
    word: 'Chipped or cracked windscreen',
    says: 'Stop before any heat: the crack runs. A licensed glazier decides.',
    stops: 'until a word',
  },
  oldPaint: {
    word: 'Old paint, boards, putty',
    says: 'Old paint may hold lead; old boards and putty asbestos. Do not sand, scrape or heat: stop, and have it tested by those licensed to.',
    stops: 'until a word',
  },
  blade: {
    word: 'Blade',
    says: 'Safety glasses and a cut-resistant glove on the other hand. Cap the blade when it leaves the glass.',
  },
  bladePoints: {
    word: 'Snapping blade points',
    says: 'Glasses on. Pliers or the box; the mouth is no tool. Counted, into the sharps box.',
  },
  wetFloor: {
    word: 'Wet floor',
    says: 'Slip solution on the floor is slippery. Lay a cloth, wipe at once, keep the ladder feet dry.',
  },
  liner: { word: 'Liner', says: 'Loose liner is slippery to step on. Into the bin before the next move.' },
  largeSheet: { word: 'Large sheet', says: 'Two people: a sheet this size pulls one person off a ladder.' },
  weight: {
    word: 'Weight',
    says: 'Pane, sash or roll weighs {heavy} or more, by its size and thickness or because nobody knows them: two people.',
    numbers: { heavy: kilograms(RULES.twoPeopleFrom.value) },
  },
  sockets: {
    word: 'Spray near sockets',
    says: 'Mask sockets and leads or switch the circuit off. No spraying towards them.',
  },
  noPower: {
    word: 'No power at hand',
    says: 'Survey notes no power here: bring it, with a residual-current breaker, the lead where nobody trips.',
  },
  coatedFace: {
    word: 'Coated or toughened glass',
    says: 'No blade and no steel wool on a coated face; care on toughened glass. Unknown? Treat it as coated and ask the glassmaker.',
  },
  plastic: {
    word: 'Plastic pane',
    says: 'No blade, no steel wool, no alcohol, no heat without a trial corner and the word of its maker.',
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
    says: 'Beads out: the pane holds by nothing. Gloves, one hand on it, the opening guarded, never left overnight; beads back the same day.',
  },
  smoke: {
    word: 'Smoke',
    says: 'Film that smokes is burnt: gun away, air, everybody out until it is clear, and a new blank.',
  },
  heatGun: {
    word: 'Heat gun',
    says: 'Heat-resistant glove on the tool hand. Never leave it hot on film, glass, seals or near solvents. Keep it moving. At the end: gun off, cooling {cooling}.',
    numbers: { cooling: minutes(10) },
  },
  gunAndSpray: {
    word: 'Gun beside spray',
    says: 'Residual-current breaker, dry grip, gun parked before anybody sprays.',
  },
  coldGlass: {
    word: 'Heat on glass',
    says: 'Do not heat cold or wired glass in one spot, nor dwell at an edge: it cracks.',
  },
  hotWall: {
    word: 'Heat on a wall',
    says: 'Foam or wood behind it, dust, smoke detectors: look first. Extinguisher at hand; watch for fire afterwards, {watch}.',
    numbers: {
      watch: {
        ...minutes([RULES.fireWatch.least, RULES.fireWatch.most], 'ours'),
        note: 'our guess',
      },
    },
  },
  heaterLines: {
    word: 'Heater lines and aerial',
    says: 'No blade and no wool across them: pad along. A line that is cut stays cut.',
  },
  vehicleParts: {
    word: 'In and round a vehicle',
    says: 'Sensors and airbag covers untouched and dry, no water into door electrics, window switches off.',
  },
  closedCar: {
    word: 'Vapour in a small space',
    says: 'Alcohol and promoter in a closed car or small room: doors open, no flame, out for a while.',
  },
  solvent: {
    word: 'Solvent and alcohol',
    says: 'Ventilate, no flame, no hot gun near it, gloves. Follow the data sheet.',
  },
  causticWash: {
    word: 'Caustic wall wash',
    says: 'Gloves and goggles. Never mixed with anything else. Rinse.',
  },
  sanding: { word: 'Dust', says: 'Extraction and a mask.' },
  mortarDust: {
    word: 'Mortar and concrete dust',
    says: 'Fine-dust mask and extraction; no dry sweeping.',
  },
  ladder: {
    word: 'Ladder',
    says: 'Feet dry and level, three points of contact, nobody alone with gun and ladder. Read, stow, then climb.',
  },
  platform: {
    word: 'Above {height}',
    says: 'A platform for squeezing out: both hands push.',
    numbers: { height: metres(RULES.ladderFrom.value) },
  },
  vehicleRules: {
    word: 'Vehicle glass',
    says: 'How dark vehicle glass may be is a matter of local law: ask the authority first.',
  },
  doorMarkings: {
    word: 'Glass down to the floor',
    says: 'If it is a door or beside a walkway: markings at eye height stay, or come back. Local codes apply.',
  },
  freshFilm: {
    word: 'Fresh film',
    says: 'Sliding sash, window, blind and wiper over it are not moved until its date.',
  },
  photosOfHomes: {
    word: 'Photos',
    says: 'Ask first. No faces, number plates or keys in the picture.',
  },
} as const satisfies Record<string, Entry>;

export type CautionKey = keyof typeof entries;

/** The caution of a key, its figures in the units of the crew. */
export function caution(key: CautionKey, units: DisplayUnits = 'metric'): Caution {
  const { word, says, stops = null, numbers = {} }: Entry = entries[key];
  return { key, word: filled(word, numbers, units), says: filled(says, numbers, units), stops };
}

export const CAUTIONS: readonly Caution[] = (Object.keys(entries) as CautionKey[]).map((key) => caution(key));
