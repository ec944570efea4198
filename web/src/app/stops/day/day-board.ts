import { Device } from '../../device/device';
import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { closedWords, visitLines } from '@yellow-pane/contracts/words';
import { visitsOf } from '@yellow-pane/core/reading';
import type { PlannedStep } from '@yellow-pane/core/scheduling';
import { ReadinessCache } from '../../day/readiness-cache';
import { JobReading } from '../../job/job-reading';
import { dayWords } from '../../words/day';
import { DayList } from './day-list';
import { Planning } from './planning';

interface Bar {
  readonly id: string;
  readonly left: number;
  readonly width: number;
  readonly tag: string;
  readonly word: string;
  readonly says: string;
  readonly isPinned: boolean;
  readonly isBroken: boolean;
  readonly isDone: boolean;
}

interface Shade {
  readonly left: number;
  readonly width: number;
  readonly kind: 'sun' | 'closed' | 'off';
  readonly word: string;
}

interface Row {
  readonly id: string;
  readonly word: string;
  readonly bars: readonly Bar[];
  readonly shades: readonly Shade[];
}

const SNAP_MIN = 5;
const FAR_MIN = 30;

/**
 * One day of the plan: a row a person or a surface, sun and other closed hours behind, steps as bars that are
 * dragged or moved with the arrow keys. What a place would break is said while it is dragged, and refused.
 */
@Component({
  selector: 'yp-day-board',
  imports: [DayList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './day-board.html',
  styles: `
    .shut {
      background-image: repeating-linear-gradient(135deg, var(--yp-line-strong) 0 1px, transparent 1px 6px);
    }
    @media (max-width: 767px) {
      .odd {
        visibility: hidden;
      }
    }
    .bar {
      container-type: inline-size;
    }
    .when-wide,
    .when-widest {
      display: none;
    }
    @container (min-width: 1.6rem) {
      .when-wide {
        display: inline;
        font-weight: 600;
      }
    }
    @container (min-width: 5rem) {
      .when-widest {
        display: inline;
      }
    }
  `,
  host: { class: 'flex flex-col flex-1 min-h-0' },
})
export class DayBoard {
  protected readonly words = dayWords;
  /** Bars are narrow there: the list says what they are. */
  protected readonly isPhone = matchMedia('(max-width: 767px)').matches;
  /** The stretch under the pointer or the focus: a narrow one has no room for its name. */
  protected readonly pointedId = signal<string | undefined>(undefined);
  protected readonly pointedSays = computed(
    () =>
      this.rows()
        .flatMap(({ bars }) => bars)
        .find(({ id }) => id === this.pointedId())?.says,
  );
  readonly #units = inject(Device).units;
  protected readonly planning = inject(Planning);
  readonly #view = inject(JobReading).view;
  readonly #book = inject(ReadinessCache);
  readonly #opened_ms = Date.now();
  protected readonly ways = ['person', 'surface'] as const;
  protected readonly by = signal<'person' | 'surface'>('person');
  /** Whole hours round what the crew works. */
  readonly #range = computed(() => {
    const crew = this.planning.crew();
    return crew.length === 0
      ? { first: 7, last: 18 }
      : {
          first: Math.floor((Math.min(...crew.map(({ begins }) => begins)) - 1) / 60),
          last: Math.ceil((Math.max(...crew.map(({ ends }) => ends)) + 1) / 60),
        };
  });
  protected readonly hours = computed(() =>
    Array.from(
      { length: this.#range().last - this.#range().first + 1 },
      (_, index) => this.#range().first + index,
    ),
  );
  /** Visits on the day that is looked at, by the clock of the place. */
  protected readonly visits = computed(() => {
    const clock = this.planning.clock();
    const [from, to] = [0, 1].map((more) => clock.dayStarts[this.planning.day() + more] ?? Infinity);
    return visitsOf(this.#view(), this.#opened_ms, this.#book.sky()).kept.flatMap(({ visit, open }) => {
      const at_ms = Date.parse(visit.plannedAt ?? '');
      const minute = clock.minuteOf(at_ms);
      return Number.isNaN(at_ms) || minute < (from ?? 0) || minute >= (to ?? 0)
        ? []
        : [
            {
              id: visit.id,
              minute: clock.dayHourOf(at_ms) * 60,
              says: visitLines(
                open.length === 0 ? visit.reasons : open,
                (id) => this.#view().surfaceById.get(id)?.tag,
              ).join('; '),
            },
          ];
    });
  });
  protected readonly firstMinute = computed(() => this.#range().first * 60);
  readonly #span = computed(() => (this.#range().last - this.#range().first) * 60);
  protected readonly heldId = signal<string | undefined>(undefined);
  protected readonly heldBy = signal(0);
  readonly #held = signal<
    | {
        readonly id: string;
        readonly from: number;
        readonly start: number;
        readonly width_px: number;
        readonly at: number;
      }
    | undefined
  >(undefined);
  readonly #fault = signal<string | undefined>(undefined);
  readonly lane = viewChild<ElementRef<HTMLElement>>('lane');
  protected readonly days = computed(() =>
    Array.from({ length: this.planning.settings().days }, (_, day) => this.planning.clock().shortDay(day)),
  );
  readonly #begin = computed(
    () => (this.planning.clock().dayStarts[this.planning.day()] ?? 0) + this.firstMinute(),
  );
  protected readonly nowAt = computed(() => {
    const at = this.percent(this.planning.clock().minuteOf(Date.now()) - this.#begin());
    return this.planning.nowMinute() > 0 && at > 0 && at < 100 ? at : undefined;
  });
  protected readonly isFault = computed(
    () => this.#fault() !== undefined || this.planning.refused() !== undefined,
  );
  protected readonly says = computed(() => {
    const held = this.#held();
    if (held === undefined) return this.planning.refused();
    const clock = this.planning.clock().clock(held.at);
    return this.#fault() === undefined ? dayWords.possibleAt(clock) : `${clock}: ${this.#fault() ?? ''}`;
  });

  protected readonly rows = computed<readonly Row[]>(() => {
    const begin = this.#begin();
    const works = this.planning.works();
    const today = this.planning
      .shown()
      .filter(({ start, end }) => end > begin && start < begin + this.#span());
    const barOf = (step: PlannedStep, isByPerson: boolean): Bar => {
      const work = works.get(step.id);
      const clock = this.planning.clock();
      const what = work?.word ?? '';
      return {
        id: step.id,
        left: this.percent(step.start - begin),
        width: this.percent(step.end - step.start),
        tag: isByPerson ? (work?.tag ?? '') : '',
        word: what,
        says: dayWords.stretchSaid(
          work?.tag ?? '',
          what,
          clock.clock(step.start),
          clock.hour(step.end),
          this.#names(step.people),
          this.planning.isPinned(step.id) ? dayWords.pinned : '',
          [
            this.planning.brokenIds().has(step.id) ? dayWords.noLongerHolds : '',
            this.planning.beyondForecast().has(step.id) ? dayWords.butTemperaturesNotKnown : '',
          ].join(''),
        ),
        isPinned: this.planning.isPinned(step.id),
        isBroken: this.planning.brokenIds().has(step.id),
        isDone: false,
      };
    };
    if (this.by() === 'person') {
      return this.planning.people().map(({ id, name, hours }): Row => ({
        id,
        word: name,
        bars: today.filter(({ people }) => people.includes(id)).map((step) => barOf(step, true)),
        shades: gaps(
          hours.map(({ from, to }) => ({ from: from - begin, to: to - begin })),
          this.#span(),
        ).map(({ from, to }): Shade => ({
          left: this.percent(from),
          width: this.percent(to - from),
          kind: 'off',
          word: dayWords.notAtWork,
        })),
      }));
    }
    return this.planning.surfaces().map(({ applicationId, tag }): Row => ({
      id: applicationId,
      word: tag,
      bars: today
        .filter(({ id }) => works.get(id)?.applicationId === applicationId)
        .map((step) => barOf(step, false)),
      shades: this.#shadesOf(applicationId, begin),
    }));
  });

  protected percent(minutes: number): number {
    return (100 * minutes) / this.#span();
  }

  protected pick(id: string): void {
    this.planning.pickedId.set(id);
  }

  protected take(event: PointerEvent, bar: Bar): void {
    const lane = this.lane()?.nativeElement;
    const step = this.planning.shown().find(({ id }) => id === bar.id);
    if (lane === undefined || step === undefined || event.button !== 0) return;
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    this.planning.letGo();
    this.#held.set({
      id: bar.id,
      from: event.clientX,
      start: step.start,
      width_px: lane.clientWidth,
      at: step.start,
    });
  }

  protected drag(event: PointerEvent): void {
    const held = this.#held();
    if (held === undefined) return;
    const by =
      Math.round((((event.clientX - held.from) / held.width_px) * this.#span()) / SNAP_MIN) * SNAP_MIN;
    if (by === 0 && this.heldId() === undefined) return;
    this.heldId.set(held.id);
    this.heldBy.set(this.percent(by));
    const at = held.start + by;
    this.#held.set({ ...held, at });
    this.#fault.set(this.planning.faultAt(held.id, at));
  }

  protected drop(): void {
    const held = this.#held();
    const isMoved = held !== undefined && this.heldId() === held.id && held.at !== held.start;
    this.letGo();
    if (isMoved) this.planning.move(held.id, held.at);
  }

  protected letGo(): void {
    this.#held.set(undefined);
    this.#fault.set(undefined);
    this.heldId.set(undefined);
    this.heldBy.set(0);
  }

  protected key(event: KeyboardEvent, bar: Bar): void {
    const step = this.planning.shown().find(({ id }) => id === bar.id);
    if (step === undefined) return;
    const by =
      (event.shiftKey ? FAR_MIN : SNAP_MIN) *
      (event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0);
    if (by !== 0) {
      event.preventDefault();
      this.planning.move(bar.id, step.start + by);
      return;
    }
    if (event.key === 'p') {
      event.preventDefault();
      this.planning.togglePin(bar.id);
    }
  }

  #shadesOf(applicationId: string, begin: number): readonly Shade[] {
    const clock = this.planning.clock();
    return (this.planning.ready()?.get(applicationId)?.closed ?? []).flatMap(
      ({ from_ms, to_ms, by, why }): readonly Shade[] => {
        const [from, to] = [
          Math.max(0, clock.minuteOf(from_ms) - begin),
          Math.min(this.#span(), clock.minuteOf(to_ms) - begin),
        ];
        return to <= from
          ? []
          : [
              {
                left: this.percent(from),
                width: this.percent(to - from),
                kind: by === 'sun' ? 'sun' : by === 'weather unknown' ? 'off' : 'closed',
                word: closedWords(why, this.#units()),
              },
            ];
      },
    );
  }

  #names(people: readonly string[]): string {
    return people
      .map((id) => this.planning.people().find((person) => person.id === id)?.name ?? dayWords.somebodyGone)
      .join(' and ');
  }
}

/** What lies between spans, from 0 to the end. */
function gaps(
  spans: readonly { readonly from: number; readonly to: number }[],
  end: number,
): readonly { readonly from: number; readonly to: number }[] {
  const found: { from: number; to: number }[] = [];
  let at = 0;
  for (const { from, to } of spans) {
    if (to <= 0 || from >= end) continue;
    if (from > at) found.push({ from: at, to: from });
    at = Math.max(at, to);
  }
  if (at < end) found.push({ from: at, to: end });
  return found;
}
