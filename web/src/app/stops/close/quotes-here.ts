import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { RowOf, Signature } from '@yellow-pane/core/job';
import { billed } from '@yellow-pane/core/quoting';
import { filmsSwapped } from '@yellow-pane/core/reading';
import { newId } from '../../device/session';
import { WhoseHand } from '../../device/whose-hand';
import { JobDesk } from '../../job/job-desk';
import { SignatureBox } from '../../ui/signature-box';
import { closeWords } from '../../words/close';
import { CloseDesk } from './close-desk';
import { QuoteDesk } from './quote-desk';

type QuoteRow = RowOf<'quote'>;

/** Quotes that were put on paper: sent, accepted in writing, refused, lapsed. */
@Component({
  selector: 'yp-quotes-here',
  imports: [SignatureBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './quotes-here.html',
  host: { class: 'contents' },
})
export class QuotesHere {
  protected readonly words = closeWords;
  protected readonly close = inject(CloseDesk);
  protected readonly desk = inject(QuoteDesk);
  readonly #job = inject(JobDesk);
  readonly #hand = inject(WhoseHand);
  protected readonly until = signal('');
  protected readonly signing = signal<string | undefined>(undefined);
  protected readonly fault = signal('');

  /** What would be asked now; empty: there is no price yet. */
  protected readonly price = computed(() => {
    const asked = this.desk.typed() ?? this.desk.calculated()?.price?.value;
    return asked === undefined ? '' : this.close.money(asked);
  });

  /** Puts every offer on paper: the first, and what stands beside it as its alternatives. */
  protected freeze(): void {
    const papers = this.desk.papers();
    this.fault.set(papers.length === 0 ? closeWords.termsMissing : '');
    if (papers.length === 0) return;
    this.#hand.whenKnown(() => {
      const first = newId();
      const number = Number(this.close.nextNumber(this.close.quotes()));
      const validUntil = this.until() === '' ? null : this.until();
      this.#job.do(
        closeWords.putOnPaper,
        papers.map(({ name, swaps, paper }, index) =>
          this.#job.put(
            'quote',
            {
              ...{ name, swaps, paper, validUntil, number: String(number + index) },
              ...{ alternativeOfId: index === 0 ? null : first, sent: null, answer: null },
            },
            index === 0 ? first : newId(),
          ),
        ),
      );
    });
  }

  protected send(quote: QuoteRow): void {
    this.#hand.whenSigned((sent) => {
      this.#job.do(closeWords.wasSent(quote.number), [this.#job.set('quote', quote.id, { sent })]);
    });
  }

  protected accept(quote: QuoteRow, signature: Signature): void {
    this.#hand.whenSigned((by) => {
      const answer = { said: 'accepted', signature, note: '', by } as const;
      this.#job.do(closeWords.wasAccepted(quote.number), [
        this.#job.set('quote', quote.id, { answer }),
        // The films of an alternative become those of the job.
        ...filmsSwapped(this.close.view(), quote.swaps).map(({ id, ...film }) =>
          this.#job.set('application', id, film),
        ),
      ]);
      this.signing.set(undefined);
    });
  }

  protected refuse(quote: QuoteRow): void {
    this.#hand.whenSigned((by) => {
      const answer = { said: 'refused', signature: null, note: '', by } as const;
      this.#job.do(closeWords.wasRefused(quote.number), [this.#job.set('quote', quote.id, { answer })]);
    });
  }

  protected grossOf({ paper }: QuoteRow): string {
    return this.close.money(billed([paper.asked], paper).gross, paper.currency);
  }

  protected isOpen(quote: QuoteRow): boolean {
    return quote.answer === null;
  }
}
