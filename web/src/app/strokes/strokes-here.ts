import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import { SEEN_FROM, strokeNoteWords, strokeReasonWords } from '@yellow-pane/contracts/words';
import type { RowOf } from '@yellow-pane/core/job';
import { type Reasoned, formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import type { StrokeMoment } from '@yellow-pane/core/reading';
import {
  type Spot,
  type StrokeReason,
  boundsOf,
  lengthOf,
  motionOf,
  startOf,
} from '@yellow-pane/core/strokes';
import { Device } from '../device/device';
import { type StrokeGrip, StrokePicture } from '../drawing/stroke-picture';
import { type Fact, type FactChange, Facts } from '../fields/facts';
import { JobReading } from '../job/job-reading';
import { Figure } from '../ui/figure';
import { MOTIONS, NO_STROKES, STROKE_PARTS, strokeWords } from '../words/strokes';
import { StrokePlanning } from './stroke-planning';

const STEP_MM = 10;
const SMALL_STEP_MM = 1;
/** A stroke of the picture takes so long, ms. */
const PLAYED_MS = 420;
const ARROWS: Readonly<Record<string, Spot>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: 1 },
  ArrowDown: { x: 0, y: -1 },
};

/**
 * The strokes of a step: as a drawing that can be played, with what is found of them; changed on the drawing
 * or by keys.
 */
@Component({
  selector: 'yp-strokes-here',
  imports: [Facts, Figure, StrokePicture],
  providers: [StrokePlanning],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './strokes-here.html',
  host: { class: 'block' },
})
export class StrokesHere {
  protected readonly words = strokeWords;
  protected readonly parts = STROKE_PARTS;
  protected readonly noStrokes = NO_STROKES;
  protected readonly planning = inject(StrokePlanning);
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly application = input.required<RowOf<'application'>>();
  readonly moment = input.required<StrokeMoment>();
  /** Of several sheets, counted from 1. */
  readonly sheet = input(1);
  readonly tag = input.required<string>();
  /** Only looked at: under wet hands nothing is changed. */
  readonly isLocked = input(false);
  /** Others make room while strokes are changed. */
  readonly editing = output<boolean>();
  protected readonly isEditing = linkedSignal<string, boolean>({
    source: () => `${this.application().id} ${this.moment()}`,
    computation: () => false,
  });
  protected readonly isDrawing = signal(false);
  protected readonly grip = signal<StrokeGrip>('whole');
  protected readonly grips = [
    { grip: 'whole', word: strokeWords.gripWhole },
    { grip: 'start', word: strokeWords.gripStart },
    { grip: 'end', word: strokeWords.gripEnd },
  ] as const;
  protected readonly ceil = Math.ceil;
  protected readonly isStill = matchMedia('(prefers-reduced-motion: reduce)').matches;
  protected readonly played = signal<number | undefined>(undefined);
  protected readonly isPlaying = signal(false);
  protected readonly unit = computed(() => this.#reading.job()?.entryUnit ?? 'mm');
  protected readonly facts: readonly Fact[] = [
    { key: 'blade_nm', kind: 'length', word: strokeWords.blade },
    { key: 'overlap_nm', kind: 'length', word: strokeWords.lap },
  ];
  protected readonly values = computed(() => {
    const own = this.planning.own();
    const tool = own?.asked.tool;
    return {
      version: own?.row?.version ?? 0,
      blade_nm: tool === undefined ? null : nmFromMm(tool.blade_mm),
      overlap_nm: tool === undefined ? null : nmFromMm(Math.round(tool.overlap_mm * 10) / 10),
    };
  });
  protected readonly count = computed(() => this.planning.judged()?.strokes.length ?? 0);
  protected readonly says = computed(() => {
    const [judged, own] = [this.planning.judged(), this.planning.own()];
    if (judged === undefined || own === undefined) return '';
    return this.moment() === 'lock'
      ? strokeWords.lockOf(this.tag(), judged.strokes.length)
      : strokeWords.strokesOf(this.tag(), judged.strokes.length, this.#percent(judged.coverage.share));
  });
  protected readonly under = computed(() => {
    const own = this.planning.own();
    if (own === undefined) return '';
    return [
      strokeWords.seenFrom(SEEN_FROM[own.stands]),
      ...(own.sheet.of > 1 ? [strokeWords.sheetOf(own.sheet.number, own.sheet.of)] : []),
    ].join(' · ');
  });
  protected readonly strip = computed(() => {
    const own = this.planning.own();
    return own === undefined || own.inset_mm === 0 ? '' : strokeWords.untrimmed(this.#length(own.inset_mm));
  });
  protected readonly passes = computed(() => {
    const own = this.planning.own();
    if (own === undefined || own.asked.isDry || this.moment() === 'lock') return '';
    return this.moment() === 'hard pass' ? strokeWords.secondPass : strokeWords.lightThenHard;
  });
  protected readonly notes = computed(() =>
    this.moment() === 'lock'
      ? []
      : this.planning.notes().map((note) => ({
          case: note.case,
          says: strokeNoteWords(note, this.#units()),
          isWrong: note.case !== 'all pressed' && note.case !== 'finished',
        })),
  );
  protected readonly figures = computed(() => {
    const [own, figures, judged] = [this.planning.own(), this.planning.figures(), this.planning.judged()];
    if (own === undefined || figures === undefined || judged === undefined || this.moment() === 'lock')
      return [];
    const lanes = new Set(
      judged.strokes.filter(({ part }) => part === 'lane').map((stroke) => startOf(stroke).y.toFixed(3)),
    ).size;
    return [
      { label: strokeWords.share, value: this.#percent(figures.share.value), why: figures.share.why },
      {
        label: strokeWords.onePass,
        value: strokeWords.minutes((figures.time_s.value / 60).toFixed(1)),
        why: figures.time_s.why,
      },
      ...(own.asked.way === 'lanes'
        ? [
            {
              label: strokeWords.lanes(lanes),
              value: String(figures.leastLanes.value),
              why: figures.leastLanes.why,
            },
          ]
        : []),
      ...(figures.detour === undefined || own.asked.isDry
        ? []
        : [
            {
              label: strokeWords.detour,
              value: strokeWords.times(figures.detour.value.toFixed(1)),
              why: figures.detour.why,
            },
          ]),
      {
        label: strokeWords.lapIs,
        value: this.#length(Math.round(own.asked.tool.overlap_mm)),
        why: own.hand.lap?.why ?? [],
      },
      {
        label: strokeWords.lineChance,
        value: this.#percent(own.lineChance.value),
        why: own.lineChance.why,
      },
    ].filter(({ why }) => why.length > 0);
  });
  protected readonly hand = computed(() => {
    const own = this.planning.own();
    if (own === undefined) return '';
    const { wander_mm, wanderOf } = own.hand;
    return wanderOf === undefined
      ? strokeWords.handGuess(this.#length(wander_mm))
      : strokeWords.handIs(this.#length(wander_mm), wanderOf);
  });
  protected readonly reasons = computed(() =>
    (this.planning.own()?.reasons ?? []).map((reason) => ({
      says: strokeReasonWords(reason, this.#units()),
      figure: this.#figureOf(reason),
    })),
  );
  protected readonly list = computed(() =>
    (this.planning.judged()?.strokes ?? []).map((stroke, index) => ({
      key: stroke.key,
      number: index + 1,
      part: [STROKE_PARTS[stroke.part], MOTIONS[motionOf(stroke.part, this.planning.own()?.squeegee)]]
        .filter((word) => word !== '')
        .join(', '),
      length: this.#length(Math.round(lengthOf(stroke))),
    })),
  );
  protected readonly pickedOne = computed(() =>
    this.list().find(({ key }) => key === this.planning.picked()),
  );

  constructor() {
    effect(() => {
      this.planning.for.set({ application: this.application(), moment: this.moment(), sheet: this.sheet() });
    });
    inject(DestroyRef).onDestroy(() => {
      this.isPlaying.set(false);
    });
  }

  protected play(): void {
    if (this.isPlaying()) {
      this.isPlaying.set(false);
      return;
    }
    this.isPlaying.set(true);
    const begun = this.played() ?? 0;
    const from = begun >= this.count() ? 0 : begun;
    let since: number | undefined;
    const frame = (now: number): void => {
      if (!this.isPlaying()) return;
      since ??= now;
      const at = from + (now - since) / PLAYED_MS;
      this.played.set(Math.min(this.count(), at));
      if (at < this.count()) requestAnimationFrame(frame);
      else this.isPlaying.set(false);
    };
    requestAnimationFrame(frame);
  }

  /** To a number of strokes by hand; 0: all of them, not played. */
  protected playTo(done: number): void {
    this.isPlaying.set(false);
    this.played.set(done === 0 ? undefined : done);
  }

  protected edit(): void {
    this.isEditing.update((isEditing) => !isEditing);
    this.editing.emit(this.isEditing());
    this.isDrawing.set(false);
    this.playTo(0);
  }

  /** Once more without a hand on the drawing: a stroke across the middle, to be moved by keys. */
  protected draw(): void {
    const own = this.planning.own();
    if (!this.isDrawing() || own === undefined) {
      this.isDrawing.set(true);
      return;
    }
    const { left, right, bottom, top } = boundsOf(own.asked.face);
    const y = (bottom + top) / 2;
    this.drew({ from: { x: left, y }, to: { x: right, y } });
  }

  protected drew({ from, to }: { readonly from: Spot; readonly to: Spot }): void {
    this.isDrawing.set(false);
    if (Math.hypot(to.x - from.x, to.y - from.y) >= STEP_MM) this.planning.draw(from, to);
  }

  protected moveBy(event: KeyboardEvent): void {
    const way = ARROWS[event.key];
    if (way === undefined) return;
    event.preventDefault();
    const by = event.shiftKey ? SMALL_STEP_MM : STEP_MM;
    this.planning.settle(this.grip(), { x: way.x * by, y: way.y * by });
  }

  protected set({ key, value }: FactChange): void {
    const length = typeof value === 'number' ? value : null;
    this.planning.change({ [key]: length }, key === 'blade_nm' ? strokeWords.bladeSaid : strokeWords.lapSaid);
  }

  #figureOf(
    reason: StrokeReason,
  ): { readonly label: string; readonly value: string; readonly why: Reasoned<number>['why'] } | undefined {
    if (reason.case === 'passes')
      return { label: strokeWords.passesPay, value: String(reason.pay.value), why: reason.pay.why };
    if (reason.case === 'grain')
      return {
        label: strokeWords.grainLooks,
        value: this.#length(Math.round(reason.wide_mm.value * 10) / 10),
        why: reason.wide_mm.why,
      };
    return undefined;
  }

  readonly #length = (mm: number): string => formatLengthWithUnit(nmFromMm(mm), this.#units());

  /** Never rounded up to all of it. */
  readonly #percent = (share: number): string => {
    const rounded = Math.round(share * 1000) / 10;
    return `${rounded >= 100 && share < 1 - 1e-9 ? '99.9' : rounded} %`;
  };
}
