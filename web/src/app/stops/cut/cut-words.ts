import { tooWideWords } from '@yellow-pane/contracts/words';
import type { CutOrderPlan, StockFilm, TooWide } from '@yellow-pane/core/cutting';
import type { CutRoll } from '@yellow-pane/core/job';
import {
  CoreError,
  type DisplayUnits,
  formatFilmLength,
  formatLengthWithUnit,
  nmFromMm,
} from '@yellow-pane/core/quantity';

/** What a roll of a plan is called. Of several to be ordered the others are numbered. */
export function rollWord({ what, label }: Pick<CutRoll, 'what' | 'label'>): string {
  return what === 'to order'
    ? `New roll${label.startsWith('new ') ? label.slice('new'.length) : ''}, to be ordered`
    : `${what === 'roll' ? 'Roll' : 'Offcut'} ${label}`;
}

export const money = (value: number): string => value.toFixed(2);
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
): string {
  const near = (used: number, bound: number): boolean => used - bound <= 1e-4 * Math.max(1, bound);
  if (bound_nm > 0 && (stopped === 'optimal' || near(used_nm, bound_nm)))
    return 'Nothing can use less on this roll: this is proven.';
  if (bound_nm > 0)
    return `Nothing can use less than ${formatFilmLength(bound_nm, units)} on this roll: at most ${((100 * (used_nm - bound_nm)) / bound_nm).toFixed(1)} % could be saved.`;
  if (filmBound <= 0) return '';
  if (near(filmCost, filmBound)) return 'No other choice of film costs less: this is proven.';
  return `The film can cost no less than ${money(filmBound)}: at most ${((100 * (filmCost - filmBound)) / filmBound).toFixed(1)} % could be saved.`;
}

/** Why some pieces have no film, and what would help. @param blankOf a blank by its key in the order */
export function shortWord(
  notLaid: readonly string[],
  stocks: readonly Pick<StockFilm, 'width_mm'>[],
  blankOf: (key: string) => NamedBlank | undefined,
  units: DisplayUnits,
): string {
  const widest = Math.max(0, ...stocks.map(({ width_mm }) => width_mm));
  const names = (keys: readonly string[]): string => keys.map((key) => blankOf(key)?.word ?? key).join(', ');
  if (stocks.length === 0)
    return `There is no film to cut ${names(notLaid)} from: give the film a width in the catalogue, or take a roll into stock.`;
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
    return `${names(tooWide)}: wider than the widest film there is (${formatLengthWithUnit(nmFromMm(widest), units)}). A wider roll, or seams, would help.`;
  return `Not enough film for ${names(notLaid)}. A new roll to order would help: it is left out now.`;
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
  return `${(own === undefined ? undefined : wordOf(own)) ?? path}: expected ${expected}, got ${says}.`;
}
