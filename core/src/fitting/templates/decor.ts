import type { StepTemplate, WorkTemplate } from './template';
import { RULES } from '../../rules';

const PRIME_WHY = 'the primer must be dry to the touch before film goes on';

/** Ground for decor film: filled, sanded, primed. */
const GROUND: readonly StepTemplate[] = [
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
    what: 'Wipe with 70 % isopropyl alcohol. Wipe dry.',
    why: 'Grease and dust keep primer and film off.',
    tools: ['lint-free paper', 'alcohol wipe'],
    cautions: ['solvent'],
    takes: ['work-rinse'],
  },
  {
    key: 'prime-water',
    what: 'Water-based primer, 1 : 1 with water, along the grain. A little more primer in the cold. Two or three more coats on cut wood edges.',
    why: 'It binds the dust and holds the edges, which peel first.',
    tools: ['primer brush'],
    cautions: [],
    takes: ['work-prime', 'work-prime-edges'],
    when: ({ primer }) => primer === 'water-based',
    then: { least: 'primer, water-based', why: PRIME_WHY },
  },
  {
    key: 'prime-solvent',
    what: 'Solvent-based primer, 1 : 1 with its thinner, along the grain. Two or three more coats on cut wood edges.',
    why: 'It binds the dust and holds the edges, which peel first.',
    tools: ['primer brush'],
    cautions: ['solvent'],
    takes: ['work-prime', 'work-prime-edges'],
    when: ({ primer }) => primer === 'solvent-based',
    then: { least: 'primer, solvent-based', why: PRIME_WHY },
  },
];

/** What comes after the face is laid. */
const FINISH: readonly StepTemplate[] = [
  {
    key: 'post-heat',
    what: `Heat every edge, corner and groove where the film was stretched to what its sheet says, ${RULES.postHeatLow.value} or ${RULES.postHeatHigh.value} °C. Take the gun away, then read.`,
    why: 'Without it the film draws back to flat when it next gets warm.',
    tools: ['heat gun', 'infrared thermometer'],
    cautions: ['heatGun'],
    shared: ['heat gun', 'infrared thermometer'],
    skill: 'heat',
    takes: ['work-post-heat'],
    needsFit: true,
    then: { least: 15, why: 'final cutting only after it has cooled' },
  },
  {
    key: 'final-cut',
    what: 'Cut flush now that it is cold: fresh point, flat along the edge.',
    why: 'Warm film cut flush draws back and leaves a line.',
    tools: ['snap-off blade', 'straight-edge'],
    cautions: ['blade'],
    takes: ['work-trim'],
    skill: 'film',
  },
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

const LAY: StepTemplate = {
  key: 'lay',
  what: 'Fold 100 mm of liner back at the edge, no hard crease. Tack the middle, check the balance. Then 250 mm at a time, fanwise from top to bottom, squeegee from the centre to the sides; press what is laid again before more liner comes off.',
  why: 'Little open adhesive at a time: what has grabbed crooked does not come off whole.',
  tools: ['hard squeegee', 'soft cloth', 'liner bin'],
  cautions: ['liner', 'largeSheet'],
  crew: 'large',
  skill: 'film',
  needsFit: true,
  air: 'wants clean air',
  takes: ['work-handling', 'work-lay-dry'],
};
const CUT: StepTemplate = {
  key: 'cut',
  what: 'Cut the blank on the rubber mat, grain as marked. Leave the liner on.',
  why: 'A blank cut on the floor carries grit on its adhesive.',
  tools: ['snap-off blade', 'straight-edge', 'cutting mat'],
  cautions: ['blade'],
  takes: ['work-cut'],
};
const promoter = (key: string, what: string, when?: StepTemplate['when']): StepTemplate => ({
  key,
  what,
  why: 'Under tension, only the promoter holds.',
  tools: ['adhesion promoter', 'brush', 'masking tape'],
  cautions: ['solvent'],
  takes: ['work-promoter'],
  skill: 'film',
  then: {
    least: 'promoter',
    most: RULES.promoterOpen.value,
    why: 'the promoter flashes off, and is not left over an hour',
  },
  ...(when === undefined ? {} : { when }),
});

/**
 * Walls, doors and panels in decor film, with an inside corner where there is one. Common practice, no
 * published source.
 */
export const DECOR: WorkTemplate = {
  template: 'decor',
  version: 1,
  steps: [
    ...GROUND,
    CUT,
    LAY,
    promoter(
      'corner-promoter',
      'Promoter on both sides of the inside corner.',
      ({ hasInsideCorner }) => hasInsideCorner,
    ),
    {
      key: 'corner-first',
      what: 'Turn the first sheet round the corner by the width of the cutting guide. Press it home, trim along the guide.',
      why: 'The corner wants one sheet that goes round it.',
      tools: ['cutting guide', 'snap-off blade', 'card'],
      cautions: ['blade'],
      takes: ['work-corner'],
      skill: 'film',
      needsFit: true,
      when: ({ hasInsideCorner }) => hasInsideCorner,
    },
    promoter(
      'corner-promoter-lap',
      'Promoter again over the turned edge.',
      ({ hasInsideCorner }) => hasInsideCorner,
    ),
    {
      key: 'corner-second',
      what: 'Second sheet into the corner. Trim with a 3 mm ruler through the top layer only; hold the ruler down while the waste comes off.',
      why: 'Cut through both, and the corner opens.',
      tools: ['3 mm ruler', 'snap-off blade'],
      cautions: ['blade'],
      takes: ['work-corner'],
      skill: 'film',
      needsFit: true,
      when: ({ hasInsideCorner }) => hasInsideCorner,
    },
    ...FINISH,
  ],
};

/** Round and tapered columns. Common practice, no published source. */
export const COLUMN: WorkTemplate = {
  template: 'column',
  version: 1,
  steps: [
    ...GROUND,
    CUT,
    {
      key: 'seam-promoter',
      what: 'Promoter along the seam line, 25 mm wide, beside straight tape.',
      why: 'A seam under tension opens without it.',
      tools: ['adhesion promoter', 'brush', 'masking tape'],
      cautions: ['solvent'],
      takes: ['work-promoter'],
      skill: 'film',
      then: {
        least: 'promoter',
        most: RULES.promoterOpen.value,
        why: 'the promoter flashes off, and is not left over an hour',
      },
    },
    {
      key: 'strip',
      what: 'Clean gloves, no lotion. Take a 100 mm strip of liner out of the middle. A 45° notch, 13 mm deep, at top and bottom of that strip. Stand it flush, sides flaring out, and align.',
      why: 'The strip fixes it upright while both sides are still free.',
      tools: ['snap-off blade', 'gloves', 'level'],
      cautions: ['blade', 'liner'],
      takes: ['work-handling', 'work-align'],
      crew: 2,
      skill: 'film',
      needsFit: true,
      air: 'wants clean air',
      then: { least: 0, most: 10, why: 'a column is laid in one go' },
    },
    {
      key: 'round',
      what: '50 mm of width at a time, bottom then top, short trims at the ends. Press from the fixed side out. Feel for bubbles with a glove.',
      why: 'The ends are under stress: cut free late, they tear.',
      tools: ['hard squeegee', 'gloves', 'snap-off blade'],
      cautions: ['blade', 'liner'],
      takes: ['work-lay-dry'],
      crew: 2,
      skill: 'film',
      needsFit: true,
      air: 'wants clean air',
      then: { least: 0, most: 15, why: 'the seam is closed while the promoter is fresh' },
    },
    {
      key: 'seam',
      what: 'Lap 25 mm over the promoter, beside the tape. Press hard, tape off.',
      why: 'An even lap looks like an edge; a wandering one like a fault.',
      tools: ['hard squeegee'],
      cautions: [],
      takes: ['work-seam'],
      skill: 'film',
      needsFit: true,
    },
    ...FINISH,
  ],
};

/** Tables, counters and panels whose edges are wrapped. Common practice, no published source. */
export const TABLE: WorkTemplate = {
  template: 'table',
  version: 1,
  steps: [
    {
      key: 'remover',
      what: 'Remover, then finish cleaner. Dry with lint-free paper.',
      why: 'Polish and hand grease keep adhesive off.',
      tools: ['lint-free paper', 'cleaner'],
      cautions: ['solvent'],
      takes: ['work-clean'],
    },
    {
      key: 'dry-run',
      what: 'Roll the film out dry on the surface with the liner on.',
      why: 'Proves that it covers before anything is open.',
      tools: ['tape measure'],
      cautions: [],
      takes: ['work-remeasure'],
    },
    {
      key: 'lay-table',
      what: '50 mm of liner off, line up, full strokes, the liner a few centimetres at a time.',
      why: 'Open adhesive finds dust and itself.',
      tools: ['hard squeegee', 'liner bin'],
      cautions: ['liner', 'largeSheet'],
      crew: 'large',
      skill: 'film',
      needsFit: true,
      air: 'wants clean air',
      takes: ['work-handling', 'work-lay-dry'],
    },
    {
      key: 'wrap',
      what: 'Warm the edge film and turn it round: long edges first, corners last, hands so that the surplus divides.',
      why: 'Hauled round a corner it thins and draws back.',
      tools: ['heat gun', 'gloves', 'squeegee with buffer'],
      cautions: ['heatGun'],
      shared: ['heat gun'],
      skill: 'heat',
      needsFit: true,
      takes: ['work-wrap'],
    },
    ...FINISH,
  ],
};

/** Mouldings and furrows. Common practice, no published source. */
export const FURROW: WorkTemplate = {
  template: 'furrow',
  version: 1,
  steps: [
    ...GROUND,
    CUT,
    {
      key: 'lay-furrow',
      what: 'Lay as far as the furrow and leave its depth of film. Cut the corners diagonally. Press the flat part in, then the mitre.',
      why: 'Bridged film is pulled out of the furrow by the next warm day.',
      tools: ['hard squeegee', 'card', 'snap-off blade'],
      cautions: ['blade', 'liner'],
      skill: 'film',
      needsFit: true,
      air: 'wants clean air',
      takes: ['work-lay-dry', 'work-corner'],
    },
    {
      key: 'set-furrow',
      what: 'Warm the furrow, press with a soft edge, hold until cool.',
      why: 'Film that pops out was too cold.',
      tools: ['heat gun', 'soft pad'],
      cautions: ['heatGun'],
      shared: ['heat gun'],
      skill: 'heat',
      needsFit: true,
      takes: ['work-wrap'],
    },
    ...FINISH,
  ],
};
