import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import type { Forecast, WeatherScenario } from '@yellow-pane/contracts';
import { BenchThermometer } from '../instruments/bench-thermometer';
import { ServerRefusal, api } from '../server/api';
import { JobReading } from '../job/job-reading';
import { shellWords } from '../words/shell';

const STALE_MS = 12 * 3_600_000;
const AGAIN_MS = 10 * 60_000;

/** The forecast of the job's place, and the thermometer on site, which wins for now. */
@Injectable({ providedIn: 'root' })
export class Weather {
  readonly #reading = inject(JobReading);
  readonly #thermometer = inject(BenchThermometer);
  readonly forecast = signal<Forecast | undefined>(undefined);
  readonly fault = signal<string | undefined>(undefined);
  readonly scenario = signal<WeatherScenario | undefined>(undefined);
  readonly hours = computed(() => this.forecast()?.hours ?? []);
  readonly place = computed(() =>
    this.#reading
      .places()
      .find(({ latitude_deg, longitude_deg }) => latitude_deg !== null && longitude_deg !== null),
  );
  readonly isStale = computed(() => {
    const issued = this.forecast()?.issuedAt;
    return issued !== undefined && Date.now() - Date.parse(issued) > STALE_MS;
  });
  /** What the thermometer on site says, while it is connected. */
  readonly onSite = this.#thermometer.air;
  readonly #hasBegun = signal(false);
  /** Of the place, as one word: a change to anything else of it asks for no other forecast. */
  readonly #where = computed(() => {
    const { latitude_deg, longitude_deg, altitude_m } = this.place() ?? {};
    return `${latitude_deg} ${longitude_deg} ${altitude_m}`;
  });

  constructor() {
    /** The job may come after the first who asks, and its place later still. */
    effect(() => {
      this.#where();
      if (this.#hasBegun()) void untracked(() => this.load());
    });
  }

  /** Begins to listen; asks again when it listens already. */
  begin(): void {
    if (untracked(this.#hasBegun)) {
      void this.load();
      return;
    }
    this.#hasBegun.set(true);
    this.#thermometer.listen();
    void this.#thermometer.look();
    setInterval(() => {
      void this.load();
    }, AGAIN_MS);
  }

  async load(): Promise<void> {
    const place = this.place();
    if (place?.latitude_deg == null || place.longitude_deg === null) return;
    try {
      this.forecast.set(await api.weather(place.latitude_deg, place.longitude_deg, place.altitude_m ?? 0));
      this.fault.set(undefined);
    } catch (error) {
      this.forecast.set(undefined);
      this.fault.set(error instanceof ServerRefusal ? error.problem.detail : shellWords.weatherSilent);
    }
  }

  async play(scenario: WeatherScenario): Promise<void> {
    await api.playWeather(scenario).then(
      (state) => {
        this.scenario.set(state.scenario);
      },
      () => undefined,
    );
    await this.load();
  }

  async loadScenario(): Promise<void> {
    await api.weatherState().then(
      (state) => {
        this.scenario.set(state.scenario);
      },
      () => undefined,
    );
  }
}
