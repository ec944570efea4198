import type { MeasureRemark } from '../measure-case';
import { difficultyOf, type CurvedPatch, surplusAtEdges, unseenEnds } from '../../curved';
import { type Agreement, judge } from '../network/judge';
import type { MeasureSlot } from '../measure-slot';
import { outlineBounds } from '../outline';
import { type Reading, sdOf } from '../reading';
import type { Sizes } from '../sizes';
import type { SurfaceCheck } from '../surface-check';
import { type SurplusDoubt, curvedSizes } from './curved-sizes';
import { chordOf, fitPatch, isAcross } from './fit-patch';
import { FOUR_SIDE_SLOTS, checkFourSides } from './four-sides';
import { type ShapeMeasure, type SurfaceInput, firstUntaken } from './shape';

const chord = (key: string): MeasureSlot => {
  const slot = FOUR_SIDE_SLOTS.find((candidate) => candidate.key === key);
  if (slot === undefined) throw new RangeError(key);
  return { ...slot, word: `chord: ${slot.word}` };
};
const sag = (
  key: string,
  from: string,
  to: string,
  word: string,
  share: number,
  more: Partial<MeasureSlot> = {},
): MeasureSlot => ({
  key,
  kind: 'sag',
  from,
  to,
  word,
  group: 'curve',
  lies: 'inside',
  share,
  how: 'From the middle of the chord to the glass; minus where it is hollow.',
  ...more,
});
const quarter = (key: string, from: string, to: string, word: string): MeasureSlot => ({
  key,
  kind: 'quarter sag',
  from,
  to,
  word,
  group: 'curve',
  lies: 'beside',
  isExtra: true,
  how: 'At a quarter of the chord. Only worth it when read to half a millimetre.',
});

const SLOTS: readonly MeasureSlot[] = [
  chord('width-top'),
  sag('sag-top', 'tl', 'tr', 'sag of the top', 0.5),
  { ...chord('width-middle'), share: 0.2 },
  sag('sag-middle', 'ml', 'mr', 'sag across the middle', 0.8),
  chord('width-bottom'),
  sag('sag-bottom', 'bl', 'br', 'sag of the bottom', 0.5),
  chord('height-left'),
  sag('sag-left', 'tl', 'bl', 'sag of the left side', 0.7),
  { ...chord('height-middle'), share: 0.27 },
  sag('sag-centre', 'mt', 'mb', 'sag down the middle', 0.73),
  chord('height-right'),
  sag('sag-right', 'tr', 'br', 'sag of the right side', 0.7),
  { ...chord('diagonal-falling'), share: 0.3 },
  { ...chord('diagonal-rising'), lies: 'beside', isExtra: true },
  quarter('quarter-left', 'ml', 'mr', 'sag a quarter in from the left, across the middle'),
  quarter('quarter-right', 'mr', 'ml', 'sag a quarter in from the right, across the middle'),
  quarter('quarter-upper', 'mt', 'mb', 'sag a quarter down the middle'),
  quarter('quarter-lower', 'mb', 'mt', 'sag three quarters down the middle'),
  ...(['tr', 'br'] as const).map((corner): MeasureSlot => ({
    key: `rocking-${corner}`,
    kind: 'rocking gap',
    from: corner,
    to: corner,
    word: `${corner === 'tr' ? 'upper' : 'lower'} right corner stands off`,
    group: 'curve',
    lies: 'beside',
    isExtra: true,
    how: 'Three corners on a flat board, bulge up: the gap under the fourth. 0 when none rocks.',
  })),
];

/** Curved glass: chords give the outline, sags the patch. */
export const curvedGlass: ShapeMeasure = { slots: () => SLOTS, check: checkCurved };

function checkCurved({ readings, determinedWithin_mm }: SurfaceInput): SurfaceCheck {
  const chords = readings.filter(({ kind }) => kind === 'distance');
  const flat = checkFourSides({ readings: chords, determinedWithin_mm });
  if (!('figure' in flat)) return flat;
  const bends = readings.filter(
    ({ kind }) => kind === 'sag' || kind === 'quarter sag' || kind === 'rocking gap',
  );
  const sags = bends.filter(({ kind }) => kind === 'sag');
  const outline = flat.figure.outline;
  if (!sags.some(isAcross) || !sags.some((reading) => !isAcross(reading)))
    return {
      ...flat,
      state: 'assumed',
      assumes: 'flat, for want of a sag across and one down',
      helpsNext: SLOTS.find(({ key }) => key === (sags.some(isAcross) ? 'sag-centre' : 'sag-middle')),
      remarks: [...flat.remarks, { case: 'drawn flat' }],
    };
  const tooDeep = sags.find((reading) => Math.abs(reading.value_mm) > 0.45 * chordOf(outline, reading));
  if (tooDeep !== undefined)
    return {
      state: 'impossible',
      why: { case: 'sag too deep', sag_mm: tooDeep.value_mm },
      suspects: [],
    };
  const { patch, fitted, used, standardDeviationOf, doubts } = fitPatch(outline, bends);
  const bendAgreement = judge(used, used.map(sdOf), fitted, () =>
    SLOTS.find(
      (slot) => slot.kind === 'sag' && !sags.some(({ from, to }) => from === slot.from && to === slot.to),
    ),
  );
  const agreement = together(flat.agreement, bendAgreement);
  const surplus = surplusAtEdges(patch);
  const { width } = outlineBounds(outline);
  const difficulty = difficultyOf({ ...surplus, width_mm: width });
  const doubt: SurplusDoubt = {
    top_mm: standardDeviationOf((own) => surplusAtEdges(own).top_mm),
    bottom_mm: standardDeviationOf((own) => surplusAtEdges(own).bottom_mm),
    areEndsKnown: bends.some(({ kind }) => kind === 'quarter sag'),
  };
  const sizes: Sizes = { ...flat.sizes, ...curvedSizes(patch, fitted, surplus, outline, doubt) };
  const unknown = stillUnknown(bends, patch, surplus);
  const remarks = [{ case: 'how hard it is' as const, difficulty }, ...unknown.remarks];
  const helpsNext = firstUntaken(SLOTS, readings) ?? unknown.ask;
  const patchDoubts = [...doubts, ...(doubt.areEndsKnown ? [] : [unseenEnds(patch)])];
  const figure = { ...flat.figure, patch, patchDoubts };
  const hasThree =
    sags.filter(isAcross).length >= 3 && sags.filter((reading) => !isAcross(reading)).length >= 3;
  if (flat.state === 'assumed') return { ...flat, figure, sizes, agreement, remarks, helpsNext };
  if (!hasThree)
    return {
      state: 'assumed',
      assumes: 'the sags not taken like those taken',
      figure,
      sizes,
      agreement,
      remarks,
      helpsNext,
    };
  return { state: 'measured', figure, sizes, agreement, remarks, helpsNext };
}

/** Chords first: where they disagree nothing else counts. */
function together(flat: Agreement, bends: Agreement): Agreement {
  if (flat.kind === 'disagree' || (bends.kind === 'not checked' && flat.kind === 'agree')) return flat;
  return { ...bends, reliability: [...flat.reliability, ...bends.reliability] };
}

/** A rocking gap this large is tried, to see whether twist matters. */
const TRIED_GAP_MM = 10;

/** What the sags cannot show, and whether it matters here. */
function stillUnknown(
  bends: readonly Reading[],
  patch: CurvedPatch,
  surplus: { readonly top_mm: number; readonly bottom_mm: number },
): { readonly remarks: readonly MeasureRemark[]; readonly ask: MeasureSlot | undefined } {
  const worst = Math.max(Math.abs(surplus.top_mm), Math.abs(surplus.bottom_mm));
  const remarks: MeasureRemark[] = [];
  const ask: MeasureSlot[] = [];
  const find = (key: string): void => {
    const slot = SLOTS.find((candidate) => candidate.key === key);
    if (slot !== undefined) ask.push(slot);
  };
  if (worst > 3 && !bends.some((reading) => reading.kind === 'quarter sag' && isAcross(reading))) {
    remarks.push({ case: 'curve near the ends unknown' });
    find('quarter-left');
  }
  if (worst > 1.5 && !bends.some(({ kind }) => kind === 'rocking gap')) {
    const twisted = surplusAtEdges({
      ...patch,
      twist: TRIED_GAP_MM / (4 * patch.halfWidth_mm * patch.halfHeight_mm),
    });
    const changes = Math.abs(twisted.top_mm - surplus.top_mm) > 0.05 * worst;
    remarks.push({ case: 'twist unknown', matters: changes, gap_mm: TRIED_GAP_MM });
    if (changes) find('rocking-tr');
  }
  return { remarks, ask: ask[0] };
}
