import { describe, expect, it } from '@jest/globals';
import { CUT_METHODS } from '../job';
import { CAUTIONS, type WorkStepsInput, heldBackBy, workStepsFor } from './index';

const of = (method: WorkStepsInput['method'], more: Partial<WorkStepsInput> = {}) =>
  workStepsFor({
    condition: 'sound',
    isSecurityFilm: method === 'security',
    area_m2: 2,
    edge_m: 6,
    ...(method === undefined ? {} : { method }),
    ...more,
  });
const at = (step: string, ...asked: Parameters<typeof of>): readonly string[] =>
  of(...asked)
    .find((own) => own.step === step)
    ?.cautions.map(({ key }) => key) ?? [];

/** `trade.md` 11: the danger, a case, and the step it belongs to. */
const HERE: readonly (readonly [string, string, WorkStepsInput['method'], Partial<WorkStepsInput>])[] = [
  ['rescueGlass', 'protect', 'trim in place', { isRescueGlass: 'yes' }],
  ['gunAndSpray', 'shrink-folds', 'curved, shrunk', {}],
  ['oldPaint', 'sand', 'decor', {}],
  ['oldPaint', 'face', 'textured wall', { isWall: true }],
  ['hotWall', 'face', 'textured wall', { isWall: true }],
  ['hotWall', 'fire-watch', 'textured wall', { isWall: true }],
  ['heaterLines', 'clean-inside', 'curved, shrunk', { hasHeaterLines: true }],
  ['hurtWindscreen', 'shrink-folds', 'curved, shrunk', { isVehicle: true, condition: 'chipped' }],
  ['vehicleParts', 'reach', 'curved, shrunk', { isVehicle: true }],
  ['smoke', 'shrink-folds', 'curved, shrunk', {}],
  ['closedCar', 'clean-inside', 'curved, shrunk', { isVehicle: true }],
  ['bladePoints', 'trim', 'trim in place', {}],
  ['causticWash', 'wash', 'textured wall', {}],
  ['mortarDust', 'brush', 'textured wall', { texture: 'brick' }],
  ['weight', 'beads-out', 'security', { pane_kg: 30 }],
  ['looseGlass', 'beads-out', 'security', {}],
  ['platform', 'squeeze', 'trim in place', { top_m: 2.4 }],
  ['plastic', 'shrink-folds', 'curved, shrunk', { isPlastic: true }],
  ['doorMarkings', 'handover', 'trim in place', { foot_m: 0.02 }],
  ['chippedEdge', 'clean', 'trim in place', { isToughened: true, isEdgeExposed: true }],
  ['wiredBead', 'beads-out', 'security', { isWired: true }],
  ['freshFilm', 'handover', 'trim in place', {}],
  ['photosOfHomes', 'edges', 'trim in place', {}],
  ['noPower', 'shrink-folds', 'curved, shrunk', { power: 'no' }],
];
/** The same step where there is no such danger. */
const NOT_HERE: readonly (readonly [string, string, WorkStepsInput['method'], Partial<WorkStepsInput>])[] = [
  ['rescueGlass', 'protect', 'trim in place', { isRescueGlass: 'yes', hasConsent: true }],
  ['rescueGlass', 'protect', 'trim in place', { isRescueGlass: 'no' }],
  ['chippedEdge', 'clean', 'trim in place', { isToughened: true }],
  ['oldPaint', 'sand', 'decor', { mayBeOldPaint: false }],
  ['hotWall', 'post-heat', 'wrapped edges', {}],
  ['heaterLines', 'clean-inside', 'curved, shrunk', {}],
  ['hurtWindscreen', 'shrink-folds', 'curved, shrunk', { isVehicle: true }],
  ['mortarDust', 'brush', 'textured wall', { texture: 'painted plasterboard' }],
  ['weight', 'beads-out', 'security', { pane_kg: 12 }],
  ['platform', 'squeeze', 'trim in place', { top_m: 1.8 }],
  ['doorMarkings', 'handover', 'trim in place', { foot_m: 0.9 }],
  ['noPower', 'shrink-folds', 'curved, shrunk', { power: 'yes' }],
];

describe('is every danger said at its step, and only where it is?', () => {
  it.each(HERE)('%s at %s', (key, step, method, more) => {
    expect(at(step, method, more)).toContain(key);
  });
  it.each(NOT_HERE)('no %s at %s', (key, step, method, more) => {
    expect(at(step, method, more)).not.toContain(key);
  });
  it('every danger there is belongs to some step of some way', () => {
    const everything: Partial<WorkStepsInput> = {
      isRescueGlass: 'yes',
      condition: 'chipped',
      isVehicle: true,
      isWall: true,
      isPlastic: true,
      isToughened: true,
      isEdgeExposed: true,
      isWired: true,
      hasHeaterLines: true,
      oldFilm: 'film',
      power: 'no',
      top_m: 3,
      foot_m: 0,
      texture: 'brick',
      hasInsideCorner: true,
      primer: 'solvent-based',
    };
    const said = new Set(
      CUT_METHODS.flatMap((method) => of(method, everything)).flatMap(({ cautions }) =>
        cautions.map(({ key }) => key),
      ),
    );
    expect(CAUTIONS.map(({ key }) => key).filter((key) => !said.has(key))).toEqual([]);
  });
  it('two people from 25 kg at beads and sash, whatever the size', () => {
    const crew = (pane_kg: number) =>
      of('security', { area_m2: 0.6, pane_kg }).find(({ step }) => step === 'beads-out')?.crew;
    expect([crew(24.9), crew(25)]).toEqual([1, 2]);
  });
});

describe('in whose units is it said?', () => {
  it('2 m are 6.6 ft, 25 kg 55 lb', () => {
    const said = (units: 'metric' | 'imperial', key: string) =>
      of('security', { top_m: 2.4, pane_kg: 30, units })
        .flatMap(({ cautions }) => cautions)
        .find((own) => own.key === key);
    expect([said('metric', 'platform')?.word, said('imperial', 'platform')?.word]).toEqual([
      'Above 2 m',
      'Above 6.6 ft',
    ]);
    expect(said('metric', 'weight')?.says).toContain('25 kg');
    expect(said('imperial', 'weight')?.says).toContain('55 lb');
  });
});

describe('what holds a step back?', () => {
  const first = (more: Partial<WorkStepsInput>) => {
    const steps = of('trim in place', more);
    return { steps, step: steps[0] ?? { cautions: [] } };
  };
  it('rescue glass: no word lifts it, only consent', () => {
    const { steps, step } = first({ isRescueGlass: 'yes' });
    expect(heldBackBy(step, steps, new Map([['protect', 'the driver said it is fine']]))?.key).toBe(
      'rescueGlass',
    );
    for (const own of steps) expect(heldBackBy(own, steps, new Map())?.key).toBe('rescueGlass');
    const agreed = first({ isRescueGlass: 'yes', hasConsent: true });
    expect(heldBackBy(agreed.step, agreed.steps, new Map())).toBeUndefined();
  });
  it('chipped glass: a word at any step that has the danger, once for all of them', () => {
    const { steps, step } = first({ condition: 'chipped' });
    expect(heldBackBy(step, steps, new Map())?.key).toBe('crackedGlass');
    expect(heldBackBy(step, steps, new Map([['clean', 'glazier looked at it on Monday']]))).toBeUndefined();
    expect(heldBackBy(step, steps, new Map([['clean', '  ']]))?.key).toBe('crackedGlass');
  });
  it('sound glass holds nothing back', () => {
    const { steps } = first({});
    for (const step of steps) expect(heldBackBy(step, steps, new Map())).toBeUndefined();
  });
});
