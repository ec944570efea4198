import type { MarkLook } from '../job';

/** How a look stands out from what is behind it, with the range of it: our guess (model 4.1). */
export interface LookContrast {
  readonly least: number;
  readonly usual: number;
  readonly most: number;
}

const HALO: LookContrast = { least: 0.1, usual: 0.2, most: 0.4 };
const WATER: LookContrast = { least: 0.03, usual: 0.1, most: 0.3 };
const GRAIN: LookContrast = { least: 0.3, usual: 0.6, most: 1 };
/** Three times as much in low light from the side. */
const SCRATCH: LookContrast = { least: 0.1, usual: 0.2, most: 0.6 };

export const CONTRASTS: Readonly<Record<Exclude<MarkLook, 'crack' | 'not said'>, LookContrast>> = {
  speck: GRAIN,
  bubble: HALO,
  'water pocket': WATER,
  'air bubble': HALO,
  finger: WATER,
  line: WATER,
  crease: HALO,
  gap: GRAIN,
  'edge lifts': HALO,
  scratch: SCRATCH,
  'film scratch': SCRATCH,
  'glass scratch': SCRATCH,
};
