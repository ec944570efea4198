import { signal } from '@angular/core';
import type { DeviceMessage } from '@yellow-pane/contracts';
import type { Subscription } from 'rxjs';
import { ServerRefusal } from '../server/api';
import { saidBy } from '../server/server-events';
import { settingsWords } from '../words/settings';

const MOST_IN_LOG = 40;

interface Wiring<Command, State> {
  readonly device: 'laser' | 'plotter' | 'thermometer';
  /** At the beginning of a sentence. */
  readonly word: string;
  readonly send: (command: Command) => Promise<State>;
  readonly look: () => Promise<State>;
}

/**
 * Any instrument of the Bench, as a real one would be spoken to: connect, tell it something, hear what it
 * says, hear what is wrong. Each kind adds what is its own.
 */
export abstract class Instrument<Command, State> {
  readonly state = signal<'off' | 'connecting' | 'ready' | 'lost'>('off');
  readonly battery = signal<number | undefined>(undefined);
  /** The last fault in words; undefined when there is none. */
  readonly fault = signal<string | undefined>(undefined);
  readonly log = signal<readonly DeviceMessage[]>([]);
  /** What it said of itself last. */
  readonly seen = signal<State | undefined>(undefined);
  #line: Subscription | undefined;

  protected constructor(
    private readonly wiring: Wiring<Command | { readonly do: 'connect' | 'disconnect' }, State>,
  ) {}

  connect(): void {
    this.state.set('connecting');
    this.fault.set(undefined);
    this.listen();
    void this.order({ do: 'connect' });
  }

  disconnect(): void {
    void this.order({ do: 'disconnect' });
    this.#line?.unsubscribe();
    this.#line = undefined;
    this.state.set('off');
  }

  /** Hears what it says, without asking it to connect. */
  listen(): void {
    this.#line?.unsubscribe();
    this.#line = saidBy(this.wiring.device).subscribe((message) => {
      if (message !== undefined) this.#hear(message);
      else if (this.state() !== 'off') this.state.set('lost');
    });
  }

  /** @returns what it says of itself then; undefined when it does not do it, and the fault says why */
  async order(command: Command | { readonly do: 'connect' | 'disconnect' }): Promise<State | undefined> {
    try {
      return this.#see(await this.wiring.send(command));
    } catch (error) {
      this.fault.set(
        error instanceof ServerRefusal
          ? error.problem.detail
          : settingsWords.cannotBeReached(this.wiring.device),
      );
      return undefined;
    }
  }

  /** Asks what it says of itself. */
  async look(): Promise<void> {
    await this.wiring.look().then(
      (state) => this.#see(state),
      () => undefined,
    );
  }

  /** What is its own among the messages. */
  protected abstract take(message: DeviceMessage): void;

  #see(state: State): State {
    this.seen.set(state);
    return state;
  }

  #hear(message: DeviceMessage): void {
    this.log.update((log) => [message, ...log].slice(0, MOST_IN_LOG));
    if (message.type === 'disconnected') {
      this.state.set('lost');
      this.fault.set(`${this.wiring.word} gone: ${message.says}.`);
    } else if (message.type === 'fault') this.fault.set(message.says);
    /** How far a job is may still be told when the line is gone. */
    else if (message.type !== 'job') this.state.set('ready');
    if ('battery' in message) this.battery.set(message.battery);
    this.take(message);
  }
}
