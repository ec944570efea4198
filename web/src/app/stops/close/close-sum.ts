import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { stillOpen } from '@yellow-pane/core/reading';
import { VerdictBox } from '../../ui/verdict-box';
import { closeWords } from '../../words/close';
import { CloseDesk } from './close-desk';

/** How the job stands: what is open, what was agreed, what is asked for and paid. */
@Component({
  selector: 'yp-close-sum',
  imports: [VerdictBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <yp-verdict-box
      [verdict]="open().length === 0 ? 'go' : 'go with care'"
      [heading]="words.stillOpen(open().length)"
      >{{ words.nextIs(close.state()) }}</yp-verdict-box
    >
    <div>
      @for (row of rows(); track row.word) {
        <p class="flex justify-between gap-2 min-h-10 items-baseline py-1.5 border-b border-line">
          <span class="leading-tight">{{ row.word }}</span><span class="figure font-semibold text-right">{{
            row.value
          }}</span>
        </p>
      }
    </div>
  `,
  host: { class: 'contents' },
})
export class CloseSum {
  protected readonly words = closeWords;
  protected readonly close = inject(CloseDesk);
  protected readonly open = computed(() => stillOpen(this.close.view(), this.close.asked()));
  protected readonly rows = computed(() => {
    const stands = this.close.stands();
    if (stands === null) return [{ word: closeWords.agreedNet, value: closeWords.nothingAgreed }];
    const money = (value: number): string => this.close.money(value, stands.currency);
    return [
      { word: closeWords.agreedNet, value: money(stands.net) },
      { word: closeWords.agreedGross, value: money(stands.gross) },
      { word: closeWords.askedGross, value: money(stands.asked) },
      { word: closeWords.paidGross, value: money(stands.paid) },
    ];
  });
}
