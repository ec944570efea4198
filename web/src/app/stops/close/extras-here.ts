import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import type { RowOf, Signature } from '@yellow-pane/core/job';
import { decimalsOf, inCurrency } from '@yellow-pane/core/quoting';
import { WhoseHand } from '../../device/whose-hand';
import { JobDesk } from '../../job/job-desk';
import { SignatureBox } from '../../ui/signature-box';
import { closeWords } from '../../words/close';
import { CloseDesk } from './close-desk';

const MOST_MONEY = 1e9;

/** Work that was added on the spot: as another surface, priced at once, signed. */
@Component({
  selector: 'yp-extras-here',
  imports: [SignatureBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './extras-here.html',
  host: { class: 'block' },
})
export class ExtrasHere {
  protected readonly words = closeWords;
  protected readonly close = inject(CloseDesk);
  readonly #job = inject(JobDesk);
  readonly #hand = inject(WhoseHand);
  protected readonly text = signal('');
  protected readonly likeId = signal('');
  protected readonly count = signal(1);
  protected readonly typed = signal('');
  protected readonly fault = signal('');
  protected readonly signing = signal<string | undefined>(undefined);
  /** Surfaces the accepted quote has a price of. */
  protected readonly priced = computed(() => {
    const lines = this.close.agreed()?.paper.lines ?? [];
    return [...new Map(lines.map(({ surfaceId, tag }) => [surfaceId, tag]))].map(([id, tag]) => ({
      id,
      tag,
    }));
  });
  readonly #each = computed(() =>
    (this.close.agreed()?.paper.lines ?? [])
      .filter(({ surfaceId }) => surfaceId === this.likeId())
      .reduce((sum, { net }) => sum + net, 0),
  );
  protected readonly net = linkedSignal(() => {
    if (this.likeId() !== '') return inCurrency(this.#each() * this.count(), decimalsOf(this.#currency()));
    const given = Number(this.typed().replace(',', '.'));
    return this.typed().trim() !== '' && given >= 0 && given <= MOST_MONEY ? given : null;
  });
  readonly #currency = computed(
    () => this.close.agreed()?.paper.currency ?? this.close.job()?.currency ?? null,
  );

  protected setCount(text: string): void {
    const given = Number(text);
    this.count.set(Number.isInteger(given) && given > 0 && given <= 500 ? given : 1);
  }

  protected add(): void {
    const [net, currency] = [this.net(), this.#currency()];
    const tag = this.priced().find(({ id }) => id === this.likeId())?.tag;
    const text =
      this.text().trim() === '' && tag !== undefined
        ? closeWords.asOther(this.count(), tag)
        : this.text().trim();
    this.fault.set(
      currency === null
        ? closeWords.currencyFirst
        : text === ''
          ? closeWords.sayWhat
          : net === null
            ? closeWords.typedWrong(this.typed())
            : '',
    );
    if (this.fault() !== '' || net === null || currency === null) return;
    this.#hand.whenSigned((by) => {
      this.#job.do(closeWords.extraAdded, [
        this.#job.put('extra', {
          ...{ text, net, currency, by, count: this.count(), signature: null },
          number: this.close.nextNumber(this.close.extras()),
          likeSurfaceId: this.likeId() === '' ? null : this.likeId(),
          tax_percent: this.close.job()?.tax_percent ?? null,
          basis:
            tag === undefined
              ? closeWords.ownPrice
              : closeWords.asInQuote(tag, this.close.agreed()?.number ?? ''),
        }),
      ]);
      this.text.set('');
      this.typed.set('');
      this.likeId.set('');
      this.count.set(1);
    });
  }

  protected sign(extra: RowOf<'extra'>, signature: Signature): void {
    this.#job.do(closeWords.extraSigned(extra.number), [this.#job.set('extra', extra.id, { signature })]);
    this.signing.set(undefined);
  }

  protected takeBack(extra: RowOf<'extra'>): void {
    this.#job.do(closeWords.extraGone(extra.number), [this.#job.remove('extra', extra.id)]);
  }
}
