import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { Device } from '../device/device';

/** Asked once on each device: the name that goes on every record made here. */
@Component({
  selector: 'yp-name-ask',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main class="min-h-screen grid place-items-center p-6">
      <form class="max-w-md w-full" (submit)="keep($event)">
        <h1 class="text-3xl">Who is working on this device?</h1>
        <p class="mt-3">
          Your name goes on every measure, tick and note you make here, so that months later it is clear who
          to ask. It stays on this device and on those records.
        </p>
        <label class="block mt-6 font-bold" for="who">Name or initials</label>
        <input
          id="who"
          class="field text-xl mt-1"
          maxlength="80"
          autocomplete="name"
          [value]="text()"
          (input)="text.set($any($event.target).value)"
          [attr.aria-describedby]="isMissing() ? 'who-missing' : null"
          [attr.aria-invalid]="isMissing()"
        />
        @if (isMissing()) {
          <p id="who-missing" class="mt-1 text-stop font-semibold">Type a name of at least one letter.</p>
        }
        <button class="act act-next mt-4 text-lg" type="submit">Start work</button>
      </form>
    </main>
  `,
})
export class NameAsk {
  readonly #device = inject(Device);
  protected readonly text = signal('');
  protected readonly isMissing = signal(false);

  protected keep(event: Event): void {
    event.preventDefault();
    this.isMissing.set(this.text().trim() === '');
    if (!this.isMissing()) this.#device.nameIt(this.text());
  }
}
