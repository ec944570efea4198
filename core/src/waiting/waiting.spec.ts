import { cylinderLeft } from './oracles/cylinder-series';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { MATERIAL_NOT_STATED } from '../job';
import { CoreError } from '../quantity';
import { WAIT_CHECKS } from './fixtures/checks';
import {
  DRYING_FORMULAS,
  type DryingCase,
  type DryingFilm,
  PERMEABILITY,
  ROLL_FORMULAS,
  clearBy,
  conditionedRoom,
  cylinderRoots,
  cylinderWeight,
  firstBond,
  panelWarming,
  primerDry,
  promoterDry,
  puttyDry,
  rollWarming,
  sealantBack,
  vapourThrough,
} from '.';

const check = (id: string): (typeof WAIT_CHECKS)[number] => {
  const found = WAIT_CHECKS.find((own) => own.id === id);
  if (found === undefined) throw new Error(id);
  return found;
};
const near = (id: string, value: number): void => {
  const { expected, must } = check(id);
  expect(Math.abs(value - expected)).toBeLessThanOrEqual(must);
};
const room = { air_C: 20, humidity: 0.5 };
const film: DryingFilm = { ...MATERIAL_NOT_STATED, thickness_um: 50, family: 'solar' };

describe('how does a cold roll warm through?', () => {
  it("first root and weight as the textbook's table has them (Incropera & DeWitt, table 5.1)", () => {
    near('cyl.table.z.10', cylinderRoots(10, 1)[0] ?? 0);
    for (const biot of [0.1, 1, 10])
      near(`cyl.table.C.${biot}`, cylinderWeight(cylinderRoots(biot, 1)[0] ?? 0));
  });
  it('fifteen terms of the series agree with an independent one (scipy)', () => {
    near('cyl.theta.0.3.3.0.5', cylinderLeft(0.3, 3, 0.5));
  });
  it.each(['roll.time.0.0625.0.3', 'roll.time.0.05.0.9'])(
    '%s: the solid roll agrees with finite volumes',
    (id) => {
      const { R, U, T0, Troom, X } = check(id).inputs as Record<string, number>;
      near(
        id,
        ROLL_FORMULAS.solid.of({
          radius_m: R ?? 0,
          toAir_Wm2K: U ?? 0,
          left: (X ?? 0) / ((Troom ?? 0) - (T0 ?? 0)),
        }),
      );
    },
  );
  it('the hollow roll agrees within its stated band', () => {
    near(
      'roll.hollow.0.3',
      ROLL_FORMULAS.hollow.of({ radius_m: 0.0625, core_m: 0.04, toAir_Wm2K: 3, left: 0.1 }),
    );
  });
  it('a boxed roll takes longer than a bare one, a solid one is on the safe side, a warm one does not wait', () => {
    const roll = { length_m: 30, pitch_um: 225, coreRadius_mm: 40, start_C: 0, room_C: 20, within_K: 2 };
    const [boxed, bare] = [rollWarming({ ...roll, wrap: 'boxed' }), rollWarming({ ...roll, wrap: 'bare' })];
    expect(boxed.likely).toBeGreaterThan(bare.likely ?? 0);
    expect(boxed.most).toBeGreaterThan(boxed.likely ?? 0);
    expect(rollWarming({ ...roll, start_C: 19, wrap: 'boxed' }).most).toBe(0);
    expect(() => rollWarming({ ...roll, length_m: -1, wrap: 'boxed' })).toThrow(CoreError);
  });
});

describe('when is it dry?', () => {
  it('vapour through film: Fick by hand, 10 g/m² through 50 µm', () => {
    const drop_kPa = (2339 - 0.5 * 2339) / 1000;
    expect(DRYING_FORMULAS.even.of({ water_gm2: 10, film_mm: 0.05, through: 0.09, drop_kPa })).toBeCloseTo(
      (10 * 0.05) / (0.09 * drop_kPa),
      12,
    );
    near(
      'dry.never',
      1 / DRYING_FORMULAS.even.of({ water_gm2: 10, film_mm: 0.05, through: 0.09, drop_kPa: -0.1 }),
    );
    /** The checks take vapour by the Magnus formula; the program takes it from the steam tables. */
    const magnus_kPa = (at_C: number): number => 0.6112 * Math.exp((17.62 * at_C) / (243.12 + at_C));
    const evenDays = (film_um: number, drop: number): number =>
      DRYING_FORMULAS.even.of({ water_gm2: 10, film_mm: film_um / 1000, through: 0.09, drop_kPa: drop });
    for (const film_um of [38, 100]) {
      const { expected } = check(`own.dry.${film_um}`);
      expect(Math.abs(evenDays(film_um, magnus_kPa(15) - 0.4 * magnus_kPa(20)) - expected)).toBeLessThan(
        0.01,
      );
      const own = evenDays(film_um, DRYING_FORMULAS.drop.of({ glass_C: 15, room_C: 20, humidity: 0.4 }));
      expect(Math.abs(own / expected - 1)).toBeLessThan(0.004);
    }
  });
  const days = (glass_C: number, more: Partial<DryingFilm> = {}) => {
    const { least, likely, most, never } = clearBy({
      film: { ...film, ...more },
      known: [{ hours: 24, glass_C, air: room }],
    });
    return { least: (least ?? 0) / 1440, likely: (likely ?? 0) / 1440, most: (most ?? 0) / 1440, never };
  };
  it('glass at 8 °C in a room of 20 °C and half damp does not dry; thick film on cold glass not this season; else about a month', () => {
    expect(days(8).never).toBe('glass near the dew point');
    expect(days(12, { thickness_um: 300 }).never).toBe('not this season');
    expect(days(20).likely).toBeCloseTo(33.5, 0);
  });
  it('three hours at 40 °C dry as much as sixteen at 20 °C (2.2), and the mean temperature does not tell', () => {
    const dry = { air_C: 20, humidity: 0.5 };
    const cold = { hours: 21, glass_C: 9.26, air: dry };
    const driveOf = (known: DryingCase['known']) =>
      clearBy({ film, known }).why.find(({ formula }) => formula === 'waiting.meanDrive')?.value ?? 0;
    const hot = driveOf([{ hours: 3, glass_C: 40, air: dry }, cold]);
    const mild = driveOf([
      { hours: 16, glass_C: 20, air: dry },
      { ...cold, hours: 8 },
    ]);
    expect(hot / mild).toBeGreaterThan(0.97);
    expect(hot / mild).toBeLessThan(1.03);
    const mean_C = (3 * 40 + 21 * 9.26) / 24;
    expect(driveOf([{ hours: 24, glass_C: mean_C, air: dry }])).toBeLessThan(0.5 * hot);
  });
  it('metal holds water back: ten times as long through 50 µm; the rate on the sheet wins over both', () => {
    const even = (more: Partial<DryingFilm>) =>
      clearBy({ film: { ...film, ...more }, known: [{ hours: 24, glass_C: 20, air: room }] }).why.find(
        ({ formula }) => formula === 'waiting.evenDrying',
      )?.value ?? 0;
    expect(even({ construction: 'metallised' }) / even({ construction: 'polyester' })).toBeCloseTo(10, 9);
    expect(days(20, { construction: 'metallised' }).likely).toBeCloseTo(47.5, 0);
    expect(even({ construction: 'metallised', vapourRate_gm2day: 20 })).toBeCloseTo(
      (10 * 0.9 * 6.63) / (20 * 1.169),
      1,
    );
  });
  it('security of 200 µm on a thin even 20 g/m²: 40 days (2.4)', () => {
    const { why } = clearBy({
      film: { ...film, thickness_um: 200, construction: 'multi-ply security' },
      known: [{ hours: 24, glass_C: 20, air: room }],
    });
    expect(why.find(({ formula }) => formula === 'waiting.evenDrying')?.value).toBeCloseTo(40, 0);
  });
  it('four times in five between 2.3 times sooner and 2.3 times later, wider where metal is guessed (2.5)', () => {
    const { least, likely, most } = days(20, { permeability_gmm: 0.009, metalOpen: 1 });
    expect(likely / least).toBeCloseTo(2.29, 1);
    expect(most / likely).toBeCloseTo(2.29, 1);
    const guessed = days(20, { construction: 'metallised' });
    expect(guessed.likely / guessed.least).toBeGreaterThan(2.4);
  });
  it('what a family is usually made of stands in for a sheet that does not say', () => {
    expect(vapourThrough({ ...film, family: 'low emissivity' })).toMatchObject({
      construction: 'metallised',
      from: 'family',
    });
    expect(vapourThrough({ ...film, construction: 'polyurethane' }).from).toBe('construction');
    expect(vapourThrough({ ...film, permeability_gmm: 0.2 })).toMatchObject({
      value: 0.2,
      from: 'permeability on the sheet',
    });
  });
  it('permeabilities as the paper has them (table films)', () => {
    const rows = Object.entries(PERMEABILITY).map(([name, own]) => [name, own.through, ...own.range]);
    expect(rows).toEqual([
      ['polyester', 0.09, 0.06, 0.12],
      ['metallised', 0.09, 0.06, 0.12],
      ['multi-ply security', 0.085, 0.06, 0.12],
      ['cast', 0.5, 0.25, 0.9],
      ['laminated cast', 0.5, 0.25, 0.9],
      ['polymeric', 0.35, 0.15, 0.7],
      ['monomeric', 0.35, 0.15, 0.7],
      ['polyurethane', 5, 2, 12],
      ['polypropylene', 0.03, 0.02, 0.05],
    ]);
    expect(PERMEABILITY.metallised).toMatchObject({ open: 0.1, openRange: [0.05, 0.2] });
    expect(PERMEABILITY['multi-ply security'].openRange).toEqual([0.7, 1]);
  });
  it('warmer glass or drier air never clears later', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 12, max: 40, noNaN: true }),
        fc.double({ min: 0.2, max: 0.6, noNaN: true }),
        (glass_C, humidity) => {
          const at = (own_C: number, own: number): number =>
            clearBy({ film, known: [{ hours: 24, glass_C: own_C, air: { air_C: 20, humidity: own } }] })
              .likely ?? Number.POSITIVE_INFINITY;
          expect(at(glass_C + 1, humidity)).toBeLessThanOrEqual(at(glass_C, humidity));
          expect(at(glass_C, humidity + 0.05)).toBeGreaterThanOrEqual(at(glass_C, humidity));
        },
      ),
      { numRuns: 40 },
    );
  });
  it('thinner film, or more of it left open, never clears later; nothing to drive it, no date', () => {
    const at = (thickness_um: number, metalOpen: number): number =>
      clearBy({
        film: { ...film, thickness_um, metalOpen },
        known: [{ hours: 24, glass_C: 20, air: room }],
      }).likely ?? Number.POSITIVE_INFINITY;
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 250, noNaN: true }),
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        (thickness_um, open) => {
          expect(at(thickness_um - 5, open)).toBeLessThanOrEqual(at(thickness_um, open));
          expect(at(thickness_um, open + 0.05)).toBeLessThanOrEqual(at(thickness_um, open));
        },
      ),
      { numRuns: 40, seed: 27 },
    );
    const wet = clearBy({ film, known: [{ hours: 24, glass_C: 5, air: { air_C: 20, humidity: 0.8 } }] });
    expect([wet.likely, wet.never]).toEqual([null, 'glass near the dew point']);
  });
  it('primer: over 2 h with water, over 1 h with solvent, longer when cold or damp, never in saturated air', () => {
    expect(primerDry('water-based', room).least).toBeGreaterThanOrEqual(120);
    expect(primerDry('solvent-based', room).least).toBe(60);
    for (const air_C of [-30, -1, 0])
      expect(primerDry('water-based', { air_C, humidity: 0.5 }).never).toBe('it freezes');
    expect(primerDry('solvent-based', { air_C: -30, humidity: 0.5 }).never).toBe('too cold for it');
    expect(primerDry('solvent-based', { air_C: 5, humidity: 0.5 }).never).toBeNull();
    expect(primerDry('solvent-based', { air_C: 10, humidity: 0.5 }).likely).toBe(120);
    expect(primerDry('water-based', { air_C: 10, humidity: 0.8 }).likely).toBeGreaterThan(300);
    expect(primerDry('water-based', { air_C: 10, humidity: 0.99 }).never).toMatch(/damp/);
  });
  it('colder or damper air never dries sooner', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 30, noNaN: true }),
        fc.double({ min: 0.1, max: 0.8, noNaN: true }),
        (air_C, humidity) => {
          const at = (own: { air_C: number; humidity: number }): number =>
            puttyDry(own, 60).likely ?? Number.POSITIVE_INFINITY;
          expect(at({ air_C: air_C - 0.5, humidity })).toBeGreaterThanOrEqual(at({ air_C, humidity }));
          expect(at({ air_C, humidity: humidity + 0.05 })).toBeGreaterThanOrEqual(at({ air_C, humidity }));
        },
      ),
    );
  });
  it('customary waits: promoter 5 to 15 min and not over 60, sealant 1 to 2 days, decals two weeks, a warm room under 13 °C', () => {
    expect(promoterDry()).toMatchObject({ least: 5, most: 15, notOver: 60 });
    expect(sealantBack(50)).toMatchObject({ least: 1440, most: 2880 });
    expect(sealantBack(200).most).toBeGreaterThan(2880);
    expect(firstBond('decal').most).toBe(14 * 1440);
    expect(conditionedRoom(5).most).toBe(2880);
    expect(conditionedRoom(15).most).toBe(0);
  });
  it('0.8 mm steel follows the air with 300 s, by hand', () => {
    expect(panelWarming(0, 20, 2, 3000).likely).toBe(Math.round((300 * Math.log(10)) / 60));
  });
});
