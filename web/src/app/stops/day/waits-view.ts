import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { Wait } from '@yellow-pane/core/waiting';
import { type Fact, Facts } from '../../fields/facts';
import { Figure } from '../../ui/figure';
import { Planning } from './planning';
import { WarmingUp } from './warming-up';

/** Everything that has to warm, dry or set: before the work, in it, and how a person ends a wait by hand. */
@Component({
  selector: 'yp-waits-view',
  imports: [Facts, Figure],
  providers: [WarmingUp],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="text-xl pt-3">Before: in from the cold</h2>
    @if (warming.from_C() === undefined) {
      <p class="mt-1">No forecast for the night before: say below how cold it is where the rolls lie.</p>
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
          <yp-figure [label]="line.wait.word" [value]="line.span" [why]="line.wait.why" />
          @if (line.taken) {
            <p class="text-sm text-faint">Taken: {{ line.taken }}.</p>
          }
        </li>
      }
    </ul>
    <p class="mt-1 text-sm text-faint max-w-3xl">
      Keep rolls wrapped until they are over the dew point of the room; a thermometer in the core has the last
      word. How long a cold room takes to warm is unknown: heater and walls decide. Go by an infrared
      thermometer on glass and wall, not by the air.
    </p>
    <div class="max-w-xl mt-2">
      <yp-facts
        prefix="wait-"
        [facts]="facts"
        [values]="planning.settings()"
        (changed)="change($event.key, $event.value)"
      />
    </div>
    <h2 class="text-xl mt-6">During: drying and flashing off</h2>
    @for (group of inWork(); track group.key) {
      <section class="border-t-2 border-ink mt-2 pt-1 max-w-4xl" [attr.aria-label]="group.word">
        <div class="flex flex-wrap gap-x-4 items-baseline">
          <h3 class="text-lg flex-1 first-letter:uppercase">{{ group.word }}</h3>
          <span class="figure font-semibold text-lg">{{ group.span }}</span>
        </div>
        <yp-figure label="As reckoned" [value]="group.likely" [why]="group.why" />
        <p>
          {{ group.check }}
          @if (group.notOver) {
            Not longer than {{ group.notOver }} min.
          }
        </p>
        @for (own of group.surfaces; track own.id) {
          <p class="flex flex-wrap gap-x-4 items-center border-t border-line min-h-touch py-1">
            <strong class="w-20">{{ own.tag }}</strong><span class="flex-1">{{ own.says }}</span
            ><button
              type="button"
              class="act act-small"
              [attr.aria-pressed]="own.isOver"
              (click)="planning.confirmWait(own.applicationId, own.step)"
            >
              {{ own.isOver ? 'It was not dry: take it back' : 'Dry to the touch: over' }}
            </button>
          </p>
        }
      </section>
    } @empty {
      <p class="text-faint mt-1">Nothing in this job has to dry.</p>
    }
    <p class="mt-4 text-sm text-faint">
      What sets afterwards, and when to come back, stands beside the kept plan under Order.
    </p>
  `,
  host: { class: 'block px-5 pb-6 overflow-auto' },
})
export class WaitsView {
  protected readonly planning = inject(Planning);
  protected readonly warming = inject(WarmingUp);
  protected readonly facts: readonly Fact[] = [
    {
      key: 'comeFrom_C',
      kind: 'number',
      word: 'They come from',
      unit: '°C',
      least: -40,
      most: 60,
      how: 'Empty: the coldest forecast of the night before is taken, as if they lay in the car.',
    },
    { key: 'rollWrap', kind: 'choice', word: 'Rolls stand', options: ['boxed', 'bare'] },
    {
      key: 'coreRadius_mm',
      kind: 'number',
      word: 'Radius of the core',
      unit: 'mm',
      least: 1,
      most: 200,
      how: '38 mm is the default: measure yours.',
    },
  ];
  protected readonly rolls = computed(() =>
    this.warming.lines().map((line) => ({
      ...line,
      span: spanWord(line.wait),
      taken: line.taken.join(', '),
      inside:
        line.wait.most === 0
          ? 'no wait'
          : line.insideBy === undefined
            ? `stand ${hoursWord(line.wait.most ?? 0)}`
            : `inside by ${this.planning.clock().clock(line.insideBy)}`,
    })),
  );

  protected readonly inWork = computed(() => {
    const clock = this.planning.clock();
    const ends = new Map(this.planning.shown().map(({ id, end }) => [id, end]));
    const works = [...(this.planning.whole()?.works.values() ?? [])];
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
        ? 'ended by hand'
        : end === undefined
          ? 'not planned yet'
          : wait.likely === null
            ? (wait.never ?? '')
            : `from ${clock.clock(end)}, dry about ${clock.clock(end + wait.likely)}`;
      const group = groups.get(wait.key) ?? { wait, surfaces: [] };
      group.surfaces.push({ id, tag, applicationId, step, says, isOver });
      groups.set(wait.key, group);
    }
    return [...groups.values()].map(({ wait, surfaces }) => ({
      key: wait.key,
      word: wait.word,
      check: wait.check,
      notOver: wait.notOver,
      why: wait.why,
      span: wait.never ?? spanWord(wait),
      likely: wait.likely === null ? 'unknown' : hoursWord(wait.likely),
      surfaces,
    }));
  });

  protected change(key: string, value: string | number | null): void {
    if (key === 'coreRadius_mm' && value === null) return;
    this.planning.set({ [key]: value }, 'warming of rolls');
  }
}

function hoursWord(minutes: number): string {
  return minutes < 90 ? `${Math.round(minutes)} min` : `${(minutes / 60).toFixed(minutes < 600 ? 1 : 0)} h`;
}

function spanWord({ least, likely, most }: Wait): string {
  if (least === null || likely === null || most === null) return 'unknown';
  return most === 0 ? 'none: as warm as the room' : `${hoursWord(least)} to ${hoursWord(most)}`;
}
