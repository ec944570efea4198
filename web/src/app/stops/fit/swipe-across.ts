import { Directive, output } from '@angular/core';

/** So far across, and twice as far as up or down. */
const FAR_PX = 60;

/** A finger drawn across: to the left goes on, to the right goes back. */
@Directive({
  selector: '[ypSwipeAcross]',
  host: { '(touchstart)': 'begin($event)', '(touchend)': 'end($event)' },
})
export class SwipeAcross {
  readonly swiped = output<1 | -1>();
  #from: { readonly x: number; readonly y: number } | undefined;

  protected begin({ touches }: TouchEvent): void {
    const [touch] = touches;
    this.#from =
      touch === undefined || touches.length > 1 ? undefined : { x: touch.clientX, y: touch.clientY };
  }

  protected end({ changedTouches }: TouchEvent): void {
    const [touch] = changedTouches;
    const from = this.#from;
    this.#from = undefined;
    if (touch === undefined || from === undefined) return;
    const [across, along] = [touch.clientX - from.x, touch.clientY - from.y];
    if (Math.abs(across) < FAR_PX || Math.abs(across) < 2 * Math.abs(along)) return;
    this.swiped.emit(across < 0 ? 1 : -1);
  }
}
