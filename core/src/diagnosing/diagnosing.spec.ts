import { asLarge } from './oracles/cause-laws';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { DIAGNOSED_LOOKS } from '../job';
import { seededRandom } from '../quantity';
import {
  ANOTHER_CAUSE,
  BELIEF,
  type DiagnosisAsked,
  type Forecast,
  LOOK_TABLES,
  type LookTable,
  capOf,
  capped,
  explained,
  moreThanOne,
  named,
  nextQuestion,
  posteriorOf,
  priorOf,
  questionWorth,
  remediesOf,
  spiegelhalterZ,
  strengthOf,
} from './index';

const sum = (values: readonly number[]): number => values.reduce((all, value) => all + value, 0);
const plain = (table: LookTable, seen: Readonly<Record<string, string>> = {}): DiagnosisAsked => ({
  ...{ table, seen, present: {} },
});
/** A look with some answers, any of them unknown. */
const cases = fc.constantFrom(...DIAGNOSED_LOOKS).chain((look) => {
  const table = LOOK_TABLES[look];
  return fc
    .tuple(...table.evidence.map(({ states }) => fc.option(fc.constantFrom(...states), { nil: undefined })))
    .map((answers) => ({
      table,
      seen: Object.fromEntries(
        answers.flatMap((answer, index) =>
          answer === undefined ? [] : [[table.evidence[index]?.id ?? '', answer]],
        ),
      ),
    }));
});

describe('are the tables whole?', () => {
  it('13 looks, 61 causes, 52 pieces of evidence (model 5)', () => {
    const all = DIAGNOSED_LOOKS.map((look) => LOOK_TABLES[look]);
    expect(all).toHaveLength(13);
    expect(sum(all.map(({ causes }) => causes.length))).toBe(61);
    expect(sum(all.map(({ evidence }) => evidence.length))).toBe(52);
  });
  it('each row makes one, has a chance for every state, and each remedy one for every cause', () => {
    for (const look of DIAGNOSED_LOOKS) {
      const { causes, evidence, remedies } = LOOK_TABLES[look];
      for (const { rows, states } of evidence) {
        expect(rows).toHaveLength(causes.length);
        for (const row of rows) {
          expect(row).toHaveLength(states.length);
          expect(sum(row)).toBeCloseTo(1, 9);
        }
      }
      for (const { cures } of remedies) expect(cures).toHaveLength(causes.length);
    }
  });
  it('a crack in the glass has one remedy: it stops, a licensed glazier', () => {
    expect(LOOK_TABLES.glassCrack.remedies.map(({ id }) => id)).toEqual(['stop, licensed glazier']);
  });
});

describe('what made it?', () => {
  it('shares make one, and no answer changes nothing', () => {
    fc.assert(
      fc.property(cases, ({ table, seen }) => {
        expect(sum(posteriorOf(plain(table, seen)))).toBeCloseTo(1, 12);
        expect(posteriorOf(plain(table, { ...seen, 'no such evidence': 'x' }))).toEqual(
          posteriorOf(plain(table, seen)),
        );
        expect(posteriorOf(plain(table))).toEqual(
          priorOf(plain(table)).map((share) => expect.closeTo(share, 12) as unknown as number),
        );
      }),
      { seed: 5, numRuns: 200 },
    );
  });
  it('by enumeration: prior times each chance to the power of λ', () => {
    fc.assert(
      fc.property(cases, ({ table, seen }) => {
        const prior = priorOf(plain(table));
        const raw = prior.map((share, cause) =>
          table.evidence.reduce((left, { id, states, rows }) => {
            const state = states.indexOf(seen[id] ?? '');
            if (state < 0) return left;
            const column = rows.map((row) => row[state] ?? 0);
            return left * (column[cause] ?? sum(column) / column.length) ** BELIEF.lambda;
          }, share),
        );
        posteriorOf(plain(table, seen)).forEach((share, cause) => {
          expect(share).toBeCloseTo((raw[cause] ?? 0) / sum(raw), 10);
        });
      }),
      { seed: 6, numRuns: 200 },
    );
  });
  it('the order of evidence says nothing, and the same evidence twice counts once', () => {
    fc.assert(
      fc.property(cases, ({ table, seen }) => {
        const own = posteriorOf(plain(table, seen));
        const close = own.map((share) => expect.closeTo(share, 10) as unknown as number);
        expect(posteriorOf(plain({ ...table, evidence: table.evidence.toReversed() }, seen))).toEqual(close);
        const [first] = table.evidence.filter(({ id }) => seen[id] !== undefined);
        if (first === undefined) return;
        const twice = { ...table, evidence: [...table.evidence, { ...first, id: 'again' }] };
        expect(posteriorOf(plain(twice, { ...seen, again: seen[first.id] ?? '' }))).toEqual(close);
      }),
      { seed: 7, numRuns: 150 },
    );
  });
  it('what the record rules out is out; what it knows to be there gains', () => {
    const table = LOOK_TABLES.liftingEdge;
    const share = (present: Readonly<Record<string, number>>) =>
      named({ table }, posteriorOf({ table, seen: {}, present })).find(({ id }) => id === 'richSlip')
        ?.share ?? 0;
    expect(share({ richSlip: 0 })).toBeLessThan(1e-6);
    expect(share({ richSlip: 1 })).toBeGreaterThan(share({}));
  });
  it('without confirmed cases the prior stands; with many of one cause it is that cause', () => {
    const table = LOOK_TABLES.nib;
    const [first] = table.causes;
    const of = (count: number) =>
      priorOf({ ...plain(table), confirmed: { [first?.id ?? '']: count } })[0] ?? 0;
    expect(priorOf({ ...plain(table), confirmed: {} })).toEqual(priorOf(plain(table)));
    expect(of(5)).toBeGreaterThan(of(0));
    expect(of(2000)).toBeGreaterThan(0.98);
  });
  it('no certainty over its cap, and what is shown still makes one', () => {
    expect(capOf(3)).toBe(0.8);
    expect(capOf(10)).toBe(0.95);
    fc.assert(
      fc.property(cases, ({ table, seen }) => {
        const shown = capped(posteriorOf(plain(table, seen)), 0.8);
        expect(Math.max(...shown)).toBeLessThanOrEqual(0.8 + 1e-12);
        expect(sum(shown)).toBeCloseTo(1, 12);
      }),
      { seed: 8, numRuns: 100 },
    );
  });
  it('two causes together: none for one cause alone, more as others grow', () => {
    expect(moreThanOne({ chances: [0.4], leak: 0 })).toBeCloseTo(0, 12);
    expect(moreThanOne({ chances: [0.4, 0.5], leak: 0 })).toBeCloseTo(0.2 / 0.7, 12);
  });
});

describe('what to ask next, and what to do?', () => {
  it('no question adds doubt on average, nor costs by itself', () => {
    fc.assert(
      fc.property(cases, ({ table, seen }) => {
        for (const row of table.evidence.filter(({ id }) => seen[id] === undefined)) {
          const { gain_bit, worth_min } = questionWorth(plain(table, seen), row, 150);
          expect(gain_bit).toBeGreaterThanOrEqual(-1e-12);
          expect(worth_min).toBeGreaterThanOrEqual(-1e-9);
        }
      }),
      { seed: 9, numRuns: 60 },
    );
  });
  it('the next question is one a person can answer, worth more than it costs; after five none', () => {
    const asked = plain(LOOK_TABLES.dryBubbles);
    const next = nextQuestion(asked, 150, 0);
    expect(next).toBeDefined();
    expect((next?.worth_min ?? 0) - (next?.cost_min ?? 0)).toBeGreaterThan(0);
    const source = LOOK_TABLES.dryBubbles.evidence.find(({ id }) => id === next?.id)?.source;
    expect(['computed', 'asked later']).not.toContain(source);
    expect(nextQuestion(asked, 150, 5)).toBeUndefined();
  });
  it('remedies by what they cost on average; a redo that costs nothing makes the cheapest the best', () => {
    fc.assert(
      fc.property(cases, ({ table, seen }) => {
        const own = remediesOf(table, posteriorOf(plain(table, seen)), 150);
        expect(own.map(({ cost_min }) => cost_min)).toEqual(
          own.map(({ cost_min }) => cost_min).toSorted((a, b) => a - b),
        );
        const [free] = remediesOf(table, posteriorOf(plain(table, seen)), 0);
        expect(free?.cost_min).toBe(Math.min(...table.remedies.map(({ cost_min }) => cost_min)));
      }),
      { seed: 10, numRuns: 60 },
    );
  });
});

describe('why so?', () => {
  it('what was thought before and each answer add up to the odds', () => {
    fc.assert(
      fc.property(cases, ({ table, seen }) => {
        const [first, second] = named({ table }, posteriorOf(plain(table, seen)));
        const own = explained(plain(table, seen), first?.id ?? '', second?.id ?? '');
        const added = own.before_decibans + sum(own.answers.map(({ decibans }) => decibans));
        expect(added).toBeCloseTo(own.odds_decibans, 9);
      }),
      { seed: 11, numRuns: 150 },
    );
  });
  it('in words by their weight; a cause nobody knows is refused by name', () => {
    expect([1, -3, 7, -12].map(strengthOf)).toEqual([
      'says little',
      'speaks somewhat',
      'speaks clearly',
      'speaks strongly',
    ]);
    expect(() => explained(plain(LOOK_TABLES.nib), 'moonlight', ANOTHER_CAUSE)).toThrow(
      /cause: expected one of/,
    );
  });
});

describe('was the certainty deserved?', () => {
  const forecasts = (bias: number, count: number): readonly Forecast[] => {
    const random = seededRandom(4);
    return Array.from({ length: count }, () => {
      const chance = 0.1 + 0.8 * random();
      return { chance, came: random() < Math.min(1, Math.max(0, chance + bias)) };
    });
  };
  it('a forecaster who is right passes; one who is too sure is found out', () => {
    expect(Math.abs(spiegelhalterZ(forecasts(0, 2000)))).toBeLessThan(1.96);
    const tooSure = forecasts(0, 2000).map(({ chance, came }) => ({
      came,
      chance: chance > 0.5 ? Math.min(0.99, chance + 0.2) : Math.max(0.01, chance - 0.2),
    }));
    expect(Math.abs(spiegelhalterZ(tooSure))).toBeGreaterThan(3);
    expect(asLarge(1.96)).toBeCloseTo(0.05, 3);
  });
  it('causes drawn by wrong tables: λ of 0.8 claims what it keeps, within a few in a hundred (model 5.2)', () => {
    const random = seededRandom(12);
    const table = LOOK_TABLES.dryBubbles;
    const wrong = (chance: number): number =>
      chance * Math.exp(0.8 * (random() + random() + random() - 1.5) * 2);
    const normalised = (row: readonly number[]) => row.map((own) => own / sum(row));
    const draw = (row: readonly number[]): number => {
      const at = random() * sum(row);
      let [passed, index] = [0, 0];
      while (index < row.length - 1 && passed + (row[index] ?? 0) < at) passed += row[index++] ?? 0;
      return index;
    };
    const prior = priorOf(plain(table));
    const rounds = Array.from({ length: 1500 }, () => {
      const cause = draw(prior.slice(0, -1));
      const seen = Object.fromEntries(
        table.evidence.map(({ id, rows, states }) => {
          const row = normalised((rows[cause] ?? []).map(wrong));
          return [id, states[draw(row)] ?? ''];
        }),
      );
      const [first] = named({ table }, posteriorOf(plain(table, seen)));
      return { claimed: first?.share ?? 0, isRight: first?.id === table.causes[cause]?.id };
    });
    const claimed = sum(rounds.map((own) => own.claimed)) / rounds.length;
    const right = rounds.filter(({ isRight }) => isRight).length / rounds.length;
    expect(Math.abs(claimed - right)).toBeLessThan(0.08);
    expect(right).toBeGreaterThan(0.45);
  });
});
