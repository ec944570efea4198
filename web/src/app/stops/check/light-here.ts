import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { type LightHere as Light, lightHere } from '@yellow-pane/core/reading';
import { JobDesk } from '../../job/job-desk';
import { checkWords } from '../../words/check';
import { CheckDesk } from './check-desk';

const MOST_LX = 200_000;
const NO_SETTINGS = {
  emissivity: null,
  reflected_C: null,
  distance_mm: null,
  angle_deg: null,
  secondsSinceGun: null,
} as const;

/** A light meter behind bare glass and behind film, beside the film's sheet and the shop's own limit. */
@Component({
  selector: 'yp-light-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length > 0) {
      <details class="border-t border-line pt-2">
        <summary class="font-bold min-h-10 content-center cursor-pointer">{{ words.light }}</summary>
        <p class="text-sm">{{ words.lightHow }}</p>
        @if (fault(); as text) {
          <p class="text-stop font-semibold" role="alert">{{ text }}</p>
        }
        <label class="flex items-center gap-2 mt-1"
          ><span class="flex-1">{{ words.lightBare }}</span
          ><input
            class="field figure w-28"
            inputmode="decimal"
            [value]="lines()[0]?.light?.bare_lx ?? ''"
            (change)="take(null, $any($event.target).value)"
        /></label>
        @for (line of lines(); track line.id) {
          <label class="flex items-center gap-2 mt-1"
            ><span class="flex-1">{{ words.lightBehind(line.film) }}</span
            ><input
              class="field figure w-28"
              inputmode="decimal"
              [value]="line.light.filmed_lx ?? ''"
              (change)="take(line.id, $any($event.target).value)"
          /></label>
          <p class="leading-snug" role="status">{{ line.says }}</p>
        }
      </details>
    }
  `,
  host: { class: 'block' },
})
export class LightHere {
  protected readonly words = checkWords;
  readonly #desk = inject(CheckDesk);
  readonly #job = inject(JobDesk);
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly lines = computed(() => {
    const view = this.#desk.view();
    return view.applicationsOf(this.#desk.surface()?.id ?? '').map((application) => {
      const light = lightHere(view, application);
      const film = view.filmById.get(application.filmId)?.name ?? '';
      return { id: application.id, film, light, says: saysOf(light, this.#desk.set()?.leastLight ?? null) };
    });
  });

  protected take(applicationId: string | null, text: string): void {
    const surface = this.#desk.surface();
    if (surface === undefined || text.trim() === '') return;
    const value = Number(text.replace(',', '.'));
    if (!(value >= 0 && value <= MOST_LX)) {
      this.fault.set(checkWords.lightWrong(text, MOST_LX));
      return;
    }
    this.fault.set(undefined);
    this.#job.do(checkWords.lightRead(surface.tag), [
      this.#job.put('reading', {
        ...{ surfaceId: surface.id, applicationId, step: null, markId: null },
        ...{ quantity: 'light', instrument: 'light meter', shown: text.trim(), value },
        ...{ settings: NO_SETTINGS, corrected: null, plusMinus: null, x_nm: null, y_nm: null },
      }),
    ]);
  }
}

const percent = (share: number): number => Math.round(share * 100);

function saysOf({ share, sheet, isFar }: Light, least: number | null): string {
  if (share === undefined) return checkWords.lightUnknown;
  const through = checkWords.lightThrough(percent(share));
  const bySheet =
    sheet === null
      ? checkWords.lightNoSheet
      : isFar
        ? checkWords.lightFar(percent(sheet))
        : checkWords.lightAsSheet(percent(sheet));
  const byLimit =
    least === null
      ? checkWords.lightNoLimit
      : share < least
        ? checkWords.lightUnder(percent(least))
        : checkWords.lightOver(percent(least));
  return `${through} ${bySheet} ${byLimit}`;
}
