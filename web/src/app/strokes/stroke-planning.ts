import { Injectable, computed, effect, inject, linkedSignal, signal, untracked } from '@angular/core';
import {
  type RowOf,
  STROKES_AS_CALCULATED,
  type StrokeChanges,
  type StrokeSpot,
} from '@yellow-pane/core/job';
import { CoreError, nmFromMm } from '@yellow-pane/core/quantity';
import { type StrokeCase, type StrokeMoment, strokesOf } from '@yellow-pane/core/reading';
import {
  type JudgedStrokes,
  type Spot,
  type Stroke,
  type StrokesAsked,
  judgeStrokes,
  notesOf,
  strokeFigures,
  withChanges,
} from '@yellow-pane/core/strokes';
import { People } from '../catalogue/people';
import type { StrokeGrip } from '../drawing/stroke-picture';
import { JobDesk } from '../job/job-desk';
import { JobReading } from '../job/job-reading';
import { strokeWords } from '../words/strokes';
import { StrokesPool } from '../workers/strokes-pool';

/** Strokes as they were planned, and from what. */
interface Planned {
  readonly for: string;
  readonly asked: StrokesAsked;
  readonly strokes: readonly Stroke[];
}

interface StrokesFor {
  readonly application: RowOf<'application'>;
  readonly moment: StrokeMoment;
  readonly sheet: number;
}

/** The strokes of the film in hand, while one of them is dragged too, and what a person changes of them. */
@Injectable()
export class StrokePlanning {
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #pool = inject(StrokesPool);
  readonly #self = inject(People).self;
  readonly for = signal<StrokesFor | undefined>(undefined);
  readonly today = computed(() => {
    const own = this.for();
    if (own === undefined) return undefined;
    const { application, moment, sheet } = own;
    return strokesOf(this.#reading.view(), application, { moment, sheet, personId: this.#self()?.id });
  });
  readonly own = computed<StrokeCase | undefined>(() => {
    const today = this.today();
    return today?.kind === 'case' ? today.own : undefined;
  });
  /** By what the strokes are made from: a tick of another row makes no new plan. */
  readonly #askedKey = computed(() => JSON.stringify(this.own()?.asked ?? null));
  readonly #forKey = computed(() => {
    const own = this.for();
    return own === undefined ? '' : `${own.application.id} ${own.moment} ${own.sheet}`;
  });
  readonly #planned = signal<Planned | undefined>(undefined);
  /** While other strokes are being planned for the same, those before them stay. */
  readonly #shown = computed(() => {
    const planned = this.#planned();
    return planned?.for === this.#forKey() ? planned : undefined;
  });
  /** What cannot be planned, in the words of the refusal. */
  readonly fault = signal<string | undefined>(undefined);
  /** How far the picked stroke is just now from where it was. */
  readonly dragged = linkedSignal<
    string | undefined,
    { readonly grip: StrokeGrip; readonly by: Spot } | undefined
  >({
    source: () => this.picked(),
    computation: () => undefined,
  });
  readonly picked = linkedSignal<string | undefined, string | undefined>({
    source: () => this.for()?.application.id,
    computation: () => undefined,
  });
  readonly strokes = computed<readonly Stroke[] | undefined>(() => {
    const [own, shown] = [this.own(), this.#shown()];
    if (own === undefined || shown === undefined) return undefined;
    return this.for()?.moment === 'lock'
      ? shown.strokes.filter(({ part }) => part === 'lock')
      : withChanges(shown.strokes, own.changes, shown.asked.tool.blade_mm);
  });
  readonly judged = computed<JudgedStrokes | undefined>(() => {
    const [shown, strokes, dragged, picked] = [this.#shown(), this.strokes(), this.dragged(), this.picked()];
    if (shown === undefined || strokes === undefined) return undefined;
    const now =
      dragged === undefined
        ? strokes
        : strokes.map((stroke) =>
            stroke.key === picked ? movedBy(stroke, dragged.grip, dragged.by) : stroke,
          );
    return judgeStrokes(shown.asked, now);
  });
  readonly notes = computed(() => {
    const judged = this.judged();
    return judged === undefined ? [] : notesOf(judged);
  });
  readonly figures = computed(() => {
    const [own, shown, judged] = [this.own(), this.#shown(), this.judged()];
    return own === undefined || shown === undefined || judged === undefined
      ? undefined
      : strokeFigures(judged, shown.asked, own.hand.pace);
  });

  constructor() {
    effect(() => {
      const key = this.#askedKey();
      untracked(() => void this.#plan(key));
    });
  }

  async #plan(key: string): Promise<void> {
    const [own, of] = [this.own(), this.#forKey()];
    if (own === undefined) return;
    const isMeant = (): boolean => this.#askedKey() === key;
    try {
      const strokes = await this.#pool.strokes(own.asked);
      if (!isMeant()) return;
      this.fault.set(undefined);
      this.#planned.set({ for: of, asked: own.asked, strokes });
    } catch (refused) {
      if (isMeant()) this.fault.set(faultOf(refused));
    }
  }

  change(changes: Partial<StrokeChanges>, says: string): void {
    const [own, application] = [this.own(), this.for()?.application];
    if (own === undefined || application === undefined) return;
    const all: StrokeChanges = { ...STROKES_AS_CALCULATED, ...own.changes, ...changes };
    const inputsHash = own.faceHash;
    this.#desk.do(says, [
      own.row === undefined
        ? this.#desk.put('ownPlan', {
            applicationId: application.id,
            kind: 'stroke',
            changes: all,
            inputsHash,
          })
        : this.#desk.set('ownPlan', own.row.id, { changes: all, inputsHash }),
    ]);
  }

  reverse(key: string): void {
    const { reversed } = this.#changes();
    const isTurned = reversed.includes(key);
    this.change(
      { reversed: isTurned ? reversed.filter((own) => own !== key) : [...reversed, key] },
      strokeWords.reversedSaid(this.#numberOf(key)),
    );
  }

  /** Earlier or later by one. */
  shift(key: string, by: 1 | -1): void {
    const keys = (this.strokes() ?? []).map((stroke) => stroke.key);
    const at = keys.indexOf(key);
    const to = at + by;
    if (at < 0 || to < 0 || to >= keys.length) return;
    const order = keys.toSpliced(at, 1).toSpliced(to, 0, key);
    this.change({ order }, strokeWords.shiftedSaid(at + 1, to + 1));
  }

  leaveOut(key: string): void {
    const { left, drawn, order } = this.#changes();
    const number = this.#numberOf(key);
    this.picked.set(undefined);
    this.change(
      drawn.some((own) => own.key === key)
        ? {
            drawn: drawn.filter((own) => own.key !== key),
            order: order?.filter((own) => own !== key) ?? null,
          }
        : { left: [...left, key] },
      strokeWords.leftOutSaid(number),
    );
  }

  /** The picked stroke lies elsewhere now. */
  settle(grip: StrokeGrip, by: Spot): void {
    const picked = this.picked();
    const stroke = this.strokes()?.find(({ key }) => key === picked);
    this.dragged.set(undefined);
    if (picked === undefined || stroke === undefined || (by.x === 0 && by.y === 0)) return;
    const { moved, reversed, drawn } = this.#changes();
    const own = movedBy(stroke, grip, by);
    // Kept as it lies before it is led the other way.
    const path = (reversed.includes(picked) ? own.path.toReversed() : own.path).map(spotOf);
    const rest = moved.filter(({ key }) => key !== picked);
    this.change(
      drawn.some(({ key }) => key === picked)
        ? { drawn: drawn.map((before) => (before.key === picked ? { key: picked, path } : before)) }
        : { moved: [...rest, { key: picked, path }] },
      strokeWords.movedSaid(this.#numberOf(picked)),
    );
  }

  draw(from: Spot, to: Spot): void {
    const { drawn } = this.#changes();
    const number = 1 + Math.max(0, ...drawn.map(({ key }) => Number(key.split(' ').at(-1))));
    const key = `own ${number}`;
    this.change({ drawn: [...drawn, { key, path: [spotOf(from), spotOf(to)] }] }, strokeWords.drawnSaid);
    this.picked.set(key);
  }

  /** All as calculated again; blade, lap, halves and people stay. */
  startAnew(): void {
    const { reversed, left, moved, drawn, order } = STROKES_AS_CALCULATED;
    this.change({ reversed, left, moved, drawn, order }, strokeWords.asCalculatedSaid);
  }

  readonly isChanged = computed(() => {
    const { reversed, left, moved, drawn, order } = this.#changes();
    return reversed.length + left.length + moved.length + drawn.length > 0 || order !== null;
  });

  #changes(): StrokeChanges {
    return this.own()?.changes ?? STROKES_AS_CALCULATED;
  }

  #numberOf(key: string): number {
    return (this.strokes() ?? []).findIndex((stroke) => stroke.key === key) + 1;
  }
}

/** In the words of the refusal; what else goes wrong is no fault of what was asked. */
function faultOf(refused: unknown): string {
  if (!(refused instanceof CoreError)) throw refused;
  return refused.code === 'STROKES_LAP' ? strokeWords.lapTooWide : strokeWords.noFace(refused.data.expected);
}

const spotOf = ({ x, y }: Spot): StrokeSpot => ({
  x_nm: nmFromMm(Math.round(x * 10) / 10),
  y_nm: nmFromMm(Math.round(y * 10) / 10),
});

function movedBy(stroke: Stroke, grip: StrokeGrip, by: Spot): Stroke {
  const last = stroke.path.length - 1;
  const path = stroke.path.map((spot, index) =>
    grip === 'whole' || (grip === 'start' && index === 0) || (grip === 'end' && index === last)
      ? { x: spot.x + by.x, y: spot.y + by.y }
      : spot,
  );
  return { ...stroke, path };
}
