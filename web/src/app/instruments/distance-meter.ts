import type { Signal } from '@angular/core';

export interface MeterReading {
  readonly seq: number;
  readonly value_nm: number;
}

/**
 * What the program wants of any distance meter, simulated or real: a state, readings as they come, and a way
 * to connect.
 */
export interface DistanceMeter {
  readonly state: Signal<'off' | 'connecting' | 'ready' | 'lost'>;
  readonly battery: Signal<number | undefined>;
  /** The last fault in words; undefined when there is none. */
  readonly fault: Signal<string | undefined>;
  readonly reading: Signal<MeterReading | undefined>;
  connect(): void;
  disconnect(): void;
}
