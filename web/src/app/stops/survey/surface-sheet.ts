import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  DestroyRef,
  Injector,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
  viewChildren,
  afterNextRender,
} from '@angular/core';
import type { Figure, JointLine, MeasureSlot, Point } from '@yellow-pane/core/measure';
import type { LengthUnit } from '@yellow-pane/core/quantity';
import type { PartKind, MeasureKind, MeasurePoint, SeenFrom } from '@yellow-pane/core/job';
import { surveyWords } from '../../words/survey';
import { MeasureField } from './measure-field';
import { contoursOf } from '../../drawing/contours';
import { Looking } from './looking';
import { bubbleBeside } from '../../drawing/bubble';
import { drawingOf, pathOf, placesOf } from '../../drawing/drawing-geometry';

export interface SheetMeasure {
  readonly key: string;
  readonly kind: MeasureKind;
  readonly from: MeasurePoint;
  readonly to: MeasurePoint;
  readonly slot: MeasureSlot | undefined;
  readonly text: string;
  readonly fault: string | undefined;
  readonly isDraft: boolean;
  readonly isSuspect: boolean;
}

export interface SheetPin {
  readonly id: string;
  readonly kind: PartKind;
  readonly name: string;
  /** Millimetres of the surface. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const ON_A_PHONE = 420;
/** A field with the room it keeps about it. */
const FIELD = { wide: { width: 94, height: 36 }, phone: { width: 76, height: 36 } } as const;

/** The surface to scale with a field at every customary measure. The drawing is the interface. */
@Component({
  selector: 'yp-surface-sheet',
  imports: [MeasureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './surface-sheet.html',
  host: { class: 'flex flex-col grow shrink-0' },
})
export class SurfaceSheet {
  protected readonly words = surveyWords;
  readonly figure = input.required<Figure | undefined>();
  /** Drawn dashed while nothing is known. */
  readonly nominal = input.required<Figure>();
  readonly measures = input.required<readonly SheetMeasure[]>();
  readonly slots = input.required<readonly MeasureSlot[]>();
  readonly pins = input<readonly SheetPin[]>([]);
  readonly joints = input<readonly JointLine[]>([]);
  readonly isGlass = input(true);
  /** What the drawing shows, in words: tag, size and what is to be said of its measures. */
  readonly says = input('');
  readonly seenFrom = input.required<SeenFrom>();
  readonly lookFrom = input.required<SeenFrom>();
  readonly nextKey = input<string | undefined>(undefined);
  /** A bare figure counts in it. */
  readonly unit = input<LengthUnit>('mm');
  readonly hasPad = input(false);
  readonly hasMore = input(false);
  readonly extras = input(0);
  readonly isPinning = input(false);
  readonly typed = output<{ readonly key: string; readonly text: string }>();
  readonly left = output<string>();
  readonly reached = output<string>();
  readonly dropped = output<string>();
  readonly finished = output();
  readonly moreAsked = output();
  readonly pinned = output<Point>();

  private readonly sheetElement = viewChild.required<ElementRef<HTMLElement>>('sheet');
  private readonly fieldViews = viewChildren(MeasureField);
  protected readonly size = signal({ width: 690, height: 500 });
  readonly #looking = inject(Looking);
  readonly #shown = computed(() => this.figure() ?? this.nominal());
  readonly #drawing = computed(() => {
    const { width, height } = this.size();
    return drawingOf(
      this.#shown(),
      { width, height, marginX: width < ON_A_PHONE ? 94 : 106, marginY: 48 },
      { seenFrom: this.seenFrom(), lookFrom: this.lookFrom() },
    );
  });
  protected readonly shape = computed(() => pathOf(this.#drawing().outline));
  protected readonly jointPath = computed(() => {
    const { at } = this.#drawing();
    return this.joints()
      .map((line) => line.map(at))
      .map(([a, b]) => `M${a?.x.toFixed(1)} ${a?.y.toFixed(1)}L${b?.x.toFixed(1)} ${b?.y.toFixed(1)}`)
      .join('');
  });
  readonly #field = computed(() => (this.size().width < ON_A_PHONE ? FIELD.phone : FIELD.wide));
  readonly #fields = computed(() => {
    const places = placesOf(this.measures(), this.#drawing(), { ...this.size(), field: this.#field() });
    return this.measures().map((measure, index) => {
      return {
        ...measure,
        label: capital(this.#looking.word(this.slots(), measure)),
        how: measure.slot?.how ?? '',
        place: places[index],
      };
    });
  });
  protected readonly drawn = computed(() =>
    this.#fields().flatMap(({ place, ...field }) =>
      place?.field === undefined ? [] : [{ ...field, at: place.field }],
    ),
  );
  /** What is wrong with a field, beside it and over no other. */
  protected readonly bubbles = computed(() => {
    const sheet = { ...this.size(), field: this.#field() };
    return this.drawn().flatMap(({ key, fault, at }) => {
      if (fault === undefined) return [];
      const others = this.drawn().filter((other) => other.key !== key);
      const middles = others.map((other) => other.at);
      return [{ key, fault, ...bubbleBeside(at, fault, middles, sheet) }];
    });
  });
  /** Without a place of its own on the drawing, or without room there. */
  protected readonly beside = computed(() =>
    this.#fields().filter(({ place }) => place?.field === undefined),
  );
  protected readonly lines = computed(() =>
    this.#fields().flatMap(({ key, place, isSuspect }) => {
      if (place?.line === undefined) return [];
      const [start, end] = place.line;
      return [
        {
          key,
          isSuspect,
          isInner: place.isInner,
          path: `M${start.x.toFixed(1)} ${start.y.toFixed(1)}L${end.x.toFixed(1)} ${end.y.toFixed(1)}${place.isInner ? '' : ticks(start, end)}`,
        },
      ];
    }),
  );
  protected readonly contourLines = computed(() => {
    const figure = this.figure();
    return figure?.patch === undefined ? [] : contoursOf(figure.patch, figure.outline, this.#drawing().at);
  });
  protected readonly hasUnheatedStrip = computed(() => this.figure()?.patch !== undefined);
  /**
   * Film kept off the bottom seal and sides while shrinking: 25 mm of it drawn, both halves of the stroke.
   */
  protected readonly stripWidth = computed(() => 2 * 25 * this.#drawing().scale);
  protected readonly openings = computed(() =>
    (this.figure()?.openings ?? []).map(({ x, y, width, height, name }) => {
      const { at } = this.#drawing();
      return {
        name,
        at: at({ x: x + width / 2, y: y + height / 2 }),
        path: pathOf(
          [
            { x, y },
            { x: x + width, y },
            { x: x + width, y: y + height },
            { x, y: y + height },
          ].map(at),
        ),
      };
    }),
  );
  protected readonly pinMarks = computed(() =>
    this.pins()
      .filter(({ kind }) => kind !== 'opening' && kind !== 'furrow')
      .map((pin) => {
        const at = this.#drawing().at({ x: pin.x + pin.width / 2, y: pin.y + pin.height / 2 });
        return { ...pin, at, isRight: at.x > this.size().width / 2 };
      }),
  );
  protected readonly numbers = computed(() =>
    Object.entries(this.#drawing().points).flatMap(([name, at]) => {
      const number = /^p(\d+)$/.exec(name)?.[1];
      const middle = { x: this.size().width / 2, y: this.size().height / 2 };
      return number === undefined
        ? []
        : [{ name: number, at: { x: at.x + (middle.x - at.x) * 0.07, y: at.y + (middle.y - at.y) * 0.07 } }];
    }),
  );

  constructor() {
    const destroy = inject(DestroyRef);
    const injector = inject(Injector);
    // A box that moves between drawing and list is made anew: the hand that types in it goes with it.
    effect(() => {
      this.drawn();
      this.beside();
      const held = untracked(() => this.fieldViews().find((field) => field.isHeld()));
      if (held === undefined) return;
      const [key, caret] = [untracked(held.slot), held.caret()];
      afterNextRender(
        () => {
          if (document.activeElement === document.body)
            this.fieldViews()
              .find((field) => field.slot() === key)
              ?.resume(caret);
        },
        { injector },
      );
    });
    afterNextRender(() => {
      const sheet = this.sheetElement().nativeElement;
      const observer = new ResizeObserver(() => {
        this.size.set({ width: sheet.clientWidth, height: sheet.clientHeight });
      });
      observer.observe(sheet);
      destroy.onDestroy(() => {
        observer.disconnect();
      });
    });
  }

  focusField(key: string): void {
    this.fieldViews()
      .find((field) => field.slot() === key)
      ?.focus();
  }

  protected place(event: MouseEvent): void {
    if (!this.isPinning()) return;
    const { left, top } = this.sheetElement().nativeElement.getBoundingClientRect();
    this.pinned.emit(this.#drawing().from({ x: event.clientX - left, y: event.clientY - top }));
  }

  protected walk(key: string, way: 'next' | 'left' | 'right' | 'up' | 'down' | 'drop'): void {
    if (way === 'drop') {
      this.dropped.emit(key);
      return;
    }
    const order = this.measures();
    const index = order.findIndex((field) => field.key === key);
    if (way === 'next') {
      const next = order[index + 1];
      if (next === undefined) this.finished.emit();
      else this.focusField(next.key);
      return;
    }
    const views = this.fieldViews().map((view) => ({ view, ...view.middle() }));
    const here = views.find(({ view }) => view.slot() === key);
    if (here === undefined) return;
    const across = way === 'left' || way === 'right';
    const sign = way === 'left' || way === 'up' ? -1 : 1;
    const [next] = views
      .map(({ view, x, y }) => ({
        view,
        along: sign * (across ? x - here.x : y - here.y),
        aside: Math.abs(across ? y - here.y : x - here.x),
      }))
      .filter(({ along }) => along > 4)
      .sort((a, b) => a.along + 2 * a.aside - (b.along + 2 * b.aside));
    next?.view.focus();
  }
}

function ticks(start: Point, end: Point): string {
  const isUpright = Math.abs(end.x - start.x) < Math.abs(end.y - start.y);
  return [start, end]
    .map(({ x, y }) =>
      isUpright ? `M${(x - 6).toFixed(1)} ${y.toFixed(1)}h12` : `M${x.toFixed(1)} ${(y - 6).toFixed(1)}v12`,
    )
    .join('');
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
