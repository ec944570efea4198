import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  afterNextRender,
  computed,
  effect,
  inject,
  untracked,
  viewChild,
} from '@angular/core';
import { CdkVirtualScrollViewport, ScrollingModule } from '@angular/cdk/scrolling';
import type { Outline } from '@yellow-pane/core/measure';
import { outlineBounds, outlineOfCheck } from '@yellow-pane/core/measure';
import { formatLength, mmFromNm, nmFromMm } from '@yellow-pane/core/quantity';
import { Device } from '../device/device';
import { JobDesk } from '../job/job-desk';
import { JobReading } from '../job/job-reading';
import { MiniOutline } from '../ui/mini-outline';
import { StateMark } from '../ui/state-mark';
import { shellWords } from '../words/shell';
import { ScheduleMarks } from './schedule-marks';
import { Selection } from './selection';
import { SurfaceStates } from './surface-state';

const DRAWN_PX = 31;

/** Every surface of the job as a small outline, to one common scale. How one moves in the whole program. */
const DIAGONALS = new Set(['tlbr', 'brtl', 'bltr', 'trbl']);

@Component({
  selector: 'yp-schedule',
  imports: [ScrollingModule, MiniOutline, StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="p-3 border-b border-line">
      <input
        #filter
        class="field"
        type="search"
        [placeholder]="words.findASurface"
        [attr.aria-label]="words.findSurface"
        aria-keyshortcuts="/"
        [value]="marks.filter()"
        (input)="marks.filterBy($any($event.target).value)"
        (keydown.arrowdown)="focusList($event)"
      />
      @if (marks.marked().length > 0) {
        <p class="mt-2 flex items-center justify-between text-sm">
          <span>{{ words.marked(marks.marked().length) }}</span><span>
            @if (marks.marked().length > 1) {
              <button type="button" class="act act-small" (click)="linkMarked()">
                {{ words.sameAsEachOther }}
              </button>
            }
            <button type="button" class="act act-small" (click)="marks.clear()">
              {{ words.unmarkAll }}
            </button></span
          >
        </p>
      }
    </div>
    <cdk-virtual-scroll-viewport
      itemSize="54"
      class="flex-1 min-h-0"
      role="listbox"
      tabindex="0"
      [attr.aria-label]="words.surfaces"
      aria-multiselectable="true"
      [attr.aria-activedescendant]="activeId()"
      (keydown)="walk($event)"
    >
      <div
        *cdkVirtualFor="let surface of found(); trackBy: byId; templateCacheSize: 0"
        role="option"
        [id]="'surface-' + surface.id"
        [attr.aria-selected]="surface.id === selection.surface()?.id || marks.markedIds().has(surface.id)"
        class="flex items-center gap-2 h-[54px] pl-2 pr-3 border-b border-line border-l-4 border-l-transparent hover:bg-board"
        [class.bg-paper]="surface.id === selection.surface()?.id"
        [class.!border-l-ink]="surface.id === selection.surface()?.id"
        (click)="choose(surface.id, $event)"
      >
        @let outline = outlineOf(surface.id);
        @let state = states.at(selection.stop(), surface.id);
        <yp-mini-outline [outline]="outline" [scale]="scale()" [disagrees]="surveyDisagrees(surface.id)" />
        <span class="min-w-0 flex-1">
          <span class="block font-semibold leading-tight truncate"
            ><yp-state-mark [shape]="state" class="mr-1.5 align-[-1px]" />{{ surface.tag }}
            @if (marks.markedIds().has(surface.id)) {
              <span class="ml-1 font-normal text-sm">{{ words.isMarked }}</span>
            }
          </span>
          <span class="block text-sm text-faint truncate leading-tight">{{
            surface.name || placeName(surface.placeId)
          }}</span>
        </span>
        <span class="figure text-sm text-right leading-tight whitespace-nowrap">
          @for (line of sizeLines(surface.id, outline); track $index) {
            <span class="block">{{ line }}</span>
          }
        </span>
      </div>
    </cdk-virtual-scroll-viewport>
    @if (found().length === 0 && reading.surfaces().length > 0) {
      <p class="p-3 text-faint">{{ words.noSurfaceMatches(marks.filter()) }}</p>
    }
  `,
  host: { class: 'flex flex-col min-h-0 h-full' },
})
export class Schedule {
  protected readonly words = shellWords;
  protected readonly reading = inject(JobReading);
  protected readonly selection = inject(Selection);
  protected readonly marks = inject(ScheduleMarks);
  protected readonly states = inject(SurfaceStates);
  readonly #units = inject(Device).units;
  readonly #desk = inject(JobDesk);
  private readonly viewport = viewChild.required(CdkVirtualScrollViewport);
  private readonly filterBox = viewChild.required<ElementRef<HTMLInputElement>>('filter');

  protected readonly found = computed(() => {
    const words = this.marks
      .filter()
      .toLowerCase()
      .split(/\s+/)
      .filter((word) => word !== '');
    if (words.length === 0) return this.reading.surfaces();
    return this.reading.surfaces().filter((surface) => {
      const text = `${surface.tag} ${surface.name} ${this.placeName(surface.placeId)}`.toLowerCase();
      return words.every((word) => text.includes(word));
    });
  });
  protected readonly activeId = computed(() =>
    this.selection.surface() === undefined ? null : `surface-${this.selection.surface()?.id ?? ''}`,
  );
  /** Pixels per millimetre so that the largest surface of the job fills its box. */
  protected readonly scale = computed(() => {
    let largest_mm = 1;
    for (const { id } of this.reading.surfaces()) {
      for (const { kind, fromPoint, toPoint, value_nm } of this.reading.measuresOf(id)) {
        if (kind === 'distance' && !DIAGONALS.has(`${fromPoint}${toPoint}`))
          largest_mm = Math.max(largest_mm, mmFromNm(value_nm));
      }
    }
    return DRAWN_PX / largest_mm;
  });

  constructor() {
    const show = (): void => {
      this.#show(this.found().findIndex(({ id }) => id === this.selection.surface()?.id));
    };
    effect(() => {
      this.found();
      this.selection.surface();
      untracked(show);
    });
    afterNextRender(() => {
      requestAnimationFrame(show);
    });
  }

  focusFilter(): void {
    this.filterBox().nativeElement.focus();
    this.filterBox().nativeElement.select();
  }

  protected byId(_index: number, surface: { readonly id: string }): string {
    return surface.id;
  }

  protected placeName(placeId: string): string {
    return this.reading.placeById().get(placeId)?.name ?? '';
  }

  protected outlineOf(surfaceId: string): Outline | undefined {
    return outlineOfCheck(this.reading.checkOf(surfaceId));
  }

  protected surveyDisagrees(surfaceId: string): boolean {
    return this.states.at('survey', surfaceId) === 'barred';
  }

  protected sizeLines(surfaceId: string, outline: Outline | undefined): readonly string[] {
    if (this.surveyDisagrees(surfaceId)) return ['measures', 'disagree'];
    if (outline === undefined) return ['–'];
    const { width, height } = outlineBounds(outline);
    return [
      formatLength(nmFromMm(Math.round(width)), this.#units()),
      formatLength(nmFromMm(Math.round(height)), this.#units()),
    ];
  }

  /** Links what is marked by hand: all are repeats of the first. */
  protected linkMarked(): void {
    const [lead, ...rest] = this.marks.marked();
    if (lead === undefined) return;
    this.#desk.do(
      shellWords.sameAs(rest.length, this.reading.surfaceById().get(lead)?.tag ?? ''),
      rest.map((id) => this.#desk.set('surface', id, { sameAsId: lead })),
    );
    this.marks.clear();
  }

  protected choose(surfaceId: string, event: MouseEvent): void {
    if (event.ctrlKey || event.metaKey || event.shiftKey) this.marks.toggle(surfaceId);
    else this.selection.goToSurface(surfaceId);
  }

  protected walk(event: KeyboardEvent): void {
    const found = this.found();
    const at = found.findIndex(({ id }) => id === this.selection.surface()?.id);
    const moves: Readonly<Record<string, number>> = {
      ArrowDown: at + 1,
      ArrowUp: Math.max(0, at - 1),
      Home: 0,
      End: found.length - 1,
      PageDown: at + 8,
      PageUp: at - 8,
    };
    const to = moves[event.key];
    if (to !== undefined) {
      event.preventDefault();
      const next = found[Math.min(found.length - 1, Math.max(0, to))];
      if (next !== undefined) this.selection.goToSurface(next.id);
    } else if (event.key === ' ') {
      event.preventDefault();
      const current = found[at];
      if (current !== undefined) this.marks.toggle(current.id);
    } else if (event.key.toLowerCase() === 'a' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      this.marks.mark(found.map(({ id }) => id));
    }
  }

  protected focusList(event: Event): void {
    event.preventDefault();
    this.viewport().elementRef.nativeElement.focus();
  }

  #show(at: number): void {
    const viewport = this.viewport();
    if (at < 0) return;
    const { start, end } = {
      start: Math.ceil(viewport.measureScrollOffset() / 54),
      end: Math.floor((viewport.measureScrollOffset() + viewport.getViewportSize()) / 54) - 1,
    };
    if (at < start || at > end) viewport.scrollToIndex(Math.max(0, at - 2));
  }
}
