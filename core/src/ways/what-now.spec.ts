import { describe, expect, it } from '@jest/globals';
import { CUT_METHODS } from '../job';
import { WHAT_NOW, whatNowFor } from './index';

/** Section N of `ways-of-working`, typed from it: what is seen, and the word that must be in what to do. */
const BRIEF: readonly (readonly [string, RegExp])[] = [
  ['Will not slide', /soap.*both sides.*not drag/],
  ['Slides off', /Less soap.*Hold.*top lock/],
  ['The liner will not start', /another corner.*very corner of the waste/],
  ['A speck, seen while it is wet', /nearest edge.*float or lift.*back/],
  ['The edge lifts at the cut', /covered card.*Blot.*minutes/],
  ['It grabbed, or dried', /Stop.*wait.*Ease.*replace/],
  ['Wrapped film pops out', /cold.*warm.*Form.*Press/],
  ['A fold was pressed too soon', /Heat at once.*sharp line.*replace/],
  ['A corner was missed', /Wet.*Warm.*Lay/],
  ['A joint is shut', /low.*out/],
  ['The film smokes', /Gun away.*Air/],
  ['The blade slipped on the glass', /Record.*customer/],
];

describe('what now, in the middle of the work?', () => {
  it.each(BRIEF)('%s: three lines', (sees, says) => {
    const card = WHAT_NOW.find((own) => own.sees === sees);
    expect(card?.does).toHaveLength(3);
    expect(card?.does.join(' ')).toMatch(says);
  });
  it('no card the brief does not have, and none without a way it belongs to', () => {
    expect(WHAT_NOW.map(({ sees }) => sees)).toEqual(BRIEF.map(([sees]) => sees));
    const shown = new Set(
      CUT_METHODS.flatMap((method) => whatNowFor(method, undefined)).map(({ key }) => key),
    );
    expect(WHAT_NOW.map(({ key }) => key).filter((key) => !shown.has(key))).toEqual([]);
  });
  it('film laid dry does not slide off; film on flat glass has no joint', () => {
    expect(whatNowFor('decor', 'decor').map(({ key }) => key)).not.toContain('slides-off');
    expect(whatNowFor('trim in place', 'solar').map(({ key }) => key)).not.toContain('joint-shut');
  });
});
