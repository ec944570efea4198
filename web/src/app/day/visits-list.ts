import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { RowOf, VisitReason } from '@yellow-pane/core/job';
import { type VisitsOfJob, visitsOf } from '@yellow-pane/core/reading';
import { visitLines } from '@yellow-pane/contracts/words';
import { JobDesk } from '../job/job-desk';
import { ReadinessCache } from './readiness-cache';
import { JobReading } from '../job/job-reading';
import { visitWords } from '../words/visits';
import { JobClock } from './job-clock';

/** Visits begin at this hour unless somebody says otherwise. */
const BEGINS_H = 9;

type Trip = VisitsOfJob['proposed'][number];

/** Why somebody comes back to this job, in the fewest trips: planned, moved, done, not needed. */
@Component({
  selector: 'yp-visits-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './visits-list.html',
  host: { class: 'block' },
})
export class VisitsList {
  protected readonly words = visitWords;
  readonly #view = inject(JobReading).view;
  readonly #book = inject(ReadinessCache);
  readonly #desk = inject(JobDesk);
  readonly #clock = inject(JobClock).clock;
  readonly #opened_ms = Date.now();
  protected readonly fault = signal<string | undefined>(undefined);
  readonly #visits = computed(() => visitsOf(this.#view(), this.#opened_ms, this.#book.sky()));
  protected readonly jobId = computed(() => this.#view().job?.id ?? '');
  protected readonly kept = computed(() =>
    this.#visits().kept.map(({ visit, open, isLate }) => ({
      ...{ visit, isLate, lines: this.#linesOf(visit.reasons) },
      isSettled: open.length === 0 && visit.reasons.length > 0,
      when: this.#whenOf(visit),
      day: visit.plannedAt === null ? '' : this.#clock().isoDayOf(visit.plannedAt),
    })),
  );
  protected readonly proposed = computed(() =>
    this.#visits().proposed.map((trip) => ({
      trip,
      key: trip.asks.map(({ key }) => key).join(),
      lines: this.#linesOf(trip.asks),
      day: this.#clock().isoDayOf(trip.from_ms),
      when: Number.isFinite(trip.to_ms)
        ? visitWords.between(this.#clock().dateOf(trip.from_ms), this.#clock().dateOf(trip.to_ms))
        : visitWords.from(this.#clock().dateOf(trip.from_ms)),
    })),
  );
  protected readonly past = computed(() =>
    this.#visits().past.map((visit) => ({
      visit,
      says: visitWords.pastIs(visit.state, this.#linesOf(visit.reasons).join('; ')),
    })),
  );

  /** A proposed trip becomes a visit on a day. */
  protected plan(trip: Trip, day: string): void {
    const plannedAt = this.#clock().instantAt(day, BEGINS_H);
    if (plannedAt === undefined) {
      this.fault.set(visitWords.dayWrong(day));
      return;
    }
    this.fault.set(undefined);
    this.#desk.do(visitWords.planned, [
      this.#desk.put('visit', { ...visitFrom(trip), plannedAt, state: 'open' }),
    ]);
  }

  protected leave(trip: Trip, state: 'done' | 'not needed'): void {
    this.#desk.do(visitWords.stateIs(state), [
      this.#desk.put('visit', { ...visitFrom(trip), plannedAt: null, state }),
    ]);
  }

  protected move(visit: RowOf<'visit'>, day: string): void {
    const plannedAt = this.#clock().instantAt(day, BEGINS_H);
    this.fault.set(plannedAt === undefined ? visitWords.dayWrong(day) : undefined);
    if (plannedAt !== undefined)
      this.#desk.do(visitWords.moved, [this.#desk.set('visit', visit.id, { plannedAt })]);
  }

  protected set(visit: RowOf<'visit'>, state: RowOf<'visit'>['state']): void {
    this.#desk.do(visitWords.stateIs(state), [this.#desk.set('visit', visit.id, { state })]);
  }

  readonly #linesOf = (reasons: readonly VisitReason[]): readonly string[] =>
    visitLines(reasons, (id) => this.#view().surfaceById.get(id)?.tag);

  #whenOf({ plannedAt, notBefore, due }: RowOf<'visit'>): string {
    const clock = this.#clock();
    if (plannedAt !== null) return visitWords.on(clock.dateOf(plannedAt));
    if (due !== null) return visitWords.between(clock.dateOf(notBefore ?? due), clock.dateOf(due));
    return notBefore === null ? '' : visitWords.from(clock.dateOf(notBefore));
  }
}

const visitFrom = ({ asks, from_ms, to_ms }: Trip) => ({
  reasons: asks.map(({ key, kind, surfaceId, applicationId, markId }): VisitReason => ({
    ...{ key, kind, surfaceId, applicationId, markId },
  })),
  notBefore: new Date(from_ms).toISOString(),
  due: Number.isFinite(to_ms) ? new Date(to_ms).toISOString() : null,
  people: [],
  note: '',
});
