import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { LearnedRow } from '@yellow-pane/contracts';
import { BASES, type Basis } from '@yellow-pane/core/learned';
import { LearnedFigures } from '../catalogue/learned-figures';
import { Device } from '../device/device';
import { GeneralCommands } from '../shell/general-commands';
import { BackupsSection } from './backups';
import { PeopleSection } from './people-section';
import { Choices } from '../ui/choice';

const BASIS_WORDS: Readonly<Record<Basis, string>> = {
  'common practice': 'common practice',
  ours: 'our guess',
  once: 'measured once',
  'second hand': 'heard from others',
  uncertain: 'uncertain',
  ask: 'not known: ask',
  measured: 'measured',
  published: 'published',
  'from memory': 'from memory',
};

/** What this device and this server are set to. */
@Component({
  selector: 'yp-settings',
  imports: [RouterLink, Choices, BackupsSection, PeopleSection],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main class="max-w-2xl mx-auto px-5 py-6 flex flex-col gap-6">
      <div>
        <a routerLink="/" class="underline underline-offset-2">All jobs</a>
        <h1 class="text-3xl mt-1">Settings</h1>
      </div>
      <yp-people-section />
      <yp-choices
        legend="Units"
        [choices]="units"
        [value]="device.units()"
        (chosen)="device.showIn($event)"
      />
      <yp-choices legend="Theme" [choices]="themes" [value]="device.theme()" (chosen)="device.wear($event)" />
      <label class="block"
        ><span class="font-bold">Codes on labels lead to</span
        ><input
          class="field"
          maxlength="200"
          placeholder="where the page was opened"
          [value]="device.labelBase()"
          (change)="leadLabels($any($event.target))"
        />
        @if (baseFault(); as text) {
          <span class="block text-stop font-semibold" role="alert">{{ text }}</span>
        }
      </label>
      <yp-backups />
      <section aria-labelledby="rates">
        <h2 id="rates" class="text-xl">Rates nobody has a source for</h2>
        <p class="mt-1">
          Where these are used they are shown as what they are. Replace a guess by what you measured.
        </p>
        @for (rate of learned.figures(); track rate.key + (rate.scope?.of ?? '')) {
          <div class="flex flex-wrap gap-3 items-end border-b border-line py-3">
            <label class="flex-1 min-w-52"
              ><span class="block">{{ rate.word }} ({{ rate.unit }})</span
              ><input
                class="field figure"
                inputmode="decimal"
                [value]="rate.value"
                (change)="save(rate, $any($event.target).value, rate.basis)"
            /></label>
            <label
              ><span class="block">How known</span
              ><select class="field w-auto" (change)="save(rate, '' + rate.value, $any($event.target).value)">
                @for (basis of bases; track basis) {
                  <option [value]="basis" [selected]="basis === rate.basis">{{ words[basis] }}</option>
                }
              </select></label
            >
            <p class="basis-full text-sm text-faint">
              {{ rate.changedBy ? 'Changed by ' + rate.changedBy : 'As shipped' }}.
            </p>
          </div>
        } @empty {
          <p class="mt-2 text-faint">
            The rates could not be read.
            <button type="button" class="act act-small" (click)="learned.load()">Try again</button>
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
  protected readonly device = inject(Device);
  protected readonly learned = inject(LearnedFigures);
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly bases = BASES;
  protected readonly words = BASIS_WORDS;
  protected readonly units = [
    {
      value: 'metric',
      word: 'Metric',
      reason: "Millimetres. A figure typed without a unit takes the job's own unit.",
    },
    {
      value: 'imperial',
      word: 'Imperial',
      reason: 'Inches to 1/16. What was typed is kept exactly underneath.',
    },
  ] as const;
  protected readonly themes = [
    { value: 'as the device', word: 'As the device' },
    { value: 'noon', word: 'Noon: light, for glare' },
    { value: 'cellar', word: 'Cellar: dark, for gloom' },
  ] as const;

  constructor() {
    void this.learned.load();
    inject(GeneralCommands).offer();
  }

  protected readonly baseFault = signal<string | undefined>(undefined);
  protected leadLabels(field: { value: string }): void {
    const base = field.value.trim().replace(/\/+$/, '');
    const fits = base === '' || /^https?:\/\/[\w.:[\]-]+$/.test(base);
    this.baseFault.set(
      fits
        ? undefined
        : `Expected an address such as http://shop.local:4310, got “${field.value}”. The old one stays in use.`,
    );
    if (fits) this.device.leadLabelsTo(base);
  }

  protected async save(rate: LearnedRow, text: string, basis: LearnedRow['basis']): Promise<void> {
    const value = Number(text.replace(',', '.'));
    if (text.trim() === '' || !Number.isFinite(value) || value < 0) {
      this.fault.set(`${rate.word}: expected a number from 0, got “${text}”. The old value stays in use.`);
      return;
    }
    this.fault.set(
      await this.learned.save({ ...rate, value, basis: value === rate.value ? basis : 'measured' }),
    );
  }
}
