import { formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { type ComparedSurface, sameAsGroups } from '@yellow-pane/core/measure';
import { Device } from '../../device/device';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { surveyWords } from '../../words/survey';

/**
 * Surfaces that repeat each other: found by their measures, or linked by hand. Measures stay each surface's
 * own.
 */
@Component({
  selector: 'yp-repeats-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details class="border-t border-line pt-2" (toggle)="isOpen.set($any($event.target).open)">
      <summary class="font-bold min-h-10 cursor-pointer">
        {{ group().length > 1 ? words.oneOf(group().length) : words.repeats }}
      </summary>
      @if (group().length > 1) {
        <p class="leading-relaxed">
          {{ words.sameAs }}
          @for (other of others(); track other.id) {
            <button
              type="button"
              class="underline underline-offset-2 mr-2"
              (click)="selection.goToSurface(other.id)"
            >
              {{ other.tag }}
            </button>
          }
        </p>
        <div class="flex flex-wrap gap-2 mt-1">
          @if (surface().sameAsId !== null) {
            <button type="button" class="act act-small" (click)="unlink()">
              {{ words.notSameAfterAll }}
            </button>
          }
          @if (canTakeOver()) {
            <button type="button" class="act act-small" (click)="takeOver()">
              {{ words.takeOverMeasures(group()[0]?.tag ?? '') }}
            </button>
          }
        </div>
      }
      <label class="flex items-center gap-2 mt-2"
        ><span>{{ words.alikeWithin }}</span
        ><input
          id="alike"
          class="field figure w-20"
          type="number"
          min="0.5"
          max="100"
          step="0.5"
          [value]="device.alike_mm()"
          (change)="setSameAsTolerance($any($event.target))"
        />
        mm</label
      >
      @for (found of groups(); track found.ids[0]) {
        <div class="flex items-center gap-2 mt-2">
          <span class="flex-1 leading-tight">{{
            words.apartAtMost(tags(found.ids), length(found.apart_mm))
          }}</span><button type="button" class="act act-small" (click)="link(found.ids)">
            {{ words.linkAlike(tags([found.ids[0]])) }}
          </button>
        </div>
      } @empty {
        <p class="text-sm text-faint mt-2">{{ words.noOthersAlike }}</p>
      }
      <p class="text-sm text-faint mt-2">{{ words.markByHand }}</p>
    </details>
  `,
})
export class RepeatsPanel {
  protected readonly words = surveyWords;
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  protected readonly device = inject(Device);
  protected readonly length = (value_mm: number): string =>
    formatLengthWithUnit(nmFromMm(value_mm), this.device.units());
  protected readonly selection = inject(Selection);
  readonly surface = input.required<RowOf<'surface'>>();
  protected readonly group = computed(() => this.#reading.repeatsOf(this.surface().id));
  protected readonly others = computed(() => this.group().filter(({ id }) => id !== this.surface().id));
  protected readonly canTakeOver = computed(
    () =>
      this.#reading.measuresOf(this.surface().id).length === 0 &&
      this.#reading.measuresOf(this.group()[0]?.id ?? '').length > 0,
  );
  protected readonly isOpen = signal(false);
  /**
   * Groups that this surface belongs to and that are not linked already. Looks at every surface of the job,
   * so only while someone looks.
   */
  protected readonly groups = computed(() => {
    if (!this.isOpen()) return [];
    const compared = this.#reading.surfaces().flatMap((surface): ComparedSurface[] => {
      const check = this.#reading.checkOf(surface.id);
      if (!('figure' in check) || check.agreement.kind === 'disagree') return [];
      return [
        {
          id: surface.id,
          shape: surface.shape,
          unitId: surface.unitId,
          outline: check.figure.outline,
          more_mm: this.#reading
            .measuresOf(surface.id)
            .filter(({ kind }) => kind === 'sag')
            .map(({ value_nm }) => value_nm / 1e6),
        },
      ];
    });
    const leadOf = (id: string): string => this.#reading.surfaceById().get(id)?.sameAsId ?? id;
    return sameAsGroups(compared, this.device.alike_mm()).filter(
      ({ ids }) => ids.includes(this.surface().id) && new Set(ids.map(leadOf)).size > 1,
    );
  });

  protected tags(ids: readonly string[]): string {
    const all = ids.map((id) => this.#reading.surfaceById().get(id)?.tag ?? '');
    return all.length > 5 ? surveyWords.andMore(all.slice(0, 4).join(', '), all.length - 4) : all.join(', ');
  }

  protected setSameAsTolerance(from: { readonly value: string }): void {
    const value = Number(from.value);
    if (value > 0 && value <= 100) this.device.setSameAsTolerance(value);
  }

  protected link(ids: readonly [string, ...string[]]): void {
    const [lead, ...rest] = ids;
    const anchor = this.#reading.surfaceById().get(lead)?.sameAsId ?? lead;
    this.#desk.do(
      surveyWords.repeatsOf(rest.length, this.tags([anchor])),
      rest.filter((id) => id !== anchor).map((id) => this.#desk.set('surface', id, { sameAsId: anchor })),
    );
  }

  protected unlink(): void {
    this.#desk.do(surveyWords.noRepeat(this.surface().tag), [
      this.#desk.set('surface', this.surface().id, { sameAsId: null }),
    ]);
  }

  protected takeOver(): void {
    const lead = this.group()[0];
    if (lead === undefined) return;
    const ops = this.#reading
      .measuresOf(lead.id)
      .map(({ kind, fromPoint, toPoint, text, unit, value_nm, instrument, sd_nm }) =>
        this.#desk.put('measure', {
          surfaceId: this.surface().id,
          kind,
          fromPoint,
          toPoint,
          text,
          unit,
          value_nm,
          instrument,
          sd_nm,
        }),
      );
    this.#desk.do(surveyWords.measuresOf(this.surface().tag, lead.tag), ops);
  }
}
