import { DOCUMENT, Injectable, inject } from '@angular/core';

const TONES = 3;
const TONE_S = 0.25;
const APART_S = 0.4;
const HIGH_HZ = 880;

/** Sound and vibration, where this device has them; only while its page is lit. */
@Injectable({ providedIn: 'root' })
export class Ring {
  readonly #window = inject(DOCUMENT).defaultView;
  #context: AudioContext | undefined;

  ring(): void {
    if (this.#window === null) return;
    const { navigator } = this.#window;
    if ('vibrate' in navigator) navigator.vibrate([200, 100, 200]);
    if (typeof AudioContext === 'undefined') return;
    this.#context ??= new AudioContext();
    const context = this.#context;
    void context.resume().catch(() => undefined);
    for (let tone = 0; tone < TONES; tone += 1) {
      const oscillator = context.createOscillator();
      oscillator.frequency.value = HIGH_HZ;
      oscillator.connect(context.destination);
      oscillator.start(context.currentTime + tone * APART_S);
      oscillator.stop(context.currentTime + tone * APART_S + TONE_S);
    }
  }
}
