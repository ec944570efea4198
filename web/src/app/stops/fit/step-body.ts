import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { stillToDoWith } from '@yellow-pane/core/reading';
import { type WorkStep, headOf } from '@yellow-pane/core/ways';
import { JobReading } from '../../job/job-reading';
import { BASIS_WORDS } from '../../words/basis';
import { fitWords } from '../../words/fit';

/** One step as it is read: what to do, how it looks when it is right, and why. */
@Component({
  selector: 'yp-step-body',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let own = step();
    <p class="text-2xl leading-snug font-semibold max-w-[46rem]">{{ head() }}</p>
    @if (rest()) {
      <p class="text-xl leading-snug max-w-[46rem]">{{ rest() }}</p>
    }
    @if (own.right) {
      <p class="text-xl leading-snug max-w-[46rem]">
        <strong>{{ words.right }}</strong> {{ own.right }}
      </p>
    }
    @if (own.wrong) {
      <p class="text-xl leading-snug max-w-[46rem]">
        <strong>{{ words.wrong }}</strong> {{ own.wrong }}
      </p>
    }
    <p class="text-xl leading-snug max-w-[46rem]">
      <strong>{{ words.why }}</strong> {{ own.why }}
    </p>
    @if (own.figures.length > 0) {
      <ul class="flex flex-wrap gap-x-6 gap-y-1" [attr.aria-label]="words.figures">
        @for (figure of own.figures; track $index) {
          <li>
            <span class="figure text-xl font-semibold">{{ figure.said }}</span>
            <span>
              {{ figure.kind
              }}{{ figure.basis === 'common practice' ? '' : ', ' + basisWords[figure.basis] }}</span
            >
          </li>
        }
      </ul>
    }
    @if (own.basis !== 'common practice') {
      <p>{{ words.lineIs(basisWords[own.basis]) }}</p>
    }
    @if (own.over && others().length > 0) {
      <p class="text-xl leading-snug">
        <strong>{{ own.over === 'the row' ? words.overRow : words.overRoom }}</strong> {{ others() }}
      </p>
    }
    @if (own.then; as then) {
      <p class="text-xl leading-snug">
        <strong>{{ words.whatThen }}</strong> {{ words.thenSaid(then.why, then.most) }}
      </p>
    }
    @if (own.tools.length > 0) {
      <p class="text-xl leading-snug">
        <strong>{{ words.atHand }}</strong> {{ own.tools.join(', ') }}
      </p>
    }
    @if (own.wants.length > 0) {
      <p class="text-xl leading-snug">
        <strong>{{ words.wanted }}</strong> {{ own.wants.join(', ') }}
      </p>
    }
  `,
  host: { class: 'contents' },
})
export class StepBody {
  protected readonly words = fitWords;
  protected readonly basisWords = BASIS_WORDS;
  readonly #reading = inject(JobReading);
  readonly step = input.required<WorkStep>();
  readonly application = input.required<RowOf<'application'>>();
  protected readonly head = computed(() => headOf(this.step().what));
  /** How it is done, after what is done. */
  protected readonly rest = computed(() => this.step().what.slice(this.head().length).trim());
  /** Surfaces of the row or room on which it is still open. */
  protected readonly others = computed(() =>
    stillToDoWith(this.#reading.view(), this.application(), this.step())
      .map(({ tag }) => tag)
      .join(', '),
  );
}
