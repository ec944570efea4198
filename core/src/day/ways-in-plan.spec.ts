import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CUT_METHODS, FAMILY_NAMES, SHAPES_OF_KIND, type SurfaceKind, type SurfaceShape } from '../job';
import { methodAfter } from '../blanks';
import { SCHOOLS, SCHOOL_KEYS, type WorkStepsInput, stepsLeftOut, wayFor, workStepsFor } from '../ways';
import { waitOf } from '../waiting';
import { type DaySurface, dayProblem, kitList, mixSheet } from './index';

const anyCase = fc.record({
  method: fc.constantFrom(...CUT_METHODS),
  condition: fc.constantFrom('sound' as const, 'unknown' as const),
  isSecurityFilm: fc.boolean(),
  isOutside: fc.boolean(),
  isVehicle: fc.boolean(),
  isWall: fc.boolean(),
  isPlastic: fc.boolean(),
  isStiff: fc.boolean(),
  isOverhead: fc.boolean(),
  hasInsideCorner: fc.boolean(),
  hasObstacles: fc.boolean(),
  isCold: fc.boolean(),
  primer: fc.constantFrom('water-based' as const, 'solvent-based' as const),
  texture: fc.constantFrom('glazed block' as const, 'brick' as const, 'unknown' as const),
  oldFilm: fc.constantFrom('none' as const, 'film' as const),
  people: fc.constantFrom(1 as const, 2 as const, 'unknown' as const),
  partsOff: fc.nat(3),
  drops: fc.integer({ min: 1, max: 5 }),
  seam: fc.constantFrom('none' as const, 'double cut' as const, 'lap over promoter' as const),
  area_m2: fc.double({ min: 0.1, max: 12, noNaN: true }),
  edge_m: fc.double({ min: 1, max: 20, noNaN: true }),
  top_m: fc.double({ min: 0.5, max: 5, noNaN: true }),
  schools: fc.dictionary(
    fc.constantFrom(...SCHOOL_KEYS),
    fc.constantFrom(...SCHOOL_KEYS.flatMap((key) => SCHOOLS[key].options.map(({ value }): string => value))),
    { maxKeys: 8 },
  ),
});
const AIR = { air_C: 20, humidity: 0.5 };
const problemOf = (own: WorkStepsInput) =>
  dayProblem({
    surfaces: [
      {
        ...own,
        applicationId: 'A',
        tag: 'X',
        place: '',
        room: null,
        fitness: null,
        done: new Map(),
        confirmed: new Set<string>(),
      } satisfies DaySurface,
    ],
    people: [],
    tools: [],
    fitness: [],
    air: AIR,
    primer: own.primer ?? 'water-based',
    pins: new Map(),
    now: 0,
    horizon: 10_000,
  });

describe('what holds for any surface, film and school?', () => {
  it('each step is done or left out, each once, and hands over once', () => {
    fc.assert(
      fc.property(anyCase, (own) => {
        const steps = workStepsFor(own);
        const keys = steps.map(({ step }) => step);
        expect(keys.length).toBeGreaterThan(3);
        expect(keys.filter((key) => key.startsWith('handover'))).toHaveLength(1);
        for (const { step } of stepsLeftOut(own)) expect(keys).not.toContain(step);
        for (const kind of ['liner-', 'lock-']) {
          const all = (wayFor(own)?.steps ?? []).filter(({ key }) => key.startsWith(kind)).length;
          if (all > 1) expect([kind, keys.filter((key) => key.startsWith(kind)).length]).toEqual([kind, 1]);
        }
      }),
      { seed: 22, numRuns: 150 },
    );
  });
  it('solvent and gun are never one step, nor two in one stretch', () => {
    fc.assert(
      fc.property(anyCase, (own) => {
        for (const { parts } of problemOf(own).works.values()) {
          const hasSolvent = parts.some(({ cautions }) => cautions.some(({ key }) => key === 'solvent'));
          const hasGun = parts.some(({ shared }) => shared.includes('heat gun'));
          expect(hasSolvent && hasGun).toBe(false);
        }
      }),
      { seed: 22, numRuns: 150 },
    );
  });
  it('every most of a wait is kept: inside a stretch nothing is waited for, between stretches the lag has it', () => {
    fc.assert(
      fc.property(anyCase, (own) => {
        const { works, problem } = problemOf(own);
        const order = [...works.values()];
        for (const { parts } of order)
          for (const { then } of parts.slice(0, -1)) expect(then === null || then.least === 0).toBe(true);
        order.slice(0, -1).forEach((work, index) => {
          const then = work.parts.at(-1)?.then ?? null;
          const lag = problem.lags.find(({ from, to }) => from === work.id && to === order[index + 1]?.id);
          const least =
            then === null
              ? 0
              : typeof then.least === 'number'
                ? then.least
                : (waitOf(then.least, AIR)?.likely ?? 0);
          expect(lag).toMatchObject({
            least,
            most: then?.most === undefined ? null : Math.max(then.most, least),
          });
        });
      }),
      { seed: 22, numRuns: 150 },
    );
  });
  it('beads that are out are in again the same day, on whatever path', () => {
    fc.assert(
      fc.property(anyCase, (own) => {
        const { works, problem } = problemOf({ ...own, method: 'security' });
        const workWith = (step: string) =>
          [...works.values()].find(({ parts }) => parts.some((part) => part.step === step));
        const [out, back] = [workWith('beads-out'), workWith('beads-in')];
        if (out?.id === back?.id) return;
        expect(problem.lags).toContainEqual(
          expect.objectContaining({ from: out?.id, to: back?.id, most: 540 }),
        );
      }),
      { seed: 22, numRuns: 60 },
    );
  });
  it('every tool a step names is in the kit or used up, every liquid on the mix sheet', () => {
    fc.assert(
      fc.property(anyCase, (own) => {
        const steps = workStepsFor(own);
        const { tools, usedUp } = kitList([{ ...own, tag: 'X' }], steps);
        const liquids = new Set<string>(
          mixSheet({ surfaces: [own], slip: 'household', primer: own.primer, air_C: 20 }).map(
            ({ liquid }) => liquid,
          ),
        );
        const packed = new Set(tools.map(({ word }) => word));
        for (const tool of steps.flatMap((step) => step.tools)) {
          const isUsedUp = ['blade', 'paper', 'tape', 'cloth'].some(
            (kind) => tool.includes(kind) && usedUp.some(({ word }) => word.includes(kind)),
          );
          expect([tool, packed.has(tool) || isUsedUp || liquids.has(tool)]).toEqual([tool, true]);
        }
        if (steps.some(({ slip_l }) => slip_l !== undefined)) expect(liquids).toContain('slip');
      }),
      { seed: 22, numRuns: 150 },
    );
  });
  it('every kind, shape and family of film has a way that suits it; of columns with four sides nobody knows one', () => {
    for (const [kind, shapes] of Object.entries(SHAPES_OF_KIND) as [SurfaceKind, readonly SurfaceShape[]][])
      for (const shape of shapes)
        for (const family of FAMILY_NAMES) {
          const way = wayFor({ method: methodAfter({ kind, shape, family }, undefined), family, shape });
          expect([shape, family, way !== undefined]).toEqual([shape, family, shape !== 'square column']);
          if (kind !== 'pane')
            expect([shape, family, way?.steps.some(({ slip }) => slip !== undefined) ?? false]).toEqual([
              shape,
              family,
              false,
            ]);
        }
  });
  it('film that stays outside has no inside step; a glazed face no gun; a coated or plastic face no blade', () => {
    fc.assert(
      fc.property(anyCase, (own) => {
        const keys = workStepsFor({ ...own, isOutside: true, method: 'curved, shrunk' }).map(
          ({ step }) => step,
        );
        expect(
          keys.filter((key) => ['clean-inside', 'roll-in', 'press-inside', 'edge-folds'].includes(key)),
        ).toEqual([]);
        expect(
          workStepsFor({ ...own, method: 'textured wall', texture: 'glazed block' }).map(({ step }) => step),
        ).not.toContain('face');
        const clean = workStepsFor({ ...own, method: 'trim in place', isPlastic: true }).find(({ step }) =>
          step.startsWith('clean'),
        );
        expect(clean?.tools).not.toContain('scraper');
      }),
      { seed: 22, numRuns: 60 },
    );
  });
});
