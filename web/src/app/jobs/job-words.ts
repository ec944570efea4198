import { type NextThing, type Progress, whatNext } from '@yellow-pane/core/reading';
import type { Stop } from '../shell/selection';
import { jobsWords } from '../words/jobs';

const STOP_OF: Readonly<Record<NextThing['do'], Stop>> = {
  begin: 'survey',
  measure: 'survey',
  'choose film': 'film',
  'lay out': 'cut',
  fit: 'fit',
  nothing: 'close',
};

/** The one next thing to do in a job in words, and the stop where it is done. */
export function nextWord(progress: Progress): { readonly stop: Stop; readonly says: string } {
  const next = whatNext(progress);
  return { stop: STOP_OF[next.do], says: saysOf(next) };
}

function saysOf(next: NextThing): string {
  if (!('surfaces' in next)) return next.do === 'begin' ? jobsWords.measureFirst : jobsWords.everythingFitted;
  const surfaces = `${next.surfaces} ${next.surfaces === 1 ? 'surface' : 'surfaces'}`;
  switch (next.do) {
    case 'measure':
      return jobsWords.toMeasure(surfaces);
    case 'choose film':
      return jobsWords.filmToChoose(surfaces);
    case 'lay out':
      return jobsWords.filmToLayOut(surfaces);
    case 'fit':
      return jobsWords.toFit(surfaces);
  }
}
