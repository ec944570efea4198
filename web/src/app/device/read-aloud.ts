import { DOCUMENT, Injectable, inject, signal } from '@angular/core';

/** Reads text with a voice that is on this device; never with one that sends the text away. */
@Injectable({ providedIn: 'root' })
export class ReadAloud {
  /** Not every browser has it. */
  readonly #synthesis: SpeechSynthesis | undefined = inject(DOCUMENT).defaultView?.speechSynthesis;
  /** Whether there is such a voice. */
  readonly canRead = signal(false);

  constructor() {
    const look = (): void => {
      this.canRead.set(this.#voice() !== undefined);
    };
    look();
    this.#synthesis?.addEventListener('voiceschanged', look);
  }

  read(text: string): void {
    const voice = this.#voice();
    if (voice === undefined || this.#synthesis === undefined) return;
    this.#synthesis.cancel();
    const said = new SpeechSynthesisUtterance(text);
    said.voice = voice;
    said.lang = voice.lang;
    this.#synthesis.speak(said);
  }

  #voice(): SpeechSynthesisVoice | undefined {
    const own = (this.#synthesis?.getVoices() ?? []).filter(({ localService }) => localService);
    return own.find(({ lang }) => lang.startsWith('en')) ?? own[0];
  }
}
