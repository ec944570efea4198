import { COMMON_PRACTICE, type LengthUnit, type Source, mmFromNm, parseLength } from '../quantity';
import { checkSurface, slotsFor } from './check-surface';
import type { Agreement, Suspect } from './network/judge';
import { type Reading, sdOf } from './reading';
import type { SurfaceInput } from './shapes/shape';
import type { SurfaceCheck } from './surface-check';

/** One correction that would make all readings agree, and the slip it would explain. */
export interface BlunderFix {
  readonly id: string;
  readonly slip: string;
  readonly changes: readonly { readonly id: string; readonly value_mm: number }[];
}

interface BlunderLength {
  readonly slip: string;
  readonly by_mm: readonly number[];
  readonly source: Source;
}

const OUR_GUESS: Source = { kind: 'our guess', text: 'our guess; instruments differ' };

/** Lengths by which a reading is off when a known slip was made. */
const SLIP_LENGTHS: readonly BlunderLength[] = [
  { slip: '10 cm misread', by_mm: [100, -100], source: COMMON_PRACTICE },
  { slip: '1 in misread', by_mm: [25.4, -25.4], source: COMMON_PRACTICE },
  { slip: '1 cm misread', by_mm: [10, -10], source: COMMON_PRACTICE },
  { slip: 'a foot misread', by_mm: [304.8, -304.8], source: COMMON_PRACTICE },
  { slip: 'a metre misread', by_mm: [1000, -1000], source: COMMON_PRACTICE },
  { slip: 'tape case not added', by_mm: [75, 80, 85], source: OUR_GUESS },
  { slip: 'laser body not added', by_mm: [110, 120, 135], source: OUR_GUESS },
];

const UNIT_SLIPS: readonly { readonly slip: string; readonly factor: number }[] = [
  { slip: 'inches typed as centimetres', factor: 2.54 },
  { slip: 'centimetres typed as inches', factor: 1 / 2.54 },
  { slip: 'centimetres typed as millimetres', factor: 10 },
  { slip: 'millimetres typed as centimetres', factor: 0.1 },
];
/** The slip without a length of its own: film goes on the glass, the tape was held against the frame. */
export const TO_FRAME = 'measured to the frame, not to the glass';
const FRAME_LEAST_MM = 6;
const FRAME_MOST_MM = 40;
const MOST_FIXES = 4;
const HONEST_SDS = 2;
/** Beyond this share of a length the linear estimate of what would fit is no guide. */
const FAR_OFF_SHARE = 0.2;

/**
 * Slips that would explain a disagreement: each is tried, and offered only when everything agrees with it,
 * and only where it is known which reading is wrong.
 * @param typed what the person typed and in which unit, by reading id: for swapped digits
 */
export function blunderFixes(
  input: SurfaceInput,
  check: SurfaceCheck,
  typed: ReadonlyMap<string, { readonly text: string; readonly unit: LengthUnit }>,
): readonly BlunderFix[] {
  const suspects =
    check.state === 'impossible'
      ? check.suspects
      : 'agreement' in check && check.agreement.kind === 'disagree'
        ? check.agreement.suspects
        : [];
  if (suspects.length === 0 && check.state !== 'impossible') return [];
  const isToldApart = suspects.length === 1;
  const fixes = new Fixes(input, suspects, 'agreement' in check ? check.agreement.reliability : []);
  const doubted = isToldApart
    ? input.readings.filter(({ id }) => suspects.some((suspect) => suspect.id === id))
    : check.state === 'impossible'
      ? input.readings
      : [];
  for (const reading of doubted.filter(({ kind }) => kind === 'distance' || kind === 'height over')) {
    fixes.offerOne('two digits swapped', reading, swappedDigits(typed.get(reading.id)));
    for (const { slip, by_mm } of SLIP_LENGTHS)
      fixes.offerOne(
        slip,
        reading,
        by_mm.map((by) => reading.value_mm + by),
      );
    for (const { slip, factor } of UNIT_SLIPS) fixes.offerOne(slip, reading, [reading.value_mm * factor]);
  }
  for (const [width, height] of exchangeable(input))
    fixes.offer('width and height exchanged', [
      { id: width.id, value_mm: height.value_mm },
      { id: height.id, value_mm: width.value_mm },
    ]);
  if (fixes.found.length === 0 && isToldApart)
    for (const { id, wouldFit_mm } of suspects.filter(isFrameWide))
      fixes.offer(TO_FRAME, [{ id, value_mm: Math.round(wouldFit_mm) }]);
  return surelyMeant(fixes.found);
}

const isFrameWide = ({ tooLong_mm }: Suspect): boolean =>
  tooLong_mm >= FRAME_LEAST_MM && tooLong_mm <= FRAME_MOST_MM;

/** Corrections tried so far with which everything agrees. */
class Fixes {
  readonly found: BlunderFix[] = [];

  constructor(
    private readonly input: SurfaceInput,
    private readonly suspects: readonly Suspect[],
    private readonly reliability: Agreement['reliability'],
  ) {}

  /** The value of these that comes nearest to what would fit. */
  offerOne(slip: string, reading: Reading, values: readonly number[]): void {
    const wouldFit = this.suspects.find(({ id }) => id === reading.id)?.wouldFit_mm ?? reading.value_mm;
    const value_mm = [...values].sort((a, b) => Math.abs(a - wouldFit) - Math.abs(b - wouldFit))[0];
    if (value_mm !== undefined && this.#isNear(reading, value_mm))
      this.offer(slip, [{ id: reading.id, value_mm }]);
  }

  offer(slip: string, changes: BlunderFix['changes']): void {
    const first = changes[0];
    if (first === undefined || this.found.length >= MOST_FIXES) return;
    const isThere = this.found.some(
      ({ id, changes: [own] }) => id === first.id && Math.abs((own?.value_mm ?? 0) - first.value_mm) < 1,
    );
    if (!isThere && this.#agrees(changes)) this.found.push({ id: first.id, slip, changes });
  }

  /** A correction must come as near to the reading that would fit as an honest reading would. */
  #isNear(reading: Reading, value_mm: number): boolean {
    const suspect = this.suspects.find(({ id }) => id === reading.id);
    const redundancy = this.reliability.find(({ id }) => id === reading.id)?.redundancy ?? 1;
    return (
      suspect === undefined ||
      Math.abs(suspect.tooLong_mm) > FAR_OFF_SHARE * reading.value_mm ||
      Math.abs(value_mm - suspect.wouldFit_mm) <=
        (HONEST_SDS * sdOf(reading)) / Math.sqrt(Math.max(redundancy, 0.05))
    );
  }

  #agrees(changes: BlunderFix['changes']): boolean {
    const readings = this.input.readings.map((reading) => ({
      ...reading,
      value_mm: changes.find(({ id }) => id === reading.id)?.value_mm ?? reading.value_mm,
    }));
    if (readings.some(({ value_mm }) => !(value_mm >= 1) || value_mm > 100_000)) return false;
    if (chordsDisagree({ ...this.input, readings })) return false;
    const again = checkSurface({ ...this.input, readings });
    return 'agreement' in again && again.agreement.kind === 'agree';
  }
}

/**
 * Fixes of one reading may stand beside each other, the likeliest first; where different readings could be
 * put right, none of them is surely meant.
 */
function surelyMeant(found: readonly BlunderFix[]): readonly BlunderFix[] {
  const changed = (fix: BlunderFix): string =>
    fix.changes
      .map(({ id }) => id)
      .sort()
      .join(' ');
  return new Set(found.map(changed)).size > 1 ? [] : found;
}

/** Curved glass cannot agree where its chords do not: that is known long before its curve is. */
function chordsDisagree({ shape, readings }: SurfaceInput): boolean {
  if (shape !== 'curved glass') return false;
  const flat = checkSurface({
    shape: 'four sides',
    readings: readings.filter(({ kind }) => kind === 'distance'),
  });
  return !('agreement' in flat) || flat.agreement.kind === 'disagree';
}

function swappedDigits(
  typed: { readonly text: string; readonly unit: LengthUnit } | undefined,
): readonly number[] {
  if (typed === undefined) return [];
  const { text, unit } = typed;
  const values: number[] = [];
  for (let at = 0; at + 1 < text.length; at += 1) {
    const [a = '', b = ''] = [text[at], text[at + 1]];
    if (!/\d/.test(a) || !/\d/.test(b) || a === b) continue;
    const parsed = parseLength(text.slice(0, at) + b + a + text.slice(at + 2), unit);
    if (parsed.kind === 'length') values.push(mmFromNm(parsed.value_nm));
  }
  return values;
}

/** A width and a height that could have been written into each other's fields. */
function exchangeable({ shape, corners, readings }: SurfaceInput): readonly (readonly [Reading, Reading])[] {
  const slots = slotsFor(shape, corners);
  const ofGroup = (group: 'width' | 'height'): readonly Reading[] =>
    readings.filter((reading) =>
      slots.some(
        (slot) =>
          slot.group === group &&
          slot.kind === reading.kind &&
          slot.from === reading.from &&
          slot.to === reading.to,
      ),
    );
  return ofGroup('width').flatMap((width) =>
    ofGroup('height')
      .filter((height) => Math.abs(height.value_mm - width.value_mm) > 20)
      .map((height) => [width, height] as const),
  );
}
