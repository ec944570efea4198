import { describe, expect, it } from '@jest/globals';
import { BLANK_FORMULAS, LAYOUT_FORMULAS, blankFor, layOutInLevels } from './cutting';
import { SLIP_FORMULAS, SLIP_MIXES, slipNeeded, slipShare } from './fitting';
import { SIZE_FORMULAS, checkFlatPane } from './measure';
import type { Formula, Step } from './quantity';

const FORMULAS = [...Object.values(SIZE_FORMULAS), ...Object.values(BLANK_FORMULAS), ...Object.values(LAYOUT_FORMULAS), ...Object.values(SLIP_FORMULAS)] as unknown as Formula<Record<string, number>>[];

const pane = checkFlatPane([['tl', 'tr', 1180], ['bl', 'br', 1185], ['tl', 'bl', 2140], ['tr', 'br', 2143], ['tl', 'br', 2446], ['bl', 'tr', 2444]].map(([from, to, value]) => ({ id: `${from}${to}`, from: from as 'tl', to: to as 'tr', value_mm: value as number, instrument: 'tape' })));
const plan = layOutInLevels({ rollWidth_mm: 1524, pieces: [{ id: 'a', across_mm: 1230, along_mm: 2190, mayTurn90: true }, { id: 'b', across_mm: 600, along_mm: 500, mayTurn90: false }] });
const blank = blankFor({ aroundWidth_mm: 1180, aroundHeight_mm: 2140, method: 'decor', direction: 'none' });

const RESULTS: readonly (readonly [string, readonly Step[]])[] = [
  ...Object.entries<{ readonly why: readonly Step[] }>('sizes' in pane ? { ...pane.sizes } : {}).map(([name, size]) => [`pane ${name}`, size.why] as const),
  ['blank width', blank.width_mm.why], ['blank height', blank.height_mm.why],
  ['length', plan.length_mm.why], ['bound', plan.bound_mm.why], ['waste', plan.waste_share.why],
  ...SLIP_MIXES.map((mix) => [`slip ${mix.key}`, slipShare(mix).why] as const),
  ['slip needed', slipNeeded(2.5, { value: 0.3, mark: 'our guess' }).why],
];

describe('is the reason shown the mathematics done?', () => {
  it('there are results to replay', () => { expect(RESULTS.length).toBeGreaterThan(12); });

  it.each(RESULTS)('%s: every step, reckoned again from its shown inputs, gives its shown value', (_name, steps) => {
    expect(steps.length).toBeGreaterThan(0);
    for (const step of steps) {
      const formula = FORMULAS.find(({ id }) => id === step.formula);
      expect(formula).toBeDefined();
      const inputs = Object.fromEntries(step.inputs.map(({ key, value }) => [key, value]));
      expect(formula?.of(inputs)).toBe(step.value);
      expect(step.source.text).not.toBe('');
    }
  });

  it('every formula has an id of its own, words and a unit for each input', () => {
    expect(new Set(FORMULAS.map(({ id }) => id)).size).toBe(FORMULAS.length);
    for (const formula of FORMULAS) for (const input of Object.values(formula.inputs)) expect(input.word.length * input.unit.length).toBeGreaterThan(0);
  });
});
