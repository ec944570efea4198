import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { uiWords } from '../words/ui';

/** An honest empty state: what this is for, what it will need, what is missing now. */
@Component({
  selector: 'yp-empty-stop',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="m-auto max-w-xl p-8">
      <h1 class="text-2xl">{{ heading() }}</h1>
      <p class="mt-3 text-lg">{{ purpose() }}</p>
      <h2 class="mt-6 font-bold">{{ words.itWillShow }}</h2>
      <ul class="mt-1 list-disc pl-5">
        @for (line of will(); track line) {
          <li>{{ line }}</li>
        }
      </ul>
      <h2 class="mt-6 font-bold">{{ words.missingNow }}</h2>
      <p class="mt-1">{{ missing() }}</p>
      <div class="mt-6"><ng-content /></div>
    </div>
  `,
  host: { class: 'flex min-h-full' },
})
export class EmptyStop {
  protected readonly words = uiWords;
  readonly heading = input.required<string>();
  readonly purpose = input.required<string>();
  readonly will = input.required<readonly string[]>();
  readonly missing = input.required<string>();
}
