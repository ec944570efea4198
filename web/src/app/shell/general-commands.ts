import { Injectable, inject } from '@angular/core';
import { Router } from '@angular/router';
import { Device } from '../device/device';
import { shellWords } from '../words/shell';
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
        word: shellWords.allJobs,
        keys: 'Alt+J',
        run: () => {
          void this.#router.navigateByUrl('/');
        },
      },
      {
        id: 'films',
        word: shellWords.filmCatalogue,
        keys: 'Alt+F',
        run: () => {
          void this.#router.navigateByUrl('/films');
        },
      },
      {
        id: 'stock',
        word: shellWords.stockLong,
        keys: 'Alt+R',
        run: () => {
          void this.#router.navigateByUrl('/stock');
        },
      },
      {
        id: 'bench',
        word: shellWords.benchLong,
        keys: 'Alt+B',
        run: () => {
          void this.#router.navigateByUrl('/bench');
        },
      },
      {
        id: 'settings',
        word: shellWords.settings,
        keys: 'Alt+S',
        run: () => {
          void this.#router.navigateByUrl('/settings');
        },
      },
      {
        id: 'units',
        word: shellWords.switchUnits,
        keys: 'Alt+U',
        run: () => {
          this.#device.showIn(this.#device.units() === 'metric' ? 'imperial' : 'metric');
        },
      },
      {
        id: 'theme',
        word: shellWords.switchTheme,
        keys: 'Alt+D',
        run: () => {
          this.#device.wear(document.documentElement.dataset['theme'] === 'cellar' ? 'noon' : 'cellar');
        },
      },
    ]);
  }
}
