import { describe, expect, it, jest } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import { ReadAloud } from './read-aloud';

const voice = (lang: string, localService: boolean): SpeechSynthesisVoice =>
  ({ lang, localService, name: `${lang} ${String(localService)}` }) as SpeechSynthesisVoice;

/** Puts these voices on the device. @returns what was spoken */
function withVoices(
  voices: readonly SpeechSynthesisVoice[],
): readonly { readonly voice: SpeechSynthesisVoice }[] {
  const spoken: { voice: SpeechSynthesisVoice }[] = [];
  const speechSynthesis = {
    getVoices: () => voices,
    cancel: jest.fn(),
    speak: (own: { voice: SpeechSynthesisVoice }) => spoken.push(own),
    addEventListener: jest.fn(),
  };
  Object.defineProperty(globalThis, 'speechSynthesis', { value: speechSynthesis, configurable: true });
  Object.defineProperty(globalThis, 'SpeechSynthesisUtterance', {
    value: class {
      constructor(readonly text: string) {}
    },
    configurable: true,
  });
  return spoken;
}

describe('with which voice is a step read?', () => {
  it('with one that is on this device; English where there is one', () => {
    const spoken = withVoices([voice('en-GB', false), voice('de-CH', true), voice('en-US', true)]);
    const aloud = TestBed.inject(ReadAloud);
    expect(aloud.canRead()).toBe(true);
    aloud.read('Wet the pane.');
    expect(spoken).toMatchObject([{ text: 'Wet the pane.', voice: { lang: 'en-US', localService: true } }]);
  });
  it('with none that sends the words away', () => {
    TestBed.resetTestingModule();
    const spoken = withVoices([voice('en-GB', false)]);
    const aloud = TestBed.inject(ReadAloud);
    expect(aloud.canRead()).toBe(false);
    aloud.read('Wet the pane.');
    expect(spoken).toEqual([]);
  });
});
