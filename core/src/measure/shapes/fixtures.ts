import { type Step, applyFormula } from '../../quantity';
import { GIRTH_FORMULAS } from '../girth';
import type { MeasureSlot } from '../measure-slot';
import { outlineBounds } from '../outline';
import type { SurfaceCheck } from '../surface-check';
import { FOUR_SIDE_SLOTS, checkFourSides } from './four-sides';
import type { ShapeMeasure, SurfaceInput } from './shape';
import { girth, girths } from './wall';

const SIDES = [
  ['mt', 'upper'],
  ['mr', 'right'],
  ['mb', 'lower'],
  ['ml', 'left'],
] as const;

const EDGE_SLOTS: readonly MeasureSlot[] = [
  {
    key: 'thickness',
    kind: 'thickness',
    from: 'mm',
    to: 'mm',
    word: 'thickness',
    group: 'edge',
    lies: 'beside',
  },
  {
    key: 'edge-radius',
    kind: 'radius',
    from: 'mm',
    to: 'mm',
    word: 'edge radius',
    group: 'edge',
    lies: 'beside',
    isExtra: true,
    how: '0 when the edge is sharp.',
  },
  ...SIDES.map(([side, word]): MeasureSlot => ({
    key: `wrap-${side}`,
    kind: 'wrap',
    from: side,
    to: side,
    word: `${word} edge wrapped, turned on to the back`,
    group: 'edge',
    lies: 'beside',
    isExtra: true,
    how: '0 when the film ends on the edge itself; leave empty when this edge is not wrapped.',
  })),
];

/** A door, counter, table or panel: its face, and the edges the film is wrapped round. */
export const panel: ShapeMeasure = { slots: () => [...FOUR_SIDE_SLOTS, ...EDGE_SLOTS], check: checkPanel };

const PROFILE: MeasureSlot = {
  key: 'profile',
  kind: 'circumference',
  from: 'mm',
  to: 'mm',
  word: 'over the profile, edge to edge',
  group: 'curve',
  lies: 'beside',
  how: 'Press a strip of paper into every hollow and over every bead, mark both edges, lay it flat and measure.',
};
const FACE_KEYS = ['width-top', 'width-bottom', 'height-left', 'height-right', 'diagonal-falling'];

/**
 * A moulding or furrowed board: plain width and length, and the girth its profile gives the film: as a strip
 * of paper took it, else summed up from its furrows.
 */
export const moulding: ShapeMeasure = {
  slots: () => [...FOUR_SIDE_SLOTS.filter(({ key }) => FACE_KEYS.includes(key)), PROFILE],
  check: checkMoulding,
};

function checkMoulding(input: SurfaceInput): SurfaceCheck {
  const taken = input.readings.filter(({ kind }) => kind === PROFILE.kind);
  const flat = checkFourSides({ ...input, readings: input.readings.filter((own) => !taken.includes(own)) });
  if (!('figure' in flat)) return flat;
  const { width, height } = outlineBounds(flat.figure.outline);
  const summed = girths(width, height, input.parts ?? [], undefined);
  const profile_mm =
    taken.length === 0 ? undefined : taken.reduce((sum, { value_mm }) => sum + value_mm, 0) / taken.length;
  if (profile_mm === undefined) {
    const isKnown = Object.keys(summed).length > 0;
    const remarks = isKnown ? flat.remarks : [...flat.remarks, { case: 'no furrow yet' as const }];
    return { ...flat, remarks, sizes: { ...flat.sizes, ...summed } };
  }
  if (profile_mm < width - PROFILE_SLACK_MM)
    return {
      state: 'impossible',
      why: { case: 'profile under its width', profile_mm, width_mm: width },
      suspects: [],
    };
  const girthWidth_mm = girth('across', width, Math.max(0, profile_mm - width), []);
  return { ...flat, sizes: { ...flat.sizes, ...summed, girthWidth_mm } };
}

/** A strip of paper is no steel rule. @source our guess */
const PROFILE_SLACK_MM = 2;

function checkPanel({ readings, parts = [], determinedWithin_mm }: SurfaceInput): SurfaceCheck {
  const face = checkFourSides({ readings, determinedWithin_mm });
  if (!('figure' in face)) return face;
  const one = (kind: string, from: string): number | undefined =>
    readings.filter((reading) => reading.kind === kind && reading.from === from).at(-1)?.value_mm;
  const thickness_mm = one('thickness', 'mm');
  const radius_mm = one('radius', 'mm') ?? 0;
  const wrapped = SIDES.flatMap(([side]) => {
    const turned_mm = one('wrap', side);
    return turned_mm === undefined ? [] : [{ side, turned_mm }];
  });
  const { width, height } = outlineBounds(face.figure.outline);
  const fromFurrows = girths(width, height, parts, undefined);
  if (wrapped.length === 0) return { ...face, sizes: { ...face.sizes, ...fromFurrows } };
  if (thickness_mm === undefined)
    return {
      ...face,
      remarks: [...face.remarks, { case: 'thickness unknown' }],
      helpsNext: EDGE_SLOTS[0],
    };
  if (2 * radius_mm > thickness_mm + 1e-9)
    return {
      state: 'impossible',
      why: { case: 'edge radius too large', radius_mm, thickness_mm },
      suspects: [],
    };
  const edges = wrapped.map(({ side, turned_mm }) => ({
    side,
    step: applyFormula(GIRTH_FORMULAS.edge, { thickness_mm, turned_mm, radius_mm }),
  }));
  const sum = (sides: readonly string[]): { readonly more: number; readonly steps: readonly Step[] } => {
    const taken = edges.filter(({ side }) => sides.includes(side)).map(({ step }) => step);
    return { more: taken.reduce((total, { value }) => total + value, 0), steps: taken };
  };
  const across = sum(['ml', 'mr']);
  const down = sum(['mt', 'mb']);
  const plainAcross = (fromFurrows.girthWidth_mm?.value ?? width) - width;
  const plainDown = (fromFurrows.girthHeight_mm?.value ?? height) - height;
  return {
    ...face,
    sizes: {
      ...face.sizes,
      ...(across.more + plainAcross > 0
        ? { girthWidth_mm: girth('across', width, across.more + plainAcross, across.steps) }
        : {}),
      ...(down.more + plainDown > 0
        ? { girthHeight_mm: girth('down', height, down.more + plainDown, down.steps) }
        : {}),
    },
  };
}
