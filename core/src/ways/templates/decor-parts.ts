import type { StepTemplate } from './template';
import { RULES } from '../../rules';
import { celsius, mm, percent } from '../step-numbers';

const PRIME_WHY = 'the primer must be dry to the touch before film goes on';

/** Ground for decor film: filled, sanded, primed, sanded once more. */
export const GROUND: readonly StepTemplate[] = [
  {
    key: 'mask',
    what: 'Hardware off and logged. Mask floor and neighbours, cover, set the dust extraction up.',
    why: 'Dust in the room is dust under the film.',
    tools: ['masking tape', 'cover cloth', 'screwdriver'],
    cautions: ['sockets'],
    takes: ['work-protect', 'work-hardware'],
  },
  {
    key: 'putty',
    what: 'Fill holes and open joints with putty, a little proud.',
    why: 'Every hollow shows through the film in low light.',
    tools: ['putty knife', 'putty'],
    cautions: ['oldPaint'],
    takes: ['work-putty'],
    then: { least: 'putty', why: 'the putty must be dry to the touch before it is sanded' },
  },
  {
    key: 'sand',
    what: 'Sand flush with extraction, brush off, feel with the flat hand.',
    why: 'The hand finds what the eye does not.',
    tools: ['sander', 'brush'],
    cautions: ['sanding', 'oldPaint'],
    shared: ['dust extractor'],
    takes: ['work-sand'],
    air: 'makes dust',
  },
  {
    key: 'wipe',
    what: 'Wipe with isopropyl alcohol of {strength}. Wipe dry.',
    why: 'Grease and dust keep primer and film off.',
    numbers: { strength: percent(70) },
    tools: ['lint-free paper', 'alcohol wipe'],
    cautions: ['solvent'],
    takes: ['work-rinse'],
  },
  {
    key: 'prime-water',
    what: 'Water-based primer, one to one with water, along the grain. A little more primer in the cold. Two or three more coats on cut wood edges.',
    why: 'It binds the dust and holds the edges, which peel first.',
    tools: ['primer brush'],
    cautions: [],
    takes: ['work-prime', 'work-prime-edges'],
    when: ({ primer }) => primer === 'water-based',
    then: { least: 'primer, water-based', why: PRIME_WHY },
  },
  {
    key: 'prime-solvent',
    what: 'Solvent-based primer, one to one with its thinner, along the grain. Two or three more coats on cut wood edges.',
    why: 'It binds the dust and holds the edges, which peel first.',
    tools: ['primer brush'],
    cautions: ['solvent'],
    takes: ['work-prime', 'work-prime-edges'],
    when: ({ primer }) => primer === 'solvent-based',
    then: { least: 'primer, solvent-based', why: PRIME_WHY },
  },
  {
    key: 'sand-primer',
    what: 'Sand the primer lightly with extraction, brush, feel again with the flat hand.',
    why: 'Primer raises the grain, and what it raised shows through.',
    tools: ['sander', 'brush'],
    cautions: ['sanding'],
    shared: ['dust extractor'],
    takes: ['work-sand-primer'],
    air: 'makes dust',
  },
];

const POST_HEAT: StepTemplate = {
  key: 'post-heat',
  what: 'Heat every edge, corner and groove where the film was stretched to {aim}. Take the gun away, then read.',
  why: 'Without it the film draws back to flat when it next gets warm.',
  numbers: ({ postHeat_C }) => ({
    aim:
      postHeat_C === null
        ? { ...celsius(RULES.postHeat.value, 'ours'), note: 'a guess: read its sheet' }
        : celsius(postHeat_C, 'published'),
  }),
  tools: ['heat gun', 'infrared thermometer'],
  cautions: ['heatGun'],
  shared: ['heat gun', 'infrared thermometer'],
  skill: 'heat',
  takes: ['work-post-heat'],
  needsFit: true,
  then: { least: 15, why: 'final cutting only after it has cooled' },
};
const FINAL_CUT: StepTemplate = {
  key: 'final-cut',
  what: 'Cut flush now that it is cold: fresh point, flat along the edge.',
  why: 'Warm film cut flush draws back and leaves a line.',
  tools: ['snap-off blade', 'straight-edge'],
  cautions: ['blade'],
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
    what: 'Look along the surface into the light. Make a bubble small before pricking it. Hardware back on.',
    why: 'Low light shows what straight light hides.',
    tools: ['torch', 'card'],
    cautions: [],
    takes: ['work-look', 'work-hardware'],
    skill: 'film',
  },
  {
    key: 'handover-decor',
    what: 'Say how it is cleaned, and that edges and seams are not to be picked at. Give the care sheet.',
    why: 'Cleaning agents lift edges.',
    tools: [],
    cautions: [],
    takes: ['work-handover'],
  },
];

/** After film that was stretched: it is heated to stay, cools, and is cut flush. */
export const FINISH_STRETCHED: readonly StepTemplate[] = [POST_HEAT, FINAL_CUT, ...LOOK];
/** After film that was laid flat: nothing was stretched, nothing is heated. */
export const FINISH_FLAT: readonly StepTemplate[] = [TRIM_FLUSH, ...LOOK];
/** After a column: its ends are trimmed as it is laid. */
export const FINISH_LAID: readonly StepTemplate[] = LOOK;

export const LAY: StepTemplate = {
  key: 'lay',
  what: 'Fold {fold} of liner back at the edge, no hard crease. Tack the middle, check the balance. Then {turn} at a time, fanwise from top to bottom, squeegee from the centre to the sides; press what is laid again before more liner comes off.',
  why: 'Little open adhesive at a time: what has grabbed crooked does not come off whole.',
  numbers: { fold: mm(100), turn: mm(250) },
  tools: ['hard squeegee', 'soft cloth', 'liner bin'],
  cautions: ['liner', 'largeSheet'],
  crew: 'large',
  skill: 'film',
  needsFit: true,
  air: 'wants clean air',
  takes: ['work-handling', 'work-lay-dry'],
};
export const CUT: StepTemplate = {
  key: 'cut',
  what: 'Cut the blank on the rubber mat, grain as marked. Leave the liner on.',
  why: 'A blank cut on the floor carries grit on its adhesive.',
  tools: ['snap-off blade', 'straight-edge', 'cutting mat'],
  cautions: ['blade'],
  takes: ['work-cut'],
};

/** Promoter, for edges that hold under tension. */
export const promoter = (
  own: Pick<StepTemplate, 'key' | 'what'> & Pick<Partial<StepTemplate>, 'when' | 'leftOut'>,
): StepTemplate => ({
  ...own,
  why: 'Under tension, only the promoter holds.',
  tools: ['adhesion promoter', 'brush', 'masking tape'],
  cautions: ['solvent'],
  takes: ['work-promoter'],
  along: 'height',
  skill: 'film',
  then: {
    least: 'promoter',
    most: RULES.promoterOpen.value,
    why: 'the promoter flashes off, and is not left over an hour',
  },
});
