import { describe, expect, it } from '@jest/globals';
import { initialsOf, newPerson } from './person';

describe('what are the initials of a name?', () => {
  it.each([
    ['Wren', 'W'],
    ['Wren Reed', 'WR'],
    ['  anna  maria  de lint ', 'AMD'],
    ['Łucja', 'Ł'],
    ['', ''],
  ])('%j: %j', (name, initials) => {
    expect(initialsOf(name)).toBe(initials);
  });
});

describe('what is known of somebody new?', () => {
  it('the name; hand and wander are unknown', () => {
    expect(newPerson('Wren')).toMatchObject({ name: 'Wren', initials: 'W', hand: null, wander_mm: null });
  });
});
