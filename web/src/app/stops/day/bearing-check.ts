import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MOST_TURN_DEG, type SeenEnd } from '@yellow-pane/core/climate';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { placesOutwards, surfaceRowsOf } from '@yellow-pane/core/reading';
import { Selection } from '../../shell/selection';
import { DayPool } from '../../workers/day-pool';
import { Planning } from './planning';

/** The sun as a compass: the minute it leaves or comes says how the front really stands. */
@Component({
  selector: 'yp-bearing-check',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (at(); as place) {
      <h3 class="text-lg font-bold mt-5">Set the bearing by the sun</h3>
      <p class="max-w-3xl">
        {{ place.name }} stands at {{ place.bearing_deg }}° as entered. When you see the sun leave this
        surface, or come to it, say so: that minute is better than a compass.
      </p>
      <div class="flex flex-wrap gap-3 items-end mt-2">
        <button type="button" class="act" (click)="seen('goes')">The sun has just left</button>
        <button type="button" class="act" (click)="seen('comes')">The sun has just come</button>
        <label
          ><span class="block text-sm text-faint">or today at</span
          ><input
            class="field figure w-24"
            inputmode="numeric"
            maxlength="5"
            placeholder="now"
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
      this.#say(`Today at: expected a time such as 11:40, got ${this.clock()}.`, true);
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
      this.#say(
        `At ${word} no bearing within ${MOST_TURN_DEG}° of ${was}° makes the sun ${end === 'goes' ? 'leave' : 'come'}. Look at the skyline, the edge above it and the clock.`,
        true,
      );
      return;
    }
    const bearing_deg = Math.round(found.bearing_deg * 10) / 10;
    this.#desk.do(`${place.name}: bearing by the sun`, [this.#desk.set('place', place.id, { bearing_deg })]);
    this.#say(
      `${place.name}: ${was}° is now ${bearing_deg}°, by the sun at ${word}. A minute off is ${(1 / found.minutesPerDegree).toFixed(1)}°. It counts for everything there; undo takes it back.`,
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
