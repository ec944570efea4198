import { describe, expect, it } from '@jest/globals';
import { filmWeight } from './film-weight';

describe('what does film weigh?', () => {
  it('30 m of 1.524 m at 50 µm with 25 µm of liner: 4.77 kg, by volume times density', () => {
    const volume_cm3 = 3000 * 152.4 * 0.0075;
    expect(filmWeight({ area_m2: 30 * 1.524, film_um: 50, liner_um: 25 }).value).toBeCloseTo(
      (volume_cm3 * 1.39) / 1000,
      9,
    );
  });
});
