import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { ReadAloud } from '../../device/read-aloud';
import { fitWords } from '../../words/fit';
import { canReadCodes } from '../../device/code-reader';
import { FitDesk } from './fit-desk';
import { LabelHere } from './label-here';
import { ManyHere } from './many-here';
import { OthersHere } from './others-here';
import { ProblemHere } from './problem-here';
import { ReadingsHere } from './readings-here';

type Part = 'problem' | 'read' | 'many' | 'others';

/** What is not needed at every step, each behind one large press. */
@Component({
  selector: 'yp-more-panel',
  imports: [LabelHere, ManyHere, OthersHere, ProblemHere, ReadingsHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @switch (part()) {
      @case ('problem') {
        <h2 class="font-bold text-lg mb-2">{{ words.problemHere }}</h2>
        <yp-problem-here />
      }
      @case ('read') {
        <h2 class="font-bold text-lg mb-2">{{ words.readAndKeep }}</h2>
        <yp-readings-here />
      }
      @case ('many') {
        <h2 class="font-bold text-lg mb-2">{{ words.many }}</h2>
        <yp-many-here (ticked)="closed.emit()" />
      }
      @case ('others') {
        <h2 class="font-bold text-lg mb-2">{{ words.others }}</h2>
        <yp-others-here />
      }
      @default {
        <div class="grid grid-cols-2 gap-2 md:grid-cols-3">
          @for (own of parts; track own.part) {
            <button
              type="button"
              class="act min-h-16 text-lg justify-center text-center leading-tight"
              (click)="part.set(own.part)"
            >
              {{ own.word }}
            </button>
          }
          <button
            type="button"
            class="act min-h-16 text-lg justify-center text-center leading-tight"
            (click)="skip.emit()"
          >
            {{ words.leaveOut }}
          </button>
          <button
            type="button"
            class="act min-h-16 text-lg justify-center text-center leading-tight"
            (click)="lock.emit()"
          >
            {{ words.wetLock }}
          </button>
          @if (canReadCodes) {
            <yp-label-here />
          }
          @if (voice.canRead()) {
            <button
              type="button"
              class="act min-h-16 text-lg justify-center text-center leading-tight"
              (click)="read()"
            >
              {{ words.readAloud }}
            </button>
          }
        </div>
        <p class="text-sm mt-2">{{ isLit() ? words.staysLit : words.mayGoDark }}</p>
      }
    }
  `,
  host: { class: 'block' },
})
export class MorePanel {
  protected readonly words = fitWords;
  protected readonly canReadCodes = canReadCodes();
  protected readonly voice = inject(ReadAloud);
  readonly #desk = inject(FitDesk);
  readonly isLit = input.required<boolean>();
  readonly closed = output();
  readonly skip = output();
  readonly lock = output();
  protected readonly part = signal<Part | undefined>(undefined);
  protected readonly parts: readonly { readonly part: Part; readonly word: string }[] = [
    { part: 'problem', word: fitWords.problemHere },
    { part: 'read', word: fitWords.readAndKeep },
    { part: 'many', word: fitWords.many },
    { part: 'others', word: fitWords.others },
  ];
  readonly #text = computed(() => {
    const { what, right } = this.#desk.current() ?? { what: '', right: '' };
    return `${what} ${right}`;
  });

  protected read(): void {
    this.voice.read(this.#text());
  }
}
