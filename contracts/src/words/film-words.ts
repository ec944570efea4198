import {
  CLASS_CAUTION,
  type FilmAdvice,
  type FilmReason,
  type LimitMiss,
  type WhyNot,
} from '@yellow-pane/core/choosing';
import type { GlassUnknown } from '@yellow-pane/core/job';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import {
  ADDS_LITTLE,
  type EdgeLoad,
  type GlassAssumption,
  type Penalty,
  type MatrixAnswer,
} from '@yellow-pane/core/thermal-stress';
import { type Figures, type Messages, capital, figuresIn, sentenceOf } from './messages';

const ASSUMED = {
  'sound glass': 'sound glass: no crack or chip was looked for',
  'clear glass': 'clear glass',
  'the coating on the inner side of its pane': 'the coating on the inner side of its pane',
  'a gap': ({ width_mm }, { about }) => `a gap of ${about(width_mm)}`,
  'air in the gap': 'air in the gap',
  'a place on earth': ({ latitude_deg }) => `a place at ${latitude_deg}° north`,
  'the bearing that gets the most sun': 'the bearing that gets the most sun',
  'a shade line across the pane': 'a shade line across the pane',
  'the size of the pane': ({ size_mm }, { about }) => `a pane of ${about(size_mm)} each way`,
  'no blind close behind the glass': 'no blind close behind the glass',
  'no warm air on the glass': 'no warm air on the glass',
  'a metal frame': 'a metal frame',
  'an edge nobody has seen': 'an edge nobody has seen',
} satisfies Messages<GlassAssumption>;

const PENALTIES = {
  'a large pane': ({ over_m2 }, { units, area }) =>
    `pane over ${units === 'metric' ? `${over_m2} m²` : area(over_m2)}`,
  'a shade line crosses it': 'a shade line crosses the pane',
  'blind or curtain close behind': 'blind or curtain close behind',
  'warm air on the glass': 'warm air on the glass',
  'a solid, cold frame': 'solid, cold frame',
  'far from day to night': ({ over_K }, { difference }) =>
    `more than ${difference(over_K)} between day and night`,
  'sloped glass': 'sloped glass',
  'high up': ({ over_m }) => `more than ${over_m} m up`,
} satisfies Messages<Penalty>;

/** A circumstance that makes the same sun worse. */
export function penaltyWords(penalty: Penalty, units: DisplayUnits = 'metric'): string {
  return sentenceOf<Penalty>(PENALTIES, penalty, units);
}

const MATRIX = {
  low: 'low risk',
  check: 'to be checked',
  no: 'no',
  ask: 'ask the maker of the glass',
} as const satisfies Readonly<Record<MatrixAnswer['outcome'], string>>;

function matrixWords({ row, penalties, worse, added, outcome }: MatrixAnswer, figures: Figures): string {
  if (outcome !== 'ask' && added <= ADDS_LITTLE)
    return `it adds ${figures.percent(Math.max(0, added))} to the sun this pane takes up by itself: ${MATRIX.low}`;
  const circumstances = penalties
    .map((penalty) => sentenceOf<Penalty>(PENALTIES, penalty, figures.units))
    .join(', ');
  const counted =
    worse === penalties.length ? '' : ` (as ${worse} of ${penalties.length}, since it adds little)`;
  return `${row}${circumstances === '' ? '' : `; ${circumstances}${counted}`}: ${MATRIX[outcome]}`;
}

/** Which pane of a unit, counted from outdoors. */
export function paneWords(pane: number, panes: number): string {
  if (panes === 1) return 'the pane';
  return pane === 0 ? 'the outer pane' : pane === panes - 1 ? 'the inner pane' : 'the middle pane';
}

const clock = (hour: number): string => `${String(Math.floor(hour)).padStart(2, '0')}:00`;

function loadWords({ pane, panes, day, hour, stress_MPa, unfilmed_MPa, bears }: EdgeLoad): string {
  const borne =
    bears === null
      ? 'there is no number for what it bears'
      : `it bears ${bears.low_MPa.toFixed(1)}${bears.high_MPa > bears.low_MPa ? ` to ${bears.high_MPa.toFixed(1)}` : ''}`;
  return `${capital(paneWords(pane, panes))} would bear ${stress_MPa.toFixed(1)} MPa at its edge on a ${day} at ${clock(hour)} sun time, ${unfilmed_MPa.toFixed(1)} without this film; ${borne}.`;
}

const REASONS = {
  'hurt glass': ({ condition }) => `This glass is ${condition}: any film adds heat to it.`,
  'damaged edge': 'The edge of this glass is damaged: there is no number for what it bears.',
  'wired glass': 'Wired glass cracks at its wires: it takes film only when its maker says so in writing.',
  'glass not known': ({ what }) => `Not known: ${what.join(', ')}.`,
  'no sun reaches it': 'No sun reaches this glass: film cannot heat it.',
  'edge load': ({ load }) => loadWords(load),
  'fails without film': ({ load }) => `This pane is over what it bears without any film. ${loadWords(load)}`,
  'film makes it fail': ({ load }) => `This film takes the pane over what it bears. ${loadWords(load)}`,
  'rule of thumb': ({ matrix }, figures) => `Rule of thumb: ${matrixWords(matrix, figures)}.`,
  'hot seal': ({ hottest_C, limit_C }, { temperature }) =>
    `A pane reaches ${temperature(hottest_C)}: the edge seal ages fast above ${temperature(limit_C)}.`,
  'not for this kind of surface': ({ kind }) => `A film for glass, not for a ${kind}.`,
  'not for glass': 'Not a film for glass.',
  'does not follow curved glass': 'It does not follow curved glass.',
  'for vehicles only': 'A tint for vehicles: its sheet speaks of no building.',
  'outside not open to film': 'An exterior film, and the outside of this glass is not open to film.',
  'room side not open to film': 'The room side of this glass is not open to film.',
  'figures refused': ({ path, got, expected }) =>
    `Its figures cannot be calculated: ${path} is ${got}; expected ${expected}.`,
  'make-up not known': 'The make-up of this glass is not known.',
  'surface not known': 'What this surface is made of is not known.',
  'light and sun do not go together': ({ question: { light, sun, least, most } }, { percent }) =>
    `Its sheet says ${percent(sun)} of the sun kept: with ${percent(light)} of the light a film keeps ${percent(least)} to ${percent(most)}. One of the two is misread.`,
  'its sheet does not say': ({ missing }) => `Its sheet does not say: ${missing.join(', ')}.`,
  'sweats sooner': ({ face_C, bare_C, dewPoint_C }, { temperature }) =>
    `On the coldest night its room side falls to ${temperature(face_C, 1)} (${temperature(bare_C, 1)} without): it sweats when the room's dew point is over ${temperature(dewPoint_C)}.`,
  'calculated with the film on the other side':
    'Calculated together with the film that is on the other side now.',
  damp: 'The surface is damp: film comes off as it dries. Find and stop the damp first.',
  'flaking paint':
    'Paint flakes: film takes it along. Remove it, and have old paint tested for lead before sanding.',
  'paint that lets go': 'Silicone and anti-graffiti paints let go of any adhesive.',
  'tape took paint off': 'The tape test took paint off: film would do the same.',
  'paint too fresh':
    'Paint under 30 days still gives off gas and makes bubbles: wait. The 30 days are our guess.',
  'ground refused': 'Somebody refused this ground in Survey: put it right, then have it judged again.',
  'texture under a smooth film':
    'This film needs a smooth surface: on texture it touches the peaks alone and falls off. A textured-wall film follows it.',
  'decal on texture':
    'On texture it holds as a decal alone: piece by piece, heated where it touches and dabbed down. Try a piece first.',
  'glazed block': 'Glazed block: no heat on the face, squeegee it, then finish the joints warm.',
  'soft canvas': 'Soft canvas: hold something hard behind it, and heat gently.',
  dusty: 'Dusty: brush, wash and dry, then test with tape again.',
  'made of what is unknown': 'The surface is not known: note at Survey what it is made of.',
  'state unknown': 'Whether it is sound and dry is not known: look, wipe with a dark cloth, feel for damp.',
  'no tape test': 'No tape test yet: press strong tape on, wait, tear it off, and note what came along.',
  'age of paint unknown': 'How old the paint is nobody knows: under 30 days means wait.',
} satisfies Messages<FilmReason>;

const FIND_OUT: Readonly<Record<GlassUnknown, string>> = {
  'how many panes': 'Hold a flame or torch to the glass: each pane throws back two reflections.',
  'the kind of glass':
    'Look for a stamp in a corner (toughened, laminated); without one take it for annealed only when the maker says so.',
  'the thickness of the glass':
    'Measure it at an open edge, or with a thickness gauge on the reflections of a torch.',
  'whether it is coated': 'Hold a flame to it: one reflection of another colour is a coating.',
};

const ADVICE = {
  'have it replaced first': 'Have the pane replaced first; a licensed glazier decides.',
  'ask the glass maker in writing': 'Ask the maker of the glass in writing.',
  'find out': ({ what }) => FIND_OUT[what],
  'smooth side only': 'Patterned glass: film holds only on its smooth side.',
  'tell the customer it is at risk':
    'This pane is at risk already without film: tell the customer before touching it.',
  'taken for want of knowing': ({ what }, { units }) =>
    `Taken for want of knowing: ${sentenceOf<GlassAssumption>(ASSUMED, what, units)}.`,
  'look along every edge':
    'Look along every edge with a torch for chips before starting; one chip means stop.',
  'word of the makers': 'Get the word of the makers of the glass and of the film in writing.',
  'holds the pieces together':
    'On the room side of the inner pane: it holds the pieces together and the hole shut for a while.',
  'against splinters': ({ thickness_um }) =>
    `${thickness_um} µm: against splinters. It does not delay a break-in.`,
  'delays a break-in': ({ thickness_um }) =>
    `${thickness_um} µm: delays, does not stop, someone who wants in.`,
  'open edge': 'The edge is open: film can reach it.',
  'daylight fit':
    'Film that ends at the frame (daylight fit) holds the pieces together; to hold the pane in its frame the film must reach under the bead, or its edge be fixed. The edge fails first.',
  'its maker names': ({ claims }) => `Its maker names: ${claims}. ${CLASS_CAUTION}`,
  'note the make-up': 'Note at Survey how many panes it has, of what kind, and how thick.',
  'note what it is made of': 'Note at Survey what it is made of, its paint and its state.',
  'ask its maker for figures': 'Ask its maker for these figures.',
  'primer all over': 'Primer over all of it, along the grain; cut wood edges 2 or 3 extra coats.',
  'primer at edges': 'Primer at edges and corners.',
  'promoter on laps': 'Adhesion promoter on laps, seams and inside corners only: dry 5 to 15 minutes.',
  'gun and roller together': (_, { about }) =>
    `Heat gun and roller together; level edges before upright ones; at edges the gun is held ${about(150)} to ${about(250)} off and points away from the edge.`,
  'an outside corner wears': (_, { about }) =>
    `An outside corner wears: no seam within ${about(300)} of it unless turned (our guess).`,
  'grain along the roll': 'Grain runs along the roll: settle its direction over all pieces first.',
} satisfies Messages<FilmAdvice>;

const MISSES = {
  'too little light kept': ({ kept, least }, { percent }) =>
    `keeps ${percent(kept)} of the light, not ${percent(least)}`,
  'too little heat off': ({ off, least }, { percent }) =>
    `takes off ${percent(off)} of the heat, not ${percent(least)}`,
} satisfies Messages<LimitMiss>;

/** Why a film may go on a surface, or may not. */
export function filmReasonWords(reason: FilmReason, units: DisplayUnits = 'metric'): string {
  return sentenceOf<FilmReason>(REASONS, reason, units);
}

/** What to do, to find out, or to know about it. */
export function filmAdviceWords(advice: FilmAdvice, units: DisplayUnits = 'metric'): string {
  return sentenceOf<FilmAdvice>(ADVICE, advice, units);
}

/** What was taken of a pane for want of knowing. */
export function assumptionWords(assumed: GlassAssumption, units: DisplayUnits = 'metric'): string {
  return sentenceOf<GlassAssumption>(ASSUMED, assumed, units);
}

/** A wish that is missed, as it follows 'it'. */
export function missWords(miss: LimitMiss): string {
  return sentenceOf<LimitMiss>(MISSES, miss, 'metric');
}

/** The same for a customer: what the edge bears as a share, and no unit that only a fitter reads. */
export function customerReasonWords(reason: FilmReason, units: DisplayUnits): string {
  if ('load' in reason) return shareWords(reason.load, figuresIn(units));
  return reason.case === 'rule of thumb' ? '' : filmReasonWords(reason, units);
}

function shareWords(
  { pane, panes, day, stress_MPa, unfilmed_MPa, bears }: EdgeLoad,
  { percent }: Figures,
): string {
  const where = paneWords(pane, panes);
  return bears === null
    ? `Nobody can say what the edge of ${where} bears.`
    : `On a ${day} the sun would load the edge of ${where} with ${percent(stress_MPa / bears.low_MPa)} of what it is taken to bear; without the film ${percent(unfilmed_MPa / bears.low_MPa)}.`;
}

/** Why another film is better here, as it follows 'it'. */
export function whyNotWords(why: WhyNot, bestName: string): string {
  switch (why.case) {
    case 'too little light kept':
    case 'too little heat off':
      return missWords(why);
    case 'lacks the look':
      return `has not the look asked for, as ${bestName} has`;
    case 'lets in more heat':
      return `lets in ${why.points} points more heat than ${bestName}`;
    case 'keeps less light':
      return `keeps ${why.points} points less light than ${bestName}`;
    case 'meets the wishes less':
      return `meets the wishes ${Math.round(why.score * 100)} of 100, ${bestName} ${Math.round(why.best * 100)}`;
  }
}
