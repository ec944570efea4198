import { describe, expect, it } from '@jest/globals';
import {
  type CutPlanFile,
  type PlanPiece,
  cutListCsv,
  cutPlanDxf,
  cutPlanJson,
  cutPlanSvg,
  readCutPlanFile,
  rollHpgl,
} from '@yellow-pane/contracts/cut-files';
import { columnMarks, lieOf, lyingOnRoll } from '@yellow-pane/core/blanks';
import { outlineOnRoll } from '@yellow-pane/core/cutting';
import type { Liner, SeenFrom } from '@yellow-pane/core/job';
import DxfParser from 'dxf-parser';
import { pathsOf, textOf } from '../../testing/pdf-reader';
import { labelsPdf } from '../../paper/labels-pdf';
import { cutSheetPdf } from '../../paper/cut-sheet-pdf';

type Corners = readonly (readonly [number, number])[];
interface Figure {
  /** As drawn from the room: x to the right, y down. */
  readonly seen: Corners;
  readonly width: number;
  readonly height: number;
  /**
   * Typed by hand: film on the room side, on the table as one stands at the free end, top towards one: x to
   * the right, y away.
   */
  readonly linerUp: Corners;
  readonly linerDown: Corners;
}

const FIGURES: Readonly<Record<string, Figure>> = {
  'sides upright, bottom 800, left 800, right 1400': {
    width: 800,
    height: 1400,
    seen: [
      [0, 600],
      [800, 0],
      [800, 1400],
      [0, 1400],
    ],
    linerUp: [
      [0, 600],
      [800, 0],
      [800, 1400],
      [0, 1400],
    ],
    linerDown: [
      [800, 600],
      [0, 0],
      [0, 1400],
      [800, 1400],
    ],
  },
  'an arch whose crown stands left': {
    width: 1000,
    height: 900,
    seen: [
      [0, 300],
      [100, 100],
      [300, 0],
      [700, 100],
      [1000, 500],
      [1000, 900],
      [0, 900],
    ],
    linerUp: [
      [0, 300],
      [100, 100],
      [300, 0],
      [700, 100],
      [1000, 500],
      [1000, 900],
      [0, 900],
    ],
    linerDown: [
      [1000, 300],
      [900, 100],
      [700, 0],
      [300, 100],
      [0, 500],
      [0, 900],
      [1000, 900],
    ],
  },
  'five corners': {
    width: 600,
    height: 700,
    seen: [
      [0, 0],
      [400, 0],
      [600, 200],
      [500, 700],
      [0, 650],
    ],
    linerUp: [
      [0, 0],
      [400, 0],
      [600, 200],
      [500, 700],
      [0, 650],
    ],
    linerDown: [
      [600, 0],
      [200, 0],
      [0, 200],
      [100, 700],
      [600, 650],
    ],
  },
  'a sector leaning to the right': {
    width: 900,
    height: 500,
    seen: [
      [100, 0],
      [800, 100],
      [900, 400],
      [450, 500],
      [0, 450],
    ],
    linerUp: [
      [100, 0],
      [800, 100],
      [900, 400],
      [450, 500],
      [0, 450],
    ],
    linerDown: [
      [800, 0],
      [100, 100],
      [0, 400],
      [450, 500],
      [900, 450],
    ],
  },
};
const ROLL_MM = 1200;

const planOf = (piece: Partial<PlanPiece>, liner: Liner): CutPlanFile => ({
  format: 'yellow-pane cut plan',
  version: 2,
  job: 'a job',
  film: 'a film',
  mode: 'by plotter',
  liner,
  madeBy: 'Wren',
  madeAt: '2026-11-24T09:20:00.000Z',
  rolls: [
    {
      label: 'R',
      what: 'roll',
      lot: 'L',
      width_mm: ROLL_MM,
      length_mm: 5000,
      used_mm: piece.along_mm ?? 1400,
      pieces: [
        {
          tag: 'P',
          drop: 1,
          of: 1,
          x_mm: 0,
          y_mm: 0,
          across_mm: 800,
          along_mm: 1400,
          turned: false,
          top: 'to the roll end',
          factoryEdges: [],
          phase_mm: 0,
          ...piece,
        },
      ],
    },
  ],
});
const laid = (
  { seen, width, height }: Figure,
  seenFrom: SeenFrom,
  side: SeenFrom,
  liner: Liner,
  turned = false,
): Partial<PlanPiece> => ({
  ...(turned ? { across_mm: height, along_mm: width } : { across_mm: width, along_mm: height }),
  turned,
  outline: outlineOnRoll(
    lyingOnRoll(
      seen.map(([x, y]) => ({ x, y })),
      width,
      seenFrom,
      side,
      liner,
    ),
    width,
    height,
    turned,
    false,
  ),
});

/** Area by the corners in their order: positive when they go round against the clock, y upwards. */
const signedArea = (corners: Corners): number =>
  corners.reduce((sum, [x, y], index) => {
    const [nx, ny] = corners[(index + 1) % corners.length] ?? [x, y];
    return sum + x * ny - nx * y;
  }, 0) / 2;
const numbers = (text: string): Corners =>
  [...text.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);

/** Each reader gives what a person sees: to the right and upwards. */
const inDxf = (plan: CutPlanFile, layer = 'CUT'): readonly Corners[] =>
  (
    (new DxfParser().parseSync(cutPlanDxf(plan))?.entities ?? []).filter(
      (entity) => entity.layer === layer,
    ) as unknown as readonly { readonly vertices: readonly { readonly x: number; readonly y: number }[] }[]
  ).map(({ vertices }) => vertices.map(({ x, y }) => [x, y] as const));
const inSvg = (plan: CutPlanFile): Corners =>
  numbers(/<polygon points="([^"]+)"/.exec(cutPlanSvg(plan))?.[1] ?? '').map(([x, y]) => [x, -y]);
// eslint-disable-next-line no-control-regex -- a label ends at ETX
const HPGL_LABEL = /LB[^\u0003]*\u0003/g;
/** Pen 1 down, moved by PU and PD: a pen reader in a few lines. */
const inHpgl = (plan: CutPlanFile): readonly Corners[] => {
  const [roll] = plan.rolls;
  const lines: (readonly [number, number])[][] = [];
  let [pen, at]: [string, readonly [number, number]] = ['0', [0, 0]];
  for (const [, code = '', body = ''] of (roll === undefined ? '' : rollHpgl(roll))
    .replace(HPGL_LABEL, '')
    .matchAll(/([A-Z]{2})([-\d,]*);/g)) {
    const points = numbers(body).map(([x, y]) => [x / 40, y / 40] as const);
    if (code === 'SP') pen = body;
    if (code === 'PD' && pen === '1') lines.push([at, ...points]);
    at = points.at(-1) ?? at;
  }
  return lines;
};
const read = (plan: CutPlanFile): Parameters<typeof cutSheetPdf>[0] => ({
  file: plan,
  endWaste_mm: 0,
  rolls: plan.rolls.map((roll) => ({ id: 'r', roll, surfaceIds: ['s'] })),
});
/** The largest figure of so many corners: the small picture of who stands where is another. */
const inSheet = async (plan: CutPlanFile, corners: number): Promise<Corners> =>
  pathsOf(await cutSheetPdf(read(plan), { paper: 'A4', units: 'metric' }))
    .map(({ points }) => points)
    .filter((points) => points.length === corners)
    .sort((one, other) => Math.abs(signedArea(other)) - Math.abs(signedArea(one)))[0] ?? [];

/**
 * Moved to the origin, scaled to its width and turned by a quarter: a file may lay the roll down, never turn
 * it over.
 */
const placed = (corners: Corners, quarters: number): Corners => {
  let own = corners;
  for (let turn = 0; turn < quarters; turn += 1) own = own.map(([x, y]) => [-y, x] as const);
  const [left, low] = [Math.min(...own.map(([x]) => x)), Math.min(...own.map(([, y]) => y))];
  return own.map(([x, y]) => [x - left, y - low] as const);
};
const near = (corners: Corners, to: Corners, within: number): void => {
  expect(corners).toHaveLength(to.length);
  corners.forEach(([x, y], index) => {
    expect(Math.hypot(x - (to[index]?.[0] ?? NaN), y - (to[index]?.[1] ?? NaN))).toBeLessThan(within);
  });
};

describe.each(Object.entries(FIGURES))('is one plan the same film in all its files? %s', (_name, figure) => {
  it.each([
    ['room', 'room', 'up', 'linerUp'],
    ['room', 'room', 'down', 'linerDown'],
    ['room', 'outside', 'up', 'linerDown'],
    ['room', 'outside', 'down', 'linerUp'],
    ['outside', 'outside', 'up', 'linerUp'],
    ['side A', 'side B', 'down', 'linerUp'],
  ] as const)(
    'seen from %s, film on %s, liner %s: corner by corner as typed by hand, in DXF, SVG, HP-GL, JSON and on the cut sheet',
    async (seenFrom, side, liner, wanted) => {
      const plan = planOf(laid(figure, seenFrom, side, liner), liner);
      const truth = figure[wanted];
      near(inDxf(plan)[0] ?? [], truth, 0.01);
      near(placed(inSvg(plan), 0), truth, 0.02);
      near(placed((inHpgl(plan)[0] ?? []).slice(0, -1), 1), truth, 0.04);
      const kept = readCutPlanFile(cutPlanJson(plan));
      near(
        'plan' in kept
          ? (kept.plan.rolls[0]?.pieces[0]?.outline ?? []).map(({ x, y }) => [x, y] as const)
          : [],
        truth,
        0.01,
      );
      const sheet = placed(await inSheet(plan, truth.length), 1);
      const scale = figure.width / Math.max(...sheet.map(([x]) => x));
      near(
        sheet.map(([x, y]) => [x * scale, y * scale] as const),
        truth,
        1,
      );
      for (const corners of [
        inDxf(plan)[0],
        inSvg(plan),
        inHpgl(plan)[0]?.slice(0, -1),
        await inSheet(plan, truth.length),
      ])
        expect(Math.sign(signedArea(corners ?? []))).toBe(Math.sign(signedArea(truth)));
    },
  );
});

describe('what happens to the rake that was cut the wrong way round?', () => {
  it('lying by a quarter with its top at the left edge it is the same film still', () => {
    const raked = FIGURES['sides upright, bottom 800, left 800, right 1400'];
    if (raked === undefined) throw new Error('no figure');
    const plan = planOf(laid(raked, 'room', 'room', 'up', true), 'up');
    near(
      inDxf(plan)[0] ?? [],
      [
        [600, 800],
        [0, 0],
        [1400, 0],
        [1400, 800],
      ],
      0.01,
    );
  });
  it('liner up, its top away from you, the long side is at the left', () => {
    const raked = FIGURES['sides upright, bottom 800, left 800, right 1400'];
    const towards = raked?.linerUp ?? [];
    const away = towards.map(([x, y]) => [800 - x, 1400 - y] as const);
    expect(
      away
        .filter(([x]) => x === 0)
        .map(([, y]) => y)
        .sort((a, b) => a - b),
    ).toEqual([0, 1400]);
    expect(
      away
        .filter(([x]) => x === 800)
        .map(([, y]) => y)
        .sort((a, b) => a - b),
    ).toEqual([0, 800]);
  });
});

const boxOf = (across: number) => [
  { x: 0, y: 0 },
  { x: across, y: 0 },
  { x: across, y: 900 },
  { x: 0, y: 900 },
];

describe('which edge is the factory’s?', () => {
  const roll = { width_mm: 1524, leftEdge: true, rightEdge: true };
  const at = (
    x_mm: number,
    turned: boolean,
    more: {
      readonly flipped?: boolean;
      readonly outline?: { readonly x: number; readonly y: number }[];
    } = {},
  ) => ({ x_mm, across_mm: 600, turned, ...more });
  /**
   * At the left hand, top towards you: liner up you look at the back of what hangs, so its left hangs left;
   * liner down it hangs right.
   */
  it.each([
    ['up', 'left'],
    ['down', 'right'],
  ] as const)('liner %s, at the left hand, top towards you: it hangs %s', (liner, edge) => {
    expect(lieOf(at(0, false), roll, false, liner)).toEqual({ top: 'to the roll end', factoryEdges: [edge] });
  });
  it.each([
    ['up', 'right'],
    ['down', 'left'],
  ] as const)('liner %s, at the left hand, top away from you: it hangs %s', (liner, edge) => {
    expect(lieOf(at(0, false, { flipped: true }), roll, false, liner)).toEqual({
      top: 'to the core',
      factoryEdges: [edge],
    });
  });
  it('its top at a long edge: that edge is its top, the other its foot, whichever face looks up', () => {
    for (const liner of ['up', 'down'] as const) {
      expect(
        lieOf({ x_mm: 0, across_mm: 1524, turned: true, outline: boxOf(1524) }, roll, false, liner),
      ).toEqual({ top: 'to the left edge', factoryEdges: ['top', 'bottom'] });
      expect(lieOf(at(924, true, { outline: boxOf(600) }), roll, false, liner)).toEqual({
        top: 'to the left edge',
        factoryEdges: ['bottom'],
      });
      expect(lieOf(at(924, true), roll, false, liner)).toEqual({
        top: 'to the right edge',
        factoryEdges: ['top'],
      });
    }
  });
  it('a slanting head that touches the edge with its corner alone has none there', () => {
    expect(
      lieOf(
        {
          x_mm: 0,
          across_mm: 1400,
          turned: true,
          outline: [
            { x: 600, y: 800 },
            { x: 0, y: 0 },
            { x: 1400, y: 0 },
            { x: 1400, y: 800 },
          ],
        },
        roll,
        false,
        'up',
      ).factoryEdges,
    ).toEqual([]);
  });
  it('an offcut that has kept its right edge alone gives none at the left', () => {
    expect(lieOf(at(0, false), { ...roll, leftEdge: false }, false, 'up').factoryEdges).toEqual([]);
    expect(lieOf(at(924, false), { ...roll, leftEdge: false }, false, 'up').factoryEdges).toEqual(['right']);
  });
});

describe('what do paper and lists say?', () => {
  it('where one stands, which face looks up, where the top points, the factory edge as it hangs, and what comes off the top first', async () => {
    for (const liner of ['up', 'down'] as const) {
      const plan = planOf({ top: 'to the core', factoryEdges: ['right'], phase_mm: 650 }, liner);
      const [sheet = ''] = await textOf(await cutSheetPdf(read(plan), { paper: 'A4', units: 'metric' }));
      expect(sheet).toContain(
        'You stand at the free end, the roll lies away from you: left is at your left hand.',
      );
      expect(sheet).toContain(`Liner ${liner}`);
      expect(sheet).toContain('650');
      const [label = ''] = await textOf(
        await labelsPdf(read(plan), {
          sheet: 'A4 3x8',
          addressOf: () => 'http://localhost/x',
          units: 'metric',
        }),
      );
      expect(label).toContain('Top towards the core');
      expect(label).toContain('Factory edge as it hangs: right');
      expect(label).toContain(`Liner ${liner} on the table`);
      expect(label).toContain('First cut 650 off the top');
      expect(cutPlanDxf(plan)).toContain('first cut 650 mm off the top');
    }
    expect(
      cutListCsv([
        {
          order: 1,
          roll: 'R',
          strip: 1,
          tag: 'P',
          fromEdge_mm: 0,
          fromEnd_mm: 0,
          across_mm: 800,
          along_mm: 1400,
          turned: false,
          phase_mm: 650,
          factoryEdges: ['right'],
        },
      ]),
    ).toContain('650.0,right');
  });
});

describe('where are a column’s notches and slits?', () => {
  it('1030 × 2865: in the middle of the short edges, 100 mm wide at the bottom, 126 at the edge, 13 deep; the liner slit from notch to notch', () => {
    const marks = columnMarks({
      across_mm: 1030,
      along_mm: 2865,
      isQuarterTurned: false,
      notch_mm: 13,
      strip_mm: 100,
    });
    const piece: Partial<PlanPiece> = {
      across_mm: 1030,
      along_mm: 2865,
      notches: marks.notches,
      slits: marks.slits,
    };
    const plan = planOf(piece, 'up');
    expect(inDxf(plan, 'NOTCH')).toEqual([
      [
        [452, 0],
        [465, 13],
        [565, 13],
        [578, 0],
      ],
      [
        [452, 2865],
        [465, 2852],
        [565, 2852],
        [578, 2865],
      ],
    ]);
    expect(inDxf(plan, 'SLIT')).toEqual([
      [
        [465, 13],
        [465, 2852],
      ],
      [
        [565, 13],
        [565, 2852],
      ],
    ]);
    const [, ...notches] = inHpgl(plan);
    expect(notches).toHaveLength(2);
    near(
      notches[0] ?? [],
      [
        [0, 1200 - 452],
        [13, 1200 - 465],
        [13, 1200 - 565],
        [0, 1200 - 578],
      ],
      0.03,
    );
  });
  it('lying by a quarter they are in the upright edges', () => {
    expect(
      columnMarks({ across_mm: 2865, along_mm: 1030, isQuarterTurned: true, notch_mm: 13, strip_mm: 100 })
        .notches[0],
    ).toEqual([
      { x: 0, y: 452 },
      { x: 13, y: 465 },
      { x: 13, y: 565 },
      { x: 0, y: 578 },
    ]);
  });
});

describe('how is a tapered column’s film marked out with a tape?', () => {
  /**
   * Radii 1000 and 2000 over a third of a right angle: chord 2 · R · sin 15°, middle of the arc R − R · cos
   * 15° over it (plane geometry, by hand).
   */
  const sector = { inner_mm: 1000, outer_mm: 2000, angle_rad: Math.PI / 6 };
  it('radii, chords and offsets on the cut sheet; radii and chords on the label, radii in the DXF', async () => {
    const plan = planOf({ across_mm: 1035.3, along_mm: 1034.1, sector }, 'up');
    const [sheet = ''] = await textOf(await cutSheetPdf(read(plan), { paper: 'A4', units: 'metric' }));
    expect(sheet).toMatch(
      /Outer arc: radius 2000 mm, chord 1035\.3 mm; over the chord, so far from its middle: 0 mm: 68\.1 mm, 200 mm: 58\.1 mm, 400 mm: 27\.7 mm/,
    );
    expect(sheet).toMatch(/Inner arc: radius 1000 mm, chord 517\.6 mm/);
    const [label = ''] = await textOf(
      await labelsPdf(read(plan), {
        sheet: 'A4 3x8',
        addressOf: () => 'http://localhost/x',
        units: 'metric',
      }),
    );
    expect(label).toContain('Radii 1000, 2000 Chords 517.6, 1035.3');
    expect(cutPlanDxf(plan)).toContain('radii 1000.0 mm and 2000.0 mm');
  });
});
