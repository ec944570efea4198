import { Injectable, signal } from '@angular/core';
import type { CallAnswer, CallerSees } from '@yellow-pane/core/diagnosing';

/** A call on its way to the job it belongs to. */
interface CallTaken {
  readonly jobId: string;
  readonly sees: CallerSees;
  /** When it was laid, in the caller's words; empty: not known. */
  readonly laid: string;
  readonly isInTheWay: boolean | null;
  readonly answer: CallAnswer;
  readonly at: string;
}

/** Keeps a call while its job is opened. */
@Injectable({ providedIn: 'root' })
export class CallBook {
  readonly taken = signal<CallTaken | undefined>(undefined);
}
