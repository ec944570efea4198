import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type Film, NEW_PLACE, NEW_SURFACE, NO_BRIEF, NO_SITE_FACTS, NO_WALL_FACTS } from '../job';
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
const CLEARER = aFilm({
  name: 'clear',
  visibleTransmitted: 0.88,
  visibleReflectedRoom: 0.09,
  visibleReflectedOutside: 0.09,
  solarTransmitted: 0.8,
  solarReflected: 0.08,
  solarReflectedRoom: 0.08,
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
    expect(dark?.reasons[0]?.case).toBe('film makes it fail');
    expect(dark?.edge?.stress_MPa).toBeGreaterThan(dark?.edge?.bears?.high_MPa ?? Infinity);
    expect(dark?.edge?.unfilmed_MPa).toBeLessThan(dark?.edge?.bears?.low_MPa ?? 0);
    expect(outside).toMatchObject({ verdict: 'go with care', face: 1 });
    expect(insteadOf(dark ?? (answers[0] as FilmAnswer), answers)?.filmId).toBe('o');
  });
  it('hard limits come first: too little light is said with both figures', () => {
    const brief = { ...NO_BRIEF, lightKeptLeast: 0.5, heatOffLeast: 0.33 };
    const [missed] = judged(someRows({ brief }), DARK).misses;
    expect(missed).toMatchObject({ case: 'too little light kept', least: 0.5 });
    expect(missed?.case === 'too little light kept' && missed.kept).toBeCloseTo(0.25, 1);
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
      expect([answer.verdict, whyNot(answer, answers[0]).length > 0]).toEqual([
        answer.verdict,
        answer.verdict !== 'stop' && answer.verdict !== 'unknown',
      ]);
    expect(whyNot(answers[0] as FilmAnswer, answers[0])).toEqual([]);
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
      'not for this kind of surface',
    ],
    ['decor film on glass', {}, aFilm({ family: 'decor' }), 'not for glass'],
    [
      'an exterior film where the outside is not open',
      { site: { ...(someRows().site as NonNullable<SurfaceRows['site']>), filmFace: 'room side' as const } },
      OUTSIDE,
      'outside not open to film',
    ],
    ['a vehicle tint on a house', {}, aFilm({ family: 'vehicle tint' }), 'for vehicles only'],
  ])('%s is stopped and said why', (_name, rows, film, why) => {
    expect(judged(someRows(rows), film)).toMatchObject({
      verdict: 'stop',
      reasons: [expect.objectContaining({ case: why })],
    });
  });
});

describe('what is said when something is not known?', () => {
  it.each([
    ['the make-up', { unit: undefined, panes: [] }, 'how many panes'],
    [
      'the kind of glass',
      { panes: [aPane({ treatment: 'unknown' }), aPane({ position: 2 })] },
      'the kind of glass',
    ],
    [
      'a thickness',
      { panes: [aPane({ thickness_nm: null }), aPane({ position: 2 })] },
      'the thickness of the glass',
    ],
    ['a coating', { panes: [aPane({ coating: 'unknown' }), aPane({ position: 2 })] }, 'whether it is coated'],
  ])('%s: unknown, with what to find out', (_name, rows, says) => {
    const answer = judged(someRows(rows));
    expect(answer.verdict).toBe('unknown');
    const [reason] = answer.reasons;
    expect(reason?.case === 'glass not known' && reason.what).toContain(says);
    expect(answer.advice.length).toBeGreaterThan(0);
  });
  it.each([
    [
      'bearing',
      { place: { ...(someRows().place as NonNullable<SurfaceRows['place']>), bearing_deg: null } },
      { case: 'the bearing that gets the most sun' },
    ],
    ['latitude', { parents: [] }, { case: 'a place on earth', latitude_deg: 47 }],
    [
      'shade',
      { site: { ...(someRows().site as NonNullable<SurfaceRows['site']>), overhangDepth_nm: null } },
      { case: 'a shade line across the pane' },
    ],
    [
      'size',
      { width_mm: null, height_mm: null, area_m2: null },
      { case: 'the size of the pane', size_mm: 1200 },
    ],
  ])(
    '%s missing: calculated with what was taken instead, named, and never better than go with care',
    (_name, rows, taken) => {
      const question = questionOf(someRows(rows), book);
      expect(question.glass?.assumed).toContainEqual(taken);
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
  it('90 % of the light and 10 % of the sun are not one film: questioned with the bounds its bands allow', () => {
    const clear = { visibleTransmitted: 0.9, visibleReflectedRoom: 0.08, visibleReflectedOutside: 0.08 };
    const doubtful = judged(someRows(), aFilm({ ...clear, solarTransmitted: 0.1, uvTransmitted: 0.01 }));
    expect(doubtful.verdict).toBe('unknown');
    const question = {
      light: 0.9,
      sun: 0.1,
      least: expect.closeTo(0.54 * 0.9, 1),
      most: expect.closeTo(0.95, 1),
    };
    expect(doubtful.reasons).toEqual([{ case: 'light and sun do not go together', question }]);
    /** All infrared stopped is at the very bound, and may be. */
    expect(
      judged(someRows(), aFilm({ ...clear, solarTransmitted: 0.487, uvTransmitted: 0.01 })).verdict,
    ).not.toBe('unknown');
  });
  it('a sheet without light or sun is unknown for want of figures; figures that cannot be are named', () => {
    expect(judged(someRows(), aFilm({ solarTransmitted: null }))).toMatchObject({
      verdict: 'unknown',
      reasons: [{ case: 'its sheet does not say', missing: [expect.stringContaining('sun kept')] }],
    });
    expect(judged(someRows(), aFilm({ visibleTransmitted: 0.95, visibleReflectedRoom: 0.4 }))).toMatchObject({
      verdict: 'unknown',
      reasons: [expect.objectContaining({ case: 'figures refused' })],
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

const NO_SITE = { ...NO_SITE_FACTS, filmFace: 'both' as const };

describe('what may the film be blamed for?', () => {
  const CLEAR = aFilm({ ...CLEARER, family: 'security', thickness_um: 200, solarTransmitted: 0.79 });
  /** Laminated, in metal, in the hall: nobody noted bearing, shade, blind or heater. */
  const hatch = someRows({
    place: { ...NEW_PLACE, kind: 'facade', name: 'hall', position: 1 },
    unit: {
      name: 'hatch',
      glazing: 'single',
      frame: 'metal',
      edge: 'gasket',
      edgeFinish: 'unseen',
      edgeDepth_nm: null,
    },
    panes: [aPane({ treatment: 'laminated', thickness_nm: 8e6, gapAfter_nm: null })],
    site: undefined,
    width_mm: 760,
    height_mm: 520,
    area_m2: 0.4,
  });
  const thumb = ({ stress }: FilmAnswer) => stress?.matrix;
  it('clear film on the ticket hatch adds next to nothing: the rule of thumb does not stop it', () => {
    const clear = judged(hatch, CLEAR);
    expect(clear.edge?.stress_MPa).toBeLessThan((clear.edge?.unfilmed_MPa ?? 0) + 0.5);
    expect(clear.edge?.stress_MPa).toBeLessThan(clear.edge?.bears?.low_MPa ?? 0);
    expect(thumb(clear)?.penalties.length).toBeGreaterThan(0);
    expect([thumb(clear)?.outcome, clear.verdict]).toEqual(['low', 'go with care']);
  });
  it('a pale frost adds a little: checked, not stopped; a dark film is stopped, and it is the film', () => {
    const pale = aFilm({ ...FROST, visibleTransmitted: 0.8, solarTransmitted: 0.7, solarReflected: 0.1 });
    expect(judged(hatch, pale).verdict).toBe('go with care');
    const dark = judged(hatch, DARK);
    expect(dark.verdict).toBe('stop');
    expect(dark.reasons[0]?.case).toBe('film makes it fail');
    expect(thumb(dark)?.outcome).toBe('no');
  });
  it('the more a film adds, the worse the rule of thumb', () => {
    const order = ['low', 'check', 'no'];
    const found = [0.8, 0.7, 0.6, 0.5, 0.3, 0.1].map((solarTransmitted) =>
      thumb(judged(hatch, { ...CLEARER, visibleTransmitted: solarTransmitted + 0.08, solarTransmitted })),
    );
    const added = found.map((one) => one?.added ?? Number.NaN);
    expect(added).toEqual([...added].sort((a, b) => a - b));
    const ranks = found.map((one) => order.indexOf(one?.outcome ?? ''));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    expect([ranks[0], ranks.at(-1)]).toEqual([0, 2]);
  });
  it('a pane that fails as it is is told from one that the film makes fail', () => {
    const masonry = {
      ...hatch,
      unit: hatch.unit && { ...hatch.unit, frame: 'masonry' as const, edgeDepth_nm: 40e6 },
      site: { ...NO_SITE, blind: 'close or closed' as const },
    };
    const clear = judged(masonry, CLEAR);
    expect(clear.edge?.unfilmed_MPa).toBeGreaterThan(clear.edge?.bears?.high_MPa ?? Infinity);
    expect([clear.verdict, clear.reasons[0]?.case]).toEqual(['stop', 'fails without film']);
    expect(clear.advice).toContainEqual({ case: 'tell the customer it is at risk' });
  });
  it('whether sun reaches it, where it faces and what shades it are asked first, and decide', () => {
    const asked = sensitivityOf(hatch, 'f', DARK, book);
    expect(asked.slice(0, 3).map(({ what }) => what)).toEqual([
      'whether the sun reaches it',
      'which way it faces',
      'what shades it',
    ]);
    expect(asked[0]).toMatchObject({
      decides: true,
      outcomes: expect.arrayContaining([{ is: 'never', verdict: 'go' }]),
    });
  });
  it('noted that no sun ever reaches it: any film may go, and nothing more is asked of sun or edges', () => {
    const sunless = { ...hatch, site: { ...NO_SITE, sun: 'never' as const } };
    expect(judged(sunless, DARK)).toMatchObject({ verdict: 'go', edge: null });
    expect(judged(sunless, DARK).reasons).toEqual([{ case: 'no sun reaches it' }]);
    const asked = sensitivityOf(sunless, 'f', DARK, book).map(({ what }) => what);
    for (const what of [
      'whether the sun reaches it',
      'which way it faces',
      'what shades it',
      'the edge of the glass',
    ])
      expect(asked).not.toContain(what);
  });
});

describe('who looked along the edges of this pane?', () => {
  const seen = (state: 'sound' | 'damaged') => ({
    ...someRows().surface,
    edgesSeen: { state, personId: null, who: 'Wren', at: '2026-11-30T10:00:00Z' },
  });
  const allKnown = {
    panes: [
      aPane({ treatment: 'toughened' }),
      aPane({ treatment: 'toughened', position: 2, gapAfter_nm: null }),
    ],
  } as const;
  it('unseen: at best go with care; seen and sound: go, where nothing else is open', () => {
    expect(judged(someRows(allKnown), CLEARER).verdict).toBe('go with care');
    expect(judged(someRows({ ...allKnown, surface: seen('sound') }), CLEARER).verdict).toBe('go');
  });
  it('seen and damaged: stop', () => {
    expect(judged(someRows({ ...allKnown, surface: seen('damaged') }), CLEARER)).toMatchObject({
      verdict: 'stop',
      reasons: [{ case: 'damaged edge' }],
    });
  });
  it('how the unit was made does not make an edge seen, and a rebate hides it', () => {
    const unit = (more: Partial<NonNullable<SurfaceRows['unit']>>) => ({
      ...(someRows().unit as NonNullable<SurfaceRows['unit']>),
      ...more,
    });
    expect(judged(someRows({ ...allKnown, unit: unit({ edgeFinish: 'polished' }) }), CLEARER).verdict).toBe(
      'go with care',
    );
    expect(
      judged(someRows({ ...allKnown, unit: unit({ edge: 'rebate' }), surface: seen('sound') }), CLEARER)
        .verdict,
    ).toBe('go with care');
  });
  it('of two films that meet the wishes alike the one that leaves the edge more comes first', () => {
    const near = { ...judged(someRows(), FROST), filmId: 'a', score: 0.5 };
    const far = { ...judged(someRows(), CLEARER), filmId: 'b', score: 0.5 };
    expect(far.edge?.stress_MPa).toBeLessThan(near.edge?.stress_MPa ?? 0);
    expect([{ ...near, verdict: far.verdict }, far].sort(byFitness)[0]?.filmId).toBe('b');
    expect([{ ...near, verdict: far.verdict, score: 0.6 }, far].sort(byFitness)[0]?.filmId).toBe('a');
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
    [
      { ground: { state: 'refused', personId: null, who: 'Wren', at: '2026-11-25T08:00:00Z' } },
      'decor',
      'stop',
    ],
    [{ texture: 'painted block' }, 'decor', 'stop'],
    [{ texture: 'painted block' }, 'textured wall', 'go'],
    [{ texture: 'glazed block' }, 'textured wall', 'go with care'],
    [{ texture: 'brick' }, 'wrap', 'go with care'],
    [{ texture: 'canvas' }, 'wrap', 'go with care'],
    [{ state: 'dusty' }, 'textured wall', 'go with care'],
    [{ texture: 'unknown' }, 'decor', 'unknown'],
    [{ tapeTest: 'not done' }, 'decor', 'unknown'],
  ] as const)('%j with a %s film: %s', (more, family, verdict) => {
    expect(surfaceFitness({ ...sound, ...more }, family).verdict).toBe(verdict);
  });
  it('porous ground gets primer all over, corners a promoter', () => {
    expect(surfaceFitness(sound, 'decor').needs).toEqual(
      expect.arrayContaining([{ case: 'primer all over' }, { case: 'promoter on laps' }]),
    );
  });
  it('security film says what it does not do, and that a class belongs to the tested system', () => {
    const notes = (thickness_um: number, claims: string) =>
      securityNotes({ family: 'security', thickness_um, claims }, 'gasket');
    expect(notes(50, '')).toContainEqual({ case: 'against splinters', thickness_um: 50 });
    expect(notes(200, 'P2A')).toContainEqual({ case: 'its maker names', claims: 'P2A' });
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
