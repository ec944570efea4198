import { Injectable, computed } from '@angular/core';
import type { DeviceMessage, ThermometerCommand, ThermometerState } from '@yellow-pane/contracts';
import { api } from '../server/api';
import { settingsWords } from '../words/settings';
import { Instrument } from './instrument';

/** The thermometer and hygrometer on site, as the Bench plays it. */
@Injectable({ providedIn: 'root' })
export class BenchThermometer extends Instrument<ThermometerCommand, ThermometerState> {
  /** What it reads, while it is connected. */
  readonly air = computed(() => {
    const state = this.seen();
    return state?.isConnected === true && state.at !== null
      ? { air_C: state.air_C, humidity: state.humidity }
      : undefined;
  });

  constructor() {
    super({
      device: 'thermometer',
      word: settingsWords.thermometer,
      send: api.thermometer,
      look: api.thermometerState,
    });
  }

  protected take(message: DeviceMessage): void {
    if (message.type === 'climate') {
      const { air_C, humidity, at } = message;
      this.seen.set({ isConnected: true, air_C, humidity, at });
    } else if (message.type === 'disconnected')
      this.seen.update((state) => state && { ...state, isConnected: false });
  }
}
