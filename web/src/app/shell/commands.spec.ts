import { describe, expect, it } from '@jest/globals';
import { whatNext } from '../jobs/job-words';
import { keysOf } from './commands';

const press = (
  key: string,
  code: string,
  held: Partial<Record<'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey', boolean>> = {},
): string => keysOf({ key, code, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...held });

describe('is a key press named as commands name it?', () => {
  it.each([
    [press('z', 'KeyZ', { ctrlKey: true }), 'Ctrl+Z'],
    [press('Z', 'KeyZ', { ctrlKey: true, shiftKey: true }), 'Ctrl+Shift+Z'],
    [press('z', 'KeyZ', { metaKey: true }), 'Ctrl+Z'],
    [press('¡', 'Digit1', { altKey: true }), 'Alt+1'],
    [press('F1', 'F1'), 'F1'],
    [press('/', 'Slash'), '/'],
    [press('?', 'Slash', { shiftKey: true }), '?'],
    [press('Enter', 'Enter', { altKey: true }), 'Alt+Enter'],
  ])('%s', (keys, expected) => {
    expect(keys).toBe(expected);
  });
});

describe('what is next in a job?', () => {
  const job = { surfaces: 3, measured: 3, withFilm: 3, laid: 3, fitted: 3 };
  it.each([
    [{ surfaces: 0 }, 'survey', 'Measure the first surface'],
    [{ measured: 2 }, 'survey', '1 surface to measure'],
    [{ withFilm: 1 }, 'film', 'Film to choose for 2 surfaces'],
    [{ laid: 0 }, 'cut', '3 blanks to lay out'],
    [{ fitted: 1 }, 'fit', '2 surfaces to fit'],
    [{}, 'fit', 'Everything is fitted'],
  ])('%j: %s, %s', (more, stop, says) => {
    expect(whatNext({ ...job, ...more })).toEqual({ stop, says });
  });
});
