import { type Formula, GEOMETRY, type Reasoned, type Source, reasonedBy } from '../quantity';
import { longestUpright } from './face';
import { lanesOver } from './plan/lanes';
import type { JudgedStrokes, StrokesAsked } from './calculate-strokes';
import { type Pace, timeOf } from './pace';
import { timeOfTwo } from './plan/two-people';

const SWEEP: Source = {
  kind: 'geometry',
  text: 'slabs between all heights at which sides end or cross: exact, checked against an independent polygon package',
};

export const FIGURE_FORMULAS = {
  share: {
    id: 'strokes.share',
    word: 'share that strokes go over',
    says: 's = area under any stroke ÷ area pressed',
    unit: 'share',
    source: SWEEP,
    inputs: {
      covered_mm2: { word: 'under any stroke', unit: 'mm²' },
      area_mm2: { word: 'area pressed', unit: 'mm²' },
    },
    of: ({ covered_mm2, area_mm2 }) => covered_mm2 / area_mm2,
  } satisfies Formula<{ readonly covered_mm2: number; readonly area_mm2: number }>,
  leastLanes: {
    id: 'strokes.leastLanes',
    word: 'level lanes it takes at least',
    says: 'n ≥ ⌈(V − o) ÷ (w − o)⌉, V the longest upright of film',
    unit: 'lanes',
    source: GEOMETRY,
    inputs: {
      upright_mm: { word: 'longest upright of film', unit: 'mm' },
      blade_mm: { word: 'blade', unit: 'mm' },
      overlap_mm: { word: 'how far strokes lap', unit: 'mm' },
    },
    of: ({ upright_mm, blade_mm, overlap_mm }) => lanesOver(upright_mm, { blade_mm, overlap_mm }),
  } satisfies Formula<{
    readonly upright_mm: number;
    readonly blade_mm: number;
    readonly overlap_mm: number;
  }>,
  detour: {
    id: 'strokes.detour',
    word: 'how far water is led, against the nearest way out',
    says: 'mean way along its stroke ÷ mean way to the nearest open edge',
    unit: 'times',
    source: GEOMETRY,
    inputs: {
      along_mm: { word: 'along its stroke', unit: 'mm' },
      out_mm: { word: 'to the nearest open edge', unit: 'mm' },
    },
    of: ({ along_mm, out_mm }) => along_mm / out_mm,
  } satisfies Formula<{ readonly along_mm: number; readonly out_mm: number }>,
  byTwo: {
    id: 'strokes.byTwo',
    word: 'time by two at once',
    says: 't = lock + the longer of both halves',
    unit: 's',
    source: { kind: 'our guess', text: 'each half as one alone; speed and lift: our guess, see Settings' },
    inputs: {
      lockAndLonger_s: { word: 'lock and the longer half', unit: 's' },
    },
    of: ({ lockAndLonger_s }) => lockAndLonger_s,
  } satisfies Formula<{ readonly lockAndLonger_s: number }>,
} as const;

/** Figures of a plan, each with its reason. */
interface StrokeFigures {
  readonly share: Reasoned<number>;
  readonly leastLanes: Reasoned<number>;
  /** Undefined: nothing is pressed, or nothing is open. */
  readonly detour: Reasoned<number> | undefined;
  readonly time_s: Reasoned<number>;
}

export function strokeFigures(judged: JudgedStrokes, asked: StrokesAsked, pace: Pace): StrokeFigures {
  const { coverage, ways, strokes } = judged;
  const { area_mm2, share } = coverage;
  return {
    share: reasonedBy(FIGURE_FORMULAS.share, { covered_mm2: share * area_mm2, area_mm2 }),
    leastLanes: reasonedBy(FIGURE_FORMULAS.leastLanes, {
      upright_mm: longestUpright(asked.face),
      blade_mm: asked.tool.blade_mm,
      overlap_mm: asked.tool.overlap_mm,
    }),
    detour:
      ways === undefined || ways.out_mm === 0 ? undefined : reasonedBy(FIGURE_FORMULAS.detour, { ...ways }),
    time_s:
      asked.people === 2
        ? reasonedBy(FIGURE_FORMULAS.byTwo, { lockAndLonger_s: timeOfTwo(asked.face, strokes, pace) })
        : timeOf(strokes, pace),
  };
}
