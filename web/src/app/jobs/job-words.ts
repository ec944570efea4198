import { type NextThing, type Progress, whatNext } from '@yellow-pane/core/reading';
import type { Stop } from '../shell/selection';

const STOP_OF: Readonly<Record<NextThing['do'], Stop>> = {
  begin: 'survey',
  measure: 'survey',
  'choose film': 'film',
  'lay out': 'cut',
  fit: 'fit',
  nothing: 'fit',
};

/** The one next thing to do in a job in words, and the stop where it is done. */
export function nextWord(progress: Progress): { readonly stop: Stop; readonly says: string } {
  const next = whatNext(progress);
  return { stop: STOP_OF[next.do], says: saysOf(next) };
}

function saysOf(next: NextThing): string {
  if (!('surfaces' in next))
    return next.do === 'begin' ? 'Measure the first surface' : 'Everything is fitted';
  const surfaces = `${next.surfaces} ${next.surfaces === 1 ? 'surface' : 'surfaces'}`;
  switch (next.do) {
    case 'measure':
      return `${surfaces} to measure`;
    case 'choose film':
      return `Film to choose for ${surfaces}`;
    case 'lay out':
      return `Film to lay out for ${surfaces}`;
    case 'fit':
      return `${surfaces} to fit`;
  }
}
