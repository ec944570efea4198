import type { PlotterCommand, PlotterState } from '@yellow-pane/contracts';
import { Refusal } from '../../http/refusal';
import { type HpglPiece, readHpgl } from './hpgl-reader';
import { StandIn } from './stand-in';

const CUTS_MM_S = 400;
const SETTLE_MS = 120;
const SLACK_MM = 0.5;

type Job = NonNullable<PlotterState['job']>;
type Line = readonly (readonly [number, number])[];

/**
 * A cutting plotter that is not there: takes HP-GL, checks it against the film in it, takes its time, draws
 * what it cut, and can run out, jam or be unplugged in the middle of a piece.
 */
export class PlotterStandIn extends StandIn {
  #film: { width_mm: number; length_mm: number } | null = null;
  #job: Job | null = null;
  #drawn: Line[] = [];
  readonly #cutOnce = new Set<string>();
  #cutTwice_mm = 0;
  #times = 20;
  #trouble: { readonly how: 'run out of film' | 'jam' | 'unplug'; readonly afterPieces: number } | undefined;

  constructor() {
    super('plotter');
  }

  get state(): PlotterState {
    return {
      isConnected: this.isConnected,
      film: this.#film,
      job: this.#job,
      drawn: this.#drawn.map((line) => line.map(([x, y]) => [x, y])),
      cutTwice_mm: this.#cutTwice_mm,
    };
  }

  /** @throws Refusal DEVICE_NOT_CONNECTED, PLOTTER_REFUSED */
  obey(command: PlotterCommand): void {
    switch (command.do) {
      case 'connect':
        this.connect();
        return;
      case 'disconnect':
        this.leave('switched off');
        return;
      case 'load':
        this.#load(command.width_mm, command.length_mm);
        return;
      case 'speed':
        this.#times = command.times;
        return;
      case 'misbehave':
        this.#trouble = command;
        return;
      case 'cut':
        this.#take(command.key, command.hpgl, command.from);
    }
  }

  #load(width_mm: number, length_mm: number): void {
    if (this.#job?.state === 'running') throw refused('an idle plotter', 'one that is cutting');
    this.#film = { width_mm, length_mm };
    this.#drawn = [];
    this.#cutOnce.clear();
    this.#cutTwice_mm = 0;
    this.#job = null;
  }

  #take(key: string, hpgl: string, from: number): void {
    this.wantConnected();
    if (this.#film === null) throw refused('film loaded', 'none');
    if (this.#job?.state === 'running')
      throw refused('an idle plotter', `one that is cutting ${this.#job.key}`);
    if (this.#job?.key === key && from < this.#job.done)
      throw refused(`to go on with piece ${this.#job.done + 1}`, `piece ${from + 1}, which is cut already`);
    let pieces: readonly HpglPiece[];
    try {
      pieces = readHpgl(hpgl);
    } catch (error) {
      throw refused('HP-GL it knows', error instanceof Error ? error.message : 'something else');
    }
    const { width_mm, length_mm } = this.#film;
    for (const { name, lines } of pieces) {
      for (const [x, y] of lines.flat()) {
        if (x < -SLACK_MM || y < -SLACK_MM || y > width_mm + SLACK_MM)
          throw refused(`cuts within the film's ${width_mm} mm of width`, `${name} at ${y.toFixed(0)} mm`);
        if (x > length_mm + SLACK_MM)
          throw refused(`cuts within ${length_mm} mm of film`, `${name} at ${x.toFixed(0)} mm`);
      }
    }
    this.#job = { key, done: from, of: from + pieces.length, state: 'running', stoppedIn: null, says: '' };
    this.#tell();
    void this.#cut(this.#job, pieces);
  }

  async #cut(job: Job, pieces: readonly HpglPiece[]): Promise<void> {
    for (const [index, piece] of pieces.entries()) {
      const trouble =
        this.#trouble !== undefined && this.#trouble.afterPieces <= index ? this.#trouble : undefined;
      const length_mm = piece.lines.reduce((sum, line) => sum + lengthOf(line), 0);
      await pause(
        (SETTLE_MS + (1000 * length_mm * (trouble === undefined ? 1 : 0.5)) / CUTS_MM_S) / this.#times,
      );
      if (!this.isConnected || this.#job?.key !== job.key) return;
      if (trouble !== undefined) {
        this.#trouble = undefined;
        for (const line of piece.lines) this.#draw(line.slice(0, Math.ceil(line.length / 2)));
        const says =
          trouble.how === 'unplug'
            ? 'the plug was pulled'
            : trouble.how === 'jam'
              ? 'the film jammed'
              : 'no more film';
        this.#job = { ...this.#job, state: 'stopped', stoppedIn: this.#job.done, says };
        if (trouble.how === 'unplug') this.leave(says);
        else this.fault(says);
        this.#tell();
        return;
      }
      for (const line of piece.lines) this.#draw(line);
      this.#job = {
        ...this.#job,
        done: this.#job.done + 1,
        state: this.#job.done + 1 === this.#job.of ? 'done' : 'running',
      };
      this.#tell();
    }
    if (pieces.length === 0) {
      this.#job = { ...job, state: 'done' };
      this.#tell();
    }
  }

  #draw(line: Line): void {
    this.#drawn.push(line);
    line.slice(1).forEach((to, index) => {
      const from = line[index] ?? to;
      const key = [from, to]
        .map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`)
        .sort()
        .join(' ');
      if (this.#cutOnce.has(key)) this.#cutTwice_mm += lengthOf([from, to]);
      this.#cutOnce.add(key);
    });
  }

  protected override leave(says: string): void {
    if (this.isConnected && this.#job?.state === 'running')
      this.#job = { ...this.#job, state: 'stopped', stoppedIn: this.#job.done, says };
    super.leave(says);
  }

  #tell(): void {
    if (this.#job !== null)
      this.say({
        type: 'job',
        device: 'plotter',
        key: this.#job.key,
        done: this.#job.done,
        of: this.#job.of,
        state: this.#job.state,
      });
  }
}

const refused = (expected: string, got: string): Refusal =>
  new Refusal('PLOTTER_REFUSED', { path: 'plotter', expected, got });
const lengthOf = (line: Line): number =>
  line.slice(1).reduce((sum, [x, y], index) => {
    const [a, b] = line[index] ?? [x, y];
    return sum + Math.hypot(x - a, y - b);
  }, 0);
const pause = (milliseconds: number): Promise<void> =>
  new Promise((done) => {
    setTimeout(done, milliseconds).unref();
  });
