import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import type { JobSummary } from '@yellow-pane/contracts';
import { CALLER_SEES, type CallerSees, callAnswer } from '@yellow-pane/core/diagnosing';
import { api } from '../server/api';
import { causesWords } from '../words/causes';
import { CallBook } from './call-book';

interface Laid {
  readonly word: string;
  readonly days: number | null;
}

/** What a caller can say of the day; the longest of each counts. */
const LAID: readonly Laid[] = [
  { word: causesWords.underWeek, days: 7 },
  { word: causesWords.underMonth, days: 30 },
  { word: causesWords.overMonth, days: 365 },
  { word: causesWords.notKnown, days: null },
];

/** Three questions to a caller, large enough for a hand that holds the phone; then what to say. */
@Component({
  selector: 'yp-call-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './call-card.html',
  host: { class: 'block' },
})
export class CallCard {
  protected readonly words = causesWords;
  protected readonly seen = CALLER_SEES;
  protected readonly laids = LAID;
  readonly #router = inject(Router);
  readonly #book = inject(CallBook);
  protected readonly sees = signal<CallerSees | null>(null);
  protected readonly laid = signal<Laid | undefined>(undefined);
  protected readonly isInTheWay = signal<boolean | null>(null);
  protected readonly jobs = signal<readonly JobSummary[]>([]);
  protected readonly fault = signal('');
  protected readonly asksDay = computed(() => this.sees() === 'bubbles or haze');
  protected readonly asksThird = computed(
    () => this.sees() === 'film comes off' || (this.asksDay() && this.laid() !== undefined),
  );
  protected readonly answer = computed(() =>
    this.asksDay() && this.laid() === undefined
      ? undefined
      : callAnswer({
          sees: this.sees(),
          days: this.laid()?.days ?? null,
          isInTheWay: this.isInTheWay(),
        }),
  );

  constructor() {
    api.jobs().then(
      (jobs) => {
        this.jobs.set(jobs.filter(({ archived }) => !archived));
      },
      () => {
        this.fault.set(causesWords.jobsOffline);
      },
    );
  }

  protected pick(sees: CallerSees): void {
    this.sees.set(sees);
    this.laid.set(undefined);
    this.isInTheWay.set(null);
  }

  protected again(): void {
    this.sees.set(null);
    this.laid.set(undefined);
    this.isInTheWay.set(null);
  }

  /** On to the job, where the surface is picked. */
  protected toJob(jobId: string): void {
    const [sees, answer] = [this.sees(), this.answer()];
    if (sees === null || answer === undefined) return;
    this.#book.taken.set({
      ...{
        jobId,
        sees,
        answer,
        laid: this.laid()?.word ?? '',
        isInTheWay: this.isInTheWay(),
        at: new Date().toISOString(),
      },
    });
    void this.#router.navigate(['/jobs', jobId, 'check']);
  }
}
