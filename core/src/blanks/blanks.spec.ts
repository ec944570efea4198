import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CUT_METHODS } from '../job';
import {
  type CutInput,
  blankFor,
  customarySeam,
  cutBlanks,
  isMirroredOnTable,
  layoutPieceOf,
  lyingOnRoll,
  placeSeams,
  quarterTurned,
  sectorBlank,
} from '../blanks';
import { ALLOWANCES, methodsFor, RULES } from '../rules';
import { cellOf, phaseOf } from './pattern';

const input = (more: Partial<CutInput> = {}): CutInput => {
  const base = {
    aroundWidth_mm: 1180,
    aroundHeight_mm: 2140,
    method: 'decor' as const,
    direction: 'none' as const,
    rollWidths_mm: [1220, 1524],
    repeat_mm: null,
    ...more,
  };
  return { seam: customarySeam(base.method, base.direction, base.repeat_mm), ...base };
};
const areaOf = (outline: readonly { readonly x: number; readonly y: number }[]): number =>
  Math.abs(
    outline.reduce((sum, { x, y }, index) => {
      const next = outline[(index + 1) % outline.length] ?? { x, y };
      return sum + x * next.y - next.x * y;
    }, 0),
  ) / 2;

describe('does every way of fitting have its allowance?', () => {
  it('each method has one row, a reason and a source; each kind of surface a customary method', () => {
    expect(ALLOWANCES.map(({ method }) => method).sort()).toEqual([...CUT_METHODS].sort());
    for (const { reason, source } of ALLOWANCES)
      expect(reason.length > 30 && source.text.length > 5).toBe(true);
    expect([
      methodsFor('pane', 'four sides')[0]?.method,
      methodsFor('pane', 'curved glass')[0]?.method,
      methodsFor('wall', 'wall')[0]?.method,
      methodsFor('column', 'round column')[0]?.method,
      methodsFor('fixture', 'panel')[0]?.method,
      methodsFor('fixture', 'moulding')[0]?.method,
    ]).toEqual(['trim in place', 'curved, shrunk', 'decor', 'column', 'wrapped edges', 'furrow girth']);
  });
  it.each([
    ['column', 1005, 2840, 1030, 2865],
    ['curved, shrunk', 1200, 760, 1226, 810],
    ['textured wall', 1000, 1000, 1100, 1100],
    ['wrapped edges', 2350, 640, 2400, 690],
    ['furrow girth', 300, 900, 400, 1000],
  ] as const)('%s: %d × %d mm becomes %d × %d mm', (method, w, h, width, height) => {
    const blank = blankFor({ aroundWidth_mm: w, aroundHeight_mm: h, method, direction: 'none' });
    expect([blank.width_mm.value, blank.height_mm.value]).toEqual([width, height]);
  });
  it('an inside corner adds the cutting guide on its side alone; allowances of the job replace the customary ones and are shown so', () => {
    const corner = blankFor({
      aroundWidth_mm: 2000,
      aroundHeight_mm: 2500,
      method: 'decor',
      direction: 'none',
      left: 'inside corner',
      right: 'free edge',
    });
    expect(corner.sides).toMatchObject({ left_mm: 50 + RULES.cuttingGuide.value, right_mm: 50 });
    expect(corner.notes).toContainEqual({ case: 'rule', rule: 'secondSheet' });
    const own = blankFor({
      aroundWidth_mm: 1000,
      aroundHeight_mm: 1000,
      method: 'trim in place',
      direction: 'none',
      sides: { top_mm: 40, right_mm: 10, bottom_mm: 0, left_mm: 5 },
    });
    expect([own.width_mm.value, own.height_mm.value]).toEqual([1015, 1040]);
    expect(own.source.kind).toBe('measured here');
    expect(own.inputsHash).not.toBe(
      blankFor({ aroundWidth_mm: 1000, aroundHeight_mm: 1000, method: 'trim in place', direction: 'none' })
        .inputsHash,
    );
  });
  it('glass under trim is filmed too: what trim hides is added on every side, beside the allowance, and is told', () => {
    const size = {
      aroundWidth_mm: 1000,
      aroundHeight_mm: 600,
      method: 'trim in place',
      direction: 'none',
    } as const;
    const own = blankFor({ ...size, hidden_mm: 8 });
    expect([own.width_mm.value, own.height_mm.value]).toEqual([1000 + 2 * (25 + 8), 600 + 2 * (25 + 8)]);
    expect(own.over).toEqual({ top_mm: 25, right_mm: 25, bottom_mm: 25, left_mm: 25 });
    expect(own.notes).toContainEqual({ case: 'behind the trim', hidden_mm: 8 });
    expect(own.inputsHash).not.toBe(blankFor(size).inputsHash);
    expect(blankFor({ ...size, hidden_mm: 0 }).inputsHash).toBe(blankFor(size).inputsHash);
  });
  it('film that is shrunk lies with its top along the roll, is never turned by a quarter, and may be turned end for end unless it is one way', () => {
    const {
      whole,
      blanks: [blank],
    } = cutBlanks(input({ method: 'curved, shrunk', aroundWidth_mm: 1200, aroundHeight_mm: 760 }));
    expect([whole.lies, whole.mayTurn90, whole.mayTurn180]).toEqual(['top along the roll', false, true]);
    expect([blank?.across_mm, blank?.along_mm]).toEqual([810, 1226]);
    expect(
      blankFor({ aroundWidth_mm: 1200, aroundHeight_mm: 760, method: 'curved, shrunk', direction: 'one way' })
        .mayTurn180,
    ).toBe(false);
  });
});

describe('does a tapered column unroll to its sector?', () => {
  it('closed form of the frustum: area, radii and angle, within a hair', () => {
    const [C, c, h] = [1131, 942, 2840];
    const sector = sectorBlank({ foot_mm: C, top_mm: c, height_mm: h, lap_mm: 0, over_mm: 0 });
    const slant = Math.hypot(h, (C - c) / (2 * Math.PI));
    expect(sector?.outer_mm.value).toBeCloseTo((C * slant) / (C - c), 6);
    expect((sector?.outer_mm.value ?? 0) - (sector?.inner_mm.value ?? 0)).toBeCloseTo(slant, 6);
    expect((sector?.angle_rad.value ?? 0) * (sector?.inner_mm.value ?? 0)).toBeCloseTo(c, 6);
    expect(areaOf(sector?.outline ?? []) / (((C + c) / 2) * slant)).toBeCloseTo(1, 5);
  });
  it('the lap widens it by 25 mm along the foot, the ends grow by half the height allowance each', () => {
    const bare = sectorBlank({ foot_mm: 1131, top_mm: 942, height_mm: 2840, lap_mm: 0, over_mm: 0 });
    const cut = sectorBlank({ foot_mm: 1131, top_mm: 942, height_mm: 2840, lap_mm: 25, over_mm: 12.5 });
    expect(
      ((cut?.angle_rad.value ?? 0) - (bare?.angle_rad.value ?? 0)) * (bare?.outer_mm.value ?? 0),
    ).toBeCloseTo(25, 6);
    expect((cut?.height_mm ?? 0) - (bare?.height_mm ?? 0)).toBeGreaterThan(24);
  });
  it('a straight one has no sector; narrower at the foot stands on its head; wider than the roll it is cut in parts that add up', () => {
    expect(
      sectorBlank({ foot_mm: 1005, top_mm: 1005, height_mm: 2840, lap_mm: 25, over_mm: 12.5 }),
    ).toBeUndefined();
    expect(
      sectorBlank({ foot_mm: 942, top_mm: 1131, height_mm: 2840, lap_mm: 0, over_mm: 0 })?.width_mm,
    ).toBe(sectorBlank({ foot_mm: 1131, top_mm: 942, height_mm: 2840, lap_mm: 0, over_mm: 0 })?.width_mm);
    const { blanks } = cutBlanks(
      input({
        method: 'column',
        direction: 'along the roll',
        aroundWidth_mm: 2600,
        aroundHeight_mm: 2840,
        column: { foot_mm: 2600, top_mm: 2300, height_mm: 2840 },
      }),
    );
    expect(blanks.length).toBe(2);
    const part = blanks[0]?.sector;
    expect((part?.angle_rad.value ?? 0) * (part?.outer_mm.value ?? 0)).toBeCloseTo(1300 + 25, 3);
  });
});

describe('where do seams fall?', () => {
  const spans = fc.array(fc.tuple(fc.integer({ min: 0, max: 6000 }), fc.integer({ min: 50, max: 500 })), {
    maxLength: 3,
  });
  const asked = fc.record({
    whole_mm: fc.integer({ min: 300, max: 9000 }),
    roll_mm: fc.constantFrom(914, 1220, 1370, 1524),
    lap_mm: fc.constantFrom(0, 25, 50),
    placing: fc.constantFrom('equal drops' as const, 'full width and strip' as const),
    hiddenAt_mm: fc.array(fc.integer({ min: 1, max: 9000 }), { maxLength: 4 }),
    keptFree: spans.map((list) => list.map(([from, length]) => [from, from + length] as const)),
  });
  it('whatever is asked: the drops cover all, lap by just the lap, none is wider than the roll; slivers and seams kept off only where named', () => {
    fc.assert(
      fc.property(asked, (wanted) => {
        const { widths, starts, seams, broken } = placeSeams(wanted);
        expect(starts[0]).toBe(0);
        widths.forEach((width, index) => {
          expect(width).toBeLessThanOrEqual(wanted.roll_mm + 0.11);
          if (index > 0)
            expect(
              (starts[index - 1] ?? 0) + (widths[index - 1] ?? 0) - (starts[index] ?? 0),
            ).toBeGreaterThanOrEqual(wanted.lap_mm - 1e-6);
        });
        expect((starts.at(-1) ?? 0) + (widths.at(-1) ?? 0)).toBeGreaterThanOrEqual(wanted.whole_mm - 1e-6);
        if (broken.length > 0) return;
        if (widths.length > 1)
          for (const width of widths) expect(width).toBeGreaterThanOrEqual(RULES.sliver.value - 1e-6);
        for (const seam of seams)
          for (const [from, to] of wanted.keptFree)
            expect(seam > from + 1e-6 && seam < to - 1e-6).toBe(false);
      }),
      { numRuns: 120 },
    );
  });
  it('a mullion near the even place takes the seam; without one drops are even', () => {
    expect(
      placeSeams({
        whole_mm: 2000,
        roll_mm: 1220,
        lap_mm: 0,
        placing: 'equal drops',
        hiddenAt_mm: [],
        keptFree: [],
      }).seams,
    ).toEqual([1000]);
    expect(
      placeSeams({
        whole_mm: 2000,
        roll_mm: 1220,
        lap_mm: 0,
        placing: 'equal drops',
        hiddenAt_mm: [1090],
        keptFree: [],
      }).seams,
    ).toEqual([1090]);
    expect(
      placeSeams({
        whole_mm: 2000,
        roll_mm: 1220,
        lap_mm: 0,
        placing: 'full width and strip',
        hiddenAt_mm: [],
        keptFree: [],
      }).widths,
    ).toEqual([1220, 780]);
  });
  it('one step short of a sliver: 1320 mm on a 1220 roll is not cut 1220 and 100', () => {
    const { widths } = placeSeams({
      whole_mm: 1320,
      roll_mm: 1220,
      lap_mm: 0,
      placing: 'full width and strip',
      hiddenAt_mm: [],
      keptFree: [],
    });
    expect(Math.min(...widths)).toBeGreaterThanOrEqual(150);
  });
  it('an outside corner keeps the last 300 mm of a wall whole', () => {
    const { seams, blanks } = cutBlanks(
      input({
        aroundWidth_mm: 2500,
        right: 'outside corner',
        rollWidths_mm: [1220],
        direction: 'along the roll',
      }),
    );
    expect(blanks.length).toBe(3);
    for (const at of seams.at_mm) expect(at).toBeLessThanOrEqual(2600 - 50 - 300 + 1e-6);
  });
  it('no width known, none wide enough, a repeat of 0: said, never guessed', () => {
    expect(cutBlanks(input({ rollWidths_mm: [] })).notes).toContainEqual({ case: 'no roll width known' });
    expect(cutBlanks(input({ repeat_mm: 0 })).notes).toContainEqual({ case: 'pattern repeats every 0' });
    expect(cutBlanks(input({ aroundWidth_mm: 5000, aroundHeight_mm: 4000 })).blanks.length).toBeGreaterThan(
      2,
    );
  });
});

describe('how long is a patterned piece cut?', () => {
  it('a door of one piece as long as it is: its pattern meets nothing', () => {
    const { blanks } = cutBlanks(
      input({
        aroundWidth_mm: 880,
        aroundHeight_mm: 2010,
        direction: 'along the roll',
        repeat_mm: 1000,
        rollWidths_mm: [1220],
      }),
    );
    expect(blanks.map(({ along_mm, cell_mm, phase_mm }) => [along_mm, cell_mm, phase_mm])).toEqual([
      [2110, 2110, 0],
    ]);
  });
  it('three drops of 736 that must meet: each 736, a whole repeat from one to the next', () => {
    const { blanks } = cutBlanks(
      input({
        aroundWidth_mm: 2950,
        aroundHeight_mm: 636,
        direction: 'along the roll',
        repeat_mm: 1000,
        rollWidths_mm: [1220],
      }),
    );
    expect(blanks.map(({ along_mm, cell_mm }) => [along_mm, cell_mm])).toEqual([
      [736, 1000],
      [736, 1000],
      [736, 1000],
    ]);
  });
});

describe('does curved or vehicle glass get a seam?', () => {
  it('1480 high with 25 over at both ends on a roll of 1524: short by 6 mm, 22 mm over would do; one piece', () => {
    const { blanks, tooWide, notes } = cutBlanks(
      input({
        aroundWidth_mm: 900,
        aroundHeight_mm: 1480,
        method: 'curved, shrunk',
        rollWidths_mm: [1524],
        maySeam: false,
      }),
    );
    expect(blanks).toHaveLength(1);
    expect(tooWide).toEqual({ by_mm: 6, over_mm: 22, sides: 'top and bottom' });
    expect(notes).toContainEqual({ case: 'too wide', ...tooWide });
  });
  it('higher than any allowance helps: only a wider roll', () => {
    expect(
      cutBlanks(
        input({
          aroundWidth_mm: 900,
          aroundHeight_mm: 1600,
          method: 'curved, shrunk',
          rollWidths_mm: [1524],
          maySeam: false,
        }),
      ).tooWide?.over_mm,
    ).toBeUndefined();
  });
});

describe('does the pattern meet?', () => {
  it('straight match: every drop takes whole repeats, so that all laid one behind the other keep the phase', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 4000 }),
        fc.integer({ min: 20, max: 1300 }),
        fc.constantFrom('straight' as const, 'half drop' as const),
        fc.constantFrom('save film' as const, 'centre the pattern' as const),
        (length, repeat, match, first) => {
          let at = 0;
          for (let drop = 0; drop < 5; drop += 1) {
            const phase = phaseOf(match, first, drop, length, repeat);
            const cell = cellOf(length, phase, repeat).value;
            const start = at + phase;
            const wanted =
              phaseOf(match, first, 0, length, repeat) +
              (match === 'half drop' && drop % 2 === 1 ? repeat / 2 : 0);
            const off = (((start - wanted) % repeat) + repeat) % repeat;
            expect(Math.min(off, repeat - off)).toBeLessThan(0.21);
            expect(cell).toBeGreaterThanOrEqual(length + phase - 0.11);
            expect(cell - length - phase).toBeLessThan(repeat + 0.11);
            at += cell;
          }
        },
      ),
      { numRuns: 80 },
    );
  });
  it('a 2450 mm drop with a repeat of 640 takes 2560 mm; every other one of a half drop 3200 mm', () => {
    expect(cellOf(2450, 0, 640).value).toBe(2560);
    expect(cellOf(2450, phaseOf('half drop', 'save film', 1, 2450, 640), 640).value).toBe(3200);
  });
  it('centred, the middle of the drop falls on the middle of a repeat', () => {
    const phase = phaseOf('straight', 'centre the pattern', 0, 2450, 640);
    expect((phase + 2450 / 2) % 640).toBeCloseTo(320, 6);
  });
  it('a patterned wall lies whole repeats apart and may not be turned', () => {
    const { blanks, whole } = cutBlanks(
      input({
        aroundWidth_mm: 3000,
        aroundHeight_mm: 2400,
        direction: 'along the roll',
        repeat_mm: 1000,
        rollWidths_mm: [1220],
      }),
    );
    expect(blanks.every(({ along_mm, cell_mm }) => along_mm === 2500 && cell_mm === 3000)).toBe(true);
    expect(
      layoutPieceOf(
        { whole },
        blanks[0] ??
          (() => {
            throw new Error('none');
          })(),
        'a',
        false,
      ).mayTurn90,
    ).toBe(false);
  });
});

describe('which side is up at the table?', () => {
  const shape = [
    { x: 0, y: 0 },
    { x: 300, y: 0 },
    { x: 200, y: 500 },
    { x: 0, y: 500 },
  ];
  it('film on the side the surface is seen from is mirrored when it lies liner up; on the other side, or liner down, it is not', () => {
    expect(isMirroredOnTable('room', 'room', 'up')).toBe(true);
    expect(isMirroredOnTable('room', 'outside', 'up')).toBe(false);
    expect(isMirroredOnTable('room', 'room', 'down')).toBe(false);
    expect(isMirroredOnTable('side A', 'side B', 'down')).toBe(true);
  });
  it('laid with the top towards one, liner up, the corner that hangs right lies right; liner down left', () => {
    expect(lyingOnRoll(shape, 300, 'room', 'room', 'up')).toEqual(shape);
    expect(lyingOnRoll(shape, 300, 'room', 'room', 'down')).toEqual([
      { x: 300, y: 0 },
      { x: 0, y: 0 },
      { x: 100, y: 500 },
      { x: 300, y: 500 },
    ]);
  });
  it('turned by a quarter four times it is itself again; its top then lies at the left edge', () => {
    const once = quarterTurned(shape, 300);
    expect(once.filter(({ x }) => x === 0).length).toBe(2);
    expect(quarterTurned(quarterTurned(quarterTurned(once, 500), 300), 500)).toEqual(shape);
  });
});
