import type { Figure } from './messages';

export const linerWords = {
  liner: 'How the liner comes off',
  tabs: (corner: string) => `Tabs at the ${corner}: one on the liner, one on the film.`,
  noTabs: 'No tabs.',
  room: 'Free room it takes, our guess',
  beside: (length: string) => `${length} beside`,
  below: (length: string) => `${length} below`,
  before: (length: string) => `${length} in front`,
  person: (number: Figure, holds: string) => `Person ${number} ${holds}.`,
  alone: (holds: string) => `Alone: ${holds}.`,
  rolled: 'Rolled up from below, so that the free end, the top, is placed first.',
  floor: 'It uses the floor: dry, covered, nobody steps on wet liner.',
  tabLiner: 'liner',
  tabFilm: 'film',
  notKnown: 'Known once the surface is measured and a film is chosen.',
  says: (tag: string, way: string) => `${tag}: liner off by ${way}`,
};
