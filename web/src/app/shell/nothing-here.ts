import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';

@Component({
  selector: 'yp-nothing-here',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main class="p-10 max-w-xl mx-auto">
      <h1 class="text-2xl">There is nothing at this address</h1>
      <p class="mt-3">The link may be from a job that was deleted, or a letter is missing.</p>
      <a class="act act-next mt-6" routerLink="/">All jobs</a>
    </main>
  `,
})
export class NothingHere {}
