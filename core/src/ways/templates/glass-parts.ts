import { RULES } from '../../rules';
import { degrees, mm, percent } from '../step-numbers';
import type { Pause, StepCase, StepTemplate } from './template';

const lined =
  (school: StepCase['schools']['liner']) =>
  ({ schools }: StepCase): boolean =>
    schools.liner === school;
const locked =
  (school: StepCase['schools']['lock']) =>
  ({ schools }: StepCase): boolean =>
    schools.lock === school;
export const trimsFirst = ({ schools }: StepCase): boolean => schools.trim === 'before squeezing out';

/** Slip dries while one looks away. */
export const OPEN_TIME: Pause = {
  least: 0,
  most: RULES.slipOpen.value,
  why: 'the slip dries: go straight on, or wet again',
};
export const ONE_GO: Pause = {
  least: 0,
  most: RULES.oneGo.value,
  why: 'one go, while water lies under the film',
};
/** Nobody lets go of film that only slides. */
export const HELD: Pause = { least: 0, most: 0, why: 'the film is held by hand until it is locked' };
export const WET_AGAIN: Pause = { least: 0, most: 45, why: 'dust settles on clean glass' };
export const STRAIGHT_ON: Pause = { least: 0, most: 5, why: 'wetted just before the film goes on' };

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

const OPENS = {
  tools: ['pump sprayer', 'liner bin'],
  cautions: ['liner', 'largeSheet', 'wetFloor'],
  slip: 'wet glass and film',
  takes: ['work-handling', 'work-liner'],
  skill: 'film',
  needsFit: true,
  air: 'wants clean air',
  crew: 'large',
  then: OPEN_TIME,
} as const satisfies Partial<StepTemplate>;

export const LINER_TABS: StepTemplate = {
  ...OPENS,
  key: 'liner-tabs',
  what: 'One tape tab on each face of a corner, overhanging, kept from touching each other. Pull them apart and spray into the gap as it opens. Carry the film to the glass, top edge first.',
  why: 'The spray stops static from pulling dust in and the film from sticking to itself.',
  wrong: 'It will not start: fresh tabs at another corner.',
  tools: ['tape', 'pump sprayer', 'liner bin'],
  when: lined('tape tabs'),
};
export const LINER_LONG: StepTemplate = {
  ...OPENS,
  key: 'liner-floor',
  what: 'Unroll it downwards so that it does not kink. Draw the liner to the floor and walk it off, the film held by the upper corners. Never with the teeth; nobody steps on wet liner.',
  why: 'A long sheet kinks where it hangs over a hand. Against it: grit on the floor.',
  when: lined('unrolled to the floor'),
};

/** By the school of the liner: one of them is done. */
export const SEPARATE_AND_PLACE: readonly StepTemplate[] = [
  LINER_TABS,
  {
    ...OPENS,
    key: 'liner-top-first',
    what: 'Hold the blank on the glass. Free the top part from the liner, wet glass and adhesive, lay it and fix it lightly. Strip the rest with one hand holding the top, soak the face and turn it back.',
    why: 'Stripping drags the film: what is fixed lightly above stays where it is.',
    tools: ['pump sprayer', 'soft squeegee', 'liner bin'],
    when: lined('top part first'),
  },
  {
    ...OPENS,
    key: 'liner-halves',
    what: 'On the pane: peel the liner to exactly half, spray from the top, lay it back smooth. Then the other half. Roll up from below; never on the floor, no crease.',
    why: 'The film does not leave the pane, and half of it is always closed.',
    tools: ['pump sprayer', 'soft squeegee', 'liner bin'],
    when: lined('halves on the glass'),
  },
  {
    ...OPENS,
    key: 'liner-hang',
    what: 'Stick the blank up beside the pane with the liner towards you. Draw the liner straight down and leave the last {rest}. Soak the film, draw the rest off, put the liner away at once. Move it to the wet glass by its top corners.',
    why: 'The sheet hangs straight by its own weight and cannot crease.',
    numbers: { rest: mm([25, 50]) },
    tools: ['tape', 'pump sprayer', 'liner bin'],
    when: lined('hang and pull'),
  },
  {
    ...OPENS,
    key: 'liner-board',
    what: 'Mist the outside of the pane and hang the blank there. Draw the liner low along itself to just past half; spray only where it cannot run down on to adhesive; lay it back. Then the other half.',
    why: 'The outside is a clean board; the mist keeps static away.',
    when: lined('on the outside of the pane'),
  },
  LINER_LONG,
  {
    ...OPENS,
    key: 'liner-lying',
    what: 'Pane lying: free the first part and centre it. Draw the rest of the liner from under while the film is laid and sprayed.',
    why: 'Nothing hangs, nothing slides.',
    basis: 'once',
    when: lined('pane lying'),
  },
];

export const ALIGN: StepTemplate = {
  key: 'align',
  what: 'Glass and adhesive well wetted. Place it, slide it: top by tape marks or factory edge. A hand always on it. Let it lie evenly; light mist, large pockets out by finger. Look at the alignment again after every step.',
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

const LOCKS = {
  numbers: { inset: mm(13) },
  why: 'Tools run on wet film only; near an untrimmed edge, capillary action draws dirt in.',
  tools: ['pump sprayer', 'hard squeegee'],
  cautions: ['wetFloor'],
  takes: ['work-lock'],
  skill: 'film',
  needsFit: true,
  air: 'wants clean air',
  then: ONE_GO,
  variants: [
    {
      school: 'edges',
      says: {
        untouched: 'Stay about {inset} off the edge until it is trimmed.',
        'worked at once': 'The edges are worked at once: they are not left {inset} free.',
      },
    },
  ],
} as const satisfies Partial<StepTemplate>;

export const LOCK_T: StepTemplate = {
  ...LOCKS,
  key: 'lock-t',
  what: 'Mist the face. One stroke across the top, one down the middle.',
  why: 'Fixes level and centre together; near an untrimmed edge, capillary action draws dirt in.',
};

/** By the school of the lock: one of them is done. */
export const LOCKING: readonly StepTemplate[] = [
  { ...LOCK_T, when: locked('T') },
  {
    ...LOCKS,
    key: 'lock-centre',
    what: 'Mist the face. One upright stroke down the middle.',
    when: locked('centre line'),
  },
  {
    ...LOCKS,
    key: 'lock-x',
    what: 'Mist the face. Stroke from corner to corner both ways.',
    when: locked('X'),
  },
  {
    ...LOCKS,
    key: 'lock-quarters',
    what: 'Mist the face. Press the middle, then the four quarters outwards.',
    when: locked('quarters'),
  },
  {
    ...LOCKS,
    key: 'lock-corners',
    what: 'Mist the face. Upper corners first with a felt edge, light, then firmer.',
    tools: ['pump sprayer', 'felt-edged card'],
    when: locked('upper corners first'),
  },
  {
    ...LOCKS,
    key: 'lock-top',
    what: 'Mist the face. From the top middle outwards and down.',
    when: locked('from the top middle'),
  },
  {
    ...LOCKS,
    key: 'lock-face',
    what: 'Mist the face. Stroke the whole face lightly, only the edges left.',
    when: locked('whole face'),
  },
];

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

export const HANDOVER: StepTemplate = {
  key: 'handover',
  what: 'Tell the customer what is normal: small water pockets clear by the date of this pane. Say when sealant goes back, when it may be cleaned, when you look again.',
  why: 'Customers ring because normal drying pockets look like bubbles.',
  tools: [],
  cautions: ['glassAndFilm', 'freshFilm', 'doorMarkings'],
  takes: ['work-handover'],
};

/** From the lock to the hand-over, as glass that is trimmed in place has it. */
export const FINISH: readonly StepTemplate[] = [BLOT_AND_LOOK, PUT_BACK, CLEAR_UP, HANDOVER];
