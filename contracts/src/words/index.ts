export { blankNoteWords, pieceNoteWords, tooWideWords } from './cutting-words';
export {
  assumptionWords,
  customerReasonWords,
  filmAdviceWords,
  filmReasonWords,
  missWords,
  paneWords,
  penaltyWords,
  whyNotWords,
} from './film-words';
export { bottleWords, mixWords, recipeWords } from './mix-words';
export { impossibleWords, remarkWords } from './measure-words';
export { type Figures, type Messages, capital, counted, figuresIn, sentenceOf } from './messages';
export { closedWords } from './closed-words';
export { type PlanWords, brokenInWords, reliefInWords } from './plan-words';
export { type WaitWords, blockedWords, monthWord, neverWords, waitWords } from './wait-words';
export {
  edgeWords,
  holdsWords,
  linerPartWords,
  linerWords,
  notTrimmedWords,
  strokeNoteWords,
  strokeReasonWords,
} from './stroke-words';
export { markReasonWords, markSizeWords, markVerdictWords } from './mark-words';
export { visitLines } from './visit-words';
export { SEEN_FROM } from './side-words';
export { causeWords, questionWords, strengthWords } from './cause-words';
export { mayWords } from './may-words';
export {
  careWords,
  dateLine,
  faceWords,
  foundWords,
  openWords,
  paymentWords,
  quoteGuessWords,
  quoteStateWords,
  verdictLine,
} from './close-words';
export { bareMoney, moneyWords, roughMoney } from './money-words';
