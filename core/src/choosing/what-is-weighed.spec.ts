import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type Film, type FilmBrief, NO_BRIEF } from '../job';
import { absorptionOf } from '../thermal-stress';
import { aFilm, aPane, someRows } from './fixtures';
import { GOALS, type GoalKey, hasDecorLook, hasLook, scoreOf } from './goals';
import { groundOf, judgeFilm } from './judge-film';
import type { Performance } from './performance';
import { questionOf } from './question-of-rows';
import { sensitivityOf } from './sensitivity';
import { heatThroughYear } from './through-the-year';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const anyMet = fc.record(
  Object.fromEntries(GOALS.map(({ key }) => [key, share])) as Record<GoalKey, typeof share>,
);
const wish = fc.constantFrom<0 | 1 | 2 | 3>(0, 1, 2, 3);
const anyBrief = fc.record(
  Object.fromEntries(GOALS.map(({ key }) => [key, wish])) as Record<GoalKey, typeof wish>,
);
const plain = { lightKept: { value: 0.5 }, ratings: { light: 0.6 } } as Performance;

describe('how well does a film meet what was asked?', () => {
  it('the score lies between the least and the best met of the wishes that count', () => {
    fc.assert(
      fc.property(anyMet, anyBrief, (met, wishes) => {
        const counted = GOALS.map(({ key }) => key).filter((key) => wishes[key] > 0);
        fc.pre(counted.length > 0);
        const score = scoreOf(met, { ...NO_BRIEF, ...wishes }, aFilm(), plain);
        expect(score).toBeGreaterThanOrEqual(Math.min(...counted.map((key) => met[key])) - 1e-12);
        expect(score).toBeLessThanOrEqual(Math.max(...counted.map((key) => met[key])) + 1e-12);
      }),
    );
  });
  it('two wishes of weight 3 and 1 make three parts and one', () => {
    const met = Object.fromEntries(GOALS.map(({ key }) => [key, 0])) as Record<GoalKey, number>;
    expect(
      scoreOf(
        { ...met, lessHeat: 1, lessGlare: 0.2 },
        { ...NO_BRIEF, lessHeat: 3, lessGlare: 1 },
        aFilm(),
        plain,
      ),
    ).toBeCloseTo((3 * 1 + 1 * 0.2) / 4, 12);
  });
  it('without a wish light kept and heat kept out count alike', () => {
    const met = Object.fromEntries(GOALS.map(({ key }) => [key, 0])) as Record<GoalKey, number>;
    expect(scoreOf({ ...met, lessHeat: 0.3 }, NO_BRIEF, aFilm(), plain)).toBeCloseTo(0.4, 12);
  });
  it('a look asked for counts like a strong wish: without it a film falls behind', () => {
    const met = Object.fromEntries(GOALS.map(({ key }) => [key, 0.5])) as Record<GoalKey, number>;
    const brief: Omit<FilmBrief, 'placeId'> = { ...NO_BRIEF, lessHeat: 2, look: 'mirror' };
    expect(scoreOf(met, brief, aFilm({ visibleReflectedOutside: 0.5 }), plain)).toBeCloseTo(0.75, 12);
    expect(scoreOf(met, brief, aFilm(), plain)).toBeCloseTo(0.25, 12);
  });
  it.each<[string, Partial<Film>, Parameters<typeof hasLook>[2], boolean]>([
    [
      'a film that throws a quarter of the light back is a mirror',
      { visibleReflectedOutside: 0.3 },
      'mirror',
      true,
    ],
    ['and not neutral', { visibleReflectedOutside: 0.3 }, 'neutral', false],
    ['a plain sun film is neutral', {}, 'neutral', true],
    ['frost all over is frosted', { family: 'frosted' }, 'frosted', true],
    ['stripes of frost are a pattern', { family: 'frosted', coverage: 0.5 }, 'pattern', true],
    ['and not frosted all over', { family: 'frosted', coverage: 0.5 }, 'frosted', false],
    ['oak is wood', { family: 'decor', name: 'Oak, pale' }, 'wood', true],
    ['slate is stone', { family: 'decor', name: 'slate' }, 'stone', true],
    ['a sun film called ash is no wood', { name: 'ash' }, 'wood', false],
  ])('%s', (_name, film, look, wanted) => {
    expect(hasLook(aFilm(film), plain, look)).toBe(wanted);
  });
  it('hardly seen: most of the light kept, nothing reflected, no haze', () => {
    const clear = { lightKept: { value: 0.9 }, ratings: { light: 0.7 } };
    expect(hasLook(aFilm(), clear, 'hardly seen')).toBe(true);
    expect(hasLook(aFilm({ haze: 0.2 }), clear, 'hardly seen')).toBe(false);
    expect(hasLook(aFilm(), { ...clear, lightKept: { value: 0.6 } }, 'hardly seen')).toBe(false);
    expect(hasDecorLook(aFilm({ family: 'wrap', use: 'printed picture' }), 'picture')).toBe(true);
  });
});

describe('what comes in through a year?', () => {
  const absorption = absorptionOf({
    panes: [{ tint: 'clear', thickness_mm: 6, coating: null }],
    gaps: [],
    films: [],
  });
  const steady = (beam_Wm2: number, diffuse_Wm2: number) =>
    Array.from({ length: 12 }, () =>
      Array.from({ length: 24 }, () => ({ beam_Wm2, diffuse_Wm2, incidence_deg: 0 })),
    );
  const gain = absorption.transmittedAt(0) + 0.3 * absorption.at(0).reduce((sum, part) => sum + part, 0);
  it('a sun that never moves: q·24 h·31 days·area, to the last figure', () => {
    const year = heatThroughYear(steady(500, 0), absorption, 0.3, 2);
    expect(year?.months_kWh[0]).toBeCloseTo((500 * gain * 24 * 31 * 2) / 1000, 6);
    expect(year?.months_kWh[1]).toBeCloseTo((500 * gain * 24 * 28 * 2) / 1000, 6);
    expect(year?.peak.value).toBeCloseTo(500 * gain * 2, 6);
  });
  it('grows with the area and with the sun, and the dark lets nothing in', () => {
    const month = (beam: number, area: number): number =>
      heatThroughYear(steady(beam, 0), absorption, 0.3, area)?.largestMonth.value ?? Number.NaN;
    expect(month(500, 4)).toBeCloseTo(2 * month(500, 2), 9);
    expect(month(1000, 2)).toBeCloseTo(2 * month(500, 2), 9);
    expect(month(0, 2)).toBe(0);
  });
  it('the largest month is the largest of the twelve, and says that every day was taken as clear', () => {
    const moments = steady(500, 50).map((month, index) =>
      index === 6 ? month.map((moment) => ({ ...moment, beam_Wm2: 800 })) : month,
    );
    const year = heatThroughYear(moments, absorption, 0.3, 2);
    expect(year?.largestMonth.value).toBeCloseTo(Math.max(...(year?.months_kWh ?? [])), 9);
    expect(year?.months_kWh.indexOf(year.largestMonth.value)).toBe(6);
    expect(JSON.stringify(year?.largestMonth.why)).toMatch(/clear sky every day/);
  });
  it('without sun there is no year', () => {
    expect(heatThroughYear([], absorption, 0.3, 2)).toBeUndefined();
  });
});

describe('what would change the answer?', () => {
  const known = someRows();
  it('where everything is known nothing is tried', () => {
    const edgesSeen = { state: 'sound', personId: null, who: 'Wren', at: '2026-11-30T10:00:00Z' } as const;
    const rows = { ...known, surface: { ...known.surface, edgesSeen } };
    expect(sensitivityOf(rows, 'f', aFilm())).toEqual([]);
  });
  it('each thing that is open is tried in all its ways, and only what parts the verdicts decides', () => {
    const rows = {
      ...known,
      unit: known.unit && { ...known.unit, frame: 'unknown' as const },
      panes: [
        aPane({ treatment: 'toughened' }),
        aPane({ treatment: 'toughened', position: 2, gapAfter_nm: null }),
      ],
      site: known.site && { ...known.site, blind: 'unknown' as const },
    };
    const found = sensitivityOf(rows, 'f', aFilm());
    expect(found.map(({ what }) => what)).toEqual([
      'the edge of the glass',
      'the frame',
      'a blind behind the glass',
    ]);
    for (const { outcomes, decides } of found)
      expect(decides).toBe(new Set(outcomes.map(({ verdict }) => verdict)).size > 1);
    expect(found[0]?.outcomes).toContainEqual({ is: 'damaged', verdict: 'stop' });
  });
  it('each outcome is what the film would be judged if it were so', () => {
    const withFrame = (frame: 'unknown' | 'metal' | 'wood' | 'masonry') => ({
      ...known,
      unit: known.unit && { ...known.unit, frame },
    });
    const rows = withFrame('unknown');
    for (const [is, frame] of [
      ['metal', 'metal'],
      ['wood or plastic', 'wood'],
      ['set in masonry', 'masonry'],
    ] as const) {
      const own = judgeFilm(groundOf(questionOf(withFrame(frame))), 'f', aFilm());
      expect(
        sensitivityOf(rows, 'f', aFilm())
          .find(({ what }) => what === 'the frame')
          ?.outcomes.find((outcome) => outcome.is === is)?.verdict,
      ).toBe(own.verdict);
    }
  });
});
