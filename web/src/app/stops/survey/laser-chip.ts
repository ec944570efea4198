import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  output,
  untracked,
} from '@angular/core';
import { BenchLaser } from '../../instruments/bench-laser';
import { surveyWords } from '../../words/survey';
import { Measuring } from './measuring';

/** The laser beside the drawing: a reading lands in the measure in use and goes on to the next. */
@Component({
  selector: 'yp-laser-chip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @switch (laser.state()) {
      @case ('off') {
        <button type="button" class="act act-quiet" (click)="laser.connect()">
          {{ words.laserSwitchedOn }}
        </button>
      }
      @case ('connecting') {
        <span class="text-sm" aria-busy="true">{{ words.laserConnecting }}</span>
      }
      @case ('ready') {
        <button type="button" class="act" (mousedown)="$event.preventDefault()" (click)="press()">
          {{ words.laserTake(target()) }}
        </button>
        <span class="text-sm" [class.text-stop]="(laser.battery() ?? 1) < 0.15"
          >{{ ((laser.battery() ?? 0) * 100).toFixed(0) }} %{{
            (laser.battery() ?? 1) < 0.15 ? words.laserBatteryLow : ''
          }}</span
        >
      }
      @case ('lost') {
        <span class="text-sm text-stop font-semibold" role="alert">{{
          laser.fault() ?? words.laserDroppedOut
        }}</span><button type="button" class="act act-small" (click)="laser.connect()">
          {{ words.connectAgain }}
        </button>
      }
    }
  `,
  host: { class: 'inline-flex items-center gap-2' },
})
export class LaserChip {
  protected readonly words = surveyWords;
  protected readonly laser = inject(BenchLaser);
  readonly #measuring = inject(Measuring);
  readonly landed = output<string>();
  #seen = this.laser.reading()?.seq ?? 0;
  readonly #key = computed(() => this.#measuring.target('laser'));
  protected readonly target = computed(() => {
    const field = this.#measuring.sheetMeasures().find(({ key }) => key === this.#key());
    return field === undefined ? surveyWords.aReading : this.#measuring.word(field);
  });

  constructor() {
    effect(() => {
      const reading = this.laser.reading();
      if (reading === undefined || reading.seq === this.#seen) return;
      this.#seen = reading.seq;
      untracked(() => {
        const key = this.#key();
        if (key !== undefined && this.#measuring.land(key, reading.value_nm, 'laser')) this.landed.emit(key);
      });
    });
  }

  protected press(): void {
    const field = this.#measuring.sheetMeasures().find(({ key }) => key === this.#key());
    void this.laser.order({
      do: 'measure',
      ...(field === undefined ? {} : { from: field.from, to: field.to }),
    });
  }
}
