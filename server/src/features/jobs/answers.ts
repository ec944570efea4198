import { DayClock, daySettingsOr } from '@yellow-pane/contracts/day-clock';
import {
  type Asking,
  type JobAnswers,
  type JobRows,
  JobView,
  type Shop,
  jobAnswers,
} from '@yellow-pane/core/reading';

/** A job with all that is known beside it, as data that a thread can be sent. */
export interface AnswersAsked extends Omit<Asking, 'clock' | 'now'> {
  readonly rows: JobRows;
  readonly shop: Shop;
  /** Of the place, where the job does not say. */
  readonly zone: string;
  readonly now_ms: number;
}

/** What the job answers at that moment, by the clock of its place. */
export function answersAt({ rows, shop, zone, now_ms, ...asked }: AnswersAsked): JobAnswers {
  const clock = new DayClock(daySettingsOr(rows.daySettings[0], zone, now_ms));
  return jobAnswers(new JobView(rows, shop), { ...asked, clock, now: clock.nextStart(now_ms) });
}
