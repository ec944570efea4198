import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { fitWords } from '../../words/fit';

/** A reason by one of four large chips; typed only by who wants to. */
@Component({
  selector: 'yp-reason-chips',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend class="font-bold text-xl mb-2">{{ asks() }}</legend>
      <div class="grid grid-cols-2 gap-2">
        @for (reason of reasons(); track reason) {
          <button
            type="button"
            class="act min-h-16 text-lg leading-tight justify-center text-center"
            (click)="given.emit(reason)"
          >
            {{ reason }}
          </button>
        }
      </div>
      @if (isTyping()) {
        <form class="flex gap-2 mt-2" (submit)="take($event, own.value)">
          <input
            #own
            class="field min-h-14 text-lg flex-1"
            maxlength="400"
            [attr.aria-label]="words.reasonTyped"
          />
          <button type="submit" class="act min-h-14">{{ words.reasonTake }}</button>
        </form>
      } @else {
        <div class="flex gap-2 mt-2">
          <button type="button" class="act act-quiet min-h-14 underline" (click)="isTyping.set(true)">
            {{ words.reasonOther }}
          </button>
          @if (leaveWord(); as word) {
            <button type="button" class="act min-h-14 flex-1 justify-center" (click)="left.emit()">
              {{ word }}
            </button>
          }
        </div>
      }
    </fieldset>
  `,
  host: { class: 'block' },
})
export class ReasonChips {
  protected readonly words = fitWords;
  readonly asks = input.required<string>();
  readonly reasons = input.required<readonly string[]>();
  /** How one goes without a reason; undefined: one does not. */
  readonly leaveWord = input<string>();
  readonly given = output<string>();
  readonly left = output();
  protected readonly isTyping = signal(false);

  protected take(event: Event, text: string): void {
    event.preventDefault();
    if (text.trim() !== '') this.given.emit(text.trim());
  }
}
