import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { DeviceMessage } from '@yellow-pane/contracts';
import { type MeasureSlot, slotsFor } from '@yellow-pane/core/measure';
import { formatLengthWithUnit } from '@yellow-pane/core/quantity';
import { BenchLaser } from '../instruments/bench-laser';
import { Device } from '../device/device';
import { api } from '../server/api';
import { settingsWords } from '../words/settings';
import { BenchClimate } from './bench-climate-part';
import { BenchPlotterPart } from './bench-plotter-part';
import { CommandKeys } from '../shell/command-keys';

const STATE_WORDS = {
  off: settingsWords.switchedOff,
  connecting: 'connecting…',
  ready: 'ready',
  lost: settingsWords.notReached,
} as const;

/** Simulated instruments: what they say, what they stand before, and how to make them misbehave. */
@Component({
  selector: 'yp-bench',
  imports: [BenchClimate, BenchPlotterPart, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench.html',
  host: { class: 'block h-full overflow-auto' },
})
export class Bench {
  protected readonly words = settingsWords;
  protected readonly laser = inject(BenchLaser);
  protected readonly keys = inject(CommandKeys);
  readonly #units = inject(Device).units;
  protected readonly pane = signal({ width_mm: 1180, height_mm: 2140, lean_mm: 4 });
  protected readonly paneFault = signal<string | undefined>(undefined);
  protected readonly state = computed(() => STATE_WORDS[this.laser.state()]);
  protected readonly battery = computed(() =>
    this.laser.battery() === undefined ? '–' : `${((this.laser.battery() ?? 0) * 100).toFixed(0)} %`,
  );
  protected readonly last = computed(() => {
    const reading = this.laser.reading();
    return reading === undefined ? '– – –' : formatLengthWithUnit(reading.value_nm, this.#units());
  });
  protected readonly spans = [
    spanOf('width', settingsWords.itsWidth),
    spanOf('height', settingsWords.itsHeight),
    spanOf('diagonal', settingsWords.aDiagonal),
  ];
  readonly #scale = computed(() =>
    Math.min(
      150 / Math.max(this.pane().width_mm + Math.abs(this.pane().lean_mm), 1),
      190 / Math.max(this.pane().height_mm, 1),
    ),
  );
  protected readonly left = computed(() => 240 - (this.pane().width_mm * this.#scale()) / 2);
  protected readonly outline = computed(() => {
    const { width_mm, height_mm, lean_mm } = this.pane();
    const scale = this.#scale();
    const [x, y] = [this.left(), 110 - (height_mm * scale) / 2];
    return `M${x} ${y}h${width_mm * scale}l${lean_mm * scale} ${height_mm * scale}h${-width_mm * scale}Z`;
  });

  constructor() {
    void api.laserState().then(
      ({ pane }) => {
        this.pane.set(pane);
      },
      () => undefined,
    );
  }

  protected setPane(key: 'width_mm' | 'height_mm' | 'lean_mm', text: string): void {
    const value = Number(text);
    const [least, most] = key === 'lean_mm' ? [-200, 200] : [50, 20_000];
    if (!(value >= least && value <= most)) {
      this.paneFault.set(`Expected ${least} to ${most} mm, got ${text || 'nothing'}.`);
      return;
    }
    this.paneFault.set(undefined);
    this.pane.update((pane) => ({ ...pane, [key]: value }));
    void this.laser.order({ do: 'pane', ...this.pane() });
  }

  protected says(message: DeviceMessage): string {
    if (message.type === 'reading')
      return settingsWords.reading(message.seq, formatLengthWithUnit(message.value_nm, this.#units()));
    if (message.type === 'climate')
      return `${message.air_C.toFixed(1)} °C, ${Math.round(message.humidity * 100)} %`;
    if (message.type === 'job') return settingsWords.jobDone(message.done, message.of, message.state);
    return message.type === 'connected'
      ? settingsWords.batteryLeft((message.battery * 100).toFixed(0))
      : message.type === 'fault'
        ? message.says
        : settingsWords.disconnected(message.says);
  }
}

/** The first customary measure of a pane of such a group. */
function spanOf(
  group: MeasureSlot['group'],
  word: string,
): { readonly from: string; readonly to: string; readonly word: string } {
  const slot = slotsFor('four sides').find((own) => own.group === group);
  return { from: slot?.from ?? '', to: slot?.to ?? '', word };
}
