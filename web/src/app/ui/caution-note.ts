import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** A danger, there and then. Never hidden, never only a colour. */
@Component({
  selector: 'yp-caution',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="flex gap-2 border border-l-8 rounded-card bg-paper px-3 py-2"
      [class.border-ink]="!isStop()"
      [class.border-stop]="isStop()"
      role="note"
    >
      <p class="leading-snug">
        <strong>{{ word() }}.</strong> {{ says() }}
      </p>
    </div>
  `,
  host: { class: 'block' },
})
export class CautionNote {
  readonly word = input.required<string>();
  readonly says = input.required<string>();
  /** Holds the work back. */
  readonly isStop = input(false);
}
