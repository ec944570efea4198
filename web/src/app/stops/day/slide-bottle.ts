import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { figuresIn } from '@yellow-pane/contracts/words';
import { type Bottle, type Slide, type SlideAnswer, slideTest } from '@yellow-pane/core/day';
import { slipBoundsOf } from '@yellow-pane/core/reading';
import { LearnedFigures } from '../../catalogue/learned-figures';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { Figure } from '../../ui/figure';
import { dayWords } from '../../words/day';
import { DayCommands } from './day-commands';

const SLIDES: readonly Slide[] = ['sticks', 'right', 'runs off'];

/** The slide on wet glass: what to do with this bottle, and what the next one is mixed by. */
@Component({
  selector: 'yp-slide-bottle',
  imports: [Figure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="mt-2 leading-snug">{{ words.slideHow(soap()) }}</p>
    <p class="flex flex-wrap gap-2 mt-1 no-print" role="group" [attr.aria-label]="words.slideTest">
      @for (slide of slides; track slide) {
        <button type="button" class="act" (click)="slid(slide)">{{ words.slideOf(slide) }}</button>
      }
    </p>
    @if (answer(); as said) {
      <p class="text-lg font-semibold leading-snug mt-1" role="status">{{ says(said) }}</p>
      @if (said.ml.value > 0) {
        <yp-figure [label]="words.slideCalculated" [value]="volume(said.ml.value)" [why]="said.ml.why" />
      }
    }
    @if (fault(); as text) {
      <p class="text-stop font-semibold" role="alert">{{ text }}</p>
    }
  `,
  host: { class: 'block' },
})
export class SlideBottle {
  protected readonly words = dayWords;
  protected readonly slides = SLIDES;
  readonly #units = inject(Device).units;
  readonly #learned = inject(LearnedFigures);
  readonly #reading = inject(JobReading);
  readonly #commands = inject(DayCommands);
  /** As it was mixed. */
  readonly mixed = input.required<Bottle>();
  protected readonly bottle = linkedSignal(() => this.mixed());
  protected readonly answer = signal<SlideAnswer | undefined>(undefined);
  protected readonly fault = signal<string | undefined>(undefined);
  readonly #figures = computed(() => figuresIn(this.#units()));
  protected readonly soap = computed(() => this.volume(this.bottle().soap_ml));

  protected volume(ml: number): string {
    return this.#figures().volume(ml / 1000);
  }

  protected says({ does, ml, after, isAtItsEnd }: SlideAnswer): string {
    if (isAtItsEnd) return dayWords.slideAtItsEnd;
    const share = `${((after.soap_ml / after.water_ml) * 100).toFixed(2)} %`;
    switch (does) {
      case 'soap in':
        return dayWords.slideSoapIn(this.volume(ml.value), share);
      case 'pour off, fill up with water':
        return dayWords.slidePourOff(this.volume(ml.value), share);
      case 'nothing':
        return dayWords.slideRight(share);
    }
  }

  protected slid(slide: Slide): void {
    const answer = slideTest(this.bottle(), slide, slipBoundsOf(this.#reading.view()));
    this.answer.set(answer);
    this.bottle.set(answer.after);
    if (slide === 'right') void this.#keep(answer.after);
  }

  /** The next mix is made as this one was right. */
  async #keep({ soap_ml, water_ml }: Bottle): Promise<void> {
    const row = this.#learned.figures().find(({ key, scope }) => key === 'mix-right' && scope === null);
    if (row === undefined) {
      this.fault.set(dayWords.slideNotKept);
      return;
    }
    this.fault.set(
      await this.#learned.save({
        ...row,
        value: soap_ml / water_ml,
        basis: 'measured',
        from: dayWords.slideTest,
      }),
    );
    if (this.fault() === undefined) this.#commands.set({ slip: 'own' }, dayWords.slipAsRight);
  }
}
