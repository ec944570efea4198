import { breakageChance, durationFactor } from './oracles/strength-laws';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CoreError, type Verdict } from '../quantity';
import { DARK_FILM, LIGHT_FILM, SELECTIVE_FILM, aSituation } from './fixtures';
import {
  type GlassSituation,
  type StressRequest,
  STRESS_CAUTION,
  USUAL_TEMPERATURES,
  allowableOf,
  bareStress,
  designDays,
  edgeHoldOf,
  edgeLengthFactor,
  judgeStress,
  outdoorAt,
  patternOf,
  calculateStress,
  stressFactor,
} from './index';

const ORDER: readonly Verdict[] = ['go', 'go with care', 'unknown', 'stop'];
const FILMS = { light: LIGHT_FILM, selective: SELECTIVE_FILM, dark: DARK_FILM } as const;
const rank = (situation: GlassSituation, film: keyof typeof FILMS, face: number): number =>
  ORDER.indexOf(judgeStress(situation, [{ face, film: FILMS[film] }]).verdict);

/** Situations that can be judged: glass known, sound. */
const situations = fc
  .record({
    treatments: fc.constantFrom<GlassSituation['treatments']>(
      ['annealed', 'annealed'],
      ['toughened', 'annealed'],
      ['toughened', 'toughened'],
      ['heat strengthened', 'heat strengthened'],
      ['laminated', 'annealed'],
    ),
    frame: fc.constantFrom<GlassSituation['frame']>('wood', 'metal', 'masonry', 'rubber seal'),
    edgeFinish: fc.constantFrom<GlassSituation['edgeFinish']>('polished', 'seamed', 'clean-cut', 'unseen'),
    edgeDepth_mm: fc.constantFrom(10, 15, 30),
    edge_m: fc.constantFrom(3, 6.6, 12),
  })
  .map((more) => aSituation(more));
const films = fc.constantFrom<keyof typeof FILMS>('light', 'selective', 'dark');
const faces = fc.constantFrom(1, 4);

describe('does anything worse ever make the verdict kinder?', () => {
  const neverKinder = (worse: (situation: GlassSituation) => GlassSituation, from = situations): void => {
    fc.assert(
      fc.property(from, films, faces, (situation, film, face) => {
        expect(rank(worse(situation), film, face)).toBeGreaterThanOrEqual(rank(situation, film, face));
      }),
      { numRuns: 60 },
    );
  };
  it('annealed instead of anything stronger', () => {
    /** Laminated glass is taken for weaker still. */ neverKinder(
      (own) => ({ ...own, treatments: ['annealed', 'annealed'] }),
      situations.filter(({ treatments }) => !treatments.includes('laminated')),
    );
  });
  it('an edge nobody has seen', () => {
    neverKinder((own) => ({ ...own, edgeFinish: 'unseen' }));
  });
  it('a frame of masonry', () => {
    neverKinder((own) => ({ ...own, frame: 'masonry' }));
  });
  it('a frame that covers more of the glass', () => {
    neverKinder((own) => ({ ...own, edgeDepth_mm: 40 }));
  });
  it('a blind close behind', () => {
    neverKinder((own) => ({
      ...own,
      bare: { ...own.bare, hasBlind: true },
      circumstances: { ...own.circumstances, blind: 'close or closed' },
    }));
  });
  it('warm air on the glass, a large pane, a place high up', () => {
    neverKinder((own) => ({
      ...own,
      circumstances: {
        ...own.circumstances,
        heatOutlet: 'near or aimed at the glass',
        area_m2: 5,
        altitude_m: 1500,
      },
    }));
  });
  it('a longer edge', () => {
    neverKinder((own) => ({ ...own, edge_m: 20 }));
  });
  it('something taken for want of knowing', () => {
    neverKinder((own) => ({ ...own, assumed: [{ case: 'no blind close behind the glass' }] }));
  });
  it('a crack, a chip, wire: always stop, before anything is calculated', () => {
    fc.assert(
      fc.property(
        situations,
        films,
        faces,
        fc.constantFrom(
          { condition: 'cracked' as const },
          { condition: 'chipped' as const },
          { treatments: ['wired', 'annealed'] as const },
          { edgeFinish: 'damaged' as const },
        ),
        (situation, film, face, more) => {
          const { verdict, panes, advice } = judgeStress({ ...situation, ...more }, [
            { face, film: FILMS[film] },
          ]);
          expect([verdict, panes.length]).toEqual(['stop', 0]);
          expect(advice.length).toBeGreaterThan(0);
        },
      ),
      { numRuns: 25 },
    );
  });
  it('a dark film is never judged kinder than a light one on the same face', () => {
    fc.assert(
      fc.property(situations, faces, (situation, face) => {
        expect(rank(situation, 'dark', face)).toBeGreaterThanOrEqual(rank(situation, 'light', face));
      }),
      { numRuns: 25 },
    );
  });
});

describe('is every verdict accounted for?', () => {
  it('any: a reason; with care, what care; every pane with its steps', () => {
    fc.assert(
      fc.property(situations, films, faces, (situation, film, face) => {
        const { verdict, reasons, advice, panes } = judgeStress(situation, [{ face, film: FILMS[film] }]);
        expect(reasons.length).toBeGreaterThan(0);
        if (verdict === 'go with care') expect(advice.length).toBeGreaterThan(0);
        expect(panes).toHaveLength(2);
        for (const { why, moment, allowable } of panes) {
          expect(why.at(-2)?.value).toBeCloseTo(moment.stress_MPa, 6);
          expect(why.at(-1)?.value).toBeCloseTo(moment.stress_MPa / (allowable?.low_MPa ?? Number.NaN), 6);
        }
      }),
      { numRuns: 25 },
    );
  });
  it('the bare make-up calculated once for many films says the same', () => {
    const situation = aSituation();
    const shared = bareStress(situation);
    for (const film of Object.values(FILMS))
      for (const face of [1, 4])
        expect(judgeStress(situation, [{ face, film }], shared)).toEqual(
          judgeStress(situation, [{ face, film }]),
        );
  });
  it('the caution defers to makers, warranties and codes', () => {
    for (const word of ['makers', 'warranties', 'codes']) expect(STRESS_CAUTION).toContain(word);
  });
});

describe('asked without a job', () => {
  const asked: StressRequest = {
    panes: [{ tint: 'clear', thickness_mm: 6, treatment: 'annealed' }],
    gaps: [],
    films: [{ face: 2, film: DARK_FILM }],
    frame: 'metal',
    edgeFinish: 'seamed',
    edgeDepth_mm: 12,
    condition: 'sound',
    width_mm: 1000,
    height_mm: 1500,
    place: { latitude_deg: 46.6, longitude_deg: 9.7, altitude_m: 0 },
    bearing_deg: 180,
    tilt_deg: 90,
    skyline: [],
    shading: null,
    blind: 'none',
    heatOutlet: 'none',
  };
  it('which way it faces is asked for by name', () => {
    try {
      calculateStress({ ...asked, bearing_deg: null });
      throw new Error('not refused');
    } catch (error) {
      expect(error instanceof CoreError && [error.code, error.data.path]).toEqual([
        'STRESS_CASE',
        'bearing_deg',
      ]);
    }
  });
  it('what is not said is assumed, named, and at best go with care', () => {
    const { verdict, advice } = calculateStress({
      ...asked,
      films: [{ face: 2, film: LIGHT_FILM }],
      blind: 'unknown',
      heatOutlet: 'unknown',
    });
    expect(verdict).not.toBe('go');
    const taken = advice.flatMap((one) => (one.case === 'taken for want of knowing' ? [one.what.case] : []));
    expect(taken).toEqual(
      expect.arrayContaining([
        'no blind close behind the glass',
        'no warm air on the glass',
        'a shade line across the pane',
      ]),
    );
  });
  it('glass nobody knows is unknown, with how to find out', () => {
    const { verdict, advice } = calculateStress({
      ...asked,
      panes: [{ tint: 'clear', thickness_mm: 6, treatment: 'unknown' }],
    });
    expect(verdict).toBe('unknown');
    expect(advice).toEqual([{ case: 'find out', what: 'the kind of glass' }]);
  });
  it('a colder night than usual is no kinder to the pane', () => {
    const tension = (low: number): number =>
      calculateStress({ ...asked, cold_C: [low, low + 9] }).panes[0]?.moment.stress_MPa ?? Number.NaN;
    expect(tension(-25)).toBeGreaterThanOrEqual(tension(-10));
  });
});

describe('days the glass must stand', () => {
  const place = (latitude_deg: number, altitude_m = 0) => ({ latitude_deg, longitude_deg: 10, altitude_m });
  it('south of the equator the cold day is in July: the noon sun stands as low as in January here', () => {
    const highest = (latitude: number): readonly number[] =>
      designDays(place(latitude)).map(({ path }) => Math.max(...path.at.map(({ sun }) => sun.altitude_deg)));
    const [north, south] = [highest(46), highest(-46)];
    north.forEach((altitude, day) => {
      expect(Math.abs(altitude - (south[day] ?? 0))).toBeLessThan(1.5);
    });
    expect(north[0]).toBeLessThan((north[1] ?? 0) - 10);
  });
  it('6.5 K colder for each 1000 m up (ISO 2533), not warmer below the sea', () => {
    const [low] = designDays(place(46, 1000));
    expect(low?.low_C).toBeCloseTo(USUAL_TEMPERATURES.cold[0] - 6.5, 9);
    expect(designDays(place(46, -400))[0]?.low_C).toBe(USUAL_TEMPERATURES.cold[0]);
  });
  it('outdoors stays between its low and its high all day, and never jumps', () => {
    const [day] = designDays(place(46));
    if (day === undefined) throw new Error('three days');
    for (let hour = 0; hour < 24; hour += 0.25) {
      expect(outdoorAt(day, hour)).toBeGreaterThanOrEqual(day.low_C - 1e-9);
      expect(outdoorAt(day, hour)).toBeLessThanOrEqual(day.high_C + 1e-9);
      expect(Math.abs(outdoorAt(day, hour + 0.25) - outdoorAt(day, hour))).toBeLessThan(0.5);
    }
  });
});

describe('what an edge bears, in order', () => {
  const TREATMENTS = ['laminated', 'annealed', 'heat strengthened', 'toughened'] as const;
  it('stronger glass bears more, at either end of what the schools say', () => {
    for (const finish of ['seamed', 'clean-cut', 'unseen'] as const)
      TREATMENTS.slice(1).forEach((stronger, index) => {
        const [less, more] = [
          allowableOf(TREATMENTS[index] ?? 'annealed', 6, finish),
          allowableOf(stronger, 6, finish),
        ];
        expect(more?.low_MPa).toBeGreaterThanOrEqual(less?.low_MPa ?? Number.NaN);
        expect(more?.high_MPa).toBeGreaterThanOrEqual(less?.high_MPa ?? Number.NaN);
      });
  });
  it('the low end is never above the high one; thick annealed glass bears less', () => {
    for (const treatment of TREATMENTS)
      for (const thickness of [4, 6, 10, 19])
        for (const finish of ['polished', 'seamed', 'unseen'] as const) {
          const own = allowableOf(treatment, thickness, finish);
          expect(own?.low_MPa).toBeLessThanOrEqual(own?.high_MPa ?? Number.NaN);
        }
    expect(allowableOf('annealed', 19, 'seamed')?.high_MPa).toBeLessThan(
      allowableOf('annealed', 6, 'seamed')?.high_MPa ?? Number.NaN,
    );
  });
  it('longer bears less: time, and length of edge from four metres on', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1e7, noNaN: true }),
        fc.double({ min: 1.01, max: 10, noNaN: true }),
        (seconds, times) => {
          expect(durationFactor(seconds * times)).toBeLessThan(durationFactor(seconds));
        },
      ),
    );
    expect(durationFactor(3)).toBe(1);
    expect([edgeLengthFactor(1), edgeLengthFactor(4)]).toEqual([1, 1]);
    expect(edgeLengthFactor(8)).toBeCloseTo(2 ** (-1 / 7), 12);
  });
  it('the chance of breaking rises with what the edge bears, and a stiffer spread rises later (Weibull)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1.2, noNaN: true }),
        fc.double({ min: 1.01, max: 1.5, noNaN: true }),
        (share, times) => {
          expect(breakageChance(share * times)).toBeGreaterThan(breakageChance(share));
        },
      ),
    );
    expect(breakageChance(0.5, 10)).toBeLessThan(breakageChance(0.5, 5));
    expect(breakageChance(0)).toBe(0);
  });
});

describe('shade and frame', () => {
  /** Finite elements of the model this room is built from (table stressFactorFE), typed from it. */
  it.each([
    ['full sun', 0.13, 0.67, 0.9],
    ['one side 1/4', 0.65, 1.06, 1.26],
    ['one side 1/2', 0.52, 0.95, 1.15],
    ['one side 3/4', 0.36, 0.77, 0.96],
    ['corner', 0.72, 1.14, 1.33],
    ['both sides', 0.76, 1.2, 1.41],
    ['diagonal', 0.39, 0.89, 1.1],
    ['narrow strip', 0.96, 1.2, 1.31],
  ] as const)('%s: %d insulating, %d metal, %d solid', (pattern, insulating, metal, solid) => {
    expect((['insulating', 'metal', 'solid'] as const).map((hold) => stressFactor(pattern, hold))).toEqual([
      insulating,
      metal,
      solid,
    ]);
  });
  it('a frame that takes more heat from the edge raises every factor; a deep one never lowers it', () => {
    for (const pattern of [
      'full sun',
      'one side 1/4',
      'one side 1/2',
      'one side 3/4',
      'corner',
      'both sides',
      'diagonal',
      'narrow strip',
    ] as const) {
      expect(stressFactor(pattern, 'metal')).toBeGreaterThan(stressFactor(pattern, 'insulating'));
      expect(stressFactor(pattern, 'solid')).toBeGreaterThan(stressFactor(pattern, 'metal'));
      for (const hold of ['insulating', 'metal', 'solid'] as const)
        expect(stressFactor(pattern, hold, true)).toBeGreaterThanOrEqual(
          Math.max(1, stressFactor(pattern, hold)),
        );
    }
  });
  it('a frame nobody knows counts as metal, and that is said', () => {
    expect([edgeHoldOf('unknown'), edgeHoldOf('metal'), edgeHoldOf('wood')]).toEqual([
      { hold: 'metal', isAssumed: true },
      { hold: 'metal', isAssumed: false },
      { hold: 'insulating', isAssumed: false },
    ]);
  });
  it('any shadow: a pattern, or no sun at all; more of the one side in shade comes in the order of the table', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (head, side) => {
          const pattern = patternOf(head, side);
          expect(pattern === undefined).toBe(head >= 0.98 || side >= 0.98);
          if (head > 0.02 && side > 0.02 && pattern !== undefined) expect(pattern).toBe('corner');
          expect(patternOf(side, head)).toBe(pattern);
        },
      ),
    );
  });
});
