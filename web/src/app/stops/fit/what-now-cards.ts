import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { WhatNow } from '@yellow-pane/core/ways';
import { fitWords } from '../../words/fit';

/** What happens in the middle of the work, three lines each, then back to the step. */
@Component({
  selector: 'yp-what-now-cards',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="what-now" class="font-bold text-lg">{{ words.whatNow }}</h2>
    <div class="grid grid-cols-2 gap-x-6 max-md:grid-cols-1">
      @for (card of cards(); track card.key) {
        <details class="border-b border-line py-1">
          <summary class="min-h-14 content-center cursor-pointer text-xl font-semibold">
            {{ card.sees }}
          </summary>
          <ol class="list-decimal pl-6 text-xl leading-snug pb-2">
            @for (line of card.does; track line) {
              <li>{{ line }}</li>
            }
          </ol>
        </details>
      }
    </div>
  `,
  host: { class: 'block' },
})
export class WhatNowCards {
  protected readonly words = fitWords;
  readonly cards = input.required<readonly WhatNow[]>();
}
