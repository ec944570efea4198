import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { Payment, RowOf, Signature } from '@yellow-pane/core/job';
import { formatArea } from '@yellow-pane/core/quantity';
import { decimalsOf, depositOf, inCurrency, restOf } from '@yellow-pane/core/quoting';
import { doneUpTo } from '@yellow-pane/core/reading';
import { Device } from '../../device/device';
import { WhoseHand } from '../../device/whose-hand';
import { JobDesk } from '../../job/job-desk';
import { SignatureBox } from '../../ui/signature-box';
import { closeWords } from '../../words/close';
import { CloseDesk } from './close-desk';

const MM2 = 1e6;
const MOST_PERCENT = 100;

/** What is asked for and what came: deposit, part for finished work, the rest. No ledger. */
@Component({
  selector: 'yp-money-here',
  imports: [SignatureBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './money-here.html',
  host: { class: 'contents' },
})
export class MoneyHere {
  protected readonly words = closeWords;
  protected readonly close = inject(CloseDesk);
  readonly #job = inject(JobDesk);
  readonly #hand = inject(WhoseHand);
  readonly #units = inject(Device).units;
  protected readonly percent = signal('30');
  protected readonly due = signal('');
  protected readonly day = signal(this.close.today());
  protected readonly fault = signal('');
  protected readonly signing = signal<string | undefined>(undefined);
  protected readonly places = computed(() => {
    const end = this.close.clock().instantAt(this.day(), 24);
    return end === undefined
      ? []
      : doneUpTo(this.close.view(), Date.parse(end), this.close.accepted()?.paper).map((place) => ({
          ...place,
          doneArea: formatArea(place.done_m2 * MM2, this.#units()),
          allArea: formatArea(place.all_m2 * MM2, this.#units()),
        }));
  });
  readonly #askedBefore = computed(() =>
    this.close.payments().flatMap(({ lines }) => [lines.reduce((sum, { net }) => sum + net, 0)]),
  );
  protected readonly left = computed(() => {
    const agreed = this.close.agreed();
    return agreed === undefined
      ? null
      : restOf(agreed.paper.asked, agreed.extras, this.#askedBefore(), decimalsOf(agreed.paper.currency));
  });

  protected deposit(): void {
    const agreed = this.close.agreed();
    if (agreed === undefined) return;
    const percent = Number(this.percent().replace(',', '.'));
    const isRight = percent > 0 && percent <= MOST_PERCENT;
    this.fault.set(isRight ? '' : closeWords.depositWrong(this.percent()));
    if (!isRight) return;
    const net = depositOf(agreed.paper.asked, percent, decimalsOf(agreed.paper.currency));
    this.#ask('deposit', [{ text: closeWords.depositOn(percent, this.close.accepted()?.number ?? ''), net }]);
  }

  /** Finished work by the parts of the quote, less what was asked before. */
  protected part(): void {
    const agreed = this.close.agreed();
    if (agreed === undefined) return;
    const lines = this.places()
      .filter(({ net }) => (net ?? 0) > 0)
      .map(({ place, done, net }) => ({ text: closeWords.finishedThere(place, done), net: net ?? 0 }));
    const before = this.#less();
    const sum = [...lines, ...before].reduce((all, { net }) => all + net, 0);
    this.fault.set(sum > 0 ? '' : closeWords.nothingMore);
    if (sum > 0) this.#ask('part', [...lines, ...before], this.day());
  }

  protected final(): void {
    const agreed = this.close.agreed();
    if (agreed === undefined) return;
    const { paper } = agreed;
    const extras = this.close.extras().filter(({ signature }) => signature !== null);
    this.#ask('final', [
      { text: closeWords.byQuote(this.close.accepted()?.number ?? ''), net: paper.asked },
      ...extras.map(({ number, text, net }) => ({ text: closeWords.extraIs(number, text), net })),
      ...this.#less(),
    ]);
  }

  #less(): Payment['lines'] {
    return this.close.payments().map(({ number, lines }) => ({
      text: closeWords.lessBefore(number),
      net: -inCurrency(
        lines.reduce((sum, { net }) => sum + net, 0),
        decimalsOf(this.close.accepted()?.paper.currency ?? null),
      ),
    }));
  }

  #ask(kind: Payment['kind'], lines: Payment['lines'], upToDay: string | null = null): void {
    const { currency, tax_percent } = this.close.agreed()?.paper ?? {};
    if (currency === undefined) return;
    this.#hand.whenKnown(() => {
      this.#job.do(closeWords.asks(kind), [
        this.#job.put('payment', {
          ...{ kind, lines, currency, tax_percent: tax_percent ?? null, upToDay },
          number: this.close.nextNumber(this.close.payments(), `${this.close.accepted()?.number ?? '1'}-`),
          dueDay: this.due() === '' ? null : this.due(),
          ...{ signature: null, asked: null, paid: null },
        }),
      ]);
    });
  }

  protected tickAsked(payment: RowOf<'payment'>): void {
    this.#hand.whenSigned((asked) => {
      this.#job.do(closeWords.wasAsked(payment.number), [this.#job.set('payment', payment.id, { asked })]);
    });
  }

  protected tickPaid(payment: RowOf<'payment'>): void {
    this.#hand.whenSigned((by) => {
      const paid = { day: this.close.today(), gross: this.grossOf(payment), by };
      this.#job.do(closeWords.wasPaid(payment.number), [this.#job.set('payment', payment.id, { paid })]);
    });
  }

  protected sign(payment: RowOf<'payment'>, signature: Signature): void {
    this.#job.do(closeWords.countSigned(payment.number), [
      this.#job.set('payment', payment.id, { signature }),
    ]);
    this.signing.set(undefined);
  }

  protected takeBack(payment: RowOf<'payment'>): void {
    this.#job.do(closeWords.paymentGone(payment.number), [this.#job.remove('payment', payment.id)]);
  }

  protected grossOf({ lines, tax_percent, currency }: RowOf<'payment'>): number {
    return this.close.gross(
      lines.map(({ net }) => net),
      tax_percent,
      currency,
    );
  }

  protected stateOf(payment: RowOf<'payment'>): string {
    if (payment.paid !== null) return closeWords.paidOn(this.close.dayOf(`${payment.paid.day}T12:00:00Z`));
    const { dueDay } = payment;
    const late = dueDay !== null && dueDay < this.close.today();
    const due = dueDay === null ? '' : this.close.dayOf(`${dueDay}T12:00:00Z`);
    return closeWords.notPaid(payment.asked !== null, due, late);
  }
}
