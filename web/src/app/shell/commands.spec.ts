import { describe, expect, it } from '@jest/globals';
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
