import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** The film over a bit of paper: its darkness is its real visible transmittance. Unknown: a question mark. */
@Component({
  selector: 'yp-film-swatch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      viewBox="0 0 40 40"
      [attr.width]="small() ? 22 : 40"
      [attr.height]="small() ? 22 : 40"
      aria-hidden="true"
    >
      <rect x="0.5" y="0.5" width="39" height="39" fill="#ffffff" class="stroke-line-strong" />
      <path d="M4 30L18 8l8 12 5-7 5 17z" fill="#7d8a86" />
      @if (darkness(); as opacity) {
        <rect x="0.5" y="0.5" width="27" height="39" fill="#101416" [attr.opacity]="opacity" />
      } @else {
        <text x="20" y="27" text-anchor="middle" font-size="18" fill="#1b1d1d">?</text>
      }
    </svg>
  `,
  host: { class: 'inline-flex shrink-0' },
})
export class FilmSwatch {
  readonly visibleTransmitted = input.required<number | null>();
  readonly small = input(false);
  protected readonly darkness = computed(() => {
    const share = this.visibleTransmitted();
    return share === null ? undefined : 1 - share;
  });
}
