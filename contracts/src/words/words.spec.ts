import { describe, expect, it } from '@jest/globals';
import { checkSurface, slotsFor } from '@yellow-pane/core/measure';
import { tooWideWords } from './cutting-words';
import { figuresIn } from './messages';
import { impossibleWords, remarkWords } from './measure-words';

/** What is said of a doubly curved pane 1200 wide with a sag of that depth all round. */
function remarksOfCurved(sag_mm: number, units: 'metric' | 'imperial'): string {
  const result = checkSurface({
    shape: 'curved glass',
    readings: slotsFor('curved glass').flatMap(({ key, kind, from, to }) => {
      const value_mm =
        kind === 'sag'
          ? sag_mm
          : kind === 'distance' && key.startsWith('width')
            ? 1200
            : kind === 'distance' && key.startsWith('height')
              ? 700
              : undefined;
      return value_mm === undefined
        ? []
        : [{ id: key, kind, from, to, value_mm, instrument: 'tape' as const }];
    }),
  });
  if (!('remarks' in result)) throw new Error(result.state);
  return result.remarks.map((remark) => remarkWords(remark, units)).join(' ');
}

describe('are sentences made in the units of the person?', () => {
  it('curved glass is too long in inches for those who work in inches', () => {
    expect(remarksOfCurved(25, 'metric')).toMatch(/About \d+ mm too long/);
    const inches = remarksOfCurved(25, 'imperial');
    expect(inches).toMatch(/About [\d /]+ in too long/);
    expect(inches).not.toContain('mm');
  });
  it('what cannot be, likewise', () => {
    const why = { case: 'sides cannot close', longest_mm: 2000, others_mm: 1500 } as const;
    expect(impossibleWords(why, 'metric')).toBe(
      'The longest side is 2000 mm; the other two together reach only 1500 mm.',
    );
    expect(impossibleWords(why, 'imperial')).toBe(
      'The longest side is 78 3/4 in; the other two together reach only 59 1/16 in.',
    );
  });
  it('film too wide to be laid, likewise', () => {
    const wanting = { by_mm: 6, over_mm: 22, sides: 'top and bottom' } as const;
    expect(tooWideWords(wanting, 'metric')).toBe(
      'Short by 6 mm: take 22 mm over at top and bottom, or a wider roll. Curved glass and glass of a vehicle get no seam.',
    );
    expect(tooWideWords({ ...wanting, by_mm: 25.4 }, 'imperial')).toMatch(
      /^Short by 1 in: take 7\/8 in over/,
    );
  });
  it('figures: lengths, areas, shares', () => {
    expect([figuresIn('metric').area(1.5), figuresIn('imperial').area(1.5)]).toEqual([
      '1.500 m²',
      '16.15 ft²',
    ]);
    expect(figuresIn('metric').percent(0.03)).toBe('3 %');
  });
});
