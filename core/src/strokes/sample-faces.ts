import { seededRandom } from '../quantity';
import { type Face, type Ring, faceOf } from './face';

/** Kinds of random faces, for checks and benches. */
export const SAMPLE_KINDS = ['spiky star', 'with a hole', 'convex'] as const;
export type SampleKind = (typeof SAMPLE_KINDS)[number];

/** A face by kind and seed, about 0.6 to 1.6 m wide: always the same for the same seed. */
export function sampleFace(kind: SampleKind, seed: number): Face {
  const random = seededRandom(seed);
  const wide = 300 + 500 * random();
  const high = 300 + 500 * random();
  switch (kind) {
    case 'spiky star':
      return faceOf([star({ random, corners: 5 + Math.floor(9 * random()), least: 0.35, wide, high })]);
    case 'with a hole': {
      const outline = star({ random, corners: 6 + Math.floor(6 * random()), least: 0.75, wide, high });
      const hole = star({
        random,
        corners: 3 + Math.floor(5 * random()),
        least: 0.5,
        wide: wide / 3,
        high: high / 3,
      });
      return faceOf([outline, hole]);
    }
    case 'convex':
      return faceOf([onEllipse({ random, corners: 3 + Math.floor(8 * random()), wide, high })]);
  }
}

interface Star {
  readonly random: () => number;
  readonly corners: number;
  readonly least: number;
  readonly wide: number;
  readonly high: number;
}

/** Seen from the middle each way once. */
function star({ random, corners, least, wide, high }: Star): Ring {
  return Array.from({ length: corners }, (_, index) => {
    const turn = (2 * Math.PI * (index + 0.8 * (random() - 0.5))) / corners;
    const reach = least + (1 - least) * random();
    return { x: wide * reach * Math.cos(turn), y: high * reach * Math.sin(turn) };
  });
}

function onEllipse({ random, corners, wide, high }: Omit<Star, 'least'>): Ring {
  return Array.from({ length: corners }, (_, index) => {
    const turn = (2 * Math.PI * (index + 0.8 * (random() - 0.5))) / corners;
    return { x: wide * Math.cos(turn), y: high * Math.sin(turn) };
  });
}
