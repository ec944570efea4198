import { Injectable, signal } from '@angular/core';
import type { Subscription } from 'rxjs';
import type { DeviceMessage, PlotterCommand, PlotterState } from '@yellow-pane/contracts';
import { ServerRefusal, api } from '../server/api';
import { saidBy } from '../server/server-events';

/**
 * The cutting plotter of the Bench, as a real one would be spoken to: connect, send a job, hear how far it
 * is, hear what is wrong.
 */
@Injectable({ providedIn: 'root' })
export class BenchPlotter {
  readonly state = signal<'off' | 'connecting' | 'ready' | 'lost'>('off');
  readonly fault = signal<string | undefined>(undefined);
  readonly job = signal<
    | {
        readonly key: string;
        readonly done: number;
        readonly of: number;
        readonly state: 'running' | 'done' | 'stopped';
      }
    | undefined
  >(undefined);
  readonly log = signal<readonly DeviceMessage[]>([]);
  /** What it drew, asked for after each piece. */
  readonly seen = signal<PlotterState | undefined>(undefined);
  #line: Subscription | undefined;

  connect(): void {
    this.state.set('connecting');
    this.fault.set(undefined);
    this.#line?.unsubscribe();
    this.#line = saidBy('plotter').subscribe((message) => {
      if (message !== undefined) this.#hear(message);
      else if (this.state() !== 'off') this.state.set('lost');
    });
    void this.order({ do: 'connect' });
  }

  disconnect(): void {
    void this.order({ do: 'disconnect' });
    this.#line?.unsubscribe();
    this.#line = undefined;
    this.state.set('off');
  }

  async order(command: PlotterCommand): Promise<void> {
    if (command.do === 'cut' || command.do === 'load') this.fault.set(undefined);
    await api.plotter(command).then(
      (state) => {
        this.#see(state);
      },
      (error: unknown) => {
        this.fault.set(
          error instanceof ServerRefusal ? error.problem.detail : 'The plotter cannot be reached.',
        );
      },
    );
  }

  async look(): Promise<void> {
    await api.plotterState().then(
      (state) => {
        this.#see(state);
      },
      () => undefined,
    );
  }

  #see(state: PlotterState): void {
    this.seen.set(state);
    if (state.job === null) this.job.set(undefined);
    else this.job.set({ key: state.job.key, done: state.job.done, of: state.job.of, state: state.job.state });
  }

  #hear(message: DeviceMessage): void {
    this.log.update((log) => [message, ...log].slice(0, 40));
    if (message.type === 'disconnected') {
      this.state.set('lost');
      this.fault.set(`Plotter gone: ${message.says}.`);
    } else if (message.type === 'fault') this.fault.set(message.says);
    else if (message.type === 'connected') this.state.set('ready');
    else if (message.type === 'job')
      this.job.set({ key: message.key, done: message.done, of: message.of, state: message.state });
    void this.look();
  }
}
