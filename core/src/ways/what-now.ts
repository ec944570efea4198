import type { CutMethod, FilmFamily } from '../job';
import { isLaidWet, templateFor } from './templates';

/** Something that happens in the middle of the work, and three lines that help. */
export interface WhatNow {
  readonly key: string;
  readonly sees: string;
  readonly does: readonly string[];
  /** On film laid wet, on film laid dry or warm, or on any. */
  readonly on: 'wet film' | 'stretched film' | 'textured walls' | 'any film' | 'shrunk film';
}

/** Common practice, no published source. */
export const WHAT_NOW: readonly WhatNow[] = [
  {
    key: 'will-not-slide',
    sees: 'Will not slide',
    does: ['More soap in the bottle.', 'Wet both sides again.', 'Do not drag it.'],
    on: 'wet film',
  },
  {
    key: 'slides-off',
    sees: 'Slides off',
    does: ['Less soap in the next bottle.', 'Hold it.', 'Squeeze the top lock.'],
    on: 'wet film',
  },
  {
    key: 'liner-will-not-start',
    sees: 'The liner will not start',
    does: [
      'Fresh tabs at another corner.',
      'Else the blade tip between, at the very corner of the waste.',
      'Never with the teeth.',
    ],
    on: 'any film',
  },
  {
    key: 'speck',
    sees: 'A speck, seen while it is wet',
    does: [
      'Lift from the nearest edge, only as far as needed.',
      'Wet it; float or lift the speck out.',
      'Lay it back.',
    ],
    on: 'wet film',
  },
  {
    key: 'edge-lifts',
    sees: 'The edge lifts at the cut',
    does: ['Press at once with the covered card.', 'Blot.', 'Again after minutes.'],
    on: 'any film',
  },
  {
    key: 'grabbed',
    sees: 'It grabbed, or dried',
    does: ['Stop. Wet edge and face, wait.', 'Ease it.', 'A crease: replace.'],
    on: 'wet film',
  },
  {
    key: 'pops-out',
    sees: 'Wrapped film pops out',
    does: ['It was too cold: warm.', 'Form, warm again.', 'Press.'],
    on: 'stretched film',
  },
  {
    key: 'fold-too-soon',
    sees: 'A fold was pressed too soon',
    does: ['Heat at once: it may save it.', 'Press when soft.', 'A sharp line stays: replace.'],
    on: 'shrunk film',
  },
  {
    key: 'corner-missed',
    sees: 'A corner was missed',
    does: ['Wet it.', 'Warm it.', 'Lay it.'],
    on: 'any film',
  },
  {
    key: 'joint-shut',
    sees: 'A joint is shut',
    does: ['Vent it low.', 'Press the air out.', 'Then close it.'],
    on: 'textured walls',
  },
  {
    key: 'smokes',
    sees: 'The film smokes',
    does: ['Gun away.', 'Air; everybody out until it is clear.', 'A new blank.'],
    on: 'any film',
  },
  {
    key: 'blade-slipped',
    sees: 'The blade slipped on the glass',
    does: ['Stop.', 'Record it, with a photo.', 'Show the customer.'],
    on: 'any film',
  },
];

/** What can happen with such a film fitted so, and what to do then. */
export function whatNowFor(method: CutMethod, family: FilmFamily | undefined): readonly WhatNow[] {
  const way = templateFor(method, family)?.template;
  const here: Readonly<Record<WhatNow['on'], boolean>> = {
    'any film': true,
    'wet film': isLaidWet(method, family),
    'stretched film': way === 'wrap' || way === 'table' || way === 'furrow',
    'textured walls': way === 'textured-wall',
    'shrunk film': way === 'curved',
  };
  return WHAT_NOW.filter(({ on }) => here[on]);
}
