import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { blankNoteWords } from '@yellow-pane/contracts/words';
import { type SeamWishes, allowanceFor, suitedMethods } from '@yellow-pane/core/cutting';
import type { CutMethod, Over } from '@yellow-pane/core/job';
import { type Outline, outlineBounds, outlineOfCheck } from '@yellow-pane/core/measure';
import { formatLength, formatLengthWithUnit, nmFromMm, parseReading } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { blankOf, seamOf } from '@yellow-pane/core/reading';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { Cutting } from './cutting';

type Side = 'top' | 'right' | 'bottom' | 'left';
const SIDES: readonly Side[] = ['top', 'right', 'bottom', 'left'];
const WIDE = 640;
const HIGH = 330;

/**
 * The blank of the selected surface on the surface itself: what is over on each side, where seams fall, in
 * which order drops are hung; and the choices behind it.
 */
@Component({
  selector: 'yp-blanks-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (here(); as at) {
      <figure class="pt-2">
        <svg
          [attr.viewBox]="'0 0 ' + wide + ' ' + high"
          class="w-full max-h-[46vh]"
          role="img"
          [attr.aria-label]="at.says"
        >
          @for (drop of at.drops; track drop.no) {
            <rect
              [attr.x]="drop.x"
              [attr.y]="drop.y"
              [attr.width]="drop.w"
              [attr.height]="drop.h"
              class="fill-film stroke-ink"
              fill-opacity="0.14"
              stroke-width="1.4"
            />
          }
          @if (at.sector) {
            <path [attr.d]="at.sector" class="fill-film stroke-ink" fill-opacity="0.14" stroke-width="1.4" />
          }
          <path [attr.d]="at.surface" class="fill-glass stroke-ink" fill-opacity="0.55" stroke-width="2.2" />
          @for (hole of at.holes; track $index) {
            <rect
              [attr.x]="hole.x"
              [attr.y]="hole.y"
              [attr.width]="hole.w"
              [attr.height]="hole.h"
              class="fill-board stroke-line-strong"
            />
          }
          @for (seam of at.seams; track $index) {
            <line
              [attr.x1]="seam.x1"
              [attr.y1]="seam.y1"
              [attr.x2]="seam.x2"
              [attr.y2]="seam.y2"
              class="stroke-stop"
              stroke-width="2.5"
              stroke-dasharray="9 5"
            />
            <text
              [attr.x]="seam.tx"
              [attr.y]="seam.ty"
              class="fill-ink figure text-[12px] max-md:text-[21px]"
              text-anchor="middle"
            >
              {{ seam.text }}
            </text>
          }
          @for (drop of at.drops; track drop.no) {
            <text
              [attr.x]="drop.x + drop.w / 2"
              [attr.y]="drop.y + drop.h / 2 - 8"
              text-anchor="middle"
              class="fill-ink font-bold text-[20px] max-md:text-[30px]"
            >
              {{ drop.word }}
            </text>
            <text
              [attr.x]="drop.x + drop.w / 2"
              [attr.y]="drop.y + drop.h / 2 + 12"
              text-anchor="middle"
              class="fill-ink figure text-[12px] max-md:text-[21px]"
            >
              <tspan dy="0.2em">{{ drop.wide }}</tspan>
              <tspan [attr.x]="drop.x + drop.w / 2" dy="1.3em">× {{ drop.high }}</tspan>
            </text>
          }
        </svg>
        <figcaption class="text-sm text-faint">{{ at.says }}</figcaption>
      </figure>
      @if (at.notes.length > 0) {
        <ul class="list-disc pl-5 mt-2 text-sm">
          @for (note of at.notes; track note) {
            <li>{{ note }}</li>
          }
        </ul>
      }
      <div class="grid grid-cols-2 gap-x-8 gap-y-4 mt-4 max-md:grid-cols-1">
        <label class="block"
          ><span class="font-semibold block">Cut as</span>
          <select class="field" (change)="chooseMethod($any($event.target).value)">
            @for (method of methods(); track method.method) {
              <option [value]="method.method" [selected]="method.method === at.application.method">
                {{ method.word }}
              </option>
            }
          </select>
          <span class="block text-sm text-faint mt-1">{{ at.reason }} {{ at.source }}.</span></label
        >
        <fieldset>
          <legend class="font-semibold">
            Over on each side{{ at.isOwn ? ', ' + at.isOwn : ', customary' }}
          </legend>
          <div class="grid grid-cols-4 gap-2">
            @for (side of at.sides; track side.side) {
              <label
                ><span class="block text-sm">{{ side.side }}</span
                ><input
                  class="field figure"
                  [value]="side.text"
                  (change)="setSide(side.side, $any($event.target))"
              /></label>
            }
          </div>
          @if (at.isOwn) {
            <button type="button" class="act act-quiet act-small underline" (click)="customary()">
              Back to the customary ones
            </button>
          }
          @if (fault(); as says) {
            <p class="text-stop font-semibold text-sm" role="alert">{{ says }}</p>
          }
        </fieldset>
        @if (at.isSeamed || at.hasRepeat) {
          <fieldset class="col-span-full grid grid-cols-4 gap-3 max-md:grid-cols-2">
            <legend class="font-semibold">Seams and pattern</legend>
            <label
              ><span class="block text-sm">Seam</span
              ><select class="field" (change)="setSeam({ kind: $any($event.target).value })">
                @for (kind of kinds; track kind) {
                  <option [value]="kind" [selected]="at.seam.kind === kind">{{ kind }}</option>
                }
              </select></label
            >
            <label
              ><span class="block text-sm">Drops</span
              ><select class="field" (change)="setSeam({ placing: $any($event.target).value })">
                @for (placing of placings; track placing) {
                  <option [value]="placing" [selected]="at.seam.placing === placing">{{ placing }}</option>
                }
              </select></label
            >
            <label
              ><span class="block text-sm">Pattern meets</span
              ><select
                class="field"
                [disabled]="!at.hasRepeat"
                (change)="setSeam({ match: $any($event.target).value })"
              >
                @for (match of matches; track match) {
                  <option [value]="match" [selected]="at.seam.match === match">{{ match }}</option>
                }
              </select></label
            >
            <label
              ><span class="block text-sm">First drop</span
              ><select
                class="field"
                [disabled]="!at.hasRepeat"
                (change)="setSeam({ firstDrop: $any($event.target).value })"
              >
                @for (first of firsts; track first) {
                  <option [value]="first" [selected]="at.seam.firstDrop === first">{{ first }}</option>
                }
              </select></label
            >
          </fieldset>
        }
      </div>
    } @else {
      <p class="m-auto p-8 text-faint">{{ nothing() }}</p>
    }
    <h2 class="font-bold mt-5">All blanks of {{ cutting.film()?.name }}</h2>
    <table class="w-full text-left max-md:text-sm">
      <thead class="text-sm text-faint">
        <tr>
          <th scope="col" class="font-normal">Piece</th>
          <th scope="col" class="font-normal">Cut as</th>
          <th scope="col" class="font-normal text-right">Width</th>
          <th scope="col" class="font-normal text-right">Height</th>
          <th scope="col" class="font-normal pl-4">Lies</th>
          <th scope="col" class="font-normal pl-4">Factory edge</th>
        </tr>
      </thead>
      <tbody>
        @for (blank of cutting.blanks(); track blank.key) {
          <tr class="border-t border-line" [class.bg-paper]="blank.surface?.id === selection.surface()?.id">
            <th scope="row" class="py-1">
              <button
                type="button"
                class="font-semibold underline underline-offset-2 min-h-8"
                (click)="selection.goToSurface(blank.application.surfaceId)"
              >
                {{ blank.word }}
              </button>
            </th>
            <td>{{ blank.application.method }}</td>
            <td class="figure text-right">{{ length(blank.blank.width_mm) }}</td>
            <td class="figure text-right">{{ length(blank.blank.height_mm) }}</td>
            <td class="pl-4 text-sm">{{ blank.blanks.whole.lies }}</td>
            <td class="pl-4 text-sm">{{ blank.blanks.whole.factoryEdge }}</td>
          </tr>
        }
      </tbody>
    </table>
    @if (cutting.missing().length > 0) {
      <p class="mt-3 font-semibold">Not ready yet</p>
      <ul class="list-disc pl-5">
        @for (line of cutting.missing(); track line) {
          <li>{{ line }}</li>
        }
      </ul>
    }
  `,
  host: { class: 'block flex-1 min-h-0 overflow-auto px-5 pb-4' },
})
export class BlanksView {
  protected readonly cutting = inject(Cutting);
  protected readonly selection = inject(Selection);
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly wide = WIDE;
  protected readonly high = HIGH;
  protected readonly kinds = ['lap over promoter', 'double cut', 'butt'] as const;
  protected readonly placings = ['equal drops', 'full width and strip'] as const;
  protected readonly matches = ['none', 'straight', 'half drop'] as const;
  protected readonly firsts = ['save film', 'centre the pattern'] as const;

  readonly #application = computed(() =>
    this.cutting.applications().find(({ surfaceId }) => surfaceId === this.selection.surface()?.id),
  );
  protected readonly methods = computed(() => {
    const surface = this.selection.surface();
    if (surface === undefined) return [];
    const suited = suitedMethods({
      kind: surface.kind,
      shape: surface.shape,
      family: this.cutting.film()?.family ?? 'solar',
    });
    const own = this.#application()?.method;
    return own === undefined || suited.some(({ method }) => method === own)
      ? suited
      : [allowanceFor(own), ...suited];
  });
  protected readonly nothing = computed(() => {
    const surface = this.selection.surface();
    const application = this.#application();
    if (surface === undefined) return 'Pick a surface on the left to see its blank.';
    if (application === undefined)
      return `${surface.tag} does not get ${this.cutting.film()?.name ?? 'this film'}.`;
    const today = blankOf(this.#reading.view(), application);
    return today.kind === 'none' ? `No blank for ${surface.tag}: ${today.reason}.` : '';
  });

  protected readonly here = computed(() => {
    const application = this.#application();
    const surface = this.selection.surface();
    if (application === undefined || surface === undefined) return undefined;
    const today = blankOf(this.#reading.view(), application);
    const check = this.#reading.checkOf(surface.id);
    const outline = outlineOfCheck(check);
    if (today.kind === 'none' || outline === undefined) return undefined;
    const { blanks } = today;
    const { whole } = blanks;
    const [total_w, total_h] = [whole.width_mm.value, whole.height_mm.value];
    const sector = blanks.blanks[0]?.sector;
    const [box_w, box_h] = sector === undefined ? [total_w, total_h] : [sector.width_mm, sector.height_mm];
    const scale = Math.min((WIDE - 20) / box_w, (HIGH - 40) / box_h);
    const [left, top] = [(WIDE - box_w * scale) / 2, (HIGH - box_h * scale) / 2 + 6];
    const bounds = outlineBounds(outline);
    const shift =
      sector === undefined
        ? { x: whole.sides.left_mm, y: whole.sides.top_mm }
        : { x: (box_w - bounds.width) / 2, y: (box_h - bounds.height) / 2 };
    const path = (points: Outline, dx: number, dy: number): string =>
      `${points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${(left + (x + dx) * scale).toFixed(1)} ${(top + (y + dy) * scale).toFixed(1)}`).join('')}Z`;
    const openings = 'figure' in check ? (check.figure.openings ?? []) : [];
    const seam = seamOf(this.#reading.view(), application);
    const allowance = allowanceFor(application.method);
    return {
      application,
      seam,
      reason: allowance.reason,
      source: whole.source.text,
      notes: blanks.notes.map((note) => blankNoteWords(note, this.#units())),
      isOwn:
        application.over !== null
          ? 'set for this one'
          : this.#reading.jobAllowanceOf(application.method) !== undefined
            ? 'set for this job'
            : undefined,
      isSeamed: blanks.blanks.length > 1,
      hasRepeat: (this.cutting.film()?.repeat_nm ?? null) !== null,
      says: `${surface.tag}: blank ${this.#with(total_w)} × ${this.#with(total_h)}${blanks.blanks.length > 1 ? `, ${blanks.blanks.length} drops, ${blanks.seams.kind}${blanks.seams.lap_mm > 0 ? `, lap ${this.#with(blanks.seams.lap_mm)}` : ''}` : ''}. Seen from ${surface.seenFrom}.`,
      surface: path(outline, shift.x - bounds.left, shift.y - bounds.top),
      sector: sector === undefined ? undefined : path(sector.outline, 0, 0),
      holes: openings.map(({ x, y, width, height }) => ({
        x: left + (x + whole.sides.left_mm) * scale,
        y: top + (y + whole.sides.top_mm) * scale,
        w: width * scale,
        h: height * scale,
      })),
      drops:
        sector !== undefined
          ? []
          : blanks.blanks.map((blank) => ({
              no: blank.drop,
              word: blank.of > 1 ? String(blank.drop) : '',
              wide: this.length(blank.width_mm),
              high: this.length(blank.height_mm),
              x: left + blank.left_mm * scale,
              y: top + blank.top_mm * scale,
              w: blank.width_mm * scale,
              h: blank.height_mm * scale,
            })),
      seams:
        blanks.seams.way === 'none' || sector !== undefined
          ? []
          : blanks.seams.at_mm.map((at) =>
              blanks.seams.way === 'upright'
                ? {
                    x1: left + at * scale,
                    x2: left + at * scale,
                    y1: top - 4,
                    y2: top + total_h * scale + 4,
                    tx: left + at * scale,
                    ty: top - 8,
                    text: this.length(at - whole.sides.left_mm),
                  }
                : {
                    x1: left - 4,
                    x2: left + total_w * scale + 4,
                    y1: top + at * scale,
                    y2: top + at * scale,
                    tx: left + total_w * scale + 4,
                    ty: top + at * scale - 6,
                    text: this.length(at - whole.sides.top_mm),
                  },
            ),
      sides: SIDES.map((side) => ({
        side,
        text: formatLength(nmFromMm(whole.sides[`${side}_mm`]), this.#units()),
      })),
    };
  });

  protected readonly length = (value_mm: number): string => formatLength(nmFromMm(value_mm), this.#units());
  readonly #with = (value_mm: number): string => formatLengthWithUnit(nmFromMm(value_mm), this.#units());

  protected chooseMethod(method: CutMethod): void {
    const application = this.#application();
    if (application !== undefined)
      this.#desk.do(`${this.selection.surface()?.tag ?? ''}: cut as ${method}`, [
        this.#desk.set('application', application.id, { method }),
      ]);
  }

  protected setSide(side: Side, field: { value: string }): void {
    const application = this.#application();
    if (application === undefined) return;
    const parsed = parseReading(field.value, this.#reading.job()?.entryUnit ?? 'mm', {
      least_mm: 0,
      most_mm: 500,
    });
    if (parsed.kind !== 'length') {
      this.fault.set(
        `Over at the ${side}: expected 0 to 500 mm, got “${field.value}”. The old value stays in use.`,
      );
      return;
    }
    this.fault.set(undefined);
    const customary = allowanceFor(application.method);
    const base = application.over ?? this.#reading.jobAllowanceOf(application.method);
    const over = Object.fromEntries(
      SIDES.map((own) => [
        `${own}_nm`,
        own === side ? parsed.value_nm : (base?.[`${own}_nm`] ?? nmFromMm(customary[`${own}_mm`])),
      ]),
    ) as unknown as Over;
    this.#desk.do(`${this.selection.surface()?.tag ?? ''}: ${side} ${field.value} over`, [
      this.#desk.set('application', application.id, { over }),
    ]);
  }

  protected customary(): void {
    const application = this.#application();
    const own = this.#reading.jobAllowanceOf(application?.method ?? '');
    if (application === undefined) return;
    if (application.over !== null)
      this.#desk.do(`${this.selection.surface()?.tag ?? ''}: customary allowances`, [
        this.#desk.set('application', application.id, { over: null }),
      ]);
    else if (own !== undefined)
      this.#desk.do(`${own.method}: customary allowances`, [this.#desk.remove('jobAllowance', own.id)]);
  }

  protected setSeam(change: Partial<SeamWishes>): void {
    const application = this.#application();
    if (application === undefined) return;
    const own = this.#reading.seamChoiceOf(application.id);
    const word = `${this.selection.surface()?.tag ?? ''}: ${Object.values(change).join(', ')}`;
    if (own !== undefined) this.#desk.do(word, [this.#desk.set('seamChoice', own.id, change)]);
    else
      this.#desk.do(word, [
        this.#desk.put('seamChoice', {
          applicationId: application.id,
          kind: null,
          placing: null,
          match: null,
          firstDrop: null,
          ...change,
        }),
      ]);
  }
}
