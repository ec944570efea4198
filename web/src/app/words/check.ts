import type {
  LookView,
  Mark,
  MarkLimit,
  MarkLook,
  MarkRule,
  PocketTests,
  SetOfRules,
} from '@yellow-pane/core/job';
import type { Figure } from './messages';

const STAND: Readonly<Record<LookView, (distance: string, light: string) => string>> = {
  edges: () => 'Half a metre off, along the edge: fingers, gaps, what lifts.',
  square: (distance, light) => `${distance} off, square to it; ${light}.`,
  'from the left': (distance, light) => `${distance} off, 45° from the left; ${light}.`,
  'from the right': (distance, light) => `${distance} off, 45° from the right; ${light}.`,
  'from behind': (distance) =>
    `${distance} off, from the other side, against the light: gaps beside dark film.`,
  'warm air': () =>
    'Warm air over this lane, the gun always moving: what rises is a mark. Hot: no bare hand behind it, and test first what paint or plastic lies below.',
};
const PIECE: Readonly<Record<LookView, string>> = {
  edges: 'Edge, piece',
  square: 'Square, strip',
  'from the left': 'From the left, strip',
  'from the right': 'From the right, strip',
  'from behind': 'From behind, strip',
  'warm air': 'Heat search, lane',
};

const SEEN_BY: Readonly<Record<Mark['from'], string>> = {
  fit: 'Seen at Fit,',
  check: 'Seen at Check,',
  phone: 'Reported by phone,',
  customer: 'Seen by the customer,',
};

/** A letter each, for hands that stay on the keys. */
export const LOOK_LETTERS: Readonly<Record<Exclude<MarkLook, 'not said'>, string>> = {
  speck: 'S',
  bubble: 'B',
  'water pocket': 'W',
  'air bubble': 'A',
  finger: 'F',
  line: 'L',
  crease: 'C',
  gap: 'G',
  'edge lifts': 'E',
  scratch: 'R',
  'film scratch': 'M',
  'glass scratch': 'V',
  crack: 'K',
};

interface PocketTest {
  readonly key: keyof PocketTests;
  readonly word: string;
  readonly answers: readonly string[];
}

export const pocketTests: readonly PocketTest[] = [
  {
    key: 'press',
    word: 'Press with a thumb through a cloth:',
    answers: ['creeps away', 'springs back', 'does not move'],
  },
  { key: 'warm', word: 'Warm it by hand or wait for the sun:', answers: ['smaller', 'the same', 'larger'] },
  {
    key: 'shape',
    word: 'How it lies:',
    answers: ['alone', 'in a line along strokes', 'joined to an edge', 'brown or white rim'],
  },
];

/** One figure of a rule set that may be edited in a copy. */
interface RuleField {
  readonly key: string;
  readonly word: string;
  readonly least: number;
  readonly most: number;
  readonly mayBeEmpty?: boolean;
  /** Undefined: this set has no such figure; null: not set. */
  readonly of: (set: SetOfRules) => number | null | undefined;
  readonly put: (set: SetOfRules, value: number | null) => SetOfRules;
}

export const ruleFields: readonly RuleField[] = [
  {
    ...{ key: 'distance', word: 'Distance, m', least: 0.1, most: 20 },
    of: ({ distance_m }) => distance_m,
    put: (set, value) => ({ ...set, distance_m: value ?? set.distance_m }),
  },
  {
    ...{ key: 'angle', word: 'To so many degrees', least: 0, most: 85 },
    of: ({ angles_deg }) => angles_deg[1],
    put: (set, value) => ({
      ...set,
      angles_deg: [Math.min(set.angles_deg[0], value ?? 0), value ?? set.angles_deg[1]],
    }),
  },
  {
    ...{ key: 'edge', word: 'Edge zone, mm', least: 0, most: 500 },
    of: ({ edge }) => ('mm' in edge ? edge.mm : undefined),
    put: (set, value) =>
      'mm' in set.edge ? { ...set, edge: { ...set.edge, mm: value ?? set.edge.mm } } : set,
  },
  {
    ...{ key: 'cluster', word: 'A cluster is so many', least: 2, most: 1000 },
    of: ({ cluster }) => cluster?.count,
    put: (set, value) =>
      set.cluster === null
        ? set
        : { ...set, cluster: { ...set.cluster, count: Math.round(value ?? set.cluster.count) } },
  },
  {
    ...{ key: 'cluster-within', word: 'nearer to each other than, mm', least: 1, most: 3000 },
    of: ({ cluster }) => cluster?.within_mm,
    put: (set, value) =>
      set.cluster === null
        ? set
        : { ...set, cluster: { ...set.cluster, within_mm: value ?? set.cluster.within_mm } },
  },
  {
    ...{ key: 'light', word: 'Least light let through, share', least: 0, most: 1, mayBeEmpty: true },
    of: ({ leastLight }) => leastLight,
    put: (set, value) => ({ ...set, leastLight: value }),
  },
];

export const checkWords = {
  isItGoodWork: 'Is it good work?',
  pickSurface: 'Pick a surface to look at.',
  notMeasured: 'Marks have a place once the surface is measured.',
  toSurvey: 'To Survey',
  round: 'Round',
  lookAt: (view: LookView, number: Figure, of: Figure) => `${PIECE[view]} ${number} of ${of}`,
  standFor: (view: LookView, distance: string, light: string) => STAND[view](distance, light),
  lookedAt: 'Looked at',
  wholeLookedAt: 'The whole face and all edges were looked at.',
  markHere: 'A mark here',
  markWithPhoto: 'Mark and picture',
  roundSays: (done: Figure, all: Figure, minutes: number) =>
    `${done} of ${all} pieces${minutes > 0 ? `, about ${minutes} min left` : ''}. A walked path is not a seen mark.`,
  takeBackPiece: (view: LookView, number: Figure) => `Not looked at: ${PIECE[view].toLowerCase()} ${number}`,
  roundAnew: 'Start the round again',
  otherMeasures: 'Measures changed since this round: look again.',
  onWithRound: 'On with the round',
  lookedAtPiece: (tag: string, view: LookView, number: Figure) =>
    `${tag}: ${PIECE[view].toLowerCase()} ${number} looked at`,
  notLookedAt: (tag: string, view: LookView, number: Figure) =>
    `${tag}: ${PIECE[view].toLowerCase()} ${number} not looked at`,
  roundBegun: (tag: string) => `${tag}: a new round`,
  judgedBySet: (tag: string, set: string) => `${tag}: judged by ${set}`,
  rules: 'Judged by',
  rulesInFull: 'The rules in full',
  copyToEdit: 'These are from memory. Copy them to the job to match them to the contract.',
  copyRules: 'Copy to the job',
  copyOf: (name: string) => `${name}, ours`,
  rulesName: 'Name',
  versionIs: (version: Figure) => `Version ${version}; each change makes the next.`,
  notSet: 'not set',
  lineNumber: (number: Figure) => `Rule ${number}`,
  ruleLine: (kind: MarkRule['kind'], zone: MarkRule['zone']) =>
    `${kind === 'spot' ? 'spots' : 'lines'}, ${zone === 'any' ? 'anywhere' : `${zone} zone`}`,
  limitIs: (limit: MarkLimit) => limitWords(limit),
  ruleKind: 'Spots or lines',
  ruleZone: 'Zone',
  takeRuleOut: 'Take this rule out',
  addRule: 'Add a rule',
  overMm: 'over, mm',
  toMm: 'to, mm',
  mayBe: 'may be',
  ruleWrong: (word: string, given: string, least: Figure, most: Figure) =>
    `${word}: '${given}' given; from ${least} to ${most}.`,
  fromOverTo: (from: Figure, to: Figure) => `From ${from} mm to ${to} mm: the first must be the smaller.`,
  rulesCopied: (name: string) => `${name} copied to the job`,
  rulesChanged: 'Rules changed',
  under: (name: string, version: Figure, light: string, distance: Figure) =>
    `${name}, version ${version}; ${light}; ${distance} m`,
  noMarks: 'No marks yet.',
  tap: 'Tap the surface where a mark is.',
  addByKey: 'A mark in the middle',
  marksOf: (tag: string, count: Figure) => `${tag}: ${count} marks`,
  markIs: (number: Figure) => `Mark ${number}`,
  look: 'What it is',
  sayOther: 'Something else',
  size: 'Size',
  length: 'Length, if it is a line',
  noSizeYet: 'no size',
  sizeBySlider: 'Size by the sample',
  sampleOf: 'As large as this on a screen of usual size; a card of known size in the picture is surer.',
  moveBy: 'Move by arrow keys',
  gone: 'Gone',
  notGone: 'Still there',
  goneSince: 'gone',
  takeOut: 'Take it out',
  noPlace: 'no place yet',
  whichScratch: 'In the film or in the glass? Draw a nail across: what is in the glass stays under the film.',
  inFilm: 'In the film',
  inGlass: 'In the glass',
  notObtrusive: 'Looked: not obtrusive',
  obtrusive: 'Looked: obtrusive',
  takeOver: (verdict: string) => `Take over: ${verdict}`,
  putRight: 'Put it right',
  putRightNow: 'Put right: gone',
  atHand: (tools: string) => `At hand: ${tools}.`,
  remedySource: "Common practice, no published source; the film's sheet wins.",
  anew: 'Remade',
  whichFilm: 'Which film is it in?',
  anewSays:
    'The piece no longer counts: Cut wants film for it again, from an offcut where one will do, and its steps are open in the plan.',
  makeAnew: 'Remake it',
  anewDone: 'Its blank waits at Cut, its steps are open again.',
  toCut: 'To Cut',
  watchUntil: (date: string) => `watch until ${date}`,
  byCustom: 'That is 30 days by custom: glass and weather are not known.',
  noDate: 'No date is known: glass and weather say it does not dry now, or nothing is laid.',
  keptBy: (verdict: string, who: string, when: string, under: string) =>
    `${verdict}: ${who}, ${when}. ${under}.`,
  driesUntil: (date: string) => `Pockets may dry until ${date}, by vapour through this film.`,
  driesByCustom: (date: string) => `Pockets may dry until ${date}, 30 days by custom.`,
  driesNever: (month: string) =>
    `Pockets do not dry as glass and air are now: it goes on ${month === '' ? 'when the glass is warmer' : `from ${month}`}.`,
  laidDry: 'Laid dry: no water to wait for.',
  notLaid: 'Nothing is laid here yet.',
  marked: (tag: string) => `${tag}: a mark`,
  changed: (number: Figure) => `Mark ${number} changed`,
  markGone: (number: Figure) => `Mark ${number} gone`,
  takenOut: (number: Figure) => `Mark ${number} taken out`,
  eyeSaid: (number: Figure) => `Mark ${number} looked at`,
  tookOver: (number: Figure) => `Mark ${number} taken over`,
  redone: (tag: string, number: Figure) => `${tag}: remade for mark ${number}`,
  laidBefore: (day: string, who: string, number: Figure) =>
    `Laid before on ${day}${who === '' ? '' : ` by ${who}`}; remade for mark ${number}.`,
  acceptWhole: 'Accept this surface',
  acceptPart: 'Accept as far as it was looked at',
  acceptedSurface: (tag: string) => `${tag} accepted`,
  acceptedBy: (who: string, when: string, light: string) => `Accepted: ${who}, ${when}; ${light}.`,
  verdictOf: (count: Figure, isWhole: boolean) =>
    `${count === 0 ? 'No marks' : `By the worst of ${count} ${count === 1 ? 'mark' : 'marks'}`}${isWhole ? ', the whole looked at.' : '; not all of it was looked at.'}`,
  seenFrom: (side: string) => `Drawn as one sees it ${side}.`,
  front: (place: string) => `${place}: all of it`,
  frontSays: (good: Figure, begun: Figure, again: Figure, open: Figure) =>
    `${good} good, ${begun} begun or watched, ${again} to be done again, ${open} not looked at.`,
  seenBy: (from: Mark['from'], day: string) => `${SEEN_BY[from]} ${day}.`,
  beforeLaying: 'Seen before the film was laid: it belongs to the glass or the ground under it.',
  placeIt: 'Nobody has said where: tap the surface.',
  defectMap: 'Defect map (PDF)',
  photoOfMark: 'Take a picture of it',
  photosOfMark: 'Pictures of this mark',
  photoFrom: (day: string) => `Picture of ${day}`,
  noDay: 'no day known',
  sizeFromPhoto: 'Take its size from the picture',
  pairOfPhotos: 'First and last picture',
  squareTheFirst: 'Tap the four corners of the card in the first picture, then the mark.',
  squareTheLast: 'Now the last picture: the card’s corners, then the mark or that it is gone.',
  nothingThere: 'nothing there',
  pairIs: (before: string, now: string) => `First ${before}, last ${now}.`,
  seemsTo: (became: string) => `By the pictures: ${became}. You decide.`,
  pairSaid: (became: string) => `By the pictures: ${became}`,
  areaIs: (area: Figure, sd: Figure) => `${area} mm² ±${sd}`,
  pictureToTap: 'Picture to tap',
  tapCard: (number: Figure) => `Tap corner ${number} of 4 of the card, from its upper left, clockwise.`,
  tapSurface: (number: Figure) => `Tap corner ${number} of 4 of the surface, from its upper left, clockwise.`,
  cornersTapped: 'All four corners are tapped.',
  tapMark: 'Tap the mark.',
  tapRound: 'Tap round the mark.',
  markFound: 'Is the line round it right? Else draw it.',
  nothingStandsOut: 'Nothing stands out there: draw round it by taps.',
  cardWidth: 'Card, wide mm',
  cardHeight: 'Card, high mm',
  cardWrong: (given: string) => `'${given}' is no size of a card: over 0, up to 3000 mm.`,
  keepPhoto: 'Keep',
  nothingThereNow: 'Nothing there any more',
  drawRound: 'Draw round it',
  tapAnew: 'Tap again',
  photoSquared: 'Picture made square',
  noPicture: 'The picture could not be read.',
  beforeAfter: 'Before and after',
  beforeAfterHow:
    'One picture of the whole before the work, one after; the four corners of the surface make them alike.',
  photoOfWhole: 'Take the whole',
  before: 'Before',
  after: 'After',
  viewOf: (which: string, day: string) => `${which}, ${day}`,
  fourCorners: 'Its four corners',
  light: 'Light let through',
  lightHow:
    'The same meter, the same place, one after the other: behind bare glass, then behind film. In lux.',
  lightBare: 'Behind bare glass, lx',
  lightBehind: (film: string) => `Behind ${film}, lx`,
  lightRead: (tag: string) => `${tag}: light read`,
  lightWrong: (given: string, most: Figure) => `'${given}' is no light: from 0 to ${most} lx.`,
  lightUnknown: 'Unknown: read behind bare glass and behind film.',
  lightThrough: (percent: Figure) => `${percent} % comes through the film.`,
  lightAsSheet: (percent: Figure) => `Its sheet says ${percent} %.`,
  lightFar: (percent: Figure) =>
    `Its sheet says ${percent} %: another film, or the light changed between the readings.`,
  lightNoSheet: 'Its sheet does not say.',
  lightNoLimit: 'No limit is typed in the rules: what the law asks for here, the shop must know.',
  lightUnder: (percent: Figure) => `Under the limit of ${percent} % in the rules.`,
  lightOver: (percent: Figure) => `Not under the limit of ${percent} % in the rules.`,
};

function limitWords(limit: MarkLimit): string {
  switch (limit.case) {
    case 'at most':
      return `${limit.count} at most`;
    case 'a square metre':
      return `${limit.count} a square metre`;
    case 'apart':
      return `no two nearer than ${limit.least_mm} mm`;
    case 'by area':
      return limit.steps
        .map(
          ({ upTo_m2, count, isPerM2 }) =>
            `${count}${isPerM2 ? ' a m²' : ''}${upTo_m2 === null ? ' above' : ` to ${upTo_m2} m²`}`,
        )
        .join(', ');
  }
}
