import { currencies } from '../words/money';
import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { LearnedRow } from '@yellow-pane/contracts';
import { BASES, isVolume } from '@yellow-pane/core/learned';
import { BASIS_WORDS } from '../words/basis';
import { parseVolume } from '@yellow-pane/core/quantity';
import { LearnedFigures } from '../catalogue/learned-figures';
import { Device } from '../device/device';
import { GeneralCommands } from '../shell/general-commands';
import { settingsWords } from '../words/settings';
import { BackupsSection } from './backups';
import { PeopleSection } from './people-section';
import { Choices } from '../ui/choice';

/** What this device and this server are set to. */
@Component({
  selector: 'yp-settings',
  imports: [RouterLink, Choices, BackupsSection, PeopleSection],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main class="max-w-2xl mx-auto px-5 py-6 flex flex-col gap-6">
      <div>
        <a routerLink="/" class="underline underline-offset-2">{{ words.allJobs }}</a>
        <h1 class="text-3xl mt-1">{{ words.settings }}</h1>
      </div>
      <yp-people-section />
      <yp-choices
        [legend]="words.units"
        [choices]="units"
        [value]="device.units()"
        (chosen)="device.showIn($event)"
      />
      <yp-choices
        [legend]="words.theme"
        [choices]="themes"
        [value]="device.theme()"
        (chosen)="device.wear($event)"
      />
      <label class="block"
        ><span class="font-bold">{{ words.currency }}</span
        ><select class="field" (change)="device.countIn($any($event.target).value)">
          <option value="">{{ words.noCurrency }}</option>
          @for (own of currencies; track own.code) {
            <option [value]="own.code" [selected]="own.code === device.currency()">
              {{ own.code }}, {{ own.name }}
            </option>
          }
        </select>
      </label>
      <label class="block"
        ><span class="font-bold">{{ words.codesLeadTo }}</span
        ><input
          class="field"
          maxlength="200"
          [placeholder]="words.whereOpened"
          [value]="device.labelBase()"
          (change)="leadLabels($any($event.target))"
        />
        @if (baseFault(); as text) {
          <span class="block text-stop font-semibold" role="alert">{{ text }}</span>
        }
      </label>
      <yp-backups />
      <section aria-labelledby="rates">
        <h2 id="rates" class="text-xl">{{ words.ratesWithoutSource }}</h2>
        <p class="mt-1">
          {{ words.ratesSaid }}
        </p>
        @for (rate of learned.figures(); track rate.key + (rate.scope?.of ?? '')) {
          <div class="flex flex-wrap gap-3 items-end border-b border-line py-3">
            <label class="flex-1 min-w-52"
              ><span class="block">{{ rate.word }} ({{ rate.unit }})</span
              ><input
                class="field figure"
                [attr.inputmode]="isVolume(rate) ? 'text' : 'decimal'"
                [value]="rate.value"
                (change)="save(rate, $any($event.target).value, rate.basis)"
            /></label>
            <label
              ><span class="block">{{ words.howKnown }}</span
              ><select class="field w-auto" (change)="save(rate, '' + rate.value, $any($event.target).value)">
                @for (basis of bases; track basis) {
                  <option [value]="basis" [selected]="basis === rate.basis">{{ basisWords[basis] }}</option>
                }
              </select></label
            >
            <p class="basis-full text-sm text-faint">
              {{ rate.changedBy ? words.changedBy(rate.changedBy) : words.asShipped }}.
            </p>
          </div>
        } @empty {
          <p class="mt-2 text-faint">
            {{ words.ratesUnreadable }}
            <button type="button" class="act act-small" (click)="learned.load()">{{ words.tryAgain }}</button>
          </p>
        }
        @if (fault(); as text) {
          <p class="mt-2 text-stop font-semibold" role="alert">{{ text }}</p>
        }
      </section>
    </main>
  `,
})
export class Settings {
  protected readonly words = settingsWords;
  protected readonly device = inject(Device);
  protected readonly learned = inject(LearnedFigures);
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly isVolume = isVolume;
  protected readonly bases = BASES;
  protected readonly basisWords = BASIS_WORDS;
  protected readonly units = [
    {
      value: 'metric',
      word: settingsWords.metric,
      reason: settingsWords.metricSaid,
    },
    {
      value: 'imperial',
      word: settingsWords.imperial,
      reason: settingsWords.imperialSaid,
    },
    {
      value: 'inches and °C',
      word: settingsWords.inchesAndCelsius,
    },
  ] as const;
  protected readonly currencies = currencies();
  protected readonly themes = [
    { value: 'as the device', word: settingsWords.asTheDevice },
    { value: 'noon', word: settingsWords.lightTheme },
    { value: 'cellar', word: settingsWords.darkTheme },
  ] as const;

  constructor() {
    void this.learned.load();
    inject(GeneralCommands).offer();
  }

  protected readonly baseFault = signal<string | undefined>(undefined);
  protected leadLabels(field: { value: string }): void {
    const base = field.value.trim().replace(/\/+$/, '');
    const fits = base === '' || /^https?:\/\/[\w.:[\]-]+$/.test(base);
    this.baseFault.set(fits ? undefined : settingsWords.addressWrong(field.value));
    if (fits) this.device.setLabelBaseUrl(base);
  }

  protected async save(rate: LearnedRow, text: string, basis: LearnedRow['basis']): Promise<void> {
    const value = isVolume(rate) ? millilitres(text) : numberFrom0(text);
    if (value === undefined) {
      this.fault.set(
        isVolume(rate)
          ? settingsWords.volumeWrong(rate.word, text)
          : settingsWords.rateWrong(rate.word, text),
      );
      return;
    }
    this.fault.set(
      await this.learned.save({ ...rate, value, basis: value === rate.value ? basis : 'measured' }),
    );
  }
}

function millilitres(text: string): number | undefined {
  const read = parseVolume(text);
  return read.kind === 'volume' ? Math.round(read.litres * 1e4) / 10 : undefined;
}

function numberFrom0(text: string): number | undefined {
  const value = Number(text.replace(',', '.'));
  return text.trim() === '' || !Number.isFinite(value) || value < 0 ? undefined : value;
}
