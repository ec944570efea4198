import type { JobView } from './job-view';

/** Soap in the slip between which film can be laid, as the shop has learned it, shares. */
export const slipBoundsOf = (view: JobView): { readonly lean: number; readonly rich: number } => ({
  lean: view.learned('mix-lean'),
  rich: view.learned('mix-rich-flat'),
});
