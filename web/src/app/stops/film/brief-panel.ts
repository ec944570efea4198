import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { GOALS, type GoalKey } from '@yellow-pane/core/choosing';
import { type FilmBrief, type FilmLook, NO_BRIEF, type RowOf, isGlass } from '@yellow-pane/core/job';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { type Fact, type FactChange, Facts } from '../../fields/facts';
import { filmWords } from '../../words/film';

const WISH_WORDS = ['no matter', 'a little', 'much', 'above all'] as const;
const GLASS_LOOKS: readonly FilmLook[] = ['any', 'hardly seen', 'neutral', 'mirror', 'frosted', 'pattern'];
const WALL_LOOKS: readonly FilmLook[] = ['any', 'wood', 'stone', 'plain colour', 'picture'];
/** Steps of the two hard limits, as shares. */
const LIGHT_STEPS = [null, 0.25, 0.35, 0.5, 0.65, 0.75] as const;
const HEAT_STEPS = [null, 0.2, 0.33, 0.5, 0.6] as const;

const ROOM_FACTS: readonly Fact[] = [
  { key: 'roomWidth_nm', kind: 'length', word: filmWords.roomWide },
  { key: 'roomDepth_nm', kind: 'length', word: filmWords.roomDeep },
  { key: 'roomHeight_nm', kind: 'length', word: filmWords.roomHigh },
  { key: 'coldest_C', kind: 'temperature', word: filmWords.coldestNight, least: -60, most: 40 },
  { key: 'hottest_C', kind: 'temperature', word: filmWords.hottestDay, least: -20, most: 60 },
];

/** What the customer asks for, in their words: kept for the place, so that a whole front is chosen alike. */
@Component({
  selector: 'yp-brief-panel',
  imports: [Facts],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="font-bold">{{ words.whatTheyAskFor }}</h2>
    <p class="text-sm text-faint leading-tight mb-2">{{ words.allOfPlace(placeName()) }}</p>
    @if (isGlass()) {
      <label class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-2 mb-1 leading-tight"
        >{{ words.lightLeast }}
        <select
          class="border border-line-strong rounded-card bg-paper min-h-9 px-1 max-w-32"
          (change)="setLimit('lightKeptLeast', $any($event.target).value)"
        >
          @for (step of lightSteps; track step) {
            <option [value]="step ?? ''" [selected]="step === brief().lightKeptLeast">
              {{ step === null ? words.noLimit : percent(step) }}
            </option>
          }
        </select></label
      >
      <label class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-2 mb-1 leading-tight"
        >{{ words.heatOffLeast }}
        <select
          class="border border-line-strong rounded-card bg-paper min-h-9 px-1 max-w-32"
          (change)="setLimit('heatOffLeast', $any($event.target).value)"
        >
          @for (step of heatSteps; track step) {
            <option [value]="step ?? ''" [selected]="step === brief().heatOffLeast">
              {{ step === null ? words.noLimit : percent(step) }}
            </option>
          }
        </select></label
      >
    }
    <label class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-2 mb-2 leading-tight"
      >{{ words.look }}
      <select
        class="border border-line-strong rounded-card bg-paper min-h-9 px-1 max-w-32"
        (change)="setLook($any($event.target).value)"
      >
        @for (look of looks(); track look) {
          <option [value]="look" [selected]="look === brief().look">{{ look }}</option>
        }
      </select></label
    >
    @if (isGlass()) {
      @for (goal of goals; track goal.key) {
        <label class="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-2 leading-tight">
          <span>{{ goal.word }}</span><span class="text-sm" [class.font-semibold]="wish(goal.key) > 1">{{
            wish(goal.key) === 0 ? '' : wishWords[wish(goal.key)]
          }}</span>
          <input
            type="range"
            class="col-span-2 h-5 w-full accent-ink border-0 bg-transparent"
            min="0"
            max="3"
            step="1"
            [attr.aria-label]="goal.word"
            [attr.aria-valuetext]="wishWords[wish(goal.key)]"
            [value]="wish(goal.key)"
            (change)="set(goal.key, +$any($event.target).value)"
          />
        </label>
      }
      <details class="mt-2">
        <summary class="min-h-9 cursor-pointer underline underline-offset-2">
          {{ words.roomAndWeather }}
        </summary>
        <p class="text-sm text-faint leading-tight mb-1">
          {{ words.leftEmpty }}
        </p>
        <yp-facts
          [prefix]="'brief:' + surface().placeId + ':'"
          [facts]="roomFacts"
          [values]="brief()"
          [entryUnit]="unit()"
          (changed)="setFact($event)"
        />
      </details>
    }
  `,
  host: { class: 'block', role: 'group', '[attr.aria-label]': 'words.whatTheyAskFor' },
})
export class BriefPanel {
  protected readonly words = filmWords;
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly surface = input.required<RowOf<'surface'>>();
  protected readonly goals = GOALS;
  protected readonly roomFacts = ROOM_FACTS;
  protected readonly unit = computed(() => this.#reading.job()?.entryUnit ?? 'mm');
  protected readonly wishWords = WISH_WORDS;
  protected readonly lightSteps = LIGHT_STEPS;
  protected readonly heatSteps = HEAT_STEPS;
  protected readonly isGlass = computed(() => isGlass(this.surface()));
  protected readonly looks = computed(() => (this.isGlass() ? GLASS_LOOKS : WALL_LOOKS));
  readonly #row = computed(() => this.#reading.briefFor(this.surface()));
  protected readonly brief = computed<Omit<FilmBrief, 'placeId'>>(() => this.#row() ?? NO_BRIEF);
  protected readonly placeName = computed(
    () =>
      this.#reading.placeById().get(this.#row()?.placeId ?? this.surface().placeId)?.name ??
      filmWords.thisPlace,
  );

  protected wish(key: GoalKey): 0 | 1 | 2 | 3 {
    return this.brief()[key];
  }

  protected percent(share: number): string {
    return `${Math.round(share * 100)} %`;
  }

  protected set(key: GoalKey, value: number): void {
    this.#change({ [key]: value });
  }

  protected setLimit(key: 'lightKeptLeast' | 'heatOffLeast', value: string): void {
    this.#change({ [key]: value === '' ? null : Number(value) });
  }

  protected setFact({ key, value, seen }: FactChange): void {
    this.#change({ [key]: value }, seen);
  }

  protected setLook(look: FilmLook): void {
    this.#change({ look });
  }

  #change(fields: Partial<FilmBrief>, seen?: number): void {
    const row = this.#row();
    const { placeId } = this.surface();
    this.#desk.do(filmWords.askedFor(this.placeName()), [
      row === undefined
        ? this.#desk.put('filmBrief', { ...NO_BRIEF, placeId, ...fields })
        : this.#desk.set('filmBrief', row.id, fields, seen),
    ]);
  }
}
