import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  type ElementRef,
  effect,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import type { PaneShrink } from '@yellow-pane/core/reading';
import { shrinkWords } from '../words/shrink';
import { type GlassScene, glassScene, loadThree } from './glass-scene';

const TIMES = 6;

/** Glass and film in space, fetched when it is asked for; the folds as they are, or enlarged. */
@Component({
  selector: 'yp-glass-in-space',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button
      type="button"
      class="act act-small"
      [attr.aria-expanded]="isOpen()"
      (pointerenter)="fetchAhead()"
      (focus)="fetchAhead()"
      (click)="isOpen.set(!isOpen())"
    >
      {{ isOpen() ? words.closeSpace : words.openSpace }}
    </button>
    @if (isOpen()) {
      <figure class="mt-2">
        @if (fault()) {
          <p role="alert">{{ words.noSpace }}</p>
        }
        <canvas
          #canvas
          class="w-full h-[46vh] border border-line rounded-card bg-paper touch-none"
          role="img"
          [attr.aria-label]="words.inSpace"
          [attr.data-drawn]="isDrawn()"
        ></canvas>
        <figcaption class="flex flex-wrap items-center gap-x-4 text-sm">
          <span>{{ words.turnIt }}</span><label class="flex items-center gap-2 min-h-touch"
            ><input
              type="checkbox"
              class="size-5 accent-ink"
              [checked]="isLarge()"
              (change)="isLarge.set($any($event.target).checked)"
            />{{ words.foldsEnlarged(times) }}</label
          >
        </figcaption>
      </figure>
    }
  `,
  host: { class: 'block' },
})
export class GlassInSpace {
  protected readonly words = shrinkWords;
  protected readonly times = TIMES;
  readonly plan = input.required<PaneShrink>();
  protected readonly isOpen = signal(false);
  protected readonly isLarge = signal(false);
  protected readonly fault = signal(false);
  protected readonly isDrawn = signal(false);
  private readonly canvas = viewChild<ElementRef<HTMLCanvasElement>>('canvas');
  #scene: GlassScene | undefined;

  constructor() {
    effect(() => {
      const [canvas, plan] = [this.canvas()?.nativeElement, this.plan()];
      this.#end();
      if (canvas !== undefined) untracked(() => void this.#draw(canvas, plan));
    });
    effect(() => {
      const times = this.isLarge() ? TIMES : 1;
      this.#scene?.rise(times);
    });
    inject(DestroyRef).onDestroy(() => {
      this.#end();
    });
  }

  /** Somebody is about to ask for it. */
  protected fetchAhead(): void {
    void loadThree().catch(() => undefined);
  }

  async #draw(canvas: HTMLCanvasElement, { patch, own }: PaneShrink): Promise<void> {
    try {
      const loaded = await loadThree();
      if (this.canvas()?.nativeElement !== canvas) return;
      const style = getComputedStyle(canvas);
      const colours = {
        glass: style.getPropertyValue('--yp-glass').trim(),
        film: style.getPropertyValue('--yp-film').trim(),
      };
      this.#end();
      this.#scene = glassScene(loaded, canvas, { patch, plan: own, colours });
      this.#scene.rise(this.isLarge() ? TIMES : 1);
      this.isDrawn.set(true);
    } catch {
      this.fault.set(true);
    }
  }

  #end(): void {
    this.#scene?.end();
    this.#scene = undefined;
    this.isDrawn.set(false);
  }
}
