import { Injectable, computed } from '@angular/core';
import type { DeviceMessage, PlotterCommand, PlotterState } from '@yellow-pane/contracts';
import { api } from '../server/api';
import { settingsWords } from '../words/settings';
import { Instrument } from './instrument';

/** The cutting plotter of the Bench: takes a job, says how far it is, and shows what it drew. */
@Injectable({ providedIn: 'root' })
export class BenchPlotter extends Instrument<PlotterCommand, PlotterState> {
  readonly job = computed(() => this.seen()?.job ?? undefined);

  constructor() {
    super({ device: 'plotter', word: settingsWords.plotter, send: api.plotter, look: api.plotterState });
  }

  override order(command: PlotterCommand): Promise<PlotterState | undefined> {
    if (command.do === 'cut' || command.do === 'load') this.fault.set(undefined);
    return super.order(command);
  }

  /** How far it is, at once; what it drew, asked for after each piece. */
  protected take(message: DeviceMessage): void {
    if (message.type === 'job')
      this.seen.update(
        (seen) =>
          seen && {
            ...seen,
            job: { says: '', stoppedIn: null, ...seen.job, ...pick(message) },
          },
      );
    void this.look();
  }
}

const pick = ({
  key,
  done,
  of,
  state,
}: Extract<DeviceMessage, { readonly type: 'job' }>): Pick<
  NonNullable<PlotterState['job']>,
  'key' | 'done' | 'of' | 'state'
> => ({ key, done, of, state });
