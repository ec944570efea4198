import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type Film, NEW_SURFACE, NO_BRIEF, NO_WALL_FACTS } from '../job';
import { aFilm, aPane, someRows } from './fixtures';
import {
  type FilmAnswer,
  type SurfaceRows,
  bestTradeOffs,
  byFitness,
  groundOf,
  insteadOf,
  judgeFilm,
  newSunBook,
  questionOf,
  securityNotes,
  sensitivityOf,
  surfaceFitness,
  sweep,
  whyNot,
} from './index';

const book = newSunBook();
const judged = (rows: SurfaceRows, film: Film = aFilm()): FilmAnswer =>
  judgeFilm(groundOf(questionOf(rows, book)), 'f', film);
const DARK = aFilm({ name: 'dark', visibleTransmitted: 0.2, solarTransmitted: 0.27, solarReflected: 0.12 });
const OUTSIDE = aFilm({
  name: 'outside',
  face: 'outside',
  visibleTransmitted: 0.62,
  visibleReflectedRoom: 0.12,
  visibleReflectedOutside: 0.11,
  solarTransmitted: 0.38,
  solarReflected: 0.3,
  solarReflectedRoom: 0.44,
});
const FROST = aFilm({
  name: 'frost',
  family: 'frosted',
  visibleTransmitted: 0.68,
  visibleReflectedRoom: 0.12,
  visibleReflectedOutside: 0.11,
  solarTransmitted: 0.62,
  solarReflected: 0.12,
  haze: 0.92,
  face: 'either',
});

describe('which film is fit here, and why not the others?', () => {
  it('a dark film inside annealed double glazing under a roof edge is stopped with its sum; outside a selective one may go with care, and is offered instead', () => {
    const answers = [judged(someRows(), DARK), { ...judged(someRows(), OUTSIDE), filmId: 'o' }];
    const [dark, outside] = answers;
    expect(dark?.verdict).toBe('stop');
    expect(dark?.reasons[0]).toMatch(/MPa at its edge.*without this film/);
    expect(outside).toMatchObject({ verdict: 'go with care', face: 1 });
    expect(insteadOf(dark ?? (answers[0] as FilmAnswer), answers)?.filmId).toBe('o');
  });
  it('hard limits come first: too little light is said with both figures', () => {
    const brief = { ...NO_BRIEF, lightKeptLeast: 0.5, heatOffLeast: 0.33 };
    expect(judged(someRows({ brief }), DARK).misses.join()).toMatch(/keeps 2\d % of the light, not 50 %/);
    expect(judged(someRows({ brief }), OUTSIDE).misses).toEqual([]);
  });
  it('best first: what may go before what may not, and every other says why not', () => {
    const brief = { ...NO_BRIEF, lessHeat: 3 as const };
    const ground = groundOf(
      questionOf(
        someRows({
          brief,
          panes: [aPane({ treatment: 'toughened' }), aPane({ treatment: 'toughened', position: 2 })],
        }),
        book,
      ),
    );
    const answers = [
      ['d', DARK],
      ['o', OUTSIDE],
      ['n', aFilm()],
    ]
      .map(([id, film]) => judgeFilm(ground, id as string, film as Film))
      .sort(byFitness);
    expect(answers[0]?.filmId).toBe('o');
    for (const answer of answers.slice(1))
      expect(whyNot(answer, answers[0], 'outside').length).toBeGreaterThan(0);
    expect(whyNot(answers[0] as FilmAnswer, answers[0], 'outside')).toEqual([]);
  });
  it('the trade-off front holds exactly those that nothing beats in both', () => {
    const point = fc.record({
      lightKept: fc.double({ min: 0, max: 1, noNaN: true }),
      heatKept: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(point, { maxLength: 30 }), (list) => {
        const points = list.map((entry, index) => ({ id: String(index), ...entry }));
        const front = new Set(bestTradeOffs(points));
        for (const a of points)
          expect(front.has(a.id)).toBe(
            !points.some(
              (b) =>
                b.lightKept >= a.lightKept &&
                b.heatKept <= a.heatKept &&
                (b.lightKept > a.lightKept || b.heatKept < a.heatKept),
            ),
          );
      }),
    );
  });
  it.each([
    [
      'solar film on a wall',
      {
        surface: {
          ...NEW_SURFACE,
          placeId: 'p',
          tag: 'W',
          position: 1,
          kind: 'wall' as const,
          shape: 'wall' as const,
        },
      },
      aFilm(),
    ],
    ['decor film on glass', {}, aFilm({ family: 'decor' })],
    [
      'an exterior film where the outside is not open',
      { site: { ...(someRows().site as NonNullable<SurfaceRows['site']>), filmFace: 'room side' as const } },
      OUTSIDE,
    ],
    ['a vehicle tint on a house', {}, aFilm({ family: 'vehicle tint' })],
  ])('%s is stopped and said why', (_name, rows, film) => {
    expect(judged(someRows(rows), film)).toMatchObject({
      verdict: 'stop',
      reasons: [expect.stringMatching(/./)],
    });
  });
});

describe('what is said when something is not known?', () => {
  it.each([
    ['the make-up', { unit: undefined, panes: [] }, /how many panes/],
    [
      'the kind of glass',
      { panes: [aPane({ treatment: 'unknown' }), aPane({ position: 2 })] },
      /the kind of glass/,
    ],
    ['a thickness', { panes: [aPane({ thickness_nm: null }), aPane({ position: 2 })] }, /the thickness/],
    ['a coating', { panes: [aPane({ coating: 'unknown' }), aPane({ position: 2 })] }, /whether it is coated/],
  ])('%s: unknown, with what to find out', (_name, rows, says) => {
    const answer = judged(someRows(rows));
    expect(answer.verdict).toBe('unknown');
    expect(answer.reasons.join()).toMatch(says);
    expect(answer.advice.length).toBeGreaterThan(0);
  });
  it.each([
    [
      'bearing',
      { place: { ...(someRows().place as NonNullable<SurfaceRows['place']>), bearing_deg: null } },
      'the bearing that gets the most sun',
    ],
    ['latitude', { parents: [] }, 'a place at 47° north'],
    [
      'shade',
      { site: { ...(someRows().site as NonNullable<SurfaceRows['site']>), overhangDepth_nm: null } },
      'a shade line across the pane',
    ],
    ['size', { width_mm: null, height_mm: null, area_m2: null }, 'a pane of 1.2 × 1.2 m'],
  ])(
    '%s missing: reckoned with what was taken instead, named, and never better than go with care',
    (_name, rows, taken) => {
      const question = questionOf(someRows(rows), book);
      expect(question.glass?.assumed).toContain(taken);
      expect(judged(someRows(rows), FROST).verdict).not.toBe('go');
    },
  );
  it('a wall beside the glass shades it from the side it stands on, whichever side it was seen from', () => {
    const fin = {
      ...(someRows().site as NonNullable<SurfaceRows['site']>),
      leftFinDepth_nm: 400_000_000,
      leftFinBeside_nm: 100_000_000,
    };
    const shading = (seenFrom: 'room' | 'outside') =>
      questionOf(someRows({ site: fin, surface: { ...someRows().surface, seenFrom } }), book).glass?.facing
        ?.shading;
    expect(shading('outside')).toMatchObject({
      leftFin: { depth_mm: 400, beside_mm: 100 },
      rightFin: undefined,
    });
    expect(shading('room')).toMatchObject({
      rightFin: { depth_mm: 400, beside_mm: 100 },
      leftFin: undefined,
    });
  });
  it('a sheet without light or sun is unknown for want of figures; figures that cannot be are named', () => {
    expect(judged(someRows(), aFilm({ solarTransmitted: null }))).toMatchObject({
      verdict: 'unknown',
      reasons: [expect.stringContaining('sun kept')],
    });
    expect(judged(someRows(), aFilm({ visibleTransmitted: 0.95, visibleReflectedRoom: 0.4 }))).toMatchObject({
      verdict: 'unknown',
      reasons: [expect.stringContaining('cannot be reckoned')],
    });
  });
  it('which unknown decides: with the kind of glass open, annealed and toughened part ways for a dark film', () => {
    const rows = someRows({
      panes: [aPane({ treatment: 'unknown' }), aPane({ treatment: 'unknown', position: 2 })],
    });
    const kind = sensitivityOf(rows, 'f', DARK, book).find(({ what }) => what === 'the kind of glass');
    expect(kind).toMatchObject({
      decides: true,
      outcomes: expect.arrayContaining([
        { is: 'annealed', verdict: 'stop' },
        { is: 'toughened', verdict: 'go with care' },
      ]),
    });
  });
  it('no figure shown is ever not a number, whatever is left out', () => {
    const maybe = <Value>(value: Value) => fc.option(fc.constant(value), { nil: null });
    fc.assert(
      fc.property(
        fc.record({
          v: maybe(0.4),
          vr: maybe(0.1),
          vo: maybe(0.1),
          s: maybe(0.4),
          sr: maybe(0.2),
          e: maybe(0.5),
          h: maybe(0.9),
          c: maybe(0.5),
          uv: maybe(0.01),
        }),
        fc.constantFrom<Partial<SurfaceRows>>(
          {},
          { parents: [] },
          { site: undefined },
          { width_mm: null, height_mm: null, area_m2: null },
        ),
        ({ v, vr, vo, s, sr, e, h, c, uv }, rows) => {
          const answer = judged(
            someRows(rows),
            aFilm({
              visibleTransmitted: v,
              visibleReflectedRoom: vr,
              visibleReflectedOutside: vo,
              solarTransmitted: s,
              solarReflected: sr,
              emissivity: e,
              haze: h,
              coverage: c,
              uvTransmitted: uv,
            }),
          );
          expect(
            JSON.stringify(answer, (_key, value: unknown) =>
              typeof value === 'number' && Number.isNaN(value) ? 'NOT A NUMBER' : value,
            ),
          ).not.toContain('NOT A NUMBER');
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('who is hidden from whom?', () => {
  const between = (film: Film) =>
    judged(
      someRows({
        surface: {
          ...NEW_SURFACE,
          placeId: 'p',
          tag: 'P',
          position: 1,
          unitId: 'u',
          seenFrom: 'side A',
          condition: 'sound',
        },
        unit: {
          name: 's',
          glazing: 'single',
          frame: 'metal',
          edge: 'gasket',
          edgeFinish: 'unseen',
          edgeDepth_nm: null,
        },
        panes: [aPane({ treatment: 'toughened', gapAfter_nm: null })],
      }),
      film,
    );
  it('a partition needs no sun: frost may go, and hides by day and by night', () => {
    const frost = between(FROST);
    expect(frost.verdict).toBe('go');
    expect(['hidden', 'faint']).toContain(frost.performance?.sight.inByDay.class);
  });
  it('stripes with openings of 12 mm hide less than frost, of 60 mm nothing', () => {
    expect(between({ ...FROST, coverage: 0.5, opening_nm: 12e6 }).performance?.sight.inByDay.class).toBe(
      'reduced',
    );
    expect(between({ ...FROST, coverage: 0.5, opening_nm: 60e6 }).performance?.sight.inByDay.class).toBe(
      'open',
    );
  });
  it('a mirror film hides a room by day and shows it at night', () => {
    const mirror = judged(
      someRows(),
      aFilm({
        visibleTransmitted: 0.15,
        visibleReflectedOutside: 0.55,
        visibleReflectedRoom: 0.5,
        solarTransmitted: 0.14,
        solarReflected: 0.5,
        solarReflectedRoom: 0.5,
      }),
    );
    expect(mirror.performance?.sight.inByDay.class).toBe('hidden');
    expect(mirror.performance?.sight.inByNight.class).toBe('open');
  });
});

describe('does it hold on walls, doors and counters?', () => {
  const sound = {
    ...NO_WALL_FACTS,
    texture: 'painted plasterboard',
    paint: 'matt',
    state: 'sound',
    paintAge: 'older',
    paintKind: 'ordinary',
    tapeTest: 'held',
  } as const;
  it.each([
    [{}, 'decor', 'go'],
    [{ state: 'damp' }, 'decor', 'stop'],
    [{ tapeTest: 'paint came off' }, 'textured wall', 'stop'],
    [{ paintAge: 'under 30 days' }, 'textured wall', 'stop'],
    [{ paintKind: 'silicone or anti-graffiti' }, 'textured wall', 'stop'],
    [{ texture: 'painted block' }, 'decor', 'stop'],
    [{ texture: 'painted block' }, 'textured wall', 'go'],
    [{ texture: 'glazed block' }, 'textured wall', 'go with care'],
    [{ state: 'dusty' }, 'textured wall', 'go with care'],
    [{ texture: 'unknown' }, 'decor', 'unknown'],
    [{ tapeTest: 'not done' }, 'decor', 'unknown'],
  ] as const)('%j with a %s film: %s', (more, family, verdict) => {
    expect(surfaceFitness({ ...sound, ...more }, family).verdict).toBe(verdict);
  });
  it('porous ground gets primer all over, corners a promoter', () => {
    expect(surfaceFitness(sound, 'decor').needs.join()).toMatch(/Primer over all.*promoter/i);
  });
  it('security film says what it does not do, and that a class belongs to the tested system', () => {
    expect(securityNotes({ family: 'security', thickness_um: 50, claims: '' }, 'gasket').join()).toMatch(
      /does not delay/,
    );
    expect(securityNotes({ family: 'security', thickness_um: 200, claims: 'P2A' }, 'gasket').join()).toMatch(
      /P2A.*tested system/,
    );
  });
});

describe('is a whole façade judged at once?', () => {
  it('panes that ask the same are judged once, and the answers are those of one by one', () => {
    const surfaces = Array.from({ length: 12 }, (_, index) => ({
      id: String(index),
      rows: someRows({ width_mm: index % 2 === 0 ? 1180 : 700 }),
    }));
    const films = [
      { id: 'd', film: DARK },
      { id: 'f', film: FROST },
    ];
    const seen: number[] = [];
    const answers = sweep(
      surfaces,
      films,
      (share) => {
        seen.push(share);
      },
      book,
    );
    expect(answers.size).toBe(12);
    expect(answers.get('0')).toBe(answers.get('2'));
    expect(answers.get('3')?.[0]?.verdict).toBe(
      judgeFilm(groundOf(questionOf(someRows({ width_mm: 700 }), book)), 'd', DARK).verdict,
    );
    expect(seen.at(-1)).toBe(1);
  });
});
