import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { RowOf, Signature } from '@yellow-pane/core/job';
import { formatArea } from '@yellow-pane/core/quantity';
import { type MoneyAsked, doneUpTo, linesToAsk } from '@yellow-pane/core/reading';
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
      : doneUpTo(this.close.view(), Date.parse(end), this.close.agreed()?.paper).map((place) => ({
          ...place,
          doneArea: formatArea(place.done_m2 * MM2, this.#units()),
          allArea: formatArea(place.all_m2 * MM2, this.#units()),
        }));
  });
  protected deposit(): void {
    const percent = Number(this.percent().replace(',', '.'));
    const isRight = percent > 0 && percent <= MOST_PERCENT;
    this.fault.set(isRight ? '' : closeWords.depositWrong(this.percent()));
    if (isRight) this.#ask({ kind: 'deposit', percent });
  }

  protected part(): void {
    const end = this.close.clock().instantAt(this.day(), 24);
    if (end !== undefined) this.#ask({ kind: 'part', to_ms: Date.parse(end) }, this.day());
  }

  protected final(): void {
    this.#ask({ kind: 'final' });
  }

  #ask(asked: MoneyAsked, upToDay: string | null = null): void {
    const agreed = this.close.agreed();
    const lines = linesToAsk(this.close.view(), asked);
    this.fault.set(lines.length === 0 ? closeWords.nothingMore : '');
    if (agreed === undefined || lines.length === 0) return;
    const { currency, tax_percent } = agreed.paper;
    this.#hand.whenKnown(() => {
      this.#job.do(closeWords.asks(asked.kind), [
        this.#job.put('payment', {
          ...{ kind: asked.kind, currency, tax_percent, upToDay },
          lines: lines.map((line) => ({ text: closeWords.askedFor(line), net: line.net })),
          number: this.close.nextNumber(this.close.payments(), `${agreed.number}-`),
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
      const paid = { day: this.close.today(), gross: this.close.gross(payment), by };
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

  protected stateOf(payment: RowOf<'payment'>): string {
    if (payment.paid !== null) return closeWords.paidOn(this.close.dayOf(`${payment.paid.day}T12:00:00Z`));
    const { dueDay } = payment;
    const late = dueDay !== null && dueDay < this.close.today();
    const due = dueDay === null ? '' : this.close.dayOf(`${dueDay}T12:00:00Z`);
    return closeWords.notPaid(payment.asked !== null, due, late);
  }
}
