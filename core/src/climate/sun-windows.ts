import { CoreError } from '../quantity';
import type { Facing } from './day-of-sun';
import { type Skyline, litOf, skylineOf } from './shade';
import { DISC_RADIUS_DEG, refraction_deg } from './sun-position';
import { type SunRow, type SunTrack, TRACK_STEP_MS } from './sun-track';

/** From inclusive, to exclusive; UTC, milliseconds since 1970. */
export interface TimeSpan {
  readonly from_ms: number;
  readonly to_ms: number;
}

/** Which sun counts: the centre of its disc where geometry has it (for checks), or its whole disc where it is seen, lifted by the air (for plans). */
export type SunDisc = 'centre' | 'seen';

const MINUTE_MS = 60_000;
/** Less than this share of the pane lit counts as none. */
const LEAST_LIT = 0.005;
const DONE_MS = 500;
const RAD = Math.PI / 180;

/** When the sun shines on a surface directly: in front of it, over the skyline, past overhang, reveal and fins.
 *  Looked at every ten minutes, minute by minute where it might come and go in between, ends found to half a second.
 *  @throws CoreError CLIMATE_FACING when bearing or tilt is out of range */
export function directSun(track: SunTrack, facing: Facing, disc: SunDisc): readonly TimeSpan[] {
  refuseFacing(facing);
  const { from_ms, to_ms, isDay } = track;
  const row = disc === 'seen' ? track.seen : track.centre;
  const judge = new SunJudge(facing, disc);
  const margin = (instant_ms: number): number => judge.at(track, instant_ms);
  const spans: { from_ms: number; to_ms: number }[] = [];
  let begun: number | undefined;
  const set = (isSun: boolean, at_ms: number): void => {
    if (isSun && begun === undefined) begun = at_ms;
    if (!isSun && begun !== undefined) { spans.push({ from_ms: begun, to_ms: at_ms }); begun = undefined; }
  };
  let before = -1;
  let wasClose = false;
  for (let step = 0; step < row.up.length; step += 1) {
    if (isDay[step] === 0) { before = -1; wasClose = false; continue; }
    const now = judge.marginIn(row, step);
    const isClose = judge.isClose;
    if (step === 0) set(now > 0, from_ms);
    else if (isClose || wasClose) {
      const start = from_ms + (step - 1) * TRACK_STEP_MS;
      const minutes = track.minutesBefore(step, disc === 'seen');
      let last = before;
      for (let minute = 0; minute < 10; minute += 1) {
        const own = minute === 9 ? now : judge.marginIn(minutes, 9 * step + minute);
        if (own > 0 !== last > 0) set(own > 0, crossing(margin, start + minute * MINUTE_MS, start + (minute + 1) * MINUTE_MS, last, own));
        last = own;
      }
    } else if (now > 0 !== before > 0) {
      const start = from_ms + (step - 1) * TRACK_STEP_MS;
      set(now > 0, crossing(margin, start, start + TRACK_STEP_MS, before, now));
    }
    before = now;
    wasClose = isClose;
  }
  set(false, to_ms);
  return spans.filter((span) => span.from_ms < to_ms).map((span) => (span.to_ms > to_ms ? { from_ms: span.from_ms, to_ms } : span));
}

/** By false position, halving when it drags. */
function crossing(margin: (instant_ms: number) => number, from: number, to: number, first: number, last: number): number {
  let [low, high, atLow, atHigh] = [from, to, first, last];
  let guess = low;
  for (let round = 0; high - low > DONE_MS && round < 40; round += 1) {
    const next = round > 4 ? (low + high) / 2 : low + ((high - low) * atLow) / (atLow - atHigh);
    if (round > 0 && Math.abs(next - guess) < DONE_MS / 2) return Math.round(next);
    guess = next;
    const own = margin(guess);
    if (own > 0 === first > 0) { low = guess; atLow = own; } else { high = guess; atHigh = own; }
  }
  return Math.round((low + high) / 2);
}

/** Judges one surface against one sun after another. */
class SunJudge {
  /** Whether the sun asked about last might have come or gone within minutes of it. */
  isClose = false;
  readonly #skyline: Skyline;
  readonly #isOpen: boolean;
  readonly #upPart: number;
  readonly #levelPart: number;
  readonly #outEast: number;
  readonly #outNorth: number;
  readonly #isSeen: boolean;
  readonly #radius: number;
  readonly #sinRadius: number;
  readonly #kink: number;
  readonly #own = new Float64Array(3);

  constructor(private readonly facing: Facing, disc: SunDisc) {
    this.#skyline = skylineOf(facing.skyline);
    this.#isOpen = facing.skyline.length === 0;
    this.#upPart = Math.cos(facing.tilt_deg * RAD);
    this.#levelPart = Math.sin(facing.tilt_deg * RAD);
    this.#outEast = Math.sin(facing.bearing_deg * RAD);
    this.#outNorth = Math.cos(facing.bearing_deg * RAD);
    this.#isSeen = disc === 'seen';
    this.#radius = this.#isSeen ? DISC_RADIUS_DEG : 0;
    this.#sinRadius = Math.sin(this.#radius * RAD);
    this.#kink = 0.05 + 3 * this.#skyline.steepest;
  }

  at(track: SunTrack, instant_ms: number): number {
    track.towards(instant_ms, this.#own);
    const [x = 0, y = 0, z = 0] = this.#own;
    const altitude = Math.asin(Math.max(-1, Math.min(1, z))) / RAD;
    const azimuth = this.#isOpen ? 0 : (Math.atan2(x, y) / RAD + 360) % 360;
    if (!this.#isSeen) return this.margin(x, y, z, altitude, azimuth);
    const lifted = altitude + refraction_deg(altitude);
    const squeeze = Math.cos(lifted * RAD) / Math.max(1e-12, Math.sqrt(x * x + y * y));
    return this.margin(x * squeeze, y * squeeze, Math.sin(lifted * RAD), lifted, azimuth);
  }

  marginIn({ east, north, up, altitude_deg, azimuth_deg }: SunRow, index: number): number {
    return this.margin(east[index] as number, north[index] as number, up[index] as number, altitude_deg[index] as number, azimuth_deg[index] as number);
  }

  /** More than 0: sun on it. The way to the sun, and the same as angles. */
  margin(east: number, north: number, up: number, altitude_deg: number, azimuth_deg: number): number {
    const { shading } = this.facing;
    const out = this.#outEast * east + this.#outNorth * north;
    const front = up * this.#upPart + this.#levelPart * out + (shading === null ? this.#sinRadius : 0);
    this.isClose = false;
    if (front <= 0) return front;
    const over = altitude_deg + this.#radius - (this.#isOpen ? 0 : this.#skyline.at(azimuth_deg));
    this.isClose = !this.#isOpen && Math.abs(over) < this.#kink;
    if (over <= 0) return Math.min(front, over);
    if (shading === null || out <= 1e-9) return Math.min(front, over);
    const lit = litOf(shading, (up - this.#sinRadius) / out, (this.#outNorth * east - this.#outEast * north) / out);
    return Math.min(front, over, lit - LEAST_LIT);
  }
}

function refuseFacing({ bearing_deg, tilt_deg }: Facing): void {
  if (!(bearing_deg >= 0 && bearing_deg <= 360)) throw new CoreError('CLIMATE_FACING', { path: 'bearing_deg', expected: '0 to 360 degrees from north, clockwise', got: String(bearing_deg) });
  if (!(tilt_deg >= 0 && tilt_deg <= 180)) throw new CoreError('CLIMATE_FACING', { path: 'tilt_deg', expected: '0 (facing up) to 180 degrees', got: String(tilt_deg) });
}

/** Minutes around an end of direct sun within which it may be, for so many degrees of doubt about the bearing.
 *  @returns earliest and latest of that end */
export function bandOfEnd(track: SunTrack, facing: Facing, end_ms: number, doubt_deg: number): TimeSpan {
  const near = (turn: number): number => {
    const spans = directSun(track, { ...facing, bearing_deg: (facing.bearing_deg + turn + 360) % 360 }, 'seen');
    const ends = spans.flatMap(({ from_ms, to_ms }) => [from_ms, to_ms]);
    return ends.reduce((best, own) => (Math.abs(own - end_ms) < Math.abs(best - end_ms) ? own : best), ends[0] ?? end_ms);
  };
  const both = [near(-doubt_deg), end_ms, near(doubt_deg)];
  return { from_ms: Math.min(...both), to_ms: Math.max(...both) };
}
