import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import type { WeatherScenario } from '@yellow-pane/contracts';
import { BenchThermometer } from '../instruments/bench-thermometer';
import { Weather } from '../day/weather';
import { settingsWords } from '../words/settings';

const SCENARIOS: readonly { readonly value: WeatherScenario; readonly says: string }[] = [
  { value: 'clear cold snap', says: settingsWords.clearColdMornings },
  { value: 'mild overcast', says: settingsWords.noSunMild },
  { value: 'föhn warm', says: settingsWords.warmWind },
  { value: 'front at noon', says: settingsWords.rainFromNoon },
  { value: 'service down', says: settingsWords.noAnswer },
  { value: 'stale', says: settingsWords.answerOfYesterday },
  { value: 'garbage', says: '4711 °C' },
];

/** The weather service and the thermometer on site, both stand-ins: what they play decides the Day stop. */
@Component({
  selector: 'yp-bench-climate',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section
      class="mt-8 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-8 max-md:grid-cols-1 border-t border-ink pt-5"
      aria-labelledby="weather-name"
    >
      <div>
        <h2 id="weather-name" class="text-xl">{{ words.weatherService }}</h2>
        <p class="mt-1" role="status">
          {{ words.itPlays }} <strong>{{ weather.scenario() ?? words.unknownScenario }}</strong>.
        </p>
        <div class="flex flex-wrap gap-2 mt-3">
          @for (own of scenarios; track own.value) {
            <button
              type="button"
              class="act act-small"
              [class.!border-2]="weather.scenario() === own.value"
              [attr.aria-pressed]="weather.scenario() === own.value"
              (click)="weather.play(own.value)"
            >
              {{ own.value }}<span class="font-normal text-faint">{{ own.says }}</span>
            </button>
          }
        </div>
      </div>
      <div>
        <h2 class="text-xl">{{ words.thermometerOnSite }}</h2>
        <p class="mt-1" role="status">
          {{ words.itIs }}
          <strong>{{
            thermometer.seen()?.isConnected
              ? words.connected(thermometer.seen()?.air_C, percent())
              : words.switchedOff
          }}</strong>.
        </p>
        <div class="flex flex-wrap gap-3 mt-3 items-end">
          <label
            ><span class="block text-sm text-faint">{{ words.air }}</span
            ><input
              class="field figure w-24"
              type="number"
              min="-40"
              max="60"
              [value]="air()"
              (change)="air.set(number($any($event.target).value, air()))"
          /></label>
          <label
            ><span class="block text-sm text-faint">{{ words.humidity }}</span
            ><input
              class="field figure w-24"
              type="number"
              min="1"
              max="100"
              [value]="humidity()"
              (change)="humidity.set(number($any($event.target).value, humidity()))"
          /></label>
          <button
            type="button"
            class="act"
            (click)="thermometer.order({ do: 'set', air_C: air(), humidity: humidity() / 100 })"
          >
            {{ words.letItRead }}
          </button>
          @if (thermometer.seen()?.isConnected) {
            <button type="button" class="act" (click)="thermometer.order({ do: 'disconnect' })">
              {{ words.thermometerOff }}
            </button>
          } @else {
            <button type="button" class="act" (click)="thermometer.order({ do: 'connect' })">
              {{ words.thermometerOn }}
            </button>
          }
        </div>
      </div>
    </section>
  `,
})
export class BenchClimate {
  protected readonly words = settingsWords;
  protected readonly weather = inject(Weather);
  protected readonly thermometer = inject(BenchThermometer);
  protected readonly scenarios = SCENARIOS;
  protected readonly air = signal(20);
  protected readonly humidity = signal(50);
  protected readonly percent = (): number => Math.round((this.thermometer.seen()?.humidity ?? 0) * 100);

  constructor() {
    void this.weather.loadScenario();
    this.weather.begin();
  }

  protected number(text: string, before: number): number {
    const value = Number(text);
    return text.trim() !== '' && Number.isFinite(value) ? value : before;
  }
}
