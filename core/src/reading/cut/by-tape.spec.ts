import { describe, expect, it } from '@jest/globals';
import { type CutInput, cutBlanks, customarySeam } from '../../blanks';
import { byTape, tapeMark_mm } from './by-tape';

const blanksOf = (more: Partial<CutInput> = {}) => {
  const input: CutInput = {
    aroundWidth_mm: 880.2,
    aroundHeight_mm: 1205.65,
    method: 'trim in place',
    direction: 'none',
    rollWidths_mm: [1524],
    repeat_mm: null,
    seam: customarySeam('trim in place', 'none', null),
    hiddenAcross_mm: [],
    footHeight_mm: null,
    column: undefined,
    maySeam: true,
    ...more,
  };
  return cutBlanks(input);
};
const cut = (more: Partial<CutInput> = {}, mark_mm = 1, widths_mm: readonly number[] = [1524]) => {
  const blanks = blanksOf(more);
  const [blank] = blanks.blanks;
  if (blank === undefined) throw new Error('no blank');
  return { blank, piece: byTape(blank, blanks, mark_mm, widths_mm) };
};

describe('can a tape read where to cut?', () => {
  it('a blank that is trimmed is made up to whole millimetres: 930.2 × 1255.7 is cut 931 × 1256', () => {
    const { blank, piece } = cut();
    expect([blank.across_mm, blank.along_mm]).toEqual([930.2, 1255.7]);
    expect(piece).toEqual({ across_mm: 931, along_mm: 1256 });
  });
  it('in inches to the next 1/16: 930.2 mm is 36 5/8 in, made up', () => {
    const { piece } = cut({}, tapeMark_mm('in'));
    expect([piece.across_mm / 25.4, piece.along_mm / 25.4]).toEqual([36.625, 49.4375]);
    expect([tapeMark_mm('in'), tapeMark_mm('ft'), tapeMark_mm('cm')]).toEqual([1.5875, 1.5875, 1]);
  });
  it('a blank that only just fits the film stays as it is', () => {
    expect(cut({ direction: 'one way' }, 1, [930.5]).piece).toEqual({ across_mm: 930.2, along_mm: 1256 });
  });
  it('seams between drops stay where they are; only their length is made up', () => {
    const { blank, piece } = cut({ aroundWidth_mm: 2400.33, direction: 'one way', method: 'textured wall' });
    expect(blank.of).toBeGreaterThan(1);
    expect(piece.across_mm).toBe(blank.across_mm);
    expect(piece.along_mm).toBe(Math.ceil(blank.along_mm));
  });
  it('what is not trimmed must fit as it is', () => {
    const none = { top_mm: -2, right_mm: -2, bottom_mm: -2, left_mm: -2 };
    const { blank, piece } = cut({ sides: none });
    expect(piece).toEqual({ across_mm: blank.across_mm, along_mm: blank.along_mm });
  });
});
