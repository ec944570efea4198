import { RULES } from '../../rules';
import { always, school } from './school';

export const SHRINK = school({
  asks: 'Shrunk',
  options: [
    {
      value: 'fold by fold',
      reason: 'Each fold is seen and pressed; what is too big is split. Learned first.',
      unsuited: ({ isOutside, isStiff }) =>
        isOutside && isStiff ? 'thick film is shrunk from its open edge' : undefined,
    },
    {
      value: 'tug',
      reason: 'Lifted and pulled lightly where it is heated, it lies down almost without the card.',
      unsuited: ({ isOutside, isStiff }) =>
        isOutside && isStiff ? 'thick film is shrunk from its open edge' : undefined,
    },
    {
      value: 'one sweep',
      reason: 'Quick for slight curves, by those who know folds.',
      unsuited: ({ surplus_mm, isStiff }) =>
        isStiff
          ? 'thick film is shrunk from its open edge'
          : surplus_mm !== null && surplus_mm > RULES.sweepSurplus.value
            ? 'too much surplus for one sweep'
            : undefined,
    },
    {
      value: 'two passes',
      reason: 'Folds down, film lifted, sides down, once more over everything.',
      basis: 'second hand',
    },
    {
      value: 'thick film, open edge first',
      reason: 'Thick film stays outside: its largest fold first, the open edge kept soft, and last.',
      basis: 'once',
      unsuited: ({ isOutside }) => (isOutside ? undefined : 'only for film that stays outside'),
    },
  ],
  pick: ({ isOutside, isStiff, surplus_mm, canHeat }) =>
    isOutside && isStiff
      ? { value: 'thick film, open edge first', because: 'thick film that stays outside' }
      : surplus_mm === null
        ? { value: 'fold by fold', because: 'how much surplus there is, is not known' }
        : surplus_mm <= RULES.sweepSurplus.value && canHeat === true
          ? { value: 'one sweep', because: 'little surplus, and somebody who knows the gun' }
          : { value: 'fold by fold', because: 'each fold is seen and pressed' },
});

export const SHRINK_ON = school({
  asks: 'Shrunk on',
  options: [
    { value: 'wet glass', reason: 'Water holds the film in place; it is re-wet when it dries.' },
    { value: 'soap powder', reason: 'Dry, on a thin powder of oil-free soap: nothing boils under the film.' },
  ],
  pick: always('wet glass', 'water holds the film where it is put'),
});

export const HOLD = school({
  asks: 'Held',
  options: [
    { value: 'along the top', reason: 'Top edge and both sides: all surplus gathers at the bottom.' },
    {
      value: 'a line across',
      reason: 'Where folds above and below come out equal: about a quarter of the strain at the edge.',
    },
  ],
  pick: ({ isDoorPane }) =>
    isDoorPane
      ? { value: 'along the top', because: 'a door pane: all surplus at the bottom' }
      : { value: 'a line across', because: 'folds above and below come out equal' },
});
