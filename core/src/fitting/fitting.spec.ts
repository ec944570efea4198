import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { primerDry, promoterDry } from '../waiting';
import {
  clockDigits,
  gateFor,
  gateState,
  isLocked,
  lockAfter,
  lockState,
  readReading,
  wetClock,
} from './index';

const MINUTE = 60_000;
const DONE = Date.parse('2026-11-30T09:00:00Z');
const at = (minutes: number): number => DONE + minutes * MINUTE;

describe('when may the next step begin?', () => {
  const primer = lockAfter(
    { least: 'primer, water-based', why: 'the primer dries' },
    DONE,
    primerDry('water-based', { air_C: 20, humidity: 0.5 }),
  );
  it('primer in the air of a usual room: closed for two hours, then over by time', () => {
    expect(primer).toBeDefined();
    if (primer === undefined) return;
    expect([0, 60, 119, 121].map((minute) => lockState(primer, null, at(minute)))).toEqual([
      'closed',
      'closed',
      'closed',
      'over',
    ]);
  });
  it('promoter 5 to 15 min: not before five by hand, by time after the middle, over an hour is too late', () => {
    const lock = lockAfter({ least: 'promoter', why: 'the promoter flashes off' }, DONE, promoterDry());
    if (lock === undefined) throw new Error('no lock');
    expect([4, 6, 11, 61].map((minute) => lockState(lock, null, at(minute)))).toEqual([
      'closed',
      'feel it',
      'over',
      'too late',
    ]);
    expect(lockState(lock, at(2), at(3))).toBe('over');
    expect(lockState(lock, at(2), at(61))).toBe('too late');
  });
  it('in air that takes no water it never ends by itself; a hand ends it', () => {
    const lock = lockAfter(
      { least: 'primer, water-based', why: 'the primer dries' },
      DONE,
      primerDry('water-based', { air_C: -2, humidity: 0.5 }),
    );
    if (lock === undefined) throw new Error('no lock');
    expect(lockState(lock, null, at(10_000))).toBe('never ends');
    expect(lockState(lock, at(60), at(61))).toBe('over');
  });
  it('slip that dries holds nothing back, and says by when to go on; film held by hand is no wait', () => {
    const open = lockAfter({ least: 0, most: 5, why: 'the slip dries' }, DONE, undefined);
    if (open === undefined) throw new Error('no lock');
    expect([1, 6].map((minute) => lockState(open, null, at(minute)))).toEqual(['over', 'too late']);
    expect(lockAfter({ least: 0, most: 0, why: 'held' }, DONE, undefined)).toBeUndefined();
    expect(lockAfter({ least: 0, why: 'then' }, DONE, undefined)).toBeUndefined();
  });
  it('a clock set back opens nothing', () => {
    if (primer === undefined) throw new Error('no lock');
    expect(lockState(primer, null, at(-600))).toBe('closed');
  });
  it('time only opens, until it is too late; whatever the pause', () => {
    fc.assert(
      fc.property(
        fc.nat({ max: 300 }),
        fc.option(fc.nat({ max: 600 }), { nil: undefined }),
        fc.nat({ max: 1000 }),
        fc.nat({ max: 1000 }),
        (least, most, first, more) => {
          const lock = lockAfter(
            { least, why: '', ...(most === undefined ? {} : { most }) },
            DONE,
            undefined,
          );
          if (lock === undefined) return;
          const [a, b] = [lockState(lock, null, at(first)), lockState(lock, null, at(first + more))];
          if (!isLocked(a)) expect(isLocked(b)).toBe(false);
          if (a === 'too late') expect(b).toBe('too late');
        },
      ),
    );
  });
});

describe('what does a clock read from afar say?', () => {
  it.each([
    [0, '00:00'],
    [59_999, '00:59'],
    [61_000, '01:01'],
    [59 * MINUTE + 59_000, '59:59'],
    [60 * MINUTE, '1:00'],
    [605 * MINUTE, '10:05'],
    [-5000, '00:00'],
  ])('%d ms is %s', (span, said) => {
    expect(clockDigits(span)).toBe(said);
  });
});

describe('is it still wet?', () => {
  const open = { least_min: 10, likely_min: { value: 30, why: [] } };
  it.each([
    [0, 'wet', 30],
    [9, 'wet', 21],
    [11, 'look', 19],
    [31, 'dry', 0],
    [-100, 'wet', 30],
  ] as const)('%d min after the water: %s, %d min left', (minutes, state, left_min) => {
    expect(wetClock(open, DONE, at(minutes))).toMatchObject({ state, left_min });
  });
  it('at the dew point of the air it stays wet', () => {
    expect(wetClock({ least_min: null, likely_min: null }, DONE, at(600)).state).toBe('stays wet');
  });
});

/** Ways of working, section 0, as the brief has it. */
const OF_THE_BRIEF = [
  'blank and surface belong together',
  'which side is the liner',
  'which face of the film looks out',
  'factory edge where it is wanted',
  'direction of grain or pattern',
  'true level or the frame, decided once for the row',
  'temperatures, sun',
];

describe('what is looked at before film goes on?', () => {
  const EVERYTHING = {
    hasFace: true,
    hasDirection: true,
    wantsFactoryEdge: true,
    rowLine: 'true level',
    isOutdoors: true,
    isWall: true,
  };
  const NOTHING = {
    hasFace: false,
    hasDirection: false,
    wantsFactoryEdge: false,
    rowLine: null,
    isOutdoors: false,
    isWall: false,
  };
  it('everything of the brief, and what is open to danger', () => {
    expect(OF_THE_BRIEF).toHaveLength(7);
    expect(gateFor(EVERYTHING).map(({ key }) => key)).toEqual([
      'blank',
      'liner side',
      'film face',
      'direction',
      'factory edge',
      'row line',
      'temperatures',
      'sun',
      'ground',
      'hazards',
    ]);
  });
  it('a plain film on glass indoors: what never falls away', () => {
    expect(gateFor(NOTHING).map(({ key }) => key)).toEqual([
      'blank',
      'liner side',
      'temperatures',
      'hazards',
    ]);
  });
  const DAY = Date.parse('2026-11-30T00:00:00Z');
  const found = (answer: 'right' | 'not right', at_ms: number, word = '') => ({
    answer,
    word,
    who: 'Wren',
    at_ms,
  });
  const ofTheDay = { isOfTheDay: true };
  it.each([
    ['nobody has looked', ofTheDay, undefined, undefined, 'not looked at'],
    ['looked today', ofTheDay, found('right', DAY + 1), undefined, 'right'],
    ['looked the day before', ofTheDay, found('right', DAY - 1), undefined, 'not looked at'],
    ['the liner, looked the day before', { isOfTheDay: false }, found('right', DAY - 1), undefined, 'right'],
    ['not right', ofTheDay, found('not right', DAY + 1), undefined, 'not right'],
    [
      'not right, with a word',
      ofTheDay,
      found('not right', DAY + 1, 'shaded by a cloth'),
      undefined,
      'by word',
    ],
    [
      'the sun came since',
      ofTheDay,
      found('right', DAY + 1),
      { answer: 'not right', since_ms: DAY + 2 },
      'not right',
    ],
    [
      'seen after the sun came',
      ofTheDay,
      found('right', DAY + 3),
      { answer: 'not right', since_ms: DAY + 2 },
      'right',
    ],
    ['only read, and right', ofTheDay, undefined, { answer: 'right', since_ms: DAY + 2 }, 'right'],
    ['a blank word is no word', ofTheDay, found('not right', DAY + 1, '  '), undefined, 'not right'],
  ] as const)('%s', (_, check, seen, known, state) => {
    expect(gateState(check, seen, known, DAY)).toBe(state);
  });
});

describe('can it be read so?', () => {
  it.each([
    ['21.5', 'surface temperature', 'metric', { case: 'read', value: 21.5 }],
    ['70 °F', 'surface temperature', 'metric', { case: 'read', value: 21.11 }],
    ['70', 'room temperature', 'imperial', { case: 'read', value: 21.11 }],
    ['900', 'surface temperature', 'metric', { case: 'cannot be', value: 900, least: -40, most: 150 }],
    ['46 %', 'humidity', 'metric', { case: 'read', value: 46 }],
    ['120', 'humidity', 'metric', { case: 'cannot be', value: 120, least: 0, most: 100 }],
    ['46 g', 'humidity', 'metric', { case: 'no figure' }],
    ['warm', 'surface temperature', 'metric', { case: 'no figure' }],
    ['', 'mass', 'metric', { case: 'no figure' }],
    ['3,5', 'wall moisture', 'metric', { case: 'read', value: 3.5 }],
  ] as const)('%s as %s, %s', (text, quantity, units, said) => {
    const read = readReading(text, quantity, units);
    expect({ ...read, ...('value' in read ? { value: Math.round(read.value * 100) / 100 } : {}) }).toEqual(
      said,
    );
  });
});
