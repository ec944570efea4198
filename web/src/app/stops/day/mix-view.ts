import { type Bottle, CAP_RULE, type MixLine } from '@yellow-pane/core/day';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { bottleWords, figuresIn, mixWords, recipeWords } from '@yellow-pane/contracts/words';
import { SLIP_MIXES } from '@yellow-pane/core/ways';
import { Device } from '../../device/device';
import { Choices } from '../../ui/choice';
import { Figure } from '../../ui/figure';
import { VerdictMark } from '../../ui/verdict-mark';
import { dayWords } from '../../words/day';
import { DayCommands } from './day-commands';
import { Planning } from './planning';
import { SlideBottle } from './slide-bottle';
import { WhatToBring } from './what-to-bring';

/** What to mix for the job, liquid by liquid, scaled to the bottles at hand. */
@Component({
  selector: 'yp-mix-view',
  imports: [Choices, Figure, SlideBottle, VerdictMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="text-xl pt-3">{{ words.mixSheet }}</h2>
    <p class="max-w-3xl">
      {{ words.mixesSaid(warmest()) }}
    </p>
    @for (line of lines(); track line.liquid) {
      <section class="mt-4 border-t-2 border-ink pt-2 max-w-4xl" [attr.aria-label]="line.liquid">
        <div class="flex flex-wrap items-baseline gap-x-4">
          <h3 class="text-lg first-letter:uppercase">{{ line.liquid }}</h3>
          <p class="text-2xl font-semibold figure">{{ line.head }}</p>
          <p class="ml-auto flex items-center gap-2">
            <yp-verdict-mark [verdict]="line.verdict" />{{ line.says }}
          </p>
        </div>
        <p class="text-lg">
          <strong>{{ line.recipe }}</strong>
          @if (line.each) {
            {{ words.eachBottle }} {{ line.each }}{{ line.liquid.startsWith('slip') ? words.fillUp : '' }}
          }
        </p>
        <p class="text-faint">{{ line.because }}</p>
        @if (line.liquid === 'slip' && line.bottle; as bottle) {
          <yp-slide-bottle [mixed]="bottle" />
        }
        <yp-figure [label]="words.inAll(line.parts)" [value]="line.litres" [why]="line.why" />
      </section>
    } @empty {
      <p class="mt-4 text-faint">{{ words.nothingToMix }}</p>
    }
    <div class="mt-6 grid grid-cols-2 gap-4 max-w-4xl max-md:grid-cols-1 no-print">
      <yp-choices
        [legend]="words.slip"
        [choices]="slips()"
        [value]="planning.settings().slip"
        (chosen)="commands.set({ slip: $event }, 'slip: ' + $event)"
      />
      <yp-choices
        [legend]="words.primer"
        [choices]="primers"
        [value]="planning.settings().primer"
        (chosen)="commands.set({ primer: $event }, 'primer: ' + $event)"
      />
    </div>
  `,
  host: { class: 'block px-5 pb-6 overflow-auto' },
})
export class MixView {
  protected readonly words = dayWords;
  protected readonly planning = inject(Planning);
  protected readonly commands = inject(DayCommands);
  protected readonly bring = inject(WhatToBring);
  readonly #units = inject(Device).units;
  readonly #figures = computed(() => figuresIn(this.#units()));
  protected readonly warmest = computed(() => this.#figures().temperature(this.bring.warmest_C()));
  protected readonly slips = computed(() => [
    ...SLIP_MIXES.map(({ key, word, recipe }) => ({ value: key, word, reason: recipe })),
    { value: 'own', word: dayWords.slipAsRight, reason: dayWords.slipAsRightWhy },
    {
      value: 'concentrate',
      word: 'concentrate',
      reason: dayWords.capsSaid(
        this.#figures().volume(CAP_RULE.water_l),
        this.#figures().temperature(CAP_RULE.warm_C),
      ),
    },
  ]);
  protected readonly primers = [
    { value: 'water-based' as const, word: 'water-based', reason: dayWords.drySolvent },
    {
      value: 'solvent-based' as const,
      word: 'solvent-based',
      reason: dayWords.dryWater,
    },
  ];
  protected readonly lines = computed(() =>
    this.bring.mixes().map((line) => ({
      liquid: line.liquid,
      verdict: line.verdict,
      says: line.findings.map((own) => mixWords(own, this.#units())).join(' '),
      recipe: recipeWords(line.recipe, this.#units()),
      because: line.remarks.map((own) => mixWords(own, this.#units())).join(' '),
      each: line.bottles === null ? '' : bottleWords(line.bottles.each, this.#units()),
      why: line.litres.why,
      litres: this.#figures().volume(line.litres.value),
      head:
        line.bottles === null
          ? this.#figures().volume(line.litres.value)
          : dayWords.bottlesOf(
              line.bottles.count,
              line.bottles.count === 1 ? 'bottle' : 'bottles',
              this.#figures().volume(line.bottles.size_l),
            ),
      bottle: bottleOf(line),
      parts: line.parts.map(({ word, litres }) => `${this.#figures().volume(litres)} ${word}`).join(', '),
    })),
  );
}

/** One bottle of it as it is mixed; none where soap is not counted by volume. */
function bottleOf({ bottles, parts }: MixLine): Bottle | undefined {
  const [soap, water] = parts;
  if (bottles === null || soap === undefined || water === undefined || water.litres === 0) return undefined;
  const water_ml = bottles.size_l * 1000;
  return { soap_ml: (soap.litres / water.litres) * water_ml, water_ml };
}
