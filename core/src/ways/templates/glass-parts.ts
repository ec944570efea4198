import { degrees, mm, percent } from '../step-numbers';
import { HELD, ONE_GO, STRAIGHT_ON, WET_AGAIN } from './pauses';
import type { StepCase, StepTemplate } from './template';

export const trimsFirst = ({ schools }: StepCase): boolean => schools.trim === 'before squeezing out';

/** Before film meets glass, all of a row or room at once. */
export const PREPARE: readonly StepTemplate[] = [
  {
    key: 'protect',
    what: 'Cover sill and floor. Move hardware, beads and blinds out of the way. Vacuum the dust.',
    why: 'What falls or blows now is under the film later.',
    tools: ['cover cloth', 'vacuum cleaner'],
    cautions: ['sockets'],
    takes: ['work-protect'],
    over: 'the room',
  },
  {
    key: 'remeasure',
    what: 'Hold the blank against the pane before anything is wet: label, size, liner side, the face that looks out, factory edge.',
    why: 'A wrong blank is found here, not on the glass.',
    right:
      'Tape on both faces of a corner: the face that comes off is the liner, usually outwards on the roll.',
    tools: ['tape measure', 'tape'],
    cautions: [],
    takes: ['work-remeasure'],
    wants: ['width and height'],
  },
  {
    key: 'remove-old',
    what: 'Take the old film or sticker off: a corner up, warm soapy water behind it, drawn back low. Then its adhesive off with remover, rinsed.',
    why: 'Film on old adhesive lifts where it lies on it.',
    right: 'The wet hand feels no ridge.',
    wrong: 'It tears in strips: soak longer.',
    tools: ['scraper', 'pump sprayer', 'adhesive remover', 'gloves'],
    cautions: ['blade', 'coatedFace', 'solvent', 'wetFloor'],
    takes: ['work-remove-old'],
    when: ({ oldFilm }) => oldFilm === 'film' || oldFilm === 'sticker',
    leftOut: 'no old film or sticker is noted in Survey',
    wants: ['photo'],
    basis: 'ours',
  },
  {
    key: 'sealant',
    what: 'Wet stray sealant and cut it out from the top down, to an even edge.',
    why: 'An uneven bead spoils the edge: film that rides on it lifts.',
    right: 'One straight edge all round.',
    tools: ['scraper', 'pump sprayer'],
    cautions: ['blade', 'coatedFace'],
    takes: ['work-sealant'],
    needsFit: true,
    when: ({ straySealant }) => straySealant !== 'no',
    leftOut: 'no stray sealant was found',
    over: 'the row',
  },
  {
    key: 'clean',
    what: 'Wet with cleaner. Corners with a straight blade. Feel for nicks and paint with the hand.',
    variants: [
      {
        school: 'cleaning',
        says: {
          'scrape, then scrub':
            'Scrape all with a fresh blade held loosely between finger and thumb, then scrub.',
          'scrub, then blade where felt':
            'Scrub first; the blade, held loosely between finger and thumb, only where the hand feels something.',
          'no blade': 'Scrub; no blade at all.',
        },
      },
      {
        school: 'scrubber',
        says: {
          'pad only': 'With a non-scratch pad.',
          'steel wool 00': 'With fine steel wool of the second grade.',
          'steel wool 000': 'With the finest steel wool.',
        },
      },
      {
        school: 'cleaner',
        says: {
          'separate cleaner': '',
          slip: 'With slip as the cleaner: rinse until nothing foams.',
        },
      },
    ],
    why: 'A firm grip digs a blade corner in and scratches. Slip solution is no cleaner: its residue lifts edges.',
    right: 'The wet hand finds nothing.',
    wrong: 'The blade rattles or chips an edge: stop, record it, show the customer.',
    tools: ['scraper', 'non-scratch pad', 'cleaner'],
    cautions: ['blade', 'coatedFace', 'wetFloor'],
    takes: ['work-clean'],
    needsFit: true,
    when: ({ isFaceCoated, isPlastic }) => isFaceCoated !== 'yes' && !isPlastic,
    leftOut: 'this face bears no blade',
    over: 'the row',
  },
  {
    key: 'clean-no-blade',
    what: 'Wet with cleaner and scrub with a soft pad, corners too. No blade, no steel wool. Feel for nicks and paint with the hand.',
    why: 'One scratch of a coating or of plastic is seen for as long as the pane is there.',
    right: 'The wet hand finds nothing.',
    tools: ['non-scratch pad', 'cleaner'],
    cautions: ['coatedFace', 'wetFloor'],
    takes: ['work-clean'],
    needsFit: true,
    when: ({ isFaceCoated, isPlastic }) => isFaceCoated === 'yes' || isPlastic,
    over: 'the row',
  },
  {
    key: 'dry-edges',
    what: 'Clear it from top to bottom, the blade wiped each time, at about {angle} on bare glass. Dry the edges with lint-free paper.',
    variants: [
      {
        school: 'clearing',
        says: {
          'edges first': 'Edges first.',
          'inside first': 'Inside first, off the frame, then the edges.',
        },
      },
    ],
    numbers: { angle: degrees(45) },
    why: 'Dirt stays at the edges. Water at the frame drags dirt out of it.',
    tools: ['soft squeegee', 'lint-free paper'],
    cautions: ['wetFloor'],
    takes: ['work-dry-edges'],
    needsFit: true,
    then: WET_AGAIN,
    over: 'the row',
  },
];

const WATER: NonNullable<StepTemplate['variants']>[number] = {
  school: 'water',
  says: { distilled: 'Slip of distilled water.', 'good tap water': 'Slip of good tap water.' },
};

export const RINSE: StepTemplate = {
  key: 'final-rinse',
  what: 'Just before the film: wet once more and clear. Then slip.',
  variants: [
    {
      school: 'frameWater',
      says: {
        sparing: 'Sparing at the frame.',
        generous: 'Generous, the frame too.',
        'face wet, frame not soaked': 'Much on the face; the edge of the frame is not soaked.',
      },
    },
    WATER,
  ],
  why: 'Dust settles on glass while the film is got ready.',
  tools: ['pump sprayer', 'soft squeegee'],
  cautions: ['wetFloor'],
  slip: 'wet the pane',
  takes: ['work-rinse'],
  needsFit: true,
  air: 'wants clean air',
  then: STRAIGHT_ON,
};

export const ALIGN: StepTemplate = {
  key: 'align',
  what: 'Place it and slide it into line, glass and adhesive well wetted. Top by tape marks or factory edge. A hand always on it. Let it lie evenly; light mist, large pockets out by finger. Look at the alignment again after every step.',
  variants: [
    {
      school: 'rowLine',
      says: { 'true level': 'By the level.', 'the frame': 'By the frame.' },
    },
  ],
  why: 'After the first hard stroke it cannot be moved without a crease.',
  right: 'It can still be moved, and stays.',
  wrong: 'Will not slide: more soap, wet both sides again. Slides off: less soap.',
  tools: ['level', 'tape'],
  cautions: ['largeSheet'],
  takes: ['work-align'],
  skill: 'film',
  crew: 'large',
  needsFit: true,
  air: 'wants clean air',
  then: HELD,
};

export const TRIM = {
  what: 'A fresh point for every pane. Blade {blade} out of its guard, tilted into the film, or along a hard card, card and knife both at {card}, not flatter, on the inner side of the card, never under it. A finger presses the corner in first. Long edges in two goes with the film held. Waste leaves with both hands.',
  variants: [
    {
      school: 'trimFrom',
      says: {
        'the middle to the corners': 'From the middle to the corners.',
        'a top corner down': 'From a top corner down.',
      },
    },
  ],
  why: 'A dull point tears. Trimming can lift the edge.',
  right: 'One even gap all round, no tooth.',
  wrong: 'The edge lifts: press it down at once with the covered card, blot.',
  numbers: { blade: mm(3), card: degrees(70) },
  tools: ['snap-off blade', 'trimming card'],
  cautions: ['blade', 'bladePoints'],
  takes: ['work-trim'],
  draws: 'trim',
  skill: 'film',
  needsFit: true,
  then: ONE_GO,
} as const satisfies Partial<StepTemplate>;

export const SQUEEZE: StepTemplate = {
  key: 'squeeze',
  what: 'From the middle to the nearest edge, blade about {angle}, first light, then hard; every stroke laps the last, by custom {lap}. One half finished before the other. Water goes sideways and falls. Never turn the blade at an edge. Half-round strokes for small bubbles.',
  variants: [
    {
      school: 'stroke',
      says: {
        'pull in the open, push at edges': 'Pull in the open, push the first {push} at edges.',
        'pull the lock, push from the middle': 'Push from the middle out; at edges the first {push} last.',
        either: 'Push or pull, the first {push} at edges with care.',
      },
    },
  ],
  why: 'Water lifted above loose film runs back. Turning the blade stretches the film.',
  right: 'No line between strokes in low light.',
  wrong: 'A clear line: a lap was missed. Mist, once more.',
  numbers: { angle: degrees(20), lap: percent([30, 50], 'ours'), push: mm([25, 40]) },
  tools: ['hard squeegee', 'pump sprayer'],
  cautions: ['wetFloor', 'platform'],
  takes: ['work-squeeze'],
  draws: 'strokes',
  passes: 2,
  skill: 'film',
  needsFit: true,
  then: ONE_GO,
};

export const BLOT_AND_LOOK: StepTemplate = {
  key: 'edges',
  what: 'Last hard pass. Blot along all edges with a card wrapped in absorbent paper. Look once round all edges and over the face for bubbles, dirt, light gaps, fingers.',
  variants: [
    {
      school: 'lastPass',
      says: {
        'misted again': 'Mist again before the last pass.',
        'no new water': 'No new water: paper round the tool.',
      },
    },
    {
      school: 'blot',
      says: { once: '', 'again after drying': 'Go round once more after drying.' },
    },
    {
      school: 'after',
      says: {
        'washed and cleared': 'Then wash the face and clear it.',
        'not touched again': 'Then do not touch the face again.',
      },
    },
  ],
  why: 'Moisture left at the edge becomes a finger tomorrow.',
  right: 'Paper comes back dry.',
  tools: ['card', 'absorbent paper', 'torch'],
  cautions: ['photosOfHomes'],
  takes: ['work-edges', 'work-look'],
  skill: 'film',
  needsFit: true,
  wants: ['photo'],
};

/** What came off goes back before anybody is told that it is finished. */
export const PUT_BACK: StepTemplate = {
  key: 'put-back',
  what: "Put back what was taken off, as logged in Survey, without pressing on the film's edge. Count it.",
  why: 'A screw in a pocket is missed when the crew is gone.',
  tools: ['screwdriver'],
  cautions: [],
  takes: ['work-hardware'],
  when: ({ partsOff }) => partsOff > 0,
};

/** Last of every way, once a room. */
export const CLEAR_UP: StepTemplate = {
  key: 'clear-up',
  what: 'Tools counted, blade points in their box, liner gathered, floor dry, gun parked and cooling.',
  why: 'What is left behind is stepped on, or found by a child.',
  tools: ['sharps box', 'floor cloth'],
  cautions: ['liner', 'wetFloor'],
  takes: ['work-clear-up'],
  over: 'the room',
};

const HANDOVER: StepTemplate = {
  key: 'handover',
  what: 'Tell the customer what is normal: small water pockets clear by the date of this pane. Say when sealant goes back, when it may be cleaned, when you look again.',
  why: 'Customers ring because normal drying pockets look like bubbles.',
  tools: [],
  cautions: ['glassAndFilm', 'freshFilm', 'doorMarkings'],
  takes: ['work-handover'],
};

/** From the lock to the hand-over, as glass that is trimmed in place has it. */
export const FINISH: readonly StepTemplate[] = [BLOT_AND_LOOK, PUT_BACK, CLEAR_UP, HANDOVER];
