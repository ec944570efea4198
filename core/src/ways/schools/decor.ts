import { always, school } from './school';

export const CORNER = school({
  asks: 'Inside corner',
  options: [
    { value: 'two sheets', reason: 'One edge, in the corner, on promoter: it holds for years.' },
    { value: 'quick', reason: 'One part pressed over into the corner and trimmed: no promoter, no slit.' },
  ],
  pick: always('two sheets', 'a corner is pulled at by every warm day'),
});

export const PRESSURE = school({
  asks: 'Pressed with',
  options: [
    { value: 'squeegee', reason: 'Even pressure that does not tire.' },
    { value: 'gloved hand', reason: 'A strong hand follows the curve; it leaves air where it is soft.' },
  ],
  pick: always('squeegee', 'even pressure over the whole height'),
});

export const STRETCH = school({
  asks: 'Stretched',
  options: [
    { value: 'warm', reason: 'It gives evenly and remembers less.' },
    { value: 'almost cold', reason: 'Heated, nearly cool, then stretched: it does not run thin.' },
  ],
  pick: always('warm', 'it gives evenly'),
});

export const POST_HEAT = school({
  asks: 'Post-heat and final cut',
  options: [
    { value: 'post-heat, cool, then trim', reason: 'What draws back has done so before it is cut.' },
    { value: 'trim first, then post-heat', reason: 'The cut edge itself is set by the heat.' },
  ],
  pick: always('post-heat, cool, then trim', 'film that draws back leaves no line'),
});

export const RECESS = school({
  asks: 'Into a recess',
  options: [
    { value: 'heat film, then apply', reason: 'Soft film follows at once.' },
    {
      value: 'bridge, then form',
      reason: 'Bridged first, the ridge set warm; then heat, form, heat, press.',
    },
    { value: 'glove and friction', reason: 'The hand warms what it presses: for shallow ones.' },
    { value: 'lift and reheat', reason: 'What is stretched too far is let go and begun again.' },
  ],
  pick: always('bridge, then form', 'the ridge holds while the depth is formed'),
});
