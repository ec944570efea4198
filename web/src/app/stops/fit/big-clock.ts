import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** A clock that is read from three metres: digits over a hand's breadth of a phone, and what they count. */
@Component({
  selector: 'yp-big-clock',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="text-lg font-semibold leading-tight">{{ says() }}</p>
    <p
      class="big-digits font-semibold"
      [class.text-stop]="isLate()"
      role="timer"
      [attr.aria-label]="says() + ' ' + digits()"
    >
      {{ digits() }}
    </p>
  `,
  host: { class: 'block shrink-0 text-center overflow-hidden' },
})
export class BigClock {
  readonly digits = input.required<string>();
  readonly says = input.required<string>();
  readonly isLate = input(false);
}
