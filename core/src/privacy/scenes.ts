import type { Scene } from './contrast';

/**
 * How brightly lit a face is for the luminance of what lies around it: white walls and pale streets throw
 * back about a third.
 */
const LUX_PER_CDM2 = Math.PI / 0.35;
const scene = (name: string, near_cdm2: number, far_cdm2: number): Scene => ({
  name,
  near_cdm2,
  far_cdm2,
  far_lux: far_cdm2 * LUX_PER_CDM2,
  near_lux: near_cdm2 * LUX_PER_CDM2,
});

/** A street or square in front of a lit room. Near is the looker's side. */
export const SCENES = {
  brightIn: scene('in from a bright street', 3000, 150),
  dullIn: scene('in on a dull day', 300, 80),
  duskIn: scene('in at dusk, lamps on', 10, 60),
  nightIn: scene('in at night, lamps on', 0.5, 60),
  brightOut: scene('out on a bright day', 150, 3000),
  nightOut: scene('out at night, lamps on', 60, 0.5),
} as const;

/** Between two rooms: lamps on both sides, or on one alone. */
export const INNER_SCENES = {
  dayFromA: scene('from A, both sides lit', 80, 80),
  dayFromB: scene('from B, both sides lit', 80, 80),
  nightFromA: scene('from a dark A into a lit B', 0.5, 60),
  nightFromB: scene('from a dark B into a lit A', 0.5, 60),
} as const;

/**
 * What a room shows by day depends on what the pane itself lets in: lamps stay, daylight falls with the
 * glass.
 * @param lampShare of the luminance indoors that comes from lamps, by day
 */
export function dimmedBy(scene_: Scene, lightOfBare: number, lampShare = 0.3): Scene {
  const share = lampShare + (1 - lampShare) * Math.min(1, Math.max(0, lightOfBare));
  return { ...scene_, far_cdm2: scene_.far_cdm2 * share, far_lux: scene_.far_lux * share };
}
