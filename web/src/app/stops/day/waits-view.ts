import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { waitWords } from '@yellow-pane/contracts/words';
import { type Wait, waitStateOf } from '@yellow-pane/core/waiting';
import { type Fact, Facts } from '../../fields/facts';
import { Figure } from '../../ui/figure';
import { dayWords } from '../../words/day';
import { DayCommands } from './day-commands';
import { Planning } from './planning';
import { hoursWord, spanWord } from './wait-span';
import { WarmingUp } from './warming-up';

/** Everything that has to warm, dry or set: before the work, in it, and how a person ends a wait by hand. */
@Component({
  selector: 'yp-waits-view',
  imports: [Facts, Figure],
  providers: [WarmingUp],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="text-xl pt-3">{{ words.beforeInFromCold }}</h2>
    @if (warming.from_C() === undefined) {
      <p class="mt-1">{{ words.noForecastNight }}</p>
    }
    <ul class="max-w-4xl">
      @for (line of rolls(); track line.key) {
        <li class="border-b border-line py-2">
          <p class="flex flex-wrap gap-x-4 items-baseline">
            <strong class="flex-1 min-w-56">{{ line.word }}</strong><span
              class="figure font-semibold text-lg"
              >{{ line.inside }}</span
            >
          </p>
          <yp-figure [label]="line.waitWord" [value]="line.span" [why]="line.wait.why" />
          @if (line.taken) {
            <p class="text-sm text-faint">{{ words.takenIs(line.taken) }}</p>
          }
        </li>
      }
    </ul>
    <p class="mt-1 text-sm text-faint max-w-3xl">
      {{ words.keepWrapped }}
    </p>
    <div class="max-w-xl mt-2">
      <yp-facts
        prefix="wait-"
        [facts]="facts"
        [values]="planning.settings()"
        (changed)="change($event.key, $event.value)"
      />
    </div>
    <h2 class="text-xl mt-6">{{ words.duringDrying }}</h2>
    @for (group of inWork(); track group.key) {
      <section class="border-t-2 border-ink mt-2 pt-1 max-w-4xl" [attr.aria-label]="group.word">
        <div class="flex flex-wrap gap-x-4 items-baseline">
          <h3 class="text-lg flex-1 first-letter:uppercase">{{ group.word }}</h3>
          <span class="figure font-semibold text-lg">{{ group.span }}</span>
        </div>
        <yp-figure [label]="words.asCalculated" [value]="group.likely" [why]="group.why" />
        <p>
          {{ group.check }}
          @if (group.notOver) {
            {{ words.notLonger(group.notOver) }}
          }
        </p>
        @for (own of group.surfaces; track own.id) {
          <p class="flex flex-wrap gap-x-4 items-center border-t border-line min-h-touch py-1">
            <strong class="w-20">{{ own.tag }}</strong><span class="flex-1">{{ own.says }}</span
            ><button
              type="button"
              class="act act-small"
              [attr.aria-pressed]="own.isOver"
              (click)="commands.confirmWait(own.applicationId, own.step)"
            >
              {{ own.isOver ? words.takeDryBack : words.dryOver }}
            </button>
          </p>
        }
      </section>
    } @empty {
      <p class="text-faint mt-1">{{ words.nothingDries }}</p>
    }
    <p class="mt-4 text-sm text-faint">
      {{ words.setsAfterwards }}
    </p>
  `,
  host: { class: 'block px-5 pb-6 overflow-auto' },
})
export class WaitsView {
  protected readonly words = dayWords;
  protected readonly planning = inject(Planning);
  protected readonly commands = inject(DayCommands);
  protected readonly warming = inject(WarmingUp);
  protected readonly facts: readonly Fact[] = [
    {
      key: 'comeFrom_C',
      kind: 'temperature',
      word: dayWords.comeFrom,
      least: -40,
      most: 60,
      how: dayWords.comeFromHow,
    },
    { key: 'rollWrap', kind: 'choice', word: dayWords.rollsStand, options: ['boxed', 'bare'] },
    {
      key: 'coreRadius_mm',
      kind: 'number',
      word: dayWords.coreRadius,
      unit: 'mm',
      least: 1,
      most: 200,
      how: dayWords.coreRadiusHow,
    },
  ];
  protected readonly rolls = computed(() =>
    this.warming.lines().map((line) => ({
      ...line,
      span: spanWord(line.wait),
      waitWord: waitWords(line.wait).word,
      taken: line.taken.join(', '),
      inside:
        waitStateOf(line.wait) === 'not needed'
          ? dayWords.noWait
          : line.insideBy === undefined
            ? dayWords.stand(hoursWord(line.wait.most ?? 0))
            : dayWords.insideBy(this.planning.clock().clock(line.insideBy)),
    })),
  );

  protected readonly inWork = computed(() => {
    const clock = this.planning.clock();
    const ends = new Map(this.planning.shown().map(({ id, end }) => [id, end]));
    const works = [...this.planning.works().values()];
    const groups = new Map<
      string,
      {
        readonly wait: Wait;
        readonly surfaces: {
          readonly id: string;
          readonly tag: string;
          readonly applicationId: string;
          readonly step: string;
          readonly says: string;
          readonly isOver: boolean;
        }[];
      }
    >();
    for (const { id, tag, applicationId, parts, wait } of works) {
      const step = parts.at(-1)?.step;
      if (wait === null || step === undefined) continue;
      const isOver = this.planning
        .surfaces()
        .some((own) => own.applicationId === applicationId && own.confirmed.has(step));
      const end = ends.get(id);
      const says = isOver
        ? dayWords.endedByHand
        : end === undefined
          ? dayWords.notPlanned
          : waitStateOf(wait) === 'ends'
            ? dayWords.dryAbout(clock.clock(end), clock.clock(end + (wait.likely ?? 0)))
            : spanWord(wait);
      const group = groups.get(wait.key) ?? { wait, surfaces: [] };
      group.surfaces.push({ id, tag, applicationId, step, says, isOver });
      groups.set(wait.key, group);
    }
    return [...groups.values()].map(({ wait, surfaces }) => ({
      key: wait.key,
      ...waitWords(wait),
      notOver: wait.notOver,
      why: wait.why,
      span: spanWord(wait),
      likely: wait.likely === null ? dayWords.unknownWait : hoursWord(wait.likely),
      surfaces,
    }));
  });

  protected change(key: string, value: string | number | null): void {
    if (key === 'coreRadius_mm' && value === null) return;
    this.commands.set({ [key]: value }, 'warming of rolls');
  }
}
