import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  DISPLAY_UNITS,
  displayUnitsOf,
  formatDifference,
  formatTemperature,
  parseTemperature,
  temperatureField,
} from './index';

describe('temperatures on the scale of the person', () => {
  // The two fixed points of the Fahrenheit scale, where the two meet, and NFRC's 21 and 32 °C.
  it.each([
    [0, '32 °F'],
    [100, '212 °F'],
    [-40, '-40 °F'],
    [21, '70 °F'],
    [32, '90 °F'],
    [-17.8, '0 °F'],
  ])('%d °C are %s in inches, and stay °C elsewhere', (celsius, said) => {
    expect(formatTemperature(celsius, 'imperial')).toBe(said);
    expect(formatTemperature(celsius, 'metric')).toBe(`${celsius.toFixed(0)} °C`);
    expect(formatTemperature(celsius, 'inches and °C')).toBe(`${celsius.toFixed(0)} °C`);
  });
  it('a difference is no temperature: 5 K are 9 °F', () => {
    expect([formatDifference(5, 'metric'), formatDifference(5, 'imperial')]).toEqual(['5 K', '9 °F']);
  });
  it.each([
    ['75', 'imperial', 23.888],
    ['75', 'metric', 75],
    ['24 °C', 'imperial', 24],
    ['75F', 'metric', 23.888],
    ['-3,5', 'metric', -3.5],
    ['−40 f', 'metric', -40],
  ] as const)('“%s” in %s is %d °C', (text, units, celsius) => {
    expect(parseTemperature(text, units)).toBeCloseTo(celsius, 2);
  });
  it.each(['', 'warm', '24 K', '1e3', '24 °C 3'])('“%s” is no temperature', (text) => {
    expect(parseTemperature(text, 'metric')).toBeUndefined();
  });
  it('what a field shows is read as what it was, to a tenth of a degree', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -60, max: 300, noNaN: true }),
        fc.constantFrom(...DISPLAY_UNITS),
        (celsius, units) => {
          const again = parseTemperature(temperatureField(celsius, units), units);
          return again !== undefined && Math.abs(again - celsius) <= 0.051;
        },
      ),
    );
  });
  it('an unknown word for units is metric', () => {
    expect([undefined, 'leagues', 'imperial', 'inches and °C'].map(displayUnitsOf)).toEqual([
      'metric',
      'metric',
      'imperial',
      'inches and °C',
    ]);
  });
});
