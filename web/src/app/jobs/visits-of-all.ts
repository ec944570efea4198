import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { VisitOfJob } from '@yellow-pane/contracts';
import { jobsWords } from '../words/jobs';

const MOST_LINES = 8;
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });

/** Why somebody comes back, in all jobs, next first. */
@Component({
  selector: 'yp-visits-of-all',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length > 0) {
      <section class="mt-5" aria-labelledby="all-visits">
        <h2 id="all-visits" class="text-xl">{{ words.visits }}</h2>
        <ul class="border-t border-ink">
          @for (line of lines(); track line.key) {
            <li class="border-b border-line">
              <a
                class="flex flex-wrap items-center gap-x-4 min-h-14 py-1 hover:bg-board"
                [routerLink]="['/jobs', line.jobId, 'check']"
              >
                <span class="font-bold w-72">{{ line.when }}</span>
                <span class="flex-1 min-w-60 leading-tight"
                  >{{ line.says }}<span class="block text-sm text-faint">{{ line.job }}</span></span
                >
              </a>
            </li>
          }
        </ul>
      </section>
    }
  `,
  host: { class: 'block' },
})
export class VisitsOfAll {
  protected readonly words = jobsWords;
  readonly visits = input.required<readonly VisitOfJob[]>();
  protected readonly lines = computed(() =>
    this.visits()
      .slice(0, MOST_LINES)
      .map(({ jobId, job, says, ...own }) => ({
        ...{ jobId, job, says: says.join('; ') },
        key: `${jobId} ${says.join()}`,
        when: whenOf(own),
      })),
  );
}

const dayOf = (instant: string): string => DAY.format(new Date(instant));

function whenOf({
  plannedAt,
  notBefore,
  due,
  isLate,
}: Pick<VisitOfJob, 'plannedAt' | 'notBefore' | 'due' | 'isLate'>): string {
  if (plannedAt !== null) return jobsWords.visitOn(dayOf(plannedAt), isLate);
  const from = notBefore ?? due;
  if (from === null) return jobsWords.visitAnyTime;
  return jobsWords.visitBetween(dayOf(from), due === null ? undefined : dayOf(due), isLate);
}
