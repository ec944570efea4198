import { Injectable, inject } from '@angular/core';
import { Router } from '@angular/router';
import { Device } from '../device/device';
import { Commands } from './commands';

/** Commands that make sense on every page. */
@Injectable({ providedIn: 'root' })
export class GeneralCommands {
  readonly #commands = inject(Commands);
  readonly #router = inject(Router);
  readonly #device = inject(Device);

  /** Call from an injection context; the offer ends with the caller. */
  offer(): void {
    this.#commands.offer([
      {
        id: 'jobs',
        word: 'All jobs',
        keys: 'Alt+J',
        run: () => {
          void this.#router.navigateByUrl('/');
        },
      },
      {
        id: 'films',
        word: 'Film catalogue',
        keys: 'Alt+F',
        run: () => {
          void this.#router.navigateByUrl('/films');
        },
      },
      {
        id: 'stock',
        word: 'Stock: rolls and offcuts',
        keys: 'Alt+R',
        run: () => {
          void this.#router.navigateByUrl('/stock');
        },
      },
      {
        id: 'bench',
        word: 'Bench: simulated instruments',
        keys: 'Alt+B',
        run: () => {
          void this.#router.navigateByUrl('/bench');
        },
      },
      {
        id: 'settings',
        word: 'Settings',
        keys: 'Alt+S',
        run: () => {
          void this.#router.navigateByUrl('/settings');
        },
      },
      {
        id: 'units',
        word: 'Switch between metric and imperial',
        keys: 'Alt+U',
        run: () => {
          this.#device.showIn(this.#device.units() === 'metric' ? 'imperial' : 'metric');
        },
      },
      {
        id: 'theme',
        word: 'Switch between light and dark',
        keys: 'Alt+D',
        run: () => {
          this.#device.wear(document.documentElement.dataset['theme'] === 'cellar' ? 'noon' : 'cellar');
        },
      },
    ]);
  }
}
