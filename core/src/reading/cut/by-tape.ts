import type { CutBlank, CutBlanks } from '../../blanks';
import type { LengthUnit } from '../../quantity';

/** The finest mark of a tape that reads in such a unit, mm: a millimetre, or 1/16 in. */
export function tapeMark_mm(unit: LengthUnit): number {
  return unit === 'in' || unit === 'ft' ? 25.4 / 16 : 1;
}

const DUST = 1e-6;

/**
 * A piece cut by hand is cut to a mark of the tape, so a blank that is trimmed afterwards is made up to the
 * next one. What is not trimmed stays as it is: a blank that must fit, seams between drops, a pattern that
 * must meet. So does a blank that only just fits the film.
 * @param mark_mm of `tapeMark_mm`
 * @param widths_mm of film there is
 */
export function byTape(
  { across_mm, along_mm, sector }: CutBlank,
  { whole: { sides, lies, mayTurn90 }, blanks, seams }: Pick<CutBlanks, 'whole' | 'blanks' | 'seams'>,
  mark_mm: number,
  widths_mm: readonly number[],
): Pick<CutBlank, 'across_mm' | 'along_mm'> {
  const isMatched = blanks.some((blank) => blank.phase_mm > 0 || blank.cell_mm !== blank.along_mm);
  if (sector !== undefined || isMatched) return { across_mm, along_mm };
  const trimmed = {
    width: seams.way !== 'upright' && sides.left_mm + sides.right_mm > 0,
    height: seams.way !== 'level' && sides.top_mm + sides.bottom_mm > 0,
  };
  const up = (size_mm: number, isAcross: boolean): number => {
    const marked_mm = Math.ceil(size_mm / mark_mm - DUST) * mark_mm;
    const justFits = widths_mm.some((width_mm) => width_mm + DUST >= size_mm && width_mm + DUST < marked_mm);
    return justFits && (isAcross || mayTurn90) ? size_mm : marked_mm;
  };
  const isDown = lies === 'top along the roll';
  return {
    across_mm: (isDown ? trimmed.height : trimmed.width) ? up(across_mm, true) : across_mm,
    along_mm: (isDown ? trimmed.width : trimmed.height) ? up(along_mm, false) : along_mm,
  };
}
