import type { FoundThere, HandedPane, OpenItem, Payment, SeenFrom, VisitKind } from '@yellow-pane/core/job';
import type { CareKey, QuoteGuess, QuoteState } from '@yellow-pane/core/reading';
import type { MayKey } from '@yellow-pane/core/waiting';
import type { Verdict } from '@yellow-pane/core/quantity';
import { mayWords } from './may-words';
import { SEEN_FROM } from './side-words';
import { visitReasonWords } from './visit-words';

const CARE: Readonly<Record<CareKey, string>> = {
  'soft and wet': 'Clean with a soft cloth, water and a little mild soap. Never dry, never with a brush.',
  'no ammonia, no blade': 'Nothing with ammonia, no abrasive, no blade or scraper on the film.',
  'nothing stuck on it': 'No stickers, tape, suction cups or hooks on the film.',
  'edges alone': 'Leave the edges alone: what lifts is not pulled or cut; call us.',
  'haze and pockets dry':
    'Haze and small water pockets are ordinary while the film dries. Do not press, prick or warm them before their date.',
  'blinds and heaters':
    'No heater or hot air against the glass; leave a gap behind blinds and furniture. Film warms the glass, and glass that is warmed unevenly can crack.',
  'cracked glass': 'The glass was damaged before the work: watch it, and let a licensed glazier decide.',
  'not unbreakable':
    'This film holds broken glass together. It does not make the glass unbreakable; local rules and the film’s data sheet say what it is tested for.',
  'weather side': 'On the weather side film wears sooner: have its edges looked at once a year.',
  wall: 'On the wall: wipe with a damp cloth along the joints, never scrub; keep furniture off it.',
  plastic:
    'The pane is plastic: gas may come out of it under the film. Call us when bubbles appear that were not there.',
  'heater lines': 'Heater lines are under the film: scrape nothing there.',
  'rescue glass': 'Part of a way of escape: whoever runs the building or vehicle must know that it has film.',
};
const OPEN: Readonly<Record<OpenItem['kind'], (what: string) => string>> = {
  mark: (what) => `A mark is still to be decided or put right: ${what}`,
  'not looked at': () => 'Not all of it was looked at after the work',
  'not done': (what) => `Not finished: ${what === '' ? 'its film' : what}`,
  visit: (what) => visitReasonWords(what as VisitKind),
  'put back': (what) => `Still to be put back: ${what}`,
  ground: () => 'The ground was refused and film may not hold on it',
  pocket: (what) => `Watched: ${what}`,
};
const FOUND: Readonly<Record<FoundThere['kind'], string>> = {
  glass: 'glass',
  edges: 'edges',
  damage: 'damage',
  mark: 'mark',
  'old film': 'stuck on it',
  ground: 'ground',
};
const GUESSES: Readonly<Record<QuoteGuess, string>> = {
  'sizes that were only said': 'sizes as they were said on the phone: measure them in Survey',
  'minutes of work': 'minutes of each step, until the shop has timed its own (Settings)',
  'waste of film': 'waste of film that is not laid out yet: lay it out at Cut',
  'price of film': 'price of film without a roll in stock (Settings)',
  'days on site': 'one trip, until the days are planned at Day',
  'chance of a redo': 'three panes in a hundred made anew, worth twenty panes',
  'chance of a visit': 'one film in ten to be come back for',
};
const STATES: Readonly<Record<QuoteState, string>> = {
  'not sent': 'not sent yet',
  sent: 'sent, not answered',
  accepted: 'accepted',
  refused: 'refused',
  lapsed: 'lapsed',
};
const PAYMENTS: Readonly<Record<Payment['kind'], string>> = {
  deposit: 'Deposit',
  part: 'Part payment for finished work',
  final: 'Final account',
};
const VERDICTS: Readonly<Record<Verdict, string>> = {
  go: 'Nothing against it.',
  'go with care': 'With something to watch or to put right.',
  stop: 'With something to be done again.',
  unknown: 'Not judged to the end.',
};

export const careWords = (key: string): string => CARE[key as CareKey];
export const openWords = ({ kind, what }: Pick<OpenItem, 'kind' | 'what'>): string => OPEN[kind](what);
export const foundWords = ({ kind, says }: Pick<FoundThere, 'kind' | 'says'>): string =>
  `${FOUND[kind]}: ${says}`;
export const quoteGuessWords = (guess: string): string => GUESSES[guess as QuoteGuess];
export const quoteStateWords = (state: QuoteState): string => STATES[state];
export const paymentWords = (kind: Payment['kind']): string => PAYMENTS[kind];
export const verdictLine = (verdict: string): string => VERDICTS[verdict as Verdict];
export const faceWords = (face: string): string => `seen ${SEEN_FROM[face as SeenFrom]}`;

/** One date of a pane, by the calendar of the place. @param dayOf a day in words */
export function dateLine(
  { key, from, until }: HandedPane['dates'][number],
  dayOf: (instant: string) => string,
): string {
  if (key === 'clear')
    return until === null
      ? 'Will not clear this season: no date.'
      : `Water under the film is gone by ${dayOf(until)}, likely sooner.`;
  const { word, hand } = mayWords(key as MayKey);
  if (from === null) return until === null ? `${word}: no date.` : `${word}${hand}: until ${dayOf(until)}.`;
  return `${word}${hand}: from ${dayOf(from)}${until === null ? '' : ` until ${dayOf(until)}`}.`;
}
