import { describe, expect, it } from '@jest/globals';
import { NEW_SURFACE, NO_WALL_FACTS, NOT_BEGUN, type RowOf } from '../../job';
import { filmGoesOnAt } from '../../ways';
import { fitRecordOf } from './fit-record';
import { gateOf } from './gate';
import { type HeldAsked, heldNow } from './held';
import { jobRows } from '../view/job-rows';
import { JobView } from '../view/job-view';
import { myTurn } from './my-turn';
import { isPending, pendingState, pendingWaits } from './pending-waits';
import { slipMixed } from './slip';
import { sunNow } from '../day/sun-now';
import { workStepsOf } from './work';

const MADE = '2026-11-30T08:00:00.000Z';
const row = <Row>(fields: object): Row =>
  ({
    jobId: 'J',
    version: 1,
    madeAt: MADE,
    madeBy: 'Wren',
    changedAt: MADE,
    changedBy: 'Wren',
    ...fields,
  }) as Row;
const MINUTE = 60_000;
const NOW = Date.parse('2026-11-30T09:00:00.000Z');
const ago = (minutes: number): string => new Date(NOW - minutes * MINUTE).toISOString();
const ASKED: HeldAsked = {
  now_ms: NOW,
  day_ms: Date.parse('2026-11-30T00:00:00.000Z'),
  ready: undefined,
  air: { air_C: 20, humidity: 0.5 },
};

/** A panel that is primed, with steps done so many minutes ago by key. */
const PANEL = row<RowOf<'surface'>>({
  ...NEW_SURFACE,
  id: 'S',
  tag: 'CT1',
  placeId: 'P',
  kind: 'fixture',
  shape: 'panel',
});
const TABLE = row<RowOf<'application'>>({
  id: 'A',
  surfaceId: 'S',
  filmId: 'F',
  method: 'decor',
  side: 'room',
  schools: {},
});
const GATE_KEYS = ['blank', 'liner side', 'film face', 'direction', 'temperatures', 'hazards'];
const ticks = (fields: object = {}) =>
  GATE_KEYS.map((check) =>
    row<RowOf<'gateTick'>>({
      id: check,
      applicationId: 'A',
      check,
      answer: 'right',
      word: '',
      lookedAt: MADE,
      ...fields,
    }),
  );
const done = (step: string, minutes: number) =>
  row<RowOf<'workRecord'>>({ ...NOT_BEGUN, id: `W${step}`, applicationId: 'A', step, doneAt: ago(minutes) });

const bare = new JobView(jobRows({ surface: [PANEL], application: [TABLE] }));
const steps = workStepsOf(bare, TABLE);
const primed = steps.findIndex(
  ({ then }) => then !== null && typeof then.least === 'string' && then.least.startsWith('primer'),
);
const [primes, next] = [steps[primed], steps[primed + 1]];
if (primes === undefined || next === undefined) throw new Error('the way of decor film primes nothing');

const viewWith = (rows: Parameters<typeof jobRows>[0]) =>
  new JobView(jobRows({ surface: [PANEL], application: [TABLE], gateTick: ticks(), ...rows }));

describe('what holds a step back?', () => {
  it('primer done half an hour ago: the next step is closed; after two hours it is not', () => {
    expect(heldNow(viewWith({ workRecord: [done(primes.step, 30)] }), TABLE, next, ASKED)).toMatchObject({
      case: 'wait',
      state: 'closed',
    });
    expect(heldNow(viewWith({ workRecord: [done(primes.step, 121)] }), TABLE, next, ASKED)).toBeUndefined();
  });
  it('ended early by a person: open; ended before the step was done anew: closed', () => {
    const end = (minutes: number) =>
      row<RowOf<'waitEnd'>>({
        id: 'E',
        applicationId: 'A',
        step: primes.step,
        endedAt: ago(minutes),
        how: 'early',
        reason: 'a fan',
      });
    const held = (minutes: number) =>
      heldNow(viewWith({ workRecord: [done(primes.step, 30)], waitEnd: [end(minutes)] }), TABLE, next, ASKED);
    expect(held(10)).toBeUndefined();
    expect(held(40)).toMatchObject({ case: 'wait', state: 'closed' });
  });
  it('a tick of an earlier version of its way still counts, and so does its wait', () => {
    const older = { ...done(primes.step, 30), templateVersion: 99, template: 'an older way' };
    expect(heldNow(viewWith({ workRecord: [older] }), TABLE, next, ASKED)?.case).toBe('wait');
  });
  it('a step taken back leaves nothing to wait for', () => {
    const undone = { ...done(primes.step, 30), doneAt: null };
    const view = viewWith({ workRecord: [undone] });
    expect(heldNow(view, TABLE, next, ASKED)?.case).not.toBe('wait');
    expect(pendingWaits(view, ASKED.air)).toEqual([]);
  });
  it('what is not looked at holds back the step where film goes on, and no step before it', () => {
    const view = viewWith({ gateTick: ticks().slice(1) });
    const lays = steps.find(({ needsFit }) => needsFit);
    if (lays === undefined) throw new Error('no step lays film');
    expect(heldNow(view, TABLE, lays, ASKED)).toMatchObject({ case: 'gate', lines: [{ key: 'blank' }] });
    expect(heldNow(view, TABLE, steps[0] ?? lays, ASKED)).toBeUndefined();
  });
  it('the sun that is calculated to be on it holds back film alone; once film lies there, nothing', () => {
    const pane = row<RowOf<'surface'>>({ ...NEW_SURFACE, id: 'S', tag: 'SW1', placeId: 'P' });
    const laid = { ...TABLE, method: 'trim in place' as const };
    const view = new JobView(jobRows({ surface: [pane], application: [laid], gateTick: [] }));
    const span = { from_ms: NOW - MINUTE, to_ms: NOW + MINUTE };
    const ready = {
      sun: [span],
      closed: [{ ...span, by: 'sun' as const, why: { case: 'sun on it' as const } }],
    };
    const own = workStepsOf(view, laid);
    const held = own.map((step) => heldNow(view, laid, step, { ...ASKED, ready })?.case);
    expect(held[0]).toBeUndefined();
    expect(held[own.findIndex(({ needsFit }) => needsFit)]).toBe('gate');
    const lays = own[filmGoesOnAt(own)]?.step ?? '';
    const on = new JobView(jobRows({ surface: [pane], application: [laid], workRecord: [done(lays, 1)] }));
    const squeeze = own.find(({ step }) => step === 'squeeze');
    if (squeeze === undefined) throw new Error('nothing is squeezed');
    expect(heldNow(on, laid, squeeze, { ...ASKED, ready })).toBeUndefined();
  });
  it('what is not right holds back every step until a word is written', () => {
    const [blank] = ticks({ answer: 'not right' });
    const wrong = (word: string) =>
      heldNow(
        viewWith({ gateTick: [...ticks().slice(1), ...(blank === undefined ? [] : [{ ...blank, word }])] }),
        TABLE,
        steps[0] ?? next,
        ASKED,
      );
    expect(wrong('')).toMatchObject({ case: 'gate', lines: [{ key: 'blank' }] });
    expect(wrong('cut anew, as ordered')).toBeUndefined();
  });
});

describe('what is known of the gate beside what people saw?', () => {
  const film = { id: 'F', family: 'solar', face: 'either', direction: 'none', workMin_C: 4, workMax_C: 35 };
  const PANE = row<RowOf<'surface'>>({ ...NEW_SURFACE, id: 'S', tag: 'SW1', placeId: 'P' });
  const LAID = row<RowOf<'application'>>({ ...TABLE, method: 'trim in place' });
  const line = (key: string, rows: Parameters<typeof jobRows>[0], asked = ASKED) =>
    gateOf(
      new JobView(jobRows({ surface: [PANE], application: [LAID], ...rows }), {
        films: [film as never],
        learned: [],
        people: [],
      }),
      LAID,
      asked,
    ).find((own) => own.key === key);
  const reading = (id: string, quantity: string, value: number) =>
    row<RowOf<'reading'>>({ id, surfaceId: 'S', quantity, value, corrected: null });
  it('glass of 2 °C under film that bears 4: not right; read again at 6 and the room at 15: right', () => {
    expect(line('temperatures', { reading: [reading('1', 'surface temperature', 2)] })?.state).toBe(
      'not right',
    );
    expect(
      line('temperatures', {
        reading: [reading('1', 'surface temperature', 6), reading('2', 'room temperature', 15)],
      })?.state,
    ).toBe('right');
    expect(line('temperatures', { reading: [reading('2', 'room temperature', 15)] })?.state).toBe(
      'not looked at',
    );
  });
  it('the sun is on it by calculation: not right, and until when is known; a cloudy day closes nothing', () => {
    const span = { from_ms: NOW - 10 * MINUTE, to_ms: NOW + 50 * MINUTE };
    const closed = [{ ...span, by: 'sun' as const, why: { case: 'sun on it' as const } }];
    expect(line('sun', {}, { ...ASKED, ready: { sun: [span], closed } })).toMatchObject({
      state: 'not right',
      known: { by: 'sun' },
    });
    expect(line('sun', {}, { ...ASKED, ready: { sun: [span], closed: [] } })?.state).toBe('not looked at');
    expect(sunNow({ sun: [span], closed }, NOW)).toMatchObject({ case: 'on it', until_ms: span.to_ms });
    expect(sunNow({ sun: [span], closed }, span.from_ms - 7 * MINUTE)).toEqual({
      case: 'comes',
      at_ms: span.from_ms,
    });
    expect(sunNow({ sun: [span], closed }, span.to_ms)).toBeUndefined();
  });
  it('ground accepted or refused in Survey stands', () => {
    const wall = { ...PANE, kind: 'wall' as const, shape: 'wall' as const };
    const ground = (state: string) =>
      line('ground', {
        surface: [wall],
        wallFacts: [
          row<RowOf<'wallFacts'>>({
            ...NO_WALL_FACTS,
            id: 'X',
            surfaceId: 'S',
            ground: { state, personId: null, who: 'Wren', at: MADE },
          }),
        ],
      });
    expect(ground('accepted')?.state).toBe('right');
    expect(ground('refused')?.state).toBe('not right');
  });
});

describe('what is waited for in a job?', () => {
  it('all surfaces in one list, what goes on next first; what is over and may lie is left out', () => {
    const other = { ...PANEL, id: 'S2', tag: 'CT2' };
    const second = { ...TABLE, id: 'A2', surfaceId: 'S2' };
    const view = viewWith({
      surface: [PANEL, other],
      application: [TABLE, second],
      workRecord: [done(primes.step, 30), { ...done(primes.step, 90), id: 'W2', applicationId: 'A2' }],
    });
    const waits = pendingWaits(view, ASKED.air);
    expect(waits.map(({ tag }) => tag)).toEqual(['CT2', 'CT1']);
    expect(waits.map((wait) => pendingState(wait, NOW))).toEqual(['closed', 'closed']);
    expect(waits.map((wait) => isPending(wait, NOW + 600 * MINUTE))).toEqual(
      waits.map(({ latest_ms }) => latest_ms !== null),
    );
  });
});

describe('what do I do now?', () => {
  const planned = (
    id: string,
    surfaceNo: string,
    startsAt: string,
    endsAt: string,
    steps: readonly string[],
  ) =>
    row<RowOf<'plannedStep'>>({ id, applicationId: `A${surfaceNo}`, startsAt, endsAt, steps, people: ['M'] });
  const view = (workRecord: readonly RowOf<'workRecord'>[]) =>
    new JobView(
      jobRows({
        surface: [row({ ...PANEL, id: 'S4', tag: 'SW4' }), row({ ...PANEL, id: 'S1', tag: 'PT1' })],
        application: [
          row({ ...TABLE, id: 'A4', surfaceId: 'S4' }),
          row({ ...TABLE, id: 'A1', surfaceId: 'S1' }),
        ],
        crewMember: [row({ id: 'M', personId: 'P1', name: 'Wren', position: 1 })],
        plannedStep: [
          planned('1', '1', ago(-7), ago(-30), ['clean']),
          planned('4', '4', ago(20), ago(-7), ['clean', 'lay']),
        ],
        workRecord,
      }),
    );
  const me = { personId: 'P1', who: 'Wren' };
  it('SW4 now, 20 min late as nothing of it is begun, then PT1 at its time', () => {
    expect(myTurn(view([]), me, NOW)).toMatchObject({
      now: { tag: 'SW4', late_min: 20 },
      next: { tag: 'PT1', late_min: 0, starts_ms: NOW + 7 * MINUTE },
    });
  });
  it('begun in time it is not late; what is done is no turn any more', () => {
    const begun = row<RowOf<'workRecord'>>({
      ...NOT_BEGUN,
      id: 'w',
      applicationId: 'A4',
      step: 'clean',
      startedAt: ago(18),
    });
    expect(myTurn(view([begun]), me, NOW)?.now).toMatchObject({ tag: 'SW4', late_min: 0 });
    const all = ['clean', 'lay'].map((step) =>
      row<RowOf<'workRecord'>>({ ...begun, id: step, step, doneAt: ago(1) }),
    );
    expect(myTurn(view(all), me, NOW)).toMatchObject({ now: { tag: 'PT1' }, next: undefined });
  });
  it('somebody the plan does not know has no turn', () => {
    expect(myTurn(view([]), { personId: null, who: 'Robin' }, NOW)).toBeUndefined();
    expect(myTurn(view([]), { personId: null, who: 'Wren' }, NOW)?.now.tag).toBe('SW4');
  });
});

describe('what is known of how a film went on, long after?', () => {
  it('each step with its time, people, rounds and deviation, in order; early ends; rolls and lots; readings of this film', () => {
    const first = {
      ...done('mask', 50),
      people: ['Wren', 'Linnet'],
      startedAt: ago(60),
      note: 'floor covered',
    };
    const second = {
      ...done(primes.step, 30),
      roundsAt: [ago(35), null],
      mix: slipMixed(bare),
      deviation: 'Done before',
    };
    const view = viewWith({
      workRecord: [second, first, { ...done('sand', 1), doneAt: null }],
      waitEnd: [
        row({
          id: 'E',
          applicationId: 'A',
          step: primes.step,
          endedAt: ago(10),
          how: 'early',
          reason: 'a fan',
        }),
      ],
      cutPlan: [row({ id: 'CP', filmId: 'F', position: 1 })],
      cutRoll: [row({ id: 'R', planId: 'CP', label: 'R-14', lot: 'N35-2207', position: 1 })],
      cutPiece: [
        row({
          id: 'CPc',
          planId: 'CP',
          rollId: 'R',
          applicationId: 'A',
          drop: 1,
          spoiledAt: null,
          position: 1,
        }),
      ],
      reading: [
        row({ id: 'r1', surfaceId: 'S', applicationId: 'A', quantity: 'humidity', value: 46 }),
        row({ id: 'r2', surfaceId: 'S', applicationId: 'another', quantity: 'humidity', value: 50 }),
      ],
    });
    const record = fitRecordOf(view, TABLE);
    expect(record.steps).toMatchObject([
      { step: 'mask', people: ['Wren', 'Linnet'], note: 'floor covered', endedEarly: null },
      {
        ...{ step: primes.step, roundsAt: [ago(35), null], deviation: 'Done before', endedEarly: 'a fan' },
        mix: 'household, 0.78 % soap',
      },
    ]);
    expect(record.rolls).toEqual([{ label: 'R-14', lot: 'N35-2207', drop: 1 }]);
    expect(record.readings.map(({ id }) => id)).toEqual(['r1']);
  });
});
