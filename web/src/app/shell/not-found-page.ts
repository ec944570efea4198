import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';
import { shellWords } from '../words/shell';

@Component({
  selector: 'yp-nothing-here',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main class="p-10 max-w-xl mx-auto">
      <h1 class="text-2xl">{{ words.nothingHere }}</h1>
      <p class="mt-3">{{ words.nothingHereSaid }}</p>
      <a class="act act-next mt-6" routerLink="/">{{ words.allJobs }}</a>
    </main>
  `,
})
export class NotFoundPage {
  protected readonly words = shellWords;
}
