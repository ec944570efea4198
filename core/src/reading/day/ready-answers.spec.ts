import { describe, expect, it } from '@jest/globals';
import type { SurfaceRows } from '../../choosing';
import { NEW_PANE, NEW_PLACE, NEW_SURFACE, NO_SITE_FACTS } from '../../job';
import { USUAL_LIMITS } from '../../day';
import { USUAL_AIR } from './readiness';
import { newReadyBook, readyAnswers } from './ready-answers';

const FROM_MS = Date.UTC(2026, 5, 21, 4);
const DAY_MS = 86_400_000;
const hours = (cloud: number) =>
  Array.from({ length: 24 }, (_, hour) => ({
    instant_ms: FROM_MS + hour * 3_600_000,
    air_C: 18,
    humidity: 0.5,
    cloud,
    wind_ms: 1,
    rain_mm: 0,
  }));
/** A single pane that looks that way. */
const looking = (bearing_deg: number): SurfaceRows => ({
  surface: { ...NEW_SURFACE, placeId: 'p', unitId: 'u', tag: 'A', position: 1 },
  place: {
    ...NEW_PLACE,
    kind: 'facade',
    name: 'front',
    position: 1,
    latitude_deg: 47,
    longitude_deg: 9,
    bearing_deg,
  },
  parents: [],
  unit: {
    name: 'single',
    glazing: 'single',
    frame: 'wood',
    edge: 'gasket',
    edgeFinish: 'unseen',
    edgeDepth_nm: null,
  },
  panes: [{ ...NEW_PANE, unitId: 'u', position: 1, treatment: 'annealed', thickness_nm: 6e6, tint: 'clear' }],
  site: undefined,
  wall: undefined,
  brief: undefined,
  films: [],
  width_mm: 1200,
  height_mm: 1500,
  area_m2: 1.8,
});
const facing = (id: string, bearing_deg: number) => ({
  id,
  rows: looking(bearing_deg),
  side: 'room' as const,
  film: undefined,
});

describe('where no sun ever reaches it', () => {
  const hall = (sun: 'never' | 'unknown'): SurfaceRows => {
    const rows = looking(180);
    return {
      ...rows,
      place: { ...NEW_PLACE, kind: 'facade', name: 'hall', position: 1, latitude_deg: 47, longitude_deg: 9 },
      site: { ...NO_SITE_FACTS, sun },
    };
  };
  const of = (sun: 'never' | 'unknown') =>
    readyAnswers(
      [{ ...facing('TH1', 180), rows: hall(sun) }],
      hours(0),
      FROM_MS,
      FROM_MS + DAY_MS,
      USUAL_AIR,
      USUAL_LIMITS,
    )[0];
  it('no bearing is asked for, no minute is closed by the sun, and the open air still cools it', () => {
    const never = of('never');
    expect(never?.unknown).toEqual(['which film goes on']);
    expect(never?.sun).toEqual([]);
    expect(never?.moments.at(-1)?.surface_C).toBeLessThan(USUAL_AIR.air_C);
  });
  it('not noted, the bearing is asked for', () => {
    expect(of('unknown')?.unknown).toEqual(['which film goes on', 'the bearing of the surface']);
  });
});

describe('what is calculated again when one thing changes?', () => {
  const book = newReadyBook();
  const asked = (bearings: readonly number[], cloud = 0, from_ms = FROM_MS) =>
    readyAnswers(
      bearings.map((bearing, index) => facing(`SW${index + 1}`, bearing)),
      hours(cloud),
      from_ms,
      from_ms + DAY_MS,
      USUAL_AIR,
      USUAL_LIMITS,
      book,
    ).map(({ moments }) => moments);
  const first = asked([90, 180]);
  it('one surface turned: that one alone, the other is what was found before', () => {
    const [turned, other] = asked([135, 180]);
    expect(other).toBe(first[1]);
    expect(turned).not.toEqual(first[0]);
  });
  it('the bearing taken back: both are as they were, and nothing is calculated', () => {
    const again = asked([90, 180]);
    expect(again[0]).toBe(first[0]);
    expect(again[1]).toBe(first[1]);
  });
  it('another forecast or another day: all of it', () => {
    const [clouded] = asked([90, 180], 1);
    expect(clouded).not.toEqual(first[0]);
    const [later] = asked([90, 180], 0, FROM_MS + 1);
    expect(later?.[0]?.instant_ms).toBe(FROM_MS + 1);
  });
  it('forecasts long gone are forgotten', () => {
    for (const cloud of [0.1, 0.2, 0.3, 0.4]) asked([90, 180], cloud);
    const again = asked([90, 180]);
    expect(again[0]).not.toBe(first[0]);
    expect(again[0]).toEqual(first[0]);
  });
  it('two surfaces alike share one answer, each under its own name', () => {
    const answers = readyAnswers(
      [facing('SW1', 90), facing('SW2', 90)],
      hours(0),
      FROM_MS,
      FROM_MS + DAY_MS,
      USUAL_AIR,
      USUAL_LIMITS,
    );
    expect(answers.map(({ id }) => id)).toEqual(['SW1', 'SW2']);
    expect(answers[0]?.moments).toBe(answers[1]?.moments);
  });
});
