import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { skylineOf, sunTrack } from '@yellow-pane/core/climate';
import type { HorizonPoint, RowOf } from '@yellow-pane/core/job';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { placesOutwards } from '@yellow-pane/core/reading';
import { Selection } from '../../shell/selection';
import { dayWords } from '../../words/day';
import { Planning } from './planning';

/**
 * In units of the drawing; on a phone it is as high but narrower, so that a corner is large enough for a
 * finger.
 */
const WIDE = 1000;
const WIDE_ON_PHONE = 480;
const PHONE = '(max-width: 700px)';
const HIGH = 260;
const BASE = 226;
/** Degrees shown either side of the middle, and above the level. */
const ASIDE_DEG = 120;
const LEAST_TOP_DEG = 40;
const EVERY_MIN = 10;
const WINDS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;

interface Corner extends HorizonPoint {
  readonly x: number;
  readonly y: number;
}

/**
 * What stands far off in the sun's way, as one stands before the surface with one's back to it: the day's sun
 * crosses the drawing, the skyline is drawn into it by hand or sighted figure by figure.
 */
@Component({
  selector: 'yp-skyline-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './skyline-view.html',
  host: { class: 'block' },
})
export class SkylineView {
  protected readonly words = dayWords;
  readonly #planning = inject(Planning);
  readonly #selection = inject(Selection);
  readonly #reading = inject(JobReading);
  readonly #desk = inject(JobDesk);
  private readonly field = viewChild<ElementRef<SVGSVGElement>>('field');
  /** The corners while one is dragged; kept when it is dropped. */
  readonly #held = signal<readonly HorizonPoint[] | undefined>(undefined);
  protected readonly picked = signal<number | undefined>(undefined);
  protected readonly fault = signal<string | undefined>(undefined);
  #isDragging = false;
  protected readonly wide = matchMedia(PHONE).matches ? WIDE_ON_PHONE : WIDE;

  readonly #chain = computed(() => {
    const surface = this.#selection.surface();
    return surface === undefined || this.#reading.places().length === 0
      ? []
      : placesOutwards(this.#reading.view(), surface.placeId);
  });
  /** The place whose skyline counts: the nearest that has one, else the one the surface hangs in. */
  protected readonly place = computed<RowOf<'place'> | undefined>(
    () => this.#chain().find(({ horizon }) => horizon.length > 0) ?? this.#chain()[0],
  );
  readonly #bearing = computed(
    () => this.#chain().find(({ bearing_deg }) => bearing_deg !== null)?.bearing_deg ?? 180,
  );
  readonly #points = computed(() => this.#held() ?? this.place()?.horizon ?? []);
  protected readonly corners = computed<readonly Corner[]>(() =>
    this.#points()
      .map((point) => ({ ...point, x: this.#x(point.bearing_deg), y: this.#y(point.elevation_deg) }))
      .filter(({ x }) => x >= 0 && x <= this.wide),
  );
  protected readonly pickedCorner = computed(() =>
    this.#points().find(({ bearing_deg }) => bearing_deg === this.picked()),
  );

  readonly #day = computed(() => {
    const at = this.#chain().find(
      ({ latitude_deg, longitude_deg }) => latitude_deg !== null && longitude_deg !== null,
    );
    if (at?.latitude_deg == null || at.longitude_deg === null) return [];
    const clock = this.#planning.clock();
    const starts = clock.dayStarts;
    const [from, to] = [starts[this.#planning.day()] ?? 0, starts[this.#planning.day() + 1] ?? 1440];
    const track = sunTrack(
      { latitude_deg: at.latitude_deg, longitude_deg: at.longitude_deg, altitude_m: at.altitude_m ?? 0 },
      clock.from_ms + from * 60_000,
      clock.from_ms + to * 60_000,
    );
    return Array.from({ length: Math.floor((to - from) / EVERY_MIN) }, (_, step) => {
      const minute = from + step * EVERY_MIN;
      return {
        minute: minute - from,
        word: clock.hour(minute),
        ...track.at(clock.from_ms + minute * 60_000),
      };
    }).filter(({ altitude_deg }) => altitude_deg > 0);
  });
  /** Chosen so that the day's sun and the skyline stay in the drawing. */
  readonly #top = computed(() =>
    Math.min(
      90,
      Math.ceil(
        Math.max(
          LEAST_TOP_DEG,
          ...this.#day().map(({ altitude_deg }) => altitude_deg + 8),
          ...(this.place()?.horizon ?? []).map(({ elevation_deg }) => elevation_deg + 8),
        ) / 10,
      ) * 10,
    ),
  );
  protected readonly levels = computed(() =>
    Array.from({ length: this.#top() / 10 }, (_, index) => ({
      y: this.#y(index * 10),
      word: `${index * 10}°`,
    })),
  );
  protected readonly winds = computed(() =>
    WINDS.map((word, index) => ({ word, x: this.#x(index * 45) })).filter(
      ({ x }) => x > 10 && x < this.wide - 10,
    ),
  );
  protected readonly sun = computed(() => {
    const skyline = skylineOf(this.#points());
    const on = this.#day()
      .map((moment) => ({
        ...moment,
        x: this.#x(moment.azimuth_deg),
        y: this.#y(moment.altitude_deg),
        isLit:
          Math.abs(turn(moment.azimuth_deg - this.#bearing())) < 90 &&
          moment.altitude_deg > skyline.at(moment.azimuth_deg),
      }))
      .filter(({ x }) => x >= -40 && x <= this.wide + 40);
    const lit: string[] = [];
    on.forEach(({ x, y, isLit }, index) => {
      if (isLit) {
        const last = lit.length - 1;
        if (on[index - 1]?.isLit === true && last >= 0) lit[last] = `${lit[last] ?? ''}L${x} ${y}`;
        else lit.push(`M${x} ${y}`);
      }
    });
    return {
      path: on.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x} ${y}`).join(''),
      lit,
      hours: on
        .filter(({ minute }) => minute % 60 === 0)
        .map(({ x, y, word }) => ({ x, y, word: word.slice(0, 2) })),
    };
  });
  protected readonly ground = computed(() => {
    if (this.#points().length === 0) return '';
    const skyline = skylineOf(this.#points());
    const over = Array.from(
      { length: 2 * ASIDE_DEG + 1 },
      (_, index) => (this.#bearing() - ASIDE_DEG + index + 360) % 360,
    );
    const exact = [
      ...over.map((bearing, index) => ({
        x: (this.wide * index) / (2 * ASIDE_DEG),
        y: this.#y(skyline.at(bearing)),
      })),
      ...this.corners(),
    ].sort((a, b) => a.x - b.x);
    return `M0 ${BASE}${exact.map(({ x, y }) => `L${x} ${Math.min(BASE, y)}`).join('')}L${this.wide} ${BASE}z`;
  });

  protected add(event: PointerEvent): void {
    const at = this.#under(event);
    if (at === undefined) return;
    this.#change([...this.#points().filter(({ bearing_deg }) => bearing_deg !== at.bearing_deg), at]);
    this.#begin(event, at.bearing_deg);
  }

  protected take(event: PointerEvent, bearing_deg: number): void {
    event.stopPropagation();
    this.#held.set(this.#points());
    this.#begin(event, bearing_deg);
  }

  protected drag(event: PointerEvent): void {
    const at = this.#isDragging ? this.#under(event) : undefined;
    if (at !== undefined) this.#move(this.picked(), at);
  }

  protected drop(): void {
    if (!this.#isDragging) return;
    this.#isDragging = false;
    this.#keep();
  }

  protected key(event: KeyboardEvent, corner: HorizonPoint): void {
    const [aside = 0, up = 0] =
      { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key] ?? [];
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      this.remove();
      return;
    }
    if (aside === 0 && up === 0) return;
    event.preventDefault();
    this.#held.set(this.#points());
    this.#move(corner.bearing_deg, {
      bearing_deg: (corner.bearing_deg + aside + 360) % 360,
      elevation_deg: Math.max(-10, Math.min(90, corner.elevation_deg + up)),
    });
    this.#keep();
  }

  protected type(field: keyof HorizonPoint, text: string): void {
    const corner = this.pickedCorner();
    if (corner === undefined) return;
    const value = Number(text.trim().replace(',', '.'));
    const [least, most, word] =
      field === 'bearing_deg' ? [0, 359.9, dayWords.bearing] : [-10, 90, dayWords.heightOverLevel];
    if (text.trim() === '' || !(value >= least && value <= most)) {
      this.fault.set(`${word}: expected ${least} to ${most} degrees, got ${text === '' ? 'nothing' : text}.`);
      return;
    }
    this.#held.set(this.#points());
    this.#move(corner.bearing_deg, { ...corner, [field]: value });
    this.#keep();
  }

  protected remove(): void {
    this.#change(this.#points().filter(({ bearing_deg }) => bearing_deg !== this.picked()));
    this.picked.set(undefined);
    this.#keep();
  }

  #begin(event: PointerEvent, bearing_deg: number): void {
    this.picked.set(bearing_deg);
    this.#isDragging = true;
    this.field()?.nativeElement.setPointerCapture(event.pointerId);
  }

  #move(from: number | undefined, to: HorizonPoint): void {
    if (to.bearing_deg !== from && this.#points().some(({ bearing_deg }) => bearing_deg === to.bearing_deg))
      return;
    this.#change(this.#points().map((point) => (point.bearing_deg === from ? to : point)));
    this.picked.set(to.bearing_deg);
  }

  #change(points: readonly HorizonPoint[]): void {
    this.fault.set(undefined);
    this.#held.set([...points].sort((a, b) => a.bearing_deg - b.bearing_deg));
  }

  #keep(): void {
    const [place, horizon] = [this.place(), this.#held()];
    this.#held.set(undefined);
    if (place !== undefined && horizon !== undefined)
      this.#desk.do(dayWords.skylineOf(place.name), [this.#desk.set('place', place.id, { horizon })]);
  }

  #under({ clientX, clientY }: PointerEvent): HorizonPoint | undefined {
    const box = this.field()?.nativeElement.getBoundingClientRect();
    if (box === undefined || box.width === 0) return undefined;
    const [x, y] = [
      ((clientX - box.left) * this.wide) / box.width,
      ((clientY - box.top) * HIGH) / box.height,
    ];
    const bearing = Math.round(this.#bearing() + (x / this.wide - 0.5) * 2 * ASIDE_DEG);
    return {
      bearing_deg: (bearing + 720) % 360,
      elevation_deg: Math.max(-10, Math.min(90, Math.round(((BASE - y) / BASE) * this.#top() * 2) / 2)),
    };
  }

  #x(bearing_deg: number): number {
    return Math.round((0.5 + turn(bearing_deg - this.#bearing()) / (2 * ASIDE_DEG)) * this.wide * 10) / 10;
  }

  #y(elevation_deg: number): number {
    return Math.round((BASE - (elevation_deg / this.#top()) * BASE) * 10) / 10;
  }
}

/** An angle as a turn, −180 to 180. */
function turn(degrees: number): number {
  return ((((degrees + 180) % 360) + 360) % 360) - 180;
}
