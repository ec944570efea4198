import { DOCUMENT } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { uiWords } from '../words/ui';

const DIGITS = ['7', '8', '9', "'", '4', '5', '6', '"', '1', '2', '3', ' cm', '0', '.', '-', ' m'] as const;
/** Every sixteenth, as it is read off a tape. */
const FRACTIONS = [
  ...['1/16', '1/8', '3/16', '1/4', '5/16', '3/8', '7/16', '1/2'],
  ...['9/16', '5/8', '11/16', '3/4', '13/16', '7/8', '15/16'],
] as const;

/**
 * Large keys that type into the field in use, for either hand and for gloves. Never takes the focus itself.
 * On a phone digits and fractions take turns.
 */
@Component({
  selector: 'yp-number-pad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="flex gap-1 p-1 border border-ink rounded-card bg-ground shadow-lg"
      [class.flex-row-reverse]="hand() === 'left'"
      role="group"
      [attr.aria-label]="words.numberPad"
      (pointerdown)="$event.preventDefault()"
      (mousedown)="$event.preventDefault()"
    >
      <div class="grid grid-cols-4 gap-1 md:shrink-0 max-md:flex-1" [class.max-md:hidden]="!hasFractions()">
        @for (key of fractions; track key) {
          <button type="button" tabindex="-1" [class]="keyClass" (click)="type(' ' + key)">{{ key }}</button>
        }
        <button type="button" tabindex="-1" [class]="keyClass" (click)="type('/')">/</button>
      </div>
      <div class="grid grid-cols-4 gap-1 md:shrink-0 max-md:flex-1" [class.max-md:hidden]="hasFractions()">
        @for (key of digits; track key) {
          <button type="button" tabindex="-1" [class]="keyClass + ' text-xl'" (click)="type(key)">
            {{ key.trim() }}
          </button>
        }
      </div>
      <div class="grid gap-1 auto-rows-fr w-20 shrink-0">
        <button
          type="button"
          tabindex="-1"
          [class]="keyClass + ' md:hidden'"
          [attr.aria-pressed]="hasFractions()"
          [attr.aria-label]="words.fractions"
          (click)="hasFractions.set(!hasFractions())"
        >
          {{ hasFractions() ? '123' : '1/16' }}
        </button>
        <button type="button" tabindex="-1" class="act justify-center px-1 min-h-12" (click)="rub()">
          {{ words.rubOut }}
        </button>
        <button
          type="button"
          tabindex="-1"
          class="act act-next justify-center px-1 text-lg min-h-12 row-span-2"
          (click)="onward()"
        >
          {{ words.next }}
        </button>
      </div>
    </div>
  `,
  host: { class: 'block max-md:w-full' },
})
export class NumberPad {
  protected readonly words = uiWords;
  readonly hand = input<'left' | 'right'>('right');
  protected readonly digits = DIGITS;
  protected readonly fractions = FRACTIONS;
  protected readonly keyClass =
    'act figure justify-center px-0 min-h-14 min-w-14 md:min-h-12 md:pointer-coarse:min-h-14';
  /** On a phone: the fractions instead of the digits. */
  protected readonly hasFractions = signal(false);
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
    this.hasFractions.set(false);
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
