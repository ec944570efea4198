import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { FoldSaid } from '@yellow-pane/core/job';
import { formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { lineSeenFrom, schoolsOf, shrinkOf } from '@yellow-pane/core/reading';
import { RULES } from '@yellow-pane/core/rules';
import { clockDigits } from '@yellow-pane/core/fitting';
import { partsOnGlass } from '../../curved/parts-on-glass';
import { Device } from '../../device/device';
import type { GunWay } from '../../drawing/gun-path';
import { ShrinkPicture } from '../../drawing/shrink-picture';
import { JobReading } from '../../job/job-reading';
import { fitWords } from '../../words/fit';
import { shrinkWords } from '../../words/shrink';
import { FitDesk } from './fit-desk';
import { FoldSigns } from './fold-signs';

/** How the gun goes, by the way that is followed. */
const GUN_OF_WAY: Readonly<Record<string, GunWay>> = {
  'fold by fold': 'circles',
  tug: 'circles and pull',
  'one sweep': 'sweep',
  'two passes': 'sweep',
  'thick film, open edge first': 'flanks',
};

/**
 * The curved pane as the fitter stands before it now: what is needed where, the line, the folds in their
 * turn; the fold in hand lit, with what to look for.
 */
@Component({
  selector: 'yp-shrink-here',
  imports: [FoldSigns, ShrinkPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (plan(); as own) {
      @if (again(); as says) {
        <p class="text-xl leading-snug border-l-8 border-ink pl-3 mb-2">{{ says }}</p>
      }
      <div
        class="grid gap-x-4 gap-y-1 items-start"
        [class]="fold() === undefined ? '' : 'lg:grid-cols-2 lg:grid-rows-[auto_1fr]'"
      >
        @if (fold(); as now) {
          <p
            class="text-3xl max-xl:text-2xl font-semibold leading-tight lg:col-start-2 lg:row-start-1"
            role="status"
          >
            {{ now.heading }}
          </p>
        }
        <div class="lg:col-start-1 lg:row-start-1 lg:row-span-2">
          <yp-shrink-picture
            [plan]="own"
            [isTurned]="isTurned()"
            [parts]="parts()"
            [turn]="turn()"
            [down]="down()"
            [gun]="gun()"
            [says]="caption()"
            [isPowdered]="isPowdered()"
            [isSmall]="true"
          />
          <p class="leading-snug">{{ caption() }}</p>
          <p class="leading-snug">
            {{ words.lineIsAt }} <span class="figure font-semibold text-lg">{{ heights() }}</span>
          </p>
        </div>
        @if (fold(); as now) {
          <div class="lg:col-start-2 lg:row-start-2">
            <p class="text-xl leading-snug font-semibold">{{ now.time }}</p>
            <p class="text-xl leading-snug">
              {{ now.how }} {{ isPowdered() ? words.onPowder : words.onWater }}
            </p>
            <p class="leading-snug figure">{{ now.sizes }}</p>
            <p class="leading-snug">{{ words.foldTimeFrom }}</p>
            <yp-fold-signs class="mt-2" [isThick]="isThick()" />
            @if (!isLocked()) {
              <div class="grid grid-cols-2 gap-2 mt-2">
                <button
                  type="button"
                  class="act min-h-14 text-lg justify-center"
                  [class.!border-2]="now.said === 'pops up'"
                  [attr.aria-pressed]="now.said === 'pops up'"
                  (click)="say('pops up')"
                >
                  {{ words.popsUp }}
                </button>
                <button
                  type="button"
                  class="act min-h-14 text-lg justify-center"
                  [class.!border-2]="now.said === 'too hot'"
                  [attr.aria-pressed]="now.said === 'too hot'"
                  (click)="say('too hot')"
                >
                  {{ words.tooHot }}
                </button>
              </div>
            }
            @if (now.said === 'too hot') {
              <p class="text-xl leading-snug text-stop font-semibold mt-1" role="alert">
                {{ words.tooHotSays }}
              </p>
            }
            @if (now.said === 'pops up') {
              <p class="text-xl leading-snug mt-1" role="status">{{ words.popsUpSays }}</p>
            }
          </div>
        }
      </div>
    }
  `,
  host: { class: 'block' },
})
export class ShrinkHere {
  protected readonly words = shrinkWords;
  readonly #desk = inject(FitDesk);
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  /** Only 'done' is pressed: what a fold did is said afterwards. */
  readonly isLocked = input(false);
  readonly #step = this.#desk.current;
  protected readonly plan = computed(() => {
    const application = this.#desk.application();
    if (application === undefined) return undefined;
    const today = shrinkOf(this.#reading.view(), application);
    return today.kind === 'plan' ? today.plan : undefined;
  });
  protected readonly parts = computed(() =>
    partsOnGlass(this.#reading.partsOf(this.#desk.surface()?.id ?? '')),
  );
  /** The side one stands on now. */
  readonly #side = computed(() =>
    this.#step()?.standsOutside === true ? 'outside' : (this.#desk.application()?.side ?? 'outside'),
  );
  protected readonly isTurned = computed(() => this.#desk.surface()?.seenFrom !== this.#side());
  readonly #schools = computed(() => {
    const application = this.#desk.application();
    return application === undefined ? [] : schoolsOf(this.#reading.view(), application);
  });
  readonly #way = computed(() => this.#schools().find(({ key }) => key === 'shrink')?.value);
  protected readonly isPowdered = computed(
    () => this.#isHot() && this.#schools().find(({ key }) => key === 'shrinkOn')?.value === 'soap powder',
  );
  protected readonly isThick = computed(() => GUN_OF_WAY[this.#way() ?? ''] === 'flanks');
  readonly #isHot = computed(() => this.#step()?.skill === 'heat' && this.#step()?.standsOutside === true);
  readonly #heatsFolds = computed(
    () => this.#step()?.heatsFolds === true && (this.plan()?.order.folds.length ?? 0) > 0,
  );
  protected readonly turn = computed(() =>
    this.#heatsFolds() && this.#desk.record()?.doneAt == null ? this.#desk.rounds() + 1 : 0,
  );
  /** Folds that are down: all of them once a step that heats them is done. */
  protected readonly down = computed<ReadonlySet<number>>(() => {
    const count = this.plan()?.order.folds.length ?? 0;
    const heated = this.#desk.steps().find(({ heatsFolds }) => heatsFolds);
    const record = heated && this.#desk.records().get(heated.step);
    const done = record === undefined ? 0 : record.doneAt === null ? record.roundsAt.length : count;
    return new Set(Array.from({ length: done }, (_, index) => index + 1));
  });
  protected readonly gun = computed<GunWay>(() =>
    this.#isHot() && !(this.#heatsFolds() && this.turn() === 0)
      ? (GUN_OF_WAY[this.#way() ?? ''] ?? 'none')
      : 'none',
  );
  protected readonly fold = computed(() => {
    const plan = this.plan();
    const turn = this.turn();
    const own = plan?.order.folds.find((fold) => fold.turn === turn);
    if (plan === undefined || own === undefined) return undefined;
    const all = plan.order.folds.length;
    const { least, most } = RULES.shrinkDoorPane;
    return {
      heading: shrinkWords.foldInHand(turn, all, own.edge),
      how: this.isThick() ? shrinkWords.foldHowThick : shrinkWords.foldHow(this.#length(150)),
      time: shrinkWords.foldTime(Math.round(least / all), Math.round(most / all), this.#onIt()),
      sizes: shrinkWords.foldSizes(
        this.#length(plan.own[own.edge].folds.base_mm),
        this.#length(plan.own[own.edge].folds.height_mm),
        own.length_mm === null ? shrinkWords.asPinched : this.#length(own.length_mm),
      ),
      said: this.#desk.record()?.foldsSaid[turn - 1] ?? null,
    };
  });
  /** Folds that popped up while they were heated: looked at first, when it is tried from outside. */
  protected readonly again = computed(() => {
    if (this.#step()?.step !== 'test-outside') return undefined;
    const said =
      [...this.#desk.records().values()].find(({ foldsSaid }) => foldsSaid.length > 0)?.foldsSaid ?? [];
    const turns = said.flatMap((own, index) => (own === 'pops up' ? [index + 1] : []));
    return turns.length === 0 ? undefined : shrinkWords.lookFirst(turns.join(', '));
  });
  protected readonly caption = computed(() => fitWords.seenAt(this.#side()));
  protected readonly heights = computed(() => {
    const [plan, surface] = [this.plan(), this.#desk.surface()];
    if (plan === undefined || surface === undefined) return '';
    const { left, middle, right } = lineSeenFrom(plan, surface, this.#side());
    return [left, middle, right].map((mm) => this.#length(mm)).join(' · ');
  });

  protected say(said: FoldSaid): void {
    this.#desk.sayOfFold(said);
  }

  readonly #length = (mm: number): string => formatLengthWithUnit(nmFromMm(Math.round(mm)), this.#units());

  /** How long this fold has been in hand; empty: it has not been begun. */
  #onIt(): string {
    const { roundsAt = [], startedAt = null } = this.#desk.record() ?? {};
    const from = roundsAt.at(-1) ?? startedAt;
    return from === null ? '' : clockDigits(this.#desk.now_ms() - Date.parse(from));
  }
}
