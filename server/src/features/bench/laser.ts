import type { LaserCommand, LaserState } from '@yellow-pane/contracts';
import { fourSidePoints, slotsFor } from '@yellow-pane/core/measure';
import { seededRandom } from '@yellow-pane/core/quantity';
import { StandIn } from './stand-in';

const NOISE_SD_MM = 1.5;
const [WIDTH] = slotsFor('four sides');

/** One reading in fifty is a blunder, as hands and reflections make them. */
const BLUNDER_SHARE = 1 / 50;
const DROP_OUT_SHARE = 1 / 60;
const BATTERY_AT_FIRST = 0.42;
const BATTERY_PER_READING = 0.004;
const LOW_BATTERY = 0.15;
const TAKES_MS = 220;

/**
 * A laser distance meter that is not there: connects, drops out, sends noisy readings, runs low, and now and
 * then is wrong. It speaks the same messages a real one would.
 */
export class LaserStandIn extends StandIn {
  readonly #random: () => number;
  readonly #clock: () => Date;
  #readings = 0;
  #isNextWrong = false;
  #pane = { width_mm: 1180, height_mm: 2140, lean_mm: 4 };

  constructor(
    clock: () => Date,
    seed = 11,
    private readonly takes_ms = TAKES_MS,
  ) {
    super('laser');
    this.battery = BATTERY_AT_FIRST;
    this.#clock = clock;
    this.#random = seededRandom(seed);
  }

  get state(): LaserState {
    return {
      isConnected: this.isConnected,
      battery: this.battery,
      readings: this.#readings,
      pane: this.#pane,
    };
  }

  /** A full battery. */
  charge(): void {
    this.battery = 1;
  }

  /** @throws Refusal DEVICE_NOT_CONNECTED */
  async obey(command: LaserCommand): Promise<void> {
    if (command.do === 'connect') this.connect();
    else if (command.do === 'disconnect') this.leave('switched off');
    else if (command.do === 'pane')
      this.#pane = { width_mm: command.width_mm, height_mm: command.height_mm, lean_mm: command.lean_mm };
    else if (command.do === 'misbehave') this.#misbehave(command.how);
    else await this.#measure(command.aimedAt_mm ?? this.#span(command.from, command.to));
  }

  #misbehave(how: 'drop out' | 'low battery' | 'next reading wrong'): void {
    if (how === 'drop out') this.leave('the line dropped out');
    else if (how === 'next reading wrong') this.#isNextWrong = true;
    else {
      this.battery = 0.08;
      this.fault('Battery low: readings may stop.');
    }
  }

  async #measure(true_mm: number): Promise<void> {
    this.wantConnected();
    if (this.takes_ms > 0)
      await new Promise((done) => {
        setTimeout(done, this.takes_ms);
      });
    if (this.#random() < DROP_OUT_SHARE) {
      this.leave('the line dropped out');
      return;
    }
    this.battery = Math.max(0, this.battery - BATTERY_PER_READING);
    if (this.battery === 0) {
      this.leave('battery empty');
      return;
    }
    if (this.battery < LOW_BATTERY) this.fault('Battery low: readings may stop.');
    const isWrong = this.#isNextWrong || this.#random() < BLUNDER_SHARE;
    this.#isNextWrong = false;
    const slip_mm = isWrong ? (this.#random() < 0.5 ? -1 : 1) * (40 + 260 * this.#random()) : 0;
    const value_mm = Math.max(1, true_mm + NOISE_SD_MM * this.#gauss() + slip_mm);
    this.#readings += 1;
    this.say({
      type: 'reading',
      device: 'laser',
      seq: this.#readings,
      at: this.#clock().toISOString(),
      value_nm: Math.round(value_mm * 10) * 100_000,
      battery: this.battery,
    });
  }

  #gauss(): number {
    return Math.sqrt(-2 * Math.log(1 - this.#random())) * Math.cos(2 * Math.PI * this.#random());
  }

  /** Between two points of the pane that stands on the Bench; its first width when none are told. */
  #span(from = WIDTH?.from ?? '', to = WIDTH?.to ?? ''): number {
    const { width_mm: w, height_mm: h, lean_mm: lean } = this.#pane;
    const points = fourSidePoints([
      { x: 0, y: 0 },
      { x: w, y: 0 },
      { x: w + lean, y: h },
      { x: lean, y: h },
    ]);
    const [p, q] = [points[from], points[to]];
    return (p === undefined || q === undefined ? 0 : Math.max(1, Math.hypot(q.x - p.x, q.y - p.y))) || w;
  }
}
