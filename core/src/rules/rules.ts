import { COMMON_PRACTICE, type Source } from '../quantity';
import { CHECK_RULES } from './check-rules';
import { CURVED_RULES } from './curved-rules';
import { STROKE_RULES } from './stroke-rules';
import { OURS, type Rule } from './rule';

const TWO_FILMS: Source = {
  kind: 'from memory',
  text: "two films' sheets (from memory): the film's own sheet wins",
};

/** The rules of the trade by key. `docs/rules.md` is made from this table (`npm run rules`). */
export const RULES = {
  falseAlarm: {
    value: 0.001,
    unit: 'share',
    reason:
      'Honest measures are accused no more often than this: half by the sum of squares, half by the worst single one.',
    source: { kind: 'our guess', text: 'the level of both tests: our choice' },
  },
  edgeGap: {
    value: 1.5,
    least: 1.5,
    most: 3,
    unit: 'mm',
    reason: 'Ready-cut film ends 1.5 to 3 mm before gasket or seal on each side.',
    source: OURS,
  },
  columnLap: {
    value: 25,
    unit: 'mm',
    reason: 'Column and promoter seams lap 25 mm.',
    source: COMMON_PRACTICE,
  },
  doubleCut: {
    value: 50,
    unit: 'mm',
    reason: 'For a double cut the sheets lap about 50 mm; the liner is left on under the lap.',
    source: COMMON_PRACTICE,
  },
  cuttingGuide: {
    value: 25,
    least: 13,
    most: 38,
    unit: 'mm',
    reason:
      'The first sheet is left turned round an inside corner by the width of the cutting guide, 13 to 38 mm.',
    source: COMMON_PRACTICE,
  },
  secondSheet: {
    value: 3,
    unit: 'mm',
    reason:
      'The second sheet is trimmed about 3 mm (1/8 in) past the corner on the first, through the top layer only.',
    source: COMMON_PRACTICE,
  },
  outsideSeam: {
    value: 300,
    unit: 'mm',
    reason: 'No seam within 300 mm of an outside corner, unless the sheet is turned round it.',
    source: OURS,
  },
  sliver: {
    value: 150,
    unit: 'mm',
    reason: 'No strip narrower than 150 mm: it is hard to lay straight and shows.',
    source: OURS,
  },
  liftOff: {
    value: 40,
    least: 25,
    most: 50,
    unit: 'mm',
    reason: 'Lifted 25 to 50 mm off the bottom seal while shrinking.',
    source: COMMON_PRACTICE,
  },
  linerStrip: {
    value: 100,
    unit: 'mm',
    reason:
      'A strip of liner 100 mm wide is slit down the middle and left on: it comes off first, to hang the sheet on the column.',
    source: COMMON_PRACTICE,
  },
  notch: {
    value: 13,
    unit: 'mm',
    reason:
      'At both ends of the strip a notch in the middle of the short edge: as wide as the strip, 13 mm deep, its sides flaring outwards at 45°. The wings keep their full length and flare on to floor and ceiling.',
    source: COMMON_PRACTICE,
  },
  eyesLow: {
    value: 1400,
    unit: 'mm',
    reason: 'No level seam between 1.4 and 1.7 m over the floor, where eyes are.',
    source: OURS,
  },
  eyesHigh: {
    value: 1700,
    unit: 'mm',
    reason: 'No level seam between 1.4 and 1.7 m over the floor, where eyes are.',
    source: OURS,
  },
  largeSheet: {
    value: 1.5,
    unit: 'm²',
    reason: "From here on two people handle the sheet. Practice says 'large'; the figure is a guess.",
    source: OURS,
  },
  twoPeopleFrom: {
    value: 25,
    unit: 'kg',
    reason: 'From here on two people lift a sash, a sheet or a roll.',
    source: COMMON_PRACTICE,
  },
  openGlazing: {
    value: 540,
    unit: 'min',
    reason: 'A pane whose beads are out has them back the same day; the opening is guarded in the meantime.',
    source: OURS,
  },
  ladderFrom: {
    value: 2,
    unit: 'm',
    reason: 'Above this people stand on something: a platform for squeezing out, a ladder at least.',
    source: COMMON_PRACTICE,
  },
  ...CURVED_RULES,
  ...STROKE_RULES,
  ...CHECK_RULES,
  waterFilm: {
    value: 60,
    least: 20,
    most: 150,
    unit: 'g/m²',
    reason: 'Water that lies on glass that was sprayed; what it runs down to.',
    source: OURS,
  },
  usualDraught: {
    value: 0.2,
    unit: 'm/s',
    reason: 'Air moving over a surface, taken where nobody measured it.',
    source: OURS,
  },
  fireWatch: {
    value: 30,
    least: 30,
    most: 60,
    unit: 'min',
    reason: 'After heat on a wall somebody stays near for so long and looks again.',
    source: OURS,
  },
  eyeForgives: {
    value: 2,
    unit: 'mm',
    reason: 'A wedge or bend up to this is hardly seen over a row of panes.',
    source: OURS,
  },
  slideStep: {
    value: 1.5,
    unit: 'times',
    reason:
      'After a slide that sticks the mix is made this much richer, after one that runs off this much leaner.',
    source: OURS,
  },
  coldRoom: {
    value: 15,
    unit: '°C',
    reason: 'Below this, room, surface and film are brought to warmth before decor and wrap film is laid.',
    source: COMMON_PRACTICE,
  },
  usualHeight: {
    value: 2.5,
    unit: 'm',
    reason: 'A seam or corner of unknown height is calculated as a storey.',
    source: OURS,
  },
  usualArea: {
    value: 1.5,
    unit: 'm²',
    reason: 'Taken for a surface that is not measured yet.',
    source: OURS,
  },
  usualEdge: {
    value: 5,
    unit: 'm',
    reason: 'All the way round, taken for a surface that is not measured yet.',
    source: OURS,
  },
  primerWater: {
    value: 120,
    unit: 'min',
    reason: "Primer thinned with water dries over 2 h at a room's usual air; longer when cold or damp.",
    source: COMMON_PRACTICE,
  },
  primerSolvent: {
    value: 60,
    unit: 'min',
    reason: 'Primer thinned with solvent dries over 1 h at 20 °C; twice as long for each 10 K colder.',
    source: COMMON_PRACTICE,
  },
  promoterFlash: {
    value: 5,
    least: 5,
    most: 15,
    unit: 'min',
    reason: 'Adhesion promoter flashes off in 5 to 15 minutes.',
    source: COMMON_PRACTICE,
  },
  promoterOpen: {
    value: 60,
    unit: 'min',
    reason: 'Adhesion promoter is not left over an hour: it takes dust.',
    source: OURS,
  },
  slipOpen: {
    value: 5,
    unit: 'min',
    reason: 'Glass and adhesive that were wetted are joined within this, or wetted again.',
    source: OURS,
  },
  oneGo: {
    value: 15,
    unit: 'min',
    reason: 'Locking, trimming and squeezing follow each other within this, while water lies under the film.',
    source: OURS,
  },
  tapeEach: {
    value: 2,
    unit: 'm',
    reason: 'Tape for a surface, to hang and to mark.',
    source: OURS,
  },
  thickFilm: {
    value: 100,
    unit: 'µm',
    reason: 'From this thickness sealant goes back only once the film has dried: up to a week, our guess.',
    source: OURS,
  },
  waitBand: {
    value: 1,
    least: 0.8,
    most: 1.6,
    unit: 'times',
    reason: 'What is calculated to dry or warm so long is seldom shorter and often longer.',
    source: OURS,
  },
  sealantThin: {
    value: 2,
    least: 1,
    most: 2,
    unit: 'd',
    reason: 'Sealant goes back one to two days after light film was laid.',
    source: COMMON_PRACTICE,
  },
  sealantThick: {
    value: 7,
    least: 2,
    most: 7,
    unit: 'd',
    reason: 'Sealant goes back once thick film has dried: a week is our guess.',
    source: OURS,
  },
  firstBond: {
    value: 2,
    least: 1,
    most: 2,
    unit: 'd',
    reason: 'Thin film and security film hold first after one to two days.',
    source: COMMON_PRACTICE,
  },
  decalBond: {
    value: 14,
    least: 10,
    most: 14,
    unit: 'd',
    reason: 'A decal gains its strength in about two weeks.',
    source: COMMON_PRACTICE,
  },
  warmRoomStay: {
    value: 2,
    least: 1,
    most: 2,
    unit: 'd',
    reason: 'Finished vinyl stays so long in a warm room when it is cold outdoors.',
    source: COMMON_PRACTICE,
  },
  bladesEach: {
    value: 3,
    unit: 'm²',
    reason: 'Glass that one scraper blade does; at least one blade for two panes.',
    source: OURS,
  },
  paperEach: { value: 2.5, unit: 'm', reason: 'Edge that one sheet of paper dries.', source: OURS },
  clothEach: {
    value: 4,
    unit: 'm²',
    reason: 'Surface for one cloth, besides two for floor and sill.',
    source: OURS,
  },
  vinylWarmRoom: {
    value: 13,
    unit: '°C',
    reason: 'Finished vinyl stays in a warm room when it is colder than this outdoors.',
    source: COMMON_PRACTICE,
  },
  solventColdest: {
    value: 5,
    unit: '°C',
    reason: 'Colder than this primer thinned with solvent is not left to dry: its sheet wins.',
    source: OURS,
  },
  usualVapourDrop: {
    value: 1.169,
    unit: 'kPa',
    reason: "How readily a room's usual air, 20 °C at 50 %, takes water: what drying times are stated for.",
    source: { kind: 'published', text: 'Hyland and Wexler 1983, as in the ASHRAE Handbook (from memory)' },
  },
  dewMargin: {
    value: 3,
    unit: 'K',
    reason: 'A face nearer than this to the dew point of the air counts as damp.',
    source: COMMON_PRACTICE,
  },
  coolingStretch: {
    value: 1.25,
    unit: 'times',
    reason: 'Glass is waited for a quarter longer than it is calculated to take to cool: the wind drops.',
    source: OURS,
  },
  postHeat: {
    value: 90,
    unit: '°C',
    reason: "Without the film's sheet the aim is unknown; 90 °C as a guess.",
    source: TWO_FILMS,
  },
} as const satisfies Readonly<Record<string, Rule>>;

export type RuleKey = keyof typeof RULES;
