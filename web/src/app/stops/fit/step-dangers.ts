import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import type { WorkStep } from '@yellow-pane/core/ways';
import { CautionNote } from '../../ui/caution-note';
import { fitWords } from '../../words/fit';
import { CautionsRead, cautionsKey } from './cautions-read';

/** The dangers of a step before anything else of it: folded away once read on this surface. */
@Component({
  selector: 'yp-step-dangers',
  imports: [CautionNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (caution of stops(); track caution.key) {
      <yp-caution [word]="caution.word" [says]="caution.says" [isStop]="true" />
    }
    @if (dangers().length > 0) {
      @if (hasRead()) {
        <button
          type="button"
          class="border-l-8 border-ink pl-3 text-left text-lg leading-snug min-h-14 underline underline-offset-2"
          aria-expanded="false"
          (click)="read.forget(readKey())"
        >
          {{ words.cautionsRead(dangerWords()) }}
        </button>
      } @else {
        <div
          class="border border-l-8 border-ink rounded-card bg-paper px-3 py-2"
          role="note"
          [attr.aria-label]="words.dangers"
        >
          <ul class="flex flex-col gap-1">
            @for (caution of dangers(); track caution.key) {
              <li class="text-xl leading-snug">
                <strong>{{ caution.word }}.</strong> {{ caution.says }}
              </li>
            }
          </ul>
          <button
            type="button"
            class="act act-quiet min-h-14 underline underline-offset-2"
            (click)="read.keep(readKey())"
          >
            {{ words.haveRead }}
          </button>
        </div>
      }
    }
  `,
  host: { class: 'contents' },
})
export class StepDangers {
  protected readonly words = fitWords;
  readonly step = input.required<WorkStep>();
  readonly application = input.required<RowOf<'application'>>();
  protected readonly read = inject(CautionsRead);
  protected readonly stops = computed(() => this.step().cautions.filter((own) => own.stops !== null));
  protected readonly dangers = computed(() => this.step().cautions.filter((own) => own.stops === null));
  protected readonly dangerWords = computed(() =>
    this.dangers()
      .map(({ word }) => word)
      .join(', '),
  );
  /** The same dangers on the same surface are read once. */
  protected readonly readKey = computed(() => cautionsKey(this.application().id, this.step().cautions));
  protected readonly hasRead = computed(() => this.read.has(this.readKey()));
}
