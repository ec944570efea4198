import { Injectable, signal } from '@angular/core';
import type { Subscription } from 'rxjs';
import type { DeviceMessage, LaserCommand, LaserState } from '@yellow-pane/contracts';
import { api } from '../server/api';
import { saidBy } from '../server/server-events';
import type { DistanceMeter, MeterReading } from './distance-meter';

/**
 * The laser of the Bench behind the interface of any distance meter. Its button is pressed from the page,
 * since it has none.
 */
@Injectable({ providedIn: 'root' })
export class BenchLaser implements DistanceMeter {
  readonly state = signal<'off' | 'connecting' | 'ready' | 'lost'>('off');
  readonly battery = signal<number | undefined>(undefined);
  readonly fault = signal<string | undefined>(undefined);
  readonly reading = signal<MeterReading | undefined>(undefined);
  readonly log = signal<readonly DeviceMessage[]>([]);
  #line: Subscription | undefined;

  connect(): void {
    this.state.set('connecting');
    this.fault.set(undefined);
    this.#line?.unsubscribe();
    this.#line = saidBy('laser').subscribe((message) => {
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

  /** @returns what the stand-in says of itself; undefined when it cannot be reached, and the fault says so */
  async order(command: LaserCommand): Promise<LaserState | undefined> {
    return api.laser(command).catch((error: unknown) => {
      this.fault.set(error instanceof Error ? error.message : 'The laser cannot be reached.');
      if (command.do === 'measure') this.state.set('lost');
      return undefined;
    });
  }

  #hear(message: DeviceMessage): void {
    this.log.update((log) => [message, ...log].slice(0, 40));
    if (message.type === 'disconnected') {
      this.state.set('lost');
      this.fault.set(`Laser gone: ${message.says}.`);
      return;
    }
    if (message.type === 'job' || message.type === 'climate') return;
    this.battery.set(message.battery);
    if (message.type === 'fault') this.fault.set(message.says);
    else this.state.set('ready');
    if (message.type === 'reading') this.reading.set({ seq: message.seq, value_nm: message.value_nm });
  }
}
