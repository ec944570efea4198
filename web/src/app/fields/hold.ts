import { DOCUMENT, DestroyRef, Directive, ElementRef, inject, input, output, signal } from '@angular/core';

/** Broader than a finger tip, in pixels: the ball of a hand or a sleeve. */
const PALM_PX = 60;

/**
 * A button that is held to be pressed: drops do not hold still. A second touch anywhere, or one as broad as a
 * palm, lets go. A key presses it at once.
 */
@Directive({
  selector: 'button[ypHold]',
  host: {
    '(pointerdown)': 'down($event)',
    '(pointerup)': 'letGo()',
    '(pointercancel)': 'letGo()',
    '(pointerleave)': 'letGo()',
    '(contextmenu)': '$event.preventDefault()',
    '(click)': 'click($event)',
    '[class.is-held]': 'isHeld()',
    '[style.--hold]': "ypHold() + 'ms'",
  },
})
export class Hold {
  /** For so long, ms; 0: an ordinary press. */
  readonly ypHold = input.required<number>();
  readonly pressed = output();
  protected readonly isHeld = signal(false);
  readonly #button = inject<ElementRef<HTMLButtonElement>>(ElementRef).nativeElement;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    const document = inject(DOCUMENT);
    const second = (event: PointerEvent): void => {
      if (!event.isPrimary) this.letGo();
    };
    document.addEventListener('pointerdown', second, { capture: true });
    inject(DestroyRef).onDestroy(() => {
      document.removeEventListener('pointerdown', second, { capture: true });
      this.letGo();
    });
  }

  protected down({ isPrimary, width, height, button }: PointerEvent): void {
    const isPalm = Math.max(width, height) > PALM_PX;
    if (this.ypHold() === 0 || !isPrimary || isPalm || button > 0 || this.#button.disabled) return;
    this.letGo();
    this.isHeld.set(true);
    this.#timer = setTimeout(() => {
      this.letGo();
      this.pressed.emit();
    }, this.ypHold());
  }

  protected letGo(): void {
    clearTimeout(this.#timer);
    this.#timer = undefined;
    this.isHeld.set(false);
  }

  /** By a key, or where nothing is to be held. */
  protected click({ detail }: MouseEvent): void {
    if (this.ypHold() === 0 || detail === 0) this.pressed.emit();
  }
}
