import { describe, expect, it } from '@jest/globals';
import type { Basis } from '../learned';
import { type NumberUnit, TEMPLATES, numbersOf, stepCaseOf } from './index';

/*
 * Every figure of `ways-of-working`, typed from it: section, way, step, name, value, unit, mark. Common
 * practice with no published source where no mark stands.
 */
type Row = readonly [
  section: string,
  way: string,
  step: string,
  name: string,
  value: number | readonly [number, number],
  unit: NumberUnit,
  mark?: Basis,
];
const BRIEF: readonly Row[] = [
  ['A 4', 'flat-glass', 'dry-edges', 'angle', 45, '°'],
  ['A 6b', 'flat-glass', 'liner-hang', 'rest', [25, 50], 'mm'],
  ['A 9', 'flat-glass', 'lock-t', 'inset', 13, 'mm'],
  ['A 9', 'flat-glass', 'lock-quarters', 'inset', 13, 'mm'],
  ['A 10', 'flat-glass', 'trim', 'blade', 3, 'mm'],
  ['A 10', 'flat-glass', 'trim', 'card', 70, '°'],
  ['A 11', 'flat-glass', 'squeeze', 'angle', 20, '°'],
  ['A 11', 'flat-glass', 'squeeze', 'lap', [30, 50], '%', 'ours'],
  ['A 11', 'flat-glass', 'squeeze', 'push', [25, 40], 'mm'],
  ['E', 'security', 'handover-security', 'strong', [1, 2], 'days'],
  ['F', 'curved', 'anchor', 'seal', [25, 50], 'mm'],
  ['F', 'curved', 'anchor', 'side', 13, 'mm', 'uncertain'],
  ['F', 'curved', 'clean-outside', 'powder', [30, 60], 's'],
  ['F', 'curved', 'shrink-folds', 'warm', [20, 30], 's'],
  ['F', 'curved', 'shrink-folds', 'gun', [480, 540], '°C'],
  ['F', 'curved', 'shrink-folds', 'away', 150, 'mm'],
  ['F', 'curved', 'shrink-folds', 'angle', 45, '°'],
  ['F', 'curved', 'shrink-sweep', 'curve', [75, 100], 'mm', 'uncertain'],
  ['F', 'curved', 'shrink-sweep', 'away', [180, 200], 'mm'],
  ['F', 'curved', 'clean-inside', 'strength', 33, '%'],
  ['F', 'curved', 'edge-folds', 'away', 150, 'mm'],
  ['trade 11', 'curved', 'gun-cools', 'cools', 10, 'min'],
  ['G', 'decor', 'cut', 'over', 50, 'mm'],
  ['G', 'decor', 'lay', 'fold', 100, 'mm'],
  ['G', 'decor', 'lay', 'turn', 250, 'mm'],
  ['G', 'decor', 'inspect', 'angle', 45, '°'],
  ['G', 'decor', 'double-liner', 'strip', 50, 'mm'],
  ['G', 'decor', 'double-cut', 'lap', 50, 'mm'],
  ['G', 'decor', 'wipe', 'strength', 70, '%'],
  ['G', 'decor', 'corner-slit', 'wider', 13, 'mm', 'ask'],
  ['G', 'decor', 'corner-first', 'guide', [13, 38], 'mm', 'ask'],
  ['G', 'decor', 'corner-trim', 'ruler', 3, 'mm'],
  ['H', 'column', 'notch', 'strip', 100, 'mm'],
  ['H', 'column', 'notch', 'deep', 13, 'mm'],
  ['H', 'column', 'notch', 'flare', 45, '°'],
  ['H', 'column', 'round', 'turn', 50, 'mm'],
  ['H', 'column', 'seam-tape', 'lap', 25, 'mm'],
  ['I', 'table', 'lay-table', 'start', 50, 'mm'],
  ['J', 'textured-wall', 'face', 'gun', 540, '°C'],
  ['J', 'textured-wall', 'face', 'off', 25, 'mm'],
  ['J', 'textured-wall', 'face', 'speed', 50, 'mm/s'],
  ['J', 'textured-wall', 'face', 'lap', 50, 'mm'],
  ['J', 'textured-wall', 'edges-hot', 'off', [150, 250], 'mm'],
  ['trade 11', 'textured-wall', 'fire-watch', 'watch', [30, 60], 'min', 'ours'],
  ['K', 'wrap', 'relieve', 'even', [40, 50], '°C'],
  ['K', 'wrap', 'wrap-recess', 'surface', 21, '°C'],
  ['K', 'wrap', 'wrap-recess', 'deep', 65, '°C'],
  ['L', 'decor', 'condition', 'room', 21, '°C'],
  ['L', 'decor', 'condition', 'cold', 13, '°C'],
  ['L', 'decor', 'condition', 'long', 48, 'h'],
  ['L', 'decor', 'condition', 'test', 2, 'h'],
  ['M', 'decal', 'handover-decal', 'bond', 14, 'days'],
];
const CASE = stepCaseOf({ condition: 'sound', isSecurityFilm: false, schools: { shrinkOn: 'soap powder' } });
const figuresOf = (way: string, step: string) => {
  const found = TEMPLATES.find(({ template }) => template === way)?.steps.find(({ key }) => key === step);
  return found === undefined ? {} : numbersOf(found, CASE);
};

describe('has every figure of the brief its value, unit and mark?', () => {
  it.each(BRIEF)('%s: %s %s %s', (_section, way, step, name, value, unit, mark = 'common practice') => {
    expect(figuresOf(way, step)[name]).toMatchObject({ value, unit, basis: mark });
  });
  it('no way has a figure that the brief has not', () => {
    const known = new Set(BRIEF.map(([, way, step, name]) => `${way} ${step} ${name}`));
    const shared = new Set(BRIEF.map(([, , step, name]) => `${step} ${name}`));
    const extra = TEMPLATES.flatMap(({ template, steps }) =>
      steps.flatMap((own) =>
        Object.keys(numbersOf(own, CASE))
          .filter((name) => !known.has(`${template} ${own.key} ${name}`) && !shared.has(`${own.key} ${name}`))
          .map((name) => `${template} ${own.key} ${name}`),
      ),
    );
    // The film's own heat, and the same figures in other schools and in a second round.
    const SAME =
      /post-heat aim|lock-\w+ inset|shrink-\w+ (warm|gun|away|angle)|round-other turn|trim-\w+ (blade|card)/;
    expect(extra.filter((own) => !SAME.test(own))).toEqual([]);
  });
});
