import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MOST_TURN_DEG, type SeenEnd } from '@yellow-pane/core/climate';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { placesOutwards, surfaceRowsOf } from '@yellow-pane/core/reading';
import { Selection } from '../../shell/selection';
import { dayWords } from '../../words/day';
import { DayPool } from '../../workers/day-pool';
import { Planning } from './planning';

/** The sun as a compass: the minute it leaves or comes says how the front really stands. */
@Component({
  selector: 'yp-bearing-check',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (at(); as place) {
      <h3 class="text-lg font-bold mt-5">{{ words.setBearingBySun }}</h3>
      <p class="max-w-3xl">
        {{ words.bearingAsEntered(place.name, place.bearing_deg ?? '?') }}
      </p>
      <div class="flex flex-wrap gap-3 items-end mt-2">
        <button type="button" class="act" (click)="seen('goes')">{{ words.sunJustLeft }}</button>
        <button type="button" class="act" (click)="seen('comes')">{{ words.sunJustCame }}</button>
        <label
          ><span class="block text-sm text-faint">{{ words.orTodayAt }}</span
          ><input
            class="field figure w-24"
            inputmode="numeric"
            maxlength="5"
            [placeholder]="words.now"
            autocomplete="off"
            [value]="clock()"
            (change)="clock.set($any($event.target).value)"
        /></label>
      </div>
      @if (says(); as text) {
        <p
          class="mt-2 font-semibold max-w-3xl"
          [class.text-stop]="isFault()"
          [attr.role]="isFault() ? 'alert' : 'status'"
        >
          {{ text }}
        </p>
      }
    }
  `,
  host: { class: 'block' },
})
export class BearingCheck {
  protected readonly words = dayWords;
  readonly #planning = inject(Planning);
  readonly #reading = inject(JobReading);
  readonly #selection = inject(Selection);
  readonly #desk = inject(JobDesk);
  readonly #pool = inject(DayPool);
  protected readonly clock = signal('');
  protected readonly says = signal<string | undefined>(undefined);
  protected readonly isFault = signal(false);
  /** The place that says how this surface stands. */
  protected readonly at = computed(() => {
    const surface = this.#selection.surface();
    return surface === undefined
      ? undefined
      : placesOutwards(this.#reading.view(), surface.placeId).find(({ bearing_deg }) => bearing_deg !== null);
  });

  protected async seen(end: SeenEnd): Promise<void> {
    const [surface, place] = [this.#selection.surface(), this.at()];
    if (surface === undefined || place?.bearing_deg == null) return;
    const instant_ms = this.#instant();
    if (instant_ms === undefined) {
      this.#say(dayWords.timeWrong(this.clock()), true);
      return;
    }
    const found = await this.#pool.bearing(
      surfaceRowsOf(this.#reading.view(), surface),
      surface.seenFrom,
      end,
      instant_ms,
    );
    const [was, word] = [place.bearing_deg, this.#planning.clock().hourOf(instant_ms)];
    if (found === null) {
      this.#say(dayWords.noBearingFits(word, MOST_TURN_DEG, was, end === 'goes' ? 'leave' : 'come'), true);
      return;
    }
    const bearing_deg = Math.round(found.bearing_deg * 10) / 10;
    this.#desk.do(dayWords.bearingBySun(place.name), [this.#desk.set('place', place.id, { bearing_deg })]);
    this.#say(
      dayWords.bearingSet(place.name, was, bearing_deg, word, (1 / found.minutesPerDegree).toFixed(1)),
      false,
    );
  }

  #instant(): number | undefined {
    if (this.clock().trim() === '') return Date.now();
    const [, hour = '', minute = ''] = /^([01]?\d|2[0-3])[:.h]([0-5]\d)$/.exec(this.clock().trim()) ?? [];
    return hour === '' ? undefined : this.#planning.clock().todayAt(Number(hour), Number(minute));
  }

  #say(text: string, isFault: boolean): void {
    this.isFault.set(isFault);
    this.says.set(text);
  }
}
