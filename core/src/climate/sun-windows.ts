import { CoreError, floatAt } from '../quantity';
import type { Facing } from './day-of-sun';
import { type Skyline, litTimesOut, mayBeLitBetween, skylineOf } from './shade';
import { DISC_RADIUS_DEG, refraction_deg } from './sun-position';
import { type SunRow, type SunTrack, TRACK_STEP_MS } from './sun-track';

/** From inclusive, to exclusive; UTC, milliseconds since 1970. */
export interface TimeSpan {
  readonly from_ms: number;
  readonly to_ms: number;
}

/**
 * Which sun counts: the centre of its disc where geometry has it (for checks), or its whole disc where it is
 * seen, lifted by the air (for plans).
 */
type SunDisc = 'centre' | 'seen';

const MINUTE_MS = 60_000;
/** Less than this share of the pane lit counts as none. */
const LEAST_LIT = 0.005;
/** From one entry of a track to the next the sun's way bends by less. */
const TOUCHING_DEG = 0.05;
const DONE_MS = 500;
/** The way to the sun turns by no more than this from one entry of a track to the next: 15.05° an hour. */
const MOST_TURN = (15.05 / 6) * (Math.PI / 180);
const RAD = Math.PI / 180;
/** What held the sun off: the side it stands on, the skyline, what shades the surface itself. */
const HELD = { front: 0, over: 1, shade: 2 } as const;

/**
 * When the sun shines on a surface directly: in front of it, over the skyline, past overhang, reveal and
 * fins. Looked at every ten minutes, minute by minute where it might come and go in between, ends found to
 * half a second.
 * @throws CoreError CLIMATE_FACING when bearing or tilt is out of range
 */
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
    if (!isSun && begun !== undefined) {
      spans.push({ from_ms: begun, to_ms: at_ms });
      begun = undefined;
    }
  };
  const steps = row.up.length;
  let wasClose = false;
  let heldBefore: number = HELD.front;
  for (let step = 0; step < steps; step += 1) {
    if (isDay[step] === 0) {
      wasClose = false;
      heldBefore = HELD.over;
      continue;
    }
    const now = judge.marginIn(row, step);
    const { isClose, held } = judge;
    if (step === 0) set(now > 0, from_ms);
    else if (
      ((isClose || wasClose) && judge.mayTouch(row, step)) ||
      (now <= 0 && begun === undefined && held !== heldBefore && judge.mayShineBetween(row, step))
    ) {
      const start = from_ms + (step - 1) * TRACK_STEP_MS;
      const minutes = track.minutesBefore(step, disc === 'seen');
      let last = judge.marginIn(row, step - 1);
      for (let minute = 0; minute < 10; minute += 1) {
        const own = minute === 9 ? now : judge.marginIn(minutes, 9 * step + minute);
        if (own > 0 !== last > 0)
          set(
            own > 0,
            crossing(margin, start + minute * MINUTE_MS, start + (minute + 1) * MINUTE_MS, last, own),
          );
        last = own;
      }
    } else if (now > 0 !== (begun !== undefined)) {
      const start = from_ms + (step - 1) * TRACK_STEP_MS;
      set(now > 0, crossing(margin, start, start + TRACK_STEP_MS, judge.marginIn(row, step - 1), now));
    }
    wasClose = isClose;
    heldBefore = held;
    if (judge.front < -2 * MOST_TURN) {
      step += Math.floor(-judge.front / MOST_TURN) - 1;
      wasClose = false;
      heldBefore = HELD.front;
    }
  }
  set(false, to_ms);
  return spans
    .filter((span) => span.from_ms < to_ms)
    .map((span) => (span.to_ms > to_ms ? { from_ms: span.from_ms, to_ms } : span));
}

/**
 * By false position, each end weakened when it stays (Illinois), until what is left by the slope found is
 * nothing.
 */
function crossing(
  margin: (instant_ms: number) => number,
  from: number,
  to: number,
  first: number,
  last: number,
): number {
  let [low, high, atLow, atHigh] = [from, to, first, last];
  let [before, atBefore] = [from, first];
  let stays = 0;
  for (let round = 0; round < 40; round += 1) {
    const guess = low + ((high - low) * atLow) / (atLow - atHigh);
    const own = margin(guess);
    const slope = (own - atBefore) / (guess - before);
    const left = own / slope;
    if (Math.abs(left) < DONE_MS / 4 || high - low < DONE_MS)
      return Math.round(guess - (Math.abs(left) < DONE_MS ? left : 0));
    [before, atBefore] = [guess, own];
    if (own > 0 === first > 0) {
      low = guess;
      atLow = own;
      if (stays === 1) atHigh /= 2;
      stays = 1;
    } else {
      high = guess;
      atHigh = own;
      if (stays === -1) atLow /= 2;
      stays = -1;
    }
  }
  return Math.round((low + high) / 2);
}

/** Judges one surface against one sun after another. */
class SunJudge {
  /** Whether the sun asked about last might have come or gone within minutes of it. */
  isClose = false;
  /**
   * Of the sun asked about last: how far it stands before the surface, as the sine of its height over it;
   * under 0 behind it.
   */
  front = 0;
  /** Of the sun asked about last: what holds it off, if anything does. */
  held: number = HELD.front;
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

  constructor(
    private readonly facing: Facing,
    disc: SunDisc,
  ) {
    this.#skyline = skylineOf(facing.skyline);
    this.#isOpen = facing.skyline.length === 0;
    this.#upPart = Math.cos(facing.tilt_deg * RAD);
    this.#levelPart = Math.sin(facing.tilt_deg * RAD);
    this.#outEast = Math.sin(facing.bearing_deg * RAD);
    this.#outNorth = Math.cos(facing.bearing_deg * RAD);
    this.#isSeen = disc === 'seen';
    this.#radius = this.#isSeen ? DISC_RADIUS_DEG : 0;
    this.#sinRadius = Math.sin(this.#radius * RAD);
    this.#kink = TOUCHING_DEG + 3 * this.#skyline.steepest;
  }

  /**
   * Whether the sun might go behind the skyline and come out again, or the other way, between an entry and
   * the one before: only past a corner, or where it just touches.
   */
  mayTouch(row: SunRow, step: number): boolean {
    if (
      this.#skyline.partAt(floatAt(row.azimuth_deg, step - 1)) !==
      this.#skyline.partAt(floatAt(row.azimuth_deg, step))
    )
      return true;
    return Math.min(Math.abs(this.#over(row, step - 1)), Math.abs(this.#over(row, step))) < TOUCHING_DEG;
  }

  /**
   * Whether the sun might come and go again between two entries that have none: what holds it off at one of
   * them does not at the other.
   */
  mayShineBetween(row: SunRow, step: number): boolean {
    const { shading } = this.facing;
    const last = step - 1;
    const x = floatAt(row.east, last),
      y = floatAt(row.north, last),
      z = floatAt(row.up, last);
    const xTo = floatAt(row.east, step),
      yTo = floatAt(row.north, step),
      zTo = floatAt(row.up, step);
    const out = this.#outEast * x + this.#outNorth * y,
      outTo = this.#outEast * xTo + this.#outNorth * yTo;
    const behind = shading === null ? -this.#sinRadius : 0;
    if (
      z * this.#upPart + out * this.#levelPart <= behind &&
      zTo * this.#upPart + outTo * this.#levelPart <= behind
    )
      return false;
    if (this.#over(row, last) <= 0 && this.#over(row, step) <= 0) return false;
    return (
      shading === null ||
      mayBeLitBetween(
        shading,
        z - this.#sinRadius,
        this.#outNorth * x - this.#outEast * y,
        out,
        zTo - this.#sinRadius,
        this.#outNorth * xTo - this.#outEast * yTo,
        outTo,
      )
    );
  }

  #over(row: SunRow, index: number): number {
    return (
      floatAt(row.altitude_deg, index) +
      this.#radius -
      (this.#isOpen ? 0 : this.#skyline.at(floatAt(row.azimuth_deg, index)))
    );
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

  marginIn(row: SunRow, index: number): number {
    return this.margin(
      floatAt(row.east, index),
      floatAt(row.north, index),
      floatAt(row.up, index),
      floatAt(row.altitude_deg, index),
      floatAt(row.azimuth_deg, index),
    );
  }

  /** More than 0: sun on it. The way to the sun, and the same as angles. */
  margin(east: number, north: number, up: number, altitude_deg: number, azimuth_deg: number): number {
    const { shading } = this.facing;
    const out = this.#outEast * east + this.#outNorth * north;
    const front = up * this.#upPart + this.#levelPart * out + (shading === null ? this.#sinRadius : 0);
    this.front = front;
    this.isClose = false;
    this.held = HELD.front;
    if (front <= 0) return front;
    const over = altitude_deg + this.#radius - (this.#isOpen ? 0 : this.#skyline.at(azimuth_deg));
    this.isClose = !this.#isOpen && Math.abs(over) < this.#kink;
    const open = Math.min(front, over * RAD);
    this.held = HELD.over;
    if (open <= 0 || shading === null || out <= 1e-9) return open;
    this.held = HELD.shade;
    return Math.min(
      open,
      litTimesOut(shading, up - this.#sinRadius, this.#outNorth * east - this.#outEast * north, out) -
        LEAST_LIT * out,
    );
  }
}

function refuseFacing({ bearing_deg, tilt_deg }: Facing): void {
  if (!(bearing_deg >= 0 && bearing_deg <= 360))
    throw new CoreError('CLIMATE_FACING', {
      path: 'bearing_deg',
      expected: '0 to 360 degrees from north, clockwise',
      got: String(bearing_deg),
    });
  if (!(tilt_deg >= 0 && tilt_deg <= 180))
    throw new CoreError('CLIMATE_FACING', {
      path: 'tilt_deg',
      expected: '0 (facing up) to 180 degrees',
      got: String(tilt_deg),
    });
}

/**
 * Minutes around an end of direct sun within which it may be, for so many degrees of doubt about the bearing.
 * @returns earliest and latest of that end
 */
export function bandOfEnd(track: SunTrack, facing: Facing, end_ms: number, doubt_deg: number): TimeSpan {
  const near = (turn: number): number => {
    const spans = directSun(
      track,
      { ...facing, bearing_deg: (facing.bearing_deg + turn + 360) % 360 },
      'seen',
    );
    const ends = spans.flatMap(({ from_ms, to_ms }) => [from_ms, to_ms]);
    return ends.reduce(
      (best, own) => (Math.abs(own - end_ms) < Math.abs(best - end_ms) ? own : best),
      ends[0] ?? end_ms,
    );
  };
  const both = [near(-doubt_deg), end_ms, near(doubt_deg)];
  return { from_ms: Math.min(...both), to_ms: Math.max(...both) };
}
