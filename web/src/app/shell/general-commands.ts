import { Injectable, inject } from '@angular/core';
import { Router } from '@angular/router';
import { Device } from '../device/device';
import { shellWords } from '../words/shell';
import { Commands } from './commands';

const PLACES = [
  { id: 'jobs', word: shellWords.allJobs, keys: 'Alt+J', url: '/' },
  { id: 'films', word: shellWords.filmCatalogue, keys: 'Alt+F', url: '/films' },
  { id: 'stock', word: shellWords.stockLong, keys: 'Alt+R', url: '/stock' },
  { id: 'bench', word: shellWords.benchLong, keys: 'Alt+B', url: '/bench' },
  { id: 'settings', word: shellWords.settings, keys: 'Alt+S', url: '/settings' },
] as const;

/** Commands that make sense on every page. */
@Injectable({ providedIn: 'root' })
export class GeneralCommands {
  readonly #commands = inject(Commands);
  readonly #router = inject(Router);
  readonly #device = inject(Device);

  /** Call from an injection context; the offer ends with the caller. */
  offer(): void {
    this.#commands.offer([
      ...PLACES.map(({ id, word, keys, url }) => ({
        ...{ id, word, keys },
        about: 'elsewhere' as const,
        run: () => {
          void this.#router.navigateByUrl(url);
        },
      })),
      {
        id: 'units',
        about: 'device',
        word: shellWords.switchUnits,
        keys: 'Alt+U',
        run: () => {
          this.#device.showIn(this.#device.units() === 'metric' ? 'imperial' : 'metric');
        },
      },
      {
        id: 'theme',
        about: 'device',
        word: shellWords.switchTheme,
        keys: 'Alt+D',
        run: () => {
          this.#device.wear(document.documentElement.dataset['theme'] === 'cellar' ? 'noon' : 'cellar');
        },
      },
    ]);
  }
}
