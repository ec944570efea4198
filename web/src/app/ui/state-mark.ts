import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

export type StateShape = 'open' | 'half' | 'full' | 'barred';
const WORDS: Readonly<Record<StateShape, string>> = {
  open: 'not begun',
  half: 'begun',
  full: 'done',
  barred: 'needs attention',
};

/** How far a thing is, by shape first: open, half, full or barred square. */
@Component({
  selector: 'yp-state-mark',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 14 14" width="14" height="14" role="img" [attr.aria-label]="word()">
      @switch (shape()) {
        @case ('half') {
          <path d="M1.5 12.5h11v-11z" fill="currentColor" />
        }
        @case ('full') {
          <rect x="1.5" y="1.5" width="11" height="11" fill="currentColor" />
        }
        @case ('barred') {
          <path
            d="M1.5 5l3.5-3.5M1.5 9.5l8-8M3 12.5l9.5-9.5M7.5 12.5l5-5"
            class="text-stop"
            stroke="currentColor"
            stroke-width="1.6"
          />
        }
      }
      <rect
        x="1.5"
        y="1.5"
        width="11"
        height="11"
        fill="none"
        stroke="currentColor"
        stroke-width="1.4"
        [class.text-stop]="shape() === 'barred'"
      />
    </svg>
  `,
  host: { class: 'inline-flex' },
})
export class StateMark {
  readonly shape = input.required<StateShape>();
  protected readonly word = computed(() => WORDS[this.shape()]);
}
