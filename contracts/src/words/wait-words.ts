import type { Blocked } from '@yellow-pane/core/day';
import type { Never, Wait, WaitKey } from '@yellow-pane/core/waiting';

/** How a wait is called, and how a person finds out that it is over, whatever the model says. */
export interface WaitWords {
  readonly word: string;
  readonly check: string;
}

const TOUCH = 'Dry to the touch in a corner that will be covered: nothing comes off on a clean finger.';
const WAITS = {
  'primer, water-based': { word: 'primer drying', check: TOUCH },
  'primer, solvent-based': { word: 'primer drying', check: TOUCH },
  putty: { word: 'putty drying', check: TOUCH },
  'wall wash': { word: 'wall drying after the wash', check: TOUCH },
  promoter: {
    word: 'promoter flashing off',
    check: 'Dull and dry to the touch; left too long it takes dust: wipe and put on anew.',
  },
  roll: {
    word: 'roll warming through',
    check: 'Keep it wrapped until it is over the dew point of the room; put a thermometer into the core.',
  },
  panel: {
    word: 'surface warming',
    check: 'Infrared thermometer on the surface, in its middle and in a corner.',
  },
  sealant: {
    word: 'before sealant goes back',
    check: 'No water comes when the edge is pressed with paper.',
  },
  'first bond': {
    word: 'first bond',
    check: 'A corner does not lift under a fingernail; keep hands and cloths off until then.',
  },
  'decal bond': {
    word: 'decal gaining strength',
    check: 'A corner does not lift under a fingernail.',
  },
  'conditioned room': {
    word: 'kept in a warm room',
    check: 'Edges lie flat and do not move when warmed by hand.',
  },
  clear: {
    word: 'drying clear',
    check: 'Small water pockets are normal until then; look at it against the light.',
  },
  pocket: {
    word: 'a pocket of water in the middle',
    check: 'It sinks, or gets smaller from its edge; pressed with a thumb through a cloth it creeps away.',
  },
} satisfies Readonly<Record<WaitKey, WaitWords>>;

const NEVER = {
  'air too damp': 'Will not dry in air this damp: warm the room or dehumidify it.',
  'it freezes': 'Freezes instead of drying: warm the room above freezing first.',
  'too cold for it': 'Too cold for it to dry and bite: warm the room, or read what its sheet allows.',
  'glass near the dew point':
    'No drying at present: the glass is hardly warmer than the dew point of the room. It begins when the glass gets warmer or the air drier.',
  'not this season': 'Will not clear this season.',
} satisfies Readonly<Record<Never, string>>;

/** @param wait its kind */
export function waitWords({ key }: Pick<Wait, 'key'>): WaitWords {
  return WAITS[key];
}

const MONTHS = Array.from({ length: 12 }, (_, month) =>
  new Intl.DateTimeFormat('en-GB', { month: 'long', timeZone: 'UTC' }).format(Date.UTC(2026, month, 1)),
);

/** @param month January 0 */
export const monthWord = (month: number): string => MONTHS[month] ?? '';

/** Why a wait does not end as things are, and in which month it goes on. */
export function neverWords(never: Never, goesOnMonth: number | null = null): string {
  return goesOnMonth === null ? NEVER[never] : `${NEVER[never]} It goes on from ${monthWord(goesOnMonth)}.`;
}

/** Why nothing can be planned on a surface. */
export function blockedWords(why: Blocked): string {
  switch (why.case) {
    case 'cracked glass':
      return 'cracked glass: a licensed glazier decides first';
    case 'no consent for rescue glass':
      return 'rescue, escape or hammer glass: not before the operator or the authority agrees in writing';
    case 'somebody else does it':
      return 'Survey refers it to somebody else';
    case 'not known how':
      return 'not known how this is done: ask';
    case 'a wait never ends':
      return `${WAITS[why.wait].word}: ${NEVER[why.never]}`;
  }
}
