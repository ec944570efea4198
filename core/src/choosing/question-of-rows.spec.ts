import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { NEW_PLACE, NEW_SURFACE, NO_BRIEF, NO_SITE_FACTS, NO_WALL_FACTS } from '../job';
import { aFilm, aPane, someRows } from './fixtures';
import { newSunBook, questionOf } from './question-of-rows';

const MM = 1e6;
const front = { ...NEW_PLACE, kind: 'facade' as const, name: 'front', position: 1 };
const book = newSunBook();
const asked = (more: Parameters<typeof someRows>[0] = {}) => questionOf(someRows(more), book);
const surface = (more: Partial<typeof NEW_SURFACE>) => ({
  ...NEW_SURFACE,
  placeId: 'p',
  tag: 'A1',
  position: 1,
  unitId: 'u',
  condition: 'sound' as const,
  ...more,
});
const unit = (glazing: 'single' | 'double' | 'triple') => ({
  name: glazing,
  glazing,
  frame: 'wood' as const,
  edge: 'gasket' as const,
  edgeFinish: 'unseen' as const,
  edgeDepth_nm: null,
});
const site = (more: Partial<typeof NO_SITE_FACTS>) => ({
  ...NO_SITE_FACTS,
  filmFace: 'both' as const,
  ...more,
});

describe('which faces may take film?', () => {
  const triple = [aPane(), aPane({ position: 2 }), aPane({ position: 3, gapAfter_nm: null })];
  it.each([
    ['single', [aPane({ gapAfter_nm: null })], 2],
    ['double', [aPane(), aPane({ position: 2, gapAfter_nm: null })], 4],
    ['triple', triple, 6],
  ] as const)(
    'faces of %s glazing are numbered from outdoors: the room side is face %3$d',
    (glazing, panes, room) => {
      expect(asked({ unit: unit(glazing), panes }).faces).toEqual({ front: 1, back: room });
    },
  );
  it('a laminate counts as one pane', () => {
    expect(
      asked({ unit: unit('single'), panes: [aPane({ treatment: 'laminated', gapAfter_nm: null })] }).faces
        .back,
    ).toBe(2);
  });
  it.each([
    ['both', 1, 4],
    ['outside', 1, null],
    ['room side', null, 4],
    ['none', null, null],
    ['unknown', null, 4],
  ] as const)('film allowed on %s: outside %s, room side %s', (filmFace, front, back) => {
    expect(asked({ site: site({ filmFace }) }).faces).toEqual({ front, back });
  });
  it('a partition has no outdoors: its face is that of the side it is seen from, A in front', () => {
    const panes = [aPane({ gapAfter_nm: null })];
    expect(asked({ surface: surface({ seenFrom: 'side A' }), unit: unit('single'), panes })).toMatchObject({
      isPartition: true,
      faces: { front: 1, back: 1 },
    });
    expect(asked({ surface: surface({ seenFrom: 'side B' }), unit: unit('single'), panes })).toMatchObject({
      isPartition: true,
      faces: { front: 2, back: 2 },
    });
  });
  it('a wall has no faces of glass, and a fixture no paint unless it is noted', () => {
    expect(asked({ surface: surface({ kind: 'wall', shape: 'wall' }) })).toMatchObject({
      glass: null,
      faces: { front: null, back: null },
      wall: { paint: 'unknown' },
    });
    expect(asked({ surface: surface({ kind: 'fixture', shape: 'panel' }) }).wall?.paint).toBe('none');
    expect(
      asked({ surface: surface({ kind: 'wall', shape: 'wall' }), wall: { ...NO_WALL_FACTS, paint: 'matt' } })
        .wall?.paint,
    ).toBe('matt');
  });
});

describe('how is the glass made up?', () => {
  it('thickness, tint, coating and gap come from the rows, outermost first', () => {
    const bare = asked({
      panes: [
        aPane({ tint: 'grey', thickness_nm: 8 * MM, gapAfter_nm: 12 * MM, gasAfter: 'argon' }),
        aPane({ position: 2, coating: 'low-e, soft', coatedSide: 'outer', gapAfter_nm: null }),
      ],
    }).glass?.bare;
    expect(bare?.panes).toMatchObject([
      { tint: 'grey', thickness_mm: 8, coating: null },
      { tint: 'clear', thickness_mm: 6, coating: { kind: 'low-e, soft', side: 'front' } },
    ]);
    expect(bare?.gaps).toEqual([{ width_mm: 12, gas: { argon: 0.9, air: 0.1 } }]);
  });
  it.each([
    [{ panes: [aPane({ tint: 'unknown' }), aPane({ position: 2, gapAfter_nm: null })] }, 'clear glass'],
    [{ panes: [aPane({ gapAfter_nm: null }), aPane({ position: 2, gapAfter_nm: null })] }, 'a gap'],
    [
      { panes: [aPane({ gasAfter: 'unknown' }), aPane({ position: 2, gapAfter_nm: null })] },
      'air in the gap',
    ],
    [
      {
        panes: [
          aPane(),
          aPane({ position: 2, gapAfter_nm: null, coating: 'low-e, soft', coatedSide: 'unknown' }),
        ],
      },
      'the coating on the inner side of its pane',
    ],
    [{ site: site({ blind: 'unknown', heatOutlet: 'none' }) }, 'no blind close behind the glass'],
    [{ site: site({ blind: 'none', heatOutlet: 'unknown' }) }, 'no warm air on the glass'],
    [{ surface: surface({ condition: 'unknown' }) }, 'sound glass'],
  ] as const)('%j: what is taken instead is named', (rows, says) => {
    expect(asked(rows).glass?.assumed.map((own) => own.case)).toContain(says);
  });
  it.each([
    [
      'a second pane that is not noted',
      { panes: [aPane()] },
      ['the kind of glass', 'the thickness of the glass'],
    ],
    [
      'whether it is coated',
      { panes: [aPane({ coating: 'unknown' }), aPane({ position: 2 })] },
      ['whether it is coated'],
    ],
    ['no make-up at all', { unit: undefined, panes: [] }, ['how many panes']],
  ] as const)('%s stays open, by name, and no figure is taken for it', (_name, rows, says) => {
    expect(asked(rows).glass?.unknown).toEqual(says);
  });
  it('films that lie on it now are known by face; the one without light and sun figures is left out', () => {
    const film = aFilm();
    expect(
      asked({
        films: [
          { side: 'outside', film },
          { side: 'room', film },
        ],
      }).others.map(({ face }) => face),
    ).toEqual([1, 4]);
    expect(asked({ films: [{ side: 'room', film: aFilm({ solarTransmitted: null }) }] }).others).toEqual([]);
  });
});

describe('where does it stand, and which way does it look?', () => {
  const house = {
    ...NEW_PLACE,
    name: 'house',
    position: 2,
    latitude_deg: 46.62,
    longitude_deg: 9.74,
    altitude_m: 400,
  };
  it('what a place does not say the one around it may: bearing, height above the sea, skyline', () => {
    const skyline = [{ bearing_deg: 170, elevation_deg: 11 }];
    const glass = asked({ place: front, parents: [{ ...house, bearing_deg: 300, horizon: skyline }] }).glass;
    expect(glass?.facing).toMatchObject({ bearing_deg: 300, skyline });
    expect(glass?.circumstances.altitude_m).toBe(400);
    expect(glass?.assumed.join()).not.toMatch(/bearing/);
  });
  it('its own bearing goes before that of the house', () => {
    expect(
      asked({ place: { ...front, bearing_deg: 90 }, parents: [{ ...house, bearing_deg: 300 }] }).glass?.facing
        ?.bearing_deg,
    ).toBe(90);
  });
  it('without a bearing the sunniest one is taken: north of the tropics it looks southwards, south of them northwards', () => {
    const taken = (latitude_deg: number): number =>
      asked({ place: front, parents: [{ ...house, latitude_deg }] }).glass?.facing?.bearing_deg ?? Number.NaN;
    expect(Math.cos((taken(46.62) * Math.PI) / 180)).toBeLessThan(0.01);
    expect(Math.cos((taken(-41) * Math.PI) / 180)).toBeGreaterThan(-0.01);
  });
  it('a car, or what hangs in something movable, is a vehicle', () => {
    expect(asked().isVehicle).toBe(false);
    expect(asked({ place: { ...front, kind: 'vehicle' } }).isVehicle).toBe(true);
    expect(asked({ parents: [{ ...house, movable: true }] }).isVehicle).toBe(true);
  });
  it('a partition gets no sun, and no year of it', () => {
    const question = asked({
      surface: surface({ seenFrom: 'side A' }),
      unit: unit('single'),
      panes: [aPane({ gapAfter_nm: null })],
    });
    expect(question.year).toEqual([]);
    expect(question.glass).toMatchObject({ isIndoors: true, suns: [], facing: null });
  });
  it('the coldest night asked for moves the cold day as a whole, the hottest day the hot one', () => {
    const [usual, own] = [
      asked().glass,
      asked({ brief: { ...NO_BRIEF, coldest_C: -24, hottest_C: 39 } }).glass,
    ];
    const swing = (day: { low_C: number; high_C: number } | undefined): number =>
      (day?.high_C ?? 0) - (day?.low_C ?? 0);
    expect(own?.days[0]?.low_C).toBe(-24);
    expect(own?.days[2]?.high_C).toBe(39);
    own?.days.forEach((day, index) => {
      expect(swing(day)).toBeCloseTo(swing(usual?.days[index]), 9);
    });
    expect(asked({ brief: { ...NO_BRIEF, coldest_C: -24 } }).coldOutdoor_C).toBe(-24);
  });
  it('the book calculates the suns of a place once, and keeps places apart', () => {
    const own = newSunBook();
    const [here, there] = [
      { latitude_deg: 46, longitude_deg: 9, altitude_m: 400 },
      { latitude_deg: 47, longitude_deg: 9, altitude_m: 400 },
    ];
    expect(own.daysFor(here, null, null)).toBe(own.daysFor({ ...here }, null, null));
    expect(own.monthsFor(here)).toBe(own.monthsFor({ ...here }));
    expect(own.daysFor(here, null, null)).not.toBe(own.daysFor(there, null, null));
    expect(own.daysFor(here, -20, null)).not.toBe(own.daysFor(here, null, null));
  });
});

describe('what room lies behind it?', () => {
  it('measures of the room are used as noted; one missing is taken and said', () => {
    const brief = { ...NO_BRIEF, roomWidth_nm: 4000 * MM, roomDepth_nm: 5500 * MM, roomHeight_nm: 2700 * MM };
    expect(asked({ brief })).toMatchObject({
      isRoomAssumed: false,
      room: { width_m: 4, depth_m: 5.5, height_m: 2.7, glass_m2: 2.52 },
    });
    expect(asked({ brief: { ...brief, roomDepth_nm: null } }).isRoomAssumed).toBe(true);
  });
  it('whatever is left out, there is a question, and what is open in it has a name', () => {
    const maybe = <Value>(value: Value) => fc.option(fc.constant(value), { nil: undefined });
    fc.assert(
      fc.property(
        fc.record({
          unit: maybe(unit('double')),
          site: maybe(site({})),
          brief: maybe(NO_BRIEF),
          place: maybe(front),
        }),
        fc.integer({ min: 0, max: 3 }),
        ({ unit: own, site: facts, brief, place }, panes) => {
          const { glass } = asked({
            unit: own,
            site: facts,
            brief,
            place,
            panes: Array.from({ length: panes }, (_, index) =>
              aPane({ position: index + 1, treatment: 'unknown' }),
            ),
          });
          expect(glass?.bare.panes.length).toBe(Math.max(1, Math.min(panes, own === undefined ? 1 : 2)));
          expect(glass?.bare.gaps.length).toBe((glass?.bare.panes.length ?? 0) - 1);
          expect((glass?.unknown.length ?? 0) > 0).toBe(true);
          for (const word of [...(glass?.unknown ?? []), ...(glass?.assumed ?? []).map((own) => own.case)])
            expect(word.length).toBeGreaterThan(4);
        },
      ),
      { numRuns: 25 },
    );
  });
});
