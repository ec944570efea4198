import type { DeviceMessage, ThermometerCommand, ThermometerState } from '@yellow-pane/contracts';

const NAME = 'thermometer stand-in';
const BATTERY = 0.9;

/**
 * A thermometer and hygrometer on site that is not there: it says what it was set to, with the messages a
 * real one would send.
 */
export class ThermometerStandIn {
  readonly #listeners = new Set<(message: DeviceMessage) => void>();
  #isConnected = false;
  #air_C = 20;
  #humidity = 0.5;
  #at: string | null = null;
  #readings = 0;

  constructor(private readonly clock: () => Date) {}

  get state(): ThermometerState {
    return { isConnected: this.#isConnected, air_C: this.#air_C, humidity: this.#humidity, at: this.#at };
  }

  /** @returns how to stop listening */
  listen(hear: (message: DeviceMessage) => void): () => void {
    this.#listeners.add(hear);
    if (this.#isConnected) hear({ type: 'connected', device: 'thermometer', name: NAME, battery: BATTERY });
    return () => {
      this.#listeners.delete(hear);
    };
  }

  obey(command: ThermometerCommand): void {
    if (command.do === 'disconnect') {
      if (this.#isConnected) this.#say({ type: 'disconnected', device: 'thermometer', says: 'switched off' });
      this.#isConnected = false;
      return;
    }
    if (command.do === 'set') {
      this.#air_C = command.air_C;
      this.#humidity = command.humidity;
    } else if (!this.#isConnected) {
      this.#isConnected = true;
      this.#say({ type: 'connected', device: 'thermometer', name: NAME, battery: BATTERY });
    }
    if (this.#isConnected) this.#read();
  }

  #read(): void {
    this.#readings += 1;
    this.#at = this.clock().toISOString();
    this.#say({
      type: 'climate',
      device: 'thermometer',
      seq: this.#readings,
      at: this.#at,
      air_C: this.#air_C,
      humidity: this.#humidity,
      battery: BATTERY,
    });
  }

  #say(message: DeviceMessage): void {
    this.#listeners.forEach((hear) => {
      hear(message);
    });
  }
}
