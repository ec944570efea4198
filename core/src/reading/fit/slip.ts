import { NEW_DAY } from '../../job';
import { SLIP_MIXES, slipShare } from '../../ways';
import type { JobView } from '../view/job-view';

/** Soap in the slip between which film can be laid, as the shop has learned it, shares. */
export const slipBoundsOf = (view: JobView): { readonly lean: number; readonly rich: number } => ({
  lean: view.learned('mix-lean'),
  rich: view.learned('mix-rich-flat'),
});

/** What slip is mixed by on this job now, in words to be kept with a step: its name and share of soap. */
export function slipMixed(view: JobView): string {
  const { slip } = view.rows.daySettings[0] ?? NEW_DAY;
  const mix = SLIP_MIXES.find(({ key }) => key === slip);
  const said = (word: string, share: number): string => `${word}, ${(share * 100).toFixed(2)} % soap`;
  if (mix !== undefined) return said(mix.word, slipShare(mix).value);
  return slip === 'own' ? said('as it was right', view.learned('mix-right')) : 'concentrate, by caps';
}
