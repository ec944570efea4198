import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

export interface Choice<Value extends string> {
  readonly value: Value;
  readonly word: string;
  readonly reason?: string;
}

/** One of a few ways, each with its reason, as large radio rows. */
@Component({
  selector: 'yp-choices',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend class="font-bold mb-1">{{ legend() }}</legend>
      @for (choice of choices(); track choice.value) {
        <label
          class="flex gap-3 items-start py-2 px-2 border border-transparent rounded-card min-h-touch has-checked:border-ink has-checked:bg-paper"
        >
          <input
            type="radio"
            class="mt-1 size-5 accent-ink"
            [name]="legend()"
            [value]="choice.value"
            [checked]="choice.value === value()"
            (change)="chosen.emit(choice.value)"
          />
          <span class="leading-snug"
            ><span class="font-semibold">{{ choice.word }}</span>
            @if (choice.reason) {
              <span class="block text-sm text-faint">{{ choice.reason }}</span>
            }
          </span>
        </label>
      }
    </fieldset>
  `,
})
export class Choices<Value extends string> {
  readonly legend = input.required<string>();
  readonly choices = input.required<readonly Choice<Value>[]>();
  readonly value = input.required<Value | undefined>();
  readonly chosen = output<Value>();
}
