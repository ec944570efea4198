import { quoteGuessWords } from '@yellow-pane/contracts/words';
import type { QuoteGuess, QuoteHere, QuoteOpen } from '@yellow-pane/core/reading';
import type { Figure, Messages } from './messages';

const OPEN: Readonly<Record<QuoteOpen, string>> = {
  currency: 'the currency',
  'what an hour costs': 'what an hour of one person costs',
  'what a trip costs': 'what a trip there and back costs',
  'the margin wanted': 'the margin wanted: it is asked, never guessed',
};
const DECIDES: Readonly<Record<NonNullable<QuoteHere['decides']>, string>> = {
  'minutes of work': 'The minutes of work decide most: time them at Fit.',
  'chance of a redo': 'The chance of a redo decides most.',
  'chance of a visit': 'The chance of a visit decides most.',
};

export const closeWords = {
  whatItCosts: 'What does it cost?',
  terms: 'Terms of this job',
  currency: 'Currency, three letters',
  currencyWrong: (given: string) => `'${given}' given; three letters, such as CHF.`,
  tax: 'Tax on top',
  hourCost: 'An hour of one person costs',
  tripCost: 'A trip there and back costs',
  margin: 'Margin to be kept of the price',
  money: 'money',
  percent: '%',
  risk: 'Chance taken that less of it is kept',
  oneIn: (percent: Figure) => `${percent} %`,
  usual: (word: string) => `${word} (usual)`,
  typed: 'A price you think of',
  typedWrong: (given: string) => `'${given}' given; money of 0 or more.`,
  stillToSay: (open: readonly QuoteOpen[]) => `Say ${open.map((what) => OPEN[what]).join('; ')}.`,
  unknown: 'unknown',
  costs: 'Costs on average',
  between: 'Four jobs in five like it',
  fromTo: (least: string, most: string) => `${least} to ${most}`,
  price: 'Price, net',
  priceAtMean: 'Price at the average cost',
  gross: 'With tax',
  lossAt: (price: string) => `Chance to lose at ${price}`,
  inTen: (tenths: Figure) => `${tenths} in 10`,
  drawn:
    'Band, price and chance of a loss from 20,000 jobs like this one, drawn with all that is not certain of it; the same job, the same figures.',
  surface: 'Surface',
  inMoney: (word: string, currency: string) => (currency === '' ? word : `${word}, ${currency}`),
  film: 'Film',
  minutes: 'People-minutes',
  work: 'Work',
  oldFilmOff: (minutes: number, money: string) => `of it old film off: ${Math.round(minutes)} min, ${money}`,
  trips: (count: number) => (count === 1 ? 'One trip' : `${count} trips`),
  filmAll: 'Film with its waste',
  notInIt: 'Not in it',
  missingIs: (tag: string, reason: string) => `${tag}: ${reason}`,
  guesses: 'Rests on guesses',
  guess: (guess: QuoteGuess) => quoteGuessWords(guess),
  decides: (what: NonNullable<QuoteHere['decides']>) => DECIDES[what],
  nothingChosen: 'No film is chosen yet: there is nothing to price.',
  changed: 'Terms of the job',
  notAQuoteYet:
    'Inside figures of the shop. A quote to send, the account and the hand-over are not in this version.',
} satisfies Messages;
