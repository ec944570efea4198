import type { DeviceMessage } from '@yellow-pane/contracts';
import { Refusal } from '../../http/refusal';

/** A device that is not there, and speaks as a real one would: what all of them have in common. */
export abstract class StandIn {
  readonly #listeners = new Set<(message: DeviceMessage) => void>();
  protected isConnected = false;
  protected battery = 1;

  protected constructor(private readonly device: 'laser' | 'plotter' | 'thermometer') {}

  /** Whoever comes later is told that it is connected. @returns how to stop listening */
  listen(hear: (message: DeviceMessage) => void): () => void {
    this.#listeners.add(hear);
    if (this.isConnected) hear(this.#greeting());
    return () => {
      this.#listeners.delete(hear);
    };
  }

  protected connect(): void {
    this.isConnected = true;
    this.say(this.#greeting());
  }

  protected leave(says: string): void {
    if (!this.isConnected) return;
    this.isConnected = false;
    this.say({ type: 'disconnected', device: this.device, says });
  }

  protected fault(says: string): void {
    this.say({ type: 'fault', device: this.device, says, battery: this.battery });
  }

  /** @throws Refusal DEVICE_NOT_CONNECTED */
  protected wantConnected(): void {
    if (!this.isConnected)
      throw new Refusal('DEVICE_NOT_CONNECTED', {
        path: this.device,
        expected: `a connected ${this.device}`,
        got: 'none',
      });
  }

  protected say(message: DeviceMessage): void {
    this.#listeners.forEach((hear) => {
      hear(message);
    });
  }

  #greeting(): DeviceMessage {
    return {
      type: 'connected',
      device: this.device,
      name: `${this.device} stand-in`,
      battery: this.battery,
    };
  }
}
