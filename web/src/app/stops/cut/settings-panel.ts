import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ANY_STAGES } from '@yellow-pane/core/packing';
import { STAGES } from '@yellow-pane/core/reading';
import {
  type LengthUnit,
  formatFilmLength,
  formatLength,
  formatLengthWithUnit,
  nmFromMm,
  parseReading,
} from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { cutWords } from '../../words/cut';
import { Cutting } from './cutting';

const STAGE_WORDS = {
  2: cutWords.twoStages,
  3: cutWords.threeStages,
  [ANY_STAGES]: cutWords.anyStages,
} as const;

type LengthSetting = 'gap' | 'waste' | 'sheet';

/**
 * How the next layout is looked for: by hand or by plotter, in how many stages, from which films, for money
 * or length.
 */
@Component({
  selector: 'yp-settings-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details
      class="px-5 pt-2 no-print"
      [open]="cutting.isSettingOpen()"
      (toggle)="cutting.isSettingOpen.set($any($event.target).open)"
    >
      <summary class="cursor-pointer min-h-9 flex items-center gap-2 text-sm">
        <span class="underline underline-offset-2 whitespace-nowrap">{{ words.howLaidOut }}</span><span
          class="text-faint"
          >{{ summary() }}</span
        >
      </summary>
      <div class="grid grid-cols-2 gap-x-6 gap-y-3 pb-2 max-md:grid-cols-1">
        <fieldset class="flex flex-wrap gap-x-5 items-center">
          <legend class="font-semibold">{{ words.cut }}</legend>
          @for (mode of modes; track mode) {
            <label class="flex items-center gap-2 min-h-9"
              ><input
                type="radio"
                name="cut-mode"
                class="size-5 accent-ink"
                [checked]="cutting.mode() === mode"
                (change)="cutting.chooseMode(mode)"
              />{{ mode }}</label
            >
          }
          <label class="flex items-center gap-2"
            >{{ words.stages
            }}<select
              class="field w-auto"
              [attr.aria-label]="words.stagesOfHandCutting"
              [disabled]="cutting.mode() === 'by plotter'"
              (change)="setStages($any($event.target).value)"
            >
              @for (one of stages; track one.value) {
                <option [value]="one.value" [selected]="cutting.stages() === one.value">
                  {{ one.word }}
                </option>
              }
            </select></label
          >
        </fieldset>
        <fieldset class="flex flex-wrap gap-x-5 items-center">
          <legend class="font-semibold">{{ words.linerLies }}</legend>
          @for (side of liners; track side) {
            <label class="flex items-center gap-2 min-h-9"
              ><input
                type="radio"
                name="cut-liner"
                class="size-5 accent-ink"
                [checked]="cutting.liner() === side"
                (change)="cutting.liner.set(side)"
              />{{ side === 'up' ? words.linerUp : words.linerDown }}</label
            >
          }
        </fieldset>
        <fieldset class="flex flex-wrap gap-x-5 items-center">
          <legend class="font-semibold">{{ words.leastFor }}</legend>
          @for (way of objectives; track way.value) {
            <label class="flex items-center gap-2 min-h-9"
              ><input
                type="radio"
                name="cut-for"
                class="size-5 accent-ink"
                [checked]="cutting.objective() === way.value"
                (change)="cutting.objective.set(way.value)"
              />{{ way.word }}</label
            >
          }
          <label class="flex items-center gap-2 min-h-9"
            ><input
              type="checkbox"
              class="size-5 shrink-0 accent-ink"
              [checked]="cutting.edgeMust()"
              (change)="cutting.edgeMust.set($any($event.target).checked)"
            />{{ words.edgeIsMust }}</label
          >
        </fieldset>
        <div class="grid grid-cols-3 gap-3">
          @for (own of lengths(); track own.key) {
            <label
              ><span class="block text-sm">{{ own.word }}</span
              ><input
                class="field figure"
                [value]="own.text"
                [placeholder]="own.key === 'sheet' ? words.noLimit : '0'"
                (change)="setLength(own.key, $any($event.target).value)"
            /></label>
          }
        </div>
        <fieldset>
          <legend class="font-semibold">{{ words.from }}</legend>
          <ul class="grid grid-cols-2 gap-x-4 max-md:grid-cols-1">
            @for (film of films(); track film.id) {
              <li>
                <label class="flex items-center gap-2 min-h-8"
                  ><input
                    type="checkbox"
                    class="size-5 shrink-0 accent-ink"
                    [checked]="film.isIn"
                    (change)="toggle(film.id)"
                  />{{ film.word }}</label
                >
              </li>
            } @empty {
              <li class="text-faint">{{ words.noRollNoWidth }}</li>
            }
          </ul>
        </fieldset>
        @if (fault(); as says) {
          <p class="col-span-full text-stop font-semibold" role="alert">{{ says }}</p>
        }
        @if (cutting.price().isGuessed) {
          <p class="col-span-full text-sm text-faint">
            {{ words.priceIsGuess(price()) }}
          </p>
        }
      </div>
    </details>
  `,
  host: { class: 'block' },
})
export class SettingsPanel {
  protected readonly words = cutWords;
  protected readonly cutting = inject(Cutting);
  readonly #reading = inject(JobReading);
  readonly #device = inject(Device);
  readonly #units = this.#device.units;
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly liners = ['up', 'down'] as const;
  protected readonly modes = ['by hand', 'by plotter'] as const;
  protected readonly stages = STAGES.map((value) => ({ value, word: STAGE_WORDS[value] }));
  protected readonly objectives = [
    { value: 'money', word: cutWords.leastMoney },
    { value: 'length', word: cutWords.leastLength },
  ] as const;
  protected readonly price = computed(() => this.#device.money(this.cutting.price().value));
  protected readonly lengths = computed(() => {
    const show = (value_nm: number | null): string =>
      value_nm === null ? '' : formatLength(value_nm, this.#units());
    return [
      { key: 'gap' as const, word: cutWords.betweenPieces, text: show(this.cutting.gap_nm()) },
      { key: 'waste' as const, word: cutWords.squaredOff, text: show(this.cutting.endWaste_nm()) },
      { key: 'sheet' as const, word: cutWords.longestSheet, text: show(this.cutting.mostSheet_nm()) },
    ];
  });
  protected readonly films = computed(() => {
    const out = this.cutting.leftOut();
    return [
      ...this.cutting.items().map((item) => ({
        id: item.id,
        isIn: !out.has(item.id),
        word: cutWords.stockChoice(
          item.what,
          item.label,
          formatLengthWithUnit(item.width_nm, this.#units()),
          formatFilmLength(item.left_nm, this.#units()),
        ),
      })),
      ...(this.cutting.film()?.widths_nm ?? []).map((width) => ({
        id: `order ${width}`,
        isIn: !out.has(`order ${width}`),
        word: cutWords.toOrder(formatLengthWithUnit(width, this.#units())),
      })),
    ];
  });
  protected readonly summary = computed(() =>
    cutWords.settingsSaid(
      this.cutting.mode(),
      this.cutting.mode() === 'by hand'
        ? cutWords.stagesSaid(
            this.cutting.stages() === ANY_STAGES ? 'as many' : this.cutting.stages(),
            this.cutting.stages() === ANY_STAGES ? ' as it takes' : '',
          )
        : '',
      this.cutting.objective(),
      this.films().filter(({ isIn }) => isIn).length,
      this.films().length,
    ),
  );

  protected setStages(value: string): void {
    this.cutting.stages.set(STAGES.find((own) => String(own) === value) ?? 3);
  }

  protected toggle(id: string): void {
    const next = new Set(this.cutting.leftOut());
    if (!next.delete(id)) next.add(id);
    this.cutting.leaveOut(next);
  }

  protected setLength(key: LengthSetting, text: string): void {
    const unit: LengthUnit = this.#reading.job()?.entryUnit ?? 'mm';
    const most_mm = key === 'sheet' ? 1_000_000 : key === 'gap' ? 100 : 5000;
    const parsed = text.trim() === '' ? undefined : parseReading(text, unit, { least_mm: 0, most_mm });
    if (parsed !== undefined && parsed.kind !== 'length') {
      this.fault.set(cutWords.settingWrong(formatLengthWithUnit(nmFromMm(most_mm), this.#units()), text));
      return;
    }
    const value = parsed?.value_nm;
    this.fault.set(undefined);
    if (key === 'gap') this.cutting.gap_nm.set(value ?? 0);
    else if (key === 'waste') this.cutting.endWaste_nm.set(value ?? 0);
    else this.cutting.mostSheet_nm.set(value ?? null);
  }
}
