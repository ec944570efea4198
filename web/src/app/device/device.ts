import { isCurrency, moneyIn } from '../words/money';
import { computed, effect, inject } from '@angular/core';
import { DOCUMENT } from '@angular/common';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import type { MadeBy } from '@yellow-pane/contracts';
import { type DisplayUnits, displayUnitsOf } from '@yellow-pane/core/quantity';
import { readKept, writeKept } from './keep';

type Theme = 'as the device' | 'noon' | 'cellar';

interface DeviceState {
  /** Kept on every record made here; empty: nobody has said yet. */
  readonly who: string;
  /** Of the shop; empty: only the name is known. */
  readonly personId: string;
  readonly units: DisplayUnits;
  readonly theme: Theme;
  /** The number pad under the drawing, for this hand; or none. */
  readonly pad: 'none' | 'left' | 'right';
  /** Surfaces closer than this are offered as repeats of each other. */
  readonly alike_mm: number;
  /** Where the codes on labels lead; empty: where the page was opened. */
  readonly labelBase: string;
  /** Of all prices, by its ISO 4217 code; empty: nobody has said. */
  readonly currency: string;
  /** From which side drawings that were brought in last were drawn; empty: nobody has said. */
  readonly drawnFrom: '' | 'room' | 'outside';
}

const KEY = 'device';
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
const START: DeviceState = {
  who: '',
  personId: '',
  units: 'metric',
  theme: 'as the device',
  pad: 'none',
  alike_mm: 3,
  labelBase: '',
  currency: '',
  drawnFrom: '',
};

/** What this device remembers of its person. Never leaves it, except the name on records. */
export const Device = signalStore(
  { providedIn: 'root' },
  withState<DeviceState>(() => readDevice()),
  withComputed(({ who, personId }) => ({
    hasName: computed(() => who().trim() !== ''),
    by: computed((): MadeBy => ({ who: who(), personId: personId() === '' ? null : personId() })),
  })),
  withMethods((store) => ({
    workFor: ({ who, personId }: { readonly who: string; readonly personId: string }): void => {
      patchState(store, { who: who.trim().slice(0, 80), personId });
    },
    showIn: (units: DisplayUnits): void => {
      patchState(store, { units });
    },
    usePad: (pad: DeviceState['pad']): void => {
      patchState(store, { pad });
    },
    countIn: (currency: string): void => {
      patchState(store, { currency: isCurrency(currency) ? currency : '' });
    },
    /** Money in the currency of this device. */
    money: (value: number): string => moneyIn(value, store.currency()),
    setLabelBaseUrl: (labelBase: string): void => {
      patchState(store, { labelBase });
    },
    takeDrawnFrom: (drawnFrom: DeviceState['drawnFrom']): void => {
      patchState(store, { drawnFrom });
    },
    setSameAsTolerance: (alike_mm: number): void => {
      patchState(store, { alike_mm });
    },
    wear: (theme: Theme): void => {
      patchState(store, { theme });
    },
  })),
  withHooks({
    onInit(store, document = inject(DOCUMENT)) {
      const dark = document.defaultView?.matchMedia('(prefers-color-scheme: dark)');
      const paint = (): void => {
        document.documentElement.dataset['theme'] =
          store.theme() === 'as the device' ? (dark?.matches === true ? 'cellar' : 'noon') : store.theme();
      };
      dark?.addEventListener('change', paint);
      effect(() => {
        writeKept(KEY, {
          who: store.who(),
          personId: store.personId(),
          units: store.units(),
          theme: store.theme(),
          pad: store.pad(),
          alike_mm: store.alike_mm(),
          labelBase: store.labelBase(),
          currency: store.currency(),
          drawnFrom: store.drawnFrom(),
        });
        paint();
      });
    },
  }),
);

function readDevice(): DeviceState {
  const kept = readKept(KEY);
  if (typeof kept !== 'object' || kept === null) return START;
  const { who, personId, units, theme, pad, alike_mm, labelBase, currency, drawnFrom } = kept as Partial<
    Record<keyof DeviceState, unknown>
  >;
  return {
    who: typeof who === 'string' ? who.slice(0, 80) : START.who,
    personId: typeof personId === 'string' && UUID.test(personId) ? personId : START.personId,
    units: displayUnitsOf(units),
    theme: theme === 'noon' || theme === 'cellar' ? theme : START.theme,
    pad: pad === 'left' || pad === 'right' ? pad : START.pad,
    alike_mm: typeof alike_mm === 'number' && alike_mm > 0 && alike_mm <= 100 ? alike_mm : START.alike_mm,
    labelBase: typeof labelBase === 'string' ? labelBase.slice(0, 200) : START.labelBase,
    currency: isCurrency(currency) ? currency : START.currency,
    drawnFrom: drawnFrom === 'room' || drawnFrom === 'outside' ? drawnFrom : START.drawnFrom,
  };
}
