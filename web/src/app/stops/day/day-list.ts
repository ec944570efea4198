import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { dayWords } from '../../words/day';
import { Planning } from './planning';

interface Line {
  readonly id: string;
  readonly clock: string;
  readonly tag: string;
  readonly word: string;
  readonly isPicked: boolean;
  readonly isPast: boolean;
}

/**
 * The day shown, person by person, to be read from top to bottom: what bars of ten minutes are too narrow to
 * say.
 */
@Component({
  selector: 'yp-day-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="grid gap-x-6 grid-cols-[repeat(auto-fit,minmax(12rem,1fr))]">
      @for (person of lists(); track person.id) {
        <section [attr.aria-label]="words.whatDoes(person.name)">
          <h2 class="font-semibold border-b border-ink py-1">{{ person.name }}</h2>
          <ol>
            @for (line of person.lines; track line.id) {
              <li class="border-b border-line">
                <button
                  type="button"
                  class="flex w-full gap-2 text-left py-2 min-h-11 leading-snug"
                  [class.bg-ink]="line.isPicked"
                  [class.text-ground]="line.isPicked"
                  [class.text-faint]="line.isPast && !line.isPicked"
                  [attr.aria-pressed]="line.isPicked"
                  (click)="planning.pickedId.set(line.id)"
                >
                  <span class="figure w-12 shrink-0">{{ line.clock }}</span><span
                    ><strong>{{ line.tag }}</strong> {{ line.word }}</span
                  >
                </button>
              </li>
            } @empty {
              <li class="py-2 text-faint">
                {{ planning.shown().length === 0 ? words.notPlannedYet : words.nothingThisDay }}
              </li>
            }
          </ol>
        </section>
      }
    </div>
  `,
})
export class DayList {
  protected readonly words = dayWords;
  protected readonly planning = inject(Planning);

  protected readonly lists = computed(() => {
    const clock = this.planning.clock();
    const begin = clock.dayStarts[this.planning.day()] ?? 0;
    const end = clock.dayStarts[this.planning.day() + 1] ?? Number.POSITIVE_INFINITY;
    const works = this.planning.works();
    const today = this.planning
      .shown()
      .filter(({ start }) => start >= begin && start < end)
      .sort((a, b) => a.start - b.start);
    return this.planning.people().map(({ id, name }) => ({
      id,
      name,
      lines: today
        .filter(({ people }) => people.includes(id))
        .map((step): Line => {
          const work = works.get(step.id);
          return {
            id: step.id,
            clock: clock.hour(step.start),
            tag: work?.tag ?? '',
            word: work?.word ?? '',
            isPicked: step.id === this.planning.pickedId(),
            isPast: step.end <= this.planning.nowMinute(),
          };
        }),
    }));
  });
}
