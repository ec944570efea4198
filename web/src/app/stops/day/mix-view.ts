import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { SLIP_MIXES } from '@yellow-pane/core/fitting';
import { Device } from '../../device/device';
import { Choices } from '../../ui/choice';
import { Figure } from '../../ui/figure';
import { VerdictMark } from '../../ui/verdict-mark';
import { Planning } from './planning';

const ML_PER_US_FL_OZ = 29.5735;

/** What to mix for the job, liquid by liquid, scaled to the bottles at hand. */
@Component({
  selector: 'yp-mix-view',
  imports: [Choices, Figure, VerdictMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="text-xl pt-3">Mix sheet</h2>
    <p class="max-w-3xl">
      For every surface with a film. It will be up to {{ planning.warmest().toFixed(0) }} °C. Litres a square
      metre are our guess until you have weighed a bottle: change them in Settings.
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
            · each bottle: {{ line.each }}{{ line.liquid === 'slip' ? ', fill up with water' : '' }}
          }
        </p>
        <p class="text-faint">{{ line.because }}</p>
        <yp-figure [label]="'In all: ' + line.parts" [value]="line.litres" [why]="line.why" />
      </section>
    } @empty {
      <p class="mt-4 text-faint">Nothing to mix: no surface has a film yet.</p>
    }
    <div class="mt-6 grid grid-cols-2 gap-4 max-w-4xl max-md:grid-cols-1 no-print">
      <yp-choices
        legend="Slip"
        [choices]="slips"
        [value]="planning.settings().slip"
        (chosen)="planning.set({ slip: $event }, 'slip: ' + $event)"
      />
      <yp-choices
        legend="Primer"
        [choices]="primers"
        [value]="planning.settings().primer"
        (chosen)="planning.set({ primer: $event }, 'primer: ' + $event)"
      />
    </div>
  `,
  host: { class: 'block px-5 pb-6 overflow-auto' },
})
export class MixView {
  protected readonly planning = inject(Planning);
  readonly #units = inject(Device).units;
  protected readonly slips = [
    ...SLIP_MIXES.map(({ key, word, recipe }) => ({ value: key, word, reason: recipe })),
    {
      value: 'concentrate',
      word: 'concentrate',
      reason: '1 cap per 32 fl oz, 2 over 22 °C; measure once what a cap holds',
    },
  ];
  protected readonly primers = [
    { value: 'water-based' as const, word: 'water-based', reason: 'dry after over 2 h; no fumes' },
    {
      value: 'solvent-based' as const,
      word: 'solvent-based',
      reason: 'dry after over 1 h; ventilate, no flame',
    },
  ];
  protected readonly lines = computed(() =>
    this.planning.mixes().map((line) => ({
      liquid: line.liquid,
      verdict: line.verdict,
      says: line.says,
      recipe: line.recipe,
      because: line.because,
      each: line.bottles?.each,
      why: line.litres.why,
      litres: this.#volume(line.litres.value),
      head:
        line.bottles === null
          ? this.#volume(line.litres.value)
          : `${line.bottles.count} ${line.bottles.count === 1 ? 'bottle' : 'bottles'} of ${this.#bottle(line.bottles.size_l)}`,
      parts: line.parts.map(({ word, litres }) => `${this.#volume(litres)} ${word}`).join(', '),
    })),
  );

  #volume(litres: number): string {
    if (this.#units() === 'imperial') return `${((litres * 1000) / ML_PER_US_FL_OZ).toFixed(1)} fl oz`;
    return litres < 1 ? `${Math.round(litres * 1000)} ml` : `${litres.toFixed(1)} l`;
  }

  #bottle(litres: number): string {
    return this.#units() === 'imperial'
      ? `${Math.round((litres * 1000) / ML_PER_US_FL_OZ)} fl oz`
      : `${Math.round(litres * 1000)} ml`;
  }
}
