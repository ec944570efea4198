/** One thing that is looked at before film goes on. */
export interface GateCheck {
  readonly key: GateKey;
  /** What is looked at. */
  readonly asks: string;
  /** How it is looked at; common practice, no published source. */
  readonly how: string;
  /** True of this day alone: what was seen the day before counts no more. */
  readonly isOfTheDay: boolean;
}

export type GateKey =
  | 'blank'
  | 'liner side'
  | 'film face'
  | 'direction'
  | 'factory edge'
  | 'row line'
  | 'temperatures'
  | 'sun'
  | 'ground'
  | 'hazards';

/** What decides what is looked at. */
export interface GateCase {
  /** Which face of the film looks out makes a difference: frost, print, film for one side alone. */
  readonly hasFace: boolean;
  /** Grain, pattern or picture. */
  readonly hasDirection: boolean;
  /** An edge as it came from the factory belongs at a certain side. */
  readonly wantsFactoryEdge: boolean;
  /** What a row of panes is lined up by; null: it stands alone. */
  readonly rowLine: string | null;
  readonly isOutdoors: boolean;
  readonly isWall: boolean;
}

/**
 * What is looked at before film goes on this surface, in order.
 * @source ways of working, 0: common practice, no published source
 */
export function gateFor(own: GateCase): readonly GateCheck[] {
  return ENTRIES.filter(({ when }) => when(own)).map(({ key, asks, how, isOfTheDay }) => ({
    key,
    asks,
    how: typeof how === 'string' ? how : how(own),
    isOfTheDay: isOfTheDay ?? false,
  }));
}

interface Entry extends Omit<GateCheck, 'how' | 'isOfTheDay'> {
  readonly how: string | ((own: GateCase) => string);
  readonly isOfTheDay?: boolean;
  readonly when: (own: GateCase) => boolean;
}

const always = (): boolean => true;

const ENTRIES: readonly Entry[] = [
  {
    key: 'blank',
    asks: 'Blank and surface belong together',
    how: 'Read the label. Measure the surface again before anything is wetted.',
    when: always,
  },
  {
    key: 'liner side',
    asks: 'Liner side known',
    how: 'A piece of tape on both faces at a corner: what comes away is the liner.',
    when: always,
  },
  {
    key: 'film face',
    asks: 'Right face looks out',
    how: 'Frost, print and film for one side alone: hold it up and look from where it will be seen.',
    when: ({ hasFace }) => hasFace,
  },
  {
    key: 'direction',
    asks: 'Grain or pattern runs the right way',
    how: 'As on the label, the same over the row.',
    when: ({ hasDirection }) => hasDirection,
  },
  {
    key: 'factory edge',
    asks: 'Factory edge where it belongs',
    how: 'Find it by the arrow on the label, and look along it.',
    when: ({ wantsFactoryEdge }) => wantsFactoryEdge,
  },
  {
    key: 'row line',
    asks: 'Level or frame, decided for the row',
    how: ({ rowLine }) =>
      `By ${rowLine ?? 'level'}. One line for all of it; a pane that is off shows a wedge.`,
    when: ({ rowLine }) => rowLine !== null,
  },
  {
    key: 'temperatures',
    asks: 'Surface and room within what the film bears',
    how: 'Read both and compare with the sheet of the film.',
    isOfTheDay: true,
    when: always,
  },
  {
    key: 'sun',
    asks: 'No sun on it',
    how: 'Look at the whole of it: none now, and none before it is laid.',
    isOfTheDay: true,
    when: ({ isOutdoors }) => isOutdoors,
  },
  {
    key: 'ground',
    asks: 'Ground accepted',
    how: 'Flat, firm, dry, and the tape test held.',
    when: ({ isWall }) => isWall,
  },
  {
    key: 'hazards',
    asks: 'Nothing broken, loose or live here',
    how: 'Cracks and chips, loose glass or plaster, sockets, what stands below.',
    isOfTheDay: true,
    when: always,
  },
];

/** What a person found, and when. */
export interface GateFound {
  readonly answer: 'right' | 'not right';
  /** Why it may go on although it is not right; empty: nobody has said. */
  readonly word: string;
  readonly who: string;
  readonly at_ms: number;
}

/** What is known beside what people saw: from a reading, from where the sun stands, from Survey. */
export interface GateKnown {
  readonly answer: 'right' | 'not right';
  /** Since when it is so. What somebody saw before that counts no more. */
  readonly since_ms: number;
}

export type GateState = 'not looked at' | 'right' | 'not right' | 'by word';

/**
 * How one thing stands: as a person found it, unless that was another day or what is known has turned since.
 * @param day_ms when this day began at the place
 */
export function gateState(
  { isOfTheDay }: Pick<GateCheck, 'isOfTheDay'>,
  found: GateFound | undefined,
  known: GateKnown | undefined,
  day_ms: number,
): GateState {
  const stands =
    found !== undefined &&
    !(isOfTheDay && found.at_ms < day_ms) &&
    !(known !== undefined && known.since_ms > found.at_ms);
  if (!stands)
    return known?.answer === 'not right' ? 'not right' : known === undefined ? 'not looked at' : 'right';
  if (found.answer === 'right') return 'right';
  return found.word.trim() === '' ? 'not right' : 'by word';
}

/** Whether it lets nobody past: nothing more is done on a surface of which something is known to be wrong. */
export const isClosedBy = (state: GateState): boolean => state === 'not right';
