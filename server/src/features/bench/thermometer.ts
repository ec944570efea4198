import type { Air } from '@yellow-pane/core/waiting';
import type { ThermometerCommand, ThermometerState } from '@yellow-pane/contracts';
import { StandIn } from './stand-in';

const BATTERY = 0.9;

/**
 * A thermometer and hygrometer on site that is not there: it says what it was set to, with the messages a
 * real one would send.
 */
export class ThermometerStandIn extends StandIn {
  #air_C = 20;
  #humidity = 0.5;
  #at: string | null = null;
  #readings = 0;

  constructor(private readonly clock: () => Date) {
    super('thermometer');
    this.battery = BATTERY;
  }

  get state(): ThermometerState {
    return { isConnected: this.isConnected, air_C: this.#air_C, humidity: this.#humidity, at: this.#at };
  }

  obey(command: ThermometerCommand): void {
    if (command.do === 'disconnect') {
      this.leave('switched off');
      return;
    }
    if (command.do === 'set') {
      this.#air_C = command.air_C;
      this.#humidity = command.humidity;
    } else if (!this.isConnected) this.connect();
    if (this.isConnected) this.#read();
  }

  #read(): void {
    this.#readings += 1;
    this.#at = this.clock().toISOString();
    this.say({
      type: 'climate',
      device: 'thermometer',
      seq: this.#readings,
      at: this.#at,
      air_C: this.#air_C,
      humidity: this.#humidity,
      battery: this.battery,
    });
  }
}

/** The air a connected thermometer has told of; undefined: none has. */
export function airOnSite({ state }: ThermometerStandIn): Air | undefined {
  const { isConnected, at, air_C, humidity } = state;
  return isConnected && at !== null ? { air_C, humidity } : undefined;
}
