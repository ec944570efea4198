import { Injectable, signal } from '@angular/core';

/** On a phone the schedule and the reckoning slide over the sheet; this says which is out. */
@Injectable({ providedIn: 'root' })
export class Panels {
  readonly hasSchedule = signal(false);
  readonly hasReckoning = signal(false);
  /** Whether a stop was open before: its successor takes the focus. */
  wasAtStop = false;
}
