import { DOCUMENT } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { uiWords } from '../words/ui';

const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', '.', '-'] as const;
const FRACTIONS = ['1/2', '1/4', '3/4', '1/8', '3/8', '5/8', '7/8', '1/16'] as const;
const MARKS = ["'", '"', ' cm', ' m'] as const;

/** Large keys that type into the field in use, for either hand. Never takes the focus itself. */
@Component({
  selector: 'yp-number-pad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="flex gap-2 p-2 border border-ink rounded-card bg-ground shadow-lg"
      [class.flex-row-reverse]="hand() === 'left'"
      role="group"
      [attr.aria-label]="words.numberPad"
      (pointerdown)="$event.preventDefault()"
      (mousedown)="$event.preventDefault()"
    >
      <div class="grid grid-cols-2 gap-1">
        @for (key of fractions; track key) {
          <button
            type="button"
            tabindex="-1"
            class="act figure justify-center px-2 min-w-14"
            (click)="type(' ' + key)"
          >
            {{ key }}
          </button>
        }
      </div>
      <div class="grid grid-cols-3 gap-1">
        @for (key of digits; track key) {
          <button
            type="button"
            tabindex="-1"
            class="act figure justify-center px-2 min-w-14 text-xl"
            (click)="type(key)"
          >
            {{ key }}
          </button>
        }
      </div>
      <div class="grid gap-1">
        @for (key of marks; track key) {
          <button
            type="button"
            tabindex="-1"
            class="act figure justify-center px-2 min-w-14"
            (click)="type(key)"
          >
            {{ key.trim() }}
          </button>
        }
      </div>
      <div class="grid gap-1 grid-rows-[1fr_2fr]">
        <button type="button" tabindex="-1" class="act justify-center px-3" (click)="rub()">
          {{ words.rubOut }}
        </button>
        <button
          type="button"
          tabindex="-1"
          class="act act-next justify-center px-3 text-lg"
          (click)="onward()"
        >
          {{ words.next }}
        </button>
      </div>
    </div>
  `,
})
export class NumberPad {
  protected readonly words = uiWords;
  readonly hand = input<'left' | 'right'>('right');
  protected readonly digits = DIGITS;
  protected readonly fractions = FRACTIONS;
  protected readonly marks = MARKS;
  readonly #document = inject(DOCUMENT);

  protected type(text: string): void {
    this.#edit((field, start, end) => {
      field.setRangeText(start === 0 ? text.trimStart() : text, start, end, 'end');
    });
  }

  protected rub(): void {
    this.#edit((field, start, end) => {
      field.setRangeText('', start === end ? Math.max(0, start - 1) : start, end, 'end');
    });
  }

  protected onward(): void {
    this.#field()?.dispatchEvent(
      new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }),
    );
  }

  #field(): HTMLInputElement | undefined {
    const active = this.#document.activeElement;
    return active instanceof HTMLInputElement ? active : undefined;
  }

  #edit(edit: (field: HTMLInputElement, start: number, end: number) => void): void {
    const field = this.#field();
    if (field === undefined) return;
    edit(field, field.selectionStart ?? field.value.length, field.selectionEnd ?? field.value.length);
    field.dispatchEvent(new Event('input', { bubbles: true }));
  }
}
