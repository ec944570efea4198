import { describe, expect, it } from '@jest/globals';
import { groupedCommands } from './command-groups';
import { type Command, keysOf } from './commands';

const press = (
  key: string,
  code: string,
  held: Partial<Record<'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey', boolean>> = {},
): string => keysOf({ key, code, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...held });

describe('which commands come first?', () => {
  const command = (id: string, word: string, about?: Command['about']): Command => ({
    id,
    word,
    run: () => undefined,
    ...(about === undefined ? {} : { about }),
  });
  const ALL = [
    command('theme', 'Switch the theme', 'device'),
    command('jobs', 'All jobs', 'elsewhere'),
    command('new', 'New surface'),
    command('film', 'Go to Film', 'elsewhere'),
    command('turn', 'Turn the surface over'),
  ];
  const told = (text: string) =>
    groupedCommands(ALL, text).map(({ about, commands }) => [about, ...commands.map(({ id }) => id)]);
  it('what fits the work at hand, then other places, then the device', () => {
    expect(told('')).toEqual([
      ['here', 'new', 'turn'],
      ['elsewhere', 'jobs', 'film'],
      ['device', 'theme'],
    ]);
  });
  it('by any words of it, in any order; a group without any is not there', () => {
    expect(told('surface TURN')).toEqual([['here', 'turn']]);
    expect(told('nothing like it')).toEqual([]);
  });
});

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
