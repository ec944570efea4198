import { RULES } from '../../rules';
import { type StepNumbers, celsius, degrees, hours, mm, percent } from '../step-numbers';
import { CLEAR_UP } from './glass-parts';
import type { StepCase, StepTemplate } from './template';

const PRIME_WHY = 'the primer must be dry to the touch before film goes on';

/** Film and ground out of the cold: brought to room warmth, and tried on a test piece. */
export const CONDITION: StepTemplate = {
  key: 'condition',
  what: 'Box open and upright, early; clean meanwhile, doors open. Room, surface and film at {room}, read with the thermometer; out of the cold below {cold} up to {long}. Test piece: half its liner off, pressed, warmed, left {test}, lifted.',
  why: 'Cold adhesive touches and does not hold.',
  right: 'The lifted piece is glossy: bonded.',
  wrong: 'Matt: not bonded. Wait, warm, try again.',
  numbers: { room: celsius(21), cold: celsius(13), long: hours(48), test: hours(2) },
  tools: ['infrared thermometer', 'magnets'],
  cautions: [],
  shared: ['infrared thermometer'],
  takes: ['work-condition'],
  when: ({ isCold }) => isCold,
  wants: ['room temperature', 'surface temperature', 'film temperature'],
  over: 'the room',
};

const WIPE: StepTemplate = {
  key: 'wipe',
  what: 'Wipe with isopropyl alcohol of {strength}, the rest water. Wipe dry. Clean gloves.',
  why: 'Grease and dust keep primer and film off.',
  numbers: { strength: percent(70) },
  tools: ['lint-free paper', 'alcohol wipe', 'gloves'],
  cautions: ['solvent'],
  takes: ['work-rinse'],
};

/** Ground for decor film: filled, sanded, primed, sanded once more. */
export const GROUND: readonly StepTemplate[] = [
  CONDITION,
  {
    key: 'mask',
    what: 'Hardware off and logged. Mask floor and neighbours, cover, set the dust extraction up.',
    why: 'Dust in the room is dust under the film.',
    tools: ['masking tape', 'cover cloth', 'screwdriver'],
    cautions: ['sockets'],
    takes: ['work-protect', 'work-hardware'],
    over: 'the room',
  },
  {
    key: 'putty',
    what: 'Fill holes and open joints with putty, a little proud.',
    why: 'Every hollow shows through the film in low light.',
    right: 'Dry by touch.',
    tools: ['putty knife', 'putty'],
    cautions: ['oldPaint'],
    takes: ['work-putty'],
    then: { least: 'putty', why: 'the putty must be dry to the touch before it is sanded' },
    over: 'the room',
  },
  {
    key: 'sand',
    what: 'Sand flush with extraction, small places by hand, large ones by machine. Brush off, feel with the flat hand.',
    why: 'The hand finds what the eye does not.',
    right: 'Nothing under the flat hand.',
    tools: ['sander', 'brush', 'dust mask', 'safety glasses'],
    cautions: ['sanding', 'oldPaint', 'mortarDust'],
    shared: ['dust extractor'],
    takes: ['work-sand'],
    air: 'makes dust',
    over: 'the room',
  },
  WIPE,
  {
    key: 'prime-water',
    what: 'Water-based primer, one to one with water, along the grain: small brush in corners, wide one or roller on faces. A little more primer in the cold. Two or three more coats on cut wood edges.',
    why: 'It binds the dust and holds the edges, which peel first.',
    tools: ['primer brush', 'primer roller'],
    cautions: [],
    takes: ['work-prime', 'work-prime-edges'],
    when: ({ primer }) => primer === 'water-based',
    then: { least: 'primer, water-based', why: PRIME_WHY },
    over: 'the room',
  },
  {
    key: 'prime-solvent',
    what: 'Solvent-based primer, one to one with its thinner, along the grain: small brush in corners, wide one or roller on faces. A little more primer in the cold. Two or three more coats on cut wood edges.',
    why: 'It binds the dust and holds the edges, which peel first.',
    tools: ['primer brush', 'primer roller', 'gloves'],
    cautions: ['solvent'],
    takes: ['work-prime', 'work-prime-edges'],
    when: ({ primer }) => primer === 'solvent-based',
    then: { least: 'primer, solvent-based', why: PRIME_WHY },
    over: 'the room',
  },
  {
    key: 'sand-primer',
    what: 'Sand the primer lightly with extraction, brush, feel again with the flat hand.',
    why: 'Primer raises the grain, and what it raised shows through.',
    right: 'Nothing under the flat hand.',
    tools: ['sander', 'brush', 'dust mask'],
    cautions: ['sanding'],
    shared: ['dust extractor'],
    takes: ['work-sand-primer'],
    air: 'makes dust',
    over: 'the room',
  },
];

export const HOT_DECOR = {
  tools: ['heat gun', 'heat glove'],
  cautions: ['heatGun', 'smoke', 'oldPaint', 'hotWall'],
  shared: ['heat gun'],
  skill: 'heat',
  needsFit: true,
} as const satisfies Partial<StepTemplate>;

/** What a film is heated to where it was stretched: its sheet's figure, else a guess that says so. */
const postHeatAim = ({ postHeat_C }: StepCase): StepNumbers => ({
  aim:
    postHeat_C === null
      ? { ...celsius(RULES.postHeat.value, 'ours'), note: 'a guess: read its sheet' }
      : celsius(postHeat_C, 'published'),
});
const heatsFirst = ({ schools }: StepCase): boolean => schools.postHeat === 'post-heat, cool, then trim';

const POST_HEAT: StepTemplate = {
  ...HOT_DECOR,
  key: 'post-heat',
  what: 'Heat every edge, corner and groove where the film was stretched to {aim}. Take the gun away, then read.',
  why: 'Without it the film draws back to flat when it next gets warm.',
  right: 'The reading is taken with the gun away, and reaches the figure.',
  numbers: postHeatAim,
  tools: ['heat gun', 'heat glove', 'infrared thermometer'],
  shared: ['heat gun', 'infrared thermometer'],
  takes: ['work-post-heat'],
  wants: ['film temperature'],
};
const FINAL_CUT: StepTemplate = {
  key: 'final-cut',
  what: 'Cut flush now that it is cold: fresh point, flat along the edge.',
  why: 'Warm film cut flush draws back and leaves a line.',
  tools: ['snap-off blade', 'straight-edge'],
  cautions: ['blade', 'bladePoints'],
  takes: ['work-trim'],
  skill: 'film',
};
const TRIM_FLUSH: StepTemplate = {
  ...FINAL_CUT,
  what: 'Cut flush: fresh point, flat along the edge. Press the cut edge again.',
  why: 'A dull point tears, and cutting lifts the edge.',
};
const LOOK: readonly StepTemplate[] = [
  {
    key: 'inspect',
    what: 'Look along the surface into the light. Bubbles: soft cloth at {angle}; small first, then prick. Hardware back on.',
    why: 'Low light shows what straight light hides.',
    numbers: { angle: degrees(45) },
    tools: ['torch', 'card', 'soft cloth', 'pin'],
    cautions: ['photosOfHomes'],
    takes: ['work-look', 'work-hardware'],
    skill: 'film',
    wants: ['photo'],
  },
  CLEAR_UP,
  {
    key: 'handover-decor',
    what: 'Say how it is cleaned, and that edges and seams are not to be picked at. Give the care sheet.',
    why: 'Cleaning agents lift edges.',
    tools: [],
    cautions: [],
    takes: ['work-handover'],
  },
];
const GUN_COOLS = { least: 15, why: 'final cutting only after it has cooled' };

/** After film that was stretched: heated to stay, and cut flush, in the order of the school. */
export const FINISH_STRETCHED: readonly StepTemplate[] = [
  {
    ...FINAL_CUT,
    key: 'final-cut-first',
    what: 'Cut flush before the heat: fresh point, flat along the edge.',
    why: 'The cut edge itself is set by the heat.',
    when: (own) => !heatsFirst(own),
  },
  { ...POST_HEAT, then: GUN_COOLS },
  { ...FINAL_CUT, when: heatsFirst },
  ...LOOK,
];
/** After film that was laid flat: nothing was stretched, nothing is heated. */
export const FINISH_FLAT: readonly StepTemplate[] = [TRIM_FLUSH, ...LOOK];
/** After a column: its ends are trimmed as it is laid. */
export const FINISH_LAID: readonly StepTemplate[] = LOOK;

export const LAY: StepTemplate = {
  key: 'lay',
  what: 'Fold {fold} of liner back at the edge, no hard crease. Tack the middle, check the balance. Then {turn} at a time, fanwise from the top, centre to sides; what is laid is pressed again before more liner comes off. Liner rolled up, off the floor. Warm it in the cold, not long: it distorts.',
  why: 'Little open adhesive at a time: what has grabbed crooked does not come off whole.',
  right: 'The balance holds: equal over on both sides.',
  wrong: 'It walks to one side: lift back to the last straight line, not further.',
  numbers: { fold: mm(100), turn: mm(250) },
  tools: ['hard squeegee', 'soft cloth', 'liner bin'],
  cautions: ['liner', 'largeSheet'],
  crew: 'large',
  skill: 'film',
  needsFit: true,
  air: 'wants clean air',
  takes: ['work-handling', 'work-lay-dry'],
  draws: 'strokes',
  rounds: ({ drops }) => drops,
};
export const CUT: StepTemplate = {
  key: 'cut',
  what: 'Cut the blank on a mat, {over} over, grain as marked. Leave the liner on.',
  why: 'A blank cut on the floor carries grit on its adhesive.',
  numbers: { over: mm(50) },
  tools: ['snap-off blade', 'straight-edge', 'cutting mat'],
  cautions: ['blade', 'bladePoints'],
  takes: ['work-cut'],
};

/** Promoter, for edges that hold under tension. */
export const promoter = (
  own: Pick<StepTemplate, 'key' | 'what'> & Pick<Partial<StepTemplate>, 'when' | 'leftOut'>,
): StepTemplate => ({
  ...own,
  why: 'Under tension, only the promoter holds.',
  right: 'Dry to the back of a finger.',
  tools: ['adhesion promoter', 'brush', 'masking tape', 'gloves'],
  cautions: ['solvent', 'closedCar'],
  takes: ['work-promoter'],
  along: 'height',
  skill: 'film',
  then: {
    least: 'promoter',
    most: RULES.promoterOpen.value,
    why: 'the promoter flashes off, and is not left over an hour',
  },
});
