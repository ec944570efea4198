import { always, school, type SchoolCase } from './school';

const noBlade = ({ isFaceCoated, isPlastic }: SchoolCase): string | undefined =>
  isPlastic ? 'no blade on plastic' : isFaceCoated === 'yes' ? 'no blade on a coated face' : undefined;

export const CLEANING = school({
  asks: 'Blade and pad',
  options: [
    {
      value: 'scrape, then scrub',
      reason: 'The blade takes what is stuck, the pad what the blade left.',
      unsuited: noBlade,
    },
    {
      value: 'scrub, then blade where felt',
      reason: 'The blade touches only where the hand feels something: fewer scratches.',
      unsuited: noBlade,
    },
    { value: 'no blade', reason: 'Nothing can scratch; old paint and sealant take long.' },
  ],
  pick: (own) => {
    const bars = noBlade(own);
    return bars === undefined
      ? { value: 'scrape, then scrub', because: 'bare glass bears a blade' }
      : { value: 'no blade', because: bars };
  },
});

const noWool = ({ isFaceCoated, isPlastic }: SchoolCase): string | undefined =>
  isPlastic
    ? 'no steel wool on plastic'
    : isFaceCoated === 'yes'
      ? 'no steel wool on a coated face'
      : undefined;

export const SCRUBBER = school({
  asks: 'Scrubbed with',
  options: [
    { value: 'pad only', reason: 'A non-scratch pad is safe on every face.' },
    { value: 'steel wool 00', reason: 'Takes paint mist and grease that a pad leaves.', unsuited: noWool },
    { value: 'steel wool 000', reason: 'Finer: for glass that is clean but dull.', unsuited: noWool },
  ],
  pick: always('pad only', 'safe on every face, coated or not'),
});

export const CLEANER = school({
  asks: 'Cleaned with',
  options: [
    { value: 'separate cleaner', reason: 'Residue of slip lifts edges, so the cleaner is another liquid.' },
    { value: 'slip', reason: 'One bottle less to carry; it must be rinsed off well.' },
  ],
  pick: always('separate cleaner', 'residue of slip lifts edges'),
});

export const WATER = school({
  asks: 'Water',
  options: [
    { value: 'distilled', reason: 'No lime under the film, and slip that is the same everywhere.' },
    { value: 'good tap water', reason: 'Always at hand; hard water leaves lime where it dries.' },
  ],
  pick: always('distilled', 'no lime under the film'),
});

export const CLEARING = school({
  asks: 'Cleared',
  options: [
    {
      value: 'edges first',
      reason: 'Dirt sits at the edges and leaves before the face is wiped.',
      basis: 'once',
    },
    {
      value: 'inside first',
      reason: 'The face stays clear of what the frame gives off; the edges come last.',
      basis: 'once',
    },
  ],
  pick: always('edges first', 'dirt sits at the edges'),
});

export const FRAME_WATER = school({
  asks: 'Water at the frame',
  options: [
    { value: 'sparing', reason: 'Water drags dirt out of the frame: it shows under clear and dark film.' },
    { value: 'generous', reason: 'Frost forgives what comes along, and the film slides easily.' },
    {
      value: 'face wet, frame not soaked',
      reason: 'The film slides on the face, and the frame stays quiet.',
    },
  ],
  pick: ({ isForgiving }) =>
    isForgiving
      ? { value: 'generous', because: 'frost and patterns forgive dirt from the frame' }
      : { value: 'sparing', because: 'water drags dirt out, and this film shows it' },
});
