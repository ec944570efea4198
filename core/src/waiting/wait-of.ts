import { type Learned, type LearnedKey, learnedOf } from '../learned';
import type { Air, Wait, WaitKey } from './wait';
import { primerDry, promoterDry, puttyDry, wallDry } from './waits';

/**
 * A wait between two steps of the work, from the air of the room; undefined: it does not hang on the air.
 */
export function waitOf(key: WaitKey, air: Air, learned: readonly Learned[] = []): Wait | undefined {
  const rate = (own: LearnedKey): number => learnedOf(own, learned).value;
  switch (key) {
    case 'primer, water-based':
      return primerDry('water-based', air);
    case 'primer, solvent-based':
      return primerDry('solvent-based', air);
    case 'putty':
      return puttyDry(air, rate('wait-putty'));
    case 'wall wash':
      return wallDry(air, rate('wait-wash'));
    case 'promoter':
      return promoterDry();
    case 'roll':
    case 'panel':
    case 'sealant':
    case 'first bond':
    case 'decal bond':
    case 'conditioned room':
    case 'clear':
    case 'pocket':
      return undefined;
  }
}
