import { tooWideWords } from '@yellow-pane/contracts/words';
import type { TooWide } from '@yellow-pane/core/blanks';
import type { CutOrderPlan, StockFilm } from '@yellow-pane/core/cutting';
import type { CutRoll } from '@yellow-pane/core/job';
import {
  CoreError,
  type DisplayUnits,
  formatFilmLength,
  formatLengthWithUnit,
  nmFromMm,
} from '@yellow-pane/core/quantity';
import { cutWords } from '../../words/cut';

/** What a roll of a plan is called. Of several to be ordered the others are numbered. */
export function rollWord({ what, label }: Pick<CutRoll, 'what' | 'label'>): string {
  return what === 'to order'
    ? cutWords.newRoll(label.startsWith('new ') ? label.slice('new'.length) : '')
    : `${what === 'roll' ? cutWords.roll : cutWords.offcut} ${label}`;
}

export const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;

/** What stands on a piece: its tag, and which drop of how many. */
export const pieceWord = ({
  tag,
  drop,
  dropOf,
}: {
  readonly tag: string;
  readonly drop: number;
  readonly dropOf: number;
}): string => (dropOf > 1 ? `${tag} ${drop}/${dropOf}` : tag);

/** How near to the best there is: the sentence under the verdict. */
export function gapWord(
  {
    used_nm,
    bound_nm,
    filmCost,
    filmBound,
    stopped,
  }: {
    readonly used_nm: number;
    readonly bound_nm: number;
    readonly filmCost: number;
    readonly filmBound: number;
    readonly stopped: CutOrderPlan['stopped'];
  },
  units: DisplayUnits,
  money: (value: number) => string,
): string {
  const near = (used: number, bound: number): boolean => used - bound <= 1e-4 * Math.max(1, bound);
  if (bound_nm > 0 && (stopped === 'optimal' || near(used_nm, bound_nm))) return cutWords.nothingLess;
  if (bound_nm > 0)
    return cutWords.lengthBound(formatFilmLength(bound_nm, units), savedAtMost(used_nm, bound_nm));
  if (filmBound <= 0) return '';
  if (near(filmCost, filmBound)) return cutWords.nothingCheaper;
  return cutWords.costBound(money(filmBound), savedAtMost(filmCost, filmBound));
}

/** The share of what is used that no layout could do without, taken off a whole: never over 100 %. */
const savedAtMost = (used: number, bound: number): string => ((100 * (used - bound)) / used).toFixed(1);

/** Film that may be cut from, and the longest sheet that is handled; null: no limit. */
export interface FilmThereIs {
  readonly stocks: readonly Pick<StockFilm, 'width_mm' | 'what'>[];
  readonly mostSheet_mm: number | null;
}

/** Why some pieces have no film, and what would help. @param blankOf a blank by its key in the order */
export function shortWord(
  notLaid: readonly string[],
  { stocks, mostSheet_mm }: FilmThereIs,
  blankOf: (key: string) => NamedBlank | undefined,
  units: DisplayUnits,
): string {
  const widest = Math.max(0, ...stocks.map(({ width_mm }) => width_mm));
  const names = (keys: readonly string[]): string => keys.map((key) => blankOf(key)?.word ?? key).join(', ');
  if (stocks.length === 0) return cutWords.noFilmToCutFrom(names(notLaid));
  const tooWide = notLaid.filter((key) => {
    const own = blankOf(key);
    return (
      own !== undefined &&
      Math.min(own.blank.across_mm, own.blanks.whole.mayTurn90 ? own.blank.along_mm : own.blank.across_mm) >
        widest
    );
  });
  const curved = notLaid.flatMap((key) => {
    const own = blankOf(key);
    return own?.blanks.tooWide === undefined
      ? []
      : [`${own.word}: ${tooWideWords(own.blanks.tooWide, units)}`];
  });
  if (curved.length > 0) return curved.join(' ');
  if (tooWide.length > 0)
    return cutWords.widerThanAnyFilm(names(tooWide), formatLengthWithUnit(nmFromMm(widest), units));
  const tooLong = notLaid.filter((key) => isLonger(blankOf(key), mostSheet_mm));
  if (mostSheet_mm !== null && tooLong.length > 0)
    return cutWords.longerThanSheet(names(tooLong), formatLengthWithUnit(nmFromMm(mostSheet_mm), units));
  return stocks.some(({ what }) => what === 'to order')
    ? cutWords.noPlaceFound(names(notLaid))
    : cutWords.notEnoughFilm(names(notLaid));
}

/** Whether a blank is longer than the longest sheet, however it lies. */
function isLonger(own: NamedBlank | undefined, mostSheet_mm: number | null): boolean {
  if (own === undefined || mostSheet_mm === null) return false;
  const { across_mm, along_mm } = own.blank;
  return Math.min(along_mm, own.blanks.whole.mayTurn90 ? across_mm : along_mm) > mostSheet_mm;
}

/** A blank as far as it is spoken of. */
export interface NamedBlank {
  readonly word: string;
  readonly blank: { readonly across_mm: number; readonly along_mm: number };
  readonly blanks: {
    readonly whole: { readonly mayTurn90: boolean };
    readonly tooWide?: TooWide | undefined;
  };
}

/** What the search refused, with the piece's name instead of its key. */
export function refusalWord(error: unknown, wordOf: (key: string) => string | undefined): string {
  if (!(error instanceof CoreError)) return `${error instanceof Error ? error.message : String(error)}.`;
  const { path, expected, got, about: [own, ...others] = [] } = error.data;
  const says = others.reduce((text, id) => text.replace(id, wordOf(id) ?? id), got);
  return cutWords.fieldWrong((own === undefined ? undefined : wordOf(own)) ?? path, expected, says);
}
