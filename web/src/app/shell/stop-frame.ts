import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  afterNextRender,
  computed,
  effect,
  inject,
  input,
  viewChild,
} from '@angular/core';
import { DOCUMENT } from '@angular/common';
import { shellWords } from '../words/shell';
import { Panels } from './panels';
import { Selection } from './selection';

/** The two middle parts of every stop: the sheet and the reckoning. On a phone the reckoning slides over. */
@Component({
  selector: 'yp-stop-frame',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main
      #sheet
      class="relative min-w-0 min-h-0 overflow-auto bg-board flex flex-col short:overflow-visible short:self-stretch short:min-h-64 print:overflow-visible print:bg-white"
      [attr.aria-label]="words.sheetOf(name())"
      tabindex="-1"
    >
      <ng-content select="[sheet]" />
    </main>
    <aside
      #reckoning
      class="relative min-h-0 overflow-auto border-l border-line bg-ground p-4 flex flex-col gap-4 no-print max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:top-1/4 max-md:z-20 max-md:border-t-2 max-md:border-ink short:max-md:top-0"
      [class.max-md:hidden]="!panels.hasReckoning()"
      [attr.aria-label]="words.reckoning"
    >
      <button type="button" class="act act-small md:hidden self-end" (click)="panels.hasReckoning.set(false)">
        {{ words.closeReckoning }}
      </button>
      <ng-content select="[reckoning]" />
    </aside>
  `,
  host: { class: 'contents' },
})
export class StopFrame {
  protected readonly words = shellWords;
  readonly name = input.required<string>();
  protected readonly panels = inject(Panels);
  private readonly sheet = viewChild.required<ElementRef<HTMLElement>>('sheet');
  private readonly reckoning = viewChild.required<ElementRef<HTMLElement>>('reckoning');
  readonly #selection = inject(Selection);
  readonly #surfaceId = computed(() => this.#selection.surface()?.id);

  constructor() {
    const document = inject(DOCUMENT);
    /** Of each surface the verdict is seen first. */
    effect(() => {
      this.#surfaceId();
      this.reckoning().nativeElement.scrollTop = 0;
    });
    /** After a change of stop work goes on in its sheet, unless somebody has put the focus elsewhere. */
    afterNextRender(() => {
      const { activeElement, body } = document;
      const isOnTheLine = Boolean(activeElement?.closest('header nav'));
      if (this.panels.wasAtStop && (activeElement === body || isOnTheLine))
        this.sheet().nativeElement.focus({ preventScroll: true });
      this.panels.wasAtStop = true;
    });
  }
}
