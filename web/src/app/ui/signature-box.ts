import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  type ElementRef,
  afterNextRender,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { LEAST_SIGNATURE_POINTS, type Signature, pointsOf } from '@yellow-pane/core/job';
import SignaturePad from 'signature_pad';
import { uiWords } from '../words/ui';

const THOUSANDTHS = 1000;

/** A box to sign in with a finger or a pen, and the name beside it. Nothing is taken while it is empty. */
@Component({
  selector: 'yp-signature-box',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset class="border-2 border-ink rounded-card bg-paper p-3 flex flex-col gap-2">
      <legend class="font-bold px-1">{{ word() }}</legend>
      <label class="block"
        ><span class="block">{{ words.signerName }}</span
        ><input
          class="field min-h-touch"
          autocomplete="off"
          maxlength="200"
          [value]="name()"
          (input)="name.set($any($event.target).value)"
      /></label>
      <canvas
        #pad
        class="w-full h-36 border border-line-strong bg-white touch-none"
        [attr.aria-label]="words.signHere"
        role="img"
      ></canvas>
      <div class="flex flex-wrap gap-2">
        <button type="button" class="act act-next min-h-14" (click)="sign()">{{ words.sign }}</button>
        <button type="button" class="act min-h-14" (click)="clear()">{{ words.signAnew }}</button>
      </div>
      @if (fault() !== '') {
        <p class="text-stop font-semibold" role="alert">{{ fault() }}</p>
      }
    </fieldset>
  `,
  host: { class: 'block' },
})
export class SignatureBox {
  protected readonly words = uiWords;
  readonly word = input.required<string>();
  readonly signed = output<Signature>();
  protected readonly name = signal('');
  protected readonly fault = signal('');
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('pad');
  #pad: SignaturePad | undefined;

  constructor() {
    const destroyed = inject(DestroyRef);
    afterNextRender(() => {
      const canvas = this.canvas().nativeElement;
      const sharpen = (): void => {
        const ratio = Math.max(1, window.devicePixelRatio);
        canvas.width = canvas.offsetWidth * ratio;
        canvas.height = canvas.offsetHeight * ratio;
        canvas.getContext('2d')?.scale(ratio, ratio);
      };
      sharpen();
      this.#pad = new SignaturePad(canvas, { minWidth: 1, maxWidth: 2.2 });
    });
    destroyed.onDestroy(() => {
      this.#pad?.off();
    });
  }

  protected clear(): void {
    this.#pad?.clear();
    this.fault.set('');
  }

  protected sign(): void {
    const wide = this.canvas().nativeElement.offsetWidth;
    const strokes = (this.#pad?.toData() ?? []).map(({ points }) =>
      points.flatMap(({ x, y }) => [
        Math.round((x / wide) * THOUSANDTHS),
        Math.round((y / wide) * THOUSANDTHS),
      ]),
    );
    const name = this.name().trim();
    const isDrawn = pointsOf({ strokes }) >= LEAST_SIGNATURE_POINTS;
    this.fault.set(name === '' ? uiWords.nameMissing : isDrawn ? '' : uiWords.signatureEmpty);
    if (this.fault() !== '') return;
    this.signed.emit({ name, at: new Date().toISOString(), strokes });
    this.clear();
  }
}
