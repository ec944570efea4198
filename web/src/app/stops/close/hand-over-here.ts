import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { careWords, dateLine, openWords, verdictLine } from '@yellow-pane/contracts/words';
import type { OpenItem, Signature } from '@yellow-pane/core/job';
import { handOverNow } from '@yellow-pane/core/reading';
import { WhoseHand } from '../../device/whose-hand';
import { JobDesk } from '../../job/job-desk';
import { Selection } from '../../shell/selection';
import { SignatureBox } from '../../ui/signature-box';
import { closeWords } from '../../words/close';
import { CloseDesk } from './close-desk';

/** What is handed over, what is open first, signed; certificate and care sheet; the job as one file. */
@Component({
  selector: 'yp-hand-over-here',
  imports: [SignatureBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './hand-over-here.html',
  host: { class: 'contents' },
})
export class HandOverHere {
  protected readonly words = closeWords;
  protected readonly close = inject(CloseDesk);
  readonly #job = inject(JobDesk);
  readonly #hand = inject(WhoseHand);
  readonly #selection = inject(Selection);
  protected readonly note = signal('');
  protected readonly document = computed(() => handOverNow(this.close.view(), this.close.asked()));
  protected readonly signedOnes = computed(() =>
    this.close.view().rows.handOver.toSorted((a, b) => b.asOf.localeCompare(a.asOf)),
  );
  protected readonly open = computed(() => this.document().open.map((item) => this.#openLine(item)));
  protected readonly panes = computed(() =>
    this.document().panes.map((pane) => ({
      ...{ id: pane.applicationId, tag: pane.tag, film: pane.film, judged: verdictLine(pane.judged) },
      laid: pane.laidAt === null ? closeWords.unknown : this.close.dayOf(pane.laidAt),
      people: pane.people.join(', '),
      lot: pane.rolls.map(({ label, lot }) => closeWords.rollAndLot(label, lot)).join('; '),
    })),
  );
  /** Of the surface in hand: what its code on the certificate leads to. */
  protected readonly inHand = computed(() => {
    const surfaceId = this.#selection.surface()?.id;
    return this.document()
      .panes.filter((pane) => pane.surfaceId === surfaceId)
      .map((pane) => ({
        ...{ id: pane.applicationId, word: closeWords.careFor(pane.tag, pane.film) },
        dates: pane.dates.map((date) => dateLine(date, (instant) => this.close.dayOf(instant))),
        care: pane.warnings.map(careWords),
      }));
  });

  protected sign(signature: Signature): void {
    this.#hand.whenSigned((by) => {
      // As it stands when it is signed, however long the page was open.
      const document = handOverNow(this.close.view(), { ...this.close.asked(), now_ms: Date.parse(by.at) });
      this.#job.do(closeWords.handedOver, [
        this.#job.put('handOver', { ...document, asOf: by.at, note: this.note(), signature, by }),
      ]);
      this.note.set('');
    });
  }

  #openLine(item: OpenItem): string {
    const until = item.until === null ? '' : this.close.dayOf(item.until);
    return closeWords.openLine(item.tag, openWords(item), until);
  }
}
