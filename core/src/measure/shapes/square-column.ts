import { applyFormula, valueAt } from '../../quantity';
import { type FittedModel, fitModel } from '../network/fit-model';
import { judge } from '../network/judge';
import type { MeasureSlot } from '../measure-slot';
import type { Outline, Point } from '../outline';
import { type Reading, sdOf } from '../reading';
import type { Sizes } from '../sizes';
import type { SurfaceCheck } from '../surface-check';
import { COLUMN_FORMULAS } from './column-film';
import { checkFourSides } from './four-sides';
import { type ShapeMeasure, type SurfaceInput, firstUntaken } from './shape';

const SQUARE_SLOTS: readonly MeasureSlot[] = [
  {
    key: 'height',
    kind: 'distance',
    from: 'floor',
    to: 'top',
    word: 'height',
    group: 'height',
    lies: 'left',
  },
  { key: 'front', kind: 'distance', from: 'a', to: 'b', word: 'front face', group: 'width', lies: 'bottom' },
  { key: 'right', kind: 'distance', from: 'b', to: 'c', word: 'right face', group: 'width', lies: 'beside' },
  { key: 'back', kind: 'distance', from: 'c', to: 'd', word: 'back face', group: 'width', lies: 'beside' },
  { key: 'left', kind: 'distance', from: 'd', to: 'a', word: 'left face', group: 'width', lies: 'beside' },
  {
    key: 'radius',
    kind: 'radius',
    from: 'mm',
    to: 'mm',
    word: 'radius of its edges',
    group: 'edge',
    lies: 'beside',
    isExtra: true,
    how: '0 when sharp.',
  },
  {
    key: 'around',
    kind: 'circumference',
    from: 'mm',
    to: 'mm',
    word: 'once round',
    group: 'curve',
    lies: 'top',
    how: 'The check: a tape once round.',
  },
];

/** A square column by its height, its faces and once round. */
export const squareColumn: ShapeMeasure = { slots: () => SQUARE_SLOTS, check: checkSquare };

function checkSquare({ readings }: SurfaceInput): SurfaceCheck {
  const value = (key: string): number | undefined => meanOf(readings, key);
  const height_mm = value('height');
  const faces = [value('front'), value('right'), value('back'), value('left')];
  const radius_mm = value('radius') ?? 0;
  const around = value('around');
  const front = faces.find((face) => face !== undefined);
  if (height_mm === undefined || (front === undefined && around === undefined))
    return {
      state: 'unfinished',
      needs: [
        ...(height_mm === undefined ? ['the height'] : []),
        ...(front === undefined && around === undefined ? ['a face'] : []),
      ],
    };
  const assumed = faces.map(
    (face, index) =>
      face ?? faces[(index + 2) % 4] ?? front ?? ((around ?? 0) + radius_mm * (8 - 2 * Math.PI)) / 4,
  );
  const faces_mm = assumed.reduce((sum, face) => sum + face, 0);
  const step = applyFormula(COLUMN_FORMULAS.squareGirth, { faces_mm, radius_mm });
  const taken = readings.filter(
    (reading) =>
      reading.kind === 'circumference' || (reading.kind === 'distance' && faceOf(reading) !== undefined),
  );
  const fitted = fittedFaces(taken, assumed, radius_mm);
  const agreement = judge(taken, taken.map(sdOf), fitted, () => undefined);
  const girth_mm = step.value;
  const flat = checkFourSides({
    readings: [
      ['tl', 'tr', girth_mm],
      ['tl', 'bl', height_mm],
    ].map(([from, to, value_mm]) => ({
      id: `${String(from)}${String(to)}`,
      kind: 'distance',
      from: String(from),
      to: String(to),
      value_mm: Number(value_mm),
      instrument: 'tape',
    })),
  });
  if (!('figure' in flat)) return flat;
  const plain = Object.fromEntries(
    Object.entries(flat.sizes).filter(([key]) => key !== 'outOfSquare_mm'),
  ) as unknown as Sizes;
  const sizes: Sizes = { ...plain, girthWidth_mm: { value: girth_mm, why: [step] } };
  const common = {
    figure: { outline: flat.figure.outline, ...frontOf(assumed[0] ?? girth_mm / 4, height_mm) },
    sizes,
    agreement,
    helpsNext: firstUntaken(SQUARE_SLOTS, readings),
    remarks: [],
  };
  return faces.every((face) => face !== undefined)
    ? { state: 'measured', ...common }
    : { state: 'assumed', assumes: 'opposite faces alike', ...common };
}

function meanOf(readings: readonly Reading[], key: string): number | undefined {
  const slot = SQUARE_SLOTS.find((candidate) => candidate.key === key);
  const values = readings
    .filter(
      ({ kind, from, to }) =>
        kind === slot?.kind &&
        ((from === slot.from && to === slot.to) || (from === slot.to && to === slot.from)),
    )
    .map(({ value_mm }) => value_mm);
  return values.length === 0 ? undefined : values.reduce((sum, next) => sum + next, 0) / values.length;
}

const FACES = ['ab', 'bc', 'cd', 'da'] as const;

/** Which of the four faces a distance is of; undefined: none, such as one of a pane it was before. */
function faceOf({ from, to }: Reading): number | undefined {
  const at = FACES.findIndex((pair) => pair === from + to || pair === to + from);
  return at < 0 ? undefined : at;
}

/** The four faces as faces and girth have them together. */
function fittedFaces(taken: readonly Reading[], faces: readonly number[], radius_mm: number): FittedModel {
  return fitModel(
    faces,
    faces,
    taken.map((reading) => ({ value: reading.value_mm, sd: sdOf(reading) })),
    (at) =>
      taken.map((reading) => {
        const face = faceOf(reading);
        return face === undefined
          ? at.reduce((sum, width) => sum + width, 0) - radius_mm * (8 - 2 * Math.PI)
          : valueAt(at, face);
      }),
  );
}

/** Its front as one sees it, with the points its measures are named by. */
function frontOf(
  width: number,
  height_mm: number,
): { readonly standing: Outline; readonly points: Readonly<Record<string, Point>> } {
  const standing: Outline = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height_mm },
    { x: 0, y: height_mm },
  ];
  const [tl, tr, br, bl] = standing as [Point, Point, Point, Point];
  const points = {
    tl,
    tr,
    br,
    bl,
    floor: { x: 0, y: height_mm },
    top: { x: 0, y: 0 },
    a: bl,
    b: br,
    c: br,
    d: bl,
    mm: { x: width / 2, y: height_mm / 2 },
  };
  return { standing, points };
}
