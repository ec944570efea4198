import { daylightWord, isResolved, shadowDepth } from './oracles/sight-rules';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  SCENES,
  type Scene,
  type Seen,
  contrastKept,
  daylightFactor,
  dimmedBy,
  fadingShare,
  patternClass,
  privacyClass,
  sunPatch,
} from './index';

const MIRROR: Seen = { transmitted: 0.15, reflectedNear: 0.55, haze: 0 };
const DARK: Seen = { transmitted: 0.2, reflectedNear: 0.06, haze: 0 };
const CLEAR: Seen = { transmitted: 0.9, reflectedNear: 0.08, haze: 0 };
const FROST: Seen = { transmitted: 0.7, reflectedNear: 0.15, haze: 0.9 };
const kept = (glass: Seen, scene: Scene): number => contrastKept(glass, scene).value;
const byDay = (glass: Seen, scene: Scene): number => kept(glass, dimmedBy(scene, glass.transmitted));

describe('who sees whom through the glass?', () => {
  it.each([
    ['by day', 0.55, 48, 2000, 0.006502890173410404],
    ['at night with lamps on, from its duller side', 0.45, 40, 0.5, 0.9638554216867471],
  ])(
    'a mirror film %s, R %d, keeps this much contrast (veiling luminance, closed form)',
    (_name, reflectedNear, far, near, expected) => {
      expect(
        kept(
          { ...MIRROR, reflectedNear },
          { name: '', near_cdm2: near, far_cdm2: far, far_lux: 0, near_lux: 0 },
        ),
      ).toBeCloseTo(expected, 12);
    },
  );
  it.each([
    ['mirror', MIRROR, [0.006, 0.03, 0.62, 0.97]],
    ['dark', DARK, [0.07, 0.29, 0.95, 1]],
    ['clear', CLEAR, [0.36, 0.75, 0.99, 1]],
  ] as const)(
    '%s, looked into on a bright day, a dull day, at dusk, at night (own second implementation, within a fifth)',
    (_name, glass, expected) => {
      const got = [
        byDay(glass, SCENES.brightIn),
        byDay(glass, SCENES.dullIn),
        kept(glass, SCENES.duskIn),
        kept(glass, SCENES.nightIn),
      ];
      got.forEach((share, index) => {
        expect(Math.abs(share - (expected[index] ?? NaN))).toBeLessThan(
          Math.max(0.004, 0.2 * (expected[index] ?? 0)),
        );
      });
    },
  );
  it('frost hides by day and by night', () => {
    expect(privacyClass(byDay(FROST, SCENES.brightIn))).toBe('hidden');
    expect(['faint', 'hidden', 'outline']).toContain(privacyClass(kept(FROST, SCENES.nightIn)));
  });
  it('mirror and dark film hide by day and give no privacy at night with lamps on: they swap sides', () => {
    for (const glass of [MIRROR, DARK]) {
      expect(kept(glass, SCENES.nightIn)).toBeGreaterThan(0.9);
      expect(kept(glass, SCENES.nightOut)).toBeLessThan(0.2);
      expect(byDay(glass, SCENES.brightIn)).toBeLessThan(0.1);
    }
  });
  it('more haze, more reflection or a darker far side never shows more; the share stays within 0 and 1', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(share, share, share, fc.constantFrom(...Object.values(SCENES)), (t, r, haze, scene) => {
        const glass = { transmitted: t * 0.9, reflectedNear: r * (1 - t * 0.9), haze: haze * 0.95 };
        const seen = kept(glass, scene);
        expect(seen).toBeGreaterThanOrEqual(0);
        expect(seen).toBeLessThanOrEqual(1);
        expect(kept({ ...glass, haze: Math.min(1, glass.haze + 0.05) }, scene)).toBeLessThanOrEqual(
          seen + 1e-12,
        );
      }),
    );
  });
  it.each([
    [{ ...CLEAR, transmitted: 1.2 }, SCENES.brightIn],
    [{ ...CLEAR, haze: NaN }, SCENES.brightIn],
    [CLEAR, { ...SCENES.brightIn, near_cdm2: -1 }],
  ])('what cannot be is refused by name', (glass, scene) => {
    expect(() => contrastKept(glass, scene)).toThrow('PRIVACY_SCENE');
  });
  it('classes at their edges: .02 Koschmieder, .05 WMO visibility', () => {
    expect([0.6, 0.4, 0.1, 0.03, 0.01].map(privacyClass)).toEqual([
      'open',
      'reduced',
      'outline',
      'faint',
      'hidden',
    ]);
  });
});

describe('what do patterns and shadows do?', () => {
  it('a pattern with an opening over 20 mm is as open as bare glass; a fine one covering most hides better; never better than its film', () => {
    expect(patternClass(0.8, 40, 'hidden', 'open', 0.1)).toBe('open');
    expect(patternClass(0.8, 8, 'hidden', 'open', 0.1)).toBe('outline');
    expect(patternClass(0.5, 12, 'hidden', 'open', 0.4)).toBe('reduced');
    expect(patternClass(1, null, 'hidden', 'open', 0)).toBe('hidden');
    expect(patternClass(0.8, null, 'hidden', 'open', 0.1)).toBe('open');
    expect(patternClass(0.8, 8, 'hidden', 'open', 0.23)).toBe('reduced');
    expect(patternClass(0.5, 5, 'reduced', 'open', 0.3)).toBe('reduced');
  });
  it('a 12 mm stripe is told apart at 5 m, a 1 mm dot not (1 arc minute)', () => {
    expect([isResolved(12, 5000), isResolved(1, 5000)]).toEqual([true, false]);
  });
  it.each([
    [50, 0.999, 0.001],
    [200, 0.35, 0.01],
    [1000, 0.02, 0.005],
  ])(
    'a hand of 5 cm radius %d mm behind frost of 15° shadows %d of the light (closed form)',
    (behind, expected, within) => {
      expect(Math.abs(shadowDepth(50, behind, 15) - expected)).toBeLessThan(within);
    },
  );
});

describe('how much daylight, glare and fading is left?', () => {
  it('T .68, 4 m², 65°, clean, 80 m² of room reflecting .5: 2.95 % (BRE / BS 8206-2, worked)', () => {
    const room = { width_m: 4, depth_m: 4, height_m: 3, reflects: 0.5, glass_m2: 4, sky_deg: 65 };
    const formula = (0.68 * 4 * 65 * 1) / (80 * (1 - 0.25));
    expect(formula).toBeCloseTo(2.9466666666666668, 12);
    expect(daylightFactor(0.68 / (0.91 * 0.9), room).value).toBeCloseTo(formula, 9);
    expect([5.5, 2.9, 1].map(daylightWord)).toEqual(['well lit', 'daylit', 'lamps needed']);
  });
  it('a desk in the sun behind clear glass shines about 14,000 cd/m², behind a 35 % film 5,600', () => {
    expect(sunPatch(0.88).value).toBeCloseTo((0.5 * 0.88 * 1e5) / Math.PI, 6);
    expect(sunPatch(0.35).value / sunPatch(0.88).value).toBeCloseTo(0.35 / 0.88, 12);
  });
  it('open air fades at 1; a film without ultraviolet still lets light and heat fade', () => {
    expect(fadingShare(1, 1, 1).value).toBeCloseTo(1, 12);
    expect(fadingShare(0, 0.7, 0.5).value).toBeCloseTo(0.36, 12);
  });
});
