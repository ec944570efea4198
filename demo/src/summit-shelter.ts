import type { Op } from '@yellow-pane/contracts';
import { type PlacedPiece, layOutInLevels } from '@yellow-pane/core/packing';
import type { WorkStep } from '@yellow-pane/core/ways';
import { NEW_PLACE, NEW_SURFACE, NOT_BEGUN, NEW_JOB } from '@yellow-pane/core/job';
import { nmFromMm } from '@yellow-pane/core/quantity';
import { type JobView, blankOf } from '@yellow-pane/core/reading';
import { climateUp } from './climate';
import { demoId } from './demo-id';
import { unit } from './glass-unit-ops';
import { UNITS } from './places';
import { viewOfOps } from './rows-of-ops';
import { SUMMIT_MONEY, summitCloseOps } from './summit-close';
import { summitCheckOps } from './summit-check';
import { measureOps } from './surfaces';

const FIRST = 900;
const ROLL_MM = 1220;
const WIDTH_MM = 1010;
const HEIGHT_MM = 1220;
const FINISHED_AT = '2026-06-11T14:20:00.000Z';
/** The third window was made anew for a crease, from an offcut. */
const REDONE = 2;
const REDONE_AT = '2026-11-09T13:40:00.000Z';
const OFFCUT_MM = { width: 1100, length: 1350 };

const TAGS = ['ST1', 'ST2', 'ST3'] as const;
/** The earlier job: three panes of the summit shelter, measured, cut and fitted. */
export function summitOps(jobId: string, steps: readonly WorkStep[]): readonly Op[] {
  const ops = fittedOps(jobId, steps);
  return [...ops, ...summitCheckOps(ops)];
}

function fittedOps(jobId: string, steps: readonly WorkStep[]): readonly Op[] {
  const windows = windowsOps(jobId);
  const cut = [...windows, ...cutOps(viewOfOps(windows))];
  return [...cut, ...summitCloseOps(viewOfOps(windows)), ...TAGS.flatMap((_, n) => workOps(n, steps))];
}

function windowsOps(jobId: string): readonly Op[] {
  const place = demoId('place', FIRST);
  return [
    {
      op: 'put',
      table: 'job',
      id: jobId,
      fields: {
        ...{ ...NEW_JOB, ...SUMMIT_MONEY },
        ...{ name: 'Summit shelter (finished in June)', entryUnit: 'mm' },
      },
    },
    {
      op: 'put',
      table: 'place',
      id: place,
      fields: {
        ...{ ...NEW_PLACE, name: 'Summit shelter', bearing_deg: 180, position: 1 },
        ...{ latitude_deg: 46.6, longitude_deg: 9.72, altitude_m: 2150, climate: climateUp(6) },
      },
    },
    ...unit(UNITS.summit, 'Double 6-16-6', 'double', 'wood', 'gasket', [
      ['annealed', 6, 16],
      ['annealed', 6, null],
    ]),
    ...TAGS.flatMap((tag, n) => windowOps(place, tag, n)),
  ];
}

/** One window: the surface, its measures and its film. */
function windowOps(placeId: string, tag: string, n: number): readonly Op[] {
  const surfaceId = demoId('surface', FIRST + n);
  const [width, height] = [String(WIDTH_MM), String(HEIGHT_MM)];
  return [
    {
      op: 'put',
      table: 'surface',
      id: surfaceId,
      fields: {
        ...NEW_SURFACE,
        placeId,
        unitId: demoId('unit', UNITS.summit),
        tag,
        name: `south window ${n + 1}`,
        condition: 'sound',
        position: n,
      },
    },
    ...measureOps('four sides', surfaceId, 9000 + n * 30, [
      ...[width, '', width],
      ...[height, '', height],
      ...['1584', ''],
    ]),
    {
      op: 'put',
      table: 'application',
      id: demoId('application', FIRST + n),
      fields: {
        surfaceId,
        side: 'room',
        filmId: demoId('film', 3),
        method: 'trim in place',
        schools: {},
        over: null,
        position: 1,
      },
    },
  ];
}

/** The plan they were cut by, from a roll that is used up. */
function cutOps(view: JobView): readonly Op[] {
  const cut = TAGS.flatMap((_, n) => {
    const application = view.applicationById.get(demoId('application', FIRST + n));
    const today = application === undefined ? undefined : blankOf(view, application);
    const [blank] = today?.kind === 'blanks' ? today.blanks.blanks : [];
    return blank === undefined || today?.kind !== 'blanks'
      ? []
      : [{ blank, id: demoId('application', FIRST + n), inputsHash: today.blanks.inputsHash }];
  });
  const plan = layOutInLevels({
    rollWidth_mm: ROLL_MM,
    pieces: cut.map(({ id, blank }) => ({
      id,
      across_mm: blank.across_mm,
      along_mm: blank.along_mm,
      mayTurn90: false,
    })),
  });
  const hash = cut[0]?.inputsHash ?? '';
  return [
    planOp(nmFromMm(plan.length_mm.value), Math.floor(nmFromMm(plan.bound_mm.value))),
    rollOp(nmFromMm(plan.length_mm.value)),
    offcutOp(),
    ...plan.placed.map((piece, n) => pieceOp(piece, n, hash)),
    ...redoneOps(plan.placed, hash),
  ];
}

function planOp(lengthUsed_nm: number, bound_nm: number): Op {
  return {
    op: 'put',
    table: 'cutPlan',
    id: demoId('plan', FIRST),
    fields: {
      filmId: demoId('film', 3),
      mode: 'by hand',
      stages: 3,
      gap_nm: 0,
      endWaste_nm: 0,
      mostSheet_nm: null,
      objective: 'length',
      liner: 'up',
      edgeMust: false,
      lengthUsed_nm,
      bound_nm,
      filmCost: 0,
      cost: 0,
      filmBound: 0,
      stopped: 'optimal',
    },
  };
}

function rollOp(used_nm: number): Op {
  return {
    op: 'put',
    table: 'cutRoll',
    id: demoId('cutRoll', FIRST),
    fields: {
      planId: demoId('plan', FIRST),
      stockId: null,
      what: 'roll',
      label: 'used up in June',
      lot: 'N50-2119',
      width_nm: nmFromMm(ROLL_MM),
      length_nm: nmFromMm(5000),
      used_nm,
      leftEdge: true,
      rightEdge: true,
      position: 0,
      ticks: [],
      bookedAt: FINISHED_AT,
    },
  };
}

/** The roll again, for one piece: an offcut that was left. */
function offcutOp(): Op {
  const roll = rollOp(nmFromMm(OFFCUT_MM.length));
  return {
    ...roll,
    id: demoId('cutRoll', FIRST + 1),
    fields: {
      ...(roll.op === 'put' ? roll.fields : {}),
      ...{ what: 'offcut', label: 'offcut of June', position: 1, bookedAt: REDONE_AT, leftEdge: false },
      ...{ width_nm: nmFromMm(OFFCUT_MM.width), length_nm: nmFromMm(OFFCUT_MM.length) },
    },
  } as Op;
}

/** The piece cut a second time, in the corner of its offcut. */
function redoneOps(placed: readonly PlacedPiece[], inputsHash: string): readonly Op[] {
  const piece = placed.find(({ id }) => id === demoId('application', FIRST + REDONE));
  if (piece === undefined) return [];
  const again = pieceOp({ ...piece, x_mm: 0, y_mm: 0, level: 0 }, REDONE, inputsHash);
  return [
    {
      ...again,
      id: demoId('piece', FIRST + TAGS.length),
      fields: {
        ...(again.op === 'put' ? again.fields : {}),
        ...{ rollId: demoId('cutRoll', FIRST + 1), spoiledAt: null, cutAt: REDONE_AT, position: TAGS.length },
      },
    } as Op,
  ];
}

function pieceOp(piece: PlacedPiece, n: number, inputsHash: string): Op {
  return {
    op: 'put',
    table: 'cutPiece',
    id: demoId('piece', FIRST + n),
    fields: {
      planId: demoId('plan', FIRST),
      rollId: demoId('cutRoll', FIRST),
      applicationId: piece.id,
      drop: 1,
      dropOf: 1,
      phase_nm: 0,
      outline: null,
      notch_nm: 0,
      sector: null,
      topAlong: false,
      flipped: false,
      pinned: false,
      spoiledAt: piece.id === demoId('application', FIRST + REDONE) ? REDONE_AT : null,
      tag: TAGS[n] ?? '',
      position: n,
      level: piece.level,
      x_nm: nmFromMm(piece.x_mm),
      y_nm: nmFromMm(piece.y_mm),
      across_nm: nmFromMm(piece.across_mm),
      along_nm: nmFromMm(piece.along_mm),
      turned: piece.turned,
      inputsHash,
      cutAt: FINISHED_AT,
    },
  };
}

/** Every step of a window, done. */
/** How long each step took beside what it usually takes: invented. */
const PACE = [1.1, 0.9, 1.3, 0.8, 1.05] as const;
const MINUTE_MS = 60_000;
const FIRST_DONE_BEFORE_MS = 90 * MINUTE_MS;

/** Ticked one after the other, the last when the window was finished. */
function workOps(n: number, steps: readonly WorkStep[]): readonly Op[] {
  const took = steps.map(({ minutes }, index) => minutes.value * (PACE[(index + n) % PACE.length] ?? 1));
  // One window after the other: nobody works at two.
  const end_ms = Date.parse(n === REDONE ? REDONE_AT : FINISHED_AT) - (n === 0 ? FIRST_DONE_BEFORE_MS : 0);
  const after = (index: number): number => took.slice(index + 1).reduce((sum, own) => sum + own, 0);
  const instant = (before_min: number): string => new Date(end_ms - before_min * MINUTE_MS).toISOString();
  return steps.map(({ template, step, templateVersion, wets }, index) => ({
    op: 'put',
    table: 'workRecord',
    id: demoId('work', n * 100 + index + 1),
    fields: {
      applicationId: demoId('application', FIRST + n),
      template,
      step,
      templateVersion,
      ...NOT_BEGUN,
      startedAt: instant(after(index) + (took[index] ?? 0)),
      doneAt: instant(after(index)),
      people: [n === 1 ? 'Linnet' : 'Wren'],
      mix: wets === null ? '' : 'household, a cap to the bottle',
      note: n === REDONE ? 'Laid before on 11 June 2026 by Wren; remade for mark 1.' : '',
    },
  }));
}
