import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** Takes a picture, or picks one, in one press. */
@Component({
  selector: 'yp-photo-button',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="act min-h-14 size-full justify-center text-center has-focus-visible:outline-3">
      {{ word() }}
      <input
        type="file"
        accept="image/*"
        capture="environment"
        class="sr-only"
        [attr.aria-label]="word()"
        (change)="take($any($event.target))"
      />
    </label>
  `,
  host: { class: 'block' },
})
export class PhotoButton {
  readonly word = input.required<string>();
  readonly taken = output<File>();

  protected take(field: HTMLInputElement): void {
    const [file] = field.files ?? [];
    field.value = '';
    if (file !== undefined) this.taken.emit(file);
  }
}
