export { impossibleWords, remarkWords } from './measure-words';
export { type Figures, type Messages, capital, counted, figuresIn, sentenceOf } from './messages';
