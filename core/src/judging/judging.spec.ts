import { describe, expect, it } from '@jest/globals';
import * as fc from 'fast-check';
import { NOT_TRIED, type PocketTests } from '../job';
import { faceOf } from '../strokes';
import { marksTogether, scaledPin } from './broken-rules';
import { largestCluster } from './cluster';
import {
  type JudgeAsked,
  type MarkDecision,
  RULE_SETS,
  USUAL_LUMINANCE,
  VERDICT_OF_MARK,
  brokenRules,
  decideMarks,
  pocketSaid,
  remedyFor,
  verdictOfMarks,
} from './index';
import type { Pin } from './pin';

const rectangle = (wide: number, high: number) =>
  faceOf([
    [
      { x: 0, y: 0 },
      { x: wide, y: 0 },
      { x: wide, y: high },
      { x: 0, y: high },
    ],
  ]);
const setOf = (name: string) => {
  const found = RULE_SETS.find((own) => own.name === name);
  if (found === undefined) throw new Error(name);
  return found;
};
let made = 0;
const pin = (own: Partial<Pin>): Pin => ({
  ...{ id: `p${(made += 1)}`, look: 'speck', x: 500, y: 500, size_mm: 1, length_mm: null },
  ...{ isMoisture: 'no', isNewInGlass: 'no' },
  ...own,
});
const asked = (pins: readonly Pin[], own: Partial<JudgeAsked> = {}): JudgeAsked => ({
  ...{ face: rectangle(1000, 1000), pins, set: setOf('laminated glass kind'), mayDry: true },
  luminance: USUAL_LUMINANCE,
  ...own,
});
const decided = (own: Partial<Pin>, more: Partial<JudgeAsked> = {}): MarkDecision => {
  const [only] = decideMarks(asked([pin(own)], more));
  if (only === undefined) throw new Error('nothing decided');
  return only;
};

describe('what is done about a mark, in this order (model 4.3)?', () => {
  it.each<[string, Partial<Pin>, Partial<JudgeAsked>, string]>([
    ['a crack', { look: 'crack' }, {}, 'stop'],
    ['a scratch in the glass nobody recorded', { look: 'scratch', isNewInGlass: 'yes' }, {}, 'stop'],
    ['a water pocket before its date', { look: 'bubble', isMoisture: 'yes', size_mm: 10 }, {}, 'watch'],
    ['a bubble nobody has looked into', { look: 'bubble', isMoisture: 'unknown' }, {}, 'measure it'],
    ['air', { look: 'bubble', isMoisture: 'no' }, {}, 'fix now'],
    ['a finger', { look: 'finger', isMoisture: 'no' }, {}, 'fix now'],
    ['an edge that lifts', { look: 'edge lifts' }, {}, 'fix now'],
    ['a speck of 5 mm', { size_mm: 5 }, {}, 'redo'],
    ['a speck of 0.2 mm', { size_mm: 0.2 }, {}, 'accept'],
    ['one speck of 1.5 mm on a square metre', { size_mm: 1.5 }, {}, 'accept by rule'],
    ['a speck of 2.8 mm, which may be over 3', { size_mm: 2.8 }, {}, 'measure it'],
    ['what nobody said', { look: 'not said' }, {}, 'measure it'],
    ['a size nobody took', { size_mm: null }, {}, 'measure it'],
    ['a place beside the surface', { x: -5 }, {}, 'measure it'],
    ['a size of nothing', { size_mm: 0 }, {}, 'measure it'],
    ['a size of 3.1 m', { size_mm: 3100 }, {}, 'measure it'],
  ])('%s: %j', (_, own, more, verdict) => {
    expect(decided(own, more).verdict).toBe(verdict);
  });
  it('a pocket older than its date is no longer watched', () => {
    expect(decided({ look: 'bubble', isMoisture: 'yes', size_mm: 10 }, { mayDry: false }).verdict).not.toBe(
      'watch',
    );
  });
  it('each says what decided: the rule and its figures, the smallest that is seen, what to measure', () => {
    expect(decided({ size_mm: 5 }).reason).toMatchObject({
      case: 'breaks a rule',
      broken: { allowed: 0, found: 1 },
    });
    expect(decided({ size_mm: 0.2 }).reason).toMatchObject({
      case: 'not seen from there',
      least_mm: expect.closeTo(0.35, 2),
    });
    expect(decided({ size_mm: 2.8 }).reason).toEqual({ case: 'measure', what: 'its size' });
    expect(decided({ x: -5 }).reason).toEqual({ case: 'fault', fault: 'beside the surface' });
  });
  it('three specks of over 1 mm on a square metre, one of them allowed: the largest two are too many', () => {
    const pins = [1.1, 2.2, 2.1].map((size_mm, index) =>
      pin({ id: `s${index}`, size_mm, x: 100 + 300 * index }),
    );
    const verdicts = decideMarks(asked(pins)).map(({ verdict }) => verdict);
    expect(verdicts).toEqual(['accept by rule', 'redo', 'redo']);
  });
  it('at six feet what is seen is not accepted by a rule: a person says whether it is obtrusive; what is not seen is', () => {
    const set = setOf('film, six feet');
    expect(decided({ size_mm: 5 }, { set })).toMatchObject({
      verdict: 'measure it',
      reason: { case: 'look from there' },
    });
    expect(decided({ size_mm: 0.1 }, { set }).verdict).toBe('accept');
  });
  it('a pane is as its worst mark; without marks it may go', () => {
    expect(verdictOfMarks([])).toBe('go');
    expect(verdictOfMarks(decideMarks(asked([pin({ size_mm: 0.2 }), pin({ look: 'finger', x: 900 })])))).toBe(
      'go with care',
    );
    expect(verdictOfMarks(decideMarks(asked([pin({ look: 'crack' }), pin({ size_mm: null })])))).toBe('stop');
  });
});

describe('rules of a surface', () => {
  it('six feet: nothing is counted; five within 300 mm of each other are a cluster', () => {
    const five = Array.from({ length: 5 }, (_, index) => pin({ x: 400 + 40 * index, size_mm: 2 }));
    const set = setOf('film, six feet');
    expect(brokenRules(rectangle(1000, 1000), five, set)).toMatchObject([
      { rule: 'cluster', found: 5, allowed: 4 },
    ]);
    expect(brokenRules(rectangle(1000, 1000), five.slice(1), set)).toEqual([]);
  });
  it('coated glass: lines over 75 mm, none in the middle, in the edge only 50 mm apart', () => {
    const set = setOf('coated glass kind');
    const line = (x: number, y: number): Pin => pin({ look: 'scratch', length_mm: 90, size_mm: 0.2, x, y });
    expect(brokenRules(rectangle(1000, 1000), [line(500, 500)], set)).toMatchObject([{ allowed: 0 }]);
    expect(brokenRules(rectangle(1000, 1000), [line(20, 300), line(20, 400)], set)).toEqual([]);
    expect(brokenRules(rectangle(1000, 1000), [line(20, 300), line(20, 340)], set)).toMatchObject([
      { found: 2 },
    ]);
  });
  it('the edge goes by the outline, not by its box: under a raked head a mark is of the edge', () => {
    const raked = faceOf([
      [
        { x: 0, y: 0 },
        { x: 1000, y: 0 },
        { x: 1000, y: 1000 },
        { x: 0, y: 500 },
      ],
    ]);
    const under = pin({ x: 500, y: 740, size_mm: 4 });
    expect(brokenRules(raked, [under], setOf('laminated glass kind'))).toEqual([]);
    expect(brokenRules(raked, [{ ...under, y: 600 }], setOf('laminated glass kind'))).toHaveLength(1);
  });
  it('the largest cluster as trying every set finds it', () => {
    const place = fc.record({ x: fc.integer({ min: 0, max: 60 }), y: fc.integer({ min: 0, max: 60 }) });
    fc.assert(
      fc.property(fc.array(place, { maxLength: 9 }), (places) => {
        let most = 0;
        for (let set = 0; set < 1 << places.length; set += 1) {
          const own = places.filter((_, index) => ((set >> index) & 1) === 1);
          if (own.every((a) => own.every((b) => a === b || Math.hypot(a.x - b.x, a.y - b.y) < 25)))
            most = Math.max(most, own.length);
        }
        expect(largestCluster(places, 25)).toHaveLength(most);
      }),
      { seed: 26, numRuns: 60 },
    );
  });
  it('2,000 marks are judged, at one place or all over', () => {
    const verdicts = (pins: readonly Pin[]) =>
      new Set(decideMarks(asked(pins)).map(({ verdict }) => verdict));
    const at = (n: number) => ({ id: String(n), x: 1 + ((n * 379) % 997), y: 1 + ((n * 613) % 991) });
    const many = Array.from({ length: 2000 }, (_, n) => pin({ ...at(n), size_mm: n % 10 === 0 ? 5 : 2 }));
    expect(verdicts(many.map((own) => ({ ...own, x: 500, y: 500 })))).toContain('redo');
    expect(verdicts(many)).toContain('redo');
  });
});

describe('what is a bubble, by its three questions?', () => {
  const said = (own: Partial<PocketTests>, size_mm: number | null = 8) =>
    pocketSaid({ ...NOT_TRIED, ...own }, size_mm);
  it.each<[Partial<PocketTests>, string]>([
    [{ press: 'creeps away' }, 'yes'],
    [{ warm: 'smaller' }, 'yes'],
    [{ press: 'springs back' }, 'no'],
    [{ warm: 'larger' }, 'no'],
    [{ press: 'springs back', warm: 'smaller' }, 'unknown'],
    [{ press: 'does not move', warm: 'the same' }, 'unknown'],
    [{}, 'unknown'],
  ])('%j: water %s', (own, isWater) => {
    expect(said(own).isWater).toBe(isWater);
  });
  it('over 25 mm, in a line, joined to an edge or with a rim it is not ordinary (model 2.6)', () => {
    expect(said({ shape: 'alone' }).isOrdinary).toBe(true);
    expect(said({ shape: 'alone' }, 26).isOrdinary).toBe(false);
    expect(said({ shape: 'in a line along strokes' }).isOrdinary).toBe(false);
    expect(said({ shape: 'joined to an edge' }).isOrdinary).toBe(false);
    expect(said({ shape: 'brown or white rim' }).isOrdinary).toBe(false);
  });
  it('water out of order is pressed out now, not watched', () => {
    const own = { look: 'water pocket', isMoisture: 'yes', size_mm: 40 } as const;
    expect(decided(own).verdict).toBe('watch');
    expect(decided({ ...own, isOutOfOrder: true })).toMatchObject({
      verdict: 'fix now',
      reason: { case: 'not ordinary water' },
    });
  });
  it('a bubble that is water is pressed out and never pricked; air is pricked', () => {
    const steps = (of: MarkDecision) => remedyFor('bubble', of)?.steps.join(' ');
    const water = { look: 'bubble', isMoisture: 'yes', isOutOfOrder: true, size_mm: 40 } as const;
    expect(steps(decided(water))).toContain('Never prick water');
    expect(steps(decided({ look: 'bubble', isMoisture: 'no' }))).toContain('Prick it low');
  });
  it('each thing that hands put right has its steps', () => {
    const byHands = { reason: { case: 'hands put it right' } } as const;
    for (const look of ['finger', 'edge lifts', 'air bubble', 'bubble', 'water pocket'] as const)
      expect(remedyFor(look, byHands)?.steps.length).toBeGreaterThan(2);
    expect(remedyFor('crack', byHands)).toBeUndefined();
  });
});

describe('does a person who looks from there beat what is calculated?', () => {
  const film = setOf('film, six feet');
  it('not obtrusive: accepted; obtrusive: redone; nobody looked: asked for', () => {
    const of = (isObtrusive?: boolean) =>
      decided(
        { size_mm: 5, ...(isObtrusive === undefined ? {} : { isObtrusive }) },
        { set: film, mayDry: false },
      ).verdict;
    expect(of()).toBe('measure it');
    expect(of(false)).toBe('accept');
    expect(of(true)).toBe('redo');
  });
  it('no rule of sizes is beaten, nor a crack', () => {
    expect(decided({ size_mm: 5, isObtrusive: false }).verdict).toBe('redo');
    expect(decided({ look: 'crack', isObtrusive: false }).verdict).toBe('stop');
  });
});

describe('one mark looked up says what all of them counted say', () => {
  const some = fc.record({
    x: fc.integer({ min: 1, max: 999 }),
    y: fc.integer({ min: 1, max: 999 }),
    size_mm: fc.constantFrom(0.4, 0.6, 1, 1.5, 2, 2.5, 3, 3.5, 6),
    length_mm: fc.constantFrom(null, null, 20, 40, 80),
  });
  it.each(RULE_SETS.map(({ name }) => name))('%s', (name) => {
    const set = setOf(name);
    fc.assert(
      fc.property(fc.array(some, { maxLength: 14 }), fc.constantFrom(0.7, 1, 1.3, 2), (own, times) => {
        const pins = own.map((each, index) => pin({ ...each, id: String(index) }));
        const face = rectangle(1000, 1000);
        const together = marksTogether(face, pins, set);
        for (const each of pins) {
          const all = pins.map((other) => (other === each ? scaledPin(each, times) : other));
          const counted = brokenRules(face, all, set).filter(
            ({ rule, excess }) => rule !== 'cluster' && excess.includes(each.id),
          );
          const looked = together.brokenBy(each, times).filter(({ rule }) => rule !== 'cluster');
          expect(looked.map(({ rule, allowed }) => [rule, allowed])).toEqual(
            counted.map(({ rule, allowed }) => [rule, allowed]),
          );
          for (const [index, { found }] of looked.entries())
            if (looked[index]?.allowed !== null) expect(found).toBe(counted[index]?.found);
        }
      }),
      { seed: 27, numRuns: 120 },
    );
  });
});

describe('is a verdict never milder for more?', () => {
  const RANK = { go: 0, 'go with care': 1, unknown: 2, stop: 3 } as const;
  const some = fc.record({
    x: fc.integer({ min: 1, max: 999 }),
    y: fc.integer({ min: 1, max: 999 }),
    size_mm: fc.double({ min: 0.1, max: 8, noNaN: true }),
  });
  it('a larger mark is never judged milder', () => {
    fc.assert(
      fc.property(
        fc.array(some, { minLength: 1, maxLength: 6 }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (own, times) => {
          const pins = own.map((each, index) => pin({ ...each, id: String(index) }));
          const larger = pins.map((each, index) =>
            index === 0 ? { ...each, size_mm: (each.size_mm ?? 1) * times } : each,
          );
          const of = (all: readonly Pin[]) => decideMarks(asked(all))[0]?.verdict ?? 'stop';
          expect(RANK[VERDICT_OF_MARK[of(larger)]]).toBeGreaterThanOrEqual(RANK[VERDICT_OF_MARK[of(pins)]]);
        },
      ),
      { seed: 27, numRuns: 60, endOnFailure: true },
    );
  });
  it('one mark more never makes a surface milder', () => {
    fc.assert(
      fc.property(fc.array(some, { minLength: 1, maxLength: 7 }), (own) => {
        const pins = own.map((each, index) => pin({ ...each, id: String(index) }));
        const of = (all: readonly Pin[]) => RANK[verdictOfMarks(decideMarks(asked(all)))];
        expect(of(pins)).toBeGreaterThanOrEqual(of(pins.slice(1)));
      }),
      { seed: 28, numRuns: 60, endOnFailure: true },
    );
  });
});
