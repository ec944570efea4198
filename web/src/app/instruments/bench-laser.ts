import { Injectable, signal } from '@angular/core';
import type { DeviceMessage, LaserCommand, LaserState } from '@yellow-pane/contracts';
import { api } from '../server/api';
import { settingsWords } from '../words/settings';
import type { DistanceMeter, MeterReading } from './distance-meter';
import { Instrument } from './instrument';

/**
 * The laser of the Bench behind the interface of any distance meter. Its button is pressed from the page,
 * since it has none.
 */
@Injectable({ providedIn: 'root' })
export class BenchLaser extends Instrument<LaserCommand, LaserState> implements DistanceMeter {
  readonly reading = signal<MeterReading | undefined>(undefined);

  constructor() {
    super({ device: 'laser', word: settingsWords.laser, send: api.laser, look: api.laserState });
  }

  override async order(command: LaserCommand): Promise<LaserState | undefined> {
    const state = await super.order(command);
    if (state === undefined && command.do === 'measure') this.state.set('lost');
    return state;
  }

  protected take(message: DeviceMessage): void {
    if (message.type === 'reading') this.reading.set({ seq: message.seq, value_nm: message.value_nm });
  }
}
