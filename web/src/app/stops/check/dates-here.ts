import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { monthWord, neverWords } from '@yellow-pane/contracts/words';
import { type FilmDates, filmDates, laidAt } from '@yellow-pane/core/reading';
import type { RowOf } from '@yellow-pane/core/job';
import type { MayDo } from '@yellow-pane/core/waiting';
import { JobClock } from '../../day/job-clock';
import { ReadinessCache } from '../../day/readiness-cache';
import { StepTrace } from '../../ui/step-trace';
import { datesWords } from '../../words/dates';
import { CheckDesk } from './check-desk';
import { DryChart, type DryPoint } from './dry-chart';

const DAY_MS = 86_400_000;
const POINTS = 60;
/** The curve goes to a little after the upper date; without one so far. */
const LEAST_DAYS = 30;
const MOST_DAYS = 200;

/** What may be done to each film of the surface in hand, and when: the dates that hold everywhere. */
@Component({
  selector: 'yp-dates-here',
  imports: [DryChart, StepTrace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './dates-here.html',
  host: { class: 'block empty:hidden' },
})
export class DatesHere {
  protected readonly words = datesWords;
  readonly surface = input.required<RowOf<'surface'>>();
  readonly #desk = inject(CheckDesk);
  readonly #book = inject(ReadinessCache);
  readonly #clock = inject(JobClock).clock;
  protected readonly isWhyOpen = signal(false);
  protected readonly films = computed(() => {
    const view = this.#desk.view();
    return view.applicationsOf(this.surface().id).flatMap((application) => {
      const laid_ms = laidAt(view, application.id);
      const dates = laid_ms === null ? undefined : filmDates(view, application, laid_ms, this.#book.sky());
      if (dates === undefined) return [];
      return [
        {
          ...{ id: application.id, dates, lines: this.#lines(dates), why: dates.clear?.why ?? [] },
          name: view.filmById.get(application.filmId)?.name ?? '',
          rests: datesWords.datesRestOn(dates.from, dates.unknown),
          months: monthsOf(dates),
          never: dates.clear?.never == null ? '' : neverWords(dates.clear.never, dates.clear.goesOnMonth),
        },
      ];
    });
  });

  protected pointsOf(dates: FilmDates): readonly DryPoint[] {
    const upper = dates.clear?.most == null ? MOST_DAYS : (dates.clear.most * 60_000) / DAY_MS;
    const last = Math.max(LEAST_DAYS, Math.min(MOST_DAYS, 1.1 * upper));
    return Array.from({ length: POINTS + 1 }, (_, index) => {
      const day = (last * index) / POINTS;
      const { dry, pocket, bond } = dates.at(day);
      return { day, water: 1 - dry, pocket: 1 - pocket, bond };
    });
  }

  #lines({
    may,
    laidAt_ms,
  }: FilmDates): readonly { key: string; head: string; when: string; source: string }[] {
    const date = (days: number): string => this.#clock().dateOf(laidAt_ms + days * DAY_MS);
    return may.map((own) => ({
      key: own.key,
      head: datesWords.may(own.key),
      when: `${whenOf(own, date)}${datesWords.mayByHand(own.key)}`,
      source: own.source.kind,
    }));
  }
}

function whenOf({ from_days, until_days, noDay }: MayDo, date: (days: number) => string): string {
  if (noDay !== null) return datesWords.noDayYet(noDay);
  if (until_days !== null) return datesWords.untilDate(date(until_days));
  return from_days === 0 ? datesWords.atOnce : datesWords.fromDate(date(from_days ?? 0));
}

/** Months by whose climate it dries, each with its drop in vapour; none: there is no climate. */
const monthsOf = ({ course }: FilmDates): readonly string[] =>
  course.flatMap(({ month, drop_kPa }) =>
    month === null ? [] : [datesWords.monthDries(monthWord(month), drop_kPa)],
  );
