import { type Formula, type Source } from '../quantity';

const CLOSED_FORM: Source = {
  kind: 'geometry',
  text: 'plane geometry: the film follows every face of the profile',
};

interface FurrowSize {
  readonly width_mm: number;
  readonly depth_mm: number;
}
const FURROW_INPUTS = {
  width_mm: { word: 'furrow width', unit: 'mm' },
  depth_mm: { word: 'furrow depth', unit: 'mm' },
} as const;

/** Film path through one furrow, by its form. */
export const FURROW_FORMULAS = {
  V: {
    id: 'measure.furrowV',
    word: 'film into a V furrow',
    says: 'L = √(w² + 4·d²)',
    unit: 'mm',
    source: CLOSED_FORM,
    inputs: FURROW_INPUTS,
    of: ({ width_mm, depth_mm }) => Math.hypot(width_mm, 2 * depth_mm),
  } satisfies Formula<FurrowSize>,
  square: {
    id: 'measure.furrowSquare',
    word: 'film into a square furrow',
    says: 'L = w + 2·d',
    unit: 'mm',
    source: CLOSED_FORM,
    inputs: FURROW_INPUTS,
    of: ({ width_mm, depth_mm }) => width_mm + 2 * depth_mm,
  } satisfies Formula<FurrowSize>,
  'half round': {
    id: 'measure.furrowRound',
    word: 'film into a hollow',
    says: 'L = 4·R·atan(2·d/w), R = (w²/4 + d²)/(2·d)',
    unit: 'mm',
    source: CLOSED_FORM,
    inputs: FURROW_INPUTS,
    of: ({ width_mm, depth_mm }) =>
      depth_mm < 1e-9
        ? width_mm
        : (4 * (width_mm ** 2 / 4 + depth_mm ** 2) * Math.atan((2 * depth_mm) / width_mm)) / (2 * depth_mm),
  } satisfies Formula<FurrowSize>,
} as const;

interface GirthInputs {
  readonly plain_mm: number;
  readonly more_mm: number;
}

export const GIRTH_FORMULAS = {
  across: {
    id: 'measure.girthAcross',
    word: 'film girth across',
    says: 'G = plain width + what edges, furrows and joints take',
    unit: 'mm',
    source: CLOSED_FORM,
    inputs: {
      plain_mm: { word: 'plain width', unit: 'mm' },
      more_mm: { word: 'taken by edges, furrows, joints', unit: 'mm' },
    },
    of: ({ plain_mm, more_mm }) => plain_mm + more_mm,
  } satisfies Formula<GirthInputs>,
  down: {
    id: 'measure.girthDown',
    word: 'film girth down',
    says: 'G = plain height + what edges, furrows and joints take',
    unit: 'mm',
    source: CLOSED_FORM,
    inputs: {
      plain_mm: { word: 'plain height', unit: 'mm' },
      more_mm: { word: 'taken by edges, furrows, joints', unit: 'mm' },
    },
    of: ({ plain_mm, more_mm }) => plain_mm + more_mm,
  } satisfies Formula<GirthInputs>,
  edge: {
    id: 'measure.wrappedEdge',
    word: 'film round one edge',
    says: 'L = t + u − n·r·(2 − π/2), n = 1 rounded edge, 2 when it turns on to the back',
    unit: 'mm',
    source: CLOSED_FORM,
    inputs: {
      thickness_mm: { word: 'thickness t', unit: 'mm' },
      turned_mm: { word: 'turned on to the back u', unit: 'mm' },
      radius_mm: { word: 'edge radius r', unit: 'mm' },
    },
    of: ({ thickness_mm, turned_mm, radius_mm }) =>
      thickness_mm + turned_mm - (turned_mm > 0 ? 2 : 1) * radius_mm * (2 - Math.PI / 2),
  } satisfies Formula<{
    readonly thickness_mm: number;
    readonly turned_mm: number;
    readonly radius_mm: number;
  }>,
} as const;

/** How many joints of a grid cross a length: one between every two units. */
export function jointsAlong(length_mm: number, unit_mm: number, joint_mm: number): number {
  return Math.max(0, Math.ceil((length_mm + joint_mm) / (unit_mm + joint_mm) - 1e-9) - 1);
}
