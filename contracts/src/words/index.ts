export { blankNoteWords, pieceNoteWords, tooWideWords } from './cutting-words';
export { impossibleWords, remarkWords } from './measure-words';
export { type Figures, type Messages, capital, counted, figuresIn, sentenceOf } from './messages';
