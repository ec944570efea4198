import { Directive, ElementRef, computed, effect, inject, input, output } from '@angular/core';
import { Drafts } from '../device/drafts';
import { WhoseHand } from '../device/whose-hand';

/**
 * What was typed in a field, and which version of its row was there at the first letter: undefined when the
 * field tells none.
 */
export interface Typed {
  readonly text: string;
  readonly seen: number | undefined;
}

/**
 * A field whose letters are kept at once, stay through a reload, and are set against what was there at the
 * first of them.
 */
@Directive({
  selector: '[ypKept]',
  host: { '(input)': 'type()', '(change)': 'take()', '[attr.aria-invalid]': 'fault() !== undefined' },
  exportAs: 'ypKept',
})
export class KeptField {
  readonly #drafts = inject(Drafts);
  readonly #hand = inject(WhoseHand);
  readonly #field = inject<ElementRef<HTMLInputElement | HTMLTextAreaElement>>(ElementRef).nativeElement;
  /** By what the letters are kept: one name for one field of one row. */
  readonly ypKept = input.required<string>();
  /** As the row has it. */
  readonly is = input.required<string>();
  readonly version = input<number>();
  /** What is wrong with a text: then it stays in the field. */
  readonly faultOf = input<(text: string) => string | undefined>(() => undefined);
  readonly typed = output<Typed>();
  protected readonly text = computed(() => this.#drafts.texts()[this.ypKept()] ?? this.is());
  /** What is wrong with what stands there. */
  readonly fault = computed(() => this.faultOf()(this.text()));

  constructor() {
    effect(() => {
      const text = this.text();
      if (this.#field.value !== text) this.#field.value = text;
    });
  }

  protected type(): void {
    this.#drafts.type(this.ypKept(), this.#field.value, this.version());
  }

  protected take(): void {
    const key = this.ypKept();
    const text = this.#drafts.texts()[key];
    if (text === undefined || this.faultOf()(text) !== undefined) return;
    const seen = this.#drafts.versions()[key];
    /** Until it is said whose it is, it stays in the field. */
    this.#hand.whenKnown(() => {
      this.#drafts.forget(key);
      this.typed.emit({ text, seen });
    });
  }
}
