import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  input,
  output,
  viewChild,
} from '@angular/core';

/**
 * One measure: typed as people say it, kept even when it cannot be read. On the drawing, or in the list
 * beside it.
 */
@Component({
  selector: 'yp-measure-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <input
      #box
      [id]="fieldId()"
      class="figure text-measure text-center w-[5.6rem] max-md:w-[4.4rem] h-8 max-md:h-7 max-md:text-sm px-1 bg-paper"
      [class.border-2]="isSuspect() || fault()"
      [class.border-stop]="isSuspect() || fault()"
      [class.border-dashed]="text() === ''"
      [class.border-now]="isNext()"
      [class.border-4]="isNext()"
      autocomplete="off"
      autocapitalize="off"
      spellcheck="false"
      enterkeyhint="next"
      [attr.inputmode]="hasPad() ? 'none' : null"
      [value]="text()"
      [attr.aria-label]="label()"
      [title]="label()"
      [attr.aria-invalid]="fault() !== undefined"
      [attr.aria-describedby]="fault() ? fieldId() + '-fault' : describedBy()"
      [attr.data-typed]="isDraft() ? '' : null"
      (input)="typed.emit($any($event.target).value)"
      (blur)="left.emit()"
      (focus)="reached()"
      (keydown)="walk($event)"
    />
    @if (caption(); as word) {
      <span
        class="absolute -top-2 left-1.5 px-0.5 text-[0.7rem] leading-none bg-paper rounded-card"
        aria-hidden="true"
        >{{ word }}</span
      >
    }
    @if (!isOnDrawing() && fault(); as text) {
      <p
        [id]="fieldId() + '-fault'"
        class="w-52 mt-1 bg-paper border-2 border-stop rounded-card px-2 py-1 text-sm leading-snug"
      >
        {{ text }}
      </p>
    }
  `,
  host: {
    '[class]': 'isOnDrawing() ? "absolute -translate-x-1/2 -translate-y-1/2" : "relative inline-block"',
  },
})
export class MeasureField {
  readonly slot = input.required<string>();
  readonly label = input.required<string>();
  readonly text = input.required<string>();
  readonly fault = input<string | undefined>(undefined);
  /** What kind of measure, where the drawing does not say it. */
  readonly caption = input<string | undefined>(undefined);
  readonly isDraft = input(false);
  readonly isSuspect = input(false);
  readonly isNext = input(false);
  readonly isOnDrawing = input(true);
  readonly hasPad = input(false);
  /** What else is to be known of it: such as its unit. */
  readonly describedBy = input<string | null>(null);
  readonly typed = output<string>();
  readonly left = output();
  readonly reachedField = output();
  readonly walked = output<'next' | 'left' | 'right' | 'up' | 'down' | 'drop'>();
  protected readonly fieldId = computed(() => `measure-${this.slot()}`);
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');

  focus(): void {
    this.box().nativeElement.focus();
  }

  isHeld(): boolean {
    return document.activeElement === this.box().nativeElement;
  }

  caret(): number {
    return this.box().nativeElement.selectionEnd ?? this.box().nativeElement.value.length;
  }

  /** Goes on where the hand was, with what was typed as it is. */
  resume(caret: number): void {
    this.focus();
    this.box().nativeElement.setSelectionRange(caret, caret);
  }

  /** Where it stands in the page, for walking by arrow keys. */
  middle(): { readonly x: number; readonly y: number } {
    const { left, top, width, height } = this.box().nativeElement.getBoundingClientRect();
    return { x: left + width / 2, y: top + height / 2 };
  }

  protected reached(): void {
    this.box().nativeElement.select();
    this.reachedField.emit();
  }

  /**
   * Enter goes on in the order of walking; arrows walk the figure once the caret is at the end of the text.
   */
  protected walk(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const { selectionStart, selectionEnd, value } = this.box().nativeElement;
    const isAllSelected = selectionStart === 0 && selectionEnd === value.length;
    const way =
      ({ Enter: 'next', ArrowUp: 'up', ArrowDown: 'down', Escape: 'drop' } as const)[event.key] ??
      (event.key === 'ArrowLeft' && (isAllSelected || selectionEnd === 0)
        ? 'left'
        : event.key === 'ArrowRight' && (isAllSelected || selectionStart === value.length)
          ? 'right'
          : undefined);
    if (way === undefined) return;
    event.preventDefault();
    this.walked.emit(way);
  }
}
